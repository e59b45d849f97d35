// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/type_edit.h"

#include "base/text.h"
#include "colour/observer.h"

#include <algorithm>
#include <cctype>
#include <cmath>

namespace zelo::light {

namespace {

// The attribute of GDTF for an emitter, by where it peaks; white ones by name. The first of these
// that the mode does not use yet.
std::string attributeFor(const Mode& mode, const Emitter& emitter) {
    struct Kind {
        double peak_nm;
        const char* attribute;
    };
    static constexpr Kind kinds[] = {
        {395, "ColorAdd_UV"}, {447, "ColorAdd_BM"}, {465, "ColorAdd_B"}, {485, "ColorAdd_BC"},
        {500, "ColorAdd_C"},  {515, "ColorAdd_GC"}, {525, "ColorAdd_G"}, {550, "ColorAdd_GY"},
        {575, "ColorAdd_Y"},  {596, "ColorAdd_RY"}, {634, "ColorAdd_R"}, {658, "ColorAdd_RM"},
        {700, "ColorAdd_M"}};
    std::vector<std::string> order;
    const std::string name = lowered(emitter.name);
    if (name.find("white") != std::string::npos) {
        const bool warm = name.find("warm") != std::string::npos;
        const bool cool = name.find("cool") != std::string::npos;
        order = {warm   ? "ColorAdd_WW"
                 : cool ? "ColorAdd_CW"
                        : "ColorAdd_W",
                 "ColorAdd_W", "ColorAdd_WW", "ColorAdd_CW"};
    }
    const auto& values = emitter.spectrum.values();
    const double peak =
        colour::kGridFirstNm +
        static_cast<double>(std::max_element(values.begin(), values.end()) - values.begin());
    std::vector<Kind> near(std::begin(kinds), std::end(kinds));
    std::stable_sort(near.begin(), near.end(), [&](const Kind& a, const Kind& b) {
        return std::abs(a.peak_nm - peak) < std::abs(b.peak_nm - peak);
    });
    for (const Kind& k : near)
        order.emplace_back(k.attribute);
    for (const char* white : {"ColorAdd_W", "ColorAdd_WW", "ColorAdd_CW"})
        order.emplace_back(white);
    for (const auto& attribute : order)
        if (std::none_of(mode.channels.begin(), mode.channels.end(),
                         [&](const Channel& c) { return c.attribute == attribute; }))
            return attribute;
    return order.front();
}

// Bytes one behind the other, in the order of the channels.
void layOut(Mode& mode) {
    int next = 1;
    for (Channel& c : mode.channels)
        for (int& offset : c.offsets)
            offset = next++;
    for (Channel& c : mode.channels) // further cells behind the first
        for (auto& cell : c.also)
            for (int& offset : cell)
                offset = next++;
    mode.footprint = next - 1;
}

std::uint32_t rescaled(std::uint32_t value, std::uint32_t from, std::uint32_t to) {
    return static_cast<std::uint32_t>(
        std::llround(static_cast<double>(value) * to / static_cast<double>(from)));
}

Done checkEmitter(const FixtureType& type, const Emitter& emitter, std::size_t own) {
    if (trimmed(emitter.name).empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "an emitter needs a name"));
    for (std::size_t i = 0; i < type.partCount(); ++i)
        if (i != own && lowered(type.partName(i)) == lowered(emitter.name))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there is a '{}' already"),
                        emitter.name);
    return {};
}

Done checkMode(const FixtureType& type, std::size_t mode) {
    if (mode >= type.modes.size())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "{} has no mode {}"), type.name,
                    mode + 1);
    return {};
}

constexpr std::size_t kNone = static_cast<std::size_t>(-1);

} // namespace

Result<colour::Spectrum> modelledLine(double peak_nm, double width_nm, double candela) {
    if (!(peak_nm >= 380 && peak_nm <= 780))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "peak {} nm: must be within 380..780"),
                    peak_nm);
    if (!(width_nm >= 2 && width_nm <= 200))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "width {} nm: must be within 2..200"),
                    width_nm);
    if (!(candela > 0 && std::isfinite(candela)))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} cd: must be above 0"), candela);
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i) {
        const double off = (colour::kGridFirstNm + static_cast<double>(i) - peak_nm) / width_nm;
        grid[i] = std::exp(-4 * std::log(2.0) * off * off);
    }
    const colour::Spectrum line(grid);
    return line.scaled(candela / colour::toXyz(line).Y);
}

std::string idOf(const std::string& name) {
    std::string id;
    for (const char c : name)
        if (std::isalnum(static_cast<unsigned char>(c)))
            id += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        else if (!id.empty() && id.back() != '-')
            id += '-';
    while (!id.empty() && id.back() == '-')
        id.pop_back();
    return id;
}

Result<FixtureType> blankType(const std::string& name) {
    FixtureType type;
    type.id = idOf(name);
    if (type.id.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}': a fixture type's name needs a letter or a figure"),
                    name);
    type.name = std::string(trimmed(name));
    Channel dimmer;
    dimmer.attribute = dimmer.name = "Dimmer";
    dimmer.offsets = {1};
    dimmer.role = Role::Dimmer;
    dimmer.highlight = dimmer.most();
    type.modes.push_back({"emitters 8 bit", {dimmer}, 1});
    return type;
}

Result<FixtureType> copyOf(const FixtureType& type, const std::string& name) {
    FixtureType next = type;
    next.id = idOf(name);
    if (next.id.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}': a fixture type's name needs a letter or a figure"),
                    name);
    next.name = std::string(trimmed(name));
    return next;
}

Result<FixtureType> addEmitter(const FixtureType& type, Emitter emitter) {
    if (auto ok = checkEmitter(type, emitter, kNone); !ok)
        return passOn(ok.error());
    if (type.partCount() >= kMostParts)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} has {} parts: there is no room for one more"), type.name,
                    type.partCount());
    FixtureType next = type;
    const std::size_t at = next.emitters.size();
    for (Mode& mode : next.modes) {
        std::size_t bytes = 1;
        for (Channel& c : mode.channels) {
            if (c.role == Role::Part && c.part >= at)
                ++c.part; // flags, wheels and engines stand behind the emitters
            bytes = std::max(bytes, c.offsets.size());
        }
        Channel c;
        c.attribute = attributeFor(mode, emitter);
        c.name = emitter.name;
        for (std::size_t i = 0; i < bytes; ++i)
            c.offsets.push_back(++mode.footprint);
        c.role = Role::Part;
        c.part = at;
        c.highlight = c.most();
        mode.channels.push_back(std::move(c));
    }
    next.emitters.push_back(std::move(emitter));
    return next;
}

Result<FixtureType> removeEmitter(const FixtureType& type, std::size_t emitter) {
    if (emitter >= type.emitters.size())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "{} has no emitter {}"), type.name,
                    emitter + 1);
    FixtureType next = type;
    next.emitters.erase(next.emitters.begin() + static_cast<std::ptrdiff_t>(emitter));
    for (Mode& mode : next.modes) {
        const auto gone = std::erase_if(mode.channels, [&](const Channel& c) {
            return c.role == Role::Part && c.part == emitter;
        });
        for (Channel& c : mode.channels)
            if (c.role == Role::Part && c.part > emitter)
                --c.part;
        if (gone > 0)
            layOut(mode);
    }
    return next;
}

Result<FixtureType> changeEmitter(const FixtureType& type, std::size_t emitter, Emitter changed) {
    if (emitter >= type.emitters.size())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "{} has no emitter {}"), type.name,
                    emitter + 1);
    if (auto ok = checkEmitter(type, changed, emitter); !ok)
        return passOn(ok.error());
    FixtureType next = type;
    for (Mode& mode : next.modes)
        for (Channel& c : mode.channels)
            if (c.role == Role::Part && c.part == emitter)
                c.name = changed.name;
    next.emitters[emitter] = std::move(changed);
    return next;
}

namespace {

// What drooping made of `full`, made of another light: wavelength by wavelength the share that is
// left of it. Where the type's own light is too faint to say, the share of all of it.
colour::Spectrum asChanged(const colour::Spectrum& full, const colour::Spectrum& drooped,
                           const colour::Spectrum& measured) {
    constexpr double kFaint = 0.01;   // of the peak
    constexpr double kMostBeside = 2; // a peak that moved: its flanks say too much elsewhere
    const double whole = full.sum() > 0 ? drooped.sum() / full.sum() : 1;
    const double faint = kFaint * full.largest();
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i)
        grid[i] = measured[i] *
                  (full[i] > faint
                       ? std::clamp(drooped[i] / full[i], whole / kMostBeside, whole * kMostBeside)
                       : whole);
    return colour::Spectrum(grid);
}

} // namespace

FixtureType calibrated(const FixtureType& type,
                       const std::map<std::string, colour::Spectrum>& measured) {
    FixtureType next = type;
    for (Emitter& e : next.emitters) {
        const auto m = measured.find(e.name);
        if (m == measured.end())
            continue;
        const colour::Spectrum before = e.spectrum;
        e.spectrum = m->second;
        e.modelled = false;
        for (auto& part : e.droop)
            part.spectrum = asChanged(before, part.spectrum, e.spectrum);
    }
    return next;
}

Result<FixtureType> setBits(const FixtureType& type, std::size_t mode, int bits) {
    if (auto ok = checkMode(type, mode); !ok)
        return passOn(ok.error());
    if (bits != 8 && bits != 16 && bits != 24)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} bits: must be 8, 16 or 24"), bits);
    FixtureType next = type;
    for (Channel& c : next.modes[mode].channels) {
        const std::uint32_t before = c.most();
        c.offsets.resize(static_cast<std::size_t>(bits / 8));
        for (auto& cell : c.also)
            cell.resize(static_cast<std::size_t>(bits / 8));
        const std::uint32_t after = c.most();
        c.home = rescaled(c.home, before, after);
        c.highlight = rescaled(c.highlight, before, after);
        c.first = rescaled(c.first, before, after);
        if (c.last)
            c.last = rescaled(*c.last, before, after);
        for (SlotRange& r : c.ranges) {
            r.from = rescaled(r.from, before, after);
            r.to = rescaled(r.to, before, after);
        }
    }
    layOut(next.modes[mode]);
    return next;
}

Result<FixtureType> setResponse(const FixtureType& type, std::size_t mode,
                                const Response& response) {
    if (auto ok = checkMode(type, mode); !ok)
        return passOn(ok.error());
    FixtureType next = type;
    for (Channel& c : next.modes[mode].channels)
        if (c.role == Role::Dimmer || (c.role == Role::Part && c.part < type.emitters.size()))
            c.response = response;
    return next;
}

Result<FixtureType> setHome(const FixtureType& type, std::size_t mode, std::size_t part,
                            double level) {
    if (auto ok = checkMode(type, mode); !ok)
        return passOn(ok.error());
    const auto at = type.modes[mode].channelOf(part);
    if (!at)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "mode '{}' does not set {}"),
                    type.modes[mode].name,
                    part < type.partCount() ? type.partName(part) : "this part");
    FixtureType next = type;
    Channel& c = next.modes[mode].channels[*at];
    c.home = static_cast<std::uint32_t>(std::llround(std::clamp(level, 0.0, 1.0) * c.most()));
    return next;
}

} // namespace zelo::light
