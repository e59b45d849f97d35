// SPDX-License-Identifier: GPL-3.0-or-later
// The header: the show and whether it is kept, the six views, the output's heartbeat, master, Dark,
// Rehearsal or On stage.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class NumberField;
class Stations;

// Rehearsal | On stage, in one box.
class StageSwitch : public QWidget, public OwnKeys {
    Q_OBJECT
public:
    explicit StageSwitch(QWidget* parent);
    void setOnStage(bool on);
    QSize sizeHint() const override;
    bool claims(const QKeyEvent& key) const override;

signals:
    void onStageChosen(bool on);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    int seam() const;
    bool on_stage_ = true;
};

class Header : public QWidget {
    Q_OBJECT
public:
    Header(Document& document, QWidget* parent);
    void setView(int view);
    void askTime(); // the keyboard goes to the time in hand

signals:
    void viewChosen(int view);
    void menuWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void mousePressEvent(QMouseEvent* event) override;

private:
    QString savedWords() const;
    void refresh();
    void place();
    bool placeIn();

    Document& document_;
    Stations* views_;
    NumberField* master_;
    NumberField* time_;
    Button* solo_; // only while lamps are solo
    Button* dark_;
    StageSwitch* stage_;
    Button* name_;
    int beat_ = 0;
    int beat_right_ = 0; // where the heartbeat ends
    bool beats_ = true;  // there is room for the heartbeat
    enum class Room { Wide, Narrow, Tight } room_ = Room::Wide;
};

} // namespace zelo::desk
