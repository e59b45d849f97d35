// SPDX-License-Identifier: GPL-3.0-or-later
// ZELO_ASSERT(cond): a broken promise of our own code. On in every build; ends the program with
// file, line and condition. Never for files, packets or what a user types: those get a Result.
#pragma once

namespace zelo::detail {
[[noreturn]] void assertFailed(const char* condition, const char* file, int line);
}

#define ZELO_ASSERT(cond)                                                                          \
    (static_cast<bool>(cond) ? void(0) : ::zelo::detail::assertFailed(#cond, __FILE__, __LINE__))
