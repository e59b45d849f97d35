// SPDX-License-Identifier: GPL-3.0-or-later
// The Rig view: the plan of the stage above, the slots of a universe and the patch table below.
#pragma once

#include "desk/rig/patch_model.h"
#include "desk/rig/plan.h"
#include "desk/rig/universe_strip.h"

class QSortFilterProxyModel;
class QTableView;
class QLineEdit;

namespace zelo::desk {

class Button;
class TypeEditor;

class RigView : public QWidget {
    Q_OBJECT
public:
    RigView(Document& document, QWidget* parent);
    Plan& plan() { return *plan_; }
    PatchModel& patch() { return *patch_; }
    UniverseStrip& strip() { return *strip_; }
    QTableView& table() { return *table_; }
    TypeEditor& typeEditor() { return *type_editor_; }

    void askAdd(); // a form for new lamps
    void removeChosen();
    void copyPatch(); // chosen rows as text for a spreadsheet; all when none
    void pastePatch();
    // What the form ends in: one step, the new lamps chosen.
    void add(const show::AddWish& wish, const std::string& group = {}); // a group of them, too

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void showEvent(QShowEvent* event) override;
    bool event(QEvent* event) override; // another theme

private:
    void place();
    void makeTable();
    void openLayers();
    void style(); // in the theme's greys
    void lineupToTable();
    void tableToLineup();
    std::vector<show::FixtureId> chosenInTable() const;

    Document& document_;
    PatchModel* patch_;
    QSortFilterProxyModel* sorted_;
    Plan* plan_;
    UniverseStrip* strip_;
    QTableView* table_;
    QLineEdit* filter_;
    Button* beams_;
    Button* fit_;
    Button* add_;
    Button* resolve_;
    Button* layers_;
    Button* arrange_;
    TypeEditor* type_editor_;
    bool following_ = false; // the table follows the lineup: not the other way round
};

} // namespace zelo::desk
