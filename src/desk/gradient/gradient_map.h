// SPDX-License-Identifier: GPL-3.0-or-later
// The ways of a gradient on the u'v' map: its stops, the points that its ways go through, and the
// reach they stay in. A press picks the chosen stop's colour; a way is pulled out of its course.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/kit/reach_picture.h"
#include "desk/kit/way_points.h"

#include <QWidget>

namespace zelo::desk {

class GradientMap : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    GradientMap(Document& document, GradientModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    QPoint pointOf(const colour::Uv& uv) const { return picture_.toMap(uv).toPoint(); }
    colour::Uv colourAt(const QPoint& at) const { return picture_.fromMap(at); }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    const route::StopWay* way() const; // that is looked at; null without a gradient
    bool bends() const;                // points can pull that way
    Document& document_;
    GradientModel& model_;
    ReachPicture picture_;
    WayPoints points_; // of the way that is looked at
    enum class Grab { None, Colour, Via } grab_ = Grab::None;
    Gesture gesture_;
};

} // namespace zelo::desk
