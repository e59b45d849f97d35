// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/show.h"

namespace zelo::show {

Value followed(const Show& show, Value value) {
    if (value.intensity_from)
        if (const Palette* p = show.palette(value.intensity_from); p && p->intensity)
            value.intensity = p->intensity;
    if (value.colour_from)
        if (const Palette* p = show.palette(value.colour_from); p && p->colour)
            value.colour = p->colour;
    return value;
}

Value shownValue(const Show& show, const Values& hand, FixtureId id) {
    Value value;
    if (const auto kept = show.look.find(id); kept != show.look.end())
        value = *kept->second;
    if (const auto held = hand.find(id); held != hand.end()) {
        const Value& h = *held->second;
        if (h.intensity) {
            value.intensity = h.intensity;
            value.intensity_from = h.intensity_from;
        }
        if (h.colour) {
            value.colour = h.colour;
            value.colour_from = h.colour_from;
            value.drives.reset();
        }
        if (h.drives)
            value.drives = h.drives;
    }
    return followed(show, std::move(value));
}

} // namespace zelo::show
