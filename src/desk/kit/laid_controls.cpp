// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/laid_controls.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"

#include <QMenu>
#include <algorithm>

namespace zelo::desk {

using route::Order;

int widthOf(const NumberField& field) {
    return 53 + (field.unit().isEmpty() ? 0 : 5 + textWidth(field.unit(), typeface(Type::Small)));
}

QStringList LaidControls::orderWords() {
    return {tr("first to last"), tr("last to first"), tr("from the middle"),
            tr("to the middle"), tr("to and fro"),    tr("shuffled")};
}

LaidControls::LaidControls(QWidget* parent, Edit edit)
    : QObject(parent), parent_(parent), edit_(std::move(edit)),
      order_(new Button(orderWords()[0], {}, tr("In which order it goes over the lamps"),
                        Button::Kind::Text, parent)),
      mirrored_(new Button(tr("mirrored"), {}, tr("There and back about the middle"),
                           Button::Kind::Text, parent)),
      along_(new Stations(tr("Laid by"),
                          tr("By the order of the lineup, or by where the lamps hang: along a "
                             "line on the plan, or away from a point of it"),
                          {tr("order"), tr("line"), tr("point")}, {}, false, parent)) {
    order_->setOpensMenu(true);
    mirrored_->setCheckable(true);
    const auto field = [parent](const QString& name, const QString& tip,
                                const ValueControl::Range& range, const QString& unit) {
        return new NumberField(name, tip, range, unit, parent);
    };
    passes_ = field(tr("Passes"), tr("How often it goes to and fro in all"), {1, 1000, 1, 0}, {});
    seed_ = field(tr("Seed"), tr("Another number, another order; the same number, the same one"),
                  {1, 1'000'000, 1, 0}, {});
    blocks_ = field(tr("Blocks of"), tr("So many lamps beside each other share a colour"),
                    {1, 1000, 1, 0}, tr("lamps"));
    repeats_ = field(tr("Repeats"), tr("How often the whole of it is laid over the lineup"),
                     {1, 1000, 1, 0}, tr("times"));
    offset_ = field(tr("Offset"), tr("Turns it along the lamps"), {0, 100, 1, 0}, tr("lamps"));
    direction_ = field(tr("Direction of the line"), tr("0° goes from left to right, 90° upstage"),
                       {-180, 360, 5, 0}, tr("°"));
    x_ = field(tr("Point across"), tr("Metres from the middle, to the right"),
               {-1000, 1000, 0.5, 1}, tr("m"));
    y_ = field(tr("Point upstage"), tr("Metres from the middle, upstage"), {-1000, 1000, 0.5, 1},
               tr("m"));
    connect(order_, &Button::clicked, this, &LaidControls::openOrders);
    connect(mirrored_, &Button::clicked, this, [this](bool on) {
        edit_(
            on ? tr("Mirrored") : tr("Not mirrored"),
            [on](LaidOver& l) { l.arrangement.mirrored = on; }, 0);
    });
    number(passes_, tr("Passes"), 2,
           [](LaidOver& l, double v) { l.arrangement.passes = static_cast<int>(v); });
    number(seed_, tr("Shuffle"), 1,
           [](LaidOver& l, double v) { l.arrangement.seed = static_cast<std::uint32_t>(v); });
    number(blocks_, tr("Blocks"), 1,
           [](LaidOver& l, double v) { l.arrangement.block = static_cast<int>(v); });
    number(repeats_, tr("Repeats"), 1,
           [](LaidOver& l, double v) { l.arrangement.repeats = static_cast<int>(v); });
    number(offset_, tr("Offset"), 0, [](LaidOver& l, double v) {
        l.arrangement.offset =
            std::clamp(v / static_cast<double>(std::max<std::size_t>(1, l.lamps)), 0.0, 1.0);
    });
    connect(along_, &Stations::stationChosen, this, [this](int by) {
        edit_(
            tr("What it is laid by"),
            [by](LaidOver& l) {
                show::AlongPlan along = l.along.value_or(show::AlongPlan{});
                along.from_point = by == 2;
                l.along = by == 0 ? std::nullopt : std::optional(along);
            },
            0);
    });
    number(direction_, tr("Turn the line"), 0, [](LaidOver& l, double v) {
        if (l.along)
            l.along->direction_deg = v;
    });
    number(x_, tr("Move the point"), 0, [](LaidOver& l, double v) {
        if (l.along)
            l.along->x_m = v;
    });
    number(y_, tr("Move the point"), 0, [](LaidOver& l, double v) {
        if (l.along)
            l.along->y_m = v;
    });
}

void LaidControls::number(NumberField* field, const QString& name, double reset,
                          void (*set)(LaidOver&, double)) {
    connect(field, &ValueControl::valueEdited, this, [=, this](double value, int gesture) {
        edit_(
            name, [=](LaidOver& l) { set(l, value); }, gesture);
    });
    connect(field, &ValueControl::resetWanted, this, [=, this] {
        edit_(
            name, [=](LaidOver& l) { set(l, reset); }, 0);
    });
}

void LaidControls::openOrders() {
    auto* menu = new QMenu(parent_);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(tr("Order"));
    const QStringList words = orderWords();
    for (int i = 0; i < words.size(); ++i) {
        QAction* action = menu->addAction(words[i]);
        action->setCheckable(true);
        action->setChecked(static_cast<int>(laid_.arrangement.order) == i);
        connect(action, &QAction::triggered, this, [this, i] {
            edit_(
                tr("Order along the lineup"),
                [i](LaidOver& l) { l.arrangement.order = static_cast<Order>(i); }, 0);
        });
    }
    menu->popup(order_->mapToGlobal(QPoint(0, order_->height())));
}

void LaidControls::show(const LaidOver& laid) {
    laid_ = laid;
    const auto& a = laid.arrangement;
    const auto n = static_cast<double>(std::max<std::size_t>(1, laid.lamps));
    order_->setText(orderWords()[static_cast<int>(a.order)]);
    mirrored_->setChecked(a.mirrored);
    passes_->setValue(a.passes);
    seed_->setValue(a.seed);
    blocks_->setValue(a.block);
    repeats_->setValue(a.repeats);
    offset_->setRange({0, n, 1, 0});
    offset_->setValue(a.offset * n);
    along_->setChosen(!laid.along ? 0 : laid.along->from_point ? 2 : 1);
    const show::AlongPlan along = laid.along.value_or(show::AlongPlan{});
    direction_->setValue(along.direction_deg);
    x_->setValue(along.x_m);
    y_->setValue(along.y_m);
}

std::vector<LaidControls::Cell> LaidControls::cells() const {
    const auto& a = laid_.arrangement;
    const auto& along = laid_.along;
    const auto number = [](const QString& label, NumberField* f, bool there) {
        return Cell{label, f, widthOf(*f), there};
    };
    return {
        {tr("laid over the lineup"), order_, order_->sizeHint().width(), true},
        {{}, mirrored_, mirrored_->sizeHint().width(), true},
        number(tr("passes"), passes_, a.order == Order::ToAndFro),
        number(tr("seed"), seed_, a.order == Order::Shuffled),
        number(tr("blocks of"), blocks_, true),
        number(tr("repeats"), repeats_, true),
        number(tr("offset"), offset_, true),
        {tr("by", "by what it is laid"), along_, along_->sizeHint().width(), true},
        number(tr("direction"), direction_, along && !along->from_point),
        number(tr("across"), x_, along && along->from_point),
        number(tr("upstage"), y_, along && along->from_point),
    };
}

} // namespace zelo::desk
