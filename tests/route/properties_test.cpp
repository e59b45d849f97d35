// SPDX-License-Identifier: GPL-3.0-or-later
// Laws of routes and gradients on ends that nobody thought of.
#include "mix/hull.h"
#include "route/fade.h"
#include "route/gradient.h"
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
    // Where two neighbouring points alone break it, both are steps: then as many steps as points.
    RC_ASSERT(steps.worst_uv <= tolerance + 1e-12 || steps.steps.size() > 8);
}

RC_GTEST_PROP(AnyGradient, IsEvenToTheEye, ()) {
    GradientWish wish;
    wish.white = kWhite;
    wish.way = *rc::gen::element(Kind::Straight, Kind::Around);
    wish.floor = 0.3 + 0.7 * share();
    const auto a = colour::toUv(mixer().xyzOf(anyEnd()));
    const auto b = colour::toUv(mixer().xyzOf(anyEnd()));
    RC_PRE(colour::distance(a, b) > 0.02);
    const int lamps = *rc::gen::inRange(2, 40);
    const auto g = spread(mixer().hull(), {{a, {}}, {b, {}}}, lamps, wish, {});
    RC_ASSERT(g.has_value());
    RC_ASSERT(static_cast<int>(g->lamps.size()) == lamps);
    RC_ASSERT(g->evenness >= 0.9);
    RC_ASSERT(colour::distance(g->lamps.front(), a) < 1e-6);
    RC_ASSERT(colour::distance(g->lamps.back(), b) < 1e-6);
}

} // namespace
} // namespace zelo::route
