// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/file.h"

#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <fstream>
#include <unistd.h>

namespace zelo {

namespace {

tl::unexpected<Error> ioError(const std::filesystem::path& path, const char* doing) {
    return passOn(
        Error{ErrorCode::Io, fmt::format("cannot {}: {}", doing, std::strerror(errno)), {}},
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
        return passOn(Error{ErrorCode::NotFound, "no such file", {}}, path.string());
    if (!std::filesystem::is_regular_file(path, error))
        return passOn(Error{ErrorCode::Io, "not a file", {}}, path.string());
    const auto size = std::filesystem::file_size(path, error);
    if (!error && size > most)
        return passOn(Error{ErrorCode::TooLarge,
                            fmt::format("{} bytes: at most {} are read", size, most),
                            {}},
                      path.string());
    std::ifstream in(path, std::ios::binary);
    std::string bytes(static_cast<std::size_t>(size), '\0');
    if (error || !in || (size > 0 && !in.read(bytes.data(), static_cast<std::streamsize>(size))))
        return ioError(path, "read");
    return bytes;
}

Done writeFile(const std::filesystem::path& path, std::string_view bytes) {
    const auto beside = path.string() + fmt::format(".{}.part", ::getpid());
    const int fd = ::open(beside.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0644);
    if (fd < 0)
        return ioError(path, "write");
    const bool written = writeAll(fd, bytes) && ::fsync(fd) == 0;
    const int kept = errno;
    const bool closed = ::close(fd) == 0;
    if (!written || !closed || ::rename(beside.c_str(), path.c_str()) != 0) {
        if (!written)
            errno = kept;
        auto error = ioError(path, "write");
        ::unlink(beside.c_str());
        return error;
    }
    // The rename itself must survive a power cut: flush the folder too. Best effort.
    const auto folder = path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
    if (const int dir = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); dir >= 0) {
        ::fsync(dir);
        ::close(dir);
    }
    return {};
}

} // namespace zelo
