// SPDX-License-Identifier: GPL-3.0-or-later
// A lamp as it is drawn: on a plan a shape for its type in its light, in a row a glass that is
// filled as far as it is bright.
#pragma once

#include "desk/kit/light_colours.h"
#include "play/stage.h"

#include <QPainter>
#include <map>

namespace zelo::desk {

inline constexpr double kLampMark = 8; // half the size of a lamp on a plan, px

// Types in the order in which lamps of them came into the show: one more changes none before it.
std::map<std::string, int> lampKinds(const show::Show& show);

// A shape for each kind, so that types are told apart without colour; the seventh has the first
// shape again with a bar through it, the thirteenth two. Dark lamps are empty with a dot. `lamp`:
// null when nothing is known of it.
void paintLampMark(QPainter& p, const QPointF& at, int kind, const play::StageLamp* lamp,
                   const LightColours& colours, bool chosen);

// In a row. `level`: how high it is filled, intensity and master together.
void paintLampGlass(QPainter& p, const QRectF& glass, const play::StageLamp* lamp, double level,
                    const LightColours& colours, bool in_focus);

} // namespace zelo::desk
