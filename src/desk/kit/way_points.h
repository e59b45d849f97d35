// SPDX-License-Identifier: GPL-3.0-or-later
// Points that pull a way out of its course on a map: found where they are drawn, chosen, moved and
// taken away, by mouse and by keys.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/reach_picture.h"
#include "route/gradient.h"

#include <QCoreApplication>
#include <functional>

class QKeyEvent;

namespace zelo::desk {

class WayPoints {
    Q_DECLARE_TR_FUNCTIONS(WayPoints)
public:
    struct On {                                        // what they pull at
        std::function<const route::StopWay*()> way;    // null: nothing that bends
        std::function<std::vector<colour::Uv>()> line; // as it is drawn
        std::function<void(const QString& name, const std::function<void(route::StopWay&)>& change,
                           int gesture)>
            edit;
        std::function<void(const QString& message)> tell;
        std::function<void()> changed; // the choice
    };
    WayPoints(const ReachPicture& picture, On on) : picture_(picture), on_(std::move(on)) {}

    // A point that stands here, or would be new on the way; it is chosen. False: neither.
    bool press(const QPointF& pos, int gesture);
    bool hits(const QPointF& pos) const; // press() would find something
    void drag(const colour::Uv& to, int gesture) { move(chosen_.value_or(0), to, gesture); }
    bool doubleClick(const QPointF& pos); // takes a point away
    // Ins, Del, Page Up and Down, arrows while a point is chosen; false: none of its keys.
    bool key(const QKeyEvent& event, Gesture& gesture);
    static bool claims(const QKeyEvent& event); // with the arrows
    bool chosen() const { return isChosen(chosen_); }
    void choose(std::optional<std::size_t> point);
    void paint(QPainter& p) const;
    void addParts(std::vector<PaintedPart>& to);

private:
    const std::vector<colour::Uv>& points() const;
    bool isChosen(const std::optional<std::size_t>& point) const;
    std::optional<std::size_t> pointAt(const QPointF& pos) const;
    std::optional<std::size_t> onWay(const QPointF& pos) const; // its place among the others
    void move(std::size_t point, const colour::Uv& to, int gesture);
    void add(std::size_t at, const colour::Uv& uv, int gesture);
    void remove(std::size_t point);
    const ReachPicture& picture_;
    On on_;
    std::optional<std::size_t> chosen_; // that keys move
};

// How far an arrow moves a point in u'v'; nothing for other keys. Shift: finely.
std::optional<colour::Uv> arrowStep(const QKeyEvent& event);

} // namespace zelo::desk
