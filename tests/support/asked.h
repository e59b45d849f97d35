// SPDX-License-Identifier: GPL-3.0-or-later
// Colours asked for, in tests as people write them: "gel:214@3200".
#pragma once

#include "show/show.h"

namespace zelo::test {

inline light::Asked asked(const std::string& notation) {
    return light::parseAsked(notation).value();
}
inline show::ColourWish wishFor(const std::string& notation, const colour::Uv& uv = {}) {
    show::ColourWish wish;
    wish.asked = asked(notation);
    wish.uv = uv;
    return wish;
}
inline std::string textOf(const std::optional<show::ColourWish>& wish) {
    return wish ? light::toText(wish->asked) : "none";
}
inline std::string textOf(const std::optional<show::Source<show::ColourWish>>& source) {
    return source && source->here() ? light::toText(source->here()->asked) : "none";
}
inline std::string textOf(const show::Source<light::Asked>& source) {
    return source.here() ? light::toText(*source.here()) : "none";
}

} // namespace zelo::test
