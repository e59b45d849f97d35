// SPDX-License-Identifier: GPL-3.0-or-later
// The reach map of Readings: what the type in focus can make, the wanted colour, what it got, the
// other types, and a loupe on the place. A press, a drag and the arrow keys ask for a colour.
#pragma once

#include "desk/focus/asking.h"
#include "desk/kit/accessible.h"
#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"
#include "desk/kit/reach_picture.h"

#include <QWidget>

namespace zelo::desk {

class ReachMap : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    ReachMap(Document& document, FocusModel& focus, Asking& asking, QWidget* parent);
    const ReachPicture& picture() const { return picture_; }
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override; // wanted, and what each type shows

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    std::optional<colour::Uv> shown(std::size_t row) const; // nothing while it is dark
    Gesture gesture_;
    Document& document_;
    FocusModel& focus_;
    Asking& asking_;
    ReachPicture picture_;
};

} // namespace zelo::desk
