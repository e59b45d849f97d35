// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/words.h"

#include "base/sentence.h"
#include "colour/hue_words.h"

#include <cmath>
#include <numbers>

namespace zelo::colour {

namespace {

constexpr double kWhiteChroma = 0.025;
constexpr double kPaleChroma = 0.09;
constexpr HueStretch kWarm{350, 472}; // to 112
constexpr HueStretch kCool{170, 300};
constexpr double kDeepShare = 0.15; // of the white's light
constexpr double kPaleShare = 0.6;

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
        for (const HueWord& w : hueWords())
            if (w.oklab.holds(hue) && chroma < w.most_chroma && chroma_at_one < w.most_chroma_lit)
                words.emplace_back(w.word);
        if (kWarm.holds(hue))
            words.emplace_back(ZELO_TEXT("core", "warm"));
        if (kCool.holds(hue))
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
