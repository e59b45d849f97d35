// SPDX-License-Identifier: GPL-3.0-or-later
// The real window with the demo show, for tests that drive it as a user would.
#pragma once

#include "desk/kit/qt_text.h"
#include "desk/shell/main_window.h"
#include "desk/shell/show_files.h"
#include "files/show_file.h"
#include "support/asked.h"
#include "support/places.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QTest>
#include <concepts>
#include <gtest/gtest.h>

namespace zelo::desk {

class WindowTest : public ::testing::Test {
protected:
    explicit WindowTest(int view = MainWindow::Match,
                        std::unique_ptr<host::Network> network = nullptr)
        : document(network ? std::make_unique<host::Session>(std::move(network), library)
                           : std::make_unique<host::Session>(library, nullptr)) {
        begin(view);
    }
    // `session` uses the library of this test, which is there before all else of it.
    template <class F>
    requires std::invocable<F, host::Library&>
    explicit WindowTest(F makeSession) : document(makeSession(library)) {
        begin(MainWindow::Match);
    }
    void begin(int view) {
        const auto demo = files::readShow(std::string(places::data) + "/shows/salt-lanterns.zelo");
        EXPECT_TRUE(demo.has_value());
        document.start(demo->show, demo->hand);
        window.showView(view);
        window.show();
        EXPECT_TRUE(QTest::qWaitForWindowExposed(&window));
        QApplication::setActiveWindow(&window); // a bare X server has nobody else to do it
        settle();
    }
    void settle() { // background work done, its results taken in
        for (int i = 0; i < 4; ++i) {
            document.waitUntilIdle();
            QApplication::processEvents();
            QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
        }
    }
    template <class F>
    bool comes(F there, int within_ms = 10000) {
        QElapsedTimer waited;
        waited.start();
        while (!there() && waited.elapsed() < within_ms)
            QTest::qWait(10);
        return there();
    }
    void chooseGroups(const std::vector<std::string>& names) {
        show::Lineup lineup;
        for (const auto& name : names)
            for (const auto& [g_id, g] : document.show().groups)
                if (g->name == name)
                    lineup.insert(lineup.end(), g->fixtures.begin(), g->fixtures.end());
        document.setLineup(lineup);
        settle();
    }
    static std::string text(const light::Asked& asked) { return light::toText(asked); }
    std::vector<int> lineup() {
        std::vector<int> ids;
        for (const auto id : document.lineup())
            ids.push_back(id.value);
        return ids;
    }
    template <class W>
    W* child(const QString& name) {
        W* hidden = nullptr; // another view may have one of the same name
        for (W* w : window.findChildren<W*>())
            if (w->accessibleName() == name) {
                if (w->isVisible())
                    return w;
                hidden = hidden ? hidden : w;
            }
        if (hidden)
            return hidden;
        ADD_FAILURE() << "no control called " << name.toStdString();
        return nullptr;
    }
    const play::StageLamp& lamp(int id) { return *document.stage().lamp({id}); }
    const show::Fixture& fixture(int id) { return *document.show().fixture({id}); }
    std::string undoName() { return document.history().undoName(); }

    host::Library library{std::filesystem::path(places::data)};
    Document document;
    MainWindow window{document};
};

} // namespace zelo::desk
