// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/report.h"

#include "base/file.h"
#include "base/text.h"
#include "files/archive.h"
#include "files/show_file.h"

#include <sys/utsname.h>
#include <thread>
#include <unistd.h>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {

constexpr std::size_t kMostLog = 4 << 20;

std::string systemFacts() {
    struct utsname name {};
    ::uname(&name);
    std::string text = fmt::format("system      {} {} {}\nprocessors  {}\n", name.sysname,
                                   name.release, name.machine, std::thread::hardware_concurrency());
    if (const auto release = readFile("/etc/os-release", 1 << 16))
        for (const auto line : lines(*release))
            if (startsWith(line, "PRETTY_NAME="))
                text += fmt::format("release     {}\n", line.substr(12));
    text += fmt::format(
        "memory      {} MB\n",
        (static_cast<std::int64_t>(::sysconf(_SC_PHYS_PAGES)) * ::sysconf(_SC_PAGESIZE)) >> 20);
    return text;
}

} // namespace

Result<std::string> reportBytes(const ReportWish& wish) {
    files::Files packed;
    std::string text = fmt::format("Zelochrome {}\n{}", wish.version, systemFacts());
    for (const auto& fact : wish.facts)
        text += fact + "\n";
    packed["report.txt"] = toUtf8(std::move(text));
    std::error_code error;
    if (!wish.log_folder.empty())
        for (const auto& entry : fs::directory_iterator(wish.log_folder, error))
            if (entry.path().filename().string().rfind("zelochrome", 0) == 0)
                if (auto log = readFile(entry.path(), kMostLog))
                    packed[entry.path().filename().string()] = std::move(*log);
    if (wish.show) {
        auto show = files::showText(*wish.show->show, *wish.show->hand);
        if (!show)
            return show;
        packed["show.zelo"] = std::move(*show);
    }
    return files::zipped(packed);
}

} // namespace zelo::host
