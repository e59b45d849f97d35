// SPDX-License-Identifier: GPL-3.0-or-later
// The rules of DIN SPEC 15800 that a description has to keep so that others read it rightly: names
// and their letters, references, ranges of values, the order of elements.
#pragma once

#include <map>
#include <pugixml.hpp>
#include <set>
#include <string>
#include <vector>

namespace zelo::test {

class GdtfRules {
public:
    // One line for each rule that is broken, with its place.
    static std::vector<std::string> broken(const std::string& description) {
        GdtfRules rules;
        pugi::xml_document doc;
        if (!doc.load_string(description.c_str()))
            return {"not XML"};
        rules.type_ = doc.child("GDTF").child("FixtureType");
        rules.physical_ = rules.type_.child("PhysicalDescriptions");
        rules.header();
        rules.order();
        rules.physical();
        rules.modes();
        return rules.all_;
    }

private:
    using Node = pugi::xml_node;

    void rule(bool kept, const Node& where, const std::string& what) {
        if (!kept)
            all_.push_back(std::string(where.name()) + " '" + where.attribute("Name").value() +
                           "': " + what);
    }

    static bool isName(std::string_view name) {
        constexpr std::string_view kSigns = " \"#%()*+-/:;<=>@_`";
        if (name.empty())
            return false;
        for (const char c : name)
            if (!(c >= '0' && c <= '9') && !(c >= 'a' && c <= 'z') && !(c >= 'A' && c <= 'Z') &&
                kSigns.find(c) == std::string_view::npos)
                return false;
        return true;
    }

    // Names of a list: allowed and unique.
    std::set<std::string> names(const Node& list, const char* element) {
        std::set<std::string> all;
        for (const Node& n : list.children(element)) {
            const std::string name = n.attribute("Name").value();
            rule(isName(name), n, "letters of its name");
            rule(all.insert(name).second, n, "the name is there twice");
        }
        return all;
    }

    void header() {
        for (const char* needed :
             {"Name", "ShortName", "LongName", "Manufacturer", "Description", "FixtureTypeID"})
            rule(type_.attribute(needed), type_, std::string("no ") + needed);
        rule(isName(type_.attribute("Name").value()), type_, "letters of its name");
    }

    void inOrder(const Node& parent, const std::vector<std::string>& wanted) {
        std::size_t at = 0;
        for (const Node& n : parent.children()) {
            if (n.type() != pugi::node_element)
                continue;
            std::size_t next = at;
            while (next < wanted.size() && wanted[next] != n.name())
                ++next;
            rule(next < wanted.size(), parent, std::string(n.name()) + " is out of order");
            if (next < wanted.size())
                at = next;
        }
    }
    void order() {
        inOrder(type_, {"AttributeDefinitions", "Wheels", "PhysicalDescriptions", "Models",
                        "Geometries", "DMXModes", "Revisions", "FTPresets", "Protocols"});
        inOrder(type_.child("AttributeDefinitions"),
                {"ActivationGroups", "FeatureGroups", "Attributes"});
        inOrder(physical_, {"Emitters", "Filters", "ColorSpace", "AdditionalColorSpaces", "Gamuts",
                            "DMXProfiles", "CRIs", "Connectors", "Properties"});
    }

    static std::vector<double> numbers(std::string text, char by) {
        std::vector<double> all;
        for (std::size_t at = 0; at <= text.size();) {
            const auto end = std::min(text.find(by, at), text.size());
            std::size_t used = 0;
            const std::string one = text.substr(at, end - at);
            try {
                all.push_back(std::stod(one, &used));
            } catch (...) {
            }
            if (used != one.size())
                return {};
            at = end + 1;
        }
        return all;
    }
    bool isColour(const std::string& text, double most) {
        const auto c = numbers(text, ',');
        return c.size() == 3 && c[0] >= 0 && c[0] <= 1 && c[1] >= 0 && c[1] <= 1 && c[2] >= 0 &&
               c[2] <= most;
    }

    void physical() {
        emitters_ = names(physical_.child("Emitters"), "Emitter");
        filters_ = names(physical_.child("Filters"), "Filter");
        gamuts_ = names(physical_.child("Gamuts"), "Gamut");
        spaces_ = names(physical_.child("AdditionalColorSpaces"), "ColorSpace");
        spaces_.insert(physical_.child("ColorSpace").attribute("Name").value());
        profiles_ = names(physical_.child("DMXProfiles"), "DMXProfile");
        wheels_ = names(type_.child("Wheels"), "Wheel");
        double shares = 0;
        for (const Node& e : physical_.child("Emitters").children()) {
            rule(isColour(e.attribute("Color").value(), 100), e,
                 "Color: x, y and a share of the output in percent");
            shares += numbers(e.attribute("Color").value(), ',').back();
            if (const auto nm = e.attribute("DominantWaveLength"))
                rule(nm.as_double() >= 380 && nm.as_double() <= 780, e, "DominantWaveLength");
            double last = -1;
            for (const Node& m : e.children("Measurement")) {
                rule(m.attribute("Physical").as_double() > last, e, "Physical must rise");
                last = m.attribute("Physical").as_double();
            }
        }
        rule(shares <= 100.001, physical_, "the shares of its emitters are more than all");
        for (const Node& g : physical_.child("Gamuts").children()) {
            std::string points = g.attribute("Points").value();
            int count = 0;
            for (std::size_t at = 0; at < points.size();) {
                const auto end = std::min(points.find(';', at), points.size());
                rule(isColour(points.substr(at, end - at), 1e9), g, "its points");
                at = end + 1;
                ++count;
            }
            rule(count >= 3, g, "three points at least");
        }
        for (const Node& w : type_.child("Wheels").children()) {
            names(w, "Slot");
            for (const Node& s : w.children())
                if (const std::string f = s.attribute("Filter").value(); !f.empty())
                    rule(filters_.contains(f), s, "its Filter is not there");
        }
        std::set<std::string> features;
        const Node definitions = type_.child("AttributeDefinitions");
        names(definitions.child("FeatureGroups"), "FeatureGroup");
        for (const Node& g : definitions.child("FeatureGroups").children())
            for (const Node& f : g.children())
                features.insert(std::string(g.attribute("Name").value()) + "." +
                                f.attribute("Name").value());
        attributes_ = names(definitions.child("Attributes"), "Attribute");
        for (const Node& a : definitions.child("Attributes").children())
            rule(features.contains(a.attribute("Feature").value()), a, "its Feature is not there");
    }

    static long value(const Node& n, const char* attribute, int bytes) {
        const std::string text = n.attribute(attribute).value();
        const auto slash = text.find('/');
        const long v = std::stol(text.substr(0, slash));
        const int of = std::stoi(text.substr(slash + 1));
        long brought = v;
        for (int b = of; b < bytes; ++b) // repeated, as the standard has it
            brought = brought << 8 | (v >> (8 * (of - 1 - (b - of) % of)) & 0xff);
        for (int b = bytes; b < of; ++b)
            brought >>= 8;
        return brought;
    }

    void channel(const Node& c, std::set<std::pair<std::string, int>>& taken) {
        const std::string offset = c.attribute("Offset").value();
        if (offset == "None" || offset.empty())
            return;
        const auto offsets = numbers(offset, ',');
        const int bytes = static_cast<int>(offsets.size());
        rule(bytes >= 1 && bytes <= 4, c, "Offset " + offset);
        const std::string place = std::string(c.attribute("DMXBreak").value());
        for (const double o : offsets) {
            rule(o >= 1 && o <= 512, c, "Offset " + offset);
            rule(taken.emplace(place, static_cast<int>(o)).second, c, "Offset is taken " + offset);
        }
        const std::string geometry = c.attribute("Geometry").value();
        rule(geometries_.contains(geometry), c, "Geometry '" + geometry + "' is not there");
        const Node logical = c.child("LogicalChannel");
        const std::string attribute = logical.attribute("Attribute").value();
        rule(attributes_.contains(attribute), logical, "Attribute '" + attribute + "'");
        if (const std::string initial = c.attribute("InitialFunction").value(); !initial.empty()) {
            bool there = false;
            for (const Node& f : logical.children("ChannelFunction"))
                there |= initial == geometry + "_" + attribute + "." + attribute + "." +
                                        f.attribute("Name").value();
            rule(there, c, "InitialFunction '" + initial + "' is not there");
        }
        const long most = (1L << (8 * bytes)) - 1;
        long last = -1;
        std::set<std::string> functions;
        for (const Node& f : logical.children("ChannelFunction")) {
            const long from = value(f, "DMXFrom", bytes);
            rule(from > last && from <= most, f, "DMXFrom must rise");
            last = from;
            if (const std::string name = f.attribute("Name").value(); !name.empty()) {
                rule(isName(name), f, "letters of its name");
                rule(functions.insert(name).second, f, "the name is there twice");
            }
            const auto refers = [&](const char* what, const std::set<std::string>& to) {
                if (const std::string name = f.attribute(what).value(); !name.empty())
                    rule(to.contains(name), f, std::string(what) + " '" + name + "' is not there");
            };
            refers("Attribute", attributes_);
            refers("Emitter", emitters_);
            refers("Filter", filters_);
            refers("Wheel", wheels_);
            refers("Gamut", gamuts_);
            refers("ColorSpace", spaces_);
            refers("DMXProfile", profiles_);
            long last_set = from - 1;
            for (const Node& s : f.children("ChannelSet")) {
                rule(value(s, "DMXFrom", bytes) > last_set, s, "DMXFrom must rise");
                last_set = value(s, "DMXFrom", bytes);
                rule(isName(s.attribute("Name").value()), s, "letters of its name");
            }
        }
    }

    void modes() {
        std::set<std::string> tops;
        for (const Node& g : type_.child("Geometries").children())
            tops.insert(g.attribute("Name").value());
        struct Walk : pugi::xml_tree_walker {
            std::set<std::string>* all = nullptr;
            bool for_each(Node& n) override {
                all->insert(n.attribute("Name").value());
                return true;
            }
        } walk;
        walk.all = &geometries_;
        type_.child("Geometries").traverse(walk);
        names(type_.child("DMXModes"), "DMXMode");
        for (const Node& m : type_.child("DMXModes").children("DMXMode")) {
            inOrder(m, {"DMXChannels", "Relations", "FTMacros"});
            rule(tops.contains(m.attribute("Geometry").value()), m, "its Geometry is not there");
            std::set<std::pair<std::string, int>> taken;
            for (const Node& c : m.child("DMXChannels").children("DMXChannel"))
                channel(c, taken);
        }
    }

    Node type_, physical_;
    std::set<std::string> emitters_, filters_, gamuts_, spaces_, profiles_, wheels_, attributes_,
        geometries_;
    std::vector<std::string> all_;
};

} // namespace zelo::test
