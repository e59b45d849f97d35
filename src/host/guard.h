// SPDX-License-Identifier: GPL-3.0-or-later
// The document guard: what is open, where it is on disk, and that nothing of it is lost.
//
//   nothing yet ──start──▶ without a file ──saveAs──▶ saved ◀──save── changed
//                                                       └─changed()─────▲
//
// While anything is not saved, the newest state is kept in a recovery file within a third of a
// second of each change: in the state folder, else beside the show. Threads of its own write it;
// nobody waits for them. A recovery file goes when its work is saved or deliberately let go, never
// otherwise; one that a program left behind has a name of its own until somebody decides on it.
//
// All calls come from one thread, but for what `opening`, `saving` and their like return: that does
// all that waits for a disk, and may run on any while the guard is there. What comes of it is taken
// here.
#pragma once

#include "host/disk.h"
#include "show/show.h"

#include <chrono>
#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <stop_token>
#include <thread>

namespace zelo::host {

// Work that was not saved when its program ended.
struct LeftWork {
    std::filesystem::path path;              // of the recovery file
    std::string name;                        // of the show
    std::optional<std::filesystem::path> of; // its file, if it has one
    std::int64_t at_s = 0;                   // when it was kept, seconds since 1970
    bool older = false; // than what stands in its file now: somebody saved that later
};

struct Opened {
    show::State state;
    show::Lineup lineup = {};         // of recovered work
    std::vector<Sentence> notes = {}; // what was left out or taken otherwise
};

class Guard {
public:
    struct Settings {
        // Recovery files and locks; empty: nothing is kept between saves.
        std::filesystem::path state_folder = {};
        std::chrono::milliseconds pause{150};  // changes that come within it are written once
        std::chrono::milliseconds again{2000}; // after a write that failed
    };
    explicit Guard(Settings settings, std::shared_ptr<Disk> disk = std::make_shared<Disk>());
    ~Guard(); // leaves what is kept, and what is not saved is left work then

    // --- the document ---------------------------------------------------------------------------

    // Busy when another program has it open; NotFound, Io, or why it cannot be read. What was open
    // before stays then.
    Result<Opened> open(const std::filesystem::path& path);
    struct Read; // a show's file, read and locked
    using Opening = std::function<Result<std::shared_ptr<Read>>()>;
    Opening opening(const std::filesystem::path& path) const;
    Result<Opened> take(Read& read); // it is the document now

    // Any thread may call this.
    Result<Opened> readCopy(const std::filesystem::path& path) const; // no lock, no file of its own
    void start(const show::State& state); // a new document without a file

    // What was opened, in other words: nothing to save.
    void countAsSaved(const show::State& same) { saved_ = same; }

    // Told after each change; keeps it unless all is saved.
    void changed(const show::State& now, const show::Lineup& lineup);

    // Writes, reads back, replaces. NotFound without a file; Changed when the file is not the one
    // that was opened or saved last; TooLarge, Io. With `over` a changed file is put aside under a
    // dated name first, so that both versions are there.
    Done save(const show::State& now, bool over = false);
    // The document has this file from now on. Busy when another program has it open.
    Done saveAs(const show::State& now, const std::filesystem::path& path);
    // Any thread may call this.
    Done saveCopy(const show::State& now, const std::filesystem::path& path,
                  const std::stop_token& stop = {}) const;
    struct Written; // a state that is in its file
    using Saving = std::function<Result<std::shared_ptr<Written>>(const std::stop_token&)>;
    // One at a time. Stopped before the file is replaced it leaves all as it was.
    Saving saving(const show::State& now, bool over = false) const;
    Saving savingAs(const show::State& now, const std::filesystem::path& path) const;
    void take(Written& written, const show::State& now); // nothing when another document is open

    const std::optional<std::filesystem::path>& file() const { return file_; }
    // All is on disk as it is; a new document that nobody changed has nothing to save either.
    bool saved(const show::State& now) const { return now == saved_; }

    void letGo(); // what is not saved is not wanted: until the next changed()
    void flush(); // keeps the newest state now: the program is told to end. Waits for the disk

    // Why unsaved work is not kept right now, in one line; empty when it is.
    Sentence trouble() const;
    std::function<void()> on_trouble; // told on another thread when it comes or goes; set it first

    // --- left work ------------------------------------------------------------------------------

    // All that is not decided on, newest first; also beside this file. Work of programs that still
    // run is theirs. Any thread may call this.
    std::vector<LeftWork> leftWork(const std::optional<std::filesystem::path>& file) const;
    std::vector<LeftWork> leftWork() const { return leftWork(file_); }
    // Takes it as changes that are not saved. `first` is what undo comes back to: its file as it
    // is, or an empty show. The left file goes when the work is safe in a recovery file of our own.
    struct Recovered {
        show::State first;
        Opened work;
    };
    Result<Recovered> recover(const LeftWork& left);
    struct Left; // read, and its file locked
    using Recovering = std::function<Result<std::shared_ptr<Left>>()>;
    Recovering recovering(const LeftWork& left) const;
    Recovered take(Left& left);
    void throwAway(const LeftWork& left);

private:
    struct Wish {
        std::uint64_t number = 0;
        std::uint64_t document = 0; // that is open no more when this comes late
        show::State state;
        show::Lineup lineup;
        std::optional<std::filesystem::path> of;
    };
    void run(const std::stop_token& stop);
    void keep(const Wish& wish);
    Done keepIn(const std::filesystem::path& path, std::uint64_t number, const std::string& text);
    void forget(); // the recovery file goes
    void setTrouble(Sentence trouble);
    Result<std::unique_ptr<Disk::Held>> lock(const std::filesystem::path& file) const;
    // Over what stands there, or with that put `aside` first: all or nothing.
    Done write(const show::State& now, const std::filesystem::path& path,
               const std::stop_token& stop,
               const std::optional<std::filesystem::path>& aside = {}) const;
    // What a file was when it was opened or saved.
    struct Seen {
        std::optional<Disk::Stamp> stamp;
        std::uint64_t contents = 0; // a hash
    };
    Seen look(const std::filesystem::path& file) const;
    bool changedSince(const Seen& seen, const std::filesystem::path& file) const;
    // What came from a disk elsewhere, for the document that was open when it was asked for.
    struct FromDisk {
        std::filesystem::path file = {};
        Seen seen = {};
        std::unique_ptr<Disk::Held> held = {}; // null for the document's own file
        bool ours = false;                     // it is that
        std::uint64_t document = 0;
    };
    Result<std::unique_ptr<Disk::Held>> lockOf(FromDisk& from);
    void standsAs(const show::State& saved, std::optional<std::filesystem::path> file,
                  std::unique_ptr<Disk::Held> held, Seen seen);
    std::uint64_t documentNow() const;
    std::filesystem::path folder() const { return settings_.state_folder / "unsaved"; }
    std::filesystem::path liveFile(const Wish& wish) const;
    std::filesystem::path liveBeside(const Wish& wish) const;
    std::optional<LeftWork> described(const std::filesystem::path& path) const;

    Settings settings_;
    std::shared_ptr<Disk> disk_;
    std::optional<std::filesystem::path> file_;
    std::unique_ptr<Disk::Held> held_;
    show::State saved_;
    bool recovered_ = false; // and not saved since: its recovery file stays
    Seen seen_;              // its file

    mutable std::mutex mutex_;
    std::condition_variable_any wake_;
    std::condition_variable idle_;
    std::optional<Wish> wish_;
    std::optional<std::chrono::steady_clock::time_point> not_before_;
    int writing_ = 0;
    std::uint64_t failures_ = 0;
    std::uint64_t count_ = 0;    // of wishes
    std::uint64_t written_ = 0;  // the newest on disk; an older one that comes later is dropped
    std::uint64_t document_ = 0; // counts documents: each has a recovery file of its own
    std::vector<std::filesystem::path> kept_in_; // where recovery files of this document stand
    std::vector<std::filesystem::path> after_;   // left files that go when the next is written
    Sentence trouble_;
    std::mutex order_;                  // held while one comes into its place
    std::vector<std::jthread> threads_; // last: they use the others
};

struct Guard::Read : Guard::FromDisk {
    Opened opened;
};

struct Guard::Written : Guard::FromDisk {
    show::State state;
};

struct Guard::Left : Guard::FromDisk { // without a file when the work has none
    LeftWork work;
    Recovered recovered;
};

} // namespace zelo::host
