// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_emitters.h"

#include "base/text.h"
#include "colour/lamp.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::files::gdtf {

using light::Emitter;

namespace {

constexpr double kModelledWidthNm = 20; // FWHM of an emitter known only by its wavelength
constexpr double kMostCandela = 1e9;
constexpr double kUntoldCandela = 1000; // of each, where nothing in the file says more

colour::Spectrum lineAt(double nm) {
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i) {
        const double d = (colour::kGridFirstNm + static_cast<double>(i) - nm) / kModelledWidthNm;
        grid[i] = std::exp(-4 * std::log(2.0) * d * d);
    }
    return colour::Spectrum(grid);
}

bool onGrid(double nm) {
    return nm >= colour::kGridFirstNm && nm <= colour::kGridLastNm;
}

// For an emitter without measurement: by its chromaticity, else by its dominant wavelength.
std::optional<colour::Spectrum> modelled(const pugi::xml_node& node) {
    const double nm = number(node, "DominantWaveLength", 0);
    if (const auto xyY = colourOf(node, "Color"))
        if (auto smooth = smoothOf(*xyY))
            return smooth;
    if (onGrid(nm))
        return lineAt(nm);
    return std::nullopt;
}

struct Measured {
    pugi::xml_node node;
    colour::Spectrum spectrum;
    bool modelled = false; // of one point alone
};

// The measurements with points that can be read; the others are told.
std::vector<Measured> spectraOf(const pugi::xml_node& node, const std::string& where,
                                Notes& notes) {
    std::vector<Measured> all;
    const auto leaveOut = [&](const Error& why) {
        notes.push_back(
            say(ZELO_TEXT("core", "{}: a measurement is not read: {}"), where, why.sentence()));
    };
    for (const auto& m : measurementsOf(node)) {
        if (!m.child("MeasurementPoint"))
            continue;
        const auto samples = readPoints(m);
        if (!samples) {
            leaveOut(samples.error());
            continue;
        }
        if (samples->values.size() == 1 && onGrid(samples->wavelengths_nm[0]) &&
            samples->values[0] > 0) { // a laser, or a lazy file
            notes.push_back(
                say(ZELO_TEXT("core", "{}: one point alone, taken as a line there"), where));
            all.push_back({m, lineAt(samples->wavelengths_nm[0]), true});
            continue;
        }
        auto spectrum = colour::lightFromSamples(*samples);
        if (!spectrum)
            leaveOut(spectrum.error());
        else if (spectrum->largest() > 0)
            all.push_back({m, std::move(*spectrum)});
    }
    return all;
}

// LuminousIntensity of a measurement, cd; 0 where it does not say, told where it is no number.
double intensityOf(const pugi::xml_node& measurement, const std::string& where, Notes& notes) {
    const auto said = measurement.attribute("LuminousIntensity");
    if (!said || !*said.value())
        return 0;
    const auto cd = toNumber(said.value());
    if (cd && *cd >= 0 && *cd <= kMostCandela)
        return sane(*cd);
    notes.push_back(say(ZELO_TEXT("core", "{}: LuminousIntensity '{}' is not taken: must be within "
                                          "0..1e9 cd"),
                        where, said.value()));
    return 0;
}

} // namespace

Result<ReadEmitter> readEmitter(const pugi::xml_node& node, Notes& notes) {
    ReadEmitter read;
    Emitter& emitter = read.emitter;
    emitter.name = node.attribute("Name").value();
    const std::string where = "Emitter '" + emitter.name + "'";
    if (emitter.name.empty())
        return bad("Emitter", say(ZELO_TEXT("core", "an emitter needs a Name")));
    const auto measured = spectraOf(node, where, notes);
    double cd = 0;
    if (!measured.empty()) {
        emitter.spectrum = measured.back().spectrum;
        emitter.modelled = measured.back().modelled;
        cd = intensityOf(measured.back().node, where, notes);
    } else if (const auto made = modelled(node)) {
        emitter.spectrum = *made;
        emitter.modelled = true;
        notes.push_back(say(ZELO_TEXT("core", "{}: no measurement, spectrum modelled"), where));
        for (const auto& m : measurementsOf(node)) // brightness may be measured without points
            if (const double own = intensityOf(m, where, notes); own > 0)
                cd = own;
    } else {
        return bad(
            where,
            say(ZELO_TEXT("core",
                          "no Measurement, and no Color or DominantWaveLength to model one from")));
    }
    const double y = emitter.xyz().Y;
    const auto xyY = colourOf(node, "Color");
    const double share = xyY ? std::clamp((*xyY)[2], 0.0, kMostCandela) : 0;
    double scale = 1;
    if (y > 0 && cd > 0)
        scale = cd / y;
    else if (y > 0 && share == 0 && !emitter.modelled)
        notes.push_back(
            say(ZELO_TEXT("core", "{}: no LuminousIntensity, its energies are taken as W/(sr nm)"),
                where));
    read.told.absolute = cd > 0 || y == 0 || (share == 0 && !emitter.modelled);
    read.told.share = share;
    emitter.spectrum = emitter.spectrum.scaled(scale);
    const double full = measured.empty() ? 0 : number(measured.back().node, "Physical", 100);
    for (std::size_t i = 0; i + 1 < measured.size(); ++i) {
        const double drive = full > 0 ? number(measured[i].node, "Physical", 0) / full : 0;
        const double own_cd = cd > 0 ? intensityOf(measured[i].node, where, notes) : 0;
        const double own_y = colour::toXyz(measured[i].spectrum).Y;
        if (!(drive > 0 && drive < 1) ||
            (!emitter.droop.empty() && drive <= emitter.droop.back().drive))
            continue;
        emitter.droop.push_back(
            {drive, measured[i].spectrum.scaled(own_cd > 0 && own_y > 0 ? own_cd / own_y : scale)});
    }
    return read;
}

std::optional<AdditiveLight> additiveLight(std::string_view attribute) {
    struct Known {
        const char* attribute;
        AdditiveLight light;
    };
    constexpr Known kKnown[] = {
        {"ColorAdd_R", {"Red", 627, 0}},          {"ColorAdd_G", {"Green", 525, 0}},
        {"ColorAdd_B", {"Blue", 465, 0}},         {"ColorAdd_C", {"Cyan", 497, 0}},
        {"ColorAdd_M", {"Magenta", -1, 0}},       {"ColorAdd_Y", {"Yellow", 578, 0}},
        {"ColorAdd_RY", {"Amber", 593, 0}},       {"ColorAdd_GY", {"Lime", 560, 0}},
        {"ColorAdd_GC", {"Sea green", 507, 0}},   {"ColorAdd_BC", {"Sky blue", 480, 0}},
        {"ColorAdd_BM", {"Indigo", 445, 0}},      {"ColorAdd_RM", {"Deep red", 660, 0}},
        {"ColorAdd_W", {"White", 0, 5600}},       {"ColorAdd_WW", {"Warm white", 0, 2900}},
        {"ColorAdd_CW", {"Cold white", 0, 6500}}, {"ColorAdd_UV", {"Ultraviolet", 395, 0}},
        {"ColorRGB_Red", {"Red", 627, 0}},        {"ColorRGB_Green", {"Green", 525, 0}},
        {"ColorRGB_Blue", {"Blue", 465, 0}},      {"ColorRGB_Cyan", {"Cyan", 497, 0}},
        {"ColorRGB_Magenta", {"Magenta", -1, 0}}, {"ColorRGB_Yellow", {"Yellow", 578, 0}}};
    for (const Known& k : kKnown)
        if (attribute == k.attribute)
            return k.light;
    return std::nullopt;
}

ReadEmitter modelledEmitter(const AdditiveLight& light) {
    ReadEmitter read;
    read.emitter.name = light.name;
    read.emitter.modelled = true;
    if (light.nm < 0) // no line has it: of two
        read.emitter.spectrum = lineAt(627).scaled(0.5) + lineAt(455).scaled(0.5);
    else if (light.nm > 0)
        read.emitter.spectrum = lineAt(light.nm);
    else {
        const auto white = colour::lampOf({light.cct_k});
        read.emitter.spectrum = white.scaled(lineAt(550).sum() / white.sum());
    }
    return read;
}

std::optional<double> beamCandela(const pugi::xml_node& beam) {
    const double lumens = number(beam, "LuminousFlux", 0);
    if (!(lumens > 0 && lumens < kMostCandela))
        return std::nullopt;
    const double angle = std::clamp(number(beam, "BeamAngle", 25), 1.0, 180.0);
    const double sr = 2 * std::numbers::pi * (1 - std::cos(angle * std::numbers::pi / 360));
    return lumens / sr;
}

void settleBrightness(const pugi::xml_node& beam, const std::vector<ToldBrightness>& told,
                      std::vector<Emitter>& emitters, Notes& notes) {
    constexpr double kPercent = 100;
    const auto output = beamCandela(beam);
    struct Sum {
        double y = 0;
        double shares = 0;
        int count = 0;
    } measured, shared, untold;
    for (std::size_t e = 0; e < emitters.size(); ++e) {
        Sum& sum = told[e].absolute ? measured : told[e].share > 0 ? shared : untold;
        sum.y += emitters[e].xyz().Y;
        sum.shares += told[e].share;
        ++sum.count;
    }
    // All that are untold together: what the beam has left, or as much each as the measured ones.
    const double left =
        output           ? std::max(*output - measured.y,
                                    *output * untold.count / static_cast<double>(emitters.size()))
        : measured.y > 0 ? untold.count * measured.y / measured.count
                         : untold.count * kUntoldCandela;
    for (std::size_t e = 0; e < emitters.size(); ++e) {
        const double y = emitters[e].xyz().Y;
        if (told[e].absolute || !(y > 0))
            continue;
        // Shares of more than all of the output are shares of one another.
        const double share = told[e].share;
        const double cd = !(share > 0) ? left * y / untold.y
                          : output     ? *output * share / std::max(kPercent, shared.shares)
                                       : share;
        emitters[e].spectrum = emitters[e].spectrum.scaled(cd / y);
        for (auto& d : emitters[e].droop)
            d.spectrum = d.spectrum.scaled(cd / y);
        const std::string where = "Emitter '" + emitters[e].name + "'";
        const Sentence from = share > 0 && !output ? say(ZELO_TEXT("core", "the Y of its Color"))
                              : output             ? say(ZELO_TEXT("core", "the Beam's output"))
                              : measured.y > 0     ? say(ZELO_TEXT("core", "the measured emitters"))
                                                   : say(ZELO_TEXT("core", "nothing in the file"));
        notes.push_back(say(ZELO_TEXT("core", "{}: no LuminousIntensity; {:.0f} cd taken, from {}"),
                            where, cd, from));
    }
}

std::optional<Emitter> lampOfBeam(const pugi::xml_node& beam) {
    const double k = number(beam, "ColorTemperature", 0);
    const auto cd = beamCandela(beam);
    if (!(k >= 1000 && k <= 25'000 && cd))
        return std::nullopt;
    const auto spectrum = std::string_view(beam.attribute("LampType").value()) == "Tungsten"
                              ? colour::blackbody({k})
                              : colour::lampOf({k});
    Emitter lamp;
    lamp.name = "Lamp";
    lamp.spectrum = spectrum.scaled(*cd / colour::toXyz(spectrum).Y);
    lamp.modelled = true;
    lamp.source = true;
    return lamp;
}

} // namespace zelo::files::gdtf
