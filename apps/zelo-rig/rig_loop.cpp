// SPDX-License-Identifier: GPL-3.0-or-later
#include "rig_loop.h"

#include "files/show_file.h"
#include "host/library.h"
#include "host/paths.h"

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
    for (const auto& [id, f] : opened->show->fixtures) {
        const auto type = library.type(f->type);
        if (!type) {
            std::fprintf(stderr, "zelo-rig: lamp %d left out: no fixture type '%s'\n", f->number,
                         f->type.c_str());
            continue;
        }
        if (auto added =
                loop->rig_.add(id.value, f->number, type, f->mode, f->universe, f->address);
            !added)
            std::fprintf(stderr, "zelo-rig: left out: %s\n", added.error().text().c_str());
    }
    auto receiver = wire::E131Receiver::open(
        "127.0.0.1", static_cast<std::uint16_t>(wish.port),
        [raw = loop.get()](const wire::DataPacket& packet) { raw->take(packet); });
    if (!receiver)
        return passOn(receiver.error());
    loop->receiver_ = std::move(*receiver);
    return loop;
}

void RigLoop::take(const wire::DataPacket& packet) {
    const std::lock_guard lock(mutex_);
    ++packets_;
    if (packet.options & (wire::kPreview | wire::kStreamTerminated))
        return; // terminated: lamps hold what they show
    for (const std::size_t lamp : rig_.take(packet.universe, packet.values))
        if (watch_)
            std::printf("%s\n", rig_.jsonLine(lamp).c_str());
    if (watch_)
        std::fflush(stdout);
}

std::vector<RigLoop::View> RigLoop::view() const {
    const std::lock_guard lock(mutex_);
    std::vector<View> all;
    for (std::size_t i = 0; i < rig_.lamps().size(); ++i)
        all.push_back({rig_.lamps()[i].number, rig_.shown(i).xyz});
    return all;
}

std::uint64_t RigLoop::packets() const {
    const std::lock_guard lock(mutex_);
    return packets_;
}

} // namespace zelo::rig
