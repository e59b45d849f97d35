// SPDX-License-Identifier: GPL-3.0-or-later
// All settings on one page over the window (Ctrl+,): they act at once, or from the next start on
// where that is said. They can be put into a file, taken from one, and reset.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/document.h"
#include "desk/kit/overlay.h"

namespace zelo::desk {

class Button;
class CueModel;
class NumberField;
class Stations;

class SettingsPage : public Overlay, public HasParts {
    Q_OBJECT
public:
    SettingsPage(Document& document, CueModel& cues, QWidget* window);
    void open() override;
    void write(const QString& path); // in the background
    void read(const QString& path);  // likewise
    void reset();
    // The white of the eye and the time in hand, as they are kept: at the start.
    static void apply(Document& document);
    std::vector<PaintedPart> parts() override;

signals:
    void othersKept(); // all at once: from a file, or reset

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    struct Row {
        QString name, about; // what it does, dim
        QWidget* control;
    };
    void refresh();
    void taken();
    QRect sheet() const;
    QRect rowRect(std::size_t row) const;

    Document& document_;
    CueModel& cues_;
    Stations* theme_;
    Stations* size_;
    Stations* language_;
    Stations* eye_by_; // the book's lamp, or its own kelvin
    NumberField* eye_;
    NumberField* time_;
    NumberField* guard_;
    Stations* intensity_;
    Stations* start_;
    Button* export_;
    Button* import_;
    Button* reset_;
    std::vector<Row> rows_;
};

} // namespace zelo::desk
