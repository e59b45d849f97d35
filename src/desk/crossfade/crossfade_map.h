// SPDX-License-Identifier: GPL-3.0-or-later
// The crossfade on the u'v' map: both its ways with marks of time, the white they go round, the
// saturation floor as a ring, the hues to stay out of as a sector, and points that pull the way.
// All of it is taken and moved where it is drawn.
#pragma once

#include "desk/crossfade/crossfade_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/kit/reach_picture.h"
#include "desk/kit/way_points.h"

#include <QWidget>

namespace zelo::desk {

class CrossfadeMap : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    CrossfadeMap(CrossfadeModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    QPoint pointOf(const colour::Uv& uv) const { return picture_.toMap(uv).toPoint(); }
    QPoint ringPoint() const; // a place on the ring of the floor

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    enum class Thing { None, White, Via, Ring, SectorFrom, SectorTo };
    Thing at(const QPointF& pos) const;
    std::optional<route::Disc> disc() const;
    double radius() const; // of the ring, in the disc
    bool bends() const;    // points can pull the way
    void move(const colour::Uv& to, int gesture);
    void paintSector(QPainter& p, const route::Disc& disc);
    void paintTicks(QPainter& p);
    colour::Uv white() const;
    CrossfadeModel& model_;
    ReachPicture picture_;
    WayPoints points_;
    Thing grab_ = Thing::None;
    Gesture gesture_;
};

} // namespace zelo::desk
