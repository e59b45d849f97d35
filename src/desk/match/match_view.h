// SPDX-License-Identifier: GPL-3.0-or-later
// The Match view: the colour wanted at the left, the split disc in the middle, what each type gets
// at the right, and how the type in focus mixes it below.
#pragma once

#include "desk/focus/asking.h"
#include "desk/match/mix_model.h"

#include <QAbstractButton>
#include <QWidget>

class QScrollArea;

namespace zelo::desk {

class AskedAs;
class Button;
class CalibrationView;
class FullReadings;
class MixPanel;
class NumberField;
class SkinPanel;
class SpectrumPlot;

class Stations;

// One row of Get; pressing it brings its type into focus.
class TypeButton : public QAbstractButton {
    Q_OBJECT
public:
    explicit TypeButton(QWidget* parent);
    void show(const TypeRow& row, bool in_focus);
    int line() const { return in_focus_ ? 30 : 20; } // y of its rule
    int heightAt(int width) const;                   // of all it says

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    QString candela() const;
    // The words stand beside the candela when there is room, else on lines of their own.
    bool beside(int width) const;
    int wordsHeight(int width) const;
    QString name_, words_, camera_, camera_miss_;
    double miss_uv_ = 0, candela_ = 0, rf_ = 0;
    bool in_focus_ = false, judged_ = false;
};

class MatchView : public QWidget {
    Q_OBJECT
public:
    MatchView(Document& document, FocusModel& focus, Asking& asking, QWidget* parent);
    MixModel& mixing() { return *mixing_; }
    MixPanel& mix() { return *mix_; }
    SkinPanel& skin() { return *skin_; }
    AskedAs& askedAs() { return *asked_as_; }
    FullReadings& fullReadings() { return *full_; }
    CalibrationView& calibration() { return *calibration_; }
    // By a camera of the show, the one before where it is still there, or by the eye.
    void lookThrough(bool camera);
    // Where the halves of the disc are, for looking at their pixels.
    QPoint wantedPixel() const;
    QPoint gotPixel() const; // of the type in focus
    const std::vector<TypeButton*>& typeButtons() const { return types_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override; // a colour for the lineup
    void dropEvent(QDropEvent* event) override;

private:
    struct Places {
        QPointF centre;
        double r;
        int lower; // y of the lower row's titles
        int side;  // width of Want and Get
        int below; // width of what stands under them
        int get() const { return static_cast<int>(2 * centre.x()) - kMargin - side; } // its left
    };
    static constexpr int kMargin = 24;
    struct Part { // a slice of the right half
        double top, bottom;
    };
    Places places() const;
    std::vector<Part> parts() const; // one per row of the model
    void refresh();
    void placeRows();
    void placeMix();
    void placeEye();        // who sees it, and what is white for them
    int plotBottom() const; // of the light wanted
    void paintLeaders(QPainter& p) const;
    void paintDisc(QPainter& p);
    void paintWant(QPainter& p);

    Document& document_;
    FocusModel& focus_;
    Asking& asking_;
    MixModel* mixing_;
    MixPanel* mix_;
    NumberField* lamp_;
    NumberField* kelvin_;
    NumberField* tint_;
    NumberField* mired_;
    Button* daylight_;
    SpectrumPlot* through_;
    Stations* seen_by_;
    NumberField* eye_;     // the white of the eye
    Button* camera_;       // that is looked through
    NumberField* balance_; // of it
    std::string last_camera_;
    QScrollArea* mix_room_; // it is scrolled when it does not fit
    QScrollArea* get_;      // the rows of Get, more of them than fit are scrolled
    std::vector<TypeButton*> types_;
    std::pair<int, std::size_t> in_view_{0, 0}; // height, and the focus that was scrolled to
    AskedAs* asked_as_;
    SkinPanel* skin_;
    Button* level_;
    Button* common_;
    FullReadings* full_;
    CalibrationView* calibration_;
};

} // namespace zelo::desk
