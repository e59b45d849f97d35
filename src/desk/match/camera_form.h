// SPDX-License-Identifier: GPL-3.0-or-later
// A camera's data: where they come from, its three sensitivities drawn, its name and balance. What
// is wrong with a file is told where its curves would stand. Not modal.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>

class QLineEdit;

namespace zelo::desk {

class Button;
class NumberField;

class CameraForm : public QWidget {
    Q_OBJECT
public:
    CameraForm(Document& document, QWidget* window);
    void choose();                             // empty: a file is to be chosen
    void open(const show::FilmCamera& camera); // one of the show
    void read(const QString& path);            // in the background
    void keep();                               // adds it to the show, or changes it there
    QString trouble() const { return trouble_; }
    const std::optional<show::FilmCamera>& camera() const { return camera_; }
    QRect plot() const; // where the curves stand

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void take(const Result<show::FilmCamera>& read);
    void refresh();
    void paintCurves(QPainter& p) const;
    Document& document_;
    QLineEdit* name_;
    NumberField* balance_;
    Button* file_;
    Button* keep_;
    std::optional<show::FilmCamera> camera_; // that was read, or is looked at
    std::string known_as_;                   // in the show, before; empty: it is new
    QString trouble_, source_;
};

} // namespace zelo::desk
