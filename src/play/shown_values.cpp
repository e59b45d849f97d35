// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/shown_values.h"

#include "show/cue_edits.h"

namespace zelo::play {

namespace {

using Layer = Engine::From::Layer;
using show::Value;

// What lists stand for, worked out once.
class Standings {
public:
    explicit Standings(const Stage& stage) : stage_(stage) {}

    // What the source says of the lamp; null: nothing.
    const Value* of(const Engine::From& from, show::FixtureId id) {
        if (from.layer == Layer::List && from.cue && from.which < stage_.lists.size()) {
            const auto* list = stage_.show().cue_lists.find(stage_.lists[from.which].id);
            if (!list || *from.cue >= list->cues.size())
                return nullptr;
            const auto number = list->cues.entry(*from.cue).first;
            const auto [it, fresh] = known_.try_emplace({list->id, number});
            if (fresh)
                it->second = show::standsFor(*list, number);
            return it->second.find(id);
        }
        if (from.layer == Layer::Fader && from.which < stage_.faders.size()) {
            const auto* fader = stage_.show().faders.find(stage_.faders[from.which].id);
            const auto* look = fader ? stage_.show().lookOf(fader->look) : nullptr;
            return look ? look->values.find(id) : nullptr;
        }
        return nullptr;
    }

private:
    const Stage& stage_;
    std::map<std::pair<show::CueListId, show::CueNumber>, show::Values> known_;
};

} // namespace

show::Values shownValues(const Stage& stage, const show::Lineup& lineup) {
    Standings standings(stage);
    std::vector<show::Values::Change> all;
    for (const show::FixtureId id : lineup) {
        const StageLamp* lamp = stage.lamp(id);
        if (!lamp || !lamp->mixer)
            continue;
        const Value below = show::valueOf(stage.show(), *stage.state.hand, id);
        Value value = below; // with its trims, where hand and standing light have the say
        const auto own = [](Layer layer) {
            return layer == Layer::Hand || layer == Layer::Standing;
        };
        const Layer colour = lamp->colour_from.layer;
        if (!own(colour)) {
            value.colour.reset();
            value.parts.clear();
            value.nudge = {0, 0}; // it was of the colour that lies below
            if (const Value* said = standings.of(lamp->colour_from, id)) {
                value.colour = said->colour;
                value.parts = said->parts;
                value.nudge = said->nudge;
            } else if (colour == Layer::Adding || colour == Layer::Ripple) {
                value.parts = show::partLevels(lamp->mixer->type(), lamp->drives);
            }
        }
        const Layer intensity = lamp->intensity_from.layer;
        const Value* said = standings.of(lamp->intensity_from, id);
        if (!own(intensity)) {
            const Value* held = stage.state.hand->find(id);
            value.trim = 1;
            if (said && said->intensity && intensity == Layer::List) {
                value.intensity = said->intensity; // with its palette, and where it goes
                value.trim = said->trim * (held && !held->intensity ? held->trim : 1);
            } else if (intensity == Layer::Home && !(lamp->intensity > 0)) {
                value.intensity.reset();
            } else {
                value.intensity = show::Source<double>(lamp->intensity);
            }
        }
        if (!value.empty())
            all.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    }
    return show::Values{}.changed(std::move(all));
}

show::Values lockedValues(const Stage& stage, const show::Lineup& lineup) {
    std::vector<show::Values::Change> all;
    for (const show::FixtureId id : lineup) {
        const StageLamp* lamp = stage.lamp(id);
        if (!lamp || !lamp->mixer)
            continue;
        const bool out = lamp->dark == DarkWhy::Solo;
        Value value;
        value.intensity = out ? 0 : lamp->mastered;
        value.parts = show::partLevels(lamp->mixer->type(), lamp->drives);
        const auto& mode = lamp->mixer->mode();
        for (const std::size_t i : mode.settings())
            if (i < lamp->sent.values.size())
                value.settings[mode.channels[i].name] =
                    mode.channels[i].shareOf(lamp->sent.values[i]);
        all.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    }
    return show::Values{}.changed(std::move(all));
}

} // namespace zelo::play
