// SPDX-License-Identifier: GPL-3.0-or-later
// Every text of every view at every size of window: none over another, none cut.
#include "desk/crossfade/crossfade_side.h"
#include "desk/cues/cue_model.h"
#include "desk/gradient/gradient_model.h"
#include "desk/gradient/gradient_view.h"
#include "desk/kit/button.h"
#include "desk/kit/language.h"
#include "desk/kit/text_log.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/calibration_view.h"
#include "desk/match/camera_menu.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/readings/full_readings.h"
#include "desk/readings/readings_panel.h"
#include "desk/remote/remote_page.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/rig/type_editor.h"
#include "desk/rig/types_panel.h"
#include "desk/ripple/ripple_model.h"
#include "desk/shell/settings.h"
#include "desk/shell/settings_page.h"
#include "desk/shell/tour.h"
#include "desk/swatches/swatch_panel.h"
#include "light/type_edit.h"
#include "show/edits.h"
#include "show/kept.h"
#include "window_test.h"

#include <QListView>
#include <QScrollArea>
#include <QScrollBar>
#include <QTranslator>

namespace zelo::desk {
namespace {

// Sizes of the window on the screen; at 140 and 200 % (tests/CMakeLists.txt) there is room for less
// in it, and below the least that it can be it is scrolled (shell/frame). The largest, which costs
// as much as all others together and has the most room, is looked at with the longest texts, and
// at 200 %, as people have it.
std::vector<std::pair<int, int>> sizes() {
    std::vector<std::pair<int, int>> all;
    const double scale = qApp->devicePixelRatio();
    const bool largest = scale >= 2 || qEnvironmentVariable("ZELO_TEST_LANGUAGE") == "longer";
    for (const auto& [w, h] : {std::pair{1024, 700},
                               {1180, 720},
                               {1280, 800},
                               {1366, 768},
                               {1920, 1080},
                               {3840, 2160}}) {
        if (w == 3840 && !largest)
            continue;
        const std::pair size{std::max(1024, static_cast<int>(w / scale)),
                             std::max(700, static_cast<int>(h / scale))};
        if (all.empty() || all.back() != size)
            all.push_back(size);
    }
    return all;
}

// English, and every text 40 % longer.
class Longer : public QTranslator {
public:
    Longer() { EXPECT_TRUE(english_.load(":/translations/zelochrome_en.qm")); }
    bool isEmpty() const override { return false; }
    QString translate(const char* context, const char* source, const char* comment,
                      int n) const override {
        QString text = english_.translate(context, source, comment, n);
        if (text.isEmpty())
            text = source;
        const bool word =
            std::any_of(text.begin(), text.end(), [](QChar c) { return c.isLetter(); });
        if (!word)
            return text;
        const auto end = text.size() + (2 * text.size() + 2) / 5;
        while (text.size() < end) // in words, as a language has them
            text += text.size() % 9 == 8 ? QChar(' ') : QChar('o');
        return text;
    }

private:
    QTranslator english_;
};

// One of the languages of tests/CMakeLists.txt, from before the window is made.
struct Spoken {
    Spoken() {
        const QString tag = qEnvironmentVariable("ZELO_TEST_LANGUAGE", "en");
        useLanguage(tag);
        if (tag == "longer")
            QCoreApplication::installTranslator(&longer);
    }
    ~Spoken() {
        QCoreApplication::removeTranslator(&longer);
        useLanguage("en");
    }
    Longer longer;
};

class LayoutTest : private Spoken, public WindowTest {
protected:
    QStringList own_words; // names and notes, which may be shortened: tips tell them whole
    // What is wrong with the texts of the window as it is now.
    std::vector<std::string> wrong() {
        settle();
        TextLog log;
        const QPixmap picture = window.grab();
        std::vector<std::string> found;
        const auto& texts = log.texts();
        const auto* list = window.swatches().list().viewport();
        const QRectF book = QRectF(QRect(list->mapTo(&window, QPoint()), list->size()))
                                .adjusted(0, -1, 0, 1); // at 140 % an edge is no whole pixel
        std::vector<QRectF> scrolled_in{book};
        for (const auto* room : window.findChildren<QScrollArea*>())
            if (room->isVisible() && room->verticalScrollBar()->maximum() > 0)
                scrolled_in.emplace_back(
                    QRect(room->mapTo(&window, QPoint()), room->size()).adjusted(0, -1, 0, 1));
        EXPECT_GT(texts.size(), 12u);
        for (std::size_t i = 0; i < texts.size(); ++i) {
            // Rows that are scrolled are cut by the edge of their list.
            const bool scrolled =
                std::any_of(scrolled_in.begin(), scrolled_in.end(),
                            [&](const QRectF& room) { return room.intersects(texts[i].place); });
            const QString start = texts[i].text.chopped(texts[i].text.endsWith(u'…'));
            const bool own = !start.isEmpty() && std::any_of(own_words.begin(), own_words.end(),
                                                             [&](const QString& word) {
                                                                 return word.startsWith(start);
                                                             });
            if (texts[i].cut && !scrolled && !own)
                found.push_back("cut: " + fromQt(texts[i].text));
            for (std::size_t j = 0; j < i; ++j) {
                const QRectF both = texts[i].place.intersected(texts[j].place);
                if (both.width() > 1.5 && both.height() > 1.5)
                    found.push_back(
                        fromQt("over each other: " + texts[j].text + " | " + texts[i].text));
            }
        }
        return found;
    }
    void expectClean(const std::string& what) {
        for (const auto& [w, h] : sizes()) {
            window.resize(w, h);
            settle();
            for (const auto& fault : wrong())
                ADD_FAILURE() << what << " at " << w << " x " << h << ": " << fault;
        }
    }
};

TEST_F(LayoutTest, MatchWithOneThreeAndSixTypes) {
    for (const auto& groups : {std::vector<std::string>{"back"}, {"front", "back", "cyc"}}) {
        chooseGroups(groups);
        for (const char* colour : {"gel:214@3200", "cct:5600", "xy:0.12,0.79", "hex"}) {
            window.asking().pick(std::string(colour) == "hex" ? "srgb:#f08040" : colour);
            expectClean(std::to_string(groups.size()) + " groups, " + colour);
        }
    }
    auto show = document.state().show;
    show::Lineup more = document.lineup();
    int address = 1;
    for (const char* id : {"avocet-7", "plover-5", "knot-2"}) {
        show::Fixture f;
        f.type = id;
        f.mode = document.library().type(id)->modes[0].name;
        f.number = 900 + address;
        f.universe = 9;
        f.address = address;
        address += 50;
        const auto next = show::addFixture(show, f);
        ASSERT_TRUE(next);
        show = *next;
        more.push_back({show->last_fixture_id});
    }
    ASSERT_TRUE(document.edit("three more types", Result<show::ShowPtr>(show)));
    document.setLineup(more);
    window.asking().pick("gel:214@3200");
    settle();
    ASSERT_EQ(window.focusModel().rows().size(), 6u);
    expectClean("six types");
    // Those that have no room are scrolled to, and the one in focus is in view.
    window.resize(1024, 700);
    const auto& rows = window.matchView().typeButtons();
    for (auto* row : rows) {
        row->click();
        settle();
        EXPECT_FALSE(row->visibleRegion().isEmpty());
        EXPECT_EQ(row->visibleRegion().boundingRect().height(), row->height());
    }
}

TEST_F(LayoutTest, MixInEveryState) {
    chooseGroups({"back"});
    window.asking().pick("gel:214");
    for (int intent = 0; intent < 5; ++intent) {
        window.matchView().mixing().setIntent(static_cast<mix::Intent>(intent));
        expectClean("intent " + std::to_string(intent));
    }
    window.matchView().mixing().setDrive(0, 0.5, 0);
    expectClean("by hand");
    window.matchView().mix().setFamilies(true);
    expectClean("families");
}

TEST_F(LayoutTest, SettingsOnOnePage) {
    kEye_k.set(5600); // its number stands there too
    window.settings().open();
    expectClean("settings");
    kEye_k.set(0);
}

TEST_F(LayoutTest, SeenByACamera) {
    chooseGroups({"front", "back", "cyc"});
    window.asking().pick("gel:214@3200");
    window.matchView().lookThrough(true);
    settle();
    document.tell({}); // what it tells is read by then
    ASSERT_TRUE(document.camera());
    expectClean("balanced to kelvin");
    setCameraBalance(document, *document.camera(), light::AskedGel{"214", 3200, {}, {}});
    window.matchView().mixing().setIntent(mix::Intent::Filmed);
    expectClean("balanced to a gel, Filmed");
    for (const int view : {MainWindow::Rig, MainWindow::Cues}) {
        window.showView(view);
        expectClean("view " + std::to_string(view));
    }
}

TEST_F(LayoutTest, MatchWithLongNamesOfEmitters) {
    auto type = *document.library().type("gannet-8");
    for (std::size_t e = 0; e < type.emitters.size(); ++e)
        type.emitters[e].name = "Remotephosphordiode" + std::to_string(e); // 20 letters
    ASSERT_TRUE(document.edit("names", show::keepType(document.state().show,
                                                      std::make_shared<light::FixtureType>(type))));
    chooseGroups({"back"});
    window.asking().pick("gel:214@3200");
    expectClean("long names");
    // Where they do not fit below one another Mix is scrolled, and all of it can be seen.
    window.resize(1024, 700);
    settle();
    auto* room =
        qobject_cast<QScrollArea*>(window.matchView().mix().parentWidget()->parentWidget());
    ASSERT_TRUE(room);
    ASSERT_GT(room->verticalScrollBar()->maximum(), 0);
    QStringList seen;
    for (const int y : {0, room->verticalScrollBar()->maximum()}) {
        room->verticalScrollBar()->setValue(y);
        const TextLog log;
        const QPixmap picture = window.grab();
        for (const PaintedText& t : log.texts())
            if (t.text.startsWith("remotephosphordiode", Qt::CaseInsensitive) && !t.cut)
                seen << t.text;
    }
    seen.removeDuplicates();
    EXPECT_EQ(seen.size(), 8) << seen.join(", ").toStdString();
    for (const LevelColumn* column : window.matchView().mix().columns())
        EXPECT_TRUE(column->toolTip().contains("Remotephosphordiode"));
}

TEST_F(LayoutTest, MatchWithEveryTypeThatShips) {
    auto show = document.state().show;
    std::vector<show::FixtureId> lamps;
    for (const auto& type : library.types()) {
        show::Fixture f;
        f.type = type->id;
        f.mode = type->modes[0].name;
        f.number = 900 + static_cast<int>(lamps.size());
        f.universe = 9;
        f.address = 1 + 30 * static_cast<int>(lamps.size());
        const auto next = show::addFixture(show, f);
        ASSERT_TRUE(next);
        show = *next;
        lamps.push_back({show->last_fixture_id});
    }
    ASSERT_TRUE(document.edit("all types", Result<show::ShowPtr>(show)));
    for (const auto id : lamps) {
        document.setLineup({id});
        window.asking().pick("gel:214");
        expectClean(fixture(id.value).type);
    }
}

TEST_F(LayoutTest, OneThingIsNotToldAsMany) {
    if (qEnvironmentVariable("ZELO_TEST_LANGUAGE") == "longer")
        GTEST_SKIP() << "nobody speaks it";
    document.setLineup({{1}});
    window.asking().pick("gel:214");
    window.showView(MainWindow::Rig);
    window.rigSide().showPage(RigSide::Types);
    window.rigSide().types().choose("skua-cmy"); // one emitter
    settle();
    const TextLog log;
    const QPixmap picture = window.grab();
    QStringList all;
    for (const PaintedText& t : log.texts())
        all << t.text;
    const bool german = qEnvironmentVariable("ZELO_TEST_LANGUAGE") == "de";
    const auto said = [&](const QString& english, const QString& in_german) {
        return all.filter(german ? in_german : english).size() == 1;
    };
    EXPECT_TRUE(said("1 in hand, Esc puts it down", "1 in der Hand, Esc legt sie ab"))
        << all.join('|').toStdString();
    EXPECT_TRUE(said("1 lamp of one type", "1 Lampe eines Typs"));
    EXPECT_TRUE(said("1 emitter", "1 Emitter"));
    EXPECT_TRUE(said("3 modes", "3 Modi")) << all.join('|').toStdString();
}

TEST_F(LayoutTest, WhatLiesOverMatch) {
    chooseGroups({"back"});
    window.asking().pick("cct:3200");
    settle();
    window.matchView().fullReadings().open();
    expectClean("readings in full");
    window.matchView().fullReadings().hide();
    window.matchView().calibration().open();
    expectClean("calibration");
}

TEST_F(LayoutTest, ControlsFromOutsideAndTheTour) {
    chooseGroups({"front", "back", "cyc"});
    window.remotePage().open();
    expectClean("controls from outside");
    window.remotePage().hide();
    const int before = kTourStep.get();
    for (int step = 0; step < Tour::kSteps; ++step) {
        kTourStep.set(step);
        window.tour().toggle();
        for (const auto& [w, h] : sizes()) { // it lies over others, and is read itself
            window.resize(w, h);
            for (const auto& fault : wrong())
                EXPECT_FALSE(fault.starts_with("cut")) << step << " at " << w << ": " << fault;
            EXPECT_TRUE(window.rect().contains(window.tour().geometry())) << step << " at " << w;
            EXPECT_TRUE(window.tour().isVisible());
        }
        window.tour().toggle();
    }
    kTourStep.set(before);
}

TEST_F(LayoutTest, RigAndItsTools) {
    window.showView(MainWindow::Rig);
    chooseGroups({"front", "back"});
    window.rigView().plan().setBeams(true);
    for (const int page : {RigSide::Find, RigSide::Types, RigSide::Output, RigSide::Check}) {
        window.rigSide().showPage(page);
        expectClean("rig, page " + std::to_string(page));
    }
    show::OutputLine line{1, 2, show::Protocol::E131, "127.0.0.1", 1};
    line.priority = 150;
    line.sync = true;
    document.edit("x", show::changeOutputs(document.state().show,
                                           {line, {3, 1, show::Protocol::ArtNet, "10.1.2.3", 0}}));
    window.rigSide().showPage(RigSide::Output);
    expectClean("output with lines");
    window.rigView().typeEditor().openType("gannet-8");
    expectClean("type editor");
}

TEST_F(LayoutTest, GradientInEveryState) {
    window.showView(MainWindow::Gradient);
    chooseGroups({"cyc"});
    expectClean("gradient, none yet");
    chooseGroups({"front", "back", "cyc"});
    auto tide = *document.show().paletteNamed("Tide line")->gradient;
    document.setHand("x", *show::withGradient(document.state().hand, document.lineup(), tide));
    window.gradientModel().choose(1);
    expectClean("gradient over three types");
    tide.bright = show::Bright::Spread;
    tide.intensities = {{1, {}, {}}, {0.3, {}, {}}, {1, {}, {}}};
    tide.arrangement.order = route::Order::Shuffled;
    tide.along = show::AlongPlan{0, true, 1, 2};
    std::vector<double> at{0, 0.4, 1};
    for (int i = 0; i < 6; ++i) {
        const double here = 0.45 + 0.08 * i;
        show::addStop(tide, {*light::parseAsked("gel:104"), {}, here, {}}, at);
        at.insert(at.end() - 1, here);
    }
    document.setHand("x", *show::withGradient(document.state().hand, document.lineup(), tide));
    settle();
    window.gradientModel().chooseIntensity(1);
    if (qEnvironmentVariable("ZELO_TEST_LANGUAGE") == "de")
        EXPECT_EQ(window.gradientView().order().text(), "gemischt");
    expectClean("gradient with all it can have");
    chooseGroups({"front"});
    expectClean("gradient, other lamps");
}

TEST_F(LayoutTest, ViewsToComeAndNoLamps) {
    document.setLineup({});
    for (int view = 0; view < 6; ++view) {
        window.showView(view);
        expectClean("view " + std::to_string(view) + ", no lamps");
    }
}

TEST_F(LayoutTest, RipplesOfAllPatterns) {
    chooseGroups({"front", "back", "cyc"});
    window.showView(MainWindow::Ripple);
    auto& model = window.rippleModel();
    settle();
    expectClean("not of this lineup");
    model.layOverLineup();
    for (const auto pattern : {show::Pattern::Cycle, show::Pattern::March, show::Pattern::Pulse}) {
        model.edit("x", [&](show::Ripple& r) { r.pattern = pattern; });
        settle();
        expectClean(show::nameOf(pattern));
    }
    // Out of reach, faster than frames, all that can be set.
    model.setColour(1, *light::parseAsked("xy:0.12,0.79"), {});
    model.edit("x", [](show::Ripple& r) {
        r.every_s = 0.01;
        r.end = show::RippleEnd::Stop;
        r.arrangement.order = route::Order::ToAndFro;
        r.along = show::AlongPlan{};
        r.chance = show::Chance::OneAfterAnother;
        r.way = route::StopWay{};
        for (auto& step : r.steps)
            step.intensity = 0.5;
    });
    settle();
    expectClean("all that can be set");
    model.begin();
    settle();
    expectClean("none yet");
}

TEST_F(LayoutTest, CrossfadeInAllItsWays) {
    chooseGroups({"front", "back"});
    window.showView(MainWindow::Crossfade);
    auto& model = window.crossfadeModel();
    settle();
    expectClean("around");
    for (const auto kind : {route::Kind::Dark, route::Kind::Jump, route::Kind::Levels}) {
        model.editWay("x", [&](route::StopWay& way) { way.kind = kind; });
        model.setMoment(0.5);
        settle();
        expectClean(route::nameOf(kind));
    }
    // A dark end that needs a cure, a third ribbon, a long time, lamps as they are.
    model.takeLamps(true);
    model.setEnd(false, "x", {});
    model.setDarkFirst(false);
    model.edit("x", [](show::Crossfade& fade) { fade.time_s = 3600; });
    window.crossfadeSide().console().click();
    settle();
    EXPECT_FALSE(window.crossfadeSide().cures().empty());
    expectClean("from dark");
}

TEST_F(LayoutTest, CuesStandingRehearsingAndNone) {
    chooseGroups({"front", "back"});
    window.showView(MainWindow::Cues);
    auto& cues = window.cueModel();
    comes([&] { return !cues.allFindings().empty(); }, 30000);
    expectClean("at the beginning");
    cues.setGuard(0);
    cues.jump({18000});
    EXPECT_TRUE(comes([&] { return cues.current() == show::CueNumber{18000}; }));
    cues.hold();
    cues.change({{18000}}, "x", [](show::Cue& cue) {
        cue.note = std::string(200, 'n');
        cue.name = "The two sisters meet on the quay";
        cue.up_s = 3600;
        cue.up_delay_s = 12.5;
        cue.colour_s = 6.25;
        cue.colour_delay_s = 90;
        cue.follow = show::FollowWhen::WhenDone;
    });
    for (const auto& f : document.show().faders)
        document.setFader(f.first, 1);
    settle();
    for (const auto& [number, cue] : cues.list()->cues)
        own_words << toQt(cue->name) << toQt(cue->note);
    expectClean("standing in a cue");
    document.setOnStage(false);
    cues.jump({12000});
    settle();
    expectClean("rehearsing");
    show::Show bare = *document.state().show;
    bare.cue_lists = {};
    bare.faders = {};
    document.edit("x", Result<show::ShowPtr>(show::nextShow(std::move(bare))));
    settle();
    expectClean("none");
}

// What stands in the header only now and then, and what trims say.
TEST_F(LayoutTest, SoloTimeAndTrims) {
    chooseGroups({"front", "back"});
    auto controls = document.controls();
    controls.solo = {{1}, {2}};
    document.setControls(controls);
    document.setTimeInHand(120);
    settle();
    QTest::keyClick(&window.lineupPanel(), Qt::Key_Down);
    QTest::keyClick(&window, Qt::Key_F3);
    settle();
    expectClean("solo, a time, trims");
    window.showView(MainWindow::Rig);
    expectClean("solo in the rig");
}

TEST_F(LayoutTest, NoReadingDisappearsAtTheSmallestSize) {
    chooseGroups({"front", "back"});
    window.asking().pick("gel:214@3200");
    window.resize(window.minimumSize());
    settle();
    TextLog log;
    const QPixmap picture = window.grab();
    for (const ReadingRow& row : window.readings().rows()) {
        const auto is = [&](const PaintedText& t) {
            return t.text == row.name && t.place.bottom() < window.height() - 132;
        };
        EXPECT_TRUE(std::any_of(log.texts().begin(), log.texts().end(), is))
            << row.name.toStdString();
    }
    for (const LevelColumn* column : window.matchView().mix().columns())
        EXPECT_GE(column->height(), 60);
}

TEST_F(LayoutTest, ANarrowWindowFoldsTheBookUntilItIsUsed) {
    window.resize(1024, 700);
    settle();
    EXPECT_LT(window.swatches().width(), 150);
    QTest::keyClick(&window, Qt::Key_Slash);
    settle();
    EXPECT_EQ(window.swatches().width(), 260);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
    settle();
    EXPECT_LT(window.swatches().width(), 150);
}

} // namespace
} // namespace zelo::desk
