// SPDX-License-Identifier: GPL-3.0-or-later
// A gradient that a show keeps, laid over lamps of it, for printing and for other desks.
#pragma once

#include "commands.h"
#include "files/ascii_cues.h"
#include "files/palette_file.h"
#include "play/laid.h"
#include "play/stage.h"

namespace zelo::cli {

struct KeptGradient {
    std::shared_ptr<const play::LaidOut> laid;
    play::Stage stage; // with it in hand, at full where it gives no intensities
    show::Lineup lamps;
};

// From the show that was read last. Over the group's lamps; without a group over those that show it
// on stage, else in a look, else over all. Errors name what there is not, and list what there is.
Result<KeptGradient> keptGradient(Context& context, const std::string& name,
                                  const std::string& group);

// A colour and the levels of its parts for each lamp.
files::PaletteTable tableOf(const KeptGradient& kept, const std::string& name);
// One cue; a desk channel for each DMX slot, counted through all universes.
files::AsciiCues cueOf(const KeptGradient& kept, const std::string& name);

} // namespace zelo::cli
