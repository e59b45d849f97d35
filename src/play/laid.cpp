// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/laid.h"

#include "colour/cct.h"
#include "colour/oklab.h"
#include "mix/together.h"
#include "route/gradient.h"
#include "route/gradient_mix.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

using colour::Uv;
using route::Kind;
using show::Gradient;

namespace {

struct Group { // lamps of one type and mode
    std::shared_ptr<const mix::Mixer> mixer;
    LaidType told;
};

// Colours of the stops; those that are not to be had as they were kept.
std::vector<Uv> stopColours(const show::Show& show, const Gradient& g, const Sources& from,
                            Mixes& mixes, std::vector<Sentence>& troubles) {
    std::vector<Uv> all;
    for (const show::GradientStop& stop : g.stops) {
        const show::Palette* palette = show.palette(stop.colour.palette());
        const light::Asked* asked = stop.colour.here()           ? stop.colour.here()
                                    : palette && palette->colour ? &palette->colour->asked
                                                                 : nullptr;
        Uv uv = palette && palette->colour ? palette->colour->uv : stop.uv;
        if (asked) {
            if (const auto light = mixes.wanted(from, *asked))
                uv = (*light)->uv();
            else
                troubles.push_back(say(ZELO_TEXT("core", "{}; shown by the colour kept with it"),
                                       light.error().sentence()));
        }
        all.push_back(uv.v > 0.01 ? uv : Uv{0.2105, 0.4737});
    }
    return all;
}

route::Curve levelsWay(const mix::Mixer& mixer, const mix::MixWish& wish, const Uv& from,
                       const Uv& to) {
    const light::Drives a = mixer.solve(light::wantedUv(from), wish).drives;
    const light::Drives b = mixer.solve(light::wantedUv(to), wish).drives;
    return [&mixer, a, b, from, to](double x) {
        light::Drives between = a;
        for (std::size_t i = 0; i < a.size(); ++i)
            between[i] += x * (b[i] - a[i]);
        const auto xyz = mixer.xyzOf(between);
        return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : x < 0.5 ? from : to;
    };
}

// The gradient's colours at these places, on ways within this reach. A way that cannot be gone is
// gone straight, and told.
std::vector<Uv> coloursAt(const Gradient& g, const std::vector<Uv>& stops,
                          const colour::Polygon& reach, const Uv& white,
                          const std::vector<double>& places, const mix::Mixer* mixer,
                          const mix::MixWish& mixing, std::vector<Sentence>& troubles) {
    std::vector<route::Stop> all;
    for (std::size_t i = 0; i < stops.size(); ++i)
        all.push_back({stops[i], g.stops[i].at});
    route::GradientWish wish;
    wish.ways = g.ways;
    wish.even = g.even;
    wish.white = white;
    if (mixer)
        wish.levels = [&](std::size_t i) {
            return levelsWay(*mixer, mixing, stops[i], stops[i + 1]);
        };
    auto laid = route::spread(reach, all, places, wish);
    if (!laid) {
        troubles.push_back(say(ZELO_TEXT("core", "{}: it goes straight"), laid.error().sentence()));
        for (route::StopWay& way : wish.ways)
            if (way.kind == Kind::Around || way.kind == Kind::Levels)
                way.kind = Kind::Straight;
        laid = route::spread(reach, all, places, wish);
    }
    return laid ? laid->colours : std::vector<Uv>(places.size(), stops.front());
}

double intensityAt(const Gradient& g, const std::vector<double>& at, double place) {
    std::size_t i = 0;
    while (i + 2 < at.size() && place > at[i + 1])
        ++i;
    const double x = std::clamp((place - at[i]) / (at[i + 1] - at[i]), 0.0, 1.0);
    return colour::evenlySeen(g.intensities[i].intensity, g.intensities[i + 1].intensity, x);
}

show::ColourWish wishOf(const Gradient& g, const Uv& uv) {
    return {light::AskedUv{uv.u, uv.v}, uv, g.intent, g.give_up, g.keep_out, g.pins, {},
            g.exact_for_camera};
}

// The mix of a lamp that has light of its own: near to its type's, so that neighbours stay alike.
mix::Mix calibratedMix(const mix::Mixer& mixer, const Uv& uv, const Uv& off,
                       const mix::MixWish& wish, const light::Drives* near) {
    const Uv aim = uv - off;
    mix::Mix made = mixer.solve(light::wantedUv(aim.v > 0.01 ? aim : uv), wish);
    if (!near || !mixer.additive() || made.end != mix::MixEnd::InReach)
        return made;
    if (const auto drives = mixer.closestDrives(*near, made.got, wish)) {
        made.drives = *drives;
        made.got = mixer.xyzOf(*drives);
    }
    return made;
}

// The lamps of one type: each place of the gradient is mixed once, all of them together.
void mixGroup(const show::Show& show, const Gradient& g, const Sources& from, Mixes& mixes,
              Group& group, std::vector<LaidLamp>& lamps) {
    std::vector<std::size_t> order = group.told.lamps;
    std::stable_sort(order.begin(), order.end(),
                     [&](auto a, auto b) { return lamps[a].place < lamps[b].place; });
    std::vector<Uv> colours;
    std::vector<std::size_t> which; // of `order`
    for (const std::size_t i : order) {
        if (colours.empty() || !(colours.back() == lamps[i].uv))
            colours.push_back(lamps[i].uv);
        which.push_back(colours.size() - 1);
    }
    const mix::MixWish wish =
        wishFor(group.mixer->type(), wishOf(g, colours.front()), from.cameras());
    const auto mixed = route::mixGradient(*group.mixer, colours, wish, g.choose);
    group.told.largest_step = mixed.largest_step;
    group.told.alone = mixed.alone;
    std::vector<std::shared_ptr<const MixedColour>> shared(colours.size());
    for (std::size_t k = 0; k < order.size(); ++k) {
        LaidLamp& lamp = lamps[order[k]];
        lamp.wish = wishOf(g, lamp.uv);
        const show::Fixture& f = *show.fixture(lamp.id);
        auto& made = shared[which[k]];
        if (f.calibration || !made) {
            MixedColour one;
            one.mixer = f.calibration ? mixes.mixerOf(from, f) : group.mixer;
            one.source = std::make_shared<const light::Wanted>(light::wantedUv(lamp.uv));
            one.wanted = *one.source;
            one.wish = wish;
            one.mix = mixed.mixes[which[k]];
            if (f.calibration)
                one.mix =
                    calibratedMix(*one.mixer, lamp.uv, f.calibration->off, wish,
                                  g.choose == route::Choose::Together ? &one.mix.drives : nullptr);
            auto all = std::make_shared<const MixedColour>(std::move(one));
            if (f.calibration) {
                lamp.colour = std::move(all);
                continue;
            }
            made = std::move(all);
        }
        lamp.colour = made;
    }
}

// The most light of a lamp, cd: of its colour, else at home.
double brightestOf(const LaidLamp& lamp, const show::Show& show, const Sources& from,
                   Mixes& mixes) {
    if (lamp.colour)
        return lamp.colour->mix.got.Y;
    const show::Fixture& f = *show.fixture(lamp.id);
    const auto mixer = mixes.mixerOf(from, f);
    return mixer ? mixer->xyzOf(homeDrives(*mixer, f)).Y : 0;
}

void giveIntensities(const show::Show& show, const Gradient& g, const Sources& from, Mixes& mixes,
                     LaidOut& all) {
    for (LaidLamp& lamp : all.lamps)
        lamp.dim = route::lightAt(all.at, g.ways, lamp.place);
    if (g.bright == show::Bright::Spread) {
        std::vector<std::optional<double>> positions;
        for (const show::IntensityStop& stop : g.intensities)
            positions.push_back(stop.at);
        all.intensities_at = *route::standingAt(positions); // checkGradient() saw to it
        for (LaidLamp& lamp : all.lamps)
            lamp.intensity = intensityAt(g, all.intensities_at, lamp.place);
    }
    if (g.bright != show::Bright::Alike)
        return;
    std::vector<double> most_cd;
    double least_cd = HUGE_VAL;
    for (const LaidLamp& lamp : all.lamps) {
        most_cd.push_back(brightestOf(lamp, show, from, mixes));
        if (most_cd.back() > 0)
            least_cd = std::min(least_cd, most_cd.back());
    }
    for (std::size_t i = 0; i < all.lamps.size(); ++i)
        all.lamps[i].intensity = most_cd[i] > 0 ? least_cd / most_cd[i] : 1;
}

colour::Polygon reachOfAll(const std::vector<Group>& groups) {
    std::vector<const mix::Mixer*> mixers;
    for (const Group& group : groups)
        if (group.told.colours && !group.told.takes_slots && group.mixer->hull().hasInside())
            mixers.push_back(group.mixer.get());
    return mixers.empty() ? colour::Polygon{} : mix::commonReach(mixers);
}

// With the points of its ways where light is, and in this reach; empty: in none.
Gradient withinReach(const Gradient& gradient, const colour::Polygon& reach) {
    Gradient within = gradient;
    for (route::StopWay& way : within.ways)
        for (Uv& via : way.via) {
            via.v = std::max(via.v, 0.01);
            if (!reach.empty())
                via = mix::intoReach(reach, via);
        }
    return within;
}

} // namespace

std::vector<double> placesAlong(const show::Show& show, const route::Arrangement& arrangement,
                                const std::optional<show::AlongPlan>& along,
                                const std::vector<show::FixtureId>& lamps) {
    if (!along)
        return route::arranged(static_cast<int>(lamps.size()), arrangement);
    std::vector<route::Place> on_plan; // of those that are there
    for (const show::FixtureId id : lamps)
        if (const show::Fixture* f = show.fixture(id))
            on_plan.push_back({f->place.x_m, f->place.y_m});
    const auto there =
        route::arranged(along->from_point ? route::awayFrom(on_plan, {along->x_m, along->y_m})
                                          : route::alongLine(on_plan, along->direction_deg),
                        arrangement);
    std::vector<double> all;
    auto next = there.begin();
    for (const show::FixtureId id : lamps)
        all.push_back(show.fixture(id) ? *next++ : 0);
    return all;
}

std::optional<std::size_t> LaidOut::placeOf(show::FixtureId id) const {
    const auto it =
        std::lower_bound(by_id.begin(), by_id.end(), id,
                         [](const auto& entry, show::FixtureId i) { return entry.first < i; });
    return it != by_id.end() && it->first == id ? std::optional(it->second) : std::nullopt;
}

const LaidLamp* LaidOut::lamp(show::FixtureId id) const {
    const auto place = placeOf(id);
    return place ? &lamps[*place] : nullptr;
}

LaidOut layOut(const show::Show& show, const show::Laying& laying, const Sources& from,
               Mixes& mixes) {
    LaidOut all;
    const Gradient* gradient = show::gradientOf(show, laying);
    if (!gradient || !show::checkGradient(*gradient))
        return all;
    const Gradient& g = *gradient;
    all.gradient = laying.own ? laying.own : show.palette(laying.palette)->gradient;
    const auto places = placesAlong(show, g.arrangement, g.along, laying.lamps);
    std::vector<Group> groups;
    std::map<std::pair<std::string, std::string>, std::size_t> known;
    std::vector<std::size_t> of_lamp; // its place among all that were laid over, gone ones too
    for (std::size_t i = 0; i < laying.lamps.size(); ++i) {
        const show::Fixture* f = show.fixture(laying.lamps[i]);
        if (!f)
            continue;
        LaidLamp lamp;
        lamp.id = f->id;
        lamp.place = places[i];
        of_lamp.push_back(i);
        const auto [at, fresh] = known.try_emplace({f->type, f->mode}, groups.size());
        if (fresh) {
            groups.push_back({mixes.mixer(from, f->type, f->mode), {}});
            LaidType& told = groups.back().told;
            told.type = f->type;
            told.mode = f->mode;
            told.colours = groups.back().mixer && groups.back().mixer->hull().corners().size() >= 2;
            told.takes_slots = told.colours && groups.back().mixer->slotsAlone();
        }
        groups[at->second].told.lamps.push_back(all.lamps.size());
        all.by_id.emplace_back(f->id, all.lamps.size());
        all.lamps.push_back(std::move(lamp));
    }
    std::sort(all.by_id.begin(), all.by_id.end());
    all.asked = all.stops = stopColours(show, g, from, mixes, all.troubles);
    std::vector<std::optional<double>> positions;
    for (const show::GradientStop& stop : g.stops)
        positions.push_back(stop.at);
    all.at = *route::standingAt(positions);
    const Uv white = colour::planckianUv({show.white_cct_k});
    all.reach = g.common_reach ? reachOfAll(groups) : colour::Polygon{};
    if (!all.reach.hasInside()) {
        const bool any = std::any_of(groups.begin(), groups.end(), [](const Group& group) {
            return group.told.colours && group.mixer->hull().hasInside();
        });
        if (g.common_reach && any)
            all.troubles.push_back(
                say(ZELO_TEXT("core", "these types share no reach: each goes in its own")));
        all.reach = {};
    }
    const Gradient within = withinReach(g, all.reach);
    for (Uv& uv : all.stops)
        if (!all.reach.empty())
            uv = mix::intoReach(all.reach, uv);
    const bool levels = std::any_of(g.ways.begin(), g.ways.end(),
                                    [](const auto& w) { return w.kind == Kind::Levels; });
    std::vector<Uv> shared;
    if (!all.reach.empty() && !levels)
        shared = coloursAt(within, all.stops, all.reach, white, places, nullptr, {}, all.troubles);
    for (Group& group : groups) {
        if (group.told.colours) {
            const auto colours =
                !shared.empty() ? shared
                                : coloursAt(within, all.stops,
                                            all.reach.empty() ? group.mixer->hull() : all.reach,
                                            white, places, group.mixer.get(),
                                            wishFor(group.mixer->type(),
                                                    wishOf(g, all.stops.front()), from.cameras()),
                                            all.troubles);
            for (const std::size_t i : group.told.lamps) {
                all.lamps[i].uv = colours[of_lamp[i]];
                // A way ends on the edge of its reach; what is asked for may lie beyond.
                for (std::size_t s = 0; all.reach.empty() && s < all.at.size(); ++s)
                    if (std::abs(all.at[s] - all.lamps[i].place) < 1e-9)
                        all.lamps[i].uv = all.stops[s];
            }
            mixGroup(show, g, from, mixes, group, all.lamps);
        }
        all.types.push_back(std::move(group.told));
    }
    giveIntensities(show, g, from, mixes, all);
    return all;
}

namespace {

// What a lamp shows, its calibration's offset in it.
std::optional<Uv> shownUv(const LaidLamp& lamp, const show::Show& show) {
    if (!lamp.colour || !colour::hasChromaticity(lamp.colour->mix.got))
        return std::nullopt;
    const show::Fixture* f = show.fixture(lamp.id);
    return colour::toUv(lamp.colour->mix.got) +
           (f && f->calibration ? f->calibration->off : Uv{0, 0});
}

} // namespace

Judged judged(const LaidOut& laid, const show::Show& show) {
    Judged j;
    const colour::OklabSpace space(colour::toXyz(colour::planckianUv({show.white_cct_k})));
    std::vector<std::optional<colour::Oklab>> seen;
    for (const LaidLamp& lamp : laid.lamps) {
        const auto uv = shownUv(lamp, show);
        seen.push_back(uv ? std::optional(space.from(colour::toXyz(*uv))) : std::nullopt);
        j.miss_uv.push_back(uv ? colour::distance(*uv, lamp.uv) : NAN);
    }
    std::vector<double> known;
    for (std::size_t i = 1; i < seen.size(); ++i) {
        const bool both = seen[i - 1] && seen[i];
        j.steps.push_back(both ? 100 * distance(*seen[i - 1], *seen[i]) : NAN);
        if (!both)
            continue;
        const auto better = [&](std::size_t than, double sign) {
            return !(sign * j.steps[than] >= sign * j.steps.back()); // NaN: nothing yet
        };
        if (better(j.most, 1))
            j.most = i - 1;
        if (better(j.least, -1))
            j.least = i - 1;
        known.push_back(j.steps.back());
    }
    if (!known.empty()) {
        const auto middle = known.begin() + static_cast<std::ptrdiff_t>(known.size() / 2);
        std::nth_element(known.begin(), middle, known.end());
        j.usual = *middle;
    }
    for (const LaidType& type : laid.types) {
        double worst = NAN;
        for (const std::size_t i : type.lamps)
            worst = std::fmax(worst, j.miss_uv[i]);
        j.worst_miss_uv.push_back(worst);
    }
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < seen.size(); ++i)
        if (seen[i])
            order.push_back(i);
    std::stable_sort(order.begin(), order.end(),
                     [&](auto a, auto b) { return laid.lamps[a].place < laid.lamps[b].place; });
    std::vector<double> parts{0, 1};
    for (std::size_t i = 0; laid.gradient && i < laid.at.size(); ++i)
        if (laid.gradient->stops[i].at)
            parts.push_back(laid.at[i]);
    std::sort(parts.begin(), parts.end());
    for (std::size_t part = 1; part < parts.size(); ++part) {
        double least = HUGE_VAL;
        double most = 0;
        for (std::size_t k = 1; k < order.size(); ++k) {
            const double from = laid.lamps[order[k - 1]].place;
            const double to = laid.lamps[order[k]].place;
            if (!(to > from) || from < parts[part - 1] - 1e-12 || to > parts[part] + 1e-12)
                continue;
            const double step = distance(*seen[order[k]], *seen[order[k - 1]]) / (to - from);
            least = std::min(least, step);
            most = std::max(most, step);
        }
        if (most > 0)
            j.evenness = std::min(j.evenness, least / most);
    }
    return j;
}

std::vector<light::Drives> plainLevels(const LaidOut& laid) {
    std::vector<light::Drives> all(laid.lamps.size());
    std::map<const mix::Mixer*, std::vector<light::Drives>> stops; // each solved once
    for (std::size_t i = 0; i < laid.lamps.size(); ++i) {
        const LaidLamp& lamp = laid.lamps[i];
        if (!lamp.colour)
            continue;
        const mix::Mixer& mixer = *lamp.colour->mixer;
        auto& of_stops = stops[&mixer];
        for (std::size_t s = of_stops.size(); s < laid.stops.size(); ++s)
            of_stops.push_back(
                mixer.solve(light::wantedUv(laid.asked[s]), lamp.colour->wish).drives);
        std::size_t s = 0;
        while (s + 2 < laid.at.size() && lamp.place > laid.at[s + 1])
            ++s;
        const double x =
            std::clamp((lamp.place - laid.at[s]) / (laid.at[s + 1] - laid.at[s]), 0.0, 1.0);
        light::Drives between = of_stops[s];
        for (std::size_t e = 0; e < between.size(); ++e)
            between[e] += x * (of_stops[s + 1][e] - between[e]);
        all[i] = std::move(between);
    }
    return all;
}

namespace {

std::vector<double> evenly(int places) {
    std::vector<double> at;
    for (int i = 0; i < places; ++i)
        at.push_back(places > 1 ? i / (places - 1.0) : 0);
    return at;
}

constexpr int kFine = 257; // points of the way that a ribbon is drawn from

// What lamps of this type are asked for; of all, where all go one way.
std::map<double, Uv> coloursByPlace(const LaidOut& laid, const mix::Mixer* mixer) {
    std::map<double, Uv> all;
    for (const LaidLamp& lamp : laid.lamps)
        if (lamp.colour && (lamp.colour->mixer.get() == mixer || !laid.reach.empty()))
            all.emplace(lamp.place, lamp.uv);
    return all;
}

} // namespace

std::vector<Uv> ribbonOf(const LaidOut& laid, const show::Show& show, int places) {
    std::vector<Sentence> troubles;
    const Gradient& g = *laid.gradient;
    const LaidLamp* first = nullptr;
    for (const LaidLamp& lamp : laid.lamps)
        if (!first && lamp.colour)
            first = &lamp;
    const mix::Mixer* mixer = first ? first->colour->mixer.get() : nullptr;
    const auto fine = coloursAt(withinReach(g, laid.reach), laid.stops,
                                laid.reach.empty() && mixer ? mixer->hull() : laid.reach,
                                colour::planckianUv({show.white_cct_k}), evenly(kFine), mixer,
                                first ? first->colour->wish : mix::MixWish{}, troubles);
    // Few lamps take wide steps, which are even as chords and not along the way: the way is shifted
    // to meet them.
    std::map<double, double> along{{0, 0}, {1, kFine - 1}}; // of a place: where on the way
    double least = 0;
    for (const auto& [place, uv] : coloursByPlace(laid, mixer)) {
        const double here = place * (kFine - 1);
        const auto from = static_cast<std::size_t>(std::max(least, here - kFine / 8.0));
        const auto to = static_cast<std::size_t>(std::min(kFine - 1.0, here + kFine / 8.0));
        auto nearest = std::max(from, std::min(to, static_cast<std::size_t>(here)));
        for (std::size_t i = from; i <= to; ++i)
            if (colour::distance(fine[i], uv) < colour::distance(fine[nearest], uv))
                nearest = i;
        least = static_cast<double>(nearest);
        along[place] = least;
    }
    std::vector<Uv> ribbon;
    for (const double place : evenly(places)) {
        const auto after =
            place > 0 ? along.lower_bound(place) : std::next(along.begin()); // 0 and 1 are there
        const auto before = std::prev(after);
        const double x = before->second + (after->second - before->second) *
                                              (place - before->first) /
                                              (after->first - before->first);
        ribbon.push_back(fine[static_cast<std::size_t>(std::lround(x))]);
    }
    return ribbon;
}

std::vector<Uv> ribbonOf(const show::Show& show, const Gradient& gradient, const Sources& from,
                         Mixes& mixes, int places) {
    std::vector<Sentence> troubles;
    const auto stops = stopColours(show, gradient, from, mixes, troubles);
    static const colour::Polygon kWide(
        {{0.62, 0.52}, {0.06, 0.585}, {0.02, 0.5}, {0.2, 0.03}, {0.3, 0.06}});
    Gradient plain = withinReach(gradient, {});
    for (route::StopWay& way : plain.ways)
        if (way.kind == Kind::Levels)
            way.kind = Kind::Straight;
    return coloursAt(plain, stops, kWide, colour::planckianUv({show.white_cct_k}), evenly(places),
                     nullptr, {}, troubles);
}

Gradients::Gradients(show::ShowPtr show, const Sources& from, Mixes& mixes)
    : show_(std::move(show)), from_(from), mixes_(mixes) {}

const std::shared_ptr<const LaidOut>& Gradients::laid(const show::LayingPtr& laying) {
    auto& known = laid_[laying];
    if (!known)
        known = mixes_.laid(from_, *show_, laying);
    return known;
}

show::Shown Gradients::shown(const show::Value& value, show::FixtureId id) {
    show::Shown told = show::followed(*show_, value);
    if (const LaidLamp* colour = lamp(value.colour, id); colour && colour->colour)
        told.colour = colour->wish;
    if (const LaidLamp* intensity = lamp(value.intensity, id))
        told.intensity = intensity->intensity;
    return told;
}

} // namespace zelo::play
