// SPDX-License-Identifier: GPL-3.0-or-later
// Faders, wheels and keys from outside at work: what is moved does what the table says, or is
// learned; what it moves is told back to motors and lamps. The table is kept with the settings.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/gesture.h"
#include "remote/bindings.h"
#include "remote/midi_ports.h"
#include "remote/osc_port.h"
#include "remote/take_over.h"

#include <atomic>
#include <map>

namespace zelo::desk {

class CueModel;
class FocusModel;
class MixModel;

class RemoteModel : public QObject {
    Q_OBJECT
public:
    RemoteModel(Document& document, CueModel& cues, FocusModel& focus, MixModel& mixing,
                QObject* parent);
    ~RemoteModel() override;
    // Listens to MIDI, and to OSC where the table says so: at the start, never in a picture.
    void start();

    Document& document() { return document_; }
    const remote::Bindings& bindings() const { return bindings_; }
    void setBindings(remote::Bindings bindings); // and keeps them
    void readKept();                             // as they are kept now
    void setOsc(remote::Listens where, int port);
    // The next control that is moved does this; nothing: none is learned.
    void learn(const std::optional<remote::Action>& action);
    const std::optional<remote::Action>& learning() const { return learning_; }
    void forget(const remote::Action& action);
    void write(const QString& path); // the table, in the background
    void read(const QString& path);

    // Fixed ones, then the show's faders and the emitters of the type in focus, and what else the
    // table has.
    std::vector<remote::Action> actions() const;
    QString nameOf(const remote::Action& action) const;  // "Fader 3, Cold back"
    QString boundTo(const remote::Action& action) const; // what moves it, in words
    // Where the thing stands, 0..1; nothing of wheels, and of what is not there.
    std::optional<double> standing(const remote::Action& action) const;
    bool waits(const remote::Action& action) const; // its fader outside is not there yet

    bool midi() const { return midi_ && midi_->available(); }
    QStringList devices() const;
    QString oscWords() const; // where it listens, or why it does not

    void heard(const remote::Moved& moved); // as a device says it; on this thread

signals:
    void changed();

private:
    std::function<void(const remote::Moved&)> posts(); // to heard()
    void listen();                                     // to OSC, as the table says
    void take(remote::Bindings bindings);
    void act(const remote::Binding& binding, const remote::Moved& moved);
    void set(const remote::Action& action, double value, int gesture);
    void press(remote::Does does);
    void turn(remote::Does does, double steps);
    void tellBack();
    const show::Fader* faderAt(int number, show::FaderId* id = nullptr) const;
    std::optional<std::size_t> emitterNamed(const std::string& name) const;

    Document& document_;
    CueModel& cues_;
    FocusModel& focus_;
    MixModel& mixing_;
    remote::Bindings bindings_;
    std::optional<remote::Action> learning_;
    std::map<remote::Control, remote::TakeOver> holds_;
    std::map<remote::Action, double> told_; // what motors and lamps were told last
    Gesture gesture_;
    QString osc_trouble_;
    int osc_senders_ = 0; // that have been told all
    std::shared_ptr<std::atomic<int>> waiting_ = std::make_shared<std::atomic<int>>(0);
    std::unique_ptr<remote::MidiPorts> midi_;
    std::unique_ptr<remote::OscPort> osc_;
};

} // namespace zelo::desk
