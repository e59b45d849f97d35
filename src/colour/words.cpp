// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/words.h"

#include <cmath>

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
    {12, 45, "red"},    {42, 78, "orange"},   {55, 90, "amber"},       {85, 118, "yellow"},
    {112, 135, "lime"}, {118, 178, "green"},  {165, 200, "turquoise"}, {175, 222, "cyan"},
    {215, 285, "blue"}, {275, 315, "violet"}, {285, 332, "purple"},    {318, 357, "magenta"},
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
    double hue = std::atan2(lab.b, lab.a) * 180 / 3.14159265358979323846;
    if (hue < 0)
        hue += 360;
    return {hue, std::hypot(lab.a, lab.b)};
}

std::vector<std::string> wordsOf(const Xyz& light, const Xyz& white) {
    const auto [hue, chroma_at_one] = hueOf(light, white);
    const double share = light.Y / white.Y;
    std::vector<std::string> words;
    if (!(light.Y > 0))
        return {"black", "dark"};
    // At the brightness it has: the same purity looks the less coloured the darker it is.
    const double chroma = chroma_at_one * std::cbrt(std::min(1.0, share));
    if (chroma_at_one < kWhiteChroma) {
        words.emplace_back("white");
        if (share < kPaleShare)
            words.emplace_back("grey");
    } else {
        for (const Sector& s : kSectors)
            if (within(hue, s.from_deg, s.to_deg))
                words.emplace_back(s.word);
        if (within(hue, 330, 402) && chroma < kPinkChroma)
            words.emplace_back("pink");
        if (within(hue, 70, 112) && chroma_at_one < kPaleChroma * 1.6)
            words.emplace_back("straw");
        if (within(hue, 285, 330) && chroma < kPinkChroma * 0.8)
            words.emplace_back("lavender");
        if (within(hue, 350, 472)) // 350..112
            words.emplace_back("warm");
        if (within(hue, 170, 300))
            words.emplace_back("cool");
        if (chroma_at_one < kPaleChroma && share > 0.3)
            words.emplace_back("pale");
    }
    if (share < kDeepShare) {
        words.emplace_back("deep");
        words.emplace_back("dark");
    } else if (share > kPaleShare) {
        words.emplace_back("light");
    }
    return words;
}

} // namespace zelo::colour
