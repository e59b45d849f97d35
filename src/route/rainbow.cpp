// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/rainbow.h"

#include "colour/oklab.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::route {

using colour::Oklab;
using colour::Uv;

namespace {

constexpr int kRounds = 400;
constexpr double kEven = 1e-4;
constexpr double kPi = std::numbers::pi;

class Round {
public:
    Round(const Disc& reach, double saturation)
        : reach_(reach), saturation_(saturation), space_(colour::toXyz(reach.white())) {}

    Uv uv(double angle) const { return reach_.fromDisc({saturation_, angle}); }
    Oklab seen(double angle) const { return space_.from(colour::toXyz(uv(angle))); }
    double chord(double a, double b) const { return colour::distance(seen(a), seen(b)); }

private:
    const Disc& reach_;
    double saturation_;
    colour::OklabSpace space_;
};

} // namespace

Result<std::vector<Uv>> rainbow(const Disc& reach, double saturation, int hues) {
    if (hues < 3 || hues > kMostHues)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} hues: must be 3 to {}"), hues,
                    kMostHues);
    if (!(saturation > 0 && saturation <= 1))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a saturation of {}: must be above 0, and 1 at most"),
                    saturation);
    const Round round(reach, saturation);
    // The angles between them give way to one another until all chords are as long.
    std::vector<double> gaps(static_cast<std::size_t>(hues), 2 * kPi / hues);
    std::vector<double> chords(gaps.size());
    for (int k = 0; k < kRounds; ++k) {
        double angle = 0;
        double sum = 0;
        for (std::size_t i = 0; i < gaps.size(); ++i) {
            chords[i] = round.chord(angle, angle + gaps[i]);
            angle += gaps[i];
            sum += chords[i];
        }
        const auto [least, most] = std::minmax_element(chords.begin(), chords.end());
        if (!(*most > (1 + kEven) * *least))
            break;
        double whole = 0;
        for (std::size_t i = 0; i < gaps.size(); ++i) {
            gaps[i] *= std::sqrt(sum / hues / std::max(chords[i], 1e-12));
            whole += gaps[i];
        }
        for (double& gap : gaps)
            gap *= 2 * kPi / whole;
    }
    std::vector<Uv> all;
    double angle = 0;
    for (const double gap : gaps) {
        all.push_back(round.uv(angle));
        angle += gap;
    }
    return all;
}

} // namespace zelo::route
