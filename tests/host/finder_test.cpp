// SPDX-License-Identifier: GPL-3.0-or-later
// Finding fixtures against the practice rig over the network of this computer.
#include "files/show_file.h"
#include "host/library.h"
#include "practice/responder.h"
#include "support/places.h"
#include "wire/net/finder.h"

#include <condition_variable>
#include <gtest/gtest.h>

namespace zelo::host {
namespace {

using namespace std::chrono_literals;
using wire::FinderState;

// The demo rig, awkward as it ships, on a port of its own.
class FinderTest : public ::testing::Test {
protected:
    FinderTest() {
        const Library library{std::filesystem::path(places::data)};
        const auto show =
            files::readShow(std::filesystem::path(places::data) / "shows/salt-lanterns.zelo");
        for (const auto& [id, f] : show->show->fixtures)
            EXPECT_TRUE(rig.add(id.value, f->number, library.type(f->type), f->mode, f->universe,
                                f->address));
    }
    void serve(bool awkward) {
        responder = std::make_unique<practice::Responder>(rig, awkward);
        auto opened = wire::UdpPort::open(
            "127.0.0.1", 0,
            {[this](auto bytes, const wire::Endpoint& from) {
                 const std::lock_guard lock(mutex);
                 if (flood)
                     for (int i = 0; i < 3; ++i)
                         port->send(std::vector<std::uint8_t>{'A', 'r', 't', 1, 2, 3, 4, 5, 6, 7, 8,
                                                              9, 10},
                                    from);
                 std::vector<std::size_t> changed;
                 const auto packet = wire::decodeArtNet(bytes);
                 if (packet)
                     note(*packet);
                 if (packet)
                     for (auto& r : responder->take(*packet, changed))
                         late.push_back(
                             {std::chrono::steady_clock::now() + r.after, r.bytes, from});
             },
             [this] {
                 const std::lock_guard lock(mutex);
                 std::erase_if(late, [&](const Late& l) {
                     if (l.at > std::chrono::steady_clock::now() || !port->send(l.bytes, l.to))
                         return false;
                     if (const auto sent = wire::decodeArtNet(l.bytes))
                         if (const auto* rdm = std::get_if<wire::ArtRdm>(&*sent))
                             --on_cable[rdm->port_address];
                     return true;
                 });
             },
             2ms});
        ASSERT_TRUE(opened);
        port = std::move(*opened);
        port->start();
        find({});
    }
    // How many questions are on a cable at once, and whether a later answer is asked for.
    void note(const wire::ArtPacket& packet) {
        const auto* rdm = std::get_if<wire::ArtRdm>(&packet);
        const auto message = rdm ? wire::decodeRdm(rdm->message) : fail(ErrorCode::Io, "none");
        if (!message)
            return;
        queued_asked += message->parameter == wire::pid::kQueued;
        auto silent = false;
        for (std::size_t i = 0; i < rig.lamps().size(); ++i)
            silent |= responder->uid(i) == message->to &&
                      responder->manner(i) == practice::Manner::Silent;
        if (!silent)
            most_on_cable = std::max(most_on_cable, ++on_cable[rdm->port_address]);
    }
    void find(wire::FinderSettings settings) {
        if (port)
            settings.port = port->port();
        auto opened = wire::Finder::open(settings, [this] {
            const std::lock_guard lock(told_mutex);
            ++told;
            told_wake.notify_all();
        });
        ASSERT_TRUE(opened);
        finder = std::move(*opened);
    }
    FinderState searched() {
        finder->search();
        std::unique_lock lock(told_mutex);
        bool begun = false;
        told_wake.wait_for(lock, 30s, [&] {
            const auto s = finder->state();
            begun = begun || s.searching;
            return begun && !s.searching;
        });
        return finder->state();
    }
    Done asked(const std::function<void(wire::Finder::Answer)>& ask) {
        std::mutex m;
        std::condition_variable wake;
        std::optional<Done> answer;
        ask([&](const Done& done) {
            const std::lock_guard lock(m);
            answer = done;
            wake.notify_all();
        });
        std::unique_lock lock(m);
        EXPECT_TRUE(wake.wait_for(lock, 10s, [&] { return answer.has_value(); }));
        return answer.value_or(Done(fail(ErrorCode::Io, "no answer at all")));
    }
    const wire::FoundDevice& device(const FinderState& s, std::size_t lamp) {
        for (const auto& d : s.devices)
            if (d.uid == responder->uid(lamp))
                return d;
        ADD_FAILURE() << "lamp " << lamp << " was not found";
        return s.devices.at(0);
    }
    bool hasTrouble(const wire::FoundDevice& d, const std::string& word) {
        for (const auto& t : d.troubles)
            if (t.english().find(word) != std::string::npos)
                return true;
        return false;
    }

    struct Late {
        std::chrono::steady_clock::time_point at;
        std::vector<std::uint8_t> bytes;
        wire::Endpoint to;
    };
    practice::PracticeRig rig{1};
    std::unique_ptr<practice::Responder> responder;
    std::mutex mutex;
    std::vector<Late> late;
    bool flood = false;
    std::map<int, int> on_cable; // questions without an answer yet, by port
    int most_on_cable = 0, queued_asked = 0;
    std::mutex told_mutex;
    std::condition_variable told_wake;
    int told = 0;
    std::unique_ptr<wire::UdpPort> port;
    std::unique_ptr<wire::Finder> finder;
};

TEST_F(FinderTest, FindsAllFortyAndTellsWhoIsAwkward) {
    serve(true);
    const auto s = searched();
    EXPECT_FALSE(s.searching);
    EXPECT_EQ(s.ports, 2) << "the demo rig is on two universes";
    EXPECT_EQ(s.ports_asked, 2);
    EXPECT_EQ(s.nodes, 1);
    EXPECT_EQ(s.devices.size(), 39u) << "two of the forty have one identity";
    EXPECT_EQ(s.devicesDone(), 39);
    for (std::size_t i = 0; i < 40; ++i) {
        const auto& d = device(s, i);
        switch (responder->manner(i)) {
        case practice::Manner::Silent:
            EXPECT_FALSE(d.answered);
            EXPECT_TRUE(hasTrouble(d, "does not answer"));
            break;
        case practice::Manner::Garbled:
            EXPECT_TRUE(hasTrouble(d, "answers badly: offset 24: checksum"));
            break;
        case practice::Manner::Twin:
            EXPECT_TRUE(hasTrouble(d, "twice"));
            break;
        default:
            EXPECT_TRUE(d.answered) << i;
            EXPECT_EQ(d.model, rig.lamps()[i].type->name);
            EXPECT_EQ(d.maker, rig.lamps()[i].type->maker);
            EXPECT_EQ(d.personality, rig.lamps()[i].mode);
            if (i + 1 < 40 && responder->manner(i + 1) != practice::Manner::Twin) {
                EXPECT_EQ(d.label, fmt::format("lamp {}", i + 1));
                EXPECT_EQ(d.info.address, rig.lamps()[i].address);
                EXPECT_TRUE(d.troubles.empty()) << d.troubles.front();
            }
        }
        EXPECT_EQ(d.port_address, rig.lamps()[i].universe - 1);
    }
    EXPECT_GT(told, 5) << "progress is told on the way";
    const std::lock_guard lock(mutex);
    EXPECT_GT(queued_asked, 3) << "who says later is asked for the queued message";
    // The twins' second answer makes it one less than none.
    EXPECT_LE(most_on_cable, 1) << "a cable carries one question at a time";
}

TEST_F(FinderTest, SetsTheAddressAndIdentifies) {
    serve(false);
    searched();
    const auto uid = responder->uid(4);
    EXPECT_TRUE(asked([&](auto a) { finder->identify(uid, true, a); }));
    {
        const std::lock_guard lock(mutex);
        EXPECT_TRUE(responder->identifying(4));
    }
    EXPECT_TRUE(asked([&](auto a) { finder->identify(uid, false, a); }));
    EXPECT_TRUE(asked([&](auto a) { finder->setAddress(uid, 300, a); }));
    {
        const std::lock_guard lock(mutex);
        EXPECT_FALSE(responder->identifying(4));
        EXPECT_EQ(rig.lamps()[4].address, 300);
    }
    EXPECT_EQ(device(finder->state(), 4).info.address, 300);
    const auto refused = asked([&](auto a) { finder->setAddress(uid, 512, a); });
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.error().text().find("out of its range"), std::string::npos);
    const auto nobody = asked([&](auto a) { finder->identify({1, 2}, true, a); });
    ASSERT_FALSE(nobody);
    EXPECT_NE(nobody.error().text().find("does not answer"), std::string::npos);
}

TEST_F(FinderTest, AnswersThePollOfAnotherController) {
    serve(false);
    searched();
    std::atomic<int> replies{0};
    std::atomic<bool> controller{false};
    auto other = std::move(*wire::UdpPort::open(
        "127.0.0.1", 0, {[&](auto bytes, const wire::Endpoint&) {
            const auto packet = wire::decodeArtNet(bytes);
            const auto* reply = packet ? std::get_if<wire::ArtPollReply>(&*packet) : nullptr;
            if (!reply)
                return;
            controller = reply->controller && reply->outputs.empty() && !reply->rdm;
            ++replies;
        }}));
    other->start();
    other->send(wire::encoded(wire::ArtPoll{}), {{127, 0, 0, 1}, finder->port()});
    for (int i = 0; i < 200 && replies == 0; ++i)
        std::this_thread::sleep_for(5ms);
    EXPECT_EQ(replies, 1);
    EXPECT_TRUE(controller);
}

TEST_F(FinderTest, NobodyThereEndsWithAWord) {
    wire::FinderSettings settings;
    settings.port = 1; // nothing listens there
    find(settings);
    const auto s = searched();
    EXPECT_TRUE(s.devices.empty());
    ASSERT_EQ(s.troubles.size(), 1u);
    EXPECT_EQ(s.troubles[0].english(), "nothing answers Art-Net here");
}

TEST_F(FinderTest, RubbishIsCountedAndDropped) {
    flood = true;
    serve(false);
    const auto s = searched();
    EXPECT_EQ(s.devices.size(), 40u);
    EXPECT_GT(s.malformed, 50u);
    for (const auto& d : s.devices)
        EXPECT_TRUE(d.answered);
}

TEST_F(FinderTest, StoppingKeepsWhatWasFound) {
    serve(true);
    finder->search();
    for (int i = 0; i < 200 && finder->state().devices.empty(); ++i)
        std::this_thread::sleep_for(10ms);
    finder->stop();
    for (int i = 0; i < 100 && finder->state().searching; ++i)
        std::this_thread::sleep_for(5ms);
    EXPECT_FALSE(finder->state().searching);
    EXPECT_FALSE(finder->state().devices.empty());
    EXPECT_EQ(searched().devices.size(), 39u) << "and it can begin anew";
}

} // namespace
} // namespace zelo::host
