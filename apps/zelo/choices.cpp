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
    return fail(ErrorCode::NotFound, ZELO_TEXT("core", "{} has no mode '{}': it has {}"),
                (*type)->name, mode_name, names);
}

Result<light::Wanted> chooseWhite(Context& context, const std::string& white) {
    auto read = light::parseColour(white, context.library);
    if (!read)
        return passOn(read.error(), "--white");
    return read;
}

void addIntentOptions(CLI::App& command, IntentOptions& o) {
    command.add_option("--intent", o.intent, "brightest, truest, kindest, leanest or filmed")
        ->capture_default_str();
    command.add_option("--give-up", o.give_up, "share of brightness it may cost, 0..1")
        ->capture_default_str();
    command.add_option("--camera", o.cameras,
                       "whom filmed minds: a camera's name or a file; up to three");
    command.add_option("--balance", o.balance, "the white that the cameras are balanced to")
        ->capture_default_str();
    command.add_option("--exact-for", o.exact_for, "eye, or camera: the first sees it exactly")
        ->capture_default_str();
}

namespace {

Result<colour::CamerasPtr> chooseCameras(Context& context, const IntentOptions& o) {
    colour::Cameras all;
    auto balance = light::parseAsked(o.balance);
    if (!balance)
        return passOn(balance.error(), "--balance");
    for (const std::string& name : o.cameras) {
        auto camera = context.library.camera(name);
        if (!camera)
            return passOn(camera.error(), "--camera");
        camera->balance = *balance;
        auto made = play::cameraFrom(*camera, context.library);
        if (!made)
            return passOn(made.error(), "--balance");
        all.push_back(std::move(*made));
    }
    return all.empty() ? nullptr : std::make_shared<const colour::Cameras>(std::move(all));
}

} // namespace

Result<mix::MixWish> wishFrom(Context& context, const IntentOptions& o,
                              const light::FixtureType& type) {
    mix::MixWish wish;
    wish.give_up = o.give_up;
    const auto intent = mix::intentNamed(o.intent);
    if (!intent)
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core",
                      "--intent {}: expected brightest, truest, kindest, leanest or filmed"),
            o.intent);
    wish.intent = *intent;
    if (o.exact_for != "eye" && o.exact_for != "camera")
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--exact-for {}: expected eye or camera"), o.exact_for);
    wish.exact_for_camera = o.exact_for == "camera";
    auto cameras = chooseCameras(context, o);
    if (!cameras)
        return passOn(cameras.error());
    wish.cameras = *cameras;
    if (!wish.cameras && (wish.exact_for_camera || *intent == mix::Intent::Filmed))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: needs a --camera"),
                    wish.exact_for_camera ? "--exact-for camera" : "--intent filmed");
    if (auto sound = wish.check(type.partCount()); !sound)
        return passOn(sound.error());
    return wish;
}

namespace {

double axisValue(const light::FixtureType& type, const light::Part& part, double drive) {
    const auto& engine = type.engines[part.index];
    return (part.kind == light::PartKind::EngineFirst ? engine.first : engine.second).value(drive);
}

} // namespace

void addParts(Json& j, const light::FixtureType& type, const light::Drives& drives) {
    j["emitters"] = Json::array();
    for (std::size_t i = 0; i < drives.size(); ++i) {
        const auto part = type.part(i);
        const std::string name = type.partName(i);
        switch (part.kind) {
        case light::PartKind::Emitter:
            j["emitters"].push_back({{"name", name}, {"drive", drives[i]}});
            break;
        case light::PartKind::Flag:
            j["filters"].push_back({{"name", name}, {"position", drives[i]}});
            break;
        case light::PartKind::Wheel:
            j["wheels"].push_back(
                {{"name", name}, {"slot", type.wheels[part.index].nameAt(drives[i])}});
            break;
        case light::PartKind::EngineLevel:
            if (drives[i] > 0)
                j["engine"].push_back({{"name", name}, {"value", drives[i]}});
            break;
        default:
            if (drives[type.indexOf({light::PartKind::EngineLevel, part.index})] > 0)
                j["engine"].push_back(
                    {{"name", name}, {"value", axisValue(type, part, drives[i])}});
        }
    }
}

std::string settingText(const light::FixtureType& type, std::size_t i, double drive) {
    const auto part = type.part(i);
    switch (part.kind) {
    case light::PartKind::Emitter:
    case light::PartKind::Flag:
    case light::PartKind::EngineLevel:
        return fmt::format("{:.1f} %", 100 * drive);
    case light::PartKind::Wheel:
        return type.wheels[part.index].nameAt(drive);
    default:
        break;
    }
    const double value = axisValue(type, part, drive);
    const auto kind = type.engines[part.index].kind;
    const bool first = part.kind == light::PartKind::EngineFirst;
    if (kind == light::EngineKind::HueSaturation)
        return first ? fmt::format("{:.1f}°", value) : fmt::format("{:.1f} %", 100 * value);
    if (kind == light::EngineKind::CctTint)
        return first ? fmt::format("{:.0f} K", value) : fmt::format("Duv {:+.4f}", value);
    return fmt::format("{:.4f}", value);
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

Result<Way> chooseWay(const std::string& route, const std::string& side_name) {
    const auto kind = route::kindNamed(route);
    if (!kind)
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "--route {}: expected levels, straight, around, dark or jump"),
            route);
    const auto side = route::sideNamed(side_name);
    if (!side)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--side {}: expected short, long, cw or ccw"), side_name);
    return Way{*kind, *side};
}

} // namespace zelo::cli
