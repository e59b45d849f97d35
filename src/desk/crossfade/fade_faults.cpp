// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/fade_faults.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kMargin = 24, kHead = 24, kRow = 39, kRibbon = 112, kMore = 24, kHigh = 27;
} // namespace

FadeFaults::FadeFaults(CueModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("Fade check"));
    setToolTip(tr("Fades of the cue list that show a colour nobody asked for. Enter takes the cure "
                  "that is named, the key of menus shows all of them."));
    setFocusPolicy(Qt::StrongFocus);
    watch(model_, &CueModel::cuesChanged, this, [this] {
        scroll(0);
        update();
    });
    watch(model_.document(), this, Change::Seen, [this] { update(); });
}

QString FadeFaults::title(const play::Finding& finding) const {
    const auto* cue = model_.cue(*finding.cue);
    return cue ? QStringLiteral("%1 %2").arg(cueNumberText(*cue), toQt(cue->name))
               : cueNumberText(*finding.cue);
}

QRect FadeFaults::rowRect(std::size_t row) const {
    return {kMargin, kHead + (static_cast<int>(row) - first_) * kRow, width() - 2 * kMargin, kRow};
}

QRect FadeFaults::moreRect(std::size_t row) const {
    const QRect r = rowRect(row);
    return {r.right() - kMore, r.top() + 6, kMore, kHigh};
}

QRect FadeFaults::cureRect(std::size_t row) const {
    const auto all = findings();
    if (row >= all.size() || all[row].cures.empty())
        return {};
    const QString text = model_.cureName(all[row].cures.front());
    const int wide = std::min(textWidth(text, typeface(Type::Work)) + 28, width() / 3);
    const QRect more = moreRect(row);
    return {more.left() - 5 - wide, more.top(), wide, kHigh};
}

void FadeFaults::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const auto all = findings();
    const auto* list = model_.list();
    const auto fades = static_cast<int>(list ? list->cues.size() : 0);
    drawTextRight(
        p, width() - kMargin, 15,
        all.empty()
            ? fades > 0 ? tr("no fade shows a colour nobody asked for")
                        : tr("no cues yet: their fades are looked at here")
            : tr("%1 of %n fades show a colour nobody asked for", nullptr, fades).arg(all.size()),
        typeface(Type::Small), theme().dim);
    p.fillRect(kMargin, kHead - 3, width() - 2 * kMargin, 1, theme().hair);
    const auto& colours = model_.document().colours();
    p.setClipRect(0, kHead - 2, width(), height() - kHead + 2);
    const auto box = [&](const QRect& r, const QString& text) {
        p.setPen(theme().rule);
        p.setBrush(Qt::NoBrush);
        p.drawRect(r.adjusted(0, 0, -1, -1));
        const int wide = std::min(textWidth(text, typeface(Type::Work)), r.width() - 8);
        drawElided(p, r.center().x() - wide / 2, r.top() + 18, r.width() - 8, text,
                   typeface(Type::Work), theme().text);
    };
    for (std::size_t i = static_cast<std::size_t>(first_); i < all.size(); ++i) {
        const QRect row = rowRect(i);
        if (row.top() > height())
            break;
        const QRect ribbon(row.left(), row.top() + 6, kRibbon, kHigh);
        const auto& moments = all[i].moments;
        double most = 0;
        for (const auto& m : moments)
            most = std::max(most, m.light.Y);
        for (std::size_t k = 0; k < moments.size(); ++k) {
            const auto& m = moments[k];
            const auto n = static_cast<int>(moments.size());
            const int x = ribbon.left() + static_cast<int>(k) * ribbon.width() / n;
            const int end = ribbon.left() + static_cast<int>(k + 1) * ribbon.width() / n;
            const bool seen = m.light.Y > 0 && colour::hasChromaticity(m.light);
            p.fillRect(x, ribbon.top(), end - x, ribbon.height(),
                       seen ? colours.of(shownLight(colours, *all[i].mixer, m.drives, m.light),
                                         m.light.Y / most)
                            : theme().well);
        }
        const QRect cure = cureRect(i);
        const int left = ribbon.right() + 16;
        const int room = (cure.isEmpty() ? moreRect(i) : cure).left() - left - 12;
        drawElided(p, left, row.top() + 17, room, title(all[i]), typeface(Type::Work),
                   theme().bright);
        drawElided(p, left, row.top() + 33, room, model_.words(all[i]), typeface(Type::Small),
                   theme().dim);
        if (!cure.isEmpty())
            box(cure, model_.cureName(all[i].cures.front()));
        box(moreRect(i), QStringLiteral("…"));
        p.fillRect(row.left(), row.bottom(), row.width(), 1, theme().hair);
        if (hasFocus() && i == cursor_)
            drawFocusBrackets(p, row.adjusted(-4, 2, 4, -2));
    }
}

void FadeFaults::scroll(int rows) {
    const int seen = std::max(1, (height() - kHead) / kRow);
    const int last = std::max(0, static_cast<int>(findings().size()) - seen);
    first_ = std::clamp(first_ + rows, 0, last);
    update();
}

void FadeFaults::cure(std::size_t row) {
    const auto all = findings();
    if (row >= all.size())
        return;
    if (all[row].cures.empty())
        return openMore(row);
    const play::Finding finding = all[row]; // the list is made anew meanwhile
    model_.cure(finding, finding.cures.front());
}

void FadeFaults::openMore(std::size_t row) {
    const auto all = findings();
    if (row >= all.size())
        return;
    const play::Finding finding = all[row];
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const route::Cure one : finding.cures)
        connect(menu->addAction(model_.cureName(one)), &QAction::triggered, this,
                [this, finding, one] { model_.cure(finding, one); });
    menu->addSeparator();
    connect(menu->addAction(tr("Show the cue")), &QAction::triggered, this,
            [this, finding] { emit cueWanted(finding.list, *finding.cue); });
    menu->popup(mapToGlobal(moreRect(row).bottomLeft()));
    menu->setActiveAction(menu->actions().front());
}

void FadeFaults::mousePressEvent(QMouseEvent* event) {
    const auto all = findings();
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (event->button() != Qt::LeftButton || event->pos().y() < kHead ||
            !rowRect(i).contains(event->pos()))
            continue;
        cursor_ = i;
        update();
        if (moreRect(i).contains(event->pos()))
            openMore(i);
        else if (cureRect(i).contains(event->pos()))
            cure(i);
        return;
    }
}

void FadeFaults::wheelEvent(QWheelEvent* event) {
    scroll(event->angleDelta().y() > 0 ? -1 : 1);
    event->accept();
}

bool FadeFaults::claims(const QKeyEvent& key) const {
    return !findings().empty() && (key.key() == Qt::Key_Up || key.key() == Qt::Key_Down ||
                                   isEnter(key) || key.key() == Qt::Key_Menu);
}

void FadeFaults::keyPressEvent(QKeyEvent* event) {
    const std::size_t count = findings().size();
    if (!claims(*event))
        return QWidget::keyPressEvent(event);
    cursor_ = std::min(cursor_, count - 1);
    if (isEnter(*event))
        return cure(cursor_);
    if (event->key() == Qt::Key_Menu)
        return openMore(cursor_);
    if (event->key() == Qt::Key_Up && cursor_ > 0)
        --cursor_;
    if (event->key() == Qt::Key_Down && cursor_ + 1 < count)
        ++cursor_;
    if (static_cast<int>(cursor_) < first_)
        scroll(static_cast<int>(cursor_) - first_);
    if (rowRect(cursor_).bottom() > height())
        scroll(1);
    update();
}

std::vector<PaintedPart> FadeFaults::parts() {
    std::vector<PaintedPart> all;
    const auto found = findings();
    for (std::size_t i = 0; i < found.size(); ++i)
        all.push_back({title(found[i]), model_.words(found[i]), rowRect(i), QAccessible::ListItem,
                       hasFocus() && i == cursor_, [this, i] { cure(i); }});
    return all;
}

} // namespace zelo::desk
