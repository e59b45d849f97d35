// SPDX-License-Identifier: GPL-3.0-or-later
// What is played, ready for the engine: lamps in one dense order, and for every source what it says
// of them, in drives. Immutable; the engine only reads it. What did not change from one program to
// the next is shared between them.
#pragma once

#include "play/planned.h"
#include "play/ripple_time.h"

#include <cstdint>
#include <deque>
#include <memory>
#include <optional>
#include <span>
#include <vector>

namespace zelo::play {

// A set of a lamp's parts: single emitters that are set by hand over whatever colour there is.
using Parts = std::uint32_t;
inline constexpr Parts kAllParts = ~Parts{0};

// What a source says of one lamp; intensity and colour are apart, each may be left out.
struct Said {
    std::uint32_t lamp = 0;
    std::optional<double> intensity; // 0..1
    const double* colour = nullptr;  // its drives; the source holds them
    Parts parts = kAllParts;         // of the colour, that are said; the others come from below
};

// What a source says of a channel that is neither intensity nor colour.
struct SaidSetting {
    std::uint32_t setting = 0; // its place in a row of all lamps' settings
    double share = 0;          // of the channel's values
};

// What one source says, by lamp.
class Source {
public:
    Source() = default;
    Source(const Source&) = delete; // what it says points into it
    Source& operator=(const Source&) = delete;

    // Lamps in ascending order. An empty colour: none.
    void add(std::uint32_t lamp, std::optional<double> intensity, std::span<const double> colour,
             Parts parts = kAllParts);
    const std::vector<Said>& says() const { return says_; }
    const Said* of(std::uint32_t lamp) const; // null: nothing

    void set(std::uint32_t setting, double share) { settings_.push_back({setting, share}); }
    const std::vector<SaidSetting>& settings() const { return settings_; } // ascending
    const SaidSetting* ofSetting(std::uint32_t setting) const;             // null: nothing

private:
    std::vector<Said> says_;
    std::vector<SaidSetting> settings_;
    std::deque<std::vector<double>> colours_;
};
using SourcePtr = std::shared_ptr<const Source>;
const SourcePtr& saysNothing();

// What a list stands for, of one lamp, from one of its cues on.
struct Stands : Said {
    int from_cue = 0;                        // places in the list
    int intensity_cue = -1, colour_cue = -1; // the last that said it
};

struct PlayedCue {
    double number = 1;
    double up_s = 0, down_s = 0; // of intensities that rise, that fall
    double up_delay_s = 0, down_delay_s = 0;
    std::optional<double> colour_s, colour_delay_s; // without: those of the lamp's intensity
    enum class Follow { None, AfterStart, WhenDone, TimeOfDay } follow = Follow::None;
    double follow_s = 0;            // of TimeOfDay since midnight
    std::optional<bool> dark_first; // without: the program's
    struct Ripple {
        std::size_t ripple = 0; // its place in the program
        show::RippleDoes does = show::RippleDoes::Start;
    };
    std::vector<Ripple> ripples = {};
    SourcePtr changes = saysNothing(); // what it says
    // To each colour that it says, from the one that the cues before it left. Null, or not there at
    // all: not planned.
    std::vector<PlannedPtr> ways = {};
};

struct PlayedList {
    std::vector<PlayedCue> cues;                                     // by number
    enum class AtEnd { Stop, Again, ToAndFro } at_end = AtEnd::Stop; // what next does there
    double back_s = 0, release_s = 0;
    std::vector<std::uint32_t> lamps = {}; // that any cue says something of, ascending
    // By place in these: an entry for each cue that says something of it, ascending.
    std::vector<std::vector<Stands>> stands = {};

    std::vector<std::uint32_t> settings = {}; // that any cue says something of, ascending
    // The last share up to this cue; null: nothing.
    const SaidSetting* settingFor(std::uint32_t setting, int cue) const;
    // What this cue and those before it say of the lamp at this place; null: nothing.
    const Stands* standsFor(std::size_t place, int cue) const;
};

struct PlayedRipple {
    RippleTimes times;
    double release_s = 1;
    double latest_s = 0;                               // the last lamp's delay
    std::vector<std::uint32_t> lamps = {};             // ascending
    std::vector<double> delay_s = {};                  // of these
    std::vector<std::uint32_t> table = {};             // of these: which of the tables
    std::vector<std::optional<double>> intensity = {}; // of each step
    struct Table {                                     // of lamps that are made alike
        std::vector<std::vector<double>> steps;        // drives
        std::vector<double> miss_uv = {};              // of each; NaN where it gives no light
        std::vector<PlannedPtr> ways =
            {}; // from step to step, by from × steps + to; null: straight
    };
    std::vector<Table> tables = {};
    bool setsIntensity() const;
};

struct PlayedFader {
    enum class Mode { Latest, Adds } mode = Mode::Latest;
    SourcePtr says = saysNothing();
    std::optional<std::size_t> list = {};   // that plays while it is up, as far as it is up
    std::optional<std::size_t> ripple = {}; // likewise
};

struct Program {
    std::size_t lamps = 0;
    std::vector<std::uint32_t> first; // of each lamp's drives in a row of all; one more at the end
    std::vector<double> home;         // a row: the colour of a lamp that nothing else says
    SourcePtr standing = saysNothing();
    SourcePtr hand = saysNothing();
    SourcePtr locked = saysNothing(); // over all but Dark; of each lamp all of it
    std::vector<double> trims = {};   // factors of intensity, by lamp, negative: none; empty: none
    std::vector<char> exempt;         // from solo and Dark, by lamp
    std::vector<PlayedList> lists;
    std::vector<PlayedFader> faders;
    std::vector<PlayedRipple> ripples = {};
    bool even_to_the_eye = false; // intensities, in perceived brightness and not in level
    bool dark_first = true;       // a dark lamp takes its next colour before its light comes

    std::shared_ptr<const void> stood_for = {}; // holds colours that cues stand for together

    // What each is called in the programs before and after it; ascending.
    std::vector<int> lamp_ids = {}, list_ids = {}, fader_ids = {}, ripple_ids = {};
    // To the colour of standing light and hand, from what they said before; as in PlayedCue.
    std::vector<PlannedPtr> change_ways = {};

    // What else lamps have, channel by channel: where each lamp's begin in a row of all, one more
    // at the end; where they rest, and whether they jump instead of going there. Empty: nothing.
    std::vector<std::uint32_t> settings_first = {};
    std::vector<double> settings_home = {};
    std::vector<char> settings_snap = {};

    std::size_t parts(std::uint32_t lamp) const { return first[lamp + 1] - first[lamp]; }
    std::size_t settings(std::uint32_t lamp) const {
        return settings_first.empty() ? 0 : settings_first[lamp + 1] - settings_first[lamp];
    }
};

// Fills in what the engine looks up: what each cue stands for, and the lamps of each list. The rest
// is there.
void complete(Program& program);

} // namespace zelo::play
