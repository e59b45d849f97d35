// SPDX-License-Identifier: GPL-3.0-or-later
// All keys and commands over the window, in groups, with a search (F2).
#pragma once

#include "desk/kit/overlay.h"
#include "desk/shell/commands.h"

class QLineEdit;
class QScrollArea;

namespace zelo::desk {

class KeySheet : public Overlay {
    Q_OBJECT
public:
    KeySheet(const std::vector<Command>& commands, QWidget* window);
    void open() override;
    QStringList shown() const; // the texts that the search has left, in order

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool event(QEvent* event) override; // another theme
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Row {
        QString key, text;
    };
    struct Section {
        QString name;
        std::vector<Row> rows;
    };
    std::vector<Section> matching() const;
    void arrange(); // the sections that match, in as many columns as there is room for

    std::vector<Section> sections_;
    QLineEdit* search_;
    QScrollArea* scroll_;
};

} // namespace zelo::desk
