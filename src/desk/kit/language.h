// SPDX-License-Identifier: GPL-3.0-or-later
// The language of the interface, with its numbers and dates. Texts are in data/translations; the
// English there has only the plurals.
#pragma once

#include <QString>
#include <QStringList>

namespace zelo::desk {

QStringList languages();                    // "en", "de"
QString nameOfLanguage(const QString& tag); // in itself: "Deutsch"

// What people chose, else what the desktop speaks, else English.
QString chosenLanguage();
void chooseLanguage(const QString& tag); // from the next start on

// Before the first window is made. An unknown one is English.
void useLanguage(const QString& tag);

} // namespace zelo::desk
