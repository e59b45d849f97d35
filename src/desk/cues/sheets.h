// SPDX-License-Identifier: GPL-3.0-or-later
// The show on paper: its cues, its colours, its patch.
#pragma once

#include "desk/cues/cue_model.h"
#include "desk/kit/sheet_pdf.h"

namespace zelo::desk {

Sheet cuesOnPaper(const CueModel& model);
Sheet coloursOnPaper(const Document& document); // palettes
Sheet patchOnPaper(const Document& document);

} // namespace zelo::desk
