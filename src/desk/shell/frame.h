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

    // How large everything is, in percent; changed by people, used from the next start on.
    static constexpr int kSizes[] = {100, 120, 140};
    static int sizePercent();
    static void setSizePercent(int percent);

protected:
    void closeEvent(QCloseEvent* event) override; // as the window inside decides

private:
    MainWindow& window_;
};

} // namespace zelo::desk
