// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "play/compile.h"

#include <algorithm>

namespace zelo::play {

namespace {

light::Drives drivesAt(const double* from, std::size_t parts) {
    light::Drives drives(parts);
    std::copy_n(from, parts, drives.begin());
    return drives;
}

constexpr std::size_t kMostWays = 8'000; // of cues: those behind go straight

// Plans what is missing into a copy of the program.
class Planner {
public:
    Planner(const Compiled& compiled, Ways& ways, const std::function<bool()>& enough)
        : compiled_(compiled), ways_(ways), enough_(enough), program_(*compiled.program),
          white_(colour::planckianUv({compiled.state.show->white_cct_k})) {
        for (const PlayedList& list : program_.lists)
            for (const PlayedCue& cue : list.cues)
                planned_ += static_cast<std::size_t>(
                    std::count_if(cue.ways.begin(), cue.ways.end(),
                                  [](const PlannedPtr& way) { return way != nullptr; }));
    }

    // Null: nothing was missing.
    std::shared_ptr<const Program> run(const Compiled* before) {
        if (before)
            planChanges(*before);
        for (std::size_t l = 0; l < program_.lists.size(); ++l)
            for (std::size_t c = 1; c < program_.lists[l].cues.size(); ++c)
                planCue(l, c);
        return any_ ? std::make_shared<const Program>(std::move(program_)) : nullptr;
    }

private:
    bool enough() const { return enough_ && enough_(); }

    // Puts the way from one row to another at this place, where it is not there.
    void plan(std::uint32_t lamp, const double* from, const double* to,
              const std::optional<route::StopWay>& wish, std::vector<PlannedPtr>& ways,
              std::size_t place, std::size_t places, const mix::MixWish& mixing = {}) {
        const std::size_t parts = program_.parts(lamp);
        if (!from || !to || !compiled_.mixers[lamp] || std::equal(from, from + parts, to) ||
            (place < ways.size() && ways[place] && ways[place]->leads(from, to, wish)) ||
            planned_ >= kMostWays || enough())
            return;
        auto way = ways_.planned({compiled_.mixers[lamp], drivesAt(from, parts),
                                  drivesAt(to, parts), white_, wish, mixing});
        if (!way)
            return;
        ways.resize(places);
        ways[place] = std::move(way);
        any_ = true;
        ++planned_;
    }

    // From what standing light and hand said before to what they say now.
    void planChanges(const Compiled& before) {
        for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp) {
            const auto old = before.lampOf(compiled_.fixtures[lamp]);
            if (!old || before.mixers[*old] != compiled_.mixers[lamp] ||
                compiled_.asked[lamp].by_hand || before.asked[*old].by_hand)
                continue;
            plan(lamp, colourIn(*before.program, *old), colourIn(program_, lamp),
                 compiled_.state.show->way, program_.change_ways, lamp, program_.lamps,
                 both(before.asked[*old], compiled_.asked[lamp]));
        }
    }
    // What the mixes of both keep out and pin.
    static mix::MixWish both(const AskedLamp& a, const AskedLamp& b) {
        mix::MixWish mixing;
        if (!a.colour || !b.colour)
            return mixing;
        const mix::MixWish& first = a.colour->wish;
        const mix::MixWish& second = b.colour->wish;
        for (const std::size_t part : first.keep_out)
            if (std::find(second.keep_out.begin(), second.keep_out.end(), part) !=
                second.keep_out.end())
                mixing.keep_out.push_back(part);
        for (const mix::Pin& pin : first.pins)
            if (std::find(second.pins.begin(), second.pins.end(), pin) != second.pins.end())
                mixing.pins.push_back(pin);
        return mixing;
    }
    static const double* colourIn(const Program& p, std::uint32_t lamp) {
        for (const SourcePtr* source : {&p.hand, &p.standing})
            if (const Said* said = (*source)->of(lamp); said && said->colour)
                return said->colour;
        return nullptr;
    }

    void planCue(std::size_t l, std::size_t c) {
        auto& cues = program_.lists[l].cues;
        const auto& wish = cueAt(l, c).way ? cueAt(l, c).way : compiled_.state.show->way;
        const auto& says = cues[c].changes->says();
        const auto& lamps = program_.lists[l].lamps;
        auto at = lamps.begin();
        for (std::size_t k = 0; k < says.size(); ++k) {
            const std::uint32_t lamp = says[k].lamp;
            at = std::lower_bound(at, lamps.end(), lamp);
            const Stands* before = program_.lists[l].standsFor(
                static_cast<std::size_t>(at - lamps.begin()), static_cast<int>(c) - 1);
            if (before && before->colour && says[k].colour && !byHand(l, c, lamp) &&
                !byHand(l, static_cast<std::size_t>(before->colour_cue), lamp))
                plan(lamp, before->colour, says[k].colour, wish, cues[c].ways, k, says.size());
        }
    }
    const show::Cue& cueAt(std::size_t list, std::size_t cue) const {
        return *compiled_.state.show->cue_lists.find(compiled_.lists[list])->cues.entry(cue).second;
    }
    bool byHand(std::size_t list, std::size_t cue, std::uint32_t lamp) const {
        const show::Value* value = cueAt(list, cue).values.find(compiled_.fixtures[lamp]);
        return value && !value->parts.empty();
    }

    const Compiled& compiled_;
    Ways& ways_;
    const std::function<bool()>& enough_;
    Program program_;
    bool any_ = false;
    std::size_t planned_ = 0; // of cues
    colour::Uv white_;
};

} // namespace

std::shared_ptr<const Compiled> withWays(const std::shared_ptr<const Compiled>& compiled,
                                         const Compiled* before, Ways& ways,
                                         const std::function<bool()>& enough) {
    auto program = Planner(*compiled, ways, enough).run(before);
    if (!program)
        return compiled;
    auto next = std::make_shared<Compiled>(*compiled);
    next->program = std::move(program);
    return next;
}

} // namespace zelo::play
