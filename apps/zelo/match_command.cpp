// SPDX-License-Identifier: GPL-3.0-or-later
// zelo match FIXTURE COLOUR...: how a fixture's emitters make colours, and how well.
#include "base/text.h"
#include "choices.h"
#include "colour/lamp.h"
#include "mix/miss.h"

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
};

Result<std::size_t> partNamed(const light::FixtureType& type, std::string_view name) {
    if (const auto part = type.partNamed(trimmed(name)))
        return *part;
    std::string names;
    for (std::size_t i = 0; i < type.partCount(); ++i)
        names += (names.empty() ? "" : ", ") + type.partName(i);
    return fail(ErrorCode::BadValue, "{} has no emitter '{}': it has {}", type.name, name, names);
}

// A drive 0..1; of a wheel the name of a slot, or its number from 1.
Result<double> pinnedAt(const light::FixtureType& type, std::size_t part, std::string_view text) {
    const auto number = toNumber(text);
    const auto of = type.part(part);
    if (of.kind != light::PartKind::Wheel) {
        if (number)
            return *number;
        return fail(ErrorCode::BadSyntax, "{}={}: expected EMITTER=DRIVE", type.partName(part),
                    text);
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
    return fail(ErrorCode::BadValue, "{} has no slot '{}': it has {}", wheel.name, text, names);
}

Result<mix::MixWish> matchWish(const MatchOptions& o, const light::FixtureType& type,
                               const colour::Uv& white) {
    auto read = wishFrom(o.intent, type);
    if (!read)
        return read;
    mix::MixWish wish = *read;
    wish.white = white;
    if (o.nearest != "uv" && o.nearest != "hue")
        return fail(ErrorCode::BadValue, "--nearest {}: expected uv or hue", o.nearest);
    wish.nearest = o.nearest == "uv" ? mix::Nearest::Uv : mix::Nearest::Hue;
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
                return fail(ErrorCode::BadSyntax, "--pin {}: expected EMITTER=DRIVE", pin);
            auto e = partNamed(type, parts[0]);
            if (!e)
                return passOn(e.error(), "--pin");
            auto drive = pinnedAt(type, *e, parts[1]);
            if (!drive)
                return passOn(drive.error(), "--pin");
            wish.pins.push_back({*e, *drive});
        }
    if (auto sound = wish.check(type.partCount()); !sound)
        return passOn(sound.error());
    return wish;
}

double powerOf(const light::FixtureType& type, const light::Drives& drives) {
    double watts = 0;
    for (std::size_t e = 0; e < type.emitters.size(); ++e) {
        if (drives[e] > 0 && type.emitters[e].power_w == 0)
            return NAN;
        watts += drives[e] * type.emitters[e].power_w;
    }
    return watts;
}

struct Matched {
    light::Wanted wanted;
    mix::Mix mix;
    mix::Sent sent;
    Rendering rendering;
    double agreement = NAN;
};

Matched matched(const mix::Mixer& mixer, const light::Wanted& wanted, const mix::MixWish& wish,
                double dim, const colour::Spectrum& white) {
    Matched m{wanted, mixer.solve(wanted, wish), {}, {}, NAN};
    m.sent = mix::rounded(mixer, m.mix.drives, dim);
    if (m.mix.got.Y > 0) {
        const auto light = light::spectrumOf(mixer.type(), m.mix.drives);
        m.rendering = renderingOf(light);
        if (wanted.spectrum)
            m.agreement = colour::agreementOf(*wanted.spectrum, light, wanted.lamp.value_or(white));
    }
    return m;
}

Json matchJson(const mix::Mixer& mixer, const Matched& m) {
    Json j;
    j["colour"] = m.wanted.asked;
    j["wanted"] = lightJson(m.wanted.xyz);
    j["in_reach"] = m.mix.end == mix::MixEnd::InReach;
    j["miss_uv"] = m.mix.end == mix::MixEnd::Dark ? Json(nullptr) : Json(m.mix.miss_uv);
    addParts(j, mixer.type(), m.mix.drives);
    j["channels"] = channelsJson(mixer.mode(), m.sent.values);
    j["got"] = lightJson(m.mix.got);
    j["sent"] = lightJson(m.sent.xyz);
    j["brightness_cd"] = m.mix.got.Y;
    j["of_brightest"] = m.mix.brightest_cd > 0 ? Json(m.mix.ofBrightest()) : Json(nullptr);
    j["power_w"] = orNull(powerOf(mixer.type(), m.mix.drives));
    j["ra"] = m.rendering.cie13 ? Json(m.rendering.cie13->ra) : Json(nullptr);
    j["rf"] = m.rendering.tm30 ? Json(m.rendering.tm30->rf) : Json(nullptr);
    j["rg"] = m.rendering.tm30 ? Json(m.rendering.tm30->rg) : Json(nullptr);
    j["agreement"] = orNull(m.agreement);
    return j;
}

void printMatch(const mix::Mixer& mixer, const Matched& m, const colour::Uv& white) {
    fmt::print("{}\n", m.wanted.asked);
    if (m.mix.end == mix::MixEnd::Dark) {
        fmt::print("  no light from the emitters that may be used\n");
        return;
    }
    const auto sent =
        colour::hasChromaticity(m.sent.xyz) ? colour::toUv(m.sent.xyz) : m.wanted.uv();
    const auto way = mix::words(mix::wayOf(m.wanted.uv(), sent, white));
    const double miss = colour::distance(m.wanted.uv(), sent);
    const auto grade = mix::gradeOf(miss);
    const bool tells = grade != mix::MissGrade::Same && *way;
    fmt::print("  miss      {:.4f} as sent: {}{}{}\n", miss, mix::words(grade), tells ? ", " : "",
               tells ? way : "");
    if (m.mix.end == mix::MixEnd::OutOfReach)
        fmt::print("  reach     outside by {:.4f}\n", m.mix.miss_uv);
    fmt::print("  light     {:.0f} cd, {:.0f} % of the brightest\n", m.mix.got.Y,
               100 * m.mix.ofBrightest());
    if (m.rendering.tm30)
        fmt::print("  R_f       {:.0f}   R_g {:.0f}\n", m.rendering.tm30->rf, m.rendering.tm30->rg);
    if (std::isfinite(m.agreement))
        fmt::print("  agreement {:.0f}\n", m.agreement);
    for (std::size_t i = 0; i < mixer.mode().channels.size(); ++i) {
        const auto& c = mixer.mode().channels[i];
        if (c.role == light::Role::Part)
            fmt::print("  {:<16} {:>13}  {:>6} of {}\n", c.name,
                       settingText(mixer.type(), c.part, m.mix.drives[c.part]), m.sent.values[i],
                       c.most());
    }
}

Done runMatch(Context& context, const MatchOptions& o) {
    const auto chosen = chooseFixture(context, o.fixture, o.mode);
    if (!chosen)
        return passOn(chosen.error());
    const mix::Mixer& mixer = **chosen;
    if (!(o.dim >= 0 && o.dim <= 1))
        return fail(ErrorCode::BadValue, "--dim {}: must be within 0..1", o.dim);
    const auto white = chooseWhite(context, o.white);
    if (!white)
        return passOn(white.error());
    const auto wish = matchWish(o, mixer.type(), white->uv());
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
    Json all;
    all["fixture"] = mixer.type().id;
    all["mode"] = mixer.mode().name;
    all["matches"] = Json::array();
    for (const auto& w : wanted) {
        const auto m = matched(mixer, w, *wish, o.dim, white_light);
        if (context.json)
            all["matches"].push_back(matchJson(mixer, m));
        else
            printMatch(mixer, m, white->uv());
    }
    if (context.json)
        fmt::print("{}\n", all.dump(1));
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
    c->add_option("--white", o->white, "white point of hue")->capture_default_str();
    c->add_option("--book", context.books, "another swatch book");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, o] { context.run = [&context, o] { return runMatch(context, *o); }; });
}

} // namespace zelo::cli
