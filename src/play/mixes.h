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

// One moment of all that colours and types come from: library, books, and the show's own palettes,
// measured lights and types. Never changes; read it from any thread.
class Sources : public light::ColourSources {
public:
    virtual std::shared_ptr<const light::FixtureType> type(const std::string& id) const = 0;
    // Those in use of the show's cameras; null where there is none.
    virtual colour::CamerasPtr cameras() const { return nullptr; }
    // Another one whenever a colour asked for may mean another light.
    virtual std::uint64_t version() const = 0;
};

// A colour on one fixture type and mode.
struct MixedColour {
    std::shared_ptr<const mix::Mixer> mixer; // that made it: its place is not used again meanwhile
    std::shared_ptr<const light::Wanted> source; // likewise; null where `trouble` says why
    light::Wanted wanted;
    mix::MixWish wish;
    mix::Mix mix;
    Sentence trouble; // why the colour is not to be had as asked, in one line; empty when it is
};

struct LaidOut;

// The wish for a colour on this type: keep-outs and pins by their names there, and for whom.
mix::MixWish wishFor(const light::FixtureType& type, const show::ColourWish& wish,
                     const colour::CamerasPtr& cameras);

// A camera of the show with the light that it is balanced to. Errors name the camera.
Result<colour::Camera> cameraFrom(const show::FilmCamera& camera, const light::ColourSources& from);

// Of its parts where no colour is asked for.
light::Drives homeDrives(const mix::Mixer& mixer, const show::Fixture& fixture);

class Mixes {
public:
    // Null when there is no such type or mode. After a type was changed it is a new one. Made
    // outside of any lock: nobody waits for another one's mixer.
    std::shared_ptr<const mix::Mixer> mixer(const Sources& from, const std::string& type,
                                            const std::string& mode);

    // Of one fixture: as above, by its calibration when it has one.
    std::shared_ptr<const mix::Mixer> mixerOf(const Sources& from, const show::Fixture& fixture);

    // The light asked for. The same one as long as it is the same light, whatever else changed.
    Result<std::shared_ptr<const light::Wanted>> wanted(const Sources& from,
                                                        const light::Asked& asked);

    // Always answers. When the colour is not to be had (its gel is not in any book) the wish's own
    // u'v' is mixed instead, and `trouble` says so. Keep-outs and pins naming emitters that this
    // type does not have are passed over.
    // `nudge`: so much further than the wish.
    // `off`: how far from its data the fixture shows colours; asked for that far the other way.
    std::shared_ptr<const MixedColour> mixed(const Sources& from,
                                             const std::shared_ptr<const mix::Mixer>& mixer,
                                             const show::ColourWish& wish,
                                             const colour::Uv& off = {0, 0},
                                             const colour::Uv& nudge = {0, 0});

    // A gradient over its lamps (play/laid.h); the same one as long as nothing of it changed. Never
    // null.
    std::shared_ptr<const LaidOut> laid(const Sources& from, const show::Show& show,
                                        const show::LayingPtr& laying);

private:
    std::mutex mutex_; // held to look up and to put in, never to compute
    std::map<std::pair<std::string, std::string>, std::shared_ptr<const mix::Mixer>> mixers_;
    struct Own { // of a calibrated fixture
        std::shared_ptr<const show::Calibration> by;
        std::shared_ptr<const mix::Mixer> general; // of its type: a changed type makes another
        std::shared_ptr<const mix::Mixer> mixer;
    };
    std::map<std::pair<const show::Calibration*, const mix::Mixer*>, Own> own_;
    struct Read {
        std::uint64_t version = 0; // of the sources it was read from
        Result<std::shared_ptr<const light::Wanted>> light;
    };
    std::map<light::Asked, Read> wanted_;
    std::map<std::string, std::shared_ptr<const MixedColour>> mixed_;
    struct Laid { // and all that it came from
        show::LayingPtr laying;
        std::vector<std::shared_ptr<const void>> parts;
        double white_cct_k = 0;
        std::uint64_t version = 0; // of the sources
        std::shared_ptr<const LaidOut> out;
    };
    std::vector<Laid> laid_; // the last one that was asked for at the end
};

} // namespace zelo::play
