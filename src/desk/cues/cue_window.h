// SPDX-License-Identifier: GPL-3.0-or-later
// The cue list large, in a window of its own: where it stands, what comes next, how long it still
// takes. To be read from across the room; nothing is changed here.
#pragma once

#include "desk/cues/cue_model.h"
#include "desk/kit/accessible.h"
#include "desk/kit/own_window.h"

namespace zelo::desk {

class CueWindow : public OwnWindow, public HasParts {
    Q_OBJECT
public:
    CueWindow(CueModel& model, QWidget* owner);
    std::vector<PaintedPart> parts() override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    struct Line {
        show::CueNumber number;
        QString name, note;
        bool stands = false, next = false;
    };
    std::vector<Line> lines() const; // as many as there is room for, from the one that stands on
    int unit() const;                // px: of a line of the smaller ones
    QRect lineRect(std::size_t line) const;
    CueModel& model_;
};

} // namespace zelo::desk
