// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/mixes.h"

#include "light/type_edit.h"

#include <algorithm>

namespace zelo::play {

namespace {

// A dragged target passes through many colours: the cache is emptied before it grows without end.
constexpr std::size_t kMostCached = 20'000;

mix::MixWish wishFor(const light::FixtureType& type, const show::ColourWish& wish) {
    mix::MixWish m;
    m.intent = wish.intent;
    m.give_up = wish.give_up;
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

std::string keyOf(const mix::Mixer& mixer, const show::ColourWish& wish) {
    std::string key = fmt::format("{}\n{}\n{}\n{}", fmt::ptr(&mixer), wish.asked,
                                  mix::nameOf(wish.intent), wish.give_up);
    for (const auto& e : wish.keep_out)
        key += "\n-" + e;
    for (const auto& [e, drive] : wish.pins)
        key += fmt::format("\n={}:{}", e, drive);
    return key;
}

} // namespace

std::shared_ptr<const mix::Mixer> Mixes::mixer(const std::string& type, const std::string& mode) {
    const std::lock_guard lock(mutex_);
    auto& known = mixers_[{type, mode}];
    const auto t = types_.type(type);
    if (known && &known->type() == t.get())
        return known;
    const light::Mode* m = t ? t->mode(mode) : nullptr;
    known = m ? std::make_shared<const mix::Mixer>(t, *m) : nullptr;
    return known;
}

std::shared_ptr<const mix::Mixer> Mixes::mixerOf(const show::Fixture& fixture) {
    auto general = mixer(fixture.type, fixture.mode);
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

Result<light::Wanted> Mixes::wanted(const std::string& asked) {
    {
        const std::lock_guard lock(mutex_);
        if (const auto known = wanted_.find(asked); known != wanted_.end())
            return known->second;
    }
    auto read = light::parseColour(asked, colours_);
    const std::lock_guard lock(mutex_);
    if (wanted_.size() > kMostCached)
        wanted_.clear();
    wanted_.insert_or_assign(asked, read);
    return read;
}

std::shared_ptr<const MixedColour> Mixes::mixed(const std::shared_ptr<const mix::Mixer>& mixer,
                                                const show::ColourWish& wish,
                                                const colour::Uv& off) {
    std::string key = keyOf(*mixer, wish);
    const bool shifted = off.u != 0 || off.v != 0;
    if (shifted)
        key += fmt::format("\n~{}:{}", off.u, off.v);
    {
        const std::lock_guard lock(mutex_);
        if (const auto known = mixed_.find(key); known != mixed_.end())
            return known->second;
    }
    MixedColour made;
    made.mixer = mixer;
    if (auto read = wanted(wish.asked)) {
        made.wanted = *read;
    } else {
        made.trouble = read.error().text();
        const bool known = wish.uv.v > 0;
        made.wanted = {wish.asked, colour::toXyz(known ? wish.uv : colour::Uv{0.2105, 0.4737}),
                       std::nullopt, std::nullopt, 1};
        made.trouble += known ? "; shown by the colour kept with it" : "; shown as white";
    }
    made.wish = wishFor(mixer->type(), wish);
    if (shifted && colour::hasChromaticity(made.wanted.xyz)) {
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

void Mixes::forgetColours() {
    const std::lock_guard lock(mutex_);
    wanted_.clear();
    mixed_.clear();
}

} // namespace zelo::play
