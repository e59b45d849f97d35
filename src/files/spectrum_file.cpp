// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/spectrum_file.h"

#include "base/file.h"
#include "base/text.h"
#include "files/cgats.h"
#include "files/detail/plain_text.h"
#include "files/detail/spectral_csv.h"

#include <pugixml.hpp>

namespace zelo::files {

using colour::Samples;

namespace {

constexpr std::size_t kMostBytes = 8u << 20;

std::string_view localName(const pugi::xml_node& node) { // without a namespace's prefix
    const std::string_view name = node.name();
    const auto colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

pugi::xml_node childOf(const pugi::xml_node& node, std::string_view name) {
    return node.find_child([&](const pugi::xml_node& n) { return localName(n) == name; });
}

// ANSI/IES TM-27. The root's name and namespace differ between editions: any root that begins
// with IESTM27 is taken.
Result<SpectrumTable> parseTm27(std::string_view text) {
    const auto doc = boundedXml(text, "TM-27");
    if (!doc)
        return passOn(doc.error());
    const auto root = (*doc)->document_element();
    if (!startsWith(localName(root), "IESTM27"))
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "root <{}>: expected <IESTM27…>"),
                    root.name());
    SpectrumTable table;
    constexpr std::size_t kMostElements = 200;
    const auto keep = [](const pugi::xml_node& node, SpectrumTable::Elements& to) {
        if (node.type() == pugi::node_element && to.size() < kMostElements)
            to.emplace_back(localName(node), node.text().get());
    };
    for (const auto& node : childOf(root, "Header").children())
        keep(node, table.header);
    Samples& samples = table.samples;
    for (const auto& point : childOf(root, "SpectralDistribution").children()) {
        if (localName(point) != "SpectralData") {
            keep(point, table.distribution);
            continue;
        }
        const auto nm = toNumber(point.attribute("wavelength").value());
        const auto value = toNumber(point.text().get());
        if (!nm || !value)
            return fail(
                ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "SpectralData {}: wavelength '{}' and value '{}' must be numbers"),
                samples.values.size() + 1, point.attribute("wavelength").value(),
                point.text().get());
        samples.wavelengths_nm.push_back(*nm);
        samples.values.push_back(*value);
        if (samples.values.size() > colour::kMostSamples)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} rows"),
                        colour::kMostSamples);
    }
    return table;
}

Result<Samples> parseCsv(std::string_view text) {
    auto columns = spectralCsv(text, 1, say(ZELO_TEXT("core", "a wavelength in nm and a value")));
    if (!columns)
        return passOn(columns.error());
    return std::move(columns->front());
}

Result<Samples> parseCgatsSpectrum(std::string_view text) {
    auto table = parseCgats(text);
    if (!table)
        return passOn(table.error());
    if (table->rows.size() != 1)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} rows: a file of one light has one"),
                    table->rows.size());
    auto columns = spectralColumns(*table);
    if (!columns)
        return passOn(columns.error());
    return spectrumInRow(*table, *columns, 0);
}

} // namespace

Result<SpectrumTable> parseSpectrumTable(std::string_view bytes) {
    const auto plain = plainText(bytes);
    if (!plain)
        return passOn(plain.error());
    const std::string_view text = *plain;
    const auto begin = trimmed(text);
    SpectrumTable table;
    if (startsWith(begin, "<")) {
        auto read = parseTm27(begin);
        if (!read)
            return read;
        table = std::move(*read);
    } else {
        auto samples = text.find("BEGIN_DATA") != std::string_view::npos ? parseCgatsSpectrum(text)
                                                                         : parseCsv(text);
        if (!samples)
            return passOn(samples.error());
        table.samples = std::move(*samples);
    }
    if (auto sound = colour::checkSamples(table.samples); !sound)
        return passOn(sound.error());
    return table;
}

Result<Samples> parseSpectrum(std::string_view bytes) {
    auto table = parseSpectrumTable(bytes);
    if (!table)
        return passOn(table.error());
    return std::move(table->samples);
}

std::optional<Sentence> cutNote(const Samples& samples) {
    const auto& nm = samples.wavelengths_nm;
    if (nm.empty() || (nm.front() >= colour::kGridFirstNm && nm.back() <= colour::kGridLastNm))
        return std::nullopt;
    return say(ZELO_TEXT("core", "its {:g}–{:g} nm are used from {} to {} nm"), nm.front(),
               nm.back(), colour::kGridFirstNm, colour::kGridLastNm);
}

Result<colour::Spectrum> readLight(const std::filesystem::path& path,
                                   std::vector<Sentence>* notes) {
    auto text = readFile(path, kMostBytes);
    if (!text)
        return passOn(text.error());
    auto samples = parseSpectrum(*text);
    if (!samples)
        return passOn(samples.error(), path.string());
    auto light = colour::lightFromSamples(*samples);
    if (!light)
        return passOn(light.error(), path.string());
    if (const auto note = cutNote(*samples); note && notes)
        notes->push_back(*note);
    return *light;
}

Result<TableFormat> formatOf(const std::filesystem::path& path) {
    const auto ending = lowered(path.extension().string());
    if (ending == ".csv")
        return TableFormat::Csv;
    if (ending == ".sp" || ending == ".txt")
        return TableFormat::Cgats;
    if (ending == ".spdx")
        return TableFormat::Tm27;
    return passOn(
        Error{ErrorCode::Unsupported,
              say(ZELO_TEXT("core", "ending '{}': expected .csv, .sp, .txt or .spdx"), ending),
              {}},
        path.string());
}

namespace {

// Quotes cannot be written inside a CGATS text, nor line ends anywhere.
std::string oneLine(std::string text) {
    for (char& c : text)
        if (c == '"' || c == '\n' || c == '\r')
            c = '\'';
    return text;
}

std::string cgatsSpectrum(const Samples& s, const std::string& description) {
    std::string fields = "SAMPLE_ID";
    std::string row = "1";
    for (std::size_t i = 0; i < s.values.size(); ++i) {
        fields += fmt::format(" SPEC_{:.9g}", s.wavelengths_nm[i]);
        row += fmt::format(" {:.9g}", s.values[i]);
    }
    return fmt::format("SPECT\n\nDESCRIPTOR \"{}\"\nORIGINATOR \"Zelochrome\"\n\n"
                       "NUMBER_OF_FIELDS {}\nBEGIN_DATA_FORMAT\n{}\nEND_DATA_FORMAT\n\n"
                       "NUMBER_OF_SETS 1\nBEGIN_DATA\n{}\nEND_DATA\n",
                       oneLine(description), s.values.size() + 1, fields, row);
}

// ANSI/IES TM-27-20: what came as TM-27 keeps its header and its quantity.
std::string tm27Spectrum(const SpectrumTable& table, const std::string& description) {
    const Samples& s = table.samples;
    pugi::xml_document doc;
    auto root = doc.append_child("IESTM2720");
    root.append_attribute("xmlns") = "http://www.ies.org/iestm2720";
    root.append_attribute("version") = "1.0";
    auto header = root.append_child("Header");
    const SpectrumTable::Elements own = {{"Description", description},
                                         {"DocumentCreator", "Zelochrome"}};
    for (const auto& [name, text] : table.header.empty() ? own : table.header)
        header.append_child(name.c_str()).text() = text.c_str();
    auto data = root.append_child("SpectralDistribution");
    const SpectrumTable::Elements relative = {{"SpectralQuantity", "relative"}};
    for (const auto& [name, text] : table.distribution.empty() ? relative : table.distribution)
        data.append_child(name.c_str()).text() = text.c_str();
    for (std::size_t i = 0; i < s.values.size(); ++i) {
        auto point = data.append_child("SpectralData");
        point.append_attribute("wavelength") = fmt::format("{:.9g}", s.wavelengths_nm[i]).c_str();
        point.text() = fmt::format("{:.9g}", s.values[i]).c_str();
    }
    struct Text : pugi::xml_writer {
        std::string text;
        void write(const void* bytes, std::size_t size) override {
            text.append(static_cast<const char*>(bytes), size);
        }
    } out;
    doc.save(out, "  ");
    return out.text;
}

} // namespace

std::string spectrumText(const Samples& s, TableFormat format, const std::string& description) {
    return spectrumText(SpectrumTable{s, {}, {}}, format, description);
}

std::string spectrumText(const SpectrumTable& table, TableFormat format,
                         const std::string& description) {
    const Samples& s = table.samples;
    if (format == TableFormat::Cgats)
        return cgatsSpectrum(s, description);
    if (format == TableFormat::Tm27)
        return tm27Spectrum(table, description);
    std::string text = fmt::format("# {}\nwavelength_nm,value\n", oneLine(description));
    for (std::size_t i = 0; i < s.values.size(); ++i)
        text += fmt::format("{:.9g},{:.9g}\n", s.wavelengths_nm[i], s.values[i]);
    return text;
}

} // namespace zelo::files
