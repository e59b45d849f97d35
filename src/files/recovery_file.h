// SPDX-License-Identifier: GPL-3.0-or-later
// Recovery files: a line of JSON that says whose work it is, then the show as in a .zelo file.
#pragma once

#include "files/show_file.h"

namespace zelo::files {

struct RecoveryHead {
    std::string of;   // the show's file; empty = it has none
    std::string name; // of the show
    std::int64_t at_s = 0;
    show::Lineup lineup;
};

Result<std::string> recoveryText(const RecoveryHead& head, const show::State& state);
// The first line alone: `text` may end anywhere after it. BadSyntax when it is none.
Result<RecoveryHead> parseRecoveryHead(std::string_view text);
// A plain show is taken too, with an empty head.
Result<std::pair<RecoveryHead, OpenedShow>> parseRecovery(std::string_view text);

} // namespace zelo::files
