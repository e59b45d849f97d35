// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"
#include "host/session.h"
#include "practice/practice_rig.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/e131_sender.h"

#include <condition_variable>
#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <random>
#include <sys/wait.h>
#include <unistd.h>

namespace zelo::host {
namespace {

namespace fs = std::filesystem;
using namespace std::chrono_literals;

class Folder {
public:
    Folder() {
        std::string name = (fs::temp_directory_path() / "zelo-XXXXXX").string();
        path = ::mkdtemp(name.data());
    }
    ~Folder() { fs::remove_all(path); }
    fs::path path;
};

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

template <class F>
bool eventually(F holds) {
    for (int i = 0; i < 200; ++i) {
        if (holds())
            return true;
        std::this_thread::sleep_for(20ms);
    }
    return false;
}

TEST(Library, HoldsWhatShipsAndTellsWhatIsBroken) {
    const Library shipped{fs::path(ZELO_DATA)};
    EXPECT_TRUE(shipped.troubles().empty());
    EXPECT_GE(shipped.types().size(), 3u);
    EXPECT_TRUE(shipped.gel("214"));
    EXPECT_FALSE(shipped.gel("99999"));

    const Folder data;
    fs::create_directories(data.path / "fixtures/broken");
    fs::copy(fs::path(ZELO_DATA) / "fixtures/tern-6", data.path / "fixtures/tern-6");
    std::ofstream(data.path / "fixtures/broken/description.xml") << "<GDTF><FixtureType/>";
    fs::create_directories(data.path / "gels");
    std::ofstream(data.path / "gels/bad.txt") << "id,name,400,500,600\n1,a,x,1,1\n";
    const Library mixed{data.path};
    EXPECT_EQ(mixed.types().size(), 1u) << "the sound one is there all the same";
    ASSERT_EQ(mixed.troubles().size(), 2u);
    EXPECT_NE(mixed.troubles()[0].find("broken"), std::string::npos);
    EXPECT_NE(mixed.troubles()[1].find("bad.txt, line 2"), std::string::npos);
}

TEST(Library, FindsByIdAndByPath) {
    Library library{fs::path(ZELO_DATA)};
    EXPECT_TRUE(library.find("Petrel-4")) << "ids compare without regard to case";
    const auto path = std::string(ZELO_TEST_DATA) + "/reference/fixtures/Fulmar";
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

TEST(Player, SendsSteadilyWhatIsNewest) {
    auto heard = std::make_shared<Recorder::Heard>();
    Player player(std::make_unique<Recorder>(heard));
    light::Frame frame;
    frame.at(1).values[3] = 42;
    player.put(std::make_shared<const light::Frame>(frame));
    EXPECT_TRUE(eventually([&] {
        const std::lock_guard lock(heard->mutex);
        return heard->frames > 30 && heard->last == frame;
    }));
    EXPECT_TRUE(eventually([&] { return player.framesPerSecond() > 0; }));
    EXPECT_LE(player.framesPerSecond(), kFramesPerSecond + 3) << "never more than E1.31 allows";
}

class SessionTest : public ::testing::Test {
protected:
    SessionTest() {
        session.on_stage = [this](std::shared_ptr<const play::Stage> s) {
            const std::lock_guard lock(mutex);
            stage = std::move(s);
        };
        EXPECT_TRUE(session.open(fs::path(ZELO_DATA) / "shows/salt-lanterns.zelo"));
    }
    std::shared_ptr<const play::Stage> settled() {
        session.workers().waitUntilIdle();
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
    Library library{fs::path(ZELO_DATA)};
    Session session{library, std::make_unique<Recorder>(heard)};
};

TEST_F(SessionTest, WhatIsInHandShowsAndCanBePutDownAndUndone) {
    const show::Lineup one{{1}};
    EXPECT_TRUE(session.kept());
    session.setHand("Colour", show::withColour(session.hand(), one, {"gel:341"}));
    EXPECT_EQ(settled()->lamp({1})->colour->wanted.asked, "gel:341");
    EXPECT_TRUE(settled()->lamp({1})->in_hand);
    EXPECT_FALSE(session.kept());
    session.putDown();
    EXPECT_EQ(settled()->lamp({1})->colour->wanted.asked, "gel:214@3200");
    session.undo(); // putting down can be undone: nothing in hand is lost
    EXPECT_EQ(settled()->lamp({1})->colour->wanted.asked, "gel:341");
    session.undo();
    EXPECT_TRUE(session.kept());
    session.redo();
    ASSERT_TRUE(session.keepHand());
    EXPECT_TRUE(session.hand()->empty());
    EXPECT_EQ(settled()->lamp({1})->colour->wanted.asked, "gel:341");
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
    EXPECT_EQ(again->hand->at({5})->intensity, 0.123);
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

// The whole way: a wish → mix → channel values → E1.31 on loopback → practice rig → its light.
TEST(ClosedLoop, TheRigShowsTheColourWanted) {
    const Library library_for_rig{fs::path(ZELO_DATA)};
    practice::PracticeRig rig(1, true);
    const auto show = files::readShow(fs::path(ZELO_DATA) / "shows/salt-lanterns.zelo");
    ASSERT_TRUE(show);
    for (const auto& [id, f] : show->show->fixtures)
        ASSERT_TRUE(rig.add(id.value, f->number, library_for_rig.type(f->type), f->mode,
                            f->universe, f->address));
    std::mutex mutex;
    auto receiver = wire::E131Receiver::open("127.0.0.1", 0, [&](const wire::DataPacket& p) {
        const std::lock_guard lock(mutex);
        if (!(p.options & wire::kStreamTerminated))
            rig.take(p.universe, p.values);
    });
    ASSERT_TRUE(receiver);
    wire::E131Settings settings;
    settings.port = (*receiver)->port();
    Library library{fs::path(ZELO_DATA)};
    Session session(library, std::move(*wire::E131Sender::open(settings)));
    session.start(show->show, show->hand);
    show::Lineup all;
    for (const auto& [id, f] : show->show->fixtures)
        all.push_back(id);
    for (const char* colour : {"gel:214@3200", "cct:5600", "gel:109", "gel:341@5600"}) {
        session.setHand(
            colour, show::withIntensity(show::withColour(session.hand(), all, {colour}), all, 1));
        const auto wanted = session.mixes().wanted(colour);
        ASSERT_TRUE(wanted);
        const auto worst = [&] {
            const std::lock_guard lock(mutex);
            double most = 0;
            for (std::size_t i = 0; i < rig.lamps().size(); ++i) {
                const auto& xyz = rig.shown(i).xyz;
                if (!colour::hasChromaticity(xyz))
                    return 1.0;
                most = std::max(most, colour::distance(colour::toUv(xyz), wanted->uv()));
            }
            return most;
        };
        // 8 bit at full: within a thousandth; all of these are in reach of all three types.
        EXPECT_TRUE(eventually([&] { return worst() < 0.001; })) << colour << " " << worst();
    }
}

// --- what is not saved yet

std::shared_ptr<const show::Show> showNamed(const std::string& name) {
    show::Show s;
    s.name = name;
    return std::make_shared<const show::Show>(std::move(s));
}

TEST(Autosave, WorkIsKeptBesideItsFileUntilItIsSaved) {
    Folder folder;
    Library library;
    Session session(library, nullptr, std::make_unique<Autosave>(folder.path / "state", 5ms));
    ASSERT_TRUE(session.saveAs(folder.path / "a.zelo"));
    const auto unsaved = Autosave::besideOf(folder.path / "a.zelo");
    EXPECT_FALSE(fs::exists(unsaved));
    ASSERT_TRUE(session.edit("Rename", show::renameShow(session.show(), "Later")));
    ASSERT_TRUE(eventually([&] { return fs::exists(unsaved); }));
    EXPECT_EQ(files::readShow(unsaved)->show->name, "Later");
    EXPECT_NE(files::readShow(folder.path / "a.zelo")->show->name, "Later");
    ASSERT_TRUE(session.save());
    EXPECT_FALSE(fs::exists(unsaved)) << "nothing is unsaved now";
}

TEST(Autosave, WhatWasLeftBehindCanBeTakenAndUndone) {
    Folder folder;
    const auto file = folder.path / "a.zelo";
    ASSERT_TRUE(files::writeShow(file, *showNamed("Before"), {}));
    ASSERT_TRUE(files::writeShow(Autosave::besideOf(file), *showNamed("After"), {}));
    Library library;
    Session session(library, nullptr, std::make_unique<Autosave>(folder.path, 5ms));
    ASSERT_TRUE(session.open(file));
    EXPECT_EQ(session.show()->name, "Before");
    EXPECT_TRUE(fs::exists(Autosave::besideOf(file))) << "opening throws nothing away";
    ASSERT_TRUE(session.recover(Autosave::besideOf(file), file));
    EXPECT_EQ(session.show()->name, "After");
    EXPECT_FALSE(session.kept());
    ASSERT_TRUE(session.save());
    EXPECT_FALSE(fs::exists(Autosave::besideOf(file)));
    EXPECT_EQ(files::readShow(file)->show->name, "After");
    std::ofstream(Autosave::besideOf(file)) << "{";
    EXPECT_FALSE(session.recover(Autosave::besideOf(file), file));
    EXPECT_EQ(session.show()->name, "After") << "what is open stays";
}

TEST(Autosave, AShowWithoutAFileIsFoundByTheNextProgram) {
    Folder folder;
    const auto dead = folder.path / "untitled-999999999.zelo.unsaved";
    ASSERT_TRUE(files::writeShow(dead, *showNamed("Lost"), {}));
    const auto own = folder.path / fmt::format("untitled-{}.zelo.unsaved", ::getpid());
    ASSERT_TRUE(files::writeShow(own, *showNamed("Mine"), {}));
    EXPECT_EQ(Autosave::leftBehind(folder.path), std::vector{dead})
        << "own work is not left behind";
    EXPECT_TRUE(Autosave::leftBehind(folder.path / "nowhere").empty());
}

// A program that edits all the time is killed at a random moment, fifty times: the file is never
// broken, and what is lost is younger than the pause (here a hundredth of the real one) and a
// write.
TEST(Autosave, KilledAtAnyMomentItLosesNextToNothing) {
    std::mt19937 random(11);
    for (int round = 0; round < 50; ++round) {
        Folder folder;
        const auto file = folder.path / "a.zelo";
        ASSERT_TRUE(files::writeShow(file, *showNamed("0"), {}));
        int pipe[2];
        ASSERT_EQ(::pipe(pipe), 0);
        const pid_t child = ::fork();
        if (child == 0) { // edits until it is killed; tells each one
            Library library;
            Session session(library, nullptr, std::make_unique<Autosave>(folder.path, 10ms));
            if (!session.open(file))
                std::_Exit(1);
            for (int i = 1;; ++i) {
                (void)session.edit("Rename", show::renameShow(session.show(), std::to_string(i)));
                const std::int64_t told[2] = {
                    i, std::chrono::steady_clock::now().time_since_epoch().count()};
                if (::write(pipe[1], told, sizeof told) != sizeof told)
                    std::_Exit(1);
                std::this_thread::sleep_for(1ms);
            }
        }
        ::close(pipe[1]);
        std::this_thread::sleep_for(std::chrono::milliseconds(60 + random() % 60));
        ::kill(child, SIGKILL);
        int status = 0;
        ::waitpid(child, &status, 0);
        const auto killed = std::chrono::steady_clock::now();
        std::vector<std::int64_t> when{0};
        std::int64_t told[2];
        while (::read(pipe[0], told, sizeof told) == sizeof told)
            when.push_back(told[1]);
        ::close(pipe[0]);
        EXPECT_EQ(files::readShow(file)->show->name, "0") << "the file itself is untouched";
        const auto unsaved = Autosave::besideOf(file);
        if (!fs::exists(unsaved)) { // killed before the first write came due
            EXPECT_LT(when.size(), 200u);
            continue;
        }
        const auto back = files::readShow(unsaved);
        ASSERT_TRUE(back) << back.error().text();
        const auto reached = static_cast<std::size_t>(std::stoi(back->show->name));
        ASSERT_LT(reached, when.size() + 1);
        if (reached + 1 < when.size()) { // the first edit that was lost
            const std::chrono::nanoseconds age =
                killed.time_since_epoch() - std::chrono::nanoseconds(when[reached + 1]);
            EXPECT_LT(age, 1s) << "lost work is older than that";
        }
    }
}

TEST(Session, ACopyAndATemplateLeaveTheDocumentAlone) {
    Library library{fs::path(ZELO_DATA)};
    Session session(library, nullptr);
    const fs::path demo = fs::path(ZELO_DATA) / "shows/salt-lanterns.zelo";
    ASSERT_TRUE(session.open(demo));
    const fs::path copy = fs::path(::testing::TempDir()) / "zelo-copy.zelo";
    ASSERT_TRUE(session.saveCopy(copy));
    EXPECT_EQ(session.path(), demo) << "one goes on in the same show";
    EXPECT_EQ(files::readShow(copy)->show->fixtures.size(), 40u);
    ASSERT_TRUE(session.startFrom(demo, "Next one"));
    EXPECT_FALSE(session.path());
    EXPECT_EQ(session.show()->name, "Next one");
    EXPECT_EQ(session.show()->palettes.size(), 8u);
    EXPECT_FALSE(session.startFrom(copy.string() + ".none", "x"));
    EXPECT_EQ(session.show()->name, "Next one") << "what is open stays";
    fs::remove(copy);
}

TEST(Session, ChangedPalettesAndTypesReachTheStage) {
    Library library{fs::path(ZELO_DATA)};
    Session session(library, nullptr);
    ASSERT_TRUE(session.open(fs::path(ZELO_DATA) / "shows/salt-lanterns.zelo"));
    EXPECT_EQ(session.mixes().wanted("palette:embers")->asked, "gel:219@3200");
    auto palette = *session.show()->paletteNamed("embers");
    palette.colour->asked = "cct:2000";
    ASSERT_TRUE(session.edit("x", show::changePalette(session.show(), palette)));
    EXPECT_EQ(session.mixes().wanted("palette:embers")->asked, "cct:2000");
    const auto before = session.mixes().mixer("gannet-8", "");
    auto type = before->type();
    type.emitters.pop_back();
    for (auto& mode : type.modes)
        std::erase_if(mode.channels, [](const light::Channel& c) {
            return c.role == light::Role::Part && c.part == 7;
        });
    ASSERT_TRUE(session.edit(
        "x", show::keepType(session.show(), std::make_shared<light::FixtureType>(type))));
    EXPECT_EQ(session.mixes().mixer("gannet-8", "")->type().emitters.size(), 7u);
    session.undo();
    EXPECT_EQ(session.mixes().mixer("gannet-8", "")->type().emitters.size(), 8u);
}

} // namespace
} // namespace zelo::host
