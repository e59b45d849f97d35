// SPDX-License-Identifier: GPL-3.0-or-later
// Laws that every mix keeps, tried on colours and wishes that nobody thought of.
#include "light/levels.h"
#include "mix/hull.h"
#include "mix/rounding.h"
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
        *rc::gen::element(Intent::Brightest, Intent::Truest, Intent::Leanest), share());
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

RC_GTEST_PROP(AnyMix, TruestMovesLittleWhenTheColourDoes, ()) {
    static const Mixer mixers[] = {test::shippedMixer("petrel-4"), test::shippedMixer("tern-6"),
                                   test::shippedMixer("gannet-8")};
    const Mixer& mixer = mixers[*rc::gen::inRange(0, 3)];
    const auto wanted = colourFor(mixer, true);
    const double room = -nearestOnHull(mixer.hull(), wanted.uv()).distance;
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

} // namespace
} // namespace zelo::mix
