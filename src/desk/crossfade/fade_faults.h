// SPDX-License-Identifier: GPL-3.0-or-later
// The fade check: each fade of the cue list that shows a colour nobody asked for, as it is seen,
// with what is wrong and a cure to press.
#pragma once

#include "desk/cues/cue_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"

#include <QWidget>

namespace zelo::desk {

class FadeFaults : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    FadeFaults(CueModel& model, QWidget* parent);
    std::vector<play::Finding> findings() const { return model_.faults(); } // in their order
    QRect rowRect(std::size_t row) const;
    QRect cureRect(std::size_t row) const; // of its first cure; empty: it has none
    QRect moreRect(std::size_t row) const;
    void openMore(std::size_t row); // all cures, and the cue
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

signals:
    void cueWanted(show::CueListId list, show::CueNumber number);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void cure(std::size_t row);
    void scroll(int rows);
    QString title(const play::Finding& finding) const; // "3 First tide"
    CueModel& model_;
    std::size_t cursor_ = 0;
    int first_ = 0; // row at the top
};

} // namespace zelo::desk
