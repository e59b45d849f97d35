// SPDX-License-Identifier: GPL-3.0-or-later
// Small changes by hand of what the lineup shows: the brighter and the darker move by one ratio,
// colours by steps one can say. Over what is kept they are trims (show/trims.h).
#pragma once

#include "colour/nudge.h"
#include "desk/kit/document.h"

namespace zelo::desk {

// All by one ratio, such that the brightest (or this lamp, where it has light) moves by so much.
// From `base`, what was in hand when it began; null: as it is now. Where there is no light at all,
// all get so much.
void shiftIntensity(Document& document, double by, const show::HandPtr& base,
                    std::optional<show::FixtureId> with, int gesture);

void halveIntensity(Document& document); // of the lineup
// What the first lamp of the lineup shows, whatever it comes from, to the others; in hand.
void copyFirstLamp(Document& document);

void nudgeLineup(Document& document, colour::Nudge nudge, double length, int gesture);
inline constexpr double kNudge_uv = 0.004; // well seen beside the colour before
// How far a press goes, in u'v': kNudge_uv until it is set, kept with the program.
double nudgeStep();
void setNudgeStep(double step_uv); // 0.0005..0.03
void askNudgeStep(Document& document, QWidget* window);

// Of these lamps. False: they have none.
bool letGoOfTrims(Document& document, const show::Lineup& lineup);
std::size_t trimmedIn(const Document& document, const show::Lineup& lineup);

} // namespace zelo::desk
