// SPDX-License-Identifier: GPL-3.0-or-later
// Nothing is lost: whatever happens between two key presses, to the file, to the disk, to the
// program.
#include "base/file.h"
#include "base/process_mark.h"
#include "files/show_file.h"
#include "host/guard.h"
#include "host/session.h"
#include "host/support.h"
#include "show/kept.h"
#include "show/trims.h"

#include <gtest/gtest.h>
#include <random>
#include <sys/stat.h>
#include <sys/wait.h>

namespace zelo::host {
namespace {

show::State named(const std::string& name) {
    show::Show s;
    s.name = name;
    return {std::make_shared<const show::Show>(std::move(s)), show::emptyHand()};
}

std::string nameIn(const fs::path& file) {
    const auto read = files::readShow(file);
    return read ? read->show->name : read.error().text();
}

class GuardTest : public ::testing::Test {
protected:
    std::unique_ptr<Guard> guard() {
        return std::make_unique<Guard>(Guard::Settings{state, 5ms, 20ms}, disk);
    }
    std::unique_ptr<Session> session() {
        return std::make_unique<Session>(library, nullptr, guard());
    }
    void rename(Session& s, const std::string& name) {
        ASSERT_TRUE(s.edit("Rename", show::renameShow(s.show(), name)));
    }
    // As if its program had been killed: the marks in its files are of a process that has ended.
    void kill(std::unique_ptr<Session> s) {
        s->flush();
        const auto ended = ownMark().substr(0, ownMark().rfind('-')) + "-0";
        std::vector<std::pair<fs::path, fs::path>> moves;
        for (const auto& where : {state / "unsaved", folder.path})
            for (const auto& e : fs::directory_iterator(where)) {
                std::string name = e.path().filename().string();
                if (const auto at = name.find(ownMark()); at != std::string::npos)
                    moves.emplace_back(e.path(), where / name.replace(at, ownMark().size(), ended));
            }
        for (const auto& [from, to] : moves)
            fs::copy_file(from, to);
        s->letGo();
    }
    std::size_t count(const fs::path& where, const std::string& part) {
        std::size_t n = 0;
        for (const auto& e : fs::directory_iterator(where))
            n += e.path().filename().string().find(part) != std::string::npos;
        return n;
    }

    Folder folder;
    fs::path state = folder.path / "state";
    fs::path file = folder.path / "a.zelo";
    std::shared_ptr<BadDisk> disk = std::make_shared<BadDisk>();
    Library library;
};

TEST_F(GuardTest, UnsavedWorkIsKeptUntilItIsSaved) {
    auto s = session();
    ASSERT_TRUE(s->saveAs(file));
    rename(*s, "Later");
    s->flush();
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 1u);
    EXPECT_NE(nameIn(file), "Later");
    EXPECT_TRUE(s->guard().leftWork().empty()) << "own work is not left behind";
    ASSERT_TRUE(s->save());
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 0u);
    // Undone after a save it is not what is on disk: unsaved again.
    s->undo();
    EXPECT_FALSE(s->kept());
    s->flush();
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 1u);
    s->redo();
    EXPECT_TRUE(s->kept());
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 0u);
}

TEST_F(GuardTest, ARemovedLampTakesItsValuesInHandAlong) {
    auto s = session();
    show::Fixture lamp;
    lamp.type = "tern-6";
    ASSERT_TRUE(s->edit("Add", show::addFixtures(s->show(), {lamp, lamp})));
    s->setLineup({{1}, {2}});
    s->setHand("Dim", show::withIntensity(s->hand(), {{1}, {2}}, 0.5));
    ASSERT_TRUE(s->edit("Remove", show::removeFixtures(s->state(), {{1}})));
    EXPECT_FALSE(s->hand()->contains({1}));
    EXPECT_EQ(s->lineup(), show::Lineup{{2}});
    ASSERT_TRUE(s->saveAs(file));
    rename(*s, "x");
    kill(std::move(s));
    auto next = session();
    ASSERT_TRUE(next->open(file)) << "today: no fixture with id 1";
    ASSERT_EQ(next->guard().leftWork().size(), 1u);
    ASSERT_TRUE(next->recover(next->guard().leftWork()[0]));
    EXPECT_EQ(next->hand()->size(), 1u);
    next->undo();
    next->redo();
    EXPECT_EQ(next->show()->name, "x");
}

TEST_F(GuardTest, AGradientAndTrimsInHandComeBack) {
    auto s = session();
    show::Fixture lamp;
    lamp.type = "tern-6";
    ASSERT_TRUE(s->edit("Add", show::addFixtures(s->show(), {lamp, lamp, lamp})));
    const show::Lineup all{{1}, {2}, {3}};
    s->setHand("On", show::withIntensity(s->hand(), all, 0.8));
    ASSERT_TRUE(s->keepHand());
    show::Gradient g;
    for (const char* gel : {"gel:104", "gel:338"})
        g.stops.push_back({*light::parseAsked(gel), {}, {}, {}});
    g.ways.resize(1);
    s->setHand("Gradient", *show::withGradient(s->hand(), all, g));
    s->setHand("Trim", show::brighterBy(s->state(), {{2}}, 0.5));
    s->setHand("Nudge", show::nudgedBy(s->state(), {{3}}, [](show::FixtureId) {
                   return colour::Uv{0.01, 0};
               }));
    const auto hand = s->hand();
    kill(std::move(s));
    auto next = session();
    ASSERT_EQ(next->guard().leftWork().size(), 1u);
    ASSERT_TRUE(next->recover(next->guard().leftWork()[0]));
    ASSERT_EQ(next->hand()->size(), 3u);
    EXPECT_EQ(next->hand()->find({2})->trim, 0.5);
    EXPECT_EQ(next->hand()->find({3})->nudge, (colour::Uv{0.01, 0}));
    for (const auto& [id, value] : *hand) {
        const auto* laying = next->hand()->find(id)->colour->laying();
        ASSERT_TRUE(laying) << id.value;
        EXPECT_EQ((*laying)->lamps, all);
        EXPECT_EQ(*(*laying)->own, *(*value->colour->laying())->own);
    }
}

TEST_F(GuardTest, TextThatIsNoUtf8IsSavedAndKeptAllTheSame) {
    auto s = session();
    show::Fixture lamp;
    lamp.type = "tern-6";
    lamp.label = "caf\xc3";      // cut inside a character, as a device sends it
    lamp.note = "gr\xfcn, lang"; // Latin-1
    ASSERT_TRUE(s->edit("Add", show::addFixture(s->show(), lamp)));
    s->flush();
    EXPECT_EQ(s->guard().trouble(), "");
    ASSERT_TRUE(s->saveAs(file));
    auto next = session();
    ASSERT_TRUE(next->openCopy(file));
    EXPECT_EQ(next->show()->fixture({1})->label, "caf");
    EXPECT_EQ(next->show()->fixture({1})->note, "grün, lang");
}

TEST_F(GuardTest, WorkThatIsDecidedOnLaterKeepsADatedNameAndComesBackWithItsLineup) {
    auto s = session();
    show::Fixture lamp;
    lamp.type = "tern-6";
    ASSERT_TRUE(s->edit("Add", show::addFixtures(s->show(), {lamp, lamp, lamp})));
    s->setLineup({{3}, {1}});
    rename(*s, "Untitled work");
    kill(std::move(s));
    for (int start = 0; start < 3; ++start) { // each offers it, and is told "later"
        auto next = session();
        const auto left = next->guard().leftWork();
        ASSERT_EQ(left.size(), 1u) << start;
        EXPECT_EQ(left[0].name, "Untitled work");
        EXPECT_FALSE(left[0].of);
        EXPECT_EQ(left[0].path.filename().string().substr(0, 2), "20") << "dated";
        rename(*next, "other work " + std::to_string(start));
        next->flush();
        EXPECT_EQ(next->guard().leftWork().size(), 1u) << "a new document leaves it alone";
        next->letGo();
    }
    auto last = session();
    ASSERT_TRUE(last->recover(last->guard().leftWork()[0]));
    EXPECT_EQ(last->show()->name, "Untitled work");
    EXPECT_EQ(last->lineup(), (show::Lineup{{3}, {1}}));
    EXPECT_FALSE(last->kept());
    last->flush();
    EXPECT_TRUE(last->guard().leftWork().empty()) << "it is this program's now";
    last->guard().throwAway({});
}

TEST_F(GuardTest, RecoveredAndUndoneToTheBottomNothingIsWrittenOverTheGoodFile) {
    auto s = session();
    rename(*s, "Good");
    ASSERT_TRUE(s->saveAs(file));
    rename(*s, "Unsaved");
    kill(std::move(s));
    auto next = session();
    ASSERT_TRUE(next->open(file));
    const auto left = next->guard().leftWork();
    ASSERT_EQ(left.size(), 1u);
    EXPECT_EQ(left[0].of, file);
    EXPECT_FALSE(left[0].older);
    ASSERT_TRUE(next->recover(left[0]));
    next->flush();
    next->undo();
    EXPECT_FALSE(next->history().canUndo());
    EXPECT_EQ(next->show()->name, "Good") << "the first moment is the file on disk";
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 1u) << "the work is still there";
    next.reset();
    auto again = session();
    EXPECT_EQ(again->guard().leftWork().size() + count(state / "unsaved", ownMark()), 1u)
        << "it goes only when it is saved";
    ASSERT_TRUE(again->open(file));
    ASSERT_TRUE(again->save());
    EXPECT_EQ(nameIn(file), "Good");
}

// Killed after every single step of taking work back: it is never gone.
TEST_F(GuardTest, RecoveredWorkIsWrittenAnewBeforeTheOldIsRemoved) {
    for (int steps = 0; steps < 12; ++steps) {
        Folder own;
        const Guard::Settings settings{own.path / "state", 5ms, 20ms};
        fs::create_directories(settings.state_folder);
        const auto old = settings.state_folder / "untitled-1.zelo.unsaved"; // as version 2 kept it
        ASSERT_TRUE(files::writeShow(old, *named("Lost").show, {}));
        auto dying = std::make_shared<BadDisk>();
        {
            Session s(library, nullptr, std::make_unique<Guard>(settings, dying));
            const auto left = s.guard().leftWork();
            ASSERT_EQ(left.size(), 1u) << steps;
            dying->steps_left = steps;
            ASSERT_TRUE(s.recover(left[0]));
            s.flush();
            rename(s, "Lost and more");
            s.flush();
            dying->steps_left = 0;
        }
        bool found = fs::exists(old);
        for (const auto& e : fs::directory_iterator(settings.state_folder / "unsaved"))
            found = found || (e.path().extension() == ".unsaved" &&
                              readFile(e.path())->find("Lost") != std::string::npos);
        EXPECT_TRUE(found) << "killed after step " << steps;
    }
}

TEST_F(GuardTest, TwoProgramsOnOneShowAreToldAndMayHaveACopy) {
    auto first = session();
    rename(*first, "Shared");
    ASSERT_TRUE(first->saveAs(file));
    rename(*first, "First one's work");
    first->flush();
    auto second = session();
    const auto refused = second->open(file);
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, ErrorCode::Busy);
    EXPECT_NE(refused.error().text().find(fmt::format("process {}", ::getpid())), std::string::npos)
        << refused.error().text();
    EXPECT_TRUE(second->guard().leftWork().empty()) << "that work is not left behind";
    ASSERT_TRUE(second->openCopy(file));
    EXPECT_EQ(second->show()->name, "Shared, copy");
    EXPECT_FALSE(second->path());
    EXPECT_EQ(second->saveAs(file).error().code, ErrorCode::Busy);
    first.reset();
    EXPECT_TRUE(second->open(file)) << "the lock goes with its program";
    EXPECT_TRUE(second->open(file)) << "and is no obstacle to oneself";
}

TEST_F(GuardTest, AFileChangedBehindItsBackIsNeverOverwrittenUnasked) {
    auto s = session();
    ASSERT_TRUE(s->saveAs(file));
    ASSERT_TRUE(files::writeShow(file, *named("Theirs").show, {}));
    rename(*s, "Mine");
    const auto refused = s->save();
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, ErrorCode::Changed);
    EXPECT_EQ(nameIn(file), "Theirs");
    ASSERT_TRUE(s->save(true));
    EXPECT_EQ(nameIn(file), "Mine");
    std::string aside;
    for (const auto& e : fs::directory_iterator(folder.path))
        if (e.path().filename().string().find("as found") != std::string::npos)
            aside = nameIn(e.path());
    EXPECT_EQ(aside, "Theirs") << "both versions survive";
    // A full disk in the middle of that leaves all as it is, and the mode stays too.
    ASSERT_TRUE(files::writeShow(file, *named("Theirs again").show, {}));
    fs::permissions(file, fs::perms::owner_read | fs::perms::owner_write);
    rename(*s, "Mine too");
    disk->full = [&](const fs::path& to) { return to == file; };
    EXPECT_FALSE(s->save(true));
    EXPECT_EQ(nameIn(file), "Theirs again");
    EXPECT_EQ(count(folder.path, "as found"), 1u);
    disk->full = [](const fs::path&) { return false; };
    ASSERT_TRUE(s->save(true));
    EXPECT_EQ(nameIn(file), "Mine too");
    EXPECT_EQ(count(folder.path, "as found"), 2u);
    EXPECT_EQ(fs::status(file).permissions(), fs::perms::owner_read | fs::perms::owner_write);
    // Touched without a change it is the same file.
    ASSERT_TRUE(writeFile(file, *readFile(file)));
    rename(*s, "Mine again");
    EXPECT_TRUE(s->save());
    // Taken away it is written again.
    fs::remove(file);
    rename(*s, "Back");
    EXPECT_TRUE(s->save());
    EXPECT_EQ(nameIn(file), "Back");
}

TEST_F(GuardTest, AFullDiskIsToldUntilItIsRightAndTheWorkGoesElsewhere) {
    auto s = session();
    ASSERT_TRUE(s->saveAs(file));
    std::atomic<int> told{0};
    s->guard().on_trouble = [&] { ++told; };
    disk->full = [&](const fs::path& to) {
        return to.string().find("/state/") != std::string::npos;
    };
    rename(*s, "Beside");
    s->flush();
    EXPECT_EQ(s->guard().trouble(), "") << "it is kept beside the show then";
    EXPECT_EQ(count(folder.path, ".unsaved"), 1u);
    disk->full = [](const fs::path&) { return true; };
    rename(*s, "Nowhere");
    ASSERT_TRUE(eventually([&] { return !s->guard().trouble().empty(); }));
    EXPECT_NE(s->guard().trouble().english().find("No space left"), std::string::npos);
    const auto failed = s->save();
    ASSERT_FALSE(failed);
    EXPECT_NE(failed.error().text().find("a.zelo"), std::string::npos);
    EXPECT_NE(nameIn(file), "Nowhere");
    disk->full = [](const fs::path&) { return false; };
    ASSERT_TRUE(eventually([&] { return s->guard().trouble().empty(); })) << "it is tried again";
    EXPECT_EQ(told, 2);
    EXPECT_EQ(count(folder.path, ".unsaved"), 0u) << "the older one beside the show is gone";
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 1u);
    ASSERT_TRUE(s->save());
    EXPECT_EQ(nameIn(file), "Nowhere");
}

TEST_F(GuardTest, WhatTheDiskDoesNotGiveBackDoesNotReplaceTheFile) {
    auto s = session();
    rename(*s, "Good");
    ASSERT_TRUE(s->saveAs(file));
    disk->forgetful = true;
    rename(*s, "Bad");
    const auto failed = s->save();
    ASSERT_FALSE(failed);
    EXPECT_NE(failed.error().text().find("does not give back"), std::string::npos);
    EXPECT_EQ(nameIn(file), "Good");
    EXPECT_EQ(count(folder.path, ".part"), 0u);
}

TEST_F(GuardTest, LinksModesAndNamesStayAsTheyAre) {
    auto s = session();
    const auto real = folder.path / "real.zelo";
    ASSERT_TRUE(s->saveAs(real));
    ASSERT_EQ(::chmod(real.c_str(), 0600), 0);
    fs::create_symlink("real.zelo", file);
    auto linked = session();
    ASSERT_FALSE(linked->open(file)) << "it is the same show";
    s.reset();
    ASSERT_TRUE(linked->open(file));
    rename(*linked, "Through the link");
    ASSERT_TRUE(linked->save());
    EXPECT_TRUE(fs::is_symlink(file));
    EXPECT_EQ(nameIn(real), "Through the link");
    struct stat now {};
    ASSERT_EQ(::stat(real.c_str(), &now), 0);
    EXPECT_EQ(now.st_mode & 07777, 0600u);
    const auto longest = folder.path / (std::string(250, 'x') + ".zelo");
    EXPECT_TRUE(linked->saveAs(longest)) << "255 bytes, as long as a name may be";
    EXPECT_EQ(nameIn(longest), "Through the link");
    const auto too_long = linked->saveAs(folder.path / (std::string(252, 'x') + ".zelo"));
    ASSERT_FALSE(too_long);
    EXPECT_NE(too_long.error().text().find("too long"), std::string::npos);
    const auto gone = linked->saveAs(folder.path / "gone/b.zelo");
    ASSERT_FALSE(gone);
    EXPECT_NE(gone.error().text().find("folder is not there"), std::string::npos);
    ASSERT_EQ(::chmod(longest.c_str(), 0444), 0);
    rename(*linked, "Protected");
    const auto read_only = linked->save();
    ASSERT_FALSE(read_only);
    EXPECT_NE(read_only.error().text().find("read-only"), std::string::npos);
}

TEST_F(GuardTest, PartsOfKilledProgramsAreCleanedUpAndOthersLeftAlone) {
    ASSERT_TRUE(files::writeShow(file, *named("a").show, {}));
    const auto ended = ownMark().substr(0, ownMark().rfind('-')) + "-0";
    std::ofstream(folder.path / ("." + ended + "-3.part")) << "half";
    std::ofstream(folder.path / ("." + ownMark() + "-9.part")) << "being written";
    std::ofstream(folder.path / ".movie-1.part") << "somebody else's";
    auto s = session();
    ASSERT_TRUE(s->open(file));
    EXPECT_EQ(count(folder.path, ".part"), 2u);
    EXPECT_EQ(count(folder.path, ended), 0u);
}

TEST_F(GuardTest, WorkOfVersionTwoIsFoundWhoeverHasItsProcessNumberNow) {
    fs::create_directories(state);
    ASSERT_TRUE(files::writeShow(file, *named("Before").show, {}));
    ASSERT_TRUE(files::writeShow(file.string() + ".unsaved", *named("After").show, {}));
    ASSERT_TRUE(files::writeShow(state / fmt::format("untitled-{}.zelo.unsaved", ::getpid()),
                                 *named("Untitled").show, {}));
    auto s = session();
    ASSERT_TRUE(s->open(file));
    const auto left = s->guard().leftWork();
    ASSERT_EQ(left.size(), 2u);
    const auto& beside = left[0].of ? left[0] : left[1];
    ASSERT_TRUE(beside.of);
    EXPECT_EQ(*beside.of, file);
    ASSERT_TRUE(s->recover(beside));
    EXPECT_EQ(s->show()->name, "After");
    ASSERT_TRUE(s->save());
    EXPECT_EQ(nameIn(file), "After");
    EXPECT_FALSE(fs::exists(file.string() + ".unsaved"));
    std::ofstream(state / "unsaved" / "broken.unsaved") << "{";
    for (const auto& broken : s->guard().leftWork())
        if (broken.path.filename() == "broken.unsaved")
            EXPECT_FALSE(s->recover(broken));
    EXPECT_EQ(s->show()->name, "After") << "what is open stays";
}

TEST_F(GuardTest, AnotherDocumentLeavesUnsavedWorkBehindUnlessItIsLetGo) {
    auto s = session();
    rename(*s, "Half done");
    ASSERT_TRUE(files::writeShow(file, *named("Other").show, {}));
    ASSERT_TRUE(s->open(file));
    const auto left = s->guard().leftWork();
    ASSERT_EQ(left.size(), 1u);
    EXPECT_EQ(left[0].name, "Half done");
    s->guard().throwAway(left[0]);
    // Let go for something that cannot be opened, it is still what is open: kept again.
    rename(*s, "Still here");
    s->letGo();
    EXPECT_FALSE(s->open(folder.path / "gone.zelo"));
    s->flush();
    EXPECT_EQ(count(state / "unsaved", ".unsaved"), 1u);
    rename(*s, "Not wanted");
    s->letGo();
    s.reset();
    EXPECT_TRUE(guard()->leftWork().empty());
}

// A program that edits all the time is killed at a random moment, fifty times, with a quick disk
// and with one where each write takes a third of a second.
class KilledAtAnyMoment : public GuardTest, public ::testing::WithParamInterface<int> {};

TEST_P(KilledAtAnyMoment, ItLosesNothingOlderThanASecond) {
    std::mt19937 random(11);
    const bool slow = GetParam() > 0;
    const int rounds = slow ? 8 : 50;
    std::chrono::nanoseconds oldest{0};
    int kept = 0;
    for (int round = 0; round < rounds; ++round) {
        Folder own;
        const auto shown = own.path / "a.zelo";
        ASSERT_TRUE(files::writeShow(shown, *named("0").show, {}));
        int pipe[2];
        ASSERT_EQ(::pipe(pipe), 0);
        const pid_t child = ::fork();
        if (child == 0) { // edits until it is killed; tells each one
            auto child_disk = std::make_shared<BadDisk>();
            child_disk->slow = std::chrono::milliseconds(GetParam());
            Guard::Settings settings;
            settings.state_folder = own.path / "state";
            Session s(library, nullptr, std::make_unique<Guard>(settings, child_disk));
            if (!s.open(shown))
                std::_Exit(1);
            for (int i = 1;; ++i) {
                (void)s.edit("Rename", show::renameShow(s.show(), std::to_string(i)));
                const std::int64_t told[2] = {
                    i, std::chrono::steady_clock::now().time_since_epoch().count()};
                if (::write(pipe[1], told, sizeof told) != sizeof told)
                    std::_Exit(1);
                std::this_thread::sleep_for(1ms);
            }
        }
        ::close(pipe[1]);
        std::atomic<bool> begun{false};
        std::vector<std::int64_t> when{0};
        std::thread reader([&] {
            std::int64_t told[2];
            while (::read(pipe[0], told, sizeof told) == sizeof told) {
                when.push_back(told[1]);
                begun = true;
            }
        });
        for (int i = 0; i < 3000 && !begun; ++i) // a busy machine may take its time to start
            std::this_thread::sleep_for(10ms);
        EXPECT_TRUE(begun);
        std::this_thread::sleep_for(
            std::chrono::milliseconds((slow ? 1200 : 200) + random() % 200));
        ::kill(child, SIGKILL);
        const auto killed = std::chrono::steady_clock::now().time_since_epoch();
        int status = 0;
        ::waitpid(child, &status, 0);
        reader.join();
        ::close(pipe[0]);
        EXPECT_EQ(nameIn(shown), "0") << "the file itself is untouched";
        Guard next({own.path / "state"});
        const auto left = next.leftWork();
        ASSERT_LE(left.size(), 1u) << round;
        std::size_t reached = 0; // on a machine that stalls, killed before the first was kept
        if (!left.empty()) {
            const auto back = next.recover(left[0]);
            ASSERT_TRUE(back) << back.error().text();
            reached = static_cast<std::size_t>(std::stoi(back->work.state.show->name));
        }
        kept += reached > 0;
        ASSERT_LE(reached, when.size());
        if (reached + 1 < when.size()) // the first edit that was lost
            oldest = std::max(oldest, killed - std::chrono::nanoseconds(when[reached + 1]));
        next.letGo();
    }
    EXPECT_GE(kept, rounds / 2) << "most are killed later than the first is kept";
    RecordProperty("oldest_lost_ms", static_cast<int>(oldest / 1ms));
    std::printf("oldest lost edit: %d ms\n", static_cast<int>(oldest / 1ms));
    EXPECT_LT(oldest, 1s);
}

INSTANTIATE_TEST_SUITE_P(Disks, KilledAtAnyMoment, ::testing::Values(0, 330));

} // namespace
} // namespace zelo::host
