// SPDX-License-Identifier: GPL-3.0-or-later
// People on the stage, as the stage picture has them: moved there and on the plan.
#pragma once

#include "desk/kit/document.h"

namespace zelo::desk {

// To the nearest centimetre; nothing when there is no such figure. A drag is one step.
void moveFigure(Document& document, std::size_t figure, const show::Point& to, int gesture);

} // namespace zelo::desk
