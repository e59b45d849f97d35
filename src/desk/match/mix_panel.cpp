// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/mix_panel.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/slot_chips.h"
#include "desk/kit/stations.h"
#include "desk/kit/watch.h"
#include "desk/kit/words.h"
#include "desk/match/camera_menu.h"
#include "desk/match/level_column.h"

#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kNarrow = 270;  // narrower: the title takes two lines
constexpr int kNameLine = 14; // height of a line of emitters' names
constexpr int kNameGap = 5;
constexpr int kCurve = 38; // height of the trade-off curve
constexpr int kIntentsUp = 8;
constexpr int kIntentRow = 20; // the second, where one is too narrow for all
constexpr int kAboveWells = 176;
constexpr int kLeastColumn = 44;    // height
constexpr int kScale = 24;          // room for the columns' one scale at the left
constexpr double kMostGivenUp = 95; // percent, the end of the slider
} // namespace

MixPanel::MixPanel(Document& document, FocusModel& focus, MixModel& mix, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus), mix_(mix),
      intents_(new Stations(tr("Intent"),
                            tr("What to favour among all mixes that show the colour: the most "
                               "light, the spectrum nearest the wanted one, the best colour on "
                               "skin and cloth, the least power, or that the camera sees it too"),
                            intentNames(), {}, true, this)),
      slider_(new ValueSlider(tr("Give-up"), tr("How much brightness a truer spectrum may cost"),
                              {0, kMostGivenUp, 1, 0}, this)),
      give_up_(new NumberField(tr("Give-up"), tr("How much brightness a truer spectrum may cost"),
                               {0, kMostGivenUp, 1, 0}, tr("% of the brightest"), this)),
      again_(new Button(tr("solve again"), {}, tr("Let go of the levels set by hand"),
                        Button::Kind::Text, this)),
      families_(new Button(tr("families"), {},
                           tr("Warm, green, blue and white emitters together, to see how light "
                              "adds; or each alone"),
                           Button::Kind::Text, this)),
      cameras_(new Button(tr("cameras"), {},
                          tr("Which cameras Filmed minds, and what they are balanced to"),
                          Button::Kind::Text, this)),
      hold_(new Button(tr("hold colour"), {},
                       tr("A level that is moved is pinned there, and the others hold the colour; "
                          "off: the others stay"),
                       Button::Kind::Text, this)) {
    setAccessibleName(tr("Mix"));
    for (Button* b : {families_, hold_})
        b->setCheckable(true);
    connect(families_, &Button::clicked, this, &MixPanel::setFamilies);
    connect(hold_, &Button::clicked, this, [this](bool on) { mix_.setHolding(on); });
    connect(intents_, &Stations::stationChosen, this,
            [this](int i) { mix_.setIntent(static_cast<mix::Intent>(i)); });
    for (ValueControl* c :
         {static_cast<ValueControl*>(slider_), static_cast<ValueControl*>(give_up_)}) {
        connect(c, &ValueControl::valueEdited, this,
                [this](double value, int gesture) { mix_.setGiveUp(value / 100, gesture); });
        connect(c, &ValueControl::resetWanted, this, [this] { mix_.setGiveUp(0.3, 0); });
    }
    connect(again_, &Button::clicked, this, [this] { mix_.solveAgain(); });
    connect(cameras_, &Button::clicked, this,
            [this] { popUpCameraMenu(*cameras_, document_, focus_); });
    cameras_->hide();
    watch(focus_, &FocusModel::rowsChanged, this, [this] {
        refresh();
        mix_.askTradeOff();
    });
    connect(&mix_, &MixModel::tradeOffComputed, this, [this] { update(); });
    again_->hide();
}

int MixPanel::top() const { // what stands under the title; narrow: under two lines of it
    return width() < kNarrow ? 16 : 0;
}

int MixPanel::belowIntents() const {
    return top() + (intents_->leastWidth() > width() ? kIntentRow : 0);
}

QRect MixPanel::curveRect() const {
    return {6, belowIntents() + 76, width() - 12, 34};
}

int MixPanel::pitch() const {
    const int n = std::max<int>(1, static_cast<int>(columns_.size()));
    return static_cast<int>(std::min(52.0, (width() + 12.0 - kScale) / n));
}

int MixPanel::columnLeft(std::size_t i) const {
    return kScale - 12 + pitch() * static_cast<int>(i);
}

// Each under its column, on as few lines as let all of them be read.
MixPanel::Names MixPanel::names() const {
    const QFont small = typeface(Type::Small);
    const int most = std::max(1, static_cast<int>(columns_.size()));
    for (int lines = 1; lines < most; ++lines) {
        Names all{lines, {}};
        std::vector<int> end(static_cast<std::size_t>(lines), -kNameGap);
        for (std::size_t i = 0; i < columns_.size(); ++i) {
            const int wide = textWidth(columns_[i]->shortName(), small);
            const int left =
                std::clamp(columnLeft(i) + (pitch() - wide) / 2, 0, std::max(0, width() - wide));
            const auto line =
                std::find_if(end.begin(), end.end(), [&](int e) { return e + kNameGap <= left; });
            if (line == end.end() || wide > width())
                break;
            *line = left + wide;
            all.places.push_back({left, static_cast<int>(line - end.begin()), wide});
        }
        if (all.places.size() == columns_.size())
            return all;
    }
    Names all{most, {}}; // a line each
    for (std::size_t i = 0; i < columns_.size(); ++i) {
        const int wide = std::min(width(), textWidth(columns_[i]->shortName(), small));
        all.places.push_back({std::clamp(columnLeft(i) + (pitch() - wide) / 2, 0, width() - wide),
                              static_cast<int>(i), wide});
    }
    return all;
}

int MixPanel::belowWells() const {
    int strips = 0;
    for (const SlotStrip* s : strips_)
        strips += s->heightAt(width());
    return strips + (columns_.empty() ? 0 : 4 + kNameLine * names().lines);
}

int MixPanel::leastHeight() const {
    return belowIntents() + kAboveWells - kCurve + (columns_.empty() ? 0 : kLeastColumn) +
           belowWells();
}

void MixPanel::place() {
    compact_ = height() < leastHeight() + kCurve; // without the curve
    const int y = belowIntents() - (compact_ ? kCurve : 0);
    const int more = belowIntents() - top();
    intents_->setRows(more > 0 ? 2 : 1);
    const int up = more > 0 ? kIntentsUp : 0; // closer to the title, so that both rows have room
    intents_->setGeometry(0, top() + 26 - up, width(), 34 + more + up);
    slider_->setGeometry(0, y + 100, width(), 26);
    const int label = std::min(textWidth(tr("Give-up"), typeface(Type::Work)), width() / 4);
    const int give_up = std::max(56, label + 8);
    const int unit = textWidth(give_up_->unit(), typeface(Type::Small)) + 60;
    give_up_->setGeometry(give_up, y + 128, std::min(unit, width() - give_up), 24);
    int all = 0;
    for (Button* b : {families_, again_, cameras_, hold_})
        all += b->isHidden() ? 0 : b->sizeHint().width() + 4; // bold when it is on
    const double share = std::min(1.0, (width() - 14) / static_cast<double>(all));
    int left = 0;
    for (Button* b : {families_, again_, cameras_}) {
        b->setGeometry(left, y + 152, static_cast<int>((b->sizeHint().width() + 4) * share), 20);
        if (b == families_ || !b->isHidden())
            left += b->width() + (share < 1 ? 6 : 10);
    }
    const int hold = static_cast<int>((hold_->sizeHint().width() + 4) * share);
    hold_->setGeometry(width() - hold, y + 152, hold, 20);
    const int well = y + kAboveWells;
    const int high = std::max(columns_.empty() ? 0 : kLeastColumn, height() - well - belowWells());
    int strips = 0;
    for (const SlotStrip* s : strips_)
        strips += s->heightAt(width());
    int strip_y = well + high + belowWells() - strips;
    for (SlotStrip* s : strips_) {
        s->setGeometry(0, strip_y, width(), s->heightAt(width()));
        strip_y += s->height();
    }
    for (std::size_t i = 0; i < columns_.size(); ++i)
        columns_[i]->setGeometry(columnLeft(i), well, pitch(), high);
}

// The parts that the mode sets: emitters, flags, wheels, the fixture's own colour engine.
void MixPanel::makeColumns(const mix::Mixer* mixer) {
    for (LevelColumn* c : columns_)
        c->deleteLater();
    columns_.clear();
    parts_.clear();
    for (SlotStrip* s : strips_)
        s->deleteLater();
    strips_.clear();
    strip_parts_.clear();
    families_shown_ = families_->isChecked() ? mix_.families() : decltype(families_shown_){};
    for (const auto& family : families_shown_) {
        auto* column = new LevelColumn(family.name, this);
        connect(column, &LevelColumn::valueEdited, this, [this, family](double value, int gesture) {
            mix_.setFamilyDrive(family, value / 100, gesture);
        });
        connect(column, &LevelColumn::resetWanted, this, [this] { mix_.solveAgain(); });
        column->show();
        columns_.push_back(column);
    }
    for (std::size_t e = 0; families_shown_.empty() && mixer && e < mixer->type().partCount();
         ++e) {
        if (!mixer->mode().channelOf(e))
            continue;
        const QString name = toQt(mixer->type().partName(e));
        if (mixer->type().part(e).kind == light::PartKind::Wheel) {
            auto* strip = new SlotStrip(name, this);
            connect(strip, &SlotStrip::slotChosen, this,
                    [this, e](double setting, int gesture) { mix_.setDrive(e, setting, gesture); });
            connect(strip, &SlotStrip::resetWanted, this, [this] { mix_.solveAgain(); });
            connect(strip, &SlotStrip::pinWanted, this, [this, e] { mix_.togglePin(e); });
            strip->show();
            strips_.push_back(strip);
            strip_parts_.push_back(e);
            continue;
        }
        parts_.push_back(e);
        auto* column = new LevelColumn(name, this);
        column->setShortName(name.section(' ', 0, 0).toLower()); // "deep red": deep
        connect(column, &LevelColumn::valueEdited, this,
                [this, e](double value, int gesture) { mix_.setDrive(e, value / 100, gesture); });
        connect(column, &LevelColumn::resetWanted, this, [this] { mix_.solveAgain(); });
        connect(column, &LevelColumn::pinWanted, this, [this, e] { mix_.togglePin(e); });
        connect(column, &LevelColumn::keepOutWanted, this, [this, e] { mix_.toggleKeepOut(e); });
        column->show();
        columns_.push_back(column);
    }
    QWidget* before = give_up_;
    for (LevelColumn* c : columns_) {
        setTabOrder(before, c);
        before = c;
    }
    for (SlotStrip* s : strips_) {
        setTabOrder(before, s);
        before = s;
    }
    place();
    emit columnsMade();
}

void MixPanel::mousePressEvent(QMouseEvent* event) {
    const QRect curve = curveRect();
    if (event->button() != Qt::LeftButton || compact_ || !curve.contains(event->pos()) ||
        mix_.tradeOff().size() < 2)
        return QWidget::mousePressEvent(event);
    const double share = (event->pos().x() - curve.left()) / static_cast<double>(curve.width());
    mix_.setGiveUp(share * kMostGivenUp / 100, 0);
}

void MixPanel::setFamilies(bool on) {
    families_->setChecked(on);
    columns_of_.clear();
    refresh();
}

void MixPanel::refresh() {
    const TypeRow* row = focus_.focus();
    std::string of = row ? row->key.type + "\n" + row->key.mode : std::string();
    for (std::size_t e = 0; row && e < row->lamp.mixer->type().partCount(); ++e)
        of += "\n" + row->lamp.mixer->type().partName(e); // a changed type has other columns
    if (of != columns_of_) {
        columns_of_ = of;
        makeColumns(row ? row->lamp.mixer.get() : nullptr);
    }
    const auto wish = focus_.wish();
    intents_->setEnabled(wish.has_value());
    if (wish) {
        intents_->setChosen(static_cast<int>(wish->intent));
        slider_->setValue(100 * wish->give_up);
        give_up_->setValue(100 * wish->give_up);
    }
    const bool gives = wish && wish->intent != mix::Intent::Brightest;
    slider_->setVisible(gives);
    give_up_->setVisible(gives);
    const bool filmed = wish && !(row && row->lamp.by_hand) &&
                        (wish->intent == mix::Intent::Filmed || wish->exact_for_camera);
    if (again_->isHidden() == (row && row->lamp.by_hand) || cameras_->isHidden() == filmed) {
        again_->setHidden(!(row && row->lamp.by_hand));
        cameras_->setHidden(!filmed);
        place();
    }
    hold_->setVisible(families_shown_.empty() && row);
    families_->setVisible(row && !row->lamp.mixer->type().emitters.empty());
    for (std::size_t i = 0; row && i < families_shown_.size(); ++i) {
        const auto& family = families_shown_[i];
        colour::Xyz light{0, 0, 0};
        for (const std::size_t e : family.parts)
            light = light + shownPart(document_.colours(), *row->lamp.mixer, e);
        columns_[i]->setValue(100 * mix_.familyDrive(family));
        columns_[i]->setLight(document_.colours().of(light), false, false);
    }
    for (std::size_t i = 0; row && i < strips_.size(); ++i)
        showSlots(*row, i);
    if (!strips_.empty())
        place(); // they know their chips now
    for (std::size_t i = 0; row && i < parts_.size(); ++i) {
        const std::size_t e = parts_[i];
        const auto& mixer = *row->lamp.mixer;
        columns_[i]->setValue(100 * mix_.drive(e));
        columns_[i]->setLight(document_.colours().of(shownPart(document_.colours(), mixer, e)),
                              mix_.keptOut(e), mix_.pinned(e));
        columns_[i]->setEnabled(mixer.usable(e));
    }
    update();
}

void MixPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const TypeRow* row = focus_.focus();
    const int w = drawText(p, 0, 14, tr("Mix"), typeface(Type::Title), theme().bright);
    if (!row)
        return;
    const int unit = drawTextRight(p, width(), 14, tr("cd"), typeface(Type::Small), theme().dim);
    const int light = drawTextRight(p, width() - unit - 5, 14, numberText(row->candela, 0),
                                    typeface(Type::Work), theme().bright);
    const QString by_hand = row->lamp.by_hand ? tr(", by hand") : QString();
    const int x = top() ? 0 : w + 14;
    const int room = top() ? width() : width() - unit - light - 20 - x;
    drawElided(p, x, 14 + top(), room, focus_.lampsText() + by_hand, typeface(Type::Small),
               theme().dim);
    paintNames(p);
    const auto wish = focus_.wish();
    if (!columns_.empty()) { // the columns' scale, every tenth
        const int top = columns_.front()->y() + 4;
        const int well = columns_.front()->height() - 4 - LevelColumn::kBelow;
        for (int i = 0; i <= 10; ++i)
            p.fillRect(i % 5 ? 3 : 0, top + well * i / 10 - (i == 10), i % 5 ? 3 : 6, 1,
                       theme().faint);
        drawText(p, 0, top + well + 15, QStringLiteral("%"), typeface(Type::Small), theme().dim);
    }
    if (!wish)
        return;
    if (wish->intent == mix::Intent::Brightest) {
        drawWrapped(
            p, QRect(0, belowIntents() + 68, width(), 44),
            tr("The most light this colour can have: %1 cd").arg(numberText(row->candela, 0)),
            typeface(Type::Small), theme().dim);
        return;
    }
    // What is gained over what is given up; it stands on the slider below.
    const auto& trade = mix_.tradeOff();
    const QRect r = curveRect();
    if (trade.size() >= 2 && !compact_) {
        double low = trade.front().value;
        double high = low;
        for (const auto& t : trade) {
            low = std::min(low, t.value);
            high = std::max(high, t.value);
        }
        const bool miss = mix_.gain() == mix::Gain::CameraMiss; // in shares, not in points
        const double span = std::max(miss ? 0.001 : 8.0, high - low);
        const auto place = [&](double give_up, double ssi) {
            return QPointF(r.left() + give_up * 100 / kMostGivenUp * r.width(),
                           r.bottom() - 14 - (ssi - low) / span * (r.height() - 22));
        };
        QPolygonF curve;
        double here = trade.front().value;
        for (std::size_t i = 0; i < trade.size(); ++i) {
            curve << place(trade[i].give_up, trade[i].value);
            if (i > 0 && wish->give_up <= trade[i].give_up &&
                wish->give_up >= trade[i - 1].give_up) {
                const double part = (wish->give_up - trade[i - 1].give_up) /
                                    (trade[i].give_up - trade[i - 1].give_up);
                here = trade[i - 1].value + part * (trade[i].value - trade[i - 1].value);
            }
        }
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().text, 1.5));
        p.drawPolyline(curve);
        const QPointF at = place(wish->give_up, here);
        p.setPen(QPen(theme().faint, 1));
        p.drawLine(at, QPointF(at.x(), slider_->geometry().bottom() - 10));
        p.setPen(Qt::NoPen);
        p.setBrush(theme().bright);
        p.drawEllipse(at, 4, 4);
        const QString ssi = numberText(here, miss ? 4 : 0);
        const int value = textWidth(ssi, typeface(Type::Work));
        const QString name = mix_.tradeOffName();
        const int label = textWidth(name, typeface(Type::Small));
        const int label_x = std::clamp(static_cast<int>(at.x()) - (value + label + 5) / 2, 0,
                                       width() - value - label - 5);
        drawText(p, label_x, static_cast<int>(at.y()) - 8, name, typeface(Type::Small),
                 theme().dim);
        drawText(p, label_x + label + 5, static_cast<int>(at.y()) - 8, ssi, typeface(Type::Work),
                 theme().bright);
    } else if (!compact_) {
        drawWrapped(p, QRect(0, belowIntents() + 62, width(), 38), mix_.noTradeOff(),
                    typeface(Type::Small), theme().dim);
    }
    drawElided(p, 0, give_up_->y() + 17, give_up_->x() - 8, tr("Give-up"), typeface(Type::Work),
               theme().text);
}

// As the rest is now, at full also where the lamp is dimmed.
void MixPanel::showSlots(const TypeRow& row, std::size_t strip) {
    const std::size_t part = strip_parts_[strip];
    const light::Wanted* wanted = focus_.wanted();
    strips_[strip]->setChips(slotChips(row.lamp.mixer->type(), part, row.lamp.sent.drives,
                                       wanted ? std::optional(wanted->uv()) : std::nullopt,
                                       document_.colours()));
    strips_[strip]->setChosen(mix_.drive(part), mix_.pinned(part));
}

void MixPanel::paintNames(QPainter& p) {
    const auto all = names();
    for (std::size_t i = 0; i < columns_.size(); ++i) {
        const auto& [left, line, room] = all.places[i];
        drawElided(p, left, columns_[i]->geometry().bottom() + 12 + kNameLine * line, room,
                   columns_[i]->shortName(), typeface(Type::Small), theme().dim);
    }
}

} // namespace zelo::desk
