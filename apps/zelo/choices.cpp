// SPDX-License-Identifier: GPL-3.0-or-later
#include "choices.h"

namespace zelo::cli {

Result<std::shared_ptr<const mix::Mixer>>
chooseFixture(Context& context, const std::string& fixture, const std::string& mode_name) {
    auto type = context.library.find(fixture);
    if (!type)
        return passOn(type.error());
    const light::Mode* mode = (*type)->mode(mode_name);
    if (mode)
        return std::make_shared<const mix::Mixer>(*type, *mode);
    std::string names;
    for (const auto& m : (*type)->modes)
        names += (names.empty() ? "'" : ", '") + m.name + "'";
    return fail(ErrorCode::NotFound, "{} has no mode '{}': it has {}", (*type)->name, mode_name,
                names);
}

Result<light::Wanted> chooseWhite(Context& context, const std::string& white) {
    auto read = light::parseColour(white, context.library);
    if (!read)
        return passOn(read.error(), "--white");
    return read;
}

void addIntentOptions(CLI::App& command, IntentOptions& o) {
    command.add_option("--intent", o.intent, "brightest, truest, kindest or leanest")
        ->capture_default_str();
    command.add_option("--give-up", o.give_up, "share of brightness it may cost, 0..1")
        ->capture_default_str();
}

Result<mix::MixWish> wishFrom(const IntentOptions& o, const light::FixtureType& type) {
    mix::MixWish wish;
    wish.give_up = o.give_up;
    const auto intent = mix::intentNamed(o.intent);
    if (!intent)
        return fail(ErrorCode::BadValue,
                    "--intent {}: expected brightest, truest, kindest or leanest", o.intent);
    wish.intent = *intent;
    if (auto sound = wish.check(type.emitters.size()); !sound)
        return passOn(sound.error());
    return wish;
}

Json emittersJson(const light::FixtureType& type, const light::Drives& drives) {
    Json list = Json::array();
    for (std::size_t e = 0; e < drives.size(); ++e)
        list.push_back({{"name", type.emitters[e].name}, {"drive", drives[e]}});
    return list;
}

Json channelsJson(const light::Mode& mode, const light::ChannelValues& values) {
    Json list = Json::array();
    for (std::size_t i = 0; i < mode.channels.size(); ++i) {
        const auto& c = mode.channels[i];
        list.push_back({{"offset", c.offsets.front()},
                        {"attribute", c.attribute},
                        {"value", values[i]},
                        {"bits", c.bits()}});
    }
    return list;
}

} // namespace zelo::cli
