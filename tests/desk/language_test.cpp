// SPDX-License-Identifier: GPL-3.0-or-later
// The interface in other languages: German, and one that is much longer than English.
#include "desk/focus/asking.h"
#include "desk/kit/language.h"
#include "desk/rig/check_panel.h"
#include "desk/rig/rig_side.h"
#include "show/edits.h"
#include "window_test.h"

#include <QLocale>

namespace zelo::desk {
namespace {

// Before the window is made, and English again after it is gone.
struct In {
    explicit In(const QString& tag) { useLanguage(tag); }
    ~In() { useLanguage("en"); }
};

class German : private In, public WindowTest {
protected:
    German() : In("de") {
        QObject::connect(&document, &Document::told, &window,
                         [this](const QString& text) { told = text; });
    }
    QString told;
};

TEST_F(German, ErrorsOfTheCoreKeepTheirPartsAndAreSaidInIt) {
    window.asking().pick("gel:9999");
    EXPECT_EQ(told, "keine Folie 9999 im Farbbuch");
    window.asking().pick("cct:soon");
    EXPECT_TRUE(told.startsWith("„soon“: eine Farbtemperatur ist eine Zahl von ") ||
                told.startsWith("cct:soon: „soon“: eine Farbtemperatur ist eine Zahl von "))
        << told.toStdString();
}

TEST_F(German, PluralsAndNumbersAreItsOwn) {
    EXPECT_EQ(lampCount(1), "1 Lampe");
    EXPECT_EQ(lampCount(2), "2 Lampen");
    EXPECT_EQ(numberText(0.25, 2), "0,25");
    EXPECT_EQ(numberText(-9620.5, 1), QString("−9\u2009620,5"));
    EXPECT_EQ(numberIn("0,25"), 0.25) << "and can be typed back";
    EXPECT_EQ(numberIn(numberText(-9620.5, 1)), -9620.5);
}

TEST_F(German, TheLightCheckSpeaksIt) {
    window.showView(MainWindow::Rig);
    window.rigSide().showPage(RigSide::Check);
    document.setLineup({{1}});
    auto controls = document.controls();
    controls.dark = true;
    document.setControls(controls);
    settle();
    EXPECT_EQ(window.rigSide().check().verdict(),
              "Kein Licht. Dunkel: es ist an: alles Licht ist aus.");
}

TEST_F(German, EditsOfTheSessionHaveGermanNames) {
    chooseGroups({"front"});
    window.asking().pick("gel:214");
    document.putDown();
    EXPECT_EQ(saidText(document.history().undoName()), "Ablegen");
}

TEST(Languages, AnUnknownOneIsEnglishAndThePluralsOfEnglishAreThere) {
    const In unknown("xx");
    EXPECT_EQ(lampCount(1), "1 lamp");
    EXPECT_EQ(lampCount(3), "3 lamps");
    EXPECT_EQ(QLocale().decimalPoint(), QString("."));
}

TEST(Languages, AFormWhoseTranslationLostAFieldStillSaysTheRest) {
    const auto sentence = say("no such form {} and {}", 1, 2);
    EXPECT_EQ(said(sentence), "no such form 1 and 2") << "what has no translation stays as it is";
}

} // namespace
} // namespace zelo::desk
