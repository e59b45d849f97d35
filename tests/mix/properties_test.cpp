// SPDX-License-Identifier: GPL-3.0-or-later
// Laws that every mix keeps, tried on colours and wishes that nobody thought of.
#include "colour/polygon.h"
#include "light/levels.h"
#include "mix/camera_miss.h"
#include "mix/closest_making.h"
#include "mix/quadratic.h"
#include "mix/rounding.h"
#include "support/cameras.h"
#include "support/shipped.h"

#include <rapidcheck.h>
#include <rapidcheck/gtest.h>

namespace zelo::mix {
namespace {

const std::vector<std::string> kTypes = {"petrel-4", "tern-6",      "gannet-8", "avocet-7",
                                         "knot-2",   "shag-6",      "plover-5", "skua-cmy",
                                         "dunlin-3", "eider-scroll"};

const Mixer& anyMixer() {
    static std::map<std::string, Mixer> all;
    const auto id = *rc::gen::elementOf(kTypes);
    if (!all.contains(id))
        all.emplace(id, test::shippedMixer(id));
    return all.at(id);
}

double share() { // 0..1
    return *rc::gen::inRange(0, 100001) / 1e5;
}

// Light from random drives, so that it is within reach; or any chromaticity at all.
light::Wanted colourFor(const Mixer& mixer, bool within) {
    if (!within)
        return test::wantedXyz(
            colour::toXyz(colour::Uv{0.02 + 0.6 * share(), 0.05 + 0.55 * share()}));
    light::Drives d = mixer.type().ready(mixer.mode());
    for (std::size_t i = 0; i < d.size(); ++i)
        if (mixer.usable(i))
            d[i] = 0.02 + 0.98 * share();
    return test::wantedSpectrum(light::spectrumOf(mixer.type(), d));
}

MixWish anyWish(const Mixer& mixer) {
    MixWish wish = test::wishOf(
        *rc::gen::element(Intent::Brightest, Intent::Truest, Intent::Leanest, Intent::Filmed),
        share());
    static const auto cameras = test::shippedCameras({"fulmar", "guillemot"});
    wish.cameras = cameras;
    for (std::size_t i = 0; i < mixer.type().partCount(); ++i)
        if (mixer.usable(i) && share() < 0.12) {
            if (share() < 0.5)
                wish.keep_out.push_back(i);
            else
                wish.pins.push_back({i, share()});
        }
    return wish;
}

RC_GTEST_PROP(AnyMix, StaysWithinZeroToOneAndTellsItsLight, ()) {
    const Mixer& mixer = anyMixer();
    const auto wanted = colourFor(mixer, share() < 0.5);
    const auto wish = anyWish(mixer);
    const Mix mix = mixer.solve(wanted, wish);
    for (const double d : mix.drives)
        RC_ASSERT(d >= 0 && d <= 1);
    for (const auto& pin : wish.pins)
        if (mixer.usable(pin.part) && mix.end != MixEnd::Dark)
            RC_ASSERT(std::abs(mix.drives[pin.part] - pin.drive) < 1e-12);
    const auto light = light::xyzOf(mixer.type(), mix.drives);
    RC_ASSERT(norm(light - mix.got) <= 1e-6 * norm(light) + 1e-12);
    if (mix.end == MixEnd::InReach)
        RC_ASSERT(mix.miss_uv < 1e-6);
    if (colour::hasChromaticity(mix.got))
        RC_ASSERT(std::abs(mix.miss_uv - colour::distance(colour::toUv(light), wanted.uv())) <
                  1e-9);
}

RC_GTEST_PROP(AnyMix, AColourIsTheSameHoweverBrightItIsAsked, ()) {
    const Mixer& mixer = anyMixer();
    auto wanted = colourFor(mixer, true);
    const auto once = mixer.solve(wanted, {});
    wanted.xyz = (0.01 + 100 * share()) * wanted.xyz;
    const auto again = mixer.solve(wanted, {});
    RC_ASSERT(colour::distance(colour::toUv(once.got), colour::toUv(again.got)) < 1e-6);
}

RC_GTEST_PROP(AnyMix, BrightestIsNeverDimmerThanAnotherIntent, ()) {
    const Mixer& mixer = anyMixer();
    const auto wanted = colourFor(mixer, true);
    auto wish = anyWish(mixer);
    const auto other = mixer.solve(wanted, wish);
    wish.intent = Intent::Brightest;
    const auto brightest = mixer.solve(wanted, wish);
    if (other.end == MixEnd::InReach && brightest.end == MixEnd::InReach && mixer.additive())
        RC_ASSERT(other.got.Y <= brightest.got.Y * (1 + 1e-6));
    RC_ASSERT(other.ofBrightest() <= 1 + 1e-6 || !mixer.additive());
}

// Whatever is pinned, kept out or given up.
RC_GTEST_PROP(AnyMix, FilmedIsNeverFurtherForTheCameraThanTruest, ()) {
    static const auto cameras = test::shippedCameras({"kittiwake"});
    const Mixer& mixer = anyMixer();
    const auto wanted = colourFor(mixer, true);
    auto wish = anyWish(mixer);
    wish.intent = Intent::Filmed;
    wish.cameras = cameras;
    const auto filmed = mixer.solve(wanted, wish);
    wish.intent = Intent::Truest;
    const auto truest = mixer.solve(wanted, wish);
    RC_ASSERT(filmed.end == truest.end);
    if (filmed.end != MixEnd::InReach)
        return;
    const auto missOf = [&](const Mix& mix) {
        return largestCameraMiss(*wanted.spectrum, light::spectrumOf(mixer.type(), mix.drives),
                                 *cameras)
            .value_or(0);
    };
    RC_ASSERT(missOf(filmed) <= missOf(truest) + 1e-6);
}

RC_GTEST_PROP(AnyMix, TruestMovesLittleWhenTheColourDoes, ()) {
    static const Mixer mixers[] = {test::shippedMixer("petrel-4"), test::shippedMixer("tern-6"),
                                   test::shippedMixer("gannet-8")};
    const Mixer& mixer = mixers[*rc::gen::inRange(0, 3)];
    const auto wanted = colourFor(mixer, true);
    const double room = -mixer.hull().nearest(wanted.uv()).distance;
    RC_PRE(room > 0.01);
    const auto here = mixer.solve(wanted, {});
    const double step = 1e-6;
    const auto uv = wanted.uv() + colour::Uv{step * (share() - 0.5), step * (share() - 0.5)};
    auto beside = wanted; // the same spectrum, asked for a hair beside its own colour
    beside.xyz = colour::toXyz(uv);
    const auto there = mixer.solve(beside, {});
    for (std::size_t e = 0; e < here.drives.size(); ++e)
        RC_ASSERT(std::abs(here.drives[e] - there.drives[e]) < 2e-3);
}

RC_GTEST_PROP(AnyMix, RoundingTogetherIsNeverWorseThanAlone, ()) {
    const Mixer& mixer = anyMixer();
    const auto mix = mixer.solve(colourFor(mixer, true), {});
    const double level = 0.05 + 0.95 * share();
    const auto miss = [&](const Sent& s) {
        return colour::hasChromaticity(s.xyz)
                   ? colour::distance(colour::toUv(s.xyz), colour::toUv(mix.got))
                   : 1;
    };
    const bool tungsten = mixer.type().droops() && !mixer.additive(); // its colour is its dimmer's
    RC_ASSERT(tungsten || miss(rounded(mixer, mix.drives, level)) <=
                              miss(roundedAlone(mixer, mix.drives, level)) + 1e-9);
}

// The quick way and the general one lead to the same drives, wherever the quick one settles.
RC_GTEST_PROP(AnyProjection, IsTheNearestThatMakesTheLight, ()) {
    const Mixer& mixer = anyMixer();
    if (!mixer.additive() || mixer.type().droops())
        return; // not the one sum that this is about
    const std::size_t n = mixer.type().emitters.size();
    light::Drives target(n);
    light::Drives source(n);
    std::vector<colour::Xyz> xyz;
    Quadratic q;
    colour::Xyz light;
    for (std::size_t e = 0; e < n; ++e) {
        target[e] = share();
        source[e] = share() < 0.3 ? 1 : 0.01 + 0.99 * share();
        xyz.push_back(mixer.partLight(e));
        light += source[e] * xyz[e];
    }
    const double scale = norm(light);
    q.n = n;
    q.equalities = 3;
    for (std::size_t i = 0; i < n; ++i) {
        for (std::size_t j = 0; j < n; ++j)
            q.G[i][j] = i == j ? 1 : 0;
        q.g[i] = -target[i];
        q.row[0][i] = xyz[i].X / scale;
        q.row[1][i] = xyz[i].Y / scale;
        q.row[2][i] = xyz[i].Z / scale;
    }
    q.rhs = {light.X / scale, light.Y / scale, light.Z / scale};
    const auto general = minimise(q);
    const auto quick = closestMaking(target, xyz, light);
    if (!quick || !general)
        return;
    for (std::size_t e = 0; e < n; ++e)
        RC_ASSERT(std::abs((*quick)[e] - (*general)[e]) < 1e-6);
}

// From an answer to a program like it: the same answer, whichever bounds that one stood at.
RC_GTEST_PROP(AnyProgram, HasTheSameAnswerFromAnother, ()) {
    const std::size_t n = 3 + static_cast<std::size_t>(share() * 8.99);
    Quadratic q;
    q.n = n;
    q.equalities = 2;
    for (std::size_t i = 0; i < n; ++i) {
        q.row[0][i] = 0.1 + share();
        q.row[1][i] = share() - 0.5;
        q.g[i] = share() - 0.6;
        const double inside = share();
        q.rhs[0] += q.row[0][i] * inside;
        q.rhs[1] += q.row[1][i] * inside;
    }
    std::vector<std::vector<double>> rows(n, std::vector<double>(n));
    for (auto& row : rows)
        for (double& x : row)
            x = share() - 0.5;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j) {
            q.G[i][j] = i == j ? 0.01 : 0;
            for (std::size_t k = 0; k < n; ++k)
                q.G[i][j] += rows[k][i] * rows[k][j];
        }
    const auto from_nothing = minimise(q);
    RC_ASSERT(from_nothing.has_value());
    light::Drives near = *from_nothing; // its own answer, or that of others, or none's
    const double which = share();
    for (std::size_t i = 0; i < n; ++i)
        if (which > 0.3 && share() < (which > 0.6 ? 0.9 : 0.2))
            near[i] = share() < 0.3 ? 0 : share() < 0.3 ? 1 : 0.5;
    const auto from_near = minimiseFrom(q, near);
    RC_ASSERT(from_near.has_value());
    for (std::size_t i = 0; i < n; ++i)
        RC_ASSERT(std::abs((*from_near)[i] - (*from_nothing)[i]) < 1e-7);
}

// Not an answer to everything: light that no drives make, and too few that may move.
TEST(Projection, SaysNothingWhereItCannotSettle) {
    const std::vector<colour::Xyz> xyz{{1, 0.5, 0}, {0.4, 1, 0.1}, {0.2, 0.1, 1}};
    const light::Drives target(3);
    EXPECT_FALSE(closestMaking(target, xyz, {9, 9, 9})) << "more than there is";
    EXPECT_FALSE(closestMaking(target, std::span(xyz).first(2), {1, 1, 0.05}));
    const auto made = closestMaking(target, xyz, {0.58, 0.69, 0.45});
    ASSERT_TRUE(made);
    colour::Xyz sum;
    for (std::size_t e = 0; e < 3; ++e)
        sum += (*made)[e] * xyz[e];
    EXPECT_NEAR(sum.X, 0.58, 1e-12);
    EXPECT_NEAR(sum.Z, 0.45, 1e-12);
}

} // namespace
} // namespace zelo::mix
