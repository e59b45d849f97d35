// SPDX-License-Identifier: GPL-3.0-or-later
// The window takes the profile that the desktop names for its screen.
#include "desk/kit/stations.h"
#include "support/icc.h"
#include "window_test.h"

#include <QGuiApplication>
#include <QMessageBox>
#include <xcb/xcb.h>

namespace zelo::desk {
namespace {

class ScreenTest : public WindowTest {
protected:
    ~ScreenTest() override { name(""); }
    static xcb_connection_t* connection() {
        const auto* x11 = qGuiApp->nativeInterface<QNativeInterface::QX11Application>();
        return x11 ? x11->connection() : nullptr;
    }
    // What a desktop does with the profile of its first monitor.
    static void name(const std::string& icc) {
        if (!connection())
            return;
        const auto root = xcb_setup_roots_iterator(xcb_get_setup(connection())).data->root;
        auto* atom = xcb_intern_atom_reply(
            connection(), xcb_intern_atom(connection(), 0, 12, "_ICC_PROFILE"), nullptr);
        if (icc.empty())
            xcb_delete_property(connection(), root, atom->atom);
        else
            xcb_change_property(connection(), XCB_PROP_MODE_REPLACE, root, atom->atom,
                                XCB_ATOM_CARDINAL, 8, static_cast<std::uint32_t>(icc.size()),
                                icc.data());
        std::free(atom);
        xcb_flush(connection());
    }
    void showAgain() {
        window.hide();
        window.show();
        settle();
    }
};

TEST_F(ScreenTest, ColoursGoThroughTheProfileThatTheDesktopNames) {
    const colour::Xyz red = colour::toXyz(colour::Uv{0.40, 0.52});
    const QColor plain = document.colours().of(red);
    EXPECT_TRUE(document.colours().screenText().startsWith("Shown as sRGB"));
    EXPECT_TRUE(child<Stations>("Seen by")->toolTip().contains("sRGB")) << "it is told";
    for (const Command& c : window.commands())
        if (c.text == "About Zelochrome")
            c.run();
    auto* about = window.findChild<QMessageBox*>();
    ASSERT_TRUE(about);
    EXPECT_TRUE(about->informativeText().contains("Shown as sRGB"));
    about->close();
    if (!connection())
        return; // only an X server can name one
    name(monitorProfile(kWidePrimaries, "Booth monitor"));
    showAgain();
    EXPECT_TRUE(document.colours().screenText().contains("“Booth monitor”"));
    EXPECT_TRUE(child<Stations>("Seen by")->toolTip().contains("Booth monitor"));
    EXPECT_LT(document.colours().of(red).red(), plain.red()) << "its own red is deeper";
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& said) { told = said; });
    name("no profile at all");
    showAgain();
    EXPECT_EQ(document.colours().of(red), plain);
    EXPECT_TRUE(told.contains("no ICC profile")) << told.toStdString();
}

} // namespace
} // namespace zelo::desk
