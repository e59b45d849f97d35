// SPDX-License-Identifier: GPL-3.0-or-later
// The Cues view: the list with what plays it, the stage picture, looks on faders.
#pragma once

#include "desk/cues/cue_model.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class CueTable;
class FaderBank;
class NumberField;
class StageView;
class LookButtons;
class StageWindow;
class TextField;

class CuesView : public QWidget {
    Q_OBJECT
public:
    CuesView(CueModel& model, QWidget* parent);

    CueModel& model() { return model_; }
    CueTable& table() { return *table_; }
    FaderBank& faders() { return *faders_; }
    LookButtons& looks() { return *looks_; }
    void showLooks(bool as_buttons); // instead of faders
    StageView& stage() { return *stage_; }
    TextField& find() { return *find_; }
    TextField& note() { return *note_; }
    NumberField& rate() { return *rate_; }
    Button& next() { return *next_; }
    Button& back() { return *back_; }
    Button& hold() { return *hold_; }
    Button& title() { return *title_; }
    void openKeep();        // what is shown as a cue
    void openMenu();        // lists, what happens at the end, times
    void openFindings();    // what the fade check found, with its cures
    void checkHandedOver(); // the same as another desk plays what is handed over
    void openStageWindow();
    StageWindow& stageWindow();          // made when it is first asked for
    void preview();                      // of the sheets for the printer
    void writeCues(const QString& path); // for another desk
    void readCues(const QString& path);  // of another desk, as a list
    enum class Sheet { Cues, Colours, Patch };
    void writeSheet(const QString& path, Sheet sheet = Sheet::Cues); // for people
    void writePaper(const QString& path); // cues, palettes and patch, to print
    void goTo();                          // the cue with the keyboard
    int listWidth() const { return list_width_; }

protected:
    bool event(QEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    void place();
    void style();
    void refresh();
    void stand();
    QString nextText() const;
    CueModel& model_;
    Button* title_;
    TextField* find_;
    CueTable* table_;
    TextField* note_;
    NumberField* rate_;
    Button* faults_;
    Button* back_;
    Button* hold_;
    Button* next_;
    StageView* stage_;
    FaderBank* faders_;
    LookButtons* looks_;
    StageWindow* window_ = nullptr;
    int list_width_ = 0;
};

} // namespace zelo::desk
