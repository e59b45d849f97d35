// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/detail/non_additive.h"

#include "colour/polygon.h"
#include "colour/smoothest.h"
#include "colour/surfaces.h"
#include "light/levels.h"
#include "mix/detail/inner.h"
#include "mix/detail/problem.h"

#include <Eigen/QR>
#include <algorithm>
#include <cmath>
#include <nlopt.h>

namespace zelo::mix {

using light::PartKind;
using light::Wanted;

namespace {

constexpr std::size_t kTable = 3000; // samples of a mode, and of a wish with something held
constexpr std::size_t kSmallTable = 400;
constexpr double kExact = 1e-7;  // Δu'v': the colour is met
constexpr double kNudge = 1e-5;  // for slopes
constexpr double kHueWeight = 3; // OutOfReach::SameHue among slots: across the hue counts more
constexpr double kAlike = 1e-9;
constexpr double kAlike2 = 1e-14;  // of squared misses
constexpr double kMissScale = 1e4; // of squared u'v', to about 1

// Squared: compared thousands of times a solve.
double missOf(const Uv& uv, const Wanted& wanted, const MixWish& wish) {
    const Uv off = uv - wanted.uv();
    const Uv along = wanted.uv() - wish.white;
    const double length2 = colour::dot(along, along);
    if (wish.out_of_reach == OutOfReach::NearestUv || length2 < kAlike * kAlike)
        return colour::dot(off, off);
    const double in_way = colour::dot(off, along);
    const double across = kHueWeight * colour::cross(along, off);
    return (in_way * in_way + across * across) / length2;
}

Xyz xyzFrom(const std::array<double, 3>& sums) {
    return {sums[0], sums[1], sums[2]};
}

} // namespace

NonAdditive::NonAdditive(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode)
    : type_(std::move(type)), mode_(&mode) {
    for (std::size_t i = 0; i < type_->partCount(); ++i) {
        if (!mode_->channelOf(i))
            continue;
        const PartKind kind = type_->part(i).kind;
        if (kind == PartKind::Wheel)
            wheels_.push_back(i);
        else if (kind != PartKind::EngineLevel && kind != PartKind::Emitter)
            axes_.push_back(i);
    }
    const Drives ready = type_->ready(*mode_);
    flags_only_ = !type_->droops();
    for (std::size_t e = 0; e < type_->engines.size(); ++e)
        flags_only_ &= ready[type_->indexOf({PartKind::EngineLevel, e})] == 0;
    for (const std::size_t a : axes_) // an engine may have axes and rest dark
        flags_only_ &= type_->part(a).kind == PartKind::Flag;
    const auto& cmf = colour::matchingFunctions(colour::Observer::Cie1931_2);
    for (std::size_t e = 0; e < type_->emitters.size(); ++e)
        for (std::size_t i = 0; ready[e] > 0 && i < colour::kGridSize; ++i) {
            const double s = colour::kMaximumEfficacy * type_->emitters[e].spectrum[i];
            lamp_[0][i] += s * cmf.x[i];
            lamp_[1][i] += s * cmf.y[i];
            lamp_[2][i] += s * cmf.z[i];
        }
    samples_ = samplesOf(freeOf({}), kTable);
    std::vector<Uv> points;
    for (const Sample& s : samples_)
        points.push_back(s.uv);
    points = colour::Polygon(std::move(points)).corners();
    if (!axes_.empty() && !points.empty()) // else nothing shines
        refineReach(points);
    for (const std::size_t a : axes_) // a gamut's corners lie between samples
        if (const auto p = type_->part(a);
            p.kind == PartKind::EngineFirst &&
            type_->engines[p.index].kind != light::EngineKind::CctTint)
            for (const Uv& corner : type_->engines[p.index].hull().corners())
                points.push_back(corner);
    reach_ = colour::Polygon(std::move(points));
}

bool NonAdditive::quick(const Drives& drives) const {
    if (!flags_only_)
        return false;
    for (std::size_t w = 0; w < type_->wheels.size(); ++w)
        if (type_->wheels[w].transmittance(drives[type_->indexOf({PartKind::Wheel, w})]))
            return false;
    return true;
}

// With flags alone before a lamp all is one exponential: Σ lamp · exp(−density) · x̄ and so on; its
// slope along a flag is that of −density under the same sum.
void NonAdditive::see(const Drives& drives, Seen& seen) const {
    seen.here = {};
    seen.dark = true;
    if (!quick(drives)) {
        seen.here = light::xyzOf(*type_, drives);
        return;
    }
    double level = 0; // sources are dimmed together
    for (std::size_t e = 0; e < type_->emitters.size() && level == 0; ++e)
        level = drives[e];
    if (level == 0)
        return;
    colour::Grid density{};
    for (std::size_t f = 0; f < type_->flags.size(); ++f)
        if (const double position = drives[type_->emitters.size() + f]; position > 0)
            type_->flags[f].addDensity(position, density);
    expOfMinus(density.data(), level, seen.through.data());
    seen.here = xyzFrom(inner3(seen.through.data(), lamp_));
    seen.dark = false;
}

void NonAdditive::seeSlopes(const Free& free, const Drives& drives, Seen& seen) const {
    for (std::size_t k = 0; k < free.axes.size(); ++k)
        seen.along[k] = {};
    if (!quick(drives)) {
        for (std::size_t k = 0; k < free.axes.size(); ++k) {
            Drives nudged = drives;
            double& a = nudged[free.axes[k]];
            const double h = a < 0.5 ? kNudge : -kNudge;
            a += h;
            seen.along[k] = (1 / h) * (light::xyzOf(*type_, nudged) - seen.here);
        }
        return;
    }
    for (std::size_t k = 0; k < free.axes.size() && !seen.dark; ++k) {
        const auto& flag = type_->flags[free.axes[k] - type_->emitters.size()];
        const auto slope = flag.slopeAt(drives[free.axes[k]]);
        const auto under = [&](const colour::Spectrum& density) {
            return xyzFrom(inner3(seen.through.data(), density.values().data(), lamp_));
        };
        if (!slope.above)
            continue;
        seen.along[k] = -slope.rate * under(*slope.above);
        if (slope.below)
            seen.along[k] += slope.rate * under(*slope.below);
    }
}

// u' = 4X / S and v' = 9Y / S with S the weight.
Uv NonAdditive::Seen::uvAlong(std::size_t axis) const {
    const Xyz& d = along[axis];
    const double s = colour::weightUv(here);
    const double ds = colour::weightUv(d);
    return {(4 * d.X - 4 * here.X / s * ds) / s, (9 * d.Y - 9 * here.Y / s * ds) / s};
}

Xyz NonAdditive::xyzOf(const Drives& drives) const {
    Seen seen;
    see(drives, seen);
    return seen.here;
}

NonAdditive::Free NonAdditive::freeOf(const MixWish& wish) const {
    Free free{type_->ready(*mode_), {}, {}};
    std::array<char, light::kMostParts> held{};
    for (const std::size_t part : wish.keep_out)
        held[part] = 1;
    for (const Pin& pin : wish.pins)
        if (mode_->channelOf(pin.part)) {
            held[pin.part] = 1;
            free.base[pin.part] = pin.drive;
        }
    for (const std::size_t a : axes_)
        if (!held[a])
            free.axes.push_back(a);
    // A wheel rests open while flags or an engine can make the colour.
    for (const std::size_t w : wheels_)
        if (!held[w] && axes_.empty())
            free.wheels.push_back(w);
    return free;
}

void NonAdditive::add(std::vector<Sample>& samples, const Drives& drives) const {
    const Xyz xyz = xyzOf(drives);
    if (colour::hasChromaticity(xyz))
        samples.push_back({drives, colour::toUv(xyz), xyz.Y});
}

// More axes than a table has room for: each alone and each two, at their ends and between, then
// settings spread evenly over all of them (multiples of roots of φᵏ⁺¹ = φ + 1; M. Roberts, 2018).
std::vector<NonAdditive::Sample> NonAdditive::spreadOver(const Free& free, std::size_t most) const {
    std::vector<Sample> samples;
    add(samples, free.base);
    for (const std::size_t a : free.axes) {
        for (const double at : {0.25, 0.5, 0.75, 1.0}) {
            Drives one = free.base;
            one[a] = at;
            add(samples, one);
        }
        for (const std::size_t b : free.axes) {
            Drives two = free.base;
            two[a] = 1;
            two[b] = a < b ? 1 : 0.5;
            if (a != b)
                add(samples, two);
        }
    }
    double root = 2; // Newton's method on φᵏ⁺¹ − φ − 1
    const double k = static_cast<double>(free.axes.size());
    for (int round = 0; round < 60; ++round)
        root -= (std::pow(root, k + 1) - root - 1) / ((k + 1) * std::pow(root, k) - 1);
    for (std::size_t i = 1; samples.size() < most && i <= most; ++i) {
        Drives all = free.base;
        double step = 1;
        for (const std::size_t a : free.axes) {
            step /= root;
            const double at = 0.5 + static_cast<double>(i) * step;
            all[a] = at - std::floor(at);
        }
        add(samples, all);
    }
    return samples;
}

// All combinations: evenly spaced settings of the axes, every slot of the wheels.
std::vector<NonAdditive::Sample> NonAdditive::samplesOf(const Free& free, std::size_t most) const {
    std::vector<std::pair<std::size_t, std::vector<double>>> choices;
    if (!free.axes.empty()) {
        const double each = std::floor(
            std::pow(static_cast<double>(most), 1.0 / static_cast<double>(free.axes.size())));
        if (each < 2)
            return spreadOver(free, most);
        const int steps = std::clamp(static_cast<int>(each), 2, 25);
        std::vector<double> settings;
        settings.reserve(static_cast<std::size_t>(steps));
        for (int i = 0; i < steps; ++i)
            settings.push_back(static_cast<double>(i) / (steps - 1));
        for (const std::size_t a : free.axes)
            choices.emplace_back(a, settings);
    }
    std::size_t combinations = 1;
    for (const std::size_t w : free.wheels) {
        const auto& wheel = type_->wheels[type_->part(w).index];
        const int parts = wheel.halves ? 2 : 1;
        std::vector<double> settings;
        for (std::size_t s = 0; s < wheel.places.size() * static_cast<std::size_t>(parts); ++s)
            settings.push_back(wheel.settingOf(static_cast<double>(s) / parts));
        combinations *= settings.size();
        if (combinations > most) // a third large wheel rests open
            break;
        choices.emplace_back(w, std::move(settings));
    }
    std::vector<Sample> samples;
    std::vector<std::size_t> at(choices.size(), 0);
    for (bool more = true; more;) {
        Drives drives = free.base;
        for (std::size_t i = 0; i < choices.size(); ++i)
            drives[choices[i].first] = choices[i].second[at[i]];
        add(samples, drives);
        more = false;
        for (std::size_t i = 0; i < choices.size() && !more; ++i) {
            more = ++at[i] < choices[i].second.size();
            if (!more)
                at[i] = 0;
        }
    }
    return samples;
}

// Each corner of the hull is pushed outwards by a compass search over the axes.
void NonAdditive::refineReach(std::vector<Uv>& points) const {
    const Uv middle = colour::Polygon(points).middle();
    const auto corners = points;
    for (const Uv& corner : corners) {
        const auto start =
            std::min_element(samples_.begin(), samples_.end(), [&](const auto& a, const auto& b) {
                return colour::distance(a.uv, corner) < colour::distance(b.uv, corner);
            });
        Drives best = start->drives;
        Uv uv = start->uv;
        for (double step = 0.06; step > 0.002; step /= 2)
            for (const std::size_t a : axes_)
                for (const double sign : {1.0, -1.0}) {
                    Drives tried = best;
                    tried[a] = std::clamp(tried[a] + sign * step, 0.0, 1.0);
                    const Xyz xyz = xyzOf(tried);
                    if (!colour::hasChromaticity(xyz))
                        continue;
                    const Uv there = colour::toUv(xyz);
                    if (colour::dot(there - uv, corner - middle) > 0) {
                        best = tried;
                        uv = there;
                    }
                }
        points.push_back(uv);
    }
}

// Newton's method with the smallest step that meets the colour, and the light where it is asked
// for; axes that would leave 0..1 stop at their end and the others carry on.
std::optional<Xyz> NonAdditive::settle(const Free& free, const Uv& uv, Drives& drives,
                                       double y) const {
    constexpr int kRounds = 40;
    constexpr double kMet = 1e-10;
    constexpr double kShareOfY = 0.1; // of a share of the light, beside u'v'
    using Columns = Eigen::Matrix<double, 3, Eigen::Dynamic, 0, 3, light::kMostParts>;
    using Step = Eigen::Matrix<double, Eigen::Dynamic, 1, 0, light::kMostParts, 1>;
    const auto k = static_cast<Eigen::Index>(free.axes.size());
    const auto offOf = [&](const Seen& at) {
        const Uv off = at.uv() - uv;
        return Eigen::Vector3d(off.u, off.v, y > 0 ? kShareOfY * (at.here.Y / y - 1) : 0);
    };
    Seen at, there;
    see(drives, at);
    for (int round = 0; at.lit() && round < kRounds; ++round) {
        const Eigen::Vector3d off = offOf(at);
        const double miss = off.norm();
        if (miss <= kMet)
            return at.here;
        seeSlopes(free, drives, at);
        Columns slopes(3, k);
        for (Eigen::Index i = 0; i < k; ++i) {
            const Uv along = at.uvAlong(static_cast<std::size_t>(i));
            slopes.col(i) << along.u, along.v,
                y > 0 ? kShareOfY * at.along[static_cast<std::size_t>(i)].Y / y : 0;
        }
        // The least-norm step: Jᵀ (J Jᵀ)⁻¹ (−off), over the axes that are not stopped.
        Step step = Step::Zero(k);
        for (Eigen::Index stopped = 0; stopped <= k; ++stopped) {
            const Eigen::Matrix3d square = slopes * slopes.transpose();
            const Eigen::Vector3d pull = square.completeOrthogonalDecomposition().solve(-off);
            step = slopes.transpose() * pull;
            bool all_inside = true;
            for (Eigen::Index i = 0; i < k; ++i) {
                const double a = drives[free.axes[static_cast<std::size_t>(i)]];
                if ((a <= 0 && step[i] < 0) || (a >= 1 && step[i] > 0)) {
                    slopes.col(i).setZero();
                    all_inside = false;
                }
            }
            if (all_inside)
                break;
        }
        bool better = false;
        for (double share = 1; share > 1e-3 && !better; share /= 2) {
            Drives tried = drives;
            for (Eigen::Index i = 0; i < k; ++i) {
                double& a = tried[free.axes[static_cast<std::size_t>(i)]];
                a = std::clamp(a + share * step[i], 0.0, 1.0);
            }
            see(tried, there);
            if (there.lit() && offOf(there).norm() < miss) {
                drives = tried;
                at = there;
                better = true;
            }
        }
        if (!better)
            break;
    }
    return at.lit() && offOf(at).norm() <= kExact ? std::optional(at.here) : std::nullopt;
}

Drives NonAdditive::optimised(const Free& free, const Cost& cost, const std::optional<Uv>& keep,
                              double least_y, const Drives& from) const {
    constexpr int kMostTries = 80;
    constexpr double kScale = 100; // of u'v' in the constraints, to the size of the cost
    const auto k = static_cast<unsigned>(free.axes.size());

    // NLopt asks for cost and constraints one after the other at the same point: one evaluation.
    struct Shared {
        const NonAdditive& self;
        const Free& free;
        const Cost& cost;
        Uv keep;
        double least_y;
        Drives drives;
        Seen seen;
        bool known = false;

        void moveTo(const double* x) {
            bool moved = !known;
            for (std::size_t i = 0; i < free.axes.size(); ++i) {
                moved |= drives[free.axes[i]] != x[i];
                drives[free.axes[i]] = x[i];
            }
            if (moved) {
                self.see(drives, seen);
                self.seeSlopes(free, drives, seen);
            }
            known = true;
        }
    } shared{*this, free, cost, keep.value_or(Uv{}), least_y, from, {}, false};
    const auto of_cost = [](unsigned, const double* x, double* slope, void* data) {
        auto& s = *static_cast<Shared*>(data);
        s.moveTo(x);
        return s.cost(s.drives, s.seen, slope);
    };
    const auto of_colour = [](unsigned, double* out, unsigned n, const double* x, double* slope,
                              void* data) {
        auto& s = *static_cast<Shared*>(data);
        s.moveTo(x);
        const Uv off = s.seen.lit() ? s.seen.uv() - s.keep : Uv{1, 1};
        out[0] = kScale * off.u;
        out[1] = kScale * off.v;
        for (unsigned i = 0; slope && i < n; ++i) {
            const Uv along = s.seen.lit() ? s.seen.uvAlong(i) : Uv{};
            slope[i] = kScale * along.u;
            slope[n + i] = kScale * along.v;
        }
    };
    const auto of_y = [](unsigned n, const double* x, double* slope, void* data) {
        auto& s = *static_cast<Shared*>(data);
        s.moveTo(x);
        for (unsigned i = 0; slope && i < n; ++i)
            slope[i] = -s.seen.along[i].Y / s.least_y;
        return 1 - s.seen.here.Y / s.least_y;
    };
    const auto deleter = [](nlopt_opt o) { nlopt_destroy(o); };
    const std::unique_ptr<nlopt_opt_s, decltype(deleter)> opt(nlopt_create(NLOPT_LD_SLSQP, k),
                                                              deleter);
    nlopt_set_lower_bounds1(opt.get(), 0);
    nlopt_set_upper_bounds1(opt.get(), 1);
    nlopt_set_min_objective(opt.get(), of_cost, &shared);
    constexpr double kTolerance[2] = {1e-7, 1e-7};
    if (keep)
        nlopt_add_equality_mconstraint(opt.get(), 2, of_colour, &shared, kTolerance);
    if (least_y > 0)
        nlopt_add_inequality_constraint(opt.get(), of_y, &shared, kTolerance[0]);
    nlopt_set_xtol_rel(opt.get(), 1e-6);
    nlopt_set_ftol_rel(opt.get(), 1e-8);
    nlopt_set_maxeval(opt.get(), kMostTries);
    std::vector<double> x;
    for (const std::size_t a : free.axes)
        x.push_back(from[a]);
    double reached = 0;
    nlopt_optimize(opt.get(), x.data(), &reached); // whatever it says, x is a setting to look at
    Drives drives = from;
    for (unsigned i = 0; i < k; ++i)
        drives[free.axes[i]] =
            std::isfinite(x[i]) ? std::clamp(x[i], 0.0, 1.0) : from[free.axes[i]];
    return drives;
}

Mix NonAdditive::finished(const Drives& drives, const Wanted& wanted, double most) const {
    Mix mix = mixOf(drives, MixEnd::Dark, xyzOf(drives), wanted, most);
    if (colour::hasChromaticity(mix.got))
        mix.end = mix.miss_uv <= kExact ? MixEnd::InReach : MixEnd::OutOfReach;
    return mix;
}

Mix NonAdditive::nearestSample(const std::vector<Sample>& samples, const Wanted& wanted,
                               const MixWish& wish) const {
    const Sample* best = nullptr;
    double least = HUGE_VAL;
    for (const Sample& s : samples) {
        const double miss = missOf(s.uv, wanted, wish);
        if (miss < least - kAlike2 || (best && miss < least + kAlike2 && s.y > best->y)) {
            least = std::min(miss, least);
            best = &s;
        }
    }
    return best ? finished(best->drives, wanted, best->y)
                : Mix{type_->rest(), MixEnd::Dark, {}, 0, 0};
}

// Out of reach: the nearest colour, in u'v' or along the way to the white.
Drives NonAdditive::nearestColour(const Free& free, const std::vector<const Sample*>& starts,
                                  const Wanted& wanted, const MixWish& wish) const {
    const auto missAt = [&](const Drives& d) {
        const Xyz xyz = xyzOf(d);
        return colour::hasChromaticity(xyz) ? missOf(colour::toUv(xyz), wanted, wish) : 1.0;
    };
    Drives best = starts.front()->drives;
    for (const Sample* start : starts) {
        const auto miss2 = [&](const Drives&, const Seen& at, double* slope) {
            const double miss = at.lit() ? missOf(at.uv(), wanted, wish) : 1;
            for (std::size_t i = 0; slope && i < free.axes.size(); ++i) {
                slope[i] = 0;
                if (at.lit()) {
                    const Uv there = at.uv() + kNudge * at.uvAlong(i);
                    const double then = missOf(there, wanted, wish);
                    slope[i] = kMissScale * (then - miss) / kNudge;
                }
            }
            return kMissScale * miss;
        };
        const Drives found = optimised(free, miss2, std::nullopt, 0, start->drives);
        if (missAt(found) < missAt(best))
            best = found;
    }
    return best;
}

// The null ways of a few flags are few: each axis is set to some places, the colour settled again
// by the others, and the kindest of all taken.
Drives NonAdditive::kindest(const Free& free, const Wanted& wanted, double least_y,
                            const Drives& truest, const Drives& brightest) const {
    constexpr int kPlaces = 6;
    const auto kindness = kindnessFor(wanted);
    if (!kindness)
        return truest;
    std::vector<Xyz> seen(colour::kSamplesTm30);
    const auto scoreOf = [&](const Drives& d) {
        const auto light = light::spectrumOf(*type_, d);
        colour::Surfaces::tm30().under(light, seen);
        const Xyz white = colour::toXyz(light, colour::Observer::Cie1964_10);
        return white.Y > 0 ? kindness->score(seen, white) : 0;
    };
    Drives best = truest;
    double most = scoreOf(best);
    const auto take = [&](const Drives& d) {
        if (xyzOf(d).Y < least_y * (1 - 1e-6))
            return;
        if (const double score = scoreOf(d); score > most) {
            most = score;
            best = d;
        }
    };
    take(brightest);
    for (std::size_t held = 0; held < free.axes.size() && free.axes.size() > 2; ++held) {
        Free others = free;
        others.axes.erase(others.axes.begin() + static_cast<std::ptrdiff_t>(held));
        for (int i = 0; i <= kPlaces; ++i) {
            Drives tried = truest;
            tried[free.axes[held]] = static_cast<double>(i) / kPlaces;
            if (settle(others, wanted.uv(), tried))
                take(tried);
        }
    }
    return best;
}

Mix NonAdditive::solve(const Wanted& wanted, const MixWish& wish) const {
    constexpr std::size_t kStarts = 3;
    const Free free = freeOf(wish);
    const bool whole = wish.keep_out.empty() && wish.pins.empty();
    const auto own = whole ? std::vector<Sample>{} : samplesOf(free, kSmallTable);
    const auto& samples = whole ? samples_ : own;
    if (samples.empty())
        return {type_->rest(), MixEnd::Dark, {}, 0, 0};
    if (free.axes.empty())
        return nearestSample(samples, wanted, wish);

    // The nearest samples, and the brightest of those about as near, are where to start.
    std::vector<std::pair<double, const Sample*>> by_miss;
    by_miss.reserve(samples.size());
    for (const Sample& s : samples)
        by_miss.emplace_back(missOf(s.uv, wanted, wish), &s);
    const auto count = std::min(by_miss.size(), 8 * kStarts);
    std::partial_sort(by_miss.begin(), by_miss.begin() + static_cast<std::ptrdiff_t>(count),
                      by_miss.end());
    std::vector<const Sample*> near;
    for (std::size_t i = 0; i < count; ++i)
        near.push_back(by_miss[i].second);
    std::sort(near.begin() + 1, near.end(),
              [](const Sample* a, const Sample* b) { return a->y > b->y; });
    near.resize(std::min(count, kStarts));

    std::optional<Drives> brightest;
    double most = 0;
    const auto take = [&](Drives d) {
        const auto got = settle(free, wanted.uv(), d);
        if (got && got->Y > most) {
            most = got->Y;
            brightest = d;
        }
    };
    for (const Sample* start : near)
        take(start->drives);
    for (const std::size_t a : free.axes) // an engine tells its own setting
        if (const auto p = type_->part(a); p.kind == PartKind::EngineFirst) {
            const auto set = type_->engines[p.index].settingFor(wanted.uv());
            Drives d = free.base;
            d[a] = set.first;
            if (const auto second = type_->indexOf({PartKind::EngineSecond, p.index});
                std::find(free.axes.begin(), free.axes.end(), second) != free.axes.end())
                d[second] = set.second;
            take(d);
        }
    if (!brightest) {
        const Drives best = nearestColour(free, near, wanted, wish);
        Drives exact = best;
        if (!settle(free, wanted.uv(), exact))
            return finished(best, wanted, xyzOf(best).Y);
        take(exact);
    }
    if (free.axes.size() > 2) {
        const Drives found = *brightest; // take() changes it
        const auto darkness = [&](const Drives&, const Seen& at, double* slope) {
            const double y = std::max(at.here.Y, 1e-9);
            for (std::size_t i = 0; slope && i < free.axes.size(); ++i)
                slope[i] = -at.along[i].Y / y;
            return -std::log(y);
        };
        for (const Drives& start : {found, near.back()->drives})
            take(optimised(free, darkness, wanted.uv(), 0, start));
    }
    if (wish.intent == Intent::Brightest || wish.intent == Intent::Leanest || free.axes.size() <= 2)
        return finished(*brightest, wanted, most);
    const auto spectrum = wanted.spectrum ? wanted.spectrum : colour::smoothestSpectrum(wanted.xyz);
    const double least = (1 - wish.give_up) * most;
    Drives truest = *brightest;
    // Least of `off` from `from` on, at the exact colour and no darker than allowed.
    const auto leastOf = [&](const auto& off, const Drives& from) {
        const auto cost = [&](const Drives& d, const Seen&, double* slope) {
            const double here = off(d);
            for (std::size_t i = 0; slope && i < free.axes.size(); ++i) {
                Drives nudged = d;
                const double h = d[free.axes[i]] < 0.5 ? kNudge : -kNudge;
                nudged[free.axes[i]] += h;
                slope[i] = (off(nudged) - here) / h;
            }
            return here;
        };
        Drives found = optimised(free, cost, wanted.uv(), least, from);
        const auto got = settle(free, wanted.uv(), found);
        return got && got->Y >= least * (1 - 1e-6) && off(found) < off(from) ? found : from;
    };
    if (spectrum) {
        const double yw = colour::toXyz(*spectrum).Y;
        truest = leastOf(
            [&](const Drives& d) {
                const auto light = light::spectrumOf(*type_, d);
                const double y = colour::toXyz(light).Y;
                double sum = 0;
                for (std::size_t i = 0; y > 0 && i < colour::kGridSize; ++i)
                    sum += std::pow(light[i] / y - (*spectrum)[i] / yw, 2);
                return y > 0 ? 1e6 * sum : HUGE_VAL;
            },
            *brightest);
    }
    if (wish.intent == Intent::Filmed && wish.cameraCount() > 0 && spectrum) {
        const auto miss2 = [&](const Drives& d) {
            const auto light = light::spectrumOf(*type_, d);
            double largest = 0;
            for (const colour::Camera& camera : *wish.cameras)
                largest = std::max(largest, camera.miss(light, *spectrum).value_or(0));
            return kMissScale * largest * largest;
        };
        return finished(leastOf(miss2, truest), wanted, most);
    }
    if (wish.intent != Intent::Kindest)
        return finished(truest, wanted, most);
    return finished(kindest(free, wanted, least, truest, *brightest), wanted, most);
}

std::optional<Drives> NonAdditive::closestDrives(const Drives& target, const Xyz& exact,
                                                 const MixWish& wish) const {
    Free free = freeOf(wish);
    Drives drives = target;
    for (const std::size_t part : wish.keep_out)
        drives[part] = free.base[part];
    for (const Pin& pin : wish.pins)
        drives[pin.part] = free.base[pin.part];
    free.base = drives;
    if (!(exact.Y > 0)) {
        for (std::size_t i = 0; i < drives.size(); ++i)
            if (type_->lamp(i))
                drives[i] = 0;
        return drives;
    }
    const Drives ready = type_->ready(*mode_);
    for (std::size_t i = 0; i < drives.size(); ++i)
        if (type_->lamp(i))
            drives[i] = ready[i];
    const Uv uv = colour::toUv(exact);
    if (free.axes.empty()) {
        const bool held = !wish.keep_out.empty() || !wish.pins.empty();
        const auto own = held ? samplesOf(free, kTable) : std::vector<Sample>();
        const auto& samples = held ? own : samples_;
        const auto nearest =
            std::min_element(samples.begin(), samples.end(), [&](const auto& a, const auto& b) {
                return colour::distance(a.uv, uv) < colour::distance(b.uv, uv);
            });
        if (nearest == samples.end())
            return std::nullopt;
        drives = nearest->drives;
        return type_->dimmed(drives, std::min(1.0, exact.Y / nearest->y));
    }
    auto got = settle(free, uv, drives);
    if (got && exact.Y > got->Y) // flags that let more through
        got = settle(free, uv, drives, exact.Y);
    if (!got)
        return std::nullopt;
    const double level = exact.Y / got->Y;
    if (level > 1 + 1e-4)
        return std::nullopt;
    return type_->dimmed(drives, std::min(1.0, level));
}

} // namespace zelo::mix
