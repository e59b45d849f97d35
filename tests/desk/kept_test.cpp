// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book's kinds and orders, palettes, groups and looks, as they are used in the window.
#include "desk/focus/asking.h"
#include "desk/kit/stations.h"
#include "desk/shell/keep_form.h"
#include "desk/swatches/convert_form.h"
#include "desk/swatches/swatch_panel.h"
#include "files/swatch_book_file.h"
#include "window_test.h"

#include <QCheckBox>
#include <QInputDialog>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QTemporaryDir>
#include <fstream>

namespace zelo::desk {
namespace {

class KeptTest : public WindowTest {
protected:
    KeptTest() { chooseGroups({"front"}); }
    SwatchPanel& panel = window.swatches();
    SwatchModel& model = panel.model();

    int rowOf(const std::string& asked) {
        for (int row = 0; row < model.rowCount(); ++row)
            if (text(model.swatch(row).asked) == asked)
                return row;
        ADD_FAILURE() << "no row " << asked;
        return 0;
    }
    void allChips() {
        EXPECT_TRUE(comes([&] {
            for (int row = 0; row < model.rowCount(); ++row)
                if (!model.chip(row) && model.swatch(row).kind != Swatch::Kind::Palette)
                    return false;
            return true;
        }));
    }
    void key(Qt::Key which) { // a popup before it may have taken the activation along
        QApplication::setActiveWindow(&window);
        QTest::keyClick(&window, which);
    }
    void keepAs(KeepForm::As as, const QString& name) {
        key(Qt::Key_K);
        auto* form = window.findChild<KeepForm*>();
        ASSERT_TRUE(form);
        for (int i = 0; i < as; ++i)
            QTest::keyClick(&form->choice(), Qt::Key_Right);
        QTest::keyClicks(&form->name(), name);
        QTest::keyClick(&form->name(), Qt::Key_Return);
        settle();
    }
    void choose(QMenu* menu, const QString& text) {
        ASSERT_TRUE(menu);
        for (QAction* action : menu->actions())
            if (action->text().startsWith(text))
                return action->trigger();
        ADD_FAILURE() << "no action " << text.toStdString();
    }
    QMenu* submenu(QMenu* menu, const QString& text) {
        for (QAction* action : menu->actions())
            if (action->text().startsWith(text))
                return action->menu();
        return nullptr;
    }
    void answer(const QString& word) {
        auto* box = window.findChild<QMessageBox*>();
        ASSERT_TRUE(box);
        for (auto* b : box->buttons())
            if (b->text() == word)
                b->click();
        settle();
    }
};

TEST_F(KeptTest, KAsksForANameAndTheLineupFollows) {
    window.asking().pick("gel:341");
    settle();
    keepAs(KeepForm::Colour, "harbour night");
    const auto* p = document.show().paletteNamed("harbour night");
    ASSERT_TRUE(p);
    EXPECT_EQ(light::toText(p->colour->asked), "gel:341@3200");
    EXPECT_FALSE(p->intensity);
    EXPECT_EQ(undoName(), "Keep palette harbour night");
    document.undo();
    EXPECT_FALSE(document.show().paletteNamed("harbour night"))
        << "keeping and following: one step";
    document.redo();
    p = document.show().paletteNamed("harbour night");
    // The lineup follows from now on: a change of the palette is on the stage.
    auto next = *p;
    next.colour->asked = light::AskedGel{"219", 3200.0, {}, {}};
    ASSERT_TRUE(document.edit("x", show::changePalette(document.state().show, next)));
    settle();
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:219@3200");
    EXPECT_EQ(light::toText(lamp(30).colour->wanted.asked), "gel:207@2700") << "others stay";
}

TEST_F(KeptTest, AnEmptyOrTakenNameIsRefusedInTheForm) {
    key(Qt::Key_K);
    auto* form = window.findChild<KeepForm*>();
    ASSERT_TRUE(form);
    form->choice().setChosen(KeepForm::Both);
    form->keep();
    EXPECT_TRUE(form->isVisible());
    EXPECT_TRUE(form->accessibleDescription().contains("needs a name"));
    form->name().setText("embers");
    form->keep();
    EXPECT_TRUE(form->accessibleDescription().contains("already"));
    QTest::keyClick(&form->name(), Qt::Key_Escape);
    settle();
    EXPECT_FALSE(window.findChild<KeepForm*>());
    EXPECT_EQ(document.show().palettes.size(), 10u);
}

TEST_F(KeptTest, PalettesArePickedLikeAnyColour) {
    model.setFilter(SwatchModel::Filter::Palettes);
    EXPECT_EQ(model.rowCount(), 10);
    const auto before = lamp(1).intensity;
    panel.pickRow(rowOf("palette:embers"));
    settle();
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:219@3200");
    EXPECT_EQ(lamp(1).intensity, before) << "colour only";
    panel.pickRow(rowOf("palette:a breath"));
    settle();
    EXPECT_NEAR(lamp(1).intensity, 0.12, 1e-9);
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:219@3200") << "intensity only";
    EXPECT_EQ(document.state().hand->at({1})->colour->palette(),
              document.show().paletteNamed("embers")->id);
}

TEST_F(KeptTest, LockRenameMergeAndWhereUsed) {
    model.setFilter(SwatchModel::Filter::Palettes);
    const int row = rowOf("palette:tide at dusk");
    auto* where = submenu(panel.rowMenu(row), "Where");
    ASSERT_TRUE(where);
    choose(where, "on stage: 4 lamps");
    EXPECT_EQ(lineup(), (std::vector{21, 22, 23, 24})) << "the left booms follow it";
    choose(panel.rowMenu(row), "Lock");
    EXPECT_TRUE(document.show().paletteNamed("tide at dusk")->locked);
    for (QAction* action : panel.rowMenu(row)->actions())
        if (action->text().startsWith("Delete") || action->text().startsWith("Merge"))
            EXPECT_FALSE(action->isEnabled()) << action->text().toStdString();
    choose(panel.rowMenu(row), "Unlock");
    choose(submenu(panel.rowMenu(row), "Merge"), "deep water");
    settle();
    EXPECT_FALSE(document.show().paletteNamed("tide at dusk"));
    EXPECT_EQ(light::toText(lamp(21).colour->wanted.asked), "gel:338@5600");
    document.undo();
    settle();
    EXPECT_EQ(light::toText(lamp(21).colour->wanted.asked), "gel:321@5600");
}

TEST_F(KeptTest, DeletingAsksAndLeavesTheValues) {
    const auto id = document.show().paletteNamed("tide at dusk")->id;
    panel.removePalette(id);
    auto* box = window.findChild<QMessageBox*>();
    ASSERT_TRUE(box);
    EXPECT_TRUE(box->text().contains("4 lamps on stage, 1 look"));
    answer("Keep it");
    EXPECT_TRUE(document.show().palette(id));
    panel.removePalette(id);
    answer("Delete it");
    EXPECT_FALSE(document.show().palette(id));
    EXPECT_EQ(light::toText(lamp(21).colour->wanted.asked), "gel:321@5600");
    panel.removePalette(document.show().paletteNamed("blaze")->id); // nobody uses it: no question
    EXPECT_FALSE(document.show().paletteNamed("blaze"));
}

TEST_F(KeptTest, GroupsByKeyAndFromTheLineup) {
    key(Qt::Key_G);
    auto* menu = QApplication::activePopupWidget();
    ASSERT_TRUE(menu);
    QTest::keyClick(menu, Qt::Key_3);
    settle();
    EXPECT_EQ(lineup(), (std::vector{13, 14, 15, 16, 17, 18, 19, 20})) << "the third group: cyc";
    document.setLineup({{20}, {3}, {7}});
    keepAs(KeepForm::Group, "odd ones");
    ASSERT_EQ(document.show().group({document.show().last_group_id})->name, "odd ones");
    EXPECT_EQ(document.show().group({document.show().last_group_id})->fixtures,
              (std::vector<show::FixtureId>{{20}, {3}, {7}}))
        << "in the order of the lineup";
}

TEST_F(KeptTest, LooksComeBack) {
    const std::size_t before = document.show().looks.size();
    keepAs(KeepForm::Look, "first light");
    ASSERT_EQ(document.show().looks.size(), before + 1);
    window.asking().pick("gel:341");
    settle();
    key(Qt::Key_O);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    choose(submenu(menu, "first light"), "Take");
    settle();
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "gel:214@3200");
    if (menu)
        menu->close();
}

TEST_F(KeptTest, OrdersByHueTransmissionAndMiss) {
    model.setFilter(SwatchModel::Filter::Gels);
    allChips();
    const auto rises = [&](SwatchModel::Sort sort, auto value) {
        model.setSort(sort);
        int wrong = 0;
        for (int row = 1; row < model.rowCount(); ++row)
            wrong += value(*model.chip(row)) < value(*model.chip(row - 1));
        EXPECT_EQ(wrong, 0);
    };
    rises(SwatchModel::Sort::Hue, [](const Chip& c) { return c.hue_deg; });
    rises(SwatchModel::Sort::Miss, [](const Chip& c) { return c.miss_uv; });
    rises(SwatchModel::Sort::Transmission, [](const Chip& c) { return -c.transmitted; });
    model.setSort(SwatchModel::Sort::Number);
    int last = 0;
    for (int row = 0; row < model.rowCount(); ++row) {
        EXPECT_GT(model.swatch(row).number.toInt(), last);
        last = model.swatch(row).number.toInt();
    }
}

TEST_F(KeptTest, ColourWordsFind) {
    allChips();
    auto* search = child<QLineEdit>("Search the swatch book");
    search->setText("deep blue");
    settle();
    ASSERT_GT(model.rowCount(), 0);
    for (int row = 0; row < model.rowCount(); ++row) {
        const auto uv = colour::toUv(model.chip(row)->wanted);
        EXPECT_LT(uv.v, 0.47) << model.swatch(row).number.toStdString() << " is no blue";
    }
    search->setText("embe");
    EXPECT_EQ(model.swatch(0).name, "embers") << "names come before words";
}

TEST_F(KeptTest, AWhiteWithATintIsTyped) {
    for (const auto& [text, asked] :
         {std::pair{"3200 +0.006", "cct:3200/0.006"}, std::pair{"5600/-.01", "cct:5600/-0.01"}}) {
        model.setQuery(text);
        ASSERT_EQ(model.rowCount(), 1) << text;
        EXPECT_EQ(light::toText(model.swatch(0).asked), asked);
    }
    panel.pickRow(0);
    settle();
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "cct:5600/-0.01");
    model.setQuery("5600 +0.9");
    EXPECT_EQ(model.rowCount(), 0) << "no white is that green";
}

TEST_F(KeptTest, FavouritesAreMarkedAndFiltered) {
    model.setFavouritesOnly(true);
    ASSERT_EQ(model.rowCount(), 2) << "the demo has two";
    model.setFavouritesOnly(false);
    panel.list().setFocus();
    panel.list().setCurrentIndex(model.index(rowOf("gel:341"), 0));
    QTest::keyClick(&panel.list(), Qt::Key_B);
    EXPECT_TRUE(model.favourite(rowOf("gel:341")));
    EXPECT_EQ(undoName(), "Favourite: 341");
    model.setFavouritesOnly(true);
    EXPECT_EQ(model.rowCount(), 3);
    document.undo();
    EXPECT_EQ(model.rowCount(), 2);
}

TEST_F(KeptTest, ASecondLayerLiesOverTheBook) {
    allChips();
    const auto alone = model.chip(rowOf("gel:214"))->wanted;
    model.setLayer("338");
    EXPECT_TRUE(comes([&] {
        const auto under = model.chip(rowOf("gel:214"))->wanted;
        return colour::distance(colour::toUv(under), colour::toUv(alone)) > 0.01;
    }));
    panel.pickRow(rowOf("gel:214"));
    settle();
    EXPECT_EQ(text(lamp(1).colour->wanted.asked), "gel:214+gel:338@3200");
}

TEST_F(KeptTest, ABookOfThreeThousandIsSearchedWithoutDelay) {
    const QTemporaryDir folder;
    const QString path = folder.filePath("big.csv");
    {
        std::ofstream out(path.toStdString());
        out << "id,name,400,450,500,550,600,650,700\n";
        for (int i = 0; i < 3000; ++i)
            out << "B" << i << ",Sheet number " << i << ',' << 0.1 + 0.0002 * i << ",0.5,0.4,"
                << 0.9 - 0.0002 * i << ",0.6,0.7,0.8\n";
    }
    ASSERT_TRUE(panel.loadBook(path));
    EXPECT_GT(model.rowCount(), 3200);
    // Each key stroke finds at once, while chips are still computed in the background.
    auto* search = child<QLineEdit>("Search the swatch book");
    search->setFocus();
    for (const char key : {'b', '2', '9', '9', '9'}) {
        QElapsedTimer watch;
        watch.start();
        QTest::keyClick(search, key);
        EXPECT_LT(watch.elapsed(), 150) << "one of many: a guard, not a measurement";
    }
    EXPECT_EQ(model.swatch(0).number, "B2999");
    EXPECT_FALSE(panel.loadBook(folder.filePath("none.csv")));
    EXPECT_GT(model.rowCount(), 0) << "what was loaded stays";
}

TEST_F(KeptTest, AMeasuredLightIsKeptWithTheShow) {
    const QTemporaryDir folder;
    const QString path = folder.filePath("harbour lamp.csv");
    std::ofstream(path.toStdString()) << "nm,value\n380,0.1\n580,4\n590,9\n600,4\n780,0.2\n";
    ASSERT_TRUE(panel.loadMeasured(path));
    model.setFilter(SwatchModel::Filter::Measured);
    ASSERT_EQ(model.rowCount(), 1);
    EXPECT_EQ(model.swatch(0).name, "harbour lamp");
    panel.pickRow(0);
    settle();
    EXPECT_EQ(light::toText(lamp(1).colour->wanted.asked), "spd:harbour lamp");
    EXPECT_TRUE(lamp(1).colour->wanted.spectrum);
    document.undo();
    document.undo();
    EXPECT_EQ(model.rowCount(), 0);
}

TEST_F(KeptTest, TheBookIsConvertedInOneGo) {
    chooseGroups({"front", "back"});
    ConvertForm form(document, model, nullptr);
    form.setAttribute(Qt::WA_DeleteOnClose, false);
    EXPECT_EQ(form.types().size(), 2u);
    EXPECT_GT(form.wish().gels.size(), 150u);
    model.setQuery("21");
    form.listedOnly().setChecked(true);
    const auto listed = form.wish().gels.size();
    EXPECT_LT(listed, 30u);
    form.compute();
    EXPECT_TRUE(comes([&] { return !form.working(); }));
    EXPECT_EQ(form.lines().size(), 2 * listed);
    const QTemporaryDir folder;
    form.write(folder.filePath("book.csv"));
    form.write(folder.filePath("book.pdf"));
    settle();
    std::ifstream pdf(folder.filePath("book.pdf").toStdString(), std::ios::binary);
    std::string head(5, 0);
    pdf.read(head.data(), 5);
    EXPECT_EQ(head, "%PDF-");
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& line) { told = line; });
    for (const char* ending : {".csv", ".pdf"}) { // a folder that has gone
        form.write(folder.filePath(QString("gone/book") + ending));
        settle();
        EXPECT_TRUE(told.contains(QString("gone/book") + ending) && !told.startsWith("Written"))
            << told.toStdString();
    }
    form.makePalettes();
    EXPECT_EQ(document.show().palettes.size(), 10 + listed);
    document.undo();
    EXPECT_EQ(document.show().palettes.size(), 10u) << "in one step";
    // Of any types, also such as are not in the lineup nor in the show.
    form.setType("avocet-7", true);
    form.compute();
    EXPECT_TRUE(comes([&] { return !form.working(); }));
    ASSERT_EQ(form.lines().size(), listed);
    EXPECT_EQ(form.lines()[0].type, "Avocet 7");
    form.setType("avocet-7", false);
    EXPECT_EQ(form.types().size(), 2u);
    form.listedOnly().setChecked(false);
    form.compute();
    form.stop();
    EXPECT_TRUE(comes([&] { return !form.working(); }));
    EXPECT_LT(form.lines().size(), 2 * form.wish().gels.size()) << "stopped on the way";
}

} // namespace
} // namespace zelo::desk
