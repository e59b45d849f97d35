// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/miss.h"

#include <numbers>

namespace zelo::mix {

using colour::Uv;

MissGrade gradeOf(double miss_uv) {
    return miss_uv < 0.001   ? MissGrade::Same
           : miss_uv < 0.003 ? MissGrade::SideBySide
           : miss_uv < 0.006 ? MissGrade::Close
           : miss_uv < 0.015 ? MissGrade::Visible
                             : MissGrade::Different;
}

MissWay wayOf(const Uv& wanted, const Uv& got, const Uv& white) {
    const Uv off = got - wanted;
    const double size = std::hypot(off.u, off.v);
    if (size < 1e-9)
        return MissWay::None;
    const Uv out = wanted - white;
    const double saturation = std::hypot(out.u, out.v);
    // Mostly along the line to white: the hue stayed. (cos 37°)
    if (saturation > 0.01) {
        const double along = dot(off, out) / (size * saturation);
        if (along < -0.8)
            return MissWay::Paler;
        if (along > 0.8)
            return MissWay::Deeper;
    }
    // Six directions of the u'v' plane, as hues lie round white in it: degrees from +u'.
    constexpr struct {
        double from_deg;
        MissWay way;
    } kSectors[] = {{-180, MissWay::Greener}, {-130, MissWay::Bluer},  {-60, MissWay::Pinker},
                    {-10, MissWay::Redder},   {50, MissWay::Yellower}, {100, MissWay::Greener}};
    const double deg = std::atan2(off.v, off.u) * 180 / std::numbers::pi;
    MissWay way = MissWay::Greener;
    for (const auto& s : kSectors)
        if (deg >= s.from_deg)
            way = s.way;
    return way;
}

double spectralMiss(const colour::Spectrum& got, const colour::Spectrum& wanted) {
    const double yg = colour::toXyz(got).Y;
    const double yw = colour::toXyz(wanted).Y;
    if (!(yg > 0 && yw > 0))
        return HUGE_VAL;
    double off = 0;
    double all = 0;
    for (std::size_t i = 0; i < colour::kGridSize; ++i) {
        const double w = wanted[i] / yw;
        off += (got[i] / yg - w) * (got[i] / yg - w);
        all += w * w;
    }
    return std::sqrt(off / all);
}

std::array<ObserverMiss, 4> missByObserver(const colour::Spectrum& wanted,
                                           const colour::Spectrum& got) {
    using colour::Observer;
    std::array<ObserverMiss, 4> all;
    std::size_t i = 0;
    for (const auto o :
         {Observer::Cie1931_2, Observer::Cie1964_10, Observer::Cie2015_2, Observer::Cie2015_10}) {
        const auto w = colour::toXyz(wanted, o);
        const auto g = colour::toXyz(got, o);
        const bool both = colour::hasChromaticity(w) && colour::hasChromaticity(g);
        all[i++] = {o, both ? colour::distance(colour::toUv(w), colour::toUv(g)) : NAN};
    }
    return all;
}

const char* words(colour::Observer observer) {
    switch (observer) {
    case colour::Observer::Cie1931_2:
        return "CIE 1931 2°";
    case colour::Observer::Cie1964_10:
        return "CIE 1964 10°";
    case colour::Observer::Cie2015_2:
        return "CIE 2015 2°";
    case colour::Observer::Cie2015_10:
        break;
    }
    return "CIE 2015 10°";
}

const char* words(MissGrade grade) {
    switch (grade) {
    case MissGrade::Same:
        return "same";
    case MissGrade::SideBySide:
        return "side by side only";
    case MissGrade::Close:
        return "close";
    case MissGrade::Visible:
        return "visible";
    case MissGrade::Different:
        break;
    }
    return "a different colour";
}

const char* words(MissWay way) {
    switch (way) {
    case MissWay::None:
        return "";
    case MissWay::Paler:
        return "paler";
    case MissWay::Deeper:
        return "deeper";
    case MissWay::Redder:
        return "redder";
    case MissWay::Greener:
        return "greener";
    case MissWay::Bluer:
        return "bluer";
    case MissWay::Yellower:
        return "yellower";
    case MissWay::Pinker:
        break;
    }
    return "pinker";
}

} // namespace zelo::mix
