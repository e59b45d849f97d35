// SPDX-License-Identifier: GPL-3.0-or-later
// What lamps are sent: from what the engine shows to channel values, frame by frame. While a drive
// moves its channel follows it to the nearest value and never goes against its way; what rests
// stands on the values rounded together, once they are known.
#pragma once

#include "light/frame.h"
#include "light/levels.h"
#include "play/compile.h"
#include "play/engine.h"

#include <vector>

namespace zelo::play {

// Values rounded together for what a lamp shows at rest.
struct Rest {
    std::uint32_t lamp = 0;
    double intensity = 0;       // exactly as shown
    std::vector<double> drives; // likewise
    light::ChannelValues values;
};

class SentValues {
public:
    explicit SentValues(std::shared_ptr<const Compiled> compiled); // allocates all it will need

    // Goes on from what was sent by other values, of lamps that are still the same.
    void takeOver(const SentValues& before);
    void rest(std::span<const Rest> rests); // what no longer is so is passed over
    bool follow(const Shown& row);          // whether any lamp shows something else than before
    const std::vector<light::ChannelValues>& values() const { return values_; } // by lamp

    // The slots of every universe that holds a lamp. Where lamps overlap the last one counts.
    const light::Frame& frame() const { return frame_; }
    void write(); // into the frame

private:
    std::shared_ptr<const Compiled> compiled_;
    std::vector<light::ChannelValues> values_;
    Shown last_;
    std::vector<double> wanted_;                // of each channel of each lamp, before rounding
    std::vector<std::size_t> wanted_first_;     // by lamp
    std::vector<char> set_;                     // by lamp: anything was sent yet
    std::vector<std::size_t> setting_channels_; // by setting: which channel of its lamp
    light::Frame frame_;
    struct Slots {
        std::uint32_t lamp;
        std::size_t universe; // place in the frame
        std::size_t first;
    };
    std::vector<Slots> slots_;
};

} // namespace zelo::play
