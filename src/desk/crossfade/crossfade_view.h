// SPDX-License-Identifier: GPL-3.0-or-later
// The Crossfade view's bench: from and to, the way between them, the time, both ribbons with their
// curves, and all ways beside each other.
#pragma once

#include "desk/crossfade/crossfade_model.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class CueModel;
class FadeFaults;
class FadePlot;
class NumberField;
class Stations;
class WayList;

class CrossfadeView : public QWidget {
    Q_OBJECT
public:
    CrossfadeView(CrossfadeModel& model, CueModel& cues, QWidget* parent);

    Button& end(bool to) { return to ? *to_ : *from_; }
    Stations& kind() { return *kind_; }
    Stations& side() { return *side_; }
    NumberField& floorField() { return *floor_; }
    NumberField& share() { return *share_; }
    NumberField& time() { return *time_; }
    Button& options() { return *options_; }
    FadePlot& plot() { return *plot_; }
    WayList& ways() { return *ways_; }
    FadeFaults& faults() { return *faults_; }
    Stations& under() { return *under_; } // all ways, or the fade check
    void showFaults(bool on);
    void openEnd(bool to); // what it can be

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void dragEnterEvent(QDragEnterEvent* event) override; // colours for the two ends
    void dropEvent(QDropEvent* event) override;

private:
    struct Cell { // a control in the second row, with the word before it
        QString word;
        QWidget* control;
        int wide;
    };
    std::vector<Cell> cells() const;
    void makeWay();
    void place();
    void refresh();
    void openOptions();
    CrossfadeModel& model_;
    Button* from_;
    Button* to_;
    Stations* kind_;
    Stations* side_;
    NumberField* floor_;
    NumberField* share_; // of Jump and Dark
    NumberField* time_;
    Button* options_; // pace, reach, hues to stay out of, dark ends, routes
    FadePlot* plot_;
    WayList* ways_;
    FadeFaults* faults_;
    Stations* under_;
    int second_ = 0;                             // top of the second row
    std::vector<std::pair<QString, int>> words_; // of the second row: text, x
};

} // namespace zelo::desk
