// SPDX-License-Identifier: GPL-3.0-or-later
// Tristimulus values and chromaticities. Absolute: Y of a light is its luminous intensity in cd.
#pragma once

#include <cmath>

namespace zelo::colour {

struct Xyz {
    double X = 0;
    double Y = 0;
    double Z = 0;

    Xyz& operator+=(const Xyz& o) {
        X += o.X;
        Y += o.Y;
        Z += o.Z;
        return *this;
    }
    friend Xyz operator+(Xyz a, const Xyz& b) { return a += b; }
    friend Xyz operator-(const Xyz& a, const Xyz& b) { return {a.X - b.X, a.Y - b.Y, a.Z - b.Z}; }
    friend Xyz operator*(double f, const Xyz& a) { return {f * a.X, f * a.Y, f * a.Z}; }
    friend bool operator==(const Xyz&, const Xyz&) = default;
};

inline double dot(const Xyz& a, const Xyz& b) {
    return a.X * b.X + a.Y * b.Y + a.Z * b.Z;
}
inline Xyz cross(const Xyz& a, const Xyz& b) {
    return {a.Y * b.Z - a.Z * b.Y, a.Z * b.X - a.X * b.Z, a.X * b.Y - a.Y * b.X};
}
inline double norm(const Xyz& a) {
    return std::sqrt(dot(a, a));
}

struct Xy { // CIE 1931 chromaticity
    double x = 0;
    double y = 0;
};

struct Uv { // CIE 1976 u', v': the plane of reach, miss and routes
    double u = 0;
    double v = 0;
    friend Uv operator+(const Uv& a, const Uv& b) { return {a.u + b.u, a.v + b.v}; }
    friend Uv operator-(const Uv& a, const Uv& b) { return {a.u - b.u, a.v - b.v}; }
    friend Uv operator*(double f, const Uv& a) { return {f * a.u, f * a.v}; }
    friend bool operator==(const Uv&, const Uv&) = default;
};

inline double dot(const Uv& a, const Uv& b) {
    return a.u * b.u + a.v * b.v;
}
inline double cross(const Uv& a, const Uv& b) {
    return a.u * b.v - a.v * b.u;
}
inline double distance(const Uv& a, const Uv& b) { // Δu'v'
    return std::sqrt(dot(a - b, a - b)); // hypot would guard against sizes that u'v' never has
}

// What a light weighs in the u'v' plane: mixed lights lie between theirs in these shares.
inline double weightUv(const Xyz& c) {
    return c.X + 15 * c.Y + 3 * c.Z;
}

// True when the light is bright enough to have a chromaticity.
inline bool hasChromaticity(const Xyz& c) {
    return weightUv(c) > 0;
}

// CIE 1976 UCS. Source: CIE 15:2018.  u' = 4X / (X + 15Y + 3Z)   v' = 9Y / (X + 15Y + 3Z)
// XYZ in any scale. Requires hasChromaticity(c).
inline Uv toUv(const Xyz& c) {
    const double weight = weightUv(c);
    return {4 * c.X / weight, 9 * c.Y / weight};
}
// Requires X + Y + Z > 0.
inline Xy toXy(const Xyz& c) {
    const double sum = c.X + c.Y + c.Z;
    return {c.X / sum, c.Y / sum};
}
// Y = 1. Requires v > 0, y > 0.
inline Xyz toXyz(const Uv& c) {
    return {9 * c.u / (4 * c.v), 1, (12 - 3 * c.u - 20 * c.v) / (4 * c.v)};
}
inline Xyz toXyz(const Xy& c) {
    return {c.x / c.y, 1, (1 - c.x - c.y) / c.y};
}

} // namespace zelo::colour
