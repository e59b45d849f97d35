// SPDX-License-Identifier: GPL-3.0-or-later
// A camera of whatever file sees lights, or it is said why not.
#include "colour/lamp.h"
#include "files/camera_file.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto file = zelo::files::parseCamera(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(file);
    if (!file)
        return 0;
    const auto white = zelo::colour::lampOf({5600});
    const auto camera = zelo::colour::Camera::of("any", file->channels, white);
    zelo::fuzz::expectSaid(camera);
    if (!camera)
        return 0;
    const auto miss = camera->miss(white, zelo::colour::lampOf({3200}));
    if (miss && !(*miss >= 0 && *miss <= 2))
        std::abort();
    return 0;
}
