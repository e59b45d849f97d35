// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/control.h"

#include <fmt/format.h>

namespace zelo::remote {

std::string inWords(const Control& control) {
    switch (control.kind) {
    case Control::Kind::Level:
        return fmt::format("controller {}, channel {}, of {}", control.number, control.channel + 1,
                           control.name);
    case Control::Kind::Bend:
        return fmt::format("bend, channel {}, of {}", control.channel + 1, control.name);
    case Control::Kind::Key:
        return fmt::format("note {}, channel {}, of {}", control.number, control.channel + 1,
                           control.name);
    case Control::Kind::Path:
        break;
    }
    return control.name;
}

} // namespace zelo::remote
