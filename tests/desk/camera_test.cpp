// SPDX-License-Identifier: GPL-3.0-or-later
// All light as a camera shows it; and the form that reads a camera's data.
#include "base/file.h"
#include "colour/seen.h"
#include "colour/smoothest.h"
#include "desk/cues/cue_model.h"
#include "desk/cues/cue_table.h"
#include "desk/cues/cues_view.h"
#include "desk/gradient/gradient_model.h"
#include "desk/gradient/stop_track.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/kit/text_field.h"
#include "desk/kit/text_log.h"
#include "desk/match/camera_form.h"
#include "desk/match/camera_menu.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/match/skin_panel.h"
#include "desk/match/split_field.h"
#include "desk/readings/readings_panel.h"
#include "desk/rig/plan.h"
#include "desk/rig/rig_view.h"
#include "desk/ripple/raster_plot.h"
#include "desk/ripple/ripple_model.h"
#include "desk/ripple/ripple_view.h"
#include "desk/shell/header.h"
#include "desk/swatches/convert_form.h"
#include "light/levels.h"
#include "show/kept.h"

#include <QCheckBox>
#include <QMenu>
#include <QTemporaryDir>

namespace zelo::desk {
namespace {

// What the camera shows of a spectrum, drawn: by another road than the desk's.
class CameraTest : public HandsTest {
protected:
    CameraTest() {
        chooseGroups({"back"});
        window.asking().pick("gel:214@3200");
        settle();
    }
    void look(int by) { choose(*child<Stations>("Seen by"), by); }
    colour::Camera camera() {
        return *play::cameraFrom(*document.show().cameras.at(document.camera().value()), library);
    }
    QColor drawn(const colour::Spectrum& light) {
        const colour::Camera by = camera();
        const auto c = colour::Screen(colour::toXyz(by.white())).show(by.shown(light)).rgb;
        return {c.r, c.g, c.b};
    }
    static colour::Spectrum lightOf(const play::StageLamp& lamp) {
        return light::spectrumOf(lamp.mixer->type(), lamp.sent.drives);
    }
    static int apart(const QColor& a, const QColor& b) {
        return std::abs(a.red() - b.red()) + std::abs(a.green() - b.green()) +
               std::abs(a.blue() - b.blue());
    }
    std::pair<QColor, QColor> halves() {
        const auto image = match.grab().toImage();
        return {image.pixelColor(match.wantedPixel()), image.pixelColor(match.gotPixel())};
    }
    const colour::Spectrum& wanted() { return *window.focusModel().wanted()->spectrum; }
    MatchView& match = window.matchView();
};

TEST_F(CameraTest, ThePressShowsAllLightAsTheCameraDoes) {
    const auto [eye_wanted, eye_got] = halves();
    EXPECT_LT(apart(eye_wanted, eye_got), 4) << "to the eye it is matched";
    look(1);
    ASSERT_EQ(document.show().cameras.size(), 1u) << "the show had none: one that ships";
    ASSERT_TRUE(document.camera());
    const auto [camera_wanted, camera_got] = halves();
    const auto& lamp = window.focusModel().focus()->lamp;
    EXPECT_EQ(camera_wanted, drawn(wanted()));
    EXPECT_EQ(camera_got, drawn(lightOf(lamp)));
    EXPECT_GT(apart(camera_wanted, eye_wanted), 20) << "5600 K is its white";
    EXPECT_TRUE(
        paintedBy(*window.findChild<Header*>()).contains("seen by " + toQt(*document.camera())));
    // The camera tells apart what the eye does not; Filmed brings both together.
    const int truest = apart(camera_wanted, camera_got);
    EXPECT_GT(truest, 3);
    choose(*child<Stations>("Intent"), 4);
    const auto [filmed_wanted, filmed_got] = halves();
    EXPECT_LT(apart(filmed_wanted, filmed_got), truest);
    look(0);
    EXPECT_FALSE(document.camera());
    EXPECT_EQ(halves().first, eye_wanted);
    QTest::keyClick(&window, Qt::Key_Y);
    settle();
    EXPECT_EQ(halves().first, filmed_wanted) << "the same by a key";
    QTest::keyClick(&window, Qt::Key_Y);
    EXPECT_FALSE(document.camera());
}

TEST_F(CameraTest, SplitFieldPlanAndSwatchesToo) {
    look(1);
    auto* split = window.findChild<SplitField*>();
    QTest::keyClick(&window, Qt::Key_Z);
    ASSERT_TRUE(split->isVisible());
    const auto field = split->grab().toImage();
    EXPECT_EQ(field.pixelColor(10, field.height() / 2), drawn(wanted()));
    QTest::keyClick(&window, Qt::Key_Z);
    window.showView(MainWindow::Rig);
    settle();
    Plan& plan = window.rigView().plan();
    const auto paper = plan.grab().toImage();
    int told = 0;
    for (const auto& lamp : document.stage().lamps)
        if (lamp.dark == play::DarkWhy::None && lamp.mixer) {
            const QPoint at = plan.place(lamp.id).toPoint();
            const QColor seen = document.colours().of(lamp.sent.xyz);
            if (apart(drawn(lightOf(lamp)), seen) < 12)
                continue; // to the eye it would be nearly the same
            EXPECT_LT(apart(paper.pixelColor(at), drawn(lightOf(lamp))), 6) << lamp.id.value;
            ++told;
        }
    EXPECT_GT(told, 0);
    auto& model = window.swatches().model();
    model.setQuery("214");
    settle();
    ASSERT_TRUE(model.chip(0));
    EXPECT_LT(colour::norm(model.chip(0)->wanted - camera().shown(wanted())), 1e-9);
}

// What stands for light without being a lamp: levels, tracks, small pictures.
TEST_F(CameraTest, LevelsTracksAndSmallPicturesToo) {
    const auto paints = [](QWidget& widget, const QColor& colour) {
        const auto image = widget.grab().toImage();
        for (int y = 0; y < image.height(); ++y)
            for (int x = 0; x < image.width(); ++x)
                if (image.pixel(x, y) == colour.rgb())
                    return true;
        return false;
    };
    look(1);
    const auto& mixer = *window.focusModel().focus()->lamp.mixer;
    const auto& columns = match.mix().columns();
    int lit = 0;
    for (std::size_t e = 0; e < mixer.type().emitters.size(); ++e)
        if (columns[e]->isVisible() && columns[e]->value() > 5) {
            EXPECT_TRUE(paints(*columns[e], drawn(mixer.type().emitters[e].spectrum))) << e;
            ++lit;
        }
    EXPECT_GT(lit, 2);

    chooseGroups({"front", "back", "cyc"});
    document.setHand("x", show::withPalette(document.state().hand, document.lineup(),
                                            *document.show().paletteNamed("Tide line")));
    window.showView(MainWindow::Gradient);
    settle();
    ASSERT_TRUE(window.gradientModel().gradient());
    const colour::Uv first = window.gradientModel().laid().stops.front();
    const QColor eye = LightColours(Kelvin{document.eye_k()}).of(colour::toXyz(first));
    const QColor smooth = drawn(*colour::smoothestSpectrum(colour::toXyz(first)));
    EXPECT_GT(apart(eye, smooth), 20);
    EXPECT_TRUE(paints(window.stopTrack(), smooth)) << "of a colour: the smoothest light of it";
    EXPECT_FALSE(paints(window.stopTrack(), eye));
    QTest::keyClick(&window, Qt::Key_Y);
    settle();
    EXPECT_TRUE(paints(window.stopTrack(), eye)) << "and back";
    QTest::keyClick(&window, Qt::Key_Y);

    // Rippling: from another view, so that it is told before it is looked at.
    window.showView(MainWindow::Ripple);
    auto& ripples = window.rippleModel();
    ASSERT_TRUE(
        comes([&] { return ripples.pictures() && !ripples.pictures()->raster.cells.empty(); }));
    const auto cell = [&] { return ripples.pictures()->raster.at(0, 0); };
    EXPECT_GT(colour::distance(colour::toUv(cell().shown), colour::toUv(cell().light)), 1e-3);
    EXPECT_TRUE(paints(*window.rippleView().findChild<RasterPlot*>(),
                       document.colours().of(cell().shown, std::max(0.06, cell().level))));
    QTest::keyClick(&window, Qt::Key_Y);
    EXPECT_TRUE(comes([&] { return norm(cell().shown - cell().light) == 0; })) << "to the eye";

    window.showView(MainWindow::Cues);
    auto& cues = window.cueModel();
    const auto pictured = [&]() -> std::optional<colour::Xyz> {
        for (const auto& [number, cue] : cues.list()->cues)
            if (const auto* lamps = cues.picture(number))
                for (const auto& lamp : *lamps)
                    if (lamp.intensity > 0.3 && lamp.told)
                        return lamp.at_full;
        return std::nullopt;
    };
    ASSERT_TRUE(comes([&] { return pictured().has_value(); }));
    const auto seen = *pictured();
    EXPECT_TRUE(paints(*window.cuesView().table().viewport(), document.colours().of(seen)));
    QTest::keyClick(&window, Qt::Key_Y);
    EXPECT_TRUE(comes([&] { return norm(*pictured() - seen) > 1; }));
    settle();
    EXPECT_TRUE(paints(*window.cuesView().table().viewport(), document.colours().of(*pictured())));
}

TEST_F(CameraTest, ItsBalanceIsTypedOrThatOfTheGel) {
    look(1);
    const std::string name = *document.camera();
    auto* balance = child<NumberField>("Camera balance");
    ASSERT_TRUE(balance->isVisible());
    EXPECT_EQ(balance->value(), 5600);
    window.asking().pick("cct:3200");
    settle();
    const QColor cold = halves().first;
    EXPECT_GT(cold.red(), cold.blue() + 30) << "lamplight before a camera set to daylight";
    type(*balance, "3200");
    EXPECT_EQ(document.show().cameras.at(name)->balance, light::Asked(light::AskedWhite{3200, {}}));
    const QColor white = halves().first;
    EXPECT_NEAR(white.red(), white.blue(), 2);
    EXPECT_NEAR(white.red(), white.green(), 2);
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(balance->value(), 5600);
    EXPECT_EQ(halves().first, cold) << "undone, it is seen as before";
    // As a gel: no number, its name tells.
    setCameraBalance(document, name, light::AskedGel{"214", 3200, {}, {}});
    settle();
    EXPECT_TRUE(balance->isHidden());
    window.asking().pick("gel:214@3200");
    settle();
    const QColor gel = halves().first;
    EXPECT_NEAR(gel.red(), gel.blue(), 2) << "the gel is its white";
}

TEST_F(CameraTest, TheEyeSeesAgainWhenTheCameraIsGone) {
    look(1);
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier); // the camera was an edit
    settle();
    EXPECT_TRUE(document.show().cameras.empty());
    EXPECT_FALSE(document.camera());
    EXPECT_EQ(child<Stations>("Seen by")->chosen(), 0);
    EXPECT_TRUE(child<NumberField>("White of the eye")->isVisible());
    EXPECT_FALSE(document.setCamera(std::string("nobody")));
}

TEST_F(CameraTest, ItsMissStandsWhereAMixIsJudged) {
    const auto told = [&] { return match.typeButtons()[0]->accessibleDescription(); };
    EXPECT_FALSE(told().contains("sees it"));
    const int before = match.typeButtons()[0]->heightAt(200);
    look(1);
    const auto camera_miss = *camera().miss(wanted(), lightOf(window.focusModel().focus()->lamp));
    const QString line = QString("%1 sees it %2 off")
                             .arg(toQt(*document.camera()), QString::number(camera_miss, 'f', 4));
    EXPECT_TRUE(told().contains(line)) << told().toStdString();
    EXPECT_TRUE(match.typeButtons()[0]->toolTip().contains(line));
    const auto& readings = window.readings().rows();
    const auto row = std::find_if(readings.begin(), readings.end(), [&](const ReadingRow& r) {
        return r.name == toQt(*document.camera()) + ", r g";
    });
    ASSERT_NE(row, readings.end());
    EXPECT_NEAR(row->got, camera_miss, 1e-12);
    EXPECT_GT(match.typeButtons()[0]->heightAt(200), before) << "a line of its own";
    look(0); // those that the show minds are told to who looks by eye
    EXPECT_TRUE(told().contains(line));
    window.asking().pick("uv:0.24,0.51");
    settle();
    EXPECT_FALSE(told().contains("sees it")) << "numbers have no light";
}

TEST_F(CameraTest, ExactForTheCameraIsInTheMenu) {
    look(1);
    const auto menuOf = [&] {
        QTest::mouseClick(child<Button>("Camera that all is seen by"), Qt::LeftButton);
        return qobject_cast<QMenu*>(QApplication::activePopupWidget());
    };
    const auto press = [&](const QString& words) {
        auto* menu = menuOf();
        ASSERT_TRUE(menu);
        for (QAction* action : menu->actions())
            if (action->text() == words)
                action->trigger();
        menu->close();
        QApplication::setActiveWindow(&window);
        settle();
    };
    const auto miss = [&] {
        return *camera().miss(wanted(), lightOf(window.focusModel().focus()->lamp));
    };
    const double truest = miss();
    press(QString("Exact for %1, nearest for the eye").arg(toQt(*document.camera())));
    EXPECT_TRUE(window.focusModel().wish()->exact_for_camera);
    EXPECT_LT(miss(), std::min(0.001, 0.5 * truest)) << "but for the steps of channels";
    EXPECT_GT(window.focusModel().focus()->miss_uv, 0.001);
    EXPECT_TRUE(child<Button>("cameras")->isVisible()) << "there it is changed back";
    press("Exact for the eye, nearest for cameras");
    EXPECT_FALSE(window.focusModel().wish()->exact_for_camera);
    EXPECT_NEAR(miss(), truest, 1e-9);
}

TEST_F(CameraTest, SkinAndClothAreThoseOfTheCamera) {
    look(1);
    SkinPanel& skin = match.skin();
    std::vector<colour::Spectrum> surfaces;
    for (const auto& s : library.surfaces().gels)
        surfaces.push_back(s.transmittance);
    const auto shown = colour::surfacesShown(surfaces, wanted(),
                                             lightOf(window.focusModel().focus()->lamp), camera());
    ASSERT_EQ(skin.seen().size(), shown.size());
    std::size_t worst = 0;
    for (std::size_t i = 0; i < shown.size(); ++i) {
        EXPECT_NEAR(skin.seen()[i].delta_e, shown[i].delta_e, 1e-9);
        worst = shown[i].delta_e > shown[worst].delta_e ? i : worst;
    }
    EXPECT_EQ(skin.worstSample(), worst);
    EXPECT_TRUE(skin.accessibleDescription().contains(toQt(library.surfaces().gels[worst].id)));
}

class CameraFormTest : public CameraTest {
protected:
    CameraFormTest() { form.setAttribute(Qt::WA_DeleteOnClose, false); }
    // A file of it: 390 to 730 nm, every 10 nm, r g b by three bells.
    QString file(const char* name, const std::function<QString(int nm)>& row) {
        QString text = "nm,r,g,b\n";
        for (int nm = 390; nm <= 730; nm += 10)
            text += row(nm) + '\n';
        const QString path = folder.filePath(name);
        EXPECT_TRUE(writeFile(fromQt(path), fromQt(text)));
        return path;
    }
    static QString bells(int nm) {
        const auto bell = [nm](double at) { return std::exp(-std::pow((nm - at) / 50, 2)); };
        return QString("%1,%2,%3,%4").arg(nm).arg(bell(600)).arg(bell(540)).arg(bell(460));
    }
    void read(const QString& path) {
        form.read(path);
        settle();
    }
    QTemporaryDir folder;
    CameraForm form{document, nullptr};
};

TEST_F(CameraFormTest, AFileIsReadDrawnNamedAndAdded) {
    form.choose();
    EXPECT_TRUE(QTest::qWaitForWindowExposed(&form));
    QApplication::setActiveWindow(&form);
    auto* add = form.findChildren<Button*>().last();
    EXPECT_FALSE(add->isEnabled()) << "there is nothing yet";
    const auto ink = [&] { // pixels that are drawn in the room of the curves
        const auto image = form.grab().toImage();
        int drawn = 0;
        for (int x = form.plot().left(); x < form.plot().right(); ++x)
            for (int y = form.plot().top(); y < form.plot().bottom() - 1; ++y)
                drawn += apart(image.pixelColor(x, y), theme().side) > 150;
        return drawn;
    };
    read(file("mine.csv", bells));
    ASSERT_TRUE(form.camera()) << form.trouble().toStdString();
    EXPECT_GT(ink(), 300);
    EXPECT_TRUE(add->isEnabled());
    auto* name = form.findChild<TextField*>();
    EXPECT_EQ(name->text(), "mine");
    name->setFocus();
    name->selectAll();
    QTest::keyClicks(name, "House camera");
    for (auto* balance : form.findChildren<NumberField*>())
        type(*balance, "4300");
    QTest::mouseClick(add, Qt::LeftButton);
    settle();
    ASSERT_TRUE(document.show().cameras.contains("House camera"));
    EXPECT_EQ(document.show().cameras.at("House camera")->balance,
              light::Asked(light::AskedWhite{4300, {}}));
    EXPECT_FALSE(form.isVisible());
    document.undo();
    EXPECT_TRUE(document.show().cameras.empty());
}

TEST_F(CameraFormTest, WhatIsWrongIsToldByItsRow) {
    form.choose();
    read(file("gap.csv", [](int nm) { return nm > 500 && nm < 560 ? QString() : bells(nm); }));
    EXPECT_FALSE(form.camera());
    EXPECT_TRUE(form.trouble().contains("560") || form.trouble().contains("500"))
        << form.trouble().toStdString();
    read(file("dark.csv", [](int nm) { return bells(nm).section(',', 0, 2) + ",0"; }));
    EXPECT_TRUE(form.trouble().contains("b")) << form.trouble().toStdString();
    read(file("below.csv",
              [](int nm) { return nm == 500 ? QString("500,-0.5,0.2,0.3") : bells(nm); }));
    EXPECT_TRUE(form.trouble().contains("500") || form.trouble().contains("13"))
        << form.trouble().toStdString();
    read(folder.filePath("none.csv"));
    EXPECT_TRUE(form.trouble().contains("none.csv"));
    form.keep(); // does nothing
    EXPECT_TRUE(document.show().cameras.empty());
    read(file("mine.csv", bells));
    EXPECT_TRUE(form.trouble().isEmpty()) << "and the next one is read";
}

TEST_F(CameraFormTest, OneOfTheShowIsLookedAtAndRenamed) {
    look(1);
    const std::string old = *document.camera();
    form.open(*document.show().cameras.at(old));
    form.findChild<TextField*>()->setText("B camera");
    QTest::keyClick(&form, Qt::Key_Return);
    settle();
    EXPECT_EQ(document.show().cameras.size(), 1u);
    ASSERT_TRUE(document.show().cameras.contains("B camera"));
    EXPECT_EQ(document.camera(), "B camera") << "it is looked through on";
}

TEST_F(CameraFormTest, TheBooksReportTellsWhichTypeHoldsBest) {
    chooseGroups({"front", "back"});
    auto& model = window.swatches().model();
    ConvertForm report(document, model, nullptr);
    report.setAttribute(Qt::WA_DeleteOnClose, false);
    report.show();
    EXPECT_FALSE(report.filmed().isEnabled()) << "the show has no camera";
    look(1);
    EXPECT_TRUE(report.filmed().isEnabled());
    model.setQuery("21");
    report.listedOnly().setChecked(true);
    const auto median = [&] {
        report.compute();
        EXPECT_TRUE(comes([&] { return !report.working(); }));
        const auto all = host::bookTypes(report.lines());
        EXPECT_EQ(all.size(), 2u);
        EXPECT_TRUE(report.summary().contains(toQt(all.front().type)));
        EXPECT_TRUE(report.summary().contains(toQt(*document.camera())));
        return all.front().cameras.at(0).median;
    };
    const double truest = median();
    report.filmed().setChecked(true);
    EXPECT_LT(median(), truest);
}

} // namespace
} // namespace zelo::desk
