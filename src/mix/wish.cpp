// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/wish.h"

#include <algorithm>
#include <array>

namespace zelo::mix {

const char* nameOf(Intent intent) {
    switch (intent) {
    case Intent::Brightest:
        return "brightest";
    case Intent::Truest:
        return "truest";
    case Intent::Kindest:
        return "kindest";
    case Intent::Leanest:
        return "leanest";
    case Intent::Filmed:
        break;
    }
    return "filmed";
}

std::optional<Intent> intentNamed(std::string_view name) {
    for (const auto i :
         {Intent::Brightest, Intent::Truest, Intent::Kindest, Intent::Leanest, Intent::Filmed})
        if (name == nameOf(i))
            return i;
    return std::nullopt;
}

MixWish inBoth(const MixWish& a, const MixWish& b) {
    MixWish both;
    if (a.intent == b.intent) {
        both.intent = a.intent;
        both.give_up = (a.give_up + b.give_up) / 2;
        if (a.cameras == b.cameras && a.exact_for_camera == b.exact_for_camera) {
            both.cameras = a.cameras;
            both.exact_for_camera = a.exact_for_camera;
        }
    }
    for (const std::size_t part : a.keep_out)
        if (std::find(b.keep_out.begin(), b.keep_out.end(), part) != b.keep_out.end())
            both.keep_out.push_back(part);
    for (const Pin& pin : a.pins)
        if (std::find(b.pins.begin(), b.pins.end(), pin) != b.pins.end())
            both.pins.push_back(pin);
    return both;
}

Done MixWish::check(std::size_t parts) const {
    if (!(give_up >= 0 && give_up <= 1))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "give-up {}: must be within 0..1"),
                    give_up);
    if (cameraCount() > kMostCameras)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} cameras: at most {}"), cameraCount(),
                    kMostCameras);
    std::array<char, light::kMostParts> named{};
    const auto once = [&](std::size_t e) -> Done {
        if (e >= parts)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "emitter {}: the type has {}"),
                        e + 1, parts);
        if (named[e]++)
            return fail(
                ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "emitter {} is named twice among keep-outs and pins: once at most"),
                e + 1);
        return {};
    };
    for (const std::size_t e : keep_out)
        if (auto ok = once(e); !ok)
            return ok;
    for (const Pin& p : pins) {
        if (auto ok = once(p.part); !ok)
            return ok;
        if (!(p.drive >= 0 && p.drive <= 1))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "pin at {}: must be within 0..1"),
                        p.drive);
    }
    return {};
}

Mix mixOf(const light::Drives& drives, MixEnd end, const colour::Xyz& got,
          const light::Wanted& wanted, double brightest_cd) {
    Mix mix{drives, end, got, 0, brightest_cd};
    if (colour::hasChromaticity(got))
        mix.miss_uv = colour::distance(colour::toUv(got), wanted.uv());
    return mix;
}

} // namespace zelo::mix
