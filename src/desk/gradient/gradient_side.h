// SPDX-License-Identifier: GPL-3.0-or-later
// Readings of a gradient: the lamp in focus, wanted beside got; its ways on the map; how well each
// type follows it, and how even it is.
#pragma once

#include "desk/gradient/gradient_model.h"
#include "desk/kit/accessible.h"

#include <QWidget>

namespace zelo::desk {

class Button;
class GradientMap;
class GradientPlan;
class LineupPanel;

class GradientSide : public QWidget, public HasParts {
    Q_OBJECT
public:
    GradientSide(Document& document, GradientModel& model, LineupPanel& lamps, QWidget* parent);
    std::vector<PaintedPart> parts() override; // types, evenness
    GradientMap& map() { return *map_; }
    GradientPlan& plan() { return *plan_; }
    Button& pull() { return *pull_; }
    Button& plain() { return *plain_; }
    Button& fixed() { return *fixed_; }
    Button& keepChanged() { return *keep_changed_; }
    QPoint wantedPixel() const; // where the halves of the disc are
    QPoint gotPixel() const;

signals:
    void keepWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Row {
        QString name, value;
        std::optional<colour::Uv> miss; // of a type: for its mark
        bool head = false;
    };
    std::vector<Row> rows() const;
    void refresh();
    void place();
    int number(show::FixtureId id) const;
    Document& document_;
    GradientModel& model_;
    LineupPanel& lamps_;
    GradientMap* map_;
    GradientPlan* plan_; // while it is laid by place
    Button* pull_;
    Button* plain_;
    Button* fixed_;
    Button* keep_changed_;
    Button* keep_;
    Button* put_down_;
    int first_row_ = 0;       // baseline
    std::size_t shown_ = 0;   // rows
    bool plain_held_ = false; // by the key
};

} // namespace zelo::desk
