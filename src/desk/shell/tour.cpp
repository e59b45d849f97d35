// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/tour.h"

#include "desk/crossfade/crossfade_side.h"
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_player.h"
#include "desk/focus/asking.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/stations.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/shell/header.h"
#include "desk/shell/main_window.h"
#include "desk/swatches/swatch_panel.h"

#include <QListView>
#include <QTimer>
#include <QTimerEvent>

namespace zelo::desk {

namespace {
constexpr int kWide = 348, kMargin = 16, kFoot = 40, kGap = 16;
constexpr int kLook_ms = 200;
} // namespace

class Tour::Mark : public QWidget {
public:
    explicit Mark(QWidget* parent) : QWidget(parent) {
        setAttribute(Qt::WA_TransparentForMouseEvents);
        hide();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        drawFocusBrackets(p, rect().adjusted(2, 2, -3, -3));
    }
};

Tour::Tour(Document& document, MainWindow& window)
    : QWidget(&window), document_(document), window_(window),
      leave_(new Button(tr("Later"), {},
                        tr("Leaves the tour: it goes on from the menu, under Help"),
                        Button::Kind::Text, this)),
      next_(new Button(tr("Skip this step"), {}, tr("The next step of the tour"),
                       Button::Kind::Text, this)),
      mark_(new Mark(&window)) {
    setAccessibleName(tr("Tour"));
    setToolTip(tr("It goes on by itself once the thing is done"));
    hide();
    window.installEventFilter(this);
    connect(leave_, &Button::clicked, this, &Tour::leave);
    connect(next_, &Button::clicked, this, [this] { begin(step_ + 1); });
}

void Tour::toggle() {
    if (isVisible())
        return leave();
    begin(kTourStep.get() < kSteps ? std::max(0, kTourStep.get()) : 0);
}

void Tour::leave() {
    killTimer(timer_);
    timer_ = 0;
    hide();
    mark_->hide();
    window_.setFocus();
}

void Tour::begin(int step) {
    kTourStep.set(step);
    step_ = step;
    if (step >= kSteps) {
        leave();
        return document_.tell(tr("That was the tour. F1 explains what is under the pointer, "
                                 "Shift+F1 opens the manual."));
    }
    if (step < 2)
        window_.showView(MainWindow::Match);
    hand_ = document_.state().hand;
    tried_ = window_.asking().tried().size();
    if (!timer_)
        timer_ = startTimer(kLook_ms);
    show();
    aim();
}

bool Tour::given() const {
    const auto& now = *document_.state().hand;
    for (const auto& [id, group] : document_.show().groups) {
        const auto* first = group->fixtures.empty() ? nullptr : now.find(group->fixtures.front());
        if (!first || !first->colour)
            continue;
        bool alike = true;
        bool fresh = false;
        for (const show::FixtureId lamp : group->fixtures) {
            const auto* value = now.find(lamp);
            const auto* before = hand_->find(lamp);
            alike = alike && value && value->colour == first->colour;
            fresh = fresh || !before || before->colour != first->colour;
        }
        if (alike && fresh)
            return true;
    }
    return false;
}

bool Tour::done() const {
    return step_ == 0   ? window_.asking().tried().size() > tried_
           : step_ == 1 ? given()
                        : window_.view() == MainWindow::Crossfade && window_.fadePlayer().playing();
}

void Tour::timerEvent(QTimerEvent* event) {
    if (event->timerId() != timer_)
        return QWidget::timerEvent(event);
    if (done())
        begin(step_ + 1);
    else
        aim();
}

// Once all else has its place.
bool Tour::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize && timer_)
        QTimer::singleShot(0, this, [this] {
            if (timer_)
                aim();
        });
    return QWidget::eventFilter(watched, event);
}

QString Tour::text() const {
    const QString titles[] = {tr("Match a gel"), tr("Give it to a group"),
                              tr("Fade without white")};
    return titles[std::clamp(step_, 0, kSteps - 1)] + '\n' + words_;
}

void Tour::aim() {
    QRect in; // of the target
    if (step_ == 0) {
        target_ = &window_.swatches().list();
        words_ = tr("Press a colour in the swatch book; or press /, type a number and press Enter. "
                    "The lamps below show it at once, and Mix tells how it is made.");
    } else if (step_ == 1) {
        target_ = &window_.lineupPanel();
        words_ = tr("Drag a colour from the book onto the name of a group under the lamps; or "
                    "press G, choose a group, and press a colour.");
    } else if (window_.view() != MainWindow::Crossfade) {
        auto* views = window_.findChild<Header*>()->findChild<Stations*>();
        target_ = views;
        in = views->parts()[MainWindow::Crossfade].place;
        words_ = tr("Press 4, or Crossfade up here.");
    } else if (!window_.crossfadeModel().picture()) {
        target_ = &window_.crossfadeView().end(true);
        words_ = tr("Choose the colours it goes from and to: press these, or < and >.");
    } else {
        target_ = &window_.crossfadeSide().play();
        words_ = tr("The upper ribbon is what a plain fade would show, the lower one goes round "
                    "the white. Press P, or Play, and watch the lamps.");
    }
    const QRect all(target_->mapTo(&window_, QPoint()), target_->size());
    hole_ = in.isNull() ? all : in.translated(all.topLeft());
    const QRect words(0, 0, kWide - 2 * kMargin, 400);
    const int high =
        QFontMetrics(typeface(Type::Work)).boundingRect(words, Qt::TextWordWrap, words_).height() +
        52 + kFoot;
    // Beside it where there is room; under what is low, as in the header.
    const QRect room = window_.rect().adjusted(8, 8, -8, -8);
    const QPoint middle = hole_.center() - QPoint(kWide / 2, high / 2);
    std::vector<QPoint> places{{hole_.right() + kGap, middle.y()},
                               {hole_.left() - kGap - kWide, middle.y()},
                               {middle.x(), hole_.top() - kGap - high},
                               {middle.x(), hole_.bottom() + kGap}};
    constexpr int kLow = 60;
    if (hole_.bottom() < kLow)
        std::swap(places.front(), places.back());
    QRect place;
    for (const QPoint& at : places) {
        place = QRect(at, QSize(kWide, high));
        place.moveLeft(std::clamp(place.left(), room.left(), room.right() - kWide));
        place.moveTop(std::clamp(place.top(), room.top(), room.bottom() - high));
        if (!place.intersects(hole_))
            break;
    }
    const auto words_now = text();
    if (accessibleDescription() != words_now)
        setAccessibleDescription(words_now);
    if (geometry() != place)
        setGeometry(place);
    leave_->setGeometry(kMargin, high - 32, leave_->sizeHint().width(), 22);
    next_->setGeometry(kWide - kMargin - next_->sizeHint().width(), high - 32,
                       next_->sizeHint().width(), 22);
    mark_->setGeometry(hole_.adjusted(-6, -6, 6, 6) & window_.rect());
    mark_->show();
    mark_->raise();
    raise();
    update();
}

void Tour::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().lift);
    p.fillRect(0, 0, 3, height(), theme().bright);
    const QStringList lines = text().split('\n');
    drawEnds(p, kMargin, width() - kMargin, 28,
             {lines[0], typeface(Type::Title), theme().bright,
              tr("%1 of %2").arg(step_ + 1).arg(kSteps), typeface(Type::Small), theme().dim});
    drawWrapped(p, QRect(kMargin, 42, width() - 2 * kMargin, height() - 42 - kFoot), words_,
                typeface(Type::Work), theme().text);
}

} // namespace zelo::desk
