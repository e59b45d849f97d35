// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/fade_cues.h"

#include "light/levels.h"

#include <cmath>
#include <fmt/format.h>

namespace zelo::files {

AsciiCues fadeCues(const mix::Mixer& mixer, const route::Steps& steps, const FadeCues& wish) {
    AsciiCues cues;
    const int footprint = mixer.mode().footprint;
    int channel = 0;
    for (const int address : wish.addresses)
        for (int slot = 0; slot < footprint; ++slot)
            cues.patch.push_back({++channel, address + slot, 1});
    double before = 0;
    for (std::size_t i = 0; i < steps.steps.size(); ++i) {
        const auto& step = steps.steps[i];
        std::vector<std::uint8_t> slots(static_cast<std::size_t>(footprint));
        const double level = i < wish.levels.size() ? wish.levels[i] : 1;
        light::writeSlots(mixer.mode(),
                          level == 1 ? step.sent.values
                                     : mix::rounded(mixer, step.sent.drives, level).values,
                          slots);
        AsciiCue cue;
        cue.number = std::to_string(i + 1);
        cue.text =
            fmt::format("{} to {}, step {} of {}", wish.from, wish.to, i + 1, steps.steps.size());
        const double time = std::round(1000 * wish.time_s * (step.t - before)) / 1000;
        before = step.t;
        cue.up = cue.down = CueTimes{time, 0};
        if (i > 0 && i + 1 < steps.steps.size())
            cue.follow_s = time;
        int at = 0;
        for (std::size_t lamp = 0; lamp < wish.addresses.size(); ++lamp)
            for (const std::uint8_t value : slots)
                cue.levels.push_back({++at, value / 255.0});
        cues.cues.push_back(std::move(cue));
    }
    return cues;
}

} // namespace zelo::files
