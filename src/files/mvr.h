// SPDX-License-Identifier: GPL-3.0-or-later
// Rigs as MVR 1.6 (DIN SPEC 15801): where fixtures hang, their addresses, and their types as GDTF.
#pragma once

#include "base/result.h"
#include "light/fixture_type.h"
#include "show/show.h"

#include <functional>
#include <memory>

namespace zelo::files {

struct Rig {
    std::vector<show::Fixture> fixtures; // numbered from 1 where the file has no numbers; ids unset
    std::vector<std::shared_ptr<const light::FixtureType>> types; // those in the archive
    std::vector<Sentence> notes;                                  // what was left out or assumed
};

// Reads every Fixture of every layer, also inside groups. A fixture's type is the id of the
// archive's GDTF (its name without ending, small letters). Positions are metres of the scene,
// nested matrices multiplied. What a fixture lacks (a type, an address) is noted, and types that
// cannot be read. Of the archive nothing else is unpacked.
Result<Rig> parseMvr(std::string_view bytes);

// The archive of a show's fixtures. `typeOf` gives the type of an id, or null: then the fixture
// names a GDTF that is not in the archive.
using TypeOf = std::function<std::shared_ptr<const light::FixtureType>(const std::string& id)>;
Result<std::string> mvrBytes(const show::Show& show, const TypeOf& typeOf);

} // namespace zelo::files
