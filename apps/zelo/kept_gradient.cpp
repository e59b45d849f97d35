// SPDX-License-Identifier: GPL-3.0-or-later
#include "kept_gradient.h"

#include "files/show_file.h"
#include "light/levels.h"
#include "show/kept.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

template <class T, class Named>
std::string namesOf(const T& all, Named named) {
    std::string names;
    for (const auto& [id, one] : all)
        if (named(*one))
            names += (names.empty() ? "" : ", ") + one->name;
    return names.empty() ? "none" : names;
}

// Lamps that show it, in the order it was laid over them.
show::Lineup shownOn(const show::Show& show, show::PaletteId id) {
    const auto in = [&](const show::Values& values) {
        for (const auto& [fixture, value] : values) {
            const show::LayingPtr* laying = value->colour ? value->colour->laying() : nullptr;
            if (laying && (*laying)->palette == id)
                return (*laying)->lamps;
        }
        return show::Lineup{};
    };
    auto lamps = in(show.standing);
    for (const auto& [look_id, look] : show.looks)
        if (lamps.empty())
            lamps = in(look->values);
    if (lamps.empty())
        for (const auto& [fixture, f] : show.fixtures)
            lamps.push_back(fixture);
    return lamps;
}

} // namespace

Result<KeptGradient> keptGradient(Context& context, const std::string& name,
                                  const std::string& group) {
    const auto opened = files::readShow(context.show);
    if (!opened)
        return passOn(opened.error());
    const show::ShowPtr& show = opened->show;
    const show::Palette* palette = show->paletteNamed(name);
    if (!palette || !palette->gradient)
        return fail(ErrorCode::NotFound,
                    ZELO_TEXT("core", "no gradient '{}' in the show; there is: {}"), name,
                    namesOf(show->palettes, [](const auto& p) { return p.gradient != nullptr; }));
    KeptGradient kept;
    kept.lamps = shownOn(*show, palette->id);
    if (!group.empty()) {
        const show::Group* found = nullptr;
        for (const auto& [id, g] : show->groups)
            if (g->name == group)
                found = g.get();
        if (!found)
            return fail(ErrorCode::NotFound,
                        ZELO_TEXT("core", "--group {}: no such group; there is: {}"), group,
                        namesOf(show->groups, [](const auto&) { return true; }));
        kept.lamps = found->fixtures;
    }
    play::Mixes mixes;
    const auto sources = context.library.sources();
    const auto hand = show::withPalette(show::withIntensity(show::emptyHand(), kept.lamps, 1),
                                        kept.lamps, *palette);
    kept.stage = play::computeStage({show, hand}, {}, *sources, mixes);
    kept.laid = mixes.laid(
        *sources, *show,
        std::make_shared<const show::Laying>(show::Laying{palette->id, nullptr, kept.lamps, {}}));
    return kept;
}

files::PaletteTable tableOf(const KeptGradient& kept, const std::string& name) {
    files::PaletteTable table;
    table.name = name;
    for (const play::LaidLamp& lamp : kept.laid->lamps) {
        const play::StageLamp& shown = *kept.stage.lamp(lamp.id);
        if (!lamp.colour)
            continue;
        files::PaletteColour colour;
        colour.name = fmt::format("{} {}", name, kept.stage.show().fixture(lamp.id)->number);
        colour.uv = lamp.uv;
        const light::FixtureType& type = shown.mixer->type();
        for (std::size_t part = 0; part < shown.drives.size(); ++part)
            colour.levels.emplace_back(type.id + " " + type.partName(part), shown.drives[part]);
        table.colours.push_back(std::move(colour));
    }
    return table;
}

files::AsciiCues cueOf(const KeptGradient& kept, const std::string& name) {
    files::AsciiCues cues;
    files::AsciiCue cue;
    cue.number = "1";
    cue.text = name;
    for (const play::LaidLamp& lamp : kept.laid->lamps) {
        const play::StageLamp& shown = *kept.stage.lamp(lamp.id);
        if (shown.dark == play::DarkWhy::NoType || shown.dark == play::DarkWhy::PastEnd)
            continue;
        const show::Fixture& f = *kept.stage.show().fixture(lamp.id);
        std::vector<std::uint8_t> slots(static_cast<std::size_t>(shown.mixer->mode().footprint));
        light::writeSlots(shown.mixer->mode(), shown.sent.values, slots);
        const int first = (f.universe - 1) * light::kSlots + f.address;
        for (std::size_t s = 0; s < slots.size(); ++s) {
            const int channel = first + static_cast<int>(s);
            cues.patch.push_back({channel, channel, 1});
            cue.levels.push_back({channel, slots[s] / 255.0});
        }
    }
    cues.cues.push_back(std::move(cue));
    return cues;
}

} // namespace zelo::cli
