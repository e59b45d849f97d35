// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/hue_words.h"

#include "base/sentence.h"

namespace zelo::colour {

std::span<const HueWord> hueWords() {
    static constexpr HueWord kWords[] = {
        {ZELO_TEXT("core", "red"), {12, 45}, {{-10, 30}}},
        {ZELO_TEXT("core", "orange"), {42, 78}, {{30, 45}}},
        {ZELO_TEXT("core", "amber"), {55, 90}},
        {ZELO_TEXT("core", "yellow"), {85, 118}, {{45, 92}}},
        {ZELO_TEXT("core", "lime"), {112, 135}},
        {ZELO_TEXT("core", "green"), {118, 178}, {{92, 162}}},
        {ZELO_TEXT("core", "turquoise"), {165, 200}},
        {ZELO_TEXT("core", "cyan"), {175, 222}, {{162, 222}}},
        {ZELO_TEXT("core", "blue"), {215, 285}, {{222, 270}}},
        {ZELO_TEXT("core", "violet"), {275, 315}, {{270, 298}}},
        {ZELO_TEXT("core", "purple"), {285, 332}},
        {ZELO_TEXT("core", "magenta"), {318, 357}},
        {ZELO_TEXT("core", "pink"), {330, 402}, {{298, 350}}, 0.19}, // beyond it a red is red
        {ZELO_TEXT("core", "straw"), {70, 112}, {}, HUGE_VAL, 0.144},
        {ZELO_TEXT("core", "lavender"), {285, 330}, {}, 0.152},
    };
    return kWords;
}

} // namespace zelo::colour
