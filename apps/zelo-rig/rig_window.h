// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig's window: each lamp as a pool of its light, by number.
#pragma once

#include "desk/kit/light_colours.h"
#include "rig_loop.h"

#include <QWidget>

namespace zelo::rig {

class RigWindow : public QWidget {
    Q_OBJECT
public:
    explicit RigWindow(const RigLoop& loop);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const RigLoop& loop_;
    desk::LightColours colours_;
};

} // namespace zelo::rig
