// SPDX-License-Identifier: GPL-3.0-or-later
// A second engine of play: slow, obvious, for lamps of three parts. The fast one is held against
// it. Written from docs/play.md alone: maps, whole states and recursion, nothing looked up ahead.
#pragma once

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <optional>
#include <set>
#include <vector>

namespace zelo::play::slow {

using Colour = std::array<double, 3>;

struct Says {
    std::optional<double> intensity;
    std::optional<Colour> colour;
};
using Look = std::map<int, Says>; // by lamp

struct Cue {
    double up = 0, down = 0, up_delay = 0, down_delay = 0;
    std::optional<double> colour, colour_delay;
    enum { No, After, Done, Day } follow = No;
    double after = 0; // of Day since midnight
    Look look;
    std::optional<bool> dark_first = {};
};

struct ListShow {
    std::vector<Cue> cues;
    double back = 0, release = 0;
    enum { Stop, Again, ToAndFro } at_end = Stop;
};

struct FaderShow {
    bool adds = false;
    Look look;
    std::optional<std::size_t> list = {}; // that plays while it is up
};

struct Show {
    int lamps = 0;
    Look standing;
    Look locked;
    std::set<int> exempt;
    std::vector<ListShow> lists;
    std::vector<FaderShow> faders;
    bool dark_first = true;
};

// One thing on its way, in the time of its list; without `to` it goes to what lies below.
template <class T>
struct Way {
    T from{};
    std::optional<T> to;
    double begin = 0, end = 0;
    int since = 0; // the event that said it
};

inline double between(double a, double b, double x) {
    return a + x * (b - a);
}
inline Colour between(const Colour& a, const Colour& b, double x) {
    if (x >= 1)
        return b;
    return {between(a[0], b[0], x), between(a[1], b[1], x), between(a[2], b[2], x)};
}

class Engine {
public:
    explicit Engine(Show show) : show_(std::move(show)) {
        lists_.resize(show_.lists.size());
        faders_.resize(show_.faders.size());
    }

    void next(std::size_t l, double t) {
        goTo(t);
        goOn(l);
    }
    void back(std::size_t l, double t) {
        goTo(t);
        if (lists_[l].cue > 0) {
            lists_[l].turned = false;
            start(l, lists_[l].cue - 1, true, true);
        }
    }
    void jump(std::size_t l, int cue, double t) {
        goTo(t);
        const bool whole = lists_[l].turned || cue != lists_[l].cue + 1;
        lists_[l].turned = false;
        start(l, cue, whole, false);
    }
    void hold(std::size_t l, double t) {
        goTo(t);
        lists_[l].held = !lists_[l].held;
    }
    void rate(std::size_t l, double rate, double t) {
        goTo(t);
        lists_[l].rate = rate;
    }
    void fader(std::size_t f, double level, double t) {
        goTo(t);
        const double before = faders_[f].level;
        if (level > 0 && before <= 0)
            faders_[f].since = ++events_;
        faders_[f].level = level;
        if (const auto l = show_.faders[f].list) {
            List& list = lists_[*l];
            if (level > 0 || before > 0)
                list.share = level;
            if (level > 0 && before <= 0) { // from its first cue
                list.cue = -1;
                list.held = list.turned = false;
                list.intensity.clear();
                list.colour.clear();
                goOn(*l);
            } else if (level <= 0 && before > 0) {
                release(*l, t);
                list.intensity.clear();
                list.share = 1; // it may be played without the fader
            }
        }
    }
    void timeOfDay(double seconds, double t) {
        goTo(t);
        midnight_ = now_ - seconds;
    }
    void release(std::size_t l, double t) {
        goTo(t);
        List& list = lists_[l];
        list.cue = -1;
        list.turned = false;
        list.follows = false;
        list.held = false;
        const double end = list.now + show_.lists[l].release;
        for (int lamp = 0; lamp < show_.lamps; ++lamp) {
            const bool will_be_dark = dark(intensity(lamp, {l}));
            const bool is_dark = dark(intensity(lamp, {}));
            if (list.colour.contains(lamp)) {
                auto& way = list.colour[lamp];
                const Colour here = inList(l, lamp, way, {});
                way = {here, {}, list.now, end, way.since};
                if (show_.dark_first && is_dark)
                    way.end = list.now;
                else if (show_.dark_first && will_be_dark)
                    way.begin = end;
            }
            if (list.intensity.contains(lamp)) {
                auto& way = list.intensity[lamp];
                way = {unshared(l, lamp, way), {}, list.now, end, way.since};
            }
        }
    }
    double master = 1;
    bool dark_on = false;
    std::map<int, double> trims;
    Look hand;

    double shownIntensity(int lamp, double t) {
        goTo(t);
        if (show_.locked.contains(lamp))
            return dark_on && !show_.exempt.contains(lamp)
                       ? 0
                       : show_.locked[lamp].intensity.value_or(0);
        double i = intensity(lamp, {});
        if (trims.contains(lamp))
            i = std::min(1.0, i * trims[lamp]);
        if (hand.contains(lamp) && hand[lamp].intensity)
            i = *hand[lamp].intensity;
        return show_.exempt.contains(lamp) ? i : dark_on ? 0 : i * master;
    }
    Colour shownColour(int lamp, double t) {
        goTo(t);
        if (show_.locked.contains(lamp))
            return show_.locked[lamp].colour.value_or(Colour{1, 1, 1});
        return hand.contains(lamp) && hand[lamp].colour ? *hand[lamp].colour : colour(lamp, {});
    }

private:
    using Without = std::set<std::size_t>;
    struct List {
        double now = 0, rate = 1, started = 0;
        double began = 0; // the same, of the engine
        double share = 1; // of its intensities, where a fader plays it
        bool held = false, follows = false, turned = false;
        double round = -1e9; // when it last came to its first cue by itself
        int cue = -1;
        std::map<int, Way<double>> intensity;
        std::map<int, Way<Colour>> colour;
    };
    struct Fader {
        double level = 0;
        int since = 0;
    };

    static bool dark(double intensity) { return intensity <= 1e-12; }

    double below(int lamp, Without without, const Way<double>&) const {
        return intensity(lamp, std::move(without));
    }
    Colour below(int lamp, Without without, const Way<Colour>&) const {
        return colour(lamp, std::move(without));
    }
    template <class T>
    T inList(std::size_t l, int lamp, const Way<T>& way, Without without) const {
        const double now = lists_[l].now;
        const double x = now >= way.end     ? 1
                         : now <= way.begin ? 0
                                            : (now - way.begin) / (way.end - way.begin);
        without.insert(l);
        return between(way.from, way.to ? *way.to : below(lamp, without, way), x);
    }
    // An intensity, as far as its fader is up; what is let go comes to what is below, whole.
    double shared(std::size_t l, int lamp, const Way<double>& way, Without without) const {
        if (way.to)
            return lists_[l].share * inList(l, lamp, way, std::move(without));
        Way<double> whole = way;
        whole.from *= lists_[l].share;
        return inList(l, lamp, whole, std::move(without));
    }
    double unshared(std::size_t l, int lamp, const Way<double>& way) const {
        const double share = lists_[l].share;
        return share > 0 ? shared(l, lamp, way, {}) / share : 0;
    }

    double intensity(int lamp, const Without& without) const {
        std::vector<double> all;
        for (std::size_t l = 0; l < lists_.size(); ++l)
            if (const auto it = lists_[l].intensity.find(lamp);
                it != lists_[l].intensity.end() && !without.contains(l))
                all.push_back(shared(l, lamp, it->second, without));
        double added = 0;
        bool adds = false;
        for (std::size_t f = 0; f < faders_.size(); ++f) {
            const auto it = show_.faders[f].look.find(lamp);
            if (it == show_.faders[f].look.end() || faders_[f].level <= 0)
                continue;
            if (show_.faders[f].adds) {
                added += faders_[f].level * it->second.intensity.value_or(1);
                adds = true;
            } else if (it->second.intensity) {
                all.push_back(faders_[f].level * *it->second.intensity);
            }
        }
        if (adds)
            all.push_back(std::min(1.0, added));
        if (!all.empty())
            return *std::max_element(all.begin(), all.end());
        const auto it = show_.standing.find(lamp);
        return it == show_.standing.end() ? 0 : it->second.intensity.value_or(0);
    }

    Colour colour(int lamp, const Without& without) const {
        std::map<int, Colour> by_event; // the last one shows
        for (std::size_t l = 0; l < lists_.size(); ++l)
            if (const auto it = lists_[l].colour.find(lamp);
                it != lists_[l].colour.end() && !without.contains(l))
                by_event[it->second.since] = inList(l, lamp, it->second, without);
        double weight = 0;
        int last = 0;
        Colour sum{};
        for (std::size_t f = 0; f < faders_.size(); ++f) {
            const auto it = show_.faders[f].look.find(lamp);
            if (it == show_.faders[f].look.end() || faders_[f].level <= 0)
                continue;
            const Says& says = it->second;
            if (!show_.faders[f].adds) {
                if (says.colour)
                    by_event[faders_[f].since] = *says.colour;
                continue;
            }
            const double w = faders_[f].level * says.intensity.value_or(1);
            if (w <= 0)
                continue;
            last = std::max(last, faders_[f].since);
            weight += w;
            for (std::size_t e = 0; e < 3; ++e)
                sum[e] += w * says.colour.value_or(Colour{1, 1, 1})[e];
        }
        if (weight > 0) {
            const double most = std::max(1.0, *std::max_element(sum.begin(), sum.end()));
            for (double& s : sum)
                s /= most * std::min(1.0, weight);
            by_event[last] = sum;
        }
        if (!by_event.empty())
            return by_event.rbegin()->second;
        const auto it = show_.standing.find(lamp);
        return it != show_.standing.end() && it->second.colour ? *it->second.colour
                                                               : Colour{1, 1, 1};
    }

    // --- time: from follow to follow
    std::optional<int> nextOf(std::size_t l) const {
        const List& list = lists_[l];
        const int count = static_cast<int>(show_.lists[l].cues.size());
        std::vector<int> round; // the cues in the order in which they come, from the first on
        for (int i = 0; i < count; ++i)
            round.push_back(i);
        if (show_.lists[l].at_end == ListShow::ToAndFro)
            for (int i = count - 2; i > 0; --i)
                round.push_back(i);
        const auto place = list.turned ? round.size() - static_cast<std::size_t>(list.cue)
                                       : static_cast<std::size_t>(list.cue + 1);
        if (list.turned && list.cue == 0)
            return count > 1 ? std::optional(1) : std::nullopt;
        const auto next = list.turned ? place + 1 : place;
        if (next < round.size())
            return round[next];
        if (count < 2 || show_.lists[l].at_end == ListShow::Stop)
            return std::nullopt;
        return 0;
    }
    void goOn(std::size_t l) {
        List& list = lists_[l];
        list.follows = false;
        const auto next = nextOf(l);
        if (!next)
            return;
        const bool onward = *next == list.cue + 1;
        list.turned = show_.lists[l].at_end == ListShow::ToAndFro && !onward;
        start(l, *next, !onward, false);
    }
    std::optional<double> followsAt(std::size_t l) const { // in the list's time
        const List& list = lists_[l];
        const auto& cues = show_.lists[l].cues;
        if (!list.follows || list.held || list.cue < 0 || !nextOf(l))
            return std::nullopt;
        const Cue& cue = cues[static_cast<std::size_t>(list.cue)];
        if (cue.follow == Cue::After)
            return list.started + cue.after;
        if (cue.follow == Cue::No || (cue.follow == Cue::Day && !midnight_))
            return std::nullopt;
        if (cue.follow == Cue::Day) { // the first such time after it began
            double due = *midnight_ + cue.after;
            while (due <= list.began)
                due += 86'400;
            while (due - 86'400 > list.began)
                due -= 86'400;
            return list.now + (due - now_) * list.rate;
        }
        double end = list.started;
        for (const auto& [lamp, way] : list.intensity)
            end = std::max(end, way.end);
        for (const auto& [lamp, way] : list.colour)
            end = std::max(end, way.end);
        return end;
    }
    void goTo(double t) {
        for (;;) {
            std::optional<std::size_t> which;
            double when = t;
            for (std::size_t l = 0; l < lists_.size(); ++l)
                if (const auto at = followsAt(l)) {
                    const double real = now_ + std::max(0.0, *at - lists_[l].now) / lists_[l].rate;
                    if (real < when || (real == when && !which)) {
                        when = real;
                        which = l;
                    }
                }
            if (!which)
                break;
            run(when);
            lists_[*which].now = std::max(lists_[*which].now, *followsAt(*which));
            if (nextOf(*which) == 0) { // a round
                List& list = lists_[*which];
                if (list.now - list.round < 0.02) {
                    list.follows = false;
                    continue;
                }
                list.round = list.now;
            }
            goOn(*which);
        }
        run(t);
    }
    void run(double t) {
        for (List& list : lists_) {
            if (!list.held)
                list.now += (t - now_) * list.rate;
            std::erase_if(list.intensity,
                          [&](const auto& w) { return !w.second.to && list.now >= w.second.end; });
            std::erase_if(list.colour,
                          [&](const auto& w) { return !w.second.to && list.now >= w.second.end; });
        }
        now_ = std::max(now_, t);
    }

    void start(std::size_t l, int number, bool whole, bool backwards) {
        List& list = lists_[l];
        list.follows = list.follows && number >= static_cast<int>(show_.lists[l].cues.size())
                           ? false
                           : list.follows;
        if (number >= static_cast<int>(show_.lists[l].cues.size()))
            return;
        const Cue& cue = show_.lists[l].cues[static_cast<std::size_t>(number)];
        Look look; // what it stands for, or says
        for (int c = whole ? 0 : number; c <= number; ++c)
            for (const auto& [lamp, says] : show_.lists[l].cues[static_cast<std::size_t>(c)].look) {
                if (says.intensity)
                    look[lamp].intensity = says.intensity;
                if (says.colour)
                    look[lamp].colour = says.colour;
            }
        list.cue = number;
        list.started = list.now;
        list.began = now_;
        list.follows = !backwards;
        const int event = ++events_;
        const double back = show_.lists[l].back;
        for (int lamp = 0; lamp < show_.lamps; ++lamp) {
            const Says says = look.contains(lamp) ? look[lamp] : Says{};
            const double shown = intensity(lamp, {});
            const double under = intensity(lamp, {l});
            const Colour now = colour(lamp, {});
            const bool lets_i = whole && !says.intensity && list.intensity.contains(lamp);
            const bool lets_c = whole && !says.colour && list.colour.contains(lamp);
            const double from =
                list.intensity.contains(lamp) ? unshared(l, lamp, list.intensity[lamp]) : shown;
            const bool goes = says.intensity || lets_i;
            const double to = says.intensity ? *says.intensity : lets_i ? under : from;
            const bool falls = goes && to < from;
            const double time = backwards ? back : falls ? cue.down : cue.up;
            const double delay = backwards ? 0 : falls ? cue.down_delay : cue.up_delay;
            double arrives = list.now;
            if (goes) {
                arrives = list.now + delay + time;
                list.intensity[lamp] = {from, says.intensity, list.now + delay, arrives, event};
            }
            if (!says.colour && !lets_c)
                continue;
            const bool own = says.colour && !backwards;
            const double begin = list.now + (own ? cue.colour_delay.value_or(delay) : delay);
            const int since = says.colour ? event : list.colour[lamp].since;
            Way<Colour> way{now, says.colour, begin,
                            begin + (own ? cue.colour.value_or(time) : time), since};
            const bool dark_first = cue.dark_first.value_or(show_.dark_first);
            if (dark_first && dark(shown))
                way.begin = way.end = list.now;
            else if (dark_first && goes && dark(to) && dark(under))
                way.begin = way.end = arrives;
            list.colour[lamp] = way;
        }
    }

    Show show_;
    std::vector<List> lists_;
    std::vector<Fader> faders_;
    double now_ = 0;
    std::optional<double> midnight_;
    int events_ = 0;
};

} // namespace zelo::play::slow
