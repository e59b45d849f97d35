// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book on the left: search field, kinds, and leaves that hang out of the window's edge.
#pragma once

#include "desk/swatches/swatch_model.h"

#include <QWidget>

class QLineEdit;
class QListView;

namespace zelo::desk {

class MatchModel;
class Stations;

class SwatchPanel : public QWidget {
    Q_OBJECT
public:
    SwatchPanel(Document& document, MatchModel& match, QWidget* parent);
    void focusSearch(); // key "/"
    SwatchModel& model() { return *model_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void pickRow(int row);
    void markChosen();

    Document& document_;
    MatchModel& match_;
    SwatchModel* model_;
    QLineEdit* search_;
    Stations* kinds_;
    QListView* list_;
};

} // namespace zelo::desk
