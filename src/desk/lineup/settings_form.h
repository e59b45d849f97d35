// SPDX-License-Identifier: GPL-3.0-or-later
// What else the lamps of the lineup have: each channel that is neither intensity nor colour by its
// name, its value as a share or by what it does there. It acts at once, by hand.
#pragma once

#include "desk/kit/document.h"

#include <QDialog>

class QComboBox;

namespace zelo::desk {

class NumberField;

class SettingsForm : public QDialog {
    Q_OBJECT
public:
    // Null, and told why, where no lamp of the lineup has any.
    static SettingsForm* open(Document& document, QWidget* parent);
    int rows() const { return static_cast<int>(rows_.size()); }

protected:
    void keyPressEvent(QKeyEvent* event) override; // Esc closes, and leaves what is in hand

private:
    SettingsForm(Document& document, QWidget* parent);
    struct Row {
        std::string name;
        light::Channel channel; // of the first lamp that has it
        NumberField* share;
        QComboBox* ranges; // null: all of it does the same
        QWidget* back;     // to where it rests
    };
    void addRow(const light::Channel& channel);
    void set(const Row& row, double share, int gesture);
    void letGo(const Row& row);
    void refresh();
    // What the first lamp that has it shows now; the value in its channel.
    std::uint32_t valueOf(const Row& row) const;
    Document& document_;
    std::vector<Row> rows_;
};

} // namespace zelo::desk
