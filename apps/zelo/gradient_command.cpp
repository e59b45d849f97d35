// SPDX-License-Identifier: GPL-3.0-or-later
// zelo gradient: colours spread over lamps of one type, or a show's kept gradient over its lamps.
#include "base/text.h"
#include "choices.h"
#include "kept_gradient.h"
#include "print.h"
#include "route/arrangement.h"
#include "route/gradient.h"
#include "route/gradient_mix.h"

#include <fmt/format.h>
#include <map>

namespace zelo::cli {

namespace {

struct GradientOptions {
    std::string fixture; // or the name of a kept gradient
    std::string mode, group;
    std::vector<std::string> stops;
    int count = 0;
    std::string route = "straight";
    std::string arrange = "forward";
    std::string side = "short";
    std::string white = "cct:4300";
    std::string even = "eye";
    bool apart = false; // each lamp by the intent alone
    double floor = 0.8;
    IntentOptions intent;
};

// COLOUR[@POS]: a last @ with a number from 0 to 1 is a position, any other belongs to the colour.
Result<route::Stop> stopFrom(Context& context, const std::string& text) {
    route::Stop stop;
    std::string colour = text;
    if (const auto at = text.rfind('@'); at != std::string::npos)
        if (const auto pos = toNumber(std::string_view(text).substr(at + 1));
            pos && *pos >= 0 && *pos <= 1) {
            stop.position = *pos;
            colour = text.substr(0, at);
        }
    const auto wanted = light::parseColour(colour, context.library);
    if (!wanted)
        return passOn(wanted.error());
    stop.uv = wanted->uv();
    return stop;
}

Done printGradient(Context& context, const GradientOptions& o) {
    auto mixer = chooseFixture(context, o.fixture, o.mode);
    if (!mixer)
        return passOn(mixer.error());
    const auto white = chooseWhite(context, o.white);
    if (!white)
        return passOn(white.error());
    std::vector<route::Stop> stops;
    for (const auto& text : o.stops) {
        auto stop = stopFrom(context, text);
        if (!stop)
            return passOn(stop.error(), "--stop");
        stops.push_back(*stop);
    }
    route::GradientWish wish;
    const auto way = chooseWay(o.route, o.side);
    if (!way)
        return passOn(way.error());
    wish.way.kind = way->kind;
    wish.way.side = way->side;
    wish.way.floor = o.floor;
    if (o.even != "eye" && o.even != "place")
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--even {}: expected eye or place"),
                    o.even);
    wish.even = o.even == "eye" ? route::Even::ToTheEye : route::Even::InPlace;
    if (o.count < 1 || o.count > route::kMostLaid)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--count {}: must be within 1..{}"),
                    o.count, route::kMostLaid);
    wish.white = white->uv();
    const auto arrangement = route::parseArrangement(o.arrange);
    if (!arrangement)
        return passOn(arrangement.error(), "--arrange");
    const auto mix_wish = wishFrom(context, o.intent, (*mixer)->type());
    if (!mix_wish)
        return passOn(mix_wish.error());
    const auto places = route::arranged(o.count, *arrangement);
    const auto gradient = route::spread((*mixer)->hull(), stops, places, wish);
    if (!gradient)
        return passOn(gradient.error());
    Json j;
    j["lamps"] = Json::array();
    std::map<double, colour::Uv> by_place; // each once, from end to end
    for (std::size_t i = 0; i < places.size(); ++i)
        by_place.emplace(places[i], gradient->colours[i]);
    std::vector<colour::Uv> colours;
    for (const auto& [place, uv] : by_place)
        colours.push_back(uv);
    const auto mixed = route::mixGradient(
        **mixer, colours, *mix_wish, o.apart ? route::Choose::EachAlone : route::Choose::Together);
    for (std::size_t i = 0; i < places.size(); ++i) {
        const auto& mix = mixed.mixes[static_cast<std::size_t>(
            std::distance(by_place.begin(), by_place.find(places[i])))];
        Json lamp{{"position", places[i]}, {"uv", uvJson(gradient->colours[i])}};
        addParts(lamp, (*mixer)->type(), mix.drives);
        j["lamps"].push_back(std::move(lamp));
        if (!context.json)
            put("{:>4}  at {:.3f}  u′ v′ {:.4f} {:.4f}{}\n", i + 1, places[i],
                gradient->colours[i].u, gradient->colours[i].v,
                mix.end == mix::MixEnd::OutOfReach
                    ? fmt::format("  out of reach by {:.4f}", mix.miss_uv)
                    : "");
    }
    j["largest_drive_step"] = mixed.largest_step;
    j["evenness"] = gradient->evenness;
    j["stops"] = gradient->at;
    j["steps"] = gradient->steps;
    if (context.json)
        put("{}\n", j.dump(1));
    else
        put("evenness {:.2f}, largest drive step {:.3f}\n", gradient->evenness, mixed.largest_step);
    return {};
}

Done printKept(Context& context, const GradientOptions& o) {
    const auto kept = keptGradient(context, o.fixture, o.group);
    if (!kept)
        return passOn(kept.error());
    for (const auto& trouble : kept->laid->troubles)
        put(stderr, "zelo: {}: {}\n", o.fixture, trouble);
    Json j;
    j["lamps"] = Json::array();
    for (const play::LaidLamp& lamp : kept->laid->lamps) {
        const show::Fixture& f = *kept->stage.show().fixture(lamp.id);
        const play::StageLamp& shown = *kept->stage.lamp(lamp.id);
        Json one{{"number", f.number},
                 {"position", lamp.place},
                 {"uv", lamp.colour ? uvJson(lamp.uv) : Json(nullptr)},
                 {"intensity", shown.intensity}};
        if (shown.mixer) {
            addParts(one, shown.mixer->type(), shown.drives);
            one["channels"] = channelsJson(shown.mixer->mode(), shown.sent.values);
        }
        j["lamps"].push_back(std::move(one));
        if (context.json)
            continue;
        std::string note;
        if (!lamp.colour)
            note = "  makes no colours: left alone";
        else if (lamp.colour->mix.end == mix::MixEnd::OutOfReach)
            note = fmt::format("  out of reach by {:.4f}", lamp.colour->mix.miss_uv);
        put("{:>4}  at {:.3f}  u′ v′ {:.4f} {:.4f}  {:3.0f} %{}\n", f.number, lamp.place, lamp.uv.u,
            lamp.uv.v, 100 * shown.intensity, note);
    }
    const auto judged = play::judged(*kept->laid, kept->stage.show());
    j["evenness"] = judged.evenness;
    j["steps"] = judged.steps;
    j["stops"] = kept->laid->at;
    if (context.json)
        put("{}\n", j.dump(1));
    else
        put("evenness {:.2f} over {} lamps\n", judged.evenness, kept->laid->lamps.size());
    return {};
}

} // namespace

void addGradient(CLI::App& app, Context& context) {
    auto* gradient = app.add_subcommand("gradient", "spread colours over lamps");
    auto g = std::make_shared<GradientOptions>();
    gradient
        ->add_option("FIXTURE", g->fixture,
                     "fixture type; without --stop the NAME of a gradient kept in --show")
        ->required();
    gradient->add_option("--count", g->count, "lamps");
    gradient->add_option("--stop", g->stops, "COLOUR[@POS], two or more times");
    gradient->add_option("--group", g->group,
                         "of the show: the lamps that a kept gradient is laid over");
    gradient->add_option("--mode", g->mode, "mode of the fixture (the first)");
    gradient->add_option("--route", g->route, "straight, around, dark or jump")
        ->capture_default_str();
    gradient->add_option("--floor", g->floor, "saturation floor of around")->capture_default_str();
    gradient->add_option("--side", g->side, "short, long, cw or ccw")->capture_default_str();
    gradient->add_option("--even", g->even, "eye or place: in what the steps are even")
        ->capture_default_str();
    gradient->add_flag("--apart", g->apart,
                       "each lamp by the intent alone, not all together along the gradient");
    gradient->add_option("--white", g->white, "white point")->capture_default_str();
    gradient
        ->add_option("--arrange", g->arrange,
                     "forward, reverse, from-middle, to-middle, to-and-fro:PASSES, "
                     "shuffled:SEED, mirrored, blocks:N, repeated:N, with commas between; "
                     "+OFFSET turns it along the lamps")
        ->capture_default_str();
    addIntentOptions(*gradient, g->intent);
    gradient->add_option("--book", context.books, "another swatch book");
    gradient->add_option(
        "--show", context.show,
        "the show of palette:NAME, of its own fixture types and of kept gradients");
    gradient->add_flag("--json", context.json, "JSON on stdout");
    gradient->callback([&context, g] {
        context.run = [&context, g] {
            return g->stops.empty() && !context.show.empty() ? printKept(context, *g)
                                                             : printGradient(context, *g);
        };
    });
}

} // namespace zelo::cli
