// SPDX-License-Identifier: GPL-3.0-or-later
// What one can do in the window, by group, with its keys; and the menu made of it.
#include "desk/crossfade/crossfade_side.h"
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_faults.h"
#include "desk/crossfade/fade_player.h"
#include "desk/crossfade/fade_plot.h"
#include "desk/cues/cue_table.h"
#include "desk/cues/cue_window.h"
#include "desk/cues/cues_view.h"
#include "desk/cues/look_buttons.h"
#include "desk/cues/look_menu.h"
#include "desk/gradient/gradient_model.h"
#include "desk/gradient/stop_track.h"
#include "desk/kit/overlay.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/text_field.h"
#include "desk/kit/theme.h"
#include "desk/lineup/holding.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/lineup/settings_form.h"
#include "desk/lineup/trims.h"
#include "desk/match/calibration_view.h"
#include "desk/match/camera_form.h"
#include "desk/match/match_view.h"
#include "desk/match/split_field.h"
#include "desk/readings/full_readings.h"
#include "desk/remote/remote_page.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/home_form.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/ripple/raster_plot.h"
#include "desk/ripple/ripple_model.h"
#include "desk/ripple/ripple_view.h"
#include "desk/ripple/step_track.h"
#include "desk/shell/header.h"
#include "desk/shell/keep_form.h"
#include "desk/shell/key_sheet.h"
#include "desk/shell/main_window.h"
#include "desk/shell/settings.h"
#include "desk/shell/settings_page.h"
#include "desk/shell/show_files.h"
#include "desk/shell/tour.h"
#include "desk/swatches/swatch_panel.h"
#include "host/log.h"

#include <QApplication>
#include <QFileDialog>
#include <QMenu>
#include <QMessageBox>

namespace zelo::desk {

namespace {

using Group = CommandGroup;

constexpr double kFaster = 1.1; // by a key

// Adds commands of one group.
class Adder {
public:
    Adder(std::vector<Command>& to, Group group) : to_(to), group_(group) {}
    void operator()(const QString& text, const QString& key, std::function<void()> run) {
        to_.push_back({group_, text, key, std::move(run)});
    }
    void menu(const QString& text, const QString& key, std::function<void()> run) {
        to_.push_back({group_, text, key, std::move(run), true});
    }
    void in(int view, const QString& text, const QString& key, std::function<void()> run) {
        to_.push_back({group_, text, key, std::move(run), false, view});
    }
    void watched(int view, const QString& text, const QString& key) { // by the view itself
        to_.push_back({group_, text, key, {}, false, view});
    }
    void tell(const QString& text, const QString& key) { to_.push_back({group_, text, key, {}}); }

private:
    std::vector<Command>& to_;
    Group group_;
};

} // namespace

void MainWindow::makeCommands() {
    makeShowCommands();
    makeViewCommands();
    makeLineupCommands();
    makeColourCommands();
    makeGradientCommands();
    makeCrossfadeCommands();
    makeCueCommands();
    makeRippleCommands();
    makeRigCommands();
    Adder number(commands_, Group::Numbers);
    number.tell(tr("type its value: Enter takes it, Esc does not"), tr("figures"));
    number.tell(tr("change it; Shift fine, Ctrl coarse"), tr("arrows, wheel, drag"));
    number.tell(tr("least, most"), tr("Home, End"));
    number.tell(tr("back to its default"), tr("Backspace"));
    number.tell(tr("back to its default, with the mouse"), tr("double-click"));
    number.tell(tr("an emitter: pin it, keep it out"), tr("P, X"));
    number.tell(tr("a cell of a table: type over it, or edit it"), tr("signs, Enter"));
    number.tell(tr("a colour of the swatch book: mark it as favourite"), tr("B"));
    makeHelpCommands();
}

void MainWindow::makeShowCommands() {
    Adder show(commands_, Group::Show);
    show.menu(tr("New show"), "Ctrl+N", [this] { files_->askNew(); });
    show.menu(tr("Open a show…"), "Ctrl+O", [this] { files_->askOpen(); });
    show.menu(tr("Recent shows…"), "Ctrl+Shift+O", [this] { files_->openRecent(belowName()); });
    show.menu(tr("Start from a template…"), {}, [this] { files_->askStartFrom(); });
    show.menu(tr("Save"), "Ctrl+S", [this] { files_->save(); });
    show.menu(tr("Save as…"), "Ctrl+Shift+S", [this] { files_->askSaveAs(); });
    show.menu(tr("Save a copy…"), {}, [this] { files_->askSaveCopy(); });
    show.menu(tr("Unsaved work left behind…"), {}, [this] { files_->openLeftWork(belowName()); });
    show.menu(tr("Read a rig (MVR)…"), {}, [this] {
        const auto path =
            QFileDialog::getOpenFileName(this, tr("Read a rig"), {}, tr("Rigs (*.mvr)"));
        if (!path.isEmpty())
            readRig(path);
    });
    show.menu(tr("Write the rig (MVR)…"), {}, [this] {
        const auto path = QFileDialog::getSaveFileName(
            this, tr("Write the rig"), toQt(document_.show().name) + ".mvr", tr("Rigs (*.mvr)"));
        if (!path.isEmpty())
            writeRig(path);
    });
    show.menu(tr("Print cues, palettes and patch…"), "Ctrl+P", [this] {
        showView(Cues); // what it shows is computed there
        cues_view_->preview();
    });
    show.menu(tr("Close the show"), "Ctrl+W", [this] { files_->askNew(); });
    show.menu(tr("Quit"), "Ctrl+Q", [this] { window()->close(); });
    Adder edit(commands_, Group::Edit);
    edit.menu(tr("Undo"), "Ctrl+Z", [this] { document_.undo(); });
    edit.menu(tr("Redo"), "Ctrl+Shift+Z", [this] { document_.redo(); });
    edit.menu(tr("History of edits…"), "Ctrl+H", [this] { openHistory(); });
    edit(tr("Put down what is in hand"), "Esc", [this] {
        // First what lies over the window or the bench goes, then what is in hand.
        if (auto* over = Overlay::topmost(*this))
            return over->hide();
        if (crossfade_->looking()) {
            fade_player_->stop();
            return crossfade_->letGo();
        }
        if (ripple_->looking())
            return ripple_->letGo();
        document_.putDown();
    });
    edit(tr("Keep as…"), "K", [this] {
        if (view() == Crossfade)
            askRoute();
        else if (view() == Cues)
            cues_view_->openKeep();
        else if (view() == Ripple)
            openKeepOfRipple();
        else
            openKeep(KeepForm::Stage);
    });
}

void MainWindow::makeViewCommands() {
    const QStringList names{tr("Rig"),       tr("Match"), tr("Gradient"),
                            tr("Crossfade"), tr("Cues"),  tr("Ripple")};
    Adder view(commands_, Group::View);
    for (int i = 0; i < names.size(); ++i)
        view(tr("View %1").arg(names[i]), QStringLiteral("%1; Ctrl+%1").arg(i + 1),
             [this, i] { showView(i); });
    view.tell(tr("with Ctrl also from a text field"), {});
    view.menu(tr("Dark or light theme"), "Ctrl+T", [] {
        kDeskTheme.set(theme().booth);
        useTheme(theme().booth ? deskTheme() : boothTheme());
    });
    view.menu(tr("Whole screen"), "F11; Ctrl+F11",
              [this] { window()->setWindowState(window()->windowState() ^ Qt::WindowFullScreen); });
    view.menu(tr("Settings…"), "Ctrl+,", [this] { settings_->toggle(); });
    view.menu(tr("MIDI and OSC…"), "Ctrl+Shift+M", [this] { remote_page_->toggle(); });
    view.menu(tr("Split field over the whole window"), "Z", [this] { split_->toggle(); });
    view.menu(tr("Split field in a window of its own"), "Shift+Z",
              [this] { split_window_->toggle(); });
    view.menu(tr("Cue list, large, in a window of its own"), {}, [this] { cue_window_->toggle(); });
    view.menu(tr("All light as a camera shows it, or as the eye sees it"), "Y",
              [this] { match_view_->lookThrough(!document_.camera()); });
    view.menu(tr("Readings in full"), "I", [this] {
        showView(Match);
        match_view_->fullReadings().toggle();
    });
    view(tr("Dark: all light out, or back"), "Ctrl+D", [this] {
        auto controls = document_.controls();
        controls.dark = !controls.dark;
        document_.setControls(controls);
    });
    view(tr("Time in hand: in which changes by hand fade"), "T", [this] { header_->askTime(); });
    view(tr("Rehearsal or On stage"), "F9; Ctrl+F9",
         [this] { document_.setOnStage(!document_.onStage()); });
    view(tr("Menu of the show"), "F10; Ctrl+F10", [this] { openMenu(); });
    view.tell(tr("Menu of the show, too"), tr("Alt alone"));
}

void MainWindow::makeLineupCommands() {
    Adder lineup(commands_, Group::Lineup);
    lineup(tr("Choose lamps"), "L", [this] { lineup_->chooseLamps(); });
    lineup(tr("All lamps into the lineup"), "Ctrl+A", [this] { lineup_->chooseAll(); });
    lineup(tr("Groups"), "G", [this] { openGroups(document_, this); });
    lineup(tr("Group from the lineup"), "Shift+G", [this] { openKeep(KeepForm::Group); });
    lineup(tr("Looks"), "O", [this] { openLooks(document_, this); });
    lineup(tr("Reverse the lineup"), {}, [this] { lineup_->reverse(); });
    lineup(tr("Lineup from the middle"), {}, [this] { lineup_->fromTheMiddle(); });
    lineup(tr("Shuffle the lineup"), {}, [this] { lineup_->shuffle(); });
    lineup.tell(tr("with the keyboard there: the lamp in focus"), QStringLiteral("← →"));
    lineup.tell(tr("moves that lamp in the order"), tr("Ctrl+← →"));
    lineup.tell(tr("intensity of all by one ratio, Shift fine, Ctrl coarse"),
                QStringLiteral("↑ ↓"));
    lineup.tell(tr("the same by 5 %"), tr("Page Up, Page Down"));
    lineup.tell(tr("lets go of that lamp's trim"), tr("Backspace"));
    lineup(tr("Let go of all trims of the lineup"), "Shift+Backspace", [this] {
        if (!letGoOfTrims(document_, document_.lineup()))
            tell(tr("Nothing is trimmed in the lineup."));
    });
    lineup(tr("Half as bright"), "Ctrl+Shift+Down", [this] { halveIntensity(document_); });
    lineup(tr("What the first lamp shows, to all of the lineup"), "Ctrl+E",
           [this] { copyFirstLamp(document_); });
    lineup(tr("Lock the lineup: it keeps what it shows; or unlock it"), "Shift+L",
           [this] { lockLineup(document_); });
    lineup(tr("Other channels of the lineup: shutter, zoom…"), "Ctrl+U",
           [this] { SettingsForm::open(document_, this); });
    lineup(tr("Put down the colours of the lineup"), {},
           [this] { putDownOfLineup(document_, show::Which::Colour); });
    lineup(tr("Put down the intensities of the lineup"), {},
           [this] { putDownOfLineup(document_, show::Which::Intensity); });
    lineup(tr("Put down all of the lineup"), {},
           [this] { putDownOfLineup(document_, show::Which::All); });
    lineup(tr("Solo: only the lineup shows, or all again"), "Shift+S",
           [this] { soloLineup(document_); });
}

void MainWindow::makeColourCommands() {
    Adder colour(commands_, Group::Colour);
    colour(tr("Search the swatch book"), "/", [this] { swatches_->focusSearch(); });
    colour(tr("The colour tried before"), "Alt+Left", [this] { asking_->stepTried(-1); });
    colour(tr("The colour tried after"), "Alt+Right", [this] { asking_->stepTried(1); });
    const auto nudge = [&](const QString& text, const QString& key, colour::Nudge by) {
        colour(text, QStringLiteral("%1; Ctrl+%1").arg(key),
               [this, by] { nudgeLineup(document_, by, nudgeStep(), nudges_.step()); });
        colour(tr("%1, finely").arg(text), QStringLiteral("Shift+") + key,
               [this, by] { nudgeLineup(document_, by, nudgeStep() / 4, nudges_.step()); });
    };
    nudge(tr("Warmer"), "F3", colour::Nudge::Warmer);
    nudge(tr("Cooler"), "F4", colour::Nudge::Cooler);
    nudge(tr("Greener"), "F5", colour::Nudge::Greener);
    nudge(tr("Pinker"), "F6", colour::Nudge::Pinker);
    nudge(tr("Paler"), "F7", colour::Nudge::Paler);
    nudge(tr("Deeper"), "F8", colour::Nudge::Deeper);
    colour(tr("Step of these nudges…"), {}, [this] { askNudgeStep(document_, this); });
    colour(tr("Which gel is this?"), "W", [this] { whichGel(); });
    colour(tr("What is this light? Measure it"), "Shift+W", [this] { whatIsThisLight(); });
    colour(tr("Measure a light, and ask for it"), {}, [this] { askForMeasured(); });
    colour(tr("A camera from a file…"), {},
           [this] { (new CameraForm(document_, window()))->choose(); });
    colour(tr("Level all types to the weakest"), {},
           [this] { match_view_->mixing().levelBrightness(); });
    colour(tr("The nearest colour that all types can show"), {},
           [this] { asking_->askCommonReach(); });
    colour(tr("Calibrate the first lamp of the lineup"), "Ctrl+M", [this] {
        showView(Match);
        match_view_->calibration().open();
    });
}

void MainWindow::makeGradientCommands() {
    Adder colour(commands_, Group::Colour);
    const auto shown = [this] {
        showView(Gradient);
        return gradient_;
    };
    colour(tr("Gradient from the first lamp to the last, as they are now"), {},
           [shown] { shown()->beginFromLineup(); });
    colour(tr("Keep the gradient as…"), {}, [this] { openKeep(KeepForm::Gradient); });
    colour(tr("Lay the gradient over the lineup"), {}, [shown] { shown()->layOverLineup(); });
    colour(tr("Fixed colours instead of a gradient"), {}, [shown] { shown()->keepFixed(); });
    colour(tr("Pull the stops into reach of all"), {}, [shown] { shown()->pullIntoReach(); });
    colour.in(Gradient, tr("To the stops of the gradient"), "S",
              [this] { stop_track_->setFocus(); });
    colour.tell(tr("in Gradient: hold it to see what levels alone would make"), "C");
    colour.tell(tr("on the stops: choose; with Ctrl move, Shift finely"), QStringLiteral("← →"));
    colour.tell(tr("on the stops: add, remove, evenly between its neighbours"),
                tr("Ins, Del, Backspace"));
    colour.tell(tr("on the stops: to those of intensity, and back; with Ctrl brighter, darker"),
                QStringLiteral("↑ ↓"));
    colour.tell(tr("on the map of ways: a point on the way; to the next; away with it"),
                tr("Ins, Page Down, Del"));
}

void MainWindow::makeCrossfadeCommands() {
    Adder colour(commands_, Group::Colour);
    colour.in(Crossfade, tr("Play the crossfade, or stop it"), "P",
              [this] { fade_player_->toggle(); });
    colour.in(Crossfade, tr("Crossfade from: choose it"), "<",
              [this] { crossfade_->choose(false); });
    colour.in(Crossfade, tr("Crossfade to: choose it"), ">", [this] { crossfade_->choose(true); });
    colour.in(Crossfade, tr("Turn the crossfade round"), "X", [this] { crossfade_->turnRound(); });
    colour.in(Crossfade, tr("To the line of the crossfade's moment"), "S",
              [this] { crossfade_view_->plot().setFocus(); });
    colour(tr("Keep the way of the crossfade as…"), {}, [this] { askRoute(); });
    colour(tr("Under the ribbons: all ways, or the fade check"), {}, [this] {
        showView(Crossfade);
        crossfade_view_->showFaults(!crossfade_view_->faults().isVisible());
    });
    colour.tell(tr("in Crossfade: the moment; Shift finely; to its ends"), tr("← →, Home, End"));
    colour.tell(tr("in Crossfade: the saturation floor"), QStringLiteral("↑ ↓"));
}

void MainWindow::makeCueCommands() {
    Adder cues(commands_, Group::Cues);
    cues(tr("Next cue"), "Space", [this] { cues_->goOn(); });
    cues(tr("Back by a cue"), "Shift+Space", [this] { cues_->back(); });
    cues(tr("Hold what runs, or let it go on"), "Ctrl+Space", [this] { cues_->hold(); });
    cues.in(Cues, tr("Go to the cue with the keyboard"), "Shift+Return; Shift+Enter",
            [this] { cues_view_->goTo(); });
    cues.in(Cues, tr("Keep as a cue"), "Ins", [this] { cues_view_->openKeep(); });
    cues.in(Cues, tr("Remove the chosen cues"), "Del",
            [this] { cues_->remove(cues_view_->table().chosen()); });
    cues.in(Cues, tr("Copy cues, also for a spreadsheet"), "Ctrl+C",
            [this] { cues_view_->table().copy(); });
    cues.in(Cues, tr("Paste cues, also from a spreadsheet"), "Ctrl+V",
            [this] { cues_view_->table().paste(); });
    cues.in(Cues, tr("The cue's other version plays"), "Ctrl+B",
            [this] { cues_view_->table().swapVersion(); });
    cues.in(Cues, tr("Where the first lamp has it from in this cue"), "Ctrl+J",
            [this] { cues_view_->table().tellOrigin(); });
    cues.in(Cues, tr("Find a cue"), "Ctrl+G", [this] { cues_view_->find().setFocus(); });
    cues(tr("Cue lists: new, rename, at the end…"), {}, [this] {
        showView(Cues);
        cues_view_->openMenu();
    });
    cues(tr("Fades to look at, with their cures"), {}, [this] {
        showView(Cues);
        cues_view_->openFindings();
    });
    cues(tr("Let go of the cue list"), {}, [this] { cues_->release(); });
    cues(tr("The next look, in its own time"), "N", [this] { cues_view_->looks().showNext(); });
    cues(tr("Looks as buttons, or faders"), {}, [this] {
        showView(Cues);
        cues_view_->showLooks(!cues_view_->looks().isVisible());
    });
    cues(tr("Stage picture in a window of its own"), {}, [this] { cues_view_->openStageWindow(); });
    cues.tell(tr("in the list: types over a cell; moves the cue"), tr("Enter or a text, Ctrl+↑ ↓"));
    cues.watched(Cues, tr("in Cues: eight faders at full while held"),
                 "F5; F6; F7; F8; F9; F10; F11; F12");
    cues.tell(tr("on the stage picture: moves a figure; another one"), tr("arrows, Page Down"));
}

void MainWindow::makeRippleCommands() {
    Adder ripple(commands_, Group::Ripple);
    const auto shown = [this] {
        showView(Ripple);
        return ripple_;
    };
    ripple.in(Ripple, tr("Play the ripple, or let go of it"), "P", [this] { ripple_->play(); });
    ripple.in(Ripple, tr("Freeze its colours, or let them go on"), "F",
              [this] { ripple_->freeze(); });
    ripple.in(Ripple, tr("Faster"), "+; =", [this] { ripple_->faster(kFaster); });
    ripple.in(Ripple, tr("Slower"), "-", [this] { ripple_->faster(1 / kFaster); });
    ripple.in(Ripple, tr("Tap the beat"), "B", [this] { ripple_->tap(); });
    ripple.in(Ripple, tr("To the steps of the ripple"), "S",
              [this] { ripple_view_->steps().setFocus(); });
    ripple.in(Ripple, tr("To the line of its moment"), "M",
              [this] { ripple_view_->raster().setFocus(); });
    ripple(tr("Another ripple"), {}, [shown] { shown()->begin(); });
    ripple(tr("Ripple from the first lamp to the last, as they are now"), {},
           [shown] { shown()->beginFromLineup(); });
    ripple(tr("Rainbow over the lineup"), {}, [shown] { shown()->beginRainbow(); });
    ripple(tr("Lay the ripple over the lineup"), {}, [shown] { shown()->layOverLineup(); });
    ripple(tr("The ripple onto a fader"), {}, [shown] { shown()->ontoFader(); });
    ripple(tr("One turn of the ripple for another desk…"), {}, [this] {
        showView(Ripple);
        askSaveTurn();
    });
    ripple.tell(tr("on the steps: choose; with Ctrl move; time"), QStringLiteral("← →, ↑ ↓"));
    ripple.tell(tr("on the steps: add, remove"), tr("Ins, Del"));
    ripple.tell(tr("on the line: look ahead, Shift finely; its beginning"), tr("← →, Home"));
}

void MainWindow::makeRigCommands() {
    Adder rig(commands_, Group::Rig);
    rig.in(Rig, tr("Add lamps to the rig"), "Ins", [this] {
        showView(Rig);
        rig_view_->askAdd();
    });
    // Where they are chosen: in a list of other things Delete is not meant for lamps.
    rig.in(Rig, tr("Remove the chosen lamps"), "Del", [this] {
        const QWidget* focus = QApplication::focusWidget();
        if (!focus || focus == this || rig_view_->isAncestorOf(focus))
            rig_view_->removeChosen();
    });
    rig.in(Rig, tr("Copy the patch for a spreadsheet"), "Ctrl+C",
           [this] { rig_view_->copyPatch(); });
    rig.in(Rig, tr("Paste lamps from a spreadsheet"), "Ctrl+V",
           [this] { rig_view_->pastePatch(); });
    rig.in(Rig, tr("Home values of the chosen lamps…"), "H",
           [this] { HomeForm::open(document_, this); });
    rig.in(Rig, tr("House light, or not: solo, Dark and master leave the chosen lamps alone"), "U",
           [this] { rig_view_->patch().toggleHouse(); });
    rig(tr("Move what clashes to free slots"), {}, [this] { rig_view_->patch().resolveFaults(); });
    const auto page = [this](int which) {
        showView(Rig);
        rig_side_->showPage(which);
    };
    rig(tr("Find fixtures on the network"), "Ctrl+F", [this, page] {
        page(RigSide::Find);
        rig_side_->find().search();
    });
    rig(tr("Fixture types"), "Ctrl+Shift+T", [page] { page(RigSide::Types); });
    rig(tr("Output map"), "Ctrl+Shift+U", [page] { page(RigSide::Output); });
    rig(tr("Light check: why is it dark?"), "Ctrl+L", [page] { page(RigSide::Check); });
    auto& plan = rig_view_->plan();
    rig.in(Rig, tr("All lamps in view"), "F", [&plan] { plan.fit(); });
    const auto arrange = [&](const QString& text, const QString& key, Plan::Arrange how) {
        rig.in(Rig, text, key, [&plan, how] { plan.arrange(how); });
    };
    arrange(tr("Align the chosen lamps in a row"), "R", Plan::Arrange::Row);
    arrange(tr("Spread them evenly"), "E", Plan::Arrange::Even);
    arrange(tr("Turn them left"), "[", Plan::Arrange::TurnLeft);
    arrange(tr("Turn them right"), "]", Plan::Arrange::TurnRight);
    arrange(tr("Pan their beams left"), ",", Plan::Arrange::PanLeft);
    arrange(tr("Pan their beams right"), ".", Plan::Arrange::PanRight);
    rig.tell(tr("on the plan: moves the chosen lamps, Shift finely"), tr("arrows"));
    rig.tell(tr("on the plan: to another lamp; Enter chooses it, Shift+Enter adds it"),
             tr("Ctrl+arrows"));
    rig.tell(tr("on the plan: moves the paper"), tr("Alt+arrows"));
    rig.tell(tr("on the plan: nearer, farther"), tr("+ −"));
}

void MainWindow::makeHelpCommands() {
    Adder help(commands_, Group::Help);
    help.menu(tr("Explain what is under the pointer"), "F1", [this] { explain(); });
    help.menu(tr("The manual"), "Shift+F1", [this] { openManual(); });
    help.menu(tr("Tour in three steps, or leave it"), {}, [this] { tour_->toggle(); });
    help.menu(tr("Keys and commands"), "F2", [this] { key_sheet_->toggle(); });
    help.menu(tr("Find a command…"), "Ctrl+K", [this] { openFinder(commands_, this); });
    help.menu(tr("Save a report for help…"), {}, [this] { askReport(); });
    help.menu(tr("Where the log is"), {},
              [this] { tell(tr("The log is in %1").arg(toQt(host::logFolder().string()))); });
    help.menu(tr("About Zelochrome"), {}, [this] { openAbout(); });
}

void MainWindow::openMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto group : {Group::Show, Group::Edit, Group::View, Group::Help}) {
        auto* part = menu->addMenu('&' + nameOf(group));
        for (const Command& c : commands_) {
            if (c.group != group || !c.in_menu)
                continue;
            QString text = c.text;
            const auto& history = document_.history();
            bool can = true;
            if (c.key == "Ctrl+Z") {
                can = history.canUndo();
                text = can ? tr("Undo: %1").arg(saidText(history.undoName())) : text;
            } else if (c.key == "Ctrl+Shift+Z") {
                can = history.canRedo();
                text = can ? tr("Redo: %1").arg(saidText(history.redoName())) : text;
            }
            QAction* action = part->addAction(c.key.isEmpty() ? text : text + '\t' + c.key);
            action->setEnabled(can);
            connect(action, &QAction::triggered, this, c.run);
        }
    }
    menu->popup(belowName());
    menu->setActiveAction(menu->actions().front());
}

void MainWindow::openAbout() {
    auto* box = new QMessageBox(this);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setWindowTitle(tr("About Zelochrome"));
    box->setText(tr("Zelochrome %1").arg(QCoreApplication::applicationVersion()));
    box->setInformativeText(tr("Colour for multi-emitter LED fixtures: match, spread, fade, play.\n"
                               "Free software under the GNU General Public License, version 3 or "
                               "later.\nBuilt on Qt %1. %2")
                                .arg(qVersion(), document_.colours().screenText()));
    box->addButton(tr("Close"), QMessageBox::RejectRole);
    box->open();
}

} // namespace zelo::desk
