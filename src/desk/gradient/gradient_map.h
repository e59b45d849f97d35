// SPDX-License-Identifier: GPL-3.0-or-later
// The ways of a gradient on the u'v' map: its stops, the points that its ways go through, and the
// reach they stay in. A press picks the chosen stop's colour; a way is pulled out of its course.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/kit/reach_picture.h"

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
    const route::StopWay* way() const;  // that is looked at; null without a gradient
    bool bends() const;                 // points can pull that way
    int viaAt(const QPoint& pos) const; // -1 when there is none
    // Where a new point stands among the others, when `pos` is on the way; nothing when it is not.
    std::optional<std::size_t> onWay(const QPoint& pos) const;
    void moveVia(std::size_t via, const colour::Uv& to, int gesture);
    void addVia(std::size_t at, const colour::Uv& uv, int gesture);
    void removeVia(std::size_t via);
    Document& document_;
    GradientModel& model_;
    ReachPicture picture_;
    enum class Grab { None, Colour, Via } grab_ = Grab::None;
    std::size_t via_ = 0;                   // that is dragged
    std::optional<std::size_t> chosen_via_; // that keys move; nothing: the stop
    Gesture gesture_;
};

} // namespace zelo::desk
