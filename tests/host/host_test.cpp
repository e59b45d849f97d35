// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"
#include "host/session.h"
#include "host/support.h"
#include "play/mixes.h"
#include "practice/practice_rig.h"
#include "show/kept.h"
#include "support/asked.h"
#include "support/places.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/e131_sender.h"

#include <condition_variable>
#include <fstream>
#include <gtest/gtest.h>

namespace zelo::host {
namespace {

namespace fs = std::filesystem;
using namespace std::chrono_literals;

// Remembers the last frame and how many there were.
class Recorder : public light::FrameSink {
public:
    struct Heard {
        std::mutex mutex;
        light::Frame last;
        int frames = 0;
    };
    explicit Recorder(std::shared_ptr<Heard> heard) : heard_(std::move(heard)) {}
    void send(const light::Frame& frame) override {
        const std::lock_guard lock(heard_->mutex);
        heard_->last = frame;
        ++heard_->frames;
    }

private:
    std::shared_ptr<Heard> heard_;
};

TEST(Library, HoldsWhatShipsAndTellsWhatIsBroken) {
    const Library shipped{fs::path(places::data)};
    EXPECT_TRUE(shipped.troubles().empty());
    EXPECT_GE(shipped.types().size(), 3u);
    EXPECT_TRUE(shipped.gel("214"));
    EXPECT_FALSE(shipped.gel("99999"));

    const Folder data;
    fs::create_directories(data.path / "fixtures/broken");
    fs::copy(fs::path(places::data) / "fixtures/tern-6", data.path / "fixtures/tern-6");
    std::ofstream(data.path / "fixtures/broken/description.xml") << "<GDTF><FixtureType/>";
    fs::create_directories(data.path / "gels");
    std::ofstream(data.path / "gels/bad.txt") << "id,name,400,500,600\n1,a,x,1,1\n";
    const Library mixed{data.path};
    EXPECT_EQ(mixed.types().size(), 1u) << "the sound one is there all the same";
    ASSERT_EQ(mixed.troubles().size(), 2u);
    EXPECT_NE(mixed.troubles()[0].english().find("broken"), std::string::npos);
    EXPECT_NE(mixed.troubles()[1].english().find("bad.txt, line 2"), std::string::npos);
}

// A camera of the show that comes, goes or is balanced anew makes other mixes of what is filmed.
TEST(Library, CamerasOfTheShowAreMinded) {
    Library library{fs::path(places::data)};
    EXPECT_GE(library.shippedCameras().size(), 3u);
    EXPECT_TRUE(library.camera("fulmar"));
    const auto none = library.camera("no such");
    ASSERT_FALSE(none);
    EXPECT_NE(none.error().text().find("Fulmar"), std::string::npos) << "it says which there are";
    const auto bare = std::make_shared<const show::Show>();
    library.setShow(bare);
    EXPECT_FALSE(library.sources()->cameras());
    play::Mixes mixes;
    const auto mixer = mixes.mixer(*library.sources(), "gannet-8", "");
    show::ColourWish wish{light::AskedGel{"104", {}, {}, {}}, {}, mix::Intent::Filmed};
    const auto before = mixes.mixed(*library.sources(), mixer, wish)->mix.drives;
    auto camera = *library.camera("Fulmar");
    auto show = *show::keepCamera(bare, camera);
    library.setShow(show);
    ASSERT_TRUE(library.sources()->cameras());
    const auto with = mixes.mixed(*library.sources(), mixer, wish)->mix.drives;
    EXPECT_FALSE(with == before);
    camera.balance = light::AskedWhite{2700, {}};
    library.setShow(*show::keepCamera(show, camera));
    EXPECT_FALSE(mixes.mixed(*library.sources(), mixer, wish)->mix.drives == with);
    camera.used = false;
    library.setShow(*show::keepCamera(show, camera));
    EXPECT_FALSE(library.sources()->cameras());
    EXPECT_TRUE(mixes.mixed(*library.sources(), mixer, wish)->mix.drives == before);
    library.setShow(show);
    EXPECT_TRUE(mixes.mixed(*library.sources(), mixer, wish)->mix.drives == with);
}

TEST(Library, FindsByIdAndByPath) {
    Library library{fs::path(places::data)};
    EXPECT_TRUE(library.find("Petrel-4")) << "ids compare without regard to case";
    const auto path = std::string(places::test_data) + "/reference/fixtures/Fulmar";
    const auto found = library.find(path);
    ASSERT_TRUE(found);
    EXPECT_EQ((*found)->name, "Fulmar");
    EXPECT_NE(library.find("nothing").error().text().find("gannet-8"), std::string::npos)
        << "the message names what there is";
}

TEST(Workers, TheNewestWishReplacesOneThatWaits) {
    Workers workers(1);
    std::mutex gate;
    gate.lock();
    std::atomic<int> last{0};
    std::atomic<int> runs{0};
    std::atomic<bool> blocked{false};
    workers.post("block", [&] {
        blocked = true;
        const std::lock_guard wait(gate);
    });
    ASSERT_TRUE(eventually([&] { return blocked.load(); })); // nothing else runs from here on
    for (int i = 1; i <= 100; ++i)
        workers.post("target", [&, i] {
            last = i;
            ++runs;
        });
    workers.post("other", [&] { ++runs; });
    gate.unlock();
    workers.waitUntilIdle();
    EXPECT_EQ(last, 100);
    EXPECT_LE(runs, 3) << "99 stale wishes were not done";
}

class SessionTest : public ::testing::Test {
protected:
    SessionTest() {
        session.on_stage = [this](std::shared_ptr<const play::Stage> s) {
            const std::lock_guard lock(mutex);
            stage = std::move(s);
        };
        EXPECT_TRUE(session.open(fs::path(places::data) / "shows/salt-lanterns.zelo"));
    }
    std::shared_ptr<const play::Stage> settled() {
        session.waitUntilIdle();
        const std::lock_guard lock(mutex);
        return stage;
    }
    std::uint8_t firstValue() { // dimmer of lamp 1
        const std::lock_guard lock(heard->mutex);
        return heard->last.universes.empty() ? 0 : heard->last.universes[0].values[0];
    }

    std::mutex mutex;
    std::shared_ptr<const play::Stage> stage;
    std::shared_ptr<Recorder::Heard> heard = std::make_shared<Recorder::Heard>();
    Library library{fs::path(places::data)};
    Session session{library, std::make_unique<Recorder>(heard)};
};

TEST_F(SessionTest, WhatIsInHandShowsAndCanBePutDownAndUndone) {
    const show::Lineup one{{1}};
    EXPECT_TRUE(session.kept());
    session.setHand("Colour", show::withColour(session.hand(), one, test::wishFor("gel:341")));
    EXPECT_EQ(light::toText(settled()->lamp({1})->colour->wanted.asked), "gel:341");
    EXPECT_TRUE(settled()->lamp({1})->in_hand);
    EXPECT_FALSE(session.kept());
    session.putDown();
    EXPECT_EQ(light::toText(settled()->lamp({1})->colour->wanted.asked), "gel:214@3200");
    session.undo(); // putting down can be undone: nothing in hand is lost
    EXPECT_EQ(light::toText(settled()->lamp({1})->colour->wanted.asked), "gel:341");
    session.undo();
    EXPECT_TRUE(session.kept());
    session.redo();
    ASSERT_TRUE(session.keepHand());
    EXPECT_TRUE(session.hand()->empty());
    EXPECT_EQ(light::toText(settled()->lamp({1})->colour->wanted.asked), "gel:341");
}

TEST_F(SessionTest, AFailedOpenLeavesWhatWasOpen) {
    const Folder folder;
    std::ofstream(folder.path / "bad.zelo") << "{\"format\": \"zelochrome-show\", \"version\": 99}";
    const auto before = session.show();
    EXPECT_FALSE(session.open(folder.path / "bad.zelo"));
    EXPECT_FALSE(session.open(folder.path / "none.zelo"));
    EXPECT_EQ(session.show(), before);
    EXPECT_FALSE(session.edit("Bad", show::renameShow(session.show(), "")));
    EXPECT_EQ(session.show(), before);
}

TEST_F(SessionTest, SavesTheHandToo) {
    const Folder folder;
    session.setHand("Dim", show::withIntensity(session.hand(), {{5}}, 0.123));
    ASSERT_TRUE(session.saveAs(folder.path / "copy.zelo"));
    EXPECT_TRUE(session.kept());
    const auto again = files::readShow(folder.path / "copy.zelo");
    ASSERT_TRUE(again);
    EXPECT_EQ(*again->hand->at({5})->intensity->here(), 0.123);
    EXPECT_FALSE(session.saveAs("/nowhere/x.zelo"));
}

TEST_F(SessionTest, InRehearsalTheStageHolds) {
    settled();
    ASSERT_TRUE(eventually([&] { return firstValue() == 255; }));
    session.setOnStage(false);
    session.setHand("Dim", show::withIntensity(session.hand(), {{1}}, 0.2));
    settled();
    std::this_thread::sleep_for(150ms);
    EXPECT_EQ(firstValue(), 255);
    session.setOnStage(true);
    EXPECT_TRUE(eventually([&] { return firstValue() == 51; }));
    session.setControls({1, true});
    EXPECT_TRUE(eventually([&] { return firstValue() == 0; }));
}

TEST(Session, ACopyAndATemplateLeaveTheDocumentAlone) {
    Library library{fs::path(places::data)};
    Session session(library, nullptr);
    const fs::path demo = fs::path(places::data) / "shows/salt-lanterns.zelo";
    ASSERT_TRUE(session.open(demo));
    const fs::path copy = fs::path(::testing::TempDir()) / "zelo-copy.zelo";
    ASSERT_TRUE(session.guard().saveCopy(session.state(), copy));
    EXPECT_EQ(session.path(), demo) << "one goes on in the same show";
    EXPECT_EQ(files::readShow(copy)->show->fixtures.size(), 40u);
    ASSERT_TRUE(session.startFrom(demo, "Next one"));
    EXPECT_FALSE(session.path());
    EXPECT_EQ(session.show()->name, "Next one");
    EXPECT_EQ(session.show()->palettes.size(), 10u);
    EXPECT_FALSE(session.startFrom(copy.string() + ".none", "x"));
    EXPECT_EQ(session.show()->name, "Next one") << "what is open stays";
    fs::remove(copy);
}

// A light computed from what the sources were before comes too late to stand in for the new one.
TEST(Mixes, AColourThatChangedMeanwhileDoesNotComeBack) {
    Library library;
    show::Palette palette;
    palette.name = "p";
    palette.colour = test::wishFor("cct:3200");
    const auto empty = std::make_shared<const show::Show>();
    const auto before = *show::addPalette(empty, palette);
    library.setShow(before);
    const auto old = library.sources();
    auto changed = *before->paletteNamed("p");
    changed.colour = test::wishFor("cct:5600");
    library.setShow(*show::changePalette(before, changed));
    const auto now = library.sources();
    play::Mixes mixes;
    const light::Asked asked = light::AskedPalette{"p"};
    const auto kelvin = [&](const play::Sources& from) {
        return std::get<light::AskedWhite>((*mixes.wanted(from, asked))->asked).cct_k;
    };
    EXPECT_EQ(kelvin(*now), 5600);
    EXPECT_EQ(kelvin(*old), 3200) << "a computation that began before it";
    EXPECT_EQ(kelvin(*now), 5600) << "must not be what is remembered";
    // What did not change in a new moment of the library is the same light: mixes of it hold.
    const auto light = *mixes.wanted(*now, light::AskedXy{0.4, 0.4});
    library.setShow(before);
    EXPECT_EQ(*mixes.wanted(*library.sources(), light::AskedXy{0.4, 0.4}), light);
}

TEST(Session, AddedLampsThatAreUndoneLeaveTheLineup) {
    Library library;
    Session session(library, nullptr);
    show::Fixture lamp;
    lamp.type = "tern-6";
    std::vector<show::FixtureId> added;
    ASSERT_TRUE(session.edit("Add", show::addFixtures(session.show(), {lamp, lamp}, &added)));
    session.setLineup(added);
    Changes seen;
    session.on_change = [&](Changes what) { seen = seen | what; };
    session.undo();
    EXPECT_TRUE(session.lineup().empty()) << "nothing refers to lamps that are not there";
    EXPECT_TRUE(seen.has(Change::Rig) && seen.has(Change::Lineup));
    EXPECT_FALSE(seen.has(Change::Palettes) || seen.has(Change::Outputs));
}

TEST(Session, ChangedPalettesAndTypesReachTheStage) {
    Library library{fs::path(places::data)};
    Session session(library, nullptr);
    ASSERT_TRUE(session.open(fs::path(places::data) / "shows/salt-lanterns.zelo"));
    const auto embers = [&] {
        const auto light =
            session.mixes().wanted(*session.sources(), light::AskedPalette{"embers"});
        return light ? light::toText((*light)->asked) : light.error().text();
    };
    EXPECT_EQ(embers(), "gel:219@3200");
    auto palette = *session.show()->paletteNamed("embers");
    palette.colour->asked = light::AskedWhite{2000, std::nullopt};
    ASSERT_TRUE(session.edit("x", show::changePalette(session.show(), palette)));
    EXPECT_EQ(embers(), "cct:2000");
    const auto before = session.mixes().mixer(*session.sources(), "gannet-8", "");
    auto type = before->type();
    type.emitters.pop_back();
    for (auto& mode : type.modes)
        std::erase_if(mode.channels, [](const light::Channel& c) {
            return c.role == light::Role::Part && c.part == 7;
        });
    ASSERT_TRUE(session.edit(
        "x", show::keepType(session.show(), std::make_shared<light::FixtureType>(type))));
    EXPECT_EQ(session.mixes().mixer(*session.sources(), "gannet-8", "")->type().emitters.size(),
              7u);
    session.undo();
    EXPECT_EQ(session.mixes().mixer(*session.sources(), "gannet-8", "")->type().emitters.size(),
              8u);
}

} // namespace
} // namespace zelo::host
