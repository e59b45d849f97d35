// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/paths.h"

#include <cstdlib>
#include <vector>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {

fs::path underHome(const char* variable, const char* otherwise) {
    const char* set = std::getenv(variable);
    const char* home = std::getenv("HOME");
    const fs::path base = set && *set ? fs::path(set) : fs::path(home ? home : ".") / otherwise;
    fs::path folder = base / "zelochrome";
    std::error_code error;
    fs::create_directories(folder, error);
    return folder;
}

} // namespace

Result<fs::path> dataFolder() {
    std::vector<fs::path> places;
    if (const char* set = std::getenv("ZELOCHROME_DATA"); set && *set)
        places.emplace_back(set);
    std::error_code error;
    const fs::path program = fs::read_symlink("/proc/self/exe", error).parent_path();
    places.push_back(program.parent_path() / "share/zelochrome"); // installed: PREFIX/bin
    // Built: …/build/bin or …/build/PRESET/bin, data beside build.
    for (fs::path up = program; up.has_relative_path(); up = up.parent_path())
        places.push_back(up / "data");
    for (const auto& place : places)
        if (fs::is_directory(place / "fixtures", error))
            return place;
    return fail(
        ErrorCode::NotFound,
        ZELO_TEXT("core",
                  "the data folder (fixtures, gels, shows) is not there; looked in {} and above; "
                  "$ZELOCHROME_DATA may name it"),
        places.front().string());
}

fs::path configFolder() {
    return underHome("XDG_CONFIG_HOME", ".config");
}

fs::path stateFolder() {
    return underHome("XDG_STATE_HOME", ".local/state");
}

} // namespace zelo::host
