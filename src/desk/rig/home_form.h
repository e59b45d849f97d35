// SPDX-License-Identifier: GPL-3.0-or-later
// Where the parts of the chosen lamps rest when no colour is asked for: for each part as its type
// says, or a value of the lamps' own. What is changed here is set for all of them, in one step; a
// part that is not touched keeps what each lamp has.
#pragma once

#include "desk/kit/document.h"

#include <QDialog>

class QCheckBox;

namespace zelo::desk {

class NumberField;

class HomeForm : public QDialog {
    Q_OBJECT
public:
    // Of the lamps of the lineup that are of the first one's type; null, and told, without one.
    static HomeForm* open(Document& document, QWidget* parent);

    struct Row {
        std::string part;
        QCheckBox* own;
        NumberField* level; // %
        bool touched = false;
    };
    const std::vector<Row>& rows() const { return rows_; }
    void accept() override;

private:
    HomeForm(Document& document, std::vector<show::FixtureId> lamps, const light::FixtureType& type,
             const light::Mode& mode, QWidget* parent);

    Document& document_;
    std::vector<show::FixtureId> lamps_;
    std::vector<Row> rows_;
};

} // namespace zelo::desk
