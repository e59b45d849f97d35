// SPDX-License-Identifier: GPL-3.0-or-later
// Wheels and scrollers in Match: slots that are seen, taken and pinned.
#include "desk/kit/slot_strip.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/types_panel.h"
#include "light/levels.h"
#include "show/edits.h"
#include "window_test.h"

#include <QListWidget>

namespace zelo::desk {
namespace {

class SlotsTest : public WindowTest {
protected:
    void choose(const char* type) {
        show::Fixture f;
        f.type = type;
        f.mode = document.library().type(type)->modes[0].name;
        f.number = 900;
        f.universe = 9;
        const auto next = show::addFixture(document.state().show, f);
        ASSERT_TRUE(next);
        ASSERT_TRUE(document.edit("a lamp", next));
        document.setLineup({{(*next)->last_fixture_id}});
        settle();
        window.asking().pick("gel:214");
        settle();
    }
    SlotStrip& strip() { return *window.matchView().mix().strips().at(0); }
    const TypeRow& row() { return *window.focusModel().focus(); }
    std::size_t part() { return row().lamp.mixer->type().indexOf({light::PartKind::Wheel, 0}); }
};

TEST_F(SlotsTest, EachSlotIsAChipInTheLightOfItsLamp) {
    choose("eider-scroll");
    const auto& type = row().lamp.mixer->type();
    const auto& wheel = type.wheels[0];
    const auto& chips = strip().chips();
    ASSERT_EQ(chips.size(), wheel.places.size() * (wheel.halves ? 2 : 1));
    EXPECT_TRUE(std::any_of(chips.begin(), chips.end(), [&](const auto& c) {
        return !wheel.transmittance(c.setting);
    })) << "open is among them";
    for (const auto& chip : chips) {
        auto drives = row().lamp.sent.drives;
        drives[part()] = chip.setting;
        EXPECT_EQ(chip.light, document.colours().of(light::xyzOf(type, drives)));
        EXPECT_EQ(chip.name, toQt(wheel.nameAt(chip.setting)));
    }
    // The nearest to the wish is the one with the smallest miss, and what the solver took.
    const auto& near = chips[static_cast<std::size_t>(strip().nearest())];
    for (const auto& chip : chips)
        EXPECT_LE(near.miss_uv, chip.miss_uv);
    EXPECT_EQ(strip().chosen(), strip().nearest());
}

TEST_F(SlotsTest, APressTakesOneArrowsStepAndPPins) {
    choose("eider-scroll");
    SlotStrip& s = strip();
    const int other = s.chosen() == 1 ? 3 : 1;
    QTest::mouseClick(&s, Qt::LeftButton, {}, s.centreOf(other));
    settle();
    EXPECT_EQ(s.chosen(), other);
    const double taken = s.chips()[static_cast<std::size_t>(other)].setting;
    EXPECT_NEAR(row().lamp.drives[part()], taken, 1e-9);
    EXPECT_TRUE(row().lamp.by_hand);
    s.setFocus();
    QTest::keyClick(&s, Qt::Key_Right);
    settle();
    EXPECT_EQ(s.chosen(), other + 1);
    QTest::keyClick(&s, Qt::Key_P);
    settle();
    EXPECT_TRUE(window.matchView().mixing().pinned(part()));
    window.asking().pick("gel:338"); // another colour: the slot stays
    settle();
    EXPECT_EQ(s.chosen(), other + 1);
    QTest::keyClick(&s, Qt::Key_P);
    settle();
    EXPECT_FALSE(window.matchView().mixing().pinned(part()));
    EXPECT_EQ(s.chosen(), s.nearest()) << "let go, it is the solver's again";
}

TEST_F(SlotsTest, HeldArrowsAreOneStep) {
    choose("eider-scroll");
    SlotStrip& s = strip();
    QTest::mouseClick(&s, Qt::LeftButton, {}, s.centreOf(1));
    settle();
    const auto steps = document.history().position();
    s.setFocus();
    for (int i = 0; i < 5; ++i) {
        QTest::keyClick(&s, Qt::Key_Right);
        settle();
    }
    EXPECT_EQ(s.chosen(), 6);
    EXPECT_EQ(document.history().position(), steps + 1);
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(s.chosen(), 1);
}

TEST_F(SlotsTest, TheTypesPageShowsThemToo) {
    window.showView(MainWindow::Rig);
    window.rigSide().showPage(RigSide::Types);
    auto& page = window.rigSide().types();
    page.choose("eider-scroll");
    settle();
    ASSERT_EQ(page.strips().size(), 1u);
    SlotStrip& s = *page.strips()[0];
    EXPECT_EQ(s.chips().size(), library.type("eider-scroll")->wheels[0].places.size());
    EXPECT_TRUE(page.rect().contains(s.geometry()));
    EXPECT_FALSE(s.geometry().intersects(page.list().geometry()));
    QTest::mouseClick(&s, Qt::LeftButton, {}, s.centreOf(3));
    EXPECT_EQ(s.chosen(), 3);
    EXPECT_TRUE(s.accessibleDescription().startsWith("4 "));
    page.choose("gannet-8");
    settle();
    EXPECT_TRUE(page.strips().empty());
}

TEST_F(SlotsTest, AWheelBeforeEmittersFitsBesideThem) {
    for (const auto& type : library.types()) {
        if (type->wheels.empty())
            continue;
        choose(type->id.c_str());
        EXPECT_EQ(window.matchView().mix().strips().size(), type->wheels.size());
        for (const auto& [w, h] : {std::pair(1024, 700), std::pair(1280, 800)}) {
            window.resize(w, h);
            settle();
            const auto& mix = window.matchView().mix();
            for (const SlotStrip* s : mix.strips()) {
                EXPECT_TRUE(mix.rect().contains(s->geometry())) << type->id << " at " << w;
                for (const LevelColumn* c : mix.columns())
                    EXPECT_FALSE(c->geometry().intersects(s->geometry()))
                        << type->id << " at " << w;
            }
        }
    }
}

} // namespace
} // namespace zelo::desk
