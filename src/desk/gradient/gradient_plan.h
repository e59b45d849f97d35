// SPDX-License-Identifier: GPL-3.0-or-later
// Where the lamps of a gradient hang, seen from above, and the line that they follow one another
// along, or the point that they lie away from: both are turned and moved here.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class GradientPlan : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    GradientPlan(Document& document, GradientModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    QPoint handle() const; // of the line, or the point

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    struct View { // metres to px
        double scale = 1;
        QPointF middle; // of the lamps, m; y upstage
        QPointF centre; // of the widget, px
    };
    View view() const;
    QPointF toPx(double x_m, double y_m) const;
    QPointF toPlan(const QPointF& px) const;
    void take(const QPointF& px, bool finely);
    Document& document_;
    GradientModel& model_;
    Gesture gesture_;
};

} // namespace zelo::desk
