// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/swatch_model.h"

#include "colour/lamp.h"
#include "colour/words.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"
#include "mix/rounding.h"
#include "play/laid.h"

#include <QRegularExpression>
#include <algorithm>
#include <set>

namespace zelo::desk {

namespace {

constexpr std::size_t kStretch = 128; // chips computed in one go
constexpr double kWhiteHue = 400;     // whites stand behind all hues
constexpr double kWhiteChroma = 0.02;

Swatch white(int kelvin) {
    return {Swatch::Kind::White, QString::number(kelvin), QObject::tr("kelvin white"),
            light::AskedWhite{static_cast<double>(kelvin), std::nullopt},
            QObject::tr("%1 kelvin white").arg(kelvin)};
}

// "3200 +0.006" or "3200/-0.006": a white with a tint (Duv, up is green).
std::optional<Swatch> tintedWhite(const QString& query) {
    static const QRegularExpression form(
        QStringLiteral("^(\\d{4,5})\\s*(?:/\\s*|\\s)([+−-]?0?[.,]\\d{1,4})$"));
    const auto match = form.match(query);
    const int kelvin = match.captured(1).toInt();
    if (!match.hasMatch() || kelvin < 1000 || kelvin > 25000)
        return {};
    const double duv = match.captured(2).replace(QChar(0x2212), '-').replace(',', '.').toDouble();
    if (std::abs(duv) > 0.05)
        return {};
    return Swatch{Swatch::Kind::White, QString::number(kelvin),
                  duv < 0 ? QObject::tr("white, magenta %1").arg(numberText(-duv, 4))
                          : QObject::tr("white, green %1").arg(numberText(duv, 4)),
                  light::AskedWhite{static_cast<double>(kelvin), duv}, query};
}

Swatch palette(const show::Palette& p) {
    const QString name = toQt(p.name);
    const QString number =
        p.intensity ? QStringLiteral("%1 %").arg(std::lround(100 * *p.intensity)) : QString();
    return {Swatch::Kind::Palette, number, name, light::AskedPalette{p.name}, name.toLower(), p.id};
}

light::Asked withLamp(light::Asked asked, double lamp_k) {
    if (auto* gel = std::get_if<light::AskedGel>(&asked); gel && !gel->lamp_k && gel->lamp.empty())
        gel->lamp_k = lamp_k;
    return asked;
}

Chip chipOf(const mix::Mixer& mixer, const light::Wanted& wanted, Kelvin eye,
            const LightColours& by) {
    const auto mix = mixer.solve(wanted, {});
    const auto sent = mix::rounded(mixer, mix.drives, 1);
    Chip chip;
    chip.wanted = shownLight(by, wanted);
    chip.got = shownLight(by, mixer, sent.drives, sent.xyz);
    chip.miss_uv = mix.miss_uv;
    chip.out_of_reach = mix.miss_uv > 0.004;
    chip.transmitted = wanted.transmitted;
    if (colour::hasChromaticity(sent.xyz)) {
        chip.off = colour::toUv(sent.xyz) - wanted.uv();
        chip.miss_uv = std::hypot(chip.off.u, chip.off.v);
    }
    // Told as the eye sees it: against what it takes for white.
    const auto as = colour::toXyz(colour::lampOf(eye));
    const colour::Xyz dimmed{wanted.xyz.X * chip.transmitted, wanted.xyz.Y * chip.transmitted,
                             wanted.xyz.Z * chip.transmitted};
    const colour::Xyz one{as.X / as.Y, 1, as.Z / as.Y};
    const auto hue = colour::hueOf(dimmed, one);
    chip.hue_deg = hue.chroma < kWhiteChroma ? kWhiteHue : hue.hue_deg;
    for (const auto& word : colour::wordsOf(dimmed, one))
        chip.words << saidText(word);
    return chip;
}

} // namespace

SwatchModel::SwatchModel(Document& document, QObject* parent)
    : QAbstractListModel(parent), document_(document) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Seen))
            ribbons_.clear();
        if (what.has(Change::Lineup | Change::Light | Change::Seen))
            askChips();
        if (!what.has(Change::Palettes))
            return;
        const auto& now = *document_.state().show;
        if (seen_ && now.palettes == seen_->palettes && now.measured == seen_->measured &&
            now.favourites == seen_->favourites)
            return;
        if (seen_ && now.palettes == seen_->palettes && now.measured == seen_->measured) {
            seen_ = document_.state().show;
            return show(); // favourites only: their marks
        }
        reload();
    });
    reload();
}

void SwatchModel::gather() {
    seen_ = document_.state().show;
    all_.clear();
    has_typed_ = false;
    for (const auto& [p_id, p] : seen_->palettes)
        all_.push_back(palette(*p));
    std::set<std::string> ids; // a number in an earlier book hides it in a later one
    for (const auto& book : document_.library().books())
        for (const auto& gel : book->gels) {
            if (!ids.insert(gel.id).second)
                continue;
            const QString name = toQt(gel.name);
            all_.push_back({Swatch::Kind::Gel, toQt(gel.id), name,
                            light::AskedGel{gel.id, {}, {}, {}}, name.toLower()});
        }
    for (const auto& [m_id, m] : seen_->measured) {
        const QString name = toQt(m->name);
        all_.push_back(
            {Swatch::Kind::Measured, {}, name, light::AskedMeasured{m->name}, name.toLower()});
    }
    for (int kelvin = 2000; kelvin <= 10000; kelvin += kelvin < 7000 ? 100 : 500)
        all_.push_back(white(kelvin));
}

void SwatchModel::reload() {
    beginResetModel();
    gather();
    search();
    endResetModel();
    chip_key_.clear();
    ribbons_.clear();
    askChips();
}

std::vector<colour::Xyz> SwatchModel::ribbon(int row) const {
    constexpr int kPlaces = 33;
    const show::Palette* p = document_.show().palette(swatch(row).palette);
    if (!p || !p->gradient)
        return {};
    auto& known = ribbons_[p->id];
    if (known.empty())
        for (const colour::Uv& uv : play::ribbonOf(
                 document_.show(), *p->gradient, *document_.sources(), document_.mixes(), kPlaces))
            known.push_back(shownLight(document_.colours(), uv));
    return known;
}

int SwatchModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(shown_.size());
}

QVariant SwatchModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid())
        return {};
    const Swatch& s = swatch(index.row());
    const Chip* c = chip(index.row());
    if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole)
        return QStringLiteral("%1 %2").arg(s.number, s.name).trimmed();
    if (role == Qt::ToolTipRole && c)
        return tr("%1 %2: %3. Δu′v′ %4 on %5")
            .arg(s.number, s.name, c->words.join(", "), numberText(c->miss_uv, 4), chip_type_);
    return {};
}

Qt::ItemFlags SwatchModel::flags(const QModelIndex& index) const {
    return QAbstractListModel::flags(index) | Qt::ItemIsDragEnabled;
}

QMimeData* SwatchModel::mimeData(const QModelIndexList& rows) const {
    return rows.isEmpty() ? nullptr : colourMime(askedOf(swatch(rows.front().row()).asked));
}

const Chip* SwatchModel::chip(int row) const {
    const auto it = chips_.find(swatch(row).asked);
    return it == chips_.end() ? nullptr : &it->second;
}

bool SwatchModel::favourite(int row) const {
    return document_.show().favourite(swatch(row).asked);
}

light::Asked SwatchModel::askedOf(const light::Asked& asked) const {
    const auto* gel = std::get_if<light::AskedGel>(&asked);
    if (!gel || layer_.empty() || gel->id == layer_)
        return asked;
    light::AskedGel both = *gel;
    both.layer = layer_;
    return both;
}

void SwatchModel::show() {
    beginResetModel();
    search();
    endResetModel();
}

void SwatchModel::setQuery(const QString& query) {
    query_ = query.trimmed();
    show();
    if (has_typed_)
        askChips();
}

void SwatchModel::setFilter(Filter filter) {
    filter_ = filter;
    show();
}

void SwatchModel::setSort(Sort sort) {
    sort_ = sort;
    show();
}

void SwatchModel::setFavouritesOnly(bool on) {
    favourites_only_ = on;
    show();
}

void SwatchModel::setLampK(double kelvin) {
    if (kelvin != lampK())
        document_.setBookLamp(kelvin); // tells that all is seen otherwise: the chips, too
}

void SwatchModel::setLayer(const std::string& gel) {
    layer_ = gel;
    askChips();
}

bool SwatchModel::wantedKind(const Swatch& s) const {
    switch (filter_) {
    case Filter::All:
        return true;
    case Filter::Gels:
        return s.kind == Swatch::Kind::Gel;
    case Filter::Whites:
        return s.kind == Swatch::Kind::White;
    case Filter::Palettes:
        return s.kind == Swatch::Kind::Palette;
    case Filter::Measured:
        break;
    }
    return s.kind == Swatch::Kind::Measured;
}

// How well a row answers the query: 0 = the number begins with it, 1 = a word of the name begins
// with it, 2 = it is in the number, 3 = in the name, 4 = every word of it is a word for the colour;
// -1 = not at all.
int SwatchModel::rank(std::size_t at) const {
    const Swatch& s = all_[at];
    const QString query = query_.toLower();
    if (query.isEmpty() || s.number.startsWith(query, Qt::CaseInsensitive))
        return 0;
    if (s.key.startsWith(query) || s.key.contains(' ' + query))
        return 1;
    if (s.number.contains(query, Qt::CaseInsensitive))
        return 2;
    if (s.key.contains(query))
        return 3;
    const auto chip = chips_.find(s.asked);
    if (chip == chips_.end())
        return -1;
    for (const QString& part : query.split(' ', Qt::SkipEmptyParts))
        if (std::none_of(chip->second.words.begin(), chip->second.words.end(),
                         [&](const QString& word) { return word.startsWith(part); }) &&
            !s.key.contains(part))
            return -1;
    return 4;
}

void SwatchModel::search() {
    if (has_typed_)
        all_.pop_back();
    has_typed_ = false;
    const QString query = query_.toLower();
    struct Found {
        int rank;
        double by;
        std::size_t at;
    };
    std::vector<Found> found;
    for (std::size_t i = 0; i < all_.size(); ++i) {
        if (!wantedKind(all_[i]) ||
            (favourites_only_ && !document_.show().favourite(all_[i].asked)))
            continue;
        const int r = rank(i);
        if (r < 0)
            continue;
        double by = 0;
        if (sort_ != Sort::Number) {
            const auto chip = chips_.find(all_[i].asked);
            by = chip == chips_.end()  ? 1e9 // not known yet: at the end
                 : sort_ == Sort::Hue  ? chip->second.hue_deg
                 : sort_ == Sort::Miss ? chip->second.miss_uv
                                       : -chip->second.transmitted;
        }
        found.push_back({sort_ == Sort::Number ? r : 0, by, i});
    }
    std::stable_sort(found.begin(), found.end(), [](const Found& a, const Found& b) {
        return a.rank != b.rank ? a.rank < b.rank : a.by < b.by;
    });
    shown_.clear();
    for (const Found& f : found)
        shown_.push_back(f.at);
    trouble_ = {};
    // A kelvin between the steps, or a whole notation such as xy:0.44,0.40, is a row of its own.
    Swatch typed;
    bool number = false;
    const int kelvin = query.toInt(&number);
    if (number && kelvin >= 1000 && kelvin <= 25000 &&
        (filter_ == Filter::All || filter_ == Filter::Whites) &&
        std::none_of(shown_.begin(), shown_.end(), [&](std::size_t i) {
            return all_[i].kind == Swatch::Kind::White && all_[i].number == query;
        }))
        typed = white(kelvin);
    else if (const auto tinted = tintedWhite(query))
        typed = *tinted;
    else if (const auto asked = light::parseAsked(fromQt(query_)); asked) {
        if (const auto any = light::checkAnyLight(*asked); !any) {
            trouble_ = any.error().sentence();
            return;
        }
        if (!document_.wanted(*asked))
            return;
        typed = {Swatch::Kind::Typed, query_.section(':', 0, 0), query_.section(':', 1), *asked,
                 query};
    } else {
        return;
    }
    if (typed.kind != Swatch::Kind::White)
        typed.kind = Swatch::Kind::Typed;
    all_.push_back(typed);
    has_typed_ = true;
    shown_.insert(shown_.begin(), all_.size() - 1);
}

void SwatchModel::askChips() {
    if (document_.lineup().empty())
        return;
    const auto of = document_.typeOf(document_.lineup().front());
    const auto type = document_.library().type(of.type);
    const QString key = QString::number(reinterpret_cast<quintptr>(type.get())) + '/' +
                        toQt(of.mode) + '/' + QString::number(document_.sources()->version()) +
                        '/' + (has_typed_ ? query_ : QString()) + '/' + QString::number(lampK()) +
                        '/' + QString::number(document_.eye_k()) + '/' + toQt(layer_) + '/' +
                        toQt(document_.camera().value_or(std::string()));
    if (!type || !type->mode(of.mode) || key == chip_key_)
        return;
    chip_key_ = key;
    chips_for_ = of;
    chip_type_next_ = toQt(type->name);
    missing_.clear();
    for (std::size_t i = all_.size(); i-- > 0;) // what is shown comes first
        missing_.push_back(all_[i].asked);
    for (std::size_t row = std::min<std::size_t>(shown_.size(), 40); row-- > 0;)
        missing_.push_back(all_[shown_[row]].asked);
    nextChips();
}

void SwatchModel::nextChips() {
    std::vector<light::Asked> asked;
    while (!missing_.empty() && asked.size() < kStretch) {
        asked.push_back(std::move(missing_.back()));
        missing_.pop_back();
    }
    if (asked.empty())
        return;
    std::vector<std::pair<light::Asked, light::Asked>> jobs; // row, and the light it stands for
    for (const auto& a : asked)
        jobs.emplace_back(a, withLamp(askedOf(a), lampK()));
    document_.later(
        "chips", this,
        [of = chips_for_, jobs, eye = Kelvin{document_.eye_k()}, by = document_.colours(),
         from = document_.sources(), &mixes = document_.mixes()] {
            std::map<light::Asked, Chip> chips;
            if (const auto mixer = mixes.mixer(*from, of.type, of.mode))
                for (const auto& [row, light] : jobs)
                    if (const auto wanted = mixes.wanted(*from, light))
                        chips[row] = chipOf(*mixer, **wanted, eye, by);
            return chips;
        },
        [this, name = chip_type_next_](const std::map<light::Asked, Chip>& chips) {
            for (const auto& [row, chip] : chips)
                chips_[row] = chip;
            chip_type_ = name;
            // Rows move only when what they are sorted or found by has come in whole.
            const bool words = !query_.isEmpty() && !query_[0].isDigit();
            if (missing_.empty() && (sort_ != Sort::Number || words))
                show();
            emit chipsComputed();
            nextChips();
        });
}

} // namespace zelo::desk
