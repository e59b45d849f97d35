// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/readings/full_readings.h"

#include "colour/lamp.h"
#include "colour/ssi.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "light/levels.h"
#include "mix/camera_miss.h"
#include "mix/miss.h"

#include <cmath>
#include <numbers>

namespace zelo::desk {

namespace {

constexpr int kMargin = 24;
constexpr int kRow = 24;

struct Indices { // NaN where they mean nothing
    double ra = NAN, r9 = NAN, rf = NAN, rg = NAN, kelvin = NAN, duv = NAN;
    std::optional<colour::Tm30> tm30;
};

Indices indicesOf(const colour::Spectrum& light) {
    Indices i;
    const auto xyz = colour::toXyz(light);
    const auto cct = colour::hasChromaticity(xyz) ? colour::cctOf(colour::toUv(xyz)) : std::nullopt;
    if (cct) {
        i.kelvin = cct->cct.value;
        i.duv = cct->duv;
    }
    if (!colour::indicesMeanSomething(cct))
        return i;
    const auto cie = colour::cie13Of(light, cct->cct);
    i.ra = cie.ra;
    i.r9 = cie.r[8];
    i.tm30 = colour::tm30Of(light, cct->cct);
    i.rf = i.tm30->rf;
    i.rg = i.tm30->rg;
    return i;
}

// `tungsten`: the reference with the gel before it; may be null.
FullNumbers numbersOf(const play::StageLamp& lamp, const colour::Spectrum& white,
                      const std::shared_ptr<const light::FixtureType>& tungsten,
                      const colour::CamerasPtr& cameras) {
    FullNumbers n;
    const auto& mixer = *lamp.mixer;
    if (!(lamp.sent.xyz.Y > 0))
        return n;
    const auto got = light::spectrumOf(mixer.type(), lamp.sent.drives);
    const auto g = indicesOf(got);
    const light::Wanted* wanted = lamp.colour ? &lamp.colour->wanted : nullptr;
    const auto w = wanted && wanted->spectrum ? indicesOf(*wanted->spectrum) : Indices{};
    const auto add = [&](const QString& name, double a, double b, int decimals,
                         const QString& unit = {}) {
        n.rows.push_back({name, a, b, decimals, unit});
    };
    add(QObject::tr("correlated colour temperature"), w.kelvin, g.kelvin, 0, "K");
    add(QObject::tr("Duv"), w.duv, g.duv, 4);
    add("R_a", w.ra, g.ra, 0);
    add("R9", w.r9, g.r9, 0);
    add("R_f", w.rf, g.rf, 0);
    add("R_g", w.rg, g.rg, 0);
    add(QObject::tr("brightness"), NAN, lamp.sent.xyz.Y, 0, "cd");
    add(QObject::tr("power"), NAN, mixer.powerOf(lamp.sent.drives), 0, "W");
    n.bins = g.tm30;
    if (!wanted)
        return n;
    mix::MixWish brightest;
    brightest.intent = mix::Intent::Brightest;
    brightest.keep_out = lamp.colour->wish.keep_out;
    brightest.pins = lamp.colour->wish.pins;
    const double most = mixer.xyzOf(mixer.solve(*wanted, brightest).drives).Y;
    if (tungsten && wanted->lamp && wanted->transmitted > 0) {
        const double gelled = tungsten->emitters[0].xyz().Y * wanted->transmitted;
        add(QObject::tr("of %1 with this gel").arg(toQt(tungsten->name)), NAN,
            100 * lamp.sent.xyz.Y / gelled, 0, "%");
    }
    add(QObject::tr("of the brightest mix"), NAN, most > 0 ? 100 * lamp.sent.xyz.Y / most : NAN, 0,
        "%");
    if (!wanted->spectrum)
        return n;
    add(QObject::tr("SSI to the wanted light"), NAN,
        colour::spectralSimilarity(got, *wanted->spectrum).value_or(NAN), 0);
    add(QObject::tr("agreement on 99 surfaces"), NAN,
        colour::agreementOf(*wanted->spectrum, got, wanted->lamp.value_or(white)), 0);
    for (const auto& miss : mix::missByObserver(*wanted->spectrum, got))
        n.observers.emplace_back(observerName(miss.observer), miss.miss_uv);
    if (cameras)
        for (const auto& camera : mix::missByCamera(*wanted->spectrum, got, *cameras))
            n.observers.emplace_back(QObject::tr("%1, shares of r g").arg(toQt(camera.name)),
                                     camera.miss.value_or(NAN));
    return n;
}

} // namespace

FullReadings::FullReadings(Document& document, FocusModel& focus, QWidget* parent)
    : Overlay(parent), document_(document), focus_(focus) {
    setAccessibleName(tr("Readings in full"));
    setToolTip(tr("Every number of the type in focus (I or a press closes)"));
    connect(&focus_, &FocusModel::rowsChanged, this, &FullReadings::ask);
}

void FullReadings::open() {
    Overlay::open();
    ask();
}

const FullNumbers::Row* FullReadings::row(const QString& name) const {
    for (const auto& r : numbers_.rows)
        if (r.name == name)
            return &r;
    return nullptr;
}

void FullReadings::ask() {
    const TypeRow* row = focus_.focus();
    if (!isVisible() || !row)
        return;
    document_.later(
        "full readings", this,
        [lamp = row->lamp, white = Kelvin{document_.show().white_cct_k},
         tungsten = document_.library().type("eider-1000"),
         cameras = document_.sources()->cameras()] {
            return numbersOf(lamp, colour::lampOf(white), tungsten, cameras);
        },
        [this](const FullNumbers& numbers) {
            numbers_ = numbers;
            update();
            emit computed();
        });
}

void FullReadings::mousePressEvent(QMouseEvent*) {
    hide();
}

// Sixteen bins: where each one's colours go under this light (bright) from the reference (circle).
void FullReadings::paintBins(QPainter& p, const QRectF& room) const {
    const QPointF centre = room.center();
    const double r = room.width() * 0.36;
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().faint, 1));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(centre, r, r);
    QPolygonF shifted;
    for (std::size_t i = 0; i < numbers_.bins->bins.size(); ++i) {
        const auto& bin = numbers_.bins->bins[i];
        const double angle = (static_cast<double>(i) + 0.5) * 22.5 * std::numbers::pi / 180;
        const double to = angle + bin.hue_shift;
        const QPointF from = centre + r * QPointF(std::cos(angle), -std::sin(angle));
        const QPointF there =
            centre + r * (1 + bin.chroma_shift) * QPointF(std::cos(to), -std::sin(to));
        p.setPen(QPen(theme().text, 1));
        p.drawLine(from, there);
        p.setPen(Qt::NoPen);
        p.setBrush(theme().text);
        p.drawEllipse(there, 2, 2);
        shifted << there;
        const QPointF label = centre + (r + 20) * QPointF(std::cos(angle), -std::sin(angle));
        drawTextCentred(p, static_cast<int>(label.x()), static_cast<int>(label.y()) + 4,
                        numberText(bin.rf, 0), typeface(Type::Small),
                        bin.rf < 80 ? theme().bright : theme().dim);
    }
    p.setPen(QPen(theme().bright, 1.5));
    p.setBrush(Qt::NoBrush);
    p.drawPolygon(shifted);
}

void FullReadings::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const TypeRow* row = focus_.focus();
    const int w =
        drawText(p, kMargin, 36, tr("Readings in full"), typeface(Type::Title), theme().bright);
    drawText(p, kMargin + w + 14, 36,
             row ? tr("%1, at full; I closes").arg(focus_.lampsText()) : QString(),
             typeface(Type::Small), theme().dim);
    const int bin_width = std::clamp(width() - 3 * kMargin - 376, 200, 290);
    const int got_right = std::min(kMargin + 350, width() - 3 * kMargin - bin_width - 26);
    const int wanted_right = got_right - 66;
    int y = 76;
    drawTextRight(p, wanted_right, y, tr("wanted"), typeface(Type::Small), theme().dim);
    drawTextRight(p, got_right, y, tr("got"), typeface(Type::Small), theme().dim);
    p.fillRect(kMargin, y + 6, got_right - kMargin + 26, 1, theme().hair);
    for (const auto& r : numbers_.rows) {
        y += kRow;
        drawElided(p, kMargin, y, wanted_right - 60 - kMargin, r.name, typeface(Type::Work),
                   theme().text);
        if (std::isfinite(r.wanted))
            drawTextRight(p, wanted_right, y, numberText(r.wanted, r.decimals),
                          typeface(Type::Work), theme().text);
        drawTextRight(p, got_right, y, numberOrDash(r.got, r.decimals), typeface(Type::Work),
                      theme().bright);
        drawText(p, got_right + 5, y, r.unit, typeface(Type::Small), theme().dim);
    }
    y += kRow + 20;
    if (!numbers_.observers.empty()) {
        drawEnds(p, kMargin, got_right, y,
                 {tr("Miss as other observers see it"), typeface(Type::Work), theme().bright,
                  tr("Δu′v′"), typeface(Type::Small), theme().dim});
        p.fillRect(kMargin, y + 6, got_right - kMargin + 26, 1, theme().hair);
        for (const auto& [name, miss] : numbers_.observers) {
            y += kRow;
            drawText(p, kMargin, y, name, typeface(Type::Work), theme().text);
            drawTextRight(p, got_right, y, numberOrDash(miss, 4), typeface(Type::Work),
                          theme().bright);
        }
    }
    const QRectF bins(width() - kMargin - bin_width, 60, bin_width, bin_width);
    if (numbers_.bins) {
        drawText(p, static_cast<int>(bins.left()), 76, tr("Hue bins of TM-30"),
                 typeface(Type::Work), theme().bright);
        paintBins(p, bins.translated(0, 24));
        drawWrapped(p, QRect(bins.toRect().left(), bins.toRect().bottom() + 34, bin_width, 50),
                    tr("circle: the reference; figures: the fidelity of each bin"),
                    typeface(Type::Small), theme().dim);
    } else {
        drawWrapped(p, bins.toRect(),
                    tr("The rendering indices mean something near white only (Duv within 0.0054): "
                       "this light is a colour."),
                    typeface(Type::Small), theme().dim);
    }
}

} // namespace zelo::desk
