// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/crossfade.h"

#include "colour/cct.h"
#include "colour/oklab.h"
#include "mix/together.h"
#include "play/compile.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

using colour::Uv;
using light::Drives;

namespace {

constexpr int kMoments = 101;
constexpr double kVisible = 0.02; // of the brightest moment
constexpr double kFull = 0.995;   // of a drive

Uv whiteOf(const show::Show& show) {
    return colour::planckianUv({show.white_cct_k});
}

// What one end says of these lamps, as a hand.
show::HandPtr handOf(const show::Show& show, const show::FadeEnd& end, const show::Lineup& lineup) {
    std::vector<show::Values::Change> values;
    const show::Look* look = show.lookOf(end.look);
    for (const show::FixtureId id : lineup) {
        show::Value value;
        if (end.colour) {
            value.colour = end.colour;
            const show::Palette* palette = show.palette(end.colour->palette());
            value.intensity = palette && palette->intensity ? *palette->intensity : 1.0;
        } else if (const auto* said = look ? look->values.find(id) : end.lamps.find(id)) {
            value = *said;
        }
        if (!value.empty())
            values.emplace_back(id, std::make_shared<const show::Value>(std::move(value)));
    }
    return std::make_shared<const show::Values>(show::Values::of(std::move(values)));
}

bool nothing(const show::FadeEnd& end) {
    return !end.colour && end.look.value == 0 && end.lamps.empty();
}

// Every lamp of the lineup at one end; a lamp whose type is not there has no mixer.
struct EndLamp {
    std::shared_ptr<const mix::Mixer> mixer;
    FadingEnd end;
    mix::MixWish mixing;
    bool said = true; // else the end says nothing of it: a look of other lamps
};

std::vector<EndLamp> endLamps(const show::State& state, const show::FadeEnd& end,
                              const show::Lineup& lineup, const Sources& from, Mixes& mixes) {
    const show::Show& show = *state.show;
    const Uv white = whiteOf(show);
    show::Show rig = show; // the rig and what colours follow, with nothing that plays
    rig.standing = {};
    rig.cue_lists = {};
    rig.faders = {};
    const auto made =
        compiled({std::make_shared<const show::Show>(std::move(rig)), handOf(show, end, lineup)},
                 from, mixes);
    std::vector<EndLamp> all;
    for (const show::FixtureId id : lineup) {
        EndLamp one;
        const show::Fixture* fixture = show.fixture(id);
        const auto lamp = made.lampOf(id);
        if (!fixture || !lamp || !made.mixers[*lamp]) {
            all.push_back(std::move(one));
            continue;
        }
        one.mixer = made.mixers[*lamp];
        const AskedLamp& asked = made.asked[*lamp];
        one.end.drives = asked.drives ? *asked.drives : homeDrives(*one.mixer, *fixture);
        const show::Look* look = show.lookOf(end.look);
        one.said = end.colour || nothing(end) ||
                   (look ? look->values.contains(id) : end.lamps.contains(id));
        one.end.level = nothing(end) ? 0 : asked.told.trimmed().value_or(0) * asked.dim;
        const auto xyz = one.mixer->xyzOf(one.end.drives);
        one.end.uv = colour::hasChromaticity(xyz) ? colour::toUv(xyz) : white;
        if (asked.colour && !asked.by_hand) {
            one.end.miss_uv = asked.colour->mix.miss_uv;
            one.mixing = asked.colour->wish;
        }
        all.push_back(std::move(one));
    }
    return all;
}

// With the intensities of its ends, which fade on their own.
SeenWay seen(const Fading& f, route::Fade fade, const show::Show& show) {
    SeenWay way;
    const auto disc = route::Disc::of(f.mixer->hull(), whiteOf(show));
    const auto n = fade.points.size();
    double brightest = 0;
    for (std::size_t i = 0; i < n; ++i) {
        const double t = fade.points[i].t;
        const double a = f.from.level;
        const double b = f.to.level;
        way.level.push_back(show.even_to_the_eye ? colour::evenlySeen(a, b, t) : a + t * (b - a));
        way.brightness_cd.push_back(way.level.back() * fade.points[i].brightness_cd);
        brightest = std::max(brightest, way.brightness_cd.back());
    }
    const colour::OklabSpace space(colour::toXyz(whiteOf(show)));
    std::vector<Uv> lit;
    double least = disc ? std::min(disc->saturation(fade.points.front().uv),
                                   disc->saturation(fade.points.back().uv))
                        : 0;
    way.dimmest_cd = brightest;
    bool dips = false;
    for (std::size_t i = 0; i < n; ++i) {
        const auto& p = fade.points[i];
        if (i > 0)
            way.length += 100 * distance(space.from(colour::toXyz(p.uv)),
                                         space.from(colour::toXyz(fade.points[i - 1].uv)));
        const bool between = (i > 0 || !f.from.dark()) && (i + 1 < n || !f.to.dark());
        if (between)
            way.dimmest_cd = std::min(way.dimmest_cd, way.brightness_cd[i]);
        if (way.brightness_cd[i] <= kVisible * brightest)
            continue;
        lit.push_back(p.uv);
        if (disc && p.saturation < 0.8 * least) { // bracketed: the dip one sees
            if (!dips)
                way.dip_from = p.t;
            way.dip_to = p.t;
            dips = true;
        }
    }
    way.white_dip = disc ? route::whiteDip(*disc, lit) : 0;
    way.largest_step = fade.largest_step;
    way.fade = std::move(fade);
    return way;
}

// Levels in straight lines: what a desk does that knows nothing else. A dark lamp rests at home.
SeenWay asItWould(const Fading& f, const show::Show& show) {
    route::FadeWish wish;
    wish.kind = route::Kind::Levels;
    wish.white = whiteOf(show);
    wish.samples = kMoments;
    auto fade = route::planFade(*f.mixer, f.from.drives, f.to.drives, wish);
    return seen(f, fade ? std::move(*fade) : route::Fade{}, show);
}

// In the dark first: a dark end has the colour of the other one.
Fading played(Fading f, const show::Show& show) {
    if (show.dark_first && f.from.dark() && !f.to.dark()) {
        f.from.drives = f.to.drives;
        f.from.uv = f.to.uv;
    } else if (show.dark_first && f.to.dark()) {
        f.to.drives = f.from.drives;
        f.to.uv = f.from.uv;
    }
    return f;
}

Result<SeenWay> asPlanned(const Fading& given, const std::optional<route::StopWay>& way,
                          const colour::Polygon& common, const show::Show& show) {
    const Fading f = played(given, show);
    const Uv white = whiteOf(show);
    route::FadeWish wish = route::fadeWish(way.value_or(route::StopWay{}), white,
                                           common.empty() ? f.mixer->hull() : common);
    wish.reach = common;
    wish.mixing = f.mixing;
    wish.samples = kMoments;
    auto fade = way ? route::planFade(*f.mixer, f.from.drives, f.to.drives, wish)
                    : route::planAsNeeded(*f.mixer, f.from.drives, f.to.drives, wish);
    if (!fade)
        return passOn(fade.error());
    return seen(f, std::move(*fade), show);
}

std::vector<Capped> cappedOf(const Fading& f, const SeenWay& way) {
    std::vector<Capped> all;
    bool before = false;
    for (const auto& p : way.fade.points) {
        if (p.capped && !before)
            all.push_back({p.t, p.t, {}});
        if (p.capped) {
            all.back().to = p.t;
            for (std::size_t e = 0; e < f.mixer->type().emitters.size(); ++e)
                if (p.drives[e] >= kFull &&
                    std::find(all.back().parts.begin(), all.back().parts.end(), e) ==
                        all.back().parts.end())
                    all.back().parts.push_back(e);
        }
        before = p.capped;
    }
    return all;
}

route::FadeSetup setupOf(const Fading& f, const show::Crossfade& fade) {
    route::FadeSetup setup;
    setup.before = {f.from.drives, f.from.level};
    setup.after = {f.to.drives, f.to.level};
    const double s = std::max(fade.time_s, 0.1);
    setup.times = {s, s, 0, s, 0};
    setup.route = fade.way ? fade.way->kind : route::Kind::Around;
    setup.floor = fade.way ? fade.way->floor : 0.8;
    return setup;
}

} // namespace

namespace {
// The two moments about a share of the time, and how far on from the first.
struct Between {
    std::size_t first;
    double on;
};
Between between(double share, std::size_t count) {
    const double x = std::clamp(share, 0.0, 1.0) * (static_cast<double>(count) - 1);
    const auto first = std::min(static_cast<std::size_t>(x), count - 2);
    return {first, x - static_cast<double>(first)};
}
} // namespace

Drives SeenWay::drivesAt(double share) const {
    const auto [i, on] = between(share, fade.points.size());
    Drives drives = fade.points[i].drives;
    for (std::size_t e = 0; e < drives.size(); ++e)
        drives[e] += on * (fade.points[i + 1].drives[e] - drives[e]);
    return drives;
}

double SeenWay::levelAt(double share) const {
    const auto [i, on] = between(share, level.size());
    return level[i] + on * (level[i + 1] - level[i]);
}

Uv SeenWay::uvAt(double share) const {
    const auto [i, on] = between(share, fade.points.size());
    return fade.points[i].uv + on * (fade.points[i + 1].uv - fade.points[i].uv);
}

CrossfadePicture crossfadePicture(const show::State& state, const show::Lineup& lineup,
                                  const std::string& type, const std::string& mode,
                                  const Sources& from, Mixes& mixes) {
    CrossfadePicture picture;
    picture.lamps = lineup;
    const show::Show& show = *state.show;
    if (lineup.empty()) {
        picture.trouble = say(ZELO_TEXT("core", "no lamps in the lineup"));
        return picture;
    }
    if (!show.crossfade || (nothing(show.crossfade->from) && nothing(show.crossfade->to))) {
        picture.trouble = say(ZELO_TEXT("core", "no colours to fade between yet"));
        return picture;
    }
    const show::Crossfade& fade = *show.crossfade;
    auto starts = endLamps(state, fade.from, lineup, from, mixes);
    auto ends = endLamps(state, fade.to, lineup, from, mixes);
    for (std::size_t i = 0; i < lineup.size(); ++i) // what one says nothing of stays as it is
        if (starts[i].said != ends[i].said)
            (starts[i].said ? ends[i] : starts[i]) = starts[i].said ? starts[i] : ends[i];
    std::size_t focus = CrossfadePicture::npos;
    std::vector<const mix::Mixer*> mixers;
    for (std::size_t i = 0; i < lineup.size(); ++i) {
        if (!starts[i].mixer)
            continue;
        const show::Fixture* f = show.fixture(lineup[i]);
        if (focus == CrossfadePicture::npos || (f->type == type && f->mode == mode &&
                                                !(show.fixture(lineup[focus])->type == type &&
                                                  show.fixture(lineup[focus])->mode == mode)))
            focus = i;
        if (std::find(mixers.begin(), mixers.end(), starts[i].mixer.get()) == mixers.end())
            mixers.push_back(starts[i].mixer.get());
    }
    if (focus == CrossfadePicture::npos) {
        picture.trouble = say(ZELO_TEXT("core", "the types of these lamps are not there"));
        return picture;
    }
    colour::Polygon common;
    if (fade.way && fade.way->common) {
        common = mix::commonReach(mixers);
        if (!route::Disc::of(common, whiteOf(show)))
            common = {};
    }
    picture.reach = common.empty() ? starts[focus].mixer->hull() : common;
    picture.of.assign(lineup.size(), CrossfadePicture::npos);
    const auto add = [&](std::size_t i) {
        const auto& a = starts[i];
        const auto& b = ends[i];
        for (std::size_t c = 0; c < picture.cases.size(); ++c) {
            const Fading& known = picture.cases[c].fading;
            if (known.mixer == a.mixer && known.from == a.end && known.to == b.end) {
                picture.of[i] = c;
                return;
            }
        }
        FadingCase one{{a.mixer, a.end, b.end, mix::inBoth(a.mixing, b.mixing)}, {}, {}};
        one.would = asItWould(one.fading, show);
        auto planned = picture.cases.size() < kMostCases
                           ? asPlanned(one.fading, fade.way, common, show)
                           : Result<SeenWay>(one.would);
        if (!planned && i == focus)
            picture.trouble = planned.error().what;
        one.planned = planned ? std::move(*planned) : one.would;
        picture.of[i] = picture.cases.size();
        picture.cases.push_back(std::move(one));
    };
    add(focus);
    if (!picture.trouble.empty())
        return picture;
    for (std::size_t i = 0; i < lineup.size(); ++i)
        if (i != focus && starts[i].mixer)
            add(i);
    const FadingCase& first = picture.cases.front();
    const Fading f = played(first.fading, show);
    picture.most_cd = route::mostAlong(*f.mixer, first.planned.fade, f.mixing);
    for (std::size_t i = 0; i < picture.most_cd.size(); ++i)
        picture.most_cd[i] *= first.planned.level[i];
    picture.capped = cappedOf(f, first.planned);
    picture.steps = route::stepsFor(*f.mixer, first.planned.fade, fade.tolerance_uv);
    picture.console =
        seen(f, route::asConsole(*f.mixer, picture.steps, whiteOf(show), kMoments), show);
    if (const auto disc = route::Disc::of(picture.reach, whiteOf(show)))
        picture.sides =
            route::sideWords(*disc, f.from.uv, f.to.uv, fade.way ? fade.way->floor : 0.8);
    const auto setup = setupOf(show.dark_first ? f : first.fading, fade);
    picture.faults = route::checkFade(*f.mixer, setup, whiteOf(show));
    if (!picture.faults.empty())
        picture.cures = route::curesFor(*f.mixer, setup, whiteOf(show));
    return picture;
}

std::vector<ComparedWay> comparedWays(const show::Show& show, const CrossfadePicture& picture) {
    std::vector<ComparedWay> all;
    if (!picture.trouble.empty() || !show.crossfade)
        return all;
    const Fading& f = picture.focus().fading;
    const route::StopWay now = show.crossfade->way.value_or(route::StopWay{});
    const colour::Polygon common = now.common ? picture.reach : colour::Polygon{};
    const auto add = [&](route::Kind kind, route::Side side, const char* by) {
        route::StopWay way = now;
        way.kind = kind;
        way.side = side;
        if (kind != now.kind || side != now.side)
            way.via.clear();
        auto planned = asPlanned(f, way, common, show);
        if (!planned)
            return;
        ComparedWay one{way, by, f.mixer, std::move(*planned), 0};
        one.steps =
            route::stepsFor(*f.mixer, one.seen.fade, show.crossfade->tolerance_uv).steps.size();
        all.push_back(std::move(one));
    };
    using route::Kind;
    using route::Side;
    add(Kind::Levels, now.side, nullptr);
    add(Kind::Straight, now.side, nullptr);
    add(Kind::Around, Side::Ccw, picture.sides.ccw);
    add(Kind::Around, Side::Cw, picture.sides.cw);
    add(Kind::Dark, now.side, nullptr);
    add(Kind::Jump, now.side, nullptr);
    return all;
}

} // namespace zelo::play
