// SPDX-License-Identifier: GPL-3.0-or-later
// The Ripple view's bench: the steps of one turn, the three patterns, the raster over time; or,
// while there is none, how to begin one.
#pragma once

#include "desk/ripple/ripple_model.h"

class QMenu;

namespace zelo::desk {

class Button;
class PatternTiles;
class RasterPlot;
class StepTrack;

class RippleView : public QWidget {
    Q_OBJECT
public:
    RippleView(RippleModel& model, QWidget* parent);
    StepTrack& steps() { return *steps_; }
    PatternTiles& patterns() { return *patterns_; }
    RasterPlot& raster() { return *raster_; }
    Button& name() { return *name_; }
    Button& beginButton() { return *begin_; }
    Button& rainbowButton() { return *rainbow_; }
    Button& over() { return *over_; }
    Button& addStep() { return *add_; }
    QMenu* makeMenu(); // of ripples, and what is done with this one; belongs to the caller

signals:
    void saveWanted(); // a turn for another desk

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void refresh();
    void place();
    RippleModel& model_;
    Button* name_;
    Button* add_;
    Button* over_;
    Button* lamps_;
    Button* begin_;
    Button* rainbow_;
    StepTrack* steps_;
    PatternTiles* patterns_;
    RasterPlot* raster_;
};

} // namespace zelo::desk
