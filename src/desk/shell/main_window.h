// SPDX-License-Identifier: GPL-3.0-or-later
// The window: it puts the panels in their places and the commands on their keys. It decides
// nothing.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/gesture.h"
#include "desk/shell/commands.h"

#include <QElapsedTimer>
#include <QPointer>
#include <QStackedWidget>
#include <QWidget>

namespace zelo::files {
struct Rig;
}

namespace zelo::desk {

class Header;
class LineupPanel;
class Asking;
class FocusModel;
class CrossfadeModel;
class CueModel;
class CueWindow;
class CuesView;
class CrossfadeSide;
class CrossfadeView;
class FadePlayer;
class GradientModel;
class GradientSide;
class GradientView;
class MatchView;
class RigSide;
class RigView;
class KeySheet;
class ManualView;
class SettingsPage;
class MessageLine;
class ReadingsPanel;
class RemoteModel;
class RemotePage;
class ShowFiles;
class SplitField;
class SplitWindow;
class RippleModel;
class RippleSide;
class RippleView;
class StepBars;
class StopTrack;
class SwatchPanel;
class Tour;

class MainWindow : public QWidget {
    Q_OBJECT
public:
    explicit MainWindow(Document& document);
    ~MainWindow() override;

    enum View { Rig, Match, Gradient, Crossfade, Cues, Ripple };
    void showView(int view);
    int view() const { return views_->currentIndex(); }
    static int viewNamed(const QString& name); // -1 when there is none

    ShowFiles& files() { return *files_; }

    void readRig(const QString& path); // MVR, in the background
    void writeRig(const QString& path);
    void askReport(); // log, version, system, the show if wished
    void writeReport(const QString& path, bool with_show);

    FocusModel& focusModel() { return *focus_; }
    Asking& asking() { return *asking_; }
    RigView& rigView() { return *rig_view_; }
    SplitField& splitField() { return *split_; }
    RigSide& rigSide() { return *rig_side_; }
    MatchView& matchView() { return *match_view_; }
    GradientModel& gradientModel() { return *gradient_; }
    GradientView& gradientView() { return *gradient_view_; }
    GradientSide& gradientSide() { return *gradient_side_; }
    CrossfadeModel& crossfadeModel() { return *crossfade_; }
    CrossfadeView& crossfadeView() { return *crossfade_view_; }
    CrossfadeSide& crossfadeSide() { return *crossfade_side_; }
    FadePlayer& fadePlayer() { return *fade_player_; }
    CueModel& cueModel() { return *cues_; }
    CuesView& cuesView() { return *cues_view_; }
    RippleModel& rippleModel() { return *ripple_; }
    RippleView& rippleView() { return *ripple_view_; }
    RippleSide& rippleSide() { return *ripple_side_; }
    StepBars& stepBars() { return *step_bars_; }
    StopTrack& stopTrack() { return *stop_track_; }
    SwatchPanel& swatches() { return *swatches_; }
    LineupPanel& lineupPanel() { return *lineup_; }
    ReadingsPanel& readings() { return *readings_; }
    const std::vector<Command>& commands() const { return commands_; }
    KeySheet& keySheet() { return *key_sheet_; }
    SettingsPage& settings() { return *settings_; }
    ManualView& manual(); // made when it is first asked for
    Tour& tour() { return *tour_; }
    RemoteModel& remote() { return *remote_; }
    RemotePage& remotePage() { return *remote_page_; }
    void windowsComeBack(); // those beside this one that were open

protected:
    void resizeEvent(QResizeEvent*) override { place(); }
    void paintEvent(QPaintEvent* event) override;
    void closeEvent(QCloseEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void place();
    void makeCommands(); // main_window_commands.cpp, with the menu made of them
    void makeShowCommands();
    void makeViewCommands();
    void makeLineupCommands();
    void makeColourCommands();
    void makeGradientCommands();
    void makeCrossfadeCommands();
    void makeCueCommands();
    void makeRippleCommands();
    void makeRigCommands();
    void makeHelpCommands();
    void openMenu();
    void openAbout();
    void lookAtScreen();                                     // takes its profile
    QPoint belowName() const;                                // where menus of the show open
    void addRig(const files::Rig& rig, const QString& from); // its fixtures and types
    void openHistory();                                      // every edit by name, to go back to
    void askRoute();                                         // its name, to keep it
    void openKeep(int as);                                   // KeepForm::As
    void openKeepOfRipple();                                 // what it shows at the line
    void askSaveTurn();                                      // of the ripple, for another desk
    void whichGel(); // the gels nearest to what the first of the lineup shows
    void nearestGels(const light::Wanted& light); // in a menu
    // By the meter that is chosen; with the practice meter of the first lamp of the lineup.
    void measureLight(std::function<void(const colour::Spectrum&)> take);
    void askForMeasured(); // and keeps it
    void whatIsThisLight();
    void explain(); // F1: what is under the pointer, or has the keyboard
    void openManual();
    void tell(const QString& message);
    void placeMessages();
    void growLineup();
    int benchWidth() const;
    bool folded() const;   // the swatch book, until one goes there
    int bookWidth() const; // that it has of the bench
    bool bookOpen() const; // somebody is in the swatch book

    Document& document_;
    FocusModel* focus_;
    Asking* asking_;
    Header* header_;
    Gesture nudges_; // of colours, by keys
    SwatchPanel* swatches_;
    QStackedWidget* views_;
    RigView* rig_view_;
    MatchView* match_view_;
    GradientModel* gradient_;
    GradientView* gradient_view_;
    CueModel* cues_;
    CrossfadeModel* crossfade_;
    CrossfadeView* crossfade_view_;
    FadePlayer* fade_player_;
    CuesView* cues_view_;
    RippleModel* ripple_;
    RippleView* ripple_view_;
    QStackedWidget* side_; // Readings, or what the view has instead
    ReadingsPanel* readings_;
    RigSide* rig_side_;
    LineupPanel* lineup_;
    GradientSide* gradient_side_;
    CrossfadeSide* crossfade_side_;
    RippleSide* ripple_side_;
    StepBars* step_bars_; // both stand in the lineup while it is grown
    StopTrack* stop_track_;
    MessageLine* message_;
    ShowFiles* files_;
    SplitField* split_;
    SplitWindow* split_window_;
    CueWindow* cue_window_;
    Tour* tour_ = nullptr;
    RemoteModel* remote_ = nullptr;
    RemotePage* remote_page_ = nullptr;
    std::vector<Command> commands_;
    std::unique_ptr<Shortcuts> shortcuts_;
    KeySheet* key_sheet_ = nullptr;
    SettingsPage* settings_ = nullptr;
    ManualView* manual_ = nullptr;
    QPointer<QWidget> explained_; // what F1 told of last
    QElapsedTimer explained_since_;
    bool grown_ = false;     // the lineup's lamps
    bool may_close_ = false; // nothing is lost by it
    QByteArray icc_;         // of the screen that the window is on
};

} // namespace zelo::desk
