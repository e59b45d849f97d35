// SPDX-License-Identifier: GPL-3.0-or-later
// What a control from outside does.
#pragma once

#include "base/result.h"

#include <compare>
#include <optional>
#include <string>
#include <vector>

namespace zelo::remote {

enum class Does {
    Master,  // a fader, 0..1
    Fader,   // the show's fader of this number, from 1
    Emitter, // of the type in focus, by its name
    Next,    // keys
    Back,
    Hold,
    Dark,
    Level,  // wheels: intensity of the lineup
    Warmth, // the lineup warmer or cooler
    Tint,   // greener or pinker
    Depth   // deeper or paler
};
enum class Way { Fader, Key, Wheel }; // how it is moved
inline constexpr int kMostFaders = 999;

struct Action {
    Does does = Does::Master;
    int number = 0;   // of Fader
    std::string name; // of Emitter
    auto operator<=>(const Action&) const = default;
};

Way wayOf(Does does);
std::string toText(const Action& action);            // "master", "fader 3", "emitter Red"
Result<Action> parseAction(const std::string& text); // BadValue: names what it may be
std::vector<Action> standing();                      // those without a number or a name
// "/zelo/fader/3" and so on: understood whether it was learned or not, and sent back.
std::string pathOf(const Action& action);
std::optional<Action> actionOfPath(const std::string& path);

} // namespace zelo::remote
