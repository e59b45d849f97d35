// SPDX-License-Identifier: GPL-3.0-or-later
// The rules of play: cases from an engine that shares no code with this one.
#include "play/engine.h"
#include "support/allocations.h"
#include "support/vectors.h"

#include <gtest/gtest.h>
#include <map>
#include <sstream>

namespace zelo::play {
namespace {

using nlohmann::json;

// A case as a program, with the names that its presses use.
struct Case {
    Program program;
    std::map<std::string, std::uint32_t> lists, faders;

    std::vector<Said> saidOf(const json& values) {
        std::vector<Said> all;
        for (const auto& v : values) {
            Said said;
            said.lamp = v["lamp"].get<std::uint32_t>() - 1;
            if (v.contains("i"))
                said.intensity = v["i"].get<double>();
            if (v.contains("c")) {
                said.colour = static_cast<std::uint32_t>(program.drives.size());
                for (const auto& drive : v["c"])
                    program.drives.push_back(drive.get<double>());
            }
            all.push_back(said);
        }
        return all;
    }
    explicit Case(const json& c) {
        program.lamps = c["lamps"].get<std::size_t>();
        for (std::uint32_t i = 0; i <= program.lamps; ++i)
            program.first.push_back(3 * i);
        program.home.assign(3 * program.lamps, 1);
        program.dark_first = c.value("settings", json::object()).value("dark_first", true);
        program.standing = saidOf(c.value("standing", json::array()));
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
                cue.up_s = q["up_s"].get<double>();
                cue.down_s = q["down_s"].get<double>();
                cue.up_delay_s = q.value("up_delay_s", 0.0);
                cue.down_delay_s = q.value("down_delay_s", 0.0);
                if (q.contains("colour_s"))
                    cue.colour_s = q["colour_s"].get<double>();
                if (q.contains("colour_delay_s"))
                    cue.colour_delay_s = q["colour_delay_s"].get<double>();
                if (q.contains("follow") && q["follow"].is_object()) {
                    cue.follow = PlayedCue::Follow::AfterStart;
                    cue.follow_s = q["follow"]["after_s"].get<double>();
                } else if (q.contains("follow")) {
                    cue.follow = PlayedCue::Follow::WhenDone;
                }
                cue.says = saidOf(q["values"]);
                list.cues.push_back(std::move(cue));
            }
            program.lists.push_back(std::move(list));
        }
        for (const auto& f : c.value("faders", json::array())) {
            faders[f["name"].get<std::string>()] =
                static_cast<std::uint32_t>(program.faders.size());
            program.faders.push_back(
                {f["mode"] == "add" ? PlayedFader::Mode::Adds : PlayedFader::Mode::Latest,
                 saidOf(f["values"])});
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

TEST(Engine, PlaysTheReferencesCases) {
    int shown = 0;
    for (const auto& one : test::readJson("reference/play/cases.json")) {
        const std::string rule = one["rule"].get<std::string>();
        const Case c(one);
        Engine engine(std::make_shared<const Program>(c.program));
        Shown row = engine.rows();
        auto press = one["presses"].begin();
        for (const auto& look : one["expect"]) {
            const double t = look["t"].get<double>();
            for (; press != one["presses"].end() && (*press)[0].get<double>() <= t; ++press)
                for (const Command& command : c.commandsOf((*press)[1].get<std::string>()))
                    engine.apply(command, (*press)[0].get<double>());
            engine.frame(t, row);
            bool same = true;
            for (std::size_t lamp = 0; lamp < c.program.lamps; ++lamp) {
                const auto& wanted = look["lamps"][lamp];
                same = same && std::abs(row.intensity[lamp] - wanted["i"].get<double>()) < 2e-6;
                for (std::size_t e = 0; e < 3; ++e)
                    same = same &&
                           std::abs(row.drives[3 * lamp + e] - wanted["c"][e].get<double>()) < 2e-6;
            }
            ++shown;
            if (!same) {
                std::string got;
                for (std::size_t lamp = 0; lamp < c.program.lamps; ++lamp)
                    got += fmt::format("[{:.4f} {:.4f} {:.4f} {:.4f}] ", row.intensity[lamp],
                                       row.drives[3 * lamp], row.drives[3 * lamp + 1],
                                       row.drives[3 * lamp + 2]);
                ADD_FAILURE() << rule << " at " << t << ":\n  got    " << got << "\n  wanted "
                              << look["lamps"].dump();
                break;
            }
        }
    }
    EXPECT_GT(shown, 1000);
}

// Many lamps of eight parts, in `lists` lists with two cues each.
std::shared_ptr<const Program> large(std::uint32_t lamps, std::size_t lists) {
    Program p;
    p.lamps = lamps;
    for (std::uint32_t i = 0; i <= lamps; ++i)
        p.first.push_back(8 * i);
    p.home.assign(8 * lamps, 1);
    for (int i = 0; i < 16; ++i)
        p.drives.push_back(i < 8 ? 0.1 * i : 0.8 - 0.05 * i);
    for (std::size_t l = 0; l < lists; ++l) {
        PlayedList list;
        for (std::uint32_t cue = 0; cue < 2; ++cue) {
            PlayedCue c;
            c.number = 1 + cue;
            c.up_s = c.down_s = 10;
            for (std::uint32_t lamp = 0; lamp < lamps; ++lamp)
                c.says.push_back({lamp, 0.4 + 0.5 * cue, 8 * cue});
            list.cues.push_back(std::move(c));
        }
        p.lists.push_back(std::move(list));
    }
    complete(p);
    return std::make_shared<const Program>(std::move(p));
}

Command press(Command::What what, std::uint32_t which = 0, double value = 0) {
    return {what, which, value, {}};
}

TEST(Engine, NothingIsAllocatedWhileItPlays) {
    Engine engine(large(512, 3));
    Shown row = engine.rows();
    double t = 0;
    EXPECT_EQ(test::allocationsOf([&] {
                  for (std::uint32_t list = 0; list < 3; ++list)
                      engine.apply(press(Command::What::Next, list), t);
                  for (int i = 0; i < 20; ++i)
                      engine.frame(t += 0.02, row);
                  engine.apply(press(Command::What::Back, 0), t);
                  engine.apply(press(Command::What::Release, 1), t);
                  engine.apply(press(Command::What::Jump, 2, 2), t);
                  engine.frame(t += 0.02, row);
              }),
              0);
}

TEST(Engine, TheSamePressesGiveTheSameLightToTheBit) {
    std::vector<double> first;
    for (int run = 0; run < 2; ++run) {
        Engine engine(large(20, 2));
        Shown row = engine.rows();
        std::vector<double> all;
        double t = 0;
        for (int i = 0; i < 400; ++i) {
            if (i % 37 == 0)
                engine.apply(press(static_cast<Command::What>(i / 37 % 6), i % 2, 1.5), t);
            t += 1.0 / 44;
            engine.frame(t, row);
            all.insert(all.end(), row.intensity.begin(), row.intensity.end());
            all.insert(all.end(), row.drives.begin(), row.drives.end());
        }
        if (run == 0)
            first = all;
        else
            EXPECT_EQ(all, first);
    }
}

// Where frames fall does not matter: one look after many frames is a look alone.
TEST(Engine, FramesInBetweenChangeNothing) {
    Engine often(large(5, 2));
    Engine seldom(large(5, 2));
    Shown a = often.rows();
    Shown b = seldom.rows();
    const auto both = [&](const Command& c, double t) {
        often.apply(c, t);
        seldom.apply(c, t);
    };
    both(press(Command::What::Next, 0), 0);
    both(press(Command::What::Rate, 0, 3), 0.5);
    for (double t = 0.5; t < 2; t += 0.013)
        often.frame(t, a);
    both(press(Command::What::Next, 1), 2);
    for (double t = 2; t < 4; t += 0.017)
        often.frame(t, a);
    both(press(Command::What::Release, 0), 4);
    often.frame(4.5, a);
    seldom.frame(4.5, b);
    for (std::size_t i = 0; i < a.intensity.size(); ++i)
        EXPECT_NEAR(a.intensity[i], b.intensity[i], 1e-9);
    for (std::size_t i = 0; i < a.drives.size(); ++i)
        EXPECT_NEAR(a.drives[i], b.drives[i], 1e-9);
}

TEST(Engine, WhatIsNotThereDoesNothing) {
    Engine engine(large(3, 1));
    Shown row = engine.rows();
    for (int what = 0; what <= static_cast<int>(Command::What::Dark); ++what)
        for (const double value : {std::nan(""), -1.0, 1e300})
            engine.apply(press(static_cast<Command::What>(what), 77, value), 0);
    engine.apply(press(Command::What::Dark, 0, 0), 0);
    engine.apply(press(Command::What::Master, 0, 1), 0);
    engine.apply(press(Command::What::Jump, 0, 99), 0);
    engine.apply(press(Command::What::Next, 0), 1);
    engine.frame(86'400, row); // a day later
    EXPECT_EQ(row.intensity[0], 0.4);
    for (int i = 0; i < 100; ++i)
        engine.apply(press(Command::What::Next, 0), 86'400);
    engine.frame(86'500, row);
    EXPECT_EQ(row.intensity[2], 0.9);
}

} // namespace
} // namespace zelo::play
