// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/look_buttons.h"

#include "desk/cues/cue_text.h"
#include "desk/cues/look_menu.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QContextMenuEvent>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>
#include <QToolTip>

#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kHead = 48, kMargin = 24, kGap = 10, kLeast = 48, kMost = 62, kLeastWide = 150;
constexpr int kPicture = 64; // px wide, at the left of a tile
constexpr std::size_t kMostLamps = 12;
} // namespace

LookButtons::LookButtons(Document& document, QWidget* parent)
    : QWidget(parent), document_(document),
      faders_(
          new Button(tr("faders"), {}, tr("Faders instead of buttons"), Button::Kind::Text, this)) {
    setAccessibleName(tr("Looks as buttons"));
    setFocusPolicy(Qt::StrongFocus);
    watch(document_, this,
          Change::Values | Change::Palettes | Change::Rig | Change::Types | Change::Seen,
          [this] { compute(); });
    watch(document_, this, Change::Hand | Change::Values | Change::Light, [this] { update(); });
}

void LookButtons::compute() {
    std::erase_if(photos_, [this](const auto& photo) { // of pictures that are gone
        const auto& looks = document_.show().looks;
        return std::none_of(looks.begin(), looks.end(), [&](const auto& look) {
            return look.second->picture.get() == photo.first;
        });
    });
    document_.later(
        "look pictures", this,
        [show = document_.state().show, from = document_.sources(), by = document_.colours(),
         &mixes = document_.mixes()] {
            return play::lookPictures(show, *from, mixes, kMostLamps, by.camera());
        },
        [this](const auto& lamps) {
            lamps_ = lamps;
            update();
        });
    update();
}

std::optional<std::size_t> LookButtons::shown() const {
    std::optional<std::size_t> found;
    for (std::size_t i = 0; i < count(); ++i) {
        const show::Look& look = *document_.show().looks.entry(i).second;
        const bool all = std::all_of(look.values.begin(), look.values.end(), [&](const auto& e) {
            const auto* stands = document_.show().standing.find(e.first);
            return stands && *stands == *e.second && !document_.state().hand->contains(e.first);
        });
        if (all && look.values.size() > 0)
            found = i;
    }
    return found;
}

void LookButtons::press(std::size_t at) {
    if (at >= count())
        return;
    cursor_ = at;
    const auto id = document_.show().looks.entry(at).first;
    showLook(document_, id);
    if (under(*document_.show().lookOf(id)))
        document_.tell(tr("Cues, faders or ripples lie over look %1: let go of them to see it.")
                           .arg(toQt(document_.show().lookOf(id)->name)));
    update();
}

// Lists, faders and ripples have the say over standing light.
bool LookButtons::under(const show::Look& look) const {
    using Layer = play::Engine::From::Layer;
    return std::any_of(look.values.begin(), look.values.end(), [&](const auto& e) {
        const auto* lamp = document_.stage().lamp(e.first);
        const auto plays = [](Layer layer) {
            return layer == Layer::List || layer == Layer::Fader || layer == Layer::Adding ||
                   layer == Layer::Ripple;
        };
        return lamp && (plays(lamp->intensity_from.layer) || plays(lamp->colour_from.layer));
    });
}

void LookButtons::showNext() {
    if (count() == 0)
        return document_.tell(tr("No looks yet: K keeps one"));
    const auto now = shown();
    press(now ? (*now + 1) % count() : 0);
}

int LookButtons::columns() const {
    return std::max(1, (width() - 2 * kMargin + kGap) / (kLeastWide + kGap));
}

QRect LookButtons::tile(std::size_t at) const {
    const int n = columns();
    const int wide = (width() - 2 * kMargin - (n - 1) * kGap) / n;
    const int row = static_cast<int>(at) / n - first_row_;
    const int column = static_cast<int>(at) % n;
    const int high = rowHeight();
    return {kMargin + column * (wide + kGap), kHead + row * (high + kGap), wide, high};
}

// Whole rows.
int LookButtons::rows() const {
    return std::max(1, (height() - kHead) / (kLeast + kGap));
}

int LookButtons::rowHeight() const {
    return std::clamp((height() - kHead) / rows() - kGap, kLeast, kMost);
}

std::optional<std::size_t> LookButtons::at(const QPoint& pos) const {
    for (std::size_t i = 0; i < count(); ++i)
        if (pos.y() >= kHead && tile(i).contains(pos))
            return i;
    return std::nullopt;
}

void LookButtons::scroll(int by) {
    const int all = (static_cast<int>(count()) + columns() - 1) / columns();
    first_row_ = std::clamp(first_row_ + by, 0, std::max(0, all - rows()));
    update();
}

void LookButtons::resizeEvent(QResizeEvent*) {
    const int wide = faders_->sizeHint().width();
    faders_->setGeometry(width() - 20 - wide, 12, wide, 22);
    scroll(0);
}

void LookButtons::paintTile(QPainter& p, const QRect& r, const show::Look& look, bool is_shown) {
    p.fillRect(r, is_shown ? theme().lift : theme().row);
    const QRect picture(r.left(), r.top(), kPicture, r.height());
    p.fillRect(picture, theme().well);
    if (look.picture) {
        auto [photo, fresh] = photos_.try_emplace(look.picture.get());
        if (fresh)
            photo->second.loadFromData(reinterpret_cast<const uchar*>(look.picture->data()),
                                       static_cast<uint>(look.picture->size()));
        if (!photo->second.isNull()) {
            const QPixmap fit =
                photo->second.scaled(picture.size(), Qt::KeepAspectRatio, Qt::SmoothTransformation);
            p.drawPixmap(picture.center() - fit.rect().center(), fit);
        }
    } else if (const auto it = lamps_.find(look.id); it != lamps_.end() && !it->second.empty()) {
        const auto n = static_cast<int>(it->second.size());
        const int pitch = std::max(2, (kPicture - 8) / n);
        int x = picture.left() + (kPicture - pitch * n) / 2;
        for (const auto& lamp : it->second) {
            const int high = static_cast<int>(std::lround((r.height() - 14) * lamp.intensity));
            if (high > 0 && colour::hasChromaticity(lamp.at_full))
                p.fillRect(x, picture.bottom() - 6 - high, std::max(1, pitch - 1), high,
                           document_.colours().of(lamp.at_full));
            x += pitch;
        }
    }
    const int left = picture.right() + 10;
    const int middle = r.center().y();
    drawElided(p, left, middle - 3, r.right() - left - 6, toQt(look.name),
               typeface(Type::Work, is_shown), is_shown ? theme().bright : theme().text);
    drawElided(p, left, middle + 16, r.right() - left - 6,
               !is_shown     ? tr("%1 s").arg(timeText(look.time_s))
               : under(look) ? tr("under what plays")
                             : tr("shown, %1 s").arg(timeText(look.time_s)),
               typeface(Type::Small), theme().dim);
    if (is_shown)
        p.fillRect(r.left(), r.bottom() - 1, r.width(), 2, theme().bright);
}

void LookButtons::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawElided(p, kMargin, 29, faders_->x() - 40, tr("Looks as buttons"), typeface(Type::Title),
               theme().text);
    if (count() == 0)
        drawWrapped(p, QRect(kMargin, 52, width() - 2 * kMargin, 60),
                    tr("None yet. Keep what is shown as a look (K): a press shows it in its own "
                       "time."),
                    typeface(Type::Work), theme().dim);
    const auto now = shown();
    p.setClipRect(0, kHead - 4, width(), height() - kHead + 4);
    for (std::size_t i = 0; i < count(); ++i) {
        const QRect r = tile(i);
        if (r.bottom() < kHead || r.bottom() > height())
            continue;
        paintTile(p, r, *document_.show().looks.entry(i).second, now == i);
        if (hasFocus() && i == cursor_)
            drawFocusBrackets(p, r.adjusted(-3, -3, 3, 3));
    }
}

void LookButtons::mousePressEvent(QMouseEvent* event) {
    if (const auto i = at(event->pos()); i && event->button() == Qt::LeftButton)
        press(*i);
}

void LookButtons::wheelEvent(QWheelEvent* event) {
    scroll(event->angleDelta().y() > 0 ? -1 : 1);
    event->accept();
}

bool LookButtons::claims(const QKeyEvent& key) const {
    return count() > 0 &&
           (isArrow(key) || isEnter(key) || key.key() == Qt::Key_Home || key.key() == Qt::Key_End);
}

void LookButtons::keyPressEvent(QKeyEvent* event) {
    if (!claims(*event))
        return QWidget::keyPressEvent(event);
    const auto n = static_cast<int>(count());
    int to = static_cast<int>(std::min(cursor_, count() - 1));
    switch (event->key()) {
    case Qt::Key_Left:
        --to;
        break;
    case Qt::Key_Right:
        ++to;
        break;
    case Qt::Key_Up:
        to -= columns();
        break;
    case Qt::Key_Down:
        to += columns();
        break;
    case Qt::Key_Home:
        to = 0;
        break;
    case Qt::Key_End:
        to = n - 1;
        break;
    default:
        return press(static_cast<std::size_t>(to));
    }
    cursor_ = static_cast<std::size_t>(std::clamp(to, 0, n - 1));
    while (tile(cursor_).top() < kHead && first_row_ > 0)
        scroll(-1);
    for (int row = first_row_; tile(cursor_).bottom() > height(); row = first_row_) {
        scroll(1);
        if (row == first_row_)
            break;
    }
    update();
}

void LookButtons::contextMenuEvent(QContextMenuEvent* event) {
    const auto i =
        event->reason() == QContextMenuEvent::Keyboard ? std::optional(cursor_) : at(event->pos());
    if (!i || *i >= count())
        return;
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    fillLookMenu(*menu, document_, document_.show().looks.entry(*i).first, this);
    menu->popup(event->globalPos());
}

bool LookButtons::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(event);
        if (const auto i = at(help->pos())) {
            const show::Look& look = *document_.show().looks.entry(*i).second;
            QToolTip::showText(help->globalPos(),
                               tr("%1: shows it in %2 s; N shows the next. Right click for more.")
                                   .arg(toQt(look.name), timeText(look.time_s)),
                               this);
            return true;
        }
    }
    return QWidget::event(event);
}

std::vector<PaintedPart> LookButtons::parts() {
    std::vector<PaintedPart> all;
    const auto now = shown();
    for (std::size_t i = 0; i < count(); ++i) {
        const show::Look& look = *document_.show().looks.entry(i).second;
        all.push_back({tr("Look %1").arg(toQt(look.name)),
                       now == i ? tr("shown") : tr("%1 s").arg(timeText(look.time_s)), tile(i),
                       QAccessible::Button, hasFocus() && i == cursor_, [this, i] { press(i); }});
    }
    return all;
}

} // namespace zelo::desk
