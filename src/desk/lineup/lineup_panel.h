// SPDX-License-Identifier: GPL-3.0-or-later
// The lineup at the bottom: the chosen fixtures in their order as tall lamps in which light stands.
// Drag a lamp up or down for intensity (all lamps keep their relation), sideways to move it.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/document.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class Button;

class LineupPanel : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    LineupPanel(Document& document, QWidget* parent);
    void chooseLamps(); // opens the menu of groups
    void chooseGroup(show::GroupId id);
    void chooseAll();
    void reverse();
    void fromTheMiddle();
    void shuffle();
    // The lamps grow: they stand as high as there is room between these two, which belong to
    // another view and are placed here; null: the usual row.
    void setGrown(QWidget* above, QWidget* below);
    static constexpr int kHeight = 132; // of the usual row
    QRectF glassOf(std::size_t place) const;
    int placeAtX(double x) const; // the nearest lamp's place; -1 when there is none
    std::optional<show::FixtureId> lampInFocus() const;
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;
    std::size_t partCount() override;
    std::optional<PaintedPart> part(std::size_t index) override;

signals:
    void lampFocused(); // another one: lampInFocus()

protected:
    void paintEvent(QPaintEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override; // a colour onto a lamp, or onto all
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    bool event(QEvent* event) override;

private:
    QString handText(show::FixtureId id) const;
    void place();
    struct Geometry {
        double pitch;
        double glass;
        double first; // centre of the first lamp
    };
    Geometry geometryNow() const;
    struct Rows { // from the top, px
        int above, level, top, glass, number, foot;
    };
    Rows rows() const;
    struct Run { // neighbours of one group
        std::size_t first, last;
        const show::Group* group;
    };
    std::vector<Run> runs() const;
    void focusLamp(std::size_t place);
    int placeAt(const QPointF& pos) const; // -1 when there is no lamp
    void shift(double by, int gesture);
    void paintWords(QPainter& p);
    void paintLamp(QPainter& p, std::size_t place, const Document::TypeKey& focus);
    void paintBrackets(QPainter& p);

    Document& document_;
    Button* choose_;
    Button* reverse_;
    Button* middle_;
    Button* shuffle_;
    QWidget* above_ = nullptr;
    QWidget* below_ = nullptr;
    std::size_t cursor_ = 0; // lamp that has the keyboard
    int grabbed_ = -1;
    QPointF pressed_;
    enum class Drag { None, Undecided, Intensity, Order } drag_ = Drag::None;
    show::HandPtr hand_at_press_;
    Gesture gesture_;
    int widest_ = 20;
    unsigned shuffles_ = 0;
};

} // namespace zelo::desk
