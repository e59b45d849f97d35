// SPDX-License-Identifier: GPL-3.0-or-later
// The light on a plan: a soft pool where each lamp's falls, added up.
#pragma once

#include "desk/kit/light_colours.h"
#include "play/stage.h"

#include <QPainter>
#include <functional>
#include <set>

namespace zelo::desk {

// Of the lamps `shown` that are not dark, where `show` has them, over `room`. `scale`: px a metre;
// `place`: of a point of the plan, px.
void paintPools(QPainter& p, const QRect& room, const play::Stage& stage, const show::Show& show,
                const std::set<show::FixtureId>& shown, const LightColours& colours, double scale,
                const std::function<QPointF(const show::Point&)>& place);

} // namespace zelo::desk
