// SPDX-License-Identifier: GPL-3.0-or-later
// Beside the crossfade: its ways on the map, figures of both, what goes wrong at dark ends and how
// to mend it, the steps a console needs, and the keys to play it.
#pragma once

#include "desk/crossfade/crossfade_model.h"
#include "desk/kit/accessible.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class CrossfadeMap;
class FadePlayer;
class FadePlot;
class NumberField;
class Stations;

class CrossfadeSide : public QWidget, public HasParts {
    Q_OBJECT
public:
    CrossfadeSide(CrossfadeModel& model, FadePlayer& player, FadePlot& plot, QWidget* parent);
    std::vector<PaintedPart> parts() override; // figures, steps

    CrossfadeMap& map() { return *map_; }
    NumberField& white() { return *white_; }
    NumberField& tolerance() { return *tolerance_; }
    Button& play() { return *play_; }
    Button& keep() { return *keep_; }
    Button& loop() { return *loop_; }
    Button& console() { return *console_; }
    Button& save() { return *save_; }
    Stations& slower() { return *slower_; }
    Stations& shows() { return *shows_; }
    Stations& where() { return *where_; }
    const std::vector<Button*>& cures() const { return cures_; }
    void saveSteps(const QString& path); // .asc or .csv, in the background

signals:
    void keepWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    bool event(QEvent* event) override;

private:
    struct Row {
        QString name, would, planned;
        bool head = false;
    };
    std::vector<Row> rows() const;
    struct Step {
        QColor light;
        QString number, time, hue;
        QString values; // of its channels
    };
    std::vector<Step> steps() const;
    QString fault() const; // what goes wrong, in a sentence; empty: nothing
    void refresh();
    void place();
    CrossfadeModel& model_;
    FadePlayer& player_;
    FadePlot& plot_;
    CrossfadeMap* map_;
    NumberField* white_;
    NumberField* tolerance_;
    Button* console_;
    Button* save_;
    Stations* shows_;
    Stations* where_;
    Stations* slower_;
    Button* loop_;
    Button* play_;
    Button* keep_;
    std::vector<Button*> cures_;
    int rows_ = 0, fault_ = 0, steps_ = 0; // baselines
    std::size_t shown_rows_ = 0, shown_steps_ = 0;
};

} // namespace zelo::desk
