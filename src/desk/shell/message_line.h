// SPDX-License-Identifier: GPL-3.0-or-later
// What the program has to say, in whole sentences: the newest below, each until it has been read;
// what is wrong stays until it is right. It takes room of its own and covers nothing.
#pragma once

#include <QTimer>
#include <QWidget>
#include <functional>
#include <vector>

namespace zelo::desk {

class MessageLine : public QWidget {
    Q_OBJECT
public:
    explicit MessageLine(QWidget* parent);
    // `press`: what a click does beside closing it; none: it closes it.
    void tell(const QString& text, std::function<void()> press = {});
    void stand(const QString& trouble);        // until it is called with nothing
    void begin(int work, const QString& what); // told with its seconds once it takes long
    void end(int work);
    QStringList texts() const;       // as shown, from above
    QSize sizeHint() const override; // of the lines at this width

signals:
    void roomWanted(); // more or less than it has
    void stopWanted(int work);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override; // closes the one under it

private:
    struct Told {
        QString text;
        qint64 until_ms;
        std::function<void()> press;
    };
    struct Work {
        int id;
        QString what;
        qint64 since_ms;
        bool shown() const;
    };
    QString said(const Work& work) const;
    void forget(); // what has been read
    void changed();
    int heightOf(const QString& text) const;

    std::vector<Told> told_;
    std::vector<Work> works_;
    QString standing_;
    QTimer next_;
    QTimer tick_; // while work is under way
};

} // namespace zelo::desk
