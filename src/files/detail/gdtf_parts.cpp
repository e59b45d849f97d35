// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_parts.h"

#include "base/text.h"
#include "colour/lamp.h"
#include "colour/resample.h"
#include "colour/smoothest.h"

#include <algorithm>
#include <cmath>

namespace zelo::files::gdtf {

using light::Emitter;
using light::Flag;
using light::Response;

namespace {

constexpr double kSamePoint = 2e-4; // Δu'v': a gamut's corner is this emitter
constexpr double kOpen = 99.9;      // Y of a slot's Color from which it is open

} // namespace

std::optional<colour::Spectrum> smoothOf(const std::array<double, 3>& xyY) {
    if (!(xyY[1] > 0))
        return std::nullopt;
    return colour::smoothestSpectrum(colour::toXyz(colour::Xy{xyY[0], xyY[1]}));
}

Result<colour::Samples> readPoints(const pugi::xml_node& measurement) {
    colour::Samples samples;
    for (const auto& p : measurement.children("MeasurementPoint")) {
        const auto nm = toNumber(p.attribute("WaveLength").value());
        const auto energy = toNumber(p.attribute("Energy").value());
        if (!nm || !energy)
            return fail(
                ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "MeasurementPoint {}: WaveLength '{}' and Energy '{}' must be numbers"),
                samples.values.size() + 1, p.attribute("WaveLength").value(),
                p.attribute("Energy").value());
        samples.wavelengths_nm.push_back(*nm);
        samples.values.push_back(*energy);
        if (samples.values.size() > colour::kMostSamples)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "too many MeasurementPoints"));
    }
    auto& nm = samples.wavelengths_nm; // some write them from red to blue
    if (std::is_sorted(nm.rbegin(), nm.rend())) {
        std::reverse(nm.begin(), nm.end());
        std::reverse(samples.values.begin(), samples.values.end());
    }
    return samples;
}

std::vector<pugi::xml_node> measurementsOf(const pugi::xml_node& node) {
    std::vector<pugi::xml_node> all;
    for (const auto& m : node.children("Measurement"))
        all.push_back(m);
    std::stable_sort(all.begin(), all.end(), [](const auto& a, const auto& b) {
        return number(a, "Physical", 0) < number(b, "Physical", 0);
    });
    constexpr std::size_t kMostMeasurements = 64;
    if (all.size() > kMostMeasurements)
        all.erase(all.begin(), all.end() - kMostMeasurements);
    return all;
}

// Far from the edge of what numbers can hold nothing that is computed from it can leave that edge.
double sane(double value) {
    constexpr double kMost = 1e9;
    constexpr double kLeast = 1e-12;
    return std::abs(value) < kLeast ? 0 : std::clamp(value, -kMost, kMost);
}

double number(const pugi::xml_node& node, const char* attribute, double otherwise) {
    return sane(toNumber(node.attribute(attribute).value()).value_or(otherwise));
}

tl::unexpected<Error> bad(const std::string& where, Sentence what) {
    return passOn(Error{ErrorCode::BadValue, std::move(what), {}}, where);
}

std::optional<std::array<double, 3>> colourOf(const pugi::xml_node& node, const char* attribute) {
    const auto parts = split(node.attribute(attribute).value(), ',');
    if (parts.size() != 3)
        return std::nullopt;
    std::array<double, 3> xyY{};
    for (std::size_t i = 0; i < 3; ++i) {
        const auto n = toNumber(parts[i]);
        if (!n)
            return std::nullopt;
        xyY[i] = sane(*n);
    }
    return xyY;
}

Result<Flag> readFilter(const pugi::xml_node& node, Notes& notes) {
    Flag flag;
    flag.name = node.attribute("Name").value();
    const std::string where = "Filter '" + flag.name + "'";
    if (flag.name.empty())
        return bad("Filter", say(ZELO_TEXT("core", "a filter needs a Name")));
    for (const auto& m : measurementsOf(node)) {
        if (!m.child("MeasurementPoint"))
            continue;
        auto samples = readPoints(m);
        // 0..1, or percent when any value says so
        if (samples && std::any_of(samples->values.begin(), samples->values.end(),
                                   [](double v) { return v > 1.5; }))
            for (double& v : samples->values)
                v /= 100;
        auto through = samples ? colour::filterFromSamples(*samples) : passOn(samples.error());
        if (!through) {
            notes.push_back(say(ZELO_TEXT("core", "{}: a measurement is not read: {}"), where,
                                through.error().sentence()));
            continue;
        }
        const double position = std::clamp(number(m, "Physical", 100) / 100, 0.0, 1.0);
        if (!flag.points.empty() && position <= flag.points.back().position)
            flag.points.pop_back(); // the same position again: the later one counts
        flag.points.push_back({position, light::densityOf(*through)});
    }
    if (!flag.points.empty())
        return flag;
    const auto xyY = colourOf(node, "Color");
    const auto smooth = xyY ? smoothOf(*xyY) : std::nullopt;
    if (!smooth)
        return bad(where, say(ZELO_TEXT("core", "no Measurement, and no Color to model one from")));
    flag.modelled = true;
    flag.points = {{1, light::densityOf(smooth->scaled(1 / smooth->largest()))}};
    notes.push_back(say(ZELO_TEXT("core", "{}: no measurement, transmittance modelled"), where));
    return flag;
}

Result<light::Wheel> readWheel(const pugi::xml_node& node,
                               const std::map<std::string, Flag>& filters, Notes& notes) {
    light::Wheel wheel;
    wheel.name = node.attribute("Name").value();
    const std::string where = "Wheel '" + wheel.name + "'";
    if (wheel.name.empty())
        return bad("Wheel", say(ZELO_TEXT("core", "a wheel needs a Name")));
    for (const auto& s : node.children("Slot")) {
        light::Slot slot;
        slot.name = s.attribute("Name").value();
        if (slot.name.empty())
            slot.name = fmt::format("{}", wheel.places.size() + 1);
        if (const std::string name = s.attribute("Filter").value(); !name.empty()) {
            if (const auto filter = filters.find(name); filter != filters.end()) {
                slot.transmittance = filter->second.transmittance(1);
                slot.modelled = filter->second.modelled;
            } else {
                notes.push_back(say(ZELO_TEXT("core", "{}: slot '{}': Filter '{}' is not there"),
                                    where, slot.name, name));
            }
        }
        if (const auto xyY = colourOf(s, "Color");
            !slot.transmittance && xyY && (*xyY)[2] < kOpen) {
            if (const auto smooth = smoothOf(*xyY)) {
                slot.transmittance = smooth->scaled(1 / smooth->largest());
                slot.modelled = true;
                notes.push_back(say(ZELO_TEXT("core", "{}: slot '{}' is modelled from its colour"),
                                    where, slot.name));
            }
        }
        wheel.places.push_back(std::move(slot));
        if (wheel.places.size() > light::Wheel::kMostSlots)
            return bad(where,
                       say(ZELO_TEXT("core", "more than {} slots"), light::Wheel::kMostSlots));
    }
    if (wheel.places.empty())
        return bad(where, say(ZELO_TEXT("core", "no slots")));
    return wheel;
}

// CFC0 + CFC1 d + CFC2 d² + CFC3 d³ in percent, d = percent above the point → shares.
Result<Response> readProfile(const pugi::xml_node& node) {
    std::vector<Response::Piece> pieces;
    for (const auto& p : node.children("Point")) {
        Response::Piece piece;
        piece.from = number(p, "DMXPercentage", 0) / 100;
        piece.c[0] = number(p, "CFC0", 0) / 100;
        piece.c[1] = number(p, "CFC1", 0);
        piece.c[2] = number(p, "CFC2", 0) * 100;
        piece.c[3] = number(p, "CFC3", 0) * 100 * 100;
        pieces.push_back(piece);
        if (pieces.size() > 1000)
            break;
    }
    auto response = Response::ofPieces(std::move(pieces));
    if (!response)
        return passOn(response.error(),
                      say(ZELO_TEXT("core", "DMXProfile '{}'"), node.attribute("Name").value()));
    return response;
}

std::optional<Flag> modelledFlag(const std::string& attribute) {
    // A band that it holds back, with soft edges, or a slope for a correction; densities fully in.
    struct Shape {
        const char* attribute;
        const char* name;
        double from_nm, to_nm, density;
    };
    constexpr Shape kShapes[] = {{"ColorSub_C", "Cyan", 590, 800, 4},
                                 {"ColorSub_M", "Magenta", 495, 590, 4},
                                 {"ColorSub_Y", "Yellow", 300, 495, 4},
                                 {"CTO", "Warm correction", 300, 560, 1.6},
                                 {"CTB", "Cool correction", 560, 800, 1.6}};
    for (const Shape& s : kShapes) {
        if (attribute != s.attribute)
            continue;
        colour::Grid density;
        for (std::size_t i = 0; i < density.size(); ++i) {
            constexpr double kEdgeNm = 14;
            const double nm = colour::kGridFirstNm + static_cast<double>(i);
            density[i] = 0.05 + s.density / (1 + std::exp((s.from_nm - nm) / kEdgeNm)) /
                                    (1 + std::exp((nm - s.to_nm) / kEdgeNm));
        }
        Flag flag;
        flag.name = s.name;
        flag.modelled = true;
        flag.points = {{1, colour::Spectrum(density)}};
        return flag;
    }
    return std::nullopt;
}

void setGamut(const pugi::xml_node& physical, const std::string& gamut, const std::string& space,
              const std::vector<Emitter>& emitters, light::Engine& engine) {
    using Corner = std::array<double, 3>;
    const auto cornersOf = [](const char* text) {
        std::vector<Corner> corners; // "x,y,Y" apart by spaces, or by the brackets of an array
        std::string plain = text;
        for (char& c : plain)
            if (c == '{' || c == '}' || c == ';')
                c = ' ';
        for (const auto part : split(plain, ' ')) {
            const auto numbers = split(part, ',');
            Corner c{};
            bool sound = numbers.size() >= 2;
            for (std::size_t i = 0; sound && i < std::min<std::size_t>(3, numbers.size()); ++i) {
                const auto n = toNumber(numbers[i]);
                sound = n.has_value();
                if (n)
                    c[i] = *n;
            }
            if (sound && c[1] > 0 && corners.size() < 16)
                corners.push_back(c);
        }
        return corners;
    };
    std::vector<Corner> corners;
    Corner white{0.3127, 0.3290, 0};
    for (const auto& g : physical.child("Gamuts").children("Gamut"))
        if (gamut == g.attribute("Name").value())
            corners = cornersOf(g.attribute("Points").value());
    const auto takeSpace = [&](const pugi::xml_node& s) {
        if (const auto w = colourOf(s, "WhitePoint"); w && (*w)[1] > 0)
            white = *w;
        if (corners.size() >= 3)
            return;
        for (const char* name : {"Red", "Green", "Blue"})
            if (const auto c = colourOf(s, name); c && (*c)[1] > 0)
                corners.push_back(*c);
    };
    takeSpace(physical.child("ColorSpace"));
    for (const auto& s : physical.child("AdditionalColorSpaces").children("ColorSpace"))
        if (space == s.attribute("Name").value())
            takeSpace(s);
    if (corners.size() < 3)
        corners = {{0.64, 0.33, 0}, {0.30, 0.60, 0}, {0.15, 0.06, 0}}; // sRGB's
    // The emitter of that colour where there is one, else a light modelled from the colour.
    const auto lightOf = [&](const Corner& c) -> std::optional<colour::Spectrum> {
        const auto uv = colour::toUv(colour::toXyz(colour::Xy{c[0], c[1]}));
        for (const Emitter& e : emitters)
            if (colour::hasChromaticity(e.xyz()) &&
                colour::distance(colour::toUv(e.xyz()), uv) < kSamePoint)
                return c[2] > 0 ? e.spectrum.scaled(c[2] / e.xyz().Y) : e.spectrum;
        const auto smooth = smoothOf(c);
        engine.modelled = true;
        if (!smooth)
            return std::nullopt;
        return smooth->scaled((c[2] > 0 ? c[2] : 1000) / colour::toXyz(*smooth).Y);
    };
    for (const Corner& c : corners)
        if (auto s = lightOf(c))
            engine.corners.push_back(std::move(*s));
    const auto d65 = colour::lampOf({6504});
    engine.white = lightOf(white).value_or(d65);
}

} // namespace zelo::files::gdtf
