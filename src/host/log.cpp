// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/log.h"

#include <atomic>
#include <mutex>
#include <spdlog/sinks/rotating_file_sink.h>
#include <spdlog/spdlog.h>

namespace zelo::host {

namespace {

constexpr std::size_t kFileBytes = 1 << 20;
constexpr std::size_t kOlderFiles = 2;

std::mutex& mutex() {
    static std::mutex one;
    return one;
}
std::shared_ptr<spdlog::logger>& logger() {
    static std::shared_ptr<spdlog::logger> one;
    return one;
}
std::filesystem::path& folderNow() {
    static std::filesystem::path one;
    return one;
}

spdlog::level::level_enum levelOf(LogLevel level) {
    switch (level) {
    case LogLevel::Debug:
        return spdlog::level::debug;
    case LogLevel::Info:
        return spdlog::level::info;
    case LogLevel::Warning:
        return spdlog::level::warn;
    case LogLevel::Error:
        break;
    }
    return spdlog::level::err;
}

} // namespace

Result<LogLevel> logLevelNamed(std::string_view name) {
    if (name == "debug")
        return LogLevel::Debug;
    if (name == "info")
        return LogLevel::Info;
    if (name == "warning")
        return LogLevel::Warning;
    if (name == "error")
        return LogLevel::Error;
    return fail(ErrorCode::BadValue,
                ZELO_TEXT("core", "log level '{}': expected debug, info, warning or error"), name);
}

Done startLog(const std::filesystem::path& folder, LogLevel least) {
    std::error_code error;
    std::filesystem::create_directories(folder, error);
    try { // the library throws; nothing of ours does
        auto sink = std::make_shared<spdlog::sinks::rotating_file_sink_mt>(
            (folder / "zelochrome.log").string(), kFileBytes, kOlderFiles);
        auto made = std::make_shared<spdlog::logger>("zelochrome", std::move(sink));
        made->set_level(levelOf(least));
        made->flush_on(spdlog::level::info);
        const std::lock_guard lock(mutex());
        logger() = std::move(made);
        folderNow() = folder;
    } catch (const spdlog::spdlog_ex& e) {
        return fail(ErrorCode::Io, ZELO_TEXT("core", "no log: {}"), e.what());
    }
    return {};
}

void log(LogLevel level, std::string_view line) {
    std::shared_ptr<spdlog::logger> to;
    {
        const std::lock_guard lock(mutex());
        to = logger();
    }
    if (to)
        to->log(levelOf(level), oneReadableLine(std::string(line)));
}

void endLog() {
    const std::lock_guard lock(mutex());
    if (logger())
        logger()->flush();
    logger().reset();
    folderNow().clear();
}

std::filesystem::path logFolder() {
    const std::lock_guard lock(mutex());
    return folderNow();
}

} // namespace zelo::host
