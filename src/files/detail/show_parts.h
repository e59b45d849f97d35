// SPDX-License-Identifier: GPL-3.0-or-later
// The parts of a show file beside fixtures and groups: colours and values, palettes, looks, the
// stage's plan, measured lights, the show's own fixture types, outputs and favourites.
#pragma once

#include "files/archive.h"
#include "files/detail/colour_parts.h"
#include "files/detail/gradient_parts.h"
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
    std::vector<show::LayingPtr> layings;                // likewise; null: its gradient is gone
    std::size_t unpacked_left = kMostUnpacked;           // of the types' archives
    std::vector<Sentence> notes;                         // what was left out or taken otherwise
};

// Each takes its members out of `top` into `to.show`; faults are left in `top`. Fixtures must be
// read, for values palettes and colours too.
void readColours(JsonObject& top, Reading& to);
show::Values readValues(JsonObject& top, const char* name, Reading& to);
void readPalettes(JsonObject& top, Reading& to);
void readLooks(JsonObject& top, Reading& to);
std::optional<show::ColourWish> readColourMember(JsonObject& o, std::vector<Sentence>& notes);
void readStage(JsonObject& top, Reading& to);
void readMeasured(JsonObject& top, Reading& to);
void readCameras(JsonObject& top, Reading& to);
void readTypes(JsonObject& top, Reading& to);
void readOutputs(JsonObject& top, Reading& to); // and favourites
void readCalibration(JsonObject& fixture, show::Fixture& to);

// What all that is kept under a name begins with.
template <class Id>
void readHead(JsonObject& o, show::Head<Id>& head) {
    head.id = {o.integer("id", 0, 1, show::kLastId)};
    head.name = shortText(o, "name");
    head.locked = o.flag("locked");
}

// --- writing -----------------------------------------------------------------------------------

// Colours that values use, each once, as text.
class ColourTable {
public:
    std::size_t placeOf(const show::ColourWish& colour);
    const std::vector<std::string>& all() const { return all_; }

private:
    struct HashOf {
        std::size_t operator()(const show::ColourWish& wish) const;
    };
    std::vector<std::string> all_;
    std::unordered_map<show::ColourWish, std::size_t, HashOf> places_;
};

// What values name by its place.
struct Tables {
    ColourTable colours;
    LayingTable layings;
};

Json calibrationJson(const show::Calibration& calibration);
// An element each; fixtures with one and the same value stand together.
std::vector<std::string> valuesText(const show::Values& values, Tables& tables);
Json colourJson(const show::ColourWish& wish);
Json paletteJson(const show::Palette& palette);
std::string lookText(const show::Look& look, Tables& tables);
Json stageJson(const show::StagePlan& stage);
Json measuredJson(const show::Measured& measured);
Json cameraJson(const show::FilmCamera& camera);
// An error when it could not be unpacked again. `left` as in unzipped().
Result<Json> typeJson(const std::string& id, const std::shared_ptr<const light::FixtureType>& type,
                      std::size_t& left);
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
