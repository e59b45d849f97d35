// SPDX-License-Identifier: GPL-3.0-or-later
// Tables on paper: A4 pages across, each with its heading and number, as a PDF or from a printer.
#pragma once

#include <QColor>
#include <QString>
#include <QStringList>
#include <vector>

class QWidget;

namespace zelo::desk {

struct SheetColumn {
    QString head;
    double wide_mm = 20; // of one, what the others leave: 0
    bool number = false; // stands to the right
};
struct SheetBar { // a small lamp
    QColor light;
    double level = 0; // 0..1
    bool gap = false; // a new block begins with it
};
struct SheetRow {
    QStringList cells;               // by column
    std::vector<SheetBar> bars = {}; // in the column that has no text
    QColor swatch = {};              // before the first column; invalid: none
};
struct Sheet {
    QString title;
    std::vector<SheetColumn> columns;
    std::vector<SheetRow> rows;
    int bars_column = -1;
};

// False when it cannot be written. For any thread.
bool writeSheets(const QString& path, const QString& heading, const std::vector<Sheet>& sheets);
// Shows the pages as they will be printed, and prints them from there.
void previewSheets(const QString& heading, std::vector<Sheet> sheets, QWidget* over);

} // namespace zelo::desk
