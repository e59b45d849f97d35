// SPDX-License-Identifier: GPL-3.0-or-later
// The 146 cases of tests/data/reference/match.json against an independent implementation.
#include "colour/polygon.h"
#include "files/gdtf_reader.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"
#include "mix/mix.h"
#include "support/vectors.h"

#include <map>

namespace zelo::mix {
namespace {

class Sources : public light::ColourSources {
public:
    Sources() : book_(*files::readSwatchBook(test::dataPath("reference/gels.txt"))) {}
    Result<light::Gel> gel(const std::string& id) const override {
        const auto* gel = book_.book.find(id);
        if (!gel)
            return fail(ErrorCode::NotFound, "no gel {}", id);
        return *gel;
    }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        return files::readLight(test::dataPath("reference/spectra/" + path));
    }
    Result<light::Wanted> palette(const std::string& name) const override {
        return fail(ErrorCode::NotFound, "no palette {}", name);
    }

private:
    files::ReadBook book_;
};

std::map<std::string, std::shared_ptr<Mixer>> mixers() {
    std::map<std::string, std::shared_ptr<Mixer>> all;
    for (const char* name : {"Fulmar", "Dovekie", "Shearwater", "Razorbill"}) {
        auto type = files::readGdtf(test::dataPath(std::string("reference/fixtures/") + name));
        EXPECT_TRUE(type.has_value()) << name << ": " << type.error().text();
        auto shared = std::make_shared<const light::FixtureType>(*type);
        all[name] = std::make_shared<Mixer>(shared, shared->modes.front());
    }
    return all;
}

std::size_t emitterNamed(const light::FixtureType& type, const std::string& name) {
    for (std::size_t i = 0; i < type.emitters.size(); ++i)
        if (type.emitters[i].name == name)
            return i;
    ADD_FAILURE() << name;
    return 0;
}

MixWish wishOf(const nlohmann::json& row, const light::FixtureType& type) {
    MixWish wish;
    const auto keep_out = row.value("keep_out", nlohmann::json::array());
    for (const auto& name : keep_out)
        wish.keep_out.push_back(emitterNamed(type, name));
    const auto pins = row.value("pins", nlohmann::json::object());
    for (const auto& [name, drive] : pins.items())
        wish.pins.push_back({emitterNamed(type, name), drive});
    return wish;
}

struct Case {
    nlohmann::json row;
    std::shared_ptr<Mixer> mixer;
    light::Wanted wanted;
    MixWish wish;
    std::string name;
};

std::vector<Case> cases() {
    const Sources sources;
    const auto all = mixers();
    std::vector<Case> found;
    const auto vectors = test::readJson("reference/match.json");
    for (const auto& row : vectors["cases"]) {
        const auto& mixer = all.at(row["fixture"]);
        auto wanted = light::parseColour(row["colour"], sources);
        EXPECT_TRUE(wanted.has_value()) << row["colour"] << ": " << wanted.error().text();
        if (wanted)
            found.push_back(
                {row, mixer, *wanted, wishOf(row, mixer->type()),
                 row["fixture"].get<std::string>() + " " + row["colour"].get<std::string>()});
    }
    EXPECT_EQ(found.size(), 146u);
    return found;
}

TEST(MatchVectors, WantedColour) {
    for (const auto& c : cases()) {
        const std::string colour = c.row["colour"];
        const double tolerance = colour[0] == 'x' || colour[0] == 'u' ? 2e-6
                                 : colour.starts_with("cct") || colour[0] == 's' && colour[1] == 'r'
                                     ? 5e-5
                                     : 5e-4;
        EXPECT_NEAR(c.wanted.uv().u, c.row["wanted_uv"][0].get<double>(), tolerance) << c.name;
        EXPECT_NEAR(c.wanted.uv().v, c.row["wanted_uv"][1].get<double>(), tolerance) << c.name;
    }
}

TEST(MatchVectors, Brightest) {
    for (auto c : cases()) {
        c.wish.intent = Intent::Brightest;
        const Mix mix = c.mixer->solve(c.wanted, c.wish);
        const bool in_reach = c.row["in_reach"];
        EXPECT_EQ(mix.end == MixEnd::InReach, in_reach) << c.name;
        const double expected = c.row["brightest_cd"];
        const double spread = c.row.value("brightness_spread", 0.0);
        EXPECT_NEAR(mix.got.Y / expected, 1, 0.003 + spread + (in_reach ? 0 : 0.01)) << c.name;
        if (in_reach)
            EXPECT_LT(mix.miss_uv, 1e-9) << c.name;
    }
}

TEST(MatchVectors, MissAndNearest) {
    int outside = 0;
    for (auto c : cases()) {
        if (c.row["in_reach"].get<bool>())
            continue;
        ++outside;
        const Mix mix = c.mixer->solve(c.wanted, c.wish);
        const double tolerance = c.row["fixture"] == "Dovekie" ? 8e-4 : 2e-4;
        const double gel = 5e-4; // what other interpolation of the gel may move the colour wanted
        EXPECT_NEAR(mix.miss_uv, c.row["miss_uv"].get<double>(), tolerance + gel) << c.name;
        const auto got = colour::toUv(mix.got);
        EXPECT_NEAR(got.u, c.row["nearest_uv"][0].get<double>(), tolerance + gel) << c.name;
        EXPECT_NEAR(got.v, c.row["nearest_uv"][1].get<double>(), tolerance + gel) << c.name;
    }
    EXPECT_GT(outside, 10);
}

TEST(MatchVectors, Truest) {
    int compared = 0;
    for (auto c : cases()) {
        if (!c.row.contains("truest") || c.row["truest"].is_null() || !c.wanted.spectrum)
            continue;
        const auto& expected = c.row["truest"];
        c.wish.intent = Intent::Truest;
        c.wish.give_up = 0.3;
        const Mix mix = c.mixer->solve(c.wanted, c.wish);
        const double rms = c.mixer->spectralMiss(mix.drives, *c.wanted.spectrum);
        const double owed = expected.contains("rms_unnormalised_program")
                                ? expected["rms_unnormalised_program"].get<double>()
                                : expected["rms"].get<double>();
        EXPECT_NEAR(rms, owed, 0.01 * owed + 0.002) << c.name;
        EXPECT_LT(mix.miss_uv, 1e-6) << c.name;
        EXPECT_GE(mix.ofBrightest(), 0.7 - 1e-9) << c.name;
        ++compared;
    }
    EXPECT_GT(compared, 60);
}

TEST(MatchVectors, Hulls) {
    const auto vectors = test::readJson("reference/match.json")["fixtures"];
    for (const auto& [name, mixer] : mixers()) {
        const auto& expected = vectors[name]["hull_uv"];
        ASSERT_EQ(mixer->hull().corners().size(), expected.size()) << name;
        for (const auto& corner : expected)
            EXPECT_LT(std::abs(mixer->hull().nearest({corner[0], corner[1]}).distance), 5e-4)
                << name;
        for (const auto& e : vectors[name]["emitters"]) {
            const auto& xyz = mixer->emitters()[emitterNamed(mixer->type(), e["name"])];
            EXPECT_NEAR(xyz.Y, e["luminous_intensity_cd"].get<double>(), 1e-6 * xyz.Y) << e["name"];
            EXPECT_NEAR(xyz.X, e["xyz"][0].get<double>(), 2e-3 * xyz.X + 1e-3) << e["name"];
        }
    }
}

} // namespace
} // namespace zelo::mix
