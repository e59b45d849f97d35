// SPDX-License-Identifier: GPL-3.0-or-later
// Beside the raster: the numbers of the ripple, what cannot be had, and how it is played.
#pragma once

#include "desk/ripple/ripple_model.h"

class QScrollArea;

namespace zelo::desk {

class Button;
class RippleForm;
class Stations;

class RippleSide : public QWidget {
    Q_OBJECT
public:
    RippleSide(RippleModel& model, QWidget* parent);
    RippleForm& form() { return *form_; }
    Stations& where() { return *where_; }
    Button& playButton() { return *play_; }
    Button& freezeButton() { return *freeze_; }
    Button& keep() { return *keep_; }
    const QString& trouble() const { return trouble_; }

signals:
    void keepWanted(); // what the lamps show, as a look or a gradient

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    void refresh();
    void place();
    int foot() const; // its height
    RippleModel& model_;
    QScrollArea* scroll_;
    RippleForm* form_;
    Stations* where_;
    Button* play_;
    Button* freeze_;
    Button* keep_;
    QString trouble_;
};

} // namespace zelo::desk
