// SPDX-License-Identifier: GPL-3.0-or-later
// The running program without a face: one show with its history, what is in hand, the lineup, the
// controls, and the light that goes out. All calls come from one thread (the interface's); stages
// are computed by a thread of their own and handed back through `on_stage`.
#pragma once

#include "host/changes.h"
#include "host/guard.h"
#include "host/library.h"
#include "host/network.h"
#include "host/player.h"
#include "host/workers.h"
#include "play/stage.h"
#include "show/edits.h"
#include "show/history.h"
#include "show/kept.h"

#include <filesystem>
#include <functional>
#include <optional>

namespace zelo::host {

inline constexpr double kLongestInHand_s = 600;

class Session {
public:
    // `sink` may be null: nothing goes out. The library outlives the session. Without a guard
    // nothing is kept between saves.
    // `clock`: of play when nothing goes out; none: the machine's.
    Session(Library& library, std::unique_ptr<light::FrameSink> sink,
            std::unique_ptr<Guard> guard = nullptr, Player::Clock clock = {});
    // Sends through the network and follows the show's output map.
    Session(std::unique_ptr<Network> network, Library& library,
            std::unique_ptr<Guard> guard = nullptr);
    ~Session();

    // --- the document: host/guard.h has the rules
    Done open(const std::filesystem::path& path);       // notes() says what was left out
    Done openCopy(const std::filesystem::path& path);   // a new document; the file stays another's
    void start(show::ShowPtr show, show::HandPtr hand); // a new document, not on disk yet
    // A new document from a show that stays as it is: its rig, groups, palettes, looks and cue
    // lists, or these of them with the faders that still play something; nothing in hand, nothing
    // locked. `name` is the new show's.
    using Lists = std::optional<std::vector<show::CueListId>>; // without: all
    Done startFrom(const std::filesystem::path& path, std::string name, const Lists& lists = {});
    Done save(bool over = false);
    Done saveAs(const std::filesystem::path& path);
    Done recover(const LeftWork& left);
    // The same, when what waits for a disk was done elsewhere: guard().opening, saving and so on.
    Done take(const Result<std::shared_ptr<Guard::Read>>& read);
    Done take(const Result<std::shared_ptr<Guard::Written>>& written);
    Done take(const Result<std::shared_ptr<Guard::Left>>& left);
    Done takeCopy(Result<Opened> opened);
    Done takeAsStart(Result<Opened> opened, std::string name, const Lists& lists = {});
    void letGo();                     // the program ends, and what is not saved is not wanted
    void flush() { guard_->flush(); } // the program is told to end
    Guard& guard() { return *guard_; }
    const std::optional<std::filesystem::path>& path() const { return guard_->file(); }
    bool kept() const { return path() && guard_->saved(state()); } // all is on disk as it is
    bool nothingToLose() const { return guard_->saved(state()); }  // also nobody touched it
    const std::vector<Sentence>& notes() const { return notes_; }  // of the last opening

    const show::History& history() const { return history_; }
    const show::State& state() const { return history_.now().state; }
    const show::ShowPtr& show() const { return state().show; }
    const show::HandPtr& hand() const { return state().hand; }

    // --- edits
    // With the same non-empty `merge` as the edit before it is one step with it: a drag.
    Done edit(const std::string& name, const Result<show::ShowPtr>& next,
              const std::string& merge = {});
    // An edit of the show and of what is in hand at once.
    Done edit(const std::string& name, const Result<show::State>& next,
              const std::string& merge = {});
    void setHand(const std::string& name, show::HandPtr hand, const std::string& merge = {});
    Done keepHand(); // puts what is in hand into the standing light
    void putDown();  // lets go of all that is in hand
    // The light shows this hand instead of the one there is, for a look; null: that one again.
    // Nothing of it is kept.
    void lookAt(show::HandPtr hand) { lookAt(Look{std::move(hand)}); }
    struct Look {
        show::HandPtr hand;
        bool on_lamps = true; // else the screen alone shows it, and what is played goes on
        double fade_s = 0;    // on the lamps, in this time
        std::shared_ptr<const play::LampWays> ways = {}; // null: as the show says
        // On the screen alone: this ripple at its own time over what is played, and this hand is
        // not looked at.
        show::RippleId ripple = {};
        double ripple_s = 0;
    };
    void lookAt(Look look);
    bool looking() const { return look_.hand != nullptr; } // until something is done
    void undo();
    void redo();
    void goTo(std::size_t position); // in history().moments()

    // --- not part of the document
    void setLineup(show::Lineup lineup);
    const show::Lineup& lineup() const { return lineup_; }
    void setControls(const play::Controls& controls);
    const play::Controls& controls() const { return controls_; }
    // In which changes by hand fade, s: 0 to kLongestInHand_s. A drag is at once all the same.
    void setTimeInHand(double seconds);

    // --- play: in the next frame. A look at something ends.
    // The look is the standing light of its lamps, in the look's own time. NotFound.
    Done showLook(const std::string& name, show::LookId look);
    void press(show::CueListId list, play::Command::What what, double value = 0);
    void setFader(show::FaderId fader, double level); // 0..1
    void press(show::RippleId ripple, play::Command::What what, double value = 0);
    double timeInHand() const { return time_in_hand_s_; }
    // In rehearsal the fixtures hold what they last showed on stage.
    void setOnStage(bool on);
    bool onStage() const { return on_stage_now_; }

    Library& library() { return library_; }
    std::shared_ptr<const play::Sources> sources() const { return library_.sources(); }
    play::Mixes& mixes() { return mixes_; }
    Workers& workers() { return workers_; }
    void waitUntilIdle();                         // for tests and pictures
    void recompute();                             // the library has other gels
    Network* network() { return network_.get(); } // null when nothing goes out
    const Player* player() const { return player_->sends() ? player_.get() : nullptr; }
    // Looks at what is played now, for on_stage.
    void look();

    // Called on a thread of its own with each new stage; set once, before anything is opened.
    std::function<void(std::shared_ptr<const play::Stage>)> on_stage;
    // Called at once, on the caller's thread, after anything above changed.
    std::function<void(Changes)> on_change;

private:
    void begin(show::State first); // another document
    void push(const std::string& name, show::State next, const std::string& merge);
    void push(const std::string& name, show::State next, const std::string& merge, double fade_s);
    // Nothing for the time: as what is under way; it is one gesture with that.
    void changed(Changes what, std::optional<double> fade_s = 0);
    Done stays(const char* what, const Error& error);
    void computeLight(std::optional<double> fade_s);
    void pressControls();
    void pressNow(const play::Command& command);
    void planWays();
    void showStage();
    Library& library_;
    play::Mixes mixes_;
    std::unique_ptr<Guard> guard_;
    show::History history_;
    show::State told_; // what on_change was last told about
    std::vector<Sentence> notes_;
    show::Lineup lineup_;
    Look look_; // hand null: at none
    play::Controls controls_;
    double time_in_hand_s_ = 0;
    bool on_stage_now_ = true;
    std::unique_ptr<Network> network_;
    std::unique_ptr<Player> player_; // before network_ goes: it sends through it

    std::mutex light_mutex_;      // of the next five
    double fade_s_ = 0;           // of what is to be compiled next
    bool drags_ = false;          // it goes on with what was compiled last
    play::Controls controls_now_; // as they were pressed
    struct OnScreen {             // the screen alone shows it
        show::State state;
        std::shared_ptr<const play::Sources> from;
        show::RippleId ripple = {};
        double ripple_s = 0;
    };
    std::optional<OnScreen> on_screen_;
    std::shared_ptr<const play::LampWays> ways_of_look_;
    // Of the thread that compiles: the last one, and the one that it changed by hand.
    std::shared_ptr<const play::Compiled> compiled_, changed_from_;
    std::shared_ptr<const play::LampWays> changed_by_;
    bool planned_ = false; // since it was looked at
    play::Ways ways_;
    play::Rounding rounding_; // of the thread that looks
    Workers workers_;
    Workers stage_;
    Workers light_; // last: the light waits behind nothing; its jobs use the others
};

} // namespace zelo::host
