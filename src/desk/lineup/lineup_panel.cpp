// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/lineup_panel.h"

#include "desk/lineup/holding.h"
#include "desk/lineup/settings_form.h"
#include "desk/lineup/trims.h"

#include "desk/kit/button.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/lamp_marks.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QContextMenuEvent>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMenu>
#include <QMouseEvent>
#include <QToolTip>
#include <algorithm>
#include <random>

namespace zelo::desk {

namespace {

constexpr int kGlassTop = 24;
constexpr int kGlassHeight = 60;
constexpr int kLeft = 260;
constexpr int kRight = 280;
constexpr int kAbove = 104; // grown: heights of what stands above and below the lamps
constexpr int kLeastAbove = 56;
constexpr int kGoodLamp = 90; // as long as lamps are not as high it gives them room
constexpr int kBelow = 126;
constexpr int kNumbers = 60; // grown: of the lamps' numbers, under their foot

} // namespace

LineupPanel::LineupPanel(Document& document, QWidget* parent)
    : QWidget(parent), document_(document),
      choose_(new Button(tr("Choose lamps…"), "L", tr("Take a group into the lineup"),
                         Button::Kind::Text, this)),
      reverse_(new Button(tr("Reverse"), {}, tr("Turn the order round"), Button::Kind::Text, this)),
      middle_(new Button(tr("From the middle"), {}, tr("Order from the middle outwards"),
                         Button::Kind::Text, this)),
      shuffle_(
          new Button(tr("Shuffle"), {}, tr("Another random order"), Button::Kind::Text, this)) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Lineup"));
    setAcceptDrops(true);
    setToolTip(
        tr("The chosen lamps in their order: drag up or down for intensity, sideways to move"));
    connect(choose_, &Button::clicked, this, &LineupPanel::chooseLamps);
    connect(reverse_, &Button::clicked, this, &LineupPanel::reverse);
    connect(middle_, &Button::clicked, this, &LineupPanel::fromTheMiddle);
    connect(shuffle_, &Button::clicked, this, &LineupPanel::shuffle);
    const auto repaint = [this] { update(); };
    watch(document_, this, Change::Light | Change::Lineup | Change::Focus | Change::Rig, repaint);
}

void LineupPanel::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void LineupPanel::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked)
        return;
    const int place = placeAt(event->position());
    show::Lineup takes = document_.lineup();
    if (place >= 0)
        takes = {document_.lineup()[static_cast<std::size_t>(place)]};
    else if (event->position().y() > rows().foot + 106) // on a bracket: the lamps over it
        for (const Run& run : runs())
            if (event->position().x() >= glassOf(run.first).left() &&
                event->position().x() <= glassOf(run.last).right())
                takes.assign(document_.lineup().begin() + static_cast<std::ptrdiff_t>(run.first),
                             document_.lineup().begin() + static_cast<std::ptrdiff_t>(run.last) +
                                 1);
    giveColour(document_, takes, *asked);
    event->acceptProposedAction();
}

void LineupPanel::setGrown(QWidget* above, QWidget* below) {
    for (QWidget* w : {above_, below_})
        if (w)
            w->hide();
    above_ = above;
    below_ = below;
    for (QWidget* w : {above_, below_})
        if (w) {
            w->setParent(this);
            w->show();
        }
    place();
    update();
}

// Words, order and brackets stand at the foot in any case.
LineupPanel::Rows LineupPanel::rows() const {
    const int foot = height() - kHeight;
    if (!below_)
        return {0, 15, kGlassTop, kGlassHeight, 102, foot};
    const int bottom = height() - 24 - kBelow;
    const int above = std::clamp(bottom - 18 - kGoodLamp, kLeastAbove, kAbove);
    const int top = above + 18;
    return {above, above + 12, top, std::max(24, bottom - top), bottom + kNumbers, foot};
}

void LineupPanel::place() {
    const Rows r = rows();
    choose_->setGeometry(20, r.foot + 104, choose_->sizeHint().width(), 22);
    const int x = width() - 260;
    reverse_->setGeometry(x, r.foot + 38, reverse_->sizeHint().width(), 20);
    middle_->setGeometry(x, r.foot + 58, middle_->sizeHint().width(), 20);
    shuffle_->setGeometry(x, r.foot + 78, shuffle_->sizeHint().width(), 20);
    const int wide = width() - kLeft - kRight;
    if (above_)
        above_->setGeometry(kLeft, 0, wide, r.above);
    if (below_)
        below_->setGeometry(kLeft, r.top + r.glass, wide, kBelow);
}

void LineupPanel::focusLamp(std::size_t place) {
    cursor_ = place;
    update();
    emit lampFocused();
}

std::optional<show::FixtureId> LineupPanel::lampInFocus() const {
    const auto& lineup = document_.lineup();
    if (lineup.empty())
        return std::nullopt;
    return lineup[std::min(cursor_, lineup.size() - 1)];
}

int LineupPanel::placeAtX(double x) const {
    const Geometry g = geometryNow();
    const int last = static_cast<int>(document_.lineup().size()) - 1;
    return last < 0
               ? -1
               : std::clamp(static_cast<int>(std::floor((x - g.first) / g.pitch + 0.5)), 0, last);
}

LineupPanel::Geometry LineupPanel::geometryNow() const {
    const double room = width() - kLeft - kRight - 24.0;
    const auto n = std::max<std::size_t>(1, document_.lineup().size());
    const double pitch = std::min(58.0, room / static_cast<double>(n));
    const double glass = std::clamp(pitch * (below_ ? 0.85 : 0.62), 3.0, 44.0);
    const double centre = kLeft + (width() - kLeft - kRight) / 2.0;
    return {pitch, glass, centre - pitch * (static_cast<double>(n) - 1) / 2};
}

QRectF LineupPanel::glassOf(std::size_t place) const {
    const Geometry g = geometryNow();
    const Rows r = rows();
    return {std::round(g.first + g.pitch * static_cast<double>(place) - g.glass / 2),
            static_cast<double>(r.top), std::round(g.glass), static_cast<double>(r.glass)};
}

int LineupPanel::placeAt(const QPointF& pos) const {
    const Geometry g = geometryNow();
    const int place = static_cast<int>(std::floor((pos.x() - g.first) / g.pitch + 0.5));
    if (place < 0 || place >= static_cast<int>(document_.lineup().size()) ||
        pos.y() < rows().level - 7 || pos.y() > rows().top + rows().glass + (below_ ? 0 : 24))
        return -1;
    return place;
}

namespace {
bool trimmed(const play::StageLamp& lamp) {
    return lamp.told.trim != 1 || !(lamp.told.nudge == colour::Uv{0, 0});
}
} // namespace

void LineupPanel::paintLamp(QPainter& p, std::size_t place, const Document::TypeKey& focus) {
    const auto id = document_.lineup()[place];
    const show::Fixture* fixture = document_.show().fixture(id);
    const play::StageLamp* lamp = document_.stage().lamp(id);
    if (!fixture)
        return;
    const QRectF glass = glassOf(place);
    const Geometry g = geometryNow();
    const int centre = static_cast<int>(glass.center().x());
    // Grown it is the lamp itself that is looked at, else its type.
    const bool in_focus = below_ ? place == std::min(cursor_, document_.lineup().size() - 1)
                                 : fixture->type == focus.type && fixture->mode == focus.mode;
    const bool dark = !lamp || lamp->dark != play::DarkWhy::None;
    paintLampGlass(p, glass, lamp, lamp ? lamp->mastered : 0, document_.colours(), in_focus);
    if (lamp && lamp->locked) // a closed bar under it; grown, something else stands there
        p.fillRect(QRectF(glass.left(), glass.bottom() + (below_ ? -4 : 4), glass.width(), 3),
                   theme().bright);
    if (hasFocus() && place == cursor_)
        drawFocusBrackets(p, glass.toRect().adjusted(-6, -6, 6, 6));
    // Figures thin out when lamps stand close.
    const int every = static_cast<int>(std::ceil(widest_ / g.pitch));
    if (static_cast<int>(place) % every != 0)
        return;
    if (lamp && (!dark || lamp->intensity > 0))
        drawTextCentred(p, centre, rows().level,
                        numberText(100 * lamp->intensity, 0) +
                            (trimmed(*lamp) ? tr("±") : QString()),
                        typeface(Type::Small), theme().dim);
    drawTextCentred(p, centre, rows().number, QString::number(fixture->number),
                    typeface(Type::Small), in_focus ? theme().bright : theme().text);
}

std::vector<LineupPanel::Run> LineupPanel::runs() const {
    std::vector<Run> all;
    const auto& lineup = document_.lineup();
    const auto groupOf = [&](show::FixtureId id) -> const show::Group* {
        for (const auto& [g_id, g] : document_.show().groups)
            if (std::find(g->fixtures.begin(), g->fixtures.end(), id) != g->fixtures.end())
                return g.get();
        return nullptr;
    };
    for (std::size_t i = 0; i < lineup.size();) {
        const auto* group = groupOf(lineup[i]);
        std::size_t end = i;
        while (end + 1 < lineup.size() && groupOf(lineup[end + 1]) == group)
            ++end;
        if (group)
            all.push_back({i, end, group});
        i = end + 1;
    }
    return all;
}

void LineupPanel::paintBrackets(QPainter& p) {
    // A run of neighbours that are in one group gets a bracket with its name and type.
    const int y = rows().foot;
    for (const auto& [first, last, group] : runs()) {
        const int left = static_cast<int>(glassOf(first).left());
        const int right = static_cast<int>(glassOf(last).right()) - 1;
        const play::StageLamp* lamp = document_.stage().lamp(document_.lineup()[first]);
        QString name = toQt(group->name);
        if (lamp && lamp->mixer)
            name += QStringLiteral(" · ") + toQt(lamp->mixer->type().name);
        if (textWidth(name, typeface(Type::Small)) > right - left - 16)
            name = toQt(group->name);
        const int w = textWidth(name, typeface(Type::Small));
        const int middle = (left + right) / 2;
        p.fillRect(left, y + 112, 1, 5, theme().rule);
        p.fillRect(right, y + 112, 1, 5, theme().rule);
        if (w < right - left - 12) {
            p.fillRect(left, y + 116, middle - w / 2 - 6 - left, 1, theme().rule);
            p.fillRect(middle + w / 2 + 6, y + 116, right - middle - w / 2 - 6, 1, theme().rule);
            drawTextCentred(p, middle, y + 120, name, typeface(Type::Small), theme().dim);
        } else {
            p.fillRect(left, y + 116, right - left, 1, theme().rule);
        }
    }
}

void LineupPanel::paintWords(QPainter& p) {
    const auto& lineup = document_.lineup();
    const int foot = rows().foot;
    drawText(p, 20, foot + 26, tr("Lineup"), typeface(Type::Title), theme().text);
    std::map<std::pair<std::string, std::string>, int> types;
    int in_hand = 0;
    for (const auto id : lineup) {
        const auto key = document_.typeOf(id);
        ++types[{key.type, key.mode}];
        in_hand += document_.state().hand->contains(id);
    }
    if (lineup.empty()) {
        drawText(p, 20, foot + 46,
                 document_.show().fixtures.empty() ? tr("No lamps in the rig yet: 1, then Ins.")
                                                   : tr("No lamps chosen yet."),
                 typeface(Type::Small), theme().dim);
        return;
    }
    const int t = static_cast<int>(types.size());
    drawText(p, 20, foot + 44, tr("%1 of %n type(s)", nullptr, t).arg(lampCount(lineup.size())),
             typeface(Type::Small), theme().dim);
    const auto trims = static_cast<int>(trimmedIn(document_, lineup));
    const bool looked = !document_.lookWords().isEmpty();
    drawText(p, 20, foot + 61,
             looked    ? document_.lookWords()
             : trims   ? tr("%n trimmed (±), Backspace lets go", nullptr, trims)
             : in_hand ? tr("%n in hand, Esc puts it (them) down", nullptr, in_hand)
                       : tr("nothing in hand"),
             typeface(Type::Small), theme().text);
    for (const auto id : lineup) { // the first lamp that is dark, and why
        const play::StageLamp* lamp = document_.stage().lamp(id);
        if (!lamp || lamp->dark == play::DarkWhy::None)
            continue;
        drawWrapped(p, QRect(20, foot + 68, kLeft - 32, 34),
                    tr("lamp %1 is dark: %2")
                        .arg(document_.show().fixture(id)->number)
                        .arg(saidText(play::words(lamp->dark))),
                    typeface(Type::Small), theme().dim);
        return;
    }
    for (const auto id : lineup)
        if (document_.show().locked.contains(id)) {
            drawWrapped(p, QRect(20, foot + 68, kLeft - 32, 34),
                        tr("lamp %1 is locked and stays as it is (Shift+L)")
                            .arg(document_.show().fixture(id)->number),
                        typeface(Type::Small), theme().dim);
            return;
        }
}

void LineupPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().floor);
    paintWords(p);
    p.fillRect(kLeft, rows().top + rows().glass, width() - kLeft - kRight, 1, theme().hair);
    const auto focus = document_.focusType();
    widest_ = 20; // of the figures over and under the lamps
    for (const auto id : document_.lineup())
        if (const auto* f = document_.show().fixture(id))
            widest_ =
                std::max(widest_, 5 + textWidth(QString::number(f->number), typeface(Type::Small)));
    for (std::size_t i = 0; i < document_.lineup().size(); ++i)
        paintLamp(p, i, focus);
    paintBrackets(p);
    drawText(p, width() - 260, rows().foot + 28, tr("Order"), typeface(Type::Work), theme().bright);
}

void LineupPanel::shift(double by, int gesture) {
    const auto& lineup = document_.lineup();
    const bool dragged = drag_ == Drag::Intensity && grabbed_ >= 0 &&
                         static_cast<std::size_t>(grabbed_) < lineup.size();
    shiftIntensity(document_, by, hand_at_press_,
                   dragged ? std::optional(lineup[static_cast<std::size_t>(grabbed_)])
                           : std::nullopt,
                   gesture);
}

void LineupPanel::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || drag_ != Drag::None)
        return;
    grabbed_ = placeAt(event->position());
    if (grabbed_ < 0)
        return;
    focusLamp(static_cast<std::size_t>(grabbed_));
    pressed_ = event->position();
    drag_ = Drag::Undecided;
    gesture_.begin();
    update();
}

void LineupPanel::mouseMoveEvent(QMouseEvent* event) {
    if (drag_ == Drag::None)
        return;
    const QPointF way = event->position() - pressed_;
    if (drag_ == Drag::Undecided && way.manhattanLength() > 5) {
        drag_ = std::abs(way.y()) >= std::abs(way.x()) ? Drag::Intensity : Drag::Order;
        hand_at_press_ = document_.state().hand;
    }
    if (drag_ == Drag::Intensity)
        shift(-way.y() / rows().glass * (event->modifiers() & Qt::ShiftModifier ? 0.1 : 1),
              gesture_.now());
    if (drag_ == Drag::Order) {
        const int over = placeAt({event->position().x(), rows().top + 20.0});
        if (over >= 0 && over != grabbed_) {
            auto lineup = document_.lineup();
            const auto id = lineup[static_cast<std::size_t>(grabbed_)];
            lineup.erase(lineup.begin() + grabbed_);
            lineup.insert(lineup.begin() + over, id);
            grabbed_ = over;
            focusLamp(static_cast<std::size_t>(over));
            document_.setLineup(std::move(lineup));
        }
    }
}

void LineupPanel::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    if (drag_ == Drag::Undecided && grabbed_ >= 0)
        document_.setFocusType(
            document_.typeOf(document_.lineup()[static_cast<std::size_t>(grabbed_)]));
    drag_ = Drag::None;
    hand_at_press_.reset();
}

void LineupPanel::wheelEvent(QWheelEvent* event) {
    const double step = event->modifiers() & Qt::ShiftModifier     ? 0.001
                        : event->modifiers() & Qt::ControlModifier ? 0.1
                                                                   : 0.01;
    hand_at_press_.reset();
    shift(event->angleDelta().y() / 120.0 * step, gesture_.step());
    event->accept();
}

std::optional<PaintedPart> LineupPanel::part(std::size_t index) {
    if (index >= document_.lineup().size())
        return std::nullopt;
    const auto id = document_.lineup()[index];
    const auto* f = document_.show().fixture(id);
    const auto* lamp = document_.stage().lamp(id);
    QString value = lamp ? tr("%1 %").arg(numberText(100 * lamp->intensity, 0)) : QString();
    if (lamp && lamp->dark != play::DarkWhy::None)
        value += tr(", dark: %1").arg(saidText(play::words(lamp->dark)));
    if (lamp && lamp->in_hand)
        value += tr(", in hand");
    if (lamp && lamp->locked)
        value += tr(", locked");
    if (lamp && trimmed(*lamp))
        value += tr(", trimmed");
    if (lamp && lamp->moving)
        value += tr(", on its way");
    return PaintedPart{f ? tr("Lamp %1").arg(f->number) : QString(),
                       value,
                       glassOf(index).toRect(),
                       QAccessible::ListItem,
                       hasFocus() && index == cursor_,
                       [this, id] { document_.setFocusType(document_.typeOf(id)); }};
}

std::size_t LineupPanel::partCount() {
    return document_.lineup().size();
}

std::vector<PaintedPart> LineupPanel::parts() {
    std::vector<PaintedPart> all;
    for (std::size_t i = 0; i < partCount(); ++i)
        all.push_back(*part(i));
    return all;
}

bool LineupPanel::claims(const QKeyEvent& key) const {
    return isArrow(key) || isEnter(key) || key.key() == Qt::Key_PageUp ||
           key.key() == Qt::Key_PageDown || key.key() == Qt::Key_Home || key.key() == Qt::Key_End ||
           (key.key() == Qt::Key_Backspace && key.modifiers() == Qt::NoModifier);
}

void LineupPanel::keyPressEvent(QKeyEvent* event) {
    const auto& lineup = document_.lineup();
    if (lineup.empty())
        return QWidget::keyPressEvent(event);
    cursor_ = std::min(cursor_, lineup.size() - 1);
    const double step = event->modifiers() & Qt::ShiftModifier     ? 0.001
                        : event->modifiers() & Qt::ControlModifier ? 0.1
                                                                   : 0.01;
    hand_at_press_.reset();
    switch (event->key()) {
    case Qt::Key_Left:
    case Qt::Key_Right: {
        const bool left = event->key() == Qt::Key_Left;
        const auto to = left ? cursor_ - (cursor_ > 0) : std::min(cursor_ + 1, lineup.size() - 1);
        if (event->modifiers() & Qt::ControlModifier) { // the lamp goes along
            auto order = lineup;
            std::swap(order[cursor_], order[to]);
            document_.setLineup(std::move(order));
        }
        return focusLamp(to);
    }
    case Qt::Key_Up:
        return shift(step, gesture_.step());
    case Qt::Key_Down:
        return shift(-step, gesture_.step());
    case Qt::Key_PageUp:
        return shift(0.05, gesture_.step());
    case Qt::Key_PageDown:
        return shift(-0.05, gesture_.step());
    case Qt::Key_Home:
        return shift(-1, gesture_.step());
    case Qt::Key_End:
        return shift(1, gesture_.step());
    case Qt::Key_Backspace: // back to what is kept
        letGoOfTrims(document_, {lineup[cursor_]});
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return document_.setFocusType(document_.typeOf(lineup[cursor_]));
    default:
        QWidget::keyPressEvent(event);
    }
}

// What is in hand of a lamp: "In hand: intensity, colour, Shutter".
QString LineupPanel::handText(show::FixtureId id) const {
    const show::Value* held = document_.state().hand->find(id);
    if (!held)
        return tr("In hand");
    QStringList what;
    if (held->intensity)
        what << tr("intensity");
    if (held->colour)
        what << tr("colour");
    for (const auto& [part, level] : held->parts)
        what << toQt(part);
    for (const auto& [setting, share] : held->settings)
        what << toQt(setting);
    if (held->trim != 1 || !(held->nudge == colour::Uv{0, 0}))
        what << tr("a trim");
    return tr("In hand: %1").arg(what.join(QStringLiteral(", ")));
}

void LineupPanel::contextMenuEvent(QContextMenuEvent* event) {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](QMenu* to, const QString& text, auto run) {
        connect(to->addAction(text), &QAction::triggered, this, run);
    };
    const auto& lineup = document_.lineup();
    const bool all_locked =
        !lineup.empty() && std::all_of(lineup.begin(), lineup.end(), [this](show::FixtureId id) {
            return document_.show().locked.contains(id);
        });
    add(menu, (all_locked ? tr("Unlock") : tr("Lock: they keep what they show")) + "\tShift+L",
        [this] { lockLineup(document_); });
    add(menu, tr("Solo, or all again") + "\tShift+S", [this] { soloLineup(document_); });
    add(menu, tr("What the first lamp shows, to all of the lineup") + "\tCtrl+E",
        [this] { copyFirstLamp(document_); });
    add(menu, tr("Other channels: shutter, zoom…") + "\tCtrl+U",
        [this] { SettingsForm::open(document_, window()); });
    auto* down = menu->addMenu(tr("Put down of the lineup"));
    add(down, tr("colours"), [this] { putDownOfLineup(document_, show::Which::Colour); });
    add(down, tr("intensities"), [this] { putDownOfLineup(document_, show::Which::Intensity); });
    add(down, tr("all of it"), [this] { putDownOfLineup(document_, show::Which::All); });
    menu->popup(event->globalPos());
}

bool LineupPanel::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(event);
        const int place = placeAt(help->pos());
        if (place >= 0) {
            const auto id = document_.lineup()[static_cast<std::size_t>(place)];
            const show::Fixture* f = document_.show().fixture(id);
            const play::StageLamp* lamp = document_.stage().lamp(id);
            const QString type =
                lamp && lamp->mixer ? toQt(lamp->mixer->type().name) : toQt(f->type);
            QString text = tr("Lamp %1, %2, %3 in universe %4")
                               .arg(f->number)
                               .arg(type)
                               .arg(f->address)
                               .arg(f->universe);
            if (lamp && lamp->dark != play::DarkWhy::None)
                text += tr("\nDark: %1").arg(saidText(play::words(lamp->dark)));
            if (lamp && lamp->in_hand)
                text += '\n' + handText(id);
            if (lamp && lamp->locked)
                text += tr("\nLocked: it keeps what it shows (Shift+L unlocks)");
            QToolTip::showText(help->globalPos(), text, this);
            return true;
        }
    }
    return QWidget::event(event);
}

void LineupPanel::chooseLamps() {
    QMenu menu(this);
    menu.addAction(tr("All lamps"), this, &LineupPanel::chooseAll);
    menu.addSeparator();
    for (const auto& [group_id, group] : document_.show().groups) {
        auto* action =
            menu.addAction(tr("%1, %2").arg(toQt(group->name), lampCount(group->fixtures.size())));
        const auto id = group->id;
        connect(action, &QAction::triggered, this, [this, id] { chooseGroup(id); });
    }
    menu.exec(choose_->mapToGlobal(QPoint(0, -menu.sizeHint().height())));
}

void LineupPanel::chooseGroup(show::GroupId id) {
    if (const show::Group* group = document_.show().group(id))
        document_.setLineup(group->fixtures);
}

void LineupPanel::chooseAll() {
    show::Lineup all;
    for (const auto& [id, fixture] : document_.show().fixtures)
        all.push_back(id);
    document_.setLineup(std::move(all));
}

void LineupPanel::reverse() {
    auto lineup = document_.lineup();
    std::reverse(lineup.begin(), lineup.end());
    document_.setLineup(std::move(lineup));
}

void LineupPanel::fromTheMiddle() {
    const auto& was = document_.lineup();
    show::Lineup lineup;
    const int n = static_cast<int>(was.size());
    for (int i = 0; i < n; ++i) { // middle, then one left, one right, and on outwards
        const int out = (i + 1) / 2;
        const int place = (n - 1) / 2 + (i % 2 ? out : -out);
        lineup.push_back(was[static_cast<std::size_t>(place)]);
    }
    document_.setLineup(std::move(lineup));
}

void LineupPanel::shuffle() {
    auto lineup = document_.lineup();
    std::mt19937 random(++shuffles_);
    std::shuffle(lineup.begin(), lineup.end(), random);
    document_.setLineup(std::move(lineup));
}

} // namespace zelo::desk
