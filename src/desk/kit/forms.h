// SPDX-License-Identifier: GPL-3.0-or-later
// The look of Qt's own form controls where we use them: tables, lists, fields in our greys.
#pragma once

class QTableWidget;
class QAbstractItemView;
class QString;

namespace zelo::desk {

void styleTable(QTableWidget& table); // thin rows, headings small and dim, no grid
void styleList(QAbstractItemView& list);
QString scrollBarStyle();

} // namespace zelo::desk
