// SPDX-License-Identifier: GPL-3.0-or-later
// The cue list: a row a cue, edited in place. An edit of a cell is an edit of all chosen rows.
#pragma once

#include "desk/cues/cue_rows.h"

#include <QTableView>
#include <array>

class QMenu;

namespace zelo::desk {

class CueTable : public QTableView {
    Q_OBJECT
public:
    CueTable(CueModel& model, QWidget* parent);
    CueRows& rows() { return *rows_; }
    show::CueNumbers chosen() const; // in their order; the one with the keyboard at least
    std::optional<show::CueNumber> cursor() const;
    void choose(const show::CueNumbers& numbers);
    void copy();
    void paste();
    void openRoutes();  // what the chosen cues may take
    void swapVersion(); // of the cue with the keyboard: the next one plays
    void tellOrigin();  // where the first lamp of the lineup has it from, in that cue
    bool find(const QString& text, bool next); // the first that has it, or the one after
    QString runText() const;                   // "up 5.0 of 8.0 s", of the cue that runs

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void addOrigin(QMenu& menu, show::CueNumber at);
    void addVersions(QMenu& menu, show::CueNumber at);
    void addRipples(QMenu& menu, show::CueNumber at, const show::CueNumbers& numbers);
    void refresh();
    void stand(); // the cue that it stands in changed, or how far it is
    void measure();
    void placeColumns();
    void showStanding(); // scrolled to
    void style();
    CueModel& model_;
    CueRows* rows_;
    std::optional<show::CueNumber> stands_;
    std::array<int, 2> wide_{};     // delay, colour: what cells of two times need
    std::vector<show::Cue> copied_; // with what they say
    QString copied_text_;
};

} // namespace zelo::desk
