// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/rig_side.h"

#include "desk/kit/stations.h"
#include "desk/kit/theme.h"
#include "desk/rig/check_panel.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/output_panel.h"
#include "desk/rig/types_panel.h"

#include <QPainter>

namespace zelo::desk {

RigSide::RigSide(Document& document, QWidget* parent)
    : QWidget(parent),
      choice_(new Stations(tr("Right side of Rig"), tr("What stands on the right"),
                           {tr("Find"), tr("Types"), tr("Output"), tr("Check")}, {}, true, this)),
      pages_(new QStackedWidget(this)), find_(new FindPanel(document, pages_)),
      types_(new TypesPanel(document, pages_)), output_(new OutputPanel(document, pages_)),
      check_(new CheckPanel(document, pages_)) {
    setAccessibleName(tr("Tools of the rig"));
    for (QWidget* page : {static_cast<QWidget*>(find_), static_cast<QWidget*>(types_),
                          static_cast<QWidget*>(output_), static_cast<QWidget*>(check_)})
        pages_->addWidget(page);
    connect(choice_, &Stations::stationChosen, this, &RigSide::showPage);
}

void RigSide::showPage(int page) {
    choice_->setChosen(page);
    pages_->setCurrentIndex(page);
}

void RigSide::resizeEvent(QResizeEvent*) {
    choice_->setGeometry(20, 8, width() - 40, 34);
    pages_->setGeometry(0, 44, width(), height() - 44);
}

void RigSide::paintEvent(QPaintEvent*) {
    QPainter(this).fillRect(rect(), theme().side);
}

} // namespace zelo::desk
