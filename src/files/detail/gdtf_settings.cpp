// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_settings.h"

#include "files/detail/gdtf_functions.h"

#include <algorithm>
#include <cctype>
#include <set>

namespace zelo::files::gdtf {

using light::Channel;
using light::Mode;
using light::Role;

namespace {

constexpr std::size_t kMostRanges = 256; // of a channel, that have names

bool isYes(std::string_view text) {
    return text == "Yes" || text == "On";
}

// "Shutter1": Shutter. "AnimationWheel2": Animation wheel 2.
std::string plainName(const std::string& attribute) {
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

} // namespace

void readSetting(const pugi::xml_node& node, Channel& channel) {
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

void nameApart(Mode& mode) {
    std::set<std::string> names;
    for (Channel& c : mode.channels) {
        if (c.role != Role::Other)
            continue;
        const std::string plain = c.name;
        for (int n = 2; !names.insert(c.name).second; ++n)
            c.name = plain + " " + std::to_string(n);
    }
}

} // namespace zelo::files::gdtf
