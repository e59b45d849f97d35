// SPDX-License-Identifier: GPL-3.0-or-later
// Whether there is a display to open a window on. Qt ends a program with several lines when there
// is none; asking first makes one clear line of it.
#pragma once

#include <cstdlib>
#include <initializer_list>

namespace zelo::desk {

inline bool displayThere() {
    for (const char* name : {"DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM"})
        if (const char* value = std::getenv(name); value && *value)
            return true;
    return false;
}

} // namespace zelo::desk
