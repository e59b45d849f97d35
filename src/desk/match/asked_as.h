// SPDX-License-Identifier: GPL-3.0-or-later
// The ways of asking for a colour, one under the other, and the numbers of the chosen one.
#pragma once

#include "desk/focus/asking.h"
#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"

#include <QWidget>

class QLineEdit;

namespace zelo::desk {

class NumberField;

class AskedAs : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    AskedAs(FocusModel& focus, Asking& asking, QWidget* parent);
    NumberField& first() { return *a_; }
    NumberField& second() { return *b_; }
    QLineEdit& hex() { return *hex_; }
    NumberField& lamp() { return *lamp_; }
    static constexpr int kHeight = 172;
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

signals:
    void bookWanted();     // a gel: from the swatch book
    void measuredWanted(); // a measured light: from a file

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void choose(int ask);
    void moveTo(int ask); // by arrow keys: what leads elsewhere waits for Enter
    void refresh();
    FocusModel& focus_;
    Asking& asking_;
    int chosen_ = 0; // an Ask; Lamp and Measured stay chosen only here
    NumberField* a_;
    NumberField* b_;
    NumberField* lamp_;
    QLineEdit* hex_;
};

} // namespace zelo::desk
