// SPDX-License-Identifier: GPL-3.0-or-later
// Mix: the intent, what it gives up, and one level column per emitter of the type in focus.
#pragma once

#include "desk/match/mix_model.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class LevelColumn;
class SlotStrip;
class NumberField;
class Stations;
class ValueSlider;

class MixPanel : public QWidget {
    Q_OBJECT
public:
    MixPanel(Document& document, FocusModel& focus, MixModel& mix, QWidget* parent);
    const std::vector<LevelColumn*>& columns() const { return columns_; }
    const std::vector<SlotStrip*>& strips() const { return strips_; } // of wheels and scrollers
    int leastHeight() const;   // at its width; with less than that it is scrolled
    void setFamilies(bool on); // a column for warm, green, blue, white and all

signals:
    void columnsMade(); // it may need more room

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override; // on the trade-off curve: that point
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    void place();
    void refresh();
    int belowWells() const; // names and strips
    void makeColumns(const mix::Mixer* mixer);
    QRect curveRect() const;
    int top() const;          // below the title
    int belowIntents() const; // where the rest begins: lower by their second row
    int pitch() const;        // of the columns
    int columnLeft(std::size_t i) const;
    struct Names { // of the emitters, under their columns
        int lines;
        struct Place {
            int left, line, room;
        };
        std::vector<Place> places;
    };
    Names names() const;
    void paintNames(QPainter& p);
    void showSlots(const TypeRow& row, std::size_t strip);

    Document& document_;
    FocusModel& focus_;
    MixModel& mix_;
    Stations* intents_;
    ValueSlider* slider_;
    NumberField* give_up_;
    Button* again_;
    Button* families_;
    Button* cameras_; // that Filmed minds
    Button* hold_;
    std::vector<LevelColumn*> columns_;
    std::vector<SlotStrip*> strips_;
    std::vector<std::size_t> strip_parts_;         // of the type, one for each strip
    std::vector<std::size_t> parts_;               // of the type, one for each column
    std::vector<MixModel::Family> families_shown_; // instead of parts_, one for each column
    std::string columns_of_;
    bool compact_ = false; // no room for the trade-off curve
};

} // namespace zelo::desk
