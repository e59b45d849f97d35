// SPDX-License-Identifier: GPL-3.0-or-later
// Where the tests find what is shipped and what is theirs. Not in a compiler's command line: what
// is built in one folder may then be used in another.
#pragma once

namespace zelo::places {

extern const char* const data;      // data/ of the project
extern const char* const test_data; // tests/data/

} // namespace zelo::places
