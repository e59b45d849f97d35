// SPDX-License-Identifier: GPL-3.0-or-later
// Under the lamps of a gradient: the gradient itself as a ribbon that they stand on, and its stops
// on a rule. Stops are dragged, added, dropped upon, moved by keys; stops of intensity stand in the
// ribbon, as high as they are bright.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QWidget>

class QMenu;

namespace zelo::desk {

class LineupPanel;
class NumberField;

class StopTrack : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    StopTrack(Document& document, GradientModel& model, LineupPanel& lamps, QWidget* parent);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override; // the stops
    // For clicks where things are drawn.
    QPoint stopPoint(std::size_t stop) const;
    QPoint intensityPoint(std::size_t stop) const;
    QPoint ribbonPoint(double at) const;
    NumberField& position() { return *position_; }
    NumberField& intensity() { return *intensity_; }
    QMenu* menuOf(std::size_t stop); // belongs to the caller

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void place();
    double xOf(double at) const; // of a position 0..1
    double positionAt(double x) const;
    double snapped(double at) const;     // onto a lamp that is near
    int stopAt(const QPoint& pos) const; // -1 when there is none
    int intensityAt(const QPoint& pos) const;
    QRect leafOf(std::size_t stop) const;
    void refresh();
    QColor colourAt(double at) const;
    std::vector<double> places() const;
    void paintRibbon(QPainter& p);
    void paintStops(QPainter& p);
    void paintIntensities(QPainter& p);
    void moveByKey(double by);
    QString nameShown(std::size_t stop) const;

    Document& document_;
    GradientModel& model_;
    LineupPanel& lamps_;
    NumberField* position_;
    NumberField* intensity_;
    std::vector<QColor> ribbon_; // as it was seen by
    std::optional<LightColours> ribbon_seen_;
    std::shared_ptr<const play::LaidOut> ribbon_of_;
    enum class Grab { None, Stop, Intensity, Offset } grab_ = Grab::None;
    bool moved_ = false;
    QPoint pressed_;
    double offset_at_press_ = 0;
    Gesture gesture_;
};

} // namespace zelo::desk
