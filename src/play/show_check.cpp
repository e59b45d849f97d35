// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/show_check.h"

#include "colour/cct.h"
#include "show/patch.h"
#include "show/routes.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace zelo::play {

using colour::Uv;
using light::Drives;

namespace {

class Checker {
public:
    Checker(const Compiled& compiled, const Sources& from, Mixes& mixes,
            const std::function<bool()>& enough)
        : compiled_(compiled), from_(from), mixes_(mixes), program_(*compiled.program),
          show_(*compiled.state.show), white_(colour::planckianUv({show_.white_cct_k})),
          enough_(enough) {}

    std::vector<Finding> all() {
        for (std::size_t l = 0; l < program_.lists.size(); ++l)
            for (std::size_t c = 0; c < program_.lists[l].cues.size(); ++c)
                if (!enough_ || !enough_())
                    checkCue(l, c);
        clashes();
        misses();
        return std::move(found_);
    }

private:
    // What is the same for lamps that change alike.
    struct Change {
        const mix::Mixer* mixer;
        std::vector<double> numbers;
        auto operator<=>(const Change&) const = default;
    };
    struct Judged {
        std::vector<route::FadeFault> faults;
        std::vector<route::Cure> cures;
        std::shared_ptr<const mix::Mixer> mixer;
        std::vector<route::FadeMoment> moments;
        Uv from, to;
    };

    Drives drivesOf(std::uint32_t lamp, const double* row) const {
        Drives drives(program_.parts(lamp));
        std::copy_n(row ? row : program_.home.data() + program_.first[lamp], drives.size(),
                    drives.begin());
        return drives;
    }

    void checkCue(std::size_t l, std::size_t c) {
        const PlayedList& list = program_.lists[l];
        const PlayedCue& cue = list.cues[c];
        const show::Cue& asked = *show_.cue_lists.find(compiled_.lists[l])->cues.entry(c).second;
        std::map<std::pair<int, std::vector<double>>, std::size_t> places; // of findings
        for (const Said& said : cue.changes->says()) {
            const std::uint32_t lamp = said.lamp;
            if (!compiled_.mixers[lamp])
                continue;
            const auto at = static_cast<std::size_t>(
                std::lower_bound(list.lamps.begin(), list.lamps.end(), lamp) - list.lamps.begin());
            const Stands* before = list.standsFor(at, static_cast<int>(c) - 1);
            const Stands* after = list.standsFor(at, static_cast<int>(c));
            route::FadeSetup setup;
            setup.before = {drivesOf(lamp, before ? before->colour : nullptr),
                            before ? before->intensity.value_or(0) : 0};
            setup.after = {drivesOf(lamp, after ? after->colour : nullptr),
                           after ? after->intensity.value_or(0) : 0};
            const bool dark_first = cue.dark_first.value_or(program_.dark_first);
            if (dark_first && !(setup.before.intensity > 0))
                setup.before.drives = setup.after.drives;
            if (dark_first && !(setup.after.intensity > 0))
                setup.after.drives = setup.before.drives;
            if (setup.before.drives == setup.after.drives)
                continue; // light of one colour comes and goes
            const auto route =
                show::wayHeld(show_, &asked,
                              before && before->colour_cue >= 0
                                  ? paletteIn(compiled_, l,
                                              static_cast<std::size_t>(before->colour_cue), lamp)
                                  : show::PaletteId{},
                              paletteIn(compiled_, l, c, lamp))
                    .way;
            const bool rises = setup.after.intensity >= setup.before.intensity;
            const double delay = rises ? cue.up_delay_s : cue.down_delay_s;
            setup.times = {cue.up_s, cue.down_s, delay,
                           cue.colour_s.value_or(rises ? cue.up_s : cue.down_s),
                           cue.colour_delay_s.value_or(delay)};
            setup.route = route ? route->kind : route::Kind::Around; // as needed
            setup.floor = route ? route->floor : 0.8;
            const Judged& judged = judge(compiled_.mixers[lamp], setup);
            for (const route::FadeFault& fault : judged.faults)
                add(l, asked.number, lamp, fault, judged, places);
        }
    }

    const Judged& judge(const std::shared_ptr<const mix::Mixer>& lamp,
                        const route::FadeSetup& setup) {
        const mix::Mixer& mixer = *lamp;
        Change key{&mixer, {}};
        for (const auto* end : {&setup.before, &setup.after}) {
            key.numbers.insert(key.numbers.end(), end->drives.begin(), end->drives.end());
            key.numbers.push_back(end->intensity);
        }
        const auto& t = setup.times;
        for (const double x : {t.up_s, t.down_s, t.delay_s, t.colour_s, t.colour_delay_s,
                               static_cast<double>(setup.route), setup.floor})
            key.numbers.push_back(x);
        const auto [at, fresh] = known_.try_emplace(std::move(key));
        if (fresh) {
            at->second.faults = route::checkFade(mixer, setup, white_);
            if (!at->second.faults.empty()) {
                at->second.cures = route::curesFor(mixer, setup, white_);
                at->second.mixer = lamp;
                at->second.moments = route::momentsOfFade(mixer, setup, white_, kMomentsOfFinding);
            }
            at->second.from = uvOf(mixer, setup.before.drives);
            at->second.to = uvOf(mixer, setup.after.drives);
        }
        return at->second;
    }
    Uv uvOf(const mix::Mixer& mixer, const Drives& drives) const {
        const auto xyz = mixer.xyzOf(drives);
        return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : white_;
    }

    Sentence hue(const Uv& uv) const { return route::hueWord(uv, white_); }

    void add(std::size_t l, show::CueNumber number, std::uint32_t lamp,
             const route::FadeFault& fault, const Judged& judged,
             std::map<std::pair<int, std::vector<double>>, std::size_t>& places) {
        // Lamps whose fault reads the same are one finding.
        const std::pair key{
            static_cast<int>(fault.kind),
            std::vector<double>{std::round(10 * fault.from_s), std::round(10 * fault.lasts_s),
                                std::round(200 * fault.shown.u), std::round(200 * fault.shown.v)}};
        const auto [at, fresh] = places.try_emplace(key, found_.size());
        if (fresh)
            found_.push_back({Finding::Kind::Fade,
                              compiled_.lists[l],
                              number,
                              {},
                              fault.from_s,
                              fault.from_s + fault.lasts_s,
                              wordsOf(fault, judged.from, judged.to, white_),
                              judged.cures,
                              judged.mixer,
                              judged.moments});
        found_[at->second].lamps.push_back(compiled_.fixtures[lamp]);
    }

    void clashes() {
        const auto faults = show::patchFaults(show_, [&](const show::Fixture& f) {
            const auto lamp = compiled_.lampOf(f.id);
            return lamp && compiled_.mixers[*lamp] ? compiled_.mixers[*lamp]->mode().footprint : 0;
        });
        for (const show::Clash& clash : faults.clashes)
            found_.push_back({Finding::Kind::Clash,
                              {},
                              {},
                              {clash.with, clash.fixture},
                              0,
                              0,
                              say(ZELO_TEXT("core", "share {} slots"), clash.shared),
                              {}});
        for (const show::FixtureId id : faults.past_end)
            found_.push_back({Finding::Kind::Clash,
                              {},
                              {},
                              {id},
                              0,
                              0,
                              ZELO_TEXT("core", "runs past the end of its universe"),
                              {}});
    }

    void misses() {
        Places places;
        for (std::size_t lamp = 0; lamp < compiled_.asked.size(); ++lamp)
            if (const auto& colour = compiled_.asked[lamp].colour)
                miss({}, {}, compiled_.fixtures[lamp], *colour, places);
        Gradients gradients(compiled_.state.show, from_, mixes_);
        for (const auto& [list_id, list] : show_.cue_lists)
            for (const auto& [number, cue] : list->cues) {
                Places of_cue;
                for (const auto& [id, value] : cue->values) {
                    const auto lamp = compiled_.lampOf(id);
                    const auto wish = gradients.shown(*value, id).nudged();
                    if (lamp && wish && compiled_.mixers[*lamp])
                        miss(list_id, number, id,
                             *mixes_.mixed(from_, compiled_.mixers[*lamp], *wish), of_cue);
                }
            }
    }
    using Places = std::map<std::vector<double>, std::size_t>; // of findings that read the same
    void miss(show::CueListId list, std::optional<show::CueNumber> cue, show::FixtureId id,
              const MixedColour& colour, Places& places) {
        if (!(colour.mix.miss_uv > kMissed_uv))
            return;
        const Uv wanted = colour.wanted.uv();
        const auto [at, fresh] =
            places.try_emplace({std::round(1000 * wanted.u), std::round(1000 * wanted.v),
                                std::round(1000 * colour.mix.miss_uv)},
                               found_.size());
        if (fresh)
            found_.push_back({Finding::Kind::Miss,
                              list,
                              cue,
                              {},
                              0,
                              0,
                              say(ZELO_TEXT("core", "{} is {} out of reach"), hue(wanted),
                                  std::round(1000 * colour.mix.miss_uv) / 1000),
                              {}});
        found_[at->second].lamps.push_back(id);
    }

    const Compiled& compiled_;
    const Sources& from_;
    Mixes& mixes_;
    const Program& program_;
    const show::Show& show_;
    Uv white_;
    const std::function<bool()>& enough_;
    std::map<Change, Judged> known_;
    std::vector<Finding> found_;
};

} // namespace

const char* nameOf(Finding::Kind kind) {
    return kind == Finding::Kind::Fade ? "fade" : kind == Finding::Kind::Clash ? "clash" : "miss";
}

const char* nameOf(route::Cure cure) {
    switch (cure) {
    case route::Cure::ColourInDark:
        return "colour in the dark";
    case route::Cure::ColourInZeroTime:
        return "colour at once";
    case route::Cure::HomeAtZero:
        return "home at zero";
    case route::Cure::OtherRoute:
        break;
    }
    return "around";
}

Sentence wordsOf(const route::FadeFault& fault, const Uv& from, const Uv& to, const Uv& white) {
    const auto hue = [&](const Uv& uv) -> Sentence { return route::hueWord(uv, white); };
    const double s = std::round(10 * fault.lasts_s) / 10;
    switch (fault.kind) {
    case route::Fault::FromDark:
        return say(ZELO_TEXT("core", "starts {} for {} s, not {}: so it rests in the dark"),
                   hue(fault.shown), s, hue(to));
    case route::Fault::ToDark:
        return say(ZELO_TEXT("core", "ends {} for {} s, not {}: so it rests in the dark"),
                   hue(fault.shown), s, hue(from));
    case route::Fault::WhiteDip:
        return say(ZELO_TEXT("core", "{} to {} loses {} % of its colour for {} s"), hue(from),
                   hue(to), std::lround(100 * fault.worst), s);
    case route::Fault::OffTheWay:
        break;
    }
    return say(ZELO_TEXT("core", "{} to {} turns {} for {} s"), hue(from), hue(to),
               hue(fault.shown), s);
}

std::vector<Finding> checkShow(const Compiled& compiled, const Sources& from, Mixes& mixes,
                               const std::function<bool()>& enough) {
    return Checker(compiled, from, mixes, enough).all();
}

} // namespace zelo::play
