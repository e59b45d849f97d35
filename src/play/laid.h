// SPDX-License-Identifier: GPL-3.0-or-later
// A gradient laid over lamps: what each of them is to show, and how its type makes it. A pure
// function of the show's gradient, its lamps and the types they are; Mixes remembers.
#pragma once

#include "colour/polygon.h"
#include "play/mixes.h"

namespace zelo::play {

struct LaidLamp {
    show::FixtureId id;
    double place = 0;                // in the gradient, 0..1
    colour::Uv uv;                   // that it is asked for
    double dim = 1;                  // of its intensity: on ways through dark
    std::optional<double> intensity; // where the gradient gives them
    // Null where the lamp makes no colours: then it is left alone.
    std::shared_ptr<const MixedColour> colour;
    show::ColourWish wish; // for that colour
};

// Of each fixture type and mode in it, in the order of the lineup.
struct LaidType {
    std::string type, mode;
    std::vector<std::size_t> lamps; // places in LaidOut::lamps
    bool colours = true;            // it makes colours at all
    bool takes_slots = false;       // it takes the nearest slot of a wheel or scroller
    double largest_step = 0;        // of any drive, from one place of the gradient to the next
    std::optional<double> alone;    // what that is when each mix is chosen alone, where known
};

struct LaidOut {
    std::shared_ptr<const show::Gradient> gradient;
    std::vector<LaidLamp> lamps; // in their order; those that are not in the rig are not there
    std::vector<LaidType> types;
    std::vector<double> at;             // where the stops stand, 0..1
    std::vector<colour::Uv> asked;      // colour of each stop
    std::vector<colour::Uv> stops;      // as laid: within the common reach where so chosen
    colour::Polygon reach;              // that its ways go in; empty: each type in its own
    std::vector<double> intensities_at; // where the stops of intensity stand
    std::vector<Sentence> troubles;     // what could not be had as asked

    std::vector<std::pair<show::FixtureId, std::size_t>> by_id;   // places in `lamps`, ascending
    std::optional<std::size_t> placeOf(show::FixtureId id) const; // in `lamps`
    const LaidLamp* lamp(show::FixtureId id) const;
};

// Always answers: a gradient that cannot be laid as asked is laid as near as can be, and says so.
// With no gradient (it was deleted) no lamp has a colour. Cost: some milliseconds for hundreds.
LaidOut layOut(const show::Show& show, const show::Laying& laying, const Sources& from,
               Mixes& mixes);

// The place of each of these lamps, 0..1; of one that is not in the rig 0.
std::vector<double> placesAlong(const show::Show& show, const route::Arrangement& arrangement,
                                const std::optional<show::AlongPlan>& along,
                                const std::vector<show::FixtureId>& lamps);

// How good it is to the eye, by the light that lamps make at full; the brightness left out.
struct Judged {
    std::vector<double> steps;       // ΔE in Oklab × 100, from lamp to lamp; NaN beside no colour
    double usual = 0;                // the median of those
    std::size_t most = 0, least = 0; // which of them are; where there are any
    std::vector<double> miss_uv;     // of each lamp; NaN without a colour
    std::vector<double> worst_miss_uv; // of each of the types; NaN likewise
    // Least / largest step between neighbouring places; where stops stand by hand the worst of the
    // parts between them.
    double evenness = 1;
};
Judged judged(const LaidOut& laid, const show::Show& show);

// The same gradient as a desk makes it that knows levels only: the levels of each lamp in straight
// lines from stop to stop, evenly in position. Empty for a lamp without a colour.
std::vector<light::Drives> plainLevels(const LaidOut& laid);

// The gradient's colours at many places evenly from 0 to 1, for drawing it as a ribbon: as it was
// laid out, on its first type that makes colours. Where its lamps stand it has their colours.
std::vector<colour::Uv> ribbonOf(const LaidOut& laid, const show::Show& show, int places);
// The same over no certain lamps: within what shines at all, and Levels as Straight.
std::vector<colour::Uv> ribbonOf(const show::Show& show, const show::Gradient& gradient,
                                 const Sources& from, Mixes& mixes, int places);

// The gradients over lamps at one moment, each asked for once however many lamps it is over.
class Gradients {
public:
    // Mixes outlives it.
    Gradients(show::ShowPtr show, const Sources& from, Mixes& mixes);
    // The lamp's place in it; null when the value is in none, or the lamp not in that.
    template <class Value>
    const LaidLamp* lamp(const std::optional<Value>& value, show::FixtureId id) {
        const show::LayingPtr* laying = value ? value->laying() : nullptr;
        return laying ? laid(*laying)->lamp(id) : nullptr;
    }
    const std::shared_ptr<const LaidOut>& laid(const show::LayingPtr& laying);
    // What a value shows: palettes followed, gradients laid out.
    show::Shown shown(const show::Value& value, show::FixtureId id);
    const std::map<show::LayingPtr, std::shared_ptr<const LaidOut>>& all() const { return laid_; }

private:
    show::ShowPtr show_;
    const Sources& from_;
    Mixes& mixes_;
    std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> laid_;
};

} // namespace zelo::play
