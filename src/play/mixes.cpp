// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/mixes.h"

#include "colour/smoothest.h"
#include "light/levels.h"
#include "light/type_edit.h"
#include "play/laid.h"

#include <algorithm>

namespace zelo::play {

namespace {

// A dragged target passes through many colours: the cache is emptied before it grows without end.
constexpr std::size_t kMostCached = 20'000;
constexpr std::size_t kMostLaid = 64;

} // namespace

mix::MixWish wishFor(const light::FixtureType& type, const show::ColourWish& wish,
                     const colour::CamerasPtr& cameras) {
    mix::MixWish m;
    m.intent = wish.intent;
    m.give_up = wish.give_up;
    m.exact_for_camera = wish.exact_for_camera;
    if (wish.intent == mix::Intent::Filmed || wish.exact_for_camera)
        m.cameras = cameras;
    for (std::size_t e = 0; e < type.partCount(); ++e) {
        const std::string name = type.partName(e);
        const auto pin = std::find_if(wish.pins.begin(), wish.pins.end(),
                                      [&](const auto& p) { return p.first == name; });
        if (pin != wish.pins.end())
            m.pins.push_back({e, std::clamp(pin->second, 0.0, 1.0)});
        else if (std::find(wish.keep_out.begin(), wish.keep_out.end(), name) != wish.keep_out.end())
            m.keep_out.push_back(e);
    }
    return m;
}

Result<colour::Camera> cameraFrom(const show::FilmCamera& camera,
                                  const light::ColourSources& from) {
    const auto white = light::wantedOf(camera.balance, from);
    if (!white)
        return passOn(white.error(), camera.name);
    const auto spectrum = white->spectrum ? white->spectrum : colour::smoothestSpectrum(white->xyz);
    if (!spectrum)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: no light has the colour {} that it is balanced to"),
                    camera.name, light::toText(camera.balance));
    return colour::Camera::of(camera.name, camera.channels, *spectrum);
}

light::Drives homeDrives(const mix::Mixer& mixer, const show::Fixture& fixture) {
    light::Drives drives = mixer.type().ready(mixer.mode());
    for (const light::Channel& c : mixer.mode().channels)
        if (c.role == light::Role::Part)
            drives[c.part] = light::driveOf(c, c.home);
    for (const auto& [name, drive] : fixture.home)
        if (const auto part = mixer.type().partNamed(name))
            drives[*part] = drive;
    return drives;
}

namespace {

// Mixer and light by their places, which the cached mix keeps from being used again.
std::string keyOf(const mix::Mixer& mixer, const light::Wanted* light, const show::ColourWish& wish,
                  const colour::Uv& off, const colour::Uv& nudge,
                  const colour::CamerasPtr& cameras) {
    std::string key =
        fmt::format("{}\n{}\n{}", fmt::ptr(&mixer), mix::nameOf(wish.intent), wish.give_up);
    if (light)
        key += fmt::format("\n{}", fmt::ptr(light));
    else
        key += fmt::format("\n?{}\n{}\n{}", light::toText(wish.asked), wish.uv.u, wish.uv.v);
    if (wish.intent == mix::Intent::Filmed || wish.exact_for_camera)
        key += fmt::format("\n!{}{}", fmt::ptr(cameras.get()), wish.exact_for_camera);
    for (const auto& e : wish.keep_out)
        key += "\n-" + e;
    for (const auto& [e, drive] : wish.pins)
        key += fmt::format("\n={}:{}", e, drive);
    if (off.u != 0 || off.v != 0)
        key += fmt::format("\n~{}:{}", off.u, off.v);
    if (nudge.u != 0 || nudge.v != 0)
        key += fmt::format("\n+{}:{}", nudge.u, nudge.v);
    return key;
}

} // namespace

std::shared_ptr<const mix::Mixer> Mixes::mixer(const Sources& from, const std::string& type,
                                               const std::string& mode) {
    const auto t = from.type(type);
    const light::Mode* m = t ? t->mode(mode) : nullptr;
    if (!m)
        return nullptr;
    const std::pair key(type, mode);
    const auto known = [&]() -> std::shared_ptr<const mix::Mixer> {
        const auto it = mixers_.find(key);
        return it != mixers_.end() && &it->second->type() == t.get() ? it->second : nullptr;
    };
    {
        const std::lock_guard lock(mutex_);
        if (auto there = known())
            return there;
    }
    auto made = std::make_shared<const mix::Mixer>(t, *m);
    const std::lock_guard lock(mutex_);
    if (auto there = known()) // another one was quicker: all share one
        return there;
    mixers_[key] = made;
    return made;
}

std::shared_ptr<const mix::Mixer> Mixes::mixerOf(const Sources& from,
                                                 const show::Fixture& fixture) {
    auto general = mixer(from, fixture.type, fixture.mode);
    if (!general || !fixture.calibration || fixture.calibration->emitters.empty())
        return general;
    const auto key = std::pair(fixture.calibration.get(), general.get());
    {
        const std::lock_guard lock(mutex_);
        if (const auto known = own_.find(key); known != own_.end())
            return known->second.mixer;
    }
    const auto type = std::make_shared<const light::FixtureType>(
        light::calibrated(general->type(), fixture.calibration->emitters));
    auto made = std::make_shared<const mix::Mixer>(type, *type->mode(general->mode().name));
    const std::lock_guard lock(mutex_);
    if (own_.size() > kMostCached) // of calibrations that are long gone
        own_.clear();
    return own_.emplace(key, Own{fixture.calibration, std::move(general), std::move(made)})
        .first->second.mixer;
}

Result<std::shared_ptr<const light::Wanted>> Mixes::wanted(const Sources& from,
                                                           const light::Asked& asked) {
    {
        const std::lock_guard lock(mutex_);
        if (const auto known = wanted_.find(asked);
            known != wanted_.end() && known->second.version == from.version())
            return known->second.light;
    }
    auto read = light::wantedOf(asked, from);
    const std::lock_guard lock(mutex_);
    if (wanted_.size() > kMostCached)
        wanted_.clear();
    auto& known = wanted_[asked];
    if (!read)
        known = {from.version(), passOn(read.error())};
    else if (known.light && *known.light && **known.light == *read)
        known.version = from.version(); // the same light as before: mixes of it still hold
    else
        known = {from.version(), std::make_shared<const light::Wanted>(std::move(*read))};
    return known.light;
}

std::shared_ptr<const MixedColour> Mixes::mixed(const Sources& from,
                                                const std::shared_ptr<const mix::Mixer>& mixer,
                                                const show::ColourWish& wish, const colour::Uv& off,
                                                const colour::Uv& nudge) {
    const auto light = wanted(from, wish.asked);
    const std::string key =
        keyOf(*mixer, light ? light->get() : nullptr, wish, off, nudge, from.cameras());
    {
        const std::lock_guard lock(mutex_);
        if (const auto known = mixed_.find(key); known != mixed_.end())
            return known->second;
    }
    MixedColour made;
    made.mixer = mixer;
    if (light) {
        made.source = *light;
        made.wanted = **light;
    } else {
        const bool known = wish.uv.u >= 0 && wish.uv.v > 0.01;
        made.wanted = {wish.asked, colour::toXyz(known ? wish.uv : colour::Uv{0.2105, 0.4737}),
                       std::nullopt, std::nullopt, 1};
        made.trouble = known
                           ? say(ZELO_TEXT("core", "{}; shown by the colour kept with it"),
                                 light.error().sentence())
                           : say(ZELO_TEXT("core", "{}; shown as white"), light.error().sentence());
    }
    if ((nudge.u != 0 || nudge.v != 0) && colour::hasChromaticity(made.wanted.xyz)) {
        const auto at = made.wanted.uv() + nudge;
        made.wanted.xyz = colour::toXyz(colour::Uv{at.u, std::max(0.01, at.v)});
        made.wanted.spectrum.reset(); // another light than that of the gel
    }
    made.wish = wishFor(mixer->type(), wish, from.cameras());
    if ((off.u != 0 || off.v != 0) && colour::hasChromaticity(made.wanted.xyz)) {
        light::Wanted aimed = made.wanted;
        const auto at = made.wanted.uv() - off;
        if (at.v > 0.01)
            aimed.xyz = colour::toXyz(at);
        made.mix = mixer->solve(aimed, made.wish);
    } else {
        made.mix = mixer->solve(made.wanted, made.wish);
    }
    auto shared = std::make_shared<const MixedColour>(std::move(made));
    const std::lock_guard lock(mutex_);
    if (mixed_.size() > kMostCached)
        mixed_.clear();
    mixed_[key] = shared;
    return shared;
}

namespace {

// What a laying is worked out from, beside the light sources and the white.
std::vector<std::shared_ptr<const void>> partsOf(const show::Show& show,
                                                 const show::Laying& laying) {
    std::vector<std::shared_ptr<const void>> parts;
    const show::Gradient* g = show::gradientOf(show, laying);
    if (!laying.own)
        parts.push_back(show.palettes.item(laying.palette));
    if (g)
        for (const show::GradientStop& stop : g->stops)
            if (const auto palette = stop.colour.palette())
                parts.push_back(show.palettes.item(palette));
    for (const show::FixtureId id : laying.lamps)
        parts.push_back(show.fixtures.item(id));
    return parts;
}

} // namespace

std::shared_ptr<const LaidOut> Mixes::laid(const Sources& from, const show::Show& show,
                                           const show::LayingPtr& laying) {
    auto parts = partsOf(show, *laying);
    {
        const std::lock_guard lock(mutex_);
        const auto known = std::find_if(laid_.rbegin(), laid_.rend(), [&](const Laid& l) {
            return l.laying == laying && l.version == from.version() &&
                   l.white_cct_k == show.white_cct_k && l.parts == parts;
        });
        if (known != laid_.rend()) {
            std::rotate(laid_.rbegin(), known, std::next(known));
            return laid_.back().out;
        }
    }
    auto out = std::make_shared<const LaidOut>(layOut(show, *laying, from, *this));
    const std::lock_guard lock(mutex_);
    if (laid_.size() >= kMostLaid)
        laid_.erase(laid_.begin());
    laid_.push_back({laying, std::move(parts), show.white_cct_k, from.version(), out});
    return out;
}

} // namespace zelo::play
