// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/compile.h"

#include "colour/cct.h"
#include "play/ripple_mix.h"
#include "route/way.h"

#include <algorithm>

namespace zelo::play {

namespace {

bool follows(const show::Values& values) {
    return std::any_of(values.begin(), values.end(), [](const auto& entry) {
        const auto one = [](const auto& source) {
            return source && (source->palette() || source->laying());
        };
        return one(entry.second->intensity) || one(entry.second->colour);
    });
}

// What the hand does to colours that are kept.
std::map<show::FixtureId, colour::Uv> nudgesOf(const show::Values& hand) {
    std::map<show::FixtureId, colour::Uv> all;
    for (const auto& [id, value] : hand)
        if (!value->colour && !(value->nudge == colour::Uv{0, 0}))
            all.emplace(id, value->nudge);
    return all;
}

class Compiler {
public:
    Compiler(const show::State& state, const Sources& from, Mixes& mixes, const Compiled* before)
        : show_(*state.show), hand_(*state.hand), from_(from), mixes_(mixes),
          gradients_(state.show, from, mixes), before_(before) {
        all_.state = state;
        all_.version = from.version();
        all_.cameras = from.cameras();
    }

    Compiled run() {
        for (const auto& [id, fixture] : show_.fixtures)
            addLamp(*fixture);
        program_.first.push_back(static_cast<std::uint32_t>(program_.home.size()));
        program_.settings_first.push_back(
            static_cast<std::uint32_t>(program_.settings_home.size()));
        program_.lamps = all_.fixtures.size();
        program_.dark_first = show_.dark_first;
        program_.even_to_the_eye = show_.even_to_the_eye;
        same_rig_ = before_ && before_->state.show->fixtures == show_.fixtures &&
                    before_->mixers == all_.mixers && before_->version == all_.version;
        same_rig_ = same_rig_ && nudgesOf(*before_->state.hand) == nudgesOf(hand_);
        same_palettes_ = same_rig_ && before_->state.show->palettes == show_.palettes &&
                         before_->state.show->white_cct_k == show_.white_cct_k;
        makeTables();
        program_.standing = same_palettes_ && before_->state.show->standing == show_.standing
                                ? before_->program->standing
                                : sourceOf(show_.standing);
        program_.locked = lockedSource();
        askLamps();
        for (const auto& [id, ripple] : show_.ripples) {
            program_.ripples.push_back(sameRipple(id) ? *sameRipple(id) : playedRipple(*ripple));
            program_.ripple_ids.push_back(id.value);
            all_.ripples.push_back(id);
        }
        for (const auto& [id, list] : show_.cue_lists) {
            PlayedList played;
            played.back_s = list->back_s;
            played.at_end = list->at_end == show::AtEnd::Again      ? PlayedList::AtEnd::Again
                            : list->at_end == show::AtEnd::ToAndFro ? PlayedList::AtEnd::ToAndFro
                                                                    : PlayedList::AtEnd::Stop;
            played.release_s = list->release_s;
            for (const auto& [number, cue] : list->cues)
                played.cues.push_back(playedCue(*cue, list->cues.item(number)));
            program_.lists.push_back(std::move(played));
            program_.list_ids.push_back(id.value);
            all_.lists.push_back(id);
        }
        for (const auto& [id, fader] : show_.faders) {
            const auto& look = show_.looks.item(fader->look);
            const bool adds = fader->ofEmitters() || (look && fader->adds);
            const auto list = std::find(all_.lists.begin(), all_.lists.end(), fader->list);
            PlayedFader played{adds ? PlayedFader::Mode::Adds : PlayedFader::Mode::Latest,
                               saysNothing()};
            const auto ripple = std::find(all_.ripples.begin(), all_.ripples.end(), fader->ripple);
            if (ripple != all_.ripples.end())
                played.ripple = static_cast<std::size_t>(ripple - all_.ripples.begin());
            else if (list != all_.lists.end())
                played.list = static_cast<std::size_t>(list - all_.lists.begin());
            else
                played.says = look ? made(look, look->values) : sourceOf(*fader);
            program_.faders.push_back(std::move(played));
            program_.fader_ids.push_back(id.value);
            all_.faders.push_back(id);
        }
        complete(program_);
        keepWays();
        all_.laid = gradients_.all();
        all_.program = std::make_shared<const Program>(std::move(program_));
        return std::move(all_);
    }

private:
    // The intensity of a group, or emitters.
    SourcePtr sourceOf(const show::Fader& fader) const {
        const show::Group* group = show_.group(fader.group);
        auto source = std::make_shared<Source>();
        for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp) {
            const auto& mixer = all_.mixers[lamp];
            const auto id = all_.fixtures[lamp];
            if (!mixer || (group && std::find(group->fixtures.begin(), group->fixtures.end(), id) ==
                                        group->fixtures.end()))
                continue;
            if (!fader.ofEmitters()) {
                source->add(lamp, 1, {});
                continue;
            }
            light::Drives drives = mixer->type().ready(mixer->mode());
            bool any = false;
            for (std::size_t e = 0; e < mixer->type().emitters.size(); ++e) {
                const bool on = isOf(fader, *mixer, e);
                drives[e] = on ? 1 : 0;
                any = any || on;
            }
            if (any)
                source->add(lamp, 1, {drives.begin(), drives.end()});
        }
        return source;
    }
    bool isOf(const show::Fader& fader, const mix::Mixer& mixer, std::size_t emitter) const {
        const light::Emitter& e = mixer.type().emitters[emitter];
        return !e.source && bringsEmitter(fader, e.name, mixer.partLight(emitter),
                                          colour::planckianUv({show_.white_cct_k}));
    }

    void addLamp(const show::Fixture& fixture) {
        lamp_of_.emplace(fixture.id, static_cast<std::uint32_t>(all_.fixtures.size()));
        all_.fixtures.push_back(fixture.id);
        program_.lamp_ids.push_back(fixture.id.value);
        all_.mixers.push_back(mixes_.mixerOf(from_, fixture));
        program_.first.push_back(static_cast<std::uint32_t>(program_.home.size()));
        program_.exempt.push_back(fixture.exempt);
        program_.settings_first.push_back(
            static_cast<std::uint32_t>(program_.settings_home.size()));
        if (!all_.mixers.back())
            return;
        const light::Mode& mode = all_.mixers.back()->mode();
        for (const std::size_t i : mode.settings()) {
            const light::Channel& c = mode.channels[i];
            program_.settings_home.push_back(c.shareOf(c.home));
            program_.settings_snap.push_back(c.snaps);
        }
        const auto home = homeDrives(*all_.mixers.back(), fixture);
        program_.home.insert(program_.home.end(), home.begin(), home.end());
    }

    void makeTables() {
        if (before_ && before_->mixers == all_.mixers) {
            all_.tables = before_->tables;
            return;
        }
        std::map<const mix::Mixer*, std::shared_ptr<const light::ModeTable>> known;
        if (before_)
            for (std::size_t lamp = 0; lamp < before_->mixers.size(); ++lamp)
                known.emplace(before_->mixers[lamp].get(), before_->tables[lamp]);
        for (const auto& mixer : all_.mixers) {
            auto& table = known[mixer.get()];
            if (mixer && !table)
                table = std::make_shared<const light::ModeTable>(mixer->mode());
            all_.tables.push_back(table);
        }
    }

    // What standing light and hand ask for together; and what of it the hand says.
    void askLamps() {
        auto hand = std::make_shared<Source>();
        for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp) {
            const show::FixtureId id = all_.fixtures[lamp];
            const show::Value* in_hand = hand_.find(id);
            AskedLamp one = ask(show::valueOf(show_, hand_, id), lamp);
            one.in_hand = in_hand != nullptr;
            if (in_hand && all_.mixers[lamp])
                addTo(*hand, lamp,
                      in_hand->intensity ? one.told.trimmed() : std::optional<double>(),
                      in_hand->colour || !in_hand->parts.empty() ? &one : nullptr,
                      in_hand->colour ? kAllParts : partsOf(*in_hand, lamp));
            if (in_hand)
                addSettings(*hand, lamp, in_hand->settings);
            if (in_hand && !in_hand->intensity && in_hand->trim != 1) {
                program_.trims.resize(program_.lamps, -1);
                program_.trims[lamp] = in_hand->trim;
            }
            all_.asked.push_back(std::move(one));
        }
        program_.hand = std::move(hand);
    }

    // The mix of its colour, parts set by hand over it; parts alone stand over home.
    AskedLamp ask(const show::Value& value, std::uint32_t lamp) {
        AskedLamp one;
        const show::FixtureId id = all_.fixtures[lamp];
        const auto& mixer = all_.mixers[lamp];
        one.told = gradients_.shown(value, id);
        if (!mixer)
            return one;
        const show::Fixture& fixture = *show_.fixture(id);
        const LaidLamp* laid = gradients_.lamp(value.colour, id);
        if (laid && laid->colour)
            one.dim = laid->dim;
        if (laid && laid->colour && one.told.nudge == colour::Uv{0, 0})
            one.colour = laid->colour;
        else if (one.told.colour)
            one.colour = mixes_.mixed(
                from_, mixer, *one.told.colour,
                fixture.calibration ? fixture.calibration->off : colour::Uv{0, 0}, one.told.nudge);
        if (one.colour)
            one.drives = one.colour->mix.drives;
        for (const auto& [name, level] : one.told.parts)
            if (const auto part = mixer->type().partNamed(name)) {
                if (!one.drives)
                    one.drives = homeDrives(*mixer, fixture);
                (*one.drives)[*part] = level;
                one.by_hand = true;
            }
        return one;
    }

    // Single ones that a value sets, without a colour.
    Parts partsOf(const show::Value& value, std::uint32_t lamp) const {
        Parts parts = 0;
        for (const auto& [name, level] : value.parts)
            if (const auto part = all_.mixers[lamp]->type().partNamed(name))
                parts |= Parts{1} << *part;
        const std::size_t count = all_.mixers[lamp]->type().partCount();
        return parts == (Parts{1} << count) - 1 ? kAllParts : parts;
    }

    static void addTo(Source& source, std::uint32_t lamp, std::optional<double> intensity,
                      const AskedLamp* colour, Parts parts) {
        if (colour && colour->drives) {
            const auto drives =
                colour->dim < 1 ? colour->drives->scaled(colour->dim) : *colour->drives;
            source.add(lamp, intensity, {drives.begin(), drives.size()}, parts);
        } else if (intensity) {
            source.add(lamp, intensity, {});
        }
    }

    // What of it has a channel in the lamp's mode.
    void addSettings(Source& source, std::uint32_t lamp, const show::PartLevels& settings) const {
        if (settings.empty() || !all_.mixers[lamp])
            return;
        const light::Mode& mode = all_.mixers[lamp]->mode();
        std::uint32_t at = program_.settings_first[lamp];
        for (const std::size_t i : mode.settings()) {
            if (const auto it = settings.find(mode.channels[i].name); it != settings.end())
                source.set(at, it->second);
            ++at;
        }
    }

    SourcePtr lockedSource() {
        auto source = std::make_shared<Source>();
        for (const auto& [id, value] : show_.locked) {
            const auto lamp = lamp_of_.find(id);
            if (lamp == lamp_of_.end() || !all_.mixers[lamp->second])
                continue;
            const AskedLamp one = ask(*value, lamp->second);
            addTo(*source, lamp->second, one.told.trimmed().value_or(0), &one, kAllParts);
            addSettings(*source, lamp->second, value->settings);
        }
        return source;
    }

    SourcePtr sourceOf(const show::Values& values) {
        auto source = std::make_shared<Source>();
        for (const auto& [id, value] : values) {
            const auto lamp = lamp_of_.find(id);
            if (lamp == lamp_of_.end() || !all_.mixers[lamp->second])
                continue;
            show::Value all = *value;
            if (const show::Value* held = hand_.find(id); held && !held->colour)
                all.nudge = all.nudge + held->nudge; // over whatever plays
            const AskedLamp one = ask(all, lamp->second);
            addTo(*source, lamp->second, one.told.trimmed(), &one,
                  value->colour ? kAllParts : partsOf(*value, lamp->second));
            addSettings(*source, lamp->second, value->settings);
        }
        return source;
    }

    // Of a cue or look: the one before it where nothing that it depends on has changed.
    SourcePtr made(const std::shared_ptr<const void>& of, const show::Values& values) {
        Compiled::Made one;
        if (same_rig_)
            if (const auto known = before_->made.find(of);
                known != before_->made.end() && (same_palettes_ || !known->second.follows))
                one = known->second;
        if (!one.source)
            one = {sourceOf(values), follows(values)};
        return all_.made.insert_or_assign(of, one).first->second.source;
    }

    // As it was compiled before, where nothing of it has changed; its ways go along.
    const PlayedRipple* sameRipple(show::RippleId id) const {
        if (!same_palettes_ || before_->state.show->ripples.item(id) != show_.ripples.item(id))
            return nullptr;
        const auto old = std::find(before_->ripples.begin(), before_->ripples.end(), id);
        return &before_->program->ripples[static_cast<std::size_t>(old - before_->ripples.begin())];
    }

    // Each step is mixed once for lamps that are made alike; ways are planned later.
    PlayedRipple playedRipple(const show::Ripple& ripple) {
        const auto delays = rippleDelays(
            ripple, placesAlong(show_, ripple.arrangement, ripple.along, ripple.lamps));
        PlayedRipple played{delays.times, ripple.release_s};
        struct At {
            std::uint32_t lamp;
            double delay_s;
        };
        std::vector<At> lamps;
        for (std::size_t i = 0; i < ripple.lamps.size(); ++i)
            if (const auto it = lamp_of_.find(ripple.lamps[i]);
                it != lamp_of_.end() && all_.mixers[it->second])
                lamps.push_back({it->second, delays.delay_s[i]});
        std::sort(lamps.begin(), lamps.end(),
                  [](const At& a, const At& b) { return a.lamp < b.lamp; });
        for (const auto& step : ripple.steps)
            played.intensity.push_back(step.intensity);
        struct Kind { // of lamps that are made alike, and show colours as far off
            const mix::Mixer* mixer;
            double off_u, off_v, nudge_u, nudge_v;
            auto operator<=>(const Kind&) const = default;
        };
        std::map<Kind, std::uint32_t> tables;
        for (const At& at : lamps) {
            const auto& mixer = all_.mixers[at.lamp];
            const show::FixtureId id = all_.fixtures[at.lamp];
            const show::Value* held = hand_.find(id);
            const colour::Uv nudge = held && !held->colour ? held->nudge : colour::Uv{0, 0};
            const auto& calibration = show_.fixture(id)->calibration;
            const colour::Uv off = calibration ? calibration->off : colour::Uv{0, 0};
            const auto [table, fresh] =
                tables.try_emplace({mixer.get(), off.u, off.v, nudge.u, nudge.v},
                                   static_cast<std::uint32_t>(played.tables.size()));
            if (fresh)
                played.tables.push_back(mixRipple(show_, ripple, mixer, from_, mixes_, off, nudge));
            played.lamps.push_back(at.lamp);
            played.delay_s.push_back(at.delay_s);
            played.table.push_back(table->second);
            played.latest_s = std::max(played.latest_s, at.delay_s);
        }
        return played;
    }

    PlayedCue playedCue(const show::Cue& cue, const std::shared_ptr<const show::Cue>& item) {
        PlayedCue played;
        played.number = cue.number.value();
        played.up_s = cue.up_s;
        played.down_s = cue.down_s;
        played.up_delay_s = cue.up_delay_s;
        played.down_delay_s = cue.down_delay_s;
        played.colour_s = cue.colour_s;
        played.colour_delay_s = cue.colour_delay_s;
        played.dark_first = cue.dark_first;
        played.follow = cue.follow == show::FollowWhen::AfterStart  ? PlayedCue::Follow::AfterStart
                        : cue.follow == show::FollowWhen::WhenDone  ? PlayedCue::Follow::WhenDone
                        : cue.follow == show::FollowWhen::TimeOfDay ? PlayedCue::Follow::TimeOfDay
                                                                    : PlayedCue::Follow::None;
        played.follow_s = cue.follow_s;
        played.changes = made(item, cue.values);
        for (const show::CueRipple& act : cue.ripples) {
            const auto it = std::find(all_.ripples.begin(), all_.ripples.end(), act.ripple);
            if (it != all_.ripples.end())
                played.ripples.push_back(
                    {static_cast<std::size_t>(it - all_.ripples.begin()), act.does});
        }
        return played;
    }

    // Ways that are known, of lamps that are made as before: where they do not lead there any more
    // the engine does not take them.
    void keepWays() {
        if (!before_)
            return;
        const Program& was = *before_->program;
        for (std::size_t r = 0; r < program_.ripples.size(); ++r) {
            const auto old =
                std::find(before_->ripples.begin(), before_->ripples.end(), all_.ripples[r]);
            if (old == before_->ripples.end())
                continue;
            const auto& tables =
                was.ripples[static_cast<std::size_t>(old - before_->ripples.begin())].tables;
            for (auto& table : program_.ripples[r].tables)
                for (const auto& one : tables)
                    if (one.steps == table.steps)
                        table.ways = one.ways; // the planner looks whether they are meant
        }
        std::vector<std::optional<std::uint32_t>> old_lamp(program_.lamps);
        for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp)
            if (const auto old = before_->lampOf(all_.fixtures[lamp]);
                old && before_->mixers[*old] == all_.mixers[lamp])
                old_lamp[lamp] = old;
        if (!was.change_ways.empty()) {
            program_.change_ways.resize(program_.lamps);
            for (std::uint32_t lamp = 0; lamp < program_.lamps; ++lamp)
                if (old_lamp[lamp])
                    program_.change_ways[lamp] = was.change_ways[*old_lamp[lamp]];
        }
        for (std::size_t l = 0; l < program_.lists.size(); ++l) {
            const auto old = std::find(before_->lists.begin(), before_->lists.end(), all_.lists[l]);
            if (old == before_->lists.end())
                continue;
            const auto& cues =
                was.lists[static_cast<std::size_t>(old - before_->lists.begin())].cues;
            auto same = cues.begin();
            for (PlayedCue& cue : program_.lists[l].cues) {
                while (same != cues.end() && same->number < cue.number)
                    ++same;
                if (same != cues.end() && same->number == cue.number && !same->ways.empty())
                    cue.ways =
                        same->changes == cue.changes ? same->ways : waysOf(cue, *same, old_lamp);
            }
        }
    }
    static std::vector<PlannedPtr>
    waysOf(const PlayedCue& cue, const PlayedCue& before,
           const std::vector<std::optional<std::uint32_t>>& old_lamp) {
        std::vector<PlannedPtr> ways(cue.changes->says().size());
        const auto& before_says = before.changes->says();
        for (std::size_t k = 0; k < ways.size(); ++k)
            if (const auto old = old_lamp[cue.changes->says()[k].lamp])
                if (const Said* said = before.changes->of(*old))
                    ways[k] = before.ways[static_cast<std::size_t>(said - before_says.data())];
        return ways;
    }

    const show::Show& show_;
    const show::Values& hand_;
    const Sources& from_;
    Mixes& mixes_;
    Gradients gradients_;
    const Compiled* before_;
    bool same_rig_ = false, same_palettes_ = false;
    Program program_;
    Compiled all_;
    std::map<show::FixtureId, std::uint32_t> lamp_of_;
};

} // namespace

std::optional<show::Family> familyOf(const colour::Uv& uv, const colour::Uv& white) {
    constexpr double kWhite_uv = 0.055; // white emitters, warm and cool
    if (distance(uv, white) < kWhite_uv)
        return std::nullopt;
    const std::string_view hue = route::hueWord(uv, white);
    if (hue == "red" || hue == "orange" || hue == "yellow")
        return show::Family::Warm;
    if (hue == "green")
        return show::Family::Green;
    if (hue == "cyan" || hue == "blue" || hue == "violet")
        return show::Family::Blue;
    return std::nullopt;
}

bool bringsEmitter(const show::Fader& fader, const std::string& name, const colour::Xyz& light,
                   const colour::Uv& white) {
    if (std::find(fader.emitters.begin(), fader.emitters.end(), name) != fader.emitters.end())
        return true;
    return fader.family && colour::hasChromaticity(light) &&
           familyOf(colour::toUv(light), white) == fader.family;
}

std::optional<std::uint32_t> Compiled::lampOf(show::FixtureId id) const {
    const auto it = std::lower_bound(fixtures.begin(), fixtures.end(), id);
    return it != fixtures.end() && *it == id
               ? std::optional(static_cast<std::uint32_t>(it - fixtures.begin()))
               : std::nullopt;
}

Compiled compiled(const show::State& state, const Sources& from, Mixes& mixes,
                  const Compiled* before) {
    return Compiler(state, from, mixes, before).run();
}

} // namespace zelo::play
