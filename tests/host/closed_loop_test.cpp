// SPDX-License-Identifier: GPL-3.0-or-later
// From the hand to the light and back: what the practice rig shows of what was sent.
#include "colour/cct.h"
#include "files/show_file.h"
#include "host/session.h"
#include "host/support.h"
#include "play/ripple_raster.h"
#include "play/stage.h"
#include "practice/practice_rig.h"
#include "route/way.h"
#include "show/cue_edits.h"
#include "show/holders.h"
#include "show/ripple_edits.h"
#include "support/asked.h"
#include "support/places.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/e131_sender.h"

#include <atomic>
#include <gtest/gtest.h>

namespace zelo::host {
namespace {

using colour::Uv;

// A session that sends over the network to a rig of exact lamps.
class ClosedLoop : public ::testing::Test {
protected:
    void begin(const show::ShowPtr& show, const show::HandPtr& hand) {
        for (const auto& [id, f] : show->fixtures)
            ASSERT_TRUE(rig.add(id.value, f->number, library.type(f->type), f->mode, f->universe,
                                f->address));
        receiver = *wire::E131Receiver::open("127.0.0.1", 0, [this](const wire::DataPacket& p) {
            const std::lock_guard lock(mutex);
            if (p.options & wire::kStreamTerminated)
                return;
            rig.take(p.universe, p.values);
            if (on_packet)
                on_packet();
        });
        wire::E131Settings settings;
        settings.port = receiver->port();
        session = std::make_unique<Session>(library, std::move(*wire::E131Sender::open(settings)));
        session->start(show, hand);
        for (const auto& [id, f] : show->fixtures)
            all.push_back(id);
    }
    void show(const char* colour, double intensity) {
        session->setHand(colour, show::withIntensity(
                                     show::withColour(session->hand(), all, test::wishFor(colour)),
                                     all, intensity));
    }
    // No fade goes on: packets that say the same; there are few of those.
    bool rests() {
        std::atomic<int> same{0};
        std::vector<practice::Shown> before;
        const auto look = [&] {
            std::vector<practice::Shown> now;
            for (std::size_t i = 0; i < rig.lamps().size(); ++i)
                now.push_back(rig.shown(i));
            same = now == before ? same + 1 : 0;
            before = std::move(now);
        };
        {
            const std::lock_guard lock(mutex);
            on_packet = look;
        }
        const bool yes = eventually([&] { return same >= 3; });
        const std::lock_guard lock(mutex);
        on_packet = nullptr;
        return yes;
    }
    // The farthest that any lamp is from this colour; 1 in the dark.
    double worst(const Uv& wanted) {
        const std::lock_guard lock(mutex);
        double most = 0;
        for (std::size_t i = 0; i < rig.lamps().size(); ++i) {
            const auto& xyz = rig.shown(i).xyz;
            most = std::max(most, colour::hasChromaticity(xyz)
                                      ? colour::distance(colour::toUv(xyz), wanted)
                                      : 1);
        }
        return most;
    }

    Library library{fs::path(places::data)};
    practice::PracticeRig rig{1, true};
    std::mutex mutex;
    std::function<void()> on_packet;
    std::unique_ptr<wire::E131Receiver> receiver;
    std::unique_ptr<Session> session;
    show::Lineup all;
};

TEST_F(ClosedLoop, TheRigShowsTheColourWanted) {
    const auto demo = files::readShow(fs::path(places::data) / "shows/salt-lanterns.zelo");
    ASSERT_TRUE(demo);
    begin(demo->show, demo->hand);
    for (const char* colour : {"gel:214@3200", "cct:5600", "gel:109", "gel:341@5600"}) {
        show(colour, 1);
        const auto wanted = session->mixes().wanted(*session->sources(), test::asked(colour));
        ASSERT_TRUE(wanted);
        // 8 bit at full: within a thousandth; all of these are in reach of all three types.
        EXPECT_TRUE(eventually([&] { return worst((*wanted)->uv()) < 0.001; }))
            << colour << " " << worst((*wanted)->uv());
    }
}

// Red to cyan in real time: every frame's light is on the plan, and no channel turns against its
// drive on the way.
TEST_F(ClosedLoop, AFadeInHandStaysOnItsPlan) {
    auto made = show::emptyState().show;
    int address = 1;
    for (const char* type : {"gannet-8", "petrel-4", "tern-6", "plover-5"})
        for (const auto& mode : library.type(type)->modes) {
            show::Fixture f;
            f.type = type;
            f.mode = mode.name;
            f.number = address;
            f.address = address;
            address += mode.footprint;
            made = *show::addFixture(made, f);
        }
    begin(made, show::emptyHand());
    const auto wantedOf = [&](const char* colour) {
        return (*session->mixes().wanted(*session->sources(), test::asked(colour)))->uv();
    };
    // Once without looking: the way is known then, also to a slow machine.
    session->setTimeInHand(0.1);
    for (const char* colour : {"xy:0.58,0.33", "xy:0.21,0.33", "xy:0.58,0.33"}) {
        show(colour, 0.8);
        ASSERT_TRUE(eventually([&] { return worst(wantedOf(colour)) < 0.003; }));
        session->waitUntilIdle();
    }
    ASSERT_TRUE(rests());

    struct Frame {
        std::vector<practice::Shown> lamps;
    };
    std::vector<Frame> frames;
    {
        const std::lock_guard lock(mutex);
        on_packet = [&] {
            Frame frame;
            for (std::size_t i = 0; i < rig.lamps().size(); ++i)
                frame.lamps.push_back(rig.shown(i));
            frames.push_back(std::move(frame));
        };
    }
    std::this_thread::sleep_for(100ms);
    session->setTimeInHand(3);
    show("xy:0.21,0.33", 0.12); // and down
    session->waitUntilIdle();
    std::this_thread::sleep_for(2s); // this thread, the interface's, hangs
    ASSERT_TRUE(eventually([&] { return worst(wantedOf("xy:0.21,0.33")) < 0.003; }));
    session->waitUntilIdle();
    std::this_thread::sleep_for(100ms);
    {
        const std::lock_guard lock(mutex);
        on_packet = nullptr;
    }
    EXPECT_GT(frames.size(), 30u) << "all along the way; a guard, of a machine that may stop";

    int compared = 0;
    play::Ways ways;
    const Uv white = colour::planckianUv({session->show()->white_cct_k});
    for (std::size_t i = 0; i < rig.lamps().size(); ++i) {
        const auto& f = *session->show()->fixture({rig.lamps()[i].id});
        const auto mixer = session->mixes().mixerOf(*session->sources(), f);
        const auto drives = [&](const char* colour) {
            return session->mixes()
                .mixed(*session->sources(), mixer, test::wishFor(colour))
                ->mix.drives;
        };
        const auto from = drives("xy:0.58,0.33");
        const auto plan = ways.planned({mixer, from, drives("xy:0.21,0.33"), white});
        if (!plan)
            continue; // light that does not add up goes straight
        ++compared;
        std::vector<Uv> curve;
        std::vector<light::Drives> planned;
        for (int k = 0; k <= 3000; ++k) {
            light::Drives at(plan->parts);
            plan->at(k / 3000.0, at.begin());
            planned.push_back(at);
            curve.push_back(colour::toUv(mixer->xyzOf(at)));
        }
        const auto disc = *route::Disc::of(mixer->hull(), white);
        EXPECT_LT(route::whiteDip(disc, curve), 0.36);
        bool fine = true;
        for (const auto& c : mixer->mode().channels)
            fine = fine && (c.role == light::Role::Other || c.bits() > 8);
        double most = 0;
        std::size_t moved = 0, at = 0;
        for (std::size_t k = 0; k < frames.size(); ++k) {
            const auto& now = frames[k].lamps[i];
            ASSERT_TRUE(colour::hasChromaticity(now.xyz));
            double nearest = 1;
            std::size_t there = at;
            for (std::size_t p = at; p < curve.size(); ++p)
                if (const double d = colour::distance(curve[p], colour::toUv(now.xyz));
                    d < nearest) {
                    nearest = d;
                    there = p;
                }
            most = std::max(most, nearest);
            if (k == 0)
                continue;
            const auto& before = frames[k - 1].lamps[i];
            moved += now.values != before.values;
            // Without a dimmer the channels have the intensity in them: play's own tests look
            // there.
            const bool rests = !mixer->mode().dimmer() || k + 8 > frames.size() ||
                               there + 3 >= curve.size() || there < 3;
            for (std::size_t c = 0; c < now.values.size() && !rests; ++c) {
                const auto& channel = mixer->mode().channels[c];
                if (channel.role != light::Role::Part || now.values[c] == before.values[c])
                    continue;
                // Within what the plan does about there.
                double up = 0, down = 0;
                for (std::size_t p = at > 60 ? at - 60 : 0;
                     p + 1 < std::min(planned.size(), there + 60); ++p) {
                    const double step = planned[p + 1][channel.part] - planned[p][channel.part];
                    up = std::max(up, step);
                    down = std::min(down, step);
                }
                EXPECT_TRUE(now.values[c] > before.values[c] ? up > 0 : down < 0)
                    << f.type << " " << f.mode << ", channel " << c << ", frame " << k;
            }
            at = there > 20 ? std::max(at, there - 20) : at;
        }
        std::printf("[ figures  ] %s %s (%s): at most %.4f off the plan\n", f.type.c_str(),
                    f.mode.c_str(), fine ? "16 bit" : "8 bit", most);
        EXPECT_LT(most, fine ? 0.003 : 0.006) << f.type << " " << f.mode;
        EXPECT_GT(moved, 20u);
    }
    EXPECT_GE(compared, 7);
}

// What is looked at on the screen alone leaves the lamps as they are; on the lamps it fades there
// on the way that is given, and nothing of it stays.
TEST_F(ClosedLoop, ALookGoesOnItsWayAndLeavesNothing) {
    auto made = show::emptyState().show;
    show::Fixture f;
    f.type = "gannet-8";
    f.mode = library.type("gannet-8")->modes.back().name;
    made = *show::addFixture(made, f);
    begin(made, show::emptyHand());
    const auto wantedOf = [&](const char* colour) {
        return (*session->mixes().wanted(*session->sources(), test::asked(colour)))->uv();
    };
    const auto handOf = [&](const char* colour) {
        return show::withIntensity(show::withColour(show::emptyHand(), all, test::wishFor(colour)),
                                   all, 1);
    };
    const char* red = "xy:0.58,0.33";
    const char* cyan = "xy:0.21,0.33";
    show(red, 1);
    ASSERT_TRUE(eventually([&] { return worst(wantedOf(red)) < 0.003; }));
    std::mutex seen;
    std::shared_ptr<const play::Stage> stage;
    session->waitUntilIdle(); // nobody tells a stage while it is said who hears it
    session->on_stage = [&](std::shared_ptr<const play::Stage> next) {
        const std::lock_guard lock(seen);
        stage = std::move(next);
    };
    const auto onScreen = [&] {
        const std::lock_guard lock(seen);
        return stage ? colour::toUv(stage->lamp({1})->sent.xyz) : Uv{};
    };
    session->lookAt(Session::Look{handOf(cyan), false, 0, {}});
    ASSERT_TRUE(eventually([&] { return colour::distance(onScreen(), wantedOf(cyan)) < 0.003; }));
    EXPECT_TRUE(session->looking());
    EXPECT_LT(worst(wantedOf(red)), 0.003) << "on the screen alone";
    session->lookAt(Session::Look{});
    ASSERT_TRUE(eventually([&] { return colour::distance(onScreen(), wantedOf(red)) < 0.003; }));

    const Uv white = colour::planckianUv({session->show()->white_cct_k});
    const auto mixer = session->mixes().mixerOf(*session->sources(), *made->fixture({1}));
    const auto disc = *route::Disc::of(mixer->hull(), white);
    for (const auto kind : {route::Kind::Around, route::Kind::Levels}) {
        session->lookAt(Session::Look{handOf(red), true, 0, {}});
        ASSERT_TRUE(eventually([&] { return worst(wantedOf(red)) < 0.003; }));
        route::StopWay way;
        way.kind = kind;
        way.floor = 0.9;
        auto ways = std::make_shared<play::LampWays>();
        (*ways)[{1}] = {way, {}};
        std::vector<Uv> curve;
        {
            const std::lock_guard lock(mutex);
            on_packet = [&] { curve.push_back(colour::toUv(rig.shown(0).xyz)); };
        }
        session->lookAt(Session::Look{handOf(cyan), true, 1.5, ways});
        ASSERT_TRUE(eventually([&] { return worst(wantedOf(cyan)) < 0.003; }));
        {
            const std::lock_guard lock(mutex);
            on_packet = nullptr;
        }
        EXPECT_GT(curve.size(), 15u) << "all along the way";
        if (kind == route::Kind::Around)
            EXPECT_LT(route::whiteDip(disc, curve), 0.13);
        else
            EXPECT_GT(route::whiteDip(disc, curve), 0.6) << "as a plain desk would";
    }
    session->lookAt(Session::Look{});
    ASSERT_TRUE(eventually([&] { return worst(wantedOf(red)) < 0.003; }));
    EXPECT_EQ(session->history().moments().size(), 2u) << "nothing of it is in the history";
    // What is done meanwhile is to be seen.
    session->lookAt(Session::Look{handOf(cyan), false, 0, {}});
    show("cct:4000", 1);
    ASSERT_TRUE(
        eventually([&] { return colour::distance(onScreen(), wantedOf("cct:4000")) < 0.003; }));
    EXPECT_FALSE(session->looking());
    session->waitUntilIdle();
    session->on_stage = nullptr;
}

// Each pattern for some seconds through the network: every frame that the rig shows is where the
// ripple is at about that time.
TEST_F(ClosedLoop, RipplesArriveAsTheyArePlanned) {
    using show::Pattern;
    auto made = show::emptyState().show;
    int address = 1;
    for (const char* type : {"gannet-8", "petrel-4", "tern-6", "petrel-4"}) {
        show::Fixture f;
        f.type = type;
        f.mode = library.type(type)->modes.back().name;
        f.number = address;
        f.address = address;
        address += library.type(type)->modes.back().footprint;
        made = *show::addFixture(made, f);
        all.push_back({made->last_fixture_id});
    }
    made = *show::keepHand(
        made, *show::withIntensity(
                  show::withColour(show::emptyHand(), all, test::wishFor("xy:0.3,0.5")), all, 1));
    for (const Pattern pattern : {Pattern::Cycle, Pattern::March, Pattern::Pulse}) {
        show::Ripple r;
        r.name = show::nameOf(pattern);
        r.pattern = pattern;
        r.lamps = all;
        r.after_s = 0.25;
        r.every_s = 1.2;
        r.over_below = pattern == Pattern::Pulse;
        for (const char* colour : {"xy:0.52,0.4", "xy:0.2,0.2"}) {
            r = show::withStep(std::move(r), test::asked(colour), {0.2, 0.47});
            r.steps.back().change = 0.8;
        }
        made = *show::addRipple(made, r);
    }
    all.clear();
    begin(made, show::emptyHand());
    play::Ways ways;
    const auto compiled =
        play::withWaysOfCues(std::make_shared<const play::Compiled>(play::compiled(
                                 session->state(), *session->sources(), session->mixes())),
                             ways);
    play::Playing still(compiled);
    still.step(0);
    const std::vector<double> below = still.newest().shown.drives;
    session->waitUntilIdle();
    for (const auto& [id, ripple] : made->ripples) {
        struct Frame {
            double t_s;
            std::vector<Uv> lamps;
        };
        std::vector<Frame> frames;
        ASSERT_TRUE(eventually([&] { return worst({0.1, 0.5}) < 1; }));
        const auto begun = std::chrono::steady_clock::now();
        {
            const std::lock_guard lock(mutex);
            on_packet = [&] {
                Frame frame{
                    std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count(),
                    {}};
                for (std::size_t i = 0; i < rig.lamps().size(); ++i)
                    frame.lamps.push_back(colour::toUv(rig.shown(i).xyz));
                frames.push_back(std::move(frame));
            };
        }
        session->press(id, play::Command::What::RippleStart);
        ASSERT_TRUE(eventually([&] {
            const std::lock_guard lock(mutex);
            return !frames.empty() && frames.back().t_s > 3.2;
        }));
        {
            const std::lock_guard lock(mutex);
            on_packet = nullptr;
        }
        session->press(id, play::Command::What::RippleLetGo);
        constexpr int kMs = 4501, kOff_ms = 1000; // of a busy machine, whose frames come late
        const auto raster = play::rasterOf(*compiled, *ripple, {0, 4.5, kMs, 4}, below);
        const auto off = [&](const Frame& frame, std::size_t ms) { // of all lamps at that time
            double most = 0;
            for (std::size_t lamp = 0; lamp < 4; ++lamp)
                most = std::max(most, colour::distance(colour::toUv(raster.at(lamp, ms).light),
                                                       frame.lamps[lamp]));
            return most;
        };
        const auto hasBegun = [&](const Frame& frame) {
            double most = 0;
            for (std::size_t lamp = 0; lamp < 4; ++lamp)
                most =
                    std::max(most, colour::distance(frame.lamps[lamp], frames.front().lamps[lamp]));
            return most >= 0.002;
        };
        frames.erase(frames.begin(), std::find_if(frames.begin(), frames.end(), hasBegun));
        // Each frame has its time, none before that of the frame before.
        const auto followsWithin = [&](double bound) {
            std::size_t at = 0;
            for (const Frame& frame : frames) {
                const int t = static_cast<int>(1000 * frame.t_s);
                const int last = std::min(t + kOff_ms, kMs - 1); // it began with a late frame
                at = std::max(at, static_cast<std::size_t>(std::max(0, t - kOff_ms)));
                while (static_cast<int>(at) <= last && off(frame, at) > bound)
                    ++at;
                if (static_cast<int>(at) > last)
                    return false;
            }
            return true;
        };
        double bound = 0.001;
        while (bound < 0.02 && !followsWithin(bound))
            bound += 0.001;
        std::printf("[ figures  ] %s: at most %.3f off in %zu frames\n", ripple->name.c_str(),
                    bound, frames.size());
        EXPECT_GT(frames.size(), 20u) << "all along";
        EXPECT_LT(bound, 0.0065) << ripple->name;
        ASSERT_TRUE(rests()) << "it is let go";
    }
}

// The demo's list from its first cue to its last, through the network: at rest every lamp of the
// rig shows what the cue stands for. Ten times as fast; ZELO_REAL_TIME=1: in its own times.
TEST_F(ClosedLoop, TheDemoListArrivesCueByCue) {
    const auto demo = files::readShow(fs::path(places::data) / "shows/salt-lanterns.zelo");
    ASSERT_TRUE(demo);
    show::Show still = *demo->show; // what never rests is looked at elsewhere
    still.ripples = {};
    begin(show::pruned({show::nextShow(std::move(still)), show::emptyHand()}).show,
          show::emptyHand());
    std::mutex seen;
    std::shared_ptr<const play::Stage> stage;
    session->waitUntilIdle();
    session->on_stage = [&](std::shared_ptr<const play::Stage> next) {
        const std::lock_guard lock(seen);
        stage = std::move(next);
    };
    const show::CueList& list = *demo->show->cue_lists.entry(0).second;
    const double rate = std::getenv("ZELO_REAL_TIME") ? 1 : 10;
    session->press(list.id, play::Command::What::Rate, rate);
    const auto now = [&]() -> std::optional<play::StageList> {
        session->look();
        session->waitUntilIdle();
        const std::lock_guard lock(seen);
        const auto* one = stage ? stage->list(list.id) : nullptr;
        return one ? std::optional(*one) : std::nullopt;
    };
    const auto last = list.cues.entry(list.cues.size() - 1).first;
    std::size_t looked = 0;
    for (std::optional<show::CueNumber> cue; cue != last; ++looked) {
        session->press(list.id, play::Command::What::Next);
        const auto begun = std::chrono::steady_clock::now();
        std::optional<play::StageList> rests;
        while (std::chrono::steady_clock::now() - begun < std::chrono::seconds(90)) {
            const auto is = now();
            if (is && is->cue && is->cue != cue && !is->fades() && !is->follow_s) {
                rests = is;
                break;
            }
            std::this_thread::sleep_for(20ms);
        }
        ASSERT_TRUE(rests) << "after " << (cue ? show::toText(*cue) : "the beginning");
        cue = rests->cue;
        const auto wanted = play::computeStage(
            {session->show(), std::make_shared<const show::Values>(show::standsFor(list, *cue))},
            {}, *session->sources(), session->mixes());
        const auto off = [&] {
            const std::lock_guard lock(mutex);
            double most = 0;
            for (std::size_t i = 0; i < rig.lamps().size(); ++i) {
                const auto& is = rig.shown(i).xyz;
                const auto& to = wanted.lamps[i].sent.xyz;
                most = std::max(most, std::abs(is.Y - to.Y) / std::max(1.0, to.Y));
                if (colour::hasChromaticity(is) && colour::hasChromaticity(to))
                    most = std::max(most, colour::distance(colour::toUv(is), colour::toUv(to)));
            }
            return most;
        };
        EXPECT_TRUE(eventually([&] { return off() < 1e-6; }))
            << "cue " << show::toText(*cue) << ": " << off();
    }
    EXPECT_GE(looked, 25u);
    session->waitUntilIdle();
    session->on_stage = nullptr;
}

} // namespace
} // namespace zelo::host
