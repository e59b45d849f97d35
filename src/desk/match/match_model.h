// SPDX-License-Identifier: GPL-3.0-or-later
// Everything Match says, without a widget: the colour wanted, how the type in focus mixes it, what
// each type in the lineup gets. Edits go to the hand; the answer comes back with the next stage.
#pragma once

#include "desk/kit/document.h"
#include "mix/trade_off.h"

#include <optional>
#include <vector>

namespace zelo::desk {

// One fixture type of the lineup.
struct TypeRow {
    Document::TypeKey key;
    QString name;
    std::vector<show::FixtureId> fixtures; // in lineup order
    play::StageLamp lamp;                  // of the first one
    double miss_uv = 0;                    // as sent, from the colour wanted
    QString words;                         // "no difference to see", "close, a little pink"
    double candela = 0;                    // at full, of one fixture
    bool out_of_reach = false;
};

class MatchModel : public QObject {
    Q_OBJECT
public:
    MatchModel(Document& document, QObject* parent);

    const std::vector<TypeRow>& rows() const { return rows_; }
    const TypeRow* focus() const; // null when the lineup is empty or has no known type
    std::size_t focusIndex() const { return focus_; }

    // --- Want
    std::optional<show::ColourWish> wish() const; // of the focus, else of the lineup's first
    const light::Wanted* wanted() const;          // null when no colour is asked for
    QString headline() const;                     // "214", "3200", "xy"
    QString headlineName() const;                 // "Apricot", "kelvin white"
    QString kindText() const;                     // "gel, under a lamp of"
    std::optional<double> lampK() const;          // of a gel
    std::optional<double> whiteK() const;
    std::optional<double> whiteDuv() const;
    void pick(const std::string& asked, int gesture = 0); // for the whole lineup
    void setLampK(double kelvin, int gesture);
    void setWhite(double kelvin, double duv, int gesture);

    // --- Mix
    void setIntent(mix::Intent intent);
    void setGiveUp(double share, int gesture);
    void setDrive(std::size_t emitter, double drive, int gesture); // by hand
    void solveAgain();                                             // lets go of drives set by hand
    void toggleKeepOut(std::size_t emitter);
    void togglePin(std::size_t emitter);
    bool keptOut(std::size_t emitter) const;
    bool pinned(std::size_t emitter) const;
    double drive(std::size_t emitter) const; // as it is now, also while a drag goes on
    QString lampsText() const;               // "Gannet 8, lamps 7–12"
    const std::vector<mix::TradePoint>& tradeOff() const { return trade_; }
    QString tradeOffName() const; // "SSI", "R_f", "agreement", "watts"

signals:
    void rowsChanged(); // new stage, lineup or focus
    void tradeOffComputed();

private:
    void rebuild();
    void askTradeOff();
    void editWishes(const QString& name, bool whole_lineup, int gesture,
                    const std::function<void(show::ColourWish&)>& change);
    std::string emitterName(std::size_t emitter) const;

    Document& document_;
    std::vector<TypeRow> rows_;
    std::size_t focus_ = 0;
    std::optional<light::Drives> by_hand_; // ahead of the stage while a drag goes on
    std::vector<mix::TradePoint> trade_;
    std::string trade_key_;
};

// "no difference to see", "side by side only, a little greener", "a different colour, paler"
QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white);

} // namespace zelo::desk
