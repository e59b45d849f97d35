// SPDX-License-Identifier: GPL-3.0-or-later
// Play: whole frames while all lamps fade on planned ways, and making a show ready for them.
#include "play/playing.h"
#include "play/shipped.h"
#include "show/edits.h"
#include "show/ripple_edits.h"

#include <benchmark/benchmark.h>

namespace zelo::play {
namespace {

// Lamps of eight emitters, and cues that change all of them, each lamp to a gel of its own.
show::ShowPtr showOf(int lamps, int cues) {
    show::Show show;
    std::vector<Table<show::FixtureId, show::Fixture>::Change> rig;
    for (int i = 0; i < lamps; ++i) {
        show::Fixture f;
        f.id = {i + 1};
        f.type = "gannet-8";
        f.universe = static_cast<std::uint16_t>(1 + i / 25);
        f.address = 1 + i % 25 * 20;
        rig.emplace_back(f.id, std::make_shared<const show::Fixture>(f));
    }
    show.fixtures = show.fixtures.changed(std::move(rig));
    const auto& gels = test::shippedBook().gels;
    show::CueList list;
    list.id = {1};
    for (int c = 0; c < cues; ++c) {
        show::Cue cue;
        cue.number = {(c + 1) * 1000};
        cue.up_s = cue.down_s = 1e4;
        std::vector<show::Values::Change> values;
        for (int i = 0; i < lamps; ++i) {
            show::Value v;
            v.intensity = 0.4 + 0.5 * (c % 2);
            show::ColourWish wish;
            wish.asked =
                light::AskedGel{gels[static_cast<std::size_t>(i * 7 + c * 31) % gels.size()].id};
            v.colour = wish;
            values.emplace_back(show::FixtureId{i + 1}, std::make_shared<const show::Value>(v));
        }
        cue.values = show::Values::of(std::move(values));
        list.cues = list.cues.with(cue.number, std::move(cue));
    }
    show.cue_lists = show.cue_lists.with(list.id, std::move(list));
    return show::nextShow(std::move(show));
}

struct Stage {
    Shipped sources;
    Mixes mixes;
    Ways ways;
};

void wholeFrame(benchmark::State& state) {
    Stage s;
    const auto all = withWaysOfCues(
        std::make_shared<const Compiled>(compiled(
            {showOf(static_cast<int>(state.range(0)), 2), show::emptyHand()}, s.sources, s.mixes)),
        s.ways);
    Playing playing(all);
    playing.apply({Command::What::Next, 0, 0, {}}, 0);
    playing.step(2e4);
    playing.apply({Command::What::Next, 0, 0, {}}, 2e4);
    double t = 2e4;
    for (auto _ : state) {
        t += 20; // far enough for every channel to move
        playing.step(t > 2.9e4 ? t = 2e4 + 1 : t);
    }
    if (!playing.newest().runs)
        state.SkipWithError("nothing fades");
}
BENCHMARK(wholeFrame)->Arg(512)->Arg(2000)->Name("work/frame")->Unit(benchmark::kMillisecond);

// A frame of lamps that three ripples share, one of each pattern, all of them on their ways.
void rippleFrame(benchmark::State& state) {
    Stage s;
    auto show = showOf(static_cast<int>(state.range(0)), 0);
    for (const auto pattern : {show::Pattern::Cycle, show::Pattern::March, show::Pattern::Pulse}) {
        show::Ripple r;
        r.name = show::nameOf(pattern);
        r.pattern = pattern;
        for (int i = static_cast<int>(pattern); i < state.range(0); i += 3)
            r.lamps.push_back({i + 1});
        r.after_s = 0.01;
        r.every_s = 0.5;
        for (const char* gel : {"104", "338", "214", "341"}) {
            r = show::withStep(std::move(r), light::AskedGel{gel}, {0.2, 0.47});
            r.steps.back().change = 1;
        }
        show = *show::addRipple(show, r);
    }
    const auto all = withWaysOfCues(
        std::make_shared<const Compiled>(compiled({show, show::emptyHand()}, s.sources, s.mixes)),
        s.ways);
    Playing playing(all);
    for (std::uint32_t r = 0; r < 3; ++r)
        playing.apply({Command::What::RippleStart, r, 0, {}}, 0);
    double t = 0;
    for (auto _ : state)
        playing.step(t += 0.0227);
    if (!playing.newest().runs)
        state.SkipWithError("nothing moves");
}
BENCHMARK(rippleFrame)->Arg(512)->Name("work/ripple frame")->Unit(benchmark::kMillisecond);

void takeOver(benchmark::State& state) {
    Stage s;
    const auto made = std::make_shared<const Compiled>(
        compiled({showOf(2000, 2), show::emptyHand()}, s.sources, s.mixes));
    auto now = std::make_unique<Playing>(made);
    now->step(0);
    now->apply({Command::What::Next, 0, 0, {}}, 0);
    double t = 1;
    for (auto _ : state) {
        state.PauseTiming();
        auto next = std::make_unique<Playing>(made);
        state.ResumeTiming();
        next->takeOver(*now, t += 0.02, 3);
        state.PauseTiming();
        now = std::move(next);
        state.ResumeTiming();
    }
}
BENCHMARK(takeOver)->Name("work/take over of 2000")->Unit(benchmark::kMillisecond)->Iterations(50);

void firstCompile(benchmark::State& state) {
    const auto show = showOf(500, 200);
    for (auto _ : state) {
        Stage s;
        benchmark::DoNotOptimize(compiled({show, show::emptyHand()}, s.sources, s.mixes));
    }
}
BENCHMARK(firstCompile)->Name("work/first compile")->Unit(benchmark::kMillisecond)->Iterations(1);

void compileOneEdit(benchmark::State& state) {
    Stage s;
    auto show = showOf(500, 200);
    auto before = compiled({show, show::emptyHand()}, s.sources, s.mixes);
    double level = 0.1;
    for (auto _ : state) {
        state.PauseTiming();
        show::Show next = *show;
        show::CueList list = *next.cue_lists.find({1});
        show::Cue cue = *list.cues.find({100'000});
        show::Value v = *cue.values.find({7});
        v.intensity = level = level > 0.9 ? 0.1 : level + 0.01;
        cue.values = cue.values.with({7}, std::make_shared<const show::Value>(v));
        list.cues = list.cues.with(cue.number, std::move(cue));
        next.cue_lists = next.cue_lists.with({1}, std::move(list));
        show = show::nextShow(std::move(next));
        state.ResumeTiming();
        auto after = compiled({show, show::emptyHand()}, s.sources, s.mixes, &before);
        benchmark::DoNotOptimize(after);
        state.PauseTiming();
        before = std::move(after);
        state.ResumeTiming();
    }
}
BENCHMARK(compileOneEdit)
    ->Name("work/compile one edit")
    ->Unit(benchmark::kMillisecond)
    ->Iterations(20);

} // namespace
} // namespace zelo::play
