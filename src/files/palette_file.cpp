// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/palette_file.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/srgb.h"
#include "files/detail/csv.h"
#include "files/detail/plain_text.h"
#include "light/wanted.h"

#include <algorithm>
#include <array>

namespace zelo::files {

namespace {

constexpr std::size_t kMostColours = 20'000;
constexpr std::size_t kMostColumns = 400;
constexpr std::size_t kMostLevels = 1'000'000;
constexpr std::size_t kMostNotes = 50;
constexpr std::string_view kGplHead = "GIMP Palette";

std::vector<std::string_view> words(std::string_view text) {
    std::vector<std::string_view> all;
    while (!(text = trimmed(text)).empty()) {
        const auto end = text.find_first_of(" \t");
        all.push_back(text.substr(0, end));
        text = end == std::string_view::npos ? std::string_view() : text.substr(end);
    }
    return all;
}

Result<PaletteTable> parseGpl(std::string_view text) {
    PaletteTable table;
    int number = 0;
    for (const auto line : lines(text)) {
        ++number;
        const auto plain = trimmed(line);
        if (number == 1 || plain.empty() || plain.front() == '#' || startsWith(plain, "Columns:"))
            continue;
        if (startsWith(plain, "Name:")) {
            table.name = trimmed(plain.substr(5));
            continue;
        }
        const auto parts = words(plain);
        std::array<std::uint8_t, 3> rgb{};
        bool sound = parts.size() >= 3;
        for (std::size_t i = 0; i < 3 && sound; ++i) {
            const auto n = toInteger(parts[i]);
            sound = n && *n >= 0 && *n <= 255;
            if (sound)
                rgb[i] = static_cast<std::uint8_t>(*n);
        }
        if (!sound)
            return fail(
                ErrorCode::BadSyntax,
                ZELO_TEXT("core", "line {}: '{}': expected red, green, blue (0..255) and a name"),
                number, plain);
        if (rgb == std::array<std::uint8_t, 3>{}) {
            if (table.notes.size() < kMostNotes)
                table.notes.push_back(say(
                    ZELO_TEXT("core", "line {}: black is no colour of light, left out"), number));
            continue;
        }
        std::string name;
        if (parts.size() > 3)
            name = plain.substr(static_cast<std::size_t>(parts[3].data() - plain.data()));
        if (name.empty())
            name = fmt::format("#{:02x}{:02x}{:02x}", rgb[0], rgb[1], rgb[2]);
        table.colours.push_back(
            {name, colour::toUv(colour::toXyz(colour::Srgb{rgb[0], rgb[1], rgb[2]})), {}});
        if (table.colours.size() > kMostColours)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} colours"),
                        kMostColours);
    }
    return table;
}

struct Columns {
    int name = -1, u = -1, v = -1;
};

enum class Known { None, Name, U, V, Cct };
Known known(std::string_view heading) {
    const auto h = lowered(trimmed(heading));
    return h == "name"                          ? Known::Name
           : h == "u'" || h == "u" || h == "u′" ? Known::U
           : h == "v'" || h == "v" || h == "v′" ? Known::V
           : h == "cct" || h == "duv"           ? Known::Cct
                                                : Known::None;
}

Columns columnsOf(const std::vector<std::string>& head) {
    Columns c;
    for (std::size_t i = 0; i < head.size(); ++i) {
        const Known what = known(head[i]);
        int& column = what == Known::Name ? c.name : what == Known::U ? c.u : c.v;
        if (what != Known::None && what != Known::Cct && column < 0) // the first of that name
            column = static_cast<int>(i);
    }
    return c;
}

Result<PaletteTable> parseCsv(std::string_view text) {
    const auto all = lines(text);
    const auto head = csvCells(all.empty() ? std::string_view() : all[0]);
    const Columns columns = columnsOf(head);
    if (columns.name < 0 || columns.u < 0 || columns.v < 0)
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "line 1: expected a heading with name, u' and v'"));
    if (head.size() > kMostColumns)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "line 1: more than {} columns"),
                    kMostColumns);
    PaletteTable table;
    std::size_t levels = 0;
    for (std::size_t l = 1; l < all.size(); ++l) {
        if (trimmed(all[l]).empty())
            continue;
        const auto cells = csvCells(all[l]);
        const auto cell = [&](int i) {
            return static_cast<std::size_t>(i) < cells.size() ? cells[static_cast<std::size_t>(i)]
                                                              : std::string();
        };
        const auto u = toNumber(cell(columns.u));
        const auto v = toNumber(cell(columns.v));
        if (!u || !v || *u < 0 || *u > 1 || *v <= 0 || *v > 1)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "line {}: u' '{}' and v' '{}' must be within 0..1"),
                        l + 1, cell(columns.u), cell(columns.v));
        PaletteColour colour{cell(columns.name), {*u, *v}, {}};
        levels += cells.size();
        if (levels > kMostLevels)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "line {}: more than {} levels"),
                        l + 1, kMostLevels);
        for (std::size_t i = 0; i < cells.size() && i < head.size(); ++i) {
            if (known(head[i]) != Known::None)
                continue;
            if (const auto level = toNumber(cells[i]))
                colour.levels.emplace_back(head[i], *level);
        }
        table.colours.push_back(std::move(colour));
        if (table.colours.size() > kMostColours)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} colours"),
                        kMostColours);
    }
    return table;
}

// At full brightness; moved towards white when the screen's colours do not hold it.
std::pair<std::array<int, 3>, bool> screenOf(const colour::Uv& uv) {
    auto c = colour::toLinearRgb(colour::toXyz(uv));
    const double low = std::min({c.r, c.g, c.b});
    const bool outside = low < -1e-6;
    if (low < 0) { // add white until nothing is below 0
        c.r -= low;
        c.g -= low;
        c.b -= low;
    }
    const double top = std::max({c.r, c.g, c.b});
    return {{colour::srgbEncoded(c.r / top), colour::srgbEncoded(c.g / top),
             colour::srgbEncoded(c.b / top)},
            outside};
}

} // namespace

bool looksLikePalettes(std::string_view text) {
    constexpr std::string_view kByteOrderMark = "\xEF\xBB\xBF";
    if (startsWith(text, kByteOrderMark))
        text.remove_prefix(kByteOrderMark.size());
    if (startsWith(text, kGplHead))
        return true;
    const auto all = lines(text.substr(0, text.find('\n')));
    const Columns c = columnsOf(csvCells(all.empty() ? std::string_view() : all[0]));
    return c.name >= 0 && c.u >= 0 && c.v >= 0;
}

Result<PaletteTable> parsePalettes(std::string_view bytes) {
    const auto text = plainText(bytes);
    if (!text)
        return passOn(text.error());
    return startsWith(*text, kGplHead) ? parseGpl(*text) : parseCsv(*text);
}

std::string palettesText(const PaletteTable& table, PaletteFormat format, int* moved) {
    if (moved)
        *moved = 0;
    if (format == PaletteFormat::Gpl) {
        std::string text =
            fmt::format("{}\nName: {}\nColumns: 8\n#\n", kGplHead,
                        oneReadableLine(table.name.empty() ? "Colours" : table.name));
        for (const auto& c : table.colours) {
            const auto [rgb, outside] = screenOf(c.uv);
            if (moved)
                *moved += outside;
            text += fmt::format("{:>3} {:>3} {:>3}\t{}\n", rgb[0], rgb[1], rgb[2],
                                oneReadableLine(c.name));
        }
        return text;
    }
    std::vector<std::string> columns;
    for (const auto& c : table.colours)
        for (const auto& [column, level] : c.levels)
            if (std::find(columns.begin(), columns.end(), column) == columns.end())
                columns.push_back(column);
    std::string text = "name,u',v',cct,duv";
    for (const auto& column : columns)
        text += "," + csvQuoted(column);
    text += "\n";
    for (const auto& c : table.colours) {
        text += fmt::format("{},{:.9g},{:.9g}", csvQuoted(c.name), c.uv.u, c.uv.v);
        if (const auto cct = colour::cctOf(c.uv))
            text += fmt::format(",{:.1f},{:.5f}", cct->cct.value, cct->duv);
        else
            text += ",,";
        for (const auto& column : columns) {
            const auto level = std::find_if(c.levels.begin(), c.levels.end(),
                                            [&](const auto& l) { return l.first == column; });
            text += level == c.levels.end() ? "," : fmt::format(",{:.9g}", level->second);
        }
        text += "\n";
    }
    return text;
}

PaletteTable palettesOf(const light::SwatchBook& book) {
    PaletteTable table{book.name, {}};
    const auto lamp = colour::lampOf({light::kGelLampK});
    for (const auto& gel : book.gels) {
        const auto xyz = colour::toXyz(gel.transmittance * lamp);
        if (colour::hasChromaticity(xyz))
            table.colours.push_back(
                {gel.name.empty() ? gel.id : gel.id + " " + gel.name, colour::toUv(xyz), {}});
    }
    return table;
}

} // namespace zelo::files
