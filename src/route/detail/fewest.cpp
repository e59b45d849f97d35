// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/detail/fewest.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <optional>

namespace zelo::route {

using colour::Uv;
using colour::Xyz;
using Levels = LevelLight::Levels;

namespace {

constexpr double kOut = 0.98;      // how far out in the tube nodes stand
constexpr std::size_t kWindow = 1; // ends of pieces that are followed: so far before the farthest
constexpr int kRing = 6;           // places about each point, as bright, brighter and darker
constexpr std::size_t kPlaces = 3 + 3 * kRing;

class Search {
public:
    Search(const LevelLight& lamp, const Tube& tube, const std::vector<Levels>& levels)
        : lamp_(lamp), tube_(tube), levels_(levels), places_(levels.size()) {}

    std::vector<TubeNode> nodes() {
        std::vector<std::vector<Step>> layers{{{0, 0, -1}}};
        const std::size_t last = tube_.last();
        while (layers.back().front().at < last) {
            auto next = beyond(layers.back());
            if (next.empty())
                return {};
            layers.push_back(std::move(next));
        }
        std::vector<TubeNode> nodes;
        int at = 0;
        for (std::size_t layer = layers.size(); layer-- > 0;) {
            const Step& step = layers[layer][static_cast<std::size_t>(at)];
            nodes.push_back({step.at, levels(step)});
            at = step.parent;
        }
        std::reverse(nodes.begin(), nodes.end());
        return nodes;
    }

private:
    struct Step {
        std::size_t at, place;
        int parent; // in the layer before
    };
    using Places = std::array<std::optional<Levels>, kPlaces>; // nothing: no such light can be made

    const Levels& levels(const Step& step) { return *placesOf(step.at)[step.place]; }

    // The point itself, then rings about it: as bright, brighter, darker. Made when asked for.
    Places& placesOf(std::size_t at) {
        if (places_[at])
            return *places_[at];
        places_[at].emplace();
        Places& all = *places_[at];
        const Tube::Point& p = tube_.points()[at];
        all[0] = levels_[at];
        if (!p.seen || at == 0 || at == tube_.last())
            return all;
        std::size_t i = 1;
        const auto add = [&](const Uv& off, double dy) {
            Levels levels = levels_[at];
            if (p.brightness_cd + dy > 0 &&
                lamp_.moved(levels, (p.brightness_cd + dy) * colour::toXyz(p.uv + off)))
                all[i] = levels;
            ++i;
        };
        const double dy = 0.95 * tube_.brightness_cd();
        for (const double brighter : {0.0, dy, -dy}) {
            if (brighter != 0)
                add({0, 0}, brighter);
            for (int k = 0; k < kRing; ++k) {
                const double angle = 2 * std::numbers::pi * k / kRing;
                const double r = kOut * tube_.colour_uv();
                add({r * std::cos(angle), r * std::sin(angle)}, brighter);
            }
        }
        return all;
    }

    bool fits(std::size_t k, std::size_t a, const Levels& from, std::size_t b,
              const Levels& to) const {
        const auto& points = tube_.points();
        const double share = (points[k].t - points[a].t) / (points[b].t - points[a].t);
        return tube_.holds(k, lamp_.between(from, to, share));
    }
    // Where the piece before broke the next one mostly breaks too.
    bool holds(std::size_t a, const Levels& from, std::size_t b, const Levels& to) {
        if (broke_ > a && broke_ < b && !fits(broke_, a, from, b, to))
            return false;
        for (std::size_t k = a + 1; k < b; ++k)
            if (k != broke_ && !fits(k, a, from, b, to)) {
                broke_ = k;
                return false;
            }
        return true;
    }

    // All ends of one more piece that are near the farthest; the first is one of the farthest.
    std::vector<Step> beyond(const std::vector<Step>& layer) {
        const std::size_t last = tube_.last();
        std::vector<std::array<int, kPlaces>> from(last + 1);
        for (auto& row : from)
            row.fill(-1);
        std::size_t farthest = 0;
        for (std::size_t s = 0; s < layer.size(); ++s) {
            const Step& step = layer[s];
            const Levels here = levels(step);
            for (std::size_t place = 0; place < kPlaces; ++place) {
                int broken = 0;
                const std::size_t first =
                    std::max(step.at + 1, farthest > kWindow ? farthest - kWindow : 0);
                for (std::size_t b = first; b <= last && broken < 3; ++b) {
                    if (b == last && place != 0)
                        break;
                    const auto& there = placesOf(b)[place];
                    if (from[b][place] >= 0 || !there)
                        continue;
                    if (b > step.at + 1 && !holds(step.at, here, b, *there)) {
                        ++broken;
                        continue;
                    }
                    from[b][place] = static_cast<int>(s);
                    farthest = std::max(farthest, b);
                    broken = 0;
                }
            }
        }
        std::vector<Step> next;
        for (std::size_t b = farthest + 1; b-- > 0 && b + kWindow >= farthest;)
            for (std::size_t place = 0; place < kPlaces; ++place)
                if (from[b][place] >= 0)
                    next.push_back({b, place, from[b][place]});
        return next;
    }

    const LevelLight& lamp_;
    const Tube& tube_;
    const std::vector<Levels>& levels_; // of the points
    std::vector<std::optional<Places>> places_;
    std::size_t broke_ = 0; // where a piece left the tube last
};

} // namespace

std::vector<TubeNode> fewestPieces(const LevelLight& lamp, const Tube& tube,
                                   const std::vector<Levels>& levels) {
    return Search(lamp, tube, levels).nodes();
}

} // namespace zelo::route
