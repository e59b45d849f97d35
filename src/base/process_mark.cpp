// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/process_mark.h"

#include "base/hash.h"
#include "base/text.h"

#include <cstdint>
#include <fmt/format.h>
#include <fstream>
#include <iterator>
#include <mutex>
#include <unistd.h>

namespace zelo {

namespace {

std::uint64_t hashOf(std::string_view text) {
    return fnv1a(text) >> 40; // 24 bits are enough, and short
}

std::string contentsOf(const std::string& path) {
    std::ifstream in(path);
    return {std::istreambuf_iterator<char>(in), std::istreambuf_iterator<char>()};
}

// Field 22 of /proc/PID/stat (proc(5)): when it started, in ticks since the machine did. The second
// field may hold anything, spaces and brackets too. Empty: no such process.
std::string startOf(const std::string& pid) {
    const std::string stat = contentsOf("/proc/" + pid + "/stat");
    const auto after = stat.rfind(')');
    if (after == std::string::npos)
        return {};
    const auto fields = split(std::string_view(stat).substr(after + 2), ' ');
    constexpr std::size_t kStart = 22 - 3;
    return fields.size() > kStart ? std::string(fields[kStart]) : std::string();
}

std::string hostAndBoot() {
    char host[256] = {};
    ::gethostname(host, sizeof host - 1);
    return fmt::format("{:06x}-{:06x}", hashOf(host),
                       hashOf(contentsOf("/proc/sys/kernel/random/boot_id")));
}

} // namespace

std::string ownMark() {
    static std::mutex mutex;
    static pid_t of = 0; // a fork is another program
    static std::string mark;
    const std::lock_guard lock(mutex);
    if (of != ::getpid()) {
        of = ::getpid();
        const std::string pid = std::to_string(of);
        mark = fmt::format("{}-{}-{}", hostAndBoot(), pid, startOf(pid));
    }
    return mark;
}

MarkState stateOf(std::string_view mark) {
    if (mark == ownMark())
        return MarkState::Own;
    const auto parts = split(mark, '-');
    if (parts.size() != 4 || parts[0].size() != 6 || parts[1].size() != 6 || !toInteger(parts[2]))
        return MarkState::NoMark;
    const std::string here = hostAndBoot();
    if (parts[0] != std::string_view(here).substr(0, 6))
        return MarkState::Unknown;
    const bool runs = here == fmt::format("{}-{}", parts[0], parts[1]) &&
                      startOf(std::string(parts[2])) == parts[3];
    return runs ? MarkState::Runs : MarkState::Ended;
}

} // namespace zelo
