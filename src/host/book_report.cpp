// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/book_report.h"

#include "base/csv.h"
#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "light/levels.h"
#include "mix/rounding.h"
#include "show/kept.h"

#include <algorithm>
#include <cmath>
#include <tuple>

namespace zelo::host {

namespace {

light::Asked askedFor(const std::string& gel, double lamp_k) {
    return light::AskedGel{gel, lamp_k, {}, {}};
}

BookLine lineOf(const mix::Mixer& mixer, const light::Wanted& wanted, const BookWish& wish) {
    mix::MixWish how;
    how.intent = wish.intent;
    how.give_up = wish.give_up;
    how.cameras = wish.intent == mix::Intent::Filmed ? wish.cameras : nullptr;
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
    if (wanted.spectrum && wish.cameras)
        line.cameras = mix::missByCamera(*wanted.spectrum, spectrum, *wish.cameras);
    return line;
}

std::string number(double value, int decimals) {
    return std::isfinite(value) ? fmt::format("{:.{}f}", value, decimals) : std::string();
}

// Of the report: a line without light, or of a gel without a spectrum, tells none.
std::vector<std::string> camerasOf(const std::vector<BookLine>& lines) {
    std::vector<std::string> names;
    for (const BookLine& l : lines)
        if (l.cameras.size() > names.size()) {
            names.clear();
            for (const auto& camera : l.cameras)
                names.push_back(camera.name);
        }
    return names;
}

double missOf(const BookLine& line, std::size_t camera) {
    return camera < line.cameras.size() ? line.cameras[camera].miss.value_or(NAN) : NAN;
}

// Median and largest; NaN of none.
std::pair<double, double> spreadOf(std::vector<double> values) {
    if (values.empty())
        return {NAN, NAN};
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    const double upper = *middle;
    const double median =
        values.size() % 2 ? upper : (upper + *std::max_element(values.begin(), middle)) / 2;
    return {median, *std::max_element(values.begin(), values.end())};
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
    std::string text = "gel,name,type,miss_uv,in_reach,candela,of_brightest,rf,ssi";
    const auto names = camerasOf(lines);
    for (const std::string& name : names)
        text += "," + csvCell("miss " + name);
    text += "\n";
    for (const BookLine& l : lines) {
        text += fmt::format("{},{},{},{},{},{},{},{},{}", csvCell(l.gel), csvCell(l.name),
                            csvCell(l.type), number(l.miss_uv, 5), l.in_reach ? "yes" : "no",
                            number(l.candela, 1), number(l.of_brightest, 3), number(l.rf, 1),
                            number(l.ssi, 0));
        for (std::size_t i = 0; i < names.size(); ++i)
            text += "," + number(missOf(l, i), 5);
        text += "\n";
    }
    return text;
}

double BookType::judged() const {
    double most = cameras.empty() ? median_uv : 0;
    for (const OfCamera& camera : cameras)
        most = std::isfinite(camera.median) ? std::max(most, camera.median) : HUGE_VAL;
    return most;
}

std::vector<BookType> bookTypes(const std::vector<BookLine>& lines) {
    const auto names = camerasOf(lines);
    std::vector<std::string> types;
    for (const BookLine& l : lines)
        if (std::find(types.begin(), types.end(), l.type) == types.end())
            types.push_back(l.type);
    std::vector<BookType> all;
    for (const std::string& type : types) {
        const auto spread = [&](const auto& missed) {
            std::vector<double> misses;
            for (const BookLine& l : lines)
                if (l.type == type)
                    if (const double miss = missed(l); std::isfinite(miss))
                        misses.push_back(miss);
            return spreadOf(std::move(misses));
        };
        BookType of{type, 0, 0, {}};
        std::tie(of.median_uv, of.worst_uv) = spread([](const BookLine& l) { return l.miss_uv; });
        for (std::size_t i = 0; i < names.size(); ++i) {
            const auto [median, worst] = spread([&](const BookLine& l) { return missOf(l, i); });
            of.cameras.push_back({names[i], median, worst});
        }
        all.push_back(std::move(of));
    }
    std::stable_sort(all.begin(), all.end(),
                     [](const BookType& a, const BookType& b) { return a.judged() < b.judged(); });
    return all;
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
