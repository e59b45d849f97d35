// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book's rows: gels, whites, palettes and measured lights, searched and sorted, each
// with the colour wanted and what the lineup's first type makes of it (computed in the background,
// a stretch at a time, so that thousands of rows hold nobody up).
#pragma once

#include "desk/kit/document.h"

#include <QAbstractListModel>

namespace zelo::desk {

struct Swatch {
    enum class Kind { Gel, White, Palette, Measured, Typed };
    Kind kind = Kind::Gel;
    QString number;
    QString name;
    light::Asked asked;
    QString key;                  // lower case, for searching
    show::PaletteId palette = {}; // of Kind::Palette
};

struct Chip {           // a swatch on a fixture type
    colour::Xyz wanted; // as who looks on sees them
    colour::Xyz got;
    colour::Uv off; // got − wanted, u'v'
    double miss_uv = 0;
    bool out_of_reach = false;
    double transmitted = 1; // of a gel
    double hue_deg = 0;     // for sorting; about the lamp's white, 400 = white itself
    QStringList words;      // "pale", "blue"
};

class SwatchModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum class Filter { All, Gels, Whites, Palettes, Measured };
    enum class Sort { Number, Hue, Transmission, Miss };

    SwatchModel(Document& document, QObject* parent);

    void setQuery(const QString& query);
    const QString& query() const { return query_; }
    // Why a colour that was typed is none; empty where there is nothing to say.
    const Sentence& trouble() const { return trouble_; }
    void setFilter(Filter filter);
    Filter filter() const { return filter_; }
    void setSort(Sort sort);
    Sort sort() const { return sort_; }
    void setFavouritesOnly(bool on);
    bool favouritesOnly() const { return favourites_only_; }
    void setLampK(double kelvin); // gels hang before this lamp
    double lampK() const { return document_.bookLamp_k(); }
    void setLayer(const std::string& gel); // a second gel over all; empty = none
    const std::string& layer() const { return layer_; }
    void reload(); // books, palettes or measured lights changed

    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    Qt::ItemFlags flags(const QModelIndex& index) const override;
    QMimeData* mimeData(const QModelIndexList& rows) const override; // a row can be dragged
    const Swatch& swatch(int row) const { return all_[shown_[static_cast<std::size_t>(row)]]; }
    bool favourite(int row) const;
    const Chip* chip(int row) const; // null until computed
    // Of a palette that is a gradient, from its first stop to its last; else empty.
    std::vector<colour::Xyz> ribbon(int row) const;
    const QString& chipType() const { return chip_type_; } // "Petrel 4"
    // As it is picked: the lamp left open, the second layer in it.
    light::Asked askedOf(const light::Asked& asked) const;

signals:
    void chipsComputed();

private:
    void gather();
    void search();
    void show();
    void askChips();
    void nextChips();
    int rank(std::size_t swatch) const;
    bool wantedKind(const Swatch& swatch) const;

    Document& document_;
    std::vector<Swatch> all_; // the last one is what is typed, when it is a colour of its own
    bool has_typed_ = false;
    Sentence trouble_;
    std::vector<std::size_t> shown_;
    std::map<light::Asked, Chip> chips_;
    std::vector<light::Asked> missing_; // asked for, chips not computed yet; the next at the end
    Document::TypeKey chips_for_;
    QString chip_type_;
    QString chip_type_next_; // being computed
    QString chip_key_;
    std::string layer_;
    QString query_;
    Filter filter_ = Filter::All;
    Sort sort_ = Sort::Number;
    bool favourites_only_ = false;
    show::ShowPtr seen_;
    mutable std::map<show::PaletteId, std::vector<colour::Xyz>> ribbons_;
};

} // namespace zelo::desk
