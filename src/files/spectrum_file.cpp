// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/spectrum_file.h"

#include "base/file.h"
#include "base/text.h"
#include "files/cgats.h"

#include <pugixml.hpp>

namespace zelo::files {

using colour::Samples;

namespace {

constexpr std::size_t kMostBytes = 8u << 20;

// ANSI/IES TM-27. The root's name and namespace differ between editions: any root that begins
// with IESTM27 is taken.
Result<Samples> parseTm27(std::string_view text) {
    pugi::xml_document doc;
    const auto parsed = doc.load_buffer(text.data(), text.size());
    if (!parsed)
        return passOn(Error{ErrorCode::BadSyntax, parsed.description(), {}},
                      fmt::format("offset {}", parsed.offset));
    const auto root = doc.document_element();
    if (!startsWith(root.name(), "IESTM27"))
        return fail(ErrorCode::BadSyntax, "root <{}>: expected <IESTM27…>", root.name());
    Samples samples;
    for (const auto& point : root.child("SpectralDistribution").children("SpectralData")) {
        const auto nm = toNumber(point.attribute("wavelength").value());
        const auto value = toNumber(point.text().get());
        if (!nm || !value)
            return fail(ErrorCode::BadValue,
                        "SpectralData {}: wavelength '{}' and value '{}' must be numbers",
                        samples.values.size() + 1, point.attribute("wavelength").value(),
                        point.text().get());
        samples.wavelengths_nm.push_back(*nm);
        samples.values.push_back(*value);
    }
    return samples;
}

Result<Samples> parseCsv(std::string_view text) {
    Samples samples;
    int line_no = 0;
    bool heading_allowed = true;
    for (const std::string_view raw : lines(text)) {
        ++line_no;
        const auto line = trimmed(raw);
        if (line.empty() || line[0] == '#')
            continue;
        const char by = line.find(';') != std::string_view::npos   ? ';'
                        : line.find(',') != std::string_view::npos ? ','
                                                                   : '\t';
        const auto cells = split(line, by);
        const auto nm = toNumber(cells[0]);
        const auto value = cells.size() >= 2 ? toNumber(cells[1]) : std::nullopt;
        if (!nm && heading_allowed) { // one heading row
            heading_allowed = false;
            continue;
        }
        if (!nm || !value)
            return passOn(Error{ErrorCode::BadValue,
                                fmt::format("'{}': expected a wavelength in nm and a value",
                                            line.substr(0, 40)),
                                {}},
                          fmt::format("line {}", line_no));
        heading_allowed = false;
        samples.wavelengths_nm.push_back(*nm);
        samples.values.push_back(*value);
    }
    return samples;
}

Result<Samples> parseCgatsSpectrum(std::string_view text) {
    auto table = parseCgats(text);
    if (!table)
        return passOn(table.error());
    if (table->rows.size() != 1)
        return fail(ErrorCode::BadValue, "{} rows: a file of one light has one",
                    table->rows.size());
    auto columns = spectralColumns(*table);
    if (!columns)
        return passOn(columns.error());
    return spectrumInRow(*table, *columns, 0);
}

} // namespace

Result<Samples> parseSpectrum(std::string_view text) {
    if (startsWith(text, "\xEF\xBB\xBF")) // byte order mark
        text.remove_prefix(3);
    const auto begin = trimmed(text);
    auto samples = startsWith(begin, "<")                              ? parseTm27(begin)
                   : text.find("BEGIN_DATA") != std::string_view::npos ? parseCgatsSpectrum(text)
                                                                       : parseCsv(text);
    if (!samples)
        return samples;
    if (auto sound = colour::checkSamples(*samples); !sound)
        return passOn(sound.error());
    return samples;
}

Result<colour::Spectrum> readLight(const std::filesystem::path& path) {
    auto text = readFile(path, kMostBytes);
    if (!text)
        return passOn(text.error());
    auto samples = parseSpectrum(*text);
    if (!samples)
        return passOn(samples.error(), path.string());
    auto light = colour::lightFromSamples(*samples);
    if (!light)
        return passOn(light.error(), path.string());
    return *light;
}

} // namespace zelo::files
