// SPDX-License-Identifier: GPL-3.0-or-later
// Looks as buttons, versions of a cue, locks, other channels, what is in hand in parts, and the
// fade check under Crossfade: with mouse and keys.
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_faults.h"
#include "desk/cues/fader_bank.h"
#include "desk/cues/look_buttons.h"
#include "desk/cues/look_menu.h"
#include "desk/cues_window.h"
#include "desk/kit/button.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/lineup/settings_form.h"
#include "desk/lineup/trims.h"
#include "desk/rig/plan.h"
#include "desk/rig/rig_view.h"
#include "play/stage_picture.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/ripple_edits.h"

#include <QCheckBox>
#include <QComboBox>
#include <QImage>
#include <QLineEdit>
#include <QPushButton>
#include <QTemporaryDir>

namespace zelo::desk {
namespace {

class LooksTest : public CuesTest {
protected:
    LookButtons& looks() { return view().looks(); }
    const show::Look& look(std::size_t at) { return *document.show().looks.entry(at).second; }
    void pressTile(std::size_t at) {
        QTest::mouseClick(&looks(), Qt::LeftButton, {}, looks().tile(at).center());
        settle();
    }
    template <class F>
    F* open() { // the dialog that is shown
        for (QWidget* w : QApplication::topLevelWidgets())
            if (auto* form = qobject_cast<F*>(w); form && form->isVisible())
                return form;
        for (F* form : window.findChildren<F*>())
            if (form->isVisible())
                return form;
        ADD_FAILURE() << "no form is open";
        return nullptr;
    }
};

TEST_F(LooksTest, ACueStartsAndLetsGoOfRipplesFromItsMenu) {
    EXPECT_EQ(model().rippleWords(cue(9000)), "starts Procession");
    EXPECT_TRUE(table()
                    .rows()
                    .data(table().rows().index(table().rows().rowOf({9000}),
                                               static_cast<int>(CueCell::Name)),
                          Qt::ToolTipRole)
                    .toString()
                    .contains("starts Procession"));
    const auto pick = [&](const char* ripple, const char* what) {
        rightClick(9000);
        for (QMenu* m : menu()->findChildren<QMenu*>())
            if (m->title() == ripple)
                for (QAction* action : m->actions())
                    if (action->text() == what)
                        action->trigger();
        menu()->close();
        settle();
    };
    pick("Tide lanterns", "Freezes it, or lets it go on");
    EXPECT_EQ(model().rippleWords(cue(9000)), "starts Procession, freezes Tide lanterns");
    pick("Procession", "Leaves it alone");
    EXPECT_EQ(model().rippleWords(cue(9000)), "freezes Tide lanterns");
    document.undo();
    settle();
    EXPECT_EQ(model().rippleWords(cue(9000)), "starts Procession, freezes Tide lanterns");
    pick("Procession", "Lets go of it");
    ASSERT_EQ(cue(9000).ripples.size(), 2u) << "each once";
    EXPECT_EQ(cue(9000).ripples.back().does, show::RippleDoes::LetGo);
}

TEST_F(LooksTest, AButtonUnderARippleSaysSo) {
    QTest::mouseClick(&view().faders().buttons(), Qt::LeftButton);
    settle();
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    show::FaderId fader;
    for (const auto& [id, one] : document.show().faders)
        if (one->ripple)
            fader = id;
    show::Ripple over = *document.show().ripples.find(document.show().faders.find(fader)->ripple);
    over.lamps = {look(1).values.entry(0).first};
    over.pattern = show::Pattern::Cycle; // its accents come and go
    over.steps.push_back(over.steps.front());
    ASSERT_TRUE(document.edit("lamps", show::changeRipple(document.state().show, over)));
    pressTile(1);
    EXPECT_FALSE(told.contains("lie over")) << told.toStdString();
    document.setFader(fader, 1);
    ASSERT_TRUE(comes([&] {
        return lamp(over.lamps.front().value).colour_from.layer ==
               play::Engine::From::Layer::Ripple;
    }));
    pressTile(1);
    EXPECT_TRUE(told.contains("ripples lie over")) << told.toStdString();
    document.setFader(fader, 0);
    wait(1);
    told.clear();
    pressTile(1);
    EXPECT_FALSE(told.contains("lie over")) << told.toStdString();
}

TEST_F(LooksTest, APressShowsALookInItsOwnTimeAndNTheNext) {
    QTest::mouseClick(&view().faders().buttons(), Qt::LeftButton);
    settle();
    ASSERT_TRUE(looks().isVisible());
    EXPECT_FALSE(view().faders().isVisible());
    ASSERT_GE(document.show().looks.size(), 3u);
    auto next = look(1);
    next.time_s = 4;
    ASSERT_TRUE(document.edit("time", show::changeLook(document.state().show, next)));
    settle();
    pressTile(1);
    EXPECT_EQ(looks().shown(), 1u);
    const int id = look(1).values.entry(0).first.value;
    const double goes_to = *look(1).values.entry(0).second->intensity->here();
    const double from = lamp(id).intensity;
    wait(2);
    EXPECT_NEAR(lamp(id).intensity, (from + goes_to) / 2, 0.02) << "half way after 2 of 4 s";
    wait(3);
    EXPECT_NEAR(lamp(id).intensity, goes_to, 1e-9);
    key(Qt::Key_N);
    EXPECT_EQ(looks().shown(), 2u);
    document.undo();
    settle();
    EXPECT_EQ(looks().shown(), 1u) << "it is an edit like any other";
    looks().setFocus();
    key(Qt::Key_Home);
    key(Qt::Key_Right);
    key(Qt::Key_Right);
    key(Qt::Key_Return);
    EXPECT_EQ(looks().shown(), 2u);
    QTest::mouseClick(&looks().faders(), Qt::LeftButton);
    EXPECT_TRUE(view().faders().isVisible());
}

TEST_F(LooksTest, ALookGoesOntoTheLineupByOrder) {
    chooseGroups({"cyc"});
    lookOntoLineup(document, look(1).id);
    settle();
    EXPECT_EQ(document.state().hand->size(), document.lineup().size());
    const auto first = document.lineup().front();
    EXPECT_TRUE(document.state().hand->find(first)->intensity);
    document.setLineup({});
    const auto hand = document.state().hand;
    lookOntoLineup(document, look(1).id);
    EXPECT_EQ(document.state().hand, hand) << "without lamps nothing happens";
}

TEST_F(LooksTest, APhotoIsKeptSmallAndWhatIsNoneIsTold) {
    QTemporaryDir folder;
    QImage photo(1600, 900, QImage::Format_RGB32);
    photo.fill(QColor(200, 40, 40));
    const QString path = folder.filePath("photo.jpg");
    ASSERT_TRUE(photo.save(path));
    pictureFromFile(document, look(0).id, path);
    ASSERT_TRUE(comes([&] { return look(0).picture != nullptr; }));
    const QImage kept = QImage::fromData(QByteArray::fromStdString(*look(0).picture));
    EXPECT_EQ(kept.width(), 240);
    view().showLooks(true);
    settle();
    const QPoint at = looks().tile(0).topLeft() + QPoint(32, 29);
    EXPECT_GT(looks().grab().toImage().pixelColor(at).red(), 150) << "it is drawn";
    QFile bad(folder.filePath("bad.png"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("\x89PNG\r\n\x1a\n nothing behind it");
    bad.close();
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    pictureFromFile(document, look(1).id, bad.fileName());
    ASSERT_TRUE(comes([&] { return told.contains("bad.png"); }));
    EXPECT_FALSE(look(1).picture);
}

// --- versions, and where it comes from

TEST_F(LooksTest, AVersionIsKeptBesideACueAndSwappedInOnePress) {
    click(18000);
    const auto before = cue(18000).values;
    document.setLineup({{1}, {2}});
    document.setHand("by hand", show::withIntensity(document.state().hand, {{1}, {2}}, 0.11));
    settle();
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    form()->as().setFocus();
    key(Qt::Key_Right); // a version beside it
    EXPECT_EQ(form()->number().text(), "18");
    form()->what().setFocus();
    key(Qt::Key_Right); // what is in hand
    form()->keep();
    settle();
    EXPECT_EQ(cue(18000).version, "b");
    ASSERT_EQ(cue(18000).versions.size(), 1u);
    EXPECT_EQ(cue(18000).versions[0].values, before);
    const int row = table().rows().rowOf({18000});
    EXPECT_EQ(table().rows().index(row, 0).data().toString(), "18b");
    click(18000);
    key(Qt::Key_B, Qt::ControlModifier);
    EXPECT_EQ(cue(18000).values, before);
    EXPECT_EQ(table().rows().index(row, 0).data().toString(), "18a");
    rightClick(18000);
    choose("Remove b");
    EXPECT_TRUE(cue(18000).versions.empty());
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    key(Qt::Key_B, Qt::ControlModifier);
    EXPECT_TRUE(told.contains("no other version")) << told.toStdString();
}

TEST_F(LooksTest, WhereALampHasItFromIsToldAndLedTo) {
    document.setLineup({{1}});
    click(18000);
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    key(Qt::Key_J, Qt::ControlModifier);
    const auto by = show::saidBy(*model().list(), {18000}, {1});
    ASSERT_TRUE(by.intensity && by.colour);
    EXPECT_TRUE(told.contains("cue " + cueNumberText(*by.intensity))) << told.toStdString();
    rightClick(18000);
    choose("colour: cue " + cueNumberText(*by.colour));
    EXPECT_EQ(table().cursor(), by.colour);
}

TEST_F(LooksTest, OneEmitterAloneIsKeptAndALookFromTheSameForm) {
    document.setLineup({{1}});
    document.setHand("by hand", show::withColour(show::withIntensity(show::emptyHand(), {{1}}, 1),
                                                 {{1}}, test::wishFor("gel:104")));
    settle();
    click(18000);
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    form()->says().setFocus();
    for (int i = 0; i < 3; ++i)
        key(Qt::Key_Right); // emitters
    form()->what().setFocus();
    key(Qt::Key_Right);
    ASSERT_TRUE(form()->emitters().isVisible());
    const auto number = *show::parseCueNumber(form()->number().text().toStdString());
    for (const QString typed : {"", " ,", "red, no such one"}) {
        form()->emitters().setText(typed);
        form()->emitters().setFocus();
        key(Qt::Key_Return);
        ASSERT_TRUE(form()) << "nothing of it is passed over in silence";
        EXPECT_TRUE(form()->accessibleDescription().contains(
            typed.contains("red") ? QStringLiteral("no such one") : QStringLiteral("commas")));
        EXPECT_FALSE(model().cue(number));
    }
    form()->emitters().setText("red, ");
    key(Qt::Key_Return);
    settle();
    const auto* kept = model().cue(number);
    ASSERT_TRUE(kept);
    const show::Value& value = *kept->values.find({1});
    EXPECT_FALSE(value.intensity || value.colour);
    ASSERT_EQ(value.parts.size(), 1u);
    EXPECT_GT(value.parts.at("Red"), 0.1);
    key(Qt::Key_Insert);
    ASSERT_TRUE(form());
    form()->as().setFocus();
    key(Qt::Key_Right);
    key(Qt::Key_Right); // a look
    EXPECT_FALSE(form()->number().isEnabled());
    form()->name().setText("Red sister");
    form()->keep();
    settle();
    const auto& all = document.show().looks;
    EXPECT_EQ(all.entry(all.size() - 1).second->name, "Red sister");
    EXPECT_TRUE(all.entry(all.size() - 1).second->values.contains({1}));
}

TEST_F(LooksTest, AFollowAtATimeOfDayIsTyped) {
    click(18000, CueCell::Follow);
    key(Qt::Key_Return);
    type("at 19:30");
    key(Qt::Key_Return);
    EXPECT_EQ(cue(18000).follow, show::FollowWhen::TimeOfDay);
    EXPECT_EQ(cue(18000).follow_s, 70'200);
    const int row = table().rows().rowOf({18000});
    EXPECT_EQ(table().rows().index(row, static_cast<int>(CueCell::Follow)).data().toString(),
              "at 19:30");
    for (const char* bad : {"at 24:00", "at 7", "at 19:61", "at"})
        EXPECT_FALSE(dayTimeIn(bad)) << bad;
    EXPECT_EQ(dayTimeIn("At 0:00:05"), 5);
}

// --- lamps

TEST_F(LooksTest, LockedLampsKeepWhatTheyShowAndSaySo) {
    document.setLineup({{1}, {2}});
    settle();
    const auto shown = lamp(1).sent.values;
    key(Qt::Key_L, Qt::ShiftModifier);
    EXPECT_TRUE(document.show().locked.contains({1}));
    document.setHand("full", show::withIntensity(document.state().hand, {{1}, {2}, {3}}, 0.05));
    settle();
    EXPECT_EQ(lamp(1).sent.values, shown);
    EXPECT_NEAR(lamp(3).intensity, 0.05, 1e-9);
    const auto part = window.lineupPanel().part(0);
    EXPECT_TRUE(part->value.contains("locked"));
    key(Qt::Key_L, Qt::ShiftModifier);
    EXPECT_TRUE(document.show().locked.empty());
    EXPECT_NEAR(lamp(1).intensity, 0.05, 1e-9);
    document.undo();
    settle();
    EXPECT_TRUE(document.show().locked.contains({2}));
}

TEST_F(LooksTest, WhatIsInHandIsPutDownInPartsFromTheMenuOfTheLineup) {
    document.setLineup({{1}, {2}});
    document.setHand("both", show::withColour(show::withIntensity(show::emptyHand(), {{1}, {2}}, 1),
                                              {{1}, {2}}, test::wishFor("gel:338")));
    settle();
    LineupPanel& panel = window.lineupPanel();
    const QPoint at = panel.glassOf(0).center().toPoint();
    QContextMenuEvent event(QContextMenuEvent::Mouse, at, panel.mapToGlobal(at));
    QApplication::sendEvent(&panel, &event);
    settle();
    choose("colours");
    EXPECT_FALSE(document.state().hand->find({1})->colour);
    EXPECT_TRUE(document.state().hand->find({2})->intensity);
}

TEST_F(LooksTest, OtherChannelsAreSetByTheirNamesAndRanges) {
    show::Fixture f;
    f.type = "skua-cmy";
    f.mode = "flags 16 bit with shutter and zoom";
    f.universe = 9;
    ASSERT_TRUE(document.edit("add", show::addFixture(document.state().show, f)));
    const show::FixtureId id{document.show().last_fixture_id};
    document.setLineup({{1}});
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    key(Qt::Key_U, Qt::ControlModifier);
    EXPECT_TRUE(told.contains("intensity and colour alone")) << told.toStdString();
    document.setLineup({{1}, id});
    settle();
    key(Qt::Key_U, Qt::ControlModifier);
    auto* form = open<SettingsForm>();
    ASSERT_TRUE(form);
    EXPECT_EQ(form->rows(), 2);
    auto* ranges = form->findChild<QComboBox*>();
    ASSERT_TRUE(ranges);
    EXPECT_EQ(ranges->currentText(), "Open") << "at rest, as its data says";
    ranges->setFocus();
    QTest::keyClick(ranges, Qt::Key_Up);
    settle();
    EXPECT_EQ(ranges->currentText(), "Closed");
    EXPECT_EQ(lamp(id.value).sent.values[1], 7u);
    EXPECT_FALSE(document.state().hand->contains({1})) << "it has no such channel";
    const auto fields = form->findChildren<NumberField*>();
    ASSERT_EQ(fields.size(), 2);
    fields[1]->setFocus();
    QTest::keyClick(fields[1], Qt::Key_End);
    settle();
    EXPECT_EQ(document.state().hand->find(id)->settings.at("Zoom"), 1);
    document.undo();
    settle();
    EXPECT_FALSE(document.state().hand->find(id)->settings.contains("Zoom"));
    for (auto* back : form->findChildren<QPushButton*>())
        if (back->isEnabled())
            QTest::mouseClick(back, Qt::LeftButton);
    settle();
    EXPECT_FALSE(document.state().hand->contains(id));
    QTest::keyClick(form, Qt::Key_Escape);
    settle();
}

TEST_F(LooksTest, LevelsGoByFivePerCentAndNudgesByTheStepThatIsSet) {
    document.setLineup({{1}});
    document.setHand("half", show::withColour(show::withIntensity(show::emptyHand(), {{1}}, 0.5),
                                              {{1}}, test::wishFor("cct:4000")));
    settle();
    window.lineupPanel().setFocus();
    key(Qt::Key_PageUp);
    EXPECT_NEAR(lamp(1).intensity, 0.55, 1e-9);
    key(Qt::Key_PageDown);
    key(Qt::Key_Down);
    EXPECT_NEAR(lamp(1).intensity, 0.49, 1e-9);
    const auto moved = [&](double step) {
        setNudgeStep(step);
        const auto before = lamp(1).told.nudge;
        key(Qt::Key_F3, Qt::ControlModifier); // warmer
        return colour::distance(lamp(1).told.nudge, before);
    };
    const double usual = moved(kNudge_uv);
    EXPECT_GT(usual, 0.001);
    EXPECT_NEAR(moved(2 * kNudge_uv) / usual, 2, 0.2);
    setNudgeStep(kNudge_uv);
}

TEST_F(LooksTest, FiguresAreMovedOnThePlanToo) {
    window.showView(MainWindow::Rig);
    settle();
    Plan& plan = *window.rigView().findChild<Plan*>();
    const auto figures = play::figuresOf(document.show());
    ASSERT_FALSE(figures.empty());
    const QPoint from = plan.pixelOf(figures[0]).toPoint();
    ASSERT_TRUE(plan.figureAt(from));
    QTest::mousePress(&plan, Qt::LeftButton, {}, from);
    for (int x = 5; x <= 60; x += 5)
        QTest::mouseMove(&plan, from + QPoint(x, 0));
    QTest::mouseRelease(&plan, Qt::LeftButton, {}, from + QPoint(60, 0));
    settle();
    EXPECT_GT(play::figuresOf(document.show())[0].x_m, figures[0].x_m + 0.3);
    EXPECT_EQ(undoName(), "Move a figure");
    document.undo();
    EXPECT_EQ(play::figuresOf(document.show()), figures) << "one step";
}

// --- faders

TEST_F(LooksTest, AListGoesOntoAFaderAndAFamilyIsMadeByHand) {
    view().faders().openAdd();
    settle();
    choose(QString::fromStdString(model().list()->name));
    const auto& faders = document.show().faders;
    const auto list_fader = faders.entry(faders.size() - 1);
    EXPECT_EQ(list_fader.second->list, model().listId());
    document.setFader(list_fader.first, 0.5);
    wait(0.1);
    wait(30);
    EXPECT_EQ(model().current(), CueNumber{1000});
    EXPECT_NEAR(lamp(1).intensity, 0.5 * 0.18, 1e-6);
    document.setFader(list_fader.first, 0);
    wait(0.1);
    EXPECT_FALSE(model().current());

    view().faders().askEmitters(std::nullopt);
    settle();
    QDialog* form = nullptr;
    for (QDialog* one : window.findChildren<QDialog*>())
        if (one->isVisible())
            form = one;
    ASSERT_TRUE(form);
    auto* name = form->findChild<QLineEdit*>();
    name->setText("Sea");
    for (auto* tick : form->findChildren<QCheckBox*>())
        tick->setChecked(tick->text() == "Blue" || tick->text() == "Cyan");
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    QTest::keyClick(name, Qt::Key_Return);
    settle();
    EXPECT_TRUE(told.isEmpty()) << told.toStdString();
    const auto& now_there = document.show().faders;
    const show::Fader& sea = *now_there.entry(now_there.size() - 1).second;
    EXPECT_EQ(sea.name, "Sea");
    EXPECT_EQ(sea.emitters, (std::vector<std::string>{"Blue", "Cyan"}));
}

// --- the fade check under Crossfade

TEST_F(LooksTest, FaultsStandUnderCrossfadeAndAreCuredThere) {
    window.showView(MainWindow::Crossfade);
    auto& cross = window.crossfadeView();
    FadeFaults& faults = cross.faults();
    ASSERT_TRUE(comes([&] { return faults.findings().size() >= 2; }));
    cross.showFaults(true);
    settle();
    ASSERT_TRUE(faults.isVisible());
    EXPECT_FALSE(faults.findings()[0].moments.empty());
    const auto count = faults.findings().size();
    const auto number = *faults.findings()[0].cue;
    const auto was = *model().cue(number);
    ASSERT_FALSE(faults.cureRect(0).isEmpty());
    QTest::mouseClick(&faults, Qt::LeftButton, {}, faults.cureRect(0).center());
    EXPECT_TRUE(comes([&] { return faults.findings().size() < count; }));
    EXPECT_FALSE(*model().cue(number) == was);
    document.undo();
    EXPECT_TRUE(comes([&] { return faults.findings().size() == count; })) << "checked again";
    faults.setFocus();
    key(Qt::Key_Return);
    EXPECT_TRUE(comes([&] { return faults.findings().size() < count; })) << "by keys too";
    document.undo();
    ASSERT_TRUE(comes([&] { return faults.findings().size() == count; }));
    QTest::mouseClick(&faults, Qt::LeftButton, {}, faults.moreRect(1).center());
    settle();
    const auto second = *faults.findings()[1].cue;
    choose("Show the cue");
    EXPECT_EQ(window.view(), MainWindow::Cues);
    EXPECT_EQ(table().cursor(), second);
}

TEST_F(LooksTest, AnotherDesksFadesAreToldAndItsCuesAreRead) {
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& text) { told = text; });
    view().checkHandedOver();
    ASSERT_TRUE(comes([&] { return QApplication::activePopupWidget() || !told.isEmpty(); }, 30000));
    if (auto* shown = qobject_cast<QMenu*>(QApplication::activePopupWidget())) {
        EXPECT_TRUE(shown->actions().front()->text().contains("Cue"));
        shown->close();
    }
    settle();
    QTemporaryDir folder;
    const QString path = folder.filePath("theirs.asc");
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("Ident 3:0\nCue 3\n Text Dusk\n Up 4\n Chan 1@HFF 2@H80\nENDDATA\n");
    file.close();
    view().readCues(path);
    ASSERT_TRUE(comes([&] { return document.show().cue_lists.size() == 2; }));
    settle();
    EXPECT_EQ(model().list()->name, "theirs");
    EXPECT_EQ(cue(3000).name, "Dusk");
    told.clear();
    view().readCues(folder.filePath("none.asc"));
    ASSERT_TRUE(comes([&] { return told.contains("none.asc"); }));
}

} // namespace
} // namespace zelo::desk
