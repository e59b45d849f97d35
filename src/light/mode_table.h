// SPDX-License-Identifier: GPL-3.0-or-later
// Channel values of a mode, quickly: for frames, where channelValue() would search a response anew
// for every channel.
#pragma once

#include "light/levels.h"

namespace zelo::light {

class ModeTable {
public:
    explicit ModeTable(const Mode& mode); // which it outlives not
    // Of the channel at this place, as channelValue(). Cost: some ten nanoseconds.
    std::uint32_t value(std::size_t channel, double drive) const;

private:
    const Mode* mode_;
    std::vector<std::vector<double>> levels_; // by channel, evenly in the root of the drive
};

} // namespace zelo::light
