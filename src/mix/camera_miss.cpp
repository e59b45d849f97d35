// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/camera_miss.h"

#include "light/levels.h"

#include <algorithm>

namespace zelo::mix {

std::vector<CameraMiss> missByCamera(const colour::Spectrum& wanted, const colour::Spectrum& got,
                                     const colour::Cameras& cameras) {
    std::vector<CameraMiss> all;
    for (const colour::Camera& camera : cameras) {
        CameraMiss of{camera.name(), camera.seen(got), camera.miss(wanted, got)};
        const double largest = *std::max_element(of.rgb.begin(), of.rgb.end());
        for (double& c : of.rgb)
            c = largest > 0 ? c / largest : 0;
        all.push_back(std::move(of));
    }
    return all;
}

std::optional<double> largestCameraMiss(const colour::Spectrum& wanted, const colour::Spectrum& got,
                                        const colour::Cameras& cameras) {
    std::optional<double> largest;
    for (const colour::Camera& camera : cameras)
        if (const auto miss = camera.miss(wanted, got))
            largest = std::max(largest.value_or(0), *miss);
    return largest;
}

// A colour and its brightness take three of the emitters' ways, each pair of shares two.
colour::Xyz shownBy(const colour::Camera* camera, const Mixer& mixer, const light::Drives& drives) {
    return camera ? camera->shown(light::spectrumOf(mixer.type(), drives)) : mixer.xyzOf(drives);
}

CameraRoom cameraRoom(const Mixer& mixer, const MixWish& wish) {
    CameraRoom room;
    if (wish.cameraCount() == 0)
        return room;
    const auto held = [&](std::size_t part) {
        const auto pinned = [&](const Pin& pin) { return pin.part == part; };
        return std::find(wish.keep_out.begin(), wish.keep_out.end(), part) != wish.keep_out.end() ||
               std::any_of(wish.pins.begin(), wish.pins.end(), pinned);
    };
    for (std::size_t i = 0; i < mixer.type().partCount(); ++i) {
        const auto kind = mixer.type().part(i).kind;
        room.parts +=
            mixer.usable(i) && !held(i) &&
            (mixer.additive() ? kind == light::PartKind::Emitter : kind == light::PartKind::Flag);
    }
    const std::size_t taken = mixer.additive() ? 3 : 2; // a lamp is dimmed behind its flags
    room.ways = room.parts > taken ? room.parts - taken : 0;
    room.for_eye = wish.exactFor() && !mixer.additive();
    room.wanted = 2 * (wish.exactFor() && !room.for_eye ? 1 : wish.cameraCount());
    return room;
}

Sentence words(const CameraRoom& room) {
    if (room.for_eye)
        return say(ZELO_TEXT("core", "exact for the eye: only emitters that add up can be exact "
                                     "for a camera"));
    if (room.none())
        return say(ZELO_TEXT("core", "{} emitters or filters leave no room for a camera: as "
                                     "Truest"),
                   room.parts);
    if (room.ways < room.wanted)
        return say(ZELO_TEXT("core", "{} emitters or filters leave {} ways free, all who look on "
                                     "would take {}"),
                   room.parts, room.ways, room.wanted);
    return {};
}

} // namespace zelo::mix
