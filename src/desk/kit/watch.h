// SPDX-License-Identifier: GPL-3.0-or-later
// A view looks at the document only while it is seen, and only at changes of what it shows.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>
#include <functional>

namespace zelo::desk {

// Calls `look` after changes of these kinds; while `view` is not seen it waits until it is shown.
void watch(Document& document, QWidget* view, Changes kinds, std::function<void()> look);

} // namespace zelo::desk
