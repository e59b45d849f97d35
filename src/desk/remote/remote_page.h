// SPDX-License-Identifier: GPL-3.0-or-later
// MIDI and OSC on one page over the window: what there is to move, what moves it, learned by moving
// it; where OSC listens; the table into a file and from one.
#pragma once

#include "desk/kit/overlay.h"
#include "remote/action.h"

#include <vector>

class QTableWidget;

namespace zelo::desk {

class Button;
class NumberField;
class RemoteModel;
class Stations;

class RemotePage : public Overlay {
    Q_OBJECT
public:
    RemotePage(RemoteModel& model, QWidget* window);
    void open() override;
    QTableWidget& table() { return *table_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    enum Column { What, By, Stands, kColumns };
    void refresh();
    void learn();  // the chosen row, or not any more
    void forget(); // what moves the chosen row
    const remote::Action* chosen() const;
    QRect sheet() const;

    RemoteModel& model_;
    std::vector<remote::Action> shown_;
    Stations* osc_;
    NumberField* port_;
    QTableWidget* table_;
    Button* learn_;
    Button* forget_;
    Button* export_;
    Button* import_;
};

} // namespace zelo::desk
