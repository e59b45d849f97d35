// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book's rows: gels and whites, filtered by what is typed, each with the colour wanted
// and what the lineup's first type makes of it (computed in the background).
#pragma once

#include "desk/kit/document.h"

#include <QAbstractListModel>

namespace zelo::desk {

struct Swatch {
    enum class Kind { Gel, White, Typed };
    Kind kind = Kind::Gel;
    QString number;
    QString name;
    std::string asked; // "gel:214", "cct:3200"
    QString key;       // lower case, for searching
};

struct Chip { // a swatch on a fixture type
    colour::Xyz wanted;
    colour::Xyz got;
    colour::Uv off; // got − wanted, u'v'
    bool out_of_reach = false;
};

class SwatchModel : public QAbstractListModel {
    Q_OBJECT
public:
    enum class Filter { All, Gels, Whites };

    SwatchModel(Document& document, QObject* parent);

    void setQuery(const QString& query);
    const QString& query() const { return query_; }
    void setFilter(Filter filter);
    void setLampK(double kelvin); // gels hang before this lamp
    double lampK() const { return lamp_k_; }
    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    const Swatch& swatch(int row) const { return all_[shown_[static_cast<std::size_t>(row)]]; }
    const Chip* chip(int row) const;                       // null until computed
    const QString& chipType() const { return chip_type_; } // "Petrel 4"

signals:
    void chipsComputed();

private:
    void search();
    void askChips();

    Document& document_;
    std::vector<Swatch> all_; // the last one is what is typed, when it is a colour of its own
    bool has_typed_ = false;
    std::vector<std::size_t> shown_;
    std::map<std::string, Chip> chips_; // by asked
    QString chip_type_;
    QString chip_key_;
    double lamp_k_ = light::kGelLampK;
    QString query_;
    Filter filter_ = Filter::All;
};

} // namespace zelo::desk
