// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/holding.h"

#include "desk/kit/qt_text.h"
#include "play/shown_values.h"

#include <QCoreApplication>

#include <algorithm>

namespace zelo::desk {

namespace {
struct Words {
    Q_DECLARE_TR_FUNCTIONS(Holding)
};
} // namespace

void soloLineup(Document& document) {
    auto controls = document.controls();
    auto wanted = document.lineup();
    std::sort(wanted.begin(), wanted.end());
    controls.solo = controls.solo == wanted ? show::Lineup{} : wanted;
    document.setControls(controls);
}

void lockLineup(Document& document) {
    const auto& lineup = document.lineup();
    if (lineup.empty())
        return document.tell(Words::tr("No lamps in the lineup: nothing to lock."));
    const auto& locked = document.show().locked;
    const bool all = std::all_of(lineup.begin(), lineup.end(),
                                 [&](show::FixtureId id) { return locked.contains(id); });
    const auto& now = document.state().show;
    if (all)
        document.edit(Words::tr("Unlock %1").arg(lampCount(lineup.size())),
                      show::unlockLamps(now, lineup));
    else
        document.edit(Words::tr("Lock %1").arg(lampCount(lineup.size())),
                      show::lockLamps(now, play::lockedValues(document.stage(), lineup)));
}

void putDownOfLineup(Document& document, show::Which which) {
    const auto& hand = document.state().hand;
    const auto left = show::putDown(hand, document.lineup(), which);
    if (left == hand)
        return document.tell(Words::tr("Nothing of the kind is in hand in the lineup."));
    const QString what = which == show::Which::Intensity ? Words::tr("intensities")
                         : which == show::Which::Colour  ? Words::tr("colours")
                                                         : Words::tr("the lineup");
    document.setHand(Words::tr("Put down %1").arg(what), left);
}

} // namespace zelo::desk
