// SPDX-License-Identifier: GPL-3.0-or-later
// The right side of the Rig view: find fixtures, fixture types, output map, light check.
#pragma once

#include "desk/kit/document.h"

#include <QStackedWidget>
#include <QWidget>

namespace zelo::desk {

class CheckPanel;
class FindPanel;
class OutputPanel;
class Stations;
class TypesPanel;

class RigSide : public QWidget {
    Q_OBJECT
public:
    RigSide(Document& document, QWidget* parent);
    enum Page { Find, Types, Output, Check };
    void showPage(int page);
    int page() const { return pages_->currentIndex(); }
    FindPanel& find() { return *find_; }
    TypesPanel& types() { return *types_; }
    OutputPanel& output() { return *output_; }
    CheckPanel& check() { return *check_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    Stations* choice_;
    QStackedWidget* pages_;
    FindPanel* find_;
    TypesPanel* types_;
    OutputPanel* output_;
    CheckPanel* check_;
};

} // namespace zelo::desk
