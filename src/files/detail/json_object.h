// SPDX-License-Identifier: GPL-3.0-or-later
// Reading JSON strictly: members by name with their range, the first fault with its place.
#pragma once

#include "base/result.h"

#include <cmath>
#include <nlohmann/json.hpp>
#include <optional>
#include <set>
#include <string>

namespace zelo::files {

using Json = nlohmann::ordered_json;

// Takes members out of an object one by one, remembers the first thing that is wrong, and what was
// not asked for. `path` is where the object stands: "fixtures[3]".
class JsonObject {
public:
    JsonObject(const Json& json, std::string path) : json_(json), path_(std::move(path)) {
        if (!json_.is_object())
            complain("", "expected an object {…}");
    }

    double number(const char* name, double otherwise, double least, double most) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        const double value = j->is_number() ? j->get<double>() : NAN;
        if (!(value >= least && value <= most)) {
            complain(name, fmt::format("{}: must be a number within {}..{}",
                                       j->dump().substr(0, 40), least, most));
            return otherwise;
        }
        return value;
    }
    int integer(const char* name, int otherwise, int least, int most) {
        const double value = number(name, otherwise, least, most);
        if (value != std::floor(value))
            complain(name, fmt::format("{}: must be a whole number", value));
        return static_cast<int>(value);
    }
    bool flag(const char* name) { // false when it is not there
        const Json* j = member(name);
        if (j && !j->is_boolean())
            complain(name, "expected true or false");
        return j && j->is_boolean() && j->get<bool>();
    }
    std::string text(const char* name, std::string otherwise = {}) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        if (!j->is_string()) {
            complain(name, "expected text");
            return otherwise;
        }
        return j->get<std::string>();
    }
    // An array's elements, each with its path.
    template <class F>
    void each(const char* name, std::size_t most, F take) {
        const Json* j = member(name);
        if (!j)
            return;
        if (!j->is_array() || j->size() > most) {
            complain(name, fmt::format("expected a list of at most {}", most));
            return;
        }
        for (std::size_t i = 0; i < j->size() && !error_; ++i)
            take((*j)[i], fmt::format("{}[{}]", at(name), i));
    }
    const Json* member(const char* name) {
        known_.insert(name);
        if (!json_.is_object())
            return nullptr;
        const auto it = json_.find(name);
        return it == json_.end() ? nullptr : &*it;
    }
    std::string unknown() const { // as JSON text; empty when there is nothing
        Json rest = Json::object();
        if (json_.is_object())
            for (const auto& [key, value] : json_.items())
                if (!known_.contains(key))
                    rest[key] = value;
        return rest.empty() ? std::string() : rest.dump();
    }
    std::string at(const char* name) const {
        return path_.empty() ? name : *name ? path_ + "." + name : path_;
    }
    void complain(const char* name, std::string what) {
        if (!error_)
            error_ = Error{ErrorCode::BadValue, std::move(what), at(name)};
    }
    void take(const std::optional<Error>& error) {
        if (!error_)
            error_ = error;
    }
    const std::optional<Error>& error() const { return error_; }

private:
    const Json& json_;
    std::string path_;
    std::set<std::string> known_;
    std::optional<Error> error_;
};

inline void writeUnknown(Json& to, const std::string& unknown) {
    if (unknown.empty())
        return;
    const auto rest = Json::parse(unknown, nullptr, false);
    if (rest.is_object())
        for (const auto& [key, value] : rest.items())
            if (!to.contains(key))
                to[key] = value;
}

} // namespace zelo::files
