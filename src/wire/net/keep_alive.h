// SPDX-License-Identifier: GPL-3.0-or-later
// When a universe must be sent (§6.6.1 of E1.31): at once when it changed, then three repeats, then
// once in 800 ms. Allocates only when a universe comes for the first time.
#pragma once

#include "light/frame.h"

#include <algorithm>
#include <chrono>
#include <memory>
#include <utility>

namespace zelo::wire {

class KeepAlive {
public:
    using Clock = std::chrono::steady_clock;

    struct Stream {
        light::UniverseSlots sent;
        int repeats_left = 0;
        std::uint8_t sequence = 0;
        Clock::time_point last;
        bool here = true; // in this round
    };

    // A round: every universe that is sent comes to due() once. The streams of those that do not
    // come any more end; true when any came or went.
    template <class Ended>
    bool endRound(Ended&& ended) {
        for (const auto& stream : streams_)
            if (!stream->here)
                ended(*stream);
        const bool went = std::erase_if(streams_, [](const auto& s) { return !s->here; }) > 0;
        for (const auto& stream : streams_)
            stream->here = false;
        return std::exchange(came_, false) || went;
    }

    // The universe's stream with the new values in it, or null when nothing is due.
    Stream* due(const light::UniverseSlots& universe, Clock::time_point now) {
        constexpr int kRepeats = 3;
        constexpr auto kQuiet = std::chrono::milliseconds(800);
        const auto it = std::find_if(streams_.begin(), streams_.end(), [&](const auto& s) {
            return s->sent.universe == universe.universe;
        });
        Stream* stream = nullptr;
        if (it == streams_.end()) {
            streams_.push_back(std::make_unique<Stream>());
            stream = streams_.back().get();
            stream->sent = universe;
            stream->repeats_left = kRepeats + 1;
            came_ = true;
        } else {
            stream = it->get();
            if (stream->sent.values != universe.values) {
                stream->sent.values = universe.values;
                stream->repeats_left = kRepeats + 1;
            }
        }
        stream->here = true;
        if (stream->repeats_left == 0 && now - stream->last < kQuiet)
            return nullptr;
        stream->repeats_left = std::max(0, stream->repeats_left - 1);
        stream->last = now;
        return stream;
    }

    const std::vector<std::unique_ptr<Stream>>& streams() const { return streams_; }

private:
    std::vector<std::unique_ptr<Stream>> streams_;
    bool came_ = false;
};

} // namespace zelo::wire
