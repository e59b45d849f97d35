// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/ripple_side.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/stations.h"
#include "desk/kit/watch.h"
#include "desk/ripple/ripple_form.h"

#include <QScrollArea>

namespace zelo::desk {

namespace {
constexpr int kMargin = 20;
constexpr int kFoot = 88;     // what stands still under the numbers
constexpr int kTroubles = 58; // over it, where there are any
} // namespace

RippleSide::RippleSide(RippleModel& model, QWidget* parent)
    : QWidget(parent), model_(model), scroll_(new QScrollArea(this)),
      form_(new RippleForm(model, nullptr)),
      where_(new Stations(tr("Shown where"), tr("On the screen alone, or on the lamps too"),
                          {tr("screen"), tr("lamps")}, {}, false, this)),
      play_(new Button(tr("Play"), "P", tr("Starts the ripple; again: it is let go of"),
                       Button::Kind::Next, this)),
      freeze_(new Button(tr("Freeze"), "F", tr("Holds its colours; again: lets them go on"),
                         Button::Kind::Plain, this)),
      keep_(new Button(tr("Keep as…"), "K",
                       tr("Keeps what the lamps show at the line as a gradient or a look"),
                       Button::Kind::Plain, this)) {
    setAccessibleName(tr("Ripple, readings"));
    freeze_->setCheckable(true);
    where_->setSmall(true);
    scroll_->setWidget(form_);
    scroll_->setWidgetResizable(false);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setStyleSheet("QScrollArea{background:transparent}" + scrollBarStyle());
    connect(form_, &RippleForm::heightChanged, this, [this] { place(); });
    connect(where_, &Stations::stationChosen, this,
            [this](int which) { model_.setOnLamps(which == 1); });
    connect(play_, &Button::clicked, &model_, &RippleModel::play);
    connect(freeze_, &Button::clicked, &model_, [this] { model_.freeze(); });
    connect(keep_, &Button::clicked, this, &RippleSide::keepWanted);
    watch(model_, &RippleModel::modelChanged, this, [this] { refresh(); });
    watch(model_, &RippleModel::momentChanged, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Light | Change::Controls, [this] { refresh(); });
    refresh();
}

void RippleSide::refresh() {
    const bool any = model_.ripple() != nullptr;
    for (QWidget* w : std::initializer_list<QWidget*>{scroll_, where_, play_, freeze_, keep_})
        w->setVisible(any);
    where_->setChosen(model_.onLamps() ? 1 : 0);
    play_->setText(!model_.playing() ? tr("Play") : model_.onLamps() ? tr("Let go") : tr("Stop"));
    freeze_->setEnabled(model_.playing());
    freeze_->setChecked(model_.playing() && model_.frozen());
    QStringList all{model_.outOfReach(), model_.tooFast()};
    if (any && model_.onLamps() && !model_.document().onStage())
        all << tr("rehearsal: nothing goes out to the fixtures");
    all.removeAll({});
    const QString trouble = all.join(QStringLiteral(". "));
    if (trouble != trouble_) {
        trouble_ = trouble;
        setAccessibleDescription(trouble_);
    }
    place();
    update();
}

int RippleSide::foot() const {
    return kFoot + (trouble_.isEmpty() ? 0 : kTroubles);
}

void RippleSide::place() {
    const int w = width() - 2 * kMargin;
    scroll_->setGeometry(0, 12, width(), height() - foot() - 12);
    form_->setGeometry(0, form_->y(), width(), form_->heightAt(width()));
    int y = height() - 36;
    const int half = (w - 8) / 2;
    play_->setGeometry(kMargin, y, half, 28);
    freeze_->setGeometry(kMargin + half + 8, y, half, 28);
    y -= 38;
    where_->setGeometry(kMargin, y - 2, half, 32);
    keep_->setGeometry(kMargin + half + 8, y, half, 28);
}

void RippleSide::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    if (!model_.ripple()) {
        drawText(p, kMargin, 32, tr("Timing"), typeface(Type::Work), theme().bright);
        drawWrapped(p, QRect(kMargin, 44, width() - 2 * kMargin, 60),
                    tr("Begin a ripple, and its times, its way and how it is played stand here."),
                    typeface(Type::Small), theme().dim);
        return;
    }
    p.fillRect(kMargin, height() - foot(), width() - 2 * kMargin, 1, theme().hair);
    const bool marked = !model_.outOfReach().isEmpty();
    if (marked) {
        p.setRenderHint(QPainter::Antialiasing);
        drawMissMark(p, QPointF(kMargin + 6, height() - foot() + 18), {0.02, 0});
        p.setRenderHint(QPainter::Antialiasing, false);
    }
    drawWrapped(p,
                QRect(kMargin + (marked ? 20 : 0), height() - foot() + 8,
                      width() - 2 * kMargin - (marked ? 20 : 0), 54),
                trouble_, typeface(Type::Small), theme().text);
}

} // namespace zelo::desk
