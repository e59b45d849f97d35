// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/match_model.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/rendering.h"
#include "desk/kit/qt_text.h"
#include "light/levels.h"
#include "mix/miss.h"

#include <algorithm>

namespace zelo::desk {

namespace {
constexpr double kOtherColour_uv = 0.001; // a level that moves the light farther changes its colour
}

QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white) {
    const auto way = QObject::tr(mix::words(mix::wayOf(wanted, got, white)));
    switch (mix::gradeOf(miss_uv)) {
    case mix::MissGrade::Same:
        return QObject::tr("no difference to see");
    case mix::MissGrade::SideBySide:
        return QObject::tr("barely %1, seen only side by side").arg(way);
    case mix::MissGrade::Close:
        return QObject::tr("close, a little %1").arg(way);
    case mix::MissGrade::Visible:
        return QObject::tr("visibly %1").arg(way);
    case mix::MissGrade::Different:
        break;
    }
    return QObject::tr("another colour, %1").arg(way);
}

MatchModel::MatchModel(Document& document, QObject* parent) : QObject(parent), document_(document) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (!setting_ && what.has(Change::Hand | Change::Types | Change::Rig))
            by_hand_.reset(); // undone, put down, or set elsewhere
        if (what.has(Change::Light | Change::Lineup | Change::Focus))
            rebuild();
        else if (what.has(Change::Seen))
            emit rowsChanged();
    });
}

void MatchModel::rebuild() {
    rows_.clear();
    focus_ = 0;
    const auto white = colour::planckianUv({document_.show().white_cct_k});
    for (const show::FixtureId id : document_.lineup()) {
        const auto key = document_.typeOf(id);
        const play::StageLamp* lamp = document_.stage().lamp(id);
        if (!lamp || !lamp->mixer)
            continue;
        const auto known = std::find_if(rows_.begin(), rows_.end(),
                                        [&](const TypeRow& r) { return r.key == key; });
        if (known != rows_.end()) {
            known->fixtures.push_back(id);
            continue;
        }
        TypeRow row;
        row.key = key;
        row.name = toQt(lamp->mixer->type().name);
        row.fixtures = {id};
        row.lamp = *lamp;
        // Judged at full, so that a dimmed or dark lamp still says how good its colour is.
        const auto full = mix::rounded(*lamp->mixer, lamp->drives, 1);
        row.candela = full.xyz.Y;
        auto shown = full;
        // Where its level changes its colour (tungsten, droop) that is told as it is.
        const double level = lamp->intensity * document_.stage().controls.master;
        if (level > 0 && level < 1 && colour::hasChromaticity(full.xyz)) {
            const auto at_level = mix::rounded(*lamp->mixer, lamp->drives, level);
            if (colour::hasChromaticity(at_level.xyz) &&
                colour::distance(colour::toUv(at_level.xyz), colour::toUv(full.xyz)) >
                    kOtherColour_uv) {
                shown = at_level;
                row.level = level;
            }
        }
        if (lamp->colour) {
            row.out_of_reach = lamp->colour->mix.end != mix::MixEnd::InReach && !lamp->by_hand;
            if (colour::hasChromaticity(shown.xyz)) {
                const auto got = colour::toUv(shown.xyz);
                row.miss_uv = colour::distance(lamp->colour->wanted.uv(), got);
                row.words = missWords(row.miss_uv, lamp->colour->wanted.uv(), got, white);
            } else {
                row.words = tr("no light");
            }
        } else {
            row.words = tr("no colour asked for");
        }
        if (row.level)
            row.words = tr("at %1 %: %2").arg(numberText(100 * *row.level, 0), row.words);
        row.lamp.sent = shown;
        rows_.push_back(std::move(row));
    }
    const auto key = document_.focusType();
    for (std::size_t i = 0; i < rows_.size(); ++i)
        if (rows_[i].key == key)
            focus_ = i;
    // The disc compares with what the focus wants; a type that was asked for something else says
    // so.
    if (const light::Wanted* want = wanted())
        for (TypeRow& row : rows_)
            if (row.lamp.colour && row.lamp.colour->wanted.asked != want->asked) {
                row.words = tr("shows %1").arg(toQt(light::inWords(row.lamp.colour->wanted.asked)));
                if (colour::hasChromaticity(row.lamp.sent.xyz))
                    row.miss_uv = colour::distance(want->uv(), colour::toUv(row.lamp.sent.xyz));
            }
    // The stage has caught up with the drag when it shows what the hand holds.
    if (by_hand_ && focus() && focus()->lamp.drives == *by_hand_)
        by_hand_.reset();
    for (TypeRow& row : rows_)
        if (const auto known = rf_.find({row.key.type, row.key.mode}); known != rf_.end())
            row.rf = known->second;
    emit rowsChanged();
    askTradeOff();
    askRendering();
}

void MatchModel::askRendering() {
    std::vector<std::pair<std::pair<std::string, std::string>, play::StageLamp>> lamps;
    for (const TypeRow& row : rows_)
        lamps.push_back({{row.key.type, row.key.mode}, row.lamp});
    document_.later(
        "row rendering", this,
        [lamps] {
            decltype(rf_) found;
            for (const auto& [key, lamp] : lamps) {
                double& rf = found[key] = NAN;
                if (!colour::hasChromaticity(lamp.sent.xyz))
                    continue;
                const auto cct = colour::cctOf(colour::toUv(lamp.sent.xyz));
                if (colour::indicesMeanSomething(cct))
                    rf = colour::tm30Of(light::spectrumOf(lamp.mixer->type(), lamp.sent.drives),
                                        cct->cct)
                             .rf;
            }
            return found;
        },
        [this](const decltype(rf_)& found) {
            bool changed = found.size() != rf_.size();
            for (const auto& [key, rf] : found) {
                const auto known = rf_.find(key);
                changed = changed || known == rf_.end() ||
                          (known->second != rf && !(std::isnan(known->second) && std::isnan(rf)));
            }
            rf_ = found;
            for (TypeRow& row : rows_)
                if (const auto known = rf_.find({row.key.type, row.key.mode}); known != rf_.end())
                    row.rf = known->second;
            if (changed)
                emit renderingComputed();
        });
}

const TypeRow* MatchModel::focus() const {
    return focus_ < rows_.size() ? &rows_[focus_] : nullptr;
}

const light::Wanted* MatchModel::wanted() const {
    const TypeRow* row = focus();
    return row && row->lamp.colour ? &row->lamp.colour->wanted : nullptr;
}

std::optional<show::ColourWish> MatchModel::wish() const {
    const auto fixtures = focus() ? focus()->fixtures : document_.lineup();
    if (fixtures.empty())
        return std::nullopt;
    return show::shownValue(document_.show(), *document_.state().hand, fixtures.front()).colour;
}

const light::AskedGel* MatchModel::askedGel() const {
    wish_now_ = wish();
    return wish_now_ ? std::get_if<light::AskedGel>(&wish_now_->asked) : nullptr;
}

const light::AskedWhite* MatchModel::askedWhite() const {
    wish_now_ = wish();
    return wish_now_ ? std::get_if<light::AskedWhite>(&wish_now_->asked) : nullptr;
}

QString MatchModel::headline() const {
    const auto w = wish();
    if (!w)
        return {};
    if (const auto* gel = askedGel())
        return toQt(gel->id);
    if (const auto* white = askedWhite())
        return numberText(white->cct_k, 0);
    const QStringList names{{},           {}, tr("x y"), tr("u′ v′"), tr("hex"), tr("measured"),
                            tr("palette")};
    return names[static_cast<int>(w->asked.index())];
}

QString MatchModel::headlineName() const {
    const auto w = wish();
    if (!w)
        return {};
    if (const auto* gel = askedGel()) {
        const auto found = document_.library().gel(gel->id);
        return found ? toQt(found->name) : tr("not in the book");
    }
    if (askedWhite())
        return tr("kelvin white");
    if (const auto* c = std::get_if<light::AskedXy>(&w->asked))
        return tr("%1, %2").arg(numberText(c->x, 4), numberText(c->y, 4));
    if (const auto* c = std::get_if<light::AskedUv>(&w->asked))
        return tr("%1, %2").arg(numberText(c->u, 4), numberText(c->v, 4));
    return toQt(light::toText(w->asked)).section(':', 1);
}

QString MatchModel::kindText() const {
    const auto w = wish();
    if (!w)
        return tr("pick a colour from the swatch book");
    if (askedGel())
        return tr("gel, under a lamp of");
    if (askedWhite())
        return tr("white, with a tint of");
    if (std::holds_alternative<light::AskedPalette>(w->asked))
        return tr("palette, as it is now");
    if (std::holds_alternative<light::AskedMeasured>(w->asked))
        return tr("measured light");
    return tr("typed colour");
}

std::optional<double> MatchModel::lampK() const {
    const auto* gel = askedGel();
    if (!gel || !gel->lamp.empty())
        return std::nullopt;
    return gel->lamp_k.value_or(light::kGelLampK);
}

std::optional<double> MatchModel::whiteK() const {
    const auto* white = askedWhite();
    return white ? std::optional(white->cct_k) : std::nullopt;
}

std::optional<double> MatchModel::whiteDuv() const {
    const auto* white = askedWhite();
    return white ? std::optional(white->duv.value_or(0)) : std::nullopt;
}

void MatchModel::editWishes(const QString& name, bool whole_lineup, int gesture,
                            const std::function<void(show::ColourWish&)>& change,
                            bool from_nothing) {
    const auto fixtures = whole_lineup || !focus() ? document_.lineup() : focus()->fixtures;
    if (fixtures.empty())
        return document_.tell(tr("No lamps in the lineup: choose some first."));
    by_hand_.reset();
    auto hand = document_.state().hand;
    for (const show::FixtureId id : fixtures) {
        auto wish = show::shownValue(*document_.state().show, *hand, id).colour;
        if (!wish && !from_nothing)
            continue;
        if (!wish)
            wish = show::ColourWish{};
        change(*wish);
        if (const auto read = document_.wanted(wish->asked))
            wish->uv = (*read)->uv();
        hand = show::withColour(hand, {id}, *wish);
    }
    document_.setHand(name, hand,
                      gesture ? fmt::format("{}-{}", fromQt(name), gesture) : std::string());
}

void MatchModel::pick(const std::string& notation) {
    if (const auto asked = light::parseAsked(notation))
        pick(*asked);
    else
        document_.tell(toQt(asked.error().text()));
}

void MatchModel::pick(const light::Asked& wanted, int gesture) {
    light::Asked asked = wanted;
    // A gel picked without a lamp keeps the lamp that is in use.
    if (auto* gel = std::get_if<light::AskedGel>(&asked); gel && !gel->lamp_k && gel->lamp.empty())
        gel->lamp_k = lampK();
    if (const auto read = document_.wanted(asked); !read)
        return document_.tell(toQt(read.error().text()));
    // A drag has one name, so that it is one step.
    editWishes(
        gesture ? tr("Colour") : tr("Colour %1").arg(toQt(light::inWords(asked))), true, gesture,
        [&](show::ColourWish& w) { w.asked = asked; }, true);
    remember(asked, gesture);
}

void MatchModel::setLampK(double kelvin, int gesture) {
    editWishes(tr("Lamp behind the gel"), true, gesture, [&](show::ColourWish& w) {
        if (auto* gel = std::get_if<light::AskedGel>(&w.asked)) {
            gel->lamp_k = kelvin;
            gel->lamp.clear();
        }
    });
}

void MatchModel::setWhite(double kelvin, double duv, int gesture) {
    const light::AskedWhite white{kelvin, duv == 0 ? std::nullopt : std::optional(duv)};
    editWishes(
        tr("White"), true, gesture, [&](show::ColourWish& w) { w.asked = white; }, true);
}

void MatchModel::setIntent(mix::Intent intent) {
    const QStringList names{tr("Brightest"), tr("Truest"), tr("Kindest"), tr("Leanest")};
    editWishes(names.value(static_cast<int>(intent)), true, 0,
               [&](show::ColourWish& w) { w.intent = intent; });
}

void MatchModel::setGiveUp(double share, int gesture) {
    editWishes(tr("Give-up"), true, gesture, [&](show::ColourWish& w) {
        w.give_up = std::clamp(share, 0.0, 1.0);
        if (w.intent == mix::Intent::Brightest)
            w.intent = mix::Intent::Truest;
    });
}

std::string MatchModel::emitterName(std::size_t emitter) const {
    return focus()->lamp.mixer->type().partName(emitter);
}

double MatchModel::drive(std::size_t emitter) const {
    const bool ahead = by_hand_ && by_hand_of_ == focus()->lamp.mixer;
    const auto& drives = ahead ? *by_hand_ : focus()->lamp.drives;
    return emitter < drives.size() ? drives[emitter] : 0;
}

void MatchModel::setDrive(std::size_t emitter, double drive, int gesture) {
    if (!focus())
        return;
    if (holding_ && wanted()) {
        const std::string pin = emitterName(emitter);
        return editWishes(tr("%1 held at a level").arg(toQt(pin)), false, gesture,
                          [&](show::ColourWish& w) {
                              std::erase(w.keep_out, pin);
                              std::erase_if(w.pins, [&](const auto& p) { return p.first == pin; });
                              w.pins.emplace_back(pin, std::clamp(drive, 0.0, 1.0));
                          });
    }
    setByHand(tr("%1 by hand").arg(toQt(emitterName(emitter))),
              {{emitter, std::clamp(drive, 0.0, 1.0)}}, gesture);
}

void MatchModel::solveAgain() {
    editWishes(tr("Solve again"), false, 0, [](show::ColourWish&) {});
}

bool MatchModel::keptOut(std::size_t emitter) const {
    const auto w = wish();
    return w && focus() &&
           std::find(w->keep_out.begin(), w->keep_out.end(), emitterName(emitter)) !=
               w->keep_out.end();
}

bool MatchModel::pinned(std::size_t emitter) const {
    const auto w = wish();
    return w && focus() && std::any_of(w->pins.begin(), w->pins.end(), [&](const auto& p) {
               return p.first == emitterName(emitter);
           });
}

void MatchModel::toggleKeepOut(std::size_t emitter) {
    if (!focus())
        return;
    const std::string name = emitterName(emitter);
    const bool out = keptOut(emitter);
    editWishes(out ? tr("Use %1 again").arg(toQt(name)) : tr("Keep %1 out").arg(toQt(name)), false,
               0, [&](show::ColourWish& w) {
                   std::erase(w.keep_out, name);
                   std::erase_if(w.pins, [&](const auto& p) { return p.first == name; });
                   if (!out)
                       w.keep_out.push_back(name);
               });
}

void MatchModel::togglePin(std::size_t emitter) {
    if (!focus())
        return;
    const std::string name = emitterName(emitter);
    const bool was = pinned(emitter);
    const double at = drive(emitter);
    editWishes(was ? tr("Unpin %1").arg(toQt(name)) : tr("Pin %1").arg(toQt(name)), false, 0,
               [&](show::ColourWish& w) {
                   std::erase(w.keep_out, name);
                   std::erase_if(w.pins, [&](const auto& p) { return p.first == name; });
                   if (!was)
                       w.pins.emplace_back(name, at);
               });
}

QString MatchModel::lampsText() const {
    const TypeRow* row = focus();
    if (!row)
        return {};
    std::vector<int> numbers;
    for (const show::FixtureId id : row->fixtures)
        numbers.push_back(document_.show().fixture(id)->number);
    std::sort(numbers.begin(), numbers.end());
    QStringList runs;
    for (std::size_t i = 0; i < numbers.size();) {
        std::size_t end = i;
        while (end + 1 < numbers.size() && numbers[end + 1] == numbers[end] + 1)
            ++end;
        runs << (end > i ? QStringLiteral("%1–%2").arg(numbers[i]).arg(numbers[end])
                         : QString::number(numbers[i]));
        i = end + 1;
    }
    const QString lamps = numbers.size() == 1 ? tr("lamp %1") : tr("lamps %1");
    return QStringLiteral("%1, %2").arg(row->name, lamps.arg(runs.join(", ")));
}

QString MatchModel::tradeOffName() const {
    const auto w = wish();
    const light::Wanted* light = wanted();
    if (!w || !light)
        return {};
    const auto gain = mix::gainOf(w->intent, *light);
    if (!gain)
        return {};
    switch (*gain) {
    case mix::Gain::Ssi:
        return tr("SSI");
    case mix::Gain::Rf:
        return tr("R_f");
    case mix::Gain::Agreement:
        return tr("agreement");
    case mix::Gain::Watts:
        break;
    }
    return tr("watts");
}

void MatchModel::askTradeOff() {
    const TypeRow* row = focus();
    if (!row || !row->lamp.colour || !row->lamp.colour->wanted.spectrum ||
        row->lamp.colour->wish.intent == mix::Intent::Brightest) {
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
    if (key == trade_key_)
        return;
    trade_key_ = key;
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

} // namespace zelo::desk
