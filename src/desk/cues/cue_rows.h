// SPDX-License-Identifier: GPL-3.0-or-later
// The rows of a cue list as a table: what stands in each cell, and what typing into one changes.
#pragma once

#include "desk/cues/cue_model.h"
#include "desk/cues/cue_text.h"

#include <QAbstractTableModel>

namespace zelo::desk {

class CueRows : public QAbstractTableModel {
    Q_OBJECT
public:
    CueRows(CueModel& model, QObject* parent);
    void refresh(); // the list changed
    std::optional<show::CueNumber> numberAt(int row) const;
    int rowOf(show::CueNumber number) const;  // -1 when it is not there
    std::function<show::CueNumbers()> chosen; // rows that an edit is for; set by the table

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    Qt::ItemFlags flags(const QModelIndex& index) const override;
    bool setData(const QModelIndex& index, const QVariant& value, int role) override;

signals:
    void renumbered(show::CueNumber now);

private:
    CueModel& model_;
    std::shared_ptr<const show::CueList> list_;
};

} // namespace zelo::desk
