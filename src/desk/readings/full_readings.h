// SPDX-License-Identifier: GPL-3.0-or-later
// Readings in full, over the bench while open: every index of the light got beside the wanted one,
// brightness and power, the miss for other observers, and the hue bins of TM-30.
#pragma once

#include "colour/rendering.h"
#include "desk/focus/focus_model.h"
#include "desk/kit/overlay.h"

namespace zelo::desk {

struct FullNumbers {
    struct Row {
        QString name;
        double wanted = NAN, got = NAN;
        int decimals = 0;
        QString unit;
    };
    std::vector<Row> rows;
    std::vector<std::pair<QString, double>> observers; // Δu'v' for each
    std::optional<colour::Tm30> bins;                  // of the light got; where it means something
};

class FullReadings : public Overlay {
    Q_OBJECT
public:
    FullReadings(Document& document, FocusModel& focus, QWidget* parent);
    void open() override;
    const FullNumbers& numbers() const { return numbers_; }
    const FullNumbers::Row* row(const QString& name) const; // null when there is none

signals:
    void computed();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    void ask();
    void paintBins(QPainter& p, const QRectF& room) const;
    Document& document_;
    FocusModel& focus_;
    FullNumbers numbers_;
};

} // namespace zelo::desk
