// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_modes.h"

#include "base/text.h"
#include "files/detail/gdtf_cells.h"
#include "files/detail/gdtf_functions.h"
#include "files/detail/gdtf_settings.h"
#include "light/frame.h"
#include "light/levels.h"

#include <algorithm>
#include <cmath>
#include <iterator>
#include <utility>

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
constexpr std::size_t kMostPlaces = 2048; // of channels, all cells of all breaks
constexpr double kMostDuv = 0.05;         // a tint that runs farther is no Duv

class ModesReader {
public:
    ModesReader(Named& named, FixtureType& type)
        : named_(named), type_(type), cells_(named.geometries) {}

    Result<std::vector<Mode>> read(const pugi::xml_node& modes) {
        for (const auto& m : modes.children("DMXMode"))
            gatherEmitters(m);
        settleBrightness(named_.beam, named_.told, type_.emitters, type_.notes);
        for (const auto& m : modes.children("DMXMode"))
            gather(m);
        if (type_.partCount() > light::kMostParts)
            return bad("DMXModes",
                       say(ZELO_TEXT("core", "{} emitters, flags, wheels and axes: at most {}"),
                           type_.partCount(), light::kMostParts));
        std::vector<Mode> all;
        std::optional<Error> last;
        for (const auto& m : modes.children("DMXMode")) {
            const Sentence where =
                say(ZELO_TEXT("core", "DMXMode '{}'"), m.attribute("Name").value());
            auto mode = readMode(m);
            if (mode) {
                all.push_back(std::move(*mode));
            } else { // one that cannot be used leaves the others as they are
                last = mode.error();
                last->where.insert(last->where.begin(), where);
                note(last->sentence());
            }
            if (all.size() > kMostModes)
                return bad("DMXModes", say(ZELO_TEXT("core", "more than {} modes"), kMostModes));
        }
        if (all.empty())
            return last ? passOn(*last) : bad("DMXModes", say(ZELO_TEXT("core", "no modes")));
        return all;
    }

private:
    void note(Sentence text) {
        constexpr std::size_t kMostNotes = 200;
        if (type_.notes.size() < kMostNotes &&
            std::find(type_.notes.begin(), type_.notes.end(), text) == type_.notes.end())
            type_.notes.push_back(std::move(text));
    }

    // Emitters make the colour of a mode where any is driven; an engine over them is left alone.
    bool drivesEmitters(const pugi::xml_node& mode) const {
        for (const auto& c : mode.child("DMXChannels").children("DMXChannel"))
            if (const auto f = functionOf(c);
                useOf(f) == Use::Emitter && named_.emitters.contains(emitterName(f, named_)))
                return true;
        return false;
    }

    static std::string flagName(const pugi::xml_node& f) {
        if (std::string filter = f.attribute("Filter").value(); !filter.empty())
            return filter;
        const auto made = modelledFlag(f.attribute("Attribute").value());
        return made ? made->name : std::string();
    }

    // The emitter that a function drives: by its link, else by its attribute; empty: none.
    static std::string emitterName(const pugi::xml_node& f, const Named& named) {
        const std::string link = f.attribute("Emitter").value();
        if (named.emitters.contains(link))
            return link;
        const std::string_view attribute = f.attribute("Attribute").value();
        const auto light = additiveLight(attribute);
        if (!light)
            return {};
        for (const auto& [name, at] : named.emitters)
            if (lowered(name) == lowered(light->name) ||
                lowered(name) == lowered(attribute.substr(attribute.find('_') + 1)))
                return name;
        return light->name;
    }

    void gatherEmitters(const pugi::xml_node& mode) {
        for (const auto& c : mode.child("DMXChannels").children("DMXChannel")) {
            const auto f = functionOf(c);
            if (useOf(f) != Use::Emitter)
                continue;
            const std::string name = emitterName(f, named_);
            const std::string attribute = f.attribute("Attribute").value();
            if (name.empty() || named_.emitters.contains(name) ||
                type_.emitters.size() >= light::kMostParts)
                continue;
            auto made = modelledEmitter(*additiveLight(attribute));
            note(say(ZELO_TEXT("core", "{}: no emitter, its light is modelled by the attribute"),
                     attribute));
            named_.emitters.emplace(name, type_.emitters.size());
            named_.told.push_back(made.told);
            type_.emitters.push_back(std::move(made.emitter));
        }
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
            note(say(ZELO_TEXT("core", "flag {}: no filter, transmittance modelled"), name));
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
            for (const auto& w : engineWords())
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
            note(say(ZELO_TEXT("core", "Tint: told as a share, taken as Duv ±0.02")));
        }
        if (word.kind == EngineKind::HueSaturation && !word.second && axis.to == 1)
            axis.to = 360;
        engine.arrange();
    }

    Result<Mode> readMode(const pugi::xml_node& node) {
        Mode mode;
        mode.name = node.attribute("Name").value();
        const bool additive = drivesEmitters(node);
        cells_.startAt(node.attribute("Geometry").value());
        std::vector<Placed> placed;
        std::size_t places = 0;
        for (const auto& c : node.child("DMXChannels").children("DMXChannel")) {
            auto channel = readChannel(c, additive);
            if (!channel) {
                note(channel.error().sentence());
                continue;
            }
            if (channel->offsets.empty()) // "None": not on the wire
                continue;
            placed.push_back({std::move(*channel), c, cells_.of(c)});
            places += placed.back().cells.size();
            if (places > kMostPlaces)
                return bad("DMXChannels",
                           say(ZELO_TEXT("core", "more than {} channels"), kMostPlaces));
        }
        layOut(placed, mode);
        joinCells(placed);
        settleDimmers(placed, mode);
        followMasters(placed, mode);
        for (Placed& p : placed)
            if (!p.channel.offsets.empty())
                mode.channels.push_back(std::move(p.channel));
        if (mode.channels.empty())
            return bad("DMXChannels", say(ZELO_TEXT("core", "no channels")));
        std::sort(mode.channels.begin(), mode.channels.end(),
                  [](const Channel& a, const Channel& b) {
                      return a.offsets.front() < b.offsets.front();
                  });
        nameApart(mode);
        return mode;
    }

    struct Placed {
        Channel channel;
        pugi::xml_node node;
        std::vector<Cell> cells;
    };

    // Each channel to its bytes, once for each cell; breaks one behind the other, since a fixture
    // of a show has one address. What has no room of its own is left out and told.
    void layOut(std::vector<Placed>& placed, Mode& mode) {
        std::map<int, int> footprints; // of each break
        for (const Placed& p : placed)
            for (const Cell& cell : p.cells)
                for (const int offset : p.channel.offsets) {
                    int& footprint = footprints[cell.dmx_break];
                    footprint = std::max(footprint, offset + cell.shift);
                }
        std::map<int, int> begins;
        for (const auto& [number, footprint] : footprints) {
            begins[number] = mode.footprint;
            if (mode.footprint + footprint > light::kSlots) {
                note(say(ZELO_TEXT("core", "mode '{}': break {} does not fit behind the others"),
                         mode.name, number));
                begins[number] = -1;
                continue;
            }
            if (mode.footprint > 0)
                note(say(ZELO_TEXT("core", "mode '{}': break {} is taken to follow the one before, "
                                           "at {} above its address"),
                         mode.name, number, mode.footprint));
            mode.footprint += footprint;
        }
        std::map<int, std::string> owner; // who has a slot
        for (Placed& p : placed) {
            const auto own = std::exchange(p.channel.offsets, {});
            for (const Cell& cell : p.cells) {
                if (begins[cell.dmx_break] < 0)
                    continue;
                std::vector<int> at;
                for (const int offset : own)
                    at.push_back(begins[cell.dmx_break] + cell.shift + offset);
                const auto other =
                    std::find_if(at.begin(), at.end(), [&](int o) { return owner.contains(o); });
                if (other != at.end()) {
                    note(say(
                        ZELO_TEXT("core", "mode '{}': {} at offset {} is left out, {} is there"),
                        mode.name, p.channel.attribute, *other, owner[*other]));
                    continue;
                }
                for (const int offset : at)
                    owner[offset] = p.channel.attribute;
                if (p.channel.offsets.empty())
                    p.channel.offsets = std::move(at);
                else
                    p.channel.also.push_back(std::move(at));
            }
        }
    }

    // A second channel for the same part is another cell: it shows the same.
    void joinCells(std::vector<Placed>& placed) {
        std::map<std::size_t, Channel*> first; // by part
        for (Placed& p : placed) {
            Channel& c = p.channel;
            if (c.role != Role::Part || c.offsets.empty())
                continue;
            const auto [at, is_first] = first.emplace(c.part, &c);
            if (is_first)
                continue;
            Channel& whole = *at->second;
            if (whole.bits() == c.bits() && whole.response == c.response &&
                whole.first == c.first && whole.end() == c.end() && whole.ranges == c.ranges) {
                whole.also.push_back(std::exchange(c.offsets, {}));
                std::move(c.also.begin(), c.also.end(), std::back_inserter(whole.also));
            } else {
                c.role = Role::Other;
                note(say(ZELO_TEXT("core", "a second channel for {} is left at home"), c.name));
            }
        }
    }

    // One dimmer is the fixture's; those of its cells stay open.
    void settleDimmers(std::vector<Placed>& placed, const Mode& mode) {
        bool found = false;
        for (Placed& p : placed) {
            Channel& c = p.channel;
            if (c.role != Role::Dimmer || c.offsets.empty() || !std::exchange(found, true))
                continue;
            c.role = Role::Other;
            c.home = light::channelValue(c, 1);
            note(say(ZELO_TEXT("core", "mode '{}': a second dimmer stays at full"), mode.name));
        }
    }

    // A function that works only while another channel is within some values: that channel rests
    // there, where it is neither intensity nor colour.
    void followMasters(std::vector<Placed>& placed, const Mode& mode) {
        for (const Placed& p : placed) {
            const auto f = functionOf(p.node);
            const std::string master = f.attribute("ModeMaster").value();
            if (master.empty() || p.channel.role == Role::Other || p.channel.offsets.empty())
                continue;
            // "Beam_Shutter1" or "Beam_Shutter1.Shutter1.Open": the channel is geometry_attribute.
            const std::string channel = master.substr(0, master.find('.'));
            bool followed = false;
            for (Placed& m : placed) {
                const std::string name =
                    std::string(m.node.attribute("Geometry").value()) + "_" +
                    m.node.child("LogicalChannel").attribute("Attribute").value();
                if (name != channel || m.channel.role != Role::Other || m.channel.offsets.empty())
                    continue;
                const auto bytes = m.channel.offsets.size();
                const auto from = dmxValue(f.attribute("ModeFrom").value(), bytes);
                const auto to = dmxValue(f.attribute("ModeTo").value(), bytes);
                followed = from <= to;
                if (followed && (m.channel.home < from || m.channel.home > to)) {
                    m.channel.home = from;
                    note(say(ZELO_TEXT("core", "mode '{}': {} rests at {}, where {} works"),
                             mode.name, m.channel.attribute, from, p.channel.attribute));
                }
                break;
            }
            if (!followed)
                note(say(ZELO_TEXT("core", "mode '{}': {} may depend on {}, which is not followed"),
                         mode.name, p.channel.attribute, master));
        }
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
            note(say(ZELO_TEXT("core", "{}: its fourth byte is left at 0"), channel.attribute));
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

    Result<Channel> readChannel(const pugi::xml_node& node, bool additive) {
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
            if (const auto known = named_.profiles.find(profile); known != named_.profiles.end())
                channel.response = known->second;
            else
                note(say(ZELO_TEXT("core", "{}: DMXProfile '{}' is not there, taken as even"),
                         channel.attribute, profile));
        }
        setStretch(node, function, channel);
        if (useOf(function) == Use::Dimmer) {
            channel.role = Role::Dimmer;
            followPhysical(function, channel);
            return channel;
        }
        const auto part = partOf(function, additive, channel);
        if (!part) {
            readSetting(node, channel);
            return channel;
        }
        channel.part = type_.indexOf(*part);
        channel.name = type_.partName(channel.part);
        channel.role = Role::Part;
        return channel;
    }

    // The part that a function sets; nothing when it is none of ours, or not there.
    std::optional<Part> partOf(const pugi::xml_node& f, bool additive, Channel& channel) {
        const auto missing = [&](const char* what, const std::string& name) {
            note(say(ZELO_TEXT("core", "{}: {} '{}' is not there, left at home"), channel.attribute,
                     what, name));
            return std::optional<Part>();
        };
        switch (useOf(f)) {
        case Use::Emitter: {
            const auto emitter = named_.emitters.find(emitterName(f, named_));
            if (emitter == named_.emitters.end())
                return missing("Emitter", f.attribute("Emitter").value());
            followPhysical(f, channel);
            return Part{PartKind::Emitter, emitter->second};
        }
        case Use::Flag: {
            const auto flag = flags_.find(flagName(f));
            if (flag == flags_.end())
                return missing("Filter", f.attribute("Filter").value());
            followPhysical(f, channel);
            return Part{PartKind::Flag, flag->second};
        }
        case Use::Wheel: {
            const auto wheel = wheels_.find(f.attribute("Wheel").value());
            if (wheel == wheels_.end())
                return missing("Wheel", f.attribute("Wheel").value());
            setPlaces(f, type_.wheels[wheel->second], channel);
            return Part{PartKind::Wheel, wheel->second};
        }
        case Use::Engine: {
            const EngineWord& word = *engineWord(f.attribute("Attribute").value());
            const auto engine = engines_.find(word.kind);
            if (additive || engine == engines_.end())
                return std::nullopt;
            return Part{word.second ? PartKind::EngineSecond : PartKind::EngineFirst,
                        engine->second};
        }
        default:
            return std::nullopt;
        }
    }

    // What runs the other way round, or only part of the way: PhysicalFrom 1, PhysicalTo 0.
    void followPhysical(const pugi::xml_node& f, Channel& channel) {
        const double from = number(f, "PhysicalFrom", 0);
        const double to = number(f, "PhysicalTo", 1);
        const bool shares = from >= 0 && from <= 1 && to >= 0 && to <= 1 && from != to;
        if (!shares || (from == 0 && to == 1))
            return;
        if (!channel.response.linear())
            return note(say(ZELO_TEXT("core", "{}: has a DMXProfile, its PhysicalFrom {} and "
                                              "PhysicalTo {} are not followed"),
                            channel.attribute, from, to));
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

    Named& named_;
    FixtureType& type_;
    Cells cells_;
    std::map<std::string, std::size_t> flags_, wheels_; // by name, places in the type
    std::map<EngineKind, std::size_t> engines_;
};

} // namespace

bool anyAdditive(const pugi::xml_node& modes) {
    for (const auto& m : modes.children("DMXMode"))
        for (const auto& c : m.child("DMXChannels").children("DMXChannel"))
            if (useOf(functionOf(c)) == Use::Emitter)
                return true;
    return false;
}

Result<std::vector<Mode>> readModes(const pugi::xml_node& modes, Named& named, FixtureType& type) {
    return ModesReader(named, type).read(modes);
}

} // namespace zelo::files::gdtf
