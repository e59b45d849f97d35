// SPDX-License-Identifier: GPL-3.0-or-later
// The engine beside the slow one, on random shows and presses.
#include "play/slow_engine.h"

#include "play/engine.h"

#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace zelo::play {
namespace {

double number(double most) { // often 0 and often the same
    return *rc::gen::weightedOneOf<double>(
        {{1, rc::gen::just(0.0)},
         {1, rc::gen::just(most)},
         {3, rc::gen::map(rc::gen::inRange(0, 9), [most](int k) { return most * k / 8; })}});
}

slow::Look look(int lamps) {
    slow::Look all;
    for (int lamp = 0; lamp < lamps; ++lamp) {
        slow::Says says;
        if (*rc::gen::inRange(0, 3) > 0)
            says.intensity = number(1);
        if (*rc::gen::inRange(0, 3) > 0)
            says.colour = slow::Colour{number(1), number(1), number(1)};
        if (says.intensity || says.colour)
            all[lamp] = says;
    }
    return all;
}

slow::Show randomShow() {
    slow::Show show;
    show.lamps = *rc::gen::inRange(1, 5);
    show.dark_first = *rc::gen::inRange(0, 4) > 0;
    show.standing = look(show.lamps);
    if (*rc::gen::arbitrary<bool>())
        show.exempt.insert(*rc::gen::inRange(0, show.lamps));
    for (int l = *rc::gen::inRange(1, 4); l > 0; --l) {
        slow::ListShow list;
        list.back = number(3);
        list.release = number(3);
        list.at_end = *rc::gen::element(slow::ListShow::Stop, slow::ListShow::Stop,
                                        slow::ListShow::Again, slow::ListShow::ToAndFro);
        for (int c = *rc::gen::inRange(1, 6); c > 0; --c) {
            slow::Cue cue;
            cue.up = number(4);
            cue.down = number(4);
            cue.up_delay = number(1);
            cue.down_delay = number(1);
            if (*rc::gen::arbitrary<bool>())
                cue.colour = number(4);
            if (*rc::gen::inRange(0, 4) == 0)
                cue.dark_first = *rc::gen::arbitrary<bool>();
            if (*rc::gen::arbitrary<bool>())
                cue.colour_delay = number(1);
            switch (*rc::gen::inRange(0, 5)) {
            case 3:
                cue.follow = slow::Cue::Day;
                cue.after = number(16);
                break;
            case 0:
                cue.follow = slow::Cue::After;
                cue.after = number(3);
                break;
            case 1:
                cue.follow = slow::Cue::Done;
                break;
            default:
                break;
            }
            cue.look = look(show.lamps);
            list.cues.push_back(cue);
        }
        show.lists.push_back(list);
    }
    for (int f = *rc::gen::inRange(0, 4); f > 0; --f)
        show.faders.push_back({*rc::gen::arbitrary<bool>(), look(show.lamps)});
    if (*rc::gen::inRange(0, 3) == 0)
        show.faders.push_back({false, {}, show.lists.size() - 1});
    if (*rc::gen::inRange(0, 3) == 0)
        show.locked = {{*rc::gen::inRange(0, show.lamps), {number(1), slow::Colour{0.3, 0.6, 1}}}};
    return show;
}

SourcePtr sourceOf(const slow::Look& look) {
    auto source = std::make_shared<Source>();
    for (const auto& [lamp, says] : look)
        source->add(static_cast<std::uint32_t>(lamp), says.intensity,
                    says.colour ? std::span<const double>(*says.colour)
                                : std::span<const double>());
    return source;
}

std::shared_ptr<const Program> programOf(const slow::Show& show) {
    Program p;
    p.lamps = static_cast<std::size_t>(show.lamps);
    for (std::uint32_t i = 0; i <= p.lamps; ++i)
        p.first.push_back(3 * i);
    p.home.assign(3 * p.lamps, 1);
    p.dark_first = show.dark_first;
    p.standing = sourceOf(show.standing);
    p.locked = sourceOf(show.locked);
    p.exempt.assign(p.lamps, 0);
    for (const int lamp : show.exempt)
        p.exempt[static_cast<std::size_t>(lamp)] = 1;
    for (std::size_t i = 0; i < p.lamps; ++i)
        p.lamp_ids.push_back(static_cast<int>(i) + 1);
    for (const auto& l : show.lists) {
        PlayedList list;
        list.back_s = l.back;
        list.release_s = l.release;
        list.at_end = l.at_end == slow::ListShow::Again      ? PlayedList::AtEnd::Again
                      : l.at_end == slow::ListShow::ToAndFro ? PlayedList::AtEnd::ToAndFro
                                                             : PlayedList::AtEnd::Stop;
        for (const auto& c : l.cues) {
            PlayedCue cue;
            cue.number = static_cast<double>(list.cues.size()) + 1;
            cue.up_s = c.up;
            cue.down_s = c.down;
            cue.up_delay_s = c.up_delay;
            cue.down_delay_s = c.down_delay;
            cue.colour_s = c.colour;
            cue.colour_delay_s = c.colour_delay;
            cue.dark_first = c.dark_first;
            cue.follow = c.follow == slow::Cue::After  ? PlayedCue::Follow::AfterStart
                         : c.follow == slow::Cue::Done ? PlayedCue::Follow::WhenDone
                         : c.follow == slow::Cue::Day  ? PlayedCue::Follow::TimeOfDay
                                                       : PlayedCue::Follow::None;
            cue.follow_s = c.after;
            cue.changes = sourceOf(c.look);
            list.cues.push_back(std::move(cue));
        }
        p.lists.push_back(std::move(list));
        p.list_ids.push_back(static_cast<int>(p.lists.size()));
    }
    for (const auto& f : show.faders) {
        p.faders.push_back({f.adds ? PlayedFader::Mode::Adds : PlayedFader::Mode::Latest,
                            sourceOf(f.look), f.list});
        p.fader_ids.push_back(static_cast<int>(p.faders.size()));
    }
    complete(p);
    return std::make_shared<const Program>(std::move(p));
}

RC_GTEST_PROP(SlowEngine, ShowsTheSame, ()) {
    using What = Command::What;
    const slow::Show show = randomShow();
    slow::Engine slow(show);
    const auto program = programOf(show);
    auto fast = std::make_unique<Engine>(program);
    Shown row = fast->rows();
    double t = 0;
    if (*rc::gen::arbitrary<bool>()) {
        const double day = number(86'400);
        slow.timeOfDay(day, t);
        fast->apply({What::TimeOfDay, 0, day, {}}, t);
    }
    bool anew = *rc::gen::arbitrary<bool>(); // the same program put again and again
    for (int presses = *rc::gen::inRange(3, 20); presses > 0; --presses) {
        t += number(3);
        if (anew) {
            auto next = std::make_unique<Engine>(program);
            next->takeOver(*fast, t, number(3));
            fast = std::move(next);
        }
        const auto l =
            static_cast<std::uint32_t>(*rc::gen::inRange(0, static_cast<int>(show.lists.size())));
        const auto press = [&](What what, double value = 0) {
            fast->apply({what, l, value, {}}, t);
        };
        switch (*rc::gen::inRange(0, 9)) {
        case 0:
            slow.back(l, t);
            press(What::Back);
            break;
        case 1: {
            const int cue = *rc::gen::inRange(0, static_cast<int>(show.lists[l].cues.size()));
            slow.jump(l, cue, t);
            press(What::Jump, cue + 1);
            break;
        }
        case 2:
            slow.hold(l, t);
            press(What::Hold);
            break;
        case 3: {
            const double rate = *rc::gen::element(0.5, 1.0, 2.0);
            slow.rate(l, rate, t);
            press(What::Rate, rate);
            break;
        }
        case 4:
            slow.release(l, t);
            press(What::Release);
            break;
        case 5:
        case 6:
            if (!show.faders.empty()) {
                const auto f = static_cast<std::uint32_t>(
                    *rc::gen::inRange(0, static_cast<int>(show.faders.size())));
                const double level = number(1);
                slow.fader(f, level, t);
                fast->apply({What::Fader, f, level, {}}, t);
            }
            break;
        default:
            slow.next(l, t);
            press(What::Next);
            break;
        }
        for (int looks = *rc::gen::inRange(1, 4); looks > 0; --looks) {
            fast->frame(t, row);
            for (int lamp = 0; lamp < show.lamps; ++lamp) {
                const auto at = static_cast<std::size_t>(lamp);
                const double i = slow.shownIntensity(lamp, t);
                const slow::Colour c = slow.shownColour(lamp, t);
                RC_ASSERT(std::abs(row.intensity[at] - i) < 1e-9);
                for (std::size_t e = 0; e < 3; ++e)
                    RC_ASSERT(std::abs(row.drives[3 * at + e] - c[e]) < 1e-9);
            }
            t += number(2);
        }
    }
}

} // namespace
} // namespace zelo::play
