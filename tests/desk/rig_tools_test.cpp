// SPDX-License-Identifier: GPL-3.0-or-later
// The right side of Rig and the plan's tools: finding fixtures on a practice rig, fixture types,
// the output map, the light check, arranging lamps, rigs from and to MVR.
#include "desk/kit/button.h"
#include "desk/kit/value_control.h"
#include "desk/rig/check_panel.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/output_panel.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/rig/type_editor.h"
#include "desk/rig/types_panel.h"
#include "desk/shell/message_line.h"
#include "practice_node.h"
#include "window_test.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QTableWidget>
#include <QTemporaryDir>
#include <atomic>
#include <fstream>

namespace zelo::desk {
namespace {

class RigToolsTest : private PracticeNode, public WindowTest {
protected:
    RigToolsTest()
        : WindowTest(MainWindow::Rig,
                     std::make_unique<host::Network>(
                         wire::Cid{}, host::OutputPorts{port->port(), port->port()})) {}
    PracticeNode& node() { return *this; }
    FoundBlock* block(std::size_t lamp) {
        for (FoundBlock* b : side.find().blocks())
            if (b->uid() == responder->uid(lamp))
                return b;
        ADD_FAILURE() << "lamp " << lamp << " is not in the list";
        return nullptr;
    }
    // What the list shows follows the show within a moment.
    void pressWhenThere(std::size_t lamp, const QString& word) {
        EXPECT_TRUE(comes([&] {
            for (FoundBlock* b : side.find().blocks())
                if (b->uid() == responder->uid(lamp))
                    for (Button* button : b->findChildren<Button*>())
                        if (button->text() == word)
                            return true;
            return false;
        })) << word.toStdString();
        press(block(lamp), word);
    }
    void press(QWidget* in, const QString& word) {
        ASSERT_TRUE(in);
        for (Button* b : in->findChildren<Button*>())
            if (b->text() == word)
                return b->click();
        ADD_FAILURE() << "no button " << word.toStdString();
    }
    void search() {
        side.showPage(RigSide::Find);
        side.find().search();
        ASSERT_TRUE(comes([&] {
            return side.find().found().devices.size() == 42 && !side.find().found().searching;
        }));
    }
    RigSide& side = window.rigSide();
    Plan& plan = window.rigView().plan();
};

TEST_F(RigToolsTest, FindsAddsIdentifiesAndSettlesDifferences) {
    search();
    EXPECT_TRUE(side.find().matches().not_answering.empty());
    press(block(40), "Identify");
    EXPECT_TRUE(comes([&] { return node().identifying(40); }));
    pressWhenThere(40, "Flashing");
    EXPECT_TRUE(comes([&] { return !node().identifying(40); }));
    press(&side.find(), "Add the 2 new ones in this order");
    settle();
    ASSERT_EQ(document.show().fixtures.size(), 42u);
    EXPECT_EQ(lineup(), (std::vector{41, 42}));
    EXPECT_EQ(fixture(41).type, "avocet-7");
    EXPECT_EQ(fixture(42).address, 460);
    EXPECT_EQ(undoName(), "Add 2 lamps, found");
    // The patch says another address than the device: told, and settled from either side.
    auto moved = fixture(42);
    moved.address = 470;
    ASSERT_TRUE(document.edit("x", show::changeFixture(document.state().show, moved)));
    settle();
    pressWhenThere(41, "Change device");
    EXPECT_TRUE(comes([&] {
        return node().address(41) == 470 && side.find().found().devices[41].info.address == 470;
    }));
    moved.address = 480;
    ASSERT_TRUE(document.edit("x", show::changeFixture(document.state().show, moved)));
    EXPECT_TRUE(comes([&] {
        for (const auto& m : side.find().matches().devices)
            if (m.fixture == show::FixtureId{42} && m.words.english() == "is 42, patched at 2.480")
                return true;
        return false;
    }));
    pressWhenThere(41, "Change patch");
    EXPECT_EQ(fixture(42).address, 470);
}

TEST_F(RigToolsTest, WhatIsMissingIsTold) {
    ASSERT_TRUE(document.edit("x", show::addFixture(document.state().show, [] {
                                  show::Fixture f;
                                  f.type = "knot-2";
                                  f.number = 77;
                                  f.universe = 9;
                                  return f;
                              }())));
    search();
    EXPECT_EQ(side.find().matches().not_answering, std::vector<show::FixtureId>{{41}});
}

TEST_F(RigToolsTest, ReceiversAreInTheHeartbeat) {
    EXPECT_TRUE(comes([&] { return document.network()->receivers() == 1; }));
}

TEST_F(RigToolsTest, ATypeIsMadeFromPeakAndWidthAndLightsALamp) {
    side.showPage(RigSide::Types);
    side.types().makeNew("Shed lamp");
    auto& editor = window.rigView().typeEditor();
    ASSERT_TRUE(editor.isVisible());
    EXPECT_EQ(editor.typeId(), "shed-lamp");
    editor.addEmitter();
    editor.addEmitter();
    editor.addEmitter();
    const char* cells[3][4] = {
        {"Red", "632", "18", "300"}, {"Green", "525", "30", "700"}, {"Blue", "465", "22", "90"}};
    for (int row = 0; row < 3; ++row)
        for (int column = 0; column < 4; ++column)
            editor.emitters().item(row, column)->setText(cells[row][column]);
    editor.bits().setCurrentIndex(1);
    emit editor.bits().activated(1);
    editor.channels().item(2, 3)->setText("50");
    const auto type = library.type("shed-lamp");
    ASSERT_TRUE(type);
    ASSERT_EQ(type->emitters.size(), 3u);
    EXPECT_EQ(type->emitters[1].name, "Green");
    EXPECT_NEAR(type->emitters[1].xyz().Y, 700, 1e-6);
    EXPECT_EQ(type->modes[0].footprint, 8);
    EXPECT_EQ(type->modes[0].channels[2].home, 32768u);
    EXPECT_EQ(undoName(), "Home of Green of Shed lamp");
    editor.emitters().item(0, 1)->setText("900");
    EXPECT_NEAR(library.type("shed-lamp")->emitters[0].spectrum.at(632), // refused: as before
                type->emitters[0].spectrum.at(632), 1e-12);
    QTest::keyClick(&window, Qt::Key_Escape);
    EXPECT_FALSE(editor.isVisible());
    // A lamp of it shines, by its own mixes.
    auto f = fixture(1);
    f.type = "shed-lamp";
    f.mode.clear();
    f.universe = 8;
    ASSERT_TRUE(document.edit("x", show::changeFixture(document.state().show, f)));
    settle();
    ASSERT_TRUE(lamp(1).mixer);
    EXPECT_EQ(lamp(1).mixer->type().name, "Shed lamp");
    EXPECT_GT(lamp(1).sent.xyz.Y, 0);
    // The type travels with the show.
    const auto again = files::parseShow(*files::showText(document.show(), {}));
    ASSERT_TRUE(again);
    EXPECT_EQ(again->show->types.at("shed-lamp")->emitters.size(), 3u);
}

TEST_F(RigToolsTest, ATypeTakesAMeasuredSpectrumAndGoesThroughGdtf) {
    const QTemporaryDir folder;
    const QString spectrum = folder.filePath("amber.csv");
    std::ofstream(spectrum.toStdString()) << "nm,value\n580,0\n590,5\n600,1\n610,0\n";
    side.showPage(RigSide::Types);
    side.types().choose("petrel-4");
    side.types().makeCopy("Petrel copy");
    auto& editor = window.rigView().typeEditor();
    const double before = library.type("petrel-copy")->emitters[0].xyz().Y;
    editor.emitters().setCurrentCell(0, 0);
    editor.measured(spectrum);
    const auto type = library.type("petrel-copy");
    EXPECT_NEAR(type->emitters[0].xyz().Y, before, 1e-6) << "as bright as it was";
    EXPECT_GT(type->emitters[0].spectrum.at(590), type->emitters[0].spectrum.at(600) * 4);
    const QString gdtf = folder.filePath("copy.gdtf");
    side.types().choose("petrel-copy");
    side.types().write(gdtf);
    settle();
    side.types().remove();
    EXPECT_FALSE(library.type("petrel-copy"));
    side.types().read(gdtf);
    settle();
    ASSERT_TRUE(library.type("copy")) << "a type that is read is called as its file";
    EXPECT_NEAR(library.type("copy")->emitters[0].spectrum.at(590),
                type->emitters[0].spectrum.at(590), 1e-6);
    const auto count = document.show().types.size();
    side.types().read(folder.filePath("nothing.gdtf"));
    settle();
    EXPECT_EQ(document.show().types.size(), count);
}

TEST_F(RigToolsTest, AChangedShippedTypeComesBackWhenRemoved) {
    side.showPage(RigSide::Types);
    side.types().choose("gannet-8");
    auto& editor = window.rigView().typeEditor();
    editor.openType("gannet-8");
    editor.emitters().setCurrentCell(7, 0);
    editor.removeEmitter();
    settle();
    EXPECT_EQ(library.type("gannet-8")->emitters.size(), 7u);
    EXPECT_EQ(lamp(7).mixer->type().emitters.size(), 7u) << "its lamps mix with seven";
    side.types().remove();
    settle();
    EXPECT_EQ(lamp(7).mixer->type().emitters.size(), 8u);
}

TEST_F(RigToolsTest, TheOutputMapIsEditedInPlace) {
    side.showPage(RigSide::Output);
    auto& panel = side.output();
    EXPECT_EQ(panel.cards().currentText(), "this computer only");
    panel.addLine();
    ASSERT_EQ(document.show().outputs.size(), 1u);
    EXPECT_EQ(document.show().outputs[0].count, 2) << "the rig has two universes";
    panel.lines().item(0, 1)->setText("Art-Net");
    panel.lines().item(0, 3)->setText("0");
    EXPECT_EQ(document.show().outputs[0].protocol, show::Protocol::ArtNet);
    panel.lines().item(0, 0)->setText("1–4");
    EXPECT_EQ(document.show().outputs[0].count, 4);
    panel.lines().item(0, 2)->setText("10.1.2");
    EXPECT_EQ(document.show().outputs[0].address, "127.0.0.1") << "refused, and told";
    panel.lines().item(0, 2)->setText("10.1.2.3");
    EXPECT_EQ(document.show().outputs[0].address, "10.1.2.3");
    const auto troubles = document.network()->troubles();
    ASSERT_EQ(troubles.size(), 1u) << "nothing leaves without a choice of network";
    EXPECT_NE(troubles[0].english().find("choose a network first"), std::string::npos);
    panel.lines().item(0, 4)->setCheckState(Qt::Unchecked);
    EXPECT_FALSE(document.show().outputs[0].on);
    EXPECT_FALSE(panel.priority().isEnabled()) << "Art-Net has none";
    panel.lines().item(0, 3)->setText("1");
    panel.lines().item(0, 1)->setText("E1.31");
    EXPECT_TRUE(panel.priority().isEnabled());
    panel.priority().setFocus();
    QTest::keyClicks(&panel.priority(), "1");
    auto* editor = panel.priority().findChild<QLineEdit*>();
    ASSERT_TRUE(editor);
    QTest::keyClicks(editor, "50");
    QTest::keyClick(editor, Qt::Key_Return);
    settle();
    EXPECT_EQ(document.show().outputs[0].priority, 150);
    QTest::mouseClick(&panel.sync(), Qt::LeftButton, {}, {8, panel.sync().height() / 2});
    EXPECT_TRUE(document.show().outputs[0].sync);
    document.undo();
    settle();
    EXPECT_FALSE(document.show().outputs[0].sync);
    EXPECT_FALSE(panel.sync().isChecked()) << "and it shows";
    panel.removeLine();
    EXPECT_TRUE(document.show().outputs.empty());
    document.undo();
    EXPECT_EQ(document.show().outputs.size(), 1u);
}

TEST_F(RigToolsTest, TheLightCheckSaysWhyALampIsDark) {
    document.setLineup({{1}});
    side.showPage(RigSide::Check);
    QTest::keyClick(&window, Qt::Key_D, Qt::ControlModifier);
    settle();
    EXPECT_EQ(side.check().verdict(), "No light. Dark: it is on: all light is out.");
    QTest::keyClick(&window, Qt::Key_D, Qt::ControlModifier);
    settle();
    EXPECT_EQ(side.check().verdict(), "It shines, as asked for.");
    document.setHand("x", show::withIntensity(document.state().hand, {{5}}, 0));
    settle();
    side.check().nextDark();
    settle();
    EXPECT_EQ(lineup(), std::vector{5});
    EXPECT_EQ(side.check().verdict(),
              "No light. Intensity: 0 %, held in hand; below it in the look: 100 %.");
    document.setOnStage(false);
    document.setLineup({{1}});
    settle();
    EXPECT_TRUE(side.check().verdict().contains("Rehearsal"));
}

TEST_F(RigToolsTest, AClickOnAnAreaChoosesWhatLightsIt) {
    const QPoint quay = plan.pixelOf({4.9, -1.2}).toPoint();
    QTest::mouseClick(&plan, Qt::LeftButton, {}, quay);
    settle();
    EXPECT_EQ(lineup(), (std::vector{1, 2, 3, 4, 5, 6})) << "the front lamps throw there";
    QTest::mouseClick(&plan, Qt::LeftButton, {}, plan.pixelOf({-9.5, -3.4}).toPoint());
    settle();
    EXPECT_TRUE(lineup().empty()) << "beside the stage";
}

TEST_F(RigToolsTest, LampsAreArrangedByKey) {
    document.setLineup({{29}, {30}, {31}});
    plan.setFocus();
    QTest::keyClick(&plan, Qt::Key_E);
    EXPECT_EQ(undoName(), "Spread 3 lamps evenly");
    EXPECT_NEAR(fixture(30).place.x_m, (fixture(29).place.x_m + fixture(31).place.x_m) / 2, 0.011);
    QTest::keyClick(&plan, Qt::Key_R);
    EXPECT_EQ(fixture(29).place.y_m, fixture(31).place.y_m);
    const double aim = fixture(29).place.aim_deg;
    QTest::keyClick(&plan, Qt::Key_Period);
    EXPECT_NEAR(fixture(29).place.aim_deg, aim + 5, 1e-9);
    QTest::keyClick(&plan, Qt::Key_BracketRight);
    EXPECT_NEAR(fixture(29).place.aim_deg, aim + 20, 1e-9);
    EXPECT_EQ(undoName(), "Turn 3 lamps");
}

TEST_F(RigToolsTest, TheRigGoesThroughMvr) {
    const QTemporaryDir folder;
    const QString file = folder.filePath("rig.mvr");
    window.writeRig(file);
    settle();
    document.start(std::make_shared<const show::Show>(show::Show{"Empty"}), show::emptyHand());
    window.readRig(file);
    settle();
    ASSERT_EQ(document.show().fixtures.size(), 40u);
    EXPECT_EQ(fixture(13).type, "tern-6");
    EXPECT_EQ(fixture(13).address, 139);
    EXPECT_NEAR(fixture(13).place.y_m, 7.4, 1e-6);
    const auto steps = document.history().position();
    window.readRig(folder.filePath("none.mvr"));
    settle();
    EXPECT_EQ(document.history().position(), steps) << "a bad file changes nothing";
}

TEST_F(RigToolsTest, LongWorkIsToldAndCanBeStopped) {
    std::atomic<bool> go = false;
    bool taken = false;
    const auto work = [&] {
        document.inBackground(
            "Reading a.mvr", &window,
            [&](const std::stop_token&) {
                while (!go)
                    std::this_thread::sleep_for(std::chrono::milliseconds(5));
                return 1;
            },
            [&](int) { taken = true; });
    };
    auto* line = window.findChild<MessageLine*>();
    work();
    EXPECT_FALSE(line->isVisible()) << "what is quick is not worth a word";
    ASSERT_TRUE(comes([&] { return line->isVisible(); }));
    EXPECT_TRUE(line->texts().front().startsWith("Reading a.mvr: 0 s"));
    const auto before = window.view();
    QTest::keyClick(&window, Qt::Key_2); // the window is as quick as ever
    EXPECT_NE(window.view(), before);
    QTest::mouseClick(line, Qt::LeftButton, {}, {50, 8});
    EXPECT_FALSE(line->isVisible());
    go = true;
    settle();
    EXPECT_FALSE(taken) << "stopped: its result is not wanted";
    work();
    settle();
    EXPECT_TRUE(taken);
    // Work that is stopped can know it, and writes nothing then.
    std::atomic<bool> knew = false;
    document.inBackground(
        "Writing b.mvr", &window,
        [&](const std::stop_token& stop) {
            while (!stop.stop_requested())
                std::this_thread::sleep_for(std::chrono::milliseconds(5));
            knew = true;
            return 1;
        },
        [](int) { FAIL(); });
    ASSERT_TRUE(comes([&] { return line->isVisible(); }));
    QTest::mouseClick(line, Qt::LeftButton, {}, {50, 8});
    settle();
    EXPECT_TRUE(knew);
}

} // namespace
} // namespace zelo::desk
