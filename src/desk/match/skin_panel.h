// SPDX-License-Identifier: GPL-3.0-or-later
// On skin and cloth: each sample as a disc, the left half under the light wanted, the right half
// under what the type in focus makes of it, with the difference.
#pragma once

#include "colour/seen.h"
#include "desk/focus/focus_model.h"
#include "desk/kit/accessible.h"

#include <QWidget>

namespace zelo::desk {

class SkinPanel : public QWidget, public HasParts {
    Q_OBJECT
public:
    SkinPanel(Document& document, FocusModel& focus, QWidget* parent);
    const std::vector<colour::SurfaceSeen>& seen() const { return seen_; }
    std::vector<PaintedPart> parts() override; // the samples
    double worst() const; // largest difference on skin; NaN when nothing is seen
    // Of all samples the one that differs most; nothing when nothing is seen.
    std::optional<std::size_t> worstSample() const;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void ask();
    QRectF discOf(std::size_t sample) const;
    Document& document_;
    FocusModel& focus_;
    std::vector<colour::SurfaceSeen> seen_;
};

} // namespace zelo::desk
