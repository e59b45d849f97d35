// SPDX-License-Identifier: GPL-3.0-or-later
// A view that is not built yet: it says in one line what will be there.
#pragma once

#include <QWidget>

namespace zelo::desk {

class ComingView : public QWidget {
    Q_OBJECT
public:
    ComingView(const QString& title, const QString& line, QWidget* parent);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    QString title_;
    QString line_;
};

} // namespace zelo::desk
