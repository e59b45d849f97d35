// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/show.h"

namespace zelo::show {

Value shownValue(const Show& show, const Values& hand, FixtureId id) {
    Value value;
    if (const auto kept = show.look.find(id); kept != show.look.end())
        value = *kept->second;
    if (const auto held = hand.find(id); held != hand.end()) {
        const Value& h = *held->second;
        if (h.intensity)
            value.intensity = h.intensity;
        if (h.colour) {
            value.colour = h.colour;
            value.drives.reset();
        }
        if (h.drives)
            value.drives = h.drives;
    }
    return value;
}

} // namespace zelo::show
