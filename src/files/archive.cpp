// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/archive.h"

#include <algorithm>
#include <zip.h>

namespace zelo::files {

namespace {

// One file out of a ZIP archive; size bounded before it is unpacked.
Result<std::string> zipEntry(zip_t* archive, zip_uint64_t index) {
    zip_stat_t stat;
    if (zip_stat_index(archive, index, 0, &stat) != 0 || !stat.name)
        return fail(ErrorCode::Truncated, ZELO_TEXT("core", "the archive is damaged"));
    if (stat.size > kMostFileBytes)
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "{}: {} bytes unpacked, at most {} are read"), stat.name,
                    stat.size, kMostFileBytes);
    zip_file_t* file = zip_fopen_index(archive, index, 0);
    if (!file)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: {}"), stat.name, zip_strerror(archive));
    std::string bytes(stat.size, '\0');
    const auto got = zip_fread(file, bytes.data(), bytes.size());
    zip_fclose(file);
    if (got != static_cast<zip_int64_t>(bytes.size()))
        return fail(ErrorCode::Truncated, ZELO_TEXT("core", "{}: the archive is damaged"),
                    stat.name);
    return bytes;
}

Result<Files> zipEntries(zip_t* archive, std::size_t* left,
                         const std::function<bool(std::string_view)>& wanted) {
    Files files;
    std::size_t bytes = 0;
    const std::size_t most = left ? std::min(kMostArchiveBytes, *left) : kMostArchiveBytes;
    const auto count = zip_get_num_entries(archive, 0);
    for (zip_int64_t i = 0; i < count; ++i) {
        const char* name = zip_get_name(archive, static_cast<zip_uint64_t>(i), 0);
        if (!name || std::string_view(name).ends_with('/') || (wanted && !wanted(name)))
            continue;
        zip_stat_t stat;
        if (zip_stat_index(archive, static_cast<zip_uint64_t>(i), 0, &stat) == 0 &&
            stat.size > most - bytes)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} bytes in the archive"),
                        most);
        auto entry = zipEntry(archive, static_cast<zip_uint64_t>(i));
        if (!entry)
            return passOn(entry.error());
        bytes += entry->size();
        files[name] = std::move(*entry);
        if (files.size() > kMostFiles)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} files in the archive"),
                        kMostFiles);
    }
    if (left)
        *left -= bytes;
    return files;
}

} // namespace

Result<Files> unzipped(std::string_view bytes, const Sentence& what, std::size_t* left,
                       const std::function<bool(std::string_view)>& wanted) {
    zip_error_t error;
    zip_error_init(&error);
    zip_source_t* source = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &error);
    zip_t* archive = source ? zip_open_from_source(source, ZIP_RDONLY, &error) : nullptr;
    if (!archive) {
        const std::string why = zip_error_strerror(&error);
        if (source)
            zip_source_free(source);
        zip_error_fini(&error);
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "not {}: {}"), what, why);
    }
    auto files = zipEntries(archive, left, wanted);
    zip_discard(archive);
    zip_error_fini(&error);
    return files;
}

Result<std::string> zipped(const std::map<std::string, std::string>& files) {
    zip_error_t error;
    zip_error_init(&error);
    zip_source_t* source = zip_source_buffer_create(nullptr, 0, 0, &error);
    zip_t* zip = source ? zip_open_from_source(source, ZIP_TRUNCATE, &error) : nullptr;
    if (!zip) {
        const std::string why = zip_error_strerror(&error);
        zip_error_fini(&error);
        return fail(ErrorCode::Io, ZELO_TEXT("core", "cannot make an archive: {}"), why);
    }
    zip_error_fini(&error);
    zip_source_keep(source);
    for (const auto& [name, text] : files) {
        const auto at =
            zip_file_add(zip, name.c_str(), zip_source_buffer(zip, text.data(), text.size(), 0),
                         ZIP_FL_ENC_UTF_8);
        constexpr time_t kSameEachTime = 946'684'800; // 2000-01-01: archives of one type are equal
        if (at >= 0)
            zip_file_set_mtime(zip, static_cast<zip_uint64_t>(at), kSameEachTime, 0);
    }
    std::string bytes;
    if (zip_close(zip) == 0 && zip_source_open(source) == 0) {
        zip_stat_t stat;
        if (zip_source_stat(source, &stat) == 0) {
            bytes.resize(stat.size);
            if (zip_source_read(source, bytes.data(), bytes.size()) !=
                static_cast<zip_int64_t>(bytes.size()))
                bytes.clear();
        }
        zip_source_close(source);
    }
    zip_source_free(source);
    if (bytes.empty())
        return fail(ErrorCode::Io, ZELO_TEXT("core", "cannot make an archive"));
    return bytes;
}

} // namespace zelo::files
