// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/slot_chips.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/theme.h"
#include "light/levels.h"

namespace zelo::desk {

std::vector<SlotStrip::Chip> slotChips(const light::FixtureType& type, std::size_t part,
                                       light::Drives drives,
                                       const std::optional<colour::Uv>& wanted,
                                       const LightColours& colours) {
    const light::Wheel& wheel = type.wheels[type.part(part).index];
    std::vector<SlotStrip::Chip> chips;
    const std::size_t steps = wheel.places.size() * (wheel.halves ? 2 : 1);
    for (std::size_t i = 0; i < steps; ++i) {
        const double slot = static_cast<double>(i) / (wheel.halves ? 2 : 1);
        SlotStrip::Chip chip;
        chip.setting = wheel.settingOf(slot);
        chip.number = static_cast<int>(slot) + 1;
        chip.half = slot != std::floor(slot);
        chip.name = toQt(wheel.nameAt(chip.setting));
        drives[part] = chip.setting;
        const auto light = light::xyzOf(type, drives);
        const bool seen = colour::hasChromaticity(light);
        chip.light = seen ? colourOfLight(colours, type, drives, light) : theme().well;
        if (seen && wanted)
            chip.miss_uv = colour::distance(colour::toUv(light), *wanted);
        chips.push_back(std::move(chip));
    }
    return chips;
}

} // namespace zelo::desk
