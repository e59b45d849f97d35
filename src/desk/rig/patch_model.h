// SPDX-License-Identifier: GPL-3.0-or-later
// The patch as a table: a row for each fixture, edited in place. An edit of a cell is an edit of
// all chosen rows: mode, universe and note become the same, numbers and addresses go on from it.
#pragma once

#include "desk/kit/document.h"
#include "show/patch.h"

#include <QAbstractTableModel>

namespace zelo::desk {

class PatchModel : public QAbstractTableModel {
    Q_OBJECT
public:
    enum Column { Number, Label, Type, Mode, Universe, Address, Height, Group, Note, kColumns };

    PatchModel(Document& document, QObject* parent);

    show::FixtureId idAt(int row) const { return ids_[static_cast<std::size_t>(row)]; }
    int rowOf(show::FixtureId id) const; // -1 when it is not there
    const show::PatchFaults& faults() const { return faults_; }
    QString faultText(show::FixtureId id) const; // "overlaps 21 by 4 slots"; empty when none
    show::SlotsOf slotsOf() const;

    void refresh(); // the rig or its types changed

    // Rows that an edit is for; set by the table.
    std::function<std::vector<show::FixtureId>()> chosen;

    // The lamps of the lineup become house light, which solo, Dark and the master leave alone; when
    // all are, they are stage light again.
    void toggleHouse();

    // Moves every fixture that clashes or runs past the end to the next free place. One step.
    void resolveFaults();

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    Qt::ItemFlags flags(const QModelIndex& index) const override;
    bool setData(const QModelIndex& index, const QVariant& value, int role) override;

private:
    QString groupOf(show::FixtureId id) const;
    Result<show::ShowPtr> edited(int column, const QString& text,
                                 const std::vector<show::FixtureId>& ids) const;

    Document& document_;
    std::vector<show::FixtureId> ids_;
    show::PatchFaults faults_;
    show::ShowPtr seen_;
};

} // namespace zelo::desk
