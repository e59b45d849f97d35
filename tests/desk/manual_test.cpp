// SPDX-License-Identifier: GPL-3.0-or-later
// Every page of the manual is followed in the program: what its steps say is done with keys and
// presses, and what is to be seen then is looked for. Steps stand beside their words, as comments:
// <!-- do: key Ctrl+K --> and <!-- expect: view 1 -->.
#include "colour/xyz.h"
#include "desk/cues/cue_model.h"
#include "desk/focus/focus_model.h"
#include "desk/hands_test.h"
#include "desk/kit/text_log.h"
#include "desk/shell/keep_form.h"
#include "desk/shell/manual_view.h"
#include "desk/swatches/convert_form.h"
#include "show/gradient.h"
#include "show/kept.h"
#include "support/places.h"

#include <QDir>
#include <QMenu>
#include <QRegularExpression>
#include <QWindow>

namespace zelo::desk {
namespace {

const QString kManual = QString(places::data) + "/../docs/manual";

QString read(const QString& page) {
    QFile file(kManual + '/' + page);
    EXPECT_TRUE(file.open(QIODevice::ReadOnly)) << page.toStdString();
    return QString::fromUtf8(file.readAll());
}

class ManualPage : public HandsTest, public ::testing::WithParamInterface<const char*> {
protected:
    using Values = std::map<QString, std::function<void(const QString&)>>;
    QWidget* keyboard() {
        if (QWidget* popup = QApplication::activePopupWidget())
            return popup->focusWidget() ? popup->focusWidget() : popup;
        if (!QApplication::activeWindow()) // what a window manager does
            QApplication::setActiveWindow(&window);
        return QApplication::focusWidget() ? QApplication::focusWidget() : &window;
    }
    void press(const QString& key) {
        const auto code = QKeySequence(key)[0];
        QTest::keyClick(keyboard(), code.key(), code.keyboardModifiers());
        settle();
    }
    QWidget* seen(const QString& name) {
        for (QWidget* w : QApplication::allWidgets())
            if (w->isVisible() && (w->accessibleName() == name || w->windowTitle() == name))
                return w;
        for (auto* button : window.findChildren<QAbstractButton*>())
            if (button->isVisible() && button->text() == name)
                return button;
        return nullptr;
    }
    Stations* stationsCalled(const QString& name) { // also in a form of its own
        for (QWidget* w : QApplication::allWidgets())
            if (auto* stations = qobject_cast<Stations*>(w);
                stations && stations->isVisible() && stations->accessibleName() == name)
                return stations;
        return nullptr;
    }
    const TypeRow& row() { return *window.focusModel().focus(); }

    // What a step can do, and what can be looked for, by its first word.
    Values deeds() {
        return {
            {"key", [this](const QString& key) { press(key); }},
            {"write",
             [this](const QString& words) {
                 QTest::keyClicks(keyboard(), words);
                 settle();
             }},
            {"groups", // G and its figure, the others with Shift
             [this](const QString& names) {
                 bool first = true;
                 for (const QString& name : names.split(", ")) {
                     press("G");
                     auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
                     ASSERT_TRUE(menu);
                     const auto actions = menu->actions();
                     const auto it = std::find_if(actions.begin(), actions.end(), [&](QAction* a) {
                         return a->text().section("  ", 1).section('\t', 0, 0) == name;
                     });
                     ASSERT_NE(it, actions.end()) << name.toStdString();
                     QTest::keyClick(menu->windowHandle(),
                                     static_cast<Qt::Key>(Qt::Key_1 + (it - actions.begin())),
                                     first ? Qt::NoModifier : Qt::ShiftModifier);
                     settle();
                     first = false;
                 }
             }},
            {"swatch", [this](const QString& gel) { pickSwatch(gel.toUtf8()); }},
            {"command",
             [this](const QString& words) {
                 press("Ctrl+K");
                 QTest::keyClicks(keyboard(), words);
                 press("Return");
             }},
            {"station",
             [this](const QString& what) {
                 auto* stations = stationsCalled(what.section(": ", 0, 0));
                 ASSERT_TRUE(stations);
                 const auto parts = stations->parts();
                 for (std::size_t i = 0; i < parts.size(); ++i)
                     if (parts[i].name == what.section(": ", 1))
                         return choose(*stations, static_cast<int>(i));
                 ADD_FAILURE() << "no word " << what.toStdString();
             }},
            {"number",
             [this](const QString& what) {
                 auto* field = child<NumberField>(what.section(": ", 0, 0));
                 ASSERT_TRUE(field && field->isVisible());
                 type(*field, what.section(": ", 1).toUtf8());
             }},
            {"press",
             [this](const QString& word) {
                 for (auto* button : window.findChildren<QAbstractButton*>())
                     if (button->isVisible() && button->text() == word) {
                         QTest::mouseClick(button, Qt::LeftButton);
                         return settle();
                     }
                 ADD_FAILURE() << "no button " << word.toStdString();
             }},
        };
    }
    Values expectations() {
        return {
            {"view", [this](const QString& n) { EXPECT_EQ(window.view(), n.toInt()); }},
            {"lineup",
             [this](const QString& n) {
                 EXPECT_EQ(document.lineup().size(), static_cast<std::size_t>(n.toInt()));
             }},
            {"colour",
             [this](const QString& asked) {
                 ASSERT_TRUE(window.focusModel().wanted());
                 const auto is = toQt(text(window.focusModel().wanted()->asked));
                 EXPECT_TRUE(is.startsWith(asked)) << is.toStdString();
             }},
            {"miss", [this](const QString& most) { EXPECT_LT(row().miss_uv, most.toDouble()); }},
            {"intent",
             [this](const QString& name) {
                 EXPECT_EQ(mix::nameOf(window.focusModel().wish()->intent), fromQt(name));
             }},
            {"visible",
             [this](const QString& name) { EXPECT_TRUE(seen(name)) << name.toStdString(); }},
            {"palette",
             [this](const QString& name) {
                 EXPECT_TRUE(document.show().paletteNamed(fromQt(name)));
             }},
            {"types",
             [this](const QString& what) {
                 const auto& rows = window.focusModel().rows();
                 ASSERT_GT(rows.size(), 1u);
                 for (const TypeRow& other : rows)
                     EXPECT_LT(colour::distance(colour::toUv(other.lamp.sent.xyz),
                                                colour::toUv(rows[0].lamp.sent.xyz)),
                               what.section(' ', 1).toDouble());
             }},
            {"level",
             [this](const QString& share) {
                 std::vector<double> cd;
                 for (const auto id : document.lineup())
                     cd.push_back(document.stage().lamp(id)->sent.xyz.Y);
                 const auto [least, most] = std::minmax_element(cd.begin(), cd.end());
                 EXPECT_LT(*most / *least - 1, share.toDouble());
             }},
            {"camera",
             [this](const QString& what) {
                 if (!what.startsWith("miss")) {
                     EXPECT_EQ(document.camera().has_value(), what == "yes");
                 } else {
                     ASSERT_TRUE(row().worstCamera());
                     EXPECT_LT(*row().worstCamera()->miss, what.section(' ', 1).toDouble());
                 }
             }},
            {"balance",
             [this](const QString& k) {
                 const auto& camera = *document.show().cameras.at(*document.camera());
                 EXPECT_EQ(camera.balance, light::Asked(light::AskedWhite{k.toDouble(), {}}));
             }},
            {"gradient",
             [this](const QString& stops) {
                 const auto laying = show::layingOf(document.state(), document.lineup());
                 ASSERT_TRUE(laying);
                 EXPECT_EQ(show::gradientOf(document.show(), *laying)->stops.size(),
                           static_cast<std::size_t>(stops.toInt()));
             }},
            {"crossfade",
             [this](const QString& ends) {
                 ASSERT_TRUE(document.show().crossfade);
                 const auto& fade = *document.show().crossfade;
                 ASSERT_TRUE(fade.from.colour && fade.to.colour);
                 EXPECT_TRUE(toQt(text(fade.from.colour->here()->asked))
                                 .startsWith(ends.section(' ', 0, 0)));
                 EXPECT_TRUE(
                     toQt(text(fade.to.colour->here()->asked)).startsWith(ends.section(' ', 1)));
             }},
            {"cue",
             [this](const QString& number) {
                 const auto* now = window.cueModel().now();
                 ASSERT_TRUE(now && now->cue);
                 EXPECT_EQ(*now->cue, *show::parseCueNumber(fromQt(number)));
             }},
            {"ripples",
             [this](const QString&) {
                 EXPECT_EQ(document.show().ripples.size(), ripples_before_ + 1);
             }},
            {"ripple",
             [this](const QString&) {
                 EXPECT_TRUE(comes([this] {
                     return std::any_of(document.stage().ripples.begin(),
                                        document.stage().ripples.end(),
                                        [](const play::StageRipple& r) { return r.runs; });
                 }));
             }},
            {"why",
             [this](const QString& why) {
                 const auto* lamp = document.stage().lamp(document.lineup().front());
                 EXPECT_EQ(lamp->dark,
                           why == "none" ? play::DarkWhy::None : play::DarkWhy::Blackout);
             }},
            {"command",
             [this](const QString& words) {
                 const auto& all = window.commands();
                 EXPECT_TRUE(std::any_of(all.begin(), all.end(), [&](const Command& c) {
                     return c.text.contains(words);
                 })) << words.toStdString();
             }},
        };
    }
    std::size_t ripples_before_ = document.show().ripples.size();
};

TEST_P(ManualPage, CanBeFollowed) {
    const auto deeds = this->deeds();
    const auto expectations = this->expectations();
    static const QRegularExpression comment("<!-- (do|expect): (\\S+) ?(.*?) -->");
    const QString page = read(GetParam());
    int looked = 0;
    for (auto it = comment.globalMatch(page); it.hasNext();) {
        const auto match = it.next();
        SCOPED_TRACE(match.captured().toStdString());
        const bool expects = match.captured(1) == "expect";
        const auto& words = expects ? expectations : deeds;
        const auto word = words.find(match.captured(2));
        ASSERT_NE(word, words.end());
        word->second(match.captured(3));
        looked += expects;
        if (HasFatalFailure())
            return;
    }
    EXPECT_GT(looked, 0) << "a page that looks for nothing";
}

INSTANTIATE_TEST_SUITE_P(Manual, ManualPage,
                         ::testing::Values("rig.md", "match.md", "two-types.md", "camera.md",
                                           "gradient.md", "fade.md", "cues.md", "faders.md",
                                           "ripples.md", "outside.md", "calibrate.md",
                                           "hand-over.md", "dark-lamp.md"),
                         [](const auto& page) {
                             return QString(page.param).remove(".md").remove('-').toStdString();
                         });

TEST_F(HandsTest, TheManualOpensAtTheViewsPageAndIsSearched) {
    QTest::keyClick(&window, Qt::Key_4);
    QTest::keyClick(&window, Qt::Key_F1, Qt::ShiftModifier);
    ManualView& manual = window.manual();
    ASSERT_TRUE(manual.isVisible());
    EXPECT_EQ(manual.page(), "fade.md");
    EXPECT_TRUE(manual.text().contains("Fade without white"));
    EXPECT_FALSE(manual.text().contains("<!--")) << "what tests follow is not read";
    EXPECT_FALSE(manual.text().contains("do: key"));
    EXPECT_GT(manual.listed().size(), 12);
    QTest::keyClicks(QApplication::focusWidget(), "sensitiv");
    EXPECT_TRUE(manual.listed().isEmpty()) << "no page has that word";
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(QApplication::focusWidget(), "rainbow");
    EXPECT_EQ(manual.listed(), QStringList{"Moving colours"});
    EXPECT_EQ(manual.page(), "ripples.md");
    manual.openPage("index.md");
    EXPECT_EQ(manual.listed().front(), "The manual");
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Down);
    EXPECT_EQ(manual.page(), "rig.md");
    EXPECT_EQ(manual.page(), "rig.md");
    // A link by a press where it is drawn.
    manual.openPage("index.md");
    auto* reader = manual.findChild<QTextBrowser*>();
    QPoint link;
    for (int y = 4; y < reader->viewport()->height() && link.isNull(); y += 3)
        for (int x = 4; x < reader->viewport()->width() && link.isNull(); x += 6)
            if (reader->anchorAt({x, y}) == "camera.md")
                link = {x + 3, y + 1};
    ASSERT_FALSE(link.isNull());
    QTest::mouseClick(reader->viewport(), Qt::LeftButton, {}, link);
    EXPECT_EQ(manual.page(), "camera.md");
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
    EXPECT_FALSE(manual.isVisible());
    // F1 explains; once more, and the page is there.
    QTest::keyClick(&window, Qt::Key_F1);
    EXPECT_FALSE(manual.isVisible());
    QTest::keyClick(&window, Qt::Key_F1);
    EXPECT_TRUE(manual.isVisible());
}

TEST_F(HandsTest, WithoutItsPagesTheManualSaysSo) {
    ManualView none("nowhere/at/all", &window);
    none.open();
    EXPECT_TRUE(paintedBy(none).contains("pages are not there"));
}

// Links lead to pages that are there, pictures are there, and every page can be reached.
TEST(Manual, LinksAndPicturesAreThere) {
    static const QRegularExpression link("\\]\\(([^)]+)\\)");
    QSet<QString> linked{"index.md"};
    for (const QString& page : QDir(kManual).entryList({"*.md"}))
        for (auto it = link.globalMatch(read(page)); it.hasNext();) {
            const QString to = it.next().captured(1);
            EXPECT_TRUE(QFile::exists(kManual + '/' + to)) << to.toStdString();
            linked << to;
        }
    for (const QString& page : QDir(kManual).entryList({"*.md"}))
        EXPECT_TRUE(linked.contains(page)) << page.toStdString() << " is linked nowhere";
}

// Words in bold that are the program's are the program's: a control, a command or a painted word.
TEST_F(HandsTest, TheManualsWordsAreThePrograms) {
    QSet<QString> known;
    const auto add = [&](QString word) { known << word.remove("…").trimmed().toLower(); };
    for (int view = 0; view < 6; ++view) {
        window.showView(view);
        chooseGroups({"front", "back"});
        const TextLog log;
        const QPixmap picture = window.grab();
        for (const PaintedText& t : log.texts())
            add(t.text);
        for (QWidget* w : window.findChildren<QWidget*>()) {
            add(w->accessibleName());
            if (auto* stations = qobject_cast<Stations*>(w))
                for (const auto& part : stations->parts())
                    add(part.name);
            if (auto* button = qobject_cast<QAbstractButton*>(w))
                add(button->text());
        }
    }
    ConvertForm form(document, window.swatches().model(), nullptr);
    add(form.windowTitle());
    for (auto* button : form.findChildren<QAbstractButton*>())
        add(button->text());
    for (const Command& c : window.commands())
        add(c.text);
    window.showView(MainWindow::Match);
    KeepForm keep(document, KeepForm::Stage, &window);
    keep.setAttribute(Qt::WA_DeleteOnClose, false);
    for (const auto& part : keep.findChild<Stations*>()->parts())
        add(part.name);
    for (const char* word : {"eye | camera", "2 fades to look at"})
        known << word;
    static const QRegularExpression bold("\\*\\*([^*]+)\\*\\*");
    for (const QString& page : QDir(kManual).entryList({"*.md"})) {
        if (page == "glossary.md" || page == "numbers.md" || page == "index.md")
            continue;
        for (auto it = bold.globalMatch(read(page)); it.hasNext();) {
            QString word = it.next().captured(1).simplified();
            if (word.startsWith("If ") || word.contains("…, nearest"))
                continue;
            EXPECT_TRUE(known.contains(word.remove("…").trimmed().toLower()))
                << page.toStdString() << ": " << word.toStdString();
        }
    }
}

} // namespace
} // namespace zelo::desk
