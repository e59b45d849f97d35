// SPDX-License-Identifier: GPL-3.0-or-later
// On skin and cloth: each sample as a disc, the left half under the light wanted, the right half
// under what the type in focus makes of it, with the difference.
#pragma once

#include "colour/seen.h"
#include "desk/match/match_model.h"

#include <QWidget>

namespace zelo::desk {

class SkinPanel : public QWidget {
    Q_OBJECT
public:
    SkinPanel(Document& document, MatchModel& match, QWidget* parent);
    const std::vector<colour::SurfaceSeen>& seen() const { return seen_; }
    double worst() const; // largest difference on skin; NaN when nothing is seen

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void ask();
    Document& document_;
    MatchModel& match_;
    std::vector<colour::SurfaceSeen> seen_;
};

} // namespace zelo::desk
