// SPDX-License-Identifier: GPL-3.0-or-later
// How the cells of a cue list are drawn, and what one types into.
#pragma once

#include "desk/cues/cue_table.h"

#include <QStyledItemDelegate>

namespace zelo::desk {

inline constexpr int kCueRow = 32;                               // px high
inline constexpr int kCuePointer = 28;                           // room for it before the numbers
inline constexpr int kLampWide = 5, kLampGap = 1, kBlockGap = 4; // of the small lamps

class CueDelegate : public QStyledItemDelegate {
public:
    CueDelegate(CueModel& model, CueTable& table);
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    QWidget* createEditor(QWidget* parent, const QStyleOptionViewItem& option,
                          const QModelIndex& index) const override;
    void updateEditorGeometry(QWidget* editor, const QStyleOptionViewItem& option,
                              const QModelIndex& index) const override;

private:
    void paintLamps(QPainter& p, const QRect& r, show::CueNumber number) const;
    CueModel& model_;
    CueTable& table_;
};

} // namespace zelo::desk
