// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "mix/together.h"
#include "play/compile.h"
#include "show/routes.h"

#include <algorithm>
#include <set>

namespace zelo::play {

namespace {

light::Drives drivesAt(const double* from, std::size_t parts) {
    light::Drives drives(parts);
    std::copy_n(from, parts, drives.begin());
    return drives;
}

constexpr std::size_t kMostWays = 8'000; // of cues: those behind go straight

// Plans what is missing; a program with it is made when there was any.
class Planner {
public:
    Planner(const std::shared_ptr<const Compiled>& compiled, Ways& ways,
            const std::function<bool()>& enough)
        : compiled_(compiled), program_(*compiled->program), show_(*compiled->state.show),
          ways_(ways), enough_(enough), white_(colour::planckianUv({show_.white_cct_k})) {}

    // From what standing light and hand said before to what they say now.
    std::shared_ptr<const Compiled> changes(const Compiled& before, const LampWays* own) {
        std::vector<std::pair<std::uint32_t, std::uint32_t>> lamps; // now and before
        Mixers fading;
        for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp) {
            const auto old = before.lampOf(compiled_->fixtures[lamp]);
            if (!old || before.mixers[*old] != compiled_->mixers[lamp])
                continue;
            const bool by_hand = compiled_->asked[lamp].by_hand || before.asked[*old].by_hand;
            if (by_hand && !(own && own->contains(compiled_->fixtures[lamp])))
                continue;
            const double* from = colourIn(*before.program, *old);
            const double* to = colourIn(program_, lamp);
            if (!from || !to || std::equal(from, from + program_.parts(lamp), to))
                continue;
            lamps.emplace_back(lamp, *old);
            fading.insert(compiled_->mixers[lamp]);
        }
        std::vector<std::pair<std::uint32_t, PlannedPtr>> found;
        for (const auto& [lamp, old] : lamps) {
            const show::FixtureId id = compiled_->fixtures[lamp];
            show::WayHeld held = show::wayHeld(show_, nullptr, colourPalette(before.state, id),
                                               colourPalette(compiled_->state, id));
            mix::MixWish mixing = both(before.asked[old], compiled_->asked[lamp]);
            if (own)
                if (const auto it = own->find(id); it != own->end()) {
                    held = {it->second.way, false};
                    mixing = it->second.mixing;
                }
            const PlannedPtr known =
                lamp < program_.change_ways.size() ? program_.change_ways[lamp] : nullptr;
            if (auto way = missing(lamp, colourIn(*before.program, old), colourIn(program_, lamp),
                                   held, fading, known, mixing))
                found.emplace_back(lamp, std::move(way));
        }
        if (found.empty())
            return compiled_;
        auto next = std::make_shared<Program>(program_);
        next->change_ways.resize(next->lamps);
        for (auto& [lamp, way] : found)
            next->change_ways[lamp] = std::move(way);
        return with(std::move(next));
    }

    std::shared_ptr<const Compiled> cues() {
        std::size_t planned = 0;
        for (const PlayedList& list : program_.lists)
            for (const PlayedCue& cue : list.cues)
                planned += static_cast<std::size_t>(
                    std::count_if(cue.ways.begin(), cue.ways.end(),
                                  [](const PlannedPtr& way) { return way != nullptr; }));
        std::vector<Found> found;
        for (std::size_t l = 0; l < program_.lists.size(); ++l)
            for (std::size_t c = 1; c < program_.lists[l].cues.size(); ++c)
                if (planned + found.size() < kMostWays)
                    planCue(l, c, found);
        const auto rippling = ripples();
        if (found.empty() && rippling.empty())
            return compiled_;
        auto next = std::make_shared<Program>(program_);
        for (const auto& [at, way] : rippling) {
            auto& table = next->ripples[at.ripple].tables[at.table];
            table.ways.resize(table.steps.size() * table.steps.size());
            table.ways[at.way] = way;
        }
        for (Found& f : found) {
            PlayedCue& cue = next->lists[f.list].cues[f.cue];
            cue.ways.resize(cue.changes->says().size());
            cue.ways[f.said] = std::move(f.way);
        }
        return with(std::move(next));
    }

private:
    using Mixers = std::set<std::shared_ptr<const mix::Mixer>>;
    struct RippleWay {
        std::size_t ripple, table, way;
    };
    // Between steps that follow one another in any of its turns.
    std::vector<std::pair<RippleWay, PlannedPtr>> ripples() {
        std::vector<std::pair<RippleWay, PlannedPtr>> found;
        for (std::size_t r = 0; r < program_.ripples.size(); ++r) {
            const PlayedRipple& played = program_.ripples[r];
            const show::Ripple& ripple = *show_.ripples.find(compiled_->ripples[r]);
            if (ripple.way && ripple.way->kind == route::Kind::Jump)
                continue; // its changes are hard
            std::set<std::uint32_t> seen;
            for (std::size_t i = 0; i < played.lamps.size(); ++i)
                if (seen.insert(played.table[i]).second)
                    rippleWays(r, played.lamps[i], played.table[i], ripple, found);
        }
        return found;
    }
    void rippleWays(std::size_t r, std::uint32_t lamp, std::size_t table,
                    const show::Ripple& ripple,
                    std::vector<std::pair<RippleWay, PlannedPtr>>& found) {
        const auto& steps = program_.ripples[r].tables[table].steps;
        const auto& ways = program_.ripples[r].tables[table].ways;
        const std::size_t n = steps.size();
        const show::WayHeld held{ripple.way, true};
        const auto plan = [&](std::size_t a, std::size_t b) {
            if (a == b)
                return;
            const std::size_t at = a * n + b;
            if (auto way = missing(lamp, steps[a].data(), steps[b].data(), held, {},
                                   at < ways.size() ? ways[at] : nullptr))
                found.emplace_back(RippleWay{r, table, at}, std::move(way));
        };
        for (std::size_t s = 0; s < n; ++s) {
            if (ripple.pattern == show::Pattern::Pulse)
                plan(0, s); // from the rest to each accent
            else
                plan(s, (s + 1) % n);
        }
    }
    struct Found {
        std::size_t list, cue, said;
        PlannedPtr way;
    };

    std::shared_ptr<const Compiled> with(std::shared_ptr<const Program> program) const {
        auto next = std::make_shared<Compiled>(*compiled_);
        next->program = std::move(program);
        return next;
    }

    // The way from one row to another; null where it is known, or there is none.
    PlannedPtr missing(std::uint32_t lamp, const double* from, const double* to,
                       const show::WayHeld& held, const Mixers& fading, const PlannedPtr& known,
                       const mix::MixWish& mixing = {}) {
        const std::size_t parts = program_.parts(lamp);
        if (!from || !to || !compiled_->mixers[lamp] || std::equal(from, from + parts, to))
            return nullptr;
        const mix::Mixer& mixer = *compiled_->mixers[lamp];
        WayWish wish{held.way};
        if (held.way && held.loose && !held.way->via.empty())
            wish.way = route::fitted(*held.way, uvOf(mixer, from, parts), uvOf(mixer, to, parts));
        if (held.way && held.way->common)
            wish.reach = reachOf(fading);
        if ((known && known->leads(from, to, wish)) || (enough_ && enough_()))
            return nullptr;
        return ways_.planned({compiled_->mixers[lamp], drivesAt(from, parts), drivesAt(to, parts),
                              white_, std::move(wish), mixing});
    }

    colour::Uv uvOf(const mix::Mixer& mixer, const double* drives, std::size_t parts) const {
        const auto xyz = mixer.xyzOf(drivesAt(drives, parts));
        return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : white_;
    }
    // Of all that fade together; empty where they share none that holds the white.
    const colour::Polygon& reachOf(const Mixers& fading) {
        const auto [at, fresh] = reaches_.try_emplace(fading);
        if (fresh) {
            std::vector<const mix::Mixer*> all;
            for (const auto& mixer : fading)
                if (mixer)
                    all.push_back(mixer.get());
            at->second = mix::commonReach(all);
            if (!route::Disc::of(at->second, white_))
                at->second = {};
        }
        return at->second;
    }
    // What its colour follows, where that matters.
    static show::PaletteId colourPalette(const show::State& state, show::FixtureId id) {
        if (state.show->routes_between.empty())
            return {};
        const show::Value value = show::valueOf(*state.show, *state.hand, id);
        return value.colour && !value.colour->laying() ? value.colour->palette()
                                                       : show::PaletteId{};
    }

    // What the mixes of both want along the way.
    static mix::MixWish both(const AskedLamp& a, const AskedLamp& b) {
        return a.colour && b.colour ? mix::inBoth(a.colour->wish, b.colour->wish) : mix::MixWish{};
    }
    // Likewise of what two cues say of a lamp.
    mix::MixWish both(std::size_t list, std::size_t a, std::size_t b, std::uint32_t lamp) const {
        const auto wishIn = [&](std::size_t cue) -> std::optional<mix::MixWish> {
            const show::Value* value = cueAt(list, cue).values.find(compiled_->fixtures[lamp]);
            const auto colour = value ? show::followed(show_, *value).colour : std::nullopt;
            return colour && compiled_->mixers[lamp]
                       ? std::optional(
                             wishFor(compiled_->mixers[lamp]->type(), *colour, compiled_->cameras))
                       : std::nullopt;
        };
        const auto first = wishIn(a);
        const auto second = wishIn(b);
        return first && second ? mix::inBoth(*first, *second) : mix::MixWish{};
    }
    static const double* colourIn(const Program& p, std::uint32_t lamp) {
        for (const SourcePtr* source : {&p.hand, &p.standing})
            if (const Said* said = (*source)->of(lamp); said && said->colour)
                return said->colour;
        return nullptr;
    }

    void planCue(std::size_t l, std::size_t c, std::vector<Found>& found) {
        const PlayedCue& cue = program_.lists[l].cues[c];
        const show::Cue& asked = cueAt(l, c);
        const auto& says = cue.changes->says();
        const auto& lamps = program_.lists[l].lamps;
        Mixers fading; // when it matters
        const show::Route* route = show_.routes.find(asked.route);
        const auto& own = route ? std::optional(route->way) : asked.way ? asked.way : show_.way;
        if ((own && own->common) || !show_.routes_between.empty())
            for (const Said& said : says)
                if (said.colour)
                    fading.insert(compiled_->mixers[said.lamp]);
        auto at = lamps.begin();
        for (std::size_t k = 0; k < says.size(); ++k) {
            const std::uint32_t lamp = says[k].lamp;
            at = std::lower_bound(at, lamps.end(), lamp);
            const Stands* before = program_.lists[l].standsFor(
                static_cast<std::size_t>(at - lamps.begin()), static_cast<int>(c) - 1);
            if (!before || !before->colour || !says[k].colour || byHand(l, c, lamp) ||
                byHand(l, static_cast<std::size_t>(before->colour_cue), lamp))
                continue;
            const show::WayHeld held = show::wayHeld(
                show_, &asked,
                paletteIn(*compiled_, l, static_cast<std::size_t>(before->colour_cue), lamp),
                paletteIn(*compiled_, l, c, lamp));
            if (auto way = missing(lamp, before->colour, says[k].colour, held, fading,
                                   k < cue.ways.size() ? cue.ways[k] : nullptr,
                                   both(l, static_cast<std::size_t>(before->colour_cue), c, lamp)))
                found.push_back({l, c, k, std::move(way)});
        }
    }
    const show::Cue& cueAt(std::size_t list, std::size_t cue) const {
        return *show_.cue_lists.find(compiled_->lists[list])->cues.entry(cue).second;
    }
    bool byHand(std::size_t list, std::size_t cue, std::uint32_t lamp) const {
        const show::Value* value = cueAt(list, cue).values.find(compiled_->fixtures[lamp]);
        return value && !value->parts.empty();
    }

    std::shared_ptr<const Compiled> compiled_;
    const Program& program_;
    const show::Show& show_;
    Ways& ways_;
    const std::function<bool()>& enough_;
    colour::Uv white_;
    std::map<Mixers, colour::Polygon> reaches_;
};

} // namespace

show::PaletteId paletteIn(const Compiled& compiled, std::size_t list, std::size_t cue,
                          std::uint32_t lamp) {
    const show::Cue& asked =
        *compiled.state.show->cue_lists.find(compiled.lists[list])->cues.entry(cue).second;
    const show::Value* value = asked.values.find(compiled.fixtures[lamp]);
    return value && value->colour && !value->colour->laying() ? value->colour->palette()
                                                              : show::PaletteId{};
}

std::shared_ptr<const Compiled> withWaysOfChanges(const std::shared_ptr<const Compiled>& compiled,
                                                  const Compiled* before, Ways& ways,
                                                  const std::function<bool()>& enough,
                                                  const LampWays* own) {
    return before ? Planner(compiled, ways, enough).changes(*before, own) : compiled;
}

std::shared_ptr<const Compiled> withWaysOfCues(const std::shared_ptr<const Compiled>& compiled,
                                               Ways& ways, const std::function<bool()>& enough) {
    return Planner(compiled, ways, enough).cues();
}

} // namespace zelo::play
