// SPDX-License-Identifier: GPL-3.0-or-later
// Progress of long work on stderr, when that is a terminal: one line that rewrites itself.
#pragma once

#include <chrono>
#include <cstdio>
#include <unistd.h>

namespace zelo::cli {

class Progress {
public:
    Progress(const char* what, std::size_t of) : what_(what), of_(of) {}
    Progress(const Progress&) = delete;
    Progress& operator=(const Progress&) = delete;
    ~Progress() {
        if (shown_)
            std::fputs("\r\033[K", stderr);
    }

    void at(std::size_t done) {
        using namespace std::chrono;
        const auto now = steady_clock::now();
        if (!terminal_ || now - said_ < milliseconds(200)) // nothing to say of quick work
            return;
        said_ = now;
        shown_ = true;
        std::fprintf(stderr, "\r%s %zu of %zu (%zu %%)\033[K", what_, done, of_,
                     of_ ? 100 * done / of_ : 100);
        std::fflush(stderr);
    }

private:
    const char* what_;
    std::size_t of_;
    bool terminal_ = ::isatty(STDERR_FILENO) != 0;
    bool shown_ = false;
    std::chrono::steady_clock::time_point said_ = std::chrono::steady_clock::now();
};

} // namespace zelo::cli
