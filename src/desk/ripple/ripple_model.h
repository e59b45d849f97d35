// SPDX-License-Identifier: GPL-3.0-or-later
// The ripple on the bench: a kept one of the show. Every edit goes into the show, every press to
// the player; what it shows over time is computed in the background from what plays.
#pragma once

#include "desk/kit/taken_colour.h"
#include "play/ripple_raster.h"

#include <QElapsedTimer>
#include <QTimer>
#include <array>

namespace zelo::desk {

class RippleModel : public QObject {
    Q_OBJECT
public:
    RippleModel(Document& document, QObject* parent);
    void setSeen(bool seen); // computes only while it is seen
    Document& document() const { return document_; }

    // --- what there is
    const show::Ripple* ripple() const { return document_.show().ripples.find(id_); } // or null
    void setRipple(show::RippleId id); // none: for another one to begin
    bool covers() const;               // it runs over the lineup, in this order
    QString stepName(std::size_t step) const;
    colour::Uv stepColour(std::size_t step) const; // its palette as it is now
    std::size_t step() const;                      // that is looked at; requires a ripple
    void choose(std::size_t step);
    std::vector<double> starts() const; // of each step along one turn, 0..1
    // Its first colour, while there is no ripple and the second one is waited for.
    const std::optional<TakenColour>& firstColour() const { return first_; }

    // --- what it shows; empty until it is computed
    struct Pictures {
        std::shared_ptr<const show::Ripple> ripple;
        play::RippleTimes times;
        double latest_s = 0; // the last lamp's delay
        double span_s = 1;   // of the raster, from 0
        play::RippleRaster raster;
        std::array<play::RippleRaster, 3> patterns; // as each pattern would be
        play::RippleRaster ribbon;                  // one turn of one lamp
        std::vector<play::OutOfReach> out;
    };
    const Pictures* pictures() const { return pictures_.get(); }
    const std::shared_ptr<const Pictures>& picturesPtr() const { return pictures_; }
    QString outOfReach() const; // "13–16 cannot reach Harbour blue"; empty: all can
    QString tooFast() const;    // changes quicker than frames; empty: it is not

    // --- edits; each tells what cannot be done
    using How = std::function<void(show::Ripple&)>;
    void edit(const QString& name, const How& change, int gesture = 0);
    void addStep(const light::Asked& asked, show::PaletteId palette);
    void addStep(); // one between the chosen one and the next, to be given a colour
    void removeStep(std::size_t step);
    void moveStep(std::size_t step, int by);
    void setColour(std::size_t step, const light::Asked& asked, show::PaletteId palette);
    void setTime(std::size_t step, double time_s, int gesture);
    void setTurn(double turn_s, int gesture); // all its steps, as their shares are
    void setBeat(double beat_s, int gesture); // from colour to colour
    double beat_s() const;
    void faster(double factor);
    void tap(); // beats by a key: the usual time between them becomes that of its steps
    void setIntensities(bool own);
    void layOverLineup();
    void takeItsLamps(); // they become the lineup

    // --- other ripples
    bool takeColour(const light::Asked& asked, show::PaletteId palette); // false: not for it
    void begin();                                                        // another one
    void beginFromLineup();                      // from the colours of its first and last lamp
    void beginRainbow();                         // all round
    void fromGradient(show::PaletteId gradient); // its stops become the steps
    void copy();
    void rename(const QString& name);
    void remove();
    void setLocked(bool locked);
    QStringList uses() const; // "cue 9 of Act one", "fader Beacon"
    void ontoFader();
    void keepAsGradient(const QString& name); // as it is at the line
    void keepAsLook(const QString& name);     // what its lamps show then
    void saveTurn(const QString& path);       // .csv: as a table, else as ASCII cues

    // --- play: on the screen alone, or on the lamps
    bool onLamps() const { return on_lamps_; }
    void setOnLamps(bool on);
    bool playing() const; // and not stopped, frozen too
    bool frozen() const;
    void play(); // or stops it: on the lamps it is let go of
    void freeze();
    double moment_s() const { return moment_s_; } // its own time, at the line
    double lineAt() const;                        // where that stands in the raster, s
    void lookAt(double t_s);                      // at a moment of the raster, on the screen
    bool looking() const { return looks_; }
    void letGo(); // the screen shows what there is again

signals:
    void modelChanged();
    void momentChanged();

private:
    void look(Changes what);
    void compute();
    void showMoment();
    bool add(const QString& name, show::Ripple ripple);
    bool beginOf(const TakenColour& first, const TakenColour& second);
    std::string freeName(const QString& base) const;
    void tick();
    Document& document_;
    show::RippleId id_;
    std::size_t step_at_ = 0;
    std::optional<TakenColour> first_;
    bool chosen_ = false; // by somebody
    bool begins_ = false; // asked to begin another one
    bool seen_ = false;
    std::shared_ptr<const Pictures> pictures_;
    std::weak_ptr<const play::Compiled> asked_of_; // pictures under way; freed by others
    std::shared_ptr<const show::Ripple> asked_ripple_;
    std::vector<double> below_;
    bool on_lamps_ = false;
    bool looks_ = false, turning_ = false; // on the screen
    double moment_s_ = 0;
    QTimer timer_;
    QElapsedTimer clock_;
    QElapsedTimer tapped_;
    std::vector<double> taps_s_;
};

} // namespace zelo::desk
