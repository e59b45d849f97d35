// SPDX-License-Identifier: GPL-3.0-or-later
// What can be done with a kept look.
#pragma once

#include "desk/kit/document.h"

class QMenu;

namespace zelo::desk {

void openLooks(Document& document, QWidget* window); // all of them, each with what it can do
void fillLookMenu(QMenu& menu, Document& document, show::LookId look, QWidget* window);

// The look in its own time: what it says is the standing light of its lamps.
void showLook(Document& document, show::LookId look);
// What it says, onto the lamps of the lineup in their order; in hand.
void lookOntoLineup(Document& document, show::LookId look);
// A picture from this file, made small; told when that cannot be.
void pictureFromFile(Document& document, show::LookId look, const QString& path);

} // namespace zelo::desk
