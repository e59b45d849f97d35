// SPDX-License-Identifier: GPL-3.0-or-later
// The parts of a show file beside fixtures and groups: values, palettes, looks, the stage's plan,
// measured lights, the show's own fixture types, outputs and favourites.
#pragma once

#include "files/detail/json_object.h"
#include "show/show.h"

namespace zelo::files {

inline constexpr std::size_t kMostFixtures = 20'000;

// Each takes its members out of `top` into `show`; faults are left in `top`. Fixtures must be read.
show::Values readValues(JsonObject& top, const char* name, const show::Show& show);
void readPalettes(JsonObject& top, show::Show& show);
void readLooks(JsonObject& top, show::Show& show);
void readStage(JsonObject& top, show::Show& show);
void readMeasured(JsonObject& top, show::Show& show);
void readTypes(JsonObject& top, show::Show& show);
void readOutputs(JsonObject& top, show::Show& show); // and favourites

void readCalibration(JsonObject& fixture, show::Fixture& to);

Json calibrationJson(const show::Calibration& calibration);
Json valuesJson(const show::Values& values);
void writeParts(Json& to, const show::Show& show); // all of them but the values

} // namespace zelo::files
