// SPDX-License-Identifier: GPL-3.0-or-later
// The numbers of a ripple: its chosen step, its times, how it is laid over the lineup, the way
// between its steps.
#pragma once

#include "desk/kit/laid_controls.h"
#include "desk/ripple/ripple_model.h"

namespace zelo::desk {

class Button;
class NumberField;
class Stations;

class RippleForm : public QWidget {
    Q_OBJECT
public:
    RippleForm(RippleModel& model, QWidget* parent);
    int heightAt(int width) const;

    NumberField& field(const QString& label); // by what stands before it; requires it
    LaidControls& laid() { return *laid_; }
    Stations& atEnd() { return *end_; }
    Stations& chance() { return *chance_; }
    Stations& way() { return *way_; }
    Button& route() { return *route_; }
    Button& tap() { return *tap_; }
    Button& overBelow() { return *below_; }
    Button& intensities() { return *intensities_; }
    Button& allRound() { return *all_round_; }
    Button& asBright() { return *as_bright_; }
    Button& letsGo() { return *lets_go_; }

signals:
    void heightChanged();

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    struct Row {
        QString label;    // dim, before the control; of a heading: its words
        QWidget* control; // null: a heading
        std::function<bool(const show::Ripple&)> there;
        std::function<double(const show::Ripple&)> value = {}; // of a number
        bool own_line = false; // the control stands under its label, or alone
    };
    using Get = std::function<double(const show::Ripple&)>;
    using Set = std::function<void(show::Ripple&, double)>;
    void heading(const QString& words);
    NumberField* number(const QString& label, const QString& tip, double least, double most,
                        double step, int decimals, const QString& unit, Get get, Set set,
                        std::function<bool(const show::Ripple&)> there = {},
                        std::optional<double> reset = {});
    void control(const QString& label, QWidget* control,
                 std::function<bool(const show::Ripple&)> there = {}, bool own_line = true);
    void makeStep();
    void makeTimes();
    void makeLaid();
    void makeWay();
    void openRoutes();
    void refresh();
    void place();
    struct Placed {
        const Row* row;
        int baseline;
    };
    bool beside(const Row& row) const;
    std::vector<Placed> placed() const; // rows that are there, with the laid controls among them
    RippleModel& model_;
    std::vector<Row> rows_;
    LaidControls* laid_ = nullptr;
    Stations* end_ = nullptr;
    Stations* chance_ = nullptr;
    Stations* way_ = nullptr;
    Button* route_ = nullptr;
    Button* tap_ = nullptr;
    Button* below_ = nullptr;
    Button* lets_go_ = nullptr;
    Button* all_round_ = nullptr;
    Button* intensities_ = nullptr;
    Button* as_bright_ = nullptr;
    std::vector<Row> laid_rows_; // of laid_, made anew as they come and go
    int told_height_ = 0;
};

} // namespace zelo::desk
