// SPDX-License-Identifier: GPL-3.0-or-later
// The crossfade that is worked on, worked out over the lineup: as a plain desk would fade it and as
// it is planned, moment by moment, what a console makes of it, and every other way beside it.
// Colour and intensity fade each on its own, as the engine plays them.
#pragma once

#include "colour/polygon.h"
#include "play/mixes.h"
#include "route/fade.h"
#include "route/fade_check.h"
#include "show/show.h"

#include <memory>
#include <vector>

namespace zelo::play {

struct FadingEnd {
    light::Drives drives; // of its colour at full; dark without one: home
    double level = 0;     // intensity, 0..1
    colour::Uv uv;        // of those drives; the white where they give no light
    double miss_uv = 0;   // from the colour asked for
    bool dark() const { return !(level > 0); }
    friend bool operator==(const FadingEnd& a, const FadingEnd& b) {
        return a.drives == b.drives && a.level == b.level;
    }
};

// One lamp, or several of one type between the same ends.
struct Fading {
    std::shared_ptr<const mix::Mixer> mixer;
    FadingEnd from, to;
    mix::MixWish mixing = {}; // keep-outs and pins of both ends
};

// A way through time: 101 moments at even shares.
struct SeenWay {
    route::Fade fade;                  // drives of the colours at full
    std::vector<double> level;         // intensity at each
    std::vector<double> brightness_cd; // of both together
    double white_dip = 0;              // where there is light to see
    double dip_from = 0, dip_to = 0;   // shares of the time: saturation below where it should be
    double dimmest_cd = 0;             // between the ends
    double length = 0;                 // Oklab ΔE × 100, all along
    double largest_step = 0;           // of a drive, per 1 % of the way

    // At a share of the time; between two moments drives go straight.
    light::Drives drivesAt(double share) const;
    double levelAt(double share) const;
    colour::Uv uvAt(double share) const;
};

// A stretch of the way where the reach takes brightness.
struct Capped {
    double from = 0, to = 0;        // shares of the time
    std::vector<std::size_t> parts; // emitters at full there
};

struct FadingCase {
    Fading fading;
    SeenWay would, planned;
};

struct CrossfadePicture {
    Sentence trouble;              // why there is nothing; empty: there is
    std::vector<FadingCase> cases; // the one in focus first
    std::vector<std::size_t> of;   // by place in the lineup: its case; npos: its type is not there
    std::vector<show::FixtureId> lamps;
    colour::Polygon reach; // that the way in focus goes in
    // Of the one in focus:
    std::vector<double> most_cd; // that the colours of the planned way can have at these levels
    std::vector<Capped> capped;
    route::Steps steps;
    SeenWay console; // what a console makes of the steps
    route::SideWords sides;
    std::vector<route::FadeFault> faults; // as it is played
    std::vector<route::Cure> cures;

    static constexpr std::size_t npos = static_cast<std::size_t>(-1);
    const FadingCase& focus() const { return cases.front(); } // requires no trouble
    const FadingCase* caseOf(std::size_t place) const {
        return place < of.size() && of[place] != npos ? &cases[of[place]] : nullptr;
    }
};

// `type`, `mode`: in focus; where no lamp of the lineup is of them, its first. A pure function;
// costs some milliseconds for each pair of ends and type. More than kMostCases of them: the rest go
// with the levels.
inline constexpr std::size_t kMostCases = 200;
CrossfadePicture crossfadePicture(const show::State& state, const show::Lineup& lineup,
                                  const std::string& type, const std::string& mode,
                                  const Sources& from, Mixes& mixes);

// One of the ways between the same ends, to choose from.
struct ComparedWay {
    std::optional<route::StopWay> way;       // nothing: as needed
    const char* by = nullptr;                // of Around: the hue it goes by
    std::shared_ptr<const mix::Mixer> mixer; // of the lamps that would go it
    SeenWay seen;
    std::size_t steps = 0; // for a console
};
std::vector<ComparedWay> comparedWays(const show::Show& show, const CrossfadePicture& picture);

} // namespace zelo::play
