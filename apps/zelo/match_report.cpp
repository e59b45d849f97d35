// SPDX-License-Identifier: GPL-3.0-or-later
#include "match_report.h"
#include "print.h"

#include "mix/miss.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

double powerOf(const light::FixtureType& type, const light::Drives& drives) {
    double watts = 0;
    for (std::size_t e = 0; e < type.emitters.size(); ++e) {
        if (drives[e] > 0 && type.emitters[e].power_w == 0)
            return NAN;
        watts += drives[e] * type.emitters[e].power_w;
    }
    return watts;
}

} // namespace

Matched matched(const mix::Mixer& mixer, const light::Wanted& wanted, const mix::Mix& mix,
                double dim, const colour::Spectrum& white, const mix::MixWish& wish) {
    Matched m{wanted, mix, {}, {}, NAN, {}, {}, {}};
    m.sent = mix::rounded(mixer, m.mix.drives, dim);
    if (m.mix.got.Y > 0) {
        m.light = light::spectrumOf(mixer.type(), m.mix.drives);
        m.rendering = renderingOf(m.light);
        if (wanted.spectrum)
            m.agreement =
                colour::agreementOf(*wanted.spectrum, m.light, wanted.lamp.value_or(white));
        if (wanted.spectrum && wish.cameras)
            m.cameras = mix::missByCamera(*wanted.spectrum, m.light, *wish.cameras);
        m.room = mix::words(mix::cameraRoom(mixer, wish));
    }
    return m;
}

Json matchJson(const mix::Mixer& mixer, const Matched& m) {
    Json j;
    j["colour"] = light::toText(m.wanted.asked);
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
    if (m.wanted.spectrum && m.mix.got.Y > 0)
        for (const auto& o : mix::missByObserver(*m.wanted.spectrum, m.light))
            j["observers"].push_back(
                {{"observer", mix::words(o.observer)}, {"miss_uv", orNull(o.miss_uv)}});
    for (const auto& c : m.cameras)
        j["cameras"].push_back({{"name", c.name},
                                {"miss", c.miss ? Json(*c.miss) : Json(nullptr)},
                                {"rgb", {c.rgb[0], c.rgb[1], c.rgb[2]}}});
    return j;
}

void printMatch(const mix::Mixer& mixer, const Matched& m, const colour::Uv& white) {
    put("{}\n", light::toText(m.wanted.asked));
    if (m.mix.end == mix::MixEnd::Dark) {
        put("  no light from the emitters that may be used\n");
        return;
    }
    const auto sent =
        colour::hasChromaticity(m.sent.xyz) ? colour::toUv(m.sent.xyz) : m.wanted.uv();
    const auto way = mix::words(mix::wayOf(m.wanted.uv(), sent, white));
    const double miss = colour::distance(m.wanted.uv(), sent);
    const auto grade = mix::gradeOf(miss);
    const bool tells = grade != mix::MissGrade::Same && *way;
    put("  miss      {:.4f} as sent: {}{}{}\n", miss, mix::words(grade), tells ? ", " : "",
        tells ? way : "");
    if (m.mix.end == mix::MixEnd::OutOfReach)
        put("  reach     outside by {:.4f}\n", m.mix.miss_uv);
    put("  light     {:.0f} cd, {:.0f} % of the brightest\n", m.mix.got.Y,
        100 * m.mix.ofBrightest());
    if (m.rendering.tm30)
        put("  R_f       {:.0f}   R_g {:.0f}\n", m.rendering.tm30->rf, m.rendering.tm30->rg);
    if (std::isfinite(m.agreement))
        put("  agreement {:.0f}\n", m.agreement);
    if (m.wanted.spectrum) {
        double farthest = 0;
        const char* whose = "";
        for (const auto& o : mix::missByObserver(*m.wanted.spectrum, m.light))
            if (o.miss_uv > farthest) {
                farthest = o.miss_uv;
                whose = mix::words(o.observer);
            }
        put("  others    see it up to {:.4f} off ({})\n", farthest, whose);
    }
    for (const auto& c : m.cameras)
        if (c.miss)
            put("  camera    {} sees it {:.4f} off\n", c.name, *c.miss);
        else
            put("  camera    {} does not see it\n", c.name);
    if (!m.room.empty())
        put("  room      {}\n", m.room.english());
    for (std::size_t i = 0; i < mixer.mode().channels.size(); ++i) {
        const auto& c = mixer.mode().channels[i];
        if (c.role == light::Role::Part)
            put("  {:<16} {:>13}  {:>6} of {}\n", c.name,
                settingText(mixer.type(), c.part, m.mix.drives[c.part]), m.sent.values[i],
                c.most());
    }
}

} // namespace zelo::cli
