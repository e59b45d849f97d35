// SPDX-License-Identifier: GPL-3.0-or-later
// The plan of the stage: lamps where they hang, the light of each where it falls, in metres. Press,
// Shift, Ctrl and sweep choose, Ctrl with arrows and Enter by keyboard; a drag or the arrow keys
// move; wheel zooms, Alt or the middle button moves the paper.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/document.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QImage>
#include <QWidget>
#include <set>

namespace zelo::desk {

class Plan : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    Plan(Document& document, QWidget* parent);
    void fit(); // all lamps in view
    void setBeams(bool on);
    // The lamps of a group go out of sight, unless they are in another that stays; they cannot be
    // pressed then. How the plan is looked at, no part of the show.
    void setHidden(show::GroupId group, bool on);
    bool hidden(show::GroupId group) const { return hidden_.contains(group); }
    std::size_t outOfSight() const; // lamps
    bool beams() const { return beams_; }

    // The lamp that the keyboard is at: Ctrl and arrows go to the next one that way, Enter chooses
    // it, Shift and Enter takes it in or out.
    std::optional<show::FixtureId> cursor() const { return cursor_; }
    QPointF place(show::FixtureId id) const; // centre of a lamp, px; for tests and pictures

    enum class How { Only, Add, Toggle };
    void choose(const std::vector<show::FixtureId>& ids, How how);
    void chooseArea(const show::Area& area, How how); // what lights it

    // Of the lineup, in its order; one step each.
    enum class Arrange { Row, Even, TurnLeft, TurnRight, PanLeft, PanRight };
    void arrange(Arrange how);
    bool claims(const QKeyEvent& key) const override; // Alt and arrows too: they move the paper
    std::vector<PaintedPart> parts() override;        // its lamps
    std::size_t partCount() override;
    std::optional<PaintedPart> part(std::size_t index) override;
    std::optional<std::size_t> figureAt(const QPointF& pos) const;
    QPointF pixelOf(const show::Point& m) const { return toPixels(m.x_m, m.y_m); } // for tests

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override; // a colour onto a lamp or an area
    void dropEvent(QDropEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    std::vector<std::pair<show::FixtureId, std::shared_ptr<const show::Fixture>>> seen() const;
    QPointF toPixels(double x_m, double y_m) const;
    QPointF toMetres(const QPointF& pixels) const;
    std::optional<show::FixtureId> lampAt(const QPointF& pos) const;
    void paintPaper(QPainter& p) const;
    void paintStage(QPainter& p);
    void paintFigures(QPainter& p) const;
    QPoint roomForName(const QRectF& box, int width) const;
    void hoverArea(const QPointF& at);
    void paintLamp(QPainter& p, const show::Fixture& f, int kind, bool chosen);
    QPoint roomForNumber(const QPointF& at, int wide); // baseline
    PaintedPart partOf(const show::Fixture& f);
    void moveCursor(const QPointF& way);
    void moveChosen(double dx_m, double dy_m, const std::string& merge);
    std::vector<show::FixtureId> swept() const; // in the order of the sweep

    Document& document_;
    double scale_ = 50; // px per metre
    QPointF middle_;    // metres, in the middle of the widget
    bool fitted_ = true;
    bool beams_ = true;
    std::set<show::GroupId> hidden_;

    enum class Drag { None, Lamps, Figure, Sweep, Paper } drag_ = Drag::None;
    std::size_t figure_ = 0; // that is dragged
    QPointF from_, now_;     // px
    show::ShowPtr before_;   // the show when the lamps were taken
    Gesture gesture_;
    std::vector<QRectF> taken_; // by lamps and labels, while it is painted
    std::optional<show::FixtureId> pressed_, cursor_;
    std::string hovered_area_;
};

} // namespace zelo::desk
