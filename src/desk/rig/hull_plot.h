// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type's emitters in the u'v' diagram and the hull that they span.
#pragma once

#include "desk/kit/light_colours.h"
#include "light/fixture_type.h"

#include <QWidget>
#include <memory>

namespace zelo::desk {

class HullPlot : public QWidget {
    Q_OBJECT
public:
    explicit HullPlot(QWidget* parent);
    // Null shows nothing. `colours` outlives the plot's next repaint.
    void show(std::shared_ptr<const light::FixtureType> type, const LightColours& colours);
    const std::vector<colour::Uv>& hull() const { return hull_; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    QPointF toMap(const colour::Uv& uv) const;
    std::shared_ptr<const light::FixtureType> type_;
    std::vector<colour::Uv> hull_;
    const LightColours* colours_ = nullptr;
};

} // namespace zelo::desk
