// SPDX-License-Identifier: GPL-3.0-or-later
// All settings in one list: what each may be, so that they can be put into a file, taken from one
// and reset.
#pragma once

#include "base/result.h"
#include "desk/kit/setting.h"

#include <QStringList>

namespace zelo::desk {

inline constexpr Setting<bool> kDeskTheme{"look/desk_theme", false};      // the light one
inline constexpr Setting<double> kEye_k{"look/eye_k", 0};                 // 0: the book's lamp
inline constexpr Setting<double> kTimeInHand_s{"play/time_in_hand_s", 0}; // at the start

enum class StartWith { Last, Demo, Empty };
inline constexpr Setting<int> kStartWith{"start/with", 0};
StartWith startWith();

// JSON of those that were set. Written by settingsText(), also by hand.
std::string settingsText();
// All or none: BadSyntax, BadValue with the setting's name and what it may be. `left_out` takes
// the names that are none.
Done takeSettings(const std::string& text, QStringList* left_out);
void resetSettings(); // of the list; what else is kept (recent shows, books) stays

} // namespace zelo::desk
