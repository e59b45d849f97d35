// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/naming.h"

#include "base/text.h"
#include "show/holders.h"

namespace zelo::host {

show::State namedParts(const show::State& state, const play::Sources& types) {
    return show::changeValues(state, [&](show::FixtureId id, show::Value& value) {
        if (value.parts.empty() || value.parts.begin()->first.rfind('#', 0) != 0)
            return false; // "#" comes before all letters
        const show::Fixture* fixture = state.show->fixture(id);
        const auto type = fixture ? types.type(fixture->type) : nullptr;
        if (!type)
            return false;
        // Drives of another type say nothing about this one.
        show::PartLevels named;
        if (value.parts.size() == type->partCount())
            for (const auto& [place, level] : value.parts)
                if (const auto n = toInteger(std::string_view(place).substr(1)); n && *n >= 1)
                    named[type->partName(static_cast<std::size_t>(*n) - 1)] = level;
        value.parts = std::move(named);
        return true;
    });
}

} // namespace zelo::host
