// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/header.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QTimer>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kBars = 7;
constexpr int kNarrow = 1270, kNarrowest = 1100; // px
} // namespace

// --- StageSwitch -----------------------------------------------------------------------------

StageSwitch::StageSwitch(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Rehearsal or On stage"));
    setToolTip(tr("Rehearsal: the fixtures hold what they show while you work. "
                  "On stage: what you do goes out (F9)"));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setAccessibleDescription(tr("On stage"));
}

int StageSwitch::seam() const {
    return textWidth(tr("Rehearsal"), typeface(Type::Work)) + 15;
}

QSize StageSwitch::sizeHint() const {
    return {seam() + textWidth(tr("On stage"), typeface(Type::Work, true)) + 16, 26};
}

void StageSwitch::setOnStage(bool on) {
    on_stage_ = on;
    setAccessibleDescription(on ? tr("On stage") : tr("Rehearsal"));
    update();
}

void StageSwitch::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const int s = seam();
    const QRect left(1, 1, s - 1, height() - 2);
    const QRect right(s, 1, width() - s - 1, height() - 2);
    p.fillRect(on_stage_ ? right : left, on_stage_ ? theme().bright : theme().lift);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().faint, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 2, 2);
    p.setRenderHint(QPainter::Antialiasing, false);
    p.fillRect(s, 1, 1, height() - 2, theme().faint);
    const int base = height() / 2 + 5;
    drawTextCentred(p, left.center().x(), base, tr("Rehearsal"), typeface(Type::Work),
                    on_stage_ ? theme().text : theme().bright);
    drawTextCentred(p, right.center().x(), base, tr("On stage"), typeface(Type::Work, on_stage_),
                    on_stage_ ? theme().head : theme().text);
    if (hasFocus())
        drawFocusBrackets(p, rect());
}

bool StageSwitch::claims(const QKeyEvent& key) const {
    return key.key() == Qt::Key_Left || key.key() == Qt::Key_Right || isEnter(key);
}

void StageSwitch::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    emit onStageChosen(event->pos().x() >= seam());
}

void StageSwitch::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Left || event->key() == Qt::Key_Right)
        emit onStageChosen(event->key() == Qt::Key_Right);
    else if (isEnter(*event))
        emit onStageChosen(!on_stage_);
    else
        QWidget::keyPressEvent(event);
}

// --- Header ----------------------------------------------------------------------------------

Header::Header(Document& document, QWidget* parent)
    : QWidget(parent), document_(document),
      views_(new Stations(
          tr("Views"), tr("The six views, in the order of the work (1 to 6)"),
          {tr("Rig"), tr("Match"), tr("Gradient"), tr("Crossfade"), tr("Cues"), tr("Ripple")},
          {"1", "2", "3", "4", "5", "6"}, false, this)),
      master_(new NumberField(tr("Master"), tr("All intensities together"), {0, 100, 1, 0},
                              QStringLiteral("%"), this)),
      time_(new NumberField(tr("Time in hand"),
                            tr("Changes by hand fade in this time; a drag follows at once"),
                            {0, host::kLongestInHand_s, 0.5, 1}, QStringLiteral("s"), this)),
      solo_(new Button(tr("Solo"), {}, tr("Only some lamps show: a click lets all show again"),
                       Button::Kind::Plain, this)),
      dark_(new Button(tr("Dark"), {}, tr("All light out, at once (Ctrl+D)"), Button::Kind::Plain,
                       this)),
      stage_(new StageSwitch(this)),
      name_(new Button({}, {}, tr("The show: open, save, undo, theme, help (F10 or Alt)"),
                       Button::Kind::Title, this)) {
    setFixedHeight(48);
    setAccessibleName(tr("Header"));
    views_->setOnEdge(true);
    dark_->setCheckable(true);
    solo_->setCheckable(true);
    master_->setValue(100);
    connect(views_, &Stations::stationChosen, this, &Header::viewChosen);
    name_->setOpensMenu(true);
    connect(name_, &Button::clicked, this, &Header::menuWanted);
    const auto controls = [this] {
        auto all = document_.controls();
        all.master = master_->value() / 100;
        all.dark = dark_->isChecked();
        document_.setControls(all);
    };
    connect(time_, &NumberField::valueEdited, this,
            [this](double seconds) { document_.setTimeInHand(seconds); });
    connect(time_, &NumberField::resetWanted, this, [this] { document_.setTimeInHand(0); });
    connect(solo_, &Button::clicked, this, [this] {
        auto all = document_.controls();
        all.solo.clear();
        document_.setControls(all);
    });
    connect(master_, &NumberField::valueEdited, this, controls);
    connect(master_, &NumberField::resetWanted, this, [this, controls] {
        master_->setValue(100);
        controls();
    });
    connect(dark_, &Button::clicked, this, controls);
    connect(stage_, &StageSwitch::onStageChosen, this,
            [this](bool on) { document_.setOnStage(on); });
    watch(document_, this, Change::Saved | Change::Controls | Change::Seen, [this] { refresh(); });
    auto* beat = new QTimer(this);
    connect(beat, &QTimer::timeout, this, [this] {
        const host::Player* player = document_.player();
        if (player && player->framesPerSecond() > 1)
            beat_ = (beat_ + 1) % kBars;
        update();
    });
    beat->start(250);
    refresh();
}

void Header::setView(int view) {
    views_->setChosen(view);
}

void Header::askTime() {
    time_->setFocus(Qt::ShortcutFocusReason);
}

void Header::refresh() {
    const auto& controls = document_.controls();
    master_->setValue(100 * controls.master);
    dark_->setChecked(controls.dark);
    time_->setValue(document_.timeInHand());
    solo_->setChecked(true);
    solo_->setVisible(!controls.solo.empty());
    stage_->setOnStage(document_.onStage());
    name_->setText(toQt(document_.show().name));
    name_->setAccessibleName(tr("Show: %1").arg(name_->text()));
    place();
    update();
}

QString Header::savedWords() const {
    const QString saved = document_.kept()            ? tr("saved")
                          : document_.nothingToLose() ? tr("no file yet")
                                                      : tr("not saved");
    return document_.camera() ? tr("%1, seen by %2").arg(saved, toQt(*document_.camera())) : saved;
}

// As roomy as the views' words allow.
void Header::place() {
    for (room_ = width() < kNarrow ? Room::Narrow : Room::Wide; room_ != Room::Tight;
         room_ = room_ == Room::Wide ? Room::Narrow : Room::Tight)
        if (placeIn())
            return;
    placeIn();
}

// In a narrow window the views move left from over the bench, the time goes without its word, and
// what stands beside one another goes under one another; in a tight one the master has no word
// either, and the heartbeat only its figure. False: the views' words are cut.
bool Header::placeIn() {
    const bool narrow = room_ != Room::Wide;
    const bool tight = room_ == Room::Tight;
    const int s = stage_->sizeHint().width();
    int x = width() - 20 - s;
    stage_->setGeometry(x, 11, s, 26);
    const int dark = std::max(46, textWidth(dark_->text(), typeface(Type::Work)) + 16);
    x -= dark + (tight ? 8 : 16);
    dark_->setGeometry(x, 11, dark, 26);
    if (!solo_->isHidden()) {
        const int solo = std::max(46, textWidth(solo_->text(), typeface(Type::Work)) + 16);
        x -= solo + 8;
        solo_->setGeometry(x, 11, solo, 26);
    }
    x -= tight ? 73 : 76;
    time_->setGeometry(x, 13, 66, 24);
    x -= narrow ? 64 : textWidth(tr("Time"), typeface(Type::Work)) + 60;
    master_->setGeometry(x, 13, 62, 24);
    beat_right_ = tight ? x + 8 : x - textWidth(tr("Master"), typeface(Type::Work)) - 4;
    views_->setGap(width() < kNarrowest || tight ? 6 : narrow ? 12 : 16);
    beats_ = !tight || solo_->isHidden();
    const int beat = !beats_ ? 0 : tight ? 52 : narrow ? 96 : 180;
    const int saved =
        narrow ? 0 : std::clamp(textWidth(savedWords(), typeface(Type::Small)) + 30, 84, 140);
    const int name = std::min(name_->sizeHint().width() + 2, narrow ? 110 : 170);
    const int least = 20 + name + 16 + saved; // the name comes first, then the views' words
    const int wanted = views_->sizeHint().width();
    const int v = std::min(wanted, beat_right_ - beat - 10 - least);
    const int at = std::max(least, std::min(284, beat_right_ - beat - v - 10));
    views_->setGeometry(at, 0, v, 49);
    name_->setGeometry(20, narrow ? 4 : 10,
                       std::min(name_->sizeHint().width() + 2, at - 36 - saved), 28);
    return v >= wanted;
}

void Header::mousePressEvent(QMouseEvent*) {
    setFocus();
}

void Header::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().head);
    const bool on = document_.onStage();
    p.fillRect(0, height() - (on ? 3 : 1), width(), on ? 3 : 1, on ? theme().bright : theme().hair);

    const bool narrow = room_ != Room::Wide;
    const bool tight = room_ == Room::Tight;
    const int saved_x = narrow ? 20 : name_->geometry().right() + 12;
    const int room = views_->x() - saved_x - 8;
    QString saved = savedWords();
    if (const auto& by = document_.camera(); by && textWidth(saved, typeface(Type::Small)) > room)
        saved = tr("by %1").arg(toQt(*by)); // the rarer of both
    drawElided(p, saved_x, narrow ? 42 : 30, room, saved, typeface(Type::Small), theme().dim);

    // Heartbeat: a bar that moves while frames go out, and where to.
    const host::Player* player = document_.player();
    const host::Network* network = document_.network();
    const int receivers = network ? network->receivers() : 0;
    const QString where = receivers > 0 ? tr("%n receiver(s)", nullptr, receivers)
                          : network && network->choice().leavesComputer() ? tr("to the network")
                                                                          : tr("this computer");
    const QString beats =
        player ? tr("%1 fps").arg(std::lround(player->framesPerSecond())) : tr("no output");
    const QFont small = typeface(Type::Small);
    int w = 0;
    if (tight && beats_)
        w = drawTextRight(p, beat_right_ - 12, 30, player ? beats : QStringLiteral("–"), small,
                          theme().dim);
    else if (tight)
        w = beat_right_;       // no bars either
    else if (narrow && player) // under one another
        w = std::max(drawTextRight(p, beat_right_ - 12, 22, beats, small, theme().dim),
                     drawTextRight(p, beat_right_ - 12, 37, where, small, theme().dim));
    else
        w = drawTextRight(p, beat_right_ - 24, 30, player ? tr("%1, %2").arg(beats, where) : beats,
                          small, theme().dim);
    const int bars = beat_right_ - 24 - w - 10 - kBars * 4;
    for (int i = 0; i < kBars && bars > views_->geometry().right() + 8; ++i) {
        const bool lit = player && i == beat_;
        p.fillRect(bars + i * 4, lit ? 18 : 22, lit ? 2 : 1, lit ? 14 : 10,
                   lit ? theme().bright : theme().faint);
    }
    if (!tight)
        drawTextRight(p, master_->geometry().left() + 12, 30, tr("Master"), typeface(Type::Work),
                      theme().text);
    if (!narrow)
        drawTextRight(p, time_->geometry().left() + 8, 30, tr("Time"), typeface(Type::Work),
                      time_->value() > 0 ? theme().bright : theme().text);
}

} // namespace zelo::desk
