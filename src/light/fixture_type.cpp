// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/fixture_type.h"

namespace zelo::light {

std::optional<std::size_t> Mode::dimmer() const {
    for (std::size_t i = 0; i < channels.size(); ++i)
        if (channels[i].role == Role::Dimmer)
            return i;
    return std::nullopt;
}

std::optional<std::size_t> Mode::channelOf(std::size_t emitter) const {
    for (std::size_t i = 0; i < channels.size(); ++i)
        if (channels[i].role == Role::Emitter && channels[i].emitter == emitter)
            return i;
    return std::nullopt;
}

const Mode* FixtureType::mode(std::string_view mode_name) const {
    for (const Mode& m : modes)
        if (mode_name.empty() || m.name == mode_name)
            return &m;
    return nullptr;
}

} // namespace zelo::light
