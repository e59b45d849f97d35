// SPDX-License-Identifier: GPL-3.0-or-later
// A monitor that has an ICC profile: from sRGB to what it must be sent, through Little CMS.
#pragma once

#include "base/result.h"
#include "colour/srgb.h"

#include <memory>
#include <string>

namespace zelo::colour {

class Monitor {
public:
    // BadSyntax for what is no ICC profile, Unsupported for one that is not of an RGB device,
    // TooLarge beyond 16 MB.
    static Result<std::shared_ptr<const Monitor>> fromIcc(const std::string& bytes);

    const std::string& name() const { return name_; } // as the profile calls itself
    // Linear light with sRGB primaries, within 0..1: relative colorimetric, white to white. Any
    // thread may ask.
    Srgb shown(const LinearRgb& light) const;

private:
    struct Transform;
    std::shared_ptr<const Transform> transform_;
    std::string name_;
};

} // namespace zelo::colour
