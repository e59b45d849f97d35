// SPDX-License-Identifier: GPL-3.0-or-later
// A window beside the main one, for a second screen: the next start has it where it was, and open
// when it was. Esc closes it, F fills its screen.
#pragma once

#include <QWidget>

namespace zelo::desk {

class OwnWindow : public QWidget {
    Q_OBJECT
public:
    // `name`: under which its place is kept.
    OwnWindow(const char* name, const QString& title, const QSize& size, QWidget* owner);
    ~OwnWindow() override;
    void put(bool open); // and so it is kept
    void toggle() { put(!isVisible()); }
    void comeBack(); // as it was when it was last seen
    static bool wasOpen(const char* name);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    void closeEvent(QCloseEvent* event) override;

private:
    void keepPlace() const;
    const char* name_;
    bool placed_ = false;
};

} // namespace zelo::desk
