// SPDX-License-Identifier: GPL-3.0-or-later
// The slots of a wheel or scroller as chips in the light of their lamp, in their order; halves of
// two neighbours between them where it can stand there. A press or the arrow keys take one.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QColor>
#include <QWidget>
#include <cmath>
#include <vector>

namespace zelo::desk {

class SlotStrip : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    struct Chip {
        double setting = 0; // of the wheel
        int number = 1;     // of the slot; of a half that of its first
        bool half = false;
        QString name;
        QColor light;
        double miss_uv = NAN; // from the wish; NaN without one
    };
    SlotStrip(const QString& wheel, QWidget* parent);

    void setChips(std::vector<Chip> chips);
    void setChosen(double setting, bool pinned);
    const std::vector<Chip>& chips() const { return chips_; }
    int chosen() const { return chosen_; }   // index of a chip; -1 before there is one
    int nearest() const { return nearest_; } // to the wish; -1 without one
    QPoint centreOf(int chip) const;
    int heightAt(int width) const;
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

signals:
    void slotChosen(double setting, int gesture); // held arrow keys are one
    void pinWanted();
    void resetWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    bool event(QEvent* event) override;

private:
    struct Grid {
        int wide, in_row;
    };
    Grid grid(int width) const;
    QRect rectOf(int chip) const;
    int at(const QPoint& pos) const;
    void choose(int chip, int gesture);
    QString said(int chip) const;

    QString wheel_;
    std::vector<Chip> chips_;
    int chosen_ = -1;
    int nearest_ = -1;
    bool pinned_ = false;
    Gesture gesture_;
};

} // namespace zelo::desk
