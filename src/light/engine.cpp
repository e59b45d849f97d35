// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/engine.h"

#include "base/assert.h"
#include "colour/cct.h"
#include "colour/observer.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::light {

using colour::Uv;
using colour::Xyz;

namespace {

constexpr double kDegree = std::numbers::pi / 180;
constexpr double kHottestK = 25'000;
constexpr double kColdestK = 1'000;
constexpr int kTableKelvins = 100, kTableTints = 20;
constexpr double kMostDuv = 0.05;

double angleOf(const Uv& p) { // 0..360
    const double a = std::atan2(p.v, p.u) / kDegree;
    return a < 0 ? a + 360 : a;
}

// A channel may say that it begins at 0 K.
Kelvin kelvinOf(double value) {
    return {std::clamp(std::isnan(value) ? kHottestK : value, kColdestK, kHottestK)};
}
double duvOf(double value) {
    return std::clamp(std::isnan(value) ? 0 : value, -kMostDuv, kMostDuv);
}

} // namespace

double EngineAxis::setting(double value) const {
    return to == from ? 0 : std::clamp((value - from) / (to - from), 0.0, 1.0);
}

void Engine::arrange() {
    white_xyz_ = colour::toXyz(white);
    ZELO_ASSERT(colour::hasChromaticity(white_xyz_) && corners.size() >= 3);
    white_uv_ = colour::toUv(white_xyz_);
    corner_xyz_.clear();
    std::vector<Uv> points;
    for (const auto& c : corners) {
        corner_xyz_.push_back(colour::toXyz(c));
        points.push_back(colour::hasChromaticity(corner_xyz_.back())
                             ? colour::toUv(corner_xyz_.back())
                             : white_uv_);
    }
    hull_ = colour::Polygon(points);
    corner_of_.clear(); // some lie within, or are named twice
    for (const Uv& at : hull_.corners())
        corner_of_.push_back(
            static_cast<std::size_t>(std::find(points.begin(), points.end(), at) - points.begin()));
    table_.clear();
    if (kind == EngineKind::CctTint) {
        const double low = std::clamp(std::min(first.from, first.to), kColdestK, kHottestK);
        const double high = std::clamp(std::max(first.from, first.to), kColdestK, kHottestK);
        for (int i = 0; i <= kTableKelvins; ++i) {
            const double a = first.setting(low * std::pow(high / low, 1.0 * i / kTableKelvins));
            const colour::LocusPlace place(kelvinOf(first.value(a)));
            for (int j = 0; j <= kTableTints; ++j) {
                const double b = 1.0 * j / kTableTints;
                table_.emplace_back(Setting{a, b}, held(place.beside(duvOf(second.value(b)))));
            }
        }
    }
    white_setting_ = settingFor(white_uv_);
}

// Distance from the white to the gamut's edge in a direction.
double Engine::edge(double angle) const {
    return hull_.ray(white_uv_, {std::cos(angle * kDegree), std::sin(angle * kDegree)}).far;
}

Uv Engine::held(const Uv& uv) const {
    const Uv out = uv - white_uv_;
    const double far = std::hypot(out.u, out.v);
    const double most = far > 0 ? edge(angleOf(out)) : 0;
    return far > most ? white_uv_ + most / far * out : uv;
}

Uv Engine::uvOf(double first_setting, double second_setting) const {
    const double a = first.value(first_setting);
    const double b = second.value(second_setting);
    switch (kind) {
    case EngineKind::HueSaturation: {
        const double far = std::clamp(second_setting, 0.0, 1.0) * edge(a);
        return white_uv_ + far * Uv{std::cos(a * kDegree), std::sin(a * kDegree)};
    }
    case EngineKind::CctTint:
        return held(colour::uvOf({kelvinOf(a), duvOf(b)}));
    case EngineKind::Chromaticity:
        break;
    }
    const colour::Xy xy{std::clamp(a, 0.0, 1.0), std::clamp(b, 1e-6, 1.0)};
    return held(colour::toUv(colour::toXyz(xy)));
}

Engine::Setting Engine::settingFor(const Uv& uv) const {
    switch (kind) {
    case EngineKind::HueSaturation: {
        const Uv out = held(uv) - white_uv_;
        const double far = std::hypot(out.u, out.v);
        const double most = far > 0 ? edge(angleOf(out)) : 0;
        return {first.setting(angleOf(out)), most > 0 ? std::min(1.0, far / most) : 0};
    }
    case EngineKind::CctTint: {
        if (const auto cct = colour::cctOf(uv))
            return {first.setting(cct->cct.value), second.setting(cct->duv)};
        // Far off the locus: the nearest of a fine table.
        Setting best{0, 0};
        double least = HUGE_VAL;
        for (const auto& [setting, at] : table_)
            if (const double d = colour::distance(at, uv); d < least) {
                least = d;
                best = setting;
            }
        return best;
    }
    case EngineKind::Chromaticity:
        break;
    }
    const auto xy = colour::toXy(colour::toXyz(held(uv)));
    return {first.setting(xy.x), second.setting(xy.y)};
}

Engine::Shares Engine::sharesOf(const Uv& uv) const {
    const Uv out = uv - white_uv_;
    if (std::hypot(out.u, out.v) < 1e-12)
        return {};
    const auto ray = hull_.ray(white_uv_, out);
    if (!(ray.far > 0))
        return {};
    const double s = std::min(1.0, 1 / ray.far);
    const std::size_t i = corner_of_[ray.edge];
    const std::size_t j = corner_of_[ray.edge + 1 < corner_of_.size() ? ray.edge + 1 : 0];
    // Shares of light from shares of the way, by the weights of the two lights.
    const double wa = colour::weightUv(corner_xyz_[i]);
    const double wb = colour::weightUv(corner_xyz_[j]);
    const double b = ray.part * wa / ((1 - ray.part) * wb + ray.part * wa);
    const double we = (1 - b) * wa + b * wb;
    const double ww = colour::weightUv(white_xyz_);
    const double e = s * ww / ((1 - s) * we + s * ww);
    return {i, j, e * (1 - b), e * b, 1 - e};
}

colour::Spectrum Engine::lightOf(const Uv& uv) const {
    const Shares s = sharesOf(uv);
    return corners[s.a].scaled(s.of_a) + corners[s.b].scaled(s.of_b) + white.scaled(s.of_white);
}

Xyz Engine::xyzOf(const Uv& uv) const {
    const Shares s = sharesOf(uv);
    return s.of_a * corner_xyz_[s.a] + s.of_b * corner_xyz_[s.b] + s.of_white * white_xyz_;
}

} // namespace zelo::light
