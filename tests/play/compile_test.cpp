// SPDX-License-Identifier: GPL-3.0-or-later
// Shows made ready to be played: the reference's cases built as shows, and what is particular to
// shows (palettes, gradients, types that are not there).
#include "play/cases.h"
#include "play/compile.h"
#include "play/shipped.h"
#include "play/types.h"
#include "show/cue_edits.h"
#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

class CompileTest : public ::testing::Test {
protected:
    // Colours of a case are drives: levels by hand of all three emitters.
    show::Values valuesOf(const json& values) {
        std::vector<show::Values::Change> all;
        for (const auto& v : values) {
            show::Value value;
            if (v.contains("i"))
                value.intensity = v["i"].get<double>();
            if (v.contains("c"))
                for (std::size_t e = 0; e < 3; ++e)
                    value.parts[types.bar->partName(e)] = v["c"][e].get<double>();
            all.emplace_back(show::FixtureId{v["lamp"].get<int>()},
                             std::make_shared<const show::Value>(std::move(value)));
        }
        return show::Values::of(std::move(all));
    }
    show::ShowPtr showOf(const json& c) {
        show::Show show;
        show.dark_first = c.value("settings", json::object()).value("dark_first", true);
        show::ShowPtr made = show::nextShow(show);
        for (int lamp = 1; lamp <= c["lamps"].get<int>(); ++lamp) {
            show::Fixture f;
            f.type = "bar";
            f.number = lamp;
            f.address = 3 * lamp;
            for (std::size_t e = 0; e < 3; ++e)
                f.home[types.bar->partName(e)] = 1;
            for (const auto& exempt : c.value("exempt", json::array()))
                f.exempt = f.exempt || exempt == lamp;
            made = *show::addFixture(made, f);
        }
        made = *show::keepHand(made, valuesOf(c.value("standing", json::array())));
        for (const auto& l : c.value("lists", json::array())) {
            show::CueList list;
            list.name = l["name"].get<std::string>();
            list.back_s = l["back_s"].get<double>();
            list.release_s = l["release_s"].get<double>();
            made = *show::addCueList(made, list);
            for (const auto& q : l["cues"]) {
                show::Cue cue;
                cue.number.thousandths =
                    static_cast<int>(std::lround(1000 * q["number"].get<double>()));
                readTimes(q, cue);
                if (q.contains("follow") && q["follow"].is_object()) {
                    cue.follow = show::FollowWhen::AfterStart;
                    cue.follow_s = q["follow"]["after_s"].get<double>();
                } else if (q.contains("follow")) {
                    cue.follow = show::FollowWhen::WhenDone;
                }
                cue.values = valuesOf(q["values"]);
                made = *show::keepCue(made, {made->last_cue_list_id}, cue);
            }
        }
        for (const auto& f : c.value("faders", json::array())) {
            show::Show next = *made;
            show::Look look;
            look.id = {++next.last_look_id};
            look.name = f["name"].get<std::string>();
            look.values = valuesOf(f["values"]);
            const auto id = look.id;
            next.looks = next.looks.with(id, std::move(look));
            show::Fader fader;
            fader.name = f["name"].get<std::string>();
            fader.look = id;
            fader.adds = f["mode"] == "add";
            made = *show::addFader(show::nextShow(next), fader);
        }
        return made;
    }

    Types types;
    Mixes mixes;
};

TEST_F(CompileTest, ShowsMadeOfTheReferencesCasesPlayLikeThem) {
    for (const auto& one : test::readJson("reference/play/cases.json")) {
        const Case c(one);
        const auto compiled = play::compiled({showOf(one), show::emptyHand()}, types, mixes);
        expectPlayed(one, c, compiled.program);
    }
}

TEST_F(CompileTest, PalettesAndGradientsAreInTheDrives) {
    Shipped shipped;
    show::ShowPtr show = show::emptyState().show;
    for (int i = 0; i < 3; ++i) {
        show::Fixture f;
        f.type = i == 2 ? "ghost" : "gannet-8";
        f.address = 1 + 20 * i;
        show = *show::addFixture(show, f);
    }
    show::Palette warm;
    warm.name = "warm";
    warm.colour = test::wishFor("gel:214");
    warm.intensity = 0.6;
    show = *show::addPalette(show, warm);
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    show::Cue cue;
    cue.up_s = cue.down_s = 0;
    const show::Lineup all{{1}, {2}, {3}};
    show = *show::keepAsCue(
        {show, show::withPalette(show::emptyHand(), all, *show->paletteNamed("warm"))}, all, {1},
        cue, true);
    show::Gradient g;
    for (const char* gel : {"gel:104", "gel:338"})
        g.stops.push_back({*light::parseAsked(gel), {}, {}, {}});
    g.ways.resize(1);
    cue.number = {2000};
    show = *show::keepAsCue({show, *show::withGradient(show::emptyHand(), all, g)}, all, {1}, cue,
                            true);
    const auto compiled = play::compiled({show, show::emptyHand()}, shipped, mixes);
    EXPECT_FALSE(compiled.mixers[2]) << "its type is not there";
    EXPECT_EQ(compiled.lampOf({2}), std::optional<std::uint32_t>(1));
    EXPECT_FALSE(compiled.lampOf({9}));
    Engine engine(compiled.program);
    Shown row = engine.rows();
    const auto colourOf = [&](std::uint32_t lamp) {
        light::Drives drives(8, 0.0);
        std::copy_n(row.drives.begin() + compiled.program->first[lamp], 8, drives.begin());
        return colour::toUv(compiled.mixers[lamp]->xyzOf(drives));
    };
    const auto wanted = [&](const char* asked) {
        return (*mixes.wanted(shipped, *light::parseAsked(asked)))->uv();
    };
    engine.apply({Command::What::Next, 0, 0, {}}, 0);
    engine.frame(0.1, row);
    EXPECT_NEAR(row.intensity[0], 0.6, 1e-12);
    EXPECT_LT(colour::distance(colourOf(1), wanted("gel:214")), 1e-3);
    engine.apply({Command::What::Next, 0, 0, {}}, 1);
    engine.frame(1.1, row);
    EXPECT_LT(colour::distance(colourOf(0), wanted("gel:104")), 1e-3);
    EXPECT_NEAR(row.intensity[0], 0.6, 1e-12) << "the gradient says nothing of it";
    const auto from = engine.colourFrom(0);
    EXPECT_EQ(from.layer, Engine::From::Layer::List);
    EXPECT_EQ(from.cue, std::optional<std::size_t>(1));
    EXPECT_EQ(engine.intensityFrom(0).cue, std::optional<std::size_t>(0)) << "cue 1 said it";
    engine.apply({Command::What::Dark, 0, 1, {}}, 2);
    EXPECT_EQ(engine.intensityFrom(0).layer, Engine::From::Layer::Dark);
}

} // namespace
} // namespace zelo::play
