// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/book_report.h"

#include "base/csv.h"
#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "light/levels.h"
#include "mix/rounding.h"
#include "show/kept.h"

#include <cmath>

namespace zelo::host {

namespace {

light::Asked askedFor(const std::string& gel, double lamp_k) {
    return light::AskedGel{gel, lamp_k, {}, {}};
}

BookLine lineOf(const mix::Mixer& mixer, const light::Wanted& wanted, const BookWish& wish) {
    mix::MixWish how;
    how.intent = wish.intent;
    how.give_up = wish.give_up;
    const auto mix = mixer.solve(wanted, how);
    mix::MixWish most_light;
    most_light.intent = mix::Intent::Brightest;
    const auto brightest = mixer.solve(wanted, most_light);
    const auto sent = mix::rounded(mixer, mix.drives, 1);
    BookLine line;
    line.type = mixer.type().name;
    line.in_reach = mix.end == mix::MixEnd::InReach;
    line.candela = sent.xyz.Y;
    const double most = mixer.xyzOf(brightest.drives).Y;
    line.of_brightest = most > 0 ? sent.xyz.Y / most : 0;
    line.rf = line.ssi = NAN;
    if (!colour::hasChromaticity(sent.xyz)) {
        line.miss_uv = NAN;
        return line;
    }
    const auto uv = colour::toUv(sent.xyz);
    line.miss_uv = colour::distance(uv, wanted.uv());
    const auto spectrum = light::spectrumOf(mixer.type(), sent.drives);
    if (const auto cct = colour::cctOf(uv); colour::indicesMeanSomething(cct))
        line.rf = colour::tm30Of(spectrum, cct->cct).rf;
    if (wanted.spectrum)
        line.ssi = colour::spectralSimilarity(spectrum, *wanted.spectrum).value_or(NAN);
    return line;
}

std::string number(double value, int decimals) {
    return std::isfinite(value) ? fmt::format("{:.{}f}", value, decimals) : std::string();
}

} // namespace

std::vector<BookLine> bookReport(const BookWish& wish, const light::ColourSources& sources,
                                 const std::stop_token& stop,
                                 const std::function<void(std::size_t)>& progress) {
    std::vector<BookLine> lines;
    std::size_t done = 0;
    for (const auto& [gel, name] : wish.gels) {
        if (stop.stop_requested())
            break;
        if (const auto wanted = light::wantedOf(askedFor(gel, wish.lamp_k), sources))
            for (const auto& mixer : wish.types) {
                BookLine line = lineOf(*mixer, *wanted, wish);
                line.gel = gel;
                line.name = name;
                lines.push_back(std::move(line));
            }
        if (progress)
            progress(++done);
    }
    return lines;
}

std::string bookReportCsv(const std::vector<BookLine>& lines) {
    std::string text = "gel,name,type,miss_uv,in_reach,candela,of_brightest,rf,ssi\n";
    for (const BookLine& l : lines)
        text += fmt::format("{},{},{},{},{},{},{},{},{}\n", csvCell(l.gel), csvCell(l.name),
                            csvCell(l.type), number(l.miss_uv, 5), l.in_reach ? "yes" : "no",
                            number(l.candela, 1), number(l.of_brightest, 3), number(l.rf, 1),
                            number(l.ssi, 0));
    return text;
}

Result<show::ShowPtr> bookPalettes(const show::ShowPtr& show, const BookWish& wish,
                                   const light::ColourSources& sources, std::size_t* made) {
    auto next = show;
    std::size_t count = 0;
    for (const auto& [gel, name] : wish.gels) {
        show::Palette palette;
        palette.name = name.empty() ? gel : gel + " " + name;
        show::ColourWish colour;
        colour.asked = askedFor(gel, wish.lamp_k);
        colour.intent = wish.intent;
        colour.give_up = wish.give_up;
        const auto wanted = light::wantedOf(colour.asked, sources);
        if (!wanted || next->paletteNamed(palette.name))
            continue;
        colour.uv = wanted->uv();
        palette.colour = colour;
        auto with = show::addPalette(next, std::move(palette));
        if (!with)
            return with;
        next = *with;
        ++count;
    }
    if (made)
        *made = count;
    if (count == 0)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "all of these are palettes already, or none is a gel"));
    return next;
}

} // namespace zelo::host
