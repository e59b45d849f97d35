// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/words.h"

#include "base/sentence.h"

#include <cmath>
#include <numbers>

namespace zelo::colour {

namespace {

constexpr double kWhiteChroma = 0.025;
constexpr double kPaleChroma = 0.09;
constexpr double kPinkChroma = 0.19; // beyond it a red is red
constexpr double kDeepShare = 0.15;  // of the white's light
constexpr double kPaleShare = 0.6;

struct Sector {
    double from_deg, to_deg; // growing; may pass 360
    const char* word;
};
constexpr Sector kSectors[] = {
    {12, 45, ZELO_TEXT("core", "red")},         {42, 78, ZELO_TEXT("core", "orange")},
    {55, 90, ZELO_TEXT("core", "amber")},       {85, 118, ZELO_TEXT("core", "yellow")},
    {112, 135, ZELO_TEXT("core", "lime")},      {118, 178, ZELO_TEXT("core", "green")},
    {165, 200, ZELO_TEXT("core", "turquoise")}, {175, 222, ZELO_TEXT("core", "cyan")},
    {215, 285, ZELO_TEXT("core", "blue")},      {275, 315, ZELO_TEXT("core", "violet")},
    {285, 332, ZELO_TEXT("core", "purple")},    {318, 357, ZELO_TEXT("core", "magenta")},
};

bool within(double hue, double from, double to) {
    return (hue >= from && hue <= to) || (hue + 360 >= from && hue + 360 <= to);
}

} // namespace

HueChroma hueOf(const Xyz& light, const Xyz& white) {
    if (!(light.Y > 0))
        return {};
    const OklabSpace space(white);
    const double scale = white.Y / light.Y;
    const Oklab lab = space.from({light.X * scale, light.Y * scale, light.Z * scale});
    double hue = std::atan2(lab.b, lab.a) * 180 / std::numbers::pi;
    if (hue < 0)
        hue += 360;
    return {hue, std::hypot(lab.a, lab.b)};
}

std::vector<std::string> wordsOf(const Xyz& light, const Xyz& white) {
    const auto [hue, chroma_at_one] = hueOf(light, white);
    const double share = light.Y / white.Y;
    std::vector<std::string> words;
    if (!(light.Y > 0))
        return {ZELO_TEXT("core", "black"), ZELO_TEXT("core", "dark")};
    // At the brightness it has: the same purity looks the less coloured the darker it is.
    const double chroma = chroma_at_one * std::cbrt(std::min(1.0, share));
    if (chroma_at_one < kWhiteChroma) {
        words.emplace_back(ZELO_TEXT("core", "white"));
        if (share < kPaleShare)
            words.emplace_back(ZELO_TEXT("core", "grey"));
    } else {
        for (const Sector& s : kSectors)
            if (within(hue, s.from_deg, s.to_deg))
                words.emplace_back(s.word);
        if (within(hue, 330, 402) && chroma < kPinkChroma)
            words.emplace_back(ZELO_TEXT("core", "pink"));
        if (within(hue, 70, 112) && chroma_at_one < kPaleChroma * 1.6)
            words.emplace_back(ZELO_TEXT("core", "straw"));
        if (within(hue, 285, 330) && chroma < kPinkChroma * 0.8)
            words.emplace_back(ZELO_TEXT("core", "lavender"));
        if (within(hue, 350, 472)) // 350..112
            words.emplace_back(ZELO_TEXT("core", "warm"));
        if (within(hue, 170, 300))
            words.emplace_back(ZELO_TEXT("core", "cool"));
        if (chroma_at_one < kPaleChroma && share > 0.3)
            words.emplace_back(ZELO_TEXT("core", "pale"));
    }
    if (share < kDeepShare) {
        words.emplace_back(ZELO_TEXT("core", "deep"));
        words.emplace_back(ZELO_TEXT("core", "dark"));
    } else if (share > kPaleShare) {
        words.emplace_back(ZELO_TEXT("core", "light"));
    }
    return words;
}

} // namespace zelo::colour
