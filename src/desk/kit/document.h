// SPDX-License-Identifier: GPL-3.0-or-later
// The document as the panels see it. It alone edits, undoes and changes the lineup; whatever
// changed is told by one signal that says what it was. Work runs in the background and comes back
// on the interface thread. All panels share one Document; it outlives them.
#pragma once

#include "desk/kit/inbox.h"
#include "desk/kit/light_colours.h"
#include "host/session.h"
#include "play/laid.h"

#include <QObject>
#include <QPointer>
#include <deque>
#include <memory>
#include <stop_token>

namespace zelo::desk {

using host::Change;
using host::Changes;

class Document : public QObject {
    Q_OBJECT
public:
    explicit Document(std::unique_ptr<host::Session> session);
    ~Document() override;

    // --- what there is
    const show::State& state() const { return session_->state(); }
    const show::Show& show() const { return *session_->show(); }
    const show::Lineup& lineup() const { return session_->lineup(); }
    const show::History& history() const { return session_->history(); }
    const play::Controls& controls() const { return session_->controls(); }
    bool onStage() const { return session_->onStage(); }
    // What every fixture shows, as last computed; never null.
    const play::Stage& stage() const { return *stage_; }
    std::shared_ptr<const play::Stage> stagePtr() const { return stage_; }
    const LightColours& colours() const { return colours_; }
    const host::Library& library() const { return session_->library(); }
    std::shared_ptr<const play::Sources> sources() const { return session_->sources(); }
    Result<std::shared_ptr<const light::Wanted>> wanted(const light::Asked& asked) const {
        return session_->mixes().wanted(*sources(), asked);
    }
    play::Mixes& mixes() const { return session_->mixes(); } // for work in the background
    // What a lamp is told to show, palettes followed and gradients laid out; also with another
    // hand.
    show::Shown shown(show::FixtureId id) const { return shown(*state().hand, id); }
    show::Shown shown(const show::Values& hand, show::FixtureId id) const;
    show::Resolve resolve() const; // for edits that leave values as they are now
    host::Network* network() const { return session_->network(); }
    const host::Player* player() const { return session_->player(); }

    // --- edits: the only way in
    // False, and the reason told, when it cannot be done. With the same non-empty `merge` as the
    // edit before it is one step with it: a drag.
    bool edit(const QString& name, const Result<show::ShowPtr>& next,
              const std::string& merge = {});
    bool edit(const QString& name, const Result<show::State>& next, const std::string& merge = {});
    void setHand(const QString& name, show::HandPtr hand, const std::string& merge = {});
    Done keepHand() { return session_->keepHand(); }
    void putDown() { session_->putDown(); }
    void lookAt(show::HandPtr hand) { session_->lookAt(std::move(hand)); } // null: as it is
    void lookAt(host::Session::Look look, const QString& words = {}) {
        look_words_ = words;
        session_->lookAt(std::move(look));
    }
    bool looking() const { return session_->looking(); }
    // What is looked at, in a few words; empty: what there is.
    QString lookWords() const { return looking() ? look_words_ : QString(); }
    void undo() { session_->undo(); }
    void redo() { session_->redo(); }
    void goTo(std::size_t position) { session_->goTo(position); }
    void setLineup(show::Lineup lineup) { session_->setLineup(std::move(lineup)); }
    void setControls(const play::Controls& controls) { session_->setControls(controls); }
    void setOnStage(bool on) { session_->setOnStage(on); }
    void setTimeInHand(double seconds) { session_->setTimeInHand(seconds); }
    double timeInHand() const { return session_->timeInHand(); }
    void press(show::CueListId list, play::Command::What what, double value = 0) {
        session_->press(list, what, value);
    }
    void showLook(const QString& name, show::LookId look); // in its own time
    void press(show::RippleId ripple, play::Command::What what, double value = 0) {
        session_->press(ripple, what, value);
    }
    void setFader(show::FaderId fader, double level) { session_->setFader(fader, level); }
    Done addBook(const std::filesystem::path& path); // a swatch book, for all shows

    // --- files
    const std::optional<std::filesystem::path>& path() const { return session_->path(); }
    bool kept() const { return session_->kept(); }
    bool nothingToLose() const { return session_->nothingToLose(); }
    Done open(const std::filesystem::path& path) { return opened(session_->open(path)); }
    void start(show::ShowPtr show, show::HandPtr hand) { session_->start(show, hand); }
    Done save(bool over = false) { return session_->save(over); }
    Done saveAs(const std::filesystem::path& path) { return session_->saveAs(path); }
    // The same and more without waiting for a disk: `then` is told how it went, on this thread.
    using Then = std::function<void(const Done&)>;
    void openLater(const std::filesystem::path& path, Then then);
    void openCopyLater(const std::filesystem::path& path, Then then);
    // `choose` is asked which of the show's cue lists come along, where it has any, and answers
    // when it likes.
    using Chosen = std::function<void(const std::vector<show::CueListId>&)>;
    using ChooseLists = std::function<void(const show::Show&, Chosen)>;
    void startFromLater(const std::filesystem::path& path, const QString& name, ChooseLists choose,
                        Then then);
    void recoverLater(const host::LeftWork& left, Then then);
    // One after the other; each saves what there is when it begins.
    void saveLater(bool over, Then then);
    void saveAsLater(const std::filesystem::path& path, Then then);
    bool saving() const { return !saves_.empty(); }
    void afterSaving(std::function<void()> then); // at once when nothing is being saved
    void saveCopyLater(const std::filesystem::path& path, Then then);
    // Work that was left behind, also beside the show's file; newest first.
    void leftWorkLater(std::function<void(const std::vector<host::LeftWork>&)> take);
    std::vector<host::LeftWork> leftWork() { return session_->guard().leftWork(); }
    void throwAway(const host::LeftWork& left) { session_->guard().throwAway(left); }
    void letGo() { session_->letGo(); }
    void flush() { session_->flush(); }
    // Why unsaved work is not kept right now; empty when all is well.
    Sentence trouble() const { return session_->guard().trouble(); }

    // --- how it is looked at
    // All light as this camera of the show shows it; nothing: as the eye sees it. False, and the
    // reason told, where there is none of that name, or what it is balanced to is not to be had.
    // It goes back to the eye's when the camera leaves the show.
    bool setCamera(const std::optional<std::string>& name);
    const std::optional<std::string>& camera() const { return camera_; }
    // What the eye takes for white, as a lamp: the one behind the swatch book's gels, or a kelvin
    // of its own. It is no part of the show, and has nothing to do with the white of its routes.
    double eye_k() const { return eye_k_.value_or(book_lamp_k_); }
    void setEye(std::optional<double> white_k); // nothing: as the book's lamp
    // The profile of the monitor that shows it; null: as sRGB.
    void setMonitor(std::shared_ptr<const colour::Monitor> monitor);
    double bookLamp_k() const { return book_lamp_k_; }
    void setBookLamp(double lamp_k);
    // The fixture type of the lineup that Mix and Readings are about: its fixtures' type and mode.
    struct TypeKey {
        std::string type;
        std::string mode;
        friend bool operator==(const TypeKey&, const TypeKey&) = default;
    };
    TypeKey focusType() const; // chosen, else the lineup's type with most emitters
    void setFocusType(const TypeKey& key);
    TypeKey typeOf(show::FixtureId id) const;

    // --- work
    // Runs `compute` on a worker and hands its result to `take` on this thread, unless `owner` is
    // gone by then or a newer job with this key was asked for.
    template <class Compute, class Take>
    void later(const char* key, QObject* owner, Compute compute, Take take) {
        const auto wish = ++wishes_[key];
        session_->workers().post(key, [this, key = std::string(key), wish,
                                       owner = QPointer<QObject>(owner),
                                       compute = std::move(compute), take = std::move(take)] {
            auto result = compute();
            inbox_.post([this, key, wish, owner, take, result = std::move(result)] {
                if (owner && wishes_[key] == wish)
                    take(result);
            });
        });
    }
    // Long work with a file: told as under way until its result is taken, on this thread. It can
    // be stopped: then nothing is taken. `compute` is given a stop_token, to look at before it
    // writes.
    enum class Stopped {
        Dropped,
        Taken // what was computed all the same is taken
    };
    template <class Compute, class Take>
    void inBackground(const QString& what, QObject* owner, Compute compute, Take take,
                      Stopped stopped = Stopped::Dropped) {
        const int id = ++last_work_;
        works_[id] = {};
        emit workBegan(id, what);
        session_->workers().post(
            fmt::format("work {}", id),
            [this, id, stopped, stop = works_[id].get_token(), owner = QPointer<QObject>(owner),
             compute = std::move(compute), take = std::move(take)] {
                if (stop.stop_requested() && stopped == Stopped::Dropped)
                    return;
                auto result = compute(stop);
                inbox_.post([this, id, stopped, owner, take, result = std::move(result)] {
                    if (works_.erase(id) > 0)
                        emit workEnded(id);
                    else if (stopped == Stopped::Dropped)
                        return;
                    if (owner)
                        take(result);
                });
            });
    }
    void stopWork(int id);
    void finishWork(); // waits for what is under way: before the program ends
    // On this thread, from any other.
    void post(std::function<void()> work) { inbox_.post(std::move(work)); }
    // What was asked for under this key is not wanted any more.
    void forget(const char* key) { ++wishes_[key]; }
    void waitUntilIdle() { session_->waitUntilIdle(); } // for tests and pictures

    void tell(const QString& message); // one line for people, shown for a while

signals:
    void changed(Changes what); // kit/watch.h connects a view to what it shows
    void told(const QString& message);
    void troubled(const QString& message); // stays until it is right: then it is empty
    void workBegan(int id, const QString& what);
    void workEnded(int id); // done, or stopped

private:
    Done opened(Done done); // tells what was left out
    struct Save {
        std::function<host::Guard::Saving()> begin;
        Then then;
    };
    void nextSave();
    void tellLeft(const QString& show); // work on it, before another came
    struct Opening {                    // that was asked for
        int wish = 0;
        show::State before; // what was open then
    };
    void opened(const Opening& opening, const std::function<Done()>& take, const Then& then);
    template <class Read, class Take>
    void openWhenRead(const QString& what, Read read, Take take, Then then);
    void lookAnew();     // as who sees now
    void followCamera(); // the one that is looked through, as it is in the show now
    LightColours asSeen() const;
    Inbox inbox_; // before the session: its threads post to it
    void lookAgain();
    std::unique_ptr<host::Session> session_;
    std::shared_ptr<const play::Stage> stage_;
    int freed_ = 0; // counts old stages
    bool looks_again_ = false;
    QString look_words_;
    LightColours colours_;
    std::optional<std::string> camera_;
    std::shared_ptr<const colour::Camera> through_; // that one; null: the eye
    std::optional<double> eye_k_;
    double book_lamp_k_ = light::kGelLampK;
    std::shared_ptr<const colour::Monitor> monitor_;
    TypeKey chosen_focus_;
    struct Moment { // that lamps were last asked about
        show::ShowPtr of;
        std::shared_ptr<const play::Sources> from;
        play::Gradients all;
    };
    mutable std::unique_ptr<Moment> gradients_;
    std::map<std::string, std::uint64_t> wishes_;
    std::map<int, std::stop_source> works_; // under way
    int last_work_ = 0;
    int opening_ = 0;        // counts the shows that were asked for
    std::deque<Save> saves_; // the first is under way
    std::vector<std::function<void()>> after_saving_;
};

} // namespace zelo::desk
