// SPDX-License-Identifier: GPL-3.0-or-later
// How surfaces look under a light: CIE 13.3, TM-30-20 / CIE 224, and our agreement.
#pragma once

#include "colour/cct.h"
#include "colour/spectrum.h"

#include "colour/appearance.h"
#include "colour/surfaces.h"

#include <array>
#include <optional>
#include <span>

namespace zelo::colour {

// CIE 13.3-1995. Reference: blackbody below 5000 K, CIE daylight from there.
struct Cie13 {
    double ra = 0;              // mean of R1..R8
    std::array<double, 14> r{}; // R1..R14, unrounded; may be negative
};

struct HueBin {                    // one of 16, from the red axis on, 22.5° each
    double rf = 0;                 // local fidelity
    double chroma_shift = 0;       // share: +0.1 = 10 % more vivid
    double hue_shift = 0;          // radians, > 0 = counter-clockwise
    double test_a = 0, test_b = 0; // mean a', b' of the bin's samples
    double reference_a = 0, reference_b = 0;
};

// ANSI/IES TM-30-20; R_f is CIE 224:2017's too. Reference: blackbody below 4000 K, daylight above
// 5000 K, in between a blend in proportion.
struct Tm30 {
    double rf = 0;
    double rg = 0;
    std::array<HueBin, 16> bins{};
};

// Requires a CCT of this light within 1000..25000 K.
Cie13 cie13Of(const Spectrum& light, Kelvin cct);
Tm30 tm30Of(const Spectrum& light, Kelvin cct);

// These indices mean something for a light near the white locus only: |Duv| <= 0.0054.
inline constexpr double kIndexDuv = 0.0054;
inline bool indicesMeanSomething(const std::optional<Cct>& c) {
    return c && std::abs(c->duv) <= kIndexDuv;
}

// Agreement, ours: do surfaces look the same under `mix` as under `wanted`? The 99 samples of TM-30
// under both, scaled to equal luminance of a perfect white, the eye adapted to `lamp`; mean
// CAM16-UCS difference on the scale of R_f: 100 = the same. Requires light in all three.
double agreementOf(const Spectrum& wanted, const Spectrum& mix, const Spectrum& lamp);

// How kind a light is to surfaces, its reference side worked out once: for trying many mixes of one
// colour. Lights are given by the XYZ of the 99 samples under them, which add up over emitters.
class Kindness {
public:
    static Kindness fidelity(Kelvin cct); // R_f; cct as for tm30Of
    static Kindness agreement(const Spectrum& wanted, const Spectrum& lamp);

    // On the scale of R_f. `samples`: XYZ of Surfaces::tm30() under the light, `white`: of a
    // perfect white, both for the 10° observer. Cost: about 40 µs.
    double score(std::span<const Xyz> samples, const Xyz& white) const;

private:
    Kindness() = default;
    std::array<Ucs, kSamplesTm30> reference_{};
    std::optional<Appearance> eye_; // of agreement: adapted to the lamp
    double lamp_y_ = 0;
};

} // namespace zelo::colour
