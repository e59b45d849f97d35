// SPDX-License-Identifier: GPL-3.0-or-later
#include "practice/practice_rig.h"

#include "light/frame.h"

#include <algorithm>
#include <nlohmann/json.hpp>
#include <random>

namespace zelo::practice {

namespace {

constexpr double kPeakShiftNm = 3;
constexpr double kOutputShare = 0.08;
constexpr double kWornOutput = 0.6;
constexpr int kWornEvery = 29; // about one lamp of a middling rig

colour::Spectrum shifted(const colour::Spectrum& s, double nm, double factor) {
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i)
        grid[i] = factor * s.at(colour::kGridFirstNm + static_cast<double>(i) - nm);
    return colour::Spectrum(grid);
}

} // namespace

light::FixtureType deviated(const light::FixtureType& type, std::uint64_t seed, bool worn) {
    light::FixtureType real = type;
    if (seed == 0)
        return real;
    std::mt19937_64 random(seed);
    // Not std::uniform_real_distribution: its numbers may differ between libraries.
    const auto between = [&](double low, double high) {
        return low + (high - low) * static_cast<double>(random() >> 11) * 0x1p-53;
    };
    for (light::Emitter& e : real.emitters) {
        const double nm = between(-kPeakShiftNm, kPeakShiftNm);
        const double factor = (1 + between(-kOutputShare, kOutputShare)) * (worn ? kWornOutput : 1);
        e.spectrum = shifted(e.spectrum, nm, factor);
        for (auto& d : e.droop)
            d.spectrum = shifted(d.spectrum, nm, factor);
    }
    return real;
}

Done PracticeRig::add(int id, int number, const std::shared_ptr<const light::FixtureType>& type,
                      const std::string& mode, std::uint16_t universe, int address) {
    const light::Mode* m = type->mode(mode);
    if (!m)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "fixture {}: {} has no mode '{}'"),
                    number, type->name, mode);
    if (address < 1 || address + m->footprint - 1 > light::kSlots)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "fixture {}: address {} with {} slots runs past 512"), number,
                    address, m->footprint);
    const bool worn = lamps_.size() % kWornEvery == 3;
    auto real = exact_ ? type
                       : std::make_shared<const light::FixtureType>(deviated(
                             *type, seed_ * 1000003 + static_cast<std::uint64_t>(id), worn));
    lamps_.push_back({id, number, std::move(real), mode, universe, address});
    shown_.push_back(answer(lamps_.back(), light::ChannelValues(m->channels.size(), 0)));
    return {};
}

bool PracticeRig::move(std::size_t lamp, int address, const std::string& mode) {
    Lamp& l = lamps_[lamp];
    const light::Mode* m = l.type->mode(mode);
    if (!m || address < 1 || address + m->footprint - 1 > light::kSlots)
        return false;
    l.address = address;
    l.mode = mode;
    shown_[lamp] = answer(l, light::ChannelValues(m->channels.size(), 0));
    return true;
}

bool PracticeRig::setAddress(std::size_t lamp, int address) {
    return move(lamp, address, lamps_[lamp].mode);
}

bool PracticeRig::setMode(std::size_t lamp, const std::string& mode) {
    return move(lamp, lamps_[lamp].address, mode);
}

Shown PracticeRig::answer(const Lamp& lamp, light::ChannelValues values) const {
    const auto drives = light::drivesOf(*lamp.type, *lamp.type->mode(lamp.mode), values);
    return {std::move(values), light::xyzOf(*lamp.type, drives)};
}

std::vector<std::size_t> PracticeRig::take(std::uint16_t universe,
                                           std::span<const std::uint8_t> levels) {
    std::array<std::uint8_t, light::kSlots> all{};
    std::copy_n(levels.begin(), std::min(levels.size(), all.size()), all.begin());
    std::vector<std::size_t> changed;
    for (std::size_t i = 0; i < lamps_.size(); ++i) {
        const Lamp& lamp = lamps_[i];
        if (lamp.universe != universe)
            continue;
        const auto own = std::span(all).subspan(static_cast<std::size_t>(lamp.address - 1));
        auto values = light::readSlots(*lamp.type->mode(lamp.mode), own);
        if (values == shown_[i].values)
            continue;
        shown_[i] = answer(lamp, std::move(values));
        changed.push_back(i);
    }
    return changed;
}

colour::Spectrum PracticeRig::spectrum(std::size_t lamp) const {
    const Lamp& l = lamps_[lamp];
    return light::spectrumOf(*l.type,
                             light::drivesOf(*l.type, *l.type->mode(l.mode), shown_[lamp].values));
}

std::string PracticeRig::jsonLine(std::size_t lamp) const {
    const Lamp& l = lamps_[lamp];
    const Shown& s = shown_[lamp];
    nlohmann::ordered_json j;
    j["id"] = l.id;
    j["number"] = l.number;
    j["universe"] = l.universe;
    j["address"] = l.address;
    j["values"] = s.values;
    j["xyz"] = {s.xyz.X, s.xyz.Y, s.xyz.Z};
    if (s.xyz.Y > 0) {
        const auto uv = colour::toUv(s.xyz);
        j["uv"] = {uv.u, uv.v};
    } else {
        j["uv"] = nullptr;
    }
    return j.dump();
}

} // namespace zelo::practice
