// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/focus/focus_model.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/rendering.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "light/levels.h"

#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr double kOtherColour_uv = 0.001; // a level that moves the light farther changes its colour
}

FocusModel::FocusModel(Document& document, QObject* parent) : QObject(parent), document_(document) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Light | Change::Lineup | Change::Focus))
            rebuild();
        else if (what.has(Change::Seen)) {
            askCameras();
            emit rowsChanged();
        }
    });
}

void FocusModel::rebuild() {
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
        const double level = lamp->mastered;
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
                row.words = tr("shows %1").arg(said(light::inWords(row.lamp.colour->wanted.asked)));
                if (colour::hasChromaticity(row.lamp.sent.xyz))
                    row.miss_uv = colour::distance(want->uv(), colour::toUv(row.lamp.sent.xyz));
            }
    for (TypeRow& row : rows_)
        if (const auto known = rf_.find({row.key.type, row.key.mode}); known != rf_.end())
            row.rf = known->second;
    askCameras();
    emit rowsChanged();
}

const mix::CameraMiss* TypeRow::worstCamera() const {
    const mix::CameraMiss* worst = nullptr;
    for (const auto& of : cameras)
        if (of.miss && (!worst || *of.miss > *worst->miss))
            worst = &of;
    return worst;
}

// A colour typed as numbers has no light that a camera could see.
void FocusModel::askCameras() {
    const light::Wanted* want = wanted();
    const auto minded = document_.sources()->cameras();
    const colour::Camera* through = document_.colours().camera();
    for (TypeRow& row : rows_) {
        row.cameras.clear();
        row.exact_for_camera =
            minded && row.lamp.colour && row.lamp.colour->wish.exactFor() != nullptr;
        if (!want || !want->spectrum || !(row.lamp.sent.xyz.Y > 0) || (!through && !minded))
            continue;
        const auto got = light::spectrumOf(row.lamp.mixer->type(), row.lamp.sent.drives);
        row.cameras = through ? mix::missByCamera(*want->spectrum, got, {*through})
                              : mix::missByCamera(*want->spectrum, got, *minded);
    }
}

void FocusModel::askRendering() {
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

const TypeRow* FocusModel::focus() const {
    return focus_ < rows_.size() ? &rows_[focus_] : nullptr;
}

const light::Wanted* FocusModel::wanted() const {
    const TypeRow* row = focus();
    return row && row->lamp.colour ? &row->lamp.colour->wanted : nullptr;
}

std::optional<show::ColourWish> FocusModel::wish() const {
    const auto fixtures = focus() ? focus()->fixtures : document_.lineup();
    if (fixtures.empty())
        return std::nullopt;
    return document_.shown(fixtures.front()).colour;
}

// How a gradient is mixed is the gradient's: its lamps stay in it. False when the change asks for
// another colour: then the lamp leaves it.
bool FocusModel::mixedAnew(const show::LayingPtr& laying, show::FixtureId id,
                           const std::function<void(show::ColourWish&)>& change,
                           show::HandPtr& hand, std::set<show::LayingPtr>& done) {
    const show::Gradient* old = show::gradientOf(document_.show(), *laying);
    auto wish = document_.shown(*hand, id).colour;
    if (!old || !wish)
        return false;
    const light::Asked asked = wish->asked;
    change(*wish);
    if (!(wish->asked == asked))
        return false;
    show::Gradient next = *old;
    next.intent = wish->intent;
    next.give_up = wish->give_up;
    next.keep_out = wish->keep_out;
    next.pins = wish->pins;
    next.exact_for_camera = wish->exact_for_camera;
    show::Laying copy = *laying;
    copy.own = std::make_shared<const show::Gradient>(std::move(next));
    const auto changed = std::make_shared<const show::Laying>(std::move(copy));
    hand = show::withLayingChanged(document_.state(), hand, laying, changed);
    done.insert(changed);
    return true;
}

void FocusModel::editWishes(const QString& name, bool whole_lineup, int gesture,
                            const std::function<void(show::ColourWish&)>& change,
                            bool from_nothing) {
    const auto fixtures = whole_lineup || !focus() ? document_.lineup() : focus()->fixtures;
    if (fixtures.empty())
        return document_.tell(noLampsWords(document_.show()));
    auto hand = document_.state().hand;
    std::set<show::LayingPtr> layings; // whose mixing was changed already
    for (const show::FixtureId id : fixtures) {
        const auto value = show::valueOf(document_.show(), *hand, id);
        if (const auto* laid = value.colour ? value.colour->laying() : nullptr;
            laid && (layings.contains(*laid) || mixedAnew(*laid, id, change, hand, layings)))
            continue;
        auto wish = document_.shown(*hand, id).colour;
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

QString FocusModel::lampsText() const {
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
    const QString lamps = tr("lamp(s) %1", nullptr, static_cast<int>(numbers.size()));
    return QStringLiteral("%1, %2").arg(row->name, lamps.arg(runs.join(", ")));
}

} // namespace zelo::desk
