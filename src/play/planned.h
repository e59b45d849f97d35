// SPDX-License-Identifier: GPL-3.0-or-later
// Planned ways of fades, as the engine plays them: drives at even shares of the time.
#pragma once

#include "colour/polygon.h"
#include "mix/mix.h"
#include "route/gradient.h"

#include <map>
#include <memory>
#include <mutex>
#include <span>
#include <vector>

namespace zelo::play {

// How a colour is to fade.
struct WayWish {
    std::optional<route::StopWay> way = {}; // nothing: as needed
    colour::Polygon reach = {};             // of all that fade together; empty: each its own
    friend bool operator==(const WayWish&, const WayWish&) = default;
};

struct Planned {
    std::size_t parts = 0;
    std::vector<double> rows; // one behind the other; two at least
    WayWish wish = {};        // what it was planned for

    std::span<const double> front() const { return {rows.data(), parts}; }
    std::span<const double> back() const { return {rows.data() + rows.size() - parts, parts}; }
    // At a share of the time, 0..1: `to` has room for the parts.
    void at(double share, double* to) const;
    bool leads(const double* from, const double* to) const; // within what is not seen
    bool leads(const double* from, const double* to, const WayWish& as) const {
        return wish == as && leads(from, to);
    }
};
using PlannedPtr = std::shared_ptr<const Planned>;

class Ways {
public:
    // One to be planned (route/fade.h). `white`: what colours go round.
    struct Ask {
        std::shared_ptr<const mix::Mixer> mixer;
        light::Drives from, to;
        colour::Uv white;
        WayWish wish = {};
        mix::MixWish mixing = {}; // keep-outs and pins that both ends hold
    };
    // Null where drives may as well go straight: parts that do not add up, ends without a colour.
    // Thread-safe. Cost: some milliseconds, nearly none when it was asked for before.
    PlannedPtr planned(const Ask& ask);

private:
    struct Key {
        const mix::Mixer* mixer;
        std::vector<double> ends; // the white and the wish
        auto operator<=>(const Key&) const = default;
    };
    static Key keyOf(const Ask& ask);
    struct Entry {
        std::shared_ptr<const mix::Mixer> mixer; // its place is not used again meanwhile
        PlannedPtr way;
    };
    mutable std::mutex mutex_;
    std::map<Key, Entry> known_;
};

} // namespace zelo::play
