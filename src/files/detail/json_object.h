// SPDX-License-Identifier: GPL-3.0-or-later
// Reading JSON strictly: members by name with their range, the first fault with its place.
#pragma once

#include "base/result.h"
#include "files/detail/json_bounds.h"

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::files {

// Where a value stands, "fixtures[3].address", worked out only when it is told. Points to what is
// around it, which outlives it.
class JsonPath {
public:
    JsonPath() = default; // the whole file
    JsonPath(const JsonPath& around, const char* name) : around_(&around), name_(name) {}
    JsonPath(const JsonPath& around, std::size_t index) : around_(&around), index_(index) {}
    std::string text() const {
        const std::string before = around_ ? around_->text() : std::string();
        if (!name_)
            return around_ ? fmt::format("{}[{}]", before, index_) : before;
        return before.empty() || !*name_ ? before + name_ : before + "." + name_;
    }

private:
    const JsonPath* around_ = nullptr;
    const char* name_ = nullptr; // none: an element of a list
    std::size_t index_ = 0;
};

// Takes members out of an object one by one, remembers the first thing that is wrong, and what was
// not asked for. `path` is where the object stands: "fixtures[3]".
class JsonObject {
public:
    JsonObject(const Json& json, const JsonPath& path) : json_(json), path_(path) {
        known_.reserve(16);
        if (!json_.is_object())
            complain("", say(ZELO_TEXT("core", "expected an object {{…}}")));
    }

    double number(const char* name, double otherwise, double least, double most) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        const double value = j->is_number() ? j->get<double>() : NAN;
        if (!(value >= least && value <= most)) {
            complain(name, say(ZELO_TEXT("core", "{}: must be a number within {}..{}"),
                               j->dump().substr(0, 40), least, most));
            return otherwise;
        }
        return value;
    }
    int integer(const char* name, int otherwise, int least, int most) {
        const double value = number(name, otherwise, least, most);
        if (value != std::floor(value))
            complain(name, say(ZELO_TEXT("core", "{}: must be a whole number"), value));
        return static_cast<int>(value);
    }
    bool flag(const char* name) { // false when it is not there
        const Json* j = member(name);
        if (j && !j->is_boolean())
            complain(name, say(ZELO_TEXT("core", "expected true or false")));
        return j && j->is_boolean() && j->get<bool>();
    }
    std::string text(const char* name, std::string otherwise = {}) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        if (!j->is_string()) {
            complain(name, say(ZELO_TEXT("core", "expected text")));
            return otherwise;
        }
        return j->get<std::string>();
    }
    // An array's elements, each with its path: take(json, const JsonPath&).
    template <class F>
    void each(const char* name, std::size_t most, F take) {
        const Json* j = member(name);
        if (!j)
            return;
        if (!j->is_array() || j->size() > most) {
            complain(name, say(ZELO_TEXT("core", "expected a list of at most {}"), most));
            return;
        }
        const JsonPath list = at(name);
        for (std::size_t i = 0; i < j->size() && !error_; ++i)
            take((*j)[i], JsonPath(list, i));
    }
    const Json* member(const char* name) {
        known_.push_back(name);
        if (!json_.is_object())
            return nullptr;
        const auto it = json_.find(name);
        return it == json_.end() ? nullptr : &*it;
    }
    std::string unknown() const { // as JSON text; empty when there is nothing
        Json rest = Json::object();
        if (json_.is_object())
            for (const auto& [key, value] : json_.items())
                if (std::find(known_.begin(), known_.end(), key) == known_.end())
                    rest.push_back({key, value});
        for (const auto& [name, inner] : inside_)
            rest.push_back({name, Json::parse(inner)});
        return rest.empty() ? std::string() : rest.dump();
    }
    // What was not asked for in a member that is an object itself.
    void keepUnknown(const char* name, const JsonObject& inner) {
        if (auto rest = inner.unknown(); !rest.empty())
            inside_.emplace_back(name, std::move(rest));
    }
    JsonPath at(const char* name) const { return {path_, name}; }
    void complain(const char* name, Sentence what) {
        if (!error_)
            error_ = Error{ErrorCode::BadValue, std::move(what), {at(name).text()}};
    }
    void take(const std::optional<Error>& error) {
        if (!error_)
            error_ = error;
    }
    const std::optional<Error>& error() const { return error_; }

private:
    const Json& json_;
    JsonPath path_;
    std::vector<std::string_view> known_; // literals and keys of `json_`
    std::vector<std::pair<std::string, std::string>> inside_;
    std::optional<Error> error_;
};

// Adds what is missing in `to`, also inside of objects that both have.
inline void addMissing(Json& to, const Json& rest) {
    if (!rest.is_object())
        return;
    for (const auto& [key, value] : rest.items()) {
        if (!to.contains(key))
            to[key] = value;
        else if (to[key].is_object())
            addMissing(to[key], value);
    }
}

inline void writeUnknown(Json& to, const std::string& unknown) {
    if (!unknown.empty())
        addMissing(to, Json::parse(unknown, nullptr, false));
}

} // namespace zelo::files
