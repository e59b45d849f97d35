// SPDX-License-Identifier: GPL-3.0-or-later
// Every way between the two ends beside each other, to pick from: a ribbon each, and what it costs.
#pragma once

#include "desk/crossfade/crossfade_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class WayList : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    WayList(CrossfadeModel& model, QWidget* parent);
    int heightFor() const; // of all rows
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    QRect rowRect(std::size_t row) const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    struct Figure {
        QString head, text;
    };
    std::vector<Figure> figures(const play::ComparedWay& way) const;
    std::vector<std::optional<int>> columns(int left) const;
    bool taken(const play::ComparedWay& way) const; // the one that is planned
    void take(std::size_t row);
    CrossfadeModel& model_;
    int hovered_ = -1;
    std::size_t cursor_ = 0;
};

} // namespace zelo::desk
