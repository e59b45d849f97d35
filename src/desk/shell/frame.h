// SPDX-License-Identifier: GPL-3.0-or-later
// The window of the desktop: all of Zelochrome in it, scrolled when it is smaller than that can be.
#pragma once

#include <QScrollArea>

namespace zelo::desk {

class MainWindow;

class Frame : public QScrollArea {
    Q_OBJECT
public:
    explicit Frame(MainWindow& window); // lives longer than this
    ~Frame() override;

    // Where and as large as it was when it was last seen, which is kept from now on. At the first
    // time, or with a size that was asked for: that size, and where the screen has no room for it
    // and a title above, all of the screen.
    void comeBack(const QSize& asked = {});
    static constexpr QSize kFirstSize{1280, 800};

    // How large everything is, in percent; changed by people, used from the next start on.
    static constexpr int kSizes[] = {100, 120, 140};
    static int sizePercent();
    static void setSizePercent(int percent);

protected:
    void closeEvent(QCloseEvent* event) override; // as the window inside decides

private:
    MainWindow& window_;
    bool kept_ = false; // where it is
};

} // namespace zelo::desk
