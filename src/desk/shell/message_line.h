// SPDX-License-Identifier: GPL-3.0-or-later
// One line for people over the foot of the bench; it goes by itself or by a click.
#pragma once

#include <QTimer>
#include <QWidget>

namespace zelo::desk {

class MessageLine : public QWidget {
    Q_OBJECT
public:
    explicit MessageLine(QWidget* parent);
    void tell(const QString& text);
    const QString& text() const { return text_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    QString text_;
    QTimer gone_;
};

} // namespace zelo::desk
