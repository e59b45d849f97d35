// SPDX-License-Identifier: GPL-3.0-or-later
// How something is laid over the lineup, as controls: in which order, mirrored, in blocks, how
// often, by order or by place on the plan. Gradients and ripples have the same.
#pragma once

#include "show/gradient.h"

#include <QObject>
#include <QStringList>
#include <functional>
#include <vector>

class QWidget;

namespace zelo::desk {

class Button;
class NumberField;
class Stations;

struct LaidOver {
    route::Arrangement arrangement;
    std::optional<show::AlongPlan> along; // by place on the plan; else by order
    std::size_t lamps = 1;                // not to be changed here
};

class LaidControls : public QObject {
    Q_OBJECT
public:
    using Change = std::function<void(LaidOver&)>;
    using Edit = std::function<void(const QString& name, const Change& change, int gesture)>;
    // The controls are `parent`'s, which places them; `edit` is told of each change.
    LaidControls(QWidget* parent, Edit edit);
    void show(const LaidOver& laid); // without an edit

    struct Cell { // a control with its label
        QString label;
        QWidget* control;
        int wide; // as much as it needs
        bool there;
    };
    std::vector<Cell> cells() const;

    Button& order() { return *order_; }
    Button& mirrored() { return *mirrored_; }
    NumberField& blocks() { return *blocks_; }
    NumberField& repeats() { return *repeats_; }
    NumberField& offset() { return *offset_; }
    Stations& along() { return *along_; }

private:
    static QStringList orderWords(); // by route::Order
    void number(NumberField* field, const QString& name, double reset,
                void (*set)(LaidOver&, double));
    void openOrders();
    QWidget* parent_;
    Edit edit_;
    LaidOver laid_;
    Button* order_;
    Button* mirrored_;
    NumberField* passes_;
    NumberField* seed_;
    NumberField* blocks_;
    NumberField* repeats_;
    NumberField* offset_;
    Stations* along_;
    NumberField* direction_;
    NumberField* x_;
    NumberField* y_;
};

int widthOf(const NumberField& field); // of the number and its unit

} // namespace zelo::desk
