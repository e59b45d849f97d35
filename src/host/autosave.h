// SPDX-License-Identifier: GPL-3.0-or-later
// What is not saved yet, kept beside the file within a second of each change, so that a crash or a
// power loss costs next to nothing. Its own thread writes; nobody waits for it.
#pragma once

#include "show/show.h"

#include <chrono>
#include <condition_variable>
#include <filesystem>
#include <mutex>
#include <optional>
#include <thread>

namespace zelo::host {

class Autosave {
public:
    // Shows without a file are kept in `state`. Changes that come within `pause` are written once.
    explicit Autosave(const std::filesystem::path& state,
                      std::chrono::milliseconds pause = std::chrono::seconds(1));
    ~Autosave(); // writes nothing more, and leaves what is there

    // The newest state of the document. `file`: its own file, if it has one.
    void put(show::ShowPtr show, show::HandPtr hand, std::optional<std::filesystem::path> file);
    // All is saved, or deliberately let go: takes the kept one away.
    void clear();

    // Work left behind that is now this document's: it goes when newer is written or all is saved.
    void adopt(std::filesystem::path unsaved);

    // Where the unsaved work of a file is kept: "NAME.zelo.unsaved" beside it.
    static std::filesystem::path besideOf(const std::filesystem::path& file);
    // Work without a file that a program left behind, newest first.
    static std::vector<std::filesystem::path> leftBehind(const std::filesystem::path& state);

private:
    struct Wish {
        show::ShowPtr show;
        show::HandPtr hand;
        std::filesystem::path to;
    };
    void run(const std::stop_token& stop);

    std::filesystem::path untitled_;
    std::chrono::milliseconds pause_;
    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::optional<Wish> wish_;
    std::filesystem::path written_; // what stands on disk and must go when all is saved
    std::mutex disk_;
    std::jthread thread_; // last: uses the others
};

} // namespace zelo::host
