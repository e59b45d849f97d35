// SPDX-License-Identifier: GPL-3.0-or-later
// zelo play: the engine of play without a clock, printed.
#include "base/text.h"
#include "choices.h"
#include "files/show_file.h"
#include "light/levels.h"
#include "mix/rounding.h"
#include "play/compile.h"
#include "play/playing.h"
#include "print.h"
#include "show/cues.h"
#include "show/edits.h"
#include "show/limits.h"

#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace zelo::cli {

namespace {

using play::Command;
using What = Command::What;

constexpr double kFrame_s = 1.0 / 44;
constexpr double kMostFrames = 100'000;

struct PlayOptions {
    std::string show;
    std::vector<std::string> presses;
    std::optional<double> until;
    double step = kFrame_s;
};

struct Press {
    double t_s = 0;
    std::vector<Command> commands;
};

// What presses call by name.
class Names {
public:
    Names(Context& context, play::Mixes& mixes, const show::Show& show,
          const play::Compiled& compiled)
        : context_(context), mixes_(mixes), show_(show), compiled_(compiled) {}

    Result<Press> read(const std::string& text) {
        const auto wrong = [&](const Sentence& expected) {
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--press '{}': {}"), text, expected);
        };
        std::vector<std::string> words;
        for (const auto& word : split(trimmed(text), ' '))
            if (!word.empty())
                words.emplace_back(word);
        const auto t = words.empty() ? std::nullopt : toNumber(words[0]);
        if (!t || !(*t >= 0 && *t <= show::kLongest_s) || words.size() < 2)
            return wrong(say(ZELO_TEXT("core", "expected a time in seconds and a command")));
        words.erase(words.begin());
        auto commands = commandsOf(words);
        if (!commands)
            return wrong(commands.error().what);
        return Press{*t, std::move(*commands)};
    }

private:
    using Words = std::vector<std::string>;

    Result<std::vector<Command>> commandsOf(Words words) {
        std::uint32_t list = 0;
        if (words[0] == "list" && words.size() >= 3) {
            const auto it = std::find_if(show_.cue_lists.begin(), show_.cue_lists.end(),
                                         [&](const auto& l) { return l.second->name == words[1]; });
            if (it == show_.cue_lists.end())
                return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list '{}'"), words[1]);
            list = static_cast<std::uint32_t>(
                std::find(compiled_.lists.begin(), compiled_.lists.end(), (*it).first) -
                compiled_.lists.begin());
            words.erase(words.begin(), words.begin() + 2);
        }
        static const std::map<std::string, What> kOfList{
            {"next", What::Next}, {"back", What::Back}, {"hold", What::Hold},
            {"jump", What::Jump}, {"rate", What::Rate}, {"release", What::Release}};
        if (const auto known = kOfList.find(words[0]); known != kOfList.end())
            return ofList(known->second, list, words);
        if (words[0] == "fader" && words.size() == 2)
            return ofFader(words[1]);
        if (words[0] == "master" && words.size() == 2)
            if (const auto level = share(words[1]))
                return std::vector<Command>{{What::Master, 0, *level, {}}};
        if (words[0] == "dark" && words.size() == 2 && (words[1] == "on" || words[1] == "off"))
            return std::vector<Command>{{What::Dark, 0, words[1] == "on" ? 1.0 : 0.0, {}}};
        static const std::map<std::string, What> kOfRipple{{"start", What::RippleStart},
                                                           {"let-go", What::RippleLetGo},
                                                           {"freeze", What::RippleFreeze}};
        if (const auto known = kOfRipple.find(words[0]);
            known != kOfRipple.end() && words.size() >= 2)
            return ofRipple(known->second, words);
        if (words[0] == "day" && words.size() == 2)
            if (const auto time = secondOfDay(words[1]))
                return std::vector<Command>{{What::TimeOfDay, 0, *time, {}}};
        if (words[0] == "put-down" && words.size() == 1)
            return std::vector<Command>{{What::PutDown, 0, 0, {}}};
        if (words[0] == "hand" && words.size() == 3)
            return ofHand(words);
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core",
                      "expected next, back, hold, jump N, rate R, release, list "
                      "NAME and one of these, fader NAME=0..1, master 0..1, dark "
                      "on|off, put-down, day H:MM[:SS], start, let-go or freeze RIPPLE, or hand N "
                      "COLOUR|0..1"));
    }

    static std::optional<double> secondOfDay(std::string_view text) { // "19:30", "19:30:05"
        const auto parts = split(text, ':');
        double seconds = 0;
        for (std::size_t i = 0; i < parts.size(); ++i) {
            const auto n = toInteger(parts[i]);
            if (!n || *n < 0 || *n >= (i == 0 ? 24 : 60))
                return std::nullopt;
            seconds = 60 * seconds + *n;
        }
        return parts.size() == 2   ? std::optional(60 * seconds)
               : parts.size() == 3 ? std::optional(seconds)
                                   : std::nullopt;
    }
    static std::optional<double> share(std::string_view text) {
        const auto x = toNumber(text);
        return x && *x >= 0 && *x <= 1 ? x : std::nullopt;
    }

    Result<std::vector<Command>> ofList(What what, std::uint32_t list, const Words& words) {
        if (compiled_.lists.empty())
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "the show has no cue list"));
        Command c{what, list, 0, {}};
        const bool counts = what == What::Jump || what == What::Rate;
        if (counts && words.size() != 2)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} needs one number"), words[0]);
        if (!counts && words.size() != 1)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} takes nothing behind it"),
                        words[0]);
        if (what == What::Jump) {
            const auto number = show::parseCueNumber(words[1]);
            if (!number)
                return passOn(number.error());
            c.value = number->value();
        } else if (what == What::Rate) {
            const auto rate = toNumber(words[1]);
            if (!rate || !(*rate >= 0.1 && *rate <= 10))
                return fail(ErrorCode::BadValue,
                            ZELO_TEXT("core", "rate {}: must be within 0.1..10"), words[1]);
            c.value = *rate;
        }
        return std::vector<Command>{c};
    }

    // A name of several words.
    Result<std::vector<Command>> ofRipple(What what, const Words& words) {
        std::string name = words[1];
        for (std::size_t i = 2; i < words.size(); ++i)
            name += " " + words[i];
        for (std::size_t i = 0; i < compiled_.ripples.size(); ++i)
            if (show_.ripples.find(compiled_.ripples[i])->name == name)
                return std::vector<Command>{{what, static_cast<std::uint32_t>(i), 0, {}}};
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple '{}'"), name);
    }

    Result<std::vector<Command>> ofFader(const std::string& text) {
        const auto at = text.rfind('=');
        const auto level = at == std::string::npos ? std::nullopt : share(text.substr(at + 1));
        if (!level)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "expected fader NAME=0..1"));
        for (std::size_t i = 0; i < compiled_.faders.size(); ++i)
            if (show_.faders.find(compiled_.faders[i])->name == text.substr(0, at))
                return std::vector<Command>{
                    {What::Fader, static_cast<std::uint32_t>(i), *level, {}}};
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fader '{}'"), text.substr(0, at));
    }

    Result<std::vector<Command>> ofHand(const Words& words) {
        const auto number = toInteger(words[1]);
        std::vector<Command> all; // several lamps may have one number
        for (std::uint32_t lamp = 0; number && lamp < compiled_.fixtures.size(); ++lamp) {
            const show::Fixture& f = *show_.fixture(compiled_.fixtures[lamp]);
            if (f.number != *number || !compiled_.mixers[lamp])
                continue;
            if (const auto level = share(words[2])) {
                all.push_back({What::HandIntensity, lamp, *level, {}});
                continue;
            }
            const auto wanted = light::parseColour(words[2], context_.library);
            if (!wanted)
                return passOn(wanted.error());
            Command c{What::HandColour, lamp, 0, {}};
            show::ColourWish wish;
            wish.asked = wanted->asked;
            const auto drives =
                mixes_
                    .mixed(*context_.library.sources(), compiled_.mixers[lamp], wish,
                           f.calibration ? f.calibration->off : colour::Uv{0, 0})
                    ->mix.drives;
            std::copy(drives.begin(), drives.end(), c.drives.begin());
            all.push_back(c);
        }
        if (all.empty())
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no lamp {}"), words[1]);
        return all;
    }

    Context& context_;
    play::Mixes& mixes_;
    const show::Show& show_;
    const play::Compiled& compiled_;
};

// "cue 3 of main", "hand", …
std::string fromText(const play::Engine::From& from, const show::Show& show,
                     const play::Compiled& compiled) {
    using Layer = play::Engine::From::Layer;
    switch (from.layer) {
    case Layer::Home:
        return "home";
    case Layer::Standing:
        return "standing light";
    case Layer::Hand:
        return "hand";
    case Layer::Locked:
        return "locked";
    case Layer::Ripple:
        return "ripple " + show.ripples.find(compiled.ripples[from.which])->name;
    case Layer::Solo:
        return "solo";
    case Layer::Dark:
        return "dark";
    case Layer::Fader:
    case Layer::Adding:
        return "fader " + show.faders.find(compiled.faders[from.which])->name;
    case Layer::List:
        break;
    }
    if (from.released)
        return "list " + show.cue_lists.find(compiled.lists[from.which])->name + ", let go";
    const auto& cues = compiled.program->lists[from.which].cues;
    return from.cue ? fmt::format("cue {}", cues[*from.cue].number) : std::string("a cue");
}

// What is sent: while a lamp moves as its channels follow, at rest rounded together.
Json frameJson(const play::Moment& moment, const show::Show& show, const play::Compiled& compiled) {
    Json lamps = Json::array();
    for (std::uint32_t lamp = 0; lamp < compiled.fixtures.size(); ++lamp) {
        const show::Fixture& f = *show.fixture(compiled.fixtures[lamp]);
        const auto& mixer = compiled.mixers[lamp];
        Json one{{"number", f.number},
                 {"intensity", moment.shown.intensity[lamp]},
                 {"uv", nullptr},
                 {"xyz", {0, 0, 0}},
                 {"channels", Json::array()},
                 {"intensity_from", fromText(moment.intensity[lamp], show, compiled)},
                 {"colour_from", fromText(moment.colour[lamp], show, compiled)}};
        if (mixer) {
            const auto* first = moment.shown.drives.data() + compiled.program->first[lamp];
            light::Drives drives(mixer->type().partCount(), 0.0);
            std::copy_n(first, drives.size(), drives.begin());
            auto sent = moment.moving[lamp]
                            ? mix::sentAs(*mixer, moment.values[lamp])
                            : mix::rounded(*mixer, drives, moment.shown.intensity[lamp]);
            light::takeSettings(mixer->mode(), moment.values[lamp], sent.values);
            if (colour::hasChromaticity(sent.xyz))
                one["uv"] = uvJson(colour::toUv(sent.xyz));
            one["xyz"] = {sent.xyz.X, sent.xyz.Y, sent.xyz.Z};
            one["channels"] = channelsJson(mixer->mode(), sent.values);
        }
        lamps.push_back(std::move(one));
    }
    return {{"t", moment.t_s}, {"lamps", std::move(lamps)}};
}

void printFrame(const Json& frame) {
    for (const auto& lamp : frame["lamps"]) {
        if (!(lamp["intensity"].get<double>() > 0))
            continue;
        const auto& uv = lamp["uv"];
        put("{:>8.3f} s  lamp {:>3}  {:>5.1f} %  {}  {}\n", frame["t"].get<double>(),
            lamp["number"].get<int>(), 100 * lamp["intensity"].get<double>(),
            uv.is_null()
                ? std::string("no light          ")
                : fmt::format("u′ v′ {:.4f} {:.4f}", uv[0].get<double>(), uv[1].get<double>()),
            lamp["intensity_from"].get<std::string>());
    }
}

Done printPlay(Context& context, const PlayOptions& o) {
    const auto opened = files::readShow(o.show);
    if (!opened)
        return passOn(opened.error());
    for (const auto& note : opened->notes)
        put(stderr, "zelo: {}: {}\n", o.show, note);
    const show::Show& show = *opened->show;
    play::Mixes mixes;
    play::Ways ways;
    const auto whole = play::withWaysOfCues(
        std::make_shared<const play::Compiled>(
            play::compiled({opened->show, show::emptyHand()}, *context.library.sources(), mixes)),
        ways);
    const play::Compiled& compiled = *whole;
    Names names(context, mixes, show, compiled);
    std::vector<Press> presses;
    for (const auto& text : o.presses) {
        auto press = names.read(text);
        if (!press)
            return passOn(press.error());
        presses.push_back(std::move(*press));
    }
    std::stable_sort(presses.begin(), presses.end(),
                     [](const Press& a, const Press& b) { return a.t_s < b.t_s; });
    if (!(o.step > 0))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--step {}: must be above 0"), o.step);
    const double until = o.until.value_or(presses.empty() ? 0 : presses.back().t_s);
    if (!(until >= 0 && until / o.step <= kMostFrames))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "--until {}: must be within 0..{} s at this step"), until,
                    kMostFrames * o.step);
    play::Playing playing(whole);
    auto press = presses.begin();
    Json all = Json::array();
    const auto frames = static_cast<long>(until / o.step + 1e-9);
    for (long i = 0; i <= frames; ++i) {
        const double t = static_cast<double>(i) * o.step;
        for (; press != presses.end() && press->t_s <= t + 1e-9; ++press)
            for (const Command& c : press->commands)
                playing.apply(c, press->t_s);
        playing.step(t);
        play::Moment moment = playing.newest();
        moment.t_s = t; // also of one that stands still
        Json frame = frameJson(moment, show, compiled);
        if (context.json)
            all.push_back(std::move(frame));
        else
            printFrame(frame);
    }
    if (context.json)
        put("{}\n", Json{{"frames", std::move(all)}}.dump(1));
    return {};
}

} // namespace

void addPlay(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("play", "play a show without a clock, and print its light");
    auto o = std::make_shared<PlayOptions>();
    c->add_option("SHOW", o->show, "the show (.zelo)")->required();
    c->add_option(
        "--press", o->presses,
        "\"T COMMAND\", T in seconds: next, back, hold, jump N, rate R, release, list NAME "
        "and one of these, fader NAME=0..1, master 0..1, dark on|off, put-down, day H:MM, "
        "start, let-go or freeze RIPPLE, hand N COLOUR|0..1; repeatable");
    c->add_option("--until", o->until, "seconds (up to the last press)");
    c->add_option("--step", o->step, "seconds from frame to frame")->capture_default_str();
    c->add_option("--book", context.books, "another swatch book");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, o] {
        context.show = o->show; // its types and palettes are known then
        context.run = [&context, o] { return printPlay(context, *o); };
    });
}

} // namespace zelo::cli
