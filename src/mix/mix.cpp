// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/mix.h"

#include "colour/smoothest.h"
#include "light/levels.h"
#include "mix/camera_miss.h"
#include "mix/detail/non_additive.h"
#include "mix/detail/problem.h"
#include "mix/miss.h"

#include <algorithm>

namespace zelo::mix {

using light::Wanted;

namespace {

// Of each part: electrical power at full, of emitters radiant power where the data lacks any.
std::vector<double> powerOfParts(const light::FixtureType& type) {
    const bool told = std::all_of(type.emitters.begin(), type.emitters.end(),
                                  [](const auto& e) { return e.power_w > 0; });
    std::vector<double> all;
    for (const auto& e : type.emitters)
        all.push_back(told ? e.power_w : e.spectrum.sum());
    all.resize(type.partCount(), 0);
    return all;
}

std::vector<char> usableParts(const light::FixtureType& type, const light::Mode& mode) {
    std::vector<char> all;
    for (std::size_t i = 0; i < type.partCount(); ++i)
        all.push_back(
            mode.channelOf(i).has_value() &&
            (i >= type.emitters.size() || colour::hasChromaticity(type.emitters[i].xyz())));
    return all;
}

Droop droopOf(std::vector<light::Emitter> emitters, const std::vector<char>& usable,
              const std::vector<double>& power_w) {
    const auto n = static_cast<std::ptrdiff_t>(emitters.size());
    return Droop(std::move(emitters), {usable.begin(), usable.begin() + n},
                 {power_w.begin(), power_w.begin() + n});
}

} // namespace

Mixer::Mixer(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode)
    : type_(std::move(type)), mode_(&mode), usable_(usableParts(*type_, mode)),
      power_w_(powerOfParts(*type_)), droop_(droopOf(type_->emitters, usable_, power_w_)),
      linear_(droop_.atFull(true)), ready_(type_->ready(*mode_)) {
    const auto n = type_->emitters.size();
    bool driven = false; // any emitter has a channel
    for (std::size_t e = 0; e < n; ++e)
        driven |= mode_->channelOf(e).has_value();
    alone_ = std::none_of(type_->emitters.begin(), type_->emitters.end(),
                          [](const auto& e) { return e.source; }) &&
             std::none_of(mode_->channels.begin(), mode_->channels.end(), [n](const auto& c) {
                 return c.role == light::Role::Part && c.part >= n;
             });
    if (!driven && (!alone_ || droop_.any()))
        non_additive_ = std::make_unique<const NonAdditive>(type_, *mode_);
}

Mixer::~Mixer() = default;
Mixer::Mixer(Mixer&&) noexcept = default;
Mixer& Mixer::operator=(Mixer&&) noexcept = default;

const colour::Polygon& Mixer::hull() const {
    return non_additive_ ? non_additive_->reach() : linear_.hull();
}

bool Mixer::slotsAlone() const {
    return non_additive_ && non_additive_->slotsAlone();
}

Xyz Mixer::xyzOf(const Drives& drives) const {
    if (non_additive_)
        return non_additive_->xyzOf(drives);
    if (!alone_)
        return light::xyzOf(*type_, drives);
    return droop_.any() ? drives.dim * droop_.sum(drives) : linear_.xyzOf(drives);
}

Xyz Mixer::emitterAt(std::size_t emitter, double drive) const {
    return droop_.at(emitter, drive);
}

Xyz Mixer::partLight(std::size_t part) const {
    if (part < emitters().size())
        return emitters()[part];
    Drives d = ready_;
    if (type_->part(part).kind == light::PartKind::Flag) // the lamp through it
        d[part] = 1;
    return xyzOf(d);
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

Mixer::Held Mixer::heldBy(const MixWish& wish) const {
    const std::size_t n = emitters().size();
    Held held{linear_.free(), ready_};
    auto& bounds = held.bounds;
    const auto fix = [&](std::size_t part, double drive) {
        if (part >= n) {
            held.parts[part] = usable_[part] ? drive : held.parts[part];
            return;
        }
        bounds.any = true;
        bounds.fixed[part] = 1;
        bounds.held[part] = drive;
        bounds.shines |= drive > 0;
    };
    for (std::size_t e = 0; e < n; ++e)
        if (held.parts[e] > 0) // sources burn
            fix(e, held.parts[e]);
    for (const std::size_t part : wish.keep_out)
        if (part < n)
            fix(part, 0);
    for (const Pin& pin : wish.pins)
        if (pin.part >= n || usable_[pin.part])
            fix(pin.part, pin.drive);
    return held;
}

namespace {

// What is solved where a camera's colour is to be exact: all in its chart.
struct Aim {
    Wanted wanted;
    MixWish wish;
};
// Nothing where the eye's is, or the camera does not see the wanted light.
std::optional<Aim> aimOf(const Wanted& wanted, const MixWish& wish) {
    const colour::Camera* camera = wish.exactFor();
    const auto spectrum = !camera           ? std::nullopt
                          : wanted.spectrum ? wanted.spectrum
                                            : colour::smoothestSpectrum(wanted.xyz);
    if (!spectrum || !camera->chromaticityOf(*spectrum))
        return std::nullopt;
    Aim aim{{wanted.asked, camera->chart(*spectrum), spectrum, wanted.lamp, 1}, wish};
    aim.wish.white = colour::toUv(camera->chart(camera->white()));
    if (wish.intent == Intent::Kindest) // of what the eye sees: it would mean nothing here
        aim.wish.intent = Intent::Filmed;
    return aim;
}

// Light that droops settles where it was last held to add up, which may be a hair worse for the
// cameras than where Truest settles: then that is taken.
Mix orTruest(const Mix& filmed, const Mixer& mixer, const Wanted& wanted, const MixWish& wish) {
    if (!wanted.spectrum || wish.cameraCount() == 0)
        return filmed;
    MixWish plain = wish;
    plain.intent = Intent::Truest;
    const Mix truest = mixer.solve(wanted, plain);
    const auto missOf = [&](const Mix& mix) {
        return largestCameraMiss(*wanted.spectrum, light::spectrumOf(mixer.type(), mix.drives),
                                 *wish.cameras)
            .value_or(0);
    };
    return missOf(truest) < missOf(filmed) ? truest : filmed;
}

} // namespace

// Flags and wheels that stand in the beam stand before all emitters alike.
Mix Mixer::solve(const Wanted& wanted, const MixWish& wish) const {
    ZELO_ASSERT(wish.check(type_->partCount()).has_value());
    if (non_additive_)
        return non_additive_->solve(wanted, wish);
    const auto aim = aimOf(wanted, wish);
    const Wanted& aimed = aim ? aim->wanted : wanted;
    const MixWish& how = aim ? aim->wish : wish;
    const colour::Camera* exact_for = aim ? how.exactFor() : nullptr;
    const Held held = heldBy(wish);
    const auto solved = [&](const Droop& droop, const LinearEngine& full) {
        return droop.any() ? droop.solve(full, aimed, how, held.bounds, exact_for)
                           : full.solve(aimed, how, held.bounds);
    };
    bool droops = droop_.any();
    const auto through = alone_ ? std::nullopt : light::filtersAt(*type_, held.parts);
    Mix mix;
    if (through) {
        auto emitters = type_->emitters;
        for (auto& e : emitters) {
            e.spectrum = e.spectrum * *through;
            for (auto& d : e.droop)
                d.spectrum = d.spectrum * *through;
        }
        const Droop droop = droopOf(std::move(emitters), usable_, power_w_);
        mix = solved(droop, droop.atFull(how.intent == Intent::Kindest, exact_for));
        droops = droop.any();
    } else {
        mix = exact_for ? solved(droop_, droop_.atFull(false, exact_for)) : solved(droop_, linear_);
    }
    Drives all = held.parts;
    std::copy(mix.drives.begin(), mix.drives.end(), all.begin());
    const Xyz got = xyzOf(all);
    const Mix made = mixOf(all, mix.end, got, wanted, brightestOf(mix, got));
    return droops && !aim && wish.intent == Intent::Filmed ? orTruest(made, *this, wanted, wish)
                                                           : made;
}

} // namespace zelo::mix
