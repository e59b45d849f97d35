// SPDX-License-Identifier: GPL-3.0-or-later
// Prints docs/colour-errors.md: how far each calculation is from the independent vectors, beside
// what is allowed. Not a test: the tests hold the bounds, this shows the figures
// (tools/make_error_table).
#include "colour/cct.h"
#include "colour/difference.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "files/gdtf_reader.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"
#include "mix/mix.h"
#include "route/way.h"
#include "support/places.h"

#include <algorithm>
#include <fmt/format.h>
#include <fstream>
#include <map>
#include <nlohmann/json.hpp>
#include <sstream>

namespace {

using namespace zelo;
using nlohmann::json;

std::string path(const std::string& name) {
    return std::string(places::test_data) + "/" + name;
}
json read(const std::string& name) {
    std::ifstream in(path(name));
    return json::parse(in);
}

struct Row {
    double worst = 0;
    int count = 0;
    void see(double error) {
        worst = std::max(worst, std::abs(error));
        ++count;
    }
};

void print(const char* part, const Row& row, const char* allowed) {
    fmt::print("| {} | {} | {:.2g} | {} |\n", part, row.count, row.worst, allowed);
}

void lights() {
    Row uv, cct, duv, ssi, inverse, day;
    const json vectors = read("reference/light.json");
    for (const auto& l : vectors["lights"]) {
        const std::string file = l["file"];
        if (file.find(".csv") == std::string::npos || !l["step_nm"].is_number() ||
            l["step_nm"] > 1.0)
            continue;
        const auto s = files::readLight(path("reference/" + file));
        const auto got = colour::toUv(colour::toXyz(*s));
        uv.see(distance(got, {l["uv"][0], l["uv"][1]}));
        const auto c = colour::cctOf(got);
        if (l["cct"].is_null() || !c || l["cct"] < 2000 || l["cct"] > 10001)
            continue;
        cct.see(c->cct.value - l["cct"].get<double>());
        duv.see(c->duv - l["duv"].get<double>());
        if (l["ssi"].is_number())
            ssi.see(*colour::spectralSimilarity(*s, colour::lampOf({l["cct"].get<double>()})) -
                    l["ssi"].get<double>());
    }
    for (const auto& r : vectors["inverse"])
        inverse.see(distance(colour::uvOf({{r["cct"].get<double>()}, r["duv"].get<double>()}),
                             {r["uv"][0], r["uv"][1]}));
    for (const auto& r : vectors["daylight"])
        day.see(distance(colour::toUv(colour::toXyz(colour::daylight({r["cct"].get<double>()}))),
                         {r["uv"][0], r["uv"][1]}));
    print("chromaticity of a spectrum, u′v′ (data at 1 nm)", uv, "5e-5");
    print("CCT, K (2 000 to 10 000 K)", cct, "1");
    print("Duv", duv, "3e-5");
    print("(CCT, Duv) to u′v′", inverse, "5e-5");
    print("CIE daylight, u′v′", day, "5e-5");
    print("SSI", ssi, "2 (data begin at 380 nm)");
    Row ra, rf, rg;
    const json rendering = read("rendering.json");
    for (const auto& l : rendering["lights"]) {
        const auto s = files::readLight(path("reference/spectra/" + l["file"].get<std::string>()));
        const Kelvin k{l["cct"].get<double>()};
        ra.see(colour::cie13Of(*s, k).ra - l["ra"].get<double>());
        rf.see(colour::tm30Of(*s, k).rf - l["rf"].get<double>());
        if (l["file"] != "planck-10000.csv") // a sample on the edge of two hue bins
            rg.see(colour::tm30Of(*s, k).rg - l["rg"].get<double>());
    }
    print("R_a", ra, "0.1");
    print("R_f", rf, "0.1");
    print("R_g", rg, "0.1");
    Row de;
    std::ifstream in(path("reference/ciede2000.csv"));
    std::string line;
    std::getline(in, line);
    while (std::getline(in, line)) {
        std::replace(line.begin(), line.end(), ',', ' ');
        std::istringstream cells(line);
        double n, e;
        colour::Lab x, y;
        cells >> n >> x.L >> x.a >> x.b >> y.L >> y.a >> y.b >> e;
        de.see(colour::deltaE2000(x, y) - e);
    }
    print("CIEDE2000", de, "1e-4");
}

class Sources : public light::ColourSources {
public:
    Result<light::Gel> gel(const std::string& id) const override { return *book.book.find(id); }
    Result<colour::Spectrum> spectrum(const std::string& name) const override {
        return files::readLight(path("reference/spectra/" + name));
    }
    Result<light::Wanted> palette(const std::string&) const override {
        return fail(ErrorCode::NotFound, "none");
    }
    files::ReadBook book = *files::readSwatchBook(path("reference/gels.txt"));
};

void mixes() {
    const Sources sources;
    std::map<std::string, std::shared_ptr<mix::Mixer>> mixers;
    for (const char* name : {"Fulmar", "Dovekie", "Shearwater", "Razorbill"}) {
        auto type = std::make_shared<const light::FixtureType>(
            *files::readGdtf(path(std::string("reference/fixtures/") + name)));
        mixers[name] = std::make_shared<mix::Mixer>(type, type->modes[0]);
    }
    Row colour_error, brightness, miss, truest;
    const json match = read("reference/match.json");
    for (const auto& row : match["cases"]) {
        if (row.contains("keep_out") || row.contains("pins"))
            continue;
        const auto& mixer = *mixers[row["fixture"]];
        const auto wanted = light::parseColour(row["colour"], sources);
        colour_error.see(distance(wanted->uv(), {row["wanted_uv"][0], row["wanted_uv"][1]}));
        mix::MixWish wish;
        wish.intent = mix::Intent::Brightest;
        const auto bright = mixer.solve(*wanted, wish);
        if (row["in_reach"].get<bool>())
            brightness.see(bright.got.Y / row["brightest_cd"].get<double>() - 1);
        else
            miss.see(bright.miss_uv - row["miss_uv"].get<double>());
        if (row.contains("truest") && !row["truest"].is_null() && wanted->spectrum)
            truest.see(mixer.spectralMiss(mixer.solve(*wanted, {}).drives, *wanted->spectrum) -
                       row["truest"]["rms"].get<double>());
    }
    print("colours wanted, u′v′ (gels at 10 nm among them)", colour_error, "5e-4");
    print("Brightest, share of brightness", brightness, "0.003 + the vectors' own spread");
    print("miss, u′v′", miss, "2e-4 (8e-4 for 5 nm data)");
    print("Truest, relative spectral difference", truest, "0.01 of it + 0.002");
    Row length;
    const json routes = read("reference/routes.json");
    for (const auto& row : routes["routes"]) {
        std::vector<colour::Uv> hull;
        for (const auto& c : match["fixtures"][row["fixture"].get<std::string>()]["hull_uv"])
            hull.push_back({c[0], c[1]});
        const auto disc =
            route::Disc::of(colour::Polygon(hull), {row["white_uv"][0], row["white_uv"][1]});
        for (const auto& around : row["around"])
            for (const char* side : {"ccw", "cw"})
                length.see(route::aroundWay(*disc, {row["from_uv"][0], row["from_uv"][1]},
                                            {row["to_uv"][0], row["to_uv"][1]}, around["floor"],
                                            *route::sideNamed(side))
                                   .length /
                               around[side]["length"].get<double>() -
                           1);
    }
    print("length of an Around route, share", length, "0.005");
}

} // namespace

int main() {
    fmt::print("# Errors against the independent vectors\n\nMade by tools/make_error_table from "
               "tests/data/; do not edit.\n\n| what | compared | worst error | allowed |\n"
               "|---|---|---|---|\n");
    lights();
    mixes();
    return 0;
}
