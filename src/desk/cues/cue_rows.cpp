// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_rows.h"

#include "desk/kit/qt_text.h"

#include <algorithm>

#include <QRegularExpression>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;
using show::CueNumbers;

CueRows::CueRows(CueModel& model, QObject* parent) : QAbstractTableModel(parent), model_(model) {
    refresh();
}

void CueRows::refresh() {
    const auto now = model_.document().show().cue_lists.item(model_.listId());
    const bool same_rows =
        now && list_ && now->cues.size() == list_->cues.size() && now->id == list_->id;
    if (same_rows) {
        list_ = now;
        if (rowCount() > 0)
            emit dataChanged(index(0, 0), index(rowCount() - 1, kCueCells - 1));
        return;
    }
    beginResetModel();
    list_ = now;
    endResetModel();
}

std::optional<CueNumber> CueRows::numberAt(int row) const {
    if (!list_ || row < 0 || static_cast<std::size_t>(row) >= list_->cues.size())
        return std::nullopt;
    return list_->cues.entry(static_cast<std::size_t>(row)).first;
}

int CueRows::rowOf(CueNumber number) const {
    int low = 0;
    for (int high = rowCount(); low < high;) {
        const int middle = (low + high) / 2;
        const auto at = *numberAt(middle);
        if (at == number)
            return middle;
        if (at < number)
            low = middle + 1;
        else
            high = middle;
    }
    return -1;
}

int CueRows::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || !list_ ? 0 : static_cast<int>(list_->cues.size());
}

int CueRows::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : kCueCells;
}

QVariant CueRows::data(const QModelIndex& index, int role) const {
    const auto number = numberAt(index.row());
    if (!number)
        return {};
    const Cue& cue = *list_->cues.entry(static_cast<std::size_t>(index.row())).second;
    const CueCell cell = cueCellAt(index.column());
    const auto findings =
        cell == CueCell::Fault ? model_.findings(*number) : std::vector<const play::Finding*>{};
    const auto faults = [&] {
        QStringList all;
        for (const auto* finding : findings)
            all << model_.words(*finding);
        return all.join(QLatin1Char('\n'));
    };
    if (cell == CueCell::Number && role != Qt::EditRole && role != Qt::ToolTipRole)
        return role == Qt::DisplayRole || role == Qt::AccessibleTextRole
                   ? QVariant(cueNumberText(cue))
                   : QVariant();
    switch (role) {
    case Qt::DisplayRole:
    case Qt::EditRole:
        return cellText(cue, cell, [this](show::RouteId id) { return model_.routeName(id); });
    case Qt::AccessibleTextRole:
        return cell == CueCell::Fault ? faults()
               : cell == CueCell::Name && !cue.ripples.empty()
                   ? tr("%1, %2").arg(toQt(cue.name), model_.rippleWords(cue))
                   : cellText(cue, cell, [this](show::RouteId id) { return model_.routeName(id); });
    case Qt::ToolTipRole:
        if (cell == CueCell::Fault && !findings.empty())
            return faults();
        return QStringList{model_.rippleWords(cue), toQt(cue.note)}
            .filter(QRegularExpression(QStringLiteral(".")))
            .join(QLatin1Char('\n'));
    default:
        return {};
    }
}

QVariant CueRows::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    const CueCell cell = cueCellAt(section);
    if (role == Qt::TextAlignmentRole)
        return static_cast<int>(
            (cell == CueCell::Number || isCueTime(cell) ? Qt::AlignRight : Qt::AlignLeft) |
            Qt::AlignVCenter);
    if (role == Qt::ToolTipRole)
        switch (cell) {
        case CueCell::Up:
            return tr("Time of lamps that get brighter, s");
        case CueCell::Down:
            return tr("Time of lamps that get darker, s");
        case CueCell::Delay:
            return tr("Before the fade begins, s; 0.5/1 for up and down");
        case CueCell::Colour:
            return tr("Time of colours, s, where it is not that of the lamp's intensity; 6+1 with "
                      "a delay");
        case CueCell::Follow:
            return tr("The next cue follows so long after this one's start, when it is done, or "
                      "at a time of day: 4, done, at 19:30");
        case CueCell::Route:
            return tr("The way that colours take");
        case CueCell::Fault:
            return tr("The fade check: a colour nobody asked for");
        default:
            return {};
        }
    if (role != Qt::DisplayRole)
        return {};
    const QStringList names{tr("cue"),   tr("name"),   tr("looks"),  tr("up"),    tr("down"),
                            tr("delay"), tr("colour"), tr("follow"), tr("route"), QString()};
    return names[section];
}

Qt::ItemFlags CueRows::flags(const QModelIndex& index) const {
    const CueCell cell = cueCellAt(index.column());
    const bool fixed = cell == CueCell::Looks || cell == CueCell::Fault;
    return Qt::ItemIsEnabled | Qt::ItemIsSelectable |
           (fixed ? Qt::NoItemFlags : Qt::ItemIsEditable);
}

bool CueRows::setData(const QModelIndex& index, const QVariant& value, int role) {
    const auto number = numberAt(index.row());
    const CueCell cell = cueCellAt(index.column());
    if (role != Qt::EditRole || !number)
        return false;
    const QString text = value.toString();
    if (text == index.data().toString())
        return false;
    CueNumbers numbers = chosen ? chosen() : CueNumbers{*number};
    if (std::find(numbers.begin(), numbers.end(), *number) == numbers.end())
        numbers = {*number};
    const QString name = headerData(index.column(), Qt::Horizontal, Qt::DisplayRole).toString();
    if (cell == CueCell::Number) {
        const auto typed = show::parseCueNumber(fromQt(text.trimmed()));
        if (!typed)
            return model_.document().tell(said(typed.error())), false;
        if (!model_.renumber(numbers, *typed))
            return false;
        emit renumbered(*typed);
        return true;
    }
    const auto change = changeFrom(cell, text);
    if (!change) {
        model_.document().tell(tr("“%1”: expected %2").arg(text, expectedIn(cell)));
        return false;
    }
    return model_.change(numbers, name, *change);
}

} // namespace zelo::desk
