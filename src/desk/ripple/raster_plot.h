// SPDX-License-Identifier: GPL-3.0-or-later
// A ripple over time: lamps down, time across, each cell the colour that lamp will show; a line for
// now that can be dragged to look ahead.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"
#include "desk/ripple/raster_image.h"

namespace zelo::desk {

class RasterPlot : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    RasterPlot(RippleModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override; // the line
    QPoint pointAt(double t_s) const;          // in the raster, for clicks

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override; // which lamp, when

private:
    QRect plot() const;
    double xOf(double t_s) const;
    double timeAt(double x) const;
    RippleModel& model_;
    RasterImage image_;
};

} // namespace zelo::desk
