// SPDX-License-Identifier: GPL-3.0-or-later
// Result<T>: a value or an Error. What comes from files, packets and people can fail, and its
// failure is a value that says what, where, and what was expected. Nothing of ours throws.
#pragma once

#include <fmt/format.h>
#include <string>
#include <tl/expected.hpp>
#include <utility>

namespace zelo {

enum class ErrorCode {
    NotFound,    // a file, id or name that is not there
    BadSyntax,   // text that does not read as its format
    BadValue,    // a value outside its range
    TooLarge,    // beyond a bound set to keep a hostile file harmless
    Unsupported, // sound, but from a newer version or another program
    Truncated,   // ends before it should
    Io,          // the disk or the network said no
    Busy,        // another program has it
    Changed,     // not any more as it was when we last looked
};

struct Error {
    ErrorCode code = ErrorCode::BadValue;
    std::string detail; // one line of English with the value and the rule
    std::string where;  // file, line, row or offset; empty when not known yet

    // "gels.txt, row 7: transmittance 1.9 at 430 nm: must be within 0..1.5"
    std::string text() const { return where.empty() ? detail : where + ": " + detail; }
};

template <class T>
class [[nodiscard]] Result : public tl::expected<T, Error> {
public:
    using tl::expected<T, Error>::expected;
};

using Done = Result<void>;

// What came out of a file may hold anything: a message stays one readable line of UTF-8.
std::string oneReadableLine(std::string text);

// fail(ErrorCode::BadValue, "give-up {}: must be within 0..1", x)
template <class... Args>
tl::unexpected<Error> fail(ErrorCode code, fmt::format_string<Args...> format, Args&&... args) {
    return tl::unexpected<Error>(Error{
        code, oneReadableLine(fmt::format(format, std::forward<Args>(args)...)), std::string()});
}

// Hands an error on, its place put in front: passOn(error, "gels.txt").
tl::unexpected<Error> passOn(Error error, const std::string& place = {});

} // namespace zelo
