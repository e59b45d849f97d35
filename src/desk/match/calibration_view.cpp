// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/calibration_view.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"

#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kMargin = 24;
// From the stage being computed until the light stands: several frames, and the fixture's own time.
constexpr auto kSettles = std::chrono::milliseconds(160);
} // namespace

CalibrationView::CalibrationView(Document& document, QWidget* parent)
    : Overlay(parent), document_(document), meter_(new Meter(document, this)),
      which_(new Stations(tr("Meter"),
                          tr("The practice rig's, or a real spectrometer through spotread of the "
                             "package argyll"),
                          {tr("practice"), tr("instrument")}, {}, false, this)),
      start_(new Button(tr("Measure"), {}, tr("Each emitter alone at full, one after the other"),
                        Button::Kind::Next, this)),
      keep_(new Button(tr("Use it"), {}, tr("The measured spectra become this fixture's own data"),
                       Button::Kind::Plain, this)),
      forget_(new Button(tr("Remove calibration"), {},
                         tr("The fixture is as its type's data says again"), Button::Kind::Plain,
                         this)),
      done_(new Button(tr("Done"), tr("Esc"), tr("Back to Match"), Button::Kind::Plain, this)),
      correct_(new Button(tr("Correct"), {},
                          tr("The mix is corrected by how far this is from the colour wanted"),
                          Button::Kind::Plain, this)),
      u_(new NumberField(tr("Measured u′"), tr("u′ of the light it shows now, as measured"),
                         {0, 0.65, 0.001, 4}, tr("u′"), this)),
      v_(new NumberField(tr("Measured v′"), tr("v′ of the light it shows now, as measured"),
                         {0, 0.6, 0.001, 4}, tr("v′"), this)) {
    setAccessibleName(tr("Calibration"));
    which_->setSmall(true);
    connect(which_, &Stations::stationChosen, this, [this](int which) {
        stop();
        meter_->setInstrument(which == 1);
    });
    connect(meter_, &Meter::changed, this, [this] { refresh(); });
    connect(start_, &Button::clicked, this, [this] { measuring_ ? stop() : start(); });
    connect(keep_, &Button::clicked, this, &CalibrationView::keep);
    connect(forget_, &Button::clicked, this, &CalibrationView::forget);
    connect(done_, &Button::clicked, this, &QWidget::hide);
    connect(correct_, &Button::clicked, this, [this] { correct({u_->value(), v_->value()}); });
    for (NumberField* field : {u_, v_})
        connect(field, &NumberField::valueEdited, field,
                [field](double value) { field->setValue(value); });
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Hand) && measuring_ && own_ && document_.state().hand != own_)
            end(tr("Stopped: something else was taken in hand."));
    });
    watch(document_, this, Change::Hand | Change::Rig | Change::Types | Change::Controls,
          [this] { refresh(); });
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (!what.has(Change::Light))
            return;
        // By this stage the light goes out, once it has faded there; one computed before it may
        // still be the last mix.
        const auto* awaited = awaiting_ ? document_.stage().lamp(id_) : nullptr;
        if (awaited && !awaited->moving && document_.stage().state.hand == document_.state().hand)
            read();
        if (isVisible() && v_->value() == 0)
            if (const auto* lamp = document_.stage().lamp(id_); lamp && lamp->colour) {
                u_->setValue(lamp->colour->wanted.uv().u);
                v_->setValue(lamp->colour->wanted.uv().v);
            }
    });
}

void CalibrationView::open() {
    if (document_.lineup().empty())
        return document_.tell(tr("No lamps in the lineup: choose the one to calibrate first."));
    id_ = document_.lineup().front();
    measured_.clear();
    said_.clear();
    refresh();
    if (const auto* lamp = document_.stage().lamp(id_); lamp && lamp->colour) {
        u_->setValue(lamp->colour->wanted.uv().u);
        v_->setValue(lamp->colour->wanted.uv().v);
    }
    Overlay::open();
    start_->setFocus();
}

std::shared_ptr<const light::FixtureType> CalibrationView::type() const {
    const auto* f = fixture();
    return f ? document_.library().type(f->type) : nullptr;
}

void CalibrationView::refresh() {
    const auto* f = fixture();
    if (!f)
        return hide();
    which_->setChosen(meter_->instrument() ? 1 : 0);
    start_->setText(measuring_ ? tr("Stop") : tr("Measure"));
    keep_->setEnabled(!measuring_ && !measured_.empty());
    forget_->setEnabled(!measuring_ && f->calibration);
    for (Button* b : {start_, keep_, forget_})
        b->update();
    update();
}

void CalibrationView::start() {
    const auto& controls = document_.controls();
    const auto t = type();
    if (!t || t->emitters.empty())
        return document_.tell(tr("This fixture has no emitters to measure."));
    if (!document_.onStage() || controls.dark || !controls.solo.empty() || controls.master < 1)
        return document_.tell(
            tr("Measuring needs the light: On stage, Dark and solo off, master at 100 %."));
    before_ = document_.state().hand;
    by_instrument_ = meter_->instrument();
    measured_.clear();
    step_ = 0;
    measuring_ = true;
    said_.clear();
    next();
}

void CalibrationView::next() {
    const auto t = type();
    const auto* f = fixture();
    if (!t || !f)
        return end(tr("the fixture is gone"));
    const light::Mode* mode = t->mode(f->mode);
    while (step_ < t->emitters.size() && mode && !mode->channelOf(step_))
        ++step_; // this mode does not set it
    if (step_ >= t->emitters.size() || !mode)
        return end({});
    light::Drives drives = t->rest();
    drives[step_] = 1;
    awaiting_ = true;
    own_ = show::withIntensity(show::withParts(before_, {id_}, show::partLevels(*t, drives)), {id_},
                               1);
    document_.setHand(tr("Measure lamp %1").arg(f->number), own_,
                      fmt::format("measure {}", id_.value));
    refresh();
}

void CalibrationView::read() {
    awaiting_ = false;
    const auto t = type();
    if (!measuring_ || !t || step_ >= t->emitters.size())
        return;
    const QString before = measured_.empty()
                               ? tr("Hold the meter into the light of lamp %1, where it stays "
                                    "until all of its emitters are measured.")
                                     .arg(fixture() ? fixture()->number : 0)
                               : QString();
    document_.later(
        "measure", this,
        [job = meter_->job(id_, kSettles, before)] { return job(std::stop_token()); },
        [this, name = t->emitters[step_].name](const Result<colour::Spectrum>& light) {
            if (!measuring_)
                return;
            if (!light)
                return end(said(light.error()));
            measured_[name] = *light;
            ++step_;
            next();
        });
}

void CalibrationView::end(const QString& why) {
    measuring_ = awaiting_ = false;
    said_ = why;
    // Only this lamp's part goes back: others may have been taken in hand meanwhile.
    const show::Values hand = document_.state().hand->changed({{id_, before_->item(id_)}});
    own_ = hand == *before_ ? before_ : std::make_shared<const show::Values>(hand);
    document_.setHand(tr("Measure lamp %1").arg(fixture() ? fixture()->number : 0), own_,
                      fmt::format("measure {}", id_.value));
    if (!why.isEmpty())
        document_.tell(why);
    refresh();
    emit ended();
}

void CalibrationView::stop() {
    if (!measuring_)
        return;
    meter_->stop();
    document_.forget("measure");
    end({});
}

// An instrument stands anywhere in the beam: all it measured keeps the light of the type's data.
double CalibrationView::shareKept() const {
    const auto t = type();
    double data_cd = 0;
    double measured_cd = 0;
    for (std::size_t e = 0; t && by_instrument_ && e < t->emitters.size(); ++e)
        if (const auto it = measured_.find(t->emitters[e].name); it != measured_.end()) {
            data_cd += t->emitters[e].xyz().Y;
            measured_cd += colour::toXyz(it->second).Y;
        }
    return data_cd > 0 && measured_cd > 0 ? data_cd / measured_cd : 1;
}

void CalibrationView::keep() {
    const auto* f = fixture();
    if (!f || measured_.empty())
        return;
    show::Calibration calibration = f->calibration ? *f->calibration : show::Calibration{};
    for (const auto& [name, spectrum] : measured_)
        calibration.emitters[name] = spectrum.scaled(shareKept());
    calibration.off = {0, 0}; // what was corrected by hand is measured now
    const auto name = tr("Calibrate lamp %1").arg(f->number);
    const auto next = show::calibrate(document_.state().show, id_, std::move(calibration));
    document_.edit(name, next);
}

void CalibrationView::forget() {
    const auto* f = fixture();
    if (!f)
        return;
    const auto name = tr("No calibration of lamp %1").arg(f->number);
    document_.edit(name, show::calibrate(document_.state().show, id_, {}));
}

void CalibrationView::correct(const colour::Uv& measured) {
    const auto* f = fixture();
    const auto* lamp = document_.stage().lamp(id_);
    if (!f || !lamp || !lamp->mixer || !colour::hasChromaticity(lamp->sent.xyz))
        return document_.tell(tr("The lamp shows no light: nothing to correct."));
    show::Calibration calibration = f->calibration ? *f->calibration : show::Calibration{};
    calibration.off = measured - colour::toUv(lamp->sent.xyz);
    constexpr double kMost = 0.05; // beyond it something else is wrong
    if (std::hypot(calibration.off.u, calibration.off.v) > kMost)
        return document_.tell(
            tr("That is %1 off: more than a fixture differs from its data. Is "
               "it this lamp's light?")
                .arg(numberText(std::hypot(calibration.off.u, calibration.off.v), 3)));
    const auto name = tr("Correct lamp %1 by hand").arg(f->number);
    document_.edit(name, show::calibrate(document_.state().show, id_, std::move(calibration)));
}

void CalibrationView::hideEvent(QHideEvent*) {
    stop();
}

void CalibrationView::resizeEvent(QResizeEvent*) {
    const int right = width() - kMargin;
    done_->setGeometry(right - 90, 16, 90, 28);
    which_->setGeometry(done_->x() - 24 - which_->sizeHint().width(), 20,
                        which_->sizeHint().width(), which_->sizeHint().height());
    const auto hint = [](const Button* b) { return std::max(70, b->sizeHint().width()); };
    constexpr int kNumbers = 86 + 82 + 16;
    const int all = hint(start_) + hint(keep_) + hint(forget_) + hint(correct_);
    const int room = right - kMargin - kNumbers - 3 * 8;
    const double share = std::min(1.0, room / static_cast<double>(all)); // they may be narrower
    int x = kMargin;
    for (Button* b : {start_, keep_, forget_}) {
        b->setGeometry(x, height() - 44, static_cast<int>(hint(b) * share), 28);
        x += b->width() + 8;
    }
    const int wide = static_cast<int>(hint(correct_) * share);
    correct_->setGeometry(right - wide, height() - 44, wide, 28);
    v_->setGeometry(correct_->x() - 86, height() - 42, 78, 24);
    u_->setGeometry(v_->x() - 82, height() - 42, 78, 24);
}

// Its type's data as a dim line, what was measured as a bright one.
void CalibrationView::paintEmitter(QPainter& p, const QRect& room,
                                   const light::Emitter& emitter) const {
    const auto measured = measured_.find(emitter.name);
    const auto* f = fixture();
    std::optional<colour::Spectrum> own;
    if (measured != measured_.end())
        own = measured->second.scaled(shareKept());
    else if (f && f->calibration)
        if (const auto kept = f->calibration->emitters.find(emitter.name);
            kept != f->calibration->emitters.end())
            own = kept->second;
    double most = 1e-30;
    for (const double v : emitter.spectrum.values())
        most = std::max(most, v);
    if (own)
        for (const double v : own->values())
            most = std::max(most, v);
    const QRect plot = room.adjusted(0, 20, 0, -20);
    const auto line = [&](const colour::Spectrum& s) {
        QPolygonF points;
        for (std::size_t i = 0; i < s.values().size(); i += 2)
            points << QPointF(plot.left() + plot.width() * static_cast<double>(i) / 400.0,
                              plot.bottom() - plot.height() * s.values()[i] / most);
        return points;
    };
    p.fillRect(plot.left(), plot.bottom(), plot.width(), 1, theme().faint);
    p.setRenderHint(QPainter::Antialiasing);
    p.setBrush(Qt::NoBrush);
    if (own) {
        QPolygonF area = line(*own);
        area << plot.bottomRight() << plot.bottomLeft();
        p.setPen(Qt::NoPen);
        p.setBrush(document_.colours().of(shownLight(document_.colours(), emitter.spectrum), 0.62));
        p.drawPolygon(area);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(theme().bright, 1.5));
        p.drawPolyline(line(*own));
    }
    p.setPen(QPen(theme().text, 1, own ? Qt::DashLine : Qt::SolidLine));
    p.drawPolyline(line(emitter.spectrum));
    p.setRenderHint(QPainter::Antialiasing, false);
    drawText(p, room.left(), room.top() + 12, toQt(emitter.name), typeface(Type::Work),
             own ? theme().bright : theme().text);
    QString said = tr("data");
    if (own) {
        const double share = colour::toXyz(*own).Y / std::max(1e-12, emitter.xyz().Y);
        said = tr("%1 % of its data's light").arg(numberText(100 * share, 0));
    }
    drawText(p, room.left(), room.bottom() - 2, said, typeface(Type::Small), theme().dim);
}

void CalibrationView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const auto* f = fixture();
    const auto t = type();
    if (!f || !t)
        return;
    const int w = drawText(p, kMargin, 36, tr("Calibrate lamp %1").arg(f->number),
                           typeface(Type::Title), theme().bright);
    QString note = toQt(t->name);
    if (f->calibration)
        note += tr(", measured before");
    const QString meter = tr("meter");
    const int after = kMargin + w + 14; // where there is no room for them they are left out
    int free = which_->x() - 12 - after;
    if (const int wide = textWidth(meter, typeface(Type::Small)); wide < free) {
        drawTextRight(p, which_->x() - 12, 36, meter, typeface(Type::Small), theme().dim);
        free -= wide + 14;
    }
    if (textWidth(note, typeface(Type::Small)) * 3 / 5 <= free)
        drawElided(p, after, 36, free, note, typeface(Type::Small), theme().dim);
    const int room = width() - 2 * kMargin;
    p.fillRect(kMargin, 56, room, 2, theme().hair);
    if (!t->emitters.empty())
        p.fillRect(kMargin, 56,
                   room * static_cast<int>(measured_.size()) / static_cast<int>(t->emitters.size()),
                   2, theme().bright);
    const int columns = 3;
    const int rows = (static_cast<int>(t->emitters.size()) + columns - 1) / columns;
    const int high = std::clamp((height() - 74 - 96) / std::max(1, rows), 70, 150);
    for (std::size_t i = 0; i < t->emitters.size(); ++i) {
        const int column = static_cast<int>(i) % columns;
        const int row = static_cast<int>(i) / columns;
        const int wide = (room - 2 * 24) / columns;
        const QRect place(kMargin + column * (wide + 24), 74 + row * high, wide, high - 8);
        if (measuring_ && i == step_)
            p.fillRect(place.left() - 8, place.top(), 3, place.height(), theme().sel);
        paintEmitter(p, place, t->emitters[i]);
    }
    const int foot = height() - 60;
    if (!t->flags.empty() || !t->wheels.empty())
        drawText(p, kMargin, foot - 18,
                 tr("Only emitters are calibrated yet: flags and wheels keep the type's data."),
                 typeface(Type::Small), theme().text);
    const QString now =
        !said_.isEmpty()    ? said_
        : measuring_        ? tr("measuring %1 of %2").arg(step_ + 1).arg(t->emitters.size())
        : measured_.empty() ? tr("dashed or plain: its type's data; filled: as measured")
                            : tr("measured: “Use it” makes it this lamp's own data");
    drawEnds(p, kMargin, width() - kMargin, foot,
             {now, typeface(Type::Small), theme().dim,
              tr("or by hand: measured u′ v′ of this light"), typeface(Type::Small), theme().dim});
}

} // namespace zelo::desk
