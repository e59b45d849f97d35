// SPDX-License-Identifier: GPL-3.0-or-later
// zelo convert IN OUT: spectra, swatch books and fixture types between their formats, by file
// ending.
#include "base/file.h"
#include "base/text.h"
#include "commands.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "files/palette_file.h"
#include "files/swatch_book_file.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

namespace fs = std::filesystem;

bool isFixture(const std::string& path) {
    std::error_code error;
    return lowered(fs::path(path).extension().string()) == ".gdtf" ||
           fs::exists(fs::path(path) / "description.xml", error);
}

Done convertFixture(const std::string& in, const std::string& out) {
    const auto ending = lowered(fs::path(out).extension().string());
    if (!ending.empty() && ending != ".gdtf")
        return fail(ErrorCode::Unsupported,
                    "{}: a fixture type becomes NAME.gdtf or a folder (a name without ending)",
                    out);
    const auto type = files::readGdtf(in);
    if (!type)
        return passOn(type.error());
    for (const auto& note : type->notes)
        fmt::print(stderr, "zelo: {}: {}\n", in, note);
    return files::writeGdtf(*type, out);
}

Result<std::string> palettesAs(const files::PaletteTable& table, const std::string& out) {
    const auto format = lowered(fs::path(out).extension().string()) == ".gpl"
                            ? files::PaletteFormat::Gpl
                            : files::PaletteFormat::Csv;
    int moved = 0;
    auto text = files::palettesText(table, format, &moved);
    if (moved > 0)
        fmt::print(stderr,
                   "zelo: {}: {} of {} colours are beyond sRGB and were brought nearer to "
                   "white\n",
                   out, moved, table.colours.size());
    return text;
}

// Palettes and swatch books have many colours; anything else is one light.
Result<std::string> converted(const std::string& in, const std::string& out) {
    const auto ending = lowered(fs::path(out).extension().string());
    auto text = readFile(in);
    if (!text)
        return passOn(text.error());
    if (files::looksLikePalettes(*text)) {
        if (ending != ".gpl" && ending != ".csv")
            return fail(ErrorCode::Unsupported, "{}: palettes become .gpl or .csv", out);
        const auto table = files::parsePalettes(*text);
        if (!table)
            return passOn(table.error(), in);
        return palettesAs(*table, out);
    }
    const auto samples = files::parseSpectrum(*text);
    const auto book = samples ? Result<files::ReadBook>() : files::readSwatchBook(in);
    if (ending == ".gpl") {
        if (samples || !book)
            return fail(ErrorCode::Unsupported, "{}: only palettes and swatch books become .gpl",
                        in);
        return palettesAs(files::palettesOf(book->book), out);
    }
    const auto format = files::formatOf(out);
    if (!format)
        return passOn(format.error());
    if (samples)
        return files::spectrumText(*samples, *format,
                                   "converted from " + fs::path(in).filename().string());
    if (book) {
        for (const auto& note : book->notes)
            fmt::print(stderr, "zelo: {}: {}\n", in, note);
        auto written = files::swatchBookText(book->book, *format);
        if (!written)
            return passOn(written.error(), out);
        return written;
    }
    if (text->find("SAMPLE_ID") != std::string::npos || text->rfind("id,", 0) == 0)
        return passOn(book.error());
    return passOn(samples.error(), in);
}

} // namespace

void addConvert(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand(
        "convert", "spectra, swatch books, palettes, fixture types between their formats");
    auto files = std::make_shared<std::pair<std::string, std::string>>();
    c->add_option("IN", files->first,
                  "a spectrum or swatch book (CSV, CGATS.17, TM-27), palettes (.gpl, CSV), a GDTF "
                  "fixture type")
        ->required();
    c->add_option(
         "OUT", files->second,
         "the new file: .csv, .sp, .txt, .spdx, .gpl or .gdtf; a fixture type also a folder")
        ->required();
    c->callback([&context, files] {
        context.run = [files]() -> Done {
            if (isFixture(files->first))
                return convertFixture(files->first, files->second);
            const auto text = converted(files->first, files->second);
            if (!text)
                return passOn(text.error());
            return writeFile(files->second, *text);
        };
    });
}

} // namespace zelo::cli
