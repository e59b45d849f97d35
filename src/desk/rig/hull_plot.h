// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type's emitters in the u'v' diagram and the hull that they span.
#pragma once

#include "colour/polygon.h"
#include "desk/kit/accessible.h"
#include "desk/kit/reach_picture.h"
#include "light/fixture_type.h"

#include <QWidget>
#include <memory>

namespace zelo::desk {

class HullPlot : public QWidget, public HasParts {
    Q_OBJECT
public:
    explicit HullPlot(QWidget* parent);
    // Null shows nothing. `colours` outlives the plot's next repaint.
    void show(std::shared_ptr<const light::FixtureType> type, const LightColours& colours);
    const colour::Polygon& hull() const { return hull_; }
    std::vector<PaintedPart> parts() override; // the emitters

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    std::shared_ptr<const light::FixtureType> type_;
    colour::Polygon hull_;
    ReachPicture picture_;
    const LightColours* colours_ = nullptr;
};

} // namespace zelo::desk
