// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_table.h"

#include "desk/cues/cue_delegate.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QApplication>
#include <QClipboard>
#include <QContextMenuEvent>
#include <QHeaderView>
#include <QMenu>
#include <QPainter>
#include <QScrollBar>

#include <algorithm>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;
using show::CueNumbers;

namespace {

constexpr int kStanding = 56; // px high

} // namespace

CueTable::CueTable(CueModel& model, QWidget* parent)
    : QTableView(parent), model_(model), rows_(new CueRows(model, this)) {
    setAccessibleName(tr("Cues"));
    setToolTip(tr("A row a cue. Type into a cell, or Enter; all chosen rows are changed. "
                  "Ctrl+↑ ↓ moves a cue, Shift+Enter goes to it."));
    setModel(rows_);
    setItemDelegate(new CueDelegate(model, *this));
    setSelectionBehavior(QAbstractItemView::SelectRows);
    setSelectionMode(QAbstractItemView::ExtendedSelection);
    setEditTriggers(QAbstractItemView::AnyKeyPressed);
    setShowGrid(false);
    setTabKeyNavigation(false);
    setWordWrap(false);
    setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    verticalHeader()->hide();
    verticalHeader()->setMinimumSectionSize(kCueRow);
    verticalHeader()->setDefaultSectionSize(kCueRow);
    horizontalHeader()->setMinimumSectionSize(20);
    horizontalHeader()->setHighlightSections(false);
    horizontalHeader()->setSectionResizeMode(QHeaderView::Fixed);
    horizontalHeader()->setFixedHeight(24);
    rows_->chosen = [this] { return chosen(); };
    connect(rows_, &CueRows::renumbered, this, [this](CueNumber now) { choose({now}); });
    connect(&model_, &CueModel::cuesChanged, this, &CueTable::refresh);
    connect(&model_, &CueModel::standingChanged, this, &CueTable::stand);
    style();
    stand();
}

void CueTable::style() {
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFont(typeface(Type::Work));
    horizontalHeader()->setFont(typeface(Type::Small));
    setStyleSheet(QStringLiteral("QTableView{background:%1;border:0;outline:0}"
                                 "QHeaderView{background:%1;border:0}"
                                 "QHeaderView::section{background:%1;color:%2;border:0;"
                                 "padding:0 5px}"
                                 "QLineEdit{background:%3;color:%4;border:0;padding:0 4px}")
                      .arg(theme().bench.name(), theme().dim.name(), theme().well.name(),
                           theme().bright.name()) +
                  scrollBarStyle());
}

void CueTable::changeEvent(QEvent* event) {
    QTableView::changeEvent(event);
    if (event->type() == QEvent::ThemeChange)
        style();
}

void CueTable::refresh() {
    const auto kept = chosen();
    const auto at = cursor();
    const int column = std::max(0, currentIndex().column());
    const int rows = rows_->rowCount();
    rows_->refresh();
    if (rows_->rowCount() != rows || !currentIndex().isValid()) {
        choose(kept);
        if (at && rows_->rowOf(*at) >= 0)
            selectionModel()->setCurrentIndex(rows_->index(rows_->rowOf(*at), column),
                                              QItemSelectionModel::NoUpdate);
    }
    measure();
    placeColumns();
    stands_.reset();
    stand();
}

// The row that it stands in is higher, and in view.
void CueTable::stand() {
    const auto now = model_.current();
    if (now != stands_) {
        const auto high = [&](std::optional<CueNumber> number, int px) {
            const int row = number ? rows_->rowOf(*number) : -1;
            if (row >= 0)
                verticalHeader()->resizeSection(row, px);
        };
        for (int row = 0; row < rows_->rowCount(); ++row)
            if (verticalHeader()->sectionSize(row) != kCueRow)
                verticalHeader()->resizeSection(row, kCueRow);
        high(now, kStanding);
        stands_ = now;
        showStanding();
    }
    viewport()->update();
}

void CueTable::showStanding() {
    const int row = stands_ ? rows_->rowOf(*stands_) : -1;
    if (row < 0)
        return;
    if (row + 1 < rows_->rowCount() && state() != EditingState)
        scrollTo(rows_->index(row + 1, 0)); // the next one too, where there is room for both
    scrollTo(rows_->index(row, 0));
}

CueNumbers CueTable::chosen() const {
    CueNumbers numbers;
    for (const QModelIndex& index : selectionModel()->selectedRows())
        if (const auto number = rows_->numberAt(index.row()))
            numbers.push_back(*number);
    std::sort(numbers.begin(), numbers.end());
    if (numbers.empty())
        if (const auto at = cursor())
            numbers.push_back(*at);
    return numbers;
}

std::optional<CueNumber> CueTable::cursor() const {
    return rows_->numberAt(currentIndex().row());
}

void CueTable::choose(const CueNumbers& numbers) {
    QItemSelection rows;
    const int column = std::max(0, currentIndex().column());
    QModelIndex first;
    for (const CueNumber number : numbers)
        if (const int row = rows_->rowOf(number); row >= 0) {
            rows.select(rows_->index(row, 0), rows_->index(row, kCueCells - 1));
            if (!first.isValid())
                first = rows_->index(row, column);
        }
    if (!first.isValid())
        return;
    selectionModel()->setCurrentIndex(first, QItemSelectionModel::NoUpdate);
    selectionModel()->select(rows, QItemSelectionModel::ClearAndSelect);
    scrollTo(first);
}

bool CueTable::find(const QString& text, bool next) {
    const int count = rows_->rowCount();
    if (text.isEmpty() || count == 0)
        return false;
    const int from = std::max(0, currentIndex().row()) + (next ? 1 : 0);
    for (int i = 0; i < count; ++i) {
        const auto number = *rows_->numberAt((from + i) % count);
        const Cue* cue = model_.cue(number);
        if (cue && (cueNumberText(number).startsWith(text) ||
                    toQt(cue->name).contains(text, Qt::CaseInsensitive) ||
                    toQt(cue->note).contains(text, Qt::CaseInsensitive))) {
            choose({number});
            return true;
        }
    }
    return false;
}

void CueTable::copy() {
    copied_.clear();
    QStringList lines{headerText()};
    for (const CueNumber number : chosen())
        if (const Cue* cue = model_.cue(number)) {
            copied_.push_back(*cue);
            lines << rowText(*cue);
        }
    copied_text_ = lines.join(QLatin1Char('\n'));
    QApplication::clipboard()->setText(copied_text_);
    model_.document().tell(tr("%n cues copied", nullptr, static_cast<int>(copied_.size())));
}

// What was copied here brings what it says along; rows of a spreadsheet are numbers and times.
void CueTable::paste() {
    const QString text = QApplication::clipboard()->text();
    const auto numbers = !copied_.empty() && text == copied_text_
                             ? model_.insert(cursor(), copied_)
                             : model_.pasteRows(text, cursor());
    if (!numbers.empty())
        choose(numbers);
}

void CueTable::openRoutes() {
    const auto numbers = chosen();
    if (numbers.empty())
        return;
    auto* menu = new QMenu(tr("Way of the colours"), this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& name, const std::function<void(Cue&)>& change) {
        connect(menu->addAction(name), &QAction::triggered, this,
                [this, numbers, change] { model_.change(numbers, tr("route"), change); });
    };
    add(tr("As needed, or as the show says"), [](Cue& cue) {
        cue.route = {};
        cue.way.reset();
    });
    using route::Kind;
    for (const Kind kind : {Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump}) {
        route::StopWay way;
        way.kind = kind;
        add(wayName(way), [way](Cue& cue) {
            cue.route = {};
            cue.way = way;
        });
    }
    if (!model_.document().show().routes.empty())
        menu->addSection(tr("Kept routes"));
    for (const auto& [id, route] : model_.document().show().routes)
        add(toQt(route->name), [id = id](Cue& cue) {
            cue.route = id;
            cue.way.reset();
        });
    const QRect cell =
        visualRect(rows_->index(currentIndex().row(), static_cast<int>(CueCell::Route)));
    menu->popup(viewport()->mapToGlobal(cell.bottomLeft()));
    menu->setActiveAction(menu->actions().front());
}

void CueTable::keyPressEvent(QKeyEvent* event) {
    const auto at = cursor();
    const bool control = event->modifiers() == Qt::ControlModifier;
    const int by = event->key() == Qt::Key_Up ? -1 : event->key() == Qt::Key_Down ? 1 : 0;
    if (control && by != 0 && at) {
        if (const auto moved = model_.move(*at, by))
            choose({*moved});
        return;
    }
    if (isEnter(*event) && state() != EditingState && currentIndex().isValid()) {
        if (rows_->flags(currentIndex()) & Qt::ItemIsEditable)
            edit(currentIndex());
        return;
    }
    QTableView::keyPressEvent(event);
}

void CueTable::mouseDoubleClickEvent(QMouseEvent* event) {
    const QModelIndex index = indexAt(event->pos());
    if (index.isValid() && rows_->flags(index) & Qt::ItemIsEditable)
        return edit(index);
    QTableView::mouseDoubleClickEvent(event);
}

void CueTable::contextMenuEvent(QContextMenuEvent* event) {
    const auto at = cursor();
    if (!at)
        return;
    const auto numbers = chosen();
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    connect(menu->addAction(tr("Go to cue %1\tShift+Enter").arg(cueNumberText(*at))),
            &QAction::triggered, this, [this, at] { model_.jump(*at); });
    menu->addSeparator();
    for (const auto* finding : model_.findings(*at)) {
        auto* cures = menu->addMenu(model_.words(*finding));
        for (const route::Cure cure : finding->cures)
            connect(cures->addAction(model_.cureName(cure)), &QAction::triggered, this,
                    [this, finding = *finding, cure] { model_.cure(finding, cure); });
        cures->setEnabled(!finding->cures.empty());
    }
    auto* let = menu->addMenu(tr("Lamps of the lineup: let go here"));
    const std::pair<QString, show::Which> what[] = {{tr("intensity and colour"), show::Which::All},
                                                    {tr("intensity"), show::Which::Intensity},
                                                    {tr("colour"), show::Which::Colour}};
    for (const auto& [name, says] : what)
        connect(let->addAction(name), &QAction::triggered, this,
                [this, at, says = says] { model_.letGoHere(*at, says); });
    const int row = currentIndex().row();
    auto* as = menu->addMenu(tr("Lamps of the lineup: from here on as in cue"));
    for (int other = std::max(0, row - 12); other < row; ++other)
        if (const auto number = rows_->numberAt(other))
            connect(as->addAction(QStringLiteral("%1 %2").arg(cueNumberText(*number),
                                                              toQt(model_.cue(*number)->name))),
                    &QAction::triggered, this, [this, at, number] { model_.asIn(*at, *number); });
    as->setEnabled(row > 0);
    addOrigin(*menu, *at);
    menu->addSeparator();
    addVersions(*menu, *at);
    addRipples(*menu, *at, numbers);
    const bool locked = model_.cue(*at)->locked;
    connect(menu->addAction(locked ? tr("Unlock") : tr("Lock: refuses every change")),
            &QAction::triggered, this, [this, numbers, locked] {
                model_.change(numbers, locked ? tr("Unlock") : tr("Lock"),
                              [locked](Cue& cue) { cue.locked = !locked; });
            });
    connect(menu->addAction(tr("Way of the colours…")), &QAction::triggered, this,
            &CueTable::openRoutes);
    menu->addSeparator();
    connect(menu->addAction(tr("Copy\tCtrl+C")), &QAction::triggered, this, &CueTable::copy);
    connect(menu->addAction(tr("Paste\tCtrl+V")), &QAction::triggered, this, &CueTable::paste);
    connect(menu->addAction(tr("Remove\tDel")), &QAction::triggered, this,
            [this, numbers] { model_.remove(numbers); });
    menu->popup(event->globalPos());
}

// Where what the first lamp of the lineup shows in this cue was said.
void CueTable::addOrigin(QMenu& menu, CueNumber at) {
    const auto& lineup = model_.document().lineup();
    const auto* lamp = lineup.empty() ? nullptr : model_.document().show().fixture(lineup.front());
    auto* where = menu.addMenu(lamp ? tr("Where lamp %1 has it from").arg(lamp->number)
                                    : tr("Where a lamp has it from"));
    where->setEnabled(lamp != nullptr);
    if (!lamp || !model_.list())
        return;
    const auto by = show::saidBy(*model_.list(), at, lamp->id);
    const auto add = [&](const QString& what, const std::optional<CueNumber>& from) {
        const Cue* cue = from ? model_.cue(*from) : nullptr;
        auto* action = where->addAction(
            cue ? tr("%1: cue %2 %3").arg(what, cueNumberText(*cue), toQt(cue->name))
                : tr("%1: no cue up to here says it").arg(what));
        action->setEnabled(cue != nullptr);
        if (from)
            connect(action, &QAction::triggered, this, [this, from] { choose({*from}); });
    };
    add(tr("intensity"), by.intensity);
    add(tr("colour"), by.colour);
}

void CueTable::addVersions(QMenu& menu, CueNumber at) {
    const Cue& cue = *model_.cue(at);
    auto* all = menu.addMenu(tr("Versions of cue %1").arg(cueNumberText(cue)));
    auto* plays = all->addAction(tr("%1 plays").arg(toQt(cue.versionName())));
    plays->setEnabled(false);
    for (const auto& version : cue.versions) {
        const QString name = toQt(version.name);
        connect(all->addAction(tr("Play %1 instead").arg(name)), &QAction::triggered, this,
                [this, at, name] { model_.playVersion(at, name); });
        connect(all->addAction(tr("Remove %1").arg(name)), &QAction::triggered, this,
                [this, at, name] { model_.dropVersion(at, name); });
    }
    if (cue.versions.empty())
        all->addAction(tr("No others: K keeps one beside it"))->setEnabled(false);
}

void CueTable::addRipples(QMenu& menu, CueNumber at, const show::CueNumbers& numbers) {
    using Does = show::RippleDoes;
    auto* all = menu.addMenu(tr("Ripples"));
    const auto& cue = *model_.cue(at);
    for (const auto& [id, ripple] : model_.document().show().ripples) {
        auto* one = all->addMenu(toQt(ripple->name));
        std::optional<Does> now;
        for (const auto& act : cue.ripples)
            if (act.ripple == id)
                now = act.does;
        const auto add = [&, id = id](const QString& text, std::optional<Does> does) {
            QAction* action = one->addAction(text);
            action->setCheckable(true);
            action->setChecked(now == does);
            connect(action, &QAction::triggered, this,
                    [this, numbers, id, does] { model_.setRipple(numbers, id, does); });
        };
        add(tr("Starts it"), Does::Start);
        add(tr("Lets go of it"), Does::LetGo);
        add(tr("Freezes it, or lets it go on"), Does::Freeze);
        add(tr("Leaves it alone"), std::nullopt);
    }
    if (all->isEmpty())
        all->addAction(tr("No ripples yet: begin one in Ripple"))->setEnabled(false);
}

void CueTable::swapVersion() {
    const auto at = cursor();
    const Cue* cue = at ? model_.cue(*at) : nullptr;
    if (!cue || cue->versions.empty())
        return model_.document().tell(tr("This cue has no other version: K keeps one beside it."));
    // By name, round.
    const auto after = std::find_if(cue->versions.begin(), cue->versions.end(),
                                    [&](const auto& v) { return v.name > cue->versionName(); });
    model_.playVersion(*at,
                       toQt((after == cue->versions.end() ? cue->versions.begin() : after)->name));
}

void CueTable::tellOrigin() {
    const auto at = cursor();
    const auto& document = model_.document();
    const auto* lamp =
        document.lineup().empty() ? nullptr : document.show().fixture(document.lineup().front());
    if (!at || !lamp)
        return model_.document().tell(
            tr("Choose a lamp and a cue: it is told where the lamp has it from there."));
    const auto by = show::saidBy(*model_.list(), *at, lamp->id);
    const auto words = [](const std::optional<CueNumber>& from) {
        return from ? tr("from cue %1").arg(cueNumberText(*from)) : tr("from no cue");
    };
    model_.document().tell(tr("Lamp %1 in cue %2: its intensity is %3, its colour %4.")
                               .arg(lamp->number)
                               .arg(cueNumberText(*at), words(by.intensity), words(by.colour)));
}

void CueTable::resizeEvent(QResizeEvent* event) {
    const int row = stands_ ? rows_->rowOf(*stands_) : -1;
    const int at = row >= 0 ? rowViewportPosition(row) : -1;
    const bool seen = at >= 0 && at < event->oldSize().height();
    QTableView::resizeEvent(event);
    placeColumns();
    if (seen)
        showStanding();
}

// Cells of two times, which some cues have, are as wide as the widest of them.
void CueTable::measure() {
    constexpr int kMost = 96;
    QString longest[2]; // as long as it has letters: measuring each would take a list too long
    const auto take = [&](const show::Cue& cue, CueCell cell) {
        const QString text = cellText(cue, cell, {});
        QString& most = longest[cell == CueCell::Colour];
        if (text.size() > most.size())
            most = text;
    };
    if (const auto* list = model_.list())
        for (const auto& [number, cue] : list->cues) {
            if (cue->up_delay_s != cue->down_delay_s)
                take(*cue, CueCell::Delay);
            if (cue->colour_delay_s)
                take(*cue, CueCell::Colour);
        }
    for (std::size_t i = 0; i < wide_.size(); ++i)
        wide_[i] = longest[i].isEmpty()
                       ? 0
                       : std::min(textWidth(longest[i], typeface(Type::Work)) + 14, kMost);
}

// Names have what the others leave; where that is too little, looks and delay make room.
void CueTable::placeColumns() {
    std::vector<int> wide(kCueCells, 0);
    const auto at = [&](CueCell cell) -> int& { return wide[static_cast<std::size_t>(cell)]; };
    const int room = viewport()->width();
    const int more = std::clamp((room - 760) / 12, 0, 24); // of a wide window
    const bool narrow = room < 580;
    at(CueCell::Number) = kCuePointer + (narrow ? 44 : 52);
    int lamps = 0;
    for (const auto& block : model_.blocks()) {
        const int wider = static_cast<int>(block.count) * (kLampWide + kLampGap) + kBlockGap;
        if (lamps > 0 && lamps + wider > 150 + 8 * more)
            break;
        lamps += wider;
    }
    at(CueCell::Looks) = std::max(lamps + 6, 60);
    for (const CueCell cell : {CueCell::Up, CueCell::Down, CueCell::Delay, CueCell::Colour})
        at(cell) = narrow ? 40 : 44 + more;
    at(CueCell::Follow) = narrow ? 42 : 48 + more;
    const auto* list = model_.list();
    if (list && std::any_of(list->cues.begin(), list->cues.end(), [](const auto& cue) {
            return cue.second->follow == show::FollowWhen::TimeOfDay;
        }))
        at(CueCell::Follow) = 64;
    for (const CueCell cell : {CueCell::Delay, CueCell::Colour})
        at(cell) = std::max(at(cell), wide_[cell == CueCell::Colour]);
    at(CueCell::Route) = narrow ? 70 : 84 + 2 * more;
    at(CueCell::Fault) = 24;
    const int least_lamps = narrow ? 48 : 60;
    int rest = room;
    for (const int w : wide)
        rest -= w;
    if (rest < 104) {
        const int less = std::min(104 - rest, at(CueCell::Looks) - least_lamps);
        at(CueCell::Looks) -= less;
        rest += less;
    }
    at(CueCell::Name) = std::max(rest, 60);
    for (int c = 0; c < kCueCells; ++c)
        setColumnWidth(c, wide[static_cast<std::size_t>(c)]);
}

QString CueTable::runText() const {
    const auto* now = model_.now();
    if (!now || !now->cue || model_.rehearses())
        return {};
    if (now->held)
        return tr("held");
    if (now->fades())
        return tr("%1 of %2 s").arg(timeText(now->since_s), timeText(now->lasts_s));
    if (now->follow_s)
        return tr("goes on in %1 s").arg(timeText(std::max(0.0, *now->follow_s - now->since_s)));
    return {};
}

void CueTable::paintEvent(QPaintEvent* event) {
    QTableView::paintEvent(event);
    QPainter p(viewport());
    const auto now = model_.current();
    const auto next = model_.next();
    const auto pointer = [&](CueNumber number, bool filled) {
        const int row = rows_->rowOf(number);
        const int y = row < 0 ? -100 : rowViewportPosition(row);
        if (y < -kStanding || y > viewport()->height())
            return;
        p.setRenderHint(QPainter::Antialiasing);
        const QPointF apex(15, y + 16.5);
        if (filled)
            drawPointer(p, apex, Points::Right, 12, 9, theme().bright);
        else {
            p.setPen(QPen(theme().bright, 1.2));
            p.setBrush(Qt::NoBrush);
            const QPointF corners[] = {apex, apex + QPointF(-9, -6), apex + QPointF(-9, 6)};
            p.drawPolygon(corners, 3);
        }
        p.setRenderHint(QPainter::Antialiasing, false);
    };
    if (next)
        pointer(*next, false);
    if (!now || rows_->rowOf(*now) < 0)
        return;
    pointer(*now, true);
    const int y = rowViewportPosition(rows_->rowOf(*now));
    const int left = columnViewportPosition(static_cast<int>(CueCell::Name)) + 4;
    const QString run = runText();
    const int run_wide = textWidth(run, typeface(Type::Small));
    const int right = viewport()->width() - 12;
    const Cue* cue = model_.cue(*now);
    const bool seen = y + 34 > 0 && y + 50 < viewport()->height(); // no half letters
    if (cue && seen)
        drawElided(p, left, y + 44, right - left - run_wide - 16, toQt(cue->note),
                   typeface(Type::Small), theme().dim);
    if (seen)
        drawTextRight(p, right, y + 44, run, typeface(Type::Small), theme().bright);
    p.fillRect(0, y + kStanding - 2, viewport()->width(), 2, theme().rule);
    const auto* stage = model_.now();
    if (!model_.rehearses() && stage && stage->lasts_s > 0) {
        const double share = std::clamp(stage->since_s / stage->lasts_s, 0.0, 1.0);
        p.fillRect(0, y + kStanding - 2, static_cast<int>(share * viewport()->width()), 2,
                   theme().bright);
    }
}

} // namespace zelo::desk
