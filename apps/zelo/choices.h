// SPDX-License-Identifier: GPL-3.0-or-later
// Choices that several commands share: a fixture and mode, a white point, an intent; and how mixes
// are written as JSON.
#pragma once

#include "commands.h"
#include "mix/rounding.h"
#include "report.h"
#include "route/way.h"

namespace zelo::cli {

// By id or path, and mode by name (empty: the first). Errors list what there is.
Result<std::shared_ptr<const mix::Mixer>>
chooseFixture(Context& context, const std::string& fixture, const std::string& mode);
// A white point: must be a colour; `option` goes into the message.
Result<light::Wanted> chooseWhite(Context& context, const std::string& white);

struct IntentOptions {
    std::string intent = "truest";
    double give_up = 0.3;
    std::vector<std::string> cameras;
    std::string balance = "cct:5600";
    std::string exact_for = "eye";
};
void addIntentOptions(CLI::App& command, IntentOptions& options);
Result<mix::MixWish> wishFrom(Context& context, const IntentOptions& options,
                              const light::FixtureType& type);

struct Way {
    route::Kind kind;
    route::Side side;
};
Result<Way> chooseWay(const std::string& route, const std::string& side_name);

// "emitters", and "filters", "wheels" and "engine" where the type has them: how each part is set.
void addParts(Json& j, const light::FixtureType& type, const light::Drives& drives);
// How a part is set, for people: "62.0 %", "Open", "3200 K".
std::string settingText(const light::FixtureType& type, std::size_t part, double drive);
Json channelsJson(const light::Mode& mode, const light::ChannelValues& values);
inline Json uvJson(const colour::Uv& uv) {
    return {uv.u, uv.v};
}

} // namespace zelo::cli
