// SPDX-License-Identifier: GPL-3.0-or-later
// What the program does for people who meet it: the tour, F1 on every control, windows that come
// back, paper.
#include "desk/crossfade/crossfade_side.h"
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_player.h"
#include "desk/cues/cue_window.h"
#include "desk/cues/cues_view.h"
#include "desk/cues/stage_view.h"
#include "desk/gradient/gradient_view.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/kit/own_window.h"
#include "desk/kit/text_log.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/match/split_field.h"
#include "desk/ripple/ripple_view.h"
#include "desk/shell/explain.h"
#include "desk/shell/manual_view.h"
#include "desk/shell/message_line.h"
#include "desk/shell/tour.h"

#include <QPrintPreviewDialog>
#include <QPrintPreviewWidget>
#include <QSettings>

namespace zelo::desk {
namespace {

class PeopleTest : public HandsTest {
protected:
    PeopleTest() {
        forget();
        chooseGroups({"front", "back", "cyc"}); // as at the start
    }
    ~PeopleTest() override { forget(); }
    static void forget() {
        QSettings().remove("windows");
        QSettings().remove(kTourStep.key());
    }
    void run(const QString& command) {
        for (const Command& c : window.commands())
            if (c.text == command) {
                c.run();
                return settle();
            }
        FAIL() << command.toStdString();
    }
    bool inside(const QWidget& w) { // whole, in the window
        return window.rect().contains(w.geometry());
    }
    bool covers(const QWidget& w, const QWidget& other, const QPoint& at) {
        return QRect(w.mapTo(&window, QPoint()), w.size()).contains(other.mapTo(&window, at));
    }
};

TEST_F(PeopleTest, TheTourGoesOnWhenTheThingIsDone) {
    Tour& tour = window.tour();
    EXPECT_FALSE(tour.isVisible());
    window.resize(1024, 700); // the smallest there is
    run("Tour in three steps, or leave it");
    ASSERT_TRUE(tour.isVisible());
    EXPECT_TRUE(tour.text().startsWith("Match a gel"));
    EXPECT_TRUE(inside(tour));
    EXPECT_TRUE(window.isAncestorOf(tour.target()));
    QTest::qWait(450);
    EXPECT_EQ(tour.step(), 0) << "nothing has been done";
    pickSwatch("338");
    ASSERT_TRUE(comes([&] { return tour.step() == 1; }));
    EXPECT_EQ(kTourStep.get(), 1);
    EXPECT_TRUE(inside(tour));
    EXPECT_FALSE(covers(tour, window.lineupPanel(), {300, 100})) << "where the lamps are";
    // Dropped on the name of a group.
    auto& panel = window.lineupPanel();
    drop(panel, {static_cast<int>(panel.glassOf(3).center().x()), panel.height() - 14}, "gel:104");
    ASSERT_TRUE(comes([&] { return tour.step() == 2; }));
    EXPECT_TRUE(tour.text().contains("Press 4"));
    QTest::keyClick(&window, Qt::Key_4);
    ASSERT_TRUE(comes([&] { return tour.text().contains("Press P"); }));
    EXPECT_EQ(tour.target(), &window.crossfadeSide().play());
    EXPECT_TRUE(inside(tour));
    EXPECT_FALSE(covers(tour, window.crossfadeSide().play(), {4, 4}));
    QTest::keyClick(&window, Qt::Key_P);
    ASSERT_TRUE(comes([&] { return !tour.isVisible(); }));
    EXPECT_EQ(kTourStep.get(), Tour::kSteps);
    window.fadePlayer().stop();
    run("Tour in three steps, or leave it");
    EXPECT_EQ(tour.step(), 0) << "once more from the beginning";
}

TEST_F(PeopleTest, TheTourIsLeftAndTakenUpAgain) {
    Tour& tour = window.tour();
    tour.toggle();
    const auto press = [&](const char* word) {
        for (Button* b : tour.findChildren<Button*>())
            if (b->text() == word)
                QTest::mouseClick(b, Qt::LeftButton);
    };
    press("Skip this step");
    EXPECT_EQ(tour.step(), 1);
    press("Later");
    EXPECT_FALSE(tour.isVisible());
    QTest::keyClick(&window, Qt::Key_Y); // keys are the window's
    EXPECT_TRUE(document.camera());
    document.undo();
    tour.toggle();
    EXPECT_TRUE(tour.isVisible());
    EXPECT_EQ(tour.step(), 1);
    tour.toggle();
}

// All that have something to say have a page that tells more.
TEST_F(PeopleTest, F1KnowsAPageOfEveryControl) {
    const auto& manual = window.manual();
    EXPECT_EQ(manual.titleOf("nothing.md"), "");
    std::set<QString> pages;
    for (int view = MainWindow::Rig; view <= MainWindow::Ripple; ++view) {
        window.showView(view);
        settle();
        for (QWidget* w : window.findChildren<QWidget*>()) {
            if (!w->isVisible() || w->toolTip().isEmpty())
                continue;
            const auto found = explained(w, view);
            EXPECT_EQ(found.of, w);
            EXPECT_TRUE(found.text.contains(w->toolTip()));
            EXPECT_FALSE(manual.titleOf(found.page).isEmpty())
                << found.page.toStdString() << " of " << w->accessibleName().toStdString();
            pages.insert(found.page);
        }
    }
    EXPECT_GE(pages.size(), 8u);
    EXPECT_EQ(explained(&window.swatches().list(), MainWindow::Cues).page, "match.md");
    EXPECT_EQ(explained(window.matchView().mix().columns()[0], MainWindow::Match).page, "match.md");
    EXPECT_EQ(explained(nullptr, MainWindow::Cues).page, "cues.md");
}

TEST_F(PeopleTest, F1TellsAndAPressOpensThePage) {
    auto* message = window.findChild<MessageLine*>();
    window.swatches().list().setFocus();
    QCursor::setPos(window.mapToGlobal(QPoint(-200, -200)));
    QTest::keyClick(&window.swatches().list(), Qt::Key_F1);
    settle();
    ASSERT_FALSE(message->texts().isEmpty());
    EXPECT_TRUE(message->texts().last().contains("More: Match a gel"))
        << message->texts().last().toStdString();
    QTest::mouseClick(message, Qt::LeftButton, {}, {30, message->height() - 8});
    EXPECT_TRUE(window.manual().isVisible());
    EXPECT_EQ(window.manual().page(), "match.md");
}

TEST_F(PeopleTest, WindowsComeBackWhereTheyWere) {
    run("Split field in a window of its own");
    run("Cue list, large, in a window of its own");
    auto* split = window.findChild<SplitWindow*>();
    auto* cues = window.findChild<CueWindow*>();
    ASSERT_TRUE(split->isVisible() && cues->isVisible());
    split->setGeometry(120, 90, 400, 300);
    cues->setGeometry(40, 50, 500, 420);
    settle();
    QApplication::setActiveWindow(split);
    QTest::keyClick(split, Qt::Key_Escape);
    EXPECT_FALSE(split->isVisible());
    {
        MainWindow next(document); // the next start
        next.show();
        next.windowsComeBack();
        EXPECT_FALSE(next.findChild<SplitWindow*>()->isVisible()) << "it had been closed";
        auto* again = next.findChild<CueWindow*>();
        ASSERT_TRUE(again->isVisible());
        next.findChild<SplitWindow*>()->put(true);
        EXPECT_EQ(next.findChild<SplitWindow*>()->size(), QSize(400, 300));
        EXPECT_FALSE(next.findChild<StageWindow*>()) << "nobody had it";
        next.findChild<SplitWindow*>()->put(false);
    }
    cues->put(false);
    window.cuesView().openStageWindow();
    {
        MainWindow next(document);
        next.show();
        next.windowsComeBack();
        auto* again = next.findChild<CueWindow*>();
        EXPECT_FALSE(again->isVisible());
        ASSERT_TRUE(next.findChild<StageWindow*>());
        EXPECT_TRUE(next.findChild<StageWindow*>()->isVisible());
        again->put(true);
        EXPECT_EQ(again->size(), QSize(500, 420));
        again->put(false);
    }
    QApplication::setActiveWindow(&window);
}

TEST_F(PeopleTest, TheLargeCueListFollowsThePlay) {
    run("Cue list, large, in a window of its own");
    auto* large = window.findChild<CueWindow*>();
    const auto first = large->parts();
    ASSERT_GT(first.size(), 5u);
    EXPECT_EQ(first[0].name, "nothing plays");
    EXPECT_EQ(first[1].name, "cue 1, Preset, dusk");
    EXPECT_EQ(first[1].value, "next");
    const auto still = large->grab().toImage();
    QApplication::setActiveWindow(&window); // one works there
    window.setFocus();
    QTest::keyClick(&window, Qt::Key_Space);
    ASSERT_TRUE(comes([&] { return large->parts()[0].value == "stands"; }));
    EXPECT_EQ(large->parts()[0].name, "cue 1, Preset, dusk");
    EXPECT_EQ(large->parts()[1].value, "next");
    EXPECT_TRUE(comes([&] { return large->grab().toImage() != still; }));
    for (const auto& part : large->parts())
        EXPECT_LE(part.place.bottom(), large->height());
    large->resize(320, 240); // fewer, none cut
    EXPECT_LT(large->parts().size(), first.size());
    large->put(false);
    QApplication::setActiveWindow(&window);
}

// Of an empty show, and of one with lamps and none chosen: each view says what to do first.
TEST_F(PeopleTest, EmptyViewsSayTheNextStep) {
    const auto says = [&](QWidget& view) { return paintedBy(view); };
    const auto views = [&]() -> std::vector<QWidget*> {
        return {&window.matchView(), &window.gradientView(), &window.crossfadeView(),
                &window.rippleView()};
    };
    document.setLineup({});
    document.setHand("nothing", show::emptyHand());
    const int pages[] = {MainWindow::Match, MainWindow::Gradient, MainWindow::Crossfade,
                         MainWindow::Ripple};
    const auto empty = show::emptyState();
    document.start(empty.show, empty.hand);
    settle();
    for (std::size_t i = 0; i < 4; ++i) {
        window.showView(pages[i]);
        settle();
        EXPECT_TRUE(says(*views()[i]).contains("add some in Rig"))
            << i << ": " << says(*views()[i]).toStdString();
    }
    EXPECT_TRUE(says(window.lineupPanel()).contains("1, then Ins"));
    window.showView(MainWindow::Cues);
    settle();
    EXPECT_TRUE(says(window.cuesView()).contains("press K"));
    show::Fixture f;
    f.type = "gannet-8";
    ASSERT_TRUE(document.edit("a lamp", show::addFixture(document.state().show, f)));
    for (std::size_t i = 0; i < 4; ++i) {
        window.showView(pages[i]);
        settle();
        EXPECT_TRUE(says(*views()[i]).contains("choose some first (L)")) << i;
    }
}

TEST_F(PeopleTest, SheetsAreSeenBeforeTheyArePrinted) {
    QTest::keyClick(&window, Qt::Key_P, Qt::ControlModifier);
    QPrintPreviewDialog* preview = nullptr; // from Match: its lamps are computed first
    ASSERT_TRUE(comes([&] { return (preview = window.findChild<QPrintPreviewDialog*>()); }));
    EXPECT_TRUE(preview->isVisible());
    EXPECT_TRUE(window.cueModel().picture({1000}));
    auto* pages = preview->findChild<QPrintPreviewWidget*>();
    ASSERT_TRUE(pages);
    EXPECT_TRUE(comes([&] { return pages->pageCount() >= 4; })) << "cues, palettes, two of patch";
    EXPECT_EQ(pages->orientation(), QPageLayout::Landscape);
    preview->close();
    settle();
    QApplication::setActiveWindow(&window);
}

} // namespace
} // namespace zelo::desk
