// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/plain_text.h"

#include "base/text.h"

#include <algorithm>

namespace zelo::files {

Result<std::string> plainText(std::string_view bytes) {
    if (startsWith(bytes, "\xEF\xBB\xBF"))
        bytes.remove_prefix(3);
    std::size_t count = 1;
    std::size_t length = 0;
    for (const char c : bytes) {
        if (c == '\n' || c == '\r') {
            ++count;
            length = 0;
        } else if (++length > kLongestLine) {
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "line {}: longer than {} bytes"),
                        count, kLongestLine);
        }
        if (count > kMostLines)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} lines"), kMostLines);
    }
    return toUtf8(std::string(bytes));
}

Result<std::unique_ptr<pugi::xml_document>> boundedXml(std::string_view bytes,
                                                       const Sentence& what) {
    std::size_t marks = 0;
    std::size_t equals = 0;
    for (const char c : bytes) {
        marks += c == '<';
        equals += c == '=';
    }
    if (marks > kMostXmlMarks || equals > kMostXmlEquals)
        return passOn(Error{ErrorCode::TooLarge,
                            say(ZELO_TEXT("core", "more than {} elements or {} attributes"),
                                kMostXmlMarks / 2, kMostXmlEquals),
                            {}},
                      what);
    auto doc = std::make_unique<pugi::xml_document>();
    pugi::xml_parse_result parsed;
    if (isUtf8(bytes)) {
        parsed = doc->load_buffer(bytes.data(), bytes.size());
    } else { // it may be UTF-16, which says so itself; else it is made valid
        const bool wide = startsWith(bytes, "\xFF\xFE") || startsWith(bytes, "\xFE\xFF");
        const std::string valid = wide ? std::string(bytes) : toUtf8(std::string(bytes));
        parsed = doc->load_buffer(valid.data(), valid.size());
    }
    if (!parsed) {
        const auto before = bytes.substr(
            0, std::min(bytes.size(),
                        static_cast<std::size_t>(std::max<std::ptrdiff_t>(0, parsed.offset))));
        return passOn(Error{ErrorCode::BadSyntax, parsed.description(), {}},
                      say(ZELO_TEXT("core", "{} line {}"), what,
                          1 + std::count(before.begin(), before.end(), '\n')));
    }
    return doc;
}

} // namespace zelo::files
