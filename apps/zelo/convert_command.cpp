// SPDX-License-Identifier: GPL-3.0-or-later
// zelo convert IN OUT: spectra, swatch books and fixture types between their formats, by file
// ending.
#include "base/file.h"
#include "base/text.h"
#include "commands.h"
#include "files/ascii_cues.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "files/mvr.h"
#include "files/palette_file.h"
#include "files/show_file.h"
#include "files/swatch_book_file.h"
#include "host/hand_over.h"
#include "host/sheets.h"
#include "host/take_cues.h"
#include "kept_gradient.h"
#include "print.h"
#include "report.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/kept.h"

#include <fmt/format.h>
#include <set>

namespace zelo::cli {

namespace {

namespace fs = std::filesystem;

bool isFixture(const std::string& path) {
    std::error_code error;
    return lowered(fs::path(path).extension().string()) == ".gdtf" ||
           fs::exists(fs::path(path) / "description.xml", error);
}

std::string endingOf(const std::string& path) {
    return lowered(fs::path(path).extension().string());
}

// What was read and what became of it: for --json.
struct Report {
    Json read = Json::object(), notes = Json::array();
    void is(const char* kind, std::initializer_list<std::pair<const char*, std::size_t>> counts) {
        read["kind"] = kind;
        for (const auto& [what, count] : counts)
            read[what] = count;
    }
};

void tell(Report& report, const std::string& in, const std::vector<Sentence>& notes) {
    for (const auto& note : notes) {
        put(stderr, "zelo: {}: {}\n", in, note);
        report.notes.push_back(note.english());
    }
}

Done convertFixture(Report& report, const std::string& in, const std::string& out) {
    const auto ending = endingOf(out);
    if (!ending.empty() && ending != ".gdtf")
        return fail(
            ErrorCode::Unsupported,
            ZELO_TEXT("core",
                      "{}: a fixture type becomes NAME.gdtf or a folder (a name without ending)"),
            out);
    const auto type = files::readGdtf(in);
    if (!type)
        return passOn(type.error());
    tell(report, in, type->notes);
    report.is("fixture type", {{"emitters", type->emitters.size()}, {"modes", type->modes.size()}});
    return files::writeGdtf(*type, out);
}

// A rig becomes a show with its fixtures and the types that came with them.
Done convertRig(const Context& context, Report& report, const std::string& in,
                const std::string& out) {
    if (endingOf(out) != ".zelo")
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "{}: a rig (.mvr) becomes a show (.zelo)"), out);
    const auto bytes = readFile(in, 256u << 20);
    if (!bytes)
        return passOn(bytes.error());
    auto rig = files::parseMvr(*bytes);
    if (!rig)
        return passOn(rig.error(), in);
    tell(report, in, rig->notes);
    report.is("rig", {{"fixtures", rig->fixtures.size()}, {"types", rig->types.size()}});
    auto show = std::make_shared<const show::Show>();
    auto named = show::renameShow(show, fs::path(in).stem().string());
    if (!named)
        return passOn(named.error(), in);
    show = *named;
    for (const auto& type : rig->types) {
        auto kept = show::keepType(show, type);
        if (!kept)
            return passOn(kept.error(), in);
        show = *kept;
    }
    std::set<std::string> strange;
    for (const auto& f : rig->fixtures)
        if (!show->types.contains(f.type) && !context.library.type(f.type) &&
            strange.insert(f.type).second)
            put(stderr,
                "zelo: {}: '{}' is not in the library: its fixtures stay dark until it is\n", in,
                oneReadableLine(f.type));
    auto next = show::addFixtures(show, std::move(rig->fixtures));
    if (!next)
        return passOn(next.error(), in);
    return files::writeShow(out, **next, {});
}

Result<std::string> palettesAs(const files::PaletteTable& table, const std::string& out) {
    const auto format = lowered(fs::path(out).extension().string()) == ".gpl"
                            ? files::PaletteFormat::Gpl
                            : files::PaletteFormat::Csv;
    int moved = 0;
    auto text = files::palettesText(table, format, &moved);
    if (moved > 0)
        put(stderr,
            "zelo: {}: {} of {} colours are beyond sRGB and were brought nearer to "
            "white\n",
            out, moved, table.colours.size());
    return text;
}

// A kept gradient on its lamps, for another desk.
Done convertGradient(Context& context, Report& report, const std::string& name,
                     const std::string& group, const std::string& out) {
    const auto kept = keptGradient(context, name, group);
    if (!kept)
        return passOn(kept.error());
    tell(report, name, kept->laid->troubles);
    report.is("gradient", {{"lamps", kept->laid->lamps.size()}});
    if (endingOf(out) == ".asc")
        return writeFile(out, files::asciiCuesText(cueOf(*kept, name)));
    if (endingOf(out) != ".gpl" && endingOf(out) != ".csv")
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "{}: a gradient becomes .gpl, .csv or a cue (.asc)"), out);
    const auto text = palettesAs(tableOf(*kept, name), out);
    if (!text)
        return passOn(text.error());
    return writeFile(out, *text);
}

// A cue list for another desk, or for people.
Done convertList(Context& context, Report& report, const files::OpenedShow& opened,
                 const std::string& name, const std::string& out) {
    const show::Show& show = *opened.show;
    const show::CueList* list = nullptr;
    for (const auto& [id, one] : show.cue_lists)
        if (!list && (name.empty() || one->name == name))
            list = one.get();
    if (!list && name.empty())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "'{}' has no cue list"), show.name);
    if (!list)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "--list {}: no such cue list in '{}'"),
                    name, show.name);
    if (endingOf(out) == ".csv")
        return writeFile(out, host::cueSheet(show, *list));
    play::Mixes mixes;
    const auto made = host::handOver(opened.show, *context.library.sources(), mixes, {list->id});
    if (!made)
        return passOn(made.error());
    tell(report, out, made->notes);
    report.read["steps"] = made->steps;
    if (made->steps > 0)
        put(stderr, "zelo: {}: {} cues, {} of them steps of a fade\n", out, made->cues.cues.size(),
            made->steps);
    return writeFile(out, files::asciiCuesText(made->cues));
}

Done convertShow(Context& context, Report& report, const std::string& in, const std::string& list,
                 const std::string& sheet, const std::string& out) {
    const auto ending = endingOf(out);
    if (ending != ".mvr" && ending != ".asc" && ending != ".csv")
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "{}: a show (.zelo) becomes a rig (.mvr), cues (.asc) or a "
                                      "cue sheet (.csv)"),
                    out);
    const auto opened = files::readShow(in);
    if (!opened)
        return passOn(opened.error());
    tell(report, in, opened->notes);
    report.is("show", {{"fixtures", opened->show->fixtures.size()},
                       {"palettes", opened->show->palettes.size()},
                       {"cue lists", opened->show->cue_lists.size()}});
    if (!sheet.empty() && ending != ".csv")
        return fail(ErrorCode::Unsupported, ZELO_TEXT("core", "{}: --sheet makes a table (.csv)"),
                    out);
    if (sheet == "patch")
        return writeFile(out, host::patchSheet(*opened->show, *context.library.sources()));
    if (sheet == "colours") {
        play::Mixes mixes;
        return writeFile(out, host::colourSheet(*opened->show, *context.library.sources(), mixes));
    }
    if (ending != ".mvr")
        return convertList(context, report, *opened, list, out);
    const auto bytes = files::mvrBytes(*opened->show, [&](const std::string& id) {
        const auto& own = opened->show->types.item(id); // before what ships under the same id
        return own ? own : context.library.type(id);
    });
    if (!bytes)
        return passOn(bytes.error(), out);
    return writeFile(out, *bytes);
}

// Another desk's cues as a list of a show with the rig that they are for.
Done convertCuesToShow(Context& context, Report& report, const files::AsciiCues& cues,
                       const std::string& in, const std::string& rig, const std::string& out) {
    if (rig.empty())
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "{}: cues become a show with --rig SHOW, whose lamps they are"), in);
    const auto opened = files::readShow(rig);
    if (!opened)
        return passOn(opened.error());
    play::Mixes mixes;
    auto taken = host::takeCues(*opened->show, *context.library.sources(), mixes, cues,
                                fs::path(in).stem().string());
    if (!taken)
        return passOn(taken.error(), in);
    tell(report, in, taken->notes);
    const auto with = show::addCueList(opened->show, std::move(taken->list));
    if (!with)
        return passOn(with.error(), in);
    return files::writeShow(out, **with, *opened->hand);
}

Done convertCues(Context& context, Report& report, const std::string& in, const std::string& rig,
                 const std::string& out) {
    const auto ending = endingOf(out);
    if (ending != ".asc" && ending != ".csv" && ending != ".zelo")
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "{}: cues become .asc, a cue sheet (.csv), or with --rig a "
                                      "show (.zelo)"),
                    out);
    const auto text = readFile(in);
    if (!text)
        return passOn(text.error());
    const auto cues = files::parseAsciiCues(*text);
    if (!cues)
        return passOn(cues.error(), in);
    tell(report, in, cues->notes);
    report.is("cues", {{"cues", cues->cues.size()}, {"channels", cues->patch.size()}});
    if (ending == ".zelo")
        return convertCuesToShow(context, report, *cues, in, rig, out);
    return writeFile(out,
                     ending == ".asc" ? files::asciiCuesText(*cues) : files::cueSheetCsv(*cues));
}

// Palettes and swatch books have many colours; anything else is one light.
Result<std::string> converted(Report& report, const std::string& in, const std::string& out) {
    const auto ending = endingOf(out);
    auto text = readFile(in);
    if (!text)
        return passOn(text.error());
    if (files::looksLikePalettes(*text)) {
        if (ending != ".gpl" && ending != ".csv")
            return fail(ErrorCode::Unsupported,
                        ZELO_TEXT("core", "{}: palettes become .gpl or .csv"), out);
        const auto table = files::parsePalettes(*text);
        if (!table)
            return passOn(table.error(), in);
        tell(report, in, table->notes);
        report.is("palettes", {{"colours", table->colours.size()}});
        return palettesAs(*table, out);
    }
    const auto spectrum = files::parseSpectrumTable(*text);
    const auto book = spectrum ? Result<files::ReadBook>() : files::readSwatchBook(in);
    if (ending == ".gpl") {
        if (spectrum || !book)
            return fail(ErrorCode::Unsupported,
                        ZELO_TEXT("core", "{}: only palettes and swatch books become .gpl"), in);
        tell(report, in, book->notes);
        report.is("swatch book", {{"gels", book->book.gels.size()}});
        return palettesAs(files::palettesOf(book->book), out);
    }
    const auto format = files::formatOf(out);
    if (!format)
        return passOn(format.error());
    if (spectrum) {
        report.is("spectrum", {});
        return files::spectrumText(*spectrum, *format,
                                   "converted from " + fs::path(in).filename().string());
    }
    if (book) {
        tell(report, in, book->notes);
        report.is("swatch book", {{"gels", book->book.gels.size()}});
        auto written = files::swatchBookText(book->book, *format);
        if (!written)
            return passOn(written.error(), out);
        return written;
    }
    if (text->find("SAMPLE_ID") != std::string::npos || text->rfind("id,", 0) == 0)
        return passOn(book.error());
    return passOn(spectrum.error(), in);
}

struct ConvertOptions {
    std::string in, out, gradient, group, list, rig, sheet;
};

Done convert(Context& context, Report& report, const ConvertOptions& o) {
    if (!o.gradient.empty())
        return convertGradient(context, report, o.gradient, o.group, o.out);
    if (isFixture(o.in))
        return convertFixture(report, o.in, o.out);
    if (endingOf(o.in) == ".mvr")
        return convertRig(context, report, o.in, o.out);
    if (endingOf(o.in) == ".zelo")
        return convertShow(context, report, o.in, o.list, o.sheet, o.out);
    if (endingOf(o.in) == ".asc")
        return convertCues(context, report, o.in, o.rig, o.out);
    const auto text = converted(report, o.in, o.out);
    if (!text)
        return passOn(text.error());
    return writeFile(o.out, *text);
}

} // namespace

void addConvert(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand(
        "convert",
        "spectra, swatch books, palettes, fixture types, rigs, cues between their formats");
    auto files = std::make_shared<ConvertOptions>();
    c->add_option("IN", files->in,
                  "a spectrum or swatch book (CSV, CGATS.17, TM-27), palettes (.gpl, CSV), a GDTF "
                  "fixture type, a rig (.mvr), a show (.zelo), cues (.asc)")
        ->required();
    c->add_option("OUT", files->out,
                  "the new file, by its ending; a fixture type also becomes a folder")
        ->required();
    c->add_option("--gradient", files->gradient,
                  "of a show (.zelo): its kept gradient, as .gpl, .csv or a cue (.asc)");
    c->add_option("--group", files->group, "of the show: the lamps the gradient is laid over");
    c->add_option("--list", files->list,
                  "of a show (.zelo): which of its cue lists, as .asc or a cue sheet (.csv)");
    c->add_option("--sheet", files->sheet,
                  "of a show (.zelo), as .csv: cues, colours or patch (cues when left out)")
        ->check(CLI::IsMember({"cues", "colours", "patch"}));
    c->add_option("--rig", files->rig,
                  "of cues (.asc): the show (.zelo) whose lamps they are, to become a show");
    c->add_flag("--json", context.json, "what was read and written, as JSON on stdout");
    c->callback([&context, files] {
        if (!files->rig.empty())
            context.show = files->rig;
        if (!files->gradient.empty() || endingOf(files->in) == ".zelo")
            context.show = files->in; // its types and palettes are known then
        context.run = [&context, files]() -> Done {
            Report report;
            if (auto done = convert(context, report, *files); !done || !context.json)
                return done;
            std::error_code none;
            Json written{{"file", files->out}};
            if (const auto bytes = fs::file_size(files->out, none); !none)
                written["bytes"] = bytes;
            report.read["file"] = files->in;
            put("{}\n",
                Json{{"read", report.read}, {"written", written}, {"notes", report.notes}}.dump(1));
            return {};
        };
    });
}

} // namespace zelo::cli
