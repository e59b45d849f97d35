// SPDX-License-Identifier: GPL-3.0-or-later
// zelo convert IN OUT: spectra and swatch books between their formats, by file ending.
#include "base/file.h"
#include "commands.h"
#include "files/swatch_book_file.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

// A swatch book has gels with numbers; anything else is one light.
Result<std::string> converted(const std::string& in, const std::string& out) {
    const auto format = files::formatOf(out);
    if (!format)
        return passOn(format.error());
    auto text = readFile(in);
    if (!text)
        return passOn(text.error());
    if (auto samples = files::parseSpectrum(*text))
        return files::spectrumText(
            *samples, *format, "converted from " + std::filesystem::path(in).filename().string());
    else if (const auto book = files::readSwatchBook(in)) {
        for (const auto& note : book->notes)
            fmt::print(stderr, "zelo: {}: {}\n", in, note);
        auto written = files::swatchBookText(book->book, *format);
        if (!written)
            return passOn(written.error(), out);
        return written;
    } else if (text->find("SAMPLE_ID") != std::string::npos || text->rfind("id,", 0) == 0) {
        return passOn(book.error());
    } else {
        return passOn(samples.error(), in);
    }
}

} // namespace

void addConvert(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("convert", "spectra and swatch books between their formats");
    auto files = std::make_shared<std::pair<std::string, std::string>>();
    c->add_option("IN", files->first, "a spectrum or swatch book: CSV, CGATS.17 or TM-27")
        ->required();
    c->add_option("OUT", files->second, "the new file: .csv, .sp, .txt or .spdx")->required();
    c->callback([&context, files] {
        context.run = [files]() -> Done {
            const auto text = converted(files->first, files->second);
            if (!text)
                return passOn(text.error());
            return writeFile(files->second, *text);
        };
    });
}

} // namespace zelo::cli
