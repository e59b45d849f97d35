// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/readings/reach_map.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QKeyEvent>
#include <QMouseEvent>

namespace zelo::desk {

using colour::Uv;

ReachMap::ReachMap(Document& document, FocusModel& focus, Asking& asking, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus), asking_(asking) {
    setAccessibleName(tr("Reach map"));
    setToolTip(tr("All colours the type in focus can make, in u′ v′. Cross: wanted. Ring: got. "
                  "Dots: the other types. The black line is the white of lamps, dotted beside it "
                  "that of daylight. Press or drag picks a "
                  "colour; arrow keys step it, Shift finely."));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::CrossCursor);
    connect(&focus_, &FocusModel::rowsChanged, this, [this] { update(); });
}

std::optional<Uv> ReachMap::shown(std::size_t row) const {
    const auto& xyz = focus_.rows()[row].lamp.sent.xyz;
    return colour::hasChromaticity(xyz) ? std::optional(colour::toUv(xyz)) : std::nullopt;
}

void ReachMap::resizeEvent(QResizeEvent*) {
    picture_.setSize(size());
}

void ReachMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    asking_.pickUv(picture_.fromMap(event->position()), gesture_.begin());
}

void ReachMap::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        asking_.pickUv(picture_.fromMap(event->position()), gesture_.now());
}

bool ReachMap::claims(const QKeyEvent& key) const {
    return isArrow(key);
}

void ReachMap::keyPressEvent(QKeyEvent* event) {
    const light::Wanted* wanted = focus_.wanted();
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.0002 : 0.002;
    const int key = event->key();
    const double u = key == Qt::Key_Right ? step : key == Qt::Key_Left ? -step : 0;
    const double v = key == Qt::Key_Up ? step : key == Qt::Key_Down ? -step : 0;
    if (!wanted || (u == 0 && v == 0))
        return QWidget::keyPressEvent(event);
    asking_.pickUv(wanted->uv() + Uv{u, v}, gesture_.step());
}

void ReachMap::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    picture_.paintLocus(p);
    const TypeRow* row = focus_.focus();
    if (!row)
        return;
    const auto& hull = row->lamp.mixer->hull();
    picture_.paintReach(p, hull, document_.colours());
    std::vector<Uv> others; // the other types' lights
    for (std::size_t i = 0; i < focus_.rows().size(); ++i)
        if (i != focus_.focusIndex()) {
            picture_.paintOutline(p, focus_.rows()[i].lamp.mixer->hull(),
                                  QPen(theme().rule, 1, Qt::DotLine));
            if (const auto uv = shown(i))
                others.push_back(*uv);
        }
    picture_.paintOutline(p, hull, QPen(theme().text, 1));
    picture_.paintWhites(p);
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(1, 1, -1, -1));
    const light::Wanted* wanted = focus_.wanted();
    if (!wanted)
        return;
    const Uv at = wanted->uv();
    const auto got = shown(focus_.focusIndex());
    for (const Uv& uv : others)
        picture_.paintDot(p, uv);
    if (const auto ring = picture_.paintLoupe(p, at, got, others, document_.colours()))
        drawTextRight(p, width() - 8, height() - 2, tr("one ring %1").arg(numberText(*ring, 3)),
                      typeface(Type::Small), theme().dim);
    drawWanted(p, picture_.toMap(at));
    if (!got)
        return;
    if (QLineF(picture_.toMap(at), picture_.toMap(*got)).length() > 6)
        picture_.paintWay(p, {at, *got});
    drawGot(p, picture_.toMap(*got));
}

// --- for assistive tools

std::vector<PaintedPart> ReachMap::parts() {
    std::vector<PaintedPart> all;
    const auto add = [&](const QString& name, const Uv& uv, std::function<void()> press) {
        const QPoint at = picture_.toMap(uv).toPoint();
        all.push_back({name, uvText(uv), QRect(at - QPoint(6, 6), QSize(13, 13)),
                       QAccessible::ListItem, false, std::move(press)});
    };
    if (const light::Wanted* wanted = focus_.wanted())
        add(tr("wanted"), wanted->uv(), {});
    for (std::size_t i = 0; i < focus_.rows().size(); ++i)
        if (const auto uv = shown(i)) {
            add(tr("%1 shows").arg(focus_.rows()[i].name), *uv,
                [this, key = focus_.rows()[i].key] { document_.setFocusType(key); });
            all.back().chosen = i == focus_.focusIndex();
        }
    return all;
}

} // namespace zelo::desk
