// SPDX-License-Identifier: GPL-3.0-or-later
// The Gradient view's bench: the way from the chosen stop on, how the gradient is laid over the
// lineup and what becomes of intensity; or, while there is none, how to begin one.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/laid_controls.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class NumberField;
class Stations;

class GradientView : public QWidget {
    Q_OBJECT
public:
    GradientView(Document& document, GradientModel& model, QWidget* parent);
    int heightAt(int width) const; // of all it says; another one: heightChanged()

    Stations& kind() { return *kind_; }
    Stations& side() { return *side_; }
    Stations& along() { return laid_->along(); }
    Stations& even() { return *even_; }
    Stations& bright() { return *bright_; }
    Stations& reach() { return *reach_; }
    Stations& mixes() { return *mixes_; }
    NumberField& floorField() { return *floor_; }
    NumberField& blocks() { return laid_->blocks(); }
    NumberField& repeats() { return laid_->repeats(); }
    NumberField& offset() { return laid_->offset(); }
    Button& order() { return laid_->order(); }
    Button& mirrored() { return laid_->mirrored(); }
    Button& begin() { return *begin_; }

signals:
    void heightChanged();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void dragEnterEvent(QDragEnterEvent* event) override; // colours for the two ends
    void dropEvent(QDropEvent* event) override;

private:
    void place();
    struct Cell { // a control with its label
        QString label;
        QWidget* control;
        int wide;
        bool there;
        int row = 0;
    };
    std::vector<Cell> cells() const;
    LaidOver laidOver(const show::Gradient& gradient) const;
    struct Placed {
        Cell cell;
        QRect place; // of the control; its label stands above
    };
    std::vector<Placed> placed(int width) const;
    void makeWay();
    void makeRest();
    void refresh();
    void openHues();
    void layKept(show::PaletteId id);

    Document& document_;
    GradientModel& model_;
    Stations* kind_;
    Stations* side_;
    NumberField* floor_;
    Button* hue_;
    NumberField* share_; // of Jump and Dark
    LaidControls* laid_ = nullptr;
    Stations* even_;
    Stations* bright_;
    Stations* reach_;
    Stations* mixes_;
    Button* begin_;
    Button* over_;                                          // lays it over the lineup
    Button* lamps_;                                         // takes its lamps
    std::vector<std::pair<show::PaletteId, Button*>> kept_; // gradients to lay, while there is none
    int told_height_ = 0;
};

} // namespace zelo::desk
