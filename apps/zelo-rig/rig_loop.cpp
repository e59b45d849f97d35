// SPDX-License-Identifier: GPL-3.0-or-later
#include "rig_loop.h"

#include "files/show_file.h"
#include "host/library.h"
#include "host/paths.h"

#include <algorithm>
#include <cstdio>

namespace zelo::rig {

Result<std::unique_ptr<RigLoop>> RigLoop::open(const RigWish& wish) {
    const auto data = host::dataFolder();
    if (!data)
        return passOn(data.error());
    const host::Library library(*data);
    const auto path = wish.show.empty() ? *data / "shows" / "salt-lanterns.zelo"
                                        : std::filesystem::path(wish.show);
    const auto opened = files::readShow(path);
    if (!opened)
        return passOn(opened.error());
    std::unique_ptr<RigLoop> loop(new RigLoop(wish));
    loop->addLamps(wish, *opened->show, library);
    if (auto listening = loop->listen(wish); !listening)
        return passOn(listening.error());
    return loop;
}

void RigLoop::addLamps(const RigWish& wish, const show::Show& show, const host::Library& library) {
    int last_id = 0;
    std::uint16_t last_universe = 1;
    for (const auto& [id, f] : show.fixtures) {
        const auto& own = show.types.item(f->type);
        const auto type = own ? own : library.type(f->type);
        last_id = std::max(last_id, id.value);
        last_universe = std::max(last_universe, f->universe);
        if (!type) {
            std::fprintf(stderr, "zelo-rig: lamp %d left out: no fixture type '%s'\n", f->number,
                         oneReadableLine(f->type).c_str());
            continue;
        }
        if (auto added = rig_.add(id.value, f->number, type, f->mode, f->universe, f->address);
            !added)
            std::fprintf(stderr, "zelo-rig: left out: %s\n", added.error().text().c_str());
    }
    // Spare lamps hang at the end of the last universe, one type after the other.
    const auto types = library.types();
    int end = light::kSlots;
    for (int i = 0; i < wish.spare && !types.empty(); ++i) {
        const auto& type = types[static_cast<std::size_t>(i) * 5 % types.size()];
        end -= type->modes[0].footprint;
        if (auto added = rig_.add(last_id + 100 + i, 901 + i, type, type->modes[0].name,
                                  last_universe, end + 1);
            !added)
            std::fprintf(stderr, "zelo-rig: left out: %s\n", added.error().text().c_str());
    }
    responder_ = std::make_unique<practice::Responder>(rig_, wish.awkward);
}

Done RigLoop::listen(const RigWish& wish) {
    auto receiver =
        wire::E131Receiver::open("127.0.0.1", static_cast<std::uint16_t>(wish.port),
                                 [this](const wire::DataPacket& packet) { take(packet); });
    if (!receiver)
        return passOn(receiver.error());
    receiver_ = std::move(*receiver);
    auto art = wire::UdpPort::open(
        "127.0.0.1", static_cast<std::uint16_t>(wish.art_port),
        {[this](auto bytes, const wire::Endpoint& from) { takeArt(bytes, from); },
         [this] { tick(); }});
    if (art) {
        art_ = std::move(*art);
        art_->start();
    } else {
        std::fprintf(stderr, "zelo-rig: no Art-Net: %s\n", art.error().text().c_str());
    }
    readings_ = std::make_unique<practice::Meter>(rig_, wish.seed);
    auto meter = wire::LineServer::open(static_cast<std::uint16_t>(wish.meter_port),
                                        [this](const std::string& line) { return measured(line); });
    if (meter)
        meter_ = std::move(*meter);
    else
        std::fprintf(stderr, "zelo-rig: no meter: %s\n", meter.error().text().c_str());
    return {};
}

std::string RigLoop::measured(const std::string& line) {
    const auto id = host::meterRequest(line);
    if (!id)
        return "error: " + id.error().text();
    const std::lock_guard lock(mutex_);
    const auto light = readings_->measure(*id);
    return light ? host::meterAnswer(*light, *id)
                 : fmt::format("error: no lamp with id {} on the rig", *id);
}

void RigLoop::print(const std::vector<std::size_t>& lamps) {
    if (!watch_)
        return;
    for (const std::size_t lamp : lamps) {
        std::string line = rig_.jsonLine(lamp);
        if (responder_->identifying(lamp))
            line.insert(line.size() - 1, ",\"identify\":true");
        std::printf("%s\n", line.c_str());
    }
    std::fflush(stdout);
}

void RigLoop::take(const wire::DataPacket& packet) {
    const std::lock_guard lock(mutex_);
    ++packets_;
    if (const auto values = sources_.take(packet, std::chrono::steady_clock::now()))
        print(rig_.take(packet.universe, *values));
}

void RigLoop::takeArt(std::span<const std::uint8_t> bytes, const wire::Endpoint& from) {
    const auto packet = wire::decodeArtNet(bytes);
    if (!packet)
        return;
    const std::lock_guard lock(mutex_);
    ++packets_;
    std::vector<std::size_t> changed;
    for (auto& reply : responder_->take(*packet, changed))
        late_.push_back(
            {std::chrono::steady_clock::now() + reply.after, std::move(reply.bytes), from});
    print(changed);
    sendReady();
}

void RigLoop::tick() {
    const std::lock_guard lock(mutex_);
    for (const auto& [universe, values] : sources_.expire(std::chrono::steady_clock::now()))
        print(rig_.take(universe, values));
    sendReady();
}

void RigLoop::sendReady() {
    const auto now = std::chrono::steady_clock::now();
    std::erase_if(late_, [&](const Late& l) {
        if (l.at > now || !art_)
            return false;
        art_->send(l.bytes, l.to);
        return true;
    });
}

std::vector<RigLoop::View> RigLoop::view() const {
    const std::lock_guard lock(mutex_);
    std::vector<View> all;
    for (std::size_t i = 0; i < rig_.lamps().size(); ++i)
        all.push_back({rig_.lamps()[i].number, rig_.shown(i).xyz, responder_->identifying(i)});
    return all;
}

std::uint64_t RigLoop::packets() const {
    const std::lock_guard lock(mutex_);
    return packets_;
}

} // namespace zelo::rig
