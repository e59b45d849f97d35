// SPDX-License-Identifier: GPL-3.0-or-later
// A way through colour over its time, as a stripe of light.
#pragma once

#include "desk/kit/light_colours.h"
#include "play/crossfade.h"

#include <QPainter>

namespace zelo::desk {

// Colours as they are, and darker only where there is less light than evenly from end to end: a
// brighter end is no brighter stripe. `mixer`: of the lamps that go it.
void paintRibbon(QPainter& p, const QRect& place, const mix::Mixer& mixer, const play::SeenWay& way,
                 const LightColours& colours);

} // namespace zelo::desk
