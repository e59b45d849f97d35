// SPDX-License-Identifier: GPL-3.0-or-later
// zelo reach, fade: what a fixture can make, and ways through it.
#include "base/file.h"
#include "base/text.h"
#include "choices.h"
#include "colour/lamp.h"
#include "files/fade_cues.h"
#include "mix/together.h"
#include "print.h"
#include "route/fade.h"

#include <fmt/format.h>
#include <numbers>

namespace zelo::cli {

namespace {

// --- reach -----------------------------------------------------------------------------------

Done printReach(Context& context, const std::string& fixture, const std::string& mode) {
    auto mixer = chooseFixture(context, fixture, mode);
    if (!mixer)
        return passOn(mixer.error());
    const auto& type = (*mixer)->type();
    Json j;
    j["emitters"] = Json::array();
    for (std::size_t e = 0; e < type.emitters.size(); ++e) {
        const auto& xyz = (*mixer)->emitters()[e];
        j["emitters"].push_back(
            {{"name", type.emitters[e].name},
             {"xyz", {xyz.X, xyz.Y, xyz.Z}},
             {"uv", colour::hasChromaticity(xyz) ? uvJson(colour::toUv(xyz)) : Json(nullptr)},
             {"peak_nm", type.emitters[e].spectrum.peakNm()}});
    }
    j["hull_uv"] = Json::array();
    for (const auto& corner : (*mixer)->hull().corners())
        j["hull_uv"].push_back(uvJson(corner));
    j["whites"] = Json::array();
    mix::MixWish brightest;
    brightest.intent = mix::Intent::Brightest;
    for (const double cct : {2000, 2700, 3200, 4000, 5000, 5600, 6500, 8000, 10000}) {
        const auto wanted = light::parseColour(fmt::format("cct:{}", cct), context.library);
        const auto mix = (*mixer)->solve(*wanted, brightest);
        const bool reached = mix.end == mix::MixEnd::InReach;
        j["whites"].push_back(
            {{"cct", cct}, {"brightest_cd", reached ? Json(mix.got.Y) : Json(nullptr)}});
    }
    if (context.json) {
        put("{}\n", j.dump(1));
        return {};
    }
    put("{}\n", type.name);
    for (const auto& e : j["emitters"])
        put("  {:<9} {:6.0f} cd  peak {} nm\n", e["name"].get<std::string>(),
            e["xyz"][1].get<double>(), e["peak_nm"].get<int>());
    for (const auto& w : j["whites"])
        if (w["brightest_cd"].is_null())
            put("  {:>6} K  out of reach\n", w["cct"].get<double>());
        else
            put("  {:>6} K  {:.0f} cd\n", w["cct"].get<double>(), w["brightest_cd"].get<double>());
    return {};
}

// --- fade ------------------------------------------------------------------------------------

struct FadeOptions {
    std::string fixture, from, to, mode;
    std::string route = "around";
    std::string side = "short";
    std::string white = "cct:4300";
    double floor = 0.8;
    double tolerance = 0.006;
    int samples = 101;
    std::vector<std::string> via, with;
    std::string stay_out;
    std::string cues; // file for another desk
    double seconds = 10;
    IntentOptions intent;
};

Result<light::Drives> endOf(Context& context, const mix::Mixer& mixer, const std::string& colour,
                            const mix::MixWish& wish) {
    const auto wanted = light::parseColour(colour, context.library);
    if (!wanted)
        return passOn(wanted.error());
    const auto mix = mixer.solve(*wanted, wish);
    if (mix.end == mix::MixEnd::OutOfReach)
        put(stderr, "zelo: {} is {:.4f} out of reach: the nearest colour is taken\n", colour,
            mix.miss_uv);
    return mix.drives;
}

Json fadeJson(const mix::Mixer& mixer, const route::Fade& fade, const route::Steps& steps) {
    Json j;
    j["route"] = Json::array();
    for (const auto& p : fade.points) {
        Json at{{"t", p.t},
                {"uv", uvJson(p.uv)},
                {"saturation", p.saturation},
                {"brightness_cd", p.brightness_cd}};
        addParts(at, mixer.type(), p.drives);
        j["route"].push_back(std::move(at));
    }
    j["white_dip"] = fade.white_dip;
    j["largest_drive_step"] = fade.largest_step;
    j["steps"] = Json::array();
    for (const auto& s : steps.steps)
        j["steps"].push_back({{"t", s.t}, {"channels", channelsJson(mixer.mode(), s.sent.values)}});
    j["worst"] = {{"uv", steps.worst_uv}, {"brightness", steps.worst_brightness}};
    return j;
}

// Colours on the way and hues to stay out of.
Done setMarks(Context& context, const FadeOptions& o, route::FadeWish& wish) {
    for (const auto& text : o.via) {
        const auto wanted = light::parseColour(text, context.library);
        if (!wanted)
            return passOn(wanted.error(), "--via");
        wish.via.push_back(wanted->uv());
    }
    if (o.stay_out.empty())
        return {};
    const auto sector = route::parseSector(o.stay_out);
    if (!sector)
        return passOn(sector.error(), "--stay-out");
    wish.keep_out = *sector;
    return {};
}

using Mixers = std::vector<std::shared_ptr<const mix::Mixer>>;

// Several types go one way: within what all of them reach.
Result<Mixers> otherTypes(Context& context, const FadeOptions& o, const mix::Mixer& first,
                          route::FadeWish& wish) {
    Mixers others;
    std::vector<const mix::Mixer*> all{&first};
    for (const auto& name : o.with) {
        auto another = chooseFixture(context, name, {});
        if (!another)
            return passOn(another.error(), "--with");
        others.push_back(std::move(*another));
        all.push_back(others.back().get());
    }
    if (!others.empty())
        wish.reach = mix::commonReach(all);
    if (!others.empty() && !wish.reach.hasInside())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--with: these fixture types share no reach"));
    return others;
}

Result<Json> fadeOf(Context& context, const FadeOptions& o, const mix::Mixer& mixer,
                    const mix::MixWish& mix_wish, const route::FadeWish& wish) {
    const auto from = endOf(context, mixer, o.from, mix_wish);
    if (!from)
        return passOn(from.error());
    const auto to = endOf(context, mixer, o.to, mix_wish);
    if (!to)
        return passOn(to.error());
    const auto fade = route::planFade(mixer, *from, *to, wish);
    if (!fade)
        return passOn(fade.error());
    Json j = fadeJson(mixer, *fade, route::stepsFor(mixer, *fade, o.tolerance));
    j["fixture"] = mixer.type().id;
    return j;
}

Done printFade(Context& context, const FadeOptions& o) {
    auto mixer = chooseFixture(context, o.fixture, o.mode);
    if (!mixer)
        return passOn(mixer.error());
    const auto white = chooseWhite(context, o.white);
    if (!white)
        return passOn(white.error());
    const auto way = chooseWay(o.route, o.side);
    if (!way)
        return passOn(way.error());
    if (!(o.tolerance > 0 && o.tolerance <= 1))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--tolerance {}: must be above 0, up to 1"), o.tolerance);
    const auto mix_wish = wishFrom(context, o.intent, (*mixer)->type());
    if (!mix_wish)
        return passOn(mix_wish.error());
    const auto from = endOf(context, **mixer, o.from, *mix_wish);
    if (!from)
        return passOn(from.error());
    const auto to = endOf(context, **mixer, o.to, *mix_wish);
    if (!to)
        return passOn(to.error());
    route::FadeWish wish;
    wish.kind = way->kind;
    wish.side = way->side;
    wish.floor = o.floor;
    wish.white = white->uv();
    wish.samples = o.samples;
    if (auto marks = setMarks(context, o, wish); !marks)
        return passOn(marks.error());
    auto others = otherTypes(context, o, **mixer, wish);
    if (!others)
        return passOn(others.error());
    const auto fade = route::planFade(**mixer, *from, *to, wish);
    if (!fade)
        return passOn(fade.error());
    const auto steps = route::stepsFor(**mixer, *fade, o.tolerance);
    if (!o.cues.empty()) {
        if (lowered(std::filesystem::path(o.cues).extension().string()) != ".asc")
            return fail(ErrorCode::Unsupported,
                        ZELO_TEXT("core", "--cues {}: expected a name ending in .asc"), o.cues);
        if (!(o.seconds > 0 && o.seconds <= 86'400))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "--time {}: must be above 0, up to 86400 s"), o.seconds);
        if (auto done = writeFile(o.cues, files::asciiCuesText(files::fadeCues(
                                              **mixer, steps, {o.from, o.to, o.seconds})));
            !done)
            return passOn(done.error());
    }
    Json all = fadeJson(**mixer, *fade, steps);
    for (const auto& other : *others) {
        auto one = fadeOf(context, o, *other, *mix_wish, wish);
        if (!one)
            return passOn(one.error(), other->type().name);
        all["others"].push_back(std::move(*one));
    }
    if (context.json) {
        put("{}\n", all.dump(1));
        return {};
    }
    route::FadeWish plain = wish;
    plain.kind = route::Kind::Levels;
    const auto levels = route::planFade(**mixer, *from, *to, plain);
    put("{} → {} on {}, {}\n", o.from, o.to, (*mixer)->type().name, o.route);
    put("  white dip   {:.0f} %, in straight levels {:.0f} %\n", 100 * fade->white_dip,
        levels ? 100 * levels->white_dip : 0);
    if (fade->ccw)
        put("  side        {}\n", *fade->ccw ? "ccw" : "cw");
    if (fade->largest_step > route::kCalmStep) {
        const auto calm = route::calmBrightness(**mixer, *from, *to, wish);
        put("  emitters    one moves {:.0f} % in 1 % of the way{}\n", 100 * fade->largest_step,
            calm ? fmt::format("; not at {:.0f} % of the brightness", 100 * *calm) : std::string());
    }
    if (fade->in_sector > 1e-6)
        put("  hue         turns {:.0f}° through what it is to stay out of\n",
            fade->in_sector * 180 / std::numbers::pi);
    if (fade->reach_dip > 0.01)
        put("  brightness  the reach takes up to {:.0f} % of it on the way\n",
            100 * fade->reach_dip);
    put("  steps       {} for a console; worst {:.4f} off, {:.1f} % of brightness\n",
        steps.steps.size(), steps.worst_uv, 100 * steps.worst_brightness);
    for (const auto& s : steps.steps)
        put("    {:3.0f} %  {}\n", 100 * s.t, fmt::join(s.sent.values, " "));
    for (std::size_t i = 0; i < others->size(); ++i) {
        const auto& other = all["others"][i];
        put("  {} on the same way, {} steps; worst {:.4f} off\n", (*others)[i]->type().name,
            other["steps"].size(), other["worst"]["uv"].get<double>());
        for (const auto& s : other["steps"]) {
            std::vector<std::uint32_t> values;
            for (const auto& c : s["channels"])
                values.push_back(c["value"].get<std::uint32_t>());
            put("    {:3.0f} %  {}\n", 100 * s["t"].get<double>(), fmt::join(values, " "));
        }
    }
    return {};
}

} // namespace

void addRoutes(CLI::App& app, Context& context) {
    auto* reach = app.add_subcommand("reach", "what a fixture can make: emitters, hull, whites");
    auto r = std::make_shared<std::pair<std::string, std::string>>();
    reach->add_option("FIXTURE", r->first, "fixture type")->required();
    reach->add_option("--mode", r->second, "mode of the fixture (the first)");
    reach->add_flag("--json", context.json, "JSON on stdout");
    reach->callback([&context, r] {
        context.run = [&context, r] { return printReach(context, r->first, r->second); };
    });

    auto* fade = app.add_subcommand("fade", "plan a crossfade, and steps for a console");
    auto f = std::make_shared<FadeOptions>();
    fade->add_option("FIXTURE", f->fixture, "fixture type")->required();
    fade->add_option("FROM", f->from, "colour at the start")->required();
    fade->add_option("TO", f->to, "colour at the end")->required();
    fade->add_option("--mode", f->mode, "mode of the fixture (the first)");
    fade->add_option("--route", f->route, "levels, straight, around, dark or jump")
        ->capture_default_str();
    fade->add_option("--floor", f->floor, "saturation floor of around, 0..1")
        ->capture_default_str();
    fade->add_option("--side", f->side, "short, long, cw or ccw")->capture_default_str();
    fade->add_option("--via", f->via, "a colour on the way; repeatable");
    fade->add_option(
        "--stay-out", f->stay_out,
        "hues that around is to stay out of: a colour word (green) or FROM:TO degrees");
    fade->add_option("--cues", f->cues, "also write the steps as cues for another desk: NAME.asc");
    fade->add_option("--time", f->seconds, "seconds that the cues take")->capture_default_str();
    fade->add_option("--with", f->with, "another fixture type on the same way; repeatable");
    fade->add_option("--white", f->white, "what it goes round")->capture_default_str();
    fade->add_option("--tolerance", f->tolerance, "of the steps, u'v'")->capture_default_str();
    fade->add_option("--samples", f->samples, "along the way")->capture_default_str();
    addIntentOptions(*fade, f->intent);
    fade->add_option("--book", context.books, "another swatch book");
    fade->add_option("--show", context.show,
                     "the show of palette:NAME and of its own fixture types");
    fade->add_flag("--json", context.json, "JSON on stdout");
    fade->callback(
        [&context, f] { context.run = [&context, f] { return printFade(context, *f); }; });
}

} // namespace zelo::cli
