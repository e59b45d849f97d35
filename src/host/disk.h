// SPDX-License-Identifier: GPL-3.0-or-later
// The door to the file system: all that the document guard does to files goes through it, so that
// tests can make any step fail, be slow, or be the last one before a crash.
#pragma once

#include "base/result.h"

#include <cstdint>
#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::host {

class Disk {
public:
    // What a file was when it was looked at; another one when it was written since.
    struct Stamp {
        std::uint64_t device = 0, inode = 0, size = 0;
        std::int64_t changed_ns = 0;
        friend bool operator==(const Stamp&, const Stamp&) = default;
    };
    // A lock that is held until this goes, however the program ends.
    class Held {
    public:
        virtual ~Held() = default;
    };

    virtual ~Disk() = default;
    virtual Result<std::string> read(const std::filesystem::path& path, std::size_t most);
    // No more than its first bytes.
    virtual Result<std::string> readStart(const std::filesystem::path& path, std::size_t bytes);
    virtual std::optional<Stamp>
    stamp(const std::filesystem::path& path); // of what a link leads to
    // A whole new file beside `target`, flushed; its path.
    virtual Result<std::filesystem::path> writePart(const std::filesystem::path& target,
                                                    std::string_view bytes);
    virtual Done replaceBy(const std::filesystem::path& part, const std::filesystem::path& target);
    virtual Done rename(const std::filesystem::path& from, const std::filesystem::path& to);
    virtual void remove(const std::filesystem::path& path); // nothing when it is not there
    virtual std::vector<std::filesystem::path> list(const std::filesystem::path& folder);
    // Busy, with who has it, when another program holds it; Io when none can be held there.
    virtual Result<std::unique_ptr<Held>> hold(const std::filesystem::path& lock);
};

} // namespace zelo::host
