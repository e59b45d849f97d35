// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/sentence.h"

#include "base/text.h"

#include <ostream>

namespace zelo {

namespace {

// Calls `text` with what stands between fields and `field` with what is inside of one's braces.
template <class Text, class Field>
void walk(std::string_view form, Text text, Field field) {
    std::string between;
    for (std::size_t i = 0; i < form.size(); ++i) {
        const char c = form[i];
        const bool doubled = i + 1 < form.size() && form[i + 1] == c;
        if ((c == '{' || c == '}') && doubled) {
            between += c;
            ++i;
            continue;
        }
        const auto end = c == '{' ? form.find('}', i) : std::string_view::npos;
        if (end == std::string_view::npos) {
            between += c;
            continue;
        }
        text(std::exchange(between, {}));
        field(form.substr(i + 1, end - i - 1));
        i = end;
    }
    text(between);
}

} // namespace

std::string oneReadableLine(std::string text, std::size_t most) {
    const bool cut = text.size() > most;
    if (cut)
        text.resize(most);
    text = toUtf8(std::move(text));
    if (cut)
        text.append("…");
    for (char& c : text)
        if (static_cast<unsigned char>(c) < 0x20 || c == 0x7f)
            c = ' ';
    return text;
}

std::string filled(const std::string& form, const std::vector<std::string>& parts) {
    std::string all;
    std::size_t next = 0;
    walk(
        form, [&](const std::string& text) { all += text; },
        [&](std::string_view field) {
            std::size_t at = next++;
            if (!field.empty() && field[0] >= '0' && field[0] <= '9')
                at = static_cast<std::size_t>(field[0] - '0');
            if (at < parts.size())
                all += parts[at];
        });
    return all;
}

std::string Sentence::english() const {
    if (plain)
        return form;
    std::vector<std::string> texts;
    for (const Sentence& part : parts)
        texts.push_back(part.english());
    return filled(form, texts);
}

std::ostream& operator<<(std::ostream& out, const Sentence& sentence) {
    return out << sentence.english();
}

namespace detail {

Sentence sentenceOf(fmt::string_view form, fmt::format_args arguments) {
    Sentence all{std::string(form.data(), form.size())};
    all.plain = false;
    std::size_t fields = 0; // they share what a line may hold
    walk(
        all.form, [](const std::string&) {}, [&](std::string_view) { ++fields; });
    walk(
        all.form, [](const std::string&) {},
        [&](std::string_view field) { // "" or ":.3f"
            const auto one = fmt::format("{{{}{}}}", all.parts.size(), field);
            all.parts.emplace_back(oneReadableLine(fmt::vformat(one, arguments), 400 / fields));
        });
    return all;
}

} // namespace detail

} // namespace zelo
