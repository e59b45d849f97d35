// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/check_panel.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

namespace zelo::desk {

using State = play::CheckLink::State;

namespace {
constexpr int kMargin = 20;
constexpr int kLink = 48; // with one line of words
} // namespace

CheckPanel::CheckPanel(Document& document, QWidget* parent)
    : QWidget(parent), document_(document),
      next_(new Button(tr("Next dark lamp"), {}, tr("The next lamp that gives no light"),
                       Button::Kind::Plain, this)) {
    setAccessibleName(tr("Light check"));
    setToolTip(tr("From what is asked for to the light that comes out, link by link"));
    connect(next_, &Button::clicked, this, &CheckPanel::nextDark);
    // The check goes over the whole patch: not while nobody looks.
    watch(document_, this, Change::Light | Change::Lineup | Change::Found, [this] { refresh(); });
}

void CheckPanel::showEvent(QShowEvent*) {
    refresh();
}

void CheckPanel::refresh() {
    if (!isVisible()) // the check goes over the whole patch: not while nobody looks
        return;
    links_.clear();
    if (!document_.lineup().empty()) {
        play::OutputState output;
        output.sends = document_.player() != nullptr;
        output.on_stage = document_.onStage();
        if (auto* network = document_.network()) {
            output.network_chosen = network->choice().leavesComputer();
            output.receivers_known = network->finder() != nullptr;
            output.receivers = network->receivers();
        }
        const auto slots_of = [from = document_.sources()](const show::Fixture& f) {
            const auto type = from->type(f.type);
            const light::Mode* mode = type ? type->mode(f.mode) : nullptr;
            return mode ? mode->footprint : 0;
        };
        if (auto links =
                play::lightCheck(document_.stage(), document_.lineup().front(), slots_of, output))
            links_ = std::move(*links);
    }
    setAccessibleDescription(verdict());
    update();
}

QString CheckPanel::verdict() const {
    return links_.empty() ? tr("Choose a lamp to check.") : said(play::verdict(links_));
}

void CheckPanel::nextDark() {
    const auto& lamps = document_.stage().lamps;
    const auto now = document_.lineup().empty() ? show::FixtureId{} : document_.lineup().front();
    for (const bool wrapped : {false, true})
        for (const auto& lamp : lamps)
            if (lamp.dark != play::DarkWhy::None && (wrapped || now < lamp.id))
                return document_.setLineup({lamp.id});
    document_.tell(tr("Every lamp gives light."));
}

void CheckPanel::resizeEvent(QResizeEvent*) {
    next_->setGeometry(kMargin, height() - 36, width() - 2 * kMargin, 28);
}

void CheckPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, kMargin, 31, tr("Light check"), typeface(Type::Title), theme().bright);
    const auto& lineup = document_.lineup();
    const auto* f = lineup.empty() ? nullptr : document_.show().fixture(lineup.front());
    if (f)
        drawTextRight(p, width() - kMargin, 31, tr("lamp %1").arg(f->number), typeface(Type::Work),
                      theme().bright);
    const int room = width() - 2 * kMargin;
    const QFont work = typeface(Type::Work);
    const QFont small = typeface(Type::Small);
    drawWrapped(p, QRect(kMargin, 46, room, 54), verdict(), work, theme().text);
    int y = 112;
    bool stopped = false;
    for (std::size_t i = 0; i < links_.size(); ++i) {
        const auto& link = links_[i];
        const QPointF at(kMargin + 6, y + 8);
        const QRect words(kMargin + 24, y + 18, room - 24, 96);
        const int lines =
            QFontMetrics(small).boundingRect(words, Qt::TextWordWrap, said(link.words)).height();
        const int high = kLink - QFontMetrics(small).height() + lines;
        if (i + 1 < links_.size()) { // the thread that the light runs along, until it stops
            const bool broken = stopped || link.state == State::Stops;
            p.setPen(QPen(broken ? theme().faint : theme().text, 1,
                          broken ? Qt::DotLine : Qt::SolidLine));
            p.drawLine(QPointF(at.x(), at.y() + 8), QPointF(at.x(), at.y() + high - 8));
        }
        p.setRenderHint(QPainter::Antialiasing);
        const bool bad = link.state == State::Stops;
        p.setPen(QPen(bad ? theme().bright : theme().text, 1.5));
        p.setBrush(link.state == State::Good && !stopped ? QBrush(theme().text)
                                                         : QBrush(Qt::NoBrush));
        p.drawEllipse(at, 5, 5);
        if (bad)
            p.drawLine(at + QPointF(-7, 7), at + QPointF(7, -7));
        if (link.state == State::Mind) {
            p.setBrush(theme().text);
            p.drawEllipse(at, 1.5, 1.5);
        }
        p.setRenderHint(QPainter::Antialiasing, false);
        drawText(p, kMargin + 24, y + 12, said(link.what), typeface(Type::Work, bad),
                 bad ? theme().bright : theme().text);
        drawWrapped(p, words, said(link.words), small, bad ? theme().bright : theme().dim);
        stopped = stopped || bad;
        y += high;
    }
}

} // namespace zelo::desk
