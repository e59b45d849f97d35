// SPDX-License-Identifier: GPL-3.0-or-later
// The controls and tokens by themselves, without a show.
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "desk/kit/draw.h"
#include "desk/kit/inbox.h"
#include "desk/kit/light_colours.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/shell/commands.h"
#include "desk/shell/message_line.h"

#include <QApplication>
#include <QLineEdit>
#include <QListWidget>
#include <QSignalSpy>
#include <QTest>
#include <QWheelEvent>
#include <gtest/gtest.h>
#include <thread>

namespace zelo::desk {
namespace {

double luminance(const QColor& c) { // WCAG 2, of a grey
    const double s = c.redF();
    return s <= 0.04045 ? s / 12.92 : std::pow((s + 0.055) / 1.055, 2.4);
}

double contrast(const QColor& a, const QColor& b) {
    const double la = luminance(a);
    const double lb = luminance(b);
    return (std::max(la, lb) + 0.05) / (std::min(la, lb) + 0.05);
}

TEST(Theme, IsGreyAndReadable) {
    for (const Theme* t : {&boothTheme(), &deskTheme()}) {
        for (const QColor* c :
             {&t->head, &t->side, &t->bench, &t->floor, &t->well, &t->glass, &t->lift, &t->hair,
              &t->faint, &t->rule, &t->dim, &t->text, &t->bright, &t->sel}) {
            EXPECT_EQ(c->red(), c->green());
            EXPECT_EQ(c->green(), c->blue());
        }
        for (const QColor* ground : {&t->head, &t->side, &t->bench, &t->floor}) {
            EXPECT_GE(contrast(t->dim, *ground), t->booth ? 4.5 : 4.4) << t->booth;
            EXPECT_GE(contrast(t->text, *ground), 7);
            EXPECT_GE(contrast(t->bright, *ground), 9);
        }
    }
}

TEST(Theme, TheFontIsTheOneThatShips) {
    EXPECT_EQ(QFontInfo(typeface(Type::Work)).family(), "B612");
    EXPECT_EQ(QFontInfo(typeface(Type::Asked)).pixelSize(), 28);
    // Tabular figures: numbers stand under one another.
    EXPECT_EQ(textWidth("1111", typeface(Type::Work)), textWidth("8888", typeface(Type::Work)));
}

class Field : public ::testing::Test {
protected:
    Field() {
        field.resize(100, 24);
        field.show();
        QApplication::setActiveWindow(&field);
        field.setFocus();
    }
    void wheel(int notches, Qt::KeyboardModifiers modifiers = {}) {
        QWheelEvent event(QPointF(50, 12), field.mapToGlobal(QPointF(50, 12)), {},
                          {0, 120 * notches}, Qt::NoButton, modifiers, Qt::NoScrollPhase, false);
        QApplication::sendEvent(&field, &event);
    }
    void typed(const QString& text) {
        QTest::keyClick(&field, text[0].toLatin1());
        const auto editors = field.findChildren<QLineEdit*>();
        auto* editor = editors.empty() ? nullptr : editors.last();
        ASSERT_TRUE(editor);
        QTest::keyClicks(editor, text.mid(1));
        QTest::keyClick(editor, Qt::Key_Return);
        QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
    NumberField field{"Lamp", "its tip", {1000, 25000, 50, 0}, "K", nullptr};
};

TEST_F(Field, WheelFineAndCoarse) {
    field.setValue(3200);
    QSignalSpy edited(&field, &ValueControl::valueEdited);
    wheel(1);
    EXPECT_EQ(field.value(), 3250);
    wheel(-2, Qt::ShiftModifier);
    EXPECT_EQ(field.value(), 3240);
    wheel(1, Qt::ControlModifier);
    EXPECT_EQ(field.value(), 3740);
    ASSERT_EQ(edited.size(), 3);
    EXPECT_EQ(edited[0][1].toInt(), edited[2][1].toInt()) << "a burst of the wheel is one gesture";
}

TEST_F(Field, StaysWithinItsRange) {
    field.setValue(1e9);
    EXPECT_EQ(field.value(), 25000);
    QTest::keyClick(&field, Qt::Key_Home);
    EXPECT_EQ(field.value(), 1000);
    QTest::keyClick(&field, Qt::Key_Down);
    EXPECT_EQ(field.value(), 1000);
    typed("99");
    EXPECT_EQ(field.value(), 1000);
    typed("5600");
    EXPECT_EQ(field.value(), 5600);
}

TEST_F(Field, WhatIsNoNumberChangesNothing) {
    field.setValue(3200);
    QSignalSpy edited(&field, &ValueControl::valueEdited);
    typed("4x2");
    EXPECT_EQ(field.value(), 3200);
    typed("-");
    EXPECT_EQ(field.value(), 3200);
    EXPECT_TRUE(edited.empty());
}

TEST_F(Field, DragsAreRelativeAndDoubleClickResets) {
    field.setValue(3200);
    QTest::mousePress(&field, Qt::LeftButton, {}, {50, 12});
    QTest::mouseMove(&field, {80, 12});
    QTest::mouseRelease(&field, Qt::LeftButton, {}, {80, 12});
    EXPECT_EQ(field.value(), 3200 + 10 * 50);
    QSignalSpy reset(&field, &ValueControl::resetWanted);
    QTest::mouseDClick(&field, Qt::LeftButton, {}, {50, 12});
    EXPECT_EQ(reset.size(), 1);
    QTest::keyClick(&field, Qt::Key_Backspace);
    EXPECT_EQ(reset.size(), 2);
}

TEST_F(Field, TellsItsValueToAssistiveProgrammes) {
    field.setValue(4300);
    EXPECT_EQ(field.accessibleName(), "Lamp");
    EXPECT_TRUE(field.accessibleDescription().contains("K"));
}

TEST(Stations, ChooseByKeyAndByClick) {
    Stations s("Kind", "tip", {"All", "Gels", "Whites"}, {}, false, nullptr);
    s.resize(300, 34);
    s.show();
    QSignalSpy chosen(&s, &Stations::stationChosen);
    QTest::keyClick(&s, Qt::Key_Right);
    EXPECT_EQ(s.chosen(), 1);
    QTest::keyClick(&s, Qt::Key_End);
    QTest::keyClick(&s, Qt::Key_Right); // at the end: stays
    EXPECT_EQ(s.chosen(), 2);
    QTest::mouseClick(&s, Qt::LeftButton, {}, {5, 10});
    EXPECT_EQ(s.chosen(), 0);
    QTest::mouseClick(&s, Qt::LeftButton, {}, {290, 10}); // beside the words
    EXPECT_EQ(s.chosen(), 0);
    EXPECT_EQ(chosen.size(), 3);
    EXPECT_EQ(s.accessibleDescription(), "All");
}

TEST(Finder, DoesWhatIsTyped) {
    QWidget window;
    window.resize(600, 400);
    window.show();
    QString done;
    const std::vector<Command> commands{
        {CommandGroup::Lineup, "Reverse the lineup", "", [&] { done = "reverse"; }},
        {CommandGroup::Lineup, "Shuffle the lineup", "", [&] { done = "shuffle"; }},
        {CommandGroup::Edit, "Undo", "Ctrl+Z", [&] { done = "undo"; }}};
    openFinder(commands, &window);
    auto* field = window.findChild<QLineEdit*>();
    ASSERT_TRUE(field);
    auto* list = window.findChild<QListWidget*>();
    EXPECT_EQ(list->count(), 3);
    QTest::keyClicks(field, "lineup");
    EXPECT_EQ(list->count(), 2);
    QTest::keyClick(field, Qt::Key_Down);
    QTest::keyClick(field, Qt::Key_Return);
    EXPECT_EQ(done, "shuffle");
    openFinder(commands, &window);
    field = window.findChildren<QLineEdit*>().last();
    QTest::keyClicks(field, "nothing such");
    QTest::keyClick(field, Qt::Key_Return);
    EXPECT_EQ(done, "shuffle");
}

TEST(MessageLine, ShowsAndGoesByAClick) {
    MessageLine line(nullptr);
    line.resize(260, 32);
    EXPECT_FALSE(line.isVisible());
    line.tell("no gel 999 in the swatch book");
    EXPECT_TRUE(line.isVisible());
    EXPECT_EQ(line.accessibleDescription(), "no gel 999 in the swatch book");
    QTest::mouseClick(&line, Qt::LeftButton);
    EXPECT_FALSE(line.isVisible());
}

TEST(Inbox, DoesInOrderWhatOtherThreadsPost) {
    Inbox inbox;
    std::vector<int> done;
    const auto here = std::this_thread::get_id();
    std::jthread other([&] {
        for (int i = 0; i < 100; ++i)
            inbox.post([&, i] {
                EXPECT_EQ(std::this_thread::get_id(), here);
                done.push_back(i);
            });
    });
    other.join();
    EXPECT_TRUE(done.empty()) << "not before this thread comes round";
    QApplication::processEvents();
    ASSERT_EQ(done.size(), 100u);
    EXPECT_TRUE(std::is_sorted(done.begin(), done.end()));
    inbox.post([&] { inbox.post([&] { done.clear(); }); }); // work that posts work
    QApplication::processEvents();
    QApplication::processEvents();
    EXPECT_TRUE(done.empty());
}

TEST(MessageLine, ShowsSeveralAndWhole) {
    MessageLine line(nullptr);
    line.resize(260, 32);
    line.tell("Written: a.mvr");
    const int one = line.sizeHint().height();
    line.tell(QString("a long one ").repeated(20));
    EXPECT_GT(line.sizeHint().height(), 5 * one) << "as many lines as it needs";
    line.tell("Written: a.mvr");
    EXPECT_EQ(line.texts().size(), 2) << "the same thing is told once";
    EXPECT_EQ(line.texts().last(), "Written: a.mvr");
    line.resize(line.sizeHint());
    QTest::mouseClick(&line, Qt::LeftButton, {}, {100, line.height() - 4});
    EXPECT_EQ(line.texts().size(), 1) << "a click closes the one under it";
}

QImage drawn(const std::function<void(QPainter&)>& draw) {
    QImage image(40, 40, QImage::Format_RGB32);
    image.fill(Qt::black);
    QPainter p(&image);
    draw(p);
    return image;
}

QPointF centreOfLight(const QImage& image, int above) {
    double x = 0, y = 0, all = 0;
    for (int i = 0; i < image.width(); ++i)
        for (int j = 0; j < image.height(); ++j)
            if (const int v = image.pixelColor(i, j).red(); v > above) {
                x += i * v;
                y += j * v;
                all += v;
            }
    return {x / all, y / all};
}

TEST(MissMark, TheDotSitsWhereTheMissPoints) {
    const auto at = [](const colour::Uv& off) {
        // Only the dot is brighter than the ring.
        return centreOfLight(drawn([&](QPainter& p) {
                                 drawMissMark(p, {20, 20}, off);
                             }),
                             theme().dim.red() + 10);
    };
    const auto none = at({0.0001, 0});
    EXPECT_GT(at({0.01, 0}).x(), none.x() + 1) << "u' to the right";
    EXPECT_LT(at({0, 0.01}).y(), none.y() - 1) << "v' up";
    EXPECT_LT(at({-0.01, 0}).x(), none.x() - 1);
}

TEST(LightColours, WhiteOfTheEyeIsGreyAndHuesAreThemselves) {
    const LightColours colours(Kelvin{4300});
    const QColor white = colours.of(colour::toXyz(colour::lampOf(Kelvin{4300})));
    EXPECT_NEAR(white.red(), white.blue(), 1);
    EXPECT_GT(colours.of(colour::toXyz(colour::planckianUv({2500}))).red(),
              colours.of(colour::toXyz(colour::planckianUv({2500}))).blue() + 40);
    const QColor green = colours.of(colour::toXyz(colour::Uv{0.08, 0.57}));
    EXPECT_GT(green.green(), green.red() + 60);
    EXPECT_TRUE(colours.outside(colour::toXyz(colour::Uv{0.03, 0.57})));
    EXPECT_EQ(colours.of({0, 0, 0}), QColor(Qt::black));
}

} // namespace
} // namespace zelo::desk
