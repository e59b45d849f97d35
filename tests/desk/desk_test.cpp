// SPDX-License-Identifier: GPL-3.0-or-later
// The real window, driven as a user would: typing, picking, dragging, undoing, looking at pixels.
#include "desk/kit/button.h"
#include "desk/kit/language.h"
#include "desk/kit/stations.h"
#include "desk/kit/theme.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/readings/readings_panel.h"
#include "desk/shell/keep_form.h"
#include "desk/swatches/swatch_panel.h"
#include "support/places.h"
#include "window_test.h"

#include <QLineEdit>
#include <QListView>
#include <QSettings>
#include <QTemporaryDir>

namespace zelo::desk {
namespace {

class DeskTest : public WindowTest {
protected:
    DeskTest() { chooseGroups({"front", "back"}); }
    QColor pixel(const QPoint& inMatchView) {
        return window.matchView().grab().toImage().pixelColor(inMatchView);
    }
};

TEST_F(DeskTest, TypeTwentyOneAndPickAGel) {
    QTest::keyClick(&window, Qt::Key_Slash);
    auto* search = child<QLineEdit>("Search the swatch book");
    EXPECT_TRUE(search->hasFocus());
    QTest::keyClicks(search, "21");
    auto& model = window.swatches().model();
    ASSERT_GT(model.rowCount(), 10);
    EXPECT_EQ(model.swatch(0).number, "210") << "numbers that begin with it come first";
    for (int row = 0; row < model.rowCount(); ++row)
        EXPECT_TRUE(model.swatch(row).number.contains("21")) << row;
    QTest::keyClicks(search, "5");
    QTest::keyClick(search, Qt::Key_Return);
    settle();
    EXPECT_EQ(window.asking().headline(), "215");
    EXPECT_EQ(window.asking().headlineName(), "Kiln");
    for (int id = 1; id <= 12; ++id) {
        EXPECT_EQ(light::toText(lamp(id).colour->wanted.asked), "gel:215@3200");
        EXPECT_TRUE(lamp(id).in_hand);
    }
    // The split field shows the light computed back from what is sent.
    const auto* wanted = window.focusModel().wanted();
    const QColor expected = document.colours().of(wanted->xyz);
    EXPECT_EQ(pixel(window.matchView().wantedPixel()), expected);
    const QColor got = document.colours().of(window.focusModel().focus()->lamp.sent.xyz);
    EXPECT_EQ(pixel(window.matchView().gotPixel()), got);
    EXPECT_LT(std::abs(got.red() - expected.red()), 6);
}

TEST_F(DeskTest, TheNumbersOnTheScreenAreTheSolvers) {
    window.asking().pick("gel:338@5600");
    settle();
    const TypeRow* row = window.focusModel().focus();
    ASSERT_TRUE(row);
    EXPECT_EQ(row->name, "Gannet 8");
    const mix::Mixer& mixer = *row->lamp.mixer;
    const auto wanted = document.wanted(light::AskedGel{"338", 5600.0, {}, {}});
    const auto mix = mixer.solve(**wanted, {});
    const auto& columns = window.matchView().mix().columns();
    ASSERT_EQ(columns.size(), 8u);
    for (std::size_t e = 0; e < 8; ++e)
        EXPECT_NEAR(columns[e]->value(), 100 * mix.drives[e], 1e-6);
    const auto sent = mix::rounded(mixer, mix.drives, 1);
    EXPECT_NEAR(row->candela, sent.xyz.Y, 1e-6);
    EXPECT_NEAR(row->miss_uv, colour::distance(colour::toUv(sent.xyz), (*wanted)->uv()), 1e-12);
    const auto& readings = window.readings().rows();
    ASSERT_GE(readings.size(), 7u);
    EXPECT_NEAR(readings[0].got, colour::toUv(sent.xyz).u, 1e-12);
    EXPECT_NEAR(readings[1].wanted, (*wanted)->uv().v, 1e-12);
}

TEST_F(DeskTest, DragAColumnThenUndoItInOneStep) {
    const double before = window.matchView().mixing().drive(4); // green
    auto* column = window.matchView().mix().columns()[4];
    const auto steps = document.history().position();
    const int bottom = column->height() - LevelColumn::kBelow - 2;
    const int x = column->width() / 2;
    QTest::mousePress(column, Qt::LeftButton, {}, {x, bottom - 10});
    for (int y = bottom - 12; y > bottom - 60; y -= 4)
        QTest::mouseMove(column, {x, y});
    QTest::mouseRelease(column, Qt::LeftButton, {}, {x, bottom - 60});
    settle();
    EXPECT_GT(window.matchView().mixing().drive(4), before + 0.2);
    EXPECT_TRUE(lamp(7).by_hand);
    EXPECT_FALSE(lamp(1).by_hand) << "the other type keeps its mix";
    EXPECT_GT(window.focusModel().focus()->miss_uv, 0.002) << "what it does to the colour shows";
    EXPECT_EQ(document.history().position(), steps + 1) << "a drag is one step";
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_NEAR(window.matchView().mixing().drive(4), before, 1e-9);
    EXPECT_FALSE(lamp(7).by_hand);
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    settle();
    EXPECT_TRUE(lamp(7).by_hand);
    child<Button>("solve again")->click();
    settle();
    EXPECT_FALSE(lamp(7).by_hand);
}

TEST_F(DeskTest, EveryNumberIsAControl) {
    auto* column = window.matchView().mix().columns()[1];
    column->setFocus();
    QTest::keyClick(column, Qt::Key_End);
    EXPECT_EQ(column->value(), 100);
    QTest::keyClick(column, Qt::Key_Home);
    EXPECT_EQ(column->value(), 0);
    QTest::keyClick(column, Qt::Key_Up);
    QTest::keyClick(column, Qt::Key_Up, Qt::ControlModifier);
    EXPECT_NEAR(column->value(), 11, 1e-9);
    QTest::keyClick(column, Qt::Key_Up, Qt::ShiftModifier);
    EXPECT_NEAR(column->value(), 11.1, 1e-9);
    // Typing: figures go to the number, not to the views; Esc leaves it as it was.
    QTest::keyClick(column, Qt::Key_4);
    auto* editor = column->findChild<QLineEdit*>();
    ASSERT_TRUE(editor);
    QTest::keyClicks(editor, "2.5");
    QTest::keyClick(editor, Qt::Key_Return);
    EXPECT_NEAR(column->value(), 42.5, 1e-9);
    EXPECT_EQ(window.view(), MainWindow::Match);
    settle();
    QTest::keyClick(column, Qt::Key_9);
    editor = column->findChild<QLineEdit*>();
    ASSERT_TRUE(editor);
    QTest::keyClick(editor, Qt::Key_Escape);
    EXPECT_NEAR(column->value(), 42.5, 1e-9);
    EXPECT_FALSE(document.state().hand->empty()) << "that Esc was the field's, not the hand's";
    settle();
    QTest::keyClick(column, Qt::Key_Backspace);
    settle();
    EXPECT_FALSE(lamp(7).by_hand) << "reset is the solver's answer";
}

TEST_F(DeskTest, PinsAndKeepOuts) {
    auto* amber = window.matchView().mix().columns()[2];
    amber->setFocus();
    QTest::keyClick(amber, Qt::Key_X);
    settle();
    EXPECT_TRUE(window.matchView().mixing().keptOut(2));
    EXPECT_EQ(window.matchView().mixing().drive(2), 0);
    EXPECT_LT(window.focusModel().focus()->miss_uv, 1e-4) << "the others make the colour";
    QTest::keyClick(amber, Qt::Key_X);
    settle();
    EXPECT_FALSE(window.matchView().mixing().keptOut(2));
    const double at = window.matchView().mixing().drive(3);
    auto* lime = window.matchView().mix().columns()[3];
    lime->setFocus();
    QTest::keyClick(lime, Qt::Key_P);
    settle();
    EXPECT_TRUE(window.matchView().mixing().pinned(3));
    window.asking().pick("gel:207");
    settle();
    EXPECT_NEAR(window.matchView().mixing().drive(3), at, 1e-12);
}

TEST_F(DeskTest, IntentAndGiveUp) {
    auto* intents = child<Stations>("Intent");
    intents->setFocus();
    const double truest = window.focusModel().focus()->candela;
    QTest::keyClick(intents, Qt::Key_Left);
    settle();
    EXPECT_GT(window.focusModel().focus()->candela, truest * 1.2);
    window.matchView().mixing().setGiveUp(0.6, 0);
    settle();
    EXPECT_EQ(intents->chosen(), 1) << "giving up brightness asks for the truest";
    EXPECT_LT(window.focusModel().focus()->candela, truest);
    ASSERT_GE(window.matchView().mixing().tradeOff().size(), 16u);
    const auto& trade = window.matchView().mixing().tradeOff();
    EXPECT_GE(trade.back().value, trade.front().value) << "less light, truer spectrum";
    for (const auto intent : {mix::Intent::Kindest, mix::Intent::Leanest}) {
        window.matchView().mixing().setIntent(intent);
        settle();
        EXPECT_EQ(intents->chosen(), static_cast<int>(intent));
        EXPECT_LT(window.focusModel().focus()->miss_uv, 1e-4);
        EXPECT_GE(window.matchView().mixing().tradeOff().size(), 16u);
        EXPECT_FALSE(window.matchView().mixing().tradeOffName().isEmpty());
    }
}

TEST_F(DeskTest, TheLampBehindTheGelIsANumber) {
    auto* lamp_k = child<NumberField>("Lamp behind the gel");
    EXPECT_EQ(lamp_k->value(), 3200);
    const auto before = window.focusModel().wanted()->uv();
    lamp_k->setFocus();
    QTest::keyClicks(lamp_k, "5");
    QTest::keyClicks(lamp_k->findChild<QLineEdit*>(), "600");
    QTest::keyClick(lamp_k->findChild<QLineEdit*>(), Qt::Key_Return);
    settle();
    EXPECT_EQ(light::toText(window.focusModel().wish()->asked), "gel:214@5600");
    EXPECT_GT(colour::distance(window.focusModel().wanted()->uv(), before), 0.01);
    window.asking().pick("gel:338");
    EXPECT_EQ(light::toText(window.focusModel().wish()->asked), "gel:338@5600")
        << "the lamp in use stays";
}

TEST_F(DeskTest, TypedKelvinsAndChromaticitiesAreRows) {
    auto& model = window.swatches().model();
    model.setQuery("3275");
    ASSERT_GE(model.rowCount(), 1);
    EXPECT_EQ(light::toText(model.swatch(0).asked), "cct:3275");
    model.setQuery("xy:0.44,0.40");
    ASSERT_EQ(model.rowCount(), 1);
    window.asking().pick(model.swatch(0).asked);
    settle();
    EXPECT_LT(window.focusModel().focus()->miss_uv, 1e-4);
    EXPECT_TRUE(window.matchView().mixing().tradeOff().empty())
        << "a colour without a spectrum has no curve, not the last one's";
    model.setQuery("no such gel");
    EXPECT_EQ(model.rowCount(), 0);
    EXPECT_TRUE(model.trouble().empty());
    model.setQuery("xy:0.01,0.01");
    EXPECT_EQ(model.rowCount(), 0);
    EXPECT_NE(model.trouble().english().find("no light has this"), std::string::npos)
        << "it is said why";
    model.setQuery("lavender");
    EXPECT_GE(model.rowCount(), 2) << "found by a word of the name";
}

TEST_F(DeskTest, ChipsSayHowGoodEachColourIs) {
    auto& model = window.swatches().model();
    EXPECT_EQ(model.chipType(), "Petrel 4") << "of the lineup's first lamp";
    int out = 0;
    for (int row = 0; row < model.rowCount(); ++row) {
        const auto* palette = document.show().palette(model.swatch(row).palette);
        if (palette && !palette->colour)
            continue; // an intensity alone has no colour
        ASSERT_TRUE(model.chip(row)) << row;
        out += model.chip(row)->out_of_reach;
    }
    EXPECT_GT(out, 0);
    EXPECT_LT(out, model.rowCount() / 2);
}

TEST_F(DeskTest, PutDownKeepAndTheirKeys) {
    window.asking().pick("gel:341");
    settle();
    QTest::keyClick(&window, Qt::Key_Escape);
    settle();
    EXPECT_TRUE(document.state().hand->empty());
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:214@3200");
    window.asking().pick("gel:341");
    window.setFocus();
    QTest::keyClick(&window, Qt::Key_K);
    auto* form = window.findChild<KeepForm*>();
    ASSERT_TRUE(form) << "K asks what to keep it as; the stage is the first";
    QTest::keyClick(form, Qt::Key_Return);
    settle();
    EXPECT_TRUE(document.state().hand->empty());
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:341@3200");
}

TEST_F(DeskTest, LineupDragSetsIntensityAndOrder) {
    auto& panel = window.lineupPanel();
    const int middle = 260 + (panel.width() - 540) / 2;
    QTest::mousePress(&panel, Qt::LeftButton, {}, {middle - 20, 60});
    for (int y = 62; y <= 90; y += 4)
        QTest::mouseMove(&panel, {middle - 20, y});
    QTest::mouseRelease(&panel, Qt::LeftButton, {}, {middle - 20, 90});
    settle();
    EXPECT_LT(lamp(1).intensity, 0.6);
    EXPECT_NEAR(lamp(7).intensity / lamp(1).intensity, 0.68, 0.01) << "lamps keep their relation";
    const auto first = document.lineup().front();
    panel.reverse();
    EXPECT_EQ(document.lineup().back(), first);
    panel.fromTheMiddle();
    auto sorted = document.lineup();
    std::sort(sorted.begin(), sorted.end());
    EXPECT_EQ(std::unique(sorted.begin(), sorted.end()), sorted.end()) << "every lamp once";
    panel.chooseAll();
    EXPECT_EQ(document.lineup().size(), 40u);
}

TEST_F(DeskTest, TypesInTheLineupAreRowsAndCanTakeTheFocus) {
    chooseGroups({"front", "back", "cyc"});
    settle();
    ASSERT_EQ(window.focusModel().rows().size(), 3u);
    window.matchView().typeButtons()[2]->click();
    settle();
    EXPECT_EQ(window.focusModel().focus()->name, "Tern 6");
    EXPECT_EQ(window.matchView().mix().columns().size(), 6u);
    document.setLineup({});
    settle();
    EXPECT_EQ(window.focusModel().focus(), nullptr);
    window.asking().pick("gel:214"); // says so, does nothing
    EXPECT_FALSE(window.grab().isNull());
}

TEST_F(DeskTest, ViewsByKeyAndTheOnesToComeSayWhat) {
    for (int key = 1; key <= 6; ++key) {
        QTest::keyClick(&window, static_cast<Qt::Key>(Qt::Key_0 + key));
        EXPECT_EQ(window.view(), key - 1);
    }
    QTest::keyClick(&window, Qt::Key_2, Qt::ControlModifier);
    EXPECT_EQ(window.view(), MainWindow::Match);
}

TEST_F(DeskTest, DarkAndRehearsal) {
    QTest::keyClick(&window, Qt::Key_D, Qt::ControlModifier);
    settle();
    EXPECT_EQ(lamp(1).dark, play::DarkWhy::Blackout);
    EXPECT_TRUE(child<Button>("Dark")->isChecked());
    QTest::keyClick(&window, Qt::Key_D, Qt::ControlModifier);
    settle();
    EXPECT_EQ(lamp(1).dark, play::DarkWhy::None);
    QTest::keyClick(&window, Qt::Key_F9);
    EXPECT_FALSE(document.onStage());
}

TEST_F(DeskTest, EveryControlHasANameATipAndAKeyboardWay) {
    for (QWidget* w : window.findChildren<QWidget*>()) {
        const bool control = w->focusPolicy() != Qt::NoFocus && w->isVisible();
        if (!control || qobject_cast<QListView*>(w->parentWidget()))
            continue;
        EXPECT_FALSE(w->accessibleName().isEmpty()) << w->metaObject()->className();
        EXPECT_FALSE(w->toolTip().isEmpty()) << w->accessibleName().toStdString();
    }
}

TEST_F(DeskTest, TheInterfaceIsGrey) { // only light is coloured
    document.setLineup({});
    settle();
    for (const auto* t : {&boothTheme(), &deskTheme()}) {
        useTheme(*t);
        QApplication::processEvents();
        const QImage header = window.grab(QRect(0, 0, window.width(), 48)).toImage();
        for (int x = 0; x < header.width(); x += 3)
            for (int y = 0; y < header.height(); y += 3) {
                const QColor c = header.pixelColor(x, y);
                ASSERT_LE(std::max({c.red(), c.green(), c.blue()}) -
                              std::min({c.red(), c.green(), c.blue()}),
                          2)
                    << x << "," << y;
            }
    }
    useTheme(boothTheme());
}

TEST_F(DeskTest, WhatIsUndoneIsNotHeldByTheColumns) {
    chooseGroups({"back"});
    auto& mixing = window.matchView().mixing();
    const double before = mixing.drive(0);
    const double green = mixing.drive(4);
    mixing.setDrive(0, 0.33, 1);
    EXPECT_EQ(mixing.drive(0), 0.33) << "ahead of the stage";
    document.undo(); // before the stage came
    EXPECT_EQ(mixing.drive(0), before);
    mixing.setDrive(4, 0.5, 2);
    settle();
    EXPECT_NEAR(lamp(7).drives[0], before, 1e-9) << "only the green of it";
    EXPECT_NEAR(lamp(7).drives[4], 0.5, 1e-9);
    // A type with other parts is in focus before the stage has caught up.
    mixing.setDrive(4, 0.6, 3);
    chooseGroups({"front"});
    mixing.setDrive(1, 0.4, 4);
    settle();
    EXPECT_NEAR(lamp(1).drives[1], 0.4, 1e-9);
    document.undo();
    document.undo();
    document.undo();
    chooseGroups({"back"});
    EXPECT_NEAR(mixing.drive(4), green, 1e-9);
}

TEST_F(DeskTest, AnEmitterRemovedOrAddedInTheTypeInFocusIsAColumnLessOrMore) {
    chooseGroups({"back"});
    const auto columns = [&] { return window.matchView().mix().columns().size(); };
    ASSERT_EQ(columns(), 8u);
    auto type = *document.library().type("gannet-8");
    type.emitters.pop_back();
    for (auto& mode : type.modes)
        std::erase_if(mode.channels, [](const light::Channel& c) {
            return c.role == light::Role::Part && c.part == 7;
        });
    window.matchView().mixing().setDrive(7, 0.5, 1); // the one that goes is in hand
    ASSERT_TRUE(document.edit(
        "x", show::keepType(document.state().show, std::make_shared<light::FixtureType>(type))));
    settle();
    EXPECT_EQ(columns(), 7u);
    document.undo();
    settle();
    EXPECT_EQ(columns(), 8u);
}

TEST_F(DeskTest, ADoubleClickOnAGelIsOneStep) {
    auto& panel = window.swatches();
    const auto steps = document.history().position();
    const QPoint at = panel.list().visualRect(panel.model().index(11, 0)).center();
    QTest::mouseClick(panel.list().viewport(), Qt::LeftButton, {}, at);
    QTest::mouseDClick(panel.list().viewport(), Qt::LeftButton, {}, at);
    settle();
    EXPECT_EQ(document.history().position(), steps + 1);
}

TEST_F(DeskTest, ABrokenShowIsToldAndNothingIsLost) {
    QTemporaryDir folder;
    QFile file(folder.filePath("bad.zelo"));
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("{\"format\": \"zelochrome-show\", \"version\": 1, \"fixtures\": [{\"id\": 1}]}");
    file.close();
    const auto opened = window.files().open(file.fileName());
    ASSERT_FALSE(opened);
    EXPECT_NE(opened.error().text().find("fixtures[0].type"), std::string::npos);
    EXPECT_EQ(document.show().name, "The Salt Lanterns");
}

TEST(Text, NumbersAsPeopleReadThem) {
    EXPECT_EQ(numberText(-0.0024, 4), QString(QChar(0x2212)) + "0.0024");
    EXPECT_EQ(numberText(-0.00001, 4), "0.0000") << "no minus before nothing";
    EXPECT_EQ(numberText(9620, 0), QString("9") + QChar(0x2009) + "620");
    EXPECT_EQ(numberText(999.4, 0), "999");
    EXPECT_EQ(numberOrDash(NAN, 2), QString(QChar(0x2013)));
}

} // namespace
} // namespace zelo::desk

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM"))
        qputenv("QT_QPA_PLATFORM", "offscreen");
    const QTemporaryDir runtime;
    if (qEnvironmentVariableIsEmpty("XDG_RUNTIME_DIR"))
        qputenv("XDG_RUNTIME_DIR", runtime.path().toUtf8());
    QTemporaryDir settings; // never the user's own
    qputenv("XDG_CONFIG_HOME", settings.path().toUtf8());
    ::testing::InitGoogleTest(&argc, argv);
    QApplication app(argc, argv);
    zelo::desk::loadFonts(zelo::places::data);
    zelo::desk::useLanguage("en"); // whatever the desktop speaks
    QApplication::setStyle("Fusion");
    zelo::desk::useTheme(zelo::desk::boothTheme());
    return RUN_ALL_TESTS();
}
