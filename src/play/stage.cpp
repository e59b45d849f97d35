// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/stage.h"

#include "play/laid.h"

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

DarkWhy whyDark(const StageLamp& lamp, const show::Shown& value, const Controls& controls) {
    if (controls.dark)
        return DarkWhy::Blackout;
    if (controls.master <= 0)
        return DarkWhy::Master;
    if (!value.intensity)
        return DarkWhy::NoIntensity;
    if (*value.intensity <= 0)
        return DarkWhy::Intensity;
    return lamp.sent.xyz.Y > 0 ? DarkWhy::None : DarkWhy::Emitters;
}

// The gradients over the lamps of one stage, each laid out once.
class Gradients {
public:
    Gradients(const show::Show& show, const Sources& from, Mixes& mixes)
        : show_(show), from_(from), mixes_(mixes) {}
    // Null when the value is in none.
    template <class Value>
    const LaidLamp* lamp(const std::optional<Value>& value, show::FixtureId id) const {
        const show::LayingPtr* laying = value ? value->laying() : nullptr;
        if (!laying)
            return nullptr;
        auto& by_id = laid_[*laying];
        if (!by_id.out) {
            by_id.out = mixes_.laid(from_, show_, *laying);
            for (const LaidLamp& one : by_id.out->lamps)
                by_id.lamps.emplace(one.id, &one);
        }
        const auto it = by_id.lamps.find(id);
        return it == by_id.lamps.end() ? nullptr : it->second;
    }
    std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> all() const {
        std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> outs;
        for (const auto& [laying, by_id] : laid_)
            outs.emplace(laying, by_id.out);
        return outs;
    }

private:
    struct ById {
        std::shared_ptr<const LaidOut> out;
        std::map<show::FixtureId, const LaidLamp*> lamps;
    };
    const show::Show& show_;
    const Sources& from_;
    Mixes& mixes_;
    mutable std::map<show::LayingPtr, ById> laid_;
};

StageLamp lampOf(const show::Show& show, const show::Values& hand, const show::Fixture& fixture,
                 const Controls& controls, const Sources& from, Mixes& mixes,
                 const Gradients& laid) {
    StageLamp lamp;
    lamp.id = fixture.id;
    lamp.in_hand = hand.contains(fixture.id);
    const show::Value source = show::valueOf(show, hand, fixture.id);
    show::Shown& value = lamp.told;
    value = show::followed(show, source);
    const LaidLamp* laid_colour = laid.lamp(source.colour, fixture.id);
    tell(value, laid_colour, laid.lamp(source.intensity, fixture.id));
    lamp.intensity = value.intensity.value_or(0) * (laid_colour ? laid_colour->dim : 1);
    lamp.mixer = mixes.mixerOf(from, fixture);
    if (!lamp.mixer) {
        lamp.dark = DarkWhy::NoType;
        return lamp;
    }
    if (laid_colour)
        lamp.colour = laid_colour->colour;
    else if (value.colour)
        lamp.colour =
            mixes.mixed(from, lamp.mixer, *value.colour,
                        fixture.calibration ? fixture.calibration->off : colour::Uv{0, 0});
    lamp.drives = lamp.colour ? lamp.colour->mix.drives : homeDrives(*lamp.mixer, fixture);
    for (const auto& [name, level] : value.parts)
        if (const auto part = lamp.mixer->type().partNamed(name)) {
            lamp.drives[*part] = level;
            lamp.by_hand = true;
        }
    const double out = controls.dark ? 0 : lamp.intensity * controls.master;
    lamp.sent = mix::rounded(*lamp.mixer, lamp.drives, out);
    const bool fits = fixture.address + lamp.mixer->mode().footprint - 1 <= light::kSlots;
    lamp.dark = fits ? whyDark(lamp, value, controls) : DarkWhy::PastEnd;
    if (lamp.colour) {
        const colour::Xyz got = lamp.mixer->xyzOf(lamp.drives);
        const auto off = fixture.calibration ? fixture.calibration->off : colour::Uv{0, 0};
        if (colour::hasChromaticity(got)) // what it shows is that far from what its data says
            lamp.miss_uv = colour::distance(colour::toUv(got) + off, lamp.colour->wanted.uv());
    }
    return lamp;
}

} // namespace

const StageLamp* Stage::lamp(show::FixtureId id) const {
    const auto it =
        std::lower_bound(lamps.begin(), lamps.end(), id,
                         [](const StageLamp& l, show::FixtureId i) { return l.id < i; });
    return it != lamps.end() && it->id == id ? &*it : nullptr;
}

Stage computeStage(const show::State& state, const Controls& controls, const Sources& from,
                   Mixes& mixes) {
    Stage stage{state, controls, {}, {}};
    stage.lamps.reserve(state.show->fixtures.size());
    const Gradients laid(*state.show, from, mixes);
    for (const auto& [id, fixture] : state.show->fixtures)
        stage.lamps.push_back(
            lampOf(*state.show, *state.hand, *fixture, controls, from, mixes, laid));
    stage.laid = laid.all();
    return stage;
}

light::Frame frameOf(const Stage& stage) {
    light::Frame frame;
    for (const StageLamp& lamp : stage.lamps) {
        if (lamp.dark == DarkWhy::NoType || lamp.dark == DarkWhy::PastEnd)
            continue;
        const show::Fixture& f = *stage.show().fixture(lamp.id);
        auto& universe = frame.at(f.universe);
        light::writeSlots(
            lamp.mixer->mode(), lamp.sent.values,
            std::span(universe.values).subspan(static_cast<std::size_t>(f.address - 1)));
    }
    return frame;
}

} // namespace zelo::play
