// SPDX-License-Identifier: GPL-3.0-or-later
// The Cues view with mouse and keys, on the real window with the demo show and a clock of its own.
#include "base/file.h"
#include "desk/cues/fader_bank.h"
#include "desk/cues/sheets.h"
#include "desk/cues/stage_view.h"
#include "desk/cues_window.h"
#include "desk/kit/button.h"
#include "desk/kit/stations.h"
#include "desk/kit/text_field.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/swatches/swatch_panel.h"
#include "files/ascii_cues.h"
#include "show/edits.h"

#include <QClipboard>
#include <QInputDialog>
#include <QLineEdit>
#include <QScrollBar>
#include <QTemporaryDir>
#include <QWheelEvent>

namespace zelo::desk {
namespace {

TEST_F(CuesTest, SpacePlaysOneCueAfterTheOther) {
    EXPECT_FALSE(model().current());
    key(Qt::Key_Space);
    ASSERT_TRUE(stands(CueNumber{1000}));
    EXPECT_TRUE(document.stage().list(model().listId())->fades());
    wait(2.5);
    EXPECT_NEAR(lamp(1).intensity, (1 + 0.18) / 2, 0.02) << "from standing light, in 5 s";
    EXPECT_TRUE(table().runText().contains("2.5 of 5.0")) << table().runText().toStdString();
    wait(3);
    EXPECT_NEAR(lamp(1).intensity, 0.18, 1e-9);
    EXPECT_TRUE(view().next().text().contains("2 House out"));
    key(Qt::Key_Space);
    ASSERT_TRUE(stands(CueNumber{2000}));
    key(Qt::Key_Space, Qt::ShiftModifier);
    ASSERT_TRUE(stands(CueNumber{1000})) << "back";
    // Its row is higher, and a pointer stands at the next one.
    const int row = table().rows().rowOf({1000});
    EXPECT_GT(table().rowHeight(row), table().rowHeight(row + 1));
}

TEST_F(CuesTest, HoldRateAndJump) {
    QTest::mouseClick(&view().next(), Qt::LeftButton);
    ASSERT_TRUE(stands(CueNumber{1000}));
    wait(1);
    key(Qt::Key_Space, Qt::ControlModifier);
    ASSERT_TRUE(comes([&] { return view().hold().isChecked(); }));
    const double held = lamp(1).intensity;
    *now += 30;
    document.press(model().listId(), play::Command::What::Rate, 2);
    ASSERT_TRUE(comes([&] { return model().now()->rate == 2; }));
    EXPECT_NEAR(lamp(1).intensity, held, 1e-9);
    QTest::mouseClick(&view().hold(), Qt::LeftButton);
    ASSERT_TRUE(comes([&] { return !model().now()->held; }));
    wait(1);
    EXPECT_NEAR(model().now()->since_s, 3, 0.01) << "1 s, and 1 s twice as fast";
    click(12000);
    key(Qt::Key_Return, Qt::ShiftModifier);
    ASSERT_TRUE(stands(CueNumber{12000}));
    wait(5);
    EXPECT_NEAR(lamp(1).intensity, 1, 1e-9) << "the signal: front at full";
}

TEST_F(CuesTest, TwoPressesOfNextAreOne) {
    model().setGuard(5);
    key(Qt::Key_Space);
    key(Qt::Key_Space);
    ASSERT_TRUE(stands(CueNumber{1000}));
    settle();
    EXPECT_EQ(model().current(), CueNumber{1000});
    model().setGuard(0);
    key(Qt::Key_Space);
    EXPECT_TRUE(stands(CueNumber{2000}));
}

TEST_F(CuesTest, TheCueItStandsInStaysInViewAndItsTimesWhole) {
    const auto& cues = model().list()->cues;
    const CueNumber last = cues.entry(cues.size() - 2).first; // the very last is locked
    model().jump(last);
    ASSERT_TRUE(stands(last));
    const auto seen = [&] {
        const int row = table().rows().rowOf(last);
        const int top = table().rowViewportPosition(row);
        return top >= 0 && top + table().rowHeight(row) <= table().viewport()->height();
    };
    for (const QSize size : {QSize(1920, 1080), QSize(1024, 700), QSize(1371, 771)}) {
        window.resize(size);
        settle();
        EXPECT_TRUE(seen()) << size.width();
    }
    table().verticalScrollBar()->setValue(0); // somebody looks elsewhere
    ASSERT_FALSE(seen());
    window.resize(1280, 720);
    settle();
    EXPECT_FALSE(seen());
    model().change({last}, "x", [](show::Cue& cue) {
        cue.colour_s = 6.25;
        cue.colour_delay_s = 90;
        cue.up_delay_s = 12.5;
        cue.down_delay_s = 75;
    });
    settle();
    for (const CueCell cell : {CueCell::Colour, CueCell::Delay}) {
        CueRows& rows = table().rows();
        const int column = static_cast<int>(cell);
        const QString text = rows.index(rows.rowOf(last), column).data().toString();
        EXPECT_EQ(text, cell == CueCell::Colour ? "6.25+1:30" : "12.5/1:15");
        EXPECT_LE(textWidth(text, typeface(Type::Work)), table().columnWidth(column) - 8);
    }
}

TEST_F(CuesTest, CellsAreTypedOver) {
    click(3000, CueCell::Up);
    type("2.5");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).up_s, 2.5);
    click(3000, CueCell::Down);
    key(Qt::Key_Return); // Enter opens what is there
    QApplication::focusWidget()->setProperty("text", QStringLiteral("1:30"));
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).down_s, 90);
    click(3000, CueCell::Delay);
    type("0.5/1");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).up_delay_s, 0.5);
    EXPECT_EQ(cue(3000).down_delay_s, 1);
    click(3000, CueCell::Colour);
    type("6+2");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).colour_s, 6);
    EXPECT_EQ(cue(3000).colour_delay_s, 2);
    click(3000, CueCell::Follow);
    type("done");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).follow, show::FollowWhen::WhenDone);
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    const auto before = document.state().show;
    click(3000, CueCell::Up);
    type("soon");
    key(Qt::Key_Return);
    EXPECT_EQ(document.state().show, before);
    EXPECT_TRUE(told.contains("soon") && told.contains("1:30")) << told.toStdString();
    click(3000, CueCell::Name);
    type("Flood");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(3000).name, "Flood");
    document.undo();
    EXPECT_EQ(cue(3000).name, "First tide");
}

TEST_F(CuesTest, ManyRowsAtOnce) {
    click(3000);
    click(6000, CueCell::Down, Qt::ShiftModifier);
    EXPECT_EQ(table().chosen().size(), 4u);
    type("11");
    key(Qt::Key_Return);
    for (const int n : {3000, 4000, 5000, 6000})
        EXPECT_EQ(cue(n).down_s, 11) << n;
    EXPECT_NE(cue(7000).down_s, 11);
    document.undo();
    EXPECT_EQ(cue(4000).down_s, 6) << "one step";
    // A locked one keeps all as they are, and says so.
    click(29000);
    click(30000, CueCell::Up, Qt::ShiftModifier);
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    type("3");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(29000).up_s, 25);
    EXPECT_TRUE(told.contains("cue 30 is locked")) << told.toStdString();
    rightClick(30000);
    choose("Unlock");
    EXPECT_FALSE(cue(30000).locked);
}

TEST_F(CuesTest, MoveRenumberRemoveAndFind) {
    click(5000, CueCell::Name);
    key(Qt::Key_Up, Qt::ControlModifier);
    EXPECT_EQ(cue(4000).name, "Salt workers");
    EXPECT_EQ(cue(5000).name, "Bell");
    EXPECT_EQ(table().cursor(), CueNumber{4000}) << "the keyboard goes along";
    click(4000, CueCell::Number);
    type("4.5");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(4500).name, "Salt workers");
    EXPECT_FALSE(model().cue({4000}));
    EXPECT_EQ(table().cursor(), CueNumber{4500});
    key(Qt::Key_Delete);
    EXPECT_FALSE(model().cue({4500}));
    document.undo();
    EXPECT_TRUE(model().cue({4500}));
    key(Qt::Key_G, Qt::ControlModifier);
    type("wind");
    EXPECT_EQ(table().cursor(), CueNumber{7500});
    key(Qt::Key_Return);
    EXPECT_EQ(table().cursor(), CueNumber{7500}) << "there is no other";
    key(Qt::Key_Escape);
    EXPECT_TRUE(view().find().text().isEmpty());
}

TEST_F(CuesTest, CopyAndPasteAlsoWithASpreadsheet) {
    click(12000);
    key(Qt::Key_C, Qt::ControlModifier);
    const QString rows = QApplication::clipboard()->text();
    EXPECT_TRUE(rows.contains("12\tSignal\t1.0\t2.0\t\t0")) << rows.toStdString();
    key(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(cue(12500).name, "Signal");
    EXPECT_EQ(cue(12500).values, cue(12000).values) << "with what it says";
    QApplication::clipboard()->setText("cue\tname\tup\tdown\n3\tHigh tide\t9\t8\r\n"
                                       "40\tEncore\t1:00\t2\t0.5\t\tdone\tif they ask\n"
                                       "forty-one\tNo\t1\t1\n");
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    key(Qt::Key_V, Qt::ControlModifier);
    EXPECT_EQ(cue(3000).name, "High tide");
    EXPECT_EQ(cue(3000).up_s, 9);
    EXPECT_EQ(cue(40000).up_s, 60);
    EXPECT_EQ(cue(40000).follow, show::FollowWhen::WhenDone);
    EXPECT_EQ(cue(40000).note, "if they ask");
    EXPECT_TRUE(told.contains("1")) << "a row that is none: " << told.toStdString();
    document.undo();
    EXPECT_FALSE(model().cue({40000})) << "one step";
    EXPECT_EQ(cue(3000).name, "First tide");
}

TEST_F(CuesTest, RoutesAreChosenForAllChosenRows) {
    click(5000, CueCell::Route);
    click(6000, CueCell::Route, Qt::ControlModifier);
    key(Qt::Key_Return);
    choose("by violet");
    EXPECT_EQ(cue(5000).route, show::RouteId{1});
    EXPECT_EQ(cue(6000).route, show::RouteId{1});
    click(5000, CueCell::Route);
    key(Qt::Key_Return);
    choose("Straight");
    EXPECT_FALSE(cue(5000).route);
    EXPECT_EQ(cue(5000).way->kind, route::Kind::Straight);
}

// What lamps show becomes a cue: what changed, what is in hand, or all.
TEST_F(CuesTest, KeepAsACue) {
    click(5000);
    document.setHand("x", show::withIntensity(document.state().hand, document.lineup(), 0.33));
    settle();
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    EXPECT_EQ(form()->number().text(), "5.5") << "between 5 and 6";
    type("Dim");
    key(Qt::Key_Return);
    settle();
    EXPECT_FALSE(form());
    EXPECT_EQ(cue(5500).name, "Dim");
    EXPECT_EQ(table().cursor(), CueNumber{5500});
    EXPECT_EQ(*cue(5500).values.find({1})->intensity, show::Source<double>(0.33));
    EXPECT_EQ(cue(5500).values.size(), 12u);
    // Over one that is there it asks once, and says what is lost.
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    form()->number().setText("7");
    form()->says().setChosen(1); // intensity alone
    form()->what().setChosen(1); // what is in hand
    const std::string before = cue(7000).name;
    key(Qt::Key_Return);
    ASSERT_TRUE(form()) << "not yet";
    EXPECT_EQ(cue(7000).name, before);
    key(Qt::Key_Return);
    settle();
    EXPECT_EQ(cue(7000).name, before) << "no name was typed";
    EXPECT_EQ(cue(7000).values.size(), 12u);
    EXPECT_FALSE(cue(7000).values.find({1})->colour);
    EXPECT_EQ(cue(7000).up_delay_s, 0.5) << "its times stay";
    document.undo();
    EXPECT_GT(cue(7000).values.size(), 12u);
}

TEST_F(CuesTest, WhatIsPlayedCanBeKept) {
    document.press(model().listId(), play::Command::What::Jump, 12);
    ASSERT_TRUE(stands(CueNumber{12000}));
    wait(10);
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    form()->number().setText("50");
    form()->what().setChosen(2); // all of the lineup
    key(Qt::Key_Return);
    settle();
    const auto values = cue(50000).values;
    ASSERT_EQ(values.size(), 12u);
    EXPECT_EQ(values.find({1})->colour, cue(12000).values.find({1})->colour);
    EXPECT_EQ(*values.find({1})->intensity, show::Source<double>(1.0));
    // A lamp that a cue lights is trimmed by its ratio, not set.
    QWheelEvent turn(window.lineupPanel().glassOf(0).center(),
                     window.lineupPanel().mapToGlobal(window.lineupPanel().glassOf(0).center()), {},
                     {0, -240}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(&window.lineupPanel(), &turn);
    settle();
    const auto* held = document.state().hand->find({1});
    ASSERT_TRUE(held);
    EXPECT_FALSE(held->intensity);
    EXPECT_LT(held->trim, 1);
    ASSERT_TRUE(comes([&] { return lamp(1).intensity < 1; }));
    // Its colour nudged is taken in hand.
    key(Qt::Key_F3);
    EXPECT_TRUE(document.state().hand->find({1})->colour);
}

// The first lamp's light, wherever it comes from, for the others; and half of it.
TEST_F(CuesTest, LampsTakeWhatTheFirstShows) {
    document.press(model().listId(), play::Command::What::Jump, 12);
    ASSERT_TRUE(stands(CueNumber{12000}));
    wait(10);
    document.setLineup({{1}, {21}, {22}});
    settle();
    key(Qt::Key_E, Qt::ControlModifier);
    ASSERT_TRUE(comes([&] { return lamp(21).intensity == 1; }));
    EXPECT_EQ(document.state().hand->find({21})->colour, cue(12000).values.find({1})->colour);
    EXPECT_LT(colour::distance(colour::toUv(lamp(21).sent.xyz), colour::toUv(lamp(1).sent.xyz)),
              0.04)
        << "as near as its type can";
    EXPECT_FALSE(document.state().hand->find({1})) << "it shows that already";
    key(Qt::Key_Down, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(comes([&] { return std::abs(lamp(21).intensity - 0.5) < 1e-9; }));
    ASSERT_TRUE(comes([&] { return std::abs(lamp(1).intensity - 0.5) < 1e-9; }));
    EXPECT_EQ(document.state().hand->find({1})->trim, 0.5) << "a trim over the cue";
    document.undo();
    document.undo();
    EXPECT_TRUE(document.state().hand->empty());
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    document.setLineup({{1}});
    key(Qt::Key_E, Qt::ControlModifier);
    EXPECT_TRUE(told.contains("Nothing to copy")) << told.toStdString();
}

TEST_F(CuesTest, ShowsCuesInRehearsalWithoutTheStage) {
    key(Qt::Key_Space);
    ASSERT_TRUE(stands(CueNumber{1000}));
    wait(6);
    document.setOnStage(false);
    settle();
    EXPECT_FALSE(model().current()) << "nothing is shown yet";
    click(12000);
    key(Qt::Key_Return, Qt::ShiftModifier);
    ASSERT_TRUE(stands(CueNumber{12000}));
    ASSERT_TRUE(comes([&] { return lamp(1).intensity == 1; })) << "the screen shows it, at rest";
    EXPECT_EQ(model().now()->cue, CueNumber{1000}) << "the stage is where it was";
    key(Qt::Key_Space);
    ASSERT_TRUE(stands(CueNumber{13000}));
    key(Qt::Key_Space, Qt::ShiftModifier);
    ASSERT_TRUE(stands(CueNumber{12000}));
    // What stops and speeds the stage's list does nothing from here.
    key(Qt::Key_Space, Qt::ControlModifier);
    model().setRate(3);
    settle();
    EXPECT_FALSE(model().now()->held);
    EXPECT_EQ(model().now()->rate, 1);
    EXPECT_FALSE(view().rate().isEnabled());
    // An edit of it is seen at once.
    model().change({{12000}}, "x", [](show::Cue& c) {
        auto value = *c.values.find({1});
        value.intensity = show::Source<double>(0.4);
        c.values = c.values.with({1}, value);
    });
    ASSERT_TRUE(comes([&] { return std::abs(lamp(1).intensity - 0.4) < 1e-9; }));
    document.setOnStage(true);
    ASSERT_TRUE(stands(CueNumber{1000})) << "the stage went on with its own";
    EXPECT_TRUE(comes([&] { return std::abs(lamp(1).intensity - 0.18) < 1e-9; }));
}

TEST_F(CuesTest, FadesAreCheckedAndCured) {
    ASSERT_TRUE(comes([&] { return !model().findings({13000}).empty(); }, 30000));
    EXPECT_FALSE(model().findings({28000}).empty()) << "lanterns from their own white";
    EXPECT_TRUE(model().findings({18000}).empty());
    const auto words = model().words(*model().findings({13000}).front());
    EXPECT_TRUE(words.contains("1–6") && words.contains("red to cyan")) << words.toStdString();
    rightClick(13000);
    choose("Go round the white");
    EXPECT_EQ(cue(13000).way->kind, route::Kind::Around);
    ASSERT_TRUE(comes([&] { return model().findings({13000}).empty(); }, 30000));
    document.undo();
    ASSERT_TRUE(comes([&] { return !model().findings({13000}).empty(); }, 30000));
    rightClick(28000);
    choose("Colour in the dark first");
    EXPECT_EQ(cue(28000).dark_first, true);
    ASSERT_TRUE(comes([&] { return model().findings({28000}).empty(); }, 30000));
}

TEST_F(CuesTest, LampsAreLetGoInACue) {
    ASSERT_TRUE(cue(7000).values.find({1})->intensity);
    rightClick(7000);
    choose("intensity and colour");
    EXPECT_FALSE(cue(7000).values.find({1})) << "the lineup's lamps: as cue 6 left them";
    EXPECT_TRUE(cue(7000).values.find({13})) << "others stay";
    rightClick(9000);
    choose("3 First tide");
    EXPECT_EQ(cue(9000).values.find({1})->colour,
              show::standsFor(*model().list(), {3000}).find({1})->colour);
}

TEST_F(CuesTest, SmallLampsShowWhatCuesStandFor) {
    ASSERT_TRUE(comes([&] { return model().picture({12000}) != nullptr; }));
    const auto& blocks = model().blocks();
    ASSERT_GE(blocks.size(), 3u);
    EXPECT_EQ(blocks[0].group, "front");
    EXPECT_EQ(blocks[0].count, 6u);
    EXPECT_EQ((*model().picture({12000}))[0].intensity, 1);
    EXPECT_NEAR((*model().picture({2000}))[0].intensity, 0.06, 1e-12);
    // Where it is painted there is that light.
    cell(12000, CueCell::Looks);
    settle();
    const QRect r = table().visualRect(
        table().rows().index(table().rows().rowOf({12000}), static_cast<int>(CueCell::Looks)));
    const QColor seen = table().viewport()->grab(r).toImage().pixelColor(6, 16);
    EXPECT_GT(seen.red(), 1.5 * seen.green()) << seen.name().toStdString();
}

TEST_F(CuesTest, FadersMixLooksAndFlash) {
    document.press(model().listId(), play::Command::What::Jump, 30); // all out
    ASSERT_TRUE(stands(CueNumber{30000}));
    wait(10);
    EXPECT_EQ(lamp(7).intensity, 0);
    auto& cold = view().faders().strip(1);
    ASSERT_EQ(cold.fader()->name, "Cold back");
    const auto level = [&] {
        for (const auto& f : document.stage().faders)
            if (f.id == cold.fader()->id)
                return f.level;
        return -1.0;
    };
    cold.setFocus();
    type("80");
    key(Qt::Key_Return);
    ASSERT_TRUE(comes([&] { return std::abs(level() - 0.8) < 1e-9; }));
    EXPECT_NEAR(lamp(7).intensity, 0.8, 1e-9);
    EXPECT_NEAR(cold.value(), 80, 1e-9);
    QTest::mouseClick(&cold.letGo(), Qt::LeftButton);
    ASSERT_TRUE(comes([&] { return level() == 0; }));
    EXPECT_EQ(lamp(7).intensity, 0);
    // F6 while it is held; then what it had.
    window.setFocus();
    settle();
    EXPECT_EQ(QApplication::focusWidget(), &window);
    QTest::keyPress(&window, Qt::Key_F6);
    ASSERT_TRUE(comes([&] { return level() == 1; }));
    EXPECT_TRUE(document.state().hand->empty()) << "no nudge of this view";
    QTest::keyRelease(&window, Qt::Key_F6);
    ASSERT_TRUE(comes([&] { return level() == 0; }));
    // Dragged where it is drawn.
    const QPoint foot(cold.width() / 2, cold.height() - 70);
    QTest::mousePress(&cold, Qt::LeftButton, {}, foot);
    QMouseEvent move(QEvent::MouseMove, QPointF(cold.width() / 2.0, 14),
                     cold.mapToGlobal(QPoint(10, 14)), Qt::NoButton, Qt::LeftButton, {});
    QApplication::sendEvent(&cold, &move);
    QTest::mouseRelease(&cold, Qt::LeftButton, {}, QPoint(cold.width() / 2, 14));
    ASSERT_TRUE(comes([&] { return level() > 0.9; }));
}

TEST_F(CuesTest, LooksGoOntoFaders) {
    // Eight fill a page; the demo's ninth goes first.
    show::FaderId ninth;
    for (const auto& [id, fader] : document.show().faders)
        ninth = id;
    document.edit("Remove", show::removeFader(document.state().show, ninth));
    const auto before = document.show().faders.size();
    ASSERT_EQ(before, 8u);
    view().faders().openAdd();
    choose("night tide");
    EXPECT_EQ(document.show().faders.size(), before + 1);
    EXPECT_EQ(view().faders().page(), 1) << "the ninth is on the next page";
    ASSERT_TRUE(view().faders().strip(0).fader());
    EXPECT_EQ(view().faders().strip(0).fader()->name, "night tide");
    EXPECT_TRUE(view().faders().strip(1).isHidden());
    document.undo();
    EXPECT_EQ(view().faders().page(), 0);
    view().faders().openAdd();
    choose("Blue"); // a family, with nothing prepared
    ASSERT_TRUE(view().faders().strip(0).fader());
    EXPECT_EQ(view().faders().strip(0).fader()->family, show::Family::Blue);
    const double before_blue = lamp(1).sent.xyz.Z / lamp(1).sent.xyz.Y;
    document.setFader(view().faders().strip(0).fader()->id, 1);
    EXPECT_TRUE(comes([&] { return lamp(1).sent.xyz.Z / lamp(1).sent.xyz.Y > 3 * before_blue; }));
    view().faders().openAdd();
    choose("lanterns");
    EXPECT_EQ(view().faders().strip(1).fader()->group, show::GroupId{6});
}

TEST_F(CuesTest, ListsAreMadeChosenAndSaidWhatToDoAtTheEnd) {
    QTest::mouseClick(&view().title(), Qt::LeftButton);
    choose("it begins again");
    EXPECT_EQ(model().list()->at_end, show::AtEnd::Again);
    document.press(model().listId(), play::Command::What::Jump, 30);
    ASSERT_TRUE(stands(CueNumber{30000}));
    EXPECT_EQ(model().next(), CueNumber{1000});
    view().openMenu();
    choose("A new list");
    auto* ask = window.findChild<QInputDialog*>();
    ASSERT_TRUE(ask);
    ask->setTextValue("Bows");
    ask->accept();
    settle();
    ASSERT_EQ(document.show().cue_lists.size(), 2u);
    EXPECT_EQ(model().list()->name, "Bows");
    EXPECT_TRUE(table().isHidden()) << "nothing in it yet, and it says so";
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    key(Qt::Key_Return);
    settle();
    EXPECT_EQ(model().list()->cues.size(), 1u);
    EXPECT_FALSE(table().isHidden());
    view().openMenu();
    choose("The Salt Lanterns");
    EXPECT_EQ(model().list()->cues.size(), 31u);
    document.undo();
    document.undo();
    EXPECT_EQ(document.show().cue_lists.size(), 1u);
}

TEST_F(CuesTest, AShowWithoutCuesSaysHowToBegin) {
    show::Show bare = *document.state().show;
    bare.cue_lists = {};
    bare.faders = {};
    document.edit("x", Result<show::ShowPtr>(show::nextShow(std::move(bare))));
    settle();
    EXPECT_TRUE(table().isHidden());
    EXPECT_FALSE(view().next().isEnabled());
    key(Qt::Key_Space); // does nothing
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    EXPECT_EQ(form()->number().text(), "1");
    key(Qt::Key_Return);
    settle();
    ASSERT_TRUE(model().list());
    EXPECT_EQ(model().list()->cues.size(), 1u);
    EXPECT_EQ(model().list()->cues.entry(0).second->values.size(), 12u);
}

TEST_F(CuesTest, TheStagePictureShowsTheLight) {
    ASSERT_TRUE(comes([&] { return !view().stage().image().isNull(); }));
    const auto mean = [&] {
        const QImage& image = view().stage().image();
        double sum[3] = {0, 0, 0};
        for (int y = 0; y < image.height(); y += 3)
            for (int x = 0; x < image.width(); x += 3) {
                const QColor c = image.pixelColor(x, y);
                sum[0] += c.red();
                sum[1] += c.green();
                sum[2] += c.blue();
            }
        return std::array<double, 3>{sum[0], sum[1], sum[2]};
    };
    document.press(model().listId(), play::Command::What::Jump, 13); // cyan
    ASSERT_TRUE(stands(CueNumber{13000}));
    wait(10);
    double cyan = 0; // how much of blue to red
    ASSERT_TRUE(comes([&] {
        cyan = mean()[2] / (mean()[0] + 1);
        return cyan > 1.2;
    })) << cyan;
    document.press(model().listId(), play::Command::What::Jump, 12); // red
    ASSERT_TRUE(stands(CueNumber{12000}));
    wait(10);
    EXPECT_TRUE(comes([&] { return mean()[2] / (mean()[0] + 1) < cyan / 2; }))
        << cyan << " " << mean()[2] / (mean()[0] + 1);
    document.press(model().listId(), play::Command::What::Jump, 30); // out
    ASSERT_TRUE(stands(CueNumber{30000}));
    wait(20);
    ASSERT_TRUE(comes([&] { return mean()[0] + mean()[1] + mean()[2] == 0; }));
    // A figure moves by keys; undo brings it back.
    view().stage().setFocus();
    const auto before = play::figuresOf(document.show());
    key(Qt::Key_Right);
    EXPECT_NEAR(play::figuresOf(document.show())[0].x_m, before[0].x_m + 0.1, 0.011);
    document.undo();
    EXPECT_EQ(play::figuresOf(document.show()), before);
    QTemporaryDir folder;
    const QString path = folder.filePath("stage.png");
    view().stage().savePicture(path);
    ASSERT_TRUE(comes([&] { return QImage(path).width() == 1600; }));
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    view().stage().savePicture(folder.filePath("nowhere/stage.png"));
    ASSERT_TRUE(comes([&] { return told.contains("cannot be written"); }));
    // In a window of its own beside it: both go on.
    view().openStageWindow();
    ASSERT_EQ(window.findChildren<StageWindow*>().size(), 1);
    StageView& other = window.findChild<StageWindow*>()->view();
    ASSERT_TRUE(comes([&] { return !other.image().isNull(); }));
    for (const int number : {13, 30, 12}) {
        document.press(model().listId(), play::Command::What::Jump, number);
        ASSERT_TRUE(stands(CueNumber{1000 * number}));
        wait(20);
        EXPECT_TRUE(comes([&] {
            const auto lit = [](const QImage& i) { return i.pixelColor(200, 180).lightness() > 8; };
            return lit(view().stage().image()) == (number != 30) &&
                   lit(other.image()) == (number != 30);
        })) << number;
    }
}

// A long list: an edit and a press do not hold the window up.
TEST_F(CuesTest, TwoThousandCuesAreAsQuickToHandAsTen) {
    show::CueList list = *model().list();
    const auto values = cue(12000).values;
    std::vector<Table<CueNumber, show::Cue>::Change> cues;
    for (int n = 1; n <= 2000; ++n) {
        show::Cue one;
        one.number = {1000 * n};
        one.name = "cue";
        if (n % 3 == 0)
            one.values = values;
        cues.emplace_back(one.number, std::make_shared<const show::Cue>(std::move(one)));
    }
    show::Show many = *document.state().show;
    list.cues = Table<CueNumber, show::Cue>::of(std::move(cues));
    many.cue_lists = many.cue_lists.with(list.id, list);
    document.edit("x", Result<show::ShowPtr>(show::nextShow(std::move(many))));
    settle();
    ASSERT_EQ(table().rows().rowCount(), 2000);
    const auto took = [this](auto&& act) {
        QElapsedTimer time;
        time.start();
        act();
        QApplication::processEvents();
        view().grab();
        return time.elapsed();
    };
    const auto edited =
        took([&] { model().change({{1000000}}, "x", [](show::Cue& c) { c.up_s = 9; }); });
    EXPECT_EQ(cue(1000000).up_s, 9);
    click(1999000);
    const auto pressed = took([&] { model().jump({1999000}); });
    ASSERT_TRUE(stands(CueNumber{1999000}));
    EXPECT_TRUE(
        table().visualRect(table().rows().index(1998, 0)).intersects(table().viewport()->rect()));
    EXPECT_TRUE(table().find("2000", false));
    std::printf(
        "[ figures  ] 2000 cues: an edit holds the window up for %lld ms, a press for %lld\n",
        static_cast<long long>(edited), static_cast<long long>(pressed));
}

TEST_F(CuesTest, NotesAndTheStripOfTheBook) {
    click(5000);
    view().note().setFocus();
    type("rakes before the bell");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(5000).note, "rakes before the bell");
    click(6000);
    EXPECT_EQ(view().note().text(), "");
    EXPECT_EQ(window.swatches().width(), SwatchPanel::kStrip);
    QTest::mouseClick(&window.swatches(), Qt::LeftButton, {},
                      QPoint(14, window.swatches().height() - 20));
    settle();
    EXPECT_GT(window.swatches().width(), 200) << "opened over the list";
    key(Qt::Key_Escape);
    EXPECT_EQ(window.swatches().width(), SwatchPanel::kStrip);
}

TEST_F(CuesTest, TheListIsHandedOver) {
    QTemporaryDir folder;
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    view().writeCues(folder.filePath("tide"));
    ASSERT_TRUE(comes([&] { return told.contains("steps of a fade"); }, 60000))
        << told.toStdString();
    const auto cues = files::parseAsciiCues(*readFile(fromQt(folder.filePath("tide.asc"))));
    ASSERT_TRUE(cues);
    EXPECT_GT(cues->cues.size(), 31u);
    view().writeSheet(folder.filePath("tide.csv"));
    ASSERT_TRUE(comes([&] { return told.contains("Written"); }));
    ASSERT_TRUE(comes([&] { return model().picture({12000}) != nullptr; }));
    const Sheet paper = cuesOnPaper(model());
    ASSERT_EQ(paper.rows.size(), 31u);
    EXPECT_EQ(paper.rows[0].cells[1], "Preset, dusk");
    EXPECT_EQ(paper.rows[0].bars.size(), model().picture({1000})->size());
    EXPECT_EQ(coloursOnPaper(document).rows.size(), document.show().palettes.size());
    EXPECT_TRUE(coloursOnPaper(document).rows[0].swatch.isValid());
    EXPECT_EQ(patchOnPaper(document).rows.size(), document.show().fixtures.size());
    told.clear();
    view().writePaper(folder.filePath("tide"));
    ASSERT_TRUE(comes([&] { return told.contains("Written"); }));
    const auto pdf = *readFile(fromQt(folder.filePath("tide.pdf")));
    EXPECT_EQ(pdf.substr(0, 5), "%PDF-");
    EXPECT_GT(pdf.size(), 20'000u);
    view().writePaper(folder.filePath("nowhere/tide"));
    ASSERT_TRUE(comes([&] { return told.contains("cannot be written"); }));
    view().writeSheet(folder.filePath("nowhere/tide.csv"));
    ASSERT_TRUE(comes([&] { return told.contains("nowhere"); })) << "and why";
}

// Text of cells both ways.
TEST(CueTextTest, TimesAreReadAsTheyAreWritten) {
    for (const double t : {0.0, 0.5, 2.5, 7.0, 9.99, 12.0, 59.5, 60.0, 90.0, 605.0, 3600.0})
        EXPECT_NEAR(timeIn(timeText(t)).value_or(-1), t, 1e-9) << timeText(t).toStdString();
    EXPECT_EQ(timeText(90), "1:30");
    EXPECT_EQ(timeText(605), "10:05");
    EXPECT_EQ(timeText(4), "4.0");
    EXPECT_EQ(timeIn("2 s"), 2);
    EXPECT_EQ(timeIn("2,5"), 2.5);
    for (const char* bad : {"", "x", "-1", "1:60", "1:2:3", "1:", ":30", "99999999999", "nan"})
        EXPECT_FALSE(timeIn(bad)) << bad;
    show::Cue cue;
    for (const auto& [cell, text] : {std::pair(CueCell::Delay, "0.5/1.0"),
                                     {CueCell::Colour, "6.0+1.0"},
                                     {CueCell::Colour, "+2.0"},
                                     {CueCell::Follow, "4.0"},
                                     {CueCell::Follow, "done"},
                                     {CueCell::Delay, ""},
                                     {CueCell::Colour, ""},
                                     {CueCell::Follow, ""}}) {
        const auto change = changeFrom(cell, text);
        ASSERT_TRUE(change) << text;
        (*change)(cue);
        EXPECT_EQ(cellText(cue, cell, {}), text);
    }
    EXPECT_FALSE(changeFrom(CueCell::Up, ""));
    EXPECT_FALSE(changeFrom(CueCell::Colour, "6+x"));
}

} // namespace
} // namespace zelo::desk
