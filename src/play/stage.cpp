// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/stage.h"

#include <algorithm>

namespace zelo::play {

using light::Drives;

const char* words(DarkWhy why) {
    switch (why) {
    case DarkWhy::None:
        return "";
    case DarkWhy::NoType:
        return ZELO_TEXT("core", "its fixture type is not in the library");
    case DarkWhy::PastEnd:
        return ZELO_TEXT("core", "its slots run past 512");
    case DarkWhy::Blackout:
        return ZELO_TEXT("core", "Dark is on");
    case DarkWhy::Solo:
        return ZELO_TEXT("core", "others are solo");
    case DarkWhy::Locked:
        return ZELO_TEXT("core", "locked while it was dark");
    case DarkWhy::Master:
        return ZELO_TEXT("core", "master at 0");
    case DarkWhy::NoIntensity:
        return ZELO_TEXT("core", "no intensity set");
    case DarkWhy::Intensity:
        return ZELO_TEXT("core", "intensity at 0");
    case DarkWhy::Emitters:
        break;
    }
    return ZELO_TEXT("core", "all emitters at 0");
}

namespace {

using Layer = Engine::From::Layer;

DarkWhy whyDark(const StageLamp& lamp, const Controls& controls) {
    if (lamp.intensity_from.layer == Layer::Dark)
        return DarkWhy::Blackout;
    if (lamp.intensity_from.layer == Layer::Solo)
        return DarkWhy::Solo;
    if (lamp.locked)
        return lamp.sent.xyz.Y > 0 ? DarkWhy::None : DarkWhy::Locked;
    if (controls.master <= 0 && !(lamp.mastered > 0))
        return DarkWhy::Master;
    if (lamp.intensity_from.layer == Layer::Home)
        return DarkWhy::NoIntensity;
    if (lamp.intensity <= 0)
        return DarkWhy::Intensity;
    return lamp.sent.xyz.Y > 0 ? DarkWhy::None : DarkWhy::Emitters;
}

class Looker {
public:
    Looker(const Compiled& compiled, const Moment& moment, const Controls& controls,
           Rounding& rounding, std::vector<Rest>& rests,
           std::chrono::steady_clock::time_point until)
        : compiled_(compiled), moment_(moment), controls_(controls), rounding_(rounding),
          rests_(rests), until_(until) {}

    Stage run() {
        Stage stage{compiled_.state, controls_, {}, {}, {}, {}, compiled_.laid, moment_.runs, true};
        tellPlay(compiled_, moment_, stage);
        stage.lamps.reserve(compiled_.fixtures.size());
        for (std::uint32_t lamp = 0; lamp < compiled_.fixtures.size(); ++lamp)
            stage.lamps.push_back(lampOf(lamp));
        stage.whole = whole_;
        return stage;
    }

private:
    StageLamp lampOf(std::uint32_t at) {
        const Program& p = *compiled_.program;
        const AskedLamp& asked = compiled_.asked[at];
        StageLamp lamp;
        lamp.id = compiled_.fixtures[at];
        lamp.mixer = compiled_.mixers[at];
        lamp.in_hand = asked.in_hand;
        lamp.told = asked.told;
        const show::Fixture& fixture = *compiled_.state.show->fixture(lamp.id);
        lamp.moving = moment_.moving[at] != 0;
        lamp.intensity_from = moment_.intensity[at];
        lamp.colour_from = moment_.colour[at];
        lamp.intensity = moment_.shown.own[at];
        if (!lamp.mixer) {
            lamp.intensity = asked.told.intensity.value_or(0);
            lamp.dark = DarkWhy::NoType;
            return lamp;
        }
        lamp.colour = asked.colour;
        lamp.by_hand = asked.by_hand;
        const double* row = moment_.shown.drives.data() + p.first[at];
        lamp.drives = Drives(p.parts(at));
        std::copy_n(row, p.parts(at), lamp.drives.begin());
        // What it was asked for, through dark too: dimmed by its intensity, not in its drives.
        double out = moment_.shown.intensity[at];
        const bool as_asked =
            !asked.drives || same(asked.drives->scaled(asked.dim < 1 ? asked.dim : 1), row);
        if (asked.drives && as_asked) {
            lamp.drives = *asked.drives;
            lamp.intensity *= asked.dim;
            out *= asked.dim;
        }
        lamp.locked = compiled_.state.show->locked.contains(lamp.id);
        const bool mastered = !fixture.exempt && !lamp.locked;
        lamp.mastered = lamp.intensity * (mastered ? controls_.master : 1);
        lamp.sent =
            lamp.moving ? mix::sentAs(*lamp.mixer, moment_.values[at]) : rested(at, lamp, out);
        const bool fits = fixture.address + lamp.mixer->mode().footprint - 1 <= light::kSlots;
        lamp.dark = fits ? whyDark(lamp, controls_) : DarkWhy::PastEnd;
        if (lamp.colour && as_asked && !lamp.moving) {
            const colour::Xyz got = lamp.mixer->xyzOf(lamp.drives);
            const auto off = fixture.calibration ? fixture.calibration->off : colour::Uv{0, 0};
            if (colour::hasChromaticity(got))
                lamp.miss_uv = colour::distance(colour::toUv(got) + off, lamp.colour->wanted.uv());
        }
        return lamp;
    }

    static bool same(const Drives& a, const double* row) {
        return std::equal(a.begin(), a.end(), row);
    }

    mix::Sent rested(std::uint32_t at, const StageLamp& lamp, double out) {
        if (!whole_ || std::chrono::steady_clock::now() > until_) {
            whole_ = false;
            return mix::sentAs(*lamp.mixer, moment_.values[at]);
        }
        mix::Sent sent = *rounding_.rounded(lamp.mixer, lamp.drives, out);
        light::takeSettings(lamp.mixer->mode(), moment_.values[at], sent.values);
        if (sent.values != moment_.values[at]) {
            const double* row = moment_.shown.drives.data() + compiled_.program->first[at];
            rests_.push_back({at,
                              moment_.shown.intensity[at],
                              {row, row + compiled_.program->parts(at)},
                              sent.values});
        }
        return sent;
    }

    const Compiled& compiled_;
    const Moment& moment_;
    const Controls& controls_;
    Rounding& rounding_;
    std::vector<Rest>& rests_;
    std::chrono::steady_clock::time_point until_;
    bool whole_ = true;
};

constexpr std::size_t kMostRounded = 20'000; // a drag passes through many

} // namespace

std::shared_ptr<const mix::Sent> Rounding::rounded(const std::shared_ptr<const mix::Mixer>& mixer,
                                                   const Drives& drives, double intensity) {
    Key key{mixer.get(), {drives.begin(), drives.end()}};
    key.light.insert(key.light.end(), {drives.dim, intensity});
    if (const auto known = known_.find(key); known != known_.end())
        return known->second.sent;
    if (known_.size() >= kMostRounded)
        known_.clear();
    auto sent = std::make_shared<const mix::Sent>(mix::rounded(*mixer, drives, intensity));
    return known_.emplace(std::move(key), Entry{mixer, std::move(sent)}).first->second.sent;
}

const StageLamp* Stage::lamp(show::FixtureId id) const {
    const auto it =
        std::lower_bound(lamps.begin(), lamps.end(), id,
                         [](const StageLamp& l, show::FixtureId i) { return l.id < i; });
    return it != lamps.end() && it->id == id ? &*it : nullptr;
}

void tellPlay(const Compiled& compiled, const Moment& moment, Stage& to) {
    for (std::size_t i = 0; i < compiled.lists.size(); ++i) {
        const Engine::ListNow& now = moment.lists[i];
        const auto& cues = compiled.state.show->cue_lists.find(compiled.lists[i])->cues;
        const auto number = [&](int cue) {
            return cue < 0 ? std::nullopt
                           : std::optional(cues.entry(static_cast<std::size_t>(cue)).first);
        };
        to.lists.push_back({compiled.lists[i], number(now.cue), number(now.next), now.held,
                            now.rate, now.since_s, now.lasts_s, now.follow_s});
    }
    for (std::size_t i = 0; i < compiled.faders.size(); ++i)
        to.faders.push_back({compiled.faders[i], moment.faders[i], moment.hidden[i] != 0});
    for (std::size_t i = 0; i < compiled.ripples.size(); ++i) {
        const Engine::RippleNow& now = moment.ripples[i];
        to.ripples.push_back({compiled.ripples[i], now.runs, now.frozen, now.rate, now.time_s});
    }
}

const StageRipple* Stage::ripple(show::RippleId id) const {
    const auto it = std::find_if(ripples.begin(), ripples.end(),
                                 [&](const StageRipple& r) { return r.id == id; });
    return it == ripples.end() ? nullptr : &*it;
}

const StageList* Stage::list(show::CueListId id) const {
    const auto it =
        std::find_if(lists.begin(), lists.end(), [&](const StageList& l) { return l.id == id; });
    return it == lists.end() ? nullptr : &*it;
}

Stage stageOf(const Compiled& compiled, const Moment& moment, const Controls& controls,
              Rounding& rounding, std::vector<Rest>& rests,
              std::chrono::steady_clock::time_point until) {
    return Looker(compiled, moment, controls, rounding, rests, until).run();
}

Stage computeStage(const show::State& state, const Controls& controls, const Sources& from,
                   Mixes& mixes) {
    const auto made = std::make_shared<const Compiled>(compiled(state, from, mixes));
    Playing playing(made);
    for (const Command& c : commandsOf(controls, *made))
        playing.apply(c, 0);
    playing.step(0);
    Rounding rounding;
    std::vector<Rest> rests;
    return stageOf(*made, playing.newest(), controls, rounding, rests);
}

std::vector<Command> commandsOf(const Controls& controls, const Compiled& compiled) {
    using What = Command::What;
    std::vector<Command> all{{What::Master, 0, controls.master, {}},
                             {What::Dark, 0, controls.dark ? 1.0 : 0.0, {}}};
    for (const show::FixtureId id : controls.solo)
        if (const auto lamp = compiled.lampOf(id))
            all.push_back({What::Solo, *lamp, 0, {}});
    return all;
}

} // namespace zelo::play
