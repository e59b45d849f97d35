// SPDX-License-Identifier: GPL-3.0-or-later
// The sensitivities of a camera from a file: CSV (nm, r, g, b) or CGATS.17 (rows with NM and RGB_R,
// RGB_G, RGB_B; or three rows of spectral columns, r, g and b). Told by what is in it.
#pragma once

#include "colour/camera.h"

#include <filesystem>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::files {

struct CameraFile {
    std::string name; // that the file tells; empty: none
    colour::Camera::Channels channels;
    std::vector<Sentence> notes; // what was taken for what it is not
};

// BadValue and BadSyntax name channel and row, and what was expected. A value below nothing by less
// than 1 % of the channel's largest is the noise of its measurement and taken for 0, which is told.
Result<CameraFile> parseCamera(std::string_view text);
// Of the file's name where it tells none.
Result<CameraFile> readCamera(const std::filesystem::path& path);

} // namespace zelo::files
