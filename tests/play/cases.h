// SPDX-License-Identifier: GPL-3.0-or-later
// The reference's cases of play: as programs, with their presses, and what is to be shown.
#pragma once

#include "play/engine.h"
#include "support/vectors.h"

#include <map>
#include <sstream>

namespace zelo::play {

using nlohmann::json;

// Into a cue to be played, or one of a show.
template <class Cue>
void readTimes(const json& q, Cue& cue) {
    cue.up_s = q["up_s"].get<double>();
    cue.down_s = q["down_s"].get<double>();
    cue.up_delay_s = q.value("up_delay_s", 0.0);
    cue.down_delay_s = q.value("down_delay_s", 0.0);
    if (q.contains("colour_s"))
        cue.colour_s = q["colour_s"].get<double>();
    if (q.contains("colour_delay_s"))
        cue.colour_delay_s = q["colour_delay_s"].get<double>();
}

// A case as a program, with the names that its presses use.
struct Case {
    Program program;
    std::map<std::string, std::uint32_t> lists, faders;

    static SourcePtr sourceOf(const json& values) {
        std::map<std::uint32_t, json> by_lamp;
        for (const auto& v : values)
            by_lamp[v["lamp"].get<std::uint32_t>() - 1] = v;
        auto source = std::make_shared<Source>();
        for (const auto& [lamp, v] : by_lamp)
            source->add(lamp, v.contains("i") ? std::optional(v["i"].get<double>()) : std::nullopt,
                        v.value("c", std::vector<double>{}));
        return source;
    }
    explicit Case(const json& c) {
        program.lamps = c["lamps"].get<std::size_t>();
        for (std::uint32_t i = 0; i <= program.lamps; ++i)
            program.first.push_back(3 * i);
        program.home.assign(3 * program.lamps, 1);
        program.dark_first = c.value("settings", json::object()).value("dark_first", true);
        program.standing = sourceOf(c.value("standing", json::array()));
        program.exempt.assign(program.lamps, 0);
        for (const auto& lamp : c.value("exempt", json::array()))
            program.exempt[lamp.get<std::size_t>() - 1] = 1;
        for (const auto& l : c.value("lists", json::array())) {
            lists[l["name"].get<std::string>()] = static_cast<std::uint32_t>(program.lists.size());
            PlayedList list;
            list.back_s = l["back_s"].get<double>();
            list.release_s = l["release_s"].get<double>();
            for (const auto& q : l["cues"]) {
                PlayedCue cue;
                cue.number = q["number"].get<double>();
                readTimes(q, cue);
                if (q.contains("follow") && q["follow"].is_object()) {
                    cue.follow = PlayedCue::Follow::AfterStart;
                    cue.follow_s = q["follow"]["after_s"].get<double>();
                } else if (q.contains("follow")) {
                    cue.follow = PlayedCue::Follow::WhenDone;
                }
                cue.changes = sourceOf(q["values"]);
                list.cues.push_back(std::move(cue));
            }
            program.lists.push_back(std::move(list));
        }
        for (const auto& f : c.value("faders", json::array())) {
            faders[f["name"].get<std::string>()] =
                static_cast<std::uint32_t>(program.faders.size());
            program.faders.push_back(
                {f["mode"] == "add" ? PlayedFader::Mode::Adds : PlayedFader::Mode::Latest,
                 sourceOf(f["values"])});
        }
        complete(program);
    }
    // "L next", "fader a=0.3", "hand 1 0 1 0" and so on.
    std::vector<Command> commandsOf(const std::string& press) const {
        using What = Command::What;
        std::istringstream in(press);
        std::string first, second;
        in >> first >> second;
        Command c;
        if (const auto list = lists.find(first); list != lists.end()) {
            static const std::map<std::string, What> kWhat{
                {"next", What::Next}, {"back", What::Back}, {"jump", What::Jump},
                {"hold", What::Hold}, {"rate", What::Rate}, {"release", What::Release}};
            c.which = list->second;
            c.what = kWhat.at(second);
            in >> c.value;
            return {c};
        }
        if (first == "fader") {
            c.what = What::Fader;
            c.which = faders.at(second.substr(0, second.find('=')));
            c.value = std::stod(second.substr(second.find('=') + 1));
        } else if (first == "trim") {
            std::string factor;
            in >> factor;
            c = {What::Trim,
                 static_cast<std::uint32_t>(std::stoi(second) - 1),
                 factor == "off" ? -1 : std::stod(factor),
                 {}};
        } else if (first == "hand") {
            c.which = static_cast<std::uint32_t>(std::stoi(second) - 1);
            std::vector<double> numbers;
            for (double x = 0; in >> x;)
                numbers.push_back(x);
            c.what = numbers.size() == 1 ? What::HandIntensity : What::HandColour;
            c.value = numbers[0];
            std::copy(numbers.begin(), numbers.end(), c.drives.begin());
        } else if (first == "put-down") {
            c.what = What::PutDown;
        } else if (first == "solo") {
            Command off;
            off.what = What::SoloOff;
            std::vector<Command> all{off};
            for (std::istringstream lamps(press.substr(4)); lamps >> second;)
                all.push_back(
                    {What::Solo, static_cast<std::uint32_t>(std::stoi(second) - 1), 0, {}});
            return all;
        } else if (first == "master") {
            c = {What::Master, 0, std::stod(second), {}};
        } else if (first == "dark") {
            c = {What::Dark, 0, second == "on" ? 1.0 : 0.0, {}};
        } else {
            ADD_FAILURE() << press;
        }
        return {c};
    }
};

// Plays a program to the case's presses and looks where the case does.
inline void expectPlayed(const json& one, const Case& c, std::shared_ptr<const Program> program) {
    Engine engine(std::move(program));
    Shown row = engine.rows();
    auto press = one["presses"].begin();
    for (const auto& look : one["expect"]) {
        const double t = look["t"].get<double>();
        for (; press != one["presses"].end() && (*press)[0].get<double>() <= t; ++press)
            for (const Command& command : c.commandsOf((*press)[1].get<std::string>()))
                engine.apply(command, (*press)[0].get<double>());
        engine.frame(t, row);
        bool same = true;
        std::string got;
        for (std::size_t lamp = 0; lamp < c.program.lamps; ++lamp) {
            const auto& wanted = look["lamps"][lamp];
            same = same && std::abs(row.intensity[lamp] - wanted["i"].get<double>()) < 2e-6;
            for (std::size_t e = 0; e < 3; ++e)
                same = same &&
                       std::abs(row.drives[3 * lamp + e] - wanted["c"][e].get<double>()) < 2e-6;
            got += fmt::format("[{:.4f} {:.4f} {:.4f} {:.4f}] ", row.intensity[lamp],
                               row.drives[3 * lamp], row.drives[3 * lamp + 1],
                               row.drives[3 * lamp + 2]);
        }
        ASSERT_TRUE(same) << one["rule"] << " at " << t << ":\n  got    " << got << "\n  wanted "
                          << look["lamps"].dump();
    }
}

} // namespace zelo::play
