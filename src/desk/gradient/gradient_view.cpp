// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/gradient_view.h"

#include "desk/kit/button.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/stations.h"
#include "desk/kit/taken_colour.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "desk/kit/words.h"
#include "route/way.h"

#include <QDragEnterEvent>
#include <QMenu>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr int kMargin = 24;
constexpr int kTitle = 36; // under it the controls begin
constexpr int kRow = 52;
constexpr int kLabel = 12; // baseline of a label in its row
constexpr int kControl = 16;
constexpr int kGap = 20;
constexpr int kEmpty = 190;
constexpr std::size_t kMostKeptShown = 6;

} // namespace

GradientView::GradientView(Document& document, GradientModel& model, QWidget* parent)
    : QWidget(parent), document_(document), model_(model) {
    setAccessibleName(tr("Gradient"));
    setAcceptDrops(true);
    makeWay();
    laid_ = new LaidControls(
        this, [this](const QString& name, const LaidControls::Change& change, int gesture) {
            model_.edit(
                name,
                [&](show::Gradient& g) {
                    LaidOver laid = laidOver(g);
                    change(laid);
                    g.arrangement = laid.arrangement;
                    g.along = laid.along;
                },
                gesture);
        });
    makeRest();
    watch(model_, &GradientModel::modelChanged, this, [this] { refresh(); });
    watch(document_, this, Change::Palettes | Change::Rig, [this] { refresh(); });
    // The same lamps in another order: the gradient goes along, here where the order is seen.
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Lineup) && isVisible())
            model_.followOrder();
    });
}

void GradientView::makeWay() {
    kind_ =
        new Stations(tr("Way"),
                     tr("From this stop to the next: as levels alone would, straight on the "
                        "map, around the white, through dark, or with a jump"),
                     {tr("Levels"), tr("Straight"), tr("Around"), tr("Through dark"), tr("Jump")},
                     {}, false, this);
    side_ = new Stations(tr("Side"), tr("By which hues the way goes round the white"),
                         {tr("left"), tr("right")}, {}, false, this);
    floor_ = new NumberField(tr("Saturation floor"),
                             tr("How much of its ends' saturation the way around keeps"),
                             {0, 100, 1, 0}, tr("%"), this);
    hue_ = new Button(tr("no hue"), {}, tr("A hue that the way around stays out of"),
                      Button::Kind::Text, this);
    hue_->setOpensMenu(true);
    share_ = new NumberField(tr("Change at"), tr("Where on the way the colour changes"),
                             {0, 100, 1, 0}, tr("%"), this);
    connect(kind_, &Stations::stationChosen, this, [this](int kind) {
        model_.editWay(tr("Way of a gradient"),
                       [&](route::StopWay& w) { w.kind = static_cast<route::Kind>(kind); });
    });
    connect(side_, &Stations::stationChosen, this, [this](int side) {
        model_.editWay(tr("Side of a way"), [&](route::StopWay& w) {
            w.side = side == 0 ? route::Side::Ccw : route::Side::Cw;
            w.keep_out.reset(); // it would choose the side itself
        });
    });
    connect(floor_, &ValueControl::valueEdited, this, [this](double value, int gesture) {
        model_.editWay(
            tr("Saturation floor"), [&](route::StopWay& w) { w.floor = value / 100; }, gesture);
    });
    connect(floor_, &ValueControl::resetWanted, this, [this] {
        model_.editWay(tr("Saturation floor"),
                       [](route::StopWay& w) { w.floor = route::StopWay{}.floor; });
    });
    connect(share_, &ValueControl::valueEdited, this, [this](double value, int gesture) {
        model_.editWay(
            tr("Where the colour changes"), [&](route::StopWay& w) { w.jump_at = value / 100; },
            gesture);
    });
    connect(share_, &ValueControl::resetWanted, this, [this] {
        model_.editWay(tr("Where the colour changes"),
                       [](route::StopWay& w) { w.jump_at = route::StopWay{}.jump_at; });
    });
    connect(hue_, &Button::clicked, this, &GradientView::openHues);
}

void GradientView::makeRest() {
    even_ = new Stations(tr("Step"),
                         tr("Even to the eye from lamp to lamp, or even in position on the way"),
                         {tr("to the eye"), tr("in place")}, {}, false, this);
    bright_ = new Stations(tr("Intensity"),
                           tr("Left as it is; a gradient of its own, with stops in the ribbon; or "
                              "all lamps as bright as the dimmest of them can be"),
                           {tr("untouched"), tr("its own"), tr("all as bright")}, {}, false, this);
    reach_ = new Stations(tr("Reach"),
                          tr("Within what all types can show, so that they agree; or each as far "
                             "as it can"),
                          {tr("of all"), tr("each its own")}, {}, false, this);
    mixes_ = new Stations(tr("Mixes"),
                          tr("Neighbours of a type made from nearly the same emitters, so that "
                             "they do not part on skin; or each lamp by the intent alone"),
                          {tr("together"), tr("apart")}, {}, false, this);
    begin_ = new Button(tr("From the first lamp to the last, as they are now"), {},
                        tr("The colours of the two become the stops"), Button::Kind::Next, this);
    over_ = new Button(tr("Lay it over the lineup"), {},
                       tr("All of it, over these lamps in this order"), Button::Kind::Plain, this);
    lamps_ = new Button(tr("Take its lamps"), {}, tr("The lamps it is laid over become the lineup"),
                        Button::Kind::Text, this);
    connect(even_, &Stations::stationChosen, this, [this](int even) {
        model_.edit(tr("Steps of a gradient"),
                    [&](show::Gradient& g) { g.even = static_cast<route::Even>(even); });
    });
    connect(bright_, &Stations::stationChosen, this, [this](int bright) {
        model_.edit(tr("Intensity of a gradient"), [&](show::Gradient& g) {
            g.bright = static_cast<show::Bright>(bright);
            if (g.bright == show::Bright::Spread && g.intensities.size() < 2)
                g.intensities = {{1, {}, {}}, {0.3, {}, {}}};
        });
    });
    connect(reach_, &Stations::stationChosen, this, [this](int reach) {
        model_.edit(tr("Reach of a gradient"),
                    [&](show::Gradient& g) { g.common_reach = reach == 0; });
    });
    connect(mixes_, &Stations::stationChosen, this, [this](int mixes) {
        model_.edit(tr("Mixes of a gradient"),
                    [&](show::Gradient& g) { g.choose = static_cast<route::Choose>(mixes); });
    });
    connect(begin_, &Button::clicked, &model_, &GradientModel::beginFromLineup);
    connect(over_, &Button::clicked, this, [this] { model_.layOverLineup(); });
    connect(lamps_, &Button::clicked, &model_, &GradientModel::takeItsLamps);
}

void GradientView::openHues() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(tr("Stay out of"));
    connect(menu->addAction(tr("no hue")), &QAction::triggered, this, [this] {
        model_.editWay(tr("Stay out of no hue"), [](route::StopWay& w) { w.keep_out.reset(); });
    });
    for (const route::HueName& hue : route::hueNames())
        connect(menu->addAction(saidText(hue.name)), &QAction::triggered, this,
                [this, sector = hue.sector, name = saidText(hue.name)] {
                    model_.editWay(tr("Stay out of %1").arg(name),
                                   [&](route::StopWay& w) { w.keep_out = sector; });
                });
    menu->popup(hue_->mapToGlobal(QPoint(0, hue_->height())));
}

void GradientView::layKept(show::PaletteId id) {
    const show::Palette* p = document_.show().palette(id);
    if (!p)
        return;
    if (document_.lineup().empty())
        return document_.tell(noLampsWords(document_.show()));
    document_.setHand(tr("Gradient %1").arg(toQt(p->name)),
                      show::withPalette(document_.state().hand, document_.lineup(), *p));
}

// --- what there is

std::vector<GradientView::Cell> GradientView::cells() const {
    const show::Gradient* g = model_.gradient();
    if (!g)
        return {};
    const route::StopWay& way = g->ways[model_.way()];
    const bool around = way.kind == route::Kind::Around;
    const bool changes = way.kind == route::Kind::Jump || way.kind == route::Kind::Dark;
    const auto stations = [](Stations* s) { return s->sizeHint().width(); };
    const auto number = [](NumberField* f) { return widthOf(*f); };
    const auto button = [](Button* b) { return b->sizeHint().width(); };
    std::vector<Cell> all{
        {tr("way from %1 to %2")
             .arg(model_.stopName(model_.way()), model_.stopName(model_.way() + 1)),
         kind_, stations(kind_), true, 0},
        {tr("by", "by which hues"), side_, stations(side_), around, 0},
        {tr("saturation floor"), floor_, number(floor_), around, 0},
        {tr("stays out of"), hue_, button(hue_), around, 0},
        {tr("change at"), share_, number(share_), changes, 0}};
    for (const auto& cell : laid_->cells())
        all.push_back({cell.label, cell.control, cell.wide, cell.there, 1});
    const std::vector<Cell> rest{
        {tr("step even"), even_, stations(even_), true, 2},
        {tr("intensity"), bright_, stations(bright_), true, 2},
        {tr("reach"), reach_, stations(reach_), model_.laid().types.size() > 1, 2},
        {tr("mixes"), mixes_, stations(mixes_), true, 2}};
    all.insert(all.end(), rest.begin(), rest.end());
    return all;
}

LaidOver GradientView::laidOver(const show::Gradient& gradient) const {
    return {gradient.arrangement, gradient.along, document_.lineup().size()};
}

// Side by side, a row for each subject, and another where they do not fit.
std::vector<GradientView::Placed> GradientView::placed(int width) const {
    std::vector<Placed> all;
    int x = kMargin;
    int y = kTitle;
    int row = 0;
    for (const Cell& cell : cells()) {
        if (!cell.there)
            continue;
        const bool buttons = qobject_cast<Button*>(cell.control) != nullptr;
        // A label never is wider than what it stands over, but where that is alone.
        const int label = std::min(textWidth(cell.label, typeface(Type::Small)),
                                   cell.control == kind_ ? cell.wide : 130);
        const int wide = std::min(std::max(cell.wide, label), width - 2 * kMargin);
        if (cell.row != row || (x > kMargin && x + wide > width - kMargin)) {
            x = kMargin;
            y += kRow;
            row = cell.row;
        }
        const int high = buttons ? 24 : qobject_cast<NumberField*>(cell.control) ? 24 : 32;
        all.push_back({cell, QRect(x, y + kControl + (high == 24 ? 2 : 0), wide, high)});
        x += wide + kGap;
    }
    return all;
}

int GradientView::heightAt(int width) const {
    if (!model_.gradient())
        return kEmpty;
    const auto all = placed(width);
    const int note = model_.covers() ? 0 : 32;
    return (all.empty() ? kTitle : all.back().place.top() - kControl + kRow) + note;
}

void GradientView::refresh() {
    const show::Gradient* g = model_.gradient();
    for (QWidget* w : std::initializer_list<QWidget*>{kind_, side_, floor_, hue_, share_, even_,
                                                      bright_, reach_, mixes_})
        w->setVisible(false);
    for (const auto& cell : laid_->cells())
        cell.control->setVisible(false);
    over_->setVisible(g && !model_.covers());
    lamps_->setVisible(g && !model_.covers());
    begin_->setVisible(!g && !document_.lineup().empty());
    for (const auto& [id, button] : kept_) { // one of them may have been pressed just now
        button->hide();
        button->deleteLater();
    }
    kept_.clear();
    if (!g && !document_.lineup().empty())
        for (const auto& [id, palette] : document_.show().palettes)
            if (palette->gradient && kept_.size() < kMostKeptShown) {
                auto* button =
                    new Button(toQt(palette->name), {}, tr("Lays this gradient over the lineup"),
                               Button::Kind::Plain, this);
                connect(button, &Button::clicked, this, [this, id = palette->id] { layKept(id); });
                button->show();
                kept_.emplace_back(palette->id, button);
            }
    if (g) {
        const route::StopWay& way = g->ways[model_.way()];
        kind_->setChosen(static_cast<int>(way.kind));
        if (way.kind == route::Kind::Around) {
            const auto names = model_.sideNames(model_.way());
            side_->setWords({names.first, names.second});
            side_->setChosen(model_.goesCcw(model_.way()) ? 0 : 1);
        }
        floor_->setValue(100 * way.floor);
        share_->setValue(100 * way.jump_at);
        QString hue = tr("no hue");
        for (const route::HueName& one : route::hueNames())
            if (way.keep_out == std::optional(one.sector))
                hue = saidText(one.name);
        hue_->setText(way.keep_out && hue == tr("no hue") ? tr("a stretch") : hue);
        laid_->show(laidOver(*g));
        even_->setChosen(static_cast<int>(g->even));
        bright_->setChosen(static_cast<int>(g->bright));
        reach_->setChosen(g->common_reach ? 0 : 1);
        mixes_->setChosen(static_cast<int>(g->choose));
    }
    place();
    update();
    if (const int high = heightAt(width()); high != told_height_) {
        told_height_ = high;
        emit heightChanged();
    }
}

void GradientView::place() {
    for (const Placed& p : placed(width())) {
        p.cell.control->setGeometry(p.place);
        p.cell.control->setVisible(true);
    }
    const int foot = height() - 34;
    over_->setGeometry(width() - kMargin - over_->sizeHint().width(), foot,
                       over_->sizeHint().width(), 26);
    lamps_->setGeometry(over_->x() - lamps_->sizeHint().width() - 12, foot,
                        lamps_->sizeHint().width(), 26);
    const int wide = std::min(begin_->sizeHint().width(), width() - 2 * kMargin);
    begin_->setGeometry(kMargin, 50, wide, 28);
    int x = kMargin;
    for (const auto& [id, button] : kept_) {
        const int w = button->sizeHint().width();
        button->setGeometry(x, 146, w, 28);
        button->setVisible(x + w <= width() - kMargin);
        x += w + 10;
    }
}

void GradientView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const show::Gradient* g = model_.gradient();
    const int title =
        drawText(p, kMargin, 28, tr("Gradient"), typeface(Type::Title), theme().bright);
    const int right = kMargin + title + 18;
    const int room = width() - right - kMargin;
    if (!g) {
        if (document_.lineup().empty()) {
            drawElided(p, right, 28, room, noLampsWords(document_.show()), typeface(Type::Small),
                       theme().text);
            return;
        }
        drawElided(p, right, 28, room, tr("none on these lamps yet"), typeface(Type::Small),
                   theme().dim);
        const auto& first = model_.firstEnd();
        const QRect words(kMargin, 88, width() - 2 * kMargin - (first ? 60 : 0), 32);
        drawWrapped(p, words,
                    first ? tr("The first end is chosen. Now choose the last one in the swatch "
                               "book, or drop it here.")
                          : tr("Or choose two colours or palettes in the swatch book, the first "
                               "end and then the last."),
                    typeface(Type::Work), theme().text);
        if (first)
            p.fillRect(width() - kMargin - 48, 88, 48, 20,
                       colourOfLight(document_.colours(), first->uv));
        if (!kept_.empty())
            drawText(p, kMargin, 138, tr("or lay a kept one over them"), typeface(Type::Small),
                     theme().dim);
        return;
    }
    const auto lamps = lampCount(model_.laid().lamps.size());
    QString about = tr("%n stop(s) over %1", nullptr, static_cast<int>(g->stops.size())).arg(lamps);
    if (!model_.name().isEmpty())
        about = model_.changed() ? tr("%1, changed: %2").arg(model_.name(), about)
                                 : tr("%1: %2").arg(model_.name(), about);
    for (const Sentence& trouble : model_.laid().troubles)
        about += QStringLiteral(". ") + said(trouble);
    drawElided(p, right, 28, room, about, typeface(Type::Small), theme().dim);
    for (const Placed& c : placed(width())) {
        if (c.cell.label.isEmpty())
            continue;
        drawElided(p, c.place.left(),
                   c.place.top() - kControl - (c.place.height() == 24 ? 2 : 0) + kLabel,
                   c.place.width(), c.cell.label, typeface(Type::Small), theme().dim);
    }
    if (!model_.covers())
        drawWrapped(p, QRect(kMargin, height() - 34, lamps_->x() - kMargin - 12, 32),
                    tr("Laid over %1, not over these in this order.").arg(lamps),
                    typeface(Type::Small), theme().text);
}

void GradientView::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void GradientView::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked)
        return;
    const show::Palette* p = document_.show().palette(paletteOf(document_, *asked));
    if (p && p->gradient)
        layKept(p->id);
    else
        model_.takeColour(*asked, p ? p->id : show::PaletteId{});
    event->acceptProposedAction();
}

} // namespace zelo::desk
