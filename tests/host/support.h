// SPDX-License-Identifier: GPL-3.0-or-later
// A folder of a test's own, and a disk that fails when it is told to.
#pragma once

#include "host/disk.h"

#include <atomic>
#include <chrono>
#include <filesystem>
#include <fstream>
#include <functional>
#include <thread>
#include <unistd.h>

namespace zelo::host {

namespace fs = std::filesystem;
using namespace std::chrono_literals;

class Folder {
public:
    Folder() {
        std::string name = (fs::temp_directory_path() / "zelo-XXXXXX").string();
        path = ::mkdtemp(name.data());
    }
    ~Folder() {
        std::error_code error;
        fs::remove_all(path, error);
    }
    fs::path path;
};

template <class F>
bool eventually(F holds) {
    for (int i = 0; i < 500; ++i) {
        if (holds())
            return true;
        std::this_thread::sleep_for(10ms);
    }
    return false;
}

// The real one, but: full below some folder, slow, or dead after so many steps, as if the program
// had been killed there.
class BadDisk : public Disk {
public:
    std::function<bool(const fs::path&)> full = [](const fs::path&) { return false; };
    std::chrono::milliseconds slow{0};
    std::atomic<int> steps_left{1 << 30};
    bool forgetful = false; // does not give back what was written

    Result<std::string> read(const fs::path& path, std::size_t most) override {
        auto bytes = Disk::read(path, most);
        if (forgetful && bytes && path.extension() == ".part")
            bytes->resize(bytes->size() / 2);
        return bytes;
    }
    Result<fs::path> writePart(const fs::path& target, std::string_view bytes) override {
        std::this_thread::sleep_for(slow);
        if (dead() || full(target))
            return fail(ErrorCode::Io, "{}: cannot write: No space left on device",
                        target.string());
        return Disk::writePart(target, bytes);
    }
    Done replaceBy(const fs::path& part, const fs::path& target) override {
        if (dead())
            return fail(ErrorCode::Io, "dead");
        return Disk::replaceBy(part, target);
    }
    Done rename(const fs::path& from, const fs::path& to) override {
        if (dead())
            return fail(ErrorCode::Io, "dead");
        return Disk::rename(from, to);
    }
    void remove(const fs::path& path) override {
        if (!dead())
            Disk::remove(path);
    }

private:
    bool dead() { return steps_left-- <= 0; }
};

} // namespace zelo::host
