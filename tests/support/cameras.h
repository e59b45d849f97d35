// SPDX-License-Identifier: GPL-3.0-or-later
// The cameras that ship, balanced.
#pragma once

#include "colour/lamp.h"
#include "files/camera_file.h"
#include "support/places.h"

namespace zelo::test {

inline colour::Camera shippedCamera(const std::string& id, double balance_k = 3200) {
    const auto file =
        files::readCamera(std::string(places::data) + "/cameras/" + id + ".csv").value();
    return colour::Camera::of(file.name, file.channels, colour::lampOf({balance_k})).value();
}

inline colour::CamerasPtr shippedCameras(const std::vector<std::string>& ids,
                                         double balance_k = 3200) {
    colour::Cameras all;
    for (const auto& id : ids)
        all.push_back(shippedCamera(id, balance_k));
    return std::make_shared<const colour::Cameras>(std::move(all));
}

} // namespace zelo::test
