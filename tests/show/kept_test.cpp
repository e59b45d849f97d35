// SPDX-License-Identifier: GPL-3.0-or-later
// What is kept under a name: palettes and what follows them, looks, outputs, the show's own types.
#include "show/history.h"
#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

using test::textOf;

ColourWish wish(const char* asked) {
    ColourWish w;
    w.asked = light::parseAsked(asked).value();
    return w;
}

class Kept : public ::testing::Test {
protected:
    Kept() {
        show = std::make_shared<const Show>(Show{"Test"});
        for (int i = 0; i < 4; ++i) {
            Fixture f;
            f.number = i + 1;
            f.type = "petrel-4";
            f.address = 1 + 10 * i;
            show = *addFixture(show, f);
        }
        hand = withIntensity(withColour(emptyHand(), {{1}}, wish("gel:214")), {{1}}, 0.7);
    }
    Shown shown(int id) { return shownValue(*show, *hand, {id}); }
    const Palette& palette(const char* name) { return *show->paletteNamed(name); }

    State state() const { return {show, hand}; }
    const Look& look(int id) { return *show->lookOf({id}); }

    ShowPtr show;
    HandPtr hand;
};

TEST_F(Kept, APaletteHoldsColourOrIntensityOrBoth) {
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Colour, "warm");
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Intensity, "seventy");
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Both, "warm at seventy");
    EXPECT_EQ(textOf(palette("warm").colour), "gel:214");
    EXPECT_FALSE(palette("warm").intensity);
    EXPECT_FALSE(palette("seventy").colour);
    EXPECT_EQ(palette("warm at seventy").intensity, 0.7);
    EXPECT_FALSE(keepPalette(show, *hand, {{1}}, KeepWhat::Both, "warm")) << "a name is used once";
    EXPECT_FALSE(keepPalette(show, *hand, {{1}}, KeepWhat::Both, "  "));
    EXPECT_FALSE(keepPalette(show, *hand, {{2}}, KeepWhat::Colour, "x")) << "lamp 2 has no colour";
    EXPECT_FALSE(keepPalette(show, *hand, {}, KeepWhat::Both, "x"));
    // The colour alone leaves an intensity alone, and the other way round.
    hand = withPalette(hand, {{2}}, palette("warm"));
    EXPECT_FALSE(shown(2).intensity);
    hand = withIntensity(hand, {{2}}, 0.3);
    hand = withPalette(hand, {{2}}, palette("seventy"));
    EXPECT_EQ(textOf(shown(2).colour), "gel:214");
    EXPECT_EQ(shown(2).intensity, 0.7);
}

TEST_F(Kept, WhatUsesAPaletteFollowsIt) {
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Both, "warm");
    hand = withPalette(hand, {{2}, {3}}, palette("warm"));
    show = *keepLook(show, *hand, {{2}, {3}}, "evening");
    show = *keepHand(show, *putDown(hand, {{3}}));
    Palette cold = palette("warm");
    cold.colour = wish("gel:338");
    cold.intensity = 0.2;
    show = *changePalette(show, cold);
    for (const int id : {2, 3}) {
        EXPECT_EQ(textOf(shown(id).colour), "gel:338") << id;
        EXPECT_EQ(shown(id).intensity, 0.2) << id;
    }
    EXPECT_EQ(textOf(followed(*show, *look(1).values.at({3})).colour), "gel:338");
    EXPECT_EQ(textOf(shown(1).colour), "gel:214") << "lamp 1 has the colour, not the palette";
    // A colour of its own ends the following; the intensity still follows.
    hand = withColour(hand, {{2}}, wish("cct:3200"));
    cold.intensity = 0.9;
    show = *changePalette(show, cold);
    EXPECT_EQ(textOf(shown(2).colour), "cct:3200");
    EXPECT_EQ(shown(2).intensity, 0.9);
}

TEST_F(Kept, UsesAreCountedAndDeletingLeavesTheValues) {
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Colour, "warm");
    const auto id = palette("warm").id;
    EXPECT_TRUE(usesOf(state(), id).none());
    hand = withPalette(hand, {{2}, {3}}, palette("warm"));
    show = *keepLook(show, *hand, {{2}, {3}}, "evening");
    show = *keepHand(show, *putDown(hand, {{1}, {3}}));
    const Uses uses = usesOf(state(), id);
    EXPECT_EQ(uses.standing, std::vector<FixtureId>{{2}});
    EXPECT_EQ(uses.hand, (std::vector<FixtureId>{{2}, {3}}));
    ASSERT_EQ(uses.looks.size(), 1u);
    EXPECT_EQ(uses.looks[0].second, 2u);
    Palette cold = palette("warm");
    cold.colour = wish("gel:338"); // later than the links: what is left must be this
    show = *changePalette(show, cold);
    const auto gone = *removePalette(state(), id);
    EXPECT_TRUE(gone.show->palettes.empty());
    EXPECT_TRUE(usesOf(gone, id).none());
    EXPECT_EQ(textOf(gone.hand->at({3})->colour), "gel:338");
    EXPECT_EQ(textOf(gone.show->standing.at({2})->colour), "gel:338");
    EXPECT_EQ(textOf(gone.show->looks.at({1})->values.at({2})->colour), "gel:338");
    EXPECT_EQ(show->palettes.size(), 1u) << "the show given never changes";
}

TEST_F(Kept, ALockedPaletteRefusesAllButUnlocking) {
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Colour, "warm");
    Palette p = palette("warm");
    p.locked = true;
    show = *changePalette(show, p);
    p.name = "hot";
    EXPECT_FALSE(changePalette(show, p));
    p.locked = false;
    EXPECT_FALSE(changePalette(show, p)) << "unlock first, then change";
    EXPECT_FALSE(removePalette(state(), p.id));
    p.name = "warm";
    show = *changePalette(show, p);
    EXPECT_TRUE(removePalette(state(), p.id));
}

TEST_F(Kept, MergingSendsAllFollowersToOne) {
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Both, "a");
    show = *keepPalette(show, *hand, {{1}}, KeepWhat::Colour, "b");
    hand = withPalette(hand, {{2}}, palette("a"));
    hand = withPalette(hand, {{3}}, palette("b"));
    EXPECT_FALSE(mergePalettes(state(), palette("a").id, palette("b").id))
        << "followers of a take an intensity from it, and b has none";
    const auto merged = *mergePalettes(state(), palette("b").id, palette("a").id);
    EXPECT_EQ(merged.show->palettes.size(), 1u);
    EXPECT_EQ(merged.hand->at({3})->colour->palette(), palette("a").id);
    EXPECT_FALSE(mergePalettes(state(), palette("a").id, palette("a").id));
}

TEST_F(Kept, LooksComeBackIntoTheHand) {
    show = *keepLook(show, *hand, {{1}, {2}}, "evening");
    EXPECT_EQ(look(1).values.size(), 1u) << "lamp 2 shows nothing";
    EXPECT_FALSE(keepLook(show, *hand, {{1}}, "evening"));
    const auto later = withLook(withColour(hand, {{1}}, wish("cct:2000")), look(1));
    EXPECT_EQ(textOf(later->at({1})->colour), "gel:214");
    Look locked = look(1);
    locked.locked = true;
    show = *changeLook(show, locked);
    EXPECT_FALSE(removeLook(show, locked.id));
    show = removeFixtures(state(), {{1}})->show;
    EXPECT_TRUE(look(1).values.empty());
}

TEST_F(Kept, OutputsMustBeReachable) {
    const auto fails = [&](OutputLine line, const char* word) {
        const auto next = changeOutputs(show, {line});
        ASSERT_FALSE(next) << word;
        EXPECT_NE(next.error().text().find(word), std::string::npos) << next.error().text();
        EXPECT_NE(next.error().text().find("output 1"), std::string::npos);
    };
    fails({1, 0}, "1..63999");
    fails({63999, 2}, "1..63999");
    fails({1, 1, Protocol::E131, "multicast", 64000}, "there 64000");
    fails({1, 1, Protocol::ArtNet, "127.0.0.1", 32768}, "0..32767");
    fails({1, 1, Protocol::ArtNet, "multicast", 0}, "IPv4");
    for (const char* bad : {"", "10.0.0", "10.0.0.256", "10.0.0.+1", "10.0.0.7.1", "lamp.local"})
        fails({1, 1, Protocol::E131, bad}, "IPv4");
    EXPECT_TRUE(changeOutputs(
        show, {{1, 4, Protocol::ArtNet, "10.0.0.7", 0}, {5, 1, Protocol::E131, "multicast", 5}}));
}

TEST_F(Kept, TheShowsOwnTypesStayWhileUsed) {
    light::FixtureType type;
    type.id = "petrel-4";
    EXPECT_FALSE(keepType(show, std::make_shared<light::FixtureType>(type))) << "no mode";
    type.modes.push_back({"one"});
    show = *keepType(show, std::make_shared<light::FixtureType>(type));
    EXPECT_FALSE(removeType(show, "petrel-4")) << "four lamps are of it";
    show = removeFixtures(state(), {{1}, {2}, {3}, {4}})->show;
    EXPECT_TRUE(removeType(show, "petrel-4"));
    EXPECT_FALSE(removeType(show, "tern-6"));
}

TEST_F(Kept, CamerasThatSeeAndAreBalancedToALight) {
    const auto bell = [](double at) {
        colour::Grid grid{};
        for (std::size_t i = 0; i < grid.size(); ++i)
            grid[i] = 40 * std::exp(-std::pow((static_cast<double>(i) + 380 - at) / 50, 2));
        return colour::Spectrum(grid);
    };
    const FilmCamera camera{"Fulmar", {bell(600), bell(540), bell(460)}};
    const auto with = [&](auto&& change) {
        auto other = camera;
        change(other);
        return keepCamera(show, other);
    };
    EXPECT_FALSE(with([](auto& c) { c.name = "  "; }));
    EXPECT_FALSE(with([](auto& c) { c.balance = light::AskedWhite{900, {}}; }));
    EXPECT_FALSE(with([](auto& c) { c.balance = light::AskedWhite{26000, {}}; }));
    EXPECT_FALSE(with([](auto& c) { c.channels[1] = colour::Spectrum(); }));
    EXPECT_FALSE(with([](auto& c) { c.channels = {}; }));
    show = *keepCamera(show, camera);
    EXPECT_NEAR(show->cameras.at("Fulmar")->channels[0].largest(), 1, 1e-6);
    show = *with([](auto& c) { c.balance = light::AskedWhite{3200, {}}; });
    ASSERT_EQ(show->cameras.size(), 1u) << "it replaces the one of its name";
    for (const char* name : {"a", "b"})
        show = *with([&](auto& c) { c.name = name; });
    EXPECT_FALSE(with([](auto& c) { c.name = "c"; })) << "three at once";
    show = *with([](auto& c) {
        c.name = "c";
        c.used = false;
    });
    EXPECT_FALSE(with([](auto& c) { c.name = "c"; }));
    show = *removeCamera(show, "a");
    EXPECT_TRUE(with([](auto& c) { c.name = "c"; }));
    EXPECT_FALSE(removeCamera(show, "a"));
}

TEST_F(Kept, StageMeasuredAndFavourites) {
    EXPECT_FALSE(changeStage(show, {{}, {{"quay", {{0, 0}, {1, 1}}}}}));
    EXPECT_FALSE(changeStage(show, {{}, {{"", {{0, 0}, {1, 0}, {1, 1}}}}}));
    show = *changeStage(show, {{}, {{"quay", {{0, 0}, {1, 0}, {1, 1}}}}});
    EXPECT_EQ(show->stage->areas[0].name, "quay");
    EXPECT_FALSE(keepMeasured(show, "a+b", {}));
    show = *keepMeasured(*keepMeasured(show, "street lamp", {}), "street lamp", {});
    EXPECT_EQ(show->measured.size(), 1u);
    show = *removeMeasured(show, "street lamp");
    EXPECT_TRUE(show->measured.empty());
    show = *toggleFavourite(show, test::asked("gel:214"));
    EXPECT_TRUE(show->favourite(test::asked("gel:214")));
    EXPECT_FALSE(show->favourite(test::asked("gel:21")));
    show = *toggleFavourite(show, test::asked("gel:214"));
    EXPECT_FALSE(show->favourite(test::asked("gel:214")));
}

} // namespace
} // namespace zelo::show
