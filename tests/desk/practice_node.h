// SPDX-License-Identifier: GPL-3.0-or-later
// A practice rig on the network of this computer, for tests of the window.
#pragma once

#include "files/show_file.h"
#include "host/library.h"
#include "host/meter.h"
#include "practice/meter.h"
#include "practice/responder.h"
#include "support/places.h"
#include "wire/net/lines.h"
#include "wire/net/udp_port.h"

#include <gtest/gtest.h>
#include <mutex>

namespace zelo::desk {

// The demo rig and two lamps more, on the network of this computer.
class PracticeNode {
public:
    PracticeNode() {
        const host::Library library{std::filesystem::path(places::data)};
        const auto demo = files::readShow(std::string(places::data) + "/shows/salt-lanterns.zelo");
        for (const auto& [id, f] : demo->show->fixtures)
            EXPECT_TRUE(rig.add(id.value, f->number, library.type(f->type), f->mode, f->universe,
                                f->address));
        EXPECT_TRUE(rig.add(901, 901, library.type("avocet-7"), "", 2, 400));
        EXPECT_TRUE(rig.add(902, 902, library.type("knot-2"), "", 2, 460));
        responder = std::make_unique<practice::Responder>(rig, false);
        port = std::move(
            *wire::UdpPort::open("127.0.0.1", 0, {[this](auto bytes, const wire::Endpoint& from) {
                                     const std::lock_guard lock(mutex);
                                     std::vector<std::size_t> changed;
                                     if (const auto packet = wire::decodeArtNet(bytes))
                                         for (auto& r : responder->take(*packet, changed))
                                             port->send(r.bytes, from);
                                 }}));
        port->start();
    }
    int address(std::size_t lamp) {
        const std::lock_guard lock(mutex);
        return rig.lamps()[lamp].address;
    }
    bool identifying(std::size_t lamp) {
        const std::lock_guard lock(mutex);
        return responder->identifying(lamp);
    }
    colour::Uv shown(std::size_t lamp) {
        const std::lock_guard lock(mutex);
        const auto& xyz = rig.shown(lamp).xyz;
        return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : colour::Uv{0, 0};
    }
    std::mutex mutex;
    practice::PracticeRig rig{1};
    practice::Meter readings{rig, 3};
    std::unique_ptr<practice::Responder> responder;
    std::unique_ptr<wire::UdpPort> port;
    std::unique_ptr<wire::LineServer> meter =
        std::move(*wire::LineServer::open(0, [this](const std::string& line) -> std::string {
            const std::lock_guard lock(mutex);
            const auto id = host::meterRequest(line);
            const auto light = id ? readings.measure(*id) : std::nullopt;
            return light ? host::meterAnswer(*light, *id) : "error: no such lamp";
        }));
};

} // namespace zelo::desk
