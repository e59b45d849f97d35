// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/mix.h"

#include "colour/smoothest.h"
#include "colour/surfaces.h"
#include "light/levels.h"
#include "mix/detail/inner.h"
#include "mix/detail/problem.h"
#include "mix/detail/sampled.h"
#include "mix/hull.h"
#include "mix/miss.h"
#include "mix/nearest_making.h"
#include "mix/quadratic.h"

#include <algorithm>
#include <cmath>

namespace zelo::mix {

using colour::Uv;
using colour::Xyz;
using light::Drives;
using light::Wanted;

namespace {

// Colours this near the edge of the reach are on it: the edge has its own, well-conditioned solve.
constexpr double kOnEdge = 1e-9;
// A ridge that makes the optimum unique when emitters are alike; too small to be seen elsewhere.
constexpr double kRidge = 1e-10;

} // namespace

const char* nameOf(Intent intent) {
    switch (intent) {
    case Intent::Brightest:
        return "brightest";
    case Intent::Truest:
        return "truest";
    case Intent::Kindest:
        return "kindest";
    case Intent::Leanest:
        break;
    }
    return "leanest";
}

std::optional<Intent> intentNamed(std::string_view name) {
    for (const auto i : {Intent::Brightest, Intent::Truest, Intent::Kindest, Intent::Leanest})
        if (name == nameOf(i))
            return i;
    return std::nullopt;
}

MixWish inBoth(const MixWish& a, const MixWish& b) {
    MixWish both;
    if (a.intent == b.intent) {
        both.intent = a.intent;
        both.give_up = (a.give_up + b.give_up) / 2;
    }
    for (const std::size_t part : a.keep_out)
        if (std::find(b.keep_out.begin(), b.keep_out.end(), part) != b.keep_out.end())
            both.keep_out.push_back(part);
    for (const Pin& pin : a.pins)
        if (std::find(b.pins.begin(), b.pins.end(), pin) != b.pins.end())
            both.pins.push_back(pin);
    return both;
}

Done MixWish::check(std::size_t parts) const {
    if (!(give_up >= 0 && give_up <= 1))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "give-up {}: must be within 0..1"),
                    give_up);
    std::array<char, light::kMostParts> named{};
    const auto once = [&](std::size_t e) -> Done {
        if (e >= parts)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "emitter {}: the type has {}"),
                        e + 1, parts);
        if (named[e]++)
            return fail(
                ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "emitter {} is named twice among keep-outs and pins: once at most"),
                e + 1);
        return {};
    };
    for (const std::size_t e : keep_out)
        if (auto ok = once(e); !ok)
            return ok;
    for (const Pin& p : pins) {
        if (auto ok = once(p.part); !ok)
            return ok;
        if (!(p.drive >= 0 && p.drive <= 1))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "pin at {}: must be within 0..1"),
                        p.drive);
    }
    return {};
}

Mixer::Mixer(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode,
             bool rendering)
    : type_(std::move(type)), mode_(&mode), solid_({}) {
    const auto n = type_->emitters.size();
    std::vector<Uv> points;
    bool driven = false; // any emitter has a channel
    for (std::size_t e = 0; e < n; ++e) {
        xyz_.push_back(type_->emitters[e].xyz());
        const auto& values = type_->emitters[e].spectrum.values();
        spectra_.insert(spectra_.end(), values.begin(), values.end());
        driven |= mode_->channelOf(e).has_value();
        const bool shines = colour::hasChromaticity(xyz_[e]) && mode_->channelOf(e).has_value();
        usable_.push_back(shines);
        if (!shines)
            continue;
        points.push_back(colour::toUv(xyz_[e]));
        all_free_.push_back(e);
        free_xyz_.push_back(xyz_[e]);
    }
    const bool has_power = std::all_of(type_->emitters.begin(), type_->emitters.end(),
                                       [](const auto& e) { return e.power_w > 0; });
    for (const auto& e : type_->emitters) {
        power_w_.push_back(has_power ? e.power_w : e.spectrum.sum());
        auto& measured = droop_.emplace_back();
        if (!e.droop.empty()) {
            measured.emplace_back(0, Xyz{});
            for (const auto& d : e.droop)
                measured.emplace_back(d.drive, colour::toXyz(d.spectrum));
            measured.emplace_back(1, e.xyz());
        }
        if (!rendering)
            continue;
        auto& r = rendering_.emplace_back(1 + colour::kSamplesTm30);
        r[0] = colour::toXyz(e.spectrum, colour::Observer::Cie1964_10);
        colour::Surfaces::tm30().under(e.spectrum, std::span(r).subspan(1));
    }
    solid_ = GamutSolid(free_xyz_);
    hull_ = convexHull(std::move(points));
    power_w_.resize(type_->partCount(), 0);
    for (std::size_t i = n; i < type_->partCount(); ++i)
        usable_.push_back(mode_->channelOf(i).has_value());
    alone_ = std::none_of(type_->emitters.begin(), type_->emitters.end(),
                          [](const auto& e) { return e.source; }) &&
             std::none_of(mode_->channels.begin(), mode_->channels.end(), [n](const auto& c) {
                 return c.role == light::Role::Part && c.part >= n;
             });
    plain_ = alone_ && !type_->droops();
    if (!driven && !plain_) {
        sampled_ = std::make_unique<const Sampled>(type_, *mode_);
        hull_ = sampled_->reach();
    }
    gram_.resize(n * n);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j <= i; ++j)
            gram_[i * n + j] = gram_[j * n + i] =
                inner(&spectra_[i * colour::kGridSize], &spectra_[j * colour::kGridSize]);
}

Mixer::~Mixer() = default;
Mixer::Mixer(Mixer&&) noexcept = default;
Mixer& Mixer::operator=(Mixer&&) noexcept = default;

bool Mixer::slotsAlone() const {
    return sampled_ && sampled_->slotsAlone();
}

Xyz Mixer::xyzOf(const Drives& drives) const {
    if (sampled_)
        return sampled_->xyzOf(drives);
    if (!alone_)
        return light::xyzOf(*type_, drives);
    Xyz sum;
    if (!plain_) {
        for (std::size_t e = 0; e < xyz_.size(); ++e)
            if (drives[e] > 0)
                sum += emitterAt(e, drives[e]);
        return drives.dim * sum;
    }
    for (std::size_t e = 0; e < xyz_.size(); ++e)
        sum += drives[e] * xyz_[e];
    return sum;
}

Xyz Mixer::slopeAt(std::size_t emitter, double drive) const {
    const auto& points = droop_[emitter];
    if (points.empty())
        return xyz_[emitter];
    std::size_t i = 1;
    while (i + 1 < points.size() && points[i].first < drive)
        ++i;
    return 1 / (points[i].first - points[i - 1].first) * (points[i].second - points[i - 1].second);
}

Xyz Mixer::emitterAt(std::size_t emitter, double drive) const {
    const auto& points = droop_[emitter];
    if (points.empty())
        return drive * xyz_[emitter];
    std::size_t i = 1;
    while (i + 1 < points.size() && points[i].first < drive)
        ++i;
    const auto& [from, below] = points[i - 1];
    const auto& [to, above] = points[i];
    const double part = std::clamp((drive - from) / (to - from), 0.0, 1.0);
    return (1 - part) * below + part * above;
}

Xyz Mixer::partLight(std::size_t part) const {
    if (part < xyz_.size())
        return xyz_[part];
    Drives d = type_->ready(*mode_);
    const auto kind = type_->part(part).kind;
    if (kind == light::PartKind::Flag) // the lamp through it
        d[part] = 1;
    return xyzOf(d);
}

Drives Mixer::dimmed(const Drives& drives, double factor) const {
    const Drives less = type_->dimmed(drives, factor);
    if (sampled_ || !type_->droops() || factor >= 1 || factor <= 0)
        return less;
    MixWish lit; // what is dark stays dark: it may be kept out
    for (std::size_t e = 0; e < xyz_.size(); ++e)
        if (!(drives[e] > 0))
            lit.keep_out.push_back(e);
    if (const auto exact = nearestTo(less, factor * xyzOf(drives), lit))
        return *exact;
    Drives each = less; // the brightness is right, the colour as near as each emitter keeps its own
    for (std::size_t e = 0; e < xyz_.size(); ++e)
        each[e] = driveFor(e, factor * shareAt(e, drives[e]));
    return each;
}

// Of the free emitters alone, in their order.
std::optional<Drives> Mixer::nearestFree(const Problem& p, const Drives& target,
                                         const Xyz& exact) const {
    Drives wanted(p.free.size());
    for (std::size_t i = 0; i < p.free.size(); ++i)
        wanted[i] = target[p.free[i]];
    if (const auto near = nearestMaking(wanted, p.xyz, exact - p.base))
        return near;
    Quadratic q;
    q.n = p.free.size();
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = i == j ? 1 : 0;
        q.g[i] = -wanted[i];
    }
    q.equalities = 3;
    setColourRows(q, p, exact, exact.Y);
    return minimise(q);
}

// Light that does not add up (droop) is taken along its tangents at the drives it had last, until
// it holds: between measured drives it is straight, so that two rounds mostly do.
std::optional<Drives> Mixer::nearestTo(const Drives& target, const Xyz& exact,
                                       const MixWish& wish) const {
    constexpr int kDroopRounds = 12;
    constexpr double kHolds = 1e-9;
    constexpr double kSettled = 1e-6; // of the light: less is no light of this colour
    if (sampled_)
        return sampled_->nearestTo(target, exact, wish);
    Problem p = problemOf(wish);
    if (!(exact.Y > 0))
        return p.pinned;
    const bool droops = type_->droops();
    const Xyz pinned = p.base;
    std::optional<Drives> found;
    Drives at = target;
    for (int round = 0; round < (droops ? kDroopRounds : 1); ++round) {
        if (droops) {
            p.own_xyz.clear();
            p.base = pinned;
            for (const std::size_t e : p.free) {
                // Late rounds through nothing instead: tangents may go to and fro over a corner.
                const bool tangent = round < kDroopRounds / 2;
                const double d = std::clamp(at[e], 1e-3, 1.0);
                const Xyz slope = tangent ? slopeAt(e, d) : 1 / d * emitterAt(e, d);
                p.own_xyz.push_back(slope);
                if (tangent)
                    p.base += emitterAt(e, d) - d * slope;
            }
            p.xyz = p.own_xyz;
        }
        const auto free = nearestFree(p, target, exact);
        if (!free)
            break;
        found = p.whole(*free);
        at = *found;
        if (droops && norm(xyzOf(at) - exact) < kHolds * norm(exact))
            break;
    }
    if (found && droops && !(norm(xyzOf(*found) - exact) < kSettled * norm(exact)))
        return std::nullopt;
    return found;
}

double Mixer::powerOf(const Drives& drives) const {
    double watts = 0;
    for (std::size_t e = 0; e < drives.size(); ++e)
        watts += drives[e] * power_w_[e];
    return watts;
}

double Mixer::spectralMiss(const Drives& drives, const colour::Spectrum& wanted) const {
    return mix::spectralMiss(light::spectrumOf(*type_, drives), wanted);
}

Mix Mixer::finished(const Drives& drives, MixEnd end, const Wanted& wanted,
                    double brightest_cd) const {
    Mix mix{drives, end, xyzOf(drives), 0, brightest_cd};
    if (colour::hasChromaticity(mix.got))
        mix.miss_uv = colour::distance(colour::toUv(mix.got), wanted.uv());
    return mix;
}

Mixer::Problem Mixer::problemOf(const MixWish& wish) const {
    Problem p;
    p.pinned = plain_ ? type_->rest() : type_->ready(*mode_);
    p.free = all_free_;
    p.xyz = free_xyz_;
    p.hull = &hull_;
    for (std::size_t e = 0; !plain_ && e < xyz_.size(); ++e)
        p.has_pins |= p.pinned[e] > 0; // sources burn
    if (wish.keep_out.empty() && wish.pins.empty() && !p.has_pins)
        return p;
    p.whole_type = false;
    std::array<char, light::kMostParts> taken{};
    for (const std::size_t e : wish.keep_out)
        taken[e] = 1;
    for (const Pin& pin : wish.pins) {
        taken[pin.part] = 1;
        if (usable_[pin.part]) {
            p.pinned[pin.part] = pin.drive;
            p.has_pins |= pin.drive > 0 && pin.part < xyz_.size();
        }
    }
    p.base = xyzOf(p.pinned);
    std::vector<Uv> points;
    for (const std::size_t e : all_free_)
        if (!taken[e]) {
            p.own_free.push_back(e);
            p.own_xyz.push_back(xyz_[e]);
            points.push_back(colour::toUv(xyz_[e]));
        }
    p.own_hull = convexHull(std::move(points));
    p.free = p.own_free;
    p.xyz = p.own_xyz;
    return p;
}

Mix Mixer::solve(const Wanted& wanted, const MixWish& wish) const {
    ZELO_ASSERT(wish.check(type_->partCount()).has_value());
    if (sampled_)
        return sampled_->solve(wanted, wish);
    const auto filters = std::any_of(wish.pins.begin(), wish.pins.end(), [&](const Pin& pin) {
        return pin.part >= xyz_.size() && usable_[pin.part];
    });
    return filters           ? solveFiltered(wanted, wish)
           : type_->droops() ? solveDrooping(wanted, wish)
                             : solveAdditive(wanted, wish);
}

// The same type and mode with other emitters.
std::shared_ptr<const Mixer> Mixer::withEmitters(std::vector<light::Emitter> emitters,
                                                 Intent intent) const {
    auto type = std::make_shared<light::FixtureType>(*type_);
    type->emitters = std::move(emitters);
    const light::Mode& mode = type->modes[static_cast<std::size_t>(mode_ - type_->modes.data())];
    return std::shared_ptr<const Mixer>(
        new Mixer(std::move(type), mode, intent == Intent::Kindest));
}

// Flags and wheels that are pinned stand before all emitters alike.
Mix Mixer::solveFiltered(const Wanted& wanted, const MixWish& wish) const {
    MixWish of_emitters = wish;
    of_emitters.pins.clear();
    Drives state = type_->ready(*mode_);
    for (const Pin& pin : wish.pins)
        if (pin.part < xyz_.size())
            of_emitters.pins.push_back(pin);
        else
            state[pin.part] = pin.drive;
    auto emitters = type_->emitters;
    if (const auto through = light::filtersAt(*type_, state))
        for (auto& e : emitters) {
            e.spectrum = e.spectrum * *through;
            for (auto& d : e.droop)
                d.spectrum = d.spectrum * *through;
        }
    Mix mix = withEmitters(std::move(emitters), wish.intent)->solve(wanted, of_emitters);
    for (std::size_t i = xyz_.size(); i < state.size(); ++i)
        mix.drives[i] = state[i];
    return finished(mix.drives, mix.end, wanted, mix.brightest_cd);
}

double Mixer::shareAt(std::size_t e, double drive) const {
    return xyz_[e].Y > 0 ? emitterAt(e, drive).Y / xyz_[e].Y : drive;
}

double Mixer::driveFor(std::size_t e, double share) const {
    const auto& points = droop_[e];
    for (std::size_t i = 1; i < points.size() && xyz_[e].Y > 0; ++i) {
        const double below = points[i - 1].second.Y / xyz_[e].Y;
        const double above = points[i].second.Y / xyz_[e].Y;
        if (share <= above || i + 1 == points.size())
            return points[i - 1].first +
                   (above > below ? std::clamp((share - below) / (above - below), 0.0, 1.0) : 1) *
                       (points[i].first - points[i - 1].first);
    }
    return share;
}

namespace {
constexpr int kDroopRounds = 20;
constexpr double kDroopSettled = 1e-9; // in drives
constexpr double kLeastDrive = 1e-3;   // below it light has the shape it has here
} // namespace

// As solveDrooping, with the emitters' XYZ alone; nothing where the colour is out of reach.
std::optional<Mix> Mixer::brightestDrooping(const Wanted& wanted, const MixWish& wish) const {
    const Problem p = problemOf(wish);
    std::vector<Xyz> seen(p.free.size());
    Drives drives(type_->partCount(), 1);
    for (int round = 0; round < kDroopRounds; ++round) {
        for (std::size_t k = 0; k < seen.size(); ++k) {
            const double d = std::max(drives[p.free[k]], kLeastDrive);
            seen[k] = 1 / shareAt(p.free[k], d) * emitterAt(p.free[k], d);
        }
        const auto end = GamutSolid(seen, p.base).brightest(wanted.xyz);
        if (!end)
            return std::nullopt;
        Drives now = p.whole(end->drives);
        double moved = 0;
        for (std::size_t k = 0; k < seen.size(); ++k) {
            double& d = now[p.free[k]];
            d = driveFor(p.free[k], d);
            moved = std::max(moved, std::abs(d - drives[p.free[k]]));
        }
        drives = now;
        if (moved < kDroopSettled)
            break;
    }
    const Mix mix = finished(drives, MixEnd::InReach, wanted, 0);
    constexpr double kExact = 1e-7;
    if (mix.miss_uv > kExact)
        return std::nullopt;
    return finished(drives, MixEnd::InReach, wanted, mix.got.Y);
}

// The same type, each emitter with the light it has at this drive, made as bright as at full.
std::shared_ptr<const Mixer> Mixer::asIfAt(const Drives& drives, Intent intent) const {
    auto emitters = type_->emitters;
    for (std::size_t e = 0; e < emitters.size(); ++e) {
        const double d = std::max(drives[e], kLeastDrive);
        if (const double share = shareAt(e, d); share > 0)
            emitters[e].spectrum = emitters[e].lightAt(d).scaled(1 / share);
        emitters[e].droop.clear();
    }
    return withEmitters(std::move(emitters), intent);
}

// Droop: solved as if light added up, each emitter with the light it has at the drive it had last;
// then its drive is the one that gives its share of that light. The light changes slowly with the
// drive, so a few rounds settle it. A search would find its way anew in each round: Kindest is
// searched for once, on the settled problem of Truest, and its colour then made exact.
Mix Mixer::solveDrooping(const Wanted& wanted, const MixWish& wish) const {
    if (wish.intent == Intent::Brightest)
        if (auto mix = brightestDrooping(wanted, wish))
            return *mix;
    const auto n = xyz_.size();
    const bool searches = wish.intent == Intent::Kindest;
    MixWish linear = wish;
    for (std::size_t i = 0; i < wish.pins.size(); ++i)
        if (wish.pins[i].part < n)
            linear.pins[i].drive = std::min(1.0, shareAt(wish.pins[i].part, wish.pins[i].drive));
    if (searches)
        linear.intent = Intent::Truest;
    const auto real = [&](const Drives& shares) {
        Drives drives = shares;
        for (std::size_t e = 0; e < n; ++e)
            drives[e] = driveFor(e, shares[e]);
        for (const Pin& pin : wish.pins)
            drives[pin.part] = pin.drive;
        return drives;
    };
    Drives drives(type_->partCount(), 1);
    Mix mix;
    for (int round = 0; round < kDroopRounds; ++round) {
        mix = asIfAt(drives, linear.intent)->solve(wanted, linear);
        const Drives before = drives;
        drives = real(mix.drives);
        double moved = 0;
        for (std::size_t e = 0; e < n; ++e)
            moved = std::max(moved, std::abs(drives[e] - before[e]));
        if (moved < kDroopSettled)
            break;
    }
    if (searches && mix.end == MixEnd::InReach) {
        linear.intent = Intent::Kindest;
        const Drives found = real(asIfAt(drives, Intent::Kindest)->solve(wanted, linear).drives);
        const double as_bright = xyzOf(drives).Y;
        if (const auto exact = nearestTo(found, as_bright / wanted.xyz.Y * wanted.xyz, wish))
            drives = *exact;
    }
    return finished(drives, mix.end, wanted, mix.brightest_cd);
}

Mix Mixer::solveAdditive(const Wanted& wanted, const MixWish& wish) const {
    Problem p = problemOf(wish);
    if (!p.whole_type)
        p.hull = &p.own_hull;
    if (p.free.empty() && !p.has_pins)
        return finished(p.pinned, MixEnd::Dark, wanted, 0);
    if (!p.has_pins && nearestOnHull(*p.hull, wanted.uv()).distance > -kOnEdge)
        return nearestMix(p, wanted, wish);
    return solveInReach(p, wanted, wish);
}

Mix Mixer::solveInReach(const Problem& p, const Wanted& wanted, const MixWish& wish) const {
    const auto end = p.whole_type ? solid_.brightest(wanted.xyz)
                                  : GamutSolid(p.xyz, p.base).brightest(wanted.xyz);
    if (!end)
        return nearestMix(p, wanted, wish);
    const Drives brightest = p.whole(end->drives);
    const double most = xyzOf(brightest).Y;
    if (wish.intent == Intent::Brightest)
        return finished(brightest, MixEnd::InReach, wanted, most);
    const double least = (1 - wish.give_up) * most;
    // As many emitters as equations, or nothing to choose among: the brightest is all there is.
    const Drives only = p.has_pins ? brightest : brightest.scaled(1 - wish.give_up);
    // With pins the optimum may lie anywhere above the bound: it is looked for without it first.
    const auto bounded = [&](const auto& solve) -> std::optional<Drives> {
        if (p.has_pins)
            if (const auto anywhere = solve(false); anywhere && xyzOf(*anywhere).Y >= least)
                return anywhere;
        return solve(true);
    };
    const bool choice = p.free.size() > (p.has_pins ? 2u : 3u);
    const auto lean = [&] {
        return choice ? bounded([&](bool exactly) {
                            return leanest(p, wanted.xyz, least, exactly);
                        }).value_or(only)
                      : only;
    };
    if (wish.intent == Intent::Leanest)
        return finished(lean(), MixEnd::InReach, wanted, most);
    std::optional<colour::Spectrum> smoothest;
    if (!wanted.spectrum)
        smoothest = colour::smoothestSpectrum(wanted.xyz);
    const auto& spectrum = wanted.spectrum ? wanted.spectrum : smoothest;
    std::optional<Drives> true_mix;
    if (spectrum && choice)
        true_mix =
            bounded([&](bool exactly) { return truest(p, *spectrum, wanted.xyz, least, exactly); });
    const Drives best = true_mix.value_or(only);
    if (wish.intent == Intent::Truest)
        return finished(best, MixEnd::InReach, wanted, most);
    return finished(kindest(p, wanted, std::array{best, only, lean()}), MixEnd::InReach, wanted,
                    most);
}

// Least electrical power at the exact colour, and at Y = least_y when `exactly`: a linear program.
// It is solved as a quadratic one with a breath of curvature, small enough that the optimum is one
// of the linear program's (Mangasarian, SIAM J. Control Optim. 17, 1979), and the same each time.
std::optional<Drives> Mixer::leanest(const Problem& p, const Xyz& d, double least_y,
                                     bool exactly) const {
    constexpr double kCurve = 1e-6;
    Quadratic q;
    q.n = p.free.size();
    double most = 0;
    for (const std::size_t e : p.free)
        most = std::max(most, power_w_[e]);
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = i == j ? kCurve : 0;
        q.g[i] = most > 0 ? power_w_[p.free[i]] / most : 1;
    }
    q.equalities = exactly ? 3 : 2;
    setColourRows(q, p, d, least_y);
    const auto free = minimise(q);
    return free ? std::optional(p.whole(*free)) : std::nullopt;
}

// X − d_X Y = 0, Z − d_Z Y = 0 and, as the third, Y = least_y; scaled to drives of about 1.
void Mixer::setColourRows(Quadratic& q, const Problem& p, const Xyz& d, double least_y) const {
    double scale = 0;
    for (const Xyz& m : p.xyz)
        scale = std::max(scale, m.X + m.Y + m.Z);
    const auto across = [&](const Xyz& m, std::size_t row) {
        const double c = row == 0 ? m.X - d.X / d.Y * m.Y : row == 1 ? m.Z - d.Z / d.Y * m.Y : m.Y;
        return c / scale;
    };
    for (std::size_t row = 0; row < q.equalities; ++row) {
        for (std::size_t i = 0; i < q.n; ++i)
            q.row[row][i] = across(p.xyz[i], row);
        q.rhs[row] = (row == 2 ? least_y / scale : 0) - across(p.base, row);
    }
}

// Minimise ∫(Σ aᵢ (SPDᵢ − Yᵢ/Y_w SPD_w))² dλ: with s tied to the brightness the residual is linear
// in the drives. Subject to the exact colour d, and to Y = least_y when `exactly`.
std::optional<Drives> Mixer::truest(const Problem& p, const colour::Spectrum& wanted, const Xyz& d,
                                    double least_y, bool exactly) const {
    const auto n = xyz_.size();
    const double* w = wanted.values().data();
    const double ww = inner(w, w);
    std::array<double, light::kMostParts> y{}; // a wanted spectrum has the Y of its colour
    std::array<double, light::kMostParts> h{};
    for (std::size_t e = 0; e < n; ++e) {
        y[e] = xyz_[e].Y / d.Y;
        h[e] = inner(&spectra_[e * colour::kGridSize], w);
    }
    const auto residual = [&](std::size_t i, std::size_t j) {
        return gram_[i * n + j] - y[i] * h[j] - y[j] * h[i] + y[i] * y[j] * ww;
    };
    Quadratic q;
    q.n = p.free.size();
    double largest = 0;
    for (std::size_t i = 0; i < q.n; ++i)
        largest = std::max(largest, residual(p.free[i], p.free[i]));
    if (!(largest > 0))
        return std::nullopt;
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = residual(p.free[i], p.free[j]) / largest;
        q.G[i][i] += kRidge;
        for (std::size_t e = 0; e < n && p.has_pins; ++e)
            q.g[i] += p.pinned[e] * residual(p.free[i], e) / largest;
    }
    q.equalities = exactly ? 3 : 2;
    setColourRows(q, p, d, least_y);
    const auto free = minimise(q);
    return free ? std::optional(p.whole(*free)) : std::nullopt;
}

Mix Mixer::nearestMix(const Problem& p, const Wanted& wanted, const MixWish& wish) const {
    // Corners of the reach and the drives that make them. Without pins the emitters themselves.
    std::vector<Uv> points;
    std::vector<Drives> makers;
    const auto add = [&](const Drives& of_free) {
        const Drives all = p.whole(of_free);
        const Xyz xyz = xyzOf(all);
        if (colour::hasChromaticity(xyz)) {
            points.push_back(colour::toUv(xyz));
            makers.push_back(all);
        }
    };
    if (p.has_pins) {
        add(Drives(p.free.size()));
        if (p.free.size() <= 2) // too few for facets: every corner of a square or a line
            for (unsigned bits = 1; bits < 1u << p.free.size(); ++bits) {
                Drives corner(p.free.size());
                for (std::size_t k = 0; k < p.free.size(); ++k)
                    corner[k] = bits >> k & 1;
                add(corner);
            }
        else
            GamutSolid(p.xyz, p.base).forEachCorner(add);
    } else {
        for (std::size_t k = 0; k < p.free.size(); ++k) {
            Drives one(p.free.size());
            one[k] = 1;
            add(one);
        }
    }
    const auto hull = convexHull(points);
    HullPoint nearest = nearestOnHull(hull, wanted.uv());
    if (wish.nearest == Nearest::Hue && nearest.distance > kOnEdge)
        if (const auto enters = entersHull(hull, wanted.uv(), wish.white))
            nearest = nearestOnHull(hull, *enters);
    const bool reached = colour::distance(wanted.uv(), nearest.at) <= kOnEdge;
    const MixEnd end = reached ? MixEnd::InReach : MixEnd::OutOfReach;

    const Uv a = hull[nearest.edge];
    const Uv b = hull[(nearest.edge + 1) % hull.size()];
    const double length = colour::distance(a, b);
    const auto along = [&](const Uv& q) { // near this edge of the hull, or its one corner
        if (length == 0 || nearest.part <= 0 || nearest.part >= 1)
            return colour::distance(q, nearest.at) < 1e-9;
        return std::abs(colour::cross(b - a, q - a)) / length < 1e-9;
    };
    if (!p.has_pins) {
        std::vector<std::size_t> rim;
        std::vector<Xyz> rim_xyz;
        for (std::size_t k = 0; k < p.free.size(); ++k)
            if (along(points[k])) {
                rim.push_back(k);
                rim_xyz.push_back(p.xyz[k]);
            }
        Drives of_free(p.free.size());
        if (const auto edge = brightestInPlane(rim_xyz, colour::toXyz(nearest.at)))
            for (std::size_t k = 0; k < rim.size(); ++k)
                of_free[rim[k]] = edge->drives[k];
        const Drives brightest = p.whole(of_free);
        const double most = xyzOf(brightest).Y;
        const double keep = wish.intent == Intent::Brightest ? 1 : 1 - wish.give_up;
        return finished(brightest.scaled(keep), end, wanted, most);
    }
    // With pins: the point lies between two corners; mix their drives so that the chromaticity is
    // the one asked for. In the u'v' plane a light weighs as X + 15Y + 3Z.
    std::size_t first = 0;
    std::size_t second = 0;
    for (std::size_t k = 0; k < points.size(); ++k) {
        if (colour::distance(points[k], a) < colour::distance(points[first], a))
            first = k;
        if (colour::distance(points[k], b) < colour::distance(points[second], b))
            second = k;
    }
    const auto weight = [&](std::size_t k) {
        const Xyz c = xyzOf(makers[k]);
        return c.X + 15 * c.Y + 3 * c.Z;
    };
    const double wa = (1 - nearest.part) / weight(first);
    const double wb = nearest.part / weight(second);
    Drives drives = makers[first];
    for (std::size_t e = 0; e < drives.size(); ++e)
        drives[e] =
            std::clamp((wa * makers[first][e] + wb * makers[second][e]) / (wa + wb), 0.0, 1.0);
    for (std::size_t e = 0; e < drives.size(); ++e)
        if (std::find(p.free.begin(), p.free.end(), e) == p.free.end())
            drives[e] = p.pinned[e]; // to the last digit
    return finished(drives, end, wanted, xyzOf(drives).Y);
}

} // namespace zelo::mix
