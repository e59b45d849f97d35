// SPDX-License-Identifier: GPL-3.0-or-later
// The stage picture: all light added up on floor, cyc and figures, computed in the background.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/document.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/kit/own_window.h"
#include "play/stage_picture.h"

#include <QImage>
#include <QWidget>

namespace zelo::desk {

// Luminance relative to that of a stage with all lamps at their most, as a screen shows it.
QImage pictureOf(const play::StagePicture& picture, const play::Stage& stage,
                 const light::SwatchBook& surfaces, const LightColours& colours, double bright);

class StageView : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    StageView(Document& document, QWidget* parent);
    const QImage& image() const { return image_; }
    QRect pictureRect() const; // in the widget
    void savePicture(const QString& path);
    void askSave();
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

signals:
    void windowWanted(); // the same in a window of its own

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

private:
    void build(); // the rig changed
    void light(); // what it shows
    std::optional<std::pair<double, double>> shareAt(const QPointF& pos) const;
    Document& document_;
    const std::string key_; // of its own work: several of these may be open
    std::shared_ptr<const play::StagePicture> picture_;
    double bright_ = 0;
    QImage image_;
    bool computing_ = false, late_ = false;
    std::optional<std::size_t> dragged_;
    std::size_t chosen_ = 0; // the figure that keys move
    Gesture gesture_;
};

// A window of its own, for a second screen.
class StageWindow : public OwnWindow {
    Q_OBJECT
public:
    StageWindow(Document& document, QWidget* parent);
    StageView& view() { return *view_; }

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    StageView* view_;
};

} // namespace zelo::desk
