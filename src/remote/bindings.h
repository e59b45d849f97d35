// SPDX-License-Identifier: GPL-3.0-or-later
// The table of what does what, and where OSC listens; kept with the settings as JSON.
#pragma once

#include "base/result.h"
#include "remote/action.h"
#include "remote/control.h"
#include "remote/midi_message.h"

#include <cstdint>
#include <vector>

namespace zelo::remote {

inline constexpr std::size_t kMostBindings = 1000;
inline constexpr std::uint16_t kOscPort = 7890;

struct Binding {
    Control control;
    Action action;
    Turn turn = Turn::TwosComplement; // of a wheel
    friend bool operator==(const Binding&, const Binding&) = default;
};

enum class Listens { Nowhere, ThisComputer, Network };

struct Bindings {
    std::vector<Binding> all; // each control once
    Listens osc = Listens::Nowhere;
    std::uint16_t osc_port = kOscPort;

    // A control does one thing: what it did before is gone. False: there are kMostBindings.
    bool bind(const Binding& binding);
    const Binding* find(const Control& control) const;
    void forget(const Action& action); // all that do it
    friend bool operator==(const Bindings&, const Bindings&) = default;
};

std::string toText(const Bindings& bindings); // JSON
// All or nothing. BadSyntax, BadValue ("binding 3: …"), TooLarge; Unsupported of a newer version.
Result<Bindings> parseBindings(const std::string& text);

} // namespace zelo::remote
