// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/gradient_side.h"

#include "colour/cct.h"
#include "desk/gradient/gradient_map.h"
#include "desk/gradient/gradient_plan.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/split_chip.h"
#include "desk/kit/watch.h"
#include "desk/kit/words.h"
#include "desk/lineup/lineup_panel.h"
#include "mix/miss.h"

#include <QApplication>
#include <QKeyEvent>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kMargin = 20;
constexpr int kDisc = 88;
constexpr int kDiscTop = 48;
constexpr int kMapTop = 152;
constexpr int kLeastMap = 90;
constexpr int kLeastPlan = 60;
constexpr int kRow = 20;
} // namespace

GradientSide::GradientSide(Document& document, GradientModel& model, LineupPanel& lamps,
                           QWidget* parent)
    : QWidget(parent), document_(document), model_(model), lamps_(lamps),
      map_(new GradientMap(document, model, this)), plan_(new GradientPlan(document, model, this)),
      pull_(new Button(tr("Pull the stops into reach of all"), {},
                       tr("Stops that a type cannot show take the nearest colour that all can"),
                       Button::Kind::Plain, this)),
      plain_(new Button(tr("Levels alone"), "C",
                        tr("While it is pressed the lamps show what a desk makes of the stops that "
                           "knows levels only"),
                        Button::Kind::Plain, this)),
      fixed_(new Button(tr("Fixed colours"), {},
                        tr("The lamps keep their colours and follow no gradient any more"),
                        Button::Kind::Text, this)),
      keep_changed_(new Button(tr("Keep the change"), {},
                               tr("The kept gradient becomes what it is now: all that follow it "
                                  "change with it"),
                               Button::Kind::Next, this)),
      keep_(new Button(tr("Keep as…"), "K", tr("Keep it under a name, as a palette"),
                       Button::Kind::Next, this)),
      put_down_(new Button(tr("Put down"), "Esc", tr("Let go of everything in hand"),
                           Button::Kind::Plain, this)) {
    setAccessibleName(tr("Gradient, readings"));
    connect(pull_, &Button::clicked, &model_, &GradientModel::pullIntoReach);
    connect(plain_, &Button::pressed, this, [this] { model_.showPlain(true); });
    connect(plain_, &Button::released, this, [this] { model_.showPlain(false); });
    connect(fixed_, &Button::clicked, &model_, &GradientModel::keepFixed);
    connect(keep_changed_, &Button::clicked, &model_, &GradientModel::keepChanged);
    connect(keep_, &Button::clicked, this, &GradientSide::keepWanted);
    connect(put_down_, &Button::clicked, this, [this] { document_.putDown(); });
    watch(model_, &GradientModel::modelChanged, this, [this] { refresh(); });
    watch(document_, this, Change::Hand | Change::Palettes, [this] { refresh(); });
    connect(&lamps_, &LineupPanel::lampFocused, this, [this] { update(); });
    qApp->installEventFilter(this);
}

// While C is held the lamps show what levels alone would make; a widget that takes letters keeps
// it. A window that loses the keyboard will not hear it let go.
bool GradientSide::eventFilter(QObject* watched, QEvent* event) {
    if (plain_held_ && watched == window() && event->type() == QEvent::WindowDeactivate) {
        plain_held_ = false;
        model_.showPlain(false);
    }
    const bool press = event->type() == QEvent::KeyPress;
    if (!press && event->type() != QEvent::KeyRelease)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() != Qt::Key_C || key->isAutoRepeat())
        return QWidget::eventFilter(watched, event);
    const QWidget* focus = QApplication::focusWidget();
    const bool ours = press && key->modifiers() == Qt::NoModifier && isVisible() &&
                      model_.gradient() && focus && focus->window() == window() &&
                      !claimedBy(*focus, *key);
    if (ours != plain_held_) {
        plain_held_ = ours;
        model_.showPlain(ours);
    }
    return QWidget::eventFilter(watched, event);
}

int GradientSide::number(show::FixtureId id) const {
    const auto* f = document_.show().fixture(id);
    return f ? f->number : 0;
}

void GradientSide::refresh() {
    const bool any = model_.gradient() != nullptr;
    const bool holding = !document_.state().hand->empty();
    for (Button* b : {keep_, put_down_}) {
        b->setEnabled(holding);
        b->update();
    }
    map_->setVisible(any);
    plan_->setVisible(any && model_.gradient()->along);
    plain_->setVisible(any);
    fixed_->setVisible(any);
    pull_->setVisible(any && model_.stopsOutside());
    keep_changed_->setVisible(any && model_.changed());
    place();
    update();
}

void GradientSide::resizeEvent(QResizeEvent*) {
    place();
}

// From the foot up: buttons, then rows, and the map has what is left.
void GradientSide::place() {
    const int w = width() - 2 * kMargin;
    int y = height() - 36;
    keep_->setGeometry(kMargin, y, w / 2 - 4, 28);
    put_down_->setGeometry(kMargin + w / 2 + 4, y, w / 2 - 4, 28);
    y -= 34;
    const int plain = plain_->sizeHint().width();
    const int fixed = fixed_->sizeHint().width();
    if (plain + 10 + fixed <= w) {
        plain_->setGeometry(kMargin, y, plain, 28);
        fixed_->setGeometry(kMargin + plain + 10, y, fixed, 28);
    } else { // one over the other
        fixed_->setGeometry(kMargin, y, std::min(w, fixed), 28);
        y -= 34;
        plain_->setGeometry(kMargin, y, std::min(w, plain), 28);
    }
    for (Button* b : {keep_changed_, pull_})
        if (!b->isHidden()) {
            y -= 34;
            b->setGeometry(kMargin, y, w, 28);
        }
    const auto all = rows();
    const int least = kLeastMap + (plan_->isHidden() ? 0 : kLeastPlan);
    const int room = (y - 12 - kMapTop - least) / kRow;
    shown_ = std::min(all.size(), static_cast<std::size_t>(std::max(0, room)));
    first_row_ = y - 12 - static_cast<int>(shown_) * kRow + 14;
    int map = std::max(kLeastMap, first_row_ - 22 - kMapTop);
    if (!plan_->isHidden()) { // both get a share
        const int plan = map * 2 / 5;
        map -= plan + 8;
        plan_->setGeometry(kMargin, kMapTop + map + 8, w, plan);
    }
    map_->setGeometry(kMargin, kMapTop, w, std::min(map, w * 14 / 15));
}

std::vector<GradientSide::Row> GradientSide::rows() const {
    std::vector<Row> all;
    if (!model_.gradient())
        return all;
    const auto& laid = model_.laid();
    all.push_back({tr("Types in this gradient"), tr("worst miss"), {}, true});
    for (std::size_t t = 0; t < laid.types.size(); ++t) {
        const auto& type = laid.types[t];
        const double worst = model_.judged().worst_miss_uv[t];
        Row row{model_.typeName(t), type.colours ? numberOrDash(worst, 4) : tr("left alone"), {}};
        if (type.takes_slots)
            row.name = tr("%1, nearest slot").arg(row.name);
        for (const std::size_t i : type.lamps)
            if (laid.lamps[i].colour && model_.judged().miss_uv[i] == worst)
                row.miss = colour::toUv(laid.lamps[i].colour->mix.got) - laid.lamps[i].uv;
        all.push_back(std::move(row));
    }
    const auto& j = model_.judged();
    const auto delta = [](double step) { return tr("%1 ΔE").arg(numberText(step, 1)); };
    const auto between = [&](const QString& name, std::size_t at) {
        all.push_back({tr("%1, lamp %2 to %3")
                           .arg(name)
                           .arg(number(laid.lamps[at].id))
                           .arg(number(laid.lamps[at + 1].id)),
                       delta(j.steps[at]),
                       {}});
    };
    all.push_back({tr("Evenness"), numberText(j.evenness, 2), {}, true});
    if (j.usual > 0) {
        all.push_back({tr("usual step"), delta(j.usual), {}});
        between(tr("most"), j.most);
        between(tr("least"), j.least);
    }
    double largest = 0;
    double alone = 0;
    for (const auto& type : laid.types) {
        largest = std::max(largest, type.largest_step);
        alone = std::max(alone, type.alone.value_or(0));
    }
    const auto percent = [](double share) { return numberText(100 * share, 0); };
    if (largest > 0)
        all.push_back({tr("emitter, largest step"),
                       alone > largest + 0.005
                           ? tr("%1 %, not %2 %").arg(percent(largest), percent(alone))
                           : tr("%1 %").arg(percent(largest)),
                       {}});
    return all;
}

QPoint GradientSide::wantedPixel() const {
    return {kMargin + kDisc / 4, kDiscTop + kDisc / 2};
}

QPoint GradientSide::gotPixel() const {
    return {kMargin + 3 * kDisc / 4, kDiscTop + kDisc / 2};
}

void GradientSide::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    const int right = width() - kMargin;
    const auto id = lamps_.lampInFocus();
    const play::LaidLamp* lamp = id ? model_.lamp(*id) : nullptr;
    if (!model_.gradient() || !lamp) {
        drawText(p, kMargin, 32, tr("Readings"), typeface(Type::Work), theme().bright);
        drawWrapped(p, QRect(kMargin, 44, width() - 2 * kMargin, 60),
                    model_.gradient() ? tr("This lamp is in no gradient.")
                                      : tr("Begin a gradient, and its steps, misses and ways stand "
                                           "here."),
                    typeface(Type::Small), theme().dim);
        if (!model_.gradient())
            return;
    } else {
        const auto* shown = document_.stage().lamp(*id);
        const QString type =
            shown && shown->mixer ? toQt(shown->mixer->type().name) : tr("unknown type");
        drawEnds(p, kMargin, right, 32,
                 {tr("Lamp %1").arg(number(*id)), typeface(Type::Work), theme().bright, type,
                  typeface(Type::Small), theme().dim});
        const QRectF disc(kMargin, kDiscTop, kDisc, kDisc);
        const bool lit = lamp->colour && colour::hasChromaticity(lamp->colour->mix.got);
        p.setRenderHint(QPainter::Antialiasing);
        paintSplitDisc(p, disc,
                       lit ? colourOfLight(document_.colours(), lamp->colour->wanted)
                           : colourOfLight(document_.colours(), lamp->uv),
                       lit ? colourOfLight(document_.colours(), *lamp->colour->mixer,
                                           lamp->colour->mix.drives, lamp->colour->mix.got)
                           : theme().glass);
        p.setRenderHint(QPainter::Antialiasing, false);
        const int x = kMargin + kDisc + 14;
        const double miss = model_.missOf(*id);
        drawEnds(p, x, right, kDiscTop + 14,
                 {tr("miss"), typeface(Type::Small), theme().dim, numberOrDash(miss, 4),
                  typeface(Type::Work), theme().bright});
        drawEnds(p, x, right, kDiscTop + 34,
                 {tr("place"), typeface(Type::Small), theme().dim,
                  tr("%1 %").arg(numberText(100 * lamp->place, 0)), typeface(Type::Work),
                  theme().bright});
        const auto white = colour::planckianUv({document_.show().white_cct_k});
        QString words = tr("makes no colours: left alone");
        if (lit) {
            words = missWords(miss, lamp->uv, colour::toUv(lamp->colour->mix.got), white);
            if (miss > mix::kReached_uv)
                words = tr("out of reach: %1").arg(words);
        }
        drawWrapped(p, QRect(x, kDiscTop + 42, right - x, 50), words, typeface(Type::Small),
                    theme().text);
    }
    const auto all = rows();
    int y = first_row_;
    for (std::size_t i = 0; i < shown_; ++i) {
        const Row& r = all[i];
        int x = kMargin;
        if (r.miss) {
            p.setRenderHint(QPainter::Antialiasing);
            drawMissMark(p, QPointF(x + 6, y - 4), *r.miss);
            p.setRenderHint(QPainter::Antialiasing, false);
            x += 20;
        }
        drawEnds(p, x, right, y,
                 {r.name, typeface(r.head ? Type::Work : Type::Small),
                  r.head ? theme().bright : theme().text, r.value,
                  typeface(r.head ? Type::Small : Type::Work),
                  r.head ? theme().dim : theme().bright});
        if (r.head)
            p.fillRect(kMargin, y + 5, width() - 2 * kMargin, 1, theme().hair);
        y += kRow;
    }
}

std::vector<PaintedPart> GradientSide::parts() {
    std::vector<PaintedPart> all;
    const auto shown = rows();
    for (std::size_t i = 0; i < shown_; ++i)
        all.push_back({shown[i].name, shown[i].value,
                       QRect(kMargin, first_row_ + static_cast<int>(i) * kRow - 14,
                             width() - 2 * kMargin, kRow)});
    return all;
}

} // namespace zelo::desk
