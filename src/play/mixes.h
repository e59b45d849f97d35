// SPDX-License-Identifier: GPL-3.0-or-later
// Mixes by value: the same colour on the same type is solved once. Thread-safe.
#pragma once

#include "light/wanted.h"
#include "mix/mix.h"
#include "show/show.h"

#include <map>
#include <memory>
#include <mutex>
#include <string>

namespace zelo::play {

// Fixture types by id; the owner of the library implements it. Thread-safe.
class TypeSource {
public:
    virtual ~TypeSource() = default;
    virtual std::shared_ptr<const light::FixtureType> type(const std::string& id) const = 0;
};

// A colour on one fixture type and mode.
struct MixedColour {
    std::shared_ptr<const mix::Mixer> mixer; // that made it: its place is not used again meanwhile
    light::Wanted wanted;
    mix::MixWish wish;
    mix::Mix mix;
    std::string trouble; // why the colour is not to be had as asked, in one line; empty when it is
};

class Mixes {
public:
    Mixes(const TypeSource& types, const light::ColourSources& colours)
        : types_(types), colours_(colours) {}

    // Null when the source has no such type or mode. After a type was changed it is a new one.
    std::shared_ptr<const mix::Mixer> mixer(const std::string& type, const std::string& mode);

    // Of one fixture: as above, by its calibration when it has one.
    std::shared_ptr<const mix::Mixer> mixerOf(const show::Fixture& fixture);

    // Reads the notation, once per text.
    Result<light::Wanted> wanted(const std::string& asked);

    // Always answers. When the colour
    // cannot be read (its gel is not in any book) the wish's own u'v' is mixed instead, and
    // `trouble` says so. Keep-outs and pins naming emitters that this type does not have are passed
    // over.
    // `off`: how far from its data the fixture shows colours; asked for that far the other way.
    std::shared_ptr<const MixedColour> mixed(const std::shared_ptr<const mix::Mixer>& mixer,
                                             const show::ColourWish& wish,
                                             const colour::Uv& off = {0, 0});

    void forgetColours(); // after a book or palette changed

private:
    const TypeSource& types_;
    const light::ColourSources& colours_;
    std::mutex mutex_;
    std::map<std::pair<std::string, std::string>, std::shared_ptr<const mix::Mixer>> mixers_;
    std::vector<std::shared_ptr<const mix::Mixer>>
        retired_; // of types that changed: keys of mixed_
    struct Own {  // of a calibrated fixture
        std::shared_ptr<const show::Calibration> by;
        std::shared_ptr<const mix::Mixer> general; // of its type: a changed type makes another
        std::shared_ptr<const mix::Mixer> mixer;
    };
    std::map<std::pair<const show::Calibration*, const mix::Mixer*>, Own> own_;
    std::map<std::string, Result<light::Wanted>> wanted_;
    std::map<std::string, std::shared_ptr<const MixedColour>> mixed_;
};

} // namespace zelo::play
