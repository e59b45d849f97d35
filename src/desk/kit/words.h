// SPDX-License-Identifier: GPL-3.0-or-later
// What the core calls by enums, in whole sentences of the interface.
#pragma once

#include "colour/observer.h"
#include "mix/trade_off.h"
#include "route/way.h"
#include "show/show.h"

#include <QString>
#include <QStringList>

#include <vector>

namespace zelo::desk {

// "no difference to see", "barely greener, seen only side by side", "another colour, paler"
QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white);

// Numbers of lamps, of which those that follow one another are one: "1–4, 7"
QString runsOf(std::vector<int> numbers);

// What to do first where lamps are needed and the lineup has none.
QString noLampsWords(const show::Show& show);

QStringList intentNames();             // by mix::Intent
QString wayKindName(route::Kind kind); // "Through dark"
QString gainName(mix::Gain gain);
QString observerName(colour::Observer observer);

} // namespace zelo::desk
