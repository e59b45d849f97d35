// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/camera_file.h"

#include "base/file.h"
#include "base/text.h"
#include "files/cgats.h"
#include "files/detail/plain_text.h"
#include "files/detail/spectral_csv.h"

#include <algorithm>

namespace zelo::files {

using colour::Samples;

namespace {

constexpr std::size_t kMostBytes = 8u << 20;
constexpr double kNoise = 0.01; // of the channel's largest: so far below nothing

using Rows = std::array<Samples, 3>;

Result<Rows> rowsOfCsv(std::string_view text, std::string& name) {
    constexpr std::string_view kName = "# name:";
    for (const std::string_view line : lines(text))
        if (startsWith(line, kName))
            name = trimmed(line.substr(kName.size()));
    auto columns = spectralCsv(text, 3, say(ZELO_TEXT("core", "a wavelength in nm, r, g and b")));
    if (!columns)
        return passOn(columns.error());
    return Rows{std::move((*columns)[0]), std::move((*columns)[1]), std::move((*columns)[2])};
}

Result<Rows> rowsOfCgats(std::string_view text, std::string& name) {
    auto table = parseCgats(text);
    if (!table)
        return passOn(table.error());
    name = table->keywords["DESCRIPTOR"];
    Rows rows;
    const int nm = std::max(table->field("NM"), table->field("WAVELENGTH"));
    if (nm < 0) { // three rows, r, g and b
        const auto columns = spectralColumns(*table);
        if (!columns)
            return passOn(columns.error());
        if (table->rows.size() != 3)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "{} rows: a camera has three, r, g and b"),
                        table->rows.size());
        for (std::size_t k = 0; k < 3; ++k) {
            auto samples = spectrumInRow(*table, *columns, k);
            if (!samples)
                return passOn(samples.error());
            rows[k] = std::move(*samples);
        }
        return rows;
    }
    constexpr const char* kFields[] = {"RGB_R", "RGB_G", "RGB_B"};
    for (std::size_t k = 0; k < 3; ++k) {
        const int field = table->field(kFields[k]);
        if (field < 0)
            return fail(ErrorCode::BadSyntax,
                        ZELO_TEXT("core", "no field {}: expected NM, RGB_R, RGB_G and RGB_B"),
                        kFields[k]);
        for (std::size_t r = 0; r < table->rows.size(); ++r) {
            const auto at = toNumber(table->rows[r][static_cast<std::size_t>(nm)]);
            const auto value = toNumber(table->rows[r][static_cast<std::size_t>(field)]);
            if (!at || !value)
                return fail(ErrorCode::BadValue, ZELO_TEXT("core", "line {}: {} must be a number"),
                            table->row_lines[r], at ? kFields[k] : "NM");
            rows[k].wavelengths_nm.push_back(*at);
            rows[k].values.push_back(*value);
        }
    }
    return rows;
}

} // namespace

Result<CameraFile> parseCamera(std::string_view bytes) {
    const auto plain = plainText(bytes);
    if (!plain)
        return passOn(plain.error());
    const std::string_view text = *plain;
    CameraFile file;
    auto rows = text.find("BEGIN_DATA") != std::string_view::npos ? rowsOfCgats(text, file.name)
                                                                  : rowsOfCsv(text, file.name);
    if (!rows)
        return passOn(rows.error());
    std::size_t noise = 0;
    for (Samples& s : *rows) {
        const auto most = std::max_element(s.values.begin(), s.values.end());
        for (double& v : s.values)
            if (v < 0 && v >= -kNoise * *most) {
                v = 0;
                ++noise;
            }
    }
    auto channels = colour::channelsFrom(*rows);
    if (!channels)
        return passOn(channels.error());
    file.channels = std::move(*channels);
    if (noise > 0)
        file.notes.push_back(
            say(ZELO_TEXT("core", "{} values a little below 0 are taken for 0"), noise));
    const auto& nm = (*rows)[0].wavelengths_nm;
    if (nm.front() > colour::kGridFirstNm || nm.back() < colour::kGridLastNm)
        file.notes.push_back(
            say(ZELO_TEXT("core", "known from {} to {} nm: beyond it is taken to see nothing"),
                nm.front(), nm.back()));
    return file;
}

Result<CameraFile> readCamera(const std::filesystem::path& path) {
    const auto text = readFile(path, kMostBytes);
    if (!text)
        return passOn(text.error());
    auto file = parseCamera(*text);
    if (!file)
        return passOn(file.error(), path.string());
    if (trimmed(file->name).empty())
        file->name = path.stem().string();
    return file;
}

} // namespace zelo::files
