// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/handed_check.h"

#include "colour/cct.h"
#include "host/slot_light.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace zelo::host {

namespace {

using play::Finding;

struct Lamp {
    show::FixtureId id;
    std::shared_ptr<const mix::Mixer> mixer;
    std::size_t first = 0; // channel of the desk, from 0
    SlotLight before;
};

// The cue of ours that a number handed over belongs to.
std::optional<show::CueNumber> ownCue(const show::CueList& list, const std::string& number) {
    const auto handed = show::parseCueNumber(number);
    std::optional<show::CueNumber> own;
    for (const auto& [at, cue] : list.cues)
        if (handed && !(*handed < at))
            own = at;
    return own;
}

SlotLight lightIn(const Lamp& lamp, const files::AsciiCue& cue) {
    const auto& mode = lamp.mixer->mode();
    std::vector<std::uint8_t> slots(static_cast<std::size_t>(mode.footprint));
    for (std::size_t s = 0; s < slots.size(); ++s)
        slots[s] = static_cast<std::uint8_t>(std::lround(255 * cue.levels[lamp.first + s].level));
    return slotLight(*lamp.mixer, light::readSlots(mode, slots));
}

colour::Uv uvOf(const Lamp& lamp, const light::Drives& drives, const colour::Uv& white) {
    const auto xyz = lamp.mixer->xyzOf(drives);
    return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : white;
}

} // namespace

Result<std::vector<Finding>> checkHandedOver(const show::ShowPtr& show, const play::Sources& from,
                                             play::Mixes& mixes, const HandOver& wish,
                                             const std::function<bool()>& enough) {
    const auto handed = handOver(show, from, mixes, wish, enough);
    if (!handed)
        return passOn(handed.error());
    const show::CueList& list = *show->cue_lists.find(wish.list);
    const colour::Uv white = colour::planckianUv({show->white_cct_k});
    std::vector<Lamp> lamps;
    std::size_t first = 0;
    for (const auto& [id, fixture] : show->fixtures)
        if (auto mixer = mixes.mixerOf(from, *fixture)) {
            lamps.push_back({id, mixer, first, {0, mixer->type().ready(mixer->mode())}});
            first += static_cast<std::size_t>(mixer->mode().footprint);
        }
    std::map<show::CueNumber, int> pieces; // that a cue of ours went over in
    for (const files::AsciiCue& cue : handed->cues.cues)
        if (const auto own = ownCue(list, cue.number))
            ++pieces[*own];
    std::vector<Finding> found;
    bool first_cue = true;
    for (const files::AsciiCue& cue : handed->cues.cues) {
        if (enough && enough())
            break;
        const auto own = ownCue(list, cue.number);
        const bool as_ours = own && pieces[*own] > 1;     // in steps it stays within the tolerance
        std::map<std::vector<double>, std::size_t> alike; // lamps whose fault reads the same
        for (Lamp& lamp : lamps) {
            const SlotLight after = lightIn(lamp, cue);
            const SlotLight before = std::exchange(lamp.before, after);
            if (first_cue || as_ours || before.drives == after.drives)
                continue; // another desk's dark is its own
            route::FadeSetup setup;
            setup.before = {before.drives, before.intensity};
            setup.after = {after.drives, after.intensity};
            const bool rises = after.intensity >= before.intensity;
            const auto times = rises ? cue.up : cue.down;
            const double time = times ? times->time_s : 0, delay = times ? times->delay_s : 0;
            setup.times = {time, time, delay, time, delay};
            for (const auto& fault : route::checkFade(*lamp.mixer, setup, white)) {
                const std::vector<double> key{
                    static_cast<double>(fault.kind), std::round(10 * fault.from_s),
                    std::round(10 * fault.lasts_s), std::round(200 * fault.shown.u),
                    std::round(200 * fault.shown.v)};
                const auto [at, fresh] = alike.try_emplace(key, found.size());
                if (fresh)
                    found.push_back(
                        {Finding::Kind::Fade,
                         wish.list,
                         own,
                         {},
                         fault.from_s,
                         fault.from_s + fault.lasts_s,
                         play::wordsOf(fault, uvOf(lamp, before.drives, white),
                                       uvOf(lamp, after.drives, white), white),
                         {},
                         lamp.mixer,
                         route::momentsOfFade(*lamp.mixer, setup, white, play::kMomentsOfFinding)});
                found[at->second].lamps.push_back(lamp.id);
            }
        }
        first_cue = false;
    }
    return found;
}

} // namespace zelo::host
