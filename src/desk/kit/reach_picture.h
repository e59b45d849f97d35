// SPDX-License-Identifier: GPL-3.0-or-later
// The u'v' map as layers that any view paints: the locus, the reach of a type in its colours, the
// outlines of others, the whites, ways, dots of light, and a loupe with rings.
#pragma once

#include "colour/polygon.h"
#include "colour/xyz.h"
#include "desk/kit/light_colours.h"

#include <QImage>
#include <QPainter>
#include <optional>
#include <vector>

namespace zelo::desk {

class ReachPicture {
public:
    // In px, from the corner of where it is painted. The scale is the same both ways.
    void setSize(const QSize& size) { size_ = size; }
    QPointF toMap(const colour::Uv& uv) const;
    colour::Uv fromMap(const QPointF& at) const; // always a place on the map

    // Layers, from the lowest.
    void paintLocus(QPainter& p) const;
    void paintReach(QPainter& p, const colour::Polygon& hull, const LightColours& colours);
    void paintOutline(QPainter& p, const colour::Polygon& hull, const QPen& pen) const;
    void paintWhites(QPainter& p) const; // of lamps, with marks in kelvin, and of daylight
    void paintWay(QPainter& p, const std::vector<colour::Uv>& points) const;
    void paintDot(QPainter& p, const colour::Uv& uv, const QColor& fill = Qt::white,
                  double radius = 2.5) const;

    // A place seen from near, in the corner that the reach leaves free: `wanted` in the middle,
    // rings of one step of u'v' about it, `got` as a ring and the others as dots. Nothing when
    // `got` is too far off for the largest rings. Returns the step of a ring.
    std::optional<double> paintLoupe(QPainter& p, const colour::Uv& wanted,
                                     const std::optional<colour::Uv>& got,
                                     const std::vector<colour::Uv>& others,
                                     const LightColours& colours) const;

private:
    double scale() const;
    QPolygonF polygon(const std::vector<colour::Uv>& points) const;
    QSize size_;
    QImage image_; // of the reach; made anew when one of these is another
    colour::Polygon image_hull_;
    std::optional<LightColours> image_colours_;
};

} // namespace zelo::desk
