// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/way_list.h"

#include "desk/crossfade/ribbon.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace zelo::desk {

namespace {
constexpr int kMargin = 24;
constexpr int kHead = 24;
constexpr int kRow = 19;
constexpr int kRibbon = 112;
constexpr int kName = 130; // room for a name, at least
} // namespace

WayList::WayList(CrossfadeModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("All ways"));
    setToolTip(tr("Every way between the two ends: how much saturation it loses, how long it is, "
                  "its least light, the largest step of an emitter in 1 % of the time, and the "
                  "steps a console needs for it. Press one, or arrows and Enter, to take it."));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    watch(model_, &CrossfadeModel::modelChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen, [this] { update(); });
}

int WayList::heightFor() const {
    return kHead + 6 * kRow + 4;
}

QRect WayList::rowRect(std::size_t row) const {
    return {kMargin, kHead + static_cast<int>(row) * kRow, width() - 2 * kMargin, kRow};
}

bool WayList::taken(const play::ComparedWay& way) const {
    const auto kind = model_.way().kind;
    return way.way && way.way->kind == kind &&
           (kind != route::Kind::Around || (way.way->side == route::Side::Ccw) == model_.goesCcw());
}

// From the left to the right.
std::vector<WayList::Figure> WayList::figures(const play::ComparedWay& way) const {
    const auto percent = [](double share) { return tr("%1 %").arg(numberText(100 * share, 0)); };
    return {{tr("white dip"), percent(way.seen.white_dip)},
            {tr("length"), tr("%1 ΔE").arg(numberText(way.seen.length, 0))},
            {tr("least light"), tr("%1 cd").arg(numberText(way.seen.dimmest_cd, 0))},
            {tr("emitter step"), percent(way.seen.largest_step)},
            {tr("steps"), QString::number(way.steps > 0 ? way.steps - 1 : 0)}};
}

// Where each column ends; narrow windows leave the less telling ones out.
std::vector<std::optional<int>> WayList::columns(int left) const {
    std::vector<int> wide;
    for (const auto& way : model_.compared()) {
        const auto all = figures(way);
        wide.resize(all.size(), 0);
        for (std::size_t c = 0; c < all.size(); ++c)
            wide[c] = std::max({wide[c], 18 + textWidth(all[c].head, typeface(Type::Small)),
                                18 + textWidth(all[c].text, typeface(Type::Small))});
    }
    std::vector<std::optional<int>> ends(wide.size());
    int room = width() - kMargin - left;
    for (const std::size_t c : {0u, 4u, 3u, 2u, 1u})
        if (c < wide.size() && wide[c] <= room) {
            room -= wide[c];
            ends[c] = 0;
        }
    int x = width() - kMargin;
    for (std::size_t c = ends.size(); c-- > 0;)
        if (ends[c]) {
            ends[c] = x;
            x -= wide[c];
        }
    return ends;
}

void WayList::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const auto& all = model_.compared();
    if (all.empty())
        return;
    const int name_x = kMargin + kRibbon + 16;
    const auto ends = columns(name_x + kName);
    int figures_from = width() - kMargin;
    const auto heads = figures(all.front());
    for (std::size_t c = heads.size(); c-- > 0;)
        if (ends[c]) {
            drawTextRight(p, *ends[c], 15, heads[c].head, typeface(Type::Small), theme().dim);
            figures_from = *ends[c] - 18 - textWidth(heads[c].head, typeface(Type::Small));
        }
    p.fillRect(kMargin, kHead - 3, width() - 2 * kMargin, 1, theme().hair);
    for (std::size_t i = 0; i < all.size(); ++i) {
        const QRect row = rowRect(i);
        const bool mine = taken(all[i]);
        if (static_cast<int>(i) == hovered_)
            p.fillRect(row, theme().row);
        paintRibbon(p, QRect(row.left(), row.top() + 2, kRibbon, kRow - 4), *all[i].mixer,
                    all[i].seen, model_.document().colours());
        if (mine) {
            p.setRenderHint(QPainter::Antialiasing);
            drawPointer(p, QPointF(row.left() - 6, row.center().y() + 0.5), Points::Right, 10, 7,
                        theme().bright);
            p.setRenderHint(QPainter::Antialiasing, false);
        }
        drawElided(p, name_x, row.top() + 14, figures_from - name_x - 8,
                   model_.kindName(all[i].way, all[i].by), typeface(Type::Work, mine),
                   mine ? theme().bright : theme().text);
        const auto all_figures = figures(all[i]);
        for (std::size_t c = 0; c < all_figures.size(); ++c)
            if (ends[c])
                drawTextRight(p, *ends[c], row.top() + 14, all_figures[c].text,
                              typeface(Type::Small), mine ? theme().bright : theme().text);
    }
    if (hasFocus() && cursor_ < all.size())
        drawFocusBrackets(p, rowRect(cursor_).adjusted(-3, -1, 3, 1));
}

void WayList::take(std::size_t row) {
    if (row < model_.compared().size()) {
        cursor_ = row;
        model_.takeWay(model_.compared()[row].way);
    }
}

void WayList::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || event->position().y() < kHead)
        return;
    take(static_cast<std::size_t>((event->position().y() - kHead) / kRow));
}

void WayList::mouseMoveEvent(QMouseEvent* event) {
    const int y = static_cast<int>(event->position().y()) - kHead;
    hovered_ = y < 0 ? -1 : y / kRow;
    update();
}

void WayList::leaveEvent(QEvent*) {
    hovered_ = -1;
    update();
}

bool WayList::claims(const QKeyEvent& key) const {
    return key.key() == Qt::Key_Up || key.key() == Qt::Key_Down || isEnter(key);
}

void WayList::keyPressEvent(QKeyEvent* event) {
    const std::size_t count = model_.compared().size();
    if (count == 0)
        return QWidget::keyPressEvent(event);
    cursor_ = std::min(cursor_, count - 1);
    if (event->key() == Qt::Key_Up && cursor_ > 0)
        --cursor_;
    else if (event->key() == Qt::Key_Down && cursor_ + 1 < count)
        ++cursor_;
    else if (isEnter(*event))
        return take(cursor_);
    else if (event->key() != Qt::Key_Up && event->key() != Qt::Key_Down)
        return QWidget::keyPressEvent(event);
    update();
}

std::vector<PaintedPart> WayList::parts() {
    std::vector<PaintedPart> all;
    for (std::size_t i = 0; i < model_.compared().size(); ++i) {
        const auto& way = model_.compared()[i];
        QStringList said;
        const auto all_figures = figures(way);
        for (const Figure& f : all_figures)
            said << QStringLiteral("%1 %2").arg(f.head, f.text);
        all.push_back({model_.kindName(way.way, way.by), said.join(QStringLiteral(", ")),
                       rowRect(i), QAccessible::ListItem, taken(way), [this, i] { take(i); }});
    }
    return all;
}

} // namespace zelo::desk
