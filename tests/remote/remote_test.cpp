// SPDX-License-Identifier: GPL-3.0-or-later
// Controls from outside: what their bytes say, what they do, how they take hold.
#include "host/child.h"
#include "remote/bindings.h"
#include "remote/midi_ports.h"
#include "remote/osc_message.h"
#include "remote/osc_port.h"
#include "remote/take_over.h"
#include "wire/net/udp_port.h"

#include <atomic>
#include <chrono>
#include <csignal>
#include <filesystem>
#include <fmt/format.h>
#include <gtest/gtest.h>
#include <memory>
#include <rtmidi/RtMidi.h>
#include <unistd.h>

namespace zelo::remote {
namespace {

using Bytes = std::vector<std::uint8_t>;

TEST(Midi, ControllersBendsAndNotes) {
    // The status bytes of the MIDI 1.0 tables.
    const auto level = readMidi(Bytes{0xb3, 7, 127}, "Twelve Faders");
    ASSERT_TRUE(level);
    EXPECT_EQ(level->control, (Control{Control::Kind::Level, 3, 7, "Twelve Faders"}));
    EXPECT_EQ(level->value, 1);
    EXPECT_EQ(inWords(level->control), "controller 7, channel 4, of Twelve Faders");
    const auto bend = readMidi(Bytes{0xe0, 0x7f, 0x7f}, "x");
    ASSERT_TRUE(bend);
    EXPECT_EQ(bend->control.kind, Control::Kind::Bend);
    EXPECT_EQ(bend->value, 1);
    EXPECT_NEAR(readMidi(Bytes{0xe0, 0x00, 0x40}, "x")->value, 8192 / 16383.0, 1e-12);
    const auto key = readMidi(Bytes{0x91, 60, 100}, "x");
    ASSERT_TRUE(key);
    EXPECT_EQ(key->control.kind, Control::Kind::Key);
    EXPECT_FALSE(key->released);
    EXPECT_TRUE(readMidi(Bytes{0x91, 60, 0}, "x")->released) << "on without force is off";
    EXPECT_TRUE(readMidi(Bytes{0x81, 60, 64}, "x")->released);
    for (const Bytes& other :
         {Bytes{}, Bytes{0xb0}, Bytes{0xb0, 7}, Bytes{0xb0, 7, 200}, Bytes{0xb0, 123, 0},
          Bytes{0xf8}, Bytes{0xc0, 5}, Bytes{0xf0, 1, 2, 0xf7}, Bytes{7, 7, 7}})
        EXPECT_FALSE(readMidi(other, "x"));
}

TEST(Midi, WhatIsSentIsReadBack) {
    for (const auto kind : {Control::Kind::Level, Control::Kind::Bend, Control::Kind::Key})
        for (const double value : {0.0, 0.25, 1.0, 7.0}) {
            const Control control{kind, 9, kind == Control::Kind::Bend ? 0 : 42, "x"};
            const auto back = readMidi(midiFor(control, value), "x");
            ASSERT_TRUE(back);
            EXPECT_EQ(back->control, control);
            EXPECT_NEAR(back->value, std::min(value, 1.0), 0.5 / 127);
        }
    EXPECT_TRUE(midiFor({Control::Kind::Path, 0, 0, "/a"}, 1).empty());
}

TEST(Midi, WheelsCountInTheirOwnWay) {
    const auto turned = [](Turn turn, int seven) { return stepsOf(turn, seven / 127.0); };
    EXPECT_EQ(turned(Turn::TwosComplement, 1), 1);
    EXPECT_EQ(turned(Turn::TwosComplement, 127), -1);
    EXPECT_EQ(turned(Turn::TwosComplement, 5), 5);
    EXPECT_EQ(turned(Turn::TwosComplement, 120), -8);
    EXPECT_EQ(turned(Turn::Around64, 65), 1);
    EXPECT_EQ(turned(Turn::Around64, 62), -2);
    EXPECT_EQ(turned(Turn::Around64, 64), 0);
    for (const int first : {1, 2, 127, 126})
        EXPECT_EQ(turnOf(first / 127.0), Turn::TwosComplement);
    for (const int first : {65, 63, 66, 62})
        EXPECT_EQ(turnOf(first / 127.0), Turn::Around64);
}

// Written out by hand from the OSC 1.0 specification.
Bytes oscBytes(const std::string& path, const std::string& types, const Bytes& arguments) {
    const auto text = [](const std::string& t) {
        Bytes b(t.begin(), t.end());
        do
            b.push_back(0);
        while (b.size() % 4);
        return b;
    };
    Bytes all = text(path);
    const Bytes types_of = text("," + types);
    all.insert(all.end(), types_of.begin(), types_of.end());
    all.insert(all.end(), arguments.begin(), arguments.end());
    return all;
}
const Bytes kHalf{0x3f, 0, 0, 0};

Bytes bundleOf(const std::vector<Bytes>& parts) {
    Bytes all{'#', 'b', 'u', 'n', 'd', 'l', 'e', 0, 0, 0, 0, 0, 0, 0, 0, 1};
    for (const Bytes& part : parts) {
        all.insert(all.end(), {0, 0, static_cast<std::uint8_t>(part.size() >> 8),
                               static_cast<std::uint8_t>(part.size())});
        all.insert(all.end(), part.begin(), part.end());
    }
    return all;
}

TEST(Osc, TheFirstNumberCounts) {
    const auto one = [](const Bytes& packet) {
        const auto all = readOsc(packet);
        return all.size() == 1 ? std::optional(all[0]) : std::nullopt;
    };
    const auto half = one(oscBytes("/desk/1", "f", kHalf));
    ASSERT_TRUE(half);
    EXPECT_EQ(half->control, (Control{Control::Kind::Path, 0, 0, "/desk/1"}));
    EXPECT_EQ(half->value, 0.5);
    EXPECT_EQ(one(oscBytes("/desk/1", "i", {0, 0, 0, 3}))->value, 3);
    EXPECT_EQ(one(oscBytes("/a", "d", {0x3f, 0xd0, 0, 0, 0, 0, 0, 0}))->value, 0.25);
    EXPECT_EQ(one(oscBytes("/a", "sf", {'x', 0, 0, 0, 0x3f, 0, 0, 0}))->value, 0.5);
    EXPECT_EQ(one(oscBytes("/a", "T", {}))->value, 1);
    EXPECT_TRUE(one(oscBytes("/a", "F", {}))->released);
    EXPECT_EQ(one(oscBytes("/a", "", {}))->value, 1) << "a press";
    const auto both = readOsc(
        bundleOf({oscBytes("/a", "f", kHalf), bundleOf({oscBytes("/b", "i", {0, 0, 0, 1})})}));
    ASSERT_EQ(both.size(), 2u);
    EXPECT_EQ(both[1].control.name, "/b");
}

TEST(Osc, WhatIsNoneOfItGivesNothing) {
    Bytes cut = oscBytes("/a", "f", {});
    const Bytes nan = oscBytes("/a", "f", {0x7f, 0xc0, 0, 0});
    Bytes deep = oscBytes("/a", "f", kHalf);
    for (int i = 0; i < 20; ++i)
        deep = bundleOf({deep});
    Bytes lying = bundleOf({oscBytes("/a", "f", kHalf)});
    lying[19] = 200; // longer than there is
    for (const Bytes& packet : {Bytes{}, Bytes(7, 'x'), Bytes(64, 0xff), cut, nan, deep, lying,
                                oscBytes("no slash", "f", kHalf), Bytes(400, '/')})
        EXPECT_TRUE(readOsc(packet).empty());
    std::vector<Bytes> many(500, oscBytes("/a", "f", kHalf));
    EXPECT_EQ(readOsc(bundleOf(many)).size(), kMostOscMessages);
    EXPECT_EQ(oscFor("/zelo/master", 0.5F), oscBytes("/zelo/master", "f", kHalf));
}

TEST(Actions, AreReadAsTheyAreWritten) {
    auto all = standing();
    all.push_back({Does::Fader, 12, {}});
    all.push_back({Does::Emitter, 0, "Deep Red"});
    for (const Action& action : all) {
        EXPECT_EQ(parseAction(toText(action)).value(), action);
        EXPECT_EQ(actionOfPath(pathOf(action)), action);
    }
    EXPECT_EQ(pathOf({Does::Fader, 3, {}}), "/zelo/fader/3");
    for (const char* none :
         {"", "fader", "fader 0", "fader 1000", "fader x", "emitter", "master 3", "strobe"}) {
        const auto read = parseAction(none);
        ASSERT_FALSE(read) << none;
        EXPECT_NE(read.error().text().find(std::string("'") + none + "'"), std::string::npos);
    }
    for (const char* none : {"/zelo", "/zelo/", "/other/master", "/zelo/fader/-1", "/zelo/next/2"})
        EXPECT_FALSE(actionOfPath(none)) << none;
}

TEST(TakeOver, AFaderWaitsUntilItMeetsOrPasses) {
    TakeOver taking;
    EXPECT_FALSE(taking.moved(0.1, 0.6)) << "it would jump";
    EXPECT_TRUE(taking.waits());
    EXPECT_FALSE(taking.moved(0.4, 0.6));
    EXPECT_EQ(taking.moved(0.7, 0.6), 0.7) << "it passed";
    EXPECT_FALSE(taking.waits());
    EXPECT_EQ(taking.moved(0.9, 0.7), 0.9) << "now it holds, however fast it goes";
    // Somebody else moves the thing: it lets go.
    EXPECT_FALSE(taking.moved(0.85, 0.2));
    EXPECT_FALSE(taking.moved(0.5, 0.2));
    EXPECT_EQ(taking.moved(0.21, 0.2), 0.21) << "it met";
    EXPECT_EQ(taking.moved(0.3, 0.2), 0.3);
    EXPECT_EQ(taking.moved(0.4, 0.2), 0.4) << "what is shown lags behind";
    EXPECT_EQ(taking.moved(0.5, 0.3), 0.5);
    EXPECT_FALSE(taking.moved(0.55, 0.9)) << "that was somebody else";
    EXPECT_TRUE(taking.waits());
    EXPECT_EQ(taking.moved(0.895, 0.9), 0.895) << "a motor has brought it there";
    TakeOver fresh;
    EXPECT_EQ(fresh.moved(0.5, 0.505), 0.5);
}

Bindings table() {
    Bindings all;
    all.osc = Listens::ThisComputer;
    all.osc_port = 9123;
    all.bind({{Control::Kind::Level, 0, 7, "Twelve Faders"}, {Does::Fader, 3, {}}});
    all.bind({{Control::Kind::Bend, 8, 0, "Twelve Faders"}, {Does::Master, 0, {}}});
    all.bind({{Control::Kind::Key, 0, 60, "Keys \"A\" ü"}, {Does::Next, 0, {}}});
    all.bind({{Control::Kind::Level, 0, 16, "Wheels"}, {Does::Warmth, 0, {}}, Turn::Around64});
    all.bind({{Control::Kind::Path, 0, 0, "/desk/1"}, {Does::Emitter, 0, "Lime"}});
    return all;
}

TEST(Table, IsReadAsItIsWritten) {
    const Bindings all = table();
    const auto read = parseBindings(toText(all));
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_EQ(*read, all);
    EXPECT_EQ(*parseBindings(toText(Bindings{})), Bindings{});
}

TEST(Table, AControlDoesOneThing) {
    Bindings all = table();
    const auto before = all.all.size();
    const Control fader{Control::Kind::Level, 0, 7, "Twelve Faders"};
    EXPECT_TRUE(all.bind({fader, {Does::Master, 0, {}}}));
    EXPECT_EQ(all.all.size(), before);
    EXPECT_EQ(all.find(fader)->action.does, Does::Master);
    all.forget({Does::Master, 0, {}}); // both
    EXPECT_EQ(all.all.size(), before - 2);
    EXPECT_FALSE(all.find(fader));
    for (int i = 0; i < 5000; ++i)
        all.bind({{Control::Kind::Path, 0, 0, "/" + std::to_string(i)}, {Does::Next, 0, {}}});
    EXPECT_EQ(all.all.size(), kMostBindings);
    EXPECT_TRUE(parseBindings(toText(all))) << "what can be kept can be read";
}

TEST(Table, SaysWhatIsWrongAndWhere) {
    const auto trouble = [](const std::string& text) {
        const auto read = parseBindings(text);
        return read ? std::string("fine") : read.error().text();
    };
    const std::string head = R"({"format":"zelochrome-controls","version":1,"controls":[)";
    EXPECT_EQ(trouble(""), "not a table of controls");
    EXPECT_EQ(trouble("[1,2"), "not a table of controls");
    EXPECT_EQ(trouble(R"({"format":"zelochrome-settings"})"), "not a table of controls");
    EXPECT_EQ(trouble(R"({"format":"zelochrome-controls","version":2,"controls":[]})"),
              "a table of controls of another version");
    EXPECT_EQ(
        trouble(head + R"({"does":"next","by":"note","device":"x","channel":17,"number":1}]})"),
        "control 1: channel: expected 1 to 16");
    EXPECT_EQ(trouble(head + R"({"does":"next","by":"path","path":"/a"},{"does":"jump"}]})")
                  .rfind("control 2, does: 'jump': expected master", 0),
              0u);
    EXPECT_EQ(trouble(head + R"({"does":"next","by":"path","path":"a"}]})"),
              "control 1: path: expected one that begins with /");
    EXPECT_EQ(
        trouble(head + R"({"does":"next","by":"note","device":"x","channel":1,"number":1e99}]})"),
        "control 1: number: expected 0 to 127");
    EXPECT_NE(trouble(std::string(2 << 20, ' ')).find("2097152 bytes"), std::string::npos);
}

// Another sender's bytes over a real socket, and what goes back to it.
TEST(OscPort, HearsOnThisComputerAndAnswersWhoSentLast) {
    std::mutex mutex;
    std::vector<Moved> heard;
    const auto heardOf = [&](std::size_t count) {
        for (int i = 0; i < 300; ++i) {
            {
                const std::scoped_lock lock(mutex);
                if (heard.size() >= count)
                    return true;
            }
            std::this_thread::sleep_for(std::chrono::milliseconds(10));
        }
        return false;
    };
    auto port = OscPort::open(Listens::ThisComputer, 0, [&](const Moved& moved) {
        const std::scoped_lock lock(mutex);
        heard.push_back(moved);
    });
    ASSERT_TRUE(port);
    (*port)->send("/zelo/master", 1); // to nobody yet
    std::atomic<int> answers{0};
    Bytes answer;
    auto other = wire::UdpPort::open("127.0.0.1", 0,
                                     {[&](std::span<const std::uint8_t> b, const wire::Endpoint&) {
                                         const std::scoped_lock lock(mutex);
                                         answer.assign(b.begin(), b.end());
                                         ++answers;
                                     }});
    ASSERT_TRUE(other);
    (*other)->start();
    const wire::Endpoint there{{127, 0, 0, 1}, (*port)->port()};
    (*other)->send(Bytes(50, 0xaa), there); // noise: nobody is answered for it
    (*other)->send(oscBytes("/zelo/fader/3", "f", kHalf), there);
    ASSERT_TRUE(heardOf(1));
    EXPECT_EQ(heard[0].control.name, "/zelo/fader/3");
    EXPECT_EQ(heard[0].value, 0.5);
    (*port)->send("/zelo/master", 0.5F);
    for (int i = 0; i < 300 && answers == 0; ++i)
        std::this_thread::sleep_for(std::chrono::milliseconds(10));
    const std::scoped_lock lock(mutex);
    EXPECT_EQ(answer, oscBytes("/zelo/master", "f", kHalf));
    EXPECT_FALSE(OscPort::open(Listens::ThisComputer, (*port)->port(), [](const Moved&) {}))
        << "it is taken";
}

// Virtual ports of the system's sequencer; where it has none, of a JACK server of the test's own.
constexpr auto kOften = std::chrono::milliseconds(20);

class MidiDevices : public ::testing::Test {
protected:
    void SetUp() override {
        if (std::filesystem::exists("/dev/snd/seq")) {
            api = RtMidi::LINUX_ALSA;
            system = MidiPorts::System::Sequencer;
            return;
        }
        name = fmt::format("zelo-test-{}", getpid());
        setenv("JACK_DEFAULT_SERVER", name.c_str(), 1);
        setenv("JACK_NO_AUDIO_RESERVATION", "1", 1);
        begin();
    }
    void TearDown() override {
        server.reset();
        unsetenv("JACK_DEFAULT_SERVER");
    }
    void begin() {
        auto started =
            host::Child::start("sh", {"-c", "echo $$; exec jackd --name " + name +
                                                " --no-realtime --no-mlock --timeout 60000"
                                                " -d dummy -p 256"});
        ASSERT_TRUE(started);
        server = std::move(*started);
        std::string said;
        ASSERT_TRUE(soon([&] {
            if (const auto more = server->read(std::chrono::milliseconds(10)))
                said += *more;
            return said.find('\n') != std::string::npos;
        }));
        pid = std::stoi(said);
        ASSERT_TRUE(soon([&] { return std::filesystem::exists(socket()); }))
            << "the packages of tools/setup";
    }
    std::string socket() const { return fmt::format("/dev/shm/jack_{}_{}_0", name, getuid()); }
    template <class F>
    static bool soon(F&& f) {
        for (int i = 0; i < 500; ++i, std::this_thread::sleep_for(std::chrono::milliseconds(10)))
            if (f())
                return true;
        return false;
    }

    RtMidi::Api api = RtMidi::UNIX_JACK;
    MidiPorts::System system = MidiPorts::System::Jack;
    std::string name;
    std::unique_ptr<host::Child> server;
    int pid = 0; // of it
};

TEST_F(MidiDevices, AreHeardAndToldBackAndMayComeAndGo) {
    std::mutex mutex;
    std::vector<Moved> heard;
    const auto count = [&] {
        const std::scoped_lock lock(mutex);
        return heard.size();
    };
    std::atomic<int> changes{0};
    MidiPorts ports(
        [&](const Moved& moved) {
            const std::scoped_lock lock(mutex);
            heard.push_back(moved);
        },
        [&] { ++changes; }, kOften, system);
    ASSERT_TRUE(soon([&] { return ports.available(); }));
    const auto before = ports.devices().size();

    auto faders = std::make_unique<RtMidiOut>(api, "Twelve Faders capture");
    faders->openVirtualPort("a");
    RtMidiIn motors(api, "Twelve Faders playback");
    motors.openVirtualPort("a");
    ASSERT_TRUE(soon([&] { return ports.devices().size() == before + 1; }))
        << "plugged in while it runs";
    EXPECT_GE(changes, 2) << "told of MIDI, and of the device";
    const Bytes moved{0xb0, 7, 64};
    faders->sendMessage(&moved);
    ASSERT_TRUE(soon([&] { return count() == 1; }));
    const Control fader = heard[0].control;
    EXPECT_EQ(fader, (Control{Control::Kind::Level, 0, 7, "Twelve Faders capture:a"}));
    EXPECT_NEAR(heard[0].value, 64 / 127.0, 1e-9);

    Bytes told;
    ASSERT_TRUE(soon([&] {
        ports.send(fader, 1.0); // the motor goes where it should stand
        motors.getMessage(&told);
        return !told.empty();
    }));
    EXPECT_EQ(told, (Bytes{0xb0, 7, 127}));
    ports.send({Control::Kind::Level, 0, 7, "another"}, 0.5); // nobody

    faders.reset();
    ASSERT_TRUE(soon([&] { return ports.devices().size() == before; })) << "pulled out";
    ports.send(fader, 0.2); // nobody, and nothing breaks
}

TEST_F(MidiDevices, OfASystemThatHangsHoldUpNobody) {
    if (api != RtMidi::UNIX_JACK)
        GTEST_SKIP() << "the system's sequencer does not hang";
    const auto begun = std::chrono::steady_clock::now();
    const auto took = [&] { return std::chrono::steady_clock::now() - begun; };
    {
        MidiPorts before([](const Moved&) {}, [] {}, kOften, system);
        ASSERT_TRUE(soon([&] { return before.available(); }));
        kill(pid, SIGSTOP);
        MidiPorts ports([](const Moved&) {}, [] {}, kOften, system);
        EXPECT_FALSE(ports.available());
        for (int i = 0; i < 20'000; ++i) // more than its buffers hold
            before.send({Control::Kind::Level, 0, i % 100, "x"}, 1);
        EXPECT_LT(took(), std::chrono::seconds(5));
    }
    EXPECT_LT(took(), std::chrono::seconds(8)) << "nor does the end";
    kill(pid, SIGCONT);
}

TEST(NoMidi, IsNoTrouble) {
    if (std::filesystem::exists("/dev/snd/seq"))
        GTEST_SKIP() << "this system has a sequencer";
    MidiPorts ports([](const Moved&) {}, [] { ADD_FAILURE() << "nothing came"; }, kOften);
    ports.send({Control::Kind::Level, 0, 7, "x"}, 1); // nothing happens, nothing breaks
    std::this_thread::sleep_for(5 * kOften);
    EXPECT_FALSE(ports.available());
    EXPECT_TRUE(ports.devices().empty());
}

} // namespace
} // namespace zelo::remote
