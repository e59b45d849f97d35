// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_window.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/draw.h"
#include "desk/kit/figures.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kLines = 11; // of the smaller ones, in the window's height
constexpr int kLeastUnit = 26;
constexpr int kMargin = 24;

QFont large(Type type, double px, bool bold = false) {
    QFont font = typeface(type, bold);
    font.setPixelSize(std::max(12, static_cast<int>(std::lround(px))));
    return font;
}
// In whole seconds, minutes apart: "5", "1:30".
QString secondsLeft(const play::StageList& now) {
    const double left = std::ceil(std::max(0.0, now.lasts_s - now.since_s));
    return left < 60 ? numberText(left, 0) : timeText(left);
}
} // namespace

CueWindow::CueWindow(CueModel& model, QWidget* owner)
    : OwnWindow("cues", tr("Cue list, large"), {760, 620}, owner), model_(model) {
    setToolTip(tr("Where the cue list stands and what comes next, to be read from afar: put it on "
                  "another screen (Esc closes, F fills the screen)"));
    setAttribute(Qt::WA_OpaquePaintEvent);
    setMinimumSize(320, 240);
    watch(model_, &CueModel::cuesChanged, this, [this] { update(); });
    watch(model_, &CueModel::standingChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Light, [this] { update(); }); // while a fade runs
}

int CueWindow::unit() const {
    return std::max(kLeastUnit, height() / kLines);
}

// The two that matter are twice as high.
QRect CueWindow::lineRect(std::size_t line) const {
    const int high = unit();
    const int before = static_cast<int>(std::min<std::size_t>(line, 2)) * 2 * high +
                       static_cast<int>(line > 2 ? line - 2 : 0) * high;
    return {kMargin, high + before, width() - 2 * kMargin, line < 2 ? 2 * high : high};
}

std::vector<CueWindow::Line> CueWindow::lines() const {
    std::vector<Line> all;
    const auto* list = model_.list();
    if (!list)
        return all;
    const auto stands = model_.current();
    const auto next = model_.next();
    const auto add = [&](const show::Cue& cue) {
        all.push_back(
            {cue.number, toQt(cue.name), toQt(cue.note), stands == cue.number, next == cue.number});
    };
    if (const auto* cue = stands ? list->cues.find(*stands) : nullptr)
        add(*cue);
    else
        all.push_back({}); // nothing stands yet
    bool follows = false;
    for (const auto& [number, cue] : list->cues) {
        follows |= next == number;
        if (!follows)
            continue;
        if (lineRect(all.size()).bottom() > height())
            break;
        add(*cue);
    }
    return all;
}

void CueWindow::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const auto all = lines();
    const int high = unit();
    if (all.empty()) {
        drawWrapped(p, rect().adjusted(kMargin, kMargin, -kMargin, -kMargin),
                    tr("No cue list yet: keep what the lamps show as a cue, in Cues with Ins."),
                    large(Type::Work, 0.5 * high), theme().text);
        return;
    }
    const auto* now = model_.now();
    drawEnds(p, kMargin, width() - kMargin, static_cast<int>(0.62 * high),
             {toQt(model_.list()->name), large(Type::Work, 0.34 * high), theme().dim,
              model_.rehearses() ? tr("rehearsal") : QString(), large(Type::Work, 0.34 * high),
              theme().text});
    for (std::size_t i = 0; i < all.size(); ++i) {
        const Line& line = all[i];
        const QRect r = lineRect(i);
        const bool big = i < 2;
        const double size = (big ? 0.78 : 0.44) * high;
        const QColor ink = i == 0 ? theme().bright : i == 1 ? theme().text : theme().dim;
        if (i == 0)
            p.fillRect(r.adjusted(-kMargin, 0, kMargin, 0), theme().lift);
        const int base = r.top() + static_cast<int>((big ? 1.1 : 0.66) * high);
        int x = r.left();
        if (i == 0 && !line.stands) {
            drawElided(p, x, base, r.width(), tr("nothing plays"), large(Type::Title, size),
                       theme().dim);
            continue;
        }
        if (line.next) {
            drawPointer(p, {x + 0.3 * high, base - 0.28 * size}, Points::Right, 0.5 * size,
                        0.4 * size, ink);
        }
        const int numbers = static_cast<int>(2.3 * high);
        drawTextRight(p, x + numbers, base, cueNumberText(line.number), large(Type::Title, size),
                      ink);
        x += numbers + static_cast<int>(0.4 * high);
        drawElided(p, x, base, r.right() - x, line.name, large(Type::Title, size, i == 0), ink);
        const QString below = i == 0 && now && now->held ? tr("held")
                              : i == 0 && now && now->fades()
                                  ? tr("%1 s to go").arg(secondsLeft(*now))
                                  : line.note;
        if (big)
            drawElided(p, x, base + static_cast<int>(0.52 * high), r.right() - x, below,
                       large(Type::Work, 0.36 * high), i == 0 ? theme().text : theme().dim);
        if (i == 0 && now && now->fades() && now->lasts_s > 0) {
            const double share = std::clamp(now->since_s / now->lasts_s, 0.0, 1.0);
            p.fillRect(0, r.bottom() - 3, width(), 4, theme().well);
            p.fillRect(0, r.bottom() - 3, static_cast<int>(share * width()), 4, theme().bright);
        }
        if (i > 0)
            p.fillRect(r.left(), r.bottom(), r.width(), 1, theme().hair);
    }
}

std::vector<PaintedPart> CueWindow::parts() {
    std::vector<PaintedPart> all;
    const auto shown = lines();
    for (std::size_t i = 0; i < shown.size(); ++i) {
        const Line& line = shown[i];
        const bool none = i == 0 && !line.stands;
        all.push_back({none ? tr("nothing plays")
                            : tr("cue %1, %2").arg(cueNumberText(line.number), line.name),
                       line.stands ? tr("stands")
                       : line.next ? tr("next")
                                   : QString(),
                       lineRect(i)});
    }
    return all;
}

} // namespace zelo::desk
