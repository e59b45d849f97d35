// SPDX-License-Identifier: GPL-3.0-or-later
// Steps for a console: nodes of a fade such that straight lines in channel values between them stay
// near it.
#include "route/detail/fewest.h"
#include "route/fade.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Xyz;
using light::Drives;

namespace {

constexpr double kVisible = 0.02; // of the brightest point: below it colour is not seen
constexpr double kBrightness = 0.05;

double brightestOf(const Fade& fade) {
    double brightest = 0;
    for (const FadePoint& p : fade.points)
        brightest = std::max(brightest, p.brightness_cd);
    return brightest;
}

Tube tubeOf(const Fade& fade, double tolerance_uv, double brightness) {
    const double brightest = brightestOf(fade);
    std::vector<Tube::Point> points;
    for (const FadePoint& p : fade.points)
        points.push_back({p.t, p.uv, p.brightness_cd, p.brightness_cd > kVisible * brightest});
    return {std::move(points), tolerance_uv, brightness * brightest};
}

// Channel values, not whole yet; of a part without a channel its drive stands behind them.
using Values = std::vector<double>;

struct Node {
    std::size_t at = 0; // point of the fade
    Values values;
};

class Along {
public:
    Along(const mix::Mixer& mixer, const Fade& fade, double tolerance_uv)
        : mixer_(mixer), tube_(tubeOf(fade, tolerance_uv, kBrightness)) {
        for (const FadePoint& p : fade.points)
            way_.push_back(valuesOf(p.drives));
    }
    std::size_t size() const { return way_.size(); }
    const Values& way(std::size_t at) const { return way_[at]; }
    double time(std::size_t at) const { return tube_.points()[at].t; }

    Values valuesOf(const Drives& drives) const {
        Values values(mixer_.mode().channels.size() + drives.size());
        for (std::size_t i = 0; i < mixer_.mode().channels.size(); ++i) {
            const light::Channel& c = mixer_.mode().channels[i];
            if (c.role != light::Role::Part)
                continue;
            values[i] = c.ranges.empty()
                            ? c.first + c.response.level(drives[c.part]) * (c.end() - c.first)
                            : light::channelValue(c, drives[c.part]);
        }
        std::copy(drives.begin(), drives.end(),
                  values.begin() + static_cast<std::ptrdiff_t>(mixer_.mode().channels.size()));
        return values;
    }
    Drives drivesOf(const Values& values) const {
        const auto& channels = mixer_.mode().channels;
        Drives drives(values.size() - channels.size());
        std::copy_n(values.begin() + static_cast<std::ptrdiff_t>(channels.size()), drives.size(),
                    drives.begin());
        for (std::size_t i = 0; i < channels.size(); ++i)
            if (channels[i].role == light::Role::Part)
                drives[channels[i].part] = light::driveOf(channels[i], values[i]);
        return drives;
    }
    // As whole values, rounded together.
    Values rounded(const Values& values, mix::Sent& sent) const {
        sent = mix::rounded(mixer_, drivesOf(values), 1);
        Values whole = values;
        for (std::size_t i = 0; i < mixer_.mode().channels.size(); ++i)
            if (mixer_.mode().channels[i].role == light::Role::Part)
                whole[i] = sent.values[i];
        return whole;
    }

    // Of the straight line from node to node, at point `at` of the way.
    Xyz lightAt(std::size_t at, const Node& a, const Node& b) const {
        const double t = b.at > a.at ? (time(at) - time(a.at)) / (time(b.at) - time(a.at)) : 0;
        Values between = a.values;
        for (std::size_t i = 0; i < between.size(); ++i)
            between[i] += t * (b.values[i] - between[i]);
        return mixer_.xyzOf(drivesOf(between));
    }
    // Within the tolerance on all points between; the middle is looked at first.
    bool holds(const Node& a, const Node& b) const {
        const auto fine = [&](std::size_t k) { return tube_.holds(k, lightAt(k, a, b)); };
        const std::size_t middle = (a.at + b.at) / 2;
        if (!fine(middle))
            return false;
        for (std::size_t k = a.at; k <= b.at; ++k)
            if (k != middle && !fine(k))
                return false;
        return true;
    }
    Tube::Off worst(const Node& a, const Node& b) const {
        Tube::Off all;
        for (std::size_t k = a.at; k <= b.at; ++k) {
            const Tube::Off off = tube_.off(k, lightAt(k, a, b));
            all.uv = std::max(all.uv, off.uv);
            all.brightness_cd = std::max(all.brightness_cd, off.brightness_cd);
        }
        return all;
    }

private:
    const mix::Mixer& mixer_;
    Tube tube_;
    std::vector<Values> way_;
};

// Each reaches as far as it can: doubling until it breaks, then halving between. Where two
// neighbouring points alone break the tolerance, both are nodes.
template <class NodeAt>
std::vector<Node> greedy(const Along& tube, NodeAt nodeAt) {
    std::vector<Node> nodes{nodeAt(0)};
    while (nodes.back().at + 1 < tube.size()) {
        const Node& here = nodes.back();
        std::size_t far = here.at + 1;
        std::size_t broken = tube.size();
        for (std::size_t jump = 2; here.at + jump / 2 < tube.size() - 1; jump *= 2) {
            const std::size_t b = std::min(here.at + jump, tube.size() - 1);
            if (!tube.holds(here, nodeAt(b))) {
                broken = b;
                break;
            }
            far = b;
        }
        while (broken - far > 1 && broken < tube.size()) {
            const std::size_t b = (far + broken) / 2;
            (tube.holds(here, nodeAt(b)) ? far : broken) = b;
        }
        nodes.push_back(nodeAt(far));
    }
    return nodes;
}

// With nodes that may leave the way within the tolerance: their points and drives. Empty where
// none are found, or light does not add up.
std::vector<std::pair<std::size_t, Drives>>
freeNodes(const mix::Mixer& mixer, const LevelLight& lamp, const Fade& fade, double tolerance_uv) {
    const Tube tube = tubeOf(fade, tolerance_uv, 0.95 * kBrightness);
    std::vector<LevelLight::Levels> levels;
    for (const FadePoint& p : fade.points) {
        levels.push_back(lamp.levelsOf(p.drives));
        if (norm(lamp.at(levels.back()) - mixer.xyzOf(p.drives)) > 1e-3 * brightestOf(fade))
            return {};
    }
    std::vector<std::pair<std::size_t, Drives>> all;
    for (const TubeNode& node : fewestPieces(lamp, tube, levels))
        all.emplace_back(node.at, node.at == 0 || node.at + 1 == fade.points.size()
                                      ? fade.points[node.at].drives
                                      : lamp.drivesOf(node.levels));
    return all;
}

} // namespace

Steps stepsFor(const mix::Mixer& mixer, const Fade& fade, double tolerance_uv) {
    const double brightest = brightestOf(fade);
    Steps steps;
    if (!(brightest > 0)) {
        steps.steps = {{0, mix::rounded(mixer, fade.points.front().drives, 1)},
                       {1, mix::rounded(mixer, fade.points.back().drives, 1)}};
        return steps;
    }
    const Along along(mixer, fade, tolerance_uv);
    const auto nodeOf = [&](std::size_t at, const Drives& drives, FadeStep& step) {
        step.t = along.time(at);
        return Node{at, along.rounded(along.valuesOf(drives), step.sent)};
    };
    // Every node as it is sent, held against the way.
    const auto judge = [&](Steps& judged, const std::vector<Node>& nodes) {
        for (std::size_t j = 0; j + 1 < nodes.size(); ++j) {
            const Tube::Off off = along.worst(nodes[j], nodes[j + 1]);
            judged.worst_uv = std::max(judged.worst_uv, off.uv);
            judged.worst_brightness =
                std::max(judged.worst_brightness, off.brightness_cd / brightest);
        }
    };
    std::vector<std::optional<FadeStep>> known(along.size());
    std::vector<Values> sent(along.size());
    const auto nodes = greedy(along, [&](std::size_t at) {
        if (!known[at]) {
            known[at].emplace();
            sent[at] = nodeOf(at, fade.points[at].drives, *known[at]).values;
        }
        return Node{at, sent[at]};
    });
    for (const Node& node : nodes)
        steps.steps.push_back(*known[node.at]);
    judge(steps, nodes);
    if (nodes.size() <= 2 || !mixer.additive())
        return steps;
    // Rounding takes some of the tolerance: more of it where the first try does not hold.
    const LevelLight lamp(mixer);
    for (const double share : {0.97, 0.9}) {
        Steps fewer;
        std::vector<Node> free;
        for (const auto& [at, drives] : freeNodes(mixer, lamp, fade, share * tolerance_uv)) {
            fewer.steps.emplace_back();
            free.push_back(nodeOf(at, drives, fewer.steps.back()));
        }
        if (free.empty() || free.size() >= nodes.size())
            break;
        judge(fewer, free);
        if (fewer.worst_uv <= tolerance_uv && fewer.worst_brightness <= kBrightness)
            return fewer;
    }
    return steps;
}

Fade asConsole(const mix::Mixer& mixer, const Steps& steps, const colour::Uv& white, int samples) {
    Fade fade;
    std::size_t at = 0;
    for (int i = 0; i < samples; ++i) {
        const double t = static_cast<double>(i) / (samples - 1);
        while (at + 2 < steps.steps.size() && steps.steps[at + 1].t <= t)
            ++at;
        const FadeStep& a = steps.steps[at];
        const FadeStep& b = steps.steps[std::min(at + 1, steps.steps.size() - 1)];
        const double part = b.t > a.t ? std::clamp((t - a.t) / (b.t - a.t), 0.0, 1.0) : 1;
        const Drives drives = levelsBetween(mixer, a.sent.drives, b.sent.drives, part);
        const Xyz xyz = mixer.xyzOf(drives);
        fade.points.push_back(
            {t, colour::hasChromaticity(xyz) ? colour::toUv(xyz) : white, 0, xyz.Y, drives});
    }
    if (const auto disc = Disc::of(mixer.hull(), white))
        for (FadePoint& p : fade.points)
            p.saturation = disc->saturation(p.uv);
    return fade;
}

} // namespace zelo::route
