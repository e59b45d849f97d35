// SPDX-License-Identifier: GPL-3.0-or-later
// Above the lamps of a gradient: how far it is to the eye from each to the next, and as a thin band
// the same gradient as a desk makes it that knows levels only.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"

#include <QWidget>

namespace zelo::desk {

class LineupPanel;

class StepBars : public QWidget, public HasParts {
    Q_OBJECT
public:
    StepBars(Document& document, GradientModel& model, LineupPanel& lamps, QWidget* parent);
    std::vector<PaintedPart> parts() override; // a step each
    QRect bandOf(std::size_t place) const;     // of the thin band, for looking at its pixels

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    QRect barOf(std::size_t step) const; // between lamp `step` of the lineup and the next
    double stepOf(std::size_t step) const;
    bool unusual(double step) const;
    int bars() const;    // y that they stand on
    int highest() const; // of a bar twice the usual
    bool figures() const;
    Document& document_;
    GradientModel& model_;
    LineupPanel& lamps_;
};

} // namespace zelo::desk
