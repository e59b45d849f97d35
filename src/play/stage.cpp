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

StageLamp lampOf(const show::Show& show, const show::Values& hand, const show::Fixture& fixture,
                 const Controls& controls, const Sources& from, Mixes& mixes, Gradients& laid) {
    StageLamp lamp;
    lamp.id = fixture.id;
    lamp.in_hand = hand.contains(fixture.id);
    const show::Value source = show::valueOf(show, hand, fixture.id);
    show::Shown& value = lamp.told;
    value = laid.shown(source, fixture.id);
    const LaidLamp* laid_colour = laid.lamp(source.colour, fixture.id);
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
    const Controls on_it = fixture.exempt ? Controls{} : controls;
    const double out = on_it.dark ? 0 : lamp.intensity * on_it.master;
    lamp.sent = mix::rounded(*lamp.mixer, lamp.drives, out);
    const bool fits = fixture.address + lamp.mixer->mode().footprint - 1 <= light::kSlots;
    lamp.dark = fits ? whyDark(lamp, value, on_it) : DarkWhy::PastEnd;
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
    Gradients laid(state.show, from, mixes);
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
