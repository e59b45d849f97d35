// SPDX-License-Identifier: GPL-3.0-or-later
// The crossfade over its time: ribbons as a plain desk would fade it and as it is planned,
// touching, with the white dip bracketed; under them saturation and brightness. A line through all
// of it is the moment that is looked at.
#pragma once

#include "desk/crossfade/crossfade_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class FadePlot : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    FadePlot(CrossfadeModel& model, QWidget* parent);
    void setConsole(bool on); // a third ribbon: as a console would show it
    bool console() const { return console_; }
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    // Where things are, for tests: the middle of a ribbon (0 would, 1 planned, 2 console), a place
    // on the floor's line.
    QPoint ribbonPoint(int ribbon, double share) const;
    QPoint floorPoint() const;
    int momentX() const { return xOf(model_.moment()); }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    struct Rows { // from the top, px
        int bracket, ribbons, ribbon, axis, saturation, saturation_high, brightness,
            brightness_high, steps;
    };
    Rows rows() const;
    int xOf(double share) const;
    double shareAt(double x) const;
    int yOfSaturation(double saturation) const;
    void paintBracket(QPainter& p, const play::SeenWay& would, int y) const;
    void paintAxis(QPainter& p, int y) const;
    void paintSaturation(QPainter& p) const;
    void paintBrightness(QPainter& p) const;
    void paintSteps(QPainter& p, int y) const;
    void paintMoment(QPainter& p) const;
    int axisY() const;
    QRect momentLabel() const; // of its words under the ribbons
    void setFloor(int y, int gesture);
    bool hasFloor() const;
    double floorSaturation() const; // where the floor lies, 0..1 of the reach

    CrossfadeModel& model_;
    bool console_ = false;
    enum class Grab { None, Moment, Floor } grab_ = Grab::None;
    Gesture gesture_;
};

} // namespace zelo::desk
