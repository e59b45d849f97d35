// SPDX-License-Identifier: GPL-3.0-or-later
// Making and changing fixture types by hand: each takes a type and gives the next one, or says why
// not. The type given never changes. What is not touched (flags, wheels, engines, kept files)
// stays.
#pragma once

#include "base/result.h"
#include "light/fixture_type.h"

namespace zelo::light {

// A line of an LED: its peak and its full width at half of it, scaled to `candela`. BadValue for a
// peak outside 380..780 nm, a width outside 2..200 nm, or a candela that is not above 0.
Result<colour::Spectrum> modelledLine(double peak_nm, double width_nm, double candela);

// A type without emitters, one mode "emitters 8 bit" with a dimmer. The id is made of the name:
// small letters, a dash for all else. BadValue for a name without a letter or figure.
Result<FixtureType> blankType(const std::string& name);
std::string idOf(const std::string& name);

// Another name and id, all else the same.
Result<FixtureType> copyOf(const FixtureType& type, const std::string& name);

// At the end, with a channel at the end of each mode, as wide as the mode's other channels, home
// at nothing. BadValue for an empty or taken name, or when the type is full.
Result<FixtureType> addEmitter(const FixtureType& type, Emitter emitter);
// Its channels go too, and those behind them move up. NotFound.
Result<FixtureType> removeEmitter(const FixtureType& type, std::size_t emitter);
// Name, spectrum, power and droop become those of `next`. NotFound, or as addEmitter.
Result<FixtureType> changeEmitter(const FixtureType& type, std::size_t emitter, Emitter next);

// The type with measured spectra in place of its own, by emitter name; droop keeps its proportion.
// Names that it does not have are passed over.
FixtureType calibrated(const FixtureType& type,
                       const std::map<std::string, colour::Spectrum>& measured);

// Every channel of the mode takes this many bytes (8, 16 or 24 bits), one behind the other; home,
// highlight and ranges keep their share of the whole. BadValue.
Result<FixtureType> setBits(const FixtureType& type, std::size_t mode, int bits);
// Of all channels that set emitters, and the dimmer.
Result<FixtureType> setResponse(const FixtureType& type, std::size_t mode,
                                const Response& response);
// The resting level (0..1) of the channel that sets this part. NotFound when the mode has none.
Result<FixtureType> setHome(const FixtureType& type, std::size_t mode, std::size_t part,
                            double level);

} // namespace zelo::light
