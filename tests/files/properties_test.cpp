// SPDX-License-Identifier: GPL-3.0-or-later
// A round trip through every format keeps the values, whatever they are.
#include "base/text.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "files/palette_file.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"
#include "light/levels.h"

#include <gtest/gtest.h>
#include <rapidcheck.h>
#include <rapidcheck/gtest.h>

namespace zelo::files {
namespace {

double share() {
    return *rc::gen::inRange(0, 1'000'001) / 1e6;
}

std::string anyName() { // what people type, with what trips a format up
    static const std::string kLetters = "abz AZ09,;\"'#|äπ";
    std::string name = "N";
    for (int i = *rc::gen::inRange(0, 12); i > 0; --i)
        name += kLetters[static_cast<std::size_t>(*rc::gen::inRange(0, 15))];
    return toUtf8(name + "e");
}

colour::Spectrum anySpectrum(double most) {
    colour::Grid g;
    const double a = share();
    const double b = 20 * share();
    for (std::size_t i = 0; i < g.size(); ++i)
        g[i] = most * (0.5 + 0.5 * std::sin(a * 6 + b * static_cast<double>(i) / 100));
    return colour::Spectrum(g);
}

RC_GTEST_PROP(RoundTrip, SpectraInEveryFormat, ()) {
    colour::Samples samples;
    double nm = 350 + 40 * share();
    for (int i = 3 + *rc::gen::inRange(0, 60); i > 0; --i) {
        samples.wavelengths_nm.push_back(nm);
        samples.values.push_back(share() * std::pow(10.0, *rc::gen::inRange(-6, 6)));
        nm += 0.5 + 9 * share();
    }
    for (const auto format : {TableFormat::Csv, TableFormat::Cgats, TableFormat::Tm27}) {
        const auto back = parseSpectrum(spectrumText(samples, format, anyName()));
        RC_ASSERT(back.has_value());
        RC_ASSERT(back->values.size() == samples.values.size());
        for (std::size_t i = 0; i < samples.values.size(); ++i) {
            RC_ASSERT(std::abs(back->wavelengths_nm[i] - samples.wavelengths_nm[i]) < 1e-5);
            RC_ASSERT(std::abs(back->values[i] - samples.values[i]) <=
                      1e-7 * std::abs(samples.values[i]));
        }
    }
}

RC_GTEST_PROP(RoundTrip, SwatchBooks, ()) {
    light::SwatchBook book{"Book", {}};
    for (int i = 1 + *rc::gen::inRange(0, 5); i > 0; --i)
        book.gels.push_back({std::to_string(100 + i), anyName(), anySpectrum(0.95)});
    for (const auto format : {TableFormat::Csv, TableFormat::Cgats}) {
        const auto text = swatchBookText(book, format);
        RC_ASSERT(text.has_value());
        const auto back = parseSwatchBook(*text);
        RC_ASSERT(back.has_value());
        RC_ASSERT(back->book.gels.size() == book.gels.size());
        for (std::size_t g = 0; g < book.gels.size(); ++g) {
            RC_ASSERT(back->book.gels[g].id == book.gels[g].id);
            for (std::size_t i = 0; i < colour::kGridSize; ++i)
                RC_ASSERT(std::abs(back->book.gels[g].transmittance[i] -
                                   book.gels[g].transmittance[i]) < 1e-5);
        }
    }
}

RC_GTEST_PROP(RoundTrip, Palettes, ()) {
    PaletteTable table{"T", {}};
    for (int i = 1 + *rc::gen::inRange(0, 6); i > 0; --i) {
        table.colours.push_back({anyName(), {0.05 + 0.5 * share(), 0.1 + 0.48 * share()}, {}});
        if (share() < 0.5)
            table.colours.back().levels = {{"petrel-4 Red", share()}, {"skua-cmy, C", share()}};
    }
    const auto back = parsePalettes(palettesText(table, PaletteFormat::Csv));
    RC_ASSERT(back.has_value());
    RC_ASSERT(back->colours.size() == table.colours.size());
    for (std::size_t i = 0; i < table.colours.size(); ++i) {
        RC_ASSERT(back->colours[i].name == table.colours[i].name);
        RC_ASSERT(colour::distance(back->colours[i].uv, table.colours[i].uv) < 1e-8);
        RC_ASSERT(back->colours[i].levels.size() == table.colours[i].levels.size());
    }
    const auto screen = parsePalettes(palettesText(table, PaletteFormat::Gpl));
    RC_ASSERT(screen.has_value());
    RC_ASSERT(screen->colours.size() == table.colours.size());
}

// A type with any number of emitters, flags and a wheel, in one mode.
light::FixtureType anyType() {
    light::FixtureType type;
    type.name = anyName();
    type.maker = anyName();
    light::Mode mode{"only", {}, 0};
    const int bytes = 1 + *rc::gen::inRange(0, 3);
    const auto channel = [&](light::Role role, std::size_t part, const std::string& attribute) {
        light::Channel c;
        c.attribute = attribute;
        c.role = role;
        c.part = part;
        for (int b = 0; b < bytes; ++b)
            c.offsets.push_back(++mode.footprint);
        c.home = static_cast<std::uint32_t>(share() * c.most());
        c.highlight = static_cast<std::uint32_t>(share() * c.most());
        if (share() < 0.3)
            c.response = light::Response::square();
        mode.channels.push_back(c);
    };
    channel(light::Role::Dimmer, 0, "Dimmer");
    const bool lamp = share() < 0.4;
    const int count = lamp ? 1 : 1 + *rc::gen::inRange(0, 10);
    for (int i = 0; i < count; ++i) {
        type.emitters.push_back(
            {fmt::format("E{}", i), anySpectrum(0.01 + share()), false, share()});
        type.emitters.back().source = lamp;
        if (share() < 0.3)
            type.emitters.back().droop = {{0.5, anySpectrum(0.4)}};
    }
    const int flags = lamp ? *rc::gen::inRange(1, 4) : 0;
    for (int i = 0; i < flags; ++i)
        type.flags.push_back(
            {fmt::format("F{}", i),
             {{0.5, light::densityOf(anySpectrum(0.9))}, {1, light::densityOf(anySpectrum(0.5))}},
             false});
    for (std::size_t p = lamp ? 1 : 0; p < type.partCount(); ++p)
        channel(light::Role::Part, p, lamp ? "ColorSub_C" : "ColorAdd_R");
    type.modes = {mode};
    return type;
}

RC_GTEST_PROP(RoundTrip, FixtureTypes, ()) {
    const auto type = anyType();
    const auto files = gdtfFiles(type);
    const auto power = files.find("zelochrome.json");
    const auto back =
        parseGdtf(files.at("description.xml"), power == files.end() ? "" : power->second);
    RC_ASSERT(back.has_value());
    RC_ASSERT(back->name == type.name);
    RC_ASSERT(back->modes[0].channels.size() == type.modes[0].channels.size());
    for (int i = 0; i < 5; ++i) {
        light::ChannelValues values;
        for (const auto& c : type.modes[0].channels)
            values.push_back(static_cast<std::uint32_t>(share() * c.most()));
        const auto of = [&](const light::FixtureType& t) {
            return light::xyzOf(t, light::drivesOf(t, t.modes[0], values));
        };
        RC_ASSERT(norm(of(type) - of(*back)) <= 1e-9 * norm(of(type)) + 1e-12);
    }
}

} // namespace
} // namespace zelo::files
