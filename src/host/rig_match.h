// SPDX-License-Identifier: GPL-3.0-or-later
// What was found on the network against what is patched: which device is which fixture, what is
// new, and where they differ.
#pragma once

#include "host/library.h"
#include "show/edits.h"
#include "show/patch.h"
#include "wire/net/finder.h"

namespace zelo::host {

struct RigMatch {
    enum class Kind {
        New,     // no fixture of the show is this device
        Same,    // as patched
        Differs, // patched otherwise: `words` says how
        Unclear, // it did not say enough
    };
    std::size_t device = 0; // in FinderState::devices
    Kind kind = Kind::New;
    std::shared_ptr<const light::FixtureType> type; // null when the library has none like it
    std::string mode;                               // of the type, the one in use
    std::optional<show::FixtureId> fixture;
    bool other_address = false;
    bool other_mode = false;
    Sentence words; // "is 1, set to 8 bit" …; empty when there is nothing to say
};

struct RigMatches {
    std::vector<RigMatch> devices;              // as found
    std::vector<show::FixtureId> not_answering; // patched and not found
};

// A device is a fixture when the fixture has its identity, else when type, universe and address
// are the same; each at most once. `universe_of` gives the show's universe of a port address.
RigMatches matchRig(const show::Show& show, const Library& library, const wire::FinderState& found);

// The show's universe of an Art-Net port address, by the output map; port address + 1 with none.
std::uint16_t universeOf(const show::Show& show, std::uint16_t port_address);

// All that are new, in this order, numbered on from the highest number; their identity is kept.
// `added` takes the new ids. Places: a row downstage, one metre apart.
Result<show::ShowPtr> addFound(const show::ShowPtr& show, const wire::FinderState& found,
                               const std::vector<RigMatch>& matches,
                               std::vector<show::FixtureId>* added);

// The patch becomes what the device says: address, mode, identity.
Result<show::ShowPtr> takeOver(const show::ShowPtr& show, const wire::FinderState& found,
                               const RigMatch& match);

} // namespace zelo::host
