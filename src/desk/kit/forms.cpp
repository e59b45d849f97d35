// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/forms.h"

#include "desk/kit/theme.h"

#include <QHeaderView>
#include <QTableWidget>

namespace zelo::desk {

QString scrollBarStyle() {
    return QStringLiteral(
        "QScrollBar:vertical{background:transparent;width:8px;margin:0}"
        "QScrollBar:horizontal{background:transparent;height:8px;margin:0}"
        "QScrollBar::handle:horizontal{background:palette(midlight);min-width:24px}"
        "QScrollBar::handle:vertical{background:palette(midlight);min-height:24px}"
        "QScrollBar::add-line,QScrollBar::sub-line{height:0;width:0}"
        "QScrollBar::add-page,QScrollBar::sub-page{background:none}");
}

void styleList(QAbstractItemView& list) {
    list.setFrameShape(QFrame::NoFrame);
    list.setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list.setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list.setFont(typeface(Type::Work));
    list.setStyleSheet(
        QStringLiteral("QAbstractItemView{background:transparent;color:palette(text);"
                       "border:0;outline:0}"
                       "QAbstractItemView::item{padding:3px 4px;border:0}"
                       "QAbstractItemView::item:selected{background:palette(light);"
                       "color:palette(bright-text)}"
                       "QHeaderView,QHeaderView::section{background:transparent;"
                       "color:palette(placeholder-text);border:0;padding:0 4px}"
                       "QLineEdit{border:0;padding:0 2px}") +
        scrollBarStyle());
}

void styleTable(QTableWidget& table) {
    table.setShowGrid(false);
    table.verticalHeader()->hide();
    table.verticalHeader()->setMinimumSectionSize(24);
    table.verticalHeader()->setDefaultSectionSize(24);
    table.horizontalHeader()->setHighlightSections(false);
    table.horizontalHeader()->setFont(typeface(Type::Small));
    table.horizontalHeader()->setMinimumSectionSize(16);
    table.horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table.setSelectionMode(QAbstractItemView::SingleSelection);
    table.setTabKeyNavigation(false);
    styleList(table);
}

} // namespace zelo::desk
