// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/patch_model.h"

#include "base/text.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/theme.h"
#include "desk/kit/words.h"
#include "show/edits.h"

#include <QRegularExpression>
#include <algorithm>

namespace zelo::desk {

using show::FixtureId;

namespace {
QVariant alignment(int column) {
    const bool figures = column == PatchModel::Number || column == PatchModel::Universe ||
                         column == PatchModel::Address || column == PatchModel::Height;
    return QVariant::fromValue((figures ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
}
} // namespace

PatchModel::PatchModel(Document& document, QObject* parent)
    : QAbstractTableModel(parent), document_(document) {
    refresh();
}

show::SlotsOf PatchModel::slotsOf() const {
    return [this](const show::Fixture& f) {
        const auto type = document_.library().type(f.type);
        const light::Mode* mode = type ? type->mode(f.mode) : nullptr;
        return mode ? mode->footprint : 0;
    };
}

void PatchModel::refresh() {
    const show::ShowPtr& now = document_.state().show;
    if (now == seen_)
        return;
    std::vector<FixtureId> ids;
    for (const auto& [id, f] : now->fixtures)
        ids.push_back(id);
    seen_ = now;
    faults_ = show::patchFaults(*now, slotsOf());
    if (ids == ids_) {
        if (!ids_.empty())
            emit dataChanged(index(0, 0), index(rowCount() - 1, kColumns - 1));
        return;
    }
    beginResetModel();
    ids_ = std::move(ids);
    endResetModel();
}

int PatchModel::rowOf(FixtureId id) const {
    const auto it = std::lower_bound(ids_.begin(), ids_.end(), id);
    return it != ids_.end() && *it == id ? static_cast<int>(it - ids_.begin()) : -1;
}

int PatchModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(ids_.size());
}

int PatchModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : kColumns;
}

QString PatchModel::groupOf(FixtureId id) const {
    for (const auto& [g_id, g] : document_.show().groups)
        if (std::find(g->fixtures.begin(), g->fixtures.end(), id) != g->fixtures.end())
            return toQt(g->name);
    return {};
}

QString PatchModel::faultText(FixtureId id) const {
    for (const auto& c : faults_.clashes) {
        if (c.fixture != id && c.with != id)
            continue;
        const auto* other = document_.show().fixture(c.fixture == id ? c.with : c.fixture);
        return tr("overlaps %1 by %n slot(s)", nullptr, c.shared).arg(other ? other->number : 0);
    }
    if (std::find(faults_.past_end.begin(), faults_.past_end.end(), id) != faults_.past_end.end())
        return tr("runs past slot 512");
    return {};
}

QVariant PatchModel::data(const QModelIndex& at, int role) const {
    const show::Fixture* f = document_.show().fixture(idAt(at.row()));
    if (!f)
        return {};
    if (role == Qt::TextAlignmentRole) {
        return alignment(at.column());
    }
    if (role == Qt::FontRole)
        return typeface(Type::Work, at.column() == Number);
    if (role == Qt::ForegroundRole) {
        const bool quiet = at.column() == Note && faultText(f->id).isEmpty();
        return QVariant::fromValue(quiet                   ? theme().dim
                                   : at.column() == Number ? theme().bright
                                                           : theme().text);
    }
    if (role != Qt::DisplayRole && role != Qt::EditRole && role != Qt::ToolTipRole)
        return {};
    switch (at.column()) {
    case Number:
        return f->number;
    case Type: {
        const auto type = document_.library().type(f->type);
        return type ? toQt(type->name) : tr("%1, not in the library").arg(toQt(f->type));
    }
    case Mode:
        return toQt(f->mode);
    case Universe:
        return f->universe;
    case Address:
        return f->address;
    case Label:
        return toQt(f->label);
    case Height:
        if (role == Qt::EditRole) // sorted as a number
            return f->place.z_m;
        return numberText(f->place.z_m, 1);
    case Group:
        return f->exempt ? QStringList{groupOf(f->id), tr("house light")}
                               .filter(QRegularExpression(QStringLiteral(".")))
                               .join(QStringLiteral(", "))
                         : groupOf(f->id);
    case Note: {
        const QString fault = faultText(f->id);
        return role == Qt::EditRole || fault.isEmpty() ? toQt(f->note) : fault;
    }
    default:
        return {};
    }
}

QVariant PatchModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    if (role == Qt::DisplayRole) {
        const QStringList names{tr("no"),      tr("label"),    tr("type"),  tr("mode"), tr("univ."),
                                tr("address"), tr("height m"), tr("group"), tr("note")};
        return names[section];
    }
    if (role == Qt::TextAlignmentRole)
        return alignment(section);
    return {};
}

Qt::ItemFlags PatchModel::flags(const QModelIndex& index) const {
    const bool fixed = index.column() == Type || index.column() == Group;
    return Qt::ItemIsEnabled | Qt::ItemIsSelectable |
           (fixed ? Qt::NoItemFlags : Qt::ItemIsEditable);
}

Result<show::ShowPtr> PatchModel::edited(int column, const QString& text,
                                         const std::vector<FixtureId>& ids) const {
    const auto& now = document_.state().show;
    const std::string plain = fromQt(text.trimmed());
    const auto whole = [&](int low, int high) -> Result<int> {
        const auto n = toInteger(plain);
        if (n && *n >= low && *n <= high)
            return *n;
        return fail(ErrorCode::BadValue, "'{}': must be a number within {}..{}", plain, low, high);
    };
    switch (column) {
    case Number: {
        const auto n = whole(1, 1'000'000);
        return n ? show::renumber(now, ids, *n) : Result<show::ShowPtr>(passOn(n.error()));
    }
    case Address: {
        const auto n = whole(1, show::kSlotsInUniverse);
        if (!n)
            return passOn(n.error());
        const auto* first = now->fixture(ids.front());
        if (ids.size() > 1)
            return show::readdress(now, slotsOf(), ids, {first->universe, *n});
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) { f.address = *n; });
    }
    case Universe: {
        const auto n = whole(1, light::kLastUniverse);
        if (!n)
            return passOn(n.error());
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) {
            f.universe = static_cast<std::uint16_t>(*n);
        });
    }
    case Label:
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) { f.label = plain; });
    case Height: {
        const auto z = numberIn(text, "m");
        if (!z)
            return fail(ErrorCode::BadValue, "'{}': must be a height in metres", plain);
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) { f.place.z_m = *z; });
    }
    case Mode:
        for (const FixtureId id : ids) {
            const auto type = document_.library().type(now->fixture(id)->type);
            if (type && !type->mode(plain))
                return fail(ErrorCode::NotFound, "{} has no mode '{}'", type->name, plain);
        }
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) { f.mode = plain; });
    default:
        return show::changeEach(now, ids, [&](show::Fixture& f, std::size_t) { f.note = plain; });
    }
}

bool PatchModel::setData(const QModelIndex& at, const QVariant& value, int role) {
    if (role != Qt::EditRole || value.toString() == data(at, Qt::EditRole).toString())
        return false;
    auto ids = chosen ? chosen() : std::vector<FixtureId>{};
    if (std::find(ids.begin(), ids.end(), idAt(at.row())) == ids.end())
        ids = {idAt(at.row())};
    const QStringList what{tr("Number"),  tr("Label"),  {}, tr("Mode"), tr("Universe"),
                           tr("Address"), tr("Height"), {}, tr("Note")};
    const auto name = tr("%1 of %2").arg(what[at.column()], lampCount(ids.size()));
    return document_.edit(name, edited(at.column(), value.toString(), ids));
}

void PatchModel::toggleHouse() {
    const auto& lineup = document_.lineup();
    if (lineup.empty())
        return document_.tell(noLampsWords(document_.show()));
    const bool all = std::all_of(lineup.begin(), lineup.end(), [&](FixtureId id) {
        return document_.show().fixture(id)->exempt;
    });
    const auto name = all ? tr("Stage light: %1").arg(lampCount(lineup.size()))
                          : tr("House light: %1").arg(lampCount(lineup.size()));
    if (document_.edit(name,
                       show::changeEach(document_.state().show, lineup,
                                        [&](show::Fixture& f, std::size_t) { f.exempt = !all; })))
        document_.tell(all ? tr("%1. Solo, Dark and the master act on them again.").arg(name)
                           : tr("%1. Solo, Dark and the master leave them alone.").arg(name));
}

void PatchModel::resolveFaults() {
    refresh(); // Rig may not have been looked at since
    show::ShowPtr next = document_.state().show;
    int moved = 0;
    // One at a time: a move may make room for the next.
    for (auto faults = faults_; !faults.clashes.empty() || !faults.past_end.empty();
         faults = show::patchFaults(*next, slotsOf())) {
        const FixtureId id =
            faults.clashes.empty() ? faults.past_end.front() : faults.clashes.front().fixture;
        const auto* f = next->fixture(id);
        const auto with = show::readdress(next, slotsOf(), std::array{id},
                                          {f->universe, std::min(f->address, 512)});
        if (!with || ++moved > 2000)
            return document_.tell(tr("There is no room for all that clash."));
        next = *with;
    }
    if (moved == 0)
        return;
    const auto name = tr("Move %1 to free slots").arg(lampCount(moved));
    if (document_.edit(name, Result<show::ShowPtr>(next)))
        document_.tell(name);
}

} // namespace zelo::desk
