// SPDX-License-Identifier: GPL-3.0-or-later
// Cues, the lists they stand in, and faders. A cue holds only what it changes; what it does not say
// goes on as the cues before it left it. How they play: docs/play.md.
#pragma once

#include "base/result.h"
#include "route/gradient.h"
#include "show/crossfade.h"
#include "show/ripple.h"
#include "show/value.h"

#include <string_view>

namespace zelo::show {

// As people call it: 7, 7.5, 12.05. Always in its shortest form.
struct CueNumber {
    int thousandths = 1000; // 1..999 999 999
    double value() const { return thousandths / 1000.0; }
    auto operator<=>(const CueNumber&) const = default;
};
Result<CueNumber> parseCueNumber(std::string_view text);
std::string toText(CueNumber number);

// What a cue has beside what it plays: another try at the same moment of the show.
struct CueVersion {
    std::string name; // "a", "b" …; of a cue each once
    Values values;
    std::string unknown = {};
    friend bool operator==(const CueVersion&, const CueVersion&) = default;
};

// What it does when it starts.
struct CueRipple {
    RippleId ripple;
    RippleDoes does = RippleDoes::Start;
    friend bool operator==(const CueRipple&, const CueRipple&) = default;
};

enum class FollowWhen { No, AfterStart, WhenDone, TimeOfDay }; // stored by name
struct Cue {
    CueNumber number; // of a list each once
    std::string name;
    std::string note;
    bool locked = false;         // refuses to be changed or removed
    double up_s = 2, down_s = 2; // of intensities that rise, that fall
    double up_delay_s = 0, down_delay_s = 0;
    std::optional<double> colour_s, colour_delay_s; // without: those of the lamp's intensity
    RouteId route = {};                             // of its colours, kept; none: its own way
    std::optional<route::StopWay> way = {};         // without: the show's
    std::optional<bool> dark_first = {};            // without: the show's
    FollowWhen follow = FollowWhen::No;
    double follow_s = 0;      // of AfterStart; of TimeOfDay since midnight
    Values values;            // what it changes
    std::string version = {}; // what its values are called among its versions; empty: "a"
    std::vector<CueVersion> versions = {}; // the others, by name
    std::vector<CueRipple> ripples = {};   // what it does with ripples, each once
    std::string versionName() const { return version.empty() ? "a" : version; }
    std::string unknown; // JSON members of the file that we do not use
    friend bool operator==(const Cue&, const Cue&) = default;
};

enum class AtEnd { Stop, Again, ToAndFro }; // what Next does there; stored by name
struct CueList : Head<CueListId> {
    Table<CueNumber, Cue> cues;
    double back_s = 1;    // of all that goes back by one
    double release_s = 1; // of all that is let go
    AtEnd at_end = AtEnd::Stop;
    friend bool operator==(const CueList&, const CueList&) = default;
};

// Emitters that look alike, whatever a type calls them: by the hue of their light.
enum class Family { Warm, Green, Blue }; // red to yellow; green; cyan to violet; stored by name
// At 0..100 %: a look; or a ripple; or a cue list, that plays from its first cue while the fader is
// up; or emitters, by name or a family, of the lamps of a group (without one of all); or the
// intensity of a group.
struct Fader : Head<FaderId> {
    LookId look = {};
    GroupId group = {};
    std::vector<std::string> emitters = {};
    std::optional<Family> family = {};
    // Its light is added to that of other faders; else it takes part as a list does. Emitters are
    // always added, the intensity of a group and a cue list never are.
    bool adds = true;
    CueListId list = {};
    RippleId ripple = {}; // as far as the fader is up
    bool ofEmitters() const { return family || !emitters.empty(); }
    friend bool operator==(const Fader&, const Fader&) = default;
};

} // namespace zelo::show
