// SPDX-License-Identifier: GPL-3.0-or-later
// One line for people over the foot of the bench; it goes by itself or by a click. Trouble that
// stands stays in it until it is over.
#pragma once

#include <QTimer>
#include <QWidget>

namespace zelo::desk {

class MessageLine : public QWidget {
    Q_OBJECT
public:
    explicit MessageLine(QWidget* parent);
    void tell(const QString& text);
    void stand(const QString& trouble); // until it is called with nothing
    const QString& text() const { return text_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    void showText(const QString& text);
    void over(); // what was told has been read
    QString text_;
    QString standing_;
    QTimer gone_;
};

} // namespace zelo::desk
