// SPDX-License-Identifier: GPL-3.0-or-later
// Planned ways of fades, as the engine plays them: drives at even shares of the time.
#pragma once

#include "mix/mix.h"

#include <map>
#include <memory>
#include <mutex>
#include <span>
#include <vector>

namespace zelo::play {

struct Planned {
    std::size_t parts = 0;
    std::vector<double> rows; // one behind the other; two at least

    std::span<const double> front() const { return {rows.data(), parts}; }
    std::span<const double> back() const { return {rows.data() + rows.size() - parts, parts}; }
    // At a share of the time, 0..1: `to` has room for the parts.
    void at(double share, double* to) const;
    bool leads(const double* from, const double* to) const; // within what is not seen
};
using PlannedPtr = std::shared_ptr<const Planned>;

// As needed (design: Fades): straight in chromaticity where that keeps its saturation, else around
// the white with a floor of 0.8 on the shorter side. Null where drives may as well go straight:
// parts that do not add up, ends without a colour.
class Ways {
public:
    // `white`: what colours go round. Thread-safe. Cost: some milliseconds unless known.
    PlannedPtr asNeeded(const std::shared_ptr<const mix::Mixer>& mixer, const light::Drives& from,
                        const light::Drives& to, const colour::Uv& white);
    // The same when it is known already; nothing when not.
    std::optional<PlannedPtr> known(const mix::Mixer& mixer, const light::Drives& from,
                                    const light::Drives& to, const colour::Uv& white) const;

private:
    struct Key {
        const mix::Mixer* mixer;
        std::vector<double> ends; // and the white
        auto operator<=>(const Key&) const = default;
    };
    static Key keyOf(const mix::Mixer& mixer, const light::Drives& from, const light::Drives& to,
                     const colour::Uv& white);
    struct Entry {
        std::shared_ptr<const mix::Mixer> mixer; // its place is not used again meanwhile
        PlannedPtr way;
    };
    mutable std::mutex mutex_;
    std::map<Key, Entry> known_;
};

} // namespace zelo::play
