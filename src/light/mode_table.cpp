// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/mode_table.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

namespace {
constexpr std::size_t kRows = 256;
}

ModeTable::ModeTable(const Mode& mode) : mode_(&mode) {
    for (const Channel& c : mode.channels) {
        std::vector<double> levels;
        if (c.ranges.empty() && !c.response.linear())
            for (std::size_t k = 0; k <= kRows; ++k) {
                const double root = static_cast<double>(k) / kRows;
                levels.push_back(c.response.level(root * root));
            }
        levels_.push_back(std::move(levels));
    }
}

std::uint32_t ModeTable::value(std::size_t channel, double drive) const {
    const Channel& c = mode_->channels[channel];
    const auto& levels = levels_[channel];
    if (levels.empty())
        return channelValue(c, drive);
    const double x = std::sqrt(std::clamp(drive, 0.0, 1.0)) * kRows;
    const auto k = std::min(static_cast<std::size_t>(x), kRows - 1);
    const double part = x - static_cast<double>(k);
    const double level = levels[k] + part * (levels[k + 1] - levels[k]);
    const std::uint32_t span = c.end() - c.first;
    auto above = static_cast<std::uint32_t>(level * span + 0.5);
    // The least level that gives the drive is that of the next value when it is past the middle.
    const auto at = [&](double v) { return c.response.drive(v / span); };
    while (above < span && drive > at(above + 0.5))
        ++above;
    while (above > 0 && drive <= at(above - 0.5))
        --above;
    return c.first + above;
}

} // namespace zelo::light
