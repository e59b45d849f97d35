// SPDX-License-Identifier: GPL-3.0-or-later
// Laws of routes and gradients on ends that nobody thought of.
#include "colour/polygon.h"
#include "route/arrangement.h"
#include "route/fade.h"
#include "route/gradient.h"
#include "support/near_way.h"
#include "support/shipped.h"

#include <rapidcheck.h>
#include <rapidcheck/gtest.h>

namespace zelo::route {
namespace {

using colour::Uv;

double share() {
    return *rc::gen::inRange(0, 100001) / 1e5;
}

const mix::Mixer& mixer() {
    static const auto m = test::shippedMixer("gannet-8");
    return m;
}
const Uv kWhite = colour::toUv(colour::toXyz(colour::lampOf({4300})));

light::Drives anyEnd() { // a colour of some saturation
    const auto disc = Disc::of(mixer().hull(), kWhite);
    const Uv uv = disc->fromDisc({0.15 + 0.83 * share(), 6.2831853 * share()});
    return mixer().solve(test::wantedXyz(colour::toXyz(uv)), {}).drives;
}

RC_GTEST_PROP(AnyRoute, AroundKeepsItsFloorAndItsColours, ()) {
    FadeWish wish;
    wish.white = kWhite;
    wish.floor = share();
    wish.side = *rc::gen::element(Side::Short, Side::Long, Side::Ccw, Side::Cw);
    wish.samples = 61;
    const auto from = anyEnd();
    const auto to = anyEnd();
    const auto fade = planFade(mixer(), from, to, wish);
    RC_ASSERT(fade.has_value());
    const auto disc = Disc::of(mixer().hull(), kWhite);
    const double ends = std::min(disc->saturation(colour::toUv(mixer().xyzOf(from))),
                                 disc->saturation(colour::toUv(mixer().xyzOf(to))));
    for (const auto& p : fade->points) {
        RC_ASSERT(disc->saturation(p.uv) >= (wish.floor - 0.02) * ends);
        RC_ASSERT(disc->saturation(p.uv) <= 1 + 1e-6);
        for (const double d : p.drives)
            RC_ASSERT(d >= 0 && d <= 1);
        const auto light = mixer().xyzOf(p.drives);
        RC_ASSERT(colour::distance(colour::toUv(light), p.uv) < 1e-6);
    }
    RC_ASSERT(fade->white_dip <= 1 - wish.floor + 0.02);
}

RC_GTEST_PROP(AnyRoute, StepsStayWithinTheirTolerance, ()) {
    FadeWish wish;
    wish.white = kWhite;
    wish.kind = *rc::gen::element(Kind::Straight, Kind::Around, Kind::Levels, Kind::Dark);
    wish.samples = 61;
    const auto fade = planFade(mixer(), anyEnd(), anyEnd(), wish);
    RC_ASSERT(fade.has_value());
    const double tolerance = 0.003 + 0.02 * share();
    const auto steps = stepsFor(mixer(), *fade, tolerance);
    RC_ASSERT(steps.steps.front().t == 0 && steps.steps.back().t == 1);
    for (std::size_t i = 1; i < steps.steps.size(); ++i)
        RC_ASSERT(steps.steps[i].t > steps.steps[i - 1].t);
    // By another road: straight between the steps, looked at where the fade has its points. Only
    // two neighbouring points may be further off, and then both are steps.
    const double visible = 0.02 * std::max_element(fade->points.begin(), fade->points.end(),
                                                   [](const auto& a, const auto& b) {
                                                       return a.brightness_cd < b.brightness_cd;
                                                   })
                                      ->brightness_cd;
    for (std::size_t k = 1; k < steps.steps.size(); ++k) {
        const double from = steps.steps[k - 1].t;
        const double to = steps.steps[k].t;
        if (to - from < 1.5 / (wish.samples - 1))
            continue;
        for (const auto& p : fade->points) {
            if (p.t < from || p.t > to || p.brightness_cd <= visible)
                continue;
            const auto xyz = mixer().xyzOf(levelsBetween(mixer(), steps.steps[k - 1].sent.drives,
                                                         steps.steps[k].sent.drives,
                                                         (p.t - from) / (to - from)));
            RC_ASSERT(test::offWay(*fade, p.t, colour::toUv(xyz), 0.03) <= tolerance + 2e-4);
        }
    }
}

RC_GTEST_PROP(AnyGradient, IsEvenToTheEyeAndItsEndsAreExact, ()) {
    GradientWish wish;
    wish.white = kWhite;
    wish.way.kind = *rc::gen::element(Kind::Straight, Kind::Around);
    wish.way.floor = 0.3 + 0.7 * share();
    const auto a = colour::toUv(mixer().xyzOf(anyEnd()));
    const auto b = colour::toUv(mixer().xyzOf(anyEnd()));
    RC_PRE(colour::distance(a, b) > 0.02);
    const int lamps = *rc::gen::inRange(2, 40);
    const auto g = spread(mixer().hull(), {{a, {}}, {b, {}}}, arranged(lamps, {}), wish);
    RC_ASSERT(g.has_value());
    RC_ASSERT(static_cast<int>(g->colours.size()) == lamps);
    RC_ASSERT(g->evenness >= 0.97);
    RC_ASSERT(colour::distance(g->colours.front(), a) < 1e-6);
    RC_ASSERT(colour::distance(g->colours.back(), b) < 1e-6);
}

RC_GTEST_PROP(AnyArrangement, KeepsWhatItPromises, ()) {
    Arrangement a;
    a.order = *rc::gen::element(Order::Forward, Order::Reverse, Order::FromMiddle, Order::ToMiddle,
                                Order::ToAndFro, Order::Shuffled);
    a.block = *rc::gen::inRange(1, 5);
    a.repeats = *rc::gen::inRange(1, 5);
    a.passes = *rc::gen::inRange(1, 5);
    a.seed = static_cast<std::uint32_t>(*rc::gen::inRange(1, 1000));
    const int lamps = *rc::gen::inRange(1, 120);
    const auto places = arranged(lamps, a);
    RC_ASSERT(static_cast<int>(places.size()) == lamps);
    for (int i = 0; i < lamps; ++i) {
        const auto k = static_cast<std::size_t>(i);
        RC_ASSERT(places[k] >= 0 && places[k] <= 1);
        RC_ASSERT(places[k] == places[k - k % static_cast<std::size_t>(a.block)]);
    }
    Arrangement turned = a; // by the whole length
    turned.offset = 1;
    RC_ASSERT(arranged(lamps, turned) == places);
    if (a.repeats == 1 && a.block == 1) {
        Arrangement mirrored = a;
        mirrored.mirrored = true;
        const auto both = arranged(lamps, mirrored);
        RC_ASSERT(std::equal(both.begin(), both.end(), both.rbegin()));
    }
}

} // namespace
} // namespace zelo::route
