// SPDX-License-Identifier: GPL-3.0-or-later
// Shows and files as people meet them: what is asked, what is told, and that nothing is lost by a
// wrong answer.
#include "desk/kit/watch.h"
#include "desk/shell/message_line.h"
#include "support/places.h"
#include "window_test.h"

#include <QDir>
#include <QFileDialog>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QTemporaryDir>
#include <QTimer>
#include <atomic>
#include <fstream>
#include <thread>

namespace zelo::desk {
namespace {

// A disk that waits, when it is told to, until it may go on.
class WaitingDisk : public host::Disk {
public:
    Result<std::string> read(const std::filesystem::path& path, std::size_t most) override {
        if (path.extension() == ".zelo")
            wait(reads);
        return Disk::read(path, most);
    }
    Result<std::filesystem::path> writePart(const std::filesystem::path& target,
                                            std::string_view bytes) override {
        if (target.extension() == ".zelo")
            wait(writes);
        if (full)
            return fail(ErrorCode::Io, "{}: No space left on device", target.string());
        return Disk::writePart(target, bytes);
    }
    std::atomic<bool> reads = false, writes = false; // wait
    std::atomic<bool> full = false;

private:
    static void wait(const std::atomic<bool>& while_set) {
        while (while_set)
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
    }
};

class ShowFilesTest : public WindowTest {
protected:
    ShowFilesTest()
        : WindowTest([](host::Library& library) { return guarded(library, folder().path()); }) {}
    ~ShowFilesTest() override {
        disk().reads = disk().writes = disk().full = false;
        document.letGo();
    }

    static WaitingDisk& disk() { return *diskPtr(); }
    static std::shared_ptr<WaitingDisk> diskPtr() {
        static const auto one = std::make_shared<WaitingDisk>();
        return one;
    }
    static std::unique_ptr<host::Session> guarded(host::Library& library, const QString& path) {
        host::Guard::Settings settings;
        settings.state_folder = fromQt(path + "/state");
        settings.pause = std::chrono::milliseconds(5);
        settings.again = std::chrono::milliseconds(20);
        return std::make_unique<host::Session>(library, nullptr,
                                               std::make_unique<host::Guard>(settings, diskPtr()));
    }
    std::filesystem::path file(const char* name) {
        return std::filesystem::path(fromQt(folder().path())) / name;
    }
    void rename(const std::string& name) {
        ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, name)));
        settle();
    }
    QMessageBox* box() {
        settle();
        QMessageBox* open = nullptr;
        for (auto* b : window.findChildren<QMessageBox*>())
            if (b->isVisible())
                open = b;
        return open;
    }
    void answer(const QString& word) {
        auto* asked = box();
        ASSERT_TRUE(asked) << "nothing is asked";
        for (auto* b : asked->buttons())
            if (b->text() == word) {
                QTest::mouseClick(b, Qt::LeftButton);
                settle();
                QApplication::setActiveWindow(&window); // a bare X server has nobody else to do it
                return settle();
            }
        ADD_FAILURE() << "no answer " << word.toStdString();
    }
    std::string nameIn(const std::filesystem::path& path) {
        const auto read = files::readShow(path);
        return read ? read->show->name : read.error().text();
    }

    // Of the test that runs: it is there before the window is, and stays a moment longer.
    static QTemporaryDir& folder() {
        static std::unique_ptr<QTemporaryDir> one;
        static std::string of;
        const auto now =
            std::string(::testing::UnitTest::GetInstance()->current_test_info()->name());
        if (of != now) {
            of = now;
            one = std::make_unique<QTemporaryDir>();
        }
        return *one;
    }
};

TEST_F(ShowFilesTest, AShowOfAnotherProgramIsToldWithACopyOnOffer) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    QTemporaryDir second_state;
    auto second = guarded(library, second_state.path());
    EXPECT_EQ(second->open(file("a.zelo")).error().code, ErrorCode::Busy);
    document.start(document.state().show, show::emptyHand()); // lets go of the lock
    ASSERT_TRUE(second->open(file("a.zelo")));
    EXPECT_FALSE(window.files().open(toQt(file("a.zelo").string())));
    ASSERT_TRUE(box());
    EXPECT_TRUE(box()->text().contains("open in another program"));
    answer("Leave it");
    EXPECT_EQ(document.show().name, "The Salt Lanterns");
    EXPECT_FALSE(window.files().open(toQt(file("a.zelo").string())));
    answer("Open a copy");
    EXPECT_EQ(document.show().name, "The Salt Lanterns, copy");
    EXPECT_FALSE(document.path());
}

TEST_F(ShowFilesTest, AFileThatChangedMeanwhileIsAskedAboutByCtrlS) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    auto theirs = document.show();
    theirs.name = "Theirs";
    ASSERT_TRUE(files::writeShow(file("a.zelo"), theirs, {}));
    rename("Mine");
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    answer("Not now");
    EXPECT_EQ(nameIn(file("a.zelo")), "Theirs");
    EXPECT_FALSE(document.kept());
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    answer("Save, both stay");
    EXPECT_EQ(nameIn(file("a.zelo")), "Mine");
    EXPECT_TRUE(document.kept());
    const auto both = QDir(folder().path()).entryList({"*as found*.zelo"});
    ASSERT_EQ(both.size(), 1);
    EXPECT_EQ(nameIn(file(both[0].toUtf8().constData())), "Theirs");
}

TEST_F(ShowFilesTest, WorkLeftBehindIsListedUntilItIsDecidedOn) {
    std::filesystem::create_directories(file("state"));
    auto lost = document.show();
    lost.name = "Lost";
    ASSERT_TRUE(files::writeShow(file("state") / "untitled-1.zelo.unsaved", lost, {}));
    window.files().offerNewest();
    ASSERT_TRUE(box());
    EXPECT_TRUE(box()->text().contains(QDate::currentDate().toString("yyyy"))) << "with the year";
    answer("Decide later");
    window.files().openLeftWork(QPoint(10, 10));
    settle();
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    ASSERT_EQ(menu->actions().size(), 1);
    menu->actions()[0]->trigger();
    menu->close();
    rename("In the way");
    answer("Take it back");
    answer("Stay here");
    EXPECT_EQ(document.show().name, "In the way") << "what is open is not lost for it";
    window.files().offerNewest();
    answer("Take it back");
    answer("Lose them");
    EXPECT_EQ(document.show().name, "Lost");
    document.flush();
    EXPECT_TRUE(document.leftWork().empty());
}

TEST_F(ShowFilesTest, WhoChoosesNoOtherShowAfterAllHasLostNothing) {
    rename("Worked in");
    int shown = 0;
    QTimer waits;
    QObject::connect(&waits, &QTimer::timeout, &waits, [&] {
        for (QWidget* w : QApplication::topLevelWidgets())
            if (auto* d = qobject_cast<QFileDialog*>(w); d && d->isVisible()) {
                ++shown;
                QTest::keyClick(d, Qt::Key_Escape);
            }
    });
    waits.start(5);
    QTest::keyClick(&window, Qt::Key_O, Qt::ControlModifier);
    waits.stop();
    EXPECT_EQ(shown, 1);
    EXPECT_FALSE(box()) << "nothing to decide";
    document.flush();
    EXPECT_EQ(document.show().name, "Worked in");
    EXPECT_EQ(QDir(folder().path() + "/state/unsaved").entryList({"*.unsaved"}).size(), 1);
}

TEST_F(ShowFilesTest, ClosingAsksForWorkInTheDemoToo) {
    EXPECT_TRUE(document.nothingToLose()) << "nobody touched it";
    rename("Worked in");
    EXPECT_FALSE(window.close());
    answer("Stay here");
    EXPECT_TRUE(window.isVisible());
    document.undo();
    EXPECT_TRUE(document.nothingToLose()) << "all taken back";
    document.redo();
    EXPECT_FALSE(window.close());
    answer("Lose them");
    EXPECT_FALSE(window.isVisible());
    EXPECT_TRUE(document.leftWork().empty()) << "deliberately let go";
}

TEST_F(ShowFilesTest, ClosingSavesFirstWhenThatIsTheAnswer) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    rename("Worked in");
    EXPECT_FALSE(window.close());
    answer("Save them");
    EXPECT_TRUE(comes([&] { return !window.isVisible(); }));
    EXPECT_EQ(nameIn(file("a.zelo")), "Worked in");
}

// Nobody waits for the disk: the window goes on, and what is done meanwhile is not saved.
TEST_F(ShowFilesTest, SavingHoldsNobodyUp) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    rename("First");
    auto* line = window.findChild<MessageLine*>();
    disk().writes = true;
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    EXPECT_TRUE(comes([&] { return line->texts().join(' ').contains("Saving: "); })) << "told";
    ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, "Second")));
    EXPECT_FALSE(document.kept());
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, "Third")));
    disk().writes = false;
    ASSERT_TRUE(comes([&] { return !document.saving(); }));
    EXPECT_FALSE(box()) << "its own saving is no change by another program";
    EXPECT_EQ(nameIn(file("a.zelo")), "Third") << "what is there when the last one begins";
    EXPECT_TRUE(document.kept());
    EXPECT_FALSE(line->texts().join(' ').contains("Saving"));
}

TEST_F(ShowFilesTest, WhatIsDoneWhileItIsSavedIsKept) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    rename("First");
    disk().writes = true;
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, "Second")));
    disk().writes = false;
    ASSERT_TRUE(comes([&] { return !document.saving(); }));
    EXPECT_EQ(nameIn(file("a.zelo")), "First");
    EXPECT_FALSE(document.kept());
    document.flush();
    EXPECT_EQ(QDir(folder().path() + "/state/unsaved").entryList({"*.unsaved"}).size(), 1);
    EXPECT_FALSE(window.close()) << "and is asked about";
    answer("Stay here");
}

TEST_F(ShowFilesTest, ASaveThatIsStoppedLeavesTheFileAsItWas) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    rename("Mine");
    auto* line = window.findChild<MessageLine*>();
    disk().writes = true;
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(comes([&] { return line->texts().join(' ').contains("Saving: "); }));
    QTest::mouseClick(line, Qt::LeftButton, {}, {50, 5});
    disk().writes = false;
    ASSERT_TRUE(comes([&] { return !document.saving(); }));
    EXPECT_EQ(nameIn(file("a.zelo")), "The Salt Lanterns");
    EXPECT_FALSE(document.kept());
    EXPECT_TRUE(line->texts().join(' ').contains("it was stopped"));
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(comes([&] { return document.kept(); }));
    EXPECT_EQ(nameIn(file("a.zelo")), "Mine");
}

TEST_F(ShowFilesTest, AFullDiskIsToldAndTheFileAndTheWorkStay) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    rename("Mine");
    disk().full = true;
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(comes([&] { return !document.saving(); }));
    EXPECT_TRUE(window.findChild<MessageLine*>()->texts().join(' ').contains("No space left"));
    EXPECT_EQ(nameIn(file("a.zelo")), "The Salt Lanterns");
    EXPECT_FALSE(document.kept());
    EXPECT_FALSE(window.close());
    answer("Save them"); // which fails: the window stays
    ASSERT_TRUE(comes([&] { return !document.saving(); }));
    EXPECT_TRUE(window.isVisible());
    disk().full = false;
    QTest::keyClick(&window, Qt::Key_S, Qt::ControlModifier);
    EXPECT_TRUE(comes([&] { return document.kept(); }));
    EXPECT_EQ(nameIn(file("a.zelo")), "Mine");
}

TEST_F(ShowFilesTest, AnOpeningHoldsNobodyUpAndTheOneAskedForLastComes) {
    for (const char* name : {"a", "b"}) {
        auto other = document.show();
        other.name = name;
        ASSERT_TRUE(files::writeShow(file((std::string(name) + ".zelo").c_str()), other, {}));
    }
    disk().reads = true;
    window.files().openLater(toQt(file("a.zelo").string()));
    window.files().openLater(toQt(file("b.zelo").string()));
    EXPECT_EQ(document.show().name, "The Salt Lanterns");
    ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, "Meanwhile")));
    disk().reads = false;
    ASSERT_TRUE(comes([&] { return document.show().name == "b"; }));
    settle();
    EXPECT_EQ(document.show().name, "b") << "and it stays";
    EXPECT_EQ(document.path(), file("b.zelo"));
    EXPECT_TRUE(window.findChild<MessageLine*>()->texts().join(' ').contains("“Meanwhile”"));
    const auto left = document.leftWork();
    ASSERT_EQ(left.size(), 1u) << "nothing is lost";
    EXPECT_EQ(left[0].name, "Meanwhile");
    window.files().openLater(toQt(file("none.zelo").string()));
    settle();
    EXPECT_TRUE(window.findChild<MessageLine*>()->texts().join(' ').contains("no such file"));
    EXPECT_EQ(document.show().name, "b");
}

TEST_F(ShowFilesTest, TheLastShowIsWhateverWasOpenedOrSavedLast) {
    ASSERT_TRUE(document.saveAs(file("a.zelo")));
    ASSERT_TRUE(files::writeShow(file("b.zelo"), document.show(), {}));
    ASSERT_TRUE(window.files().open(toQt(file("b.zelo").string())));
    EXPECT_EQ(ShowFiles::lastShow(), toQt(file("b.zelo").string()));
    ASSERT_TRUE(window.files().open(toQt(file("a.zelo").string())));
    EXPECT_EQ(ShowFiles::lastShow(), toQt(file("a.zelo").string()));
}

TEST_F(ShowFilesTest, TroubleStandsUntilItIsOver) {
    auto* line = window.findChild<MessageLine*>();
    ASSERT_TRUE(line);
    std::filesystem::remove_all(file("state") / "unsaved"); // the folder is gone
    std::ofstream(file("state") / "unsaved") << "a file stands in its place";
    rename("Not kept");
    ASSERT_TRUE(comes([&] { return line->isVisible(); }));
    EXPECT_TRUE(line->texts().join(' ').contains("Unsaved work cannot be written"));
    document.tell("something else");
    EXPECT_EQ(line->texts().last(), "something else");
    for (const int y : {line->height() - 5, 5})
        QTest::mouseClick(line, Qt::LeftButton, {}, {50, y});
    ASSERT_EQ(line->texts().size(), 1);
    EXPECT_TRUE(line->texts()[0].contains("Unsaved work cannot be written"))
        << "a click does not mend it";
    std::filesystem::remove(file("state") / "unsaved");
    std::filesystem::create_directories(file("state") / "unsaved");
    EXPECT_TRUE(comes([&] { return !line->isVisible(); }));
}

TEST_F(ShowFilesTest, OrphansInAFileAreToldAndItOpens) {
    std::ofstream(file("a.zelo")) << R"({"format": "zelochrome-show", "version": 2, "name": "S",
               "fixtures": [{"id": 1, "type": "tern-6"}], "hand": [{"fixture": 7, "intensity": 1}]})";
    ASSERT_TRUE(window.files().open(toQt(file("a.zelo").string())));
    auto* line = window.findChild<MessageLine*>();
    EXPECT_TRUE(line->texts().join(' ').contains("no fixture with id 7"));
}

TEST_F(ShowFilesTest, AReportHoldsTheShowOnlyIfWished) {
    for (const bool with : {false, true}) {
        window.writeReport(toQt(file("r.zip").string()), with);
        settle();
        QFile zip(toQt(file("r.zip").string()));
        ASSERT_TRUE(zip.open(QIODevice::ReadOnly));
        const auto bytes = zip.readAll();
        EXPECT_TRUE(bytes.contains("report.txt"));
        EXPECT_EQ(bytes.contains("show.zelo"), with);
    }
}

// A view that nobody sees waits; it looks when it is shown.
TEST_F(ShowFilesTest, AViewComputesOnlyWhileItIsSeen) {
    QWidget view(&window);
    int looked = 0;
    watch(document, &view, Change::Saved, [&] { ++looked; });
    view.hide();
    rename("one");
    rename("two");
    EXPECT_EQ(looked, 0);
    view.show();
    EXPECT_EQ(looked, 1) << "once, for both";
    rename("three");
    EXPECT_EQ(looked, 2);
    document.setLineup({});
    EXPECT_EQ(looked, 2) << "it shows nothing of the lineup";
}

TEST_F(ShowFilesTest, LevelsOfTheSecondFormatGetTheNamesOfTheirEmitters) {
    ASSERT_TRUE(document.open(std::string(places::data) + "/../tests/data/second-format.zelo"));
    settle();
    EXPECT_NEAR(document.state().hand->at({13})->parts.at(lamp(13).mixer->type().partName(1)), 0.2,
                1e-12);
    EXPECT_TRUE(lamp(13).by_hand);
    EXPECT_NEAR(lamp(13).drives[5], 0.6, 1e-12);
    EXPECT_TRUE(document.kept()) << "nothing to save: the same in other words";
}

} // namespace
} // namespace zelo::desk
