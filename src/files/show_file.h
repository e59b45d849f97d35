// SPDX-License-Identifier: GPL-3.0-or-later
// Shows on disk: .zelo, JSON in UTF-8 (schema: data/schema/show.schema.json). What is in hand is
// saved too, so that nothing is lost by closing.
#pragma once

#include "base/result.h"
#include "show/show.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace zelo::files {

inline constexpr int kShowVersion = 2; // 1 is read too: it had no palettes, looks or outputs

struct OpenedShow {
    show::ShowPtr show;
    show::HandPtr hand;
};

// All or nothing. Unsupported for another program's JSON or a newer version; BadSyntax with line;
// BadValue with the place: "fixtures[3].address: 700: must be within 1..512". Members we do not
// know are kept in the show and written again.
Result<OpenedShow> parseShow(std::string_view text);
std::string showText(const show::Show& show, const show::Values& hand);

Result<OpenedShow> readShow(const std::filesystem::path& path);
Done writeShow(const std::filesystem::path& path, const show::Show& show,
               const show::Values& hand); // beside, fsync, rename

} // namespace zelo::files
