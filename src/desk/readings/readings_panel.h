// SPDX-License-Identifier: GPL-3.0-or-later
// Readings on the right: reach map, spectrum, and the numbers of what is in focus, wanted and got.
#pragma once

#include "desk/focus/asking.h"
#include "desk/kit/accessible.h"

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
    bool one = false; // it compares the two: there is no "wanted" of its own
};

class ReadingsPanel : public QWidget, public HasParts {
    Q_OBJECT
public:
    ReadingsPanel(Document& document, FocusModel& focus, Asking& asking, QWidget* parent);
    const std::vector<ReadingRow>& rows() const { return rows_; }
    std::vector<PaintedPart> parts() override; // the rows

signals:
    void keepWanted();
    void putDownWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    void place();
    void refresh();
    int firstLine() const; // baseline of the first row
    void askRendering();

    Document& document_;
    FocusModel& focus_;
    ReachMap* map_;
    SpectrumPlot* spectrum_;
    Button* keep_;
    Button* put_down_;
    std::vector<ReadingRow> rows_;
    std::size_t own_ = 0;          // of them: known at once, the indices come later
    Document::TypeKey indices_of_; // the type that the last rows were computed for
};

} // namespace zelo::desk
