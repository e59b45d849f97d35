// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked of a mix, and what comes of it.
#pragma once

#include "base/result.h"
#include "colour/camera.h"
#include "light/drives.h"
#include "light/wanted.h"

#include <optional>
#include <string_view>
#include <vector>

namespace zelo::mix {

enum class Intent { // stored in shows by name
    Brightest = 0,
    Truest = 1,  // spectrum nearest the wanted one
    Kindest = 2, // best colour rendering
    Leanest = 3, // least electrical power
    Filmed = 4,  // the cameras see the wanted colour too
};

const char* nameOf(Intent intent); // "brightest"
std::optional<Intent> intentNamed(std::string_view name);

enum class OutOfReach { NearestUv, SameHue }; // which colour to take then

inline constexpr std::size_t kMostCameras = 3; // at once

struct Pin {
    std::size_t part = 0; // index in the fixture type: an emitter, flag, wheel or axis
    double drive = 0;
    friend bool operator==(const Pin&, const Pin&) = default;
};

struct MixWish {
    Intent intent = Intent::Truest;    // what to favour among all mixes that show the colour
    double give_up = 0.3;              // share of the brightness it may cost, 0..1
    std::vector<std::size_t> keep_out; // parts the mix must not use: dark, out of the beam, open
    std::vector<Pin> pins;             // parts held at a drive; one pin each at most
    OutOfReach out_of_reach = OutOfReach::NearestUv;
    colour::Uv white; // where OutOfReach::SameHue goes to; unused otherwise
    // Whom Filmed minds, kMostCameras at most; with none it is Truest.
    colour::CamerasPtr cameras = {};
    // The first of them sees the wanted light's spectrum exactly, and the eye as nearly as may be:
    // reach and brightness are the camera's, Kindest is Filmed. Of emitters alone; without a camera
    // nothing changes.
    bool exact_for_camera = false;

    std::size_t cameraCount() const { return cameras ? cameras->size() : 0; }
    const colour::Camera* exactFor() const { // null: the eye
        return exact_for_camera && cameraCount() > 0 ? &cameras->front() : nullptr;
    }

    // BadValue: "give-up 1.4: must be within 0..1".
    Done check(std::size_t parts) const;
    friend bool operator==(const MixWish&, const MixWish&) = default;
};

// What two wishes have in common, for all that lies between them: keep-outs and pins of both, and
// the intent where it is one.
MixWish inBoth(const MixWish& a, const MixWish& b);

enum class MixEnd {
    InReach,
    OutOfReach, // drives make the nearest colour
    Dark,       // the emitters that may be used give no light
};

struct Mix {
    light::Drives drives; // one per part of the type, 0..1, always playable
    MixEnd end = MixEnd::Dark;
    colour::Xyz got;         // of these drives, cd
    double miss_uv = 0;      // Δu'v' between wanted and got, before rounding
    double brightest_cd = 0; // the most this colour can have with these keep-outs and pins

    double ofBrightest() const { return brightest_cd > 0 ? got.Y / brightest_cd : 0; }
};

// The brightest of a mix that turned out to give `got`: the same share of it as was solved for, in
// whatever Y it was solved.
inline double brightestOf(const Mix& solved, const colour::Xyz& got) {
    return solved.got.Y > 0 ? got.Y * (solved.brightest_cd / solved.got.Y) : solved.brightest_cd;
}

// The drives, and how far the light that they make, `got`, is from the wanted one.
Mix mixOf(const light::Drives& drives, MixEnd end, const colour::Xyz& got,
          const light::Wanted& wanted, double brightest_cd);

} // namespace zelo::mix
