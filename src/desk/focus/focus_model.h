// SPDX-License-Identifier: GPL-3.0-or-later
// What the lineup is about, for every view: its fixture types, the one in focus, the colour wanted
// of them and what each shows. Edits of what is wanted go through here to the hand; the answer
// comes back with the next light.
#pragma once

#include "desk/kit/document.h"
#include "mix/camera_miss.h"

#include <optional>
#include <set>
#include <vector>

namespace zelo::desk {

// One fixture type of the lineup.
struct TypeRow {
    Document::TypeKey key;
    QString name;
    std::vector<show::FixtureId> fixtures; // in lineup order
    play::StageLamp lamp;                  // of the first one; `sent` as it is judged
    double miss_uv = 0;                    // as sent, from the colour wanted
    QString words;                         // "no difference to see", "close, a little pink"
    double candela = 0;                    // at full, of one fixture
    bool out_of_reach = false;
    std::optional<double> level = {}; // judged at this one, which changes its colour; else at full
    double rf = NAN;                  // of its light; NaN until computed, or where it means nothing
    // Of the camera that is looked through, else of those that the show minds; as sent.
    std::vector<mix::CameraMiss> cameras = {};
    bool exact_for_camera = false; // the first that the show minds, and the eye comes after
    const mix::CameraMiss* worstCamera() const; // null: none that sees it
};

class FocusModel : public QObject {
    Q_OBJECT
public:
    FocusModel(Document& document, QObject* parent);

    const std::vector<TypeRow>& rows() const { return rows_; }
    const TypeRow* focus() const; // null when the lineup is empty or has no known type
    std::size_t focusIndex() const { return focus_; }
    QString lampsText() const; // "Gannet 8, lamps 7–12"

    std::optional<show::ColourWish> wish() const; // of the focus, else of the lineup's first
    const light::Wanted* wanted() const;          // null when no colour is asked for
    // Changes what is asked of the lineup, or of the lamps of the focus. `from_nothing`: also of
    // lamps of which no colour was asked yet. One step with others of the same `gesture`.
    void editWishes(const QString& name, bool whole_lineup, int gesture,
                    const std::function<void(show::ColourWish&)>& change,
                    bool from_nothing = false);
    void askRendering(); // R_f of each row, in the background

signals:
    void rowsChanged();       // new light, lineup or focus
    void renderingComputed(); // the rows' R_f

private:
    bool mixedAnew(const show::LayingPtr& laying, show::FixtureId id,
                   const std::function<void(show::ColourWish&)>& change, show::HandPtr& hand,
                   std::set<show::LayingPtr>& done);
    void rebuild();
    void askCameras(); // of each row

    Document& document_;
    std::vector<TypeRow> rows_;
    std::size_t focus_ = 0;
    std::map<std::pair<std::string, std::string>, double> rf_; // by type and mode, as last computed
};

} // namespace zelo::desk
