// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/rendering.h"

#include "colour/appearance.h"
#include "colour/lamp.h"
#include "colour/surfaces.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::colour {

namespace {

constexpr double kPi = std::numbers::pi;

// ΔE to the scale of R_f. Source: TM-30-18 equations 15 and 16.
double scaledFidelity(double delta_e) {
    return 10 * std::log1p(std::exp((100 - 6.73 * delta_e) / 10));
}

// --- CIE 13.3 --------------------------------------------------------------------------------

struct Uv60 {
    double u, v;
};
Uv60 uv60(const Xyz& c) {
    const Uv uv = toUv(c);
    return {uv.u, uv.v * 2 / 3};
}
double cOf(const Uv60& p) {
    return (4 - p.u - 10 * p.v) / p.v;
}
double dOf(const Uv60& p) {
    return (1.708 * p.v + 0.404 - 1.481 * p.u) / p.v;
}

// --- TM-30 -----------------------------------------------------------------------------------

Spectrum tm30Reference(Kelvin t) {
    if (t.value < 4000)
        return blackbody(t);
    if (t.value > 5000)
        return t.value > kDaylightToK ? blackbody(t) : daylight(t);
    const Spectrum p = blackbody(t);
    const Spectrum d = daylight(t);
    const double part = (t.value - 4000) / 1000;
    const auto unit = [](const Spectrum& s) {
        return s.scaled(1 / toXyz(s, Observer::Cie1964_10).Y);
    };
    return unit(p).scaled(1 - part) + unit(d).scaled(part);
}

using SampleUcs = std::array<Ucs, kSamplesTm30>;

SampleUcs samplesUnder(const Spectrum& light, Appearance::Model model, const Xyz& white,
                       double scale) {
    std::array<Xyz, kSamplesTm30> xyz;
    Surfaces::tm30().under(light, xyz);
    const Appearance eye(model, white);
    SampleUcs ucs;
    for (std::size_t i = 0; i < xyz.size(); ++i)
        ucs[i] = eye.of(scale * xyz[i]);
    return ucs;
}

double polygonArea(const std::array<HueBin, 16>& bins, bool test) {
    double area = 0;
    for (std::size_t i = 0; i < bins.size(); ++i) {
        const HueBin& p = bins[i];
        const HueBin& q = bins[(i + 1) % bins.size()];
        area += test ? p.test_a * q.test_b - q.test_a * p.test_b
                     : p.reference_a * q.reference_b - q.reference_a * p.reference_b;
    }
    return area / 2;
}

} // namespace

Cie13 cie13Of(const Spectrum& light, Kelvin cct) {
    const Spectrum reference =
        cct.value < 5000 || cct.value > kDaylightToK ? blackbody(cct) : daylight(cct);
    std::array<Xyz, kSamplesCie13> test;
    std::array<Xyz, kSamplesCie13> ref;
    Surfaces::cie13().under(light, test);
    Surfaces::cie13().under(reference, ref);
    const Xyz white_t = toXyz(light);
    const Xyz white_r = toXyz(reference);
    const Uv60 t = uv60(white_t);
    const Uv60 r = uv60(white_r);
    const double c_ratio = cOf(r) / cOf(t);
    const double d_ratio = dOf(r) / dOf(t);
    Cie13 found;
    for (std::size_t i = 0; i < kSamplesCie13; ++i) {
        const Uv60 p = uv60(test[i]);
        const double c = c_ratio * cOf(p);
        const double d = d_ratio * dOf(p);
        const double below = 16.518 + 1.481 * c - d;
        const Uv60 adapted{(10.872 + 0.404 * c - 4 * d) / below, 5.520 / below};
        const Uv60 q = uv60(ref[i]);
        const double wt = 25 * std::cbrt(100 * test[i].Y / white_t.Y) - 17;
        const double wr = 25 * std::cbrt(100 * ref[i].Y / white_r.Y) - 17;
        const double du = 13 * wr * (q.u - r.u) - 13 * wt * (adapted.u - r.u);
        const double dv = 13 * wr * (q.v - r.v) - 13 * wt * (adapted.v - r.v);
        found.r[i] = 100 - 4.6 * std::sqrt(du * du + dv * dv + (wr - wt) * (wr - wt));
        if (i < 8)
            found.ra += found.r[i] / 8;
    }
    return found;
}

Tm30 tm30Of(const Spectrum& light, Kelvin cct) {
    const Spectrum reference = tm30Reference(cct);
    const auto model = Appearance::Model::Cam02;
    const auto test = samplesUnder(light, model, toXyz(light, Observer::Cie1964_10), 1);
    const auto ref = samplesUnder(reference, model, toXyz(reference, Observer::Cie1964_10), 1);
    Tm30 found;
    std::array<double, 16> count{};
    std::array<double, 16> delta{};
    double all = 0;
    for (std::size_t i = 0; i < test.size(); ++i) {
        const double de = distance(test[i], ref[i]);
        all += de;
        double hue = std::atan2(ref[i].b, ref[i].a);
        if (hue < 0)
            hue += 2 * kPi;
        const auto b = std::min<std::size_t>(15, static_cast<std::size_t>(hue / (kPi / 8)));
        ++count[b];
        delta[b] += de;
        found.bins[b].test_a += test[i].a;
        found.bins[b].test_b += test[i].b;
        found.bins[b].reference_a += ref[i].a;
        found.bins[b].reference_b += ref[i].b;
    }
    found.rf = scaledFidelity(all / static_cast<double>(test.size()));
    for (std::size_t b = 0; b < 16; ++b) {
        HueBin& bin = found.bins[b];
        if (count[b] == 0)
            continue;
        for (double* v : {&bin.test_a, &bin.test_b, &bin.reference_a, &bin.reference_b})
            *v /= count[b];
        bin.rf = scaledFidelity(delta[b] / count[b]);
        const double middle = (static_cast<double>(b) + 0.5) * kPi / 8;
        const double size = std::hypot(bin.reference_a, bin.reference_b);
        const double da = bin.test_a - bin.reference_a;
        const double db = bin.test_b - bin.reference_b;
        bin.chroma_shift = (da * std::cos(middle) + db * std::sin(middle)) / size;
        bin.hue_shift = (-da * std::sin(middle) + db * std::cos(middle)) / size;
    }
    found.rg = 100 * polygonArea(found.bins, true) / polygonArea(found.bins, false);
    return found;
}

Kindness Kindness::fidelity(Kelvin cct) {
    const Spectrum reference = tm30Reference(cct);
    Kindness k;
    k.reference_ = samplesUnder(reference, Appearance::Model::Cam02,
                                toXyz(reference, Observer::Cie1964_10), 1);
    return k;
}

Kindness Kindness::agreement(const Spectrum& wanted, const Spectrum& lamp) {
    const Xyz white = toXyz(lamp, Observer::Cie1964_10);
    Kindness k;
    k.lamp_y_ = white.Y;
    k.eye_ = Appearance(Appearance::Model::Cam16, white);
    k.reference_ = samplesUnder(wanted, Appearance::Model::Cam16, white,
                                white.Y / toXyz(wanted, Observer::Cie1964_10).Y);
    return k;
}

double Kindness::score(std::span<const Xyz> samples, const Xyz& white) const {
    const Appearance own(Appearance::Model::Cam02, white);
    const Appearance& eye = eye_ ? *eye_ : own;
    const double scale = eye_ ? lamp_y_ / white.Y : 1;
    double all = 0;
    for (std::size_t i = 0; i < reference_.size(); ++i)
        all += distance(eye.of(scale * samples[i]), reference_[i]);
    return scaledFidelity(all / static_cast<double>(reference_.size()));
}

double agreementOf(const Spectrum& wanted, const Spectrum& mix, const Spectrum& lamp) {
    // Under a filtered lamp the perfect white is darker than the lamp itself; both lights are
    // brought to the lamp's luminance, so that colours are seen at the lightness they are shown.
    const auto observer = Observer::Cie1964_10;
    const Xyz white = toXyz(lamp, observer);
    const auto model = Appearance::Model::Cam16;
    const auto seen = [&](const Spectrum& s) {
        return samplesUnder(s, model, white, white.Y / toXyz(s, observer).Y);
    };
    const auto w = seen(wanted);
    const auto m = seen(mix);
    double all = 0;
    for (std::size_t i = 0; i < w.size(); ++i)
        all += distance(w[i], m[i]);
    return scaledFidelity(all / static_cast<double>(w.size()));
}

} // namespace zelo::colour
