// SPDX-License-Identifier: GPL-3.0-or-later
// Everything Match says, without a widget: the colour wanted, how the type in focus mixes it, what
// each type in the lineup gets. Edits go to the hand; the answer comes back with the next stage.
#pragma once

#include "desk/kit/document.h"
#include "mix/trade_off.h"
#include "route/disc.h"

#include <optional>
#include <vector>

namespace zelo::desk {

// In which way a colour is asked for.
enum class Ask { Gel, White, Xy, Uv, HueSaturation, Hex, Measured, Lamp };

// One fixture type of the lineup.
struct TypeRow {
    Document::TypeKey key;
    QString name;
    std::vector<show::FixtureId> fixtures; // in lineup order
    play::StageLamp lamp;                  // of the first one; `sent` as it is judged
    double miss_uv = 0;                    // as sent, from the colour wanted
    QString words;                         // "no difference to see", "close, a little pink"
    double candela = 0;                    // at full, of one fixture
    bool out_of_reach = false;
    std::optional<double> level = {}; // judged at this one, which changes its colour; else at full
    double rf = NAN;                  // of its light; NaN until computed, or where it means nothing
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
    void pick(const light::Asked& asked, int gesture = 0); // for the whole lineup
    void pick(const std::string& notation); // the same, as it is written; tells what is wrong
    void setLampK(double kelvin, int gesture);
    void setWhite(double kelvin, double duv, int gesture);

    Ask askedAs() const;
    // The same colour, asked for in another way, where that way can say it: white (its kelvin and
    // tint), chromaticity, hue and saturation, hex. Others wait for what is picked or typed.
    void askAs(Ask ask);
    // x and y, u' and v', or hue (degrees about the white, from u', counter-clockwise) and
    // saturation (percent of the reach of the type in focus).
    std::optional<std::pair<double, double>> askedNumbers() const;
    void setAskedNumbers(double a, double b, int gesture);
    QString hex() const;                            // of what is asked for as hex; empty else
    void pickUv(const colour::Uv& uv, int gesture); // on the map; asked for as it is chosen
    void takeLamp(int number);                      // as this lamp shows now
    // Through the colours that were tried since the program began.
    void stepTried(int by);
    const std::vector<light::Asked>& tried() const { return tried_; }

    // --- Get
    // All types show the brightness of the weakest at full, by their intensities.
    void levelBrightness();
    // What every type of the lineup can show: the nearest colour to the wanted one, for all.
    void askCommonReach();

    // --- Mix
    void setIntent(mix::Intent intent);
    void setGiveUp(double share, int gesture);
    void setDrive(std::size_t emitter, double drive, int gesture); // by hand
    // While holding, moving a level pins it there and the others hold the colour.
    void setHolding(bool on) { holding_ = on; }
    bool holding() const { return holding_; }
    // Emitters of one kind, moved together: warm, green, blue, white, and all of them.
    struct Family {
        QString name;
        std::vector<std::size_t> parts;
    };
    std::vector<Family> families() const;           // of the focus; those that it has
    double familyDrive(const Family& family) const; // its highest
    void setFamilyDrive(const Family& family, double drive, int gesture);
    void solveAgain(); // lets go of drives set by hand
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
    void renderingComputed(); // the rows' R_f

private:
    void rebuild();
    void askTradeOff();
    void askRendering(); // R_f of each row, in the background
    // Only these parts, each on its own: the others stay in the mix.
    void setByHand(const QString& name, const std::map<std::size_t, double>& parts, int gesture);
    // Emitters at home are not what a hand begins from: without a colour it begins from nothing.
    void startByHand();
    show::HandPtr shining(show::HandPtr hand) const; // lamps that have no intensity get it full
    void remember(const light::Asked& asked, int gesture);
    std::optional<route::Disc> disc() const; // the focus's reach about the show's white
    // `from_nothing`: also for lamps of which no colour was asked yet.
    void editWishes(const QString& name, bool whole_lineup, int gesture,
                    const std::function<void(show::ColourWish&)>& change,
                    bool from_nothing = false);
    const light::AskedGel* askedGel() const; // of the wish; null when it is none
    const light::AskedWhite* askedWhite() const;
    std::string emitterName(std::size_t emitter) const;

    Document& document_;
    std::vector<TypeRow> rows_;
    std::size_t focus_ = 0;
    mutable std::optional<show::ColourWish> wish_now_; // what askedGel() points into
    // Levels that are set here, ahead of the stage while a drag goes on: of one mixer, and no
    // longer than what is in hand is what was set here.
    std::optional<light::Drives> by_hand_;
    std::shared_ptr<const mix::Mixer> by_hand_of_;
    bool setting_ = false; // the hand changes by this
    std::vector<mix::TradePoint> trade_;
    std::string trade_key_;
    bool as_hue_ = false; // a chromaticity is asked for as hue and saturation
    std::vector<light::Asked> tried_;
    std::size_t tried_at_ = 0;
    int tried_gesture_ = 0;
    bool stepping_ = false;
    bool holding_ = false;
    std::map<std::pair<std::string, std::string>, double> rf_; // by type and mode, as last computed
};

// "no difference to see", "side by side only, a little greener", "a different colour, paler"
QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white);

} // namespace zelo::desk
