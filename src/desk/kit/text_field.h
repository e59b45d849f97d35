// SPDX-License-Identifier: GPL-3.0-or-later
// A line one types into. Esc leaves it, and what was typed is gone: a field that searches is
// cleared, one that holds something has it back. The keyboard is the window's then.
#pragma once

#include <QLineEdit>

namespace zelo::desk {

class TextField : public QLineEdit {
    Q_OBJECT
public:
    enum class Esc { Clears, Restores };
    TextField(const QString& name, const QString& tip, Esc esc, QWidget* parent);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;

private:
    Esc esc_;
    QString before_;
};

} // namespace zelo::desk
