// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/light_check.h"

#include "mix/miss.h"

#include <algorithm>

namespace zelo::play {

namespace {

using State = CheckLink::State;

CheckLink patchLink(const show::Show& show, const show::Fixture& f, const StageLamp& lamp,
                    const show::SlotsOf& slots_of) {
    if (lamp.dark == DarkWhy::NoType)
        return {State::Stops, "Patch",
                fmt::format("the library has no fixture type '{}'{}", f.type,
                            f.mode.empty() ? "" : " with mode '" + f.mode + "'")};
    const int last = f.address + slots_of(f) - 1;
    if (last > light::kSlots)
        return {State::Stops, "Patch",
                fmt::format("not sent: its slots run from {} to {}, past 512", f.address, last)};
    const std::string where =
        fmt::format("universe {}, slots {} to {}", f.universe, f.address, last);
    for (const auto& clash : show::patchFaults(show, slots_of).clashes)
        if (clash.fixture == f.id || clash.with == f.id) {
            const auto other = clash.fixture == f.id ? clash.with : clash.fixture;
            const bool loses = other > f.id; // the higher id wins the slots
            return {State::Mind, "Patch",
                    fmt::format("{}: {} of them {} {}", where, clash.shared,
                                loses ? "are taken by" : "it takes from",
                                show.fixture(other)->number)};
        }
    return {State::Good, "Patch", where};
}

// Who says a value: "by hand", "palette 'embers', in the look", …
std::string source(const show::Show& show, bool by_hand, show::PaletteId palette) {
    const std::string from = by_hand ? "held in hand" : "in the look";
    const show::Palette* p = palette ? show.palette(palette) : nullptr;
    return p ? fmt::format("palette '{}', {}", p->name, from) : from;
}

CheckLink intensityLink(const show::Show& show, const show::Values& hand, const show::Shown& value,
                        show::FixtureId id) {
    const show::Value* held = hand.find(id);
    const bool by_hand = held && held->intensity;
    if (!value.intensity)
        return {State::Stops, "Intensity", "not set"};
    const std::string who = source(show, by_hand, value.intensity_from);
    if (*value.intensity <= 0)
        return {State::Stops, "Intensity", fmt::format("0 %, {}", who)};
    return {State::Good, "Intensity", fmt::format("{:.0f} %, {}", 100 * *value.intensity, who)};
}

CheckLink colourLink(const show::Show& show, const show::Values& hand, const show::Shown& value,
                     const StageLamp& lamp) {
    const show::Value* held = hand.find(lamp.id);
    const bool by_hand = held && held->colour;
    if (lamp.by_hand) {
        std::string names;
        for (const auto& [part, level] : value.parts)
            if (lamp.mixer->type().partNamed(part))
                names += (names.empty() ? "" : ", ") + part;
        return {State::Mind, "Colour",
                fmt::format("set one by one, {}: {}",
                            held && !held->parts.empty() ? "held in hand" : "in the look", names)};
    }
    if (!lamp.colour)
        return {State::Mind, "Colour", "none asked for: it rests at home"};
    const std::string said = fmt::format("{}, {}", light::inWords(lamp.colour->wanted.asked),
                                         source(show, by_hand, value.colour_from));
    if (!lamp.colour->trouble.empty())
        return {State::Mind, "Colour", said + "; " + lamp.colour->trouble};
    if (lamp.colour->mix.end == mix::MixEnd::OutOfReach)
        return {State::Mind, "Colour",
                fmt::format("{}; out of its reach, {:.3f} off", said, lamp.colour->mix.miss_uv)};
    return {State::Good, "Colour", said};
}

CheckLink emitterLink(const StageLamp& lamp) {
    const auto& type = lamp.mixer->type();
    std::string lit;
    std::size_t count = 0;
    for (std::size_t i = 0; i < lamp.drives.size(); ++i)
        if (type.lamp(i) && lamp.drives[i] > 0 && ++count <= 3)
            lit += (count > 1 ? ", " : "") + type.partName(i);
    if (count == 0)
        return {State::Stops, "Emitters", "all at 0"};
    if (count > 3)
        lit += fmt::format(" and {} more", count - 3);
    return {State::Good, "Emitters", lit};
}

CheckLink outputLink(const show::Show& show, const show::Fixture& f, const OutputState& output) {
    if (!output.sends)
        return {State::Stops, "Output", "there is none: its network port could not be opened"};
    if (!output.on_stage)
        return {State::Mind, "Output", "Rehearsal: the fixture holds what it showed on stage"};
    const Carried carried = carrierOf(show, f.universe);
    if (carried.none_needed)
        return {State::Good, "Output", "E1.31 to this computer"};
    if (!carried.line)
        return {State::Stops, "Output",
                fmt::format("no line of the output map carries universe {}", f.universe)};
    const auto& line = *carried.line;
    if (!line.on)
        return {State::Stops, "Output", fmt::format("the line for universe {} is off", f.universe)};
    const bool leaves = line.address.rfind("127.", 0) != 0;
    if (leaves && !output.network_chosen)
        return {State::Stops, "Output",
                fmt::format("held back from {}: no network is chosen", line.address)};
    const bool art_net = line.protocol == show::Protocol::ArtNet;
    const std::string way = fmt::format("{} to {}, there {}", art_net ? "Art-Net" : "E1.31",
                                        line.address, line.to + f.universe - line.first);
    if (art_net && output.receivers_known && output.receivers == 0)
        return {State::Mind, "Output", way + "; nobody answers there"};
    return {State::Good, "Output", way};
}

} // namespace

Carried carrierOf(const show::Show& show, std::uint16_t universe) {
    Carried off;
    for (const auto& line : show.outputs)
        if (universe >= line.first && universe < line.first + line.count) {
            if (line.on)
                return {&line, false};
            off.line = &line;
        }
    off.none_needed = show.outputs.empty();
    return off;
}

Result<std::vector<CheckLink>> lightCheck(const Stage& stage, show::FixtureId id,
                                          const show::SlotsOf& slots_of,
                                          const OutputState& output) {
    const show::Fixture* f = stage.show().fixture(id);
    const StageLamp* lamp = stage.lamp(id);
    if (!f || !lamp)
        return fail(ErrorCode::NotFound, "no fixture with id {}", id.value);
    const show::Shown value = show::shownValue(stage.show(), *stage.state.hand, id);
    std::vector<CheckLink> links{patchLink(stage.show(), *f, *lamp, slots_of),
                                 intensityLink(stage.show(), *stage.state.hand, value, id)};
    if (lamp->mixer) {
        links.push_back(colourLink(stage.show(), *stage.state.hand, value, *lamp));
        links.push_back(emitterLink(*lamp));
    }
    const auto& controls = stage.controls;
    links.push_back(controls.master > 0 ? CheckLink{State::Good, "Master",
                                                    fmt::format("{:.0f} %", 100 * controls.master)}
                                        : CheckLink{State::Stops, "Master", "at 0"});
    if (controls.dark)
        links.push_back({State::Stops, "Dark", "it is on: all light is out"});
    links.push_back(outputLink(stage.show(), *f, output));
    return links;
}

std::string verdict(const std::vector<CheckLink>& links) {
    for (const auto& link : links)
        if (link.state == State::Stops)
            return fmt::format("No light. {}: {}.", link.what, link.words);
    for (const auto& link : links)
        if (link.state == State::Mind)
            return fmt::format("It shines. {}: {}.", link.what, link.words);
    return "It shines, as asked for.";
}

} // namespace zelo::play
