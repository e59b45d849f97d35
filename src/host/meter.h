// SPDX-License-Identifier: GPL-3.0-or-later
// Asks the practice meter: `measure ID` is answered with a TM-27 document of that fixture's light.
#pragma once

#include "base/result.h"
#include "colour/spectrum.h"
#include "show/show.h"

#include <cstdint>
#include <vector>

namespace zelo::host {

inline constexpr std::uint16_t kMeterPort = 6460;

// Waits up to two seconds: on a worker. Io when no meter is there, else what is wrong in its
// answer.
Result<colour::Spectrum> measure(std::uint16_t port, show::FixtureId id);

// The answer for a spectrum, and for a request line; for the rig that has the meter.
std::string meterAnswer(const colour::Spectrum& light, int id);
Result<int> meterRequest(const std::string& line); // the id of "measure 12"

} // namespace zelo::host
