// SPDX-License-Identifier: GPL-3.0-or-later
// The reach map: u'v' with what the type in focus can make, the wanted colour, what it got, the
// other types, and a loupe on the place.
#pragma once

#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/match/match_model.h"

#include <QImage>
#include <QWidget>

namespace zelo::desk {

class ReachMap : public QWidget, public OwnKeys {
    Q_OBJECT
public:
    ReachMap(Document& document, MatchModel& match, QWidget* parent);
    QPointF toMap(const colour::Uv& uv) const; // widget coordinates
    colour::Uv fromMap(const QPointF& at) const;
    bool claims(const QKeyEvent& key) const override;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    const QImage& reachImage(const std::vector<colour::Uv>& hull);
    void paintLoci(QPainter& p);
    void paintLoupe(QPainter& p, const colour::Uv& wanted);
    double scale() const;

    Gesture gesture_;
    Document& document_;
    MatchModel& match_;
    QImage image_;
    std::vector<colour::Uv> image_hull_;
    double image_white_k_ = 0;
};

} // namespace zelo::desk
