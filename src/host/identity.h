// SPDX-License-Identifier: GPL-3.0-or-later
// Who this program is on the network: one identity for an installation (ANSI E1.31 calls it the
// CID), and another one for each further program that runs beside the first.
#pragma once

#include "host/disk.h"
#include "wire/e131.h"

namespace zelo::host {

class Identity {
public:
    // `installed` is what the settings keep. Whoever holds the lock in `state_folder` has it;
    // others get a random one for this run.
    Identity(const wire::Cid& installed, const std::filesystem::path& state_folder);
    const wire::Cid& cid() const { return cid_; }

private:
    std::unique_ptr<Disk::Held> held_; // null: another program has the installed one
    wire::Cid cid_;
};

wire::Cid randomCid(); // RFC 4122, version 4

} // namespace zelo::host
