// SPDX-License-Identifier: GPL-3.0-or-later
// The three patterns as small rasters of the very steps there are; one of them is chosen.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"
#include "desk/ripple/raster_image.h"

#include <array>

namespace zelo::desk {

class PatternTiles : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    static constexpr int kHeight = 100;
    PatternTiles(RippleModel& model, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    QRect tile(int pattern) const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void choose(int pattern);
    RippleModel& model_;
    std::array<RasterImage, 3> images_;
};

} // namespace zelo::desk
