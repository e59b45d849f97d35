// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/swatch_model.h"

#include "desk/kit/qt_text.h"
#include "mix/rounding.h"

#include <algorithm>

namespace zelo::desk {

namespace {

Swatch white(int kelvin) {
    return {Swatch::Kind::White, QString::number(kelvin), QObject::tr("kelvin white"),
            fmt::format("cct:{}", kelvin), QObject::tr("%1 kelvin white").arg(kelvin)};
}

// How well a row answers the query: 0 = the number begins with it, 1 = a word of the name begins
// with it, 2 = it is in the number, 3 = in the name; -1 = not at all.
int rank(const Swatch& s, const QString& query) {
    if (s.number.startsWith(query, Qt::CaseInsensitive))
        return 0;
    const QString padded = ' ' + s.key;
    if (padded.contains(' ' + query))
        return 1;
    if (s.number.contains(query, Qt::CaseInsensitive))
        return 2;
    return s.key.contains(query) ? 3 : -1;
}

} // namespace

SwatchModel::SwatchModel(Document& document, QObject* parent)
    : QAbstractListModel(parent), document_(document) {
    for (const auto& book : document_.session().library().books())
        for (const auto& gel : book->gels) {
            const QString id = toQt(gel.id);
            const QString name = toQt(gel.name);
            all_.push_back({Swatch::Kind::Gel, id, name, "gel:" + gel.id, name.toLower()});
        }
    for (int kelvin = 2000; kelvin <= 10000; kelvin += kelvin < 7000 ? 100 : 500)
        all_.push_back(white(kelvin));
    connect(&document_, &Document::lineupChanged, this, &SwatchModel::askChips);
    connect(&document_, &Document::stageComputed, this, &SwatchModel::askChips);
    search();
    askChips();
}

int SwatchModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(shown_.size());
}

QVariant SwatchModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid())
        return {};
    const Swatch& s = swatch(index.row());
    if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole)
        return QStringLiteral("%1 %2").arg(s.number, s.name);
    return {};
}

const Chip* SwatchModel::chip(int row) const {
    const auto it = chips_.find(swatch(row).asked);
    return it == chips_.end() ? nullptr : &it->second;
}

void SwatchModel::setQuery(const QString& query) {
    query_ = query.trimmed();
    beginResetModel();
    search();
    endResetModel();
    if (has_typed_)
        askChips();
}

void SwatchModel::setFilter(Filter filter) {
    filter_ = filter;
    beginResetModel();
    search();
    endResetModel();
}

void SwatchModel::setLampK(double kelvin) {
    if (kelvin == lamp_k_)
        return;
    lamp_k_ = kelvin;
    askChips();
}

void SwatchModel::search() {
    if (has_typed_)
        all_.pop_back();
    has_typed_ = false;
    const QString query = query_.toLower();
    std::vector<std::pair<int, std::size_t>> found;
    for (std::size_t i = 0; i < all_.size(); ++i) {
        const bool wanted_kind = filter_ == Filter::All ||
                                 (filter_ == Filter::Gels) == (all_[i].kind == Swatch::Kind::Gel);
        const int r = !wanted_kind ? -1 : query.isEmpty() ? 0 : rank(all_[i], query);
        if (r >= 0)
            found.emplace_back(r, i);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    shown_.clear();
    for (const auto& [r, i] : found)
        shown_.push_back(i);
    // A kelvin between the steps, or a whole notation such as xy:0.44,0.40, is a row of its own.
    Swatch typed;
    bool number = false;
    const int kelvin = query.toInt(&number);
    if (number && kelvin >= 1000 && kelvin <= 25000 && filter_ != Filter::Gels &&
        std::none_of(shown_.begin(), shown_.end(), [&](std::size_t i) {
            return all_[i].kind == Swatch::Kind::White && all_[i].number == query;
        }))
        typed = white(kelvin);
    else if (query.contains(':') && document_.session().mixes().wanted(fromQt(query_)))
        typed = {Swatch::Kind::Typed, query_.section(':', 0, 0), query_.section(':', 1),
                 fromQt(query_), query};
    else
        return;
    if (typed.kind != Swatch::Kind::White)
        typed.kind = Swatch::Kind::Typed;
    all_.push_back(typed);
    has_typed_ = true;
    shown_.insert(shown_.begin(), all_.size() - 1);
}

void SwatchModel::askChips() {
    std::shared_ptr<const mix::Mixer> mixer;
    if (!document_.lineup().empty()) {
        const auto key = document_.typeOf(document_.lineup().front());
        mixer = document_.session().mixes().mixer(key.type, key.mode);
    }
    const QString key = (mixer ? toQt(mixer->type().id + mixer->mode().name) : QString()) +
                        (has_typed_ ? query_ : QString()) + QString::number(lamp_k_);
    if (!mixer || key == chip_key_)
        return;
    chip_key_ = key;
    std::vector<std::string> asked;
    for (const Swatch& s : all_)
        asked.push_back(s.asked);
    auto& mixes = document_.session().mixes();
    document_.later(
        "chips", this,
        [mixer, asked, &mixes, lamp = lamp_k_] {
            std::map<std::string, Chip> chips;
            for (const auto& text : asked) {
                auto gel = light::parseGelText(text);
                if (gel)
                    gel->lamp = fmt::format("{:.0f}", lamp);
                const auto wanted = mixes.wanted(gel ? light::toText(*gel) : text);
                if (!wanted)
                    continue;
                const auto mix = mixer->solve(*wanted, {});
                const auto sent = mix::rounded(*mixer, mix.drives, 1);
                Chip chip{wanted->xyz, sent.xyz, {}, mix.miss_uv > 0.004};
                if (colour::hasChromaticity(sent.xyz))
                    chip.off = colour::toUv(sent.xyz) - wanted->uv();
                chips[text] = chip;
            }
            return chips;
        },
        [this, name = toQt(mixer->type().name)](const std::map<std::string, Chip>& chips) {
            chips_ = chips;
            chip_type_ = name;
            emit chipsComputed();
        });
}

} // namespace zelo::desk
