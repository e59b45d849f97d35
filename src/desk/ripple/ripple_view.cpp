// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/ripple_view.h"

#include "desk/kit/ask.h"
#include "desk/kit/button.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"
#include "desk/kit/words.h"
#include "desk/ripple/pattern_tiles.h"
#include "desk/ripple/raster_plot.h"
#include "desk/ripple/step_track.h"

#include <QDragEnterEvent>
#include <QMenu>

namespace zelo::desk {

namespace {
constexpr int kMargin = 24;
constexpr int kSteps = 48; // top of the ribbon
constexpr int kGap = 20;
constexpr int kLeastRaster = 120;
} // namespace

RippleView::RippleView(RippleModel& model, QWidget* parent)
    : QWidget(parent), model_(model),
      name_(new Button({}, {}, tr("This ripple and the others of the show"), Button::Kind::Text,
                       this)),
      add_(new Button(tr("add a step"), {},
                      tr("Behind the chosen step, of a colour between it and the next: choose "
                         "another one in the swatch book"),
                      Button::Kind::Text, this)),
      over_(new Button(tr("Lay it over the lineup"), {},
                       tr("It runs over these lamps, in this order"), Button::Kind::Plain, this)),
      lamps_(new Button(tr("Take its lamps"), {}, tr("The lamps it runs over become the lineup"),
                        Button::Kind::Text, this)),
      begin_(new Button(tr("From the first lamp to the last, as they are now"), {},
                        tr("The colours of the two become the steps"), Button::Kind::Next, this)),
      rainbow_(new Button(tr("Rainbow"), {},
                          tr("All hues that these lamps share, evenly to the eye and all as "
                             "bright"),
                          Button::Kind::Plain, this)),
      steps_(new StepTrack(model, this)), patterns_(new PatternTiles(model, this)),
      raster_(new RasterPlot(model, this)) {
    setAccessibleName(tr("Ripple"));
    setAcceptDrops(true);
    name_->setOpensMenu(true);
    connect(name_, &Button::clicked, this, [this] {
        QMenu* menu = makeMenu();
        menu->setAttribute(Qt::WA_DeleteOnClose);
        menu->popup(name_->mapToGlobal(QPoint(0, name_->height())));
    });
    connect(add_, &Button::clicked, this, [this] { model_.addStep(); });
    connect(over_, &Button::clicked, &model_, &RippleModel::layOverLineup);
    connect(lamps_, &Button::clicked, &model_, &RippleModel::takeItsLamps);
    connect(begin_, &Button::clicked, &model_, &RippleModel::beginFromLineup);
    connect(rainbow_, &Button::clicked, &model_, &RippleModel::beginRainbow);
    watch(model_, &RippleModel::modelChanged, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Lineup | Change::Cues | Change::Seen,
          [this] { refresh(); });
    refresh();
}

QMenu* RippleView::makeMenu() {
    auto* menu = new QMenu(this);
    menu->setTitle(tr("Ripples"));
    Document& document = model_.document();
    const show::Ripple* now = model_.ripple();
    const auto add = [&](QMenu* to, const QString& text, auto run) {
        QAction* action = to->addAction(text);
        connect(action, &QAction::triggered, this, run);
        return action;
    };
    for (const auto& [id, ripple] : document.show().ripples) {
        QAction* action = add(menu, toQt(ripple->name), [this, id = id] { model_.setRipple(id); });
        action->setCheckable(true);
        action->setChecked(now && now->id == id);
    }
    menu->addSeparator();
    add(menu, tr("Another one"), [this] { model_.begin(); });
    add(menu, tr("Rainbow over the lineup"), [this] { model_.beginRainbow(); });
    auto* gradients = menu->addMenu(tr("From a gradient"));
    for (const auto& [id, palette] : document.show().palettes)
        if (palette->gradient)
            add(gradients, toQt(palette->name), [this, id = id] {
                model_.begin();
                model_.fromGradient(id);
            });
    gradients->setEnabled(!gradients->isEmpty());
    if (!now)
        return menu;
    menu->addSeparator();
    add(menu, tr("Rename…"), [this] {
        const show::Ripple* r = model_.ripple();
        if (r)
            askText(this, tr("Rename ripple"), tr("What the ripple is called"), toQt(r->name),
                    [this](const QString& name) { model_.rename(name.trimmed()); });
    });
    add(menu, tr("Copy"), [this] { model_.copy(); });
    add(menu, now->locked ? tr("Unlock") : tr("Lock"),
        [this, lock = !now->locked] { model_.setLocked(lock); });
    add(menu, tr("Onto a fader"), [this] { model_.ontoFader(); });
    add(menu, tr("One turn for another desk…"), [this] { emit saveWanted(); });
    auto* uses = menu->addMenu(tr("Where used"));
    for (const QString& use : model_.uses())
        uses->addAction(use)->setEnabled(false);
    uses->setEnabled(!uses->isEmpty());
    add(menu, tr("Remove"), [this] { model_.remove(); });
    return menu;
}

void RippleView::refresh() {
    const show::Ripple* r = model_.ripple();
    const bool lamps = !model_.document().lineup().empty();
    for (QWidget* w : std::initializer_list<QWidget*>{add_, steps_, patterns_, raster_})
        w->setVisible(r);
    over_->setVisible(r && !model_.covers());
    lamps_->setVisible(r && !model_.covers() && !r->lamps.empty());
    begin_->setVisible(!r && lamps);
    rainbow_->setVisible(!r && lamps);
    name_->setVisible(r || !model_.document().show().ripples.empty());
    name_->setText(r ? r->locked ? tr("%1, locked").arg(toQt(r->name)) : toQt(r->name)
                     : tr("the others"));
    place();
    update();
}

void RippleView::place() {
    const int w = width() - 2 * kMargin;
    const int title = textWidth(tr("Ripple"), typeface(Type::Title));
    const int name = std::min(name_->sizeHint().width(), 260);
    name_->setGeometry(kMargin + title + 8, 12, name, 24);
    steps_->setGeometry(kMargin, kSteps, w, StepTrack::kHeight);
    const int add = add_->sizeHint().width();
    add_->setGeometry(width() - kMargin - add, kSteps + 45, add, 22);
    add_->raise();
    steps_->setRoom(w - add - 12);
    patterns_->setGeometry(kMargin, kSteps + StepTrack::kHeight + kGap, w, PatternTiles::kHeight);
    const int foot = over_->isHidden() ? 0 : 36;
    const int top = patterns_->y() + PatternTiles::kHeight + kGap - 4;
    raster_->setGeometry(kMargin - 24, top, w + 24,
                         std::max(kLeastRaster, height() - top - foot - 12));
    const int over = over_->sizeHint().width();
    over_->setGeometry(width() - kMargin - over, height() - 38, over, 26);
    const int take = lamps_->sizeHint().width();
    lamps_->setGeometry(over_->x() - take - 12, height() - 38, take, 26);
    begin_->setGeometry(kMargin, 50, std::min(begin_->sizeHint().width(), w), 28);
    rainbow_->setGeometry(kMargin, 150, std::min(rainbow_->sizeHint().width(), w), 28);
}

void RippleView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    drawText(p, kMargin, 28, tr("Ripple"), typeface(Type::Title), theme().bright);
    const show::Ripple* r = model_.ripple();
    const int left = name_->isHidden()
                         ? kMargin + textWidth(tr("Ripple"), typeface(Type::Title)) + 16
                         : name_->geometry().right() + 12;
    const int right = width() - kMargin;
    if (r) {
        const bool bright = std::any_of(r->steps.begin(), r->steps.end(),
                                        [](const auto& step) { return step.intensity; });
        const QString note =
            bright ? tr("with intensities of its own") : tr("colour only, brightness untouched");
        const int wide = std::min(textWidth(note, typeface(Type::Small)), right - left);
        drawElided(p, right - wide, 28, wide, note, typeface(Type::Small), theme().dim);
        if (r->lamps.empty())
            drawText(p, kMargin, raster_->y() + 40, tr("It runs over no lamps yet."),
                     typeface(Type::Work), theme().text);
        if (!over_->isHidden())
            drawWrapped(p, QRect(kMargin, height() - 40, lamps_->x() - kMargin - 12, 32),
                        tr("It runs over %1, not over these in this order.")
                            .arg(lampCount(r->lamps.size())),
                        typeface(Type::Small), theme().text);
        return;
    }
    if (model_.document().lineup().empty()) {
        drawElided(p, left, 28, right - left, noLampsWords(model_.document().show()),
                   typeface(Type::Small), theme().text);
        return;
    }
    drawElided(p, left, 28, right - left, tr("none on the bench yet"), typeface(Type::Small),
               theme().dim);
    const auto& first = model_.firstColour();
    drawWrapped(p, QRect(kMargin, 92, width() - 2 * kMargin - (first ? 60 : 0), 32),
                first ? tr("The first colour is chosen. Now choose the second one in the swatch "
                           "book, or drop it here.")
                      : tr("Or choose two colours or palettes in the swatch book, one after the "
                           "other."),
                typeface(Type::Work), theme().text);
    if (first)
        p.fillRect(width() - kMargin - 48, 92, 48, 20,
                   colourOfLight(model_.document().colours(), first->uv));
    drawText(p, kMargin, 142, tr("or all colours round"), typeface(Type::Small), theme().dim);
}

void RippleView::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

// Beside the steps: another one.
void RippleView::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked)
        return;
    const auto palette = paletteOf(model_.document(), *asked);
    const auto* p = model_.document().show().palette(palette);
    if (p && p->gradient)
        model_.fromGradient(palette);
    else if (model_.ripple() && (!p || p->colour))
        model_.addStep(*asked, palette);
    else
        model_.takeColour(*asked, palette);
    event->acceptProposedAction();
}

} // namespace zelo::desk
