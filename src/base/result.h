// SPDX-License-Identifier: GPL-3.0-or-later
// Result<T>: a value or an Error. What comes from files, packets and people can fail, and its
// failure is a value that says what, where, and what was expected. Nothing of ours throws.
#pragma once

#include "base/sentence.h"

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
    Sentence what;               // the value and the rule
    std::vector<Sentence> where; // file, line, row or offset; empty when not known yet

    // "gels.txt, row 7: transmittance 1.9 at 430 nm: must be within 0..1.5"
    std::string text() const;
    Sentence sentence() const; // the same
};

template <class T>
class [[nodiscard]] Result : public tl::expected<T, Error> {
public:
    using tl::expected<T, Error>::expected;
};

using Done = Result<void>;

// fail(ErrorCode::BadValue, ZELO_TEXT("core", "give-up {}: must be within 0..1"), x)
template <class... Args>
tl::unexpected<Error> fail(ErrorCode code, fmt::format_string<Args...> form, Args&&... args) {
    return tl::unexpected<Error>(Error{code, say(form, std::forward<Args>(args)...), {}});
}

// Hands an error on, its place put in front: passOn(error, "gels.txt").
tl::unexpected<Error> passOn(Error error, Sentence place = {});

} // namespace zelo
