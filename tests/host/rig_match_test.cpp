// SPDX-License-Identifier: GPL-3.0-or-later
// Found devices against the patch of the demo show.
#include "files/show_file.h"
#include "host/rig_match.h"
#include "show/kept.h"
#include "support/places.h"

#include <gtest/gtest.h>

namespace zelo::host {
namespace {

using Kind = RigMatch::Kind;

class RigMatchTest : public ::testing::Test {
protected:
    RigMatchTest() {
        show =
            files::readShow(std::filesystem::path(places::data) / "shows/salt-lanterns.zelo")->show;
        for (const auto& [id, f] : show->fixtures) {
            const auto type = library.type(f->type);
            wire::FoundDevice d;
            d.uid = {0x7ff0, static_cast<std::uint32_t>(id.value)};
            d.port_address = static_cast<std::uint16_t>(f->universe - 1);
            d.done = d.answered = true;
            d.maker = type->maker;
            d.model = type->name;
            d.personality = f->mode;
            d.info.address = static_cast<std::uint16_t>(f->address);
            d.info.footprint = static_cast<std::uint16_t>(type->mode(f->mode)->footprint);
            found.devices.push_back(d);
        }
    }
    wire::FoundDevice& device(int number) {
        return found.devices[static_cast<std::size_t>(number - 1)];
    }
    RigMatches match() { return matchRig(*show, library, found); }
    RigMatch matchOf(int number) { return match().devices[static_cast<std::size_t>(number - 1)]; }

    Library library{std::filesystem::path(places::data)};
    show::ShowPtr show;
    wire::FinderState found;
};

TEST_F(RigMatchTest, ARigAsPatchedIsTheSame) {
    const auto all = match();
    ASSERT_EQ(all.devices.size(), 40u);
    for (const auto& m : all.devices) {
        EXPECT_EQ(m.kind, Kind::Same) << m.words;
        EXPECT_EQ(m.fixture->value, static_cast<int>(m.device) + 1);
    }
    EXPECT_TRUE(all.not_answering.empty());
    EXPECT_EQ(all.devices[9].words.english(), "is 10 in the show");
}

TEST_F(RigMatchTest, NewOnesAreAddedWithTheirIdentity) {
    auto extra = device(1);
    extra.uid = {0x7ff0, 0x900};
    extra.info.address = 400;
    extra.label = "spare";
    found.devices.push_back(extra);
    extra.uid = {0x7ff0, 0x901};
    extra.model = "Nobody knows";
    found.devices.push_back(extra);
    auto all = match();
    EXPECT_EQ(all.devices[40].kind, Kind::New);
    EXPECT_EQ(all.devices[41].words.english(), "new, and no fixture type is like it");
    std::vector<show::FixtureId> added;
    show = *addFound(show, found, all.devices, &added);
    ASSERT_EQ(added.size(), 1u) << "the unknown type cannot be added";
    const auto& f = *show->fixture(added[0]);
    EXPECT_EQ(f.number, 41);
    EXPECT_EQ(f.type, "petrel-4");
    EXPECT_EQ(f.mode, "emitters 8 bit");
    EXPECT_EQ(f.address, 400);
    EXPECT_EQ(f.label, "spare");
    all = match();
    EXPECT_EQ(all.devices[40].kind, Kind::Same) << "by its identity";
    EXPECT_FALSE(addFound(show, found, all.devices, nullptr)) << "nothing is new any more";
    // It moves: known again by its identity, and the difference is told.
    found.devices[40].info.address = 410;
    const auto moved = match().devices[40];
    EXPECT_EQ(moved.kind, Kind::Differs);
    EXPECT_TRUE(moved.other_address);
    EXPECT_EQ(moved.words.english(), "is 41, patched at 1.400");
    show = *takeOver(show, found, moved);
    EXPECT_EQ(show->fixture(added[0])->address, 410);
}

TEST_F(RigMatchTest, AnotherModeIsADifference) {
    device(1).personality = "emitters 16 bit";
    const auto m = matchOf(1);
    EXPECT_EQ(m.kind, Kind::Differs);
    EXPECT_TRUE(m.other_mode);
    EXPECT_EQ(m.words.english(), "is 1, patched as emitters 8 bit");
    show = *takeOver(show, found, m);
    EXPECT_EQ(show->fixture({1})->mode, "emitters 16 bit");
}

TEST_F(RigMatchTest, TheRdmNumbersOfAFileCountBeforeNames) {
    auto type = *library.type("petrel-4");
    type.rdm = light::RdmModel{0x7ff0, 0xa004, {{2, "emitters 16 bit"}, {3, "no such mode"}}};
    show = *show::keepType(show, std::make_shared<light::FixtureType>(type));
    library.setShow(show);
    auto& d = device(1); // it calls itself something that no type is called
    d.maker = "PTL";
    d.model = "P4 rev C";
    d.personality = "2";
    d.info.model = 0xa004;
    d.info.personality = 2;
    auto m = matchOf(1);
    ASSERT_TRUE(m.type);
    EXPECT_EQ(m.type->id, "petrel-4");
    EXPECT_EQ(m.mode, "emitters 16 bit");
    d.info.personality = 3; // what its file names is not there: by the footprint
    EXPECT_EQ(matchOf(1).mode, "emitters 8 bit");
    d.info.model = 0xa005;
    EXPECT_FALSE(matchOf(1).type);
}

TEST_F(RigMatchTest, TheSilentAndTheMissingAreTold) {
    device(3).answered = false;
    found.devices.pop_back();
    const auto all = match();
    EXPECT_EQ(all.devices[2].kind, Kind::Unclear);
    EXPECT_EQ(all.devices[2].words.english(), "does not say what it is");
    EXPECT_EQ(all.not_answering, (std::vector<show::FixtureId>{{3}, {40}}));
}

TEST_F(RigMatchTest, TheOutputMapTellsTheUniverse) {
    show = *show::changeOutputs(show, {{5, 2, show::Protocol::ArtNet, "127.0.0.1", 16}});
    EXPECT_EQ(universeOf(*show, 17), 6);
    EXPECT_EQ(universeOf(*show, 3), 4);
}

} // namespace
} // namespace zelo::host
