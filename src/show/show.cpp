// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/show.h"

#include <algorithm>

namespace zelo::show {

bool Show::favourite(const light::Asked& asked) const {
    return favourites &&
           std::find(favourites->begin(), favourites->end(), asked) != favourites->end();
}

const Gradient* gradientOf(const Show& show, const Laying& laying) {
    if (laying.own)
        return laying.own.get();
    const Palette* palette = show.palette(laying.palette);
    return palette ? palette->gradient.get() : nullptr;
}

Shown followed(const Show& show, const Value& value) {
    Shown shown;
    const auto follow = [&](const auto& source, auto& to, PaletteId& from, auto in_palette) {
        if (!source)
            return;
        from = source->palette();
        if (const auto* here = source->here())
            to = *here;
        else if (const Palette* p = source->laying() ? nullptr : show.palette(from))
            to = p->*in_palette;
    };
    shown.intensity_laid = value.intensity && value.intensity->laying();
    shown.colour_laid = value.colour && value.colour->laying();
    follow(value.intensity, shown.intensity, shown.intensity_from, &Palette::intensity);
    follow(value.colour, shown.colour, shown.colour_from, &Palette::colour);
    shown.parts = value.parts;
    shown.trim = value.trim;
    shown.nudge = value.nudge;
    return shown;
}

std::optional<ColourWish> Shown::nudged() const {
    if (!colour || nudge == colour::Uv{0, 0})
        return colour;
    ColourWish wish = *colour;
    wish.uv = {wish.uv.u + nudge.u, std::max(0.01, wish.uv.v + nudge.v)};
    wish.asked = light::AskedUv{wish.uv.u, wish.uv.v};
    return wish;
}

void letGo(Value& value, Which which) {
    if (which != Which::Colour) {
        value.intensity.reset();
        value.trim = 1;
    }
    if (which != Which::Intensity) {
        value.colour.reset();
        value.parts.clear();
        value.nudge = {0, 0};
    }
    if (which == Which::All)
        value.settings.clear();
}

Value valueOf(const Show& show, const Values& hand, FixtureId id) {
    Value value;
    if (const Value* kept = show.standing.find(id))
        value = *kept;
    const Value* held = hand.find(id);
    if (!held)
        return value;
    if (held->intensity) {
        value.intensity = held->intensity;
        value.trim = 1;
    }
    if (held->colour) {
        value.colour = held->colour;
        value.parts.clear();
        value.nudge = {0, 0};
    }
    value.trim *= held->trim;
    value.nudge = value.nudge + held->nudge;
    for (const auto& [part, level] : held->parts)
        value.parts[part] = level;
    for (const auto& [setting, share] : held->settings)
        value.settings[setting] = share;
    return value;
}

Shown shownValue(const Show& show, const Values& hand, FixtureId id) {
    return followed(show, valueOf(show, hand, id));
}

PartLevels partLevels(const light::FixtureType& type, const light::Drives& drives) {
    ZELO_ASSERT(drives.size() == type.partCount());
    PartLevels levels;
    for (std::size_t i = 0; i < drives.size(); ++i)
        levels[type.partName(i)] = drives[i];
    return levels;
}

} // namespace zelo::show
