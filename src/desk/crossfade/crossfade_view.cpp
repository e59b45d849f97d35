// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/crossfade_view.h"

#include "desk/crossfade/fade_faults.h"
#include "desk/crossfade/fade_plot.h"
#include "desk/crossfade/way_list.h"
#include "desk/kit/button.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"

#include <QDragEnterEvent>
#include <QMenu>
#include <QPainter>

namespace zelo::desk {

using route::Kind;
using route::StopWay;

namespace {

constexpr int kMargin = 24;
constexpr int kPlot = 92;
constexpr int kSecond = 62; // top of the second row
constexpr int kEnd = 112;   // width of an end, at most
constexpr std::size_t kMostListed = 40;

constexpr Kind kKinds[] = {Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump};

} // namespace

CrossfadeView::CrossfadeView(CrossfadeModel& model, CueModel& cues, QWidget* parent)
    : QWidget(parent), model_(model),
      from_(new Button(tr("From"), {},
                       tr("Where it comes from: press to choose. Colours of the "
                          "swatch book go to the end that is chosen."),
                       Button::Kind::Title, this)),
      to_(new Button(tr("To"), {},
                     tr("Where it goes: press to choose. Colours of the swatch book "
                        "go to the end that is chosen."),
                     Button::Kind::Title, this)) {
    setAcceptDrops(true);
    setAccessibleName(tr("Crossfade"));
    makeWay();
    plot_ = new FadePlot(model, this);
    ways_ = new WayList(model, this);
    faults_ = new FadeFaults(cues, this);
    under_ = new Stations(tr("Under the ribbons"),
                          tr("All ways between the two ends, or the fades of the cue list that "
                             "show a colour nobody asked for"),
                          {tr("All ways"), tr("Fade check")}, {}, false, this);
    under_->setSmall(true);
    connect(under_, &Stations::stationChosen, this, [this](int which) { showFaults(which == 1); });
    watch(cues, &CueModel::cuesChanged, this, [this] { refresh(); });
    from_->setOpensMenu(true);
    to_->setOpensMenu(true);
    connect(from_, &Button::clicked, this, [this] { openEnd(false); });
    connect(to_, &Button::clicked, this, [this] { openEnd(true); });
    watch(model_, &CrossfadeModel::modelChanged, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Seen, [this] { update(); });
    refresh();
}

void CrossfadeView::makeWay() {
    kind_ = new Stations(tr("Way"), tr("The way from colour to colour"),
                         {tr("As needed"), tr("Levels"), tr("Straight"), tr("Around"),
                          tr("Through dark"), tr("Jump")},
                         {}, false, this);
    side_ = new Stations(tr("Side"), tr("By which hues the way goes round the white"),
                         {tr("left"), tr("right")}, {}, false, this);
    floor_ = new NumberField(tr("Saturation floor"),
                             tr("How much of its ends' saturation the way around keeps"),
                             {0, 100, 1, 0}, tr("%"), this);
    share_ = new NumberField(tr("Share of the time"),
                             tr("Through dark: how long there is no light. Jump: when."),
                             {0, 100, 1, 0}, tr("%"), this);
    time_ = new NumberField(tr("Time"), tr("How long the crossfade takes"), {0, 3600, 0.5, 1},
                            tr("s"), this);
    options_ = new Button(tr("more"), {},
                          tr("Pace, reach, dark ends, and routes that are kept under a name"),
                          Button::Kind::Text, this);
    options_->setOpensMenu(true);
    connect(kind_, &Stations::stationChosen, this, [this](int station) {
        if (station == 0)
            return model_.takeWay(std::nullopt);
        StopWay way = model_.way();
        way.kind = kKinds[station - 1];
        model_.takeWay(way);
    });
    connect(side_, &Stations::stationChosen, this, [this](int side) {
        model_.editWay(tr("Side of a way"), [&](StopWay& way) {
            way.side = side == 0 ? route::Side::Ccw : route::Side::Cw;
            way.keep_out.reset(); // it would choose the side itself
        });
    });
    connect(floor_, &ValueControl::valueEdited, this, [this](double value, int gesture) {
        model_.editWay(
            tr("Saturation floor"), [&](StopWay& way) { way.floor = value / 100; }, gesture);
    });
    connect(floor_, &ValueControl::resetWanted, this, [this] {
        model_.editWay(tr("Saturation floor"), [](StopWay& way) { way.floor = StopWay{}.floor; });
    });
    const auto setShare = [this](double share, int gesture) {
        model_.editWay(
            tr("Share of the time"),
            [&](StopWay& way) { (way.kind == Kind::Dark ? way.dark_share : way.jump_at) = share; },
            gesture);
    };
    connect(share_, &ValueControl::valueEdited, this,
            [setShare](double value, int gesture) { setShare(value / 100, gesture); });
    connect(share_, &ValueControl::resetWanted, this, [this, setShare] {
        setShare(model_.way().kind == Kind::Dark ? StopWay{}.dark_share : StopWay{}.jump_at, 0);
    });
    const auto setTime = [this](double seconds, int gesture) {
        model_.edit(
            tr("Time of a crossfade"), [&](show::Crossfade& fade) { fade.time_s = seconds; },
            gesture);
    };
    connect(time_, &ValueControl::valueEdited, this, setTime);
    connect(time_, &ValueControl::resetWanted, this,
            [setTime] { setTime(show::Crossfade{}.time_s, 0); });
    connect(options_, &Button::clicked, this, &CrossfadeView::openOptions);
}

// --- menus

void CrossfadeView::openEnd(bool to) {
    model_.choose(to);
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(to ? tr("To") : tr("From"));
    const auto add = [&](const QString& text, std::function<void()> run) {
        connect(menu->addAction(text), &QAction::triggered, this, std::move(run));
    };
    add(tr("The lamps as they are now"), [this, to] { model_.takeLamps(to); });
    add(tr("No light"), [this, to] { model_.setEnd(to, tr("no light"), {}); });
    add(tr("Turn it round: from and to"), [this] { model_.turnRound(); });
    const show::Show& show = model_.document().show();
    std::size_t listed = 0;
    for (const auto& [id, look] : show.looks) {
        if (listed == 0)
            menu->addSection(tr("Looks"));
        if (++listed > kMostListed)
            break;
        add(toQt(look->name), [this, to, id = look->id, name = toQt(look->name)] {
            show::FadeEnd end;
            end.look = id;
            model_.setEnd(to, name, std::move(end));
        });
    }
    listed = 0;
    for (const auto& [id, palette] : show.palettes) {
        if (!palette->colour)
            continue;
        if (listed == 0)
            menu->addSection(tr("Palettes"));
        if (++listed > kMostListed)
            break;
        add(toQt(palette->name),
            [this, to, id = palette->id] { model_.setEnd(to, light::AskedUv{}, id); });
    }
    const Button* button = to ? to_ : from_;
    menu->popup(button->mapToGlobal(QPoint(0, button->height())));
}

void CrossfadeView::openOptions() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(tr("Crossfade"));
    const auto add = [&](const QString& text, bool on, std::function<void()> run) {
        QAction* action = menu->addAction(text);
        action->setCheckable(true);
        action->setChecked(on);
        connect(action, &QAction::triggered, this, std::move(run));
    };
    const auto set = [this](const QString& name, bool StopWay::*flag, bool value) {
        return [=, this] { model_.editWay(name, [&](StopWay& way) { way.*flag = value; }); };
    };
    const StopWay& way = model_.way();
    menu->addSection(tr("Pace"));
    add(tr("Even to the eye"), !way.eased, set(tr("Pace even to the eye"), &StopWay::eased, false));
    add(tr("Eased in and out"), way.eased, set(tr("Pace eased in and out"), &StopWay::eased, true));
    menu->addSection(tr("Reach"));
    add(tr("Each type in its own"), !way.common,
        set(tr("Each type in its own reach"), &StopWay::common, false));
    add(tr("All in what all of them reach"), way.common,
        set(tr("All in their common reach"), &StopWay::common, true));
    if (way.kind == Kind::Around) {
        auto* hues = menu->addMenu(tr("Stays out of"));
        hues->setObjectName("hues");
        const auto hue = [&](const QString& word, std::optional<route::Sector> sector) {
            QAction* action = hues->addAction(word);
            action->setCheckable(true);
            action->setChecked(way.keep_out == sector);
            connect(action, &QAction::triggered, this, [this, word, sector] {
                model_.editWay(tr("Stay out of %1").arg(word),
                               [&](StopWay& w) { w.keep_out = sector; });
            });
        };
        hue(tr("no hue"), {});
        for (const route::HueName& one : route::hueNames())
            hue(saidText(one.name), one.sector);
    }
    menu->addSection(tr("From and to dark"));
    const bool first = model_.document().show().dark_first;
    add(tr("A dark lamp takes its colour before its light comes"), first,
        [this, first] { model_.setDarkFirst(!first); });
    const auto& routes = model_.document().show().routes;
    if (!routes.empty())
        menu->addSection(tr("Kept routes"));
    std::size_t listed = 0;
    for (const auto& [id, route] : routes)
        if (++listed <= kMostListed)
            connect(menu->addAction(toQt(route->name)), &QAction::triggered, this,
                    [this, id = route->id] { model_.takeRoute(id); });
    if (model_.betweenPalettes() && !routes.empty()) {
        auto* between = menu->addMenu(
            tr("For every change from %1 to %2").arg(model_.endName(false), model_.endName(true)));
        between->setObjectName("between");
        connect(between->addAction(tr("no route of its own")), &QAction::triggered, this,
                [this] { model_.useBetween({}); });
        for (const auto& [id, route] : routes)
            connect(between->addAction(toQt(route->name)), &QAction::triggered, this,
                    [this, id = route->id] { model_.useBetween(id); });
    }
    menu->popup(options_->mapToGlobal(QPoint(0, options_->height())));
}

// --- what there is

std::vector<CrossfadeView::Cell> CrossfadeView::cells() const {
    const auto number = [](NumberField* f) {
        return 46 + (f->unit().isEmpty() ? 0 : 5 + textWidth(f->unit(), typeface(Type::Small)));
    };
    std::vector<Cell> all;
    const Kind kind = model_.way().kind;
    if (kind == Kind::Around) {
        all.push_back({tr("by", "by which hues"), side_, side_->sizeHint().width()});
        all.push_back({tr("saturation floor"), floor_, number(floor_)});
    } else if (kind == Kind::Dark) {
        all.push_back({tr("dark for"), share_, number(share_)});
    } else if (kind == Kind::Jump) {
        all.push_back({tr("jumps at"), share_, number(share_)});
    }
    all.push_back({tr("in", "so many seconds"), time_, number(time_)});
    all.push_back({{}, options_, options_->sizeHint().width()});
    return all;
}

void CrossfadeView::refresh() {
    const auto& fade = model_.fade();
    const StopWay& way = model_.way();
    kind_->setChosen(model_.asNeeded() ? 0 : 1 + static_cast<int>(way.kind));
    const auto names = model_.sideNames();
    side_->setWords({names.first, names.second});
    side_->setChosen(model_.goesCcw() ? 0 : 1);
    floor_->setValue(100 * way.floor);
    share_->setValue(100 * (way.kind == Kind::Dark ? way.dark_share : way.jump_at));
    time_->setValue(fade.time_s);
    const bool any = model_.picture() != nullptr;
    plot_->setVisible(any);
    ways_->setVisible(any && under_->chosen() == 0);
    faults_->setVisible(under_->chosen() == 1);
    under_->setVisible(true);
    const auto found = static_cast<int>(faults_->findings().size());
    under_->setWords(
        {tr("All ways"), found > 0 ? tr("Fade check: %1").arg(found) : tr("Fade check")});
    from_->setAccessibleDescription(model_.endName(false));
    to_->setAccessibleDescription(model_.endName(true));
    place();
    update();
}

void CrossfadeView::place() {
    const int from = from_->sizeHint().width();
    const int to = to_->sizeHint().width();
    from_->setGeometry(kMargin, 12, from, 30);
    to_->setGeometry(width() - kMargin - to, 12, to, 30);
    // The ways stand in the middle of what the ends leave.
    const int room = width() - 2 * kMargin;
    int gap = 20;
    kind_->setGap(gap);
    while (gap > 8 && kind_->sizeHint().width() > room - from - to - 24)
        kind_->setGap(--gap);
    const int kinds = std::min(kind_->sizeHint().width(), room - from - to - 24);
    kind_->setGeometry((width() - kinds) / 2, 14, kinds, 32);
    for (QWidget* w : std::initializer_list<QWidget*>{side_, floor_, share_})
        w->hide();
    words_.clear();
    const auto all = cells();
    int whole = 0;
    for (const Cell& cell : all)
        whole +=
            textWidth(cell.word, typeface(Type::Small)) + (cell.word.isEmpty() ? 0 : 8) + cell.wide;
    // Between the ends where there is room, else under them.
    const int count = static_cast<int>(all.size());
    const int ends = std::min(kEnd, width() / 5);
    const int free = width() - 2 * kMargin - 2 * ends - whole;
    const bool under = free < 8 * (count + 1);
    second_ = under ? kSecond + 34 : kSecond;
    const int between =
        std::clamp((under ? free + 2 * ends : free) / std::max(1, count - 1), 8, 28);
    int x =
        under ? kMargin : std::max(kMargin + ends, (width() - whole - between * (count - 1)) / 2);
    for (const Cell& cell : all) {
        if (!cell.word.isEmpty()) {
            words_.emplace_back(cell.word, x);
            x += textWidth(cell.word, typeface(Type::Small)) + 8;
        }
        const int high = qobject_cast<Stations*>(cell.control) ? 32 : 24;
        cell.control->setGeometry(x, second_ + (32 - high) / 2 - 4, cell.wide, high);
        cell.control->show();
        x += cell.wide + between;
    }
    const int plot = kPlot + 12 + second_ - kSecond;
    const int list = ways_->heightFor();
    plot_->setGeometry(0, plot, width(), std::max(200, height() - plot - list - 8));
    for (QWidget* both : {static_cast<QWidget*>(ways_), static_cast<QWidget*>(faults_)})
        both->setGeometry(0, height() - list, width(), list);
    under_->setGeometry(kMargin, height() - list - 7, under_->sizeHint().width(), 28);
    under_->raise();
}

void CrossfadeView::showFaults(bool on) {
    under_->setChosen(on ? 1 : 0);
    refresh();
    if (on)
        faults_->setFocus();
}

void CrossfadeView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const int ends = std::min(kEnd, width() / 5);
    for (const bool to : {false, true}) {
        const QString name = model_.endName(to);
        const QString about = model_.endAbout(to);
        const bool chosen = to == model_.chosenTo();
        const QFont font = typeface(Type::Work, chosen);
        const int wide = std::min(ends, textWidth(name, font));
        const int x = to ? width() - kMargin - wide : kMargin;
        drawElided(p, x, 60, ends, name, font, chosen ? theme().bright : theme().text);
        const int small = std::min(ends, textWidth(about, typeface(Type::Small)));
        drawElided(p, to ? width() - kMargin - small : kMargin, 78, ends, about,
                   typeface(Type::Small), theme().dim);
        if (chosen) // colours of the book go here
            p.fillRect(to ? width() - kMargin - ends : kMargin, 86, ends, 1, theme().bright);
    }
    for (const auto& [word, x] : words_)
        drawText(p, x, second_ + 16, word, typeface(Type::Small), theme().dim);
    if (model_.picture())
        return;
    const QString trouble = model_.trouble();
    drawText(p, kMargin, kPlot + 50, tr("Two colours, and the way between them"),
             typeface(Type::Title), theme().bright);
    drawWrapped(p, QRect(kMargin, kPlot + 66, std::min(560, width() - 2 * kMargin), 80),
                trouble.isEmpty() || !model_.document().lineup().empty()
                    ? tr("Choose a colour in the swatch book for where it comes from, and another "
                         "for where it goes; or press From and To for palettes, looks and lamps as "
                         "they are.")
                    : trouble,
                typeface(Type::Work), theme().text);
    if (!trouble.isEmpty() && !model_.document().lineup().empty())
        drawWrapped(p, QRect(kMargin, kPlot + 126, std::min(560, width() - 2 * kMargin), 40),
                    trouble, typeface(Type::Small), theme().dim);
}

void CrossfadeView::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void CrossfadeView::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked)
        return;
    const bool to = event->position().x() > width() / 2.0;
    const auto* named = std::get_if<light::AskedPalette>(&*asked);
    const show::Palette* p = named ? model_.document().show().paletteNamed(named->name) : nullptr;
    model_.setEnd(to, *asked, p ? p->id : show::PaletteId{});
    model_.choose(to);
    event->acceptProposedAction();
}

} // namespace zelo::desk
