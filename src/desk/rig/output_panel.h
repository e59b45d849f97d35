// SPDX-License-Identifier: GPL-3.0-or-later
// The output map: which universes go where, and which network may be used. Leaving this computer is
// a choice of its own, made here and not kept with the show.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>
#include <functional>

class QCheckBox;
class QComboBox;
class QTableWidget;

namespace zelo::desk {

class Button;
class NumberField;

class OutputPanel : public QWidget {
    Q_OBJECT
public:
    OutputPanel(Document& document, QWidget* parent);
    QComboBox& cards() { return *cards_; }
    QTableWidget& lines() { return *lines_; }
    NumberField& priority() { return *priority_; }
    QCheckBox& sync() { return *sync_; }
    void addLine();
    void removeLine();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void layOut();
    void editCell(int row, int column);
    void chooseCard();
    void showLine();
    void changeLine(const std::function<void(show::OutputLine&)>& how);
    void change(const QString& name, std::vector<show::OutputLine> lines);

    Document& document_;
    QComboBox* cards_;
    QTableWidget* lines_;
    Button* add_;
    Button* remove_;
    NumberField* priority_; // of the line with the keyboard
    QCheckBox* sync_;
    bool filling_ = false;
};

} // namespace zelo::desk
