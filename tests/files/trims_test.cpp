// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"
#include "show/trims.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

TEST(TrimsInTheFile, AreReadAsTheyWereWritten) {
    show::State state = show::emptyState();
    show::Fixture f;
    f.type = "bar";
    state.show = *show::addFixture(state.show, f);
    const show::Lineup all{{1}};
    state.show = *show::keepHand(state.show,
                                 *show::withColour(show::withIntensity(show::emptyHand(), all, 0.5),
                                                   all, test::wishFor("xy:0.4,0.4")));
    state.hand = show::brighterBy(state, all, 0.123456789);
    state.hand = show::nudgedBy(state, all, [](show::FixtureId) {
        return colour::Uv{0.0123, -0.02};
    });
    const auto text = showText(*state.show, *state.hand);
    ASSERT_TRUE(text);
    const auto read = parseShow(*text);
    ASSERT_TRUE(read);
    EXPECT_EQ(read->hand->find({1})->trim, state.hand->find({1})->trim);
    EXPECT_EQ(read->hand->find({1})->nudge, state.hand->find({1})->nudge);
    const auto refused = [&](const char* member, const char* end, const char* bad) {
        std::string broken = *text;
        const auto at = broken.find(member);
        ASSERT_NE(at, std::string::npos);
        broken.replace(at, broken.find(end, at) + std::string(end).size() - 1 - at, bad);
        const auto result = parseShow(broken);
        ASSERT_FALSE(result) << bad;
        EXPECT_NE(result.error().text().find(std::string(bad).substr(1, 4)), std::string::npos)
            << result.error().text();
    };
    for (const char* bad : {"\"trim\":-1", "\"trim\":\"x\"", "\"trim\":1e9"})
        refused("\"trim\":", ",", bad);
    for (const char* bad : {"\"nudge\":[5,0", "\"nudge\":[\"x\",1", "\"nudge\":[1"})
        refused("\"nudge\":", "]", bad);
}

} // namespace
} // namespace zelo::files
