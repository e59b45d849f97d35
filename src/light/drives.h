// SPDX-License-Identifier: GPL-3.0-or-later
// Drives: how each part of a fixture is set, 0..1, in the order of its parts (fixture_type.h):
// emitters, then flags, wheels and engines where it has them. A fixed room for all, so that no hot
// path allocates.
#pragma once

#include "base/assert.h"

#include <array>
#include <cstddef>

namespace zelo::light {

inline constexpr std::size_t kMostParts = 24;

class Drives {
public:
    Drives() : size_(0) {}
    explicit Drives(std::size_t size, double value = 0) : size_(size) {
        ZELO_ASSERT(size <= kMostParts);
        for (std::size_t i = 0; i < size; ++i)
            values_[i] = value;
    }
    std::size_t size() const { return size_; }
    bool empty() const { return size_ == 0; }
    double& operator[](std::size_t i) { return values_[i]; }
    double operator[](std::size_t i) const { return values_[i]; }
    double* begin() { return values_.data(); }
    double* end() { return values_.data() + size_; }
    const double* begin() const { return values_.data(); }
    const double* end() const { return values_.data() + size_; }

    // Share of the light that a dimmer lets through, where it acts on the light as a whole and not
    // on each drive: droop makes these two things.
    double dim = 1;

    Drives(const Drives& o) : dim(o.dim), size_(o.size_) { copyFrom(o); }
    Drives& operator=(const Drives& o) {
        dim = o.dim;
        size_ = o.size_;
        copyFrom(o);
        return *this;
    }

    Drives scaled(double factor) const {
        Drives out = *this;
        for (double& d : out)
            d *= factor;
        return out;
    }
    friend bool operator==(const Drives& a, const Drives& b) {
        if (a.size_ != b.size_ || a.dim != b.dim)
            return false;
        for (std::size_t i = 0; i < a.size_; ++i)
            if (a.values_[i] != b.values_[i])
                return false;
        return true;
    }

private:
    void copyFrom(const Drives& o) {
        for (std::size_t i = 0; i < size_; ++i)
            values_[i] = o.values_[i];
    }
    std::size_t size_;
    std::array<double, kMostParts> values_; // the first size_ are set; the rest costs nothing
};

} // namespace zelo::light
