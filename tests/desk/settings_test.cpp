// SPDX-License-Identifier: GPL-3.0-or-later
// The page of settings: pressed, kept, put into a file, taken from one, reset.
#include "base/file.h"
#include "desk/cues/cue_model.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/kit/language.h"
#include "desk/remote/remote_model.h"
#include "desk/shell/frame.h"
#include "desk/shell/settings.h"
#include "desk/shell/settings_page.h"

#include <QDir>
#include <QTemporaryDir>
#include <csignal>
#include <sys/resource.h>

namespace zelo::desk {
namespace {

class SettingsTest : public HandsTest {
protected:
    SettingsTest() {
        resetSettings();
        QObject::connect(&document, &Document::told, &document,
                         [this](const QString& line) { told = line; });
        QTest::keyClick(&window, Qt::Key_Comma, Qt::ControlModifier);
        EXPECT_TRUE(page.isVisible());
    }
    ~SettingsTest() override {
        resetSettings();
        useTheme(boothTheme());
    }
    template <class W>
    W& of(const QString& name) {
        for (W* w : page.findChildren<W*>())
            if (w->accessibleName() == name)
                return *w;
        ADD_FAILURE() << name.toStdString();
        std::abort();
    }
    std::string file() const { return fromQt(folder.filePath("settings.json")); }
    void readText(const std::string& text) {
        ASSERT_TRUE(writeFile(file(), text));
        page.read(toQt(file()));
        settle();
    }
    QString told;
    QTemporaryDir folder;
    SettingsPage& page = window.settings();
};

TEST_F(SettingsTest, EachActsAndIsKept) {
    choose(of<Stations>("Theme"), 1);
    EXPECT_FALSE(theme().booth);
    EXPECT_TRUE(kDeskTheme.get());
    choose(of<Stations>("Size of everything"), 2);
    EXPECT_EQ(Frame::sizePercent(), 140);
    choose(of<Stations>("Language"), 1);
    EXPECT_EQ(chosenLanguage(), "de");
    EXPECT_EQ(lampCount(2), "2 lamps") << "not before the next start";
    EXPECT_TRUE(of<NumberField>("White of the eye, always").isHidden());
    choose(of<Stations>("The eye takes for white"), 1);
    type(of<NumberField>("White of the eye, always"), "5600");
    EXPECT_EQ(document.eye_k(), 5600);
    EXPECT_EQ(kEye_k.get(), 5600);
    type(of<NumberField>("Time in hand at the start"), "2.5");
    EXPECT_EQ(document.timeInHand(), 2.5);
    type(of<NumberField>("Guard of Next"), "1.2");
    EXPECT_NEAR(window.cueModel().guard_s(), 1.2, 1e-9);
    choose(of<Stations>("Intensity fades"), 1);
    EXPECT_TRUE(document.show().even_to_the_eye);
    document.undo();
    settle();
    EXPECT_FALSE(document.show().even_to_the_eye);
    EXPECT_EQ(of<Stations>("Intensity fades").chosen(), 0) << "undone, and looked at again";
    choose(of<Stations>("Start with"), 2);
    EXPECT_EQ(startWith(), StartWith::Empty);
    // A later program begins so.
    document.setEye(std::nullopt);
    document.setTimeInHand(0);
    SettingsPage::apply(document);
    EXPECT_EQ(document.eye_k(), 5600);
    EXPECT_EQ(document.timeInHand(), 2.5);
    CueModel later(document, nullptr);
    EXPECT_NEAR(later.guard_s(), 1.2, 1e-9);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
    EXPECT_FALSE(page.isVisible());
}

TEST_F(SettingsTest, TheThemesKeyIsKeptToo) {
    QTest::keyClick(&window, Qt::Key_T, Qt::ControlModifier);
    EXPECT_TRUE(kDeskTheme.get());
    QTest::keyClick(&window, Qt::Key_T, Qt::ControlModifier);
    EXPECT_FALSE(kDeskTheme.get());
}

TEST_F(SettingsTest, GoIntoAFileAndBackAndAreReset) {
    choose(of<Stations>("Theme"), 1);
    type(of<NumberField>("Guard of Next"), "0.8");
    remote::Bindings table;
    table.bind({{remote::Control::Kind::Path, 0, 0, "/desk/1"}, {remote::Does::Master, 0, {}}});
    window.remote().setBindings(table);
    page.write(toQt(file()));
    settle();
    QTest::mouseClick(&of<Button>("Reset all"), Qt::LeftButton);
    settle();
    EXPECT_TRUE(theme().booth);
    EXPECT_NEAR(window.cueModel().guard_s(), 0.3, 1e-9);
    EXPECT_EQ(settingsText().find("guard"), std::string::npos);
    EXPECT_TRUE(window.remote().bindings().all.empty());
    page.read(toQt(file()));
    settle();
    EXPECT_FALSE(theme().booth);
    EXPECT_NEAR(window.cueModel().guard_s(), 0.8, 1e-9);
    EXPECT_EQ(window.remote().bindings(), table) << "controls go along";
    EXPECT_TRUE(told.contains("settings.json")) << told.toStdString();
}

TEST_F(SettingsTest, WhatIsWrongInAFileChangesNothing) {
    readText(R"({"format": "zelochrome-settings", "version": 1, "look/desk_theme": true,
                 "cues/guard_s": 77})");
    EXPECT_TRUE(told.contains("cues/guard_s: expected 0 to 5 seconds")) << told.toStdString();
    EXPECT_TRUE(theme().booth) << "none of it is taken";
    for (const char* text : {"", "[]", "{\"look/desk_theme\": true}", "\xff\xfe nonsense"}) {
        readText(text);
        EXPECT_TRUE(told.contains("expected settings")) << told.toStdString();
    }
    readText(R"({"format": "zelochrome-settings", "cues/guard_s": 2, "what/else": 1})");
    EXPECT_NEAR(window.cueModel().guard_s(), 2, 1e-9);
    EXPECT_TRUE(told.contains("what/else")) << "told, not taken";
    page.read(folder.filePath("none.json"));
    settle();
    EXPECT_TRUE(told.contains("none.json"));
    page.write(folder.filePath("gone/settings.json"));
    settle();
    EXPECT_TRUE(told.contains("gone")) << told.toStdString();
}

// A file may not grow beyond some bytes: as on a disk that is full.
TEST_F(SettingsTest, AFullDiskIsSaidAndLeavesWhatWasThere) {
    ASSERT_TRUE(writeFile(file(), "before"));
    rlimit usual{};
    getrlimit(RLIMIT_FSIZE, &usual);
    const auto ignored = std::signal(SIGXFSZ, SIG_IGN);
    const rlimit small{10, usual.rlim_max};
    setrlimit(RLIMIT_FSIZE, &small);
    page.write(toQt(file()));
    settle();
    setrlimit(RLIMIT_FSIZE, &usual);
    std::signal(SIGXFSZ, ignored);
    EXPECT_TRUE(told.contains("settings.json")) << told.toStdString();
    EXPECT_FALSE(told.contains("Written")) << told.toStdString();
    EXPECT_EQ(*readFile(file()), "before");
    EXPECT_EQ(QDir(folder.path()).entryList(QDir::Files).size(), 1) << "no half file stays";
}

} // namespace
} // namespace zelo::desk
