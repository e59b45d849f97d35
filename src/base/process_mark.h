// SPDX-License-Identifier: GPL-3.0-or-later
// A mark for this run of this program: put into a file's name it tells later whether the program
// that wrote the file still runs. A process number alone would not: it is given to others again.
#pragma once

#include <string>
#include <string_view>

namespace zelo {

// "HOST-BOOT-PID-START", the same for the whole run.
std::string ownMark();

enum class MarkState {
    Own,     // this run
    Runs,    // another one, on this computer
    Ended,   // of this computer, and not there any more
    Unknown, // of another computer
    NoMark,  // not a mark at all
};
MarkState stateOf(std::string_view mark);

} // namespace zelo
