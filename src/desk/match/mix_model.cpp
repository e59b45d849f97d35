// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/mix_model.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/lamp.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "desk/match/camera_menu.h"
#include "mix/camera_miss.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::desk {

MixModel::MixModel(Document& document, FocusModel& focus, QObject* parent)
    : QObject(parent), document_(document), focus_(focus) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (!setting_ && what.has(Change::Hand | Change::Types | Change::Rig))
            by_hand_.reset(); // undone, put down, or set elsewhere
    });
    // The light has caught up with the drag when it shows what the hand holds.
    connect(&focus_, &FocusModel::rowsChanged, this, [this] {
        if (by_hand_ && focus_.focus() && focus_.focus()->lamp.drives == *by_hand_)
            by_hand_.reset();
    });
}

void MixModel::setIntent(mix::Intent intent) {
    if (intent == mix::Intent::Filmed && camerasInUse(document_.show()).isEmpty()) {
        if (!document_.edit(tr("A camera for Filmed"), withSomeCamera(document_)))
            return;
        document_.tell(tr("Filmed minds %1: “cameras” chooses another, and its balance.")
                           .arg(camerasInUse(document_.show())));
    }
    focus_.editWishes(intentNames().value(static_cast<int>(intent)), true, 0,
                      [&](show::ColourWish& w) { w.intent = intent; });
}

void MixModel::setGiveUp(double share, int gesture) {
    focus_.editWishes(tr("Give-up"), true, gesture, [&](show::ColourWish& w) {
        w.give_up = std::clamp(share, 0.0, 1.0);
        if (w.intent == mix::Intent::Brightest)
            w.intent = mix::Intent::Truest;
    });
}

std::string MixModel::emitterName(std::size_t emitter) const {
    return focus_.focus()->lamp.mixer->type().partName(emitter);
}

double MixModel::drive(std::size_t emitter) const {
    const bool ahead = by_hand_ && by_hand_of_ == focus_.focus()->lamp.mixer;
    const auto& drives = ahead ? *by_hand_ : focus_.focus()->lamp.drives;
    return emitter < drives.size() ? drives[emitter] : 0;
}

void MixModel::setDrive(std::size_t emitter, double drive, int gesture) {
    if (!focus_.focus())
        return;
    if (holding_ && focus_.wanted()) {
        const std::string pin = emitterName(emitter);
        return focus_.editWishes(
            tr("%1 held at a level").arg(toQt(pin)), false, gesture, [&](show::ColourWish& w) {
                std::erase(w.keep_out, pin);
                std::erase_if(w.pins, [&](const auto& p) { return p.first == pin; });
                w.pins.emplace_back(pin, std::clamp(drive, 0.0, 1.0));
            });
    }
    setByHand(tr("%1 by hand").arg(toQt(emitterName(emitter))),
              {{emitter, std::clamp(drive, 0.0, 1.0)}}, gesture);
}

void MixModel::solveAgain() {
    focus_.editWishes(tr("Solve again"), false, 0, [](show::ColourWish&) {});
}

bool MixModel::keptOut(std::size_t emitter) const {
    const auto w = focus_.wish();
    return w && focus_.focus() &&
           std::find(w->keep_out.begin(), w->keep_out.end(), emitterName(emitter)) !=
               w->keep_out.end();
}

bool MixModel::pinned(std::size_t emitter) const {
    const auto w = focus_.wish();
    return w && focus_.focus() && std::any_of(w->pins.begin(), w->pins.end(), [&](const auto& p) {
               return p.first == emitterName(emitter);
           });
}

void MixModel::toggleKeepOut(std::size_t emitter) {
    if (!focus_.focus())
        return;
    const std::string name = emitterName(emitter);
    const bool out = keptOut(emitter);
    focus_.editWishes(out ? tr("Use %1 again").arg(toQt(name)) : tr("Keep %1 out").arg(toQt(name)),
                      false, 0, [&](show::ColourWish& w) {
                          std::erase(w.keep_out, name);
                          std::erase_if(w.pins, [&](const auto& p) { return p.first == name; });
                          if (!out)
                              w.keep_out.push_back(name);
                      });
}

void MixModel::togglePin(std::size_t emitter) {
    if (!focus_.focus())
        return;
    const std::string name = emitterName(emitter);
    const bool was = pinned(emitter);
    const double at = drive(emitter);
    focus_.editWishes(was ? tr("Unpin %1").arg(toQt(name)) : tr("Pin %1").arg(toQt(name)), false, 0,
                      [&](show::ColourWish& w) {
                          std::erase(w.keep_out, name);
                          std::erase_if(w.pins, [&](const auto& p) { return p.first == name; });
                          if (!was)
                              w.pins.emplace_back(name, at);
                      });
}

void MixModel::setByHand(const QString& name, const std::map<std::size_t, double>& parts,
                         int gesture) {
    const auto& lamp = focus_.focus()->lamp;
    const auto& type = lamp.mixer->type();
    startByHand();
    show::PartLevels levels;
    if (!lamp.colour && !lamp.by_hand)
        levels = show::partLevels(type, *by_hand_); // from nothing, not from home
    for (const auto& [part, level] : parts) {
        (*by_hand_)[part] = level;
        levels[type.partName(part)] = level;
    }
    setting_ = true;
    document_.setHand(
        name, shining(show::withParts(document_.state().hand, focus_.focus()->fixtures, levels)),
        fmt::format("{}-{}", fromQt(name), gesture));
    setting_ = false;
}

void MixModel::startByHand() {
    const auto& lamp = focus_.focus()->lamp;
    if (by_hand_ && by_hand_of_ == lamp.mixer)
        return;
    by_hand_ = lamp.drives;
    by_hand_of_ = lamp.mixer;
    if (!lamp.colour && !lamp.by_hand)
        for (std::size_t e = 0; e < lamp.mixer->type().emitters.size(); ++e)
            if (!lamp.mixer->type().emitters[e].source)
                (*by_hand_)[e] = 0;
}

show::HandPtr MixModel::shining(show::HandPtr hand) const {
    show::Lineup dark;
    for (const auto id : focus_.focus()->fixtures)
        if (!document_.shown(*hand, id).intensity)
            dark.push_back(id);
    return dark.empty() ? hand : show::withIntensity(hand, dark, 1);
}

std::vector<MixModel::Family> MixModel::families() const {
    const TypeRow* row = focus_.focus();
    if (!row)
        return {};
    std::vector<Family> all{
        {tr("warm"), {}}, {tr("green"), {}}, {tr("blue"), {}}, {tr("white"), {}}, {tr("all"), {}}};
    const auto& mixer = *row->lamp.mixer;
    for (std::size_t e = 0; e < mixer.type().emitters.size(); ++e) {
        const auto xyz = mixer.partLight(e);
        if (!mixer.usable(e) || !mixer.mode().channelOf(e) || !colour::hasChromaticity(xyz))
            continue;
        // Near the white a white; else by the hue about it, in u'v'.
        const auto off = colour::toUv(xyz) - colour::planckianUv({document_.show().white_cct_k});
        const double hue = std::atan2(off.v, off.u) * 180 / std::numbers::pi;
        const std::size_t family = std::hypot(off.u, off.v) < 0.05 ? 3
                                   : hue > -60 && hue < 75         ? 0
                                   : hue >= 75 && hue < 190        ? 1
                                                                   : 2;
        // A cyan leans to the blue side, below the white.
        all[family == 1 && off.v < 0 ? 2 : family].parts.push_back(e);
        all[4].parts.push_back(e);
    }
    std::erase_if(all, [](const Family& f) { return f.parts.empty(); });
    return all;
}

double MixModel::familyDrive(const Family& family) const {
    double most = 0;
    for (const std::size_t e : family.parts)
        most = std::max(most, drive(e));
    return most;
}

// In the proportion they have; from next to nothing all alike.
void MixModel::setFamilyDrive(const Family& family, double target, int gesture) {
    if (!focus_.focus())
        return;
    const double before = familyDrive(family);
    std::map<std::size_t, double> parts;
    for (const std::size_t e : family.parts)
        parts[e] = std::clamp(before > 0.05 ? drive(e) * target / before : target, 0.0, 1.0);
    setByHand(tr("%1 by hand").arg(family.name), parts, gesture);
}

namespace {

mix::CameraRoom room(const TypeRow& row) {
    const mix::MixWish& wish = row.lamp.colour->wish;
    return wish.intent == mix::Intent::Filmed ? mix::cameraRoom(*row.lamp.mixer, wish)
                                              : mix::CameraRoom{};
}

} // namespace

std::optional<mix::Gain> MixModel::gain() const {
    const TypeRow* row = focus_.focus();
    const light::Wanted* light = focus_.wanted();
    if (!row || !row->lamp.colour || !light || room(*row).none())
        return std::nullopt;
    return mix::gainOf(row->lamp.colour->wish, *light);
}

QString MixModel::tradeOffName() const {
    const auto of = gain();
    return of ? gainName(*of) : QString();
}

QString MixModel::noTradeOff() const {
    const auto w = focus_.wish();
    const light::Wanted* light = focus_.wanted();
    if (!w || !light || gain())
        return {};
    if (w->intent == mix::Intent::Filmed && camerasInUse(document_.show()).isEmpty())
        return tr("No camera is minded: choose one.");
    if (const TypeRow* row = focus_.focus(); row && row->lamp.colour && room(*row).none())
        return said(mix::words(room(*row)));
    return w->intent == mix::Intent::Brightest
               ? tr("Brightest gives no brightness up.")
               : tr("No curve: this colour came without a spectrum to compare with.");
}

void MixModel::askTradeOff() {
    const TypeRow* row = focus_.focus();
    if (!gain()) {
        document_.forget("trade-off");
        trade_.clear();
        trade_key_.clear();
        emit tradeOffComputed();
        return;
    }
    const auto& colour = *row->lamp.colour;
    std::string key = row->key.type + row->key.mode + light::toText(colour.wanted.asked) +
                      mix::nameOf(colour.wish.intent);
    for (const std::size_t e : colour.wish.keep_out)
        key += fmt::format("-{}", e);
    for (const auto& p : colour.wish.pins)
        key += fmt::format("={}:{}", p.part, p.drive);
    if (key == trade_key_ && colour.wish.cameras == trade_cameras_)
        return;
    trade_key_ = key;
    trade_cameras_ = colour.wish.cameras;
    document_.later(
        "trade-off", this,
        [mixer = row->lamp.mixer, colour = row->lamp.colour,
         white = Kelvin{document_.show().white_cct_k}] {
            return mix::tradeOff(*mixer, colour->wanted, colour->wish, colour::lampOf(white));
        },
        [this](const std::vector<mix::TradePoint>& points) {
            trade_ = points;
            emit tradeOffComputed();
        });
}

void MixModel::levelBrightness() {
    if (focus_.rows().size() < 2)
        return document_.tell(tr("Levelling needs two types in the lineup."));
    double weakest = focus_.rows().front().candela;
    for (const TypeRow& row : focus_.rows())
        weakest = std::min(weakest, row.candela);
    if (!(weakest > 0))
        return document_.tell(tr("One of the types gives no light: nothing to level to."));
    auto hand = document_.state().hand;
    for (const TypeRow& row : focus_.rows())
        hand = show::withIntensity(hand, row.fixtures, weakest / row.candela);
    document_.setHand(tr("Level to %1 cd").arg(numberText(weakest, 0)), hand);
}

} // namespace zelo::desk
