// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/kept.h"

#include "base/text.h"
#include "light/frame.h"

#include <algorithm>
#include <set>

namespace zelo::show {

namespace {

// Names are each once; `own` is the id that may have it.
template <class T, class Id>
Done checkName(const std::vector<std::shared_ptr<const T>>& all, const char* what,
               const std::string& name, Id own) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, "a {} needs a name", what);
    for (const auto& one : all)
        if (one->name == name && one->id != own)
            return fail(ErrorCode::BadValue, "there is a {} '{}' already", what, name);
    return {};
}

// Calls `change` on a copy of each value; those that come out changed are replaced.
// Whether any did.
template <class F>
bool changeValues(Values& values, F change) {
    bool changed = false;
    for (auto& [id, value] : values) {
        Value next = *value;
        change(next);
        if (next == *value)
            continue;
        value = std::make_shared<const Value>(std::move(next));
        changed = true;
    }
    return changed;
}

template <class F>
Both changeEverywhere(const ShowPtr& show, const HandPtr& hand, F change) {
    Show next = *show;
    changeValues(next.look, change);
    for (auto& look : next.looks) {
        Look copy = *look;
        if (changeValues(copy.values, change))
            look = std::make_shared<const Look>(std::move(copy));
    }
    Values held = *hand;
    changeValues(held, change);
    return {std::make_shared<const Show>(std::move(next)),
            std::make_shared<const Values>(std::move(held))};
}

bool follows(const Value& v, PaletteId id) {
    return v.colour_from == id || v.intensity_from == id;
}

Done locked(const char* what, const std::string& name) {
    return fail(ErrorCode::BadValue, "{} '{}' is locked: unlock it first", what, name);
}

} // namespace

Result<ShowPtr> addPalette(const ShowPtr& show, Palette palette) {
    if (auto ok = checkName(show->palettes, "palette", palette.name, PaletteId{}); !ok)
        return passOn(ok.error());
    if (!palette.colour && !palette.intensity)
        return fail(ErrorCode::BadValue, "palette '{}': needs a colour or an intensity",
                    palette.name);
    Show next = *show;
    palette.id = {++next.last_palette_id};
    next.palettes.push_back(std::make_shared<const Palette>(std::move(palette)));
    return nextShow(std::move(next));
}

Result<ShowPtr> keepPalette(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                            KeepWhat what, std::string name) {
    if (lineup.empty())
        return fail(ErrorCode::BadValue, "no lamps in the lineup: nothing to keep");
    const Value value = shownValue(*show, hand, lineup.front());
    Palette palette;
    palette.name = std::move(name);
    if (what != KeepWhat::Intensity)
        palette.colour = value.colour;
    if (what != KeepWhat::Colour)
        palette.intensity = value.intensity;
    return addPalette(show, std::move(palette));
}

Result<ShowPtr> changePalette(const ShowPtr& show, Palette palette) {
    const Palette* old = show->palette(palette.id);
    if (!old)
        return fail(ErrorCode::NotFound, "no palette with id {}", palette.id.value);
    Palette same = *old;
    same.locked = palette.locked;
    if (old->locked && !(same == palette))
        return passOn(locked("palette", old->name).error());
    if (auto ok = checkName(show->palettes, "palette", palette.name, palette.id); !ok)
        return passOn(ok.error());
    if (!palette.colour && !palette.intensity)
        return fail(ErrorCode::BadValue, "palette '{}': needs a colour or an intensity",
                    palette.name);
    Show next = *show;
    for (auto& p : next.palettes)
        if (p->id == palette.id) {
            p = std::make_shared<const Palette>(std::move(palette));
            break;
        }
    return nextShow(std::move(next));
}

Uses usesOf(const Show& show, const Values& hand, PaletteId id) {
    Uses uses;
    for (const auto& [fixture, value] : show.look)
        if (follows(*value, id))
            uses.stage.push_back(fixture);
    for (const auto& [fixture, value] : hand)
        if (follows(*value, id))
            uses.hand.push_back(fixture);
    for (const auto& look : show.looks) {
        const auto count = std::count_if(look->values.begin(), look->values.end(),
                                         [&](const auto& v) { return follows(*v.second, id); });
        if (count > 0)
            uses.looks.emplace_back(look->id, static_cast<std::size_t>(count));
    }
    return uses;
}

Result<Both> removePalette(const ShowPtr& show, const HandPtr& hand, PaletteId id) {
    const Palette* palette = show->palette(id);
    if (!palette)
        return fail(ErrorCode::NotFound, "no palette with id {}", id.value);
    if (palette->locked)
        return passOn(locked("palette", palette->name).error());
    auto both = changeEverywhere(show, hand, [&](Value& v) {
        if (!follows(v, id))
            return;
        v = followed(*show, std::move(v));
        if (v.colour_from == id)
            v.colour_from = {};
        if (v.intensity_from == id)
            v.intensity_from = {};
    });
    Show next = *both.show;
    std::erase_if(next.palettes, [&](const auto& p) { return p->id == id; });
    both.show = std::make_shared<const Show>(std::move(next));
    return both;
}

Result<Both> mergePalettes(const ShowPtr& show, const HandPtr& hand, PaletteId from,
                           PaletteId into) {
    const Palette* gone = show->palette(from);
    const Palette* stays = show->palette(into);
    if (!gone || !stays || from == into)
        return fail(ErrorCode::NotFound, "merging needs two palettes");
    if (gone->locked)
        return passOn(locked("palette", gone->name).error());
    if ((gone->colour && !stays->colour) || (gone->intensity && !stays->intensity))
        return fail(ErrorCode::BadValue, "palette '{}' has no {}: what follows '{}' needs it",
                    stays->name, gone->colour && !stays->colour ? "colour" : "intensity",
                    gone->name);
    auto both = changeEverywhere(show, hand, [&](Value& v) {
        if (v.colour_from == from)
            v.colour_from = into;
        if (v.intensity_from == from)
            v.intensity_from = into;
    });
    return removePalette(both.show, both.hand, from);
}

Result<ShowPtr> keepLook(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                         std::string name) {
    if (auto ok = checkName(show->looks, "look", name, LookId{}); !ok)
        return passOn(ok.error());
    if (lineup.empty())
        return fail(ErrorCode::BadValue, "no lamps in the lineup: nothing to keep");
    Show next = *show;
    Look look;
    look.id = {++next.last_look_id};
    look.name = std::move(name);
    for (const FixtureId id : lineup)
        if (const Value value = shownValue(*show, hand, id); !value.empty())
            look.values[id] = std::make_shared<const Value>(value);
    next.looks.push_back(std::make_shared<const Look>(std::move(look)));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeLook(const ShowPtr& show, Look look) {
    const Look* old = show->lookOf(look.id);
    if (!old)
        return fail(ErrorCode::NotFound, "no look with id {}", look.id.value);
    if (old->locked && (old->name != look.name || old->values != look.values))
        return passOn(locked("look", old->name).error());
    if (auto ok = checkName(show->looks, "look", look.name, look.id); !ok)
        return passOn(ok.error());
    Show next = *show;
    for (auto& l : next.looks)
        if (l->id == look.id) {
            l = std::make_shared<const Look>(std::move(look));
            break;
        }
    return nextShow(std::move(next));
}

Result<ShowPtr> removeLook(const ShowPtr& show, LookId id) {
    const Look* look = show->lookOf(id);
    if (!look)
        return fail(ErrorCode::NotFound, "no look with id {}", id.value);
    if (look->locked)
        return passOn(locked("look", look->name).error());
    Show next = *show;
    std::erase_if(next.looks, [&](const auto& l) { return l->id == id; });
    return nextShow(std::move(next));
}

HandPtr withLook(const HandPtr& hand, const Look& look) {
    Values next = *hand;
    for (const auto& [id, value] : look.values)
        next[id] = value;
    return std::make_shared<const Values>(std::move(next));
}

Result<ShowPtr> keepMeasured(const ShowPtr& show, std::string name, colour::Spectrum spectrum) {
    if (trimmed(name).empty() || name.find_first_of("+@") != std::string::npos)
        return fail(ErrorCode::BadValue, "'{}': a measured light needs a name without + and @",
                    name);
    Show next = *show;
    std::erase_if(next.measured, [&](const auto& m) { return m->name == name; });
    next.measured.push_back(
        std::make_shared<const Measured>(Measured{std::move(name), std::move(spectrum)}));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeMeasured(const ShowPtr& show, const std::string& name) {
    Show next = *show;
    if (std::erase_if(next.measured, [&](const auto& m) { return m->name == name; }) == 0)
        return fail(ErrorCode::NotFound, "no measured light '{}'", name);
    return nextShow(std::move(next));
}

Result<ShowPtr> toggleFavourite(const ShowPtr& show, const std::string& asked) {
    Show next = *show;
    if (std::erase(next.favourites, asked) == 0)
        next.favourites.push_back(asked);
    return nextShow(std::move(next));
}

Result<ShowPtr> changeStage(const ShowPtr& show, StagePlan stage) {
    if (!stage.outline.empty() && stage.outline.size() < 3)
        return fail(ErrorCode::BadValue, "the stage's outline needs three points or more");
    for (const Area& area : stage.areas) {
        if (trimmed(area.name).empty())
            return fail(ErrorCode::BadValue, "an area of the stage needs a name");
        if (area.outline.size() < 3)
            return fail(ErrorCode::BadValue, "area '{}': needs three points or more", area.name);
    }
    Show next = *show;
    next.stage = std::make_shared<const StagePlan>(std::move(stage));
    return nextShow(std::move(next));
}

bool isIpv4(std::string_view address) {
    const auto parts = split(address, '.');
    return parts.size() == 4 && std::all_of(parts.begin(), parts.end(), [](std::string_view part) {
               const auto n = toInteger(part);
               return n && *n >= 0 && *n <= 255 && part.size() <= 3 && part[0] != '+';
           });
}

Done checkOutput(const OutputLine& line) {
    if (line.first < 1 || line.count < 1 || line.first + line.count - 1 > light::kLastUniverse)
        return fail(ErrorCode::BadValue, "universes {} to {}: must be within 1..{}", line.first,
                    line.first + line.count - 1, light::kLastUniverse);
    const bool art_net = line.protocol == Protocol::ArtNet;
    const int least = art_net ? 0 : 1;
    const int most = art_net ? 32767 : light::kLastUniverse;
    if (line.to < least || line.to + line.count - 1 > most)
        return fail(ErrorCode::BadValue, "there {} to {}: must be within {}..{}", line.to,
                    line.to + line.count - 1, least, most);
    if (!(line.address == "multicast" && !art_net) && !isIpv4(line.address))
        return fail(ErrorCode::BadValue, "'{}': expected an IPv4 address{}", line.address,
                    art_net ? "" : " or multicast");
    return {};
}

Result<ShowPtr> changeOutputs(const ShowPtr& show, std::vector<OutputLine> outputs) {
    for (std::size_t i = 0; i < outputs.size(); ++i)
        if (auto ok = checkOutput(outputs[i]); !ok)
            return passOn(ok.error(), fmt::format("output {}", i + 1));
    Show next = *show;
    next.outputs = std::move(outputs);
    return nextShow(std::move(next));
}

Result<ShowPtr> keepType(const ShowPtr& show, std::shared_ptr<const light::FixtureType> type) {
    if (type->id.empty() || type->modes.empty())
        return fail(ErrorCode::BadValue, "a fixture type needs a name and a mode");
    Show next = *show;
    const std::string id = type->id;
    next.types[id] = std::move(type);
    return nextShow(std::move(next));
}

Result<ShowPtr> removeType(const ShowPtr& show, const std::string& id, bool known) {
    Show next = *show;
    if (next.types.erase(id) == 0)
        return fail(ErrorCode::NotFound, "the show has no fixture type '{}' of its own", id);
    const auto users = std::count_if(show->fixtures.begin(), show->fixtures.end(),
                                     [&](const auto& f) { return f.second->type == id; });
    if (users > 0 && !known)
        return fail(ErrorCode::BadValue, "{} of the rig's fixtures are of type '{}'", users, id);
    return nextShow(std::move(next));
}

} // namespace zelo::show
