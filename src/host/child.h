// SPDX-License-Identifier: GPL-3.0-or-later
// Another program that is talked to by lines: what it writes comes as it comes, what it is told
// goes to its standard input. It ends with its owner.
#pragma once

#include "base/result.h"

#include <chrono>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::host {

class Child {
public:
    // Found in PATH unless it has a slash. `environment`: beside this program's, "NAME=value". Io
    // when it does not start.
    static Result<std::unique_ptr<Child>> start(const std::string& program,
                                                const std::vector<std::string>& arguments,
                                                const std::vector<std::string>& environment = {});
    ~Child(); // told to end, and made to after half a second

    bool write(std::string_view text); // false: it has ended
    // What it has written, empty when nothing came within that time; nothing when it has ended and
    // all was read.
    std::optional<std::string> read(std::chrono::milliseconds within);

private:
    Child(int socket, int pid) : socket_(socket), pid_(pid) {}
    int socket_;
    int pid_;
};

bool installed(const std::string& program); // in PATH, or there where it has a slash

} // namespace zelo::host
