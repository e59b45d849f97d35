// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/child.h"

#include "base/text.h"

#include <cerrno>
#include <csignal>
#include <cstdlib>
#include <cstring>
#include <poll.h>
#include <spawn.h>
#include <sys/socket.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

extern char** environ;

namespace zelo::host {

namespace {
constexpr std::size_t kAtOnce = 64 * 1024;
constexpr int kEndsWithin_ms = 500;

std::vector<char*> pointersTo(std::vector<std::string>& texts) {
    std::vector<char*> all;
    for (std::string& text : texts)
        all.push_back(text.data());
    all.push_back(nullptr);
    return all;
}
} // namespace

Result<std::unique_ptr<Child>> Child::start(const std::string& program,
                                            const std::vector<std::string>& arguments,
                                            const std::vector<std::string>& environment) {
    int ends[2]; // a socket: writing to one whose other end is gone is an error, not a signal
    if (socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) != 0)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: {}"), program, std::strerror(errno));
    posix_spawn_file_actions_t files;
    posix_spawn_file_actions_init(&files);
    for (const int to : {0, 1, 2})
        posix_spawn_file_actions_adddup2(&files, ends[1], to);
    std::vector<std::string> told{program};
    told.insert(told.end(), arguments.begin(), arguments.end());
    std::vector<std::string> around = environment;
    for (char** e = environ; *e; ++e)
        around.emplace_back(*e);
    pid_t pid = 0;
    const int failed = posix_spawnp(&pid, program.c_str(), &files, nullptr, pointersTo(told).data(),
                                    pointersTo(around).data());
    posix_spawn_file_actions_destroy(&files);
    close(ends[1]);
    if (failed != 0) {
        close(ends[0]);
        return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: {}"), program, std::strerror(failed));
    }
    return std::unique_ptr<Child>(new Child(ends[0], pid));
}

Child::~Child() {
    close(socket_);
    for (int waited_ms = 0; waited_ms < kEndsWithin_ms; waited_ms += 20) {
        if (waitpid(pid_, nullptr, WNOHANG) != 0)
            return;
        if (waited_ms == kEndsWithin_ms / 2 / 20 * 20)
            kill(pid_, SIGTERM);
        std::this_thread::sleep_for(std::chrono::milliseconds(20));
    }
    kill(pid_, SIGKILL);
    waitpid(pid_, nullptr, 0);
}

bool Child::write(std::string_view text) {
    while (!text.empty()) {
        const auto sent = send(socket_, text.data(), text.size(), MSG_NOSIGNAL);
        if (sent < 0 && errno == EINTR)
            continue;
        if (sent <= 0)
            return false;
        text.remove_prefix(static_cast<std::size_t>(sent));
    }
    return true;
}

std::optional<std::string> Child::read(std::chrono::milliseconds within) {
    pollfd wait{socket_, POLLIN, 0};
    if (poll(&wait, 1, static_cast<int>(within.count())) <= 0)
        return std::string();
    std::string text(kAtOnce, '\0');
    const auto came = recv(socket_, text.data(), text.size(), 0);
    if (came < 0 && (errno == EINTR || errno == EAGAIN))
        return std::string();
    if (came <= 0)
        return std::nullopt;
    text.resize(static_cast<std::size_t>(came));
    return text;
}

bool installed(const std::string& program) {
    if (program.find('/') != std::string::npos)
        return access(program.c_str(), X_OK) == 0;
    const char* path = std::getenv("PATH");
    for (const std::string_view folder : split(path ? path : "", ':'))
        if (!folder.empty() && access((std::string(folder) + '/' + program).c_str(), X_OK) == 0)
            return true;
    return false;
}

} // namespace zelo::host
