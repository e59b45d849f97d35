// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/autosave.h"

#include "files/show_file.h"

#include <algorithm>
#include <csignal>
#include <cstdlib>
#include <fmt/format.h>
#include <unistd.h>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {
constexpr const char* kEnding = ".unsaved";
constexpr const char* kUntitled = "untitled-";
} // namespace

Autosave::Autosave(const fs::path& state, std::chrono::milliseconds pause)
    : untitled_(state / fmt::format("{}{}.zelo{}", kUntitled, ::getpid(), kEnding)), pause_(pause),
      thread_([this](const std::stop_token& stop) { run(stop); }) {}

Autosave::~Autosave() = default;

fs::path Autosave::besideOf(const fs::path& file) {
    return fs::path(file.string() + kEnding);
}

std::vector<fs::path> Autosave::leftBehind(const fs::path& state) {
    std::vector<std::pair<fs::file_time_type, fs::path>> found;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(state, error)) {
        const auto name = entry.path().filename().string();
        if (name.rfind(kUntitled, 0) != 0 || entry.path().extension() != kEnding)
            continue;
        const int pid = std::atoi(name.c_str() + std::string_view(kUntitled).size());
        if (pid <= 0 || ::kill(pid, 0) != 0) // no program that still works on it
            found.emplace_back(entry.last_write_time(error), entry.path());
    }
    std::sort(found.rbegin(), found.rend());
    std::vector<fs::path> paths;
    paths.reserve(found.size());
    for (auto& [time, path] : found)
        paths.push_back(std::move(path));
    return paths;
}

void Autosave::put(show::ShowPtr show, show::HandPtr hand, std::optional<fs::path> file) {
    const std::lock_guard lock(mutex_);
    wish_ = Wish{std::move(show), std::move(hand), file ? besideOf(*file) : untitled_};
    wake_.notify_one();
}

void Autosave::adopt(fs::path unsaved) {
    const std::lock_guard lock(disk_);
    written_ = std::move(unsaved);
}

void Autosave::clear() {
    {
        const std::lock_guard lock(mutex_);
        wish_.reset();
    }
    const std::lock_guard lock(disk_); // what is being written goes too
    std::error_code error;
    if (!written_.empty())
        fs::remove(written_, error);
    written_.clear();
}

void Autosave::run(const std::stop_token& stop) {
    while (true) {
        {
            std::unique_lock lock(mutex_);
            if (!wake_.wait(lock, stop, [&] { return wish_.has_value(); }))
                return;
            // A drag makes many changes: wait, then write the newest.
            wake_.wait_for(lock, stop, pause_, [] { return false; });
            if (stop.stop_requested())
                return;
        }
        const std::lock_guard disk(disk_);
        std::optional<Wish> wish;
        {
            const std::lock_guard lock(mutex_);
            wish.swap(wish_);
        }
        if (!wish)
            continue;
        std::error_code error;
        fs::create_directories(wish->to.parent_path(), error);
        if (written_ != wish->to && !written_.empty())
            fs::remove(written_, error); // the document got another file
        // A disk that refuses is told when the user saves; here there is nobody to tell.
        if (files::writeShow(wish->to, *wish->show, *wish->hand))
            written_ = wish->to;
    }
}

} // namespace zelo::host
