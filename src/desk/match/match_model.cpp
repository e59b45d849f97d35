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

// The parts of cct:K/DUV; nothing for any other notation.
std::optional<std::pair<double, double>> whiteParts(const std::string& asked) {
    if (!startsWith(asked, "cct:"))
        return std::nullopt;
    const auto parts = split(std::string_view(asked).substr(4), '/');
    const auto k = toNumber(parts[0]);
    const auto duv = parts.size() > 1 ? toNumber(parts[1]) : std::optional<double>(0);
    return k && duv ? std::optional(std::pair(*k, *duv)) : std::nullopt;
}

std::string whiteText(double kelvin, double duv) {
    return duv == 0 ? fmt::format("cct:{:.0f}", kelvin)
                    : fmt::format("cct:{:.0f}/{:.4f}", kelvin, duv);
}

} // namespace

QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white) {
    const auto way = QObject::tr(mix::words(mix::wayOf(wanted, got, white)));
    switch (mix::gradeOf(miss_uv)) {
    case mix::MissGrade::Same:
        return QObject::tr("no difference to see");
    case mix::MissGrade::SideBySide:
        return QObject::tr("a hair %1, side by side only").arg(way);
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
    connect(&document_, &Document::stageComputed, this, &MatchModel::rebuild);
    connect(&document_, &Document::lineupChanged, this, &MatchModel::rebuild);
    connect(&document_, &Document::seenByChanged, this, &MatchModel::rowsChanged);
    connect(&document_, &Document::focusTypeChanged, this, &MatchModel::rebuild);
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
        if (lamp->colour) {
            row.out_of_reach = lamp->colour->mix.end != mix::MixEnd::InReach && !lamp->by_hand;
            if (colour::hasChromaticity(full.xyz)) {
                const auto got = colour::toUv(full.xyz);
                row.miss_uv = colour::distance(lamp->colour->wanted.uv(), got);
                row.words = missWords(row.miss_uv, lamp->colour->wanted.uv(), got, white);
            } else {
                row.words = tr("no light");
            }
        } else {
            row.words = tr("no colour asked for");
        }
        row.lamp.sent = full;
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
                row.words = tr("shows %1").arg(toQt(row.lamp.colour->wanted.asked));
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
    auto& session = document_.session();
    const auto fixtures = focus() ? focus()->fixtures : document_.lineup();
    if (fixtures.empty())
        return std::nullopt;
    return show::shownValue(*session.show(), *session.hand(), fixtures.front()).colour;
}

QString MatchModel::headline() const {
    const auto w = wish();
    if (!w)
        return {};
    if (const auto gel = light::parseGelText(w->asked))
        return toQt(gel->id);
    if (const auto white = whiteParts(w->asked))
        return numberText(white->first, 0);
    return toQt(w->asked.substr(0, w->asked.find(':')));
}

QString MatchModel::headlineName() const {
    const auto w = wish();
    if (!w)
        return {};
    if (const auto gel = light::parseGelText(w->asked)) {
        const auto found = document_.session().library().gel(gel->id);
        return found ? toQt(found->name) : tr("not in the book");
    }
    if (const auto white = whiteParts(w->asked))
        return tr("kelvin white");
    return toQt(w->asked.substr(w->asked.find(':') + 1));
}

QString MatchModel::kindText() const {
    const auto w = wish();
    if (!w)
        return tr("pick a colour from the swatch book");
    if (light::parseGelText(w->asked))
        return tr("gel, under a lamp of");
    if (whiteParts(w->asked))
        return tr("white, with a tint of");
    if (w->asked.rfind("palette:", 0) == 0)
        return tr("palette, as it is now");
    if (w->asked.rfind("spd:", 0) == 0)
        return tr("measured light");
    return tr("typed colour");
}

std::optional<double> MatchModel::lampK() const {
    const auto w = wish();
    const auto gel = w ? light::parseGelText(w->asked) : std::nullopt;
    if (!gel)
        return std::nullopt;
    return gel->lamp.empty() ? light::kGelLampK : toNumber(gel->lamp);
}

std::optional<double> MatchModel::whiteK() const {
    const auto w = wish();
    const auto white = w ? whiteParts(w->asked) : std::nullopt;
    return white ? std::optional(white->first) : std::nullopt;
}

std::optional<double> MatchModel::whiteDuv() const {
    const auto w = wish();
    const auto white = w ? whiteParts(w->asked) : std::nullopt;
    return white ? std::optional(white->second) : std::nullopt;
}

void MatchModel::editWishes(const QString& name, bool whole_lineup, int gesture,
                            const std::function<void(show::ColourWish&)>& change) {
    auto& session = document_.session();
    const auto fixtures = whole_lineup || !focus() ? document_.lineup() : focus()->fixtures;
    if (fixtures.empty())
        return document_.tell(tr("No lamps in the lineup: choose some first."));
    by_hand_.reset();
    auto hand = session.hand();
    for (const show::FixtureId id : fixtures) {
        auto wish = show::shownValue(*session.show(), *hand, id).colour;
        if (!wish)
            wish = show::ColourWish{};
        change(*wish);
        if (wish->asked.empty())
            continue;
        if (const auto read = session.mixes().wanted(wish->asked))
            wish->uv = read->uv();
        hand = show::withColour(hand, {id}, *wish);
    }
    session.setHand(fromQt(name), hand,
                    gesture ? fmt::format("{}-{}", fromQt(name), gesture) : std::string());
}

void MatchModel::pick(const std::string& asked, int gesture) {
    std::string text = asked;
    // A gel picked without a lamp keeps the lamp that is in use.
    if (auto gel = light::parseGelText(asked); gel && gel->lamp.empty()) {
        if (const auto k = lampK())
            gel->lamp = fmt::format("{:.0f}", *k);
        text = light::toText(*gel);
    }
    if (const auto read = document_.session().mixes().wanted(text); !read)
        return document_.tell(toQt(read.error().text()));
    // A drag has one name, so that it is one step.
    editWishes(gesture ? tr("Colour") : tr("Colour %1").arg(toQt(text)), true, gesture,
               [&](show::ColourWish& w) { w.asked = text; });
    remember(text, gesture);
}

void MatchModel::setLampK(double kelvin, int gesture) {
    editWishes(tr("Lamp behind the gel"), true, gesture, [&](show::ColourWish& w) {
        if (auto gel = light::parseGelText(w.asked)) {
            gel->lamp = fmt::format("{:.0f}", kelvin);
            w.asked = light::toText(*gel);
        }
    });
}

void MatchModel::setWhite(double kelvin, double duv, int gesture) {
    editWishes(tr("White"), true, gesture,
               [&](show::ColourWish& w) { w.asked = whiteText(kelvin, duv); });
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
    const auto& drives = by_hand_ ? *by_hand_ : focus()->lamp.drives;
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
    startByHand();
    (*by_hand_)[emitter] = std::clamp(drive, 0.0, 1.0);
    auto& session = document_.session();
    const auto name = fmt::format("{} by hand", emitterName(emitter));
    session.setHand(name,
                    shining(show::withDrives(session.hand(), focus()->fixtures, *by_hand_, wish())),
                    fmt::format("{}-{}", name, gesture));
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
    std::string key =
        row->key.type + row->key.mode + colour.wanted.asked + mix::nameOf(colour.wish.intent);
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
