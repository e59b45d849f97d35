// SPDX-License-Identifier: GPL-3.0-or-later
// One turn of a ripple as a ribbon, its steps under it: choose, move, add, drop, give them colours
// and times.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/ripple/ripple_model.h"

class QMenu;

namespace zelo::desk {

class NumberField;

class StepTrack : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    static constexpr int kHeight = 68;
    StepTrack(RippleModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override; // the steps
    QPoint stepPoint(std::size_t step) const;  // for clicks where it is drawn
    NumberField& time() { return *time_; }
    void setRoom(int width);         // of the words: others stand beyond
    QMenu* menuOf(std::size_t step); // belongs to the caller

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { grabbed_.reset(); }
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void refresh();
    void place();
    double xOf(double at) const { return at * width(); }
    std::optional<std::size_t> stepAt(const QPoint& pos) const;
    bool timed() const; // steps have times of their own in this pattern
    RippleModel& model_;
    NumberField* time_;
    int room_ = 600;
    std::optional<std::size_t> grabbed_; // the pointer between the step before it and this one
    QPoint pressed_;
    std::vector<double> times_at_press_;
    bool moved_ = false;
    Gesture gesture_;
};

} // namespace zelo::desk
