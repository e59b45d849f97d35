// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/ripple_raster.h"

#include "mix/camera_miss.h"
#include "mix/miss.h"
#include "play/ripple_light.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

namespace {

std::optional<std::size_t> placeOf(const Compiled& compiled, show::RippleId id) {
    const auto it = std::find(compiled.ripples.begin(), compiled.ripples.end(), id);
    return it == compiled.ripples.end()
               ? std::nullopt
               : std::optional(static_cast<std::size_t>(it - compiled.ripples.begin()));
}

} // namespace

std::optional<RippleDelays> delaysOf(const show::Show& show, const show::Ripple& ripple) {
    if (ripple.steps.empty() || ripple.lamps.empty())
        return std::nullopt;
    return rippleDelays(ripple, placesAlong(show, ripple.arrangement, ripple.along, ripple.lamps));
}

RippleRaster rasterOf(const Compiled& compiled, const show::Ripple& as, const RasterWish& wish,
                      std::span<const double> below) {
    RippleRaster raster;
    const auto which = placeOf(compiled, as.id);
    if (!which || as.lamps.empty() || as.steps.empty() || wish.columns < 1 || wish.rows < 1)
        return raster;
    const Program& program = *compiled.program;
    PlayedRipple played = program.ripples[*which];
    if (played.intensity.size() != as.steps.size())
        return raster;
    const RippleDelays delays = *delaysOf(*compiled.state.show, as);
    played.times = delays.times;
    for (std::size_t s = 0; s < as.steps.size(); ++s)
        played.intensity[s] = as.steps[s].intensity;
    const std::size_t rows = std::min(wish.rows, as.lamps.size());
    raster.columns = wish.columns;
    for (std::size_t row = 0; row < rows; ++row)
        raster.lamps.push_back(rows == 1 ? 0 : row * (as.lamps.size() - 1) / (rows - 1));
    raster.cells.resize(rows * wish.columns);
    const double step_s =
        wish.columns > 1 ? (wish.to_s - wish.from_s) / static_cast<double>(wish.columns - 1) : 0;
    for (std::size_t row = 0; row < rows; ++row) {
        const auto lamp = compiled.lampOf(as.lamps[raster.lamps[row]]);
        const auto at = lamp ? std::lower_bound(played.lamps.begin(), played.lamps.end(), *lamp)
                             : played.lamps.end();
        if (at == played.lamps.end() || *at != *lamp)
            continue;
        const auto place = static_cast<std::size_t>(at - played.lamps.begin());
        played.delay_s[place] = delays.delay_s[raster.lamps[row]];
        const mix::Mixer& mixer = *compiled.mixers[*lamp];
        const std::span<const double> rest = below.empty() ? std::span(program.home) : below;
        const std::size_t parts = program.parts(*lamp);
        std::optional<Beat> before;
        for (std::size_t column = 0; column < wish.columns; ++column) {
            RippleRaster::Cell& cell = raster.cells[row * wish.columns + column];
            const double t = wish.from_s + step_s * static_cast<double>(column);
            const Beat beat = beatOf(played, place, t);
            if (before == beat) { // it stays for long
                cell = raster.cells[row * wish.columns + column - 1];
                continue;
            }
            before = beat;
            light::Drives drives(parts, 0.0);
            std::copy_n(rest.data() + program.first[*lamp], parts, drives.begin());
            rippleOver(played, place, beat, 1, {drives.begin(), drives.size()});
            const BeatLevels levels = levelsOf(played, beat, 1);
            cell.light = mixer.xyzOf(drives);
            cell.shown = wish.by ? mix::shownBy(wish.by, mixer, drives) : cell.light;
            cell.level = levels.from + beat.share * (levels.to - levels.from);
            cell.below = beat.from == kBelow && beat.to == kBelow;
        }
    }
    return raster;
}

Moment withRippleAt(const std::shared_ptr<const Compiled>& compiled, Moment moment,
                    show::RippleId ripple, double t_s) {
    const auto which = placeOf(*compiled, ripple);
    if (!which)
        return moment;
    const Program& program = *compiled->program;
    const PlayedRipple& played = program.ripples[*which];
    for (std::size_t place = 0; place < played.lamps.size(); ++place) {
        const std::uint32_t lamp = played.lamps[place];
        const Beat beat = beatOf(played, place, t_s);
        if (beat.from == kBelow && beat.to == kBelow)
            continue;
        rippleOver(
            played, place, beat, 1,
            std::span(moment.shown.drives).subspan(program.first[lamp], program.parts(lamp)));
        const double own = moment.shown.own[lamp];
        const BeatLevels levels = levelsOf(played, beat, own);
        const double level = levels.from + beat.share * (levels.to - levels.from);
        // What solo, master and Dark leave of it is as before.
        const double left = own > 0 ? moment.shown.intensity[lamp] / own : 1;
        moment.shown.own[lamp] = level;
        moment.shown.intensity[lamp] = level * left;
        moment.moving[lamp] = 1;
        moment.colour[lamp] = {Engine::From::Layer::Ripple, *which};
    }
    SentValues values(compiled);
    values.follow(moment.shown);
    moment.values = values.values();
    return moment;
}

std::vector<OutOfReach> outOfReach(const Compiled& compiled, show::RippleId ripple) {
    std::vector<OutOfReach> all;
    const auto which = placeOf(compiled, ripple);
    if (!which)
        return all;
    const PlayedRipple& played = compiled.program->ripples[*which];
    const show::Ripple& kept = *compiled.state.show->ripples.find(ripple);
    for (std::size_t s = 0; s < kept.steps.size(); ++s) {
        OutOfReach one{s, {}, 0};
        for (const show::FixtureId id : kept.lamps) {
            const auto lamp = compiled.lampOf(id);
            const auto at = lamp ? std::lower_bound(played.lamps.begin(), played.lamps.end(), *lamp)
                                 : played.lamps.end();
            if (at == played.lamps.end() || *at != *lamp)
                continue;
            const auto place = static_cast<std::size_t>(at - played.lamps.begin());
            const double miss = played.tables[played.table[place]].miss_uv[s];
            if (miss <= mix::kReached_uv)
                continue;
            one.lamps.push_back(id);
            one.miss_uv = std::isnan(miss) ? miss : std::max(one.miss_uv, miss);
        }
        if (!one.lamps.empty())
            all.push_back(std::move(one));
    }
    return all;
}

} // namespace zelo::play
