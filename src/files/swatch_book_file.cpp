// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/swatch_book_file.h"

#include "base/file.h"
#include "base/text.h"
#include "files/cgats.h"
#include "files/detail/csv.h"
#include "files/detail/plain_text.h"

#include <algorithm>
#include <set>

namespace zelo::files {

using colour::Samples;

namespace {

struct RawGel {
    std::string id;
    std::string name;
    Samples samples;
    Sentence where;
};

struct RawBook {
    std::string name;
    std::vector<RawGel> gels;
};

constexpr std::size_t kMostGels = 20'000;
constexpr std::size_t kMostValues = 5'000'000;

Result<RawBook> rawFromCgats(std::string_view text) {
    auto table = parseCgats(text);
    if (!table)
        return passOn(table.error());
    auto columns = spectralColumns(*table);
    if (!columns)
        return passOn(columns.error());
    const int id = table->field("SAMPLE_ID");
    const int name = table->field("SAMPLE_NAME");
    if (id < 0)
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "no field SAMPLE_ID: each gel needs its number"));
    RawBook raw;
    raw.name = table->keywords["DESCRIPTOR"];
    if (table->rows.size() > kMostGels)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} gels"), kMostGels);
    for (std::size_t r = 0; r < table->rows.size(); ++r) {
        auto samples = spectrumInRow(*table, *columns, r);
        if (!samples)
            return passOn(samples.error());
        const auto& row = table->rows[r];
        raw.gels.push_back({row[static_cast<std::size_t>(id)],
                            name < 0 ? std::string() : row[static_cast<std::size_t>(name)],
                            std::move(*samples),
                            say(ZELO_TEXT("core", "line {}"), table->row_lines[r])});
    }
    return raw;
}

Result<RawBook> rawFromCsv(std::string_view text) {
    RawBook raw;
    std::vector<double> wavelengths_nm;
    std::size_t values = 0;
    int line_no = 0;
    for (const std::string_view line : lines(text)) {
        ++line_no;
        if (trimmed(line).empty() || line[0] == '#')
            continue;
        const auto where = say(ZELO_TEXT("core", "line {}"), line_no);
        const auto bad = [&](Sentence what) {
            return passOn(Error{ErrorCode::BadSyntax, what, {}}, where);
        };
        const auto cells = csvCells(line);
        if (wavelengths_nm.empty()) {
            for (std::size_t i = 2; i < cells.size(); ++i) {
                const auto nm = toNumber(cells[i]);
                if (!nm)
                    return bad(say(
                        ZELO_TEXT("core", "'{}': the heading must be id,name, then wavelengths"),
                        cells[i]));
                wavelengths_nm.push_back(*nm);
            }
            if (wavelengths_nm.size() < 3)
                return bad(say(
                    ZELO_TEXT("core", "the heading must be id,name, then 3 or more wavelengths")));
            continue;
        }
        if (cells.size() != wavelengths_nm.size() + 2)
            return bad(say(ZELO_TEXT("core", "{} cells: the heading has {}"), cells.size(),
                           wavelengths_nm.size() + 2));
        RawGel gel{std::string(trimmed(cells[0])),
                   std::string(trimmed(cells[1])),
                   {wavelengths_nm, {}},
                   where};
        for (std::size_t i = 2; i < cells.size(); ++i) {
            const auto value = toNumber(cells[i]);
            if (!value)
                return bad(say(ZELO_TEXT("core", "'{}' at {} nm: expected a number"), cells[i],
                               wavelengths_nm[i - 2]));
            gel.samples.values.push_back(*value);
        }
        raw.gels.push_back(std::move(gel));
        values += cells.size();
        if (raw.gels.size() > kMostGels || values > kMostValues)
            return bad(
                say(ZELO_TEXT("core", "more than {} gels or {} values"), kMostGels, kMostValues));
    }
    return raw;
}

} // namespace

Result<ReadBook> parseSwatchBook(std::string_view bytes) {
    const auto plain = plainText(bytes);
    if (!plain)
        return passOn(plain.error());
    const std::string_view text = *plain;
    auto raw =
        text.find("BEGIN_DATA") != std::string_view::npos ? rawFromCgats(text) : rawFromCsv(text);
    if (!raw)
        return passOn(raw.error());
    if (raw->gels.empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "no gels in it"));
    ReadBook read;
    read.book.name = raw->name;
    double largest = 0;
    for (const auto& gel : raw->gels)
        for (const double v : gel.samples.values)
            largest = std::max(largest, v);
    const bool percent = largest > 1.5;
    if (percent)
        read.notes.push_back(
            say(ZELO_TEXT("core", "values up to {}: taken as percent, not as 0 to 1"), largest));
    if (const auto cut = cutNote(raw->gels.front().samples))
        read.notes.push_back(*cut);
    std::set<std::string> ids;
    for (auto& gel : raw->gels) {
        if (gel.id.empty())
            return passOn(
                Error{ErrorCode::BadValue, say(ZELO_TEXT("core", "a gel without a number")), {}},
                gel.where);
        if (!ids.insert(lowered(gel.id)).second)
            return passOn(Error{ErrorCode::BadValue,
                                say(ZELO_TEXT("core", "gel {} is there twice"), gel.id),
                                {}},
                          gel.where);
        if (percent)
            for (double& v : gel.samples.values)
                v /= 100;
        for (const double v : gel.samples.values)
            if (v > 1.5)
                return passOn(
                    Error{ErrorCode::BadValue,
                          say(ZELO_TEXT("core", "gel {}: transmittance {}: must be within 0..1"),
                              gel.id, v),
                          {}},
                    gel.where);
        auto spectrum = colour::filterFromSamples(gel.samples);
        if (!spectrum)
            return passOn(spectrum.error(),
                          say(ZELO_TEXT("core", "{}, gel {}"), gel.where, gel.id));
        read.book.gels.push_back({gel.id, gel.name, *spectrum});
    }
    return read;
}

Result<ReadBook> readSwatchBook(const std::filesystem::path& path) {
    auto text = readFile(path);
    if (!text)
        return passOn(text.error());
    auto read = parseSwatchBook(*text);
    if (!read)
        return passOn(read.error(), path.string());
    if (read->book.name.empty())
        read->book.name = path.stem().string();
    return read;
}

Result<std::string> swatchBookText(const light::SwatchBook& book, TableFormat format) {
    if (format == TableFormat::Tm27)
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "TM-27 holds one light, not a swatch book"));
    const bool csv = format == TableFormat::Csv;
    const auto quoted = [csv](const std::string& text) {
        std::string out = "\"";
        for (const char c : text) {
            if (c == '"')
                out += csv ? "\"\"" : "'"; // CGATS has no way to write a quote
            else
                out += c == '\n' || c == '\r' ? ' ' : c;
        }
        return out + "\"";
    };
    std::string fields = csv ? "id,name" : "SAMPLE_ID SAMPLE_NAME";
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        fields += fmt::format("{}{}", csv ? "," : " SPECTRAL_NM",
                              colour::kGridFirstNm + static_cast<int>(i));
    std::string text =
        csv ? fields + "\n"
            : fmt::format("CGATS.17\n\nORIGINATOR \"Zelochrome\"\nDESCRIPTOR {}\n\n"
                          "NUMBER_OF_FIELDS {}\nBEGIN_DATA_FORMAT\n{}\nEND_DATA_FORMAT\n\n"
                          "NUMBER_OF_SETS {}\nBEGIN_DATA\n",
                          quoted(book.name), colour::kGridSize + 2, fields, book.gels.size());
    for (const auto& gel : book.gels) {
        text += quoted(gel.id) + (csv ? "," : " ") + quoted(gel.name);
        for (std::size_t i = 0; i < colour::kGridSize; ++i)
            text += fmt::format("{}{:.6g}", csv ? "," : " ", gel.transmittance[i]);
        text += '\n';
    }
    return csv ? text : text + "END_DATA\n";
}

} // namespace zelo::files
