// SPDX-License-Identifier: GPL-3.0-or-later
// The parts of a show file beside fixtures and groups: colours and values, palettes, looks, the
// stage's plan, measured lights, the show's own fixture types, outputs and favourites.
#pragma once

#include "files/detail/json_object.h"
#include "show/show.h"

#include <map>
#include <unordered_map>

namespace zelo::files {

// --- reading -----------------------------------------------------------------------------------

// What the parts of one file share while it is read.
struct Reading {
    int version = 1;
    show::Show show;
    std::vector<show::Source<show::ColourWish>> colours; // that values name by their place
    std::vector<std::string> notes;                      // what was left out or taken otherwise
};

// Each takes its members out of `top` into `to.show`; faults are left in `top`. Fixtures must be
// read, for values palettes and colours too.
void readColours(JsonObject& top, Reading& to);
show::Values readValues(JsonObject& top, const char* name, Reading& to);
void readPalettes(JsonObject& top, Reading& to);
void readLooks(JsonObject& top, Reading& to);
void readStage(JsonObject& top, Reading& to);
void readMeasured(JsonObject& top, Reading& to);
void readTypes(JsonObject& top, Reading& to);
void readOutputs(JsonObject& top, Reading& to); // and favourites
void readCalibration(JsonObject& fixture, show::Fixture& to);

// --- writing -----------------------------------------------------------------------------------

// Colours that values use, each once.
class ColourTable {
public:
    std::size_t placeOf(const show::ColourWish& colour);
    const std::vector<Json>& all() const { return all_; }

private:
    std::vector<Json> all_;
    std::unordered_map<std::string, std::size_t> places_; // by their text
};

Json calibrationJson(const show::Calibration& calibration);
// Fixtures with one and the same value stand together.
Json valuesJson(const show::Values& values, ColourTable& colours);
Json paletteJson(const show::Palette& palette);
Json lookJson(const show::Look& look, ColourTable& colours);
Json stageJson(const show::StagePlan& stage);
Json measuredJson(const show::Measured& measured);
Result<Json> typeJson(const std::string& id, const std::shared_ptr<const light::FixtureType>& type);
Json outputJson(const show::OutputLine& line);
template <class Id>
Json headJson(const show::Head<Id>& head) {
    Json j;
    j["id"] = head.id.value;
    j["name"] = head.name;
    if (head.locked)
        j["locked"] = true;
    return j;
}

} // namespace zelo::files
