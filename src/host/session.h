// SPDX-License-Identifier: GPL-3.0-or-later
// The running program without a face: one show with its history, what is in hand, the lineup, the
// controls, and the light that goes out. All calls come from one thread (the interface's); stages
// are computed by a worker and handed back through `on_stage`.
#pragma once

#include "host/autosave.h"
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
#include <mutex>
#include <optional>

namespace zelo::host {

class Session {
public:
    // `sink` may be null: nothing goes out. The library outlives the session. `autosave` may be
    // null: then nothing is kept between saves.
    Session(Library& library, std::unique_ptr<light::FrameSink> sink,
            std::unique_ptr<Autosave> autosave = nullptr);
    // Sends through the network and follows the show's output map.
    Session(std::unique_ptr<Network> network, Library& library,
            std::unique_ptr<Autosave> autosave = nullptr);
    ~Session();

    // --- the document
    Done open(const std::filesystem::path& path);
    void start(show::ShowPtr show, show::HandPtr hand); // a new document, not on disk yet
    Done save();                                        // NotFound without a path
    // Takes unsaved work that was left behind, as not yet saved: of `path`, or of a show without a
    // file (then `path` is empty).
    Done recover(const std::filesystem::path& unsaved,
                 const std::optional<std::filesystem::path>& path);
    void letGo(); // the program ends, and what is not saved is not wanted
    Done saveAs(const std::filesystem::path& path);
    Done saveCopy(const std::filesystem::path& path) const; // the document stays where it is
    // A new document from a show that stays as it is: its rig, groups, palettes and looks; nothing
    // in hand. `name` is the new show's.
    Done startFrom(const std::filesystem::path& path, std::string name);
    const std::optional<std::filesystem::path>& path() const { return path_; }
    bool kept() const { return path_ && history_.kept(); } // all, the hand too, is on disk as it is

    const show::History& history() const { return history_; }
    const show::ShowPtr& show() const { return history_.now().show; }
    const show::HandPtr& hand() const { return history_.now().hand; }

    // --- edits
    // With the same non-empty `merge` as the edit before it is one step with it: a drag.
    Done edit(const std::string& name, const Result<show::ShowPtr>& next,
              const std::string& merge = {});
    // An edit of the show and of what is in hand at once.
    void edit(const std::string& name, const show::Both& next);
    void setHand(const std::string& name, show::HandPtr hand, const std::string& merge = {});
    Done keepHand(); // puts what is in hand into the look
    void putDown();  // lets go of all that is in hand
    void undo();
    void redo();
    void goTo(std::size_t position); // in history().moments()

    // --- not part of the document
    void setLineup(show::Lineup lineup);
    const show::Lineup& lineup() const { return lineup_; }
    void setControls(const play::Controls& controls);
    const play::Controls& controls() const { return controls_; }
    // In rehearsal the fixtures hold what they last showed on stage.
    void setOnStage(bool on);
    bool onStage() const { return on_stage_now_; }

    Library& library() { return library_; }
    play::Mixes& mixes() { return mixes_; }
    Workers& workers() { return workers_; }
    Network* network() { return network_.get(); } // null when nothing goes out
    const Player* player() const { return player_.get(); }

    // Called on a worker thread with each new stage; set once, before anything is opened.
    std::function<void(std::shared_ptr<const play::Stage>)> on_stage;
    // Called at once, on the caller's thread, after anything above changed.
    std::function<void()> on_change;

private:
    void changed();
    Library& library_;
    play::Mixes mixes_;
    show::History history_;
    std::optional<std::filesystem::path> path_;
    show::ShowPtr colours_of_; // whose palettes, measured lights and types the library knows
    show::Lineup lineup_;
    play::Controls controls_;
    bool on_stage_now_ = true;
    std::uint64_t wish_ = 0; // counts changes; a stage older than the newest shown is dropped
    std::mutex publish_;
    std::uint64_t published_ = 0;
    std::unique_ptr<Network> network_;
    std::unique_ptr<Player> player_; // before network_ goes: it sends through it
    std::unique_ptr<Autosave> autosave_;
    Workers workers_; // last: its jobs use the others
};

} // namespace zelo::host
