// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig: simulated fixtures that take DMX slots and answer with light. Each differs from
// its data as real ones do, by a seed: emitter peaks ±3 nm, output ±8 %, and one worn fixture.
// Not thread-safe: its owner calls it from one thread at a time.
#pragma once

#include "light/fixture_type.h"
#include "light/levels.h"

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace zelo::practice {

struct Lamp { // one simulated fixture
    int id = 0;
    int number = 0;
    std::shared_ptr<const light::FixtureType> type; // as it really is, deviations in it
    std::string mode;
    std::uint16_t universe = 1;
    int address = 1;
};

struct Shown {
    light::ChannelValues values;
    colour::Xyz xyz;
    friend bool operator==(const Shown& a, const Shown& b) { return a.values == b.values; }
};

// What the data says, moved a little by `seed`; seed 0 leaves it as it is.
light::FixtureType deviated(const light::FixtureType& type, std::uint64_t seed, bool worn);

class PracticeRig {
public:
    // Exact lamps shine just as their data says. Errors: an unknown mode, or slots past 512.
    explicit PracticeRig(std::uint64_t seed, bool exact = false) : seed_(seed), exact_(exact) {}
    Done add(int id, int number, const std::shared_ptr<const light::FixtureType>& type,
             const std::string& mode, std::uint16_t universe, int address);

    // New slots of a universe; returns the places (in lamps()) of the lamps that changed. Slots
    // past the end of `levels` count as 0.
    std::vector<std::size_t> take(std::uint16_t universe, std::span<const std::uint8_t> levels);

    // The lamp takes its slots from another address or in another mode from now on; false when it
    // would run past slot 512 or has no such mode. It goes dark until slots come.
    bool setAddress(std::size_t lamp, int address);
    bool setMode(std::size_t lamp, const std::string& mode);

    const std::vector<Lamp>& lamps() const { return lamps_; }
    const Shown& shown(std::size_t lamp) const { return shown_[lamp]; }
    colour::Spectrum spectrum(std::size_t lamp) const; // of its present light
    // {"id":1,"number":1,"universe":1,"address":1,"values":[…],"xyz":[…],"uv":[…]}; uv is null in
    // the dark
    std::string jsonLine(std::size_t lamp) const;

private:
    bool move(std::size_t lamp, int address, const std::string& mode);
    Shown answer(const Lamp& lamp, light::ChannelValues values) const;

    std::uint64_t seed_;
    bool exact_;
    std::vector<Lamp> lamps_;
    std::vector<Shown> shown_;
};

} // namespace zelo::practice
