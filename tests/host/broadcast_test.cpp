// SPDX-License-Identifier: GPL-3.0-or-later
// Finding fixtures on a real network: two network namespaces with a cable between them (a veth
// pair), where the practice rig answers as old nodes do, by directed broadcast.
#include "host/outputs.h"
#include "practice/responder.h"
#include "support/test_types.h"
#include "wire/net/finder.h"

#include <csignal>
#include <cstdlib>
#include <gtest/gtest.h>
#include <sched.h>
#include <sys/prctl.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

namespace zelo::host {
namespace {

using namespace std::chrono_literals;

// What the child ends with.
enum Outcome { kFound = 0, kNoNamespaces = 77, kNothingFound = 1, kNoNode = 2, kNoFinder = 3 };

bool run(const std::string& command) {
    return std::system((command + " >/dev/null 2>&1").c_str()) == 0;
}

// The far end: a node that answers by broadcast only. Ends when it is killed.
[[noreturn]] void beNode(int ready) {
    ::prctl(PR_SET_PDEATHSIG, SIGKILL); // whatever becomes of the other end
    if (::unshare(CLONE_NEWNET) != 0 || ::write(ready, "n", 1) != 1)
        ::_exit(kNoNamespaces);
    bool up = false;
    for (int i = 0; i < 100 && !up; ++i) { // until its end of the cable is here
        up = run("ip addr add 10.99.0.2/24 brd 10.99.0.255 dev zelo1") &&
             run("ip link set zelo1 up");
        std::this_thread::sleep_for(20ms);
    }
    auto made = *test::typeOf(test::kThree, 1, false);
    const auto type = std::make_shared<light::FixtureType>(made);
    practice::PracticeRig rig{1};
    for (int i = 0; i < 5; ++i)
        (void)rig.add(i + 1, i + 1, type, "", 1, 1 + 3 * i);
    practice::Responder responder(rig, false);
    std::unique_ptr<wire::UdpPort> port;
    auto opened = wire::UdpPort::open(
        "0.0.0.0", wire::kArtNetPort, {[&](auto bytes, const wire::Endpoint&) {
            std::vector<std::size_t> changed;
            if (const auto packet = wire::decodeArtNet(bytes))
                for (const auto& reply : responder.take(*packet, changed))
                    port->send(reply.bytes, {{10, 99, 0, 255}, wire::kArtNetPort});
        }});
    if (!opened || ::write(ready, "r", 1) != 1)
        ::_exit(kNoNode);
    port = std::move(*opened);
    port->start();
    while (true)
        ::pause();
}

Outcome findOverTheCable() {
    if (::unshare(CLONE_NEWNET) != 0 && ::unshare(CLONE_NEWUSER | CLONE_NEWNET) != 0)
        return kNoNamespaces;
    if (!run("ip link set lo up") || !run("ip link add zelo0 type veth peer name zelo1"))
        return kNoNamespaces;
    int ready[2];
    if (::pipe(ready) != 0)
        return kNoNamespaces;
    const pid_t node = ::fork();
    if (node == 0)
        beNode(ready[1]);
    ::close(ready[1]);
    struct End {
        pid_t node;
        ~End() {
            ::kill(node, SIGKILL);
            ::waitpid(node, nullptr, 0);
        }
    } end{node};
    char byte = 0;
    if (::read(ready[0], &byte, 1) != 1 || byte != 'n' ||
        !run("ip link set zelo1 netns " + std::to_string(node)) ||
        !run("ip addr add 10.99.0.1/24 brd 10.99.0.255 dev zelo0") || !run("ip link set zelo0 up"))
        return kNoNamespaces;
    if (::read(ready[0], &byte, 1) != 1)
        return kNoNode;
    wire::FinderSettings settings;
    for (const auto& card : networkCards())
        if (card.address == "10.99.0.1") {
            settings.from = card.address;
            settings.to = card.broadcast;
        }
    auto finder = wire::Finder::open(settings, nullptr);
    if (!finder)
        return kNoFinder;
    for (int i = 0; i < 40; ++i) { // the cable needs a moment
        (*finder)->search();
        for (int k = 0; k < 60; ++k) {
            std::this_thread::sleep_for(50ms);
            const auto state = (*finder)->state();
            if (state.nodes == 1 && state.devicesDone() == 5 && state.devices[4].answered)
                return kFound;
        }
    }
    return kNothingFound;
}

TEST(Broadcast, OldNodesThatAnswerByBroadcastAreHeard) {
    const pid_t child = ::fork();
    ASSERT_GE(child, 0);
    if (child == 0)
        ::_exit(findOverTheCable());
    int status = 0;
    ASSERT_EQ(::waitpid(child, &status, 0), child);
    ASSERT_TRUE(WIFEXITED(status));
    if (WEXITSTATUS(status) == kNoNamespaces)
        GTEST_SKIP() << "this system lets nobody make network namespaces, or has no ip command";
    EXPECT_EQ(WEXITSTATUS(status), kFound);
}

} // namespace
} // namespace zelo::host
