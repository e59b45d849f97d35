// SPDX-License-Identifier: GPL-3.0-or-later
// A choice among a few words standing on a rule; a pointer shows the chosen one.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"

#include <QStringList>
#include <QWidget>

namespace zelo::desk {

class Stations : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    // `keys`: dim figures before the words ("1", "2"), or empty. `spread`: over the whole width.
    Stations(const QString& name, const QString& tip, const QStringList& words,
             const QStringList& keys, bool spread, QWidget* parent);

    int chosen() const { return chosen_; }
    void setChosen(int index);               // without a signal
    void setWords(const QStringList& words); // as many as there were
    void setSmall(bool small);               // 11 px words, for narrow places
    void setGap(int gap);                    // between words that are not spread, px
    void setRows(int rows);                  // one above the other, as many words in each
    int leastWidth() const;                  // of one row in which no word is cut
    void setOnEdge(bool on); // stands on its parent's lower edge: no rule of its own
    QSize sizeHint() const override;
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

signals:
    void stationChosen(int index);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void leaveEvent(QEvent* event) override;

private:
    QRect wordRect(int index) const { return wordRect(index, width()); }
    QRect wordRect(int index, int room) const;
    int wordWidth(int index) const; // with its key
    int inRow() const { return (static_cast<int>(words_.size()) + rows_ - 1) / rows_; }
    int at(const QPoint& pos) const;
    void choose(int index);

    QStringList words_;
    QStringList keys_;
    bool spread_;
    bool on_edge_ = false;
    bool small_ = false;
    int chosen_ = 0;
    int hovered_ = -1;
    int gap_ = 20;
    int rows_ = 1;
};

} // namespace zelo::desk
