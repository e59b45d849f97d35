// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/monitor.h"

#include <algorithm>
#include <cmath>
#include <lcms2.h>

namespace zelo::colour {

namespace {

constexpr std::size_t kMostBytes = 16'000'000;

struct CloseProfile {
    void operator()(void* profile) const { cmsCloseProfile(profile); }
};
using Profile = std::unique_ptr<void, CloseProfile>;

std::uint16_t encoded16(double linear) {
    const double c = std::clamp(linear, 0.0, 1.0);
    const double s = c <= 0.0031308 ? 12.92 * c : 1.055 * std::pow(c, 1 / 2.4) - 0.055;
    return static_cast<std::uint16_t>(std::lround(s * 65535));
}

std::string nameOf(cmsHPROFILE profile) {
    std::string name(256, '\0');
    const auto length = cmsGetProfileInfoASCII(profile, cmsInfoDescription, "en", "US", name.data(),
                                               static_cast<cmsUInt32Number>(256));
    name.resize(std::min<std::size_t>(length, 256));
    name.resize(std::min(name.find('\0'), name.size()));
    return oneReadableLine(name);
}

} // namespace

struct Monitor::Transform {
    cmsContext context = cmsCreateContext(nullptr, nullptr); // errors of its own, and silent
    cmsHTRANSFORM transform = nullptr;
    Transform() = default;
    Transform(const Transform&) = delete;
    Transform& operator=(const Transform&) = delete;
    ~Transform() {
        if (transform)
            cmsDeleteTransform(transform);
        cmsDeleteContext(context);
    }
};

Result<std::shared_ptr<const Monitor>> Monitor::fromIcc(const std::string& bytes) {
    if (bytes.size() > kMostBytes)
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "ICC profile of {} bytes: must have at most {}"),
                    bytes.size(), kMostBytes);
    const auto made = std::make_shared<Transform>();
    const Profile profile(cmsOpenProfileFromMemTHR(made->context, bytes.data(),
                                                   static_cast<cmsUInt32Number>(bytes.size())));
    if (!profile)
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "the monitor's profile is no ICC profile"));
    if (cmsGetColorSpace(profile.get()) != cmsSigRgbData)
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "the monitor's profile is not of an RGB device"));
    const Profile srgb(cmsCreate_sRGBProfileTHR(made->context));
    made->transform =
        cmsCreateTransformTHR(made->context, srgb.get(), TYPE_RGB_16, profile.get(), TYPE_RGB_8,
                              INTENT_RELATIVE_COLORIMETRIC, cmsFLAGS_NOCACHE);
    if (!made->transform)
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "the monitor's profile has no way from sRGB"));
    Monitor monitor;
    monitor.name_ = nameOf(profile.get());
    monitor.transform_ = made;
    return std::make_shared<const Monitor>(std::move(monitor));
}

Srgb Monitor::shown(const LinearRgb& light) const {
    const std::uint16_t in[] = {encoded16(light.r), encoded16(light.g), encoded16(light.b)};
    std::uint8_t out[3];
    cmsDoTransform(transform_->transform, in, out, 1);
    return {out[0], out[1], out[2]};
}

} // namespace zelo::colour
