// SPDX-License-Identifier: GPL-3.0-or-later
// Keep as…: what is in hand goes onto the stage for good, or what the lineup shows becomes a
// palette, a look or a group under a name. Closes by itself; not modal.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>

class QLineEdit;

namespace zelo::desk {

class Button;
class Stations;

class KeepForm : public QWidget {
    Q_OBJECT
public:
    enum As { Stage, Colour, Intensity, Both, Look, Group, Gradient };
    KeepForm(Document& document, As as, QWidget* window);

    QLineEdit& name() { return *name_; }
    Stations& choice() { return *choice_; }
    void keep(); // closes when it went well, else says why not

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void chosen();
    QString explanation() const;
    Result<show::State> kept(const std::string& name) const;
    Document& document_;
    QLineEdit* name_;
    Stations* choice_;
    Button* keep_;
    QString trouble_;
};

// Groups by key: the first ten by figure. A group goes into the lineup; Shift adds it.
void openGroups(Document& document, QWidget* window);

} // namespace zelo::desk
