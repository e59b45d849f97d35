// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/file.h"

#include "base/process_mark.h"

#include <atomic>
#include <cerrno>
#include <chrono>
#include <cstring>
#include <fcntl.h>
#include <fstream>
#include <sys/stat.h>
#include <unistd.h>

namespace zelo {

namespace {

enum class Doing { Reading, Writing };

tl::unexpected<Error> ioError(const std::filesystem::path& path, Doing doing) {
    if (doing == Doing::Writing && errno == ENOENT)
        return passOn(Error{ErrorCode::Io,
                            say(ZELO_TEXT("core", "cannot be written: its folder is not there")),
                            {}},
                      path.string());
    const char* why = std::strerror(errno);
    return passOn(Error{ErrorCode::Io,
                        doing == Doing::Reading
                            ? say(ZELO_TEXT("core", "cannot be read: {}"), why)
                            : say(ZELO_TEXT("core", "cannot be written: {}"), why),
                        {}},
                  path.string());
}

bool writeAll(int fd, std::string_view bytes) {
    while (!bytes.empty()) {
        const auto n = ::write(fd, bytes.data(), bytes.size());
        if (n < 0 && errno == EINTR)
            continue;
        if (n <= 0)
            return false;
        bytes.remove_prefix(static_cast<std::size_t>(n));
    }
    return true;
}

} // namespace

Result<std::string> readFile(const std::filesystem::path& path, std::size_t most) {
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return passOn(Error{ErrorCode::NotFound, say(ZELO_TEXT("core", "no such file")), {}},
                      path.string());
    if (!std::filesystem::is_regular_file(path, error))
        return passOn(Error{ErrorCode::Io, say(ZELO_TEXT("core", "not a file")), {}},
                      path.string());
    const auto size = std::filesystem::file_size(path, error);
    if (!error && size > most)
        return passOn(Error{ErrorCode::TooLarge,
                            say(ZELO_TEXT("core", "{} bytes: at most {} are read"), size, most),
                            {}},
                      path.string());
    std::ifstream in(path, std::ios::binary);
    std::string bytes(static_cast<std::size_t>(size), '\0');
    if (error || !in || (size > 0 && !in.read(bytes.data(), static_cast<std::streamsize>(size))))
        return ioError(path, Doing::Reading);
    return bytes;
}

namespace {

constexpr std::string_view kPart = ".part";

void flushFolder(const std::filesystem::path& folder) { // best effort
    if (const int dir = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); dir >= 0) {
        ::fsync(dir);
        ::close(dir);
    }
}

} // namespace

std::filesystem::path folderOf(const std::filesystem::path& path) {
    return path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
}

std::filesystem::path linkTarget(const std::filesystem::path& path) {
    constexpr int kMostLinks = 40;
    std::filesystem::path at = path;
    std::error_code error;
    for (int i = 0; i < kMostLinks && std::filesystem::is_symlink(at, error); ++i) {
        const auto to = std::filesystem::read_symlink(at, error);
        if (error)
            break;
        at = to.is_absolute() ? to : folderOf(at) / to;
    }
    return at;
}

std::filesystem::path partBeside(const std::filesystem::path& target) {
    static std::atomic<int> count{0};
    return folderOf(target) / fmt::format(".{}-{}{}", ownMark(), ++count, kPart);
}

Done writePart(const std::filesystem::path& part, std::string_view bytes,
               const std::filesystem::path& like) {
    const int fd = ::open(part.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0644);
    if (fd < 0)
        return ioError(like, Doing::Writing);
    struct stat old {};
    bool written = ::stat(like.c_str(), &old) != 0 || ::fchmod(fd, old.st_mode & 07777) == 0;
    written = written && writeAll(fd, bytes) && ::fsync(fd) == 0;
    const int why = errno;
    const bool closed = ::close(fd) == 0;
    if (written && closed)
        return {};
    if (!written)
        errno = why;
    auto error = ioError(like, Doing::Writing);
    ::unlink(part.c_str());
    return error;
}

Done replaceBy(const std::filesystem::path& part, const std::filesystem::path& target) {
    if (::rename(part.c_str(), target.c_str()) != 0) {
        auto error = ioError(target, Doing::Writing);
        ::unlink(part.c_str());
        return error;
    }
    flushFolder(folderOf(target)); // the rename itself must survive a power cut
    return {};
}

Done writeFile(const std::filesystem::path& path, std::string_view bytes) {
    const auto target = linkTarget(path);
    const auto part = partBeside(target);
    if (auto ok = writePart(part, bytes, target); !ok)
        return ok;
    return replaceBy(part, target);
}

int removeStrayParts(const std::filesystem::path& folder) {
    constexpr auto kLongAgo = std::chrono::hours(24); // another computer's, on a shared folder
    int gone = 0;
    std::error_code error;
    for (const auto& entry : std::filesystem::directory_iterator(folder, error)) {
        const std::string name = entry.path().filename().string();
        const auto end = name.rfind('-');
        if (name.size() < 2 || name[0] != '.' || !name.ends_with(kPart) || end == std::string::npos)
            continue;
        const auto state = stateOf(std::string_view(name).substr(1, end - 1));
        std::error_code gone_already;
        const auto age = std::filesystem::file_time_type::clock::now() -
                         std::filesystem::last_write_time(entry.path(), gone_already);
        if (state == MarkState::Ended || (state == MarkState::Unknown && age > kLongAgo))
            gone += std::filesystem::remove(entry.path(), gone_already);
    }
    return gone;
}

} // namespace zelo
