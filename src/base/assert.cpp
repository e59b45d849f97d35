// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/assert.h"

#include <cstdio>
#include <cstdlib>

namespace zelo::detail {

void assertFailed(const char* condition, const char* file, int line) {
    std::fprintf(stderr, "%s:%d: broken promise: %s\n", file, line, condition);
    std::abort();
}

} // namespace zelo::detail
