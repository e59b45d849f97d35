// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_modes.h"

#include "base/text.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <set>

namespace zelo::files::gdtf {

using light::Channel;
using light::Engine;
using light::EngineKind;
using light::FixtureType;
using light::Mode;
using light::Part;
using light::PartKind;
using light::Role;

namespace {

constexpr std::size_t kMostModes = 200;
constexpr std::size_t kMostChannels = 512;
constexpr std::size_t kMostRanges = 256; // of a channel, that have names
constexpr double kMostDuv = 0.05;        // a tint that runs farther is no Duv

// "65535/2": a value and the bytes it is meant for, brought to `bytes`.
std::uint32_t dmxValue(const char* text, std::size_t bytes) {
    const auto parts = split(text, '/');
    const auto value = toNumber(parts[0]);
    const auto of = parts.size() == 2 ? toInteger(parts[1]) : std::optional<int>(1);
    if (!value || !of || *of < 1 || *of > 4 || *value < 0)
        return 0;
    const double from = std::pow(256.0, *of) - 1;
    const double to = std::pow(256.0, static_cast<double>(bytes)) - 1;
    return static_cast<std::uint32_t>(std::llround(std::min(1.0, *value / from) * to));
}

struct EngineWord {
    const char* attribute;
    EngineKind kind;
    bool second;
    const char* name;
};
constexpr EngineWord kEngineWords[] = {
    {"HSB_Hue", EngineKind::HueSaturation, false, "Hue"},
    {"HSB_Saturation", EngineKind::HueSaturation, true, "Saturation"},
    {"CTC", EngineKind::CctTint, false, "CCT"},
    {"Tint", EngineKind::CctTint, true, "Tint"},
    {"CIE_X", EngineKind::Chromaticity, false, "x"},
    {"CIE_Y", EngineKind::Chromaticity, true, "y"},
};
const EngineWord* engineWord(std::string_view attribute) {
    for (const auto& w : kEngineWords)
        if (attribute == w.attribute)
            return &w;
    return nullptr;
}

bool isWheelAttribute(std::string_view a) { // Color1, Color2 …, and …WheelIndex
    return a.substr(0, 5) == "Color" && a.size() > 5 && a[5] >= '1' && a[5] <= '9' &&
           (a.size() == 6 || a.substr(6) == "WheelIndex");
}

bool isDimmer(std::string_view a) {
    return a == "Dimmer" || a == "HSB_Brightness" || a == "CIE_Brightness";
}

// What a channel function is to us.
enum class Use { None, Dimmer, Emitter, Flag, Wheel, Engine };

Use useOf(const pugi::xml_node& f) {
    const std::string_view attribute = f.attribute("Attribute").value();
    if (isDimmer(attribute))
        return Use::Dimmer;
    if (*f.attribute("Emitter").value())
        return Use::Emitter;
    if (*f.attribute("Wheel").value() && isWheelAttribute(attribute))
        return Use::Wheel;
    if (*f.attribute("Filter").value() || modelledFlag(std::string(attribute)))
        return Use::Flag;
    return engineWord(attribute) ? Use::Engine : Use::None;
}

class ModesReader {
public:
    ModesReader(const Named& named, FixtureType& type) : named_(named), type_(type) {}

    Result<std::vector<Mode>> read(const pugi::xml_node& modes) {
        for (const auto& m : modes.children("DMXMode"))
            gather(m);
        if (type_.partCount() > light::kMostParts)
            return bad("DMXModes",
                       say(ZELO_TEXT("core", "{} emitters, flags, wheels and axes: at most {}"),
                           type_.partCount(), light::kMostParts));
        std::vector<Mode> all;
        for (const auto& m : modes.children("DMXMode")) {
            auto mode = readMode(m);
            if (!mode)
                return passOn(mode.error(),
                              say(ZELO_TEXT("core", "DMXMode '{}'"), m.attribute("Name").value()));
            all.push_back(std::move(*mode));
            if (all.size() > kMostModes)
                return bad("DMXModes", say(ZELO_TEXT("core", "more than {} modes"), kMostModes));
        }
        if (all.empty())
            return bad("DMXModes", say(ZELO_TEXT("core", "no modes")));
        return all;
    }

private:
    // The function of a channel that we use: the first that says something to us; of a wheel the
    // one that indexes it, since that reaches the places between slots too.
    static pugi::xml_node functionOf(const pugi::xml_node& channel) {
        pugi::xml_node best;
        for (const auto& logical : channel.children("LogicalChannel"))
            for (const auto& f : logical.children("ChannelFunction")) {
                const Use use = useOf(f);
                if (use == Use::None)
                    continue;
                const bool index = use == Use::Wheel &&
                                   std::string_view(f.attribute("Attribute").value()).size() > 6;
                if (!best || (index && useOf(best) == Use::Wheel))
                    best = f;
            }
        return best ? best : channel.child("LogicalChannel").child("ChannelFunction");
    }

    // Emitters make the colour of a mode where any is driven; an engine over them is left alone.
    static bool drivesEmitters(const pugi::xml_node& mode) {
        for (const auto& c : mode.child("DMXChannels").children("DMXChannel"))
            if (useOf(functionOf(c)) == Use::Emitter)
                return true;
        return false;
    }

    static std::string flagName(const pugi::xml_node& f) {
        if (std::string filter = f.attribute("Filter").value(); !filter.empty())
            return filter;
        const auto made = modelledFlag(f.attribute("Attribute").value());
        return made ? made->name : std::string();
    }

    void gather(const pugi::xml_node& mode) {
        const bool additive = drivesEmitters(mode);
        for (const auto& c : mode.child("DMXChannels").children("DMXChannel")) {
            const auto f = functionOf(c);
            switch (useOf(f)) {
            case Use::Flag:
                gatherFlag(f);
                break;
            case Use::Wheel:
                gatherWheel(f);
                break;
            case Use::Engine:
                if (!additive)
                    gatherEngine(f);
                break;
            default:
                break;
            }
            if (type_.partCount() > light::kMostParts)
                return;
        }
    }

    void gatherFlag(const pugi::xml_node& f) {
        const std::string name = flagName(f);
        if (flags_.contains(name))
            return;
        const auto known = named_.filters.find(name);
        if (known == named_.filters.end() && *f.attribute("Filter").value())
            return; // told when the channel is read
        auto flag = known != named_.filters.end() ? known->second
                                                  : *modelledFlag(f.attribute("Attribute").value());
        if (known == named_.filters.end())
            type_.notes.push_back(
                say(ZELO_TEXT("core", "flag {}: no filter, transmittance modelled"), name));
        flags_[name] = type_.flags.size();
        type_.flags.push_back(std::move(flag));
    }

    void gatherWheel(const pugi::xml_node& f) {
        const std::string name = f.attribute("Wheel").value();
        const auto known = named_.wheels.find(name);
        if (known == named_.wheels.end() || wheels_.contains(name))
            return;
        wheels_[name] = type_.wheels.size();
        type_.wheels.push_back(known->second);
    }

    void gatherEngine(const pugi::xml_node& f) {
        const EngineWord& word = *engineWord(f.attribute("Attribute").value());
        auto known = engines_.find(word.kind);
        if (known == engines_.end()) {
            Engine engine;
            engine.kind = word.kind;
            setGamut(named_.physical, f.attribute("Gamut").value(),
                     f.attribute("ColorSpace").value(), type_.emitters, engine);
            if (engine.corners.size() < 3)
                return;
            for (const auto& w : kEngineWords)
                if (w.kind == word.kind)
                    (w.second ? engine.second : engine.first).name = w.name;
            engine.name = word.kind == EngineKind::HueSaturation ? "Hue and saturation"
                          : word.kind == EngineKind::CctTint     ? "CCT and tint"
                                                                 : "Chromaticity";
            engine.second.to = 0; // until its channel says: no tint
            engine.arrange();
            known = engines_.emplace(word.kind, type_.engines.size()).first;
            type_.engines.push_back(std::move(engine));
        }
        Engine& engine = type_.engines[known->second];
        auto& axis = word.second ? engine.second : engine.first;
        constexpr double kFarthest = 1e6; // beyond any angle, kelvin or share
        axis.from = std::clamp(number(f, "PhysicalFrom", 0), -kFarthest, kFarthest);
        axis.to = std::clamp(number(f, "PhysicalTo", 1), -kFarthest, kFarthest);
        if (word.kind == EngineKind::CctTint && word.second &&
            std::max(std::abs(axis.from), std::abs(axis.to)) > kMostDuv) {
            constexpr double kWholeTint = 0.02; // of a tint told as a share
            axis.from *= kWholeTint;
            axis.to *= kWholeTint;
            type_.notes.push_back(
                say(ZELO_TEXT("core", "Tint: told as a share, taken as Duv ±0.02")));
        }
        if (word.kind == EngineKind::HueSaturation && !word.second && axis.to == 1)
            axis.to = 360;
        engine.arrange();
    }

    Result<Mode> readMode(const pugi::xml_node& node) {
        Mode mode;
        mode.name = node.attribute("Name").value();
        const bool additive = drivesEmitters(node);
        std::set<std::size_t> taken;      // parts that have a channel
        std::map<int, std::string> owner; // who has a slot
        bool other_breaks = false;
        for (const auto& c : node.child("DMXChannels").children("DMXChannel")) {
            // A second break has an address of its own, which a fixture of a show does not have.
            if (toInteger(c.attribute("DMXBreak").value()).value_or(1) != 1) {
                other_breaks = true;
                continue;
            }
            auto channel = readChannel(c, additive, taken);
            if (!channel)
                return passOn(channel.error());
            if (channel->offsets.empty()) // "None": not on the wire
                continue;
            for (const int offset : channel->offsets) {
                if (!owner.emplace(offset, channel->attribute).second)
                    return bad(
                        channel->attribute,
                        say(ZELO_TEXT("core", "offset {} is taken by {}"), offset, owner[offset]));
                mode.footprint = std::max(mode.footprint, offset);
            }
            if (channel->role == Role::Dimmer && mode.dimmer()) {
                channel->role = Role::Other;
                type_.notes.push_back(say(
                    ZELO_TEXT("core", "mode '{}': a second dimmer is left at home"), mode.name));
            }
            mode.channels.push_back(std::move(*channel));
            if (mode.channels.size() > kMostChannels)
                return bad("DMXChannels",
                           say(ZELO_TEXT("core", "more than {} channels"), kMostChannels));
        }
        if (other_breaks)
            type_.notes.push_back(
                say(ZELO_TEXT("core", "mode '{}': only the channels of its first break are read"),
                    mode.name));
        if (mode.channels.empty())
            return bad("DMXChannels", say(ZELO_TEXT("core", "no channels")));
        std::sort(mode.channels.begin(), mode.channels.end(),
                  [](const Channel& a, const Channel& b) {
                      return a.offsets.front() < b.offsets.front();
                  });
        nameApart(mode);
        return mode;
    }

    Done readOffsets(const pugi::xml_node& node, Channel& channel) {
        const std::string offset = node.attribute("Offset").value();
        if (offset.empty() || offset == "None")
            return {};
        for (const auto part : split(offset, ',')) {
            const auto n = toInteger(part);
            if (!n || *n < 1 || *n > 512 || channel.offsets.size() == 4)
                return bad(channel.attribute,
                           say(ZELO_TEXT("core", "Offset '{}': expected up to four "
                                                 "numbers from 1 to 512"),
                               offset));
            channel.offsets.push_back(*n);
        }
        if (channel.offsets.size() > 3) { // 24 bit are kept; a fourth byte is finer than light
            channel.offsets.resize(3);
            type_.notes.push_back(
                say(ZELO_TEXT("core", "{}: its fourth byte is left at 0"), channel.attribute));
        }
        return {};
    }

    // The stretch of values that a function has: from its DMXFrom to the next function's.
    static void setStretch(const pugi::xml_node& node, const pugi::xml_node& function,
                           Channel& channel) {
        const auto bytes = channel.offsets.size();
        channel.first = dmxValue(function.attribute("DMXFrom").value(), bytes);
        for (const auto& logical : node.children("LogicalChannel"))
            for (const auto& f : logical.children("ChannelFunction"))
                if (const auto from = dmxValue(f.attribute("DMXFrom").value(), bytes);
                    from > channel.first && from - 1 < channel.end())
                    channel.last = from - 1;
    }

    Result<Channel> readChannel(const pugi::xml_node& node, bool additive,
                                std::set<std::size_t>& taken) {
        Channel channel;
        const auto function = functionOf(node);
        channel.attribute = function.attribute("Attribute").value();
        if (channel.attribute.empty())
            channel.attribute = node.child("LogicalChannel").attribute("Attribute").value();
        channel.name = channel.attribute;
        if (auto read = readOffsets(node, channel); !read)
            return passOn(read.error());
        if (channel.offsets.empty())
            return channel;
        const auto home = function.attribute("Default") ? function.attribute("Default")
                                                        : node.attribute("Default");
        channel.home = dmxValue(home.value(), channel.offsets.size());
        channel.highlight = dmxValue(node.attribute("Highlight").value(), channel.offsets.size());
        if (const std::string profile = function.attribute("DMXProfile").value();
            !profile.empty()) {
            const auto known = named_.profiles.find(profile);
            if (known == named_.profiles.end())
                return bad(channel.attribute,
                           say(ZELO_TEXT("core", "DMXProfile '{}' is not there"), profile));
            channel.response = known->second;
        }
        setStretch(node, function, channel);
        if (useOf(function) == Use::Dimmer) {
            channel.role = Role::Dimmer;
            return channel;
        }
        auto part = partOf(function, additive, channel);
        if (!part)
            return passOn(part.error());
        if (!*part) {
            readSetting(node, channel);
            return channel;
        }
        channel.part = type_.indexOf(**part);
        channel.name = type_.partName(channel.part);
        if (!taken.insert(channel.part).second) {
            type_.notes.push_back(
                say(ZELO_TEXT("core", "a second channel for {} is left at home"), channel.name));
            return channel;
        }
        channel.role = Role::Part;
        return channel;
    }

    // What is neither intensity nor colour: all that its values do, and whether it goes there.
    static void readSetting(const pugi::xml_node& node, Channel& channel) {
        channel.name = plainName(channel.attribute);
        channel.first = 0;
        channel.last.reset();
        channel.snaps = isYes(node.child("LogicalChannel").attribute("Snap").value());
        struct Begins {
            std::uint32_t from;
            std::string name;
        };
        std::vector<Begins> all;
        const auto bytes = channel.offsets.size();
        // "Beam_Shutter1.Shutter1.Open": it rests as this function says.
        const std::string initial = node.attribute("InitialFunction").value();
        for (const auto& logical : node.children("LogicalChannel"))
            for (const auto& f : logical.children("ChannelFunction")) {
                const std::string own = f.attribute("Name").value();
                if (!own.empty() && initial.ends_with("." + own) && f.attribute("Default"))
                    channel.home = dmxValue(f.attribute("Default").value(), bytes);
                const std::string attribute = f.attribute("Attribute").value();
                std::string name = f.attribute("Name").value();
                if (name.empty() || name.rfind(attribute, 0) == 0) // "Zoom 1"
                    name = plainName(attribute);
                all.push_back({dmxValue(f.attribute("DMXFrom").value(), bytes), name});
                for (const auto& set : f.children("ChannelSet"))
                    if (const std::string called = set.attribute("Name").value(); !called.empty())
                        all.push_back({dmxValue(set.attribute("DMXFrom").value(), bytes), called});
                if (all.size() > kMostRanges)
                    break;
            }
        std::stable_sort(all.begin(), all.end(),
                         [](const Begins& a, const Begins& b) { return a.from < b.from; });
        for (std::size_t i = 0; i < all.size() && i < kMostRanges; ++i) {
            if (i + 1 < all.size() && all[i + 1].from == all[i].from)
                continue; // a set says more than the function that it stands in
            const auto to = i + 1 < all.size() ? all[i + 1].from - 1 : channel.most();
            channel.named.push_back({all[i].name, all[i].from, to});
        }
        if (channel.named.size() == 1 && channel.named[0].name == channel.name)
            channel.named.clear(); // all of it does the same
    }

    static bool isYes(std::string_view text) { return text == "Yes" || text == "On"; }

    // "Shutter1": Shutter. "AnimationWheel2": Animation wheel 2.
    static std::string plainName(const std::string& attribute) {
        std::string name;
        for (std::size_t i = 0; i < attribute.size(); ++i) {
            const auto c = static_cast<unsigned char>(attribute[i]);
            const bool digit = std::isdigit(c) != 0;
            const bool begins = i > 0 && (digit || std::isupper(c) != 0) &&
                                std::islower(static_cast<unsigned char>(attribute[i - 1])) != 0;
            if (begins && digit && attribute[i] == '1' && i + 1 == attribute.size())
                break; // the only one
            if (begins)
                name += ' ';
            name += begins                ? static_cast<char>(std::tolower(c))
                    : attribute[i] == '_' ? ' '
                                          : attribute[i];
        }
        return name.empty() ? attribute : name;
    }

    // Each setting has a name of its own in its mode.
    static void nameApart(Mode& mode) {
        std::set<std::string> names;
        for (Channel& c : mode.channels) {
            if (c.role != Role::Other)
                continue;
            const std::string plain = c.name;
            for (int n = 2; !names.insert(c.name).second; ++n)
                c.name = plain + " " + std::to_string(n);
        }
    }

    // The part that a function sets; nothing when it is none of ours.
    Result<std::optional<Part>> partOf(const pugi::xml_node& f, bool additive, Channel& channel) {
        switch (useOf(f)) {
        case Use::Emitter: {
            const std::string name = f.attribute("Emitter").value();
            const auto emitter = named_.emitters.find(name);
            if (emitter == named_.emitters.end())
                return bad(channel.attribute,
                           say(ZELO_TEXT("core", "Emitter '{}' is not there"), name));
            return std::optional(Part{PartKind::Emitter, emitter->second});
        }
        case Use::Flag: {
            const auto flag = flags_.find(flagName(f));
            if (flag == flags_.end())
                return bad(channel.attribute, say(ZELO_TEXT("core", "Filter '{}' is not there"),
                                                  f.attribute("Filter").value()));
            setInsertion(f, channel);
            return std::optional(Part{PartKind::Flag, flag->second});
        }
        case Use::Wheel: {
            const auto wheel = wheels_.find(f.attribute("Wheel").value());
            if (wheel == wheels_.end())
                return bad(channel.attribute, say(ZELO_TEXT("core", "Wheel '{}' is not there"),
                                                  f.attribute("Wheel").value()));
            setPlaces(f, type_.wheels[wheel->second], channel);
            return std::optional(Part{PartKind::Wheel, wheel->second});
        }
        case Use::Engine: {
            const EngineWord& word = *engineWord(f.attribute("Attribute").value());
            const auto engine = engines_.find(word.kind);
            if (additive || engine == engines_.end())
                return std::optional<Part>();
            return std::optional(
                Part{word.second ? PartKind::EngineSecond : PartKind::EngineFirst, engine->second});
        }
        default:
            return std::optional<Part>();
        }
    }

    // A flag that is driven in the other way round, or only part of the way.
    static void setInsertion(const pugi::xml_node& f, Channel& channel) {
        const double from = number(f, "PhysicalFrom", 0);
        const double to = number(f, "PhysicalTo", 1);
        const bool shares = from >= 0 && from <= 1 && to >= 0 && to <= 1 && from != to;
        if (!shares || (from == 0 && to == 1) || !channel.response.linear())
            return;
        light::Response::Piece piece;
        piece.c[0] = from;
        piece.c[1] = to - from;
        if (auto r = light::Response::ofPieces({piece}))
            channel.response = *r;
    }

    // Where on the channel the places of a wheel are: by its sets, or all the way round by angle.
    static void setPlaces(const pugi::xml_node& f, light::Wheel& wheel, Channel& channel) {
        if (std::string_view(f.attribute("Attribute").value()).size() > 6) { // …WheelIndex
            wheel.halves = true;
            light::Response::Piece piece;
            piece.c[0] = number(f, "PhysicalFrom", 0) / 360;
            piece.c[1] = (number(f, "PhysicalTo", 360) - number(f, "PhysicalFrom", 0)) / 360;
            if (auto r = light::Response::ofPieces({piece}))
                channel.response = *r;
            return;
        }
        std::vector<std::pair<std::uint32_t, int>> sets; // where each begins, its slot
        for (const auto& s : f.children("ChannelSet"))
            sets.emplace_back(dmxValue(s.attribute("DMXFrom").value(), channel.offsets.size()),
                              static_cast<int>(number(s, "WheelSlotIndex", 0)));
        std::sort(sets.begin(), sets.end());
        for (std::size_t i = 0; i < sets.size(); ++i) {
            const auto to = i + 1 < sets.size() ? sets[i + 1].first - 1 : channel.end();
            const int slot = sets[i].second;
            if (slot >= 1 && slot <= static_cast<int>(wheel.places.size()) && to >= sets[i].first &&
                sets[i].first >= channel.first)
                channel.ranges.push_back(
                    {sets[i].first, std::min(to, channel.end()), wheel.settingOf(slot - 1)});
        }
        if (!channel.ranges.empty())
            return;
        // No sets: the slots share the stretch evenly.
        const double n = static_cast<double>(wheel.places.size());
        const double stretch = static_cast<double>(channel.end() - channel.first) + 1;
        for (std::size_t i = 0; i < wheel.places.size(); ++i) {
            const auto at = [&](double slot) {
                return channel.first + static_cast<std::uint32_t>(stretch * slot / n);
            };
            const double slot = static_cast<double>(i);
            if (at(slot + 1) > at(slot))
                channel.ranges.push_back({at(slot), at(slot + 1) - 1, wheel.settingOf(slot)});
        }
    }

    const Named& named_;
    FixtureType& type_;
    std::map<std::string, std::size_t> flags_, wheels_; // by name, places in the type
    std::map<EngineKind, std::size_t> engines_;
};

} // namespace

Result<std::vector<Mode>> readModes(const pugi::xml_node& modes, const Named& named,
                                    FixtureType& type) {
    return ModesReader(named, type).read(modes);
}

} // namespace zelo::files::gdtf
