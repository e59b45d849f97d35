// SPDX-License-Identifier: GPL-3.0-or-later
// zelo match FIXTURE COLOUR...: how a fixture's emitters make colours, and how well.
#include "base/text.h"
#include "colour/lamp.h"
#include "match_report.h"
#include "mix/together.h"
#include "mix/trade_off.h"
#include "print.h"
#include "progress.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

struct MatchOptions {
    std::string fixture;
    std::vector<std::string> colours;
    std::string mode;
    IntentOptions intent;
    std::vector<std::string> keep_out;
    std::vector<std::string> pins;
    std::string nearest = "uv";
    double dim = 1;
    std::string white = "cct:4300";
    std::vector<std::string> with; // more fixture types
    bool common = false;
    bool level = false;
    bool trade_off = false;
};

Result<std::size_t> partNamed(const light::FixtureType& type, std::string_view name) {
    if (const auto part = type.partNamed(trimmed(name)))
        return *part;
    std::string names;
    for (std::size_t i = 0; i < type.partCount(); ++i)
        names += (names.empty() ? "" : ", ") + type.partName(i);
    return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} has no emitter '{}': it has {}"),
                type.name, name, names);
}

// A drive 0..1; of a wheel the name of a slot, or its number from 1.
Result<double> pinnedAt(const light::FixtureType& type, std::size_t part, std::string_view text) {
    const auto number = toNumber(text);
    const auto of = type.part(part);
    if (of.kind != light::PartKind::Wheel) {
        if (number)
            return *number;
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "{}={}: expected EMITTER=DRIVE"),
                    type.partName(part), text);
    }
    const auto& wheel = type.wheels[of.index];
    std::string names;
    for (std::size_t i = 0; i < wheel.places.size(); ++i) {
        if (lowered(wheel.places[i].name) == lowered(trimmed(text)))
            return wheel.settingOf(static_cast<double>(i));
        names += (names.empty() ? "" : ", ") + wheel.places[i].name;
    }
    if (number && *number >= 1 && *number <= static_cast<double>(wheel.places.size()))
        return wheel.settingOf(*number - 1);
    return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} has no slot '{}': it has {}"),
                wheel.name, text, names);
}

Result<mix::MixWish> matchWish(Context& context, const MatchOptions& o,
                               const light::FixtureType& type, const colour::Uv& white) {
    auto read = wishFrom(context, o.intent, type);
    if (!read)
        return read;
    mix::MixWish wish = *read;
    wish.white = white;
    if (o.nearest != "uv" && o.nearest != "hue")
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--nearest {}: expected uv or hue"),
                    o.nearest);
    wish.out_of_reach = o.nearest == "uv" ? mix::OutOfReach::NearestUv : mix::OutOfReach::SameHue;
    for (const auto& list : o.keep_out)
        for (const auto name : split(list, ',')) {
            auto e = partNamed(type, name);
            if (!e)
                return passOn(e.error(), "--keep-out");
            wish.keep_out.push_back(*e);
        }
    for (const auto& list : o.pins)
        for (const auto pin : split(list, ',')) {
            const auto parts = split(pin, '=');
            if (parts.size() != 2)
                return fail(ErrorCode::BadSyntax,
                            ZELO_TEXT("core", "--pin {}: expected EMITTER=DRIVE"), pin);
            auto e = partNamed(type, parts[0]);
            if (!e)
                return passOn(e.error(), "--pin");
            auto drive = pinnedAt(type, *e, parts[1]);
            if (!drive)
                return passOn(drive.error(), "--pin");
            if (!(*drive >= 0 && *drive <= 1))
                return fail(ErrorCode::BadValue,
                            ZELO_TEXT("core", "--pin {}: a drive must be within 0..1"), pin);
            wish.pins.push_back({*e, *drive});
        }
    if (auto sound = wish.check(type.partCount()); !sound)
        return passOn(sound.error());
    return wish;
}

using Mixers = std::vector<std::shared_ptr<const mix::Mixer>>;

Json tradeOffJson(const mix::Mixer& mixer, const light::Wanted& wanted, const mix::MixWish& wish,
                  const colour::Spectrum& white_light) {
    Json j;
    const auto gain = mix::gainOf(wish, wanted);
    j["of"] = gain ? Json(mix::nameOf(*gain)) : Json(nullptr);
    j["points"] = Json::array();
    for (const auto& p : mix::tradeOff(mixer, wanted, wish, white_light))
        j["points"].push_back(
            {{"give_up", p.give_up}, {"brightness_cd", p.brightness_cd}, {"value", p.value}});
    return j;
}

void printTradeOff(const Json& curve) {
    if (curve["of"].is_null()) {
        put("  trade-off nothing is given up here\n");
        return;
    }
    put("  trade-off brightness against {}\n", curve["of"].get<std::string>());
    for (const auto& p : curve["points"])
        put("    give up {:3.0f} %  {:8.0f} cd  {:6.1f}\n", 100 * p["give_up"].get<double>(),
            p["brightness_cd"].get<double>(), p["value"].get<double>());
}

// One colour on each fixture type; what they are together when there are several.
void report(const Context& context, const MatchOptions& o, const Mixers& mixers,
            const light::Wanted& wanted, const mix::MixWish& wish, const light::Wanted& white,
            const colour::Spectrum& white_light, Json& all) {
    const bool several = mixers.size() > 1;
    std::vector<mix::Mix> mixes{};
    std::vector<double> dim(mixers.size(), 1);
    mix::Together both;
    if (several) {
        std::vector<const mix::Mixer*> plain;
        for (const auto& m : mixers)
            plain.push_back(m.get());
        both = mix::together(plain, wanted, {wish, o.common, o.level});
        mixes = both.mixes;
        dim = both.dim;
    } else {
        mixes = {mixers[0]->solve(wanted, wish)};
    }
    for (std::size_t i = 0; i < mixers.size(); ++i) {
        const mix::Mixer& mixer = *mixers[i];
        auto m = matched(mixer, wanted, mixes[i], o.dim * dim[i], white_light, wish);
        if (several) // a colour moved into the common reach is still missed by that much
            m.mix.miss_uv = colour::hasChromaticity(m.mix.got)
                                ? colour::distance(colour::toUv(m.mix.got), wanted.uv())
                                : 0;
        Json j = matchJson(mixer, m);
        if (o.trade_off)
            j["trade_off"] = tradeOffJson(mixer, wanted, wish, white_light);
        if (several) {
            j["fixture"] = mixer.type().id;
            j["dim"] = dim[i];
        }
        if (!context.json) {
            if (several)
                put("{}: ", mixer.type().name);
            printMatch(mixer, m, white.uv());
            if (dim[i] < 1)
                put("  dimmed to {:.0f} %, {:.0f} cd\n", 100 * dim[i], dim[i] * m.mix.got.Y);
            if (o.trade_off)
                printTradeOff(j["trade_off"]);
        }
        all["matches"].push_back(std::move(j));
    }
    if (!several)
        return;
    Json limits = Json::array();
    std::string names;
    for (const std::size_t i : both.limits) {
        limits.push_back(mixers[i]->type().id);
        names += (names.empty() ? "" : ", ") + mixers[i]->type().name;
    }
    if (!context.json) {
        if (both.moved_uv > 0)
            put("together    moved by {:.4f} to what all can show\n", both.moved_uv);
        put("together    {:.0f} cd at most, limited by {}\n", both.level_cd, names);
    }
    all["together"].push_back({{"colour", light::toText(wanted.asked)},
                               {"uv", uvJson(both.uv)},
                               {"moved_uv", both.moved_uv},
                               {"brightness_cd", both.level_cd},
                               {"limits", limits}});
}

Done runMatch(Context& context, const MatchOptions& o) {
    const auto chosen = chooseFixture(context, o.fixture, o.mode);
    if (!chosen)
        return passOn(chosen.error());
    const mix::Mixer& mixer = **chosen;
    if (!(o.dim >= 0 && o.dim <= 1))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--dim {}: must be within 0..1"), o.dim);
    const auto white = chooseWhite(context, o.white);
    if (!white)
        return passOn(white.error());
    const auto wish = matchWish(context, o, mixer.type(), white->uv());
    if (!wish)
        return passOn(wish.error());
    const auto white_cct = cctOf(white->xyz);
    const auto white_light =
        white->spectrum.value_or(colour::lampOf(white_cct ? white_cct->cct : Kelvin{4300}));
    std::vector<light::Wanted> wanted; // all read before the first is printed
    for (const auto& text : o.colours) {
        auto colour = light::parseColour(text, context.library);
        if (!colour)
            return passOn(colour.error());
        wanted.push_back(std::move(*colour));
    }
    auto mixers = std::vector{*chosen};
    for (const auto& other : o.with) {
        auto another = chooseFixture(context, other, {});
        if (!another)
            return passOn(another.error(), "--with");
        mixers.push_back(std::move(*another));
    }
    if (mixers.size() > 1 && !(wish->keep_out.empty() && wish->pins.empty()))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--with: keep-outs and pins are of one fixture type"));
    Json all;
    all["fixture"] = mixer.type().id;
    all["mode"] = mixer.mode().name;
    all["matches"] = Json::array();
    Progress progress("colour", wanted.size());
    for (const auto& w : wanted) {
        progress.at(all["matches"].size() / mixers.size());
        report(context, o, mixers, w, *wish, *white, white_light, all);
    }
    if (context.json)
        put("{}\n", all.dump(1));
    return {};
}

} // namespace

void addMatch(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("match", "how a fixture makes colours, and how well");
    auto o = std::make_shared<MatchOptions>();
    c->add_option("FIXTURE", o->fixture, "fixture type: an id or a GDTF file or folder")
        ->required();
    c->add_option("COLOUR", o->colours, "the colours wanted")->required();
    c->add_option("--mode", o->mode, "mode of the fixture (the first)");
    addIntentOptions(*c, o->intent);
    c->add_option("--keep-out", o->keep_out, "emitters not to use: NAME,NAME");
    c->add_option("--pin", o->pins, "emitters held: NAME=DRIVE,…");
    c->add_option("--nearest", o->nearest, "out of reach: nearest uv, or the same hue")
        ->capture_default_str();
    c->add_option("--dim", o->dim, "dimmer, 0..1")->capture_default_str();
    c->add_option("--with", o->with, "another fixture type that is to show the same; repeatable");
    c->add_flag("--common", o->common, "with several: a colour that all can show");
    c->add_flag("--level", o->level, "with several: brightness of the weakest for all");
    c->add_flag("--trade-off", o->trade_off, "what the intent gains for the brightness given up");
    c->add_option("--white", o->white, "white point of hue")->capture_default_str();
    c->add_option("--book", context.books, "another swatch book");
    c->add_option("--show", context.show, "the show of palette:NAME and of its own fixture types");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, o] { context.run = [&context, o] { return runMatch(context, *o); }; });
}

} // namespace zelo::cli
