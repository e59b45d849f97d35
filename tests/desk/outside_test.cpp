// SPDX-License-Identifier: GPL-3.0-or-later
// Faders, wheels and keys from outside in the real window: learned by moving, at work, told back.
#include "base/file.h"
#include "desk/cues_window.h"
#include "desk/kit/button.h"
#include "desk/kit/stations.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_model.h"
#include "desk/remote/remote_model.h"
#include "desk/remote/remote_page.h"
#include "remote/osc_message.h"
#include "wire/net/udp_port.h"

#include <QSettings>
#include <QTableWidget>
#include <QTemporaryDir>

namespace zelo::desk {
namespace {

using remote::Action;
using remote::Control;
using remote::Does;

class OutsideTest : public CuesTest {
protected:
    OutsideTest() {
        remote_.setBindings({}); // what another test may have kept
        QObject::connect(&document, &Document::told, &document,
                         [this](const QString& line) { told = line; });
    }
    ~OutsideTest() override { QSettings().remove("remote"); }
    RemoteModel& remote_ = window.remote();
    RemotePage& page = window.remotePage();
    QString told;

    static Control controller(int number) {
        return {Control::Kind::Level, 0, number, "Twelve Faders"};
    }
    static Control note(int number) { return {Control::Kind::Key, 0, number, "Twelve Faders"}; }
    void move(const Control& control, int seven) {
        remote_.heard({control, seven / 127.0, control.kind == Control::Kind::Key && seven == 0});
        settle();
    }
    void turn(const Control& control, int steps) { move(control, steps < 0 ? 128 + steps : steps); }
    int rowOf(const QString& name) {
        for (int row = 0; row < page.table().rowCount(); ++row)
            if (page.table().item(row, 0)->text() == name)
                return row;
        ADD_FAILURE() << name.toStdString();
        return 0;
    }
    // On the page, by its keys.
    void learn(const QString& name, const Control& control, int seven) {
        if (!page.isVisible())
            QTest::keyClick(&window, Qt::Key_M, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(page.isVisible());
        page.table().selectRow(rowOf(name));
        page.table().setFocus();
        QTest::keyClick(&page.table(), Qt::Key_Return);
        EXPECT_EQ(page.table().item(rowOf(name), 1)->text(), "move it now…");
        move(control, seven);
    }
    QString by(const QString& name) { return page.table().item(rowOf(name), 1)->text(); }
};

TEST_F(OutsideTest, AFaderIsLearnedByMovingItAndTakesHoldWithoutAJump) {
    learn("Master", controller(7), 3);
    EXPECT_EQ(by("Master"), "Twelve Faders: controller 7, channel 1");
    EXPECT_EQ(document.controls().master, 1) << "learning moves nothing";
    QTest::keyClick(&page.table(), Qt::Key_Escape);
    EXPECT_FALSE(page.isVisible());
    move(controller(7), 40);
    EXPECT_EQ(document.controls().master, 1) << "it stands elsewhere";
    EXPECT_TRUE(told.contains("Master stands at 100 %")) << told.toStdString();
    EXPECT_TRUE(remote_.waits({Does::Master, 0, {}}));
    move(controller(7), 126);
    EXPECT_NEAR(document.controls().master, 126 / 127.0, 1e-9) << "it came there";
    move(controller(7), 20);
    EXPECT_NEAR(document.controls().master, 20 / 127.0, 1e-9);
    auto controls = document.controls();
    controls.master = 0.9; // by the mouse
    document.setControls(controls);
    move(controller(7), 30);
    EXPECT_EQ(document.controls().master, 0.9);
    move(controller(9), 30); // nobody knows it
    EXPECT_EQ(document.controls().master, 0.9);
}

TEST_F(OutsideTest, TheShowsFadersFollow) {
    const auto& faders = document.show().faders;
    ASSERT_GT(faders.size(), 2u);
    const QString name = "Fader 3, " + toQt(faders.entry(2).second->name);
    learn(name, controller(3), 0);
    // A motor fader says first that it is touched: that is not what is learned.
    page.table().selectRow(rowOf(name));
    QTest::keyClick(&page.table(), Qt::Key_Return);
    move(note(104), 127);
    EXPECT_TRUE(remote_.learning());
    move(controller(3), 0);
    EXPECT_FALSE(remote_.learning());
    const auto level = [&] { return *remote_.standing({Does::Fader, 3, {}}); };
    EXPECT_EQ(level(), 0);
    for (const int seven : {1, 20, 60, 127}) // quicker than the screen
        remote_.heard({controller(3), seven / 127.0});
    *now += 0.1;
    EXPECT_TRUE(comes([&] { return level() == 1; }));
    EXPECT_TRUE(comes([&] { return page.table().item(rowOf(name), 2)->text() == "100 %"; }))
        << "the page goes along";
    move(controller(3), 0);
    *now += 0.1;
    EXPECT_TRUE(comes([&] { return level() == 0; }));
}

TEST_F(OutsideTest, KeysPlayTheCues) {
    learn("Next cue", note(60), 100);
    learn("Back by a cue", note(61), 100);
    learn("Dark", note(62), 100);
    QTest::keyClick(&page.table(), Qt::Key_Escape);
    EXPECT_FALSE(model().current()) << "learning starts nothing";
    move(note(60), 0); // the key is let go
    move(note(60), 90);
    move(note(60), 0);
    ASSERT_TRUE(stands(CueNumber{1000}));
    wait(10);
    move(note(60), 90);
    ASSERT_TRUE(stands(CueNumber{2000}));
    wait(10);
    move(note(61), 90);
    ASSERT_TRUE(stands(CueNumber{1000}));
    move(note(62), 90);
    move(note(62), 0);
    EXPECT_TRUE(document.controls().dark);
    move(note(62), 90);
    EXPECT_FALSE(document.controls().dark);
}

TEST_F(OutsideTest, WheelsTurnIntensityAndColourAndUndoTakesThemBack) {
    window.showView(MainWindow::Match);
    window.asking().pick("gel:214@3200");
    settle();
    document.setHand("level", show::withIntensity(document.state().hand, document.lineup(), 0.5));
    learn("Intensity of the lineup", controller(16), 1);
    learn("Warmer, cooler", controller(17), 65); // counts around 64
    QTest::keyClick(&page.table(), Qt::Key_Escape);
    const auto shown = [&] { return lamp(1).intensity; };
    const double before = shown();
    turn(controller(16), 5);
    EXPECT_NEAR(shown(), before + 0.05, 1e-6);
    turn(controller(16), -2);
    EXPECT_NEAR(shown(), before + 0.03, 1e-6);
    const auto uv = [&] { return colour::toUv(lamp(1).sent.xyz); };
    const auto warm = uv();
    move(controller(17), 60);
    EXPECT_GT(colour::distance(uv(), warm), 5e-4);
    document.undo();
    settle();
    EXPECT_LT(colour::distance(uv(), warm), 1e-6);
}

TEST_F(OutsideTest, AnEmitterIsMovedByItsName) {
    window.showView(MainWindow::Match);
    chooseGroups({"back"});
    window.asking().pick("gel:214@3200");
    settle();
    const auto& emitters = window.focusModel().focus()->lamp.mixer->type().emitters;
    learn("Emitter " + toQt(emitters[4].name), controller(20), 0);
    auto& mixing = window.matchView().mixing();
    const double before = mixing.drive(4);
    remote_.heard({controller(20), 0});
    remote_.heard({controller(20), 1});
    settle();
    remote_.heard({controller(20), 0.5});
    settle();
    EXPECT_NE(mixing.drive(4), before);
    EXPECT_NEAR(mixing.drive(4), 0.5, 1e-6);
}

TEST_F(OutsideTest, TheTableIsKeptForgottenAndPutIntoAFile) {
    learn("Master", controller(7), 3);
    EXPECT_EQ(remote::parseBindings(fromQt(QSettings().value("remote/controls").toString()))->all,
              remote_.bindings().all);
    QTemporaryDir folder;
    const QString path = folder.filePath("controls.json");
    remote_.write(path);
    ASSERT_TRUE(comes([&] { return told.startsWith("Written"); }));
    page.table().selectRow(rowOf("Master"));
    QTest::keyClick(&page.table(), Qt::Key_Delete);
    EXPECT_EQ(by("Master"), QString());
    EXPECT_EQ(model().list()->cues.size(), 31u) << "that Del was not for the cues below";
    remote_.read(path);
    ASSERT_TRUE(comes([&] { return by("Master") != ""; }));
    ASSERT_TRUE(writeFile(fromQt(path), "{}"));
    remote_.read(path);
    ASSERT_TRUE(comes([&] { return told.contains("not a table of controls"); }));
    EXPECT_NE(by("Master"), "") << "what there was stays";
    remote_.write(folder.filePath("nowhere/controls.json"));
    ASSERT_TRUE(comes([&] { return told.contains("nowhere"); }));
    // Closed while it learns: nothing is learned.
    QTest::keyClick(&page.table(), Qt::Key_Return);
    QTest::keyClick(&page.table(), Qt::Key_Escape);
    EXPECT_FALSE(remote_.learning());
}

// Over a real socket, from a program that is not this one's.
TEST_F(OutsideTest, OscMovesAndIsTold) {
    remote_.start();
    EXPECT_EQ(remote_.oscWords(), "not listening");
    const std::uint16_t port = [] { // a free one
        auto any = wire::UdpPort::open("127.0.0.1", 0, {[](auto, const auto&) {}});
        return (*any)->port();
    }();
    remote_.setOsc(remote::Listens::ThisComputer, port);
    EXPECT_EQ(remote_.oscWords(), QString("listening on this computer, port %1").arg(port));
    std::mutex mutex;
    std::vector<remote::Moved> back;
    auto other = wire::UdpPort::open(
        "127.0.0.1", 0, {[&](std::span<const std::uint8_t> bytes, const wire::Endpoint&) {
            const std::scoped_lock lock(mutex);
            for (auto& moved : remote::readOsc(bytes))
                back.push_back(moved);
        }});
    (*other)->start();
    const auto send = [&](const std::string& path, float value) {
        (*other)->send(remote::oscFor(path, value), {{127, 0, 0, 1}, port});
    };
    send("/zelo/master", 0.25F);
    EXPECT_TRUE(comes([&] { return document.controls().master == 0.25; }));
    auto controls = document.controls();
    controls.master = 0.75;
    document.setControls(controls);
    EXPECT_TRUE(comes([&] {
        const std::scoped_lock lock(mutex);
        return std::any_of(back.begin(), back.end(), [](const remote::Moved& m) {
            return m.control.name == "/zelo/master" && m.value == 0.75;
        });
    })) << "who sent is told";
    send("/zelo/next", 1);
    EXPECT_TRUE(stands(CueNumber{1000}));
    // A path of somebody's own is learned like a fader.
    remote_.learn(Action{Does::Dark, 0, {}});
    send("/my/key", 1);
    EXPECT_TRUE(comes([&] { return !remote_.learning(); }));
    EXPECT_FALSE(document.controls().dark);
    send("/my/key", 1);
    EXPECT_TRUE(comes([&] { return document.controls().dark; }));
    // After another port was chosen whoever sends first is told all, too.
    remote_.setOsc(remote::Listens::Nowhere, port);
    remote_.setOsc(remote::Listens::ThisComputer, port);
    {
        const std::scoped_lock lock(mutex);
        back.clear();
    }
    send("/nobody/knows", 1);
    EXPECT_TRUE(comes([&] {
        const std::scoped_lock lock(mutex);
        return std::any_of(back.begin(), back.end(), [](const remote::Moved& m) {
            return m.control.name == "/zelo/fader/1";
        });
    }));
    // A flood: the window goes on, and so does what comes after it.
    for (int i = 0; i < 20000; ++i)
        send("/zelo/master", 0.001F * static_cast<float>(i % 1000));
    EXPECT_TRUE(comes([&] {
        send("/zelo/master", 0.5F);
        return document.controls().master == 0.5;
    }));
    // A port that is taken is said.
    auto taken = wire::UdpPort::open("127.0.0.1", 0, {[](auto, const auto&) {}});
    remote_.setOsc(remote::Listens::ThisComputer, (*taken)->port());
    EXPECT_TRUE(remote_.oscWords().contains(QString::number((*taken)->port())))
        << remote_.oscWords().toStdString();
    EXPECT_FALSE(remote_.oscWords().contains("listening"));
}

} // namespace
} // namespace zelo::desk
