// SPDX-License-Identifier: GPL-3.0-or-later
// Readings on the right: reach map, spectrum, and the numbers of what is in focus, wanted and got.
#pragma once

#include "desk/match/match_model.h"

#include <QWidget>
#include <optional>

namespace zelo::desk {

class Button;
class ReachMap;
class SpectrumPlot;

// The numbers of one light against another; NaN where one means nothing.
struct ReadingRow {
    QString name;
    double wanted;
    double got;
    int decimals;
};

class ReadingsPanel : public QWidget {
    Q_OBJECT
public:
    ReadingsPanel(Document& document, MatchModel& match, QWidget* parent);
    const std::vector<ReadingRow>& rows() const { return rows_; }

signals:
    void keepWanted();
    void putDownWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void refresh();
    void askRendering();

    Document& document_;
    MatchModel& match_;
    ReachMap* map_;
    SpectrumPlot* spectrum_;
    Button* keep_;
    Button* put_down_;
    std::vector<ReadingRow> rows_;
    Document::TypeKey indices_of_; // the type that the last rows were computed for
};

} // namespace zelo::desk
