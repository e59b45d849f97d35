// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/cgats.h"

#include "base/text.h"

#include <algorithm>

namespace zelo::files {

namespace {

constexpr std::size_t kMostRows = 100'000;
constexpr std::size_t kMostFields = 10'000;
constexpr std::size_t kMostWords = 3'000'000;

struct Word {
    std::string text;
    int line;
    bool quoted;
};

// Words parted by white space; "quoted words" are one; # begins a comment.
Result<std::vector<Word>> wordsOf(std::string_view text) {
    std::vector<Word> words;
    int line_no = 0;
    for (std::string_view line : lines(text)) {
        ++line_no;
        for (;;) {
            line = trimmed(line);
            if (line.empty() || line[0] == '#')
                break;
            if (words.size() >= kMostWords)
                return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "line {}: more than {} words"),
                            line_no, kMostWords);
            if (line[0] == '"') {
                const auto end = line.find('"', 1);
                if (end == std::string_view::npos)
                    return passOn(Error{ErrorCode::BadSyntax,
                                        say(ZELO_TEXT("core", "a quote is not closed")),
                                        {}},
                                  say(ZELO_TEXT("core", "line {}"), line_no));
                words.push_back({std::string(line.substr(1, end - 1)), line_no, true});
                line.remove_prefix(end + 1);
            } else {
                const auto end = line.find_first_of(" \t#\"");
                words.push_back({std::string(line.substr(0, end)), line_no, false});
                line.remove_prefix(end == std::string_view::npos ? line.size() : end);
            }
        }
    }
    return words;
}

tl::unexpected<Error> badSyntax(int line, Sentence what) {
    return passOn(Error{ErrorCode::BadSyntax, std::move(what), {}},
                  say(ZELO_TEXT("core", "line {}"), line));
}

} // namespace

int CgatsTable::field(std::string_view name) const {
    const auto it = std::find(fields.begin(), fields.end(), name);
    return it == fields.end() ? -1 : static_cast<int>(it - fields.begin());
}

Result<CgatsTable> parseCgats(std::string_view text) {
    auto words = wordsOf(text);
    if (!words)
        return passOn(words.error());
    CgatsTable table;
    if (words->empty())
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "the file is empty"));
    table.kind = words->front().text;
    bool had_data = false;
    for (std::size_t i = 1; i < words->size() && !had_data; ++i) { // the first table of a file
        const Word& w = (*words)[i];
        if (w.text == "BEGIN_DATA_FORMAT" && !w.quoted) {
            if (!table.fields.empty())
                return badSyntax(w.line, "a second BEGIN_DATA_FORMAT before any data");
            while (++i < words->size() && (*words)[i].text != "END_DATA_FORMAT") {
                table.fields.push_back((*words)[i].text);
                if (table.fields.size() > kMostFields)
                    return badSyntax(w.line,
                                     say(ZELO_TEXT("core", "more than {} fields"), kMostFields));
            }
            if (i == words->size())
                return badSyntax(w.line, "BEGIN_DATA_FORMAT without END_DATA_FORMAT");
        } else if (w.text == "BEGIN_DATA" && !w.quoted) {
            if (table.fields.empty())
                return badSyntax(w.line, "data before any BEGIN_DATA_FORMAT");
            had_data = true;
            std::vector<std::string> row;
            int row_line = 0;
            while (++i < words->size() && ((*words)[i].quoted || (*words)[i].text != "END_DATA")) {
                const Word& cell = (*words)[i];
                // A row may run over lines, but a new row that begins before the last is full is
                // a row with too few values: say so where it is.
                if (row.empty())
                    row_line = cell.line;
                row.push_back(cell.text);
                if (row.size() == table.fields.size()) {
                    table.rows.push_back(std::move(row));
                    table.row_lines.push_back(row_line);
                    row.clear();
                    if (table.rows.size() > kMostRows)
                        return badSyntax(row_line,
                                         say(ZELO_TEXT("core", "more than {} rows"), kMostRows));
                }
            }
            if (i == words->size())
                return badSyntax(w.line, "BEGIN_DATA without END_DATA: the file is cut short");
            if (!row.empty())
                return badSyntax(row_line,
                                 say(ZELO_TEXT("core", "{} values left over: each row needs {}"),
                                     row.size(), table.fields.size()));
        } else { // a keyword's value stands in its line, if it has one
            const bool value = i + 1 < words->size() && (*words)[i + 1].line == w.line &&
                               !startsWith((*words)[i + 1].text, "BEGIN_DATA");
            table.keywords[w.text] = value ? (*words)[++i].text : "";
        }
    }
    if (!had_data)
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "no BEGIN_DATA: expected a CGATS.17 table"));
    if (const auto said = table.keywords.find("NUMBER_OF_SETS"); said != table.keywords.end())
        if (const auto n = toInteger(said->second);
            n && static_cast<std::size_t>(std::max(*n, 0)) != table.rows.size())
            return fail(ErrorCode::BadSyntax,
                        ZELO_TEXT("core", "NUMBER_OF_SETS says {}, the table has {} rows"), *n,
                        table.rows.size());
    return table;
}

Result<SpectralColumns> spectralColumns(const CgatsTable& table) {
    std::vector<std::pair<double, std::size_t>> found;
    for (std::size_t i = 0; i < table.fields.size(); ++i) {
        const std::string_view name = table.fields[i];
        std::string upper(name); // "nm380" too
        for (char& letter : upper)
            if (letter >= 'a' && letter <= 'z')
                letter = static_cast<char>(letter - 'a' + 'A');
        for (const std::string_view prefix :
             {"SPECTRAL_NM_", "SPECTRAL_NM", "SPECTRAL_", "SPEC_", "NM_", "NM"})
            if (startsWith(upper, prefix)) {
                if (const auto nm = toNumber(name.substr(prefix.size())))
                    found.emplace_back(*nm, i);
                break;
            }
    }
    if (found.size() < 3)
        return fail(
            ErrorCode::BadSyntax,
            ZELO_TEXT("core", "{} spectral columns: expected 3 or more, named like SPECTRAL_NM400"),
            found.size());
    std::sort(found.begin(), found.end());
    SpectralColumns columns;
    for (const auto& [nm, column] : found) {
        columns.wavelengths_nm.push_back(nm);
        columns.columns.push_back(column);
    }
    return columns;
}

Result<colour::Samples> spectrumInRow(const CgatsTable& table, const SpectralColumns& columns,
                                      std::size_t row) {
    colour::Samples samples;
    samples.wavelengths_nm = columns.wavelengths_nm;
    for (const std::size_t c : columns.columns) {
        const auto value = toNumber(table.rows[row][c]);
        if (!value)
            return passOn(Error{ErrorCode::BadValue,
                                say(ZELO_TEXT("core", "'{}' in {}: expected a number"),
                                    table.rows[row][c], table.fields[c]),
                                {}},
                          say(ZELO_TEXT("core", "line {}"), table.row_lines[row]));
        samples.values.push_back(*value);
    }
    return samples;
}

} // namespace zelo::files
