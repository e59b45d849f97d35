// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/resample.h"

#include <algorithm>
#include <cmath>

namespace zelo::colour {

namespace {

constexpr double kFineStepNm = 5.0 + 1e-9;

std::size_t intervalOf(const Samples& s, double nm) {
    const auto after = std::upper_bound(s.wavelengths_nm.begin(), s.wavelengths_nm.end(), nm);
    const auto i = static_cast<std::size_t>(after - s.wavelengths_nm.begin());
    return std::clamp<std::size_t>(i, 1, s.wavelengths_nm.size() - 1) - 1;
}

double largestStep(const Samples& s) {
    double step = 0;
    for (std::size_t i = 1; i < s.values.size(); ++i)
        step = std::max(step, s.wavelengths_nm[i] - s.wavelengths_nm[i - 1]);
    return step;
}

bool evenlySpaced(const Samples& s) {
    const double step = s.wavelengths_nm[1] - s.wavelengths_nm[0];
    for (std::size_t i = 1; i < s.values.size(); ++i)
        if (std::abs(s.wavelengths_nm[i] - s.wavelengths_nm[i - 1] - step) > 1e-6 * step)
            return false;
    return true;
}

double linearAt(const Samples& s, double nm) {
    const auto i = intervalOf(s, nm);
    const double t = (nm - s.wavelengths_nm[i]) / (s.wavelengths_nm[i + 1] - s.wavelengths_nm[i]);
    return s.values[i] + (s.values[i + 1] - s.values[i]) * t;
}

// Slopes of the monotone piecewise cubic. Source: Fritsch and Butland, SIAM J. Sci. Stat. Comput.
// 5 (1984): weighted harmonic mean inside, three-point formula kept monotone at the ends.
std::vector<double> monotoneSlopes(const Samples& s) {
    const auto n = s.values.size();
    std::vector<double> h(n - 1);
    std::vector<double> d(n - 1);
    for (std::size_t i = 0; i + 1 < n; ++i) {
        h[i] = s.wavelengths_nm[i + 1] - s.wavelengths_nm[i];
        d[i] = (s.values[i + 1] - s.values[i]) / h[i];
    }
    std::vector<double> slope(n, 0.0);
    for (std::size_t i = 1; i + 1 < n; ++i) {
        if (d[i - 1] * d[i] <= 0)
            continue;
        const double w1 = 2 * h[i] + h[i - 1];
        const double w2 = h[i] + 2 * h[i - 1];
        slope[i] = (w1 + w2) / (w1 / d[i - 1] + w2 / d[i]);
    }
    const auto end = [](double h0, double h1, double d0, double d1) {
        const double m = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
        if (m * d0 <= 0)
            return 0.0;
        return d0 * d1 <= 0 && std::abs(m) > 3 * std::abs(d0) ? 3 * d0 : m;
    };
    slope.front() = end(h[0], h[1], d[0], d[1]);
    slope.back() = end(h[n - 2], h[n - 3], d[n - 2], d[n - 3]);
    return slope;
}

double cubicAt(const Samples& s, const std::vector<double>& slope, double nm) {
    const auto i = intervalOf(s, nm);
    const double h = s.wavelengths_nm[i + 1] - s.wavelengths_nm[i];
    const double t = (nm - s.wavelengths_nm[i]) / h;
    const double t2 = t * t;
    const double t3 = t2 * t;
    return s.values[i] * (2 * t3 - 3 * t2 + 1) + h * slope[i] * (t3 - 2 * t2 + t) +
           s.values[i + 1] * (3 * t2 - 2 * t3) + h * slope[i + 1] * (t3 - t2);
}

// Two points added at each end, so that the quintic has six everywhere. Source: CIE 167:2005.
std::vector<double> spragueExtended(const std::vector<double>& y) {
    const auto outer = [](const double* p, int step) {
        return (884 * p[0] - 1960 * p[step] + 3033 * p[2 * step] - 2648 * p[3 * step] +
                1080 * p[4 * step] - 180 * p[5 * step]) /
               209;
    };
    const auto inner = [](const double* p, int step) {
        return (508 * p[0] - 540 * p[step] + 488 * p[2 * step] - 367 * p[3 * step] +
                144 * p[4 * step] - 24 * p[5 * step]) /
               209;
    };
    std::vector<double> all{outer(y.data(), 1), inner(y.data(), 1)};
    all.insert(all.end(), y.begin(), y.end());
    const double* last = &y.back();
    all.push_back(inner(last, -1));
    all.push_back(outer(last, -1));
    return all;
}

// The quintic through y[2] (t = 0) and y[3] (t = 1) of six neighbours. Source: CIE 167:2005.
double spragueAt(const double* y, double t) {
    const double a0 = y[2];
    const double a1 = (2 * y[0] - 16 * y[1] + 16 * y[3] - 2 * y[4]) / 24;
    const double a2 = (-y[0] + 16 * y[1] - 30 * y[2] + 16 * y[3] - y[4]) / 24;
    const double a3 = (-9 * y[0] + 39 * y[1] - 70 * y[2] + 66 * y[3] - 33 * y[4] + 7 * y[5]) / 24;
    const double a4 =
        (13 * y[0] - 64 * y[1] + 126 * y[2] - 124 * y[3] + 61 * y[4] - 12 * y[5]) / 24;
    const double a5 = (-5 * y[0] + 25 * y[1] - 50 * y[2] + 50 * y[3] - 25 * y[4] + 5 * y[5]) / 24;
    return a0 + t * (a1 + t * (a2 + t * (a3 + t * (a4 + t * a5))));
}

template <class F>
Spectrum onGrid(F valueAt) {
    Grid grid{};
    for (std::size_t i = 0; i < kGridSize; ++i)
        if (const double v = valueAt(static_cast<double>(kGridFirstNm) + static_cast<double>(i));
            v >= kLeastValue)
            grid[i] = v;
    return Spectrum(grid);
}

} // namespace

Done checkSamples(const Samples& s) {
    const auto at = [](std::size_t i) { return say(ZELO_TEXT("core", "row {}"), i + 1); };
    const auto bad = [&](std::size_t i, const Sentence& what) {
        return passOn(Error{ErrorCode::BadValue, what, {}}, at(i));
    };
    if (s.wavelengths_nm.size() != s.values.size())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} wavelengths and {} values: must be as many"),
                    s.wavelengths_nm.size(), s.values.size());
    if (s.values.size() < 3)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} points: a spectrum needs at least 3"), s.values.size());
    if (s.values.size() > kMostSamples)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} points: at most {} are read"),
                    s.values.size(), kMostSamples);
    for (std::size_t i = 0; i < s.values.size(); ++i) {
        const double nm = s.wavelengths_nm[i];
        if (!(nm >= 50 && nm <= 5000))
            return bad(i, say(ZELO_TEXT("core", "wavelength {} nm: must be within 50..5000"), nm));
        if (i > 0 && nm <= s.wavelengths_nm[i - 1])
            return bad(i, say(ZELO_TEXT("core", "wavelength {} nm follows {} nm: must increase"),
                              nm, s.wavelengths_nm[i - 1]));
        if (!(s.values[i] >= 0 && s.values[i] <= kMostValue))
            return bad(i, say(ZELO_TEXT("core", "value {} at {} nm: must be a number, 0 to {}"),
                              s.values[i], nm, kMostValue));
    }
    return {};
}

Result<Spectrum> lightFromSamples(const Samples& s) {
    if (auto sound = checkSamples(s); !sound)
        return passOn(sound.error());
    const double first = s.wavelengths_nm.front();
    const double last = s.wavelengths_nm.back();
    const auto inside = [&](double nm) { return nm >= first - 1e-9 && nm <= last + 1e-9; };
    if (largestStep(s) <= kFineStepNm)
        return onGrid([&](double nm) { return inside(nm) ? linearAt(s, nm) : 0.0; });
    const auto slopes = monotoneSlopes(s);
    return onGrid([&](double nm) { return inside(nm) ? cubicAt(s, slopes, nm) : 0.0; });
}

Result<Spectrum> filterFromSamples(const Samples& s) {
    if (auto sound = checkSamples(s); !sound)
        return passOn(sound.error());
    const double first = s.wavelengths_nm.front();
    const double last = s.wavelengths_nm.back();
    const auto held = [&](double nm) { return std::clamp(nm, first, last); };
    if (evenlySpaced(s) && s.values.size() >= 6) {
        const auto y = spragueExtended(s.values);
        const double step = s.wavelengths_nm[1] - first;
        return onGrid([&](double nm) {
            const double x = (held(nm) - first) / step;
            const auto i = std::min(static_cast<std::size_t>(x), s.values.size() - 2);
            return spragueAt(&y[i], x - static_cast<double>(i));
        });
    }
    const auto slopes = monotoneSlopes(s);
    return onGrid([&](double nm) { return cubicAt(s, slopes, held(nm)); });
}

} // namespace zelo::colour
