// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/match_view.h"

#include "colour/cct.h"
#include "colour/lamp.h"
#include "desk/kit/button.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "desk/kit/words.h"
#include "desk/match/asked_as.h"
#include "desk/match/calibration_view.h"
#include "desk/match/camera_menu.h"
#include "desk/match/mix_panel.h"
#include "desk/match/skin_panel.h"
#include "desk/readings/full_readings.h"
#include "desk/readings/spectrum_plot.h"

#include <QScrollArea>
#include <QScrollBar>
#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr int kLeader = 24; // between the disc and Want or Get, at least
constexpr int kMixWidth = 340;
constexpr int kGetTop = 44;
constexpr int kScrollBar = 10;
constexpr int kCameraLine = 17; // of Get: what a camera makes of it
constexpr int kEyeRow = 24;
constexpr int kLeastPlot = 36; // height of a spectrum; with less it is left out

} // namespace

// --- TypeButton ------------------------------------------------------------------------------

TypeButton::TypeButton(QWidget* parent) : QAbstractButton(parent) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setAttribute(Qt::WA_Hover);
}

void TypeButton::show(const TypeRow& row, bool in_focus) {
    name_ = row.name;
    words_ = row.words;
    miss_uv_ = row.miss_uv;
    candela_ = row.candela;
    rf_ = row.rf;
    in_focus_ = in_focus;
    judged_ = row.lamp.colour != nullptr;
    QStringList cameras;
    for (const auto& of : row.cameras)
        cameras << (of.miss ? tr("%1 sees it %2 off").arg(toQt(of.name), numberText(*of.miss, 4))
                            : tr("%1 does not see it").arg(toQt(of.name)));
    camera_.clear();
    camera_miss_.clear();
    if (const mix::CameraMiss* worst = row.worstCamera()) {
        camera_ = row.exact_for_camera ? tr("%1 r g, exact for it").arg(toQt(worst->name))
                                       : tr("for %1, r g").arg(toQt(worst->name));
        camera_miss_ = numberText(*worst->miss, 4);
    }
    setAccessibleName(tr("%1 gets it").arg(name_));
    const QString judged =
        tr("miss %1, %2; %3, R_f %4")
            .arg(numberText(miss_uv_, 4), words_, candela(), numberOrDash(rf_, 0));
    setAccessibleDescription((QStringList(judged) + cameras).join("; "));
    const QString tip =
        in_focus
            ? tr("%1 is in focus: Mix and Readings are about it").arg(name_)
            : tr("Bring %1 into focus. %2")
                  .arg(name_,
                       std::isfinite(rf_)
                           ? tr("Its light has a fidelity index R f of %1.").arg(numberText(rf_, 0))
                           : QString());
    setToolTip((QStringList(tip) + cameras).join('\n'));
    update();
}

QString TypeButton::candela() const {
    return tr("%1 cd").arg(numberText(candela_, 0));
}

bool TypeButton::beside(int width) const {
    const QFont small = typeface(Type::Small);
    return !in_focus_ && textWidth(words_, small) + textWidth(candela(), small) + 10 <= width;
}

int TypeButton::wordsHeight(int width) const {
    return QFontMetrics(typeface(Type::Small))
        .boundingRect(QRect(0, 0, width, 1000), Qt::TextWordWrap, words_)
        .height();
}

int TypeButton::heightAt(int width) const {
    const int words = std::max(14, wordsHeight(width));
    return line() + 5 + words + (beside(width) ? 2 : 20) + (camera_.isEmpty() ? 0 : kCameraLine);
}

void TypeButton::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const QString miss = judged_ ? numberText(miss_uv_, 4) : QString();
    QFont name = typeface(in_focus_ ? Type::Title : Type::Work);
    if (textWidth(name_, name) + textWidth(miss, name) + 8 > width())
        name = typeface(Type::Work);
    const QColor ink = in_focus_ || underMouse() ? theme().bright : theme().text;
    const int base = in_focus_ ? 20 : 14;
    const int w = drawElided(p, 0, base, width() - textWidth(miss, name) - 8, name_, name, ink);
    if (std::isfinite(rf_) && !in_focus_) // in focus it stands beside the candela
        drawText(p, w + 8, base, tr("R_f %1").arg(numberText(rf_, 0)), typeface(Type::Small),
                 theme().dim);
    if (judged_)
        drawTextRight(p, width(), base, miss, name, ink);
    const int rule = line();
    p.fillRect(0, rule, width(), 1, in_focus_ ? theme().rule : theme().hair);
    const QFont small = typeface(Type::Small);
    const QRect room(0, rule + 5, width(), wordsHeight(width()));
    drawWrapped(p, room, words_, small, in_focus_ ? theme().text : theme().dim);
    const int below = beside(width()) ? rule + 16 : room.bottom() + 14;
    if (in_focus_) {
        const int number =
            drawText(p, 0, below, numberText(candela_, 0), typeface(Type::Work), theme().text);
        drawText(p, number + 5, below, tr("cd at full"), small, theme().dim);
        if (std::isfinite(rf_))
            drawTextRight(p, width(), below, tr("R_f %1").arg(numberText(rf_, 0)), small,
                          theme().text);
    } else {
        drawTextRight(p, width(), below, candela(), small, theme().dim);
    }
    if (!camera_.isEmpty())
        drawEnds(p, 0, width(), below + kCameraLine,
                 {camera_, small, theme().dim, camera_miss_, small,
                  in_focus_ ? theme().text : theme().dim});
    if (hasFocus())
        drawFocusBrackets(p, rect());
}

// --- MatchView -------------------------------------------------------------------------------

namespace {
QString seenByTip() {
    return MatchView::tr(
        "All light as the eye sees it that takes this lamp for white, or as one of "
        "the show's cameras shows it: halves, skin and cloth, lamps, plan, stage. "
        "Charts of colours stay the eye's.");
}
} // namespace

MatchView::MatchView(Document& document, FocusModel& focus, Asking& asking, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus), asking_(asking),
      mixing_(new MixModel(document, focus, this)),
      mix_(new MixPanel(document, focus, *mixing_, this)),
      lamp_(new NumberField(tr("Lamp behind the gel"), tr("Colour temperature of the lamp"),
                            {1000, 25000, 50, 0}, tr("K"), this)),
      kelvin_(new NumberField(tr("White"), tr("Colour temperature"), {1000, 25000, 50, 0}, tr("K"),
                              this)),
      tint_(new NumberField(tr("Tint"), tr("Duv: above 0 greener, below pinker"),
                            {-0.05, 0.05, 0.001, 4}, tr("Duv"), this)),
      mired_(new NumberField(tr("White in mired"), tr("Reciprocal colour temperature, 1e6 / K"),
                             {40, 1000, 1, 0}, tr("mired"), this)),
      daylight_(new Button(tr("as daylight"), {},
                           tr("The tint of the daylight locus at this colour temperature; a "
                              "double press on the tint goes back to the lamps' white"),
                           Button::Kind::Text, this)),
      through_(new SpectrumPlot(
          tr("Light wanted"), tr("The light wanted; dashed: the lamp before the gel"), true, this)),
      seen_by_(
          new Stations(tr("Seen by"), seenByTip(), {tr("Eye"), tr("Camera")}, {}, false, this)),
      eye_(new NumberField(tr("White of the eye"),
                           tr("The lamp that the eye takes for white; a double press: the one "
                              "behind the gels of the swatch book"),
                           {1800, 12000, 100, 0}, tr("K"), this)),
      camera_(new Button({}, {},
                         tr("The camera that all is seen by: another one, its balance, a new one"),
                         Button::Kind::Text, this)),
      balance_(new NumberField(tr("Camera balance"), tr("What the camera is balanced to"),
                               {1000, 25000, 100, 0}, tr("K"), this)),
      mix_room_(new QScrollArea(this)), get_(new QScrollArea(this)),
      asked_as_(new AskedAs(focus, asking, this)), skin_(new SkinPanel(document, focus, this)),
      level_(new Button(tr("level all"), {},
                        tr("All types at the brightness of the weakest, by their intensities"),
                        Button::Kind::Text, this)),
      common_(new Button(tr("nearest shared colour"), {},
                         tr("The nearest colour that every type of the lineup can show"),
                         Button::Kind::Text, this)),
      full_(new FullReadings(document, focus, this)),
      calibration_(new CalibrationView(document, this)) {
    setAccessibleName(tr("Match"));
    setAcceptDrops(true);
    get_->setAccessibleName(tr("What each type gets"));
    get_->setToolTip(tr("A press brings a type into focus"));
    get_->setWidget(new QWidget(get_));
    mix_room_->setAccessibleName(tr("Mix, scrolled"));
    mix_room_->setWidget(mix_);
    for (QScrollArea* room : {get_, mix_room_}) {
        room->setFrameShape(QFrame::NoFrame);
        room->setFocusPolicy(Qt::NoFocus);
        room->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        room->setStyleSheet("QScrollArea,QScrollArea>QWidget>QWidget{background:transparent}" +
                            scrollBarStyle());
    }
    connect(mix_, &MixPanel::columnsMade, this, &MatchView::placeMix);
    connect(get_->verticalScrollBar(), &QScrollBar::valueChanged, this, [this] { update(); });
    connect(mired_, &NumberField::valueEdited, this, [this](double mired, int gesture) {
        asking_.setWhite(std::round(1e6 / mired), tint_->value(), gesture);
    });
    connect(daylight_, &Button::clicked, this, [this] {
        const Kelvin k{kelvin_->value()};
        const auto cct = colour::cctOf(colour::toUv(colour::toXyz(colour::daylight(k))));
        asking_.setWhite(k.value, cct ? cct->duv : 0, 0);
    });
    camera_->setOpensMenu(true);
    camera_->setAccessibleName(tr("Camera that all is seen by"));
    connect(seen_by_, &Stations::stationChosen, this, [this](int by) { lookThrough(by == 1); });
    connect(camera_, &Button::clicked, this,
            [this] { popUpCameraMenu(*camera_, document_, focus_); });
    connect(balance_, &NumberField::valueEdited, this, [this](double k, int gesture) {
        if (document_.camera())
            setCameraBalance(document_, *document_.camera(), light::AskedWhite{k, {}}, gesture);
    });
    watch(document_, this, Change::Seen, [this] { placeEye(); });
    placeEye();
    connect(eye_, &NumberField::valueEdited, this, [this](double k) { document_.setEye(k); });
    connect(eye_, &NumberField::resetWanted, this, [this] { document_.setEye(std::nullopt); });
    connect(level_, &Button::clicked, this, [this] { mixing_->levelBrightness(); });
    connect(common_, &Button::clicked, this, [this] { asking_.askCommonReach(); });
    connect(lamp_, &NumberField::valueEdited, this,
            [this](double k, int gesture) { asking_.setLampK(k, gesture); });
    connect(lamp_, &NumberField::resetWanted, this,
            [this] { asking_.setLampK(light::kGelLampK, 0); });
    connect(kelvin_, &NumberField::valueEdited, this,
            [this](double k, int gesture) { asking_.setWhite(k, tint_->value(), gesture); });
    connect(tint_, &NumberField::valueEdited, this,
            [this](double duv, int gesture) { asking_.setWhite(kelvin_->value(), duv, gesture); });
    connect(tint_, &NumberField::resetWanted, this,
            [this] { asking_.setWhite(kelvin_->value(), 0, 0); });
    watch(focus_, &FocusModel::rowsChanged, this, [this] {
        refresh();
        focus_.askRendering();
    });
    watch(focus_, &FocusModel::renderingComputed, this, [this] { refresh(); });
    setTabOrder(lamp_, kelvin_);
    setTabOrder(kelvin_, tint_);
    setTabOrder(tint_, asked_as_);
    setTabOrder(asked_as_, mix_);
}

void MatchView::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void MatchView::dropEvent(QDropEvent* event) {
    if (const auto asked = colourOf(event->mimeData())) {
        giveColour(document_, document_.lineup(), *asked);
        event->acceptProposedAction();
    }
}

MatchView::Places MatchView::places() const {
    // At 740 × 620 the disc has r 112 and stands at (370, 152); more room makes it larger.
    const int below = std::clamp(172 + (width() - 740) / 8, 164, 300);
    const double across = width() / 2.0 - kMargin - kLeader; // of the disc and one side
    const double r = std::clamp(std::min(across - below, (height() - 330) * 0.386), 56.0, 420.0);
    const int side = std::clamp(static_cast<int>(across - r), below, 300);
    return {{width() / 2.0, 40 + r}, r, static_cast<int>(40 + 2 * r + 36), side, below};
}

std::vector<MatchView::Part> MatchView::parts() const {
    // The type in focus has half the height, the others share the rest.
    const auto n = focus_.rows().size();
    std::vector<Part> all;
    const auto place = places();
    double y = place.centre.y() - place.r;
    for (std::size_t i = 0; i < n; ++i) {
        const double share = n == 1                     ? 1
                             : i == focus_.focusIndex() ? 0.5
                                                        : 0.5 / static_cast<double>(n - 1);
        all.push_back({y, y + 2 * place.r * share});
        y += 2 * place.r * share;
    }
    return all;
}

QPoint MatchView::wantedPixel() const {
    const auto place = places();
    return QPointF(place.centre.x() - place.r / 2, place.centre.y()).toPoint();
}

QPoint MatchView::gotPixel() const {
    const auto place = places();
    const auto all = parts();
    if (all.empty())
        return {};
    const auto& part = all[focus_.focusIndex()];
    return QPointF(place.centre.x() + place.r / 4, (part.top + part.bottom) / 2).toPoint();
}

void MatchView::placeMix() {
    const auto [centre, r, lower, side, below] = places();
    const int wide = std::min(width() - 2 * (kMargin + below + 16),
                              std::max(kMixWidth, static_cast<int>(2.7 * r)));
    const int high = height() - lower + 14 - 8;
    mix_->resize(wide, high);
    const int least = mix_->leastHeight();
    mix_->resize(wide, std::max(high, least));
    const int bar = least > high ? mix_room_->verticalScrollBar()->sizeHint().width() : 0;
    mix_room_->setGeometry(static_cast<int>(centre.x()) - wide / 2, lower - 14, wide + bar, high);
}

void MatchView::resizeEvent(QResizeEvent*) {
    const auto [centre, r, lower, side, below] = places();
    const int cy = static_cast<int>(centre.y());
    placeMix();
    for (NumberField* f : {lamp_, kelvin_})
        f->setGeometry(kMargin + side - 72, cy + 8, 72, 24);
    tint_->setGeometry(kMargin + side - 92, cy + 30, 92, 24);
    mired_->setGeometry(kMargin + side - 92, cy + 52, 92, 24);
    daylight_->setGeometry(kMargin, cy + 53, daylight_->sizeHint().width(), 22);
    asked_as_->setGeometry(kMargin, lower + 12, below, AskedAs::kHeight);
    placeEye();
    skin_->setGeometry(width() - kMargin - below, lower - 12, below, height() - lower + 4);
    int x = width() - kMargin;
    for (Button* b : {common_, level_}) {
        const int w = b->sizeHint().width();
        b->setGeometry(x - w, lower - 36, w, 22);
        x -= w + 16;
    }
    refresh();
}

void MatchView::lookThrough(bool camera) {
    if (!camera)
        return void(document_.setCamera(std::nullopt));
    if (document_.show().cameras.empty()) {
        if (!document_.edit(tr("A camera to look through"), withSomeCamera(document_)))
            return placeEye();
        document_.tell(tr("All light is now as %1 shows it: Y goes back to the eye, its name in "
                          "Match chooses another.")
                           .arg(toQt((*document_.show().cameras.begin()).first)));
    }
    const auto all = document_.show().cameras;
    document_.setCamera(all.contains(last_camera_) ? last_camera_ : (*all.begin()).first);
}

int MatchView::plotBottom() const {
    return height() - 44 - (document_.camera() ? kEyeRow : 0);
}

void MatchView::placeEye() {
    const auto [centre, r, lower, side, below] = places();
    const auto& name = document_.camera();
    if (name)
        last_camera_ = *name;
    const show::FilmCamera* camera = name ? document_.show().cameras.find(*name) : nullptr;
    const auto* white = camera ? std::get_if<light::AskedWhite>(&camera->balance) : nullptr;
    const bool typed = white && !white->duv;
    seen_by_->setChosen(camera ? 1 : 0);
    balance_->setVisible(typed);
    camera_->setVisible(camera);
    eye_->setVisible(!camera);
    eye_->setValue(document_.eye_k());
    if (typed)
        balance_->setValue(white->cct_k);
    if (camera)
        camera_->setText(typed ? toQt(*name)
                               : tr("%1, %2").arg(toQt(*name), balanceText(camera->balance)));
    seen_by_->setGeometry(kMargin, height() - 38, seen_by_->sizeHint().width(), 34);
    for (NumberField* f : {eye_, balance_})
        f->setGeometry(kMargin + below - 72, height() - 36, 72, 24);
    const int light = lower + 12 + AskedAs::kHeight + 20;
    camera_->setGeometry(kMargin, plotBottom() + 1, std::min(below, camera_->sizeHint().width()),
                         22);
    through_->setGeometry(kMargin, light, below, std::max(kLeastPlot, plotBottom() - light));
}

void MatchView::refresh() {
    seen_by_->setToolTip(seenByTip() + '\n' + document_.colours().screenText());
    const auto all = parts();
    while (types_.size() > all.size()) {
        types_.back()->deleteLater();
        types_.pop_back();
    }
    while (types_.size() < all.size()) {
        auto* button = new TypeButton(get_->widget());
        const std::size_t i = types_.size();
        connect(button, &TypeButton::clicked, this,
                [this, i] { document_.setFocusType(focus_.rows()[i].key); });
        button->QWidget::show();
        types_.push_back(button);
    }
    for (std::size_t i = 0; i < all.size(); ++i)
        types_[i]->show(focus_.rows()[i], i == focus_.focusIndex());
    placeRows();
    level_->setVisible(all.size() > 1);
    common_->setVisible(all.size() > 1);
    const auto lamp_k = asking_.lampK();
    const auto white_k = asking_.whiteK();
    lamp_->setVisible(lamp_k.has_value());
    kelvin_->setVisible(white_k.has_value());
    tint_->setVisible(white_k.has_value());
    mired_->setVisible(white_k.has_value());
    daylight_->setVisible(white_k.has_value() && *white_k >= 4000);
    if (lamp_k)
        lamp_->setValue(*lamp_k);
    if (white_k) {
        kelvin_->setValue(*white_k);
        mired_->setValue(1e6 / *white_k);
        tint_->setValue(asking_.whiteDuv().value_or(0));
    }
    const light::Wanted* wanted = focus_.wanted();
    through_->setVisible(wanted && wanted->spectrum && plotBottom() - through_->y() >= kLeastPlot);
    if (wanted && wanted->spectrum) {
        std::optional<colour::Spectrum> lamp;
        if (wanted->lamp) // at the strength that it has before the gel
            lamp = wanted->lamp->scaled(1 / (wanted->transmitted * colour::toXyz(*wanted->lamp).Y));
        through_->showLight(*wanted->spectrum, lamp, document_.colours());
    }
    update();
}

// Each row at the height of its part of the disc, as far as they leave each other room.
void MatchView::placeRows() {
    const auto place = places();
    const auto all = parts();
    const int room = place.lower - 40 - kGetTop;
    std::vector<int> tops;
    int next = 0;
    for (std::size_t i = 0; i < all.size(); ++i) {
        const int ideal = static_cast<int>((all[i].top + all[i].bottom) / 2) - types_[i]->line();
        tops.push_back(std::max(next, ideal - kGetTop));
        next = tops[i] + types_[i]->heightAt(place.side);
    }
    int limit = room; // too low: up again, from the last
    for (std::size_t i = all.size(); i-- > 0;) {
        tops[i] = std::min(tops[i], limit - types_[i]->heightAt(place.side));
        limit = tops[i];
    }
    if (limit < 0) { // they do not fit: one under the other, and scrolled
        next = 0;
        for (std::size_t i = 0; i < all.size(); ++i) {
            tops[i] = next;
            next += types_[i]->heightAt(place.side - kScrollBar);
        }
    }
    const int wide = place.side - (limit < 0 ? kScrollBar : 0);
    get_->setGeometry(place.get(), kGetTop, place.side, room);
    get_->widget()->resize(wide, limit < 0 ? next : room);
    for (std::size_t i = 0; i < all.size(); ++i)
        types_[i]->setGeometry(0, tops[i], wide, types_[i]->heightAt(wide));
    const std::pair now(room, focus_.focusIndex());
    if (!types_.empty() && now != in_view_) // else it stays where it was scrolled
        get_->ensureWidgetVisible(types_[focus_.focusIndex()], 0, 0);
    in_view_ = now;
}

// Leaders tie each part to its words.
void MatchView::paintLeaders(QPainter& p) const {
    const auto place = places();
    const auto all = parts();
    const int to = place.get() - 1;
    for (std::size_t i = 0; i < std::min(all.size(), types_.size()); ++i) {
        const int y = static_cast<int>(std::round((all[i].top + all[i].bottom) / 2));
        const double dy = y - place.centre.y();
        const double edge =
            place.centre.x() + std::sqrt(std::max(0.0, place.r * place.r - dy * dy));
        const int at = types_[i]->mapTo(this, QPoint(0, types_[i]->line())).y();
        const QColor& c = i == focus_.focusIndex() ? theme().rule : theme().hair;
        const int from = static_cast<int>(edge) + 9;
        p.fillRect(QRect(from, y - 3, 1, 7), c);
        if (!get_->geometry().contains(get_->x() + 1, at))
            continue; // scrolled away
        const int bend = at == y ? to : to - 8;
        p.fillRect(QRect(from, y, bend - from + 1, 1), c);
        p.fillRect(QRect(bend, std::min(at, y), 1, std::abs(at - y) + 1), c);
        p.fillRect(QRect(bend, at, to - bend + 1, 1), c);
    }
}

void MatchView::paintDisc(QPainter& p) {
    const auto [centre, r, lower, side, below] = places();
    const QRectF disc(centre.x() - r, centre.y() - r, 2 * r, 2 * r);
    const light::Wanted* wanted = focus_.wanted();
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    // The halves share the edge at the very same x: no gap, no border.
    const double seam = std::round(centre.x());
    const auto all = parts();
    QPainterPath whole;
    whole.addEllipse(disc);
    p.setClipPath(whole);
    p.setRenderHint(QPainter::Antialiasing, false);
    p.fillRect(QRectF(disc.left() - 1, disc.top() - 1, seam - disc.left() + 1, 2 * r + 2),
               wanted ? colourOfLight(document_.colours(), *wanted) : theme().glass);
    for (std::size_t i = 0; i < all.size(); ++i) {
        const auto& lamp = focus_.rows()[i].lamp;
        const double top = std::round(all[i].top) - (i == 0);
        const QRectF part(seam, top, r + 2, std::round(all[i].bottom) - top + 1);
        p.fillRect(part, colour::hasChromaticity(lamp.sent.xyz)
                             ? colourOfLight(document_.colours(), lamp)
                             : theme().glass);
    }
    if (all.empty())
        p.fillRect(QRectF(seam, disc.top() - 1, r + 2, 2 * r + 2), theme().glass);
    p.restore();
    drawPointer(p, {seam, disc.top() - 4}, Points::Down, 9, 7, theme().text);
    drawPointer(p, {seam, disc.bottom() + 4}, Points::Up, 9, 7, theme().text);
    paintLeaders(p);
    const double y = std::round(centre.y());
    p.fillRect(QRectF(kMargin, y, centre.x() - r - 9 - kMargin, 1), theme().rule);
    p.fillRect(QRectF(centre.x() - r - 10, y - 3, 1, 7), theme().rule);
}

void MatchView::paintWant(QPainter& p) {
    const auto [centre, r, lower, side, below] = places();
    const int y = static_cast<int>(std::round(centre.y()));
    drawText(p, kMargin, 36, tr("Want"), typeface(Type::Title), theme().text);
    const QString head = asking_.headline();
    if (head.isEmpty()) {
        drawText(p, kMargin, y - 12, tr("No colour yet"), typeface(Type::Title), theme().text);
    } else {
        const int w = drawText(p, kMargin, y - 12, head, typeface(Type::Asked), theme().bright);
        const QString name = asking_.headlineName();
        const QFont face = typeface(Type::Title);
        const int room = static_cast<int>(centre.x() - r) - 16 - kMargin;
        if (textWidth(name, face) <= room - w - 10)
            drawText(p, kMargin + w + 10, y - 12, name, face, theme().bright);
        else // over the number
            drawElided(p, kMargin, y - 44, room, name, face, theme().bright);
    }
    const int number = asking_.lampK() || asking_.whiteK() ? 76 : 0; // at the right
    drawElided(p, kMargin, y + 22, side - number, asking_.kindText(), typeface(Type::Small),
               theme().dim);
    const light::Wanted* wanted = focus_.wanted();
    if (asking_.lampK() && wanted) {
        drawElided(p, kMargin, y + 44, side - 60, tr("lets through"), typeface(Type::Small),
                   theme().dim);
        drawTextRight(p, kMargin + side - 17, y + 44, numberText(100 * wanted->transmitted, 0),
                      typeface(Type::Work), theme().text);
        drawText(p, kMargin + side - 12, y + 44, QStringLiteral("%"), typeface(Type::Small),
                 theme().dim);
    }
    drawText(p, kMargin, lower, tr("asked for as"), typeface(Type::Small), theme().dim);
    // What is wrong stands under the numbers.
    const TypeRow* row = focus_.focus();
    const int under = asking_.whiteK() ? 80 : asking_.lampK() ? 50 : 28;
    QRect notes(kMargin, y + under, side, lower - 14 - y - under);
    if (row && row->lamp.colour && !row->lamp.colour->trouble.empty())
        notes.setTop(notes.top() + 4 +
                     drawWrapped(p, notes, said(row->lamp.colour->trouble), typeface(Type::Small),
                                 theme().text));
    if (wanted && document_.colours().outside(shownLight(document_.colours(), *wanted)))
        drawWrapped(p, notes, tr("beyond this screen: shown as near as it can"),
                    typeface(Type::Small), theme().dim);
    if (through_->isVisible())
        drawElided(p, kMargin, through_->y() - 12, through_->width(),
                   asking_.lampK() ? tr("light through the gel") : tr("light wanted"),
                   typeface(Type::Small), theme().dim);
}

void MatchView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    paintDisc(p);
    paintWant(p);
    const int get = places().get();
    if (focus_.rows().empty()) {
        drawWrapped(p, {get, 48, places().side, 48}, noLampsWords(document_.show()),
                    typeface(Type::Small), theme().text);
        return;
    }
    drawEnds(p, get, width() - kMargin, 36,
             {tr("Get"), typeface(Type::Title), theme().text, tr("miss Δu′v′"),
              typeface(Type::Small), theme().dim});
}

} // namespace zelo::desk
