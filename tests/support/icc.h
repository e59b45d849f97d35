// SPDX-License-Identifier: GPL-3.0-or-later
// An ICC profile of a monitor, as its maker would write one.
#pragma once

#include <lcms2.h>
#include <string>

namespace zelo {

inline constexpr cmsCIExyYTRIPLE kWidePrimaries{{0.68, 0.32, 1}, {0.265, 0.69, 1}, {0.15, 0.06, 1}};
inline constexpr cmsCIExyYTRIPLE kSrgbPrimaries{{0.64, 0.33, 1}, {0.30, 0.60, 1}, {0.15, 0.06, 1}};

// White D65, one gamma of 2.2.
inline std::string monitorProfile(const cmsCIExyYTRIPLE& primaries, const char* name) {
    const cmsCIExyY d65{0.3127, 0.3290, 1};
    cmsToneCurve* curve = cmsBuildGamma(nullptr, 2.2);
    cmsToneCurve* curves[] = {curve, curve, curve};
    cmsHPROFILE profile = cmsCreateRGBProfile(&d65, &primaries, curves);
    cmsMLU* text = cmsMLUalloc(nullptr, 1);
    cmsMLUsetASCII(text, "en", "US", name);
    cmsWriteTag(profile, cmsSigProfileDescriptionTag, text);
    cmsUInt32Number size = 0;
    cmsSaveProfileToMem(profile, nullptr, &size);
    std::string bytes(size, '\0');
    cmsSaveProfileToMem(profile, bytes.data(), &size);
    cmsMLUfree(text);
    cmsFreeToneCurve(curve);
    cmsCloseProfile(profile);
    return bytes;
}

} // namespace zelo
