// SPDX-License-Identifier: GPL-3.0-or-later
// The engine of play: the one place where layers, precedence and fades are decided. No clock, no
// lock; nothing is allocated or freed while it plays. The same commands at the same times give the
// same light, to the bit.
//
// Rules for people: docs/play.md.
#pragma once

#include "light/drives.h"
#include "play/program.h"

#include <array>
#include <memory>

namespace zelo::play {

struct Command {
    enum class What {
        Next,    // of a list
        Back,    // of a list
        Jump,    // of a list, to the cue of this number
        Hold,    // of a list: stops it, and lets it go on
        Rate,    // of a list
        Release, // of a list
        Fader,   // 0..1
        Trim,    // of a lamp: its intensity times this; negative: let go
        HandIntensity,
        HandColour, // drives
        PutDown,    // all of the hand
        Solo,       // of a lamp: it too; SoloOff: none
        SoloOff,
        Master,       // 0..1
        Dark,         // on: 1, off: 0
        TimeOfDay,    // s since midnight; until it is told nothing follows at a time of day
        RippleStart,  // of a ripple, from its beginning; one that runs goes on
        RippleLetGo,  // of a ripple, in its own time
        RippleFreeze, // of a ripple: holds its colours, or lets them go on
        RippleRate    // of a ripple
    };
    What what = What::Next;
    std::uint32_t which = 0; // list, fader or lamp: its place in the program
    double value = 0;
    std::array<double, light::kMostParts> drives = {}; // of HandColour
    bool by_id = false; // `which` is what a list or a fader is called, in whatever program plays
};

// What lamps show: a row of intensities and one of drives, before rounding.
struct Shown {
    std::vector<double> intensity;     // by lamp
    std::vector<double> drives;        // as Program::home
    std::vector<double> own;           // intensities before solo, master and Dark
    std::vector<double> settings = {}; // as Program::settings_home
};

class Engine {
public:
    // Everything at rest, at time 0. Allocates all it will need.
    explicit Engine(std::shared_ptr<const Program> program);

    // Goes on where the engine before it is at t, with this program: what lists, faders, solo and
    // master have come to; standing light, hand and trims are the program's. Lamps, lists and
    // faders are the same when they are called the same. A lamp that would show something else now
    // fades there in this time, on a planned way where the program has one: at once with 0. What
    // fades goes on, and eases onto a way that was not known before. Nothing is allocated or freed.
    void takeOver(Engine& before, double t_s, double fade_s);

    // At t or later than any time before; what would follow by itself until then comes first. A
    // command that names what is not there does nothing.
    void apply(const Command& command, double t_s);
    // Only these lamps, called as in Program::lamp_ids, show; none of them there: all do.
    void solo(std::span<const int> ids);
    // What is shown at t. `to` must have the program's sizes (rows()).
    void frame(double t_s, Shown& to);
    Shown rows() const; // of the right sizes

    // Where what a lamp shows comes from, at the time of the last frame or command. Which: the
    // list or the fader.
    struct From {
        enum class Layer {
            Home,
            Standing,
            List,
            Fader,
            Adding,
            Ripple,
            Hand,
            Locked,
            Solo,
            Dark
        } layer = Layer::Home;
        std::size_t which = 0;
        bool released = false;               // a list that is being let go
        std::optional<std::size_t> cue = {}; // of the list, that said it last
    };
    From intensityFrom(std::uint32_t lamp) const;
    From colourFrom(std::uint32_t lamp) const;

    // Whether it changes by itself: a fade runs or waits, or a cue follows. And one lamp now.
    bool runs() const;
    bool moves(std::uint32_t lamp) const;
    std::optional<std::size_t> cueOf(std::size_t list) const; // it stands in; nothing: none
    // Whether a fader that is up gives no light to any lamp: others are brighter, or it is locked
    // or held by hand there. Of one that sets no intensity: no colour.
    bool hidden(std::size_t fader) const;
    // Where a list is, at the time of the last frame or command; times are the list's own.
    struct ListNow {
        int cue = -1, next = -1; // places; below 0: none
        bool held = false;
        double rate = 1;
        double since_s = 0;             // since the cue began
        double lasts_s = 0;             // from the cue's beginning to the end of all its fades
        std::optional<double> follow_s; // from its beginning until the next one follows
    };
    ListNow listNow(std::size_t list) const;
    double faderLevel(std::size_t fader) const { return level_[fader]; }
    struct RippleNow {
        bool runs = false; // gives its colours, also while it is frozen or let go
        bool frozen = false;
        double rate = 1;
        double time_s = 0; // its own, since it began
    };
    RippleNow rippleNow(std::size_t ripple) const;
    const Program& program() const { return *program_; }

private:
    // A fade of a list, in the list's own time. To what is below when it is let go.
    struct Fade {
        enum class State { None, To, Away } state = State::None;
        double from = 0, to = 0; // intensity alone
        double begin_s = 0, end_s = 0;
        double share(double t_s) const;
        bool runs(double t_s) const { return state != State::None && t_s < end_s; }
    };
    // A planned way that a colour fade is on, since this share of its time; before that straight.
    struct OnWay {
        const Planned* way = nullptr;
        double since = 0; // below 0: from the start
    };
    // Of a lamp that is to show something else than before, over all but solo, master and Dark.
    struct Change {
        Fade intensity, colour;
        OnWay way;
    };
    struct List {
        double time_s = 0; // its own
        double rate = 1;
        bool held = false;
        int cue = -1;
        bool turned = false;                        // goes from its end to its beginning
        double round_s = -HUGE_VAL;                 // when it last came to its first cue by itself
        double started_s = 0;                       // own time when that cue began
        double began_s = 0;                         // the same, of the engine
        double share = 1;                           // of its light, where a fader plays it
        bool follows = false;                       // the cue's follow is still to come
        std::vector<Fade> intensity, colour;        // by its own lamps
        std::vector<double> from, to;               // drives of the colour fades
        std::vector<std::uint32_t> first;           // of each of its lamps in those
        std::vector<std::uint64_t> stamp;           // when a cue last said the colour
        std::vector<int> intensity_cue, colour_cue; // which one said it
        std::vector<Parts> parts;                   // of the colour, that it says
        std::vector<OnWay> ways;
        struct Setting {
            Fade fade;
            std::uint64_t stamp = 0; // when a cue last said it
        };
        std::vector<Setting> settings; // by its own settings
    };
    struct Rippling {
        RippleNow now;
        std::uint64_t stamp = 0;    // when it began
        double share = 1;           // as far as its fader is up
        double let_go_s = HUGE_VAL; // the engine's time, when that began
    };
    struct In { // where a lamp stands in a list, in a fader or in a ripple
        std::uint32_t source, place;
    };

    void advance(double t_s);
    void run(double t_s);                                              // no follow in between
    double followAt(const List& list, const PlayedList& played) const; // own time; HUGE_VAL: never
    double followsIn(const List& list,
                     const PlayedList& played) const;              // engine's s; HUGE_VAL: never
    static double endOf(const List& list);                         // of all its fades, own time
    static int nextOf(const List& list, const PlayedList& played); // below 0: none
    void next(std::size_t list);
    void back(std::size_t list);
    void jump(std::size_t list, double number);
    void release(std::size_t list);
    void start(std::size_t list, const PlayedCue& cue, bool whole, bool backwards);
    template <class F>
    void keep(List& l, std::size_t place, std::uint32_t lamp, F colour);
    void startIntensity(List& l, std::size_t place, double to, double begin_s, double time_s);

    // Lists that are left out: what lies below one that is let go.
    struct Without {
        std::size_t list;
        const Without* more;
        static bool holds(const Without* w, std::size_t list) {
            for (; w; w = w->more)
                if (w->list == list)
                    return true;
            return false;
        }
    };
    void play(std::size_t fader, double level); // the list that it plays
    // Colours that move (engine_ripples.cpp).
    void indexRipples();
    void startRipple(std::size_t ripple);
    void letGoOfRipple(std::size_t ripple);
    void actRipples(std::size_t list, bool whole); // what the cue that it stands in does with them
    void runRipples(double passed_s);
    void takeRipples(const Engine& before);
    void leftBy(const PlayedFader& fader, const Program& of);
    double rippleWeight(std::size_t ripple) const; // 0: it gives nothing
    const In* rippleOf(std::uint32_t lamp) const;  // the latest that gives it something; null: none
    void rippleColour(std::uint32_t lamp, double* to) const; // over what is there
    double rippleIntensity(std::uint32_t lamp, double below) const;
    template <class See>
    void eachRippleOf(std::uint32_t lamp, See see) const; // from the earliest on
    // Of what is neither intensity nor colour (engine_settings.cpp).
    void indexSettings();
    void startSettings(std::size_t list, const PlayedCue& cue, bool whole, bool backwards);
    void releaseSettings(std::size_t list);
    void takeSettings(std::size_t list, const Engine& before, std::size_t old);
    double settingOf(std::uint32_t setting, const Without* without) const;
    double settingIn(const List& l, std::size_t list, std::size_t place, std::uint32_t setting,
                     const Without* without) const;
    void frameSettings(std::vector<double>& to) const;
    struct Light {
        bool has = false; // any source has it
        double intensity = 0;
    };
    bool tooDeep(std::uint32_t lamp, const Without* without) const;
    Light intensityOf(std::uint32_t lamp, const Without* without) const;
    void belowAll(std::uint32_t lamp, double* to) const;
    struct Latest { // whose colour shows; Home: what lies below lists and faders
        From::Layer layer = From::Layer::Home;
        In in = {};
    };
    Latest latestColour(std::uint32_t lamp, const Without* without) const;
    void colourOf(std::uint32_t lamp, const Without* without, double* to) const;
    double valueOf(const List& l, std::size_t list, std::size_t place, std::uint32_t lamp,
                   const Without* without) const;
    void colourIn(const List& l, std::size_t list, std::size_t place, std::uint32_t lamp,
                  const Without* without, double* to) const;
    double shownIntensity(std::uint32_t lamp) const { return intensityOf(lamp, nullptr).intensity; }
    const Said* standingOf(std::uint32_t lamp) const;
    double level(double from, double to, double share) const; // of an intensity on its way
    double layersIntensity(std::uint32_t lamp) const;         // trims and hand in it
    void layersColour(std::uint32_t lamp, double* to) const;
    double changedIntensity(std::uint32_t lamp) const; // and what it fades from by itself
    void changedColour(std::uint32_t lamp, double* to) const;
    void along(const Fade& fade, double t_s, const OnWay& way, const double* from,
               std::size_t parts, double* to) const;

    void takeList(std::size_t list, const Engine& before, std::size_t old);
    void settle(std::size_t list, const Engine& before, std::size_t old);
    void change(std::uint32_t lamp, const Engine& before, std::uint32_t old, double fade_s);
    static void meet(OnWay& on, const Planned* way, const OnWay& before, double share,
                     const double* from, const double* to);

    std::shared_ptr<const Program> program_;
    double now_s_ = 0;
    std::uint64_t events_ = 0; // stamps: what began later has a larger one
    std::vector<List> lists_;
    std::vector<double> level_;                                               // of faders
    std::vector<std::uint64_t> raised_;                                       // when they left 0
    std::vector<std::uint32_t> in_lists_from_, in_faders_from_, standing_at_; // by lamp
    std::vector<In> in_lists_, in_faders_;
    std::vector<Rippling> ripples_;
    std::vector<std::uint32_t> in_ripples_from_; // by lamp
    std::vector<In> in_ripples_;
    std::vector<std::uint32_t> settings_from_; // by setting, in settings_in_; one more at the end
    std::vector<In> settings_in_;              // lists
    std::vector<std::uint32_t> lamp_of_setting_;
    std::vector<std::uint32_t> locked_at_; // by lamp, in what is locked
    std::optional<double> midnight_s_;     // the engine's time at the last midnight
    std::vector<double> trim_;             // by lamp; negative: none
    std::vector<double> hand_intensity_;
    std::vector<Parts> hand_parts_;
    std::vector<double> hand_drives_;
    std::vector<Change> changes_;                          // by lamp
    std::vector<double> change_from_;                      // a row of drives
    std::vector<std::uint32_t> lamp_before_, list_before_; // while another one is taken over
    std::vector<char> solo_;
    bool any_solo_ = false;
    double master_ = 1;
    bool dark_ = false;
};

} // namespace zelo::play
