// SPDX-License-Identifier: GPL-3.0-or-later
// The ICC profile that the desktop names for a screen (ICC Profiles in X Specification 0.4).
#pragma once

#include <QByteArray>

class QScreen;

namespace zelo::desk {

// Empty where the desktop names none, or has no X server.
QByteArray iccOf(const QScreen& screen);

} // namespace zelo::desk
