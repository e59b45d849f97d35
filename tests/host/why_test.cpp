// SPDX-License-Identifier: GPL-3.0-or-later
// Whatever is edited, pressed and undone: the light check explains what each lamp shows.
#include "files/show_file.h"
#include "host/session.h"
#include "host/support.h"
#include "play/light_check.h"
#include "play/shown_values.h"
#include "show/cue_edits.h"
#include "show/trims.h"
#include "support/asked.h"
#include "support/places.h"

#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace zelo::host {
namespace {

using show::CueNumber;
using What = play::Command::What;

// The demo show at random hands.
class World {
public:
    World() {
        session_.on_stage = [this](std::shared_ptr<const play::Stage> next) {
            const std::lock_guard lock(mutex_);
            stage_ = std::move(next);
        };
        static const auto demo =
            files::readShow(fs::path(places::data) / "shows/salt-lanterns.zelo");
        session_.start(demo->show, demo->hand);
        look();
    }
    ~World() {
        session_.waitUntilIdle();
        session_.on_stage = nullptr;
    }

    void act() {
        const show::Lineup lamps = some();
        const auto& now = session_.show();
        const auto list = now->cue_lists.entry(0).first;
        const auto& cues = now->cue_lists.find(list)->cues;
        const CueNumber cue =
            cues.empty() ? CueNumber{} : cues.entry(below(static_cast<int>(cues.size()))).first;
        const double level = *rc::gen::element(0.0, 0.3, 1.0);
        const char* colour = *rc::gen::element("gel:104", "gel:338", "cct:3200", "xy:0.3,0.6");
        switch (below(20)) {
        case 0:
            return session_.setHand("i", show::withIntensity(session_.hand(), lamps, level));
        case 1:
            return session_.setHand(
                "c", show::withColour(session_.hand(), lamps, test::wishFor(colour)));
        case 2:
            return session_.setHand(
                "t", show::brighterBy(session_.state(), lamps, *rc::gen::element(0.5, 2.0)));
        case 3:
            return session_.setHand(
                "d", show::putDown(session_.hand(), lamps,
                                   *rc::gen::element(show::Which::Intensity, show::Which::Colour,
                                                     show::Which::All)));
        case 4:
            return try_(session_.keepHand());
        case 5:
            return try_(session_.edit("l", show::lockLamps(now, lockedValues(*stage_, lamps))));
        case 6:
            return try_(session_.edit("u", show::unlockLamps(now, lamps)));
        case 7: {
            show::Cue one;
            one.number = {1000 * (1 + below(40))};
            return try_(session_.edit(
                "k", show::keepAsCue(now, shownValues(*stage_, lamps), lamps, list, one, true)));
        }
        case 8:
            return try_(
                session_.edit("v", show::keepVersion(now, list, cue, shownValues(*stage_, lamps))));
        case 9:
            return try_(session_.edit("p", show::playVersion(now, list, cue, "a")));
        case 10:
            return try_(session_.edit("x", show::removeCues(now, list, {cue})));
        case 11:
            return try_(
                session_.showLook("s", now->looks.entry(below(int(now->looks.size()))).first));
        case 12:
            return session_.undo();
        case 13:
            return session_.redo();
        case 14:
            return session_.setFader(now->faders.entry(below(int(now->faders.size()))).first,
                                     level);
        case 15: {
            play::Controls controls = session_.controls();
            controls.master = *rc::gen::element(0.0, 0.5, 1.0);
            controls.dark = below(4) == 0;
            controls.solo = below(3) == 0 ? lamps : show::Lineup{};
            return session_.setControls(controls);
        }
        case 16:
            return session_.press(list, What::Jump, cue.value());
        case 17:
            return session_.press(list, *rc::gen::element(What::Back, What::Release, What::Hold));
        default:
            return session_.press(list, What::Next);
        }
    }

    void look() {
        now_s_ += *rc::gen::element(0.1, 3.0, 40.0);
        session_.look();
        session_.waitUntilIdle();
    }

    // What shines has no link that stops it, what does not has one; and every link says something.
    void explain() {
        for (const auto& lamp : stage_->lamps) {
            const auto links = play::lightCheck(
                *stage_, lamp.id,
                [&](const show::Fixture&) { return lamp.mixer ? lamp.mixer->mode().footprint : 0; },
                {});
            RC_ASSERT(links.has_value());
            bool stops = false;
            for (const auto& link : *links) {
                RC_ASSERT(!link.words.english().empty());
                stops = stops || link.state == play::CheckLink::State::Stops;
            }
            const bool shines = lamp.sent.xyz.Y > 0;
            if (shines == stops) {
                std::string told = fmt::format(
                    "lamp {} {}: {} of {}, layers {} and {}, {}\n", lamp.id.value, shines,
                    lamp.mastered, lamp.intensity, static_cast<int>(lamp.intensity_from.layer),
                    static_cast<int>(lamp.colour_from.layer), play::words(lamp.dark));
                for (const auto& link : *links)
                    told += fmt::format("{} {}: {}\n", static_cast<int>(link.state),
                                        link.what.english(), link.words.english());
                RC_FAIL(told);
            }
            RC_ASSERT((lamp.dark == play::DarkWhy::None) == shines);
        }
    }

private:
    static int below(int n) { return *rc::gen::inRange(0, std::max(1, n)); }
    static void try_(const Done&) {} // what cannot be done is refused, and that is all
    show::Lineup some() {
        show::Lineup lamps;
        for (const auto& [id, fixture] : session_.show()->fixtures)
            if (below(3) == 0)
                lamps.push_back(id);
        return lamps;
    }
    static Library& library() {
        static Library one{fs::path(places::data)};
        return one;
    }
    double now_s_ = 0;
    std::mutex mutex_;
    std::shared_ptr<const play::Stage> stage_;
    Session session_{library(), nullptr, nullptr, [this] { return now_s_; }};
};

RC_GTEST_PROP(Why, ExplainsEveryLampAfterRandomEditsPressesAndUndos, ()) {
    World world;
    for (int acts = 12; acts > 0; --acts) {
        world.act();
        world.look();
        world.explain();
    }
}

} // namespace
} // namespace zelo::host
