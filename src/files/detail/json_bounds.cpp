// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/json_bounds.h"

#include "base/text.h"

#include <algorithm>
#include <nlohmann/json.hpp>

namespace zelo::files {

namespace {

// Sees every value go by and builds nothing. The parser under it keeps no more than a bit a level.
class Bounds : public nlohmann::json_sax<Json> {
public:
    bool null() override { return count(); }
    bool boolean(bool) override { return count(); }
    bool number_integer(number_integer_t) override { return count(); }
    bool number_unsigned(number_unsigned_t) override { return count(); }
    bool number_float(number_float_t, const string_t&) override { return count(); }
    bool string(string_t& text) override {
        return (text.size() <= kLongestJsonText || key_ == "gdtf" ||
                stop(ZELO_TEXT("core", "a text of more than {} bytes"), kLongestJsonText)) &&
               count();
    }
    bool binary(binary_t&) override { return false; }
    bool start_object(std::size_t) override { return open(); }
    bool start_array(std::size_t) override { return open(); }
    bool end_object() override { return close(); }
    bool end_array() override { return close(); }
    bool key(string_t& name) override {
        key_ = name;
        return ++members_.back() <= kMostMembers ||
               stop(ZELO_TEXT("core", "more than {} members in one object"), kMostMembers);
    }
    bool parse_error(std::size_t at, const std::string&,
                     const nlohmann::detail::exception& e) override {
        byte = at;
        out_of_range = dynamic_cast<const nlohmann::detail::out_of_range*>(&e) != nullptr;
        return false;
    }

    Sentence too_much;    // empty: within bounds
    std::size_t byte = 0; // of a fault
    bool out_of_range = false;

private:
    template <class... Args>
    bool stop(fmt::format_string<Args...> format, Args&&... args) {
        too_much = say(format, std::forward<Args>(args)...);
        return false;
    }
    bool count() {
        return ++values_ <= kMostJsonValues ||
               stop(ZELO_TEXT("core", "more than {} values"), kMostJsonValues);
    }
    bool open() {
        members_.push_back(0);
        if (static_cast<int>(members_.size()) > kDeepestJson)
            return stop(ZELO_TEXT("core", "more than {} lists and objects in each other"),
                        kDeepestJson);
        return count();
    }
    bool close() {
        members_.pop_back();
        return true;
    }
    std::string key_;                  // the last one
    std::vector<std::size_t> members_; // of each open object
    std::size_t values_ = 0;
};

Sentence lineOf(std::string_view text, std::size_t byte) {
    const auto before = text.substr(0, std::min(byte, text.size()));
    return say(ZELO_TEXT("core", "line {}"), 1 + std::count(before.begin(), before.end(), '\n'));
}

} // namespace

Result<Json> boundedJson(std::string_view text) {
    std::string valid;
    if (!isUtf8(text)) {
        valid = toUtf8(std::string(text));
        text = valid;
    }
    Bounds bounds;
    if (!Json::sax_parse(text.begin(), text.end(), &bounds)) {
        if (!bounds.too_much.empty())
            return passOn(Error{ErrorCode::TooLarge, bounds.too_much, {}});
        if (bounds.out_of_range) // 1e999
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "a number in it is too large for any computer"));
        return passOn(Error{ErrorCode::BadSyntax,
                            say(ZELO_TEXT("core", "not readable as JSON from here")),
                            {}},
                      lineOf(text, bounds.byte));
    }
    return Json::parse(text.begin(), text.end(), nullptr, false);
}

} // namespace zelo::files
