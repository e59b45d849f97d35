// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/light_check.h"

#include "mix/miss.h"

#include <algorithm>

namespace zelo::play {

namespace {

using State = CheckLink::State;

Sentence patchName() {
    return say(ZELO_TEXT("core", "Patch"));
}
Sentence intensityName() {
    return say(ZELO_TEXT("core", "Intensity"));
}
Sentence colourName() {
    return say(ZELO_TEXT("core", "Colour"));
}
Sentence emittersName() {
    return say(ZELO_TEXT("core", "Emitters"));
}
Sentence outputName() {
    return say(ZELO_TEXT("core", "Output"));
}

CheckLink patchLink(const show::Show& show, const show::Fixture& f, const StageLamp& lamp,
                    const show::SlotsOf& slots_of) {
    if (lamp.dark == DarkWhy::NoType)
        return {State::Stops, patchName(),
                f.mode.empty()
                    ? say(ZELO_TEXT("core", "the library has no fixture type '{}'"), f.type)
                    : say(ZELO_TEXT("core", "the library has no fixture type '{}' with mode '{}'"),
                          f.type, f.mode)};
    const int last = f.address + slots_of(f) - 1;
    if (last > light::kSlots)
        return {State::Stops, patchName(),
                say(ZELO_TEXT("core", "not sent: its slots run from {} to {}, past 512"), f.address,
                    last)};
    const Sentence where =
        say(ZELO_TEXT("core", "universe {}, slots {} to {}"), f.universe, f.address, last);
    for (const auto& clash : show::patchFaults(show, slots_of).clashes)
        if (clash.fixture == f.id || clash.with == f.id) {
            const auto other = clash.fixture == f.id ? clash.with : clash.fixture;
            const int number = show.fixture(other)->number;
            return {State::Mind, patchName(),
                    other > f.id // the higher id wins the slots
                        ? say(ZELO_TEXT("core", "{}: {} of them are taken by {}"), where,
                              clash.shared, number)
                        : say(ZELO_TEXT("core", "{}: {} of them it takes from {}"), where,
                              clash.shared, number)};
        }
    return {State::Good, patchName(), where};
}

// Who says a value: "held in hand", "palette 'embers', in the look", …
Sentence source(const show::Show& show, bool by_hand, show::PaletteId palette, bool laid) {
    const show::Palette* p = palette ? show.palette(palette) : nullptr;
    if (laid && p)
        return by_hand ? say(ZELO_TEXT("core", "its place in gradient '{}', held in hand"), p->name)
                       : say(ZELO_TEXT("core", "its place in gradient '{}', in the look"), p->name);
    if (laid)
        return by_hand ? say(ZELO_TEXT("core", "its place in a gradient, held in hand"))
                       : say(ZELO_TEXT("core", "its place in a gradient, in the look"));
    if (p)
        return by_hand ? say(ZELO_TEXT("core", "palette '{}', held in hand"), p->name)
                       : say(ZELO_TEXT("core", "palette '{}', in the look"), p->name);
    return by_hand ? say(ZELO_TEXT("core", "held in hand")) : say(ZELO_TEXT("core", "in the look"));
}

// Where a value comes from that neither standing light nor hand says; nothing for those two.
std::optional<Sentence> played(const show::Show& show, const StageLamp& lamp,
                               const Engine::From& from) {
    using Layer = Engine::From::Layer;
    if (lamp.locked)
        return say(ZELO_TEXT("core", "locked: it keeps what it showed then"));
    if (from.layer == Layer::Fader || from.layer == Layer::Adding) {
        const std::string& name = show.faders.entry(from.which).second->name;
        return from.layer == Layer::Fader
                   ? say(ZELO_TEXT("core", "fader '{}'"), name)
                   : say(ZELO_TEXT("core", "faders that add up, '{}' came last"), name);
    }
    if (from.layer == Layer::Ripple)
        return say(ZELO_TEXT("core", "ripple '{}'"), show.ripples.entry(from.which).second->name);
    if (from.layer != Layer::List)
        return std::nullopt;
    const show::CueList& list = *show.cue_lists.entry(from.which).second;
    if (from.released || !from.cue)
        return say(ZELO_TEXT("core", "cue list '{}', which is let go"), list.name);
    return say(ZELO_TEXT("core", "cue {} of '{}'"),
               show::toText(list.cues.entry(*from.cue).second->number), list.name);
}

// What comes to light when the hand is put down, behind what the hand says.
Sentence withBelow(const Stage& stage, show::FixtureId id, bool by_hand, const Sentence& said,
                   const std::function<std::optional<Sentence>(const show::Shown&)>& words) {
    const show::Value* kept = by_hand ? stage.show().standing.find(id) : nullptr;
    const auto below = kept ? words(show::followed(stage.show(), *kept)) : std::nullopt;
    return below ? say(ZELO_TEXT("core", "{}; below it in the look: {}"), said, *below) : said;
}

CheckLink intensityLink(const Stage& stage, const show::Shown& value, const StageLamp& lamp) {
    const show::Value* held = stage.state.hand->find(lamp.id);
    const bool by_hand = held && held->intensity;
    const auto by_play = played(stage.show(), lamp, lamp.intensity_from);
    if (!value.intensity && !by_play)
        return {State::Stops, intensityName(), say(ZELO_TEXT("core", "not set"))};
    const Sentence who =
        by_play ? *by_play
                : source(stage.show(), by_hand, value.intensity_from, value.intensity_laid);
    if (lamp.moving)
        return {lamp.intensity > 0 ? State::Good : State::Stops, intensityName(),
                say(ZELO_TEXT("core", "on its way, {:.0f} % now, {}"), 100 * lamp.intensity, who)};
    const double shown = by_play ? lamp.intensity : *value.trimmed();
    if (lamp.locked)
        return {shown > 0 ? State::Good : State::Stops, intensityName(),
                say(ZELO_TEXT("core", "{:.0f} %, {}"), 100 * shown, who)};
    if (value.trim != 1)
        return {shown > 0 ? State::Good : State::Stops, intensityName(),
                say(ZELO_TEXT("core", "{:.0f} %, trimmed by × {:.2f}: {}"),
                    100 * std::max(0.0, shown), value.trim, who)};
    const Sentence words = say(ZELO_TEXT("core", "{:.0f} %, {}"), 100 * std::max(0.0, shown), who);
    return {shown > 0 ? State::Good : State::Stops, intensityName(),
            withBelow(stage, lamp.id, by_hand, words, [](const show::Shown& kept) {
                const auto level = kept.trimmed();
                return level ? std::optional(say(ZELO_TEXT("core", "{:.0f} %"), 100 * *level))
                             : std::nullopt;
            })};
}

CheckLink colourLink(const Stage& stage, const show::Shown& value, const StageLamp& lamp) {
    const show::Value* held = stage.state.hand->find(lamp.id);
    const bool by_hand = held && held->colour;
    const bool nudged = !(value.nudge == colour::Uv{0, 0});
    if (const auto by_play = played(stage.show(), lamp, lamp.colour_from))
        return {State::Good, colourName(),
                nudged ? say(ZELO_TEXT("core", "nudged by hand: {}"), *by_play) : *by_play};
    if (lamp.by_hand) {
        std::string names;
        for (const auto& [part, level] : value.parts)
            if (lamp.mixer->type().partNamed(part))
                names += (names.empty() ? "" : ", ") + part;
        return {State::Mind, colourName(),
                held && !held->parts.empty()
                    ? say(ZELO_TEXT("core", "set one by one, held in hand: {}"), names)
                    : say(ZELO_TEXT("core", "set one by one, in the look: {}"), names)};
    }
    if (!lamp.colour)
        return {State::Mind, colourName(),
                say(ZELO_TEXT("core", "none asked for: it rests at home"))};
    const Sentence asked =
        say(ZELO_TEXT("core", "{}, {}"), light::inWords(lamp.colour->wanted.asked),
            source(stage.show(), by_hand, value.colour_from, value.colour_laid));
    const Sentence said = withBelow(
        stage, lamp.id, by_hand,
        nudged ? say(ZELO_TEXT("core", "nudged by hand: {}"), asked) : asked,
        [](const show::Shown& kept) {
            return kept.colour ? std::optional(light::inWords(kept.colour->asked)) : std::nullopt;
        });
    if (!lamp.colour->trouble.empty())
        return {State::Mind, colourName(),
                say(ZELO_TEXT("core", "{}; {}"), said, lamp.colour->trouble)};
    if (lamp.colour->mix.end == mix::MixEnd::OutOfReach)
        return {State::Mind, colourName(),
                say(ZELO_TEXT("core", "{}; out of its reach, {:.3f} off"), said,
                    lamp.colour->mix.miss_uv)};
    if (lamp.moving)
        return {State::Good, colourName(), say(ZELO_TEXT("core", "on its way to {}"), said)};
    return {State::Good, colourName(), said};
}

CheckLink emitterLink(const StageLamp& lamp) {
    const auto& type = lamp.mixer->type();
    std::string lit;
    std::size_t count = 0;
    for (std::size_t i = 0; i < lamp.drives.size(); ++i)
        if (type.lamp(i) && lamp.drives[i] > 0 && ++count <= 3)
            lit += (count > 1 ? ", " : "") + type.partName(i);
    if (count == 0)
        return {State::Stops, emittersName(), say(ZELO_TEXT("core", "all at 0"))};
    return {State::Good, emittersName(),
            count > 3 ? say(ZELO_TEXT("core", "{} and {} more"), lit, count - 3) : Sentence(lit)};
}

// What is not at rest among what else it has: a closed shutter lets no light through.
std::optional<CheckLink> settingsLink(const StageLamp& lamp) {
    const auto& mode = lamp.mixer->mode();
    std::string all;
    for (const std::size_t i : mode.settings()) {
        const light::Channel& c = mode.channels[i];
        if (i >= lamp.sent.values.size() || lamp.sent.values[i] == c.home)
            continue;
        all += fmt::format("{}{} {}", all.empty() ? "" : ", ", c.name,
                           light::settingText(c, lamp.sent.values[i]));
    }
    if (all.empty())
        return std::nullopt;
    return CheckLink{State::Mind, say(ZELO_TEXT("core", "Other channels")),
                     say(ZELO_TEXT("core", "not at rest: {}"), all)};
}

CheckLink outputLink(const show::Show& show, const show::Fixture& f, const OutputState& output) {
    if (!output.sends)
        return {State::Stops, outputName(),
                say(ZELO_TEXT("core", "there is none: its network port could not be opened"))};
    if (!output.on_stage)
        return {State::Mind, outputName(),
                say(ZELO_TEXT("core", "Rehearsal: the fixture holds what it showed on stage"))};
    const Carried carried = carrierOf(show, f.universe);
    if (carried.none_needed)
        return {State::Good, outputName(), say(ZELO_TEXT("core", "E1.31 to this computer"))};
    if (!carried.line)
        return {
            State::Stops, outputName(),
            say(ZELO_TEXT("core", "no line of the output map carries universe {}"), f.universe)};
    const auto& line = *carried.line;
    if (!line.on)
        return {State::Stops, outputName(),
                say(ZELO_TEXT("core", "the line for universe {} is off"), f.universe)};
    const bool leaves = line.address.rfind("127.", 0) != 0;
    if (leaves && !output.network_chosen)
        return {State::Stops, outputName(),
                say(ZELO_TEXT("core", "held back from {}: no network is chosen"), line.address)};
    const bool art_net = line.protocol == show::Protocol::ArtNet;
    const Sentence way = say(ZELO_TEXT("core", "{} to {}, there {}"), art_net ? "Art-Net" : "E1.31",
                             line.address, line.to + f.universe - line.first);
    if (art_net && output.receivers_known && output.receivers == 0)
        return {State::Mind, outputName(), say(ZELO_TEXT("core", "{}; nobody answers there"), way)};
    return {State::Good, outputName(), way};
}

// Solo, master and Dark.
std::vector<CheckLink> controlLinks(const Stage& stage, const show::Fixture& f, bool locked) {
    const Sentence master = say(ZELO_TEXT("core", "Master"));
    const auto& controls = stage.controls;
    if (f.exempt)
        return {{State::Good, master,
                 say(ZELO_TEXT("core", "house light: solo, master and Dark leave it alone"))}};
    std::vector<CheckLink> links;
    if (locked)
        links.push_back({State::Good, master,
                         say(ZELO_TEXT("core", "locked: solo and master leave it alone"))});
    if (!locked && !controls.solo.empty()) {
        const bool in =
            std::find(controls.solo.begin(), controls.solo.end(), f.id) != controls.solo.end();
        links.push_back({in ? State::Good : State::Stops, say(ZELO_TEXT("core", "Solo")),
                         in ? say(ZELO_TEXT("core", "it is one of {}"), controls.solo.size())
                            : say(ZELO_TEXT("core", "only {} others show"), controls.solo.size())});
    }
    if (!locked)
        links.push_back(
            controls.master > 0
                ? CheckLink{State::Good, master, fmt::format("{:.0f} %", 100 * controls.master)}
                : CheckLink{State::Stops, master, say(ZELO_TEXT("core", "at 0"))});
    if (controls.dark)
        links.push_back({State::Stops, say(ZELO_TEXT("core", "Dark")),
                         say(ZELO_TEXT("core", "it is on: all light is out"))});
    return links;
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
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
    const show::Shown& value = lamp->told;
    std::vector<CheckLink> links{patchLink(stage.show(), *f, *lamp, slots_of),
                                 intensityLink(stage, value, *lamp)};
    if (lamp->mixer) {
        links.push_back(colourLink(stage, value, *lamp));
        links.push_back(emitterLink(*lamp));
        if (auto settings = settingsLink(*lamp))
            links.push_back(std::move(*settings));
    }
    const auto controls = controlLinks(stage, *f, lamp->locked);
    links.insert(links.end(), controls.begin(), controls.end());
    links.push_back(outputLink(stage.show(), *f, output));
    return links;
}

Sentence verdict(const std::vector<CheckLink>& links) {
    for (const auto& link : links)
        if (link.state == State::Stops)
            return say(ZELO_TEXT("core", "No light. {}: {}."), link.what, link.words);
    for (const auto& link : links)
        if (link.state == State::Mind)
            return say(ZELO_TEXT("core", "It shines. {}: {}."), link.what, link.words);
    return say(ZELO_TEXT("core", "It shines, as asked for."));
}

} // namespace zelo::play
