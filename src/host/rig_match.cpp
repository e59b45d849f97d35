// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/rig_match.h"

#include "base/text.h"

#include <algorithm>
#include <map>
#include <set>
#include <tuple>

namespace zelo::host {

using Kind = RigMatch::Kind;

namespace {

std::shared_ptr<const light::FixtureType> typeLike(const Library& library,
                                                   const wire::FoundDevice& d) {
    // By the numbers of its file first: they are the same whatever the device calls itself.
    for (const auto& type : library.types())
        if (type->rdm && type->rdm->maker == d.uid.maker && type->rdm->model == d.info.model)
            return type;
    std::shared_ptr<const light::FixtureType> by_model;
    for (const auto& type : library.types()) {
        if (lowered(type->name) != lowered(d.model))
            continue;
        if (lowered(type->maker) == lowered(d.maker))
            return type;
        by_model = type;
    }
    return by_model;
}

// By the number its file gives it, by its words, else by its number when the footprint agrees, else
// any mode of that footprint.
std::string modeLike(const light::FixtureType& type, const wire::FoundDevice& d) {
    if (type.rdm && type.rdm->maker == d.uid.maker && type.rdm->model == d.info.model) {
        const auto named = type.rdm->personalities.find(d.info.personality);
        if (named != type.rdm->personalities.end() && !named->second.empty() &&
            type.mode(named->second))
            return named->second;
    }
    for (const auto& m : type.modes)
        if (lowered(m.name) == lowered(d.personality))
            return m.name;
    const std::size_t at = d.info.personality - 1u;
    if (at < type.modes.size() && type.modes[at].footprint == d.info.footprint)
        return type.modes[at].name;
    for (const auto& m : type.modes)
        if (m.footprint == d.info.footprint)
            return m.name;
    return type.modes.front().name;
}

std::string modeOf(const Library& library, const show::Fixture& f) {
    if (!f.mode.empty())
        return f.mode;
    const auto type = library.type(f.type);
    return type ? type->modes.front().name : std::string();
}

void compare(RigMatch& m, const show::Fixture& f, const wire::FoundDevice& d,
             const Library& library, std::uint16_t universe) {
    m.kind = Kind::Same;
    m.fixture = f.id;
    m.other_address = f.address != d.info.address || f.universe != universe;
    m.other_mode = m.type && modeOf(library, f) != m.mode;
    const bool other_type = m.type && f.type != m.type->id;
    if (other_type)
        m.words = say(ZELO_TEXT("core", "is {}, patched as {}"), f.number, f.type);
    else if (m.other_address && m.other_mode)
        m.words = say(ZELO_TEXT("core", "is {}, patched at {}.{}, {}"), f.number, f.universe,
                      f.address, modeOf(library, f));
    else if (m.other_address)
        m.words =
            say(ZELO_TEXT("core", "is {}, patched at {}.{}"), f.number, f.universe, f.address);
    else if (m.other_mode)
        m.words = say(ZELO_TEXT("core", "is {}, patched as {}"), f.number, modeOf(library, f));
    else
        m.words = say(ZELO_TEXT("core", "is {} in the show"), f.number);
    m.other_mode |= other_type;
    if (m.other_address || m.other_mode)
        m.kind = Kind::Differs;
}

} // namespace

std::uint16_t universeOf(const show::Show& show, std::uint16_t port_address) {
    for (const auto& line : show.outputs) {
        const int off = port_address - line.to;
        if (line.protocol == show::Protocol::ArtNet && off >= 0 && off < line.count)
            return static_cast<std::uint16_t>(line.first + off);
    }
    return static_cast<std::uint16_t>(port_address + 1);
}

RigMatches matchRig(const show::Show& show, const Library& library,
                    const wire::FinderState& found) {
    RigMatches all;
    std::set<show::FixtureId> taken;
    for (std::size_t i = 0; i < found.devices.size(); ++i) {
        const auto& d = found.devices[i];
        RigMatch m;
        m.device = i;
        if (d.answered) {
            m.type = typeLike(library, d);
            if (m.type)
                m.mode = modeLike(*m.type, d);
        } else {
            m.kind = Kind::Unclear;
            m.words = d.done ? say(ZELO_TEXT("core", "does not say what it is"))
                             : say(ZELO_TEXT("core", "being asked"));
        }
        all.devices.push_back(std::move(m));
    }
    // By identity first, else by place and type; each fixture is one device at most.
    std::map<std::string, show::FixtureId> by_uid;
    std::map<std::tuple<std::string, int, int>, show::FixtureId> by_place;
    for (const auto& [id, f] : show.fixtures) {
        if (f->uid.empty())
            by_place.try_emplace({f->type, f->universe, f->address}, id);
        else
            by_uid.try_emplace(f->uid, id);
    }
    const auto take = [&](RigMatch& m, auto& table, const auto& key) {
        const auto found_at = m.fixture ? table.end() : table.find(key);
        if (found_at == table.end())
            return;
        const auto& d = found.devices[m.device];
        taken.insert(found_at->second);
        if (m.kind == Kind::Unclear)
            m.fixture = found_at->second;
        else
            compare(m, *show.fixture(found_at->second), d, library,
                    universeOf(show, d.port_address));
        table.erase(found_at);
    };
    for (RigMatch& m : all.devices)
        take(m, by_uid, wire::toText(found.devices[m.device].uid));
    for (RigMatch& m : all.devices)
        if (m.type) {
            const auto& d = found.devices[m.device];
            take(
                m, by_place,
                std::tuple(m.type->id, int{universeOf(show, d.port_address)}, int{d.info.address}));
        }
    for (RigMatch& m : all.devices)
        if (m.kind == Kind::New)
            m.words = m.type ? say(ZELO_TEXT("core", "new"))
                             : say(ZELO_TEXT("core", "new, and no fixture type is like it"));
    for (const auto& [id, f] : show.fixtures)
        if (!taken.contains(id))
            all.not_answering.push_back(id);
    return all;
}

Result<show::ShowPtr> addFound(const show::ShowPtr& show, const wire::FinderState& found,
                               const std::vector<RigMatch>& matches,
                               std::vector<show::FixtureId>* added) {
    int number = 0;
    double downstage = 0;
    for (const auto& [id, f] : show->fixtures) {
        number = std::max(number, f->number);
        downstage = std::min(downstage, f->place.y_m);
    }
    std::vector<show::Fixture> fixtures;
    int row = 0;
    for (const RigMatch& m : matches) {
        const auto& d = found.devices[m.device];
        if (m.kind != Kind::New || !m.type || d.info.address < 1 || d.info.address > 512)
            continue;
        show::Fixture f;
        f.number = ++number;
        f.label = d.label;
        f.type = m.type->id;
        f.mode = m.mode;
        f.universe = universeOf(*show, d.port_address);
        f.address = d.info.address;
        f.place = {static_cast<double>(row++) - 5, downstage - 1.5, 2, 0};
        f.uid = wire::toText(d.uid);
        fixtures.push_back(std::move(f));
    }
    if (fixtures.empty())
        return fail(ErrorCode::NotFound,
                    ZELO_TEXT("core", "none of what was found is new and of a known type"));
    return show::addFixtures(show, std::move(fixtures), added);
}

Result<show::ShowPtr> takeOver(const show::ShowPtr& show, const wire::FinderState& found,
                               const RigMatch& m) {
    const auto& d = found.devices[m.device];
    const show::Fixture* f = m.fixture ? show->fixture(*m.fixture) : nullptr;
    if (!f)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "{} is no fixture of the show"),
                    wire::toText(d.uid));
    show::Fixture next = *f;
    if (m.type) {
        next.type = m.type->id;
        next.mode = m.mode;
    }
    next.universe = universeOf(*show, d.port_address);
    next.address = d.info.address;
    next.uid = wire::toText(d.uid);
    return show::changeFixture(show, std::move(next));
}

} // namespace zelo::host
