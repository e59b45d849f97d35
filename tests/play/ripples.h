// SPDX-License-Identifier: GPL-3.0-or-later
// Four lamps of two types under standing light, ripples over them, and what they show.
#pragma once

#include "play/playing.h"
#include "play/shipped.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/kept.h"
#include "show/ripple_edits.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {

inline constexpr const char* kOrange = "xy:0.52,0.4";
inline constexpr const char* kBlue = "xy:0.2,0.2";

class Ripples : public ::testing::Test {
protected:
    Ripples() {
        for (int i = 0; i < 4; ++i) {
            show::Fixture f;
            f.type = i < 2 ? "gannet-8" : "petrel-4";
            f.address = 1 + 40 * i;
            show = *show::addFixture(show, f);
            lamps.push_back({show->last_fixture_id});
        }
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
        hand = show::emptyHand();
        show = *show::keepHand(
            show, *show::withIntensity(show::withColour(hand, lamps, test::wishFor("cct:4000")),
                                       lamps, 0.8));
    }
    show::Ripple ripple(const std::vector<const char*>& colours) {
        show::Ripple r;
        r.name = "tide";
        r.lamps = lamps;
        r.after_s = 0;
        for (const char* colour : colours) {
            const colour::Uv uv = (*mixes.wanted(shipped, test::asked(colour)))->uv();
            r = show::withStep(std::move(r), test::asked(colour), uv);
        }
        return r;
    }
    void add(const show::Ripple& r) {
        auto next = show::addRipple(show, r);
        ASSERT_TRUE(next) << next.error().text();
        show = *next;
    }
    void put(double t = 0, double fade_s = 0) {
        compiled_ = withWaysOfCues(std::make_shared<const Compiled>(
                                       compiled({show, hand}, shipped, mixes, compiled_.get())),
                                   ways);
        auto next = std::make_unique<Playing>(compiled_);
        if (playing)
            next->takeOver(*playing, t, fade_s);
        playing = std::move(next);
        playing->step(t);
    }
    void press(Command::What what, double t, std::uint32_t which = 0, double value = 0) {
        playing->apply({what, which, value, {}}, t);
    }
    colour::Uv uv(double t, std::uint32_t lamp = 0) {
        playing->step(t);
        const Moment& m = playing->newest();
        light::Drives d(compiled_->program->parts(lamp));
        std::copy_n(m.shown.drives.begin() + compiled_->program->first[lamp], d.size(), d.begin());
        return colour::toUv(compiled_->mixers[lamp]->xyzOf(d));
    }
    double intensity(double t, std::uint32_t lamp = 0) {
        playing->step(t);
        return playing->newest().shown.intensity[lamp];
    }
    colour::Uv asked(const char* colour) {
        return (*mixes.wanted(shipped, test::asked(colour)))->uv();
    }
    static double off(const colour::Uv& a, const colour::Uv& b) { return colour::distance(a, b); }

    Shipped shipped;
    Mixes mixes;
    Ways ways;
    show::ShowPtr show = show::emptyState().show;
    show::HandPtr hand;
    show::Lineup lamps;
    std::shared_ptr<const Compiled> compiled_;
    std::unique_ptr<Playing> playing;
};

} // namespace zelo::play
