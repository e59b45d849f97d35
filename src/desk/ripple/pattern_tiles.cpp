// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/pattern_tiles.h"

#include "desk/kit/draw.h"
#include "desk/kit/watch.h"

#include <QMouseEvent>

namespace zelo::desk {

namespace {
constexpr int kRaster = 64;
constexpr int kTileGap = 24;
} // namespace

PatternTiles::PatternTiles(RippleModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("Pattern"));
    setToolTip(tr("Cycle: all lamps go through the steps, each later than the one before. March: "
                  "the next colour enters lamp by lamp, and stays. Pulse: an accent passes over "
                  "the first colour. ← → choose"));
    setFocusPolicy(Qt::StrongFocus);
    watch(model_, &RippleModel::modelChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen, [this] {
        for (auto& image : images_)
            image.forget();
        update();
    });
}

QRect PatternTiles::tile(int pattern) const {
    const int wide = (width() - 2 * kTileGap) / 3;
    return {pattern * (wide + kTileGap), 0, wide, kHeight};
}

void PatternTiles::paintEvent(QPaintEvent*) {
    if (!model_.ripple())
        return;
    QPainter p(this);
    const QStringList names{tr("Cycle"), tr("March"), tr("Pulse")};
    const QStringList words{tr("colours run along the lineup"), tr("one lamp after another"),
                            tr("an accent passes")};
    const int chosen = static_cast<int>(model_.ripple()->pattern);
    const auto* pictures = model_.pictures();
    for (int i = 0; i < 3; ++i) {
        const QRect r = tile(i);
        const QRect light(r.left(), r.top(), r.width(), kRaster);
        const auto at = static_cast<std::size_t>(i);
        if (pictures && !pictures->patterns[at].cells.empty())
            p.drawImage(light, images_[at].of(pictures->patterns[at], model_.picturesPtr(),
                                              model_.document().colours()));
        else
            p.fillRect(light, theme().glass);
        const int name =
            drawText(p, r.left(), r.top() + 86, names[i], typeface(Type::Work, i == chosen),
                     i == chosen ? theme().bright : theme().text);
        const int room = r.width() - name - 10;
        if (textWidth(words[i], typeface(Type::Small)) <= room * 3 / 2) // narrower letters help
            drawElided(p, r.left() + name + 10, r.top() + 86, room, words[i], typeface(Type::Small),
                       theme().dim);
        p.fillRect(r.left(), r.top() + 95, r.width(), 1, theme().faint);
        if (i == chosen) {
            drawPointer(p, QPointF(r.left() + name / 2, r.top() + 95 - 5), Points::Up, 9, 6,
                        theme().bright);
            if (hasFocus())
                drawFocusBrackets(p, light.adjusted(2, 2, -2, -2));
        }
    }
}

void PatternTiles::choose(int pattern) {
    if (!model_.ripple() || pattern < 0 || pattern > 2 ||
        pattern == static_cast<int>(model_.ripple()->pattern))
        return;
    const QStringList names{tr("Cycle"), tr("March"), tr("Pulse")};
    model_.edit(tr("Pattern %1").arg(names[pattern]),
                [&](show::Ripple& r) { r.pattern = static_cast<show::Pattern>(pattern); });
}

void PatternTiles::mousePressEvent(QMouseEvent* event) {
    for (int i = 0; i < 3; ++i)
        if (tile(i).contains(event->pos()) && event->button() == Qt::LeftButton)
            choose(i);
}

bool PatternTiles::claims(const QKeyEvent& key) const {
    return (key.key() == Qt::Key_Left || key.key() == Qt::Key_Right) &&
           key.modifiers() == Qt::NoModifier;
}

void PatternTiles::keyPressEvent(QKeyEvent* event) {
    if (!model_.ripple() || !claims(*event))
        return QWidget::keyPressEvent(event);
    choose(static_cast<int>(model_.ripple()->pattern) + (event->key() == Qt::Key_Left ? -1 : 1));
}

std::vector<PaintedPart> PatternTiles::parts() {
    std::vector<PaintedPart> all;
    const QStringList names{tr("Cycle"), tr("March"), tr("Pulse")};
    for (int i = 0; model_.ripple() && i < 3; ++i)
        all.push_back({names[i],
                       {},
                       tile(i),
                       QAccessible::RadioButton,
                       i == static_cast<int>(model_.ripple()->pattern),
                       [this, i] { choose(i); }});
    return all;
}

} // namespace zelo::desk
