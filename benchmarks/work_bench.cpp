// SPDX-License-Identifier: GPL-3.0-or-later
// The work of a show, in time a person would notice (design §12): one core, the shipped types.
#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "light/frame.h"
#include "mix/miss.h"
#include "mix/rounding.h"
#include "play/laid.h"
#include "play/shipped.h"
#include "play/stage_picture.h"
#include "route/fade.h"
#include "support/shipped.h"

#include <Eigen/Dense>
#include <benchmark/benchmark.h>
#include <random>

namespace zelo {
namespace {

const std::vector<std::string> kTypes = {"avocet-7", "dunlin-3", "eider-1000", "eider-scroll",
                                         "gannet-8", "knot-2",   "petrel-4",   "plover-5",
                                         "shag-6",   "skua-cmy", "tern-6",     "whimbrel-4"};

// Everything for one colour change on one type: all intents but Kindest, all readings.
void colourChange(benchmark::State& state) {
    const auto mixer = test::shippedMixer("gannet-8");
    const auto wanted = test::gelWanted("214");
    for (auto _ : state) {
        for (const auto intent :
             {mix::Intent::Brightest, mix::Intent::Leanest, mix::Intent::Truest}) {
            const auto mix = mixer.solve(wanted, test::wishOf(intent));
            benchmark::DoNotOptimize(mix);
        }
        const auto mix = mixer.solve(wanted, {});
        const auto sent = mix::rounded(mixer, mix.drives, 0.8);
        const auto light = light::spectrumOf(mixer.type(), sent.drives);
        const auto cct = colour::cctOf(colour::toUv(sent.xyz));
        benchmark::DoNotOptimize(colour::cie13Of(light, cct->cct));
        benchmark::DoNotOptimize(colour::tm30Of(light, cct->cct));
        benchmark::DoNotOptimize(colour::spectralSimilarity(light, *wanted.spectrum));
        benchmark::DoNotOptimize(colour::agreementOf(*wanted.spectrum, light, *wanted.lamp));
        benchmark::DoNotOptimize(mix::missByObserver(*wanted.spectrum, light));
    }
}
BENCHMARK(colourChange)->Name("work/colour change")->Unit(benchmark::kMillisecond);

// Kindest of a white and of a gel, of emitters that add up, that droop, and of flags.
void kindest(benchmark::State& state) {
    const auto& type = kTypes[static_cast<std::size_t>(state.range(0))];
    const auto mixer = test::shippedMixer(type);
    const auto wish = test::wishOf(mix::Intent::Kindest);
    const auto white = *light::parseColour("cct:6500", test::Gels{});
    const auto gel = test::gelWanted("104");
    for (auto _ : state)
        benchmark::DoNotOptimize(
            std::max(mixer.solve(white, wish).miss_uv, mixer.solve(gel, wish).miss_uv));
    state.SetLabel(type);
}
BENCHMARK(kindest)->Name("work/two of Kindest")->DenseRange(0, 11)->Unit(benchmark::kMillisecond);

// Truest of the same two.
void truest(benchmark::State& state) {
    const auto& type = kTypes[static_cast<std::size_t>(state.range(0))];
    const auto mixer = test::shippedMixer(type);
    const auto white = *light::parseColour("cct:6500", test::Gels{});
    const auto gel = test::gelWanted("104");
    for (auto _ : state)
        benchmark::DoNotOptimize(
            std::max(mixer.solve(white, {}).miss_uv, mixer.solve(gel, {}).miss_uv));
    state.SetLabel(type);
}
BENCHMARK(truest)->Name("work/two of Truest")->DenseRange(0, 11)->Unit(benchmark::kMillisecond);

// The whole swatch book on twelve types: Brightest and its miss.
void wholeBook(benchmark::State& state) {
    std::vector<mix::Mixer> mixers;
    for (const auto& id : kTypes)
        mixers.push_back(test::shippedMixer(id));
    const auto book = test::gelsWanted(1);
    for (auto _ : state)
        for (const auto& mixer : mixers)
            for (const auto& wanted : book)
                benchmark::DoNotOptimize(
                    mixer.solve(wanted, test::wishOf(mix::Intent::Brightest)).miss_uv);
}
BENCHMARK(wholeBook)->Name("work/book on 12 types")->Unit(benchmark::kMillisecond);

// One crossfade of one type: planned, mixed, cut into steps and these shown as a console would.
// Types that make no colours go straight.
void route(benchmark::State& state) {
    const auto& type = kTypes[static_cast<std::size_t>(state.range(0))];
    const auto mixer = test::shippedMixer(type);
    const auto from = mixer.solve(test::gelWanted("104"), {}).drives;
    const auto to = mixer.solve(test::gelWanted("346"), {}).drives;
    route::FadeWish wish;
    wish.white = colour::toUv(colour::toXyz(colour::lampOf({4300})));
    if (!route::Disc::of(mixer.hull(), wish.white))
        wish.kind = route::Kind::Straight;
    for (auto _ : state) {
        const auto fade = route::planFade(mixer, from, to, wish);
        const auto steps = route::stepsFor(mixer, *fade);
        benchmark::DoNotOptimize(route::asConsole(mixer, steps, wish.white));
    }
    state.SetLabel(type);
}
BENCHMARK(route)->Name("work/route")->DenseRange(0, 11)->Unit(benchmark::kMillisecond);

// One change of a gradient of five stops over 500 lamps of four types: a drag of a stop.
void gradientChange(benchmark::State& state) {
    play::Shipped sources;
    play::Mixes mixes;
    show::Show show;
    show::Laying laying;
    std::vector<Table<show::FixtureId, show::Fixture>::Change> rig;
    const char* types[] = {"petrel-4", "gannet-8", "tern-6", "plover-5"};
    for (int i = 0; i < 500; ++i) {
        show::Fixture f;
        f.id = {i + 1};
        f.type = types[i / 125];
        laying.lamps.push_back(f.id);
        rig.emplace_back(f.id, std::make_shared<const show::Fixture>(f));
    }
    show.fixtures = show.fixtures.changed(std::move(rig));
    show::Gradient g;
    for (const char* gel : {"gel:214", "gel:104", "gel:118", "gel:341", "gel:321"})
        g.stops.push_back({*light::parseAsked(gel), {}, {}, {}});
    g.ways.resize(4);
    double at = 0.5;
    for (auto _ : state) {
        at = at > 0.6 ? 0.4 : at + 0.01;
        g.stops[2].at = at;
        laying.own = std::make_shared<const show::Gradient>(g);
        benchmark::DoNotOptimize(play::layOut(show, laying, sources, mixes));
    }
}
BENCHMARK(gradientChange)->Name("work/gradient change")->Unit(benchmark::kMillisecond);

// 512 fixtures of 8 emitters, each with its own colour already mixed: rounding and the frame.
struct Prepared {
    mix::Mixer mixer = test::shippedMixer("gannet-8");
    std::vector<light::Wanted> wanted;
    std::vector<light::Drives> drives;
    std::vector<light::ChannelValues> values;
    light::Frame frame;
    Prepared() {
        const auto book = test::gelsWanted(1);
        for (std::size_t i = 0; i < 512; ++i) {
            wanted.push_back(book[i % book.size()]);
            drives.push_back(mixer.solve(wanted.back(), {}).drives);
            values.push_back(mix::rounded(mixer, drives.back(), 1).values);
        }
        for (std::uint16_t u = 1; u <= 18; ++u)
            frame.at(u);
    }
    void write(std::size_t fixture, const light::ChannelValues& v) {
        const auto per = static_cast<std::size_t>(512 / mixer.mode().footprint);
        auto& universe = frame.universes[fixture / per];
        light::writeSlots(
            mixer.mode(), v,
            std::span(universe.values)
                .subspan(fixture % per * static_cast<std::size_t>(mixer.mode().footprint)));
    }
};

// Cues are prepared as channel values at their steps: a frame fades straight between two of them.
void frameFromCues(benchmark::State& state) {
    Prepared p;
    light::ChannelValues now = p.values[0];
    double t = 0;
    for (auto _ : state) {
        t = t > 0.98 ? 0 : t + 0.0227;
        for (std::size_t i = 0; i < p.values.size(); ++i) {
            const auto& a = p.values[i];
            const auto& b = p.values[(i + 7) % p.values.size()];
            for (std::size_t c = 0; c < now.size(); ++c)
                now[c] = static_cast<std::uint32_t>(a[c] * (1 - t) + b[c] * t);
            p.write(i, now);
        }
        benchmark::DoNotOptimize(p.frame);
    }
}
BENCHMARK(frameFromCues)->Name("work/frame of 512")->Unit(benchmark::kMillisecond);

void frameWithSolves(benchmark::State& state) {
    Prepared p;
    for (auto _ : state) {
        for (std::size_t i = 0; i < p.wanted.size(); ++i)
            p.write(i, mix::rounded(p.mixer, p.mixer.solve(p.wanted[i], {}).drives, 1).values);
        benchmark::DoNotOptimize(p.frame);
    }
}
BENCHMARK(frameWithSolves)->Name("work/512 live solves")->Unit(benchmark::kMillisecond);

// The neighbourhood search of rounding beside plain loops that work the light out anew each time.
std::uint32_t stepped(std::uint32_t value, int by, std::uint32_t most) {
    return static_cast<std::uint32_t>(std::clamp<std::int64_t>(std::int64_t{value} + by, 0, most));
}

void roundPlainly(benchmark::State& state) {
    const auto mixer = test::shippedMixer("petrel-4");
    const auto drives = mixer.solve(test::gelWanted("214"), {}).drives;
    const auto uv = colour::toUv(mixer.xyzOf(drives));
    for (auto _ : state) {
        const auto start = mix::roundedAlone(mixer, drives, 0.4).values;
        double least = HUGE_VAL;
        for (int code = 0; code < 625; ++code) {
            auto v = start;
            for (std::size_t k = 1, rest = static_cast<std::size_t>(code); k < 5; ++k, rest /= 5)
                v[k] = stepped(v[k], static_cast<int>(rest % 5) - 2, 255);
            const auto c =
                light::xyzOf(mixer.type(), light::drivesOf(mixer.type(), mixer.mode(), v));
            least = std::min(least, colour::distance(colour::toUv(c), uv));
        }
        benchmark::DoNotOptimize(least);
    }
}
BENCHMARK(roundPlainly)->Name("search/plain loops/4");

void roundTogether(benchmark::State& state) {
    const auto mixer = test::shippedMixer("petrel-4");
    const auto drives = mixer.solve(test::gelWanted("214"), {}).drives;
    for (auto _ : state)
        benchmark::DoNotOptimize(mix::rounded(mixer, drives, 0.4));
}
BENCHMARK(roundTogether)->Name("search/ours/4");

// The stage picture of forty lit lamps at its full size, beside the same sum as a product of
// matrices: a column of shares for each lamp, its light in XYZ.
show::Show fortyLamps() {
    show::Show show;
    for (int i = 1; i <= 40; ++i) {
        show::Fixture f;
        f.id = {i};
        f.place = {-6 + 0.3 * i, i % 2 ? 1.0 : 5.0, 5.5, i * 9.0};
        show.fixtures = show.fixtures.with(f.id, f);
    }
    return show;
}

constexpr int kPicturePixels = 400 * 225;

void stagePicture(benchmark::State& state) {
    const play::StagePicture picture(fortyLamps(), kPicturePixels);
    std::vector<play::PictureLamp> lamps;
    for (int i = 0; i < 40; ++i) {
        const colour::Xyz one{900.0 + i, 1000, 800.0 - i};
        lamps.push_back({one, 0.5 * one, 0.3 * one});
    }
    std::vector<colour::Xyz> light;
    for (auto _ : state) {
        picture.light(lamps, light);
        benchmark::DoNotOptimize(light.data());
    }
}
BENCHMARK(stagePicture)->Name("work/stage picture")->Unit(benchmark::kMillisecond);
BENCHMARK(stagePicture)->Name("picture/ours/40");

void stagePictureAsMatrices(benchmark::State& state) {
    const Eigen::MatrixXf shares = Eigen::MatrixXf::Random(kPicturePixels, 40);
    const Eigen::MatrixXf lights = Eigen::MatrixXf::Random(40, 3);
    Eigen::MatrixXf light(kPicturePixels, 3);
    for (auto _ : state) {
        light.noalias() = shares * lights;
        benchmark::DoNotOptimize(light.data());
    }
}
BENCHMARK(stagePictureAsMatrices)->Name("picture/Eigen/40");

} // namespace
} // namespace zelo
