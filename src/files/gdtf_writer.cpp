// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/gdtf_writer.h"

#include "base/file.h"
#include "base/hash.h"
#include "base/text.h"
#include "colour/dominant.h"
#include "files/archive.h"
#include "files/detail/gdtf_functions.h"
#include "files/gdtf_reader.h"

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <pugixml.hpp>
#include <set>
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
<FeatureGroup Name="Control" Pretty="Control"><Feature Name="Control"/></FeatureGroup>
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

// The child of that name; a new one where the standard has it among the others.
Node sub(Node node, const char* name) {
    if (const Node there = node.child(name))
        return there;
    static const std::vector<std::string_view> kOrder = {"AttributeDefinitions",
                                                         "Wheels",
                                                         "PhysicalDescriptions",
                                                         "Models",
                                                         "Geometries",
                                                         "DMXModes",
                                                         "Revisions",
                                                         "FTPresets",
                                                         "Protocols", // of FixtureType
                                                         "ActivationGroups",
                                                         "FeatureGroups",
                                                         "Attributes", // of AttributeDefinitions
                                                         "Emitters",
                                                         "Filters",
                                                         "ColorSpace",
                                                         "AdditionalColorSpaces",
                                                         "Gamuts",
                                                         "DMXProfiles",
                                                         "CRIs",
                                                         "Connectors",
                                                         "Properties"}; // of PhysicalDescriptions
    const auto place = [](std::string_view of) {
        return std::find(kOrder.begin(), kOrder.end(), of) - kOrder.begin();
    };
    for (Node other : node.children())
        if (place(other.name()) > place(name))
            return node.insert_child_before(name, other);
    return node.append_child(name);
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

// A name as the standard allows it: other characters become _.
std::string plainName(const std::string& name) {
    constexpr std::string_view kAllowed = " \"#%()*+-/:;<=>@_`";
    std::string plain;
    for (std::size_t i = 0; i < name.size(); ++i) {
        const auto c = static_cast<unsigned char>(name[i]);
        const bool plain_c = (c >= '0' && c <= '9') || (c >= 'A' && c <= 'Z') ||
                             (c >= 'a' && c <= 'z') || kAllowed.find(name[i]) != std::string::npos;
        if (plain_c)
            plain += name[i];
        else if ((c & 0xc0) != 0x80) // one _ for each character of UTF-8
            plain += '_';
    }
    return plain;
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

// `output`: of all emitters together, cd; the Y of a Color is a share of it, percent.
void writeEmitter(Node list, const Emitter& e, const std::string& name, double output) {
    Node node = renewed(list, "Emitter", name);
    const auto xyz = e.xyz();
    set(node, "Color", xyY(e.spectrum, output > 0 ? 100 * xyz.Y / output : 0));
    constexpr colour::Xy kEqualEnergy{1.0 / 3, 1.0 / 3};
    constexpr double kOfOneHue = 0.3; // paler lights have none to speak of
    if (colour::hasChromaticity(xyz))
        if (const auto dominant = colour::dominantOf(colour::toXy(xyz), kEqualEnergy);
            dominant && !dominant->complementary && dominant->purity > kOfOneHue)
            set(node, "DominantWaveLength", fmt::format("{:.1f}", dominant->wavelength_nm));
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

void writeFilter(Node list, const Flag& flag, const std::string& name,
                 const colour::Spectrum& behind) {
    Node node = renewed(list, "Filter", name);
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
                                 x.first == y.first && x.end() == y.end() && x.ranges == y.ranges &&
                                 x.also == y.also;
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
    // `renamed`: as the type's own file has them; its elements stay under those names.
    Writer(const FixtureType& type, const std::optional<FixtureType>& was, Node root,
           std::map<std::string, std::string> renamed)
        : type_(type), was_(was), node_(root.child("FixtureType")),
          physical_(sub(node_, "PhysicalDescriptions")), renamed_(std::move(renamed)) {
        takeNames();
    }

    void write() {
        if (!was_ || type_.name != was_->name) {
            set(node_, "Name", plainName(type_.name));
            set(node_, "LongName", type_.name);
            set(node_, "ShortName", type_.name);
        }
        if (!node_.attribute("ShortName"))
            set(node_, "ShortName", type_.name);
        if (!was_ || type_.maker != was_->maker)
            set(node_, "Manufacturer", type_.maker);
        if (!was_ || type_.description != was_->description)
            set(node_, "Description", type_.description);
        if (!node_.attribute("FixtureTypeID"))
            set(node_, "FixtureTypeID", identity());
        emitters();
        filters();
        wheels();
        for (const Engine& e : type_.engines) {
            const Engine* before = was_ ? byName(was_->engines, e.name) : nullptr;
            if (!before || !same(e, *before))
                writeEngine(e);
        }
        modes();
    }

    // Names that the standard does not allow, by what stands in the file instead.
    const std::map<std::string, std::string>& renamed() const { return renamed_; }

private:
    // The name in the file: as it is where it came from there or is allowed, else a plain one that
    // no other has.
    std::string nameOf(const std::string& own) {
        for (const auto& [plain, name] : renamed_)
            if (name == own)
                return plain;
        std::string plain = plainName(own);
        if (plain == own)
            return own;
        for (int n = 2; names_.contains(plain) || renamed_.contains(plain); ++n)
            plain = plainName(own) + " " + std::to_string(n);
        renamed_[plain] = own;
        return plain;
    }

    // All names of the type: none of them may be taken for another.
    void takeNames() {
        for (const auto& e : type_.emitters)
            names_.insert(e.name);
        for (const auto& f : type_.flags)
            names_.insert(f.name);
        for (const auto& w : type_.wheels) {
            names_.insert(w.name);
            for (const auto& slot : w.places)
                names_.insert(slot.name);
        }
        for (const auto& m : type_.modes) {
            names_.insert(m.name);
            for (const auto& c : m.channels) {
                names_.insert(c.name);
                for (const auto& range : c.named)
                    names_.insert(range.name);
            }
        }
    }

    double output() const {
        double all = 0;
        for (const Emitter& e : type_.emitters)
            all += e.xyz().Y;
        return all;
    }

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
        const auto changed = [&](const Emitter& e) {
            const Emitter* before = was_ ? byName(was_->emitters, e.name) : nullptr;
            return !before || !same(e, *before);
        };
        // One that is written has a brightness of its own; those that the reader made from less
        // than a measurement would be judged by it anew, so they are written too.
        const bool any = std::any_of(type_.emitters.begin(), type_.emitters.end(), changed);
        for (const Emitter& e : type_.emitters) {
            if (!changed(e) && !(any && e.modelled))
                continue;
            writeEmitter(list, e, nameOf(e.name), output());
            if (e.source)
                setSource(nameOf(e.name));
        }
        if (was_)
            for (const Emitter& e : was_->emitters)
                if (!byName(type_.emitters, e.name))
                    list.remove_child(named(list, "Emitter", nameOf(e.name)));
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
                writeFilter(list, f, nameOf(f.name), behind());
        }
    }

    void wheels() {
        Node list = sub(node_, "Wheels");
        for (const auto& w : type_.wheels) {
            const auto* before = was_ ? byName(was_->wheels, w.name) : nullptr;
            if (before && same(w, *before))
                continue;
            Node node = renewed(list, "Wheel", nameOf(w.name));
            for (const auto& s : w.places) {
                Node slot = node.append_child("Slot");
                set(slot, "Name", nameOf(s.name));
                set(slot, "Color",
                    s.transmittance ? xyY(behind() * *s.transmittance, 50) : xyY(behind(), 100));
                if (!s.transmittance)
                    continue;
                Flag filter;
                filter.name = plainName(w.name + " " + s.name);
                filter.points = {{1, light::densityOf(*s.transmittance)}};
                writeFilter(sub(physical_, "Filters"), filter, filter.name, behind());
                set(slot, "Filter", filter.name);
            }
        }
    }

    void writeEngine(const Engine& e) {
        Node gamut = renewed(sub(physical_, "Gamuts"), "Gamut", e.name);
        std::string points;
        for (const auto& c : e.corners)
            points += (points.empty() ? "" : ";") + xyY(c, colour::toXyz(c).Y);
        set(gamut, "Points", points);
        Node space = renewed(sub(physical_, "AdditionalColorSpaces"), "ColorSpace", e.name);
        set(space, "Mode", "Custom");
        set(space, "WhitePoint", xyY(e.white, colour::toXyz(e.white).Y));
    }

    void modes() {
        Node list = sub(node_, "DMXModes");
        for (const Mode& m : type_.modes) {
            const Mode* before = was_ ? byName(was_->modes, m.name) : nullptr;
            if (!before || !same(m, type_, *before, *was_))
                writeMode(list, m, before);
        }
        if (was_)
            for (const Mode& m : was_->modes)
                if (!byName(type_.modes, m.name))
                    list.remove_child(named(list, "DMXMode", nameOf(m.name)));
    }

    // A mode that was in the file keeps what its channels had beside what we use, and its
    // relations.
    void writeMode(Node list, const Mode& mode, const Mode* before) {
        const Node old = named(list, "DMXMode", nameOf(mode.name));
        Node node = old ? list.insert_child_before("DMXMode", old) : list.append_child("DMXMode");
        set(node, "Name", nameOf(mode.name));
        for (const auto& a : old.attributes())
            set(node, a.name(), a.value());
        if (!old)
            set(node, "Geometry", rootGeometry());
        Node channels = node.append_child("DMXChannels");
        const auto kept = old && before ? keptNodes(mode, *before, old) : std::vector<Node>();
        for (std::size_t i = 0; i < mode.channels.size(); ++i) {
            if (!kept.empty() && kept[i])
                changeChannel(channels.append_copy(kept[i]), mode.channels[i]);
            else
                writeChannel(channels, mode.channels[i], geometryOf(old));
        }
        for (const char* part : {"Relations", "FTMacros"}) {
            if (const Node own = old.child(part))
                node.append_copy(own);
            else
                node.append_child(part);
        }
        if (old)
            list.remove_child(old);
    }

    std::string rootGeometry() const {
        const auto first = node_.child("Geometries").first_child().attribute("Name");
        return *first.value() ? first.value() : "Body";
    }
    // Where a new channel stands: beside those that are there.
    std::string geometryOf(const Node& mode) const {
        const std::string beside =
            mode.child("DMXChannels").child("DMXChannel").attribute("Geometry").value();
        if (!beside.empty())
            return beside;
        const Node beam = node_.child("Geometries").find_node([](const Node& n) {
            return std::string_view(n.name()) == "Beam";
        });
        return beam ? beam.attribute("Name").value() : rootGeometry();
    }

    static std::string attributeOf(const Node& channel) {
        const std::string of_function = gdtf::functionOf(channel).attribute("Attribute").value();
        return !of_function.empty()
                   ? of_function
                   : channel.child("LogicalChannel").attribute("Attribute").value();
    }

    // For each channel the element that it came from; null where there is none to keep.
    std::vector<Node> keptNodes(const Mode& mode, const Mode& before, const Node& old) const {
        std::vector<Node> all;
        std::vector<const Channel*> used;
        for (const Channel& c : mode.channels) {
            const auto came_from = [&](const Channel& b) {
                const bool part =
                    c.role != Role::Part || type_.partName(c.part) == was_->partName(b.part);
                return b.role == c.role && b.attribute == c.attribute && part &&
                       b.also.size() == c.also.size() &&
                       std::find(used.begin(), used.end(), &b) == used.end();
            };
            const auto b = std::find_if(before.channels.begin(), before.channels.end(), came_from);
            Node found;
            int same_attribute = 0;
            for (const Node& n : old.child("DMXChannels").children("DMXChannel")) {
                if (b == before.channels.end() || attributeOf(n) != c.attribute)
                    continue;
                const bool there = offsetsText(b->offsets) == n.attribute("Offset").value();
                if (!found || there)
                    found = n;
                same_attribute += 1;
                if (there) {
                    same_attribute = 1;
                    break;
                }
            }
            // Cells stand at offsets of their own: they stay where they were or are written anew.
            const bool moved_cells = b != before.channels.end() && !b->also.empty() &&
                                     (b->also != c.also || b->offsets != c.offsets);
            all.push_back(same_attribute == 1 && !moved_cells && sameUse(*b, c) ? found : Node());
            if (b != before.channels.end())
                used.push_back(&*b);
        }
        return all;
    }
    // All but place, home, highlight and response is as it was.
    static bool sameUse(const Channel& a, const Channel& b) {
        const auto scaled = [](const Channel& c, std::uint32_t v) { return c.shareOf(v); };
        return std::abs(scaled(a, a.first) - scaled(b, b.first)) < 0.01 &&
               std::abs(scaled(a, a.end()) - scaled(b, b.end())) < 0.01 &&
               a.ranges.size() == b.ranges.size() && a.named == b.named;
    }

    static std::string offsetsText(const std::vector<int>& offsets) {
        std::string text;
        for (const int o : offsets)
            text += (text.empty() ? "" : ",") + std::to_string(o);
        return text;
    }

    // A channel that stays but for what was changed about it.
    void changeChannel(Node node, const Channel& c) {
        const std::string bytes = std::to_string(c.offsets.size());
        if (c.also.empty())
            set(node, "Offset", offsetsText(c.offsets));
        Node f = gdtf::functionOf(node);
        const auto now = [&](const Node& n, const char* attribute) {
            return gdtf::dmxValue(n.attribute(attribute).value(), c.offsets.size());
        };
        if (c.highlight != now(node, "Highlight"))
            set(node, "Highlight", std::to_string(c.highlight) + "/" + bytes);
        if (!f)
            return;
        if (c.role != Role::Other && c.home != now(f.attribute("Default") ? f : node, "Default"))
            set(f, "Default", std::to_string(c.home) + "/" + bytes);
        if (f.attribute("Emitter") && c.role == Role::Part &&
            type_.part(c.part).kind == PartKind::Emitter)
            link(f, type_.emitters[c.part]);
        const bool of_light =
            c.role == Role::Dimmer || (c.role == Role::Part && c.part < type_.emitters.size());
        if (of_light) {
            f.remove_attribute("DMXProfile");
            if (!c.response.linear()) {
                set(f, "PhysicalFrom", "0");
                set(f, "PhysicalTo", "1");
                set(f, "DMXProfile", profileOf(c.response));
            }
        }
    }

    // A geometry of its own for each cell, beside the first.
    std::string cellGeometry(const std::string& first, std::size_t cell) {
        if (cell == 0)
            return first;
        const std::string name = fmt::format("{} {}", first, cell + 1);
        const auto called = [this](const std::string& wanted) {
            return node_.child("Geometries").find_node([&](const Node& n) {
                return wanted == n.attribute("Name").value();
            });
        };
        if (!called(name)) {
            Node beside = called(first);
            Node parent = beside ? beside.parent() : node_.child("Geometries");
            const bool top = std::string_view(parent.name()) == "Geometries";
            Node own =
                top ? beside.append_child("Beam") : parent.insert_child_after("Beam", beside);
            set(own, "Name", name);
            set(own, "Position", "{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}");
        }
        return name;
    }

    void writeChannel(Node list, const Channel& c, const std::string& geometry) {
        writeChannelAt(list, c, geometry, c.offsets);
        for (std::size_t cell = 0; cell < c.also.size(); ++cell)
            writeChannelAt(list, c, cellGeometry(geometry, cell + 1), c.also[cell]);
    }

    void writeChannelAt(Node list, const Channel& c, const std::string& geometry,
                        const std::vector<int>& offsets) {
        const std::string bytes = std::to_string(offsets.size());
        const std::string name = c.name == c.attribute ? c.name : nameOf(c.name);
        Node node = list.append_child("DMXChannel");
        set(node, "DMXBreak", "1");
        set(node, "Offset", offsetsText(offsets));
        set(node, "InitialFunction", geometry + "_" + c.attribute + "." + c.attribute + "." + name);
        set(node, "Highlight", std::to_string(c.highlight) + "/" + bytes);
        set(node, "Geometry", geometry);
        Node logical = node.append_child("LogicalChannel");
        set(logical, "Attribute", c.attribute);
        set(logical, "Snap", c.snaps ? "Yes" : "No");
        set(logical, "Master", c.role == Role::Dimmer ? "Grand" : "None");
        const auto function = [&](const std::string& attribute, const std::string& called,
                                  std::uint32_t from) {
            Node f = logical.append_child("ChannelFunction");
            set(f, "Name", called);
            set(f, "Attribute", attribute);
            set(f, "DMXFrom", std::to_string(from) + "/" + bytes);
            return f;
        };
        if (c.first > 0)
            function("NoFeature", "NoFeature 1", 0);
        Node f = function(c.attribute, name, c.first);
        set(f, "Default", std::to_string(c.home) + "/" + bytes);
        set(f, "PhysicalFrom", "0");
        set(f, "PhysicalTo", "1");
        bool curved = !c.response.linear();
        if (c.role == Role::Part)
            curved &= !writeLinks(f, c, bytes);
        for (const auto& range : c.named) {
            Node stretch = f.append_child("ChannelSet");
            set(stretch, "Name", nameOf(range.name));
            set(stretch, "DMXFrom", std::to_string(range.from) + "/" + bytes);
        }
        if (curved)
            set(f, "DMXProfile", profileOf(c.response));
        if (c.end() < c.most()) {
            function("NoFeature", "NoFeature 2", c.end() + 1);
            define("NoFeature", "NoFeature", "Control", "Control");
        }
        if (c.first > 0)
            define("NoFeature", "NoFeature", "Control", "Control");
        if (c.role == Role::Dimmer)
            define(c.attribute, name, "Dimmer", "Dimmer");
        else if (c.role == Role::Part)
            define(c.attribute, name, "Color", "RGB");
        else
            define(c.attribute, name, "Control", "Control");
    }

    // An attribute and its feature, unless they are there.
    void define(const std::string& attribute, const std::string& pretty, const std::string& group,
                const std::string& feature) {
        Node definitions = sub(node_, "AttributeDefinitions");
        Node attributes = sub(definitions, "Attributes");
        if (named(attributes, "Attribute", attribute))
            return;
        Node groups = sub(definitions, "FeatureGroups");
        Node of = named(groups, "FeatureGroup", group);
        if (!of) {
            of = groups.append_child("FeatureGroup");
            set(of, "Name", group);
            set(of, "Pretty", group);
        }
        if (!named(of, "Feature", feature))
            set(of.append_child("Feature"), "Name", feature);
        Node a = attributes.append_child("Attribute");
        set(a, "Name", attribute);
        set(a, "Pretty", pretty);
        set(a, "Feature", group + "." + feature);
        set(a, "PhysicalUnit", "None");
    }

    // What a link names is there, also where the reader made it from an attribute alone.
    void link(Node f, const Emitter& e) {
        const Node list = sub(physical_, "Emitters");
        if (!named(list, "Emitter", nameOf(e.name)))
            writeEmitter(list, e, nameOf(e.name), output());
        set(f, "Emitter", nameOf(e.name));
    }
    void link(Node f, const Flag& flag) {
        const Node list = sub(physical_, "Filters");
        if (!named(list, "Filter", nameOf(flag.name)))
            writeFilter(list, flag, nameOf(flag.name), behind());
        set(f, "Filter", nameOf(flag.name));
    }

    // Which part the function sets; true when its response is told by that.
    bool writeLinks(Node f, const Channel& c, const std::string& bytes) {
        const auto part = type_.part(c.part);
        switch (part.kind) {
        case PartKind::Emitter:
            link(f, type_.emitters[part.index]);
            return false;
        case PartKind::Flag:
            link(f, type_.flags[part.index]);
            return false;
        case PartKind::Wheel: {
            const auto& wheel = type_.wheels[part.index];
            set(f, "Wheel", nameOf(wheel.name));
            for (const auto& r : c.ranges) {
                Node s = f.append_child("ChannelSet");
                const double slot = wheel.slotAt(r.setting);
                set(s, "Name", plainName(wheel.nameAt(r.setting)));
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
        // What the links name is there, also where the engine came from another name.
        if (!named(sub(physical_, "Gamuts"), "Gamut", engine.name) ||
            !named(sub(physical_, "AdditionalColorSpaces"), "ColorSpace", engine.name))
            writeEngine(engine);
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
    std::map<std::string, std::string> renamed_; // names that GDTF does not allow
    std::set<std::string> names_;                // all of the type
};

} // namespace

std::map<std::string, std::string> gdtfFiles(const FixtureType& type) {
    auto files = type.kept ? *type.kept : std::map<std::string, std::string>();
    std::optional<FixtureType> was;
    pugi::xml_document doc;
    constexpr auto kAll = pugi::parse_full; // comments and the like stay too
    const auto words = files.find("zelochrome.json");
    if (const auto text = files.find("description.xml"); text != files.end())
        if (auto read = parseGdtf(text->second, words == files.end() ? "" : words->second))
            if (doc.load_buffer(text->second.data(), text->second.size(), kAll))
                was = std::move(*read);
    if (!was)
        doc.load_string(kSkeleton, kAll);
    auto own = nlohmann::ordered_json::parse(files["zelochrome.json"], nullptr, false);
    if (!own.is_object())
        own = nlohmann::ordered_json::object();
    std::map<std::string, std::string> renamed;
    if (was && own.contains("names"))
        for (const auto& [plain, name] : own["names"].items())
            if (name.is_string())
                renamed[plain] = name;
    Writer writer(type, was, doc.child("GDTF"), std::move(renamed));
    writer.write();
    std::ostringstream text;
    doc.save(text, " ", pugi::format_default, pugi::encoding_utf8);
    files["description.xml"] = text.str();

    if (own.contains("emitters") && !own["emitters"].is_object())
        own.erase("emitters"); // of somebody else's making
    for (const Emitter& e : type.emitters)
        if (e.power_w > 0)
            own["emitters"][e.name]["power_w"] = e.power_w;
    if (!writer.renamed().empty())
        own["names"] = writer.renamed();
    if (own.empty())
        files.erase("zelochrome.json");
    else
        files["zelochrome.json"] = own.dump(1) + "\n";
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
