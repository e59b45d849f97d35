// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/ripple_form.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "show/limits.h"

#include <QMenu>
#include <cmath>

namespace zelo::desk {

using route::Kind;
using show::Pattern;
using show::Ripple;

namespace {

constexpr int kMargin = 20;
constexpr int kRow = 22;
constexpr int kHeading = 32;
constexpr int kField = 96;
constexpr Kind kKinds[] = {Kind::Straight, Kind::Around, Kind::Jump}; // after "as needed"

bool isCycle(const Ripple& r) {
    return r.pattern == Pattern::Cycle;
}
bool isMarch(const Ripple& r) {
    return r.pattern == Pattern::March;
}
bool isPulse(const Ripple& r) {
    return r.pattern == Pattern::Pulse;
}

} // namespace

RippleForm::RippleForm(RippleModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("Times of the ripple"));
    makeTimes();
    makeLaid();
    makeWay();
    makeStep();
    watch(model_, &RippleModel::modelChanged, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Lineup, [this] { refresh(); });
    refresh();
}

void RippleForm::heading(const QString& words) {
    rows_.push_back({words, nullptr, [](const Ripple&) { return true; }});
}

NumberField* RippleForm::number(const QString& label, const QString& tip, double least, double most,
                                double step, int decimals, const QString& unit, Get get, Set set,
                                std::function<bool(const Ripple&)> there,
                                std::optional<double> reset) {
    auto* field = new NumberField(label, tip, {least, most, step, decimals}, unit, this);
    const auto edit = [this, label, set](double value, int gesture) {
        model_.edit(
            tr("Ripple: %1").arg(label), [&](Ripple& r) { set(r, value); }, gesture);
    };
    connect(field, &ValueControl::valueEdited, this, edit);
    const double back = reset ? *reset : get(Ripple());
    connect(field, &ValueControl::resetWanted, this, [edit, back] { edit(back, 0); });
    if (!there)
        there = [](const Ripple&) { return true; };
    rows_.push_back({label, field, std::move(there), std::move(get)});
    return field;
}

void RippleForm::control(const QString& label, QWidget* control,
                         std::function<bool(const Ripple&)> there, bool own_line) {
    if (!there)
        there = [](const Ripple&) { return true; };
    rows_.push_back({label, control, std::move(there), {}, own_line});
}

void RippleForm::makeStep() {
    heading(tr("Steps"));
    const auto at = [this](auto& r) -> auto& {
        return r.steps[std::min(model_.step(), r.steps.size() - 1)];
    };
    number(
        tr("change of this one"),
        tr("Share of its time that goes into the change to the next; 0: hard"), 0, 100, 5, 0,
        tr("%"), [at](const Ripple& r) { return r.steps.empty() ? 30 : 100 * at(r).change; },
        [at](Ripple& r, double v) { at(r).change = v / 100; },
        [](const Ripple& r) { return !isPulse(r); });
    number(
        tr("intensity of this one"), tr("Of the lamps, while they show this step"), 0, 100, 5, 0,
        tr("%"),
        [at](const Ripple& r) { return r.steps.empty() ? 100 : 100 * at(r).intensity.value_or(1); },
        [at](Ripple& r, double v) { at(r).intensity = v / 100; },
        [at](const Ripple& r) { return at(r).intensity.has_value(); });
    intensities_ = new Button(tr("intensities of its own"), {},
                              tr("Each step has an intensity; else that stays with what lies "
                                 "below"),
                              Button::Kind::Text, this);
    intensities_->setCheckable(true);
    connect(intensities_, &Button::clicked, &model_, &RippleModel::setIntensities);
    control({}, intensities_);
    as_bright_ = new Button(tr("all steps as bright"), {},
                            tr("On each type no step is brighter than the dimmest of them"),
                            Button::Kind::Text, this);
    as_bright_->setCheckable(true);
    connect(as_bright_, &Button::clicked, this, [this](bool on) {
        model_.edit(tr("Steps as bright"), [&](Ripple& r) { r.as_bright = on; });
    });
    control({}, as_bright_);
}

void RippleForm::makeTimes() {
    heading(tr("Timing"));
    auto* turn = new NumberField(tr("one turn"), tr("All steps once: their times go along"),
                                 {0.01, show::kLongest_s, 0.1, 2}, tr("s"), this);
    connect(turn, &ValueControl::valueEdited, this,
            [this](double value, int gesture) { model_.setTurn(value, gesture); });
    rows_.push_back({tr("one turn"), turn, [](const Ripple&) { return true; },
                     [this](const Ripple& r) {
                         const auto delays = play::delaysOf(model_.document().show(), r);
                         return delays ? delays->times.turn_s : 0;
                     }});
    number(
        tr("lamp after lamp"),
        tr("How much later each lamp is than the one before; 0: all "
           "together"),
        0, show::kLongest_s, 0.05, 2, tr("s"), [](const Ripple& r) { return r.after_s; },
        [](Ripple& r, double v) { r.after_s = v; },
        [](const Ripple& r) { return !(r.turns && isCycle(r)); });
    number(
        tr("turns along the lineup"), tr("So much of it lies along the lamps at a time"),
        -show::kMostTurns, show::kMostTurns, 0.25, 2, {},
        [](const Ripple& r) { return r.turns.value_or(1); },
        [](Ripple& r, double v) { r.turns = v; },
        [](const Ripple& r) { return r.turns && isCycle(r); });
    all_round_ = new Button(tr("all of it along the lineup"), {},
                            tr("Lamps are as far apart as it takes; else by a time"),
                            Button::Kind::Text, this);
    all_round_->setCheckable(true);
    connect(all_round_, &Button::clicked, this, [this](bool on) {
        model_.edit(tr("How a ripple lies along the lineup"),
                    [&](Ripple& r) { r.turns = on ? std::optional(1.0) : std::nullopt; });
    });
    control({}, all_round_, isCycle);
    number(
        tr("smooth"), tr("Share of the time that goes into changes, of all steps"), 0, 100, 5, 0,
        tr("%"),
        [](const Ripple& r) { return r.steps.empty() ? 30 : 100 * r.steps.front().change; },
        [](Ripple& r, double v) {
            for (auto& step : r.steps)
                step.change = v / 100;
        },
        [](const Ripple& r) { return !isPulse(r); }, 30);
    number(
        tr("bands of"), tr("So many lamps show one colour; 0: all of them, before the next comes"),
        0, show::kMostFixtures, 1, 0, tr("lamps"), [](const Ripple& r) { return r.band; },
        [](Ripple& r, double v) { r.band = static_cast<int>(v); }, isMarch);
    number(
        tr("pause"), tr("Before the next colour enters"), 0, show::kLongest_s, 0.1, 2, tr("s"),
        [](const Ripple& r) { return r.pause_s; }, [](Ripple& r, double v) { r.pause_s = v; },
        [](const Ripple& r) { return isMarch(r) && r.band == 0; });
    number(
        tr("accent after accent"), tr("From one to the next; several may be on their way"), 0,
        show::kLongest_s, 0.1, 2, tr("s"), [](const Ripple& r) { return r.every_s; },
        [](Ripple& r, double v) { r.every_s = v; }, isPulse);
    number(
        tr("rise"), tr("Until the accent is there"), 0, show::kLongest_s, 0.1, 2, tr("s"),
        [](const Ripple& r) { return r.rise_s; }, [](Ripple& r, double v) { r.rise_s = v; },
        isPulse);
    number(
        tr("stay"), tr("As long as it stands"), 0, show::kLongest_s, 0.1, 2, tr("s"),
        [](const Ripple& r) { return r.stay_s; }, [](Ripple& r, double v) { r.stay_s = v; },
        isPulse);
    number(
        tr("fall"), tr("Its tail"), 0, show::kLongest_s, 0.1, 2, tr("s"),
        [](const Ripple& r) { return r.fall_s; }, [](Ripple& r, double v) { r.fall_s = v; },
        isPulse);
    below_ = new Button(tr("over what lies below"), {},
                        tr("All steps are accents, over whatever the lamps show; else the first "
                           "one is the colour they rest in"),
                        Button::Kind::Text, this);
    below_->setCheckable(true);
    connect(below_, &Button::clicked, this, [this](bool on) {
        model_.edit(tr("What accents pass over"), [&](Ripple& r) { r.over_below = on; });
    });
    control({}, below_, isPulse);
    auto* pace = new NumberField(tr("steps a minute"), tr("From colour to colour"),
                                 {0.01, 6000, 1, 1}, {}, this);
    connect(pace, &ValueControl::valueEdited, this,
            [this](double value, int gesture) { model_.setBeat(60 / value, gesture); });
    rows_.push_back(
        {tr("steps a minute"), pace, [](const Ripple&) { return true; },
         [this](const Ripple&) { return model_.beat_s() > 0 ? 60 / model_.beat_s() : 0; }});
    tap_ = new Button(tr("Tap the beat"), "B",
                      tr("Press it with the music: the usual time between becomes that of a step"),
                      Button::Kind::Text, this);
    connect(tap_, &Button::clicked, &model_, &RippleModel::tap);
    control({}, tap_);
    end_ =
        new Stations(tr("At the end"), tr("It begins again, goes back the way it came, or stops"),
                     {tr("again"), tr("to and fro"), tr("stop")}, {}, false, this);
    connect(end_, &Stations::stationChosen, this, [this](int end) {
        model_.edit(tr("End of a ripple"),
                    [&](Ripple& r) { r.end = static_cast<show::RippleEnd>(end); });
    });
    control(tr("at the end"), end_);
    lets_go_ = new Button(tr("and lets go"), {},
                          tr("At its end it shows what lies below; else it holds its last colours"),
                          Button::Kind::Text, this);
    lets_go_->setCheckable(true);
    connect(lets_go_, &Button::clicked, this, [this](bool on) {
        model_.edit(tr("End of a ripple"), [&](Ripple& r) { r.lets_go = on; });
    });
    control({}, lets_go_, [](const Ripple& r) { return r.end == show::RippleEnd::Stop; });
    number(
        tr("let go in"), tr("The time in which it goes when it is let go of"), 0, show::kLongest_s,
        0.1, 2, tr("s"), [](const Ripple& r) { return r.release_s; },
        [](Ripple& r, double v) { r.release_s = v; });
}

void RippleForm::makeLaid() {
    laid_ = new LaidControls(
        this, [this](const QString& name, const LaidControls::Change& change, int gesture) {
            model_.edit(
                name,
                [&](Ripple& r) {
                    LaidOver laid{r.arrangement, r.along, r.lamps.size()};
                    change(laid);
                    r.arrangement = laid.arrangement;
                    r.along = laid.along;
                },
                gesture);
        });
    chance_ = new Stations(tr("At random"),
                           tr("In their order; one after another in a random one; or each lamp "
                              "with a moment of its own"),
                           {tr("in order"), tr("one by one"), tr("each its own")}, {}, false, this);
    connect(chance_, &Stations::stationChosen, this, [this](int chance) {
        model_.edit(tr("Ripple at random"),
                    [&](Ripple& r) { r.chance = static_cast<show::Chance>(chance); });
    });
}

void RippleForm::makeWay() {
    heading(tr("Laid over the lineup"));
    heading({}); // where the laid controls stand
    control(tr("at random"), chance_);
    number(
        tr("seed"), tr("Another number, another order; the same number, the same one"), 1,
        1'000'000, 1, 0, {}, [](const Ripple& r) { return r.seed; },
        [](Ripple& r, double v) { r.seed = static_cast<std::uint32_t>(v); },
        [](const Ripple& r) { return r.chance != show::Chance::None; });
    heading(tr("Way between steps"));
    way_ =
        new Stations(tr("Way"),
                     tr("As needed: straight, and around the white where that would turn pale; "
                        "straight; around; or with a jump"),
                     {tr("as needed"), tr("Straight"), tr("Around"), tr("Jump")}, {}, false, this);
    connect(way_, &Stations::stationChosen, this, [this](int station) {
        model_.edit(tr("Way of a ripple"), [&](Ripple& r) {
            if (station == 0)
                return r.way.reset();
            route::StopWay way = r.way.value_or(route::StopWay{});
            way.kind = kKinds[station - 1];
            r.way = way;
        });
    });
    control({}, way_);
    number(
        tr("saturation floor"), tr("How much of its ends' saturation the way around keeps"), 0, 100,
        1, 0, tr("%"), [](const Ripple& r) { return 100 * r.way.value_or(route::StopWay{}).floor; },
        [](Ripple& r, double v) {
            if (r.way)
                r.way->floor = v / 100;
        },
        [](const Ripple& r) { return r.way && r.way->kind == Kind::Around; });
    route_ = new Button(tr("a kept route"), {}, tr("The way of a route that was kept in Crossfade"),
                        Button::Kind::Text, this);
    route_->setOpensMenu(true);
    connect(route_, &Button::clicked, this, &RippleForm::openRoutes);
    control({}, route_);
}

void RippleForm::openRoutes() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(tr("A kept route"));
    for (const auto& [id, kept] : model_.document().show().routes)
        connect(menu->addAction(toQt(kept->name)), &QAction::triggered, this,
                [this, way = kept->way] {
                    model_.edit(tr("Way of a ripple"), [&](Ripple& r) { r.way = way; });
                });
    if (menu->isEmpty())
        menu->addAction(tr("None is kept: K keeps one in Crossfade"))->setEnabled(false);
    menu->popup(route_->mapToGlobal(QPoint(0, route_->height())));
}

NumberField& RippleForm::field(const QString& label) {
    for (const Row& row : rows_)
        if (row.label == label)
            if (auto* field = qobject_cast<NumberField*>(row.control))
                return *field;
    qFatal("no field of this name");
}

void RippleForm::refresh() {
    const Ripple* r = model_.ripple();
    if (r) {
        laid_->show({r->arrangement, r->along, r->lamps.size()});
        laid_rows_.clear();
        for (const auto& cell : laid_->cells())
            laid_rows_.push_back({laid_rows_.empty() ? QString() : cell.label,
                                  cell.control,
                                  [there = cell.there](const Ripple&) { return there; },
                                  {},
                                  qobject_cast<NumberField*>(cell.control) == nullptr});
        for (const Row& row : rows_)
            if (row.value && row.there(*r))
                if (auto* field = qobject_cast<NumberField*>(row.control))
                    field->setValue(row.value(*r));
        end_->setChosen(static_cast<int>(r->end));
        chance_->setChosen(static_cast<int>(r->chance));
        int station = 0;
        for (int i = 0; r->way && i < 3; ++i)
            if (r->way->kind == kKinds[i])
                station = i + 1;
        way_->setChosen(station);
        lets_go_->setChecked(r->lets_go);
        below_->setChecked(r->over_below);
        all_round_->setChecked(r->turns.has_value());
        as_bright_->setChecked(r->as_bright);
        intensities_->setChecked(r->steps[model_.step()].intensity.has_value());
    }
    place();
    update();
    if (const int high = heightAt(width()); high != told_height_) {
        told_height_ = high;
        emit heightChanged();
    }
}

// There is room for a choice behind its label.
bool RippleForm::beside(const Row& row) const {
    return row.control &&
           row.control->sizeHint().width() + 12 + textWidth(row.label, typeface(Type::Small)) <=
               width() - 2 * kMargin;
}

std::vector<RippleForm::Placed> RippleForm::placed() const {
    std::vector<Placed> all;
    const Ripple* r = model_.ripple();
    if (!r)
        return all;
    int y = 0;
    const auto put = [&](const Row& row) {
        if (!row.there(*r))
            return;
        const bool under = row.own_line && !row.label.isEmpty() && !beside(row);
        y += !row.control ? (y ? kHeading : 26) : under ? kRow + 22 : kRow;
        all.push_back({&row, y});
        if (row.own_line && qobject_cast<Stations*>(row.control))
            y += 10; // its rule stands under the words
    };
    for (const Row& row : rows_) {
        if (!row.control && row.label.isEmpty()) {
            for (const Row& laid : laid_rows_)
                put(laid);
            continue;
        }
        put(row);
    }
    return all;
}

int RippleForm::heightAt(int) const {
    const auto all = placed();
    return all.empty() ? 40 : all.back().baseline + 24;
}

void RippleForm::place() {
    std::vector<QWidget*> shown;
    for (const Placed& p : placed()) {
        if (!p.row->control)
            continue;
        QWidget* w = p.row->control;
        if (qobject_cast<NumberField*>(w))
            w->setGeometry(width() - kMargin - kField, p.baseline - 17, kField, 24);
        else if (qobject_cast<Stations*>(w)) {
            const bool behind = !p.row->label.isEmpty() && beside(*p.row);
            const int wide = std::min(w->sizeHint().width(), width() - 2 * kMargin);
            w->setGeometry(behind ? width() - kMargin - wide : kMargin,
                           p.baseline - (behind ? 12 : 18), wide, 32);
        } else
            w->setGeometry(kMargin, p.baseline - 17,
                           std::min(w->sizeHint().width(), width() - 2 * kMargin), kRow);
        w->show();
        shown.push_back(w);
    }
    const auto hideElse = [&](const std::vector<Row>& rows) {
        for (const Row& row : rows)
            if (row.control && std::find(shown.begin(), shown.end(), row.control) == shown.end())
                row.control->hide();
    };
    hideElse(rows_);
    hideElse(laid_rows_);
}

void RippleForm::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    for (const Placed& at : placed()) {
        const Row& row = *at.row;
        if (!row.control) {
            drawText(p, kMargin, at.baseline - 4, row.label, typeface(Type::Work), theme().bright);
            p.fillRect(kMargin, at.baseline + 3, width() - 2 * kMargin, 1, theme().hair);
        } else if (row.own_line && !beside(row)) {
            drawText(p, kMargin, at.baseline - 22, row.label, typeface(Type::Small), theme().dim);
        } else {
            drawElided(p, kMargin, at.baseline, width() - 2 * kMargin - kField, row.label,
                       typeface(Type::Small), theme().dim);
        }
    }
}

} // namespace zelo::desk
