// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/gdtf_writer.h"

#include "base/file.h"
#include "base/hash.h"
#include "base/text.h"
#include "files/archive.h"
#include "files/gdtf_reader.h"

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <pugixml.hpp>
#include <sstream>

namespace zelo::files {

using light::Channel;
using light::Emitter;
using light::Engine;
using light::FixtureType;
using light::Flag;
using light::Mode;
using light::PartKind;
using light::Role;

namespace {

constexpr const char* kSkeleton = R"(<?xml version="1.0" encoding="UTF-8"?>
<GDTF DataVersion="1.2"><FixtureType CanHaveChildren="No" RefFT="" Thumbnail="">
<AttributeDefinitions><ActivationGroups/><FeatureGroups>
<FeatureGroup Name="Dimmer" Pretty="Dimmer"><Feature Name="Dimmer"/></FeatureGroup>
<FeatureGroup Name="Color" Pretty="Color"><Feature Name="RGB"/></FeatureGroup>
</FeatureGroups><Attributes/></AttributeDefinitions>
<Wheels/><PhysicalDescriptions><Emitters/><Filters/><ColorSpace Mode="sRGB" Name="Default"/>
<AdditionalColorSpaces/><Gamuts/><DMXProfiles/><CRIs/><Connectors/></PhysicalDescriptions><Models/>
<Geometries><Geometry Name="Body" Position="{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}">
<Beam Name="Beam" Position="{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}"/></Geometry></Geometries>
<DMXModes/><Revisions/><FTPresets/><Protocols/></FixtureType></GDTF>)";

using Node = pugi::xml_node;

std::string digits(double value) { // the shortest that reads back as the same number
    return fmt::format("{}", value);
}

void set(Node node, const char* name, const std::string& value) {
    auto attribute = node.attribute(name);
    (attribute ? attribute : node.append_attribute(name)).set_value(value.c_str());
}

Node sub(Node node, const char* name) {
    const Node there = node.child(name);
    return there ? there : node.append_child(name);
}

Node named(Node list, const char* element, const std::string& name) {
    return list.find_child_by_attribute(element, "Name", name.c_str());
}

// The element of that name, emptied, or a new one at the end.
Node renewed(Node list, const char* element, const std::string& name) {
    if (const Node old = named(list, element, name)) {
        Node fresh = list.insert_child_before(element, old);
        list.remove_child(old);
        set(fresh, "Name", name);
        return fresh;
    }
    Node fresh = list.append_child(element);
    set(fresh, "Name", name);
    return fresh;
}

std::string xyY(const colour::Spectrum& s, double top) {
    const auto xyz = colour::toXyz(s);
    if (!(xyz.X + xyz.Y + xyz.Z > 0))
        return "0,0,0";
    const auto xy = colour::toXy(xyz);
    return fmt::format("{},{},{}", xy.x, xy.y, top);
}

void writePoints(Node measurement, const colour::Spectrum& s) {
    for (std::size_t i = 0; i < colour::kGridSize; ++i) {
        Node p = measurement.append_child("MeasurementPoint");
        set(p, "WaveLength", digits(colour::kGridFirstNm + static_cast<double>(i)));
        set(p, "Energy", digits(s[i]));
    }
}

void writeEmitter(Node list, const Emitter& e) {
    Node node = renewed(list, "Emitter", e.name);
    set(node, "Color", xyY(e.spectrum, e.xyz().Y));
    set(node, "DominantWaveLength", digits(e.spectrum.peakNm()));
    const auto measurement = [&](double drive, const colour::Spectrum& s) {
        Node m = node.append_child("Measurement");
        set(m, "Physical", digits(100 * drive));
        set(m, "LuminousIntensity", digits(colour::toXyz(s).Y));
        set(m, "InterpolationTo", "Linear");
        writePoints(m, s);
    };
    for (const auto& d : e.droop)
        measurement(d.drive, d.spectrum);
    measurement(1, e.spectrum);
}

void writeFilter(Node list, const Flag& flag, const colour::Spectrum& behind) {
    Node node = renewed(list, "Filter", flag.name);
    const auto through = [&](const colour::Spectrum& t) {
        const double all = colour::toXyz(behind).Y;
        return all > 0 ? 100 * colour::toXyz(behind * t).Y / all : 100;
    };
    for (const auto& p : flag.points) {
        const auto t = light::transmittanceOf(p.density);
        set(node, "Color", xyY(behind * t, through(t)));
        Node m = node.append_child("Measurement");
        set(m, "Physical", digits(100 * p.position));
        set(m, "Transmission", digits(through(t)));
        set(m, "InterpolationTo", "Log");
        writePoints(m, t);
    }
}

bool same(const Emitter& a, const Emitter& b) {
    return a.spectrum == b.spectrum && std::equal(a.droop.begin(), a.droop.end(), b.droop.begin(),
                                                  b.droop.end(), [](const auto& x, const auto& y) {
                                                      return x.drive == y.drive &&
                                                             x.spectrum == y.spectrum;
                                                  });
}

bool same(const Flag& a, const Flag& b) {
    return a.points == b.points;
}

bool same(const light::Wheel& a, const light::Wheel& b) {
    return std::equal(a.places.begin(), a.places.end(), b.places.begin(), b.places.end(),
                      [](const auto& x, const auto& y) {
                          return x.name == y.name && x.transmittance == y.transmittance;
                      });
}

bool same(const Engine& a, const Engine& b) {
    return a.kind == b.kind && a.first == b.first && a.second == b.second && a.white == b.white &&
           a.corners == b.corners;
}

bool same(const Mode& a, const FixtureType& of_a, const Mode& b, const FixtureType& of_b) {
    return std::equal(a.channels.begin(), a.channels.end(), b.channels.begin(), b.channels.end(),
                      [&](const Channel& x, const Channel& y) {
                          const bool parts = x.role != Role::Part ||
                                             of_a.partName(x.part) == of_b.partName(y.part);
                          return x.attribute == y.attribute && x.offsets == y.offsets &&
                                 x.role == y.role && parts && x.response == y.response &&
                                 x.home == y.home && x.highlight == y.highlight &&
                                 x.first == y.first && x.end() == y.end() && x.ranges == y.ranges;
                      });
}

template <class T>
const T* byName(const std::vector<T>& all, const std::string& name) {
    for (const T& t : all)
        if (t.name == name)
            return &t;
    return nullptr;
}

class Writer {
public:
    Writer(const FixtureType& type, const std::optional<FixtureType>& was, Node root)
        : type_(type), was_(was), node_(root.child("FixtureType")),
          physical_(sub(node_, "PhysicalDescriptions")) {}

    void write() {
        if (!was_ || type_.name != was_->name) {
            set(node_, "Name", type_.name);
            set(node_, "LongName", type_.name);
        }
        if (!was_ || type_.maker != was_->maker)
            set(node_, "Manufacturer", type_.maker);
        if (!was_ || type_.description != was_->description)
            set(node_, "Description", type_.description);
        if (!node_.attribute("FixtureTypeID"))
            set(node_, "FixtureTypeID", identity());
        emitters();
        filters();
        wheels();
        engines();
        modes();
    }

private:
    // A GUID out of maker and name (FNV-1a), the same each time.
    std::string identity() const {
        const std::string both = type_.maker + "\n" + type_.name;
        const std::uint64_t h[2] = {fnv1a(both), fnv1a(both, kFnvPrime)};
        return fmt::format("{:08X}-{:04X}-4{:03X}-8{:03X}-{:012X}", h[0] >> 32, h[0] >> 16 & 0xffff,
                           h[0] & 0xfff, h[1] >> 52, h[1] & 0xffffffffffff);
    }

    colour::Spectrum behind() const { // what flags and wheels stand before
        return type_.emitters.empty() ? colour::Spectrum::flat(1) : type_.emitters[0].spectrum;
    }

    void emitters() {
        Node list = sub(physical_, "Emitters");
        for (const Emitter& e : type_.emitters) {
            const Emitter* before = was_ ? byName(was_->emitters, e.name) : nullptr;
            if (!before || !same(e, *before))
                writeEmitter(list, e);
            if (e.source && (!before || !before->source))
                setSource(e.name);
        }
        if (was_)
            for (const Emitter& e : was_->emitters)
                if (!byName(type_.emitters, e.name))
                    list.remove_child(named(list, "Emitter", e.name));
    }

    void setSource(const std::string& name) {
        Node beam = node_.child("Geometries").find_node([](const Node& n) {
            return std::string_view(n.name()) == "Beam";
        });
        set(beam ? beam : sub(node_, "Geometries").append_child("Beam"), "EmitterSpectrum", name);
    }

    void filters() {
        Node list = sub(physical_, "Filters");
        for (const Flag& f : type_.flags) {
            const Flag* before = was_ ? byName(was_->flags, f.name) : nullptr;
            if (!before || !same(f, *before))
                writeFilter(list, f, behind());
        }
    }

    void wheels() {
        Node list = sub(node_, "Wheels");
        for (const auto& w : type_.wheels) {
            const auto* before = was_ ? byName(was_->wheels, w.name) : nullptr;
            if (before && same(w, *before))
                continue;
            Node node = renewed(list, "Wheel", w.name);
            for (const auto& s : w.places) {
                Node slot = node.append_child("Slot");
                set(slot, "Name", s.name);
                set(slot, "Color",
                    s.transmittance ? xyY(behind() * *s.transmittance, 50) : xyY(behind(), 100));
                if (!s.transmittance)
                    continue;
                Flag filter;
                filter.name = w.name + " " + s.name;
                filter.points = {{1, light::densityOf(*s.transmittance)}};
                writeFilter(sub(physical_, "Filters"), filter, behind());
                set(slot, "Filter", filter.name);
            }
        }
    }

    void engines() {
        for (const Engine& e : type_.engines) {
            const Engine* before = was_ ? byName(was_->engines, e.name) : nullptr;
            if (before && same(e, *before))
                continue;
            Node gamut = renewed(sub(physical_, "Gamuts"), "Gamut", e.name);
            std::string points;
            for (const auto& c : e.corners)
                points += (points.empty() ? "" : " ") + xyY(c, colour::toXyz(c).Y);
            set(gamut, "Points", points);
            Node space = renewed(sub(physical_, "AdditionalColorSpaces"), "ColorSpace", e.name);
            set(space, "Mode", "Custom");
            set(space, "WhitePoint", xyY(e.white, colour::toXyz(e.white).Y));
        }
    }

    void modes() {
        Node list = sub(node_, "DMXModes");
        for (const Mode& m : type_.modes) {
            const Mode* before = was_ ? byName(was_->modes, m.name) : nullptr;
            if (!before || !same(m, type_, *before, *was_))
                writeMode(list, m);
        }
        if (was_)
            for (const Mode& m : was_->modes)
                if (!byName(type_.modes, m.name))
                    list.remove_child(named(list, "DMXMode", m.name));
    }

    void writeMode(Node list, const Mode& mode) {
        const Node old = named(list, "DMXMode", mode.name);
        const std::string geometry = old ? old.attribute("Geometry").value() : "Body";
        Node node = renewed(list, "DMXMode", mode.name);
        set(node, "Geometry", geometry);
        Node channels = node.append_child("DMXChannels");
        for (const Channel& c : mode.channels)
            writeChannel(channels, c);
        node.append_child("Relations");
        node.append_child("FTMacros");
    }

    void writeChannel(Node list, const Channel& c) {
        const std::string bytes = std::to_string(c.offsets.size());
        Node node = list.append_child("DMXChannel");
        std::string offsets;
        for (const int o : c.offsets)
            offsets += (offsets.empty() ? "" : ",") + std::to_string(o);
        set(node, "DMXBreak", "1");
        set(node, "Offset", offsets);
        set(node, "Highlight", std::to_string(c.highlight) + "/" + bytes);
        set(node, "Geometry", "Beam");
        Node logical = node.append_child("LogicalChannel");
        set(logical, "Attribute", c.attribute);
        if (c.snaps)
            set(logical, "Snap", "Yes");
        const auto function = [&](const std::string& attribute, std::uint32_t from) {
            Node f = logical.append_child("ChannelFunction");
            set(f, "Attribute", attribute);
            set(f, "DMXFrom", std::to_string(from) + "/" + bytes);
            return f;
        };
        if (c.first > 0)
            function("NoFeature", 0);
        Node f = function(c.attribute, c.first);
        set(f, "Name", c.name);
        set(f, "Default", std::to_string(c.home) + "/" + bytes);
        set(f, "PhysicalFrom", "0");
        set(f, "PhysicalTo", "1");
        bool curved = !c.response.linear();
        if (c.role == Role::Part)
            curved &= !writeLinks(f, c, bytes);
        for (const auto& range : c.named) {
            Node stretch = f.append_child("ChannelSet");
            set(stretch, "Name", range.name);
            set(stretch, "DMXFrom", std::to_string(range.from) + "/" + bytes);
        }
        if (curved)
            set(f, "DMXProfile", profileOf(c.response));
        if (c.end() < c.most())
            function("NoFeature", c.end() + 1);
        Node attributes = sub(sub(node_, "AttributeDefinitions"), "Attributes");
        if (!named(attributes, "Attribute", c.attribute)) {
            Node a = attributes.append_child("Attribute");
            set(a, "Name", c.attribute);
            set(a, "Pretty", c.name);
            set(a, "Feature", c.role == Role::Dimmer ? "Dimmer.Dimmer" : "Color.RGB");
            set(a, "PhysicalUnit", "None");
        }
    }

    // Which part the function sets; true when its response is told by that.
    bool writeLinks(Node f, const Channel& c, const std::string& bytes) {
        const auto part = type_.part(c.part);
        switch (part.kind) {
        case PartKind::Emitter:
            set(f, "Emitter", type_.emitters[part.index].name);
            return false;
        case PartKind::Flag:
            set(f, "Filter", type_.flags[part.index].name);
            return false;
        case PartKind::Wheel: {
            const auto& wheel = type_.wheels[part.index];
            set(f, "Wheel", wheel.name);
            for (const auto& r : c.ranges) {
                Node s = f.append_child("ChannelSet");
                const double slot = wheel.slotAt(r.setting);
                set(s, "Name", wheel.nameAt(r.setting));
                set(s, "DMXFrom", std::to_string(r.from) + "/" + bytes);
                set(s, "WheelSlotIndex", std::to_string(static_cast<int>(slot) + 1));
            }
            if (c.ranges.empty()) {
                set(f, "PhysicalFrom", digits(360 * c.response.drive(0)));
                set(f, "PhysicalTo", digits(360 * c.response.drive(1)));
            }
            return true;
        }
        default:
            break;
        }
        const Engine& engine = type_.engines[part.index];
        const auto& axis = part.kind == PartKind::EngineFirst ? engine.first : engine.second;
        set(f, "PhysicalFrom", digits(axis.from));
        set(f, "PhysicalTo", digits(axis.to));
        set(f, "Gamut", engine.name);
        set(f, "ColorSpace", engine.name);
        return false;
    }

    std::string profileOf(const light::Response& response) {
        Node list = sub(physical_, "DMXProfiles");
        for (std::size_t i = 0; i < profiles_.size(); ++i)
            if (profiles_[i].second == response)
                return profiles_[i].first;
        std::string name;
        for (std::size_t n = profiles_.size() + 1; name.empty() || named(list, "DMXProfile", name);
             ++n)
            name = fmt::format("Curve {}", n);
        Node node = renewed(list, "DMXProfile", name);
        for (const auto& piece : response.pieces()) {
            Node p = node.append_child("Point");
            set(p, "DMXPercentage", digits(100 * piece.from));
            set(p, "CFC0", digits(100 * piece.c[0]));
            set(p, "CFC1", digits(piece.c[1]));
            set(p, "CFC2", digits(piece.c[2] / 100));
            set(p, "CFC3", digits(piece.c[3] / 1e4));
        }
        profiles_.emplace_back(name, response);
        return name;
    }

    const FixtureType& type_;
    const std::optional<FixtureType>& was_;
    Node node_, physical_;
    std::vector<std::pair<std::string, light::Response>> profiles_;
};

} // namespace

std::map<std::string, std::string> gdtfFiles(const FixtureType& type) {
    auto files = type.kept ? *type.kept : std::map<std::string, std::string>();
    std::optional<FixtureType> was;
    pugi::xml_document doc;
    constexpr auto kAll = pugi::parse_full; // comments and the like stay too
    if (const auto own = files.find("description.xml"); own != files.end())
        if (auto read = parseGdtf(own->second))
            if (doc.load_buffer(own->second.data(), own->second.size(), kAll))
                was = std::move(*read);
    if (!was)
        doc.load_string(kSkeleton, kAll);
    Writer(type, was, doc.child("GDTF")).write();
    std::ostringstream text;
    doc.save(text, " ", pugi::format_default, pugi::encoding_utf8);
    files["description.xml"] = text.str();

    auto power = nlohmann::ordered_json::parse(files["zelochrome.json"], nullptr, false);
    if (!power.is_object())
        power = nlohmann::ordered_json::object();
    for (const Emitter& e : type.emitters)
        if (e.power_w > 0)
            power["emitters"][e.name]["power_w"] = e.power_w;
    if (power.empty())
        files.erase("zelochrome.json");
    else
        files["zelochrome.json"] = power.dump(1) + "\n";
    return files;
}

Done writeGdtf(const FixtureType& type, const std::filesystem::path& path) {
    namespace fs = std::filesystem;
    const auto files = gdtfFiles(type);
    if (lowered(path.extension().string()) == ".gdtf") {
        const auto bytes = zipped(files);
        if (!bytes)
            return passOn(bytes.error(), path.string());
        return writeFile(path, *bytes);
    }
    std::error_code error;
    if (fs::exists(path, error) && !fs::exists(path / "description.xml", error) &&
        !(fs::is_directory(path, error) && fs::is_empty(path, error)))
        return passOn(
            Error{ErrorCode::BadValue,
                  say(ZELO_TEXT("core",
                                "there is something else of this name: expected NAME.gdtf, a new "
                                "folder, or a folder with description.xml")),
                  {}},
            path.string());
    for (const auto& [name, text] : files) {
        const fs::path inside = fs::path(name).lexically_normal();
        if (inside.is_absolute() || inside.string().starts_with(".."))
            return passOn(Error{ErrorCode::BadValue, "'" + name + "' leads out of the folder", {}},
                          path.string());
        fs::create_directories((path / inside).parent_path(), error);
        if (auto done = writeFile(path / inside, text); !done)
            return passOn(done.error());
    }
    return {};
}

} // namespace zelo::files
