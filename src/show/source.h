// SPDX-License-Identifier: GPL-3.0-or-later
// What all that is kept in a show is built of: ids, heads with names, and where a value comes from.
#pragma once

#include <compare>
#include <memory>
#include <string>
#include <variant>

namespace zelo::show {

struct FixtureId {
    int value = 0; // from 1, never used again in a show
    auto operator<=>(const FixtureId&) const = default;
};
struct GroupId {
    int value = 0;
    auto operator<=>(const GroupId&) const = default;
};
struct PaletteId {
    int value = 0; // 0 = none
    explicit operator bool() const { return value != 0; }
    auto operator<=>(const PaletteId&) const = default;
};
struct LookId {
    int value = 0;
    auto operator<=>(const LookId&) const = default;
};

struct CueListId {
    int value = 0;
    auto operator<=>(const CueListId&) const = default;
};
struct FaderId {
    int value = 0;
    auto operator<=>(const FaderId&) const = default;
};

// What everything that is kept under a name begins with.
template <class Id>
struct Head {
    Id id = {};
    std::string name;    // of each kind each once in a show
    bool locked = false; // refuses to be changed or deleted
    std::string unknown; // JSON members of the file that we do not use, kept for writing
    friend bool operator==(const Head&, const Head&) = default;
};

struct Laying; // show/gradient.h: a gradient and the lamps it is laid over
using LayingPtr = std::shared_ptr<const Laying>;
PaletteId keptOf(const Laying& laying); // the palette it follows; none when it follows none

// Where a value comes from: set here, or it follows a palette, or it is the place of its lamp in a
// gradient.
template <class T>
class Source {
public:
    Source(T here) : from_(std::move(here)) {}
    Source(PaletteId palette) : from_(palette) {}
    Source(LayingPtr laying) : from_(std::move(laying)) {}   // not null
    const T* here() const { return std::get_if<T>(&from_); } // null when it follows
    const LayingPtr* laying() const { return std::get_if<LayingPtr>(&from_); } // null: in none
    PaletteId palette() const { // also a gradient's; none when it is set here
        if (const auto* laid = laying())
            return keptOf(**laid);
        const auto* id = std::get_if<PaletteId>(&from_);
        return id ? *id : PaletteId{};
    }
    friend bool operator==(const Source&, const Source&) = default;

private:
    std::variant<T, PaletteId, LayingPtr> from_;
};

} // namespace zelo::show
