// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/disk.h"

#include "base/file.h"
#include "base/process_mark.h"

#include <algorithm>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <fstream>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {

class FileLock : public Disk::Held {
public:
    FileLock(int fd, fs::path path) : fd_(fd), path_(std::move(path)) {}
    ~FileLock() override {
        ::unlink(path_.c_str()); // while it is still held: nobody else can have begun with it
        ::close(fd_);
    }
    FileLock(const FileLock&) = delete;

private:
    int fd_;
    fs::path path_;
};

std::string whoHas(int fd) {
    char text[200] = {};
    const auto n = ::pread(fd, text, sizeof text - 1, 0);
    return oneReadableLine(std::string(text, n > 0 ? static_cast<std::size_t>(n) : 0));
}

std::string whoIAm() {
    char host[100] = {};
    ::gethostname(host, sizeof host - 1);
    return fmt::format("process {} on {}", ::getpid(), host);
}

} // namespace

Result<std::string> Disk::read(const fs::path& path, std::size_t most) {
    return readFile(path, most);
}

Result<std::string> Disk::readStart(const fs::path& path, std::size_t bytes) {
    std::ifstream in(path, std::ios::binary);
    std::string start(bytes, '\0');
    in.read(start.data(), static_cast<std::streamsize>(bytes));
    if (in.bad() || (!in && !in.eof()))
        return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: cannot read"), path.string());
    start.resize(static_cast<std::size_t>(in.gcount()));
    return start;
}

std::optional<Disk::Stamp> Disk::stamp(const fs::path& path) {
    struct stat s {};
    if (::stat(path.c_str(), &s) != 0)
        return std::nullopt;
    return Stamp{static_cast<std::uint64_t>(s.st_dev), static_cast<std::uint64_t>(s.st_ino),
                 static_cast<std::uint64_t>(s.st_size),
                 static_cast<std::int64_t>(s.st_mtim.tv_sec) * 1'000'000'000 + s.st_mtim.tv_nsec};
}

Result<fs::path> Disk::writePart(const fs::path& target, std::string_view bytes) {
    auto part = partBeside(target);
    if (auto ok = zelo::writePart(part, bytes, target); !ok)
        return passOn(ok.error());
    return part;
}

Done Disk::replaceBy(const fs::path& part, const fs::path& target) {
    return zelo::replaceBy(part, target);
}

Done Disk::rename(const fs::path& from, const fs::path& to) {
    return ::rename(from.c_str(), to.c_str()) == 0
               ? Done()
               : passOn(Error{ErrorCode::Io, std::strerror(errno), {}}, from.string());
}

void Disk::remove(const fs::path& path) {
    std::error_code error;
    fs::remove(path, error);
}

std::vector<fs::path> Disk::list(const fs::path& folder) {
    std::vector<fs::path> all;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(folder, error))
        all.push_back(entry.path());
    std::sort(all.begin(), all.end());
    return all;
}

Result<std::unique_ptr<Disk::Held>> Disk::hold(const fs::path& lock) {
    while (true) {
        const int fd = ::open(lock.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0644);
        if (fd < 0)
            return fail(ErrorCode::Io, ZELO_TEXT("core", "no lock: {}"), std::strerror(errno));
        if (::flock(fd, LOCK_EX | LOCK_NB) != 0) {
            const bool busy = errno == EWOULDBLOCK;
            const std::string who = whoHas(fd);
            ::close(fd);
            return busy ? fail(ErrorCode::Busy, ZELO_TEXT("core", "open in another program ({})"),
                               who)
                        : fail(ErrorCode::Io, ZELO_TEXT("core", "no lock: {}"),
                               std::strerror(errno));
        }
        // Whoever held it before may have taken the file away meanwhile: then it locks nothing.
        struct stat mine {
        }, there{};
        if (::fstat(fd, &mine) != 0 || ::stat(lock.c_str(), &there) != 0 ||
            mine.st_ino != there.st_ino || mine.st_dev != there.st_dev) {
            ::close(fd);
            continue;
        }
        const std::string who = whoIAm();
        if (::ftruncate(fd, 0) == 0)
            (void)!::pwrite(fd, who.data(), who.size(), 0);
        return std::make_unique<FileLock>(fd, lock);
    }
}

} // namespace zelo::host
