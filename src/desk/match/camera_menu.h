// SPDX-License-Identifier: GPL-3.0-or-later
// The cameras of the show: which of them Filmed minds, what they are balanced to; new ones from
// those that ship and from files.
#pragma once

#include "desk/focus/focus_model.h"

class QMenu;

namespace zelo::desk {

// Fills an empty menu; its parent owns what is asked for. `focus`: the light that a camera can be
// balanced to.
void fillCameraMenu(QMenu& menu, Document& document, FocusModel& focus);

// The same below a button that stands for it.
void popUpCameraMenu(QWidget& button, Document& document, FocusModel& focus);

// "5600 K", "gel:214@3200".
QString balanceText(const light::Asked& balance);
// One step with others of the same `gesture`; 0: a step of its own.
void setCameraBalance(Document& document, const std::string& camera, const light::Asked& balance,
                      int gesture = 0);

// "Kittiwake, Fulmar": those in use; empty where there is none.
QString camerasInUse(const show::Show& show);

// The show with a camera that ships in use, for who asks for Filmed before choosing one.
Result<show::ShowPtr> withSomeCamera(const Document& document);

} // namespace zelo::desk
