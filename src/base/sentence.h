// SPDX-License-Identifier: GPL-3.0-or-later
// What is said to people, as a form and what stands in it, so that it can be said in their
// language. The forms are English; the command line and the log say them as they are.
#pragma once

#include <fmt/format.h>
#include <iosfwd>
#include <string>
#include <type_traits>
#include <utility>
#include <vector>

// Marks a text for translation, where the program does not change it: lupdate reads it as
// QT_TRANSLATE_NOOP. The context is "core" for all below the interface.
#define ZELO_TEXT(context, text) text

namespace zelo {

struct Sentence {
    std::string form;            // with {} where its parts stand; a plain text has none
    std::vector<Sentence> parts; // in the order of the form's fields
    bool plain = true;           // a name or a number: the same in every language

    Sentence() = default;
    Sentence(std::string text) : form(std::move(text)) {} // NOLINT: names are sentences, too
    Sentence(const char* text) : form(text) {}            // NOLINT

    std::string english() const;
    bool empty() const { return form.empty(); }
    friend bool operator==(const Sentence&, const Sentence&) = default;
    friend std::ostream& operator<<(std::ostream& out, const Sentence& sentence); // in English
};

// A form in another language, in which parts may stand in another order as {0}, {1}; those that
// are missing are left out.
std::string filled(const std::string& form, const std::vector<std::string>& parts);

// What came out of a file may hold anything: a message stays one readable line of UTF-8.
std::string oneReadableLine(std::string text, std::size_t most = 400);

namespace detail {
// Each field of the form with its argument, as plain text.
Sentence sentenceOf(fmt::string_view form, fmt::format_args arguments);
template <class T>
void nest(Sentence& part, const T& argument) {
    if constexpr (std::is_same_v<T, Sentence>)
        part = argument;
}
} // namespace detail

} // namespace zelo

template <>
struct fmt::formatter<zelo::Sentence> : fmt::formatter<std::string> {
    template <class Context>
    auto format(const zelo::Sentence& sentence, Context& context) const {
        return fmt::formatter<std::string>::format(sentence.english(), context);
    }
};

namespace zelo {

// say(ZELO_TEXT("core", "give-up {}: must be within 0..1"), x). A part may be a sentence itself.
// Fields are in the order of the arguments.
template <class... Args>
Sentence say(fmt::format_string<Args...> form, Args&&... arguments) {
    Sentence all = detail::sentenceOf(form, fmt::make_format_args(arguments...));
    std::size_t i = 0;
    (detail::nest<std::decay_t<Args>>(all.parts[i++], arguments), ...);
    return all;
}

} // namespace zelo
