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

inline constexpr int kShowVersion = 4; // 1 to 3 are read too: docs/show-file.md

struct OpenedShow {
    show::ShowPtr show;
    show::HandPtr hand;
    std::vector<Sentence> notes; // what was left out or taken otherwise, a line each
};

// All or nothing but for what refers to nothing (a value of a lamp that is gone), which is left out
// and noted. Unsupported for another program's JSON or a newer version; BadSyntax with line;
// BadValue with the place: "fixtures[3].address: 700: must be within 1..512"; TooLarge beyond
// show/limits.h. Members we do not know are kept in the show and written again.
Result<OpenedShow> parseShow(std::string_view text);
// TooLarge when it could not be read again; Io when a fixture type cannot be packed.
Result<std::string> showText(const show::Show& show, const show::Values& hand);
// That the text is a show and says all that this one has: what is saved can be opened.
Done checkShowText(std::string_view text);

Result<OpenedShow> readShow(const std::filesystem::path& path);
Done writeShow(const std::filesystem::path& path, const show::Show& show,
               const show::Values& hand); // beside, fsync, rename

} // namespace zelo::files
