// SPDX-License-Identifier: GPL-3.0-or-later
// Keep as a cue: what the lineup shows, or what was changed, under the next number or one that is
// typed. Closes by itself; not modal.
#pragma once

#include "desk/cues/cue_model.h"

#include <QWidget>

class QLineEdit;

namespace zelo::desk {

class Button;
class Stations;

class CueForm : public QWidget {
    Q_OBJECT
public:
    // `after`: the cue that the new one comes after; none: the last.
    CueForm(CueModel& model, std::optional<show::CueNumber> after, QWidget* window);

    QLineEdit& number() { return *number_; }
    QLineEdit& name() { return *name_; }
    Stations& what() { return *what_; }
    Stations& says() { return *says_; }
    Stations& as() { return *as_; }
    QLineEdit& emitters() { return *emitters_; }
    void keep(); // closes when it went well, else says why not; over a cue it asks once

signals:
    void kept(show::CueNumber number);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    QString explanation() const;
    show::Lineup lamps() const;
    QStringList emitterNames() const;
    QString strangeEmitter() const;
    void chosen();
    void keepLook();
    show::Values shown(const show::Lineup& lineup) const;             // what is kept of it
    bool did(const QString& name, const Result<show::ShowPtr>& next); // false: why is told
    CueModel& model_;
    QLineEdit* number_;
    QLineEdit* name_;
    Stations* what_;
    Stations* says_;
    Stations* as_;
    QLineEdit* emitters_; // names, where these alone are kept
    Button* keep_;
    QString trouble_;
    std::optional<show::CueNumber> at_;    // the cue with the keyboard
    std::optional<show::CueNumber> asked_; // over this cue: pressed once
};

} // namespace zelo::desk
