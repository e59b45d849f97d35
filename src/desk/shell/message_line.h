// SPDX-License-Identifier: GPL-3.0-or-later
// What the program has to say, in whole sentences: the newest below, each until it has been read;
// what is wrong stays until it is right. It takes room of its own and covers nothing.
#pragma once

#include <QTimer>
#include <QWidget>
#include <vector>

namespace zelo::desk {

class MessageLine : public QWidget {
    Q_OBJECT
public:
    explicit MessageLine(QWidget* parent);
    void tell(const QString& text);
    void stand(const QString& trouble); // until it is called with nothing
    QStringList texts() const;          // as shown, from above
    QSize sizeHint() const override;    // of the lines at this width

signals:
    void roomWanted(); // more or less than it has

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override; // closes the one under it

private:
    struct Told {
        QString text;
        qint64 until_ms;
    };
    void forget(); // what has been read
    void changed();
    int heightOf(const QString& text) const;

    std::vector<Told> told_;
    QString standing_;
    QTimer next_;
};

} // namespace zelo::desk
