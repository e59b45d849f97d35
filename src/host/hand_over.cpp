// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/hand_over.h"

#include "light/levels.h"
#include "play/stage.h"
#include "show/edits.h"
#include "show/ripple_edits.h"

#include <algorithm>
#include <cmath>

namespace zelo::host {

using colour::Xyz;
using play::Command;

namespace {

constexpr std::size_t kMoments = 61;   // of a fade
constexpr double kMomentsASecond = 44; // of a turn
constexpr std::size_t kMostMoments = 2000;
constexpr std::size_t kEarlyOrLate = 2; // moments
constexpr double kBrightness = 0.05;    // of the brightest moment
constexpr double kSeen = 0.02;          // likewise: darker, colour does not matter
constexpr double kGap_s = 0.25;         // between two cues that are looked at

using Slots = std::vector<std::uint8_t>;

struct Lamp {                 // of those that are handed over
    std::size_t at;           // of the stage's lamps
    std::size_t first, count; // of its slots
};

// All slots at a moment, and the light of each lamp: as it is meant, and as it was rounded.
struct Seen {
    double t = 0;
    Slots slots;
    std::vector<Xyz> light, sent;
};

// Of slots that are not whole: what a console means before it rounds.
Xyz lightOf(const mix::Mixer& mixer, std::span<const double> slots) {
    light::Drives drives = mixer.type().ready(mixer.mode());
    double dim = 1;
    for (std::size_t i = 0; i < mixer.mode().channels.size(); ++i) {
        const light::Channel& channel = mixer.mode().channels[i];
        double value = 0;
        for (const int offset : channel.offsets)
            value = 256 * value + slots[static_cast<std::size_t>(offset) - 1];
        if (channel.role == light::Role::Part)
            drives[channel.part] = light::driveOf(channel, value);
        else if (mixer.mode().dimmer() == i)
            dim = light::driveOf(channel, value);
    }
    return mixer.xyzOf(mixer.type().dimmed(drives, dim));
}

// Cues wait for one another here: each fade is looked at to its end.
show::ShowPtr still(const show::Show& show, show::CueListId id) {
    show::Show next = show;
    show::CueList list = *show.cue_lists.find(id);
    std::vector<Table<show::CueNumber, show::Cue>::Change> cues;
    for (const auto& [number, cue] : list.cues) {
        show::Cue one = *cue;
        one.follow = show::FollowWhen::No;
        cues.emplace_back(number, std::make_shared<const show::Cue>(std::move(one)));
    }
    list.cues = list.cues.changed(std::move(cues));
    next.cue_lists = Table<show::CueListId, show::CueList>().with(id, std::move(list));
    next.faders = {};
    next.ripples = {}; // they move on their own
    return show::nextShow(std::move(next));
}

class Handing {
public:
    // `shown`: what plays of `show`.
    Handing(const show::ShowPtr& show, const show::ShowPtr& shown, const play::Sources& from,
            play::Mixes& mixes, double tolerance_uv)
        : show_(show), tolerance_uv_(tolerance_uv) {
        play::Ways ways;
        compiled_ = play::withWaysOfCues(std::make_shared<const play::Compiled>(play::compiled(
                                             {shown, show::emptyHand()}, from, mixes)),
                                         ways);
        playing_ = std::make_unique<play::Playing>(compiled_);
    }

    Result<HandedOver> turn(const show::Ripple& ripple) {
        const play::PlayedRipple& played = compiled_->program->ripples.front();
        const double end_s = play::endOf(played.times, played.latest_s);
        const double turn_s = end_s < HUGE_VAL ? end_s : played.times.turn_s;
        if (turn_s < kShortestTurnAsCues_s)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "a turn of {} s: must be {} s or longer as cues"), turn_s,
                        kShortestTurnAsCues_s);
        patch(&ripple.lamps);
        if (lamps_.empty())
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "none of the lamps of ripple '{}' has a type"),
                        ripple.name);
        playing_->apply({Command::What::RippleStart}, 0);
        // One that goes on and on is looked at once it is everywhere.
        const double tail_s = played.times.rise_s + played.times.stay_s + played.times.fall_s;
        const double begin_s =
            end_s < HUGE_VAL ? 0 : turn_s * std::ceil((played.latest_s + tail_s) / turn_s);
        const auto moments = static_cast<std::size_t>(
            std::clamp(turn_s * kMomentsASecond, 1.0 * kMoments, 1.0 * kMostMoments));
        std::vector<Seen> fade;
        for (std::size_t k = 0; k < moments; ++k) {
            const double at = turn_s * static_cast<double>(k) / static_cast<double>(moments - 1);
            t_s_ = begin_s + at;
            fade.push_back(look());
            fade.back().t = at;
        }
        if (!played.setsIntensity())
            leaveDimmersAlone();
        seeBrightest(fade);
        const auto nodes = pieces(fade);
        show::Cue cue;
        cue.name = ripple.name;
        keep(cue, {1000}, {}, fade.front(), {0, 0}, {0, 0}, 0);
        std::size_t before = 0;
        for (std::size_t i = 0; i < nodes.size(); ++i) {
            const double time = std::round(1000 * (fade[nodes[i]].t - fade[before].t)) / 1000;
            before = nodes[i];
            keep(cue, {static_cast<int>(1000 * (i + 2))},
                 fmt::format(", {} of {}", i + 1, nodes.size()), fade[before], {time, 0}, {time, 0},
                 i + 1 < nodes.size() ? std::optional(time) : std::nullopt);
        }
        all_.steps = static_cast<int>(nodes.size());
        return std::move(all_);
    }

    HandedOver run(const show::CueList& list, const std::function<bool()>& enough) {
        patch(nullptr);
        Seen before = look();
        for (std::size_t cue = 0; cue < list.cues.size() && !(enough && enough()); ++cue) {
            const auto& [number, said] = list.cues.entry(cue);
            playing_->apply({Command::What::Next}, t_s_);
            playing_->step(t_s_);
            const double lasts = playing_->newest().lists.front().lasts_s;
            std::vector<Seen> fade;
            const double begin = t_s_;
            for (std::size_t k = 0; k < kMoments && lasts > 0; ++k) {
                const double at = lasts * static_cast<double>(k) / (kMoments - 1);
                t_s_ = begin + at;
                fade.push_back(look());
                fade.back().t = at;
            }
            t_s_ = begin + lasts + kGap_s;
            Seen after = look();
            after.t = lasts;
            if (!fade.empty()) {
                if (cue > 0)
                    setInTheDark(before, fade[1]);
                fade.front() = before;
                fade.front().t = 0;
                fade.back() = after;
            }
            const int next = cue + 1 < list.cues.size() ? list.cues.entry(cue + 1).first.thousandths
                                                        : number.thousandths + 1000;
            add(*said, before, after, fade, next);
            was_dark_.clear();
            for (const Xyz& light : before.light)
                was_dark_.push_back(!(light.Y > 0));
            before = std::move(after);
        }
        groups();
        return std::move(all_);
    }

private:
    void patch(const std::vector<show::FixtureId>* only) { // null: all
        playing_->step(0);
        const play::Stage stage = stageNow();
        std::size_t slots = 0;
        for (std::size_t i = 0; i < stage.lamps.size(); ++i) {
            const auto& lamp = stage.lamps[i];
            const show::Fixture& fixture = *show_->fixture(lamp.id);
            if (!lamp.mixer ||
                (only && std::find(only->begin(), only->end(), lamp.id) == only->end()))
                continue;
            const auto count = static_cast<std::size_t>(lamp.mixer->mode().footprint);
            lamps_.push_back({i, slots, count});
            for (std::size_t s = 0; s < count; ++s)
                all_.cues.patch.push_back(
                    {static_cast<int>(slots + s) + 1,
                     512 * (fixture.universe - 1) + fixture.address + static_cast<int>(s), 1});
            slots += count;
        }
        slots_ = slots;
    }

    // Lamps that stay dark in the cue before take their next colour there already: no desk shows
    // it, and none fades up from another one.
    void setInTheDark(Seen& before, const Seen& begun) {
        for (std::size_t i = 0; i < lamps_.size(); ++i) {
            const Lamp& lamp = lamps_[i];
            const light::Mode& mode = mixers_[i]->mode();
            const auto dimmer = mode.dimmer();
            if (before.light[i].Y > 0 || !was_dark_[i] || !dimmer)
                continue;
            const auto own = mode.channels[*dimmer].everywhere();
            for (std::size_t s = 0; s < lamp.count; ++s) {
                if (std::find(own.begin(), own.end(), static_cast<int>(s) + 1) != own.end())
                    continue;
                before.slots[lamp.first + s] = begun.slots[lamp.first + s];
                all_.cues.cues.back().levels[lamp.first + s].level =
                    before.slots[lamp.first + s] / 255.0;
            }
        }
    }

    play::Stage stageNow() {
        std::vector<play::Rest> rests;
        return play::stageOf(*compiled_, playing_->newest(), {}, rounding_, rests);
    }

    Seen look() {
        playing_->step(t_s_);
        const play::Stage stage = stageNow();
        Seen seen{t_s_, Slots(slots_), {}, {}};
        for (const Lamp& lamp : lamps_) {
            const auto& now = stage.lamps[lamp.at];
            light::writeSlots(now.mixer->mode(), now.sent.values,
                              std::span(seen.slots).subspan(lamp.first, lamp.count));
            seen.sent.push_back(now.sent.xyz);
            seen.light.push_back(
                now.mixer->xyzOf(now.mixer->type().dimmed(now.drives, now.mastered)));
            mixers_.resize(std::max(mixers_.size(), seen.light.size()));
            mixers_[seen.light.size() - 1] = now.mixer;
        }
        return seen;
    }

    // Whether these slots, not whole yet, give every lamp the colour of that moment, or of one so
    // shortly before or after that nobody sees it. Brightness may go its own way from end to end:
    // other desks have curves of their own.
    bool same(const std::vector<double>& slots, const std::vector<Seen>& fade, std::size_t at,
              const Seen& from, const Seen& to) const {
        for (std::size_t i = 0; i < lamps_.size(); ++i) {
            const Lamp& lamp = lamps_[i];
            const double most = brightest_[i];
            if (!(most > 0))
                continue;
            const Xyz light =
                lightOf(*mixers_[i], std::span(slots).subspan(lamp.first, lamp.count));
            const auto [least_cd, most_cd] =
                std::minmax({from.light[i].Y, from.sent[i].Y, to.light[i].Y, to.sent[i].Y,
                             fade[at].light[i].Y});
            if (light.Y < least_cd - kBrightness * most || light.Y > most_cd + kBrightness * most)
                return false;
            const std::size_t first = at > kEarlyOrLate ? at - kEarlyOrLate : 0;
            const std::size_t last = std::min(at + kEarlyOrLate, fade.size() - 1);
            bool near = false;
            for (std::size_t k = first; k <= last && !near; ++k) {
                for (const Xyz* ours : {&fade[k].light[i], &fade[k].sent[i]})
                    near = near || std::min(ours->Y, light.Y) <= kSeen * most ||
                           distance(colour::toUv(light), colour::toUv(*ours)) <= tolerance_uv_;
            }
            if (!near)
                return false;
        }
        return true;
    }

    // Each slot in a straight line, in this cue's own times: what a desk does.
    bool asADeskWould(const show::Cue& cue, const std::vector<Seen>& fade) const {
        std::vector<double> slots(slots_);
        for (std::size_t k = 1; k + 1 < fade.size(); ++k) {
            for (std::size_t s = 0; s < slots_; ++s) {
                const double from = fade.front().slots[s], to = fade.back().slots[s];
                const double time = to > from ? cue.up_s : cue.down_s;
                const double delay = to > from ? cue.up_delay_s : cue.down_delay_s;
                const double share = time > 0 ? std::clamp((fade[k].t - delay) / time, 0.0, 1.0)
                                              : (fade[k].t >= delay ? 1.0 : 0.0);
                slots[s] = from + share * (to - from);
            }
            if (!same(slots, fade, k, fade.front(), fade.back()))
                return false;
        }
        return true;
    }

    bool straight(const std::vector<Seen>& fade, std::size_t a, std::size_t b) const {
        std::vector<double> slots(slots_);
        for (std::size_t k = a + 1; k < b; ++k) {
            const double share = (fade[k].t - fade[a].t) / (fade[b].t - fade[a].t);
            for (std::size_t s = 0; s < slots_; ++s)
                slots[s] = fade[a].slots[s] + share * (fade[b].slots[s] - fade[a].slots[s]);
            if (!same(slots, fade, k, fade[a], fade[b]))
                return false;
        }
        return true;
    }

    // Straight ones within the tolerance, as long as they can be; the moments that they end at.
    std::vector<std::size_t> pieces(const std::vector<Seen>& fade) const {
        std::vector<std::size_t> nodes;
        for (std::size_t at = 0; at + 1 < fade.size();) {
            std::size_t far = at + 1, broken = fade.size();
            if (straight(fade, at, fade.size() - 1))
                far = fade.size() - 1;
            else
                for (broken = fade.size() - 1; broken - far > 1;) {
                    const std::size_t middle = (far + broken) / 2;
                    (straight(fade, at, middle) ? far : broken) = middle;
                }
            nodes.push_back(far);
            at = far;
        }
        return nodes;
    }

    void seeBrightest(const std::vector<Seen>& fade) {
        brightest_.assign(lamps_.size(), 0);
        for (std::size_t i = 0; i < lamps_.size(); ++i)
            for (const Seen& seen : fade)
                brightest_[i] = std::max(brightest_[i], seen.light[i].Y);
    }

    // What has a dimmer keeps the intensity that the other desk gives it.
    void leaveDimmersAlone() {
        silent_.assign(slots_, 0);
        for (std::size_t i = 0; i < lamps_.size(); ++i)
            if (const auto dimmer = mixers_[i]->mode().dimmer())
                for (const int offset : mixers_[i]->mode().channels[*dimmer].everywhere())
                    silent_[lamps_[i].first + static_cast<std::size_t>(offset) - 1] = 1;
    }

    void add(const show::Cue& cue, const Seen& before, const Seen& after,
             const std::vector<Seen>& fade, int next) {
        seeBrightest(fade);
        for (std::size_t i = 0; i < lamps_.size(); ++i)
            brightest_[i] = std::max({brightest_[i], before.light[i].Y, after.light[i].Y});
        if (fade.empty() || asADeskWould(cue, fade)) {
            keep(cue, cue.number, {}, after, {cue.up_s, cue.up_delay_s},
                 {cue.down_s, cue.down_delay_s}, followOf(cue, 0, after.t));
            return;
        }
        const auto nodes = pieces(fade);
        const int count = static_cast<int>(nodes.size());
        int step = 0; // of the numbers, thousandths
        for (const int s : {100, 10, 1})
            if (step == 0 && cue.number.thousandths + s * (count - 1) < next)
                step = s;
        if (step == 0) {
            all_.notes.push_back(
                say(ZELO_TEXT("core",
                              "cue {}: no numbers are free for its {} steps, it fades straight"),
                    show::toText(cue.number), count));
            keep(cue, cue.number, {}, after, {cue.up_s, cue.up_delay_s},
                 {cue.down_s, cue.down_delay_s}, followOf(cue, 0, after.t));
            return;
        }
        double begins = 0;
        for (int i = 0; i < count; ++i) {
            const Seen& end = fade[nodes[static_cast<std::size_t>(i)]];
            const double time = std::round(1000 * (end.t - begins)) / 1000;
            const bool last = i + 1 == count;
            keep(cue, {cue.number.thousandths + i * step},
                 count > 1 ? fmt::format(", {} of {}", i + 1, count) : std::string(), end,
                 {time, 0}, {time, 0}, last ? followOf(cue, begins, end.t) : std::optional(time));
            begins = end.t;
        }
        all_.steps += count - 1;
    }

    // Of the last piece, that began at this time of the cue's.
    static std::optional<double> followOf(const show::Cue& cue, double begins, double ends) {
        if (cue.follow == show::FollowWhen::AfterStart)
            return std::max(0.0, cue.follow_s - begins);
        if (cue.follow == show::FollowWhen::WhenDone)
            return ends - begins;
        return std::nullopt;
    }

    void keep(const show::Cue& cue, show::CueNumber number, const std::string& part,
              const Seen& seen, files::CueTimes up, files::CueTimes down,
              std::optional<double> follow_s) {
        files::AsciiCue one;
        one.number = show::toText(number);
        one.text = cue.name + part;
        one.up = up;
        one.down = down;
        one.follow_s = follow_s;
        for (std::size_t s = 0; s < slots_; ++s)
            if (silent_.empty() || !silent_[s])
                one.levels.push_back({static_cast<int>(s) + 1, seen.slots[s] / 255.0});
        all_.cues.cues.push_back(std::move(one));
    }

    void groups() {
        const auto& ids = compiled_->fixtures;
        for (const auto& [id, group] : show_->groups) {
            files::AsciiGroup one{std::to_string(id.value), group->name, {}};
            for (const Lamp& lamp : lamps_)
                if (std::find(group->fixtures.begin(), group->fixtures.end(), ids[lamp.at]) !=
                    group->fixtures.end())
                    for (std::size_t s = 0; s < lamp.count; ++s)
                        one.levels.push_back({static_cast<int>(lamp.first + s) + 1, 1});
            if (!one.levels.empty())
                all_.cues.groups.push_back(std::move(one));
        }
    }

    show::ShowPtr show_;
    double tolerance_uv_;
    std::shared_ptr<const play::Compiled> compiled_;
    std::unique_ptr<play::Playing> playing_;
    play::Rounding rounding_;
    std::vector<Lamp> lamps_;
    std::vector<std::shared_ptr<const mix::Mixer>> mixers_; // by lamp
    std::vector<bool> was_dark_;                            // by lamp, when the cue before began
    std::vector<double> brightest_;                         // by lamp, in the fade looked at
    std::size_t slots_ = 0;
    std::vector<char> silent_; // by slot: nothing is said of it; empty: of all something
    double t_s_ = 0;
    HandedOver all_;
};

} // namespace

Result<HandedOver> handOver(const show::ShowPtr& show, const play::Sources& from,
                            play::Mixes& mixes, const HandOver& wish,
                            const std::function<bool()>& enough) {
    if (!show->cue_lists.find(wish.list))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"),
                    wish.list.value);
    return Handing(show, still(*show, wish.list), from, mixes, wish.tolerance_uv)
        .run(*show->cue_lists.find(wish.list), enough);
}

Result<HandedOver> handOverTurn(const show::ShowPtr& show, const play::Sources& from,
                                play::Mixes& mixes, show::RippleId id, double tolerance_uv) {
    const show::Ripple* ripple = show->ripples.find(id);
    if (!ripple)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple with id {}"), id.value);
    return Handing(show, show::withRippleAlone(*show, *ripple), from, mixes, tolerance_uv)
        .turn(*ripple);
}

} // namespace zelo::host
