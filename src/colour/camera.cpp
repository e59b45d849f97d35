// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/camera.h"

#include "base/sentence.h"
#include "colour/observer.h"
#include "colour/surfaces.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <span>

namespace zelo::colour {

namespace {

constexpr int kFromNm = 400, kToNm = 700; // that must be known
constexpr double kWidestGapNm = 20;
constexpr double kFlat = 0.01;      // of its peak: a channel that varies less tells nothing
constexpr double kLeastSeen = 1e-6; // of what its peak would see
constexpr const char* kChannels[] = {"r", "g", "b"};

double sumOf(const Grid& row, const Spectrum& light) {
    double sum = 0;
    for (std::size_t i = 0; i < kGridSize; ++i)
        sum += row[i] * light[i];
    return sum;
}

Done checkRange(const Samples& s, const char* name) {
    if (auto ok = checkSamples(s); !ok)
        return passOn(ok.error(), name);
    const auto& nm = s.wavelengths_nm;
    if (nm.front() > kFromNm || nm.back() < kToNm)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: known from {} to {} nm: expected 400 to 700 at least"),
                    name, nm.front(), nm.back());
    for (std::size_t i = 1; i < nm.size(); ++i)
        if (nm[i] - nm[i - 1] > kWidestGapNm && nm[i] > kFromNm && nm[i - 1] < kToNm)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "{}, row {}: a gap from {} to {} nm: at most {} nm"),
                        name, i + 1, nm[i - 1], nm[i], kWidestGapNm);
    return {};
}

Done checkChannel(const Spectrum& s, const char* name) {
    const std::span seen = std::span(s.values()).subspan(kFromNm - kGridFirstNm, kToNm - kFromNm);
    const auto [least, most] = std::minmax_element(seen.begin(), seen.end());
    if (!(*most > 0))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} sees nothing"), name);
    if (*most - *least < kFlat * *most)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} sees all wavelengths alike: it tells no colours apart"),
                    name);
    return {};
}

} // namespace

const ShareRows& eyeShares() {
    static const ShareRows rows = [] {
        const auto& f = matchingFunctions(Observer::Cie1931_2);
        ShareRows r;
        for (std::size_t i = 0; i < kGridSize; ++i) {
            r.first[i] = 4 * f.x[i];
            r.second[i] = 9 * f.y[i];
            r.of[i] = f.x[i] + 15 * f.y[i] + 3 * f.z[i];
        }
        return r;
    }();
    return rows;
}

Result<Camera::Channels> channelsFrom(const std::array<Samples, 3>& samples) {
    Camera::Channels channels;
    for (std::size_t k = 0; k < 3; ++k) {
        if (auto ok = checkRange(samples[k], kChannels[k]); !ok)
            return passOn(ok.error());
        auto sensitivity = lightFromSamples(samples[k]);
        if (!sensitivity)
            return passOn(sensitivity.error(), kChannels[k]);
        channels[k] = std::move(*sensitivity);
        if (auto ok = checkChannel(channels[k], kChannels[k]); !ok)
            return passOn(ok.error());
    }
    return channels;
}

Result<Camera> Camera::of(std::string name, const Channels& channels, const Spectrum& white) {
    Camera c;
    c.name_ = std::move(name);
    const double y = toXyz(white).Y;
    if (!(y > 0))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "the white that {} is balanced to is "
                                      "dark"),
                    c.name_);
    c.white_ = white.scaled(1 / y);
    for (std::size_t k = 0; k < 3; ++k) {
        if (auto ok = checkChannel(channels[k], kChannels[k]); !ok)
            return passOn(ok.error());
        const Grid& values = channels[k].values();
        const double of_white = sumOf(values, c.white_);
        const double peak = *std::max_element(values.begin(), values.end());
        double all = 0;
        for (std::size_t i = 0; i < kGridSize; ++i)
            all += peak * c.white_[i];
        if (!(of_white > kLeastSeen * all))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "{} of {} does not see the white it is balanced to"),
                        kChannels[k], c.name_);
        for (std::size_t i = 0; i < kGridSize; ++i)
            c.rows_[k][i] = values[i] / of_white;
    }
    for (std::size_t i = 0; i < kGridSize; ++i) {
        c.shares_.first[i] = c.rows_[0][i];
        c.shares_.second[i] = c.rows_[1][i];
        c.shares_.of[i] = c.rows_[0][i] + c.rows_[1][i] + c.rows_[2][i];
    }
    // Rows of the matrix one by one: least ‖A m − t‖ with the three of m adding up to the white's.
    const auto& surfaces = Surfaces::tm30();
    const auto& f = matchingFunctions(Observer::Cie1931_2);
    const auto n = static_cast<Eigen::Index>(surfaces.size());
    Eigen::MatrixXd seen(n, 3), eye(n, 3);
    for (Eigen::Index s = 0; s < n; ++s) {
        seen.row(s).setZero();
        eye.row(s).setZero();
        for (std::size_t i = 0; i < kGridSize; ++i) {
            const double back = surfaces.reflectance(static_cast<std::size_t>(s), i) * c.white_[i];
            seen.row(s) += back * Eigen::RowVector3d(c.rows_[0][i], c.rows_[1][i], c.rows_[2][i]);
            eye.row(s) += back * kMaximumEfficacy * Eigen::RowVector3d(f.x[i], f.y[i], f.z[i]);
        }
    }
    const Xyz w = toXyz(c.white_);
    const double of_white[3] = {w.X, w.Y, w.Z};
    Eigen::MatrixXd sides(n, 2); // the third is what the white leaves
    sides.col(0) = seen.col(0) - seen.col(2);
    sides.col(1) = seen.col(1) - seen.col(2);
    double off = 0;
    for (Eigen::Index row = 0; row < 3; ++row) {
        const Eigen::VectorXd left = eye.col(row) - of_white[row] * seen.col(2);
        const Eigen::Vector2d m = sides.completeOrthogonalDecomposition().solve(left);
        off += (sides * m - left).squaredNorm();
        c.to_xyz_[static_cast<std::size_t>(row)] = {m[0], m[1], of_white[row] - m[0] - m[1]};
    }
    c.shown_error_ = std::sqrt(off / static_cast<double>(3 * n));
    return c;
}

Camera::Rgb Camera::seen(const Spectrum& light) const {
    return {sumOf(rows_[0], light), sumOf(rows_[1], light), sumOf(rows_[2], light)};
}

std::optional<Camera::Chromaticity> Camera::chromaticityOf(const Spectrum& light) const {
    const Rgb rgb = seen(light);
    const double sum = rgb[0] + rgb[1] + rgb[2];
    double power = 0;
    for (std::size_t i = 0; i < kGridSize; ++i)
        power += light[i];
    const double peak = *std::max_element(shares_.of.begin(), shares_.of.end());
    if (!(sum > kLeastSeen * peak * power))
        return std::nullopt;
    return Chromaticity{rgb[0] / sum, rgb[1] / sum};
}

std::optional<double> Camera::miss(const Spectrum& a, const Spectrum& b) const {
    const auto one = chromaticityOf(a);
    const auto other = chromaticityOf(b);
    if (!one || !other)
        return std::nullopt;
    return std::hypot(one->r - other->r, one->g - other->g);
}

Xyz Camera::shown(const Spectrum& light) const {
    const Rgb rgb = seen(light);
    const auto row = [&](std::size_t k) {
        return to_xyz_[k][0] * rgb[0] + to_xyz_[k][1] * rgb[1] + to_xyz_[k][2] * rgb[2];
    };
    return {row(0), row(1), row(2)};
}

Xyz Camera::chart(const Spectrum& light) const {
    const Rgb c = seen(light);
    return {0.4124 * c[0] + 0.3576 * c[1] + 0.1805 * c[2],
            0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2],
            0.0193 * c[0] + 0.1192 * c[1] + 0.9505 * c[2]};
}

} // namespace zelo::colour
