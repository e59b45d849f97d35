// SPDX-License-Identifier: GPL-3.0-or-later
// Brightest: >= 100 times a general LP solver and >= 1 million a second for 8 emitters (design §5).
// Truest: >= 20 times a general solver (design §6).
#include "colour/lamp.h"
#include "mix/gamut_solid.h"
#include "mix/rounding.h"
#include "support/cameras.h"
#include "support/general_solvers.h"
#include "support/test_types.h"

#include <benchmark/benchmark.h>
#include <random>

namespace zelo {
namespace {

std::vector<test::EmitterSpec> emittersOf(int count) {
    if (count == 8)
        return test::kEight;
    std::vector<test::EmitterSpec> all;
    for (int i = 0; i < count; ++i)
        all.push_back({440 + 220.0 * i / (count - 1), 12, 400.0 + 90 * (i % 4)});
    return all;
}

mix::Mixer mixerOf(int count) {
    const auto type = test::typeOf(emittersOf(count));
    return {type, type->modes[0]};
}

std::vector<colour::Xyz> directions(const mix::Mixer& mixer) {
    std::mt19937 random(1);
    std::uniform_real_distribution<double> part(0, 1);
    std::vector<colour::Xyz> all;
    for (int i = 0; i < 64; ++i) {
        light::Drives d(mixer.emitters().size());
        for (double& x : d)
            x = part(random);
        const auto c = mixer.xyzOf(d);
        all.push_back((1 / c.Y) * c);
    }
    return all;
}

void brightestOurs(benchmark::State& state) {
    const auto mixer = mixerOf(static_cast<int>(state.range(0)));
    const mix::GamutSolid solid(mixer.emitters());
    const auto ds = directions(mixer);
    std::size_t i = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(solid.brightest(ds[i++ & 63]));
}
BENCHMARK(brightestOurs)->DenseRange(3, 16)->Name("brightest/ours");

void brightestGeneral(benchmark::State& state) {
    const auto mixer = mixerOf(static_cast<int>(state.range(0)));
    const auto ds = directions(mixer);
    std::size_t i = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(test::brightestByLinearProgram(mixer.emitters(), ds[i++ & 63]));
}
BENCHMARK(brightestGeneral)->DenseRange(3, 16)->Name("brightest/glpk");

// Both get the wanted spectrum and give drives; ours includes the brightest mix it starts from.
void truestOurs(benchmark::State& state) {
    const auto mixer = mixerOf(static_cast<int>(state.range(0)));
    const auto wanted = test::wantedSpectrum(colour::blackbody({3200}));
    for (auto _ : state)
        benchmark::DoNotOptimize(mixer.solve(wanted, {}));
}
BENCHMARK(truestOurs)->DenseRange(4, 16)->Name("truest/ours");

// The same for a camera too.
void filmedOurs(benchmark::State& state) {
    const auto mixer = mixerOf(static_cast<int>(state.range(0)));
    const auto wanted = test::wantedSpectrum(colour::blackbody({3200}));
    mix::MixWish wish;
    wish.intent = mix::Intent::Filmed;
    wish.cameras = test::shippedCameras({"kittiwake"});
    for (auto _ : state)
        benchmark::DoNotOptimize(mixer.solve(wanted, wish));
}
BENCHMARK(filmedOurs)->DenseRange(4, 16)->Name("filmed/ours");

void truestGeneral(benchmark::State& state) {
    const auto mixer = mixerOf(static_cast<int>(state.range(0)));
    const auto wanted = test::wantedSpectrum(colour::blackbody({3200}));
    mix::MixWish brightest;
    brightest.intent = mix::Intent::Brightest;
    const auto start = mixer.solve(wanted, brightest).drives.scaled(0.7);
    const double y = mixer.xyzOf(start).Y;
    for (auto _ : state)
        benchmark::DoNotOptimize(test::truestByGeneralSolver({mixer, wanted, y}, start));
}
BENCHMARK(truestGeneral)->DenseRange(4, 16)->Name("truest/nlopt");

void roundTogether(benchmark::State& state) {
    const auto type = test::typeOf(emittersOf(static_cast<int>(state.range(0))), 1, false);
    const mix::Mixer mixer(type, type->modes[0]);
    const auto drives = mixer.solve(test::wantedSpectrum(colour::blackbody({3200})), {}).drives;
    for (auto _ : state)
        benchmark::DoNotOptimize(mix::rounded(mixer, drives, 0.4));
}
BENCHMARK(roundTogether)->DenseRange(3, 16)->Name("rounding/ours");

} // namespace
} // namespace zelo
