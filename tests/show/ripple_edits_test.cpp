// SPDX-License-Identifier: GPL-3.0-or-later
// Ripples are kept, paced, and found again where they are used.
#include "show/ripple_edits.h"

#include "show/cue_edits.h"
#include "show/edits.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

Ripple ripple(const std::vector<double>& times_s) {
    Ripple r;
    r.name = "tide";
    for (const double t : times_s) {
        r = withStep(std::move(r), light::AskedUv{0.2 + t / 100, 0.47}, {0.2 + t / 100, 0.47});
        r.steps.back().time_s = t;
    }
    return r;
}

std::vector<double> timesOf(const Ripple& r) {
    std::vector<double> all;
    for (const auto& step : r.steps)
        all.push_back(step.time_s);
    return all;
}

TEST(RippleEdits, StepsChangePlaces) {
    const Ripple r = ripple({1, 2, 3, 4});
    EXPECT_EQ(timesOf(withStepAt(r, 0, 2)), (std::vector<double>{2, 3, 1, 4}));
    EXPECT_EQ(timesOf(withStepAt(r, 3, 0)), (std::vector<double>{4, 1, 2, 3}));
    EXPECT_EQ(timesOf(withStepAt(r, 1, 1)), timesOf(r));
}

TEST(RippleEdits, FasterIsAllOfItFaster) {
    Ripple r = ripple({1, 2});
    r.after_s = 0.5;
    r.pause_s = 4;
    r = faster(r, 2);
    EXPECT_EQ(timesOf(r), (std::vector<double>{0.5, 1}));
    EXPECT_EQ(r.after_s, 0.25);
    EXPECT_EQ(r.pause_s, 2);
    EXPECT_TRUE(checkRipple(faster(r, 1e-9))) << "no longer than a time can be";
    EXPECT_TRUE(checkRipple(faster(r, 1e9)));
}

TEST(RippleEdits, ABeatIsFromColourToColour) {
    EXPECT_EQ(timesOf(atBeat(ripple({1, 3}), 0.5)), (std::vector<double>{0.25, 0.75}))
        << "they keep their shares";
    EXPECT_EQ(timesOf(atBeat(ripple({0, 0}), 0.5)), (std::vector<double>{0.5, 0.5}));
    Ripple r = ripple({1, 1});
    r.pattern = Pattern::Pulse;
    EXPECT_EQ(atBeat(r, 2).every_s, 2);
    EXPECT_EQ(timesOf(atBeat(r, 2)), (std::vector<double>{1, 1}));
    r.pattern = Pattern::March;
    r.lamps = {{1}, {2}, {3}, {4}};
    r.after_s = 0.5;
    r.pause_s = 2;
    EXPECT_EQ(atBeat(r, 2).after_s, 0.25) << "four lamps and the pause, in half of the time";
    EXPECT_EQ(atBeat(r, 2).pause_s, 1);
    r.band = 2;
    EXPECT_EQ(atBeat(r, 3).after_s, 1.5);
    r.after_s = 0;
    EXPECT_EQ(atBeat(r, 3).after_s, 1.5);
}

TEST(RippleEdits, KnowsWhereItIsUsed) {
    auto show = emptyState().show;
    Fixture f;
    f.type = "petrel-4";
    show = *addFixture(show, f);
    show = *addRipple(show, ripple({1, 1}));
    EXPECT_FALSE(usesOf(*show, {1}).any());
    CueList list;
    list.name = "main";
    show = *addCueList(show, list);
    Cue cue;
    cue.number = {2500};
    cue.ripples = {{{1}, RippleDoes::Start}};
    show = *keepCue(show, {1}, cue);
    Fader fader;
    fader.name = "tide";
    fader.ripple = {1};
    show = *addFader(show, fader);
    const auto uses = usesOf(*show, {1});
    ASSERT_EQ(uses.cues.size(), 1u);
    EXPECT_EQ(uses.cues[0].second, CueNumber{2500});
    EXPECT_EQ(uses.faders, (std::vector<FaderId>{{1}}));
    EXPECT_FALSE(usesOf(*show, {2}).any());
}

TEST(RippleEdits, ALockedOneStaysAsItIs) {
    auto show = *addRipple(emptyState().show, ripple({1, 1}));
    Ripple r = *show->ripples.find({1});
    r.locked = true;
    show = *changeRipple(show, r);
    r.after_s = 9;
    EXPECT_FALSE(changeRipple(show, r));
    EXPECT_FALSE(removeRipple(show, {1}));
    r = *show->ripples.find({1});
    r.locked = false;
    EXPECT_TRUE(changeRipple(show, r));
}

} // namespace
} // namespace zelo::show
