// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/figures.h"

#include "play/stage_picture.h"
#include "show/kept.h"

#include <QCoreApplication>

#include <cmath>

namespace zelo::desk {

namespace {
struct Words {
    Q_DECLARE_TR_FUNCTIONS(Figures)
};
} // namespace

void moveFigure(Document& document, std::size_t figure, const show::Point& to, int gesture) {
    const auto& show = document.show();
    show::StagePlan plan = show.stage ? *show.stage : show::StagePlan{};
    plan.figures = play::figuresOf(show);
    if (figure >= plan.figures.size())
        return;
    plan.figures[figure] = {std::round(to.x_m * 100) / 100, std::round(to.y_m * 100) / 100};
    document.edit(Words::tr("Move a figure"), show::changeStage(document.state().show, plan),
                  "figure " + std::to_string(gesture));
}

} // namespace zelo::desk
