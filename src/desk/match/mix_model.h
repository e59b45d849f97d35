// SPDX-License-Identifier: GPL-3.0-or-later
// How the type in focus mixes its colour: intent and give-up, levels by hand, pins and keep-outs,
// families of emitters, and the trade-off.
#pragma once

#include "desk/focus/focus_model.h"
#include "mix/trade_off.h"

namespace zelo::desk {

class MixModel : public QObject {
    Q_OBJECT
public:
    MixModel(Document& document, FocusModel& focus, QObject* parent);

    // All types show the brightness of the weakest at full, by their intensities.
    void levelBrightness();

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

    void askTradeOff(); // of the colour now, in the background
    const std::vector<mix::TradePoint>& tradeOff() const { return trade_; }
    std::optional<mix::Gain> gain() const; // of the colour now
    QString tradeOffName() const; // "SSI", "R_f", "agreement", "watts"; empty where there is none
    QString noTradeOff() const;   // why there is none, in a line; empty where there is one

signals:
    void tradeOffComputed();

private:
    // Only these parts, each on its own: the others stay in the mix.
    void setByHand(const QString& name, const std::map<std::size_t, double>& parts, int gesture);
    // Emitters at home are not what a hand begins from: without a colour it begins from nothing.
    void startByHand();
    show::HandPtr shining(show::HandPtr hand) const; // lamps that have no intensity get it full
    std::string emitterName(std::size_t emitter) const;

    Document& document_;
    FocusModel& focus_;
    // Levels that are set here, ahead of the light while a drag goes on: of one mixer, and no
    // longer than what is in hand is what was set here.
    std::optional<light::Drives> by_hand_;
    std::shared_ptr<const mix::Mixer> by_hand_of_;
    bool setting_ = false; // the hand changes by this
    std::vector<mix::TradePoint> trade_;
    std::string trade_key_;
    colour::CamerasPtr trade_cameras_; // that it is for
    bool holding_ = false;
};

} // namespace zelo::desk
