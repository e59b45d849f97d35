// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/crossfade_model.h"

#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "show/kept.h"
#include "show/routes.h"

#include <cmath>

namespace zelo::desk {

using colour::Uv;
using route::Kind;
using show::Crossfade;
using show::FadeEnd;

namespace {

const std::shared_ptr<const Crossfade>& fresh() {
    static const auto none = std::make_shared<const Crossfade>();
    return none;
}

bool empty(const FadeEnd& end) {
    return !end.colour && end.look.value == 0 && end.lamps.empty();
}

} // namespace

CrossfadeModel::CrossfadeModel(Document& document, FocusModel& focus, QObject* parent)
    : QObject(parent), document_(document), focus_(focus), fade_(fresh()) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Crossfade | Change::Rig | Change::Types | Change::Values |
                     Change::Palettes | Change::Lineup | Change::Focus | Change::White)) {
            rebuild();
        }
    });
}

void CrossfadeModel::setSeen(bool seen) {
    seen_ = seen;
    if (!seen)
        return letGo();
    if (late_)
        rebuild();
}

void CrossfadeModel::rebuild() {
    fade_ = document_.show().crossfade ? document_.show().crossfade : fresh();
    if (fade_->way) // what needs it is known with the picture
        way_ = *fade_->way;
    late_ = !seen_;
    if (!seen_)
        return;
    const auto focus = document_.focusType();
    document_.later(
        "crossfade", this,
        [state = document_.state(), lineup = document_.lineup(), focus, from = document_.sources(),
         &mixes = document_.mixes()] {
            return std::make_shared<const play::CrossfadePicture>(
                play::crossfadePicture(state, lineup, focus.type, focus.mode, *from, mixes));
        },
        [this](const std::shared_ptr<const play::CrossfadePicture>& picture) {
            trouble_ = picture->trouble.empty() ? QString() : said(picture->trouble);
            picture_ = picture->trouble.empty() ? picture : nullptr;
            compared_.clear();
            if (!fade_->way) {
                way_ = route::StopWay{};
                if (picture_)
                    way_.kind = picture_->focus().planned.fade.kind;
            }
            emit modelChanged();
            compare();
            if (looking() && !fades_) // the engine's own fade goes on as it was begun
                this->show();
        });
    emit modelChanged();
}

void CrossfadeModel::compare() {
    if (!picture_)
        return;
    document_.later(
        "compared ways", this,
        [show = document_.state().show, picture = picture_] {
            return play::comparedWays(*show, *picture);
        },
        [this](const std::vector<play::ComparedWay>& compared) {
            compared_ = compared;
            emit modelChanged();
        });
}

QString CrossfadeModel::trouble() const {
    if (document_.lineup().empty())
        return noLampsWords(document_.show());
    return trouble_;
}

QString CrossfadeModel::typeName() const {
    return picture_ ? toQt(picture_->focus().fading.mixer->type().name) : QString();
}

QString CrossfadeModel::endName(bool to) const {
    const FadeEnd& end = to ? fade_->to : fade_->from;
    if (end.colour) {
        if (const show::Palette* p = document_.show().palette(end.colour->palette()))
            return toQt(p->name);
        if (const auto* here = end.colour->here()) {
            if (const auto* gel = std::get_if<light::AskedGel>(&here->asked))
                if (const auto found = document_.library().gel(gel->id))
                    return tr("%1 %2", "number and name of a gel")
                        .arg(toQt(found->id), toQt(found->name));
            return toQt(light::toText(here->asked));
        }
    }
    if (const show::Look* look = document_.show().lookOf(end.look))
        return toQt(look->name);
    return end.lamps.empty() ? tr("no light") : tr("lamps as they were");
}

QString CrossfadeModel::endAbout(bool to) const {
    const FadeEnd& end = to ? fade_->to : fade_->from;
    QString about = end.colour && end.colour->palette() ? tr("palette")
                    : end.colour                        ? tr("at full")
                    : end.look.value != 0               ? tr("look")
                    : end.lamps.empty()                 ? tr("dark")
                                                        : lampCount(end.lamps.size());
    if (picture_) {
        const auto& f = picture_->focus().fading;
        const play::FadingEnd& one = to ? f.to : f.from;
        if (one.miss_uv > 0.006)
            about = tr("%1, miss %2").arg(about, numberText(one.miss_uv, 3));
    }
    return about;
}

std::optional<Uv> CrossfadeModel::endUv(bool to) const {
    if (!picture_)
        return std::nullopt;
    const auto& points = picture_->focus().planned.fade.points;
    return to ? points.back().uv : points.front().uv;
}

QString CrossfadeModel::kindName(const std::optional<route::StopWay>& way, const char* by) const {
    if (!way)
        return tr("As needed");
    const QString name = wayKindName(way->kind);
    if (way->kind != Kind::Around)
        return name;
    if (by)
        return tr("%1 by %2").arg(name, saidText(by));
    return way->side == route::Side::Ccw ? tr("%1 on the left").arg(name)
                                         : tr("%1 on the right").arg(name);
}

QString CrossfadeModel::hueName(const Uv& uv) const {
    return saidText(route::hueWord(uv, colour::planckianUv({document_.show().white_cct_k})));
}

bool CrossfadeModel::goesCcw() const {
    return picture_ && picture_->focus().planned.fade.ccw.value_or(false);
}

std::pair<QString, QString> CrossfadeModel::sideNames() const {
    if (picture_ && picture_->sides.ccw)
        return {saidText(picture_->sides.ccw), saidText(picture_->sides.cw)};
    return {tr("left"), tr("right")};
}

// --- ends

void CrossfadeModel::choose(bool to) {
    chosen_to_ = to;
    emit modelChanged();
}

void CrossfadeModel::setEnd(bool to, const QString& name, FadeEnd end) {
    edit(to ? tr("Crossfade to %1").arg(name) : tr("Crossfade from %1").arg(name),
         [&](Crossfade& fade) { (to ? fade.to : fade.from) = std::move(end); });
}

void CrossfadeModel::setEnd(bool to, const light::Asked& asked, show::PaletteId palette) {
    const show::Palette* kept = document_.show().palette(palette);
    if (kept && !kept->colour)
        return document_.tell(tr("%1 has no colour.").arg(toQt(kept->name)));
    FadeEnd end;
    if (kept) {
        end.colour = palette;
    } else {
        const auto light = document_.wanted(asked);
        if (!light)
            return document_.tell(said(light.error()));
        const auto wish = focus_.wish(); // mixed as the lineup is
        show::ColourWish next = wish.value_or(show::ColourWish{asked, {}});
        next.asked = asked;
        next.uv = (*light)->uv();
        end.colour = std::move(next);
    }
    setEnd(to, kept ? toQt(kept->name) : toQt(light::toText(asked)), std::move(end));
}

bool CrossfadeModel::takeColour(const light::Asked& asked, show::PaletteId palette) {
    const show::Palette* kept = document_.show().palette(palette);
    if (document_.lineup().empty() || (kept && !kept->colour))
        return false;
    // The first colour is where it comes from, the next one where it goes.
    const bool first = empty(fade_->from) && empty(fade_->to);
    const bool to = first ? false : empty(fade_->to) ? true : chosen_to_;
    setEnd(to, asked, palette);
    choose(first ? true : to);
    return true;
}

void CrossfadeModel::takeLamps(bool to) {
    if (document_.lineup().empty())
        return document_.tell(noLampsWords(document_.show()));
    setEnd(to, tr("lamps as they are"), show::endOf(document_.lineup(), [this](show::FixtureId id) {
               return document_.shown(id);
           }));
}

void CrossfadeModel::turnRound() {
    edit(tr("Turn the crossfade round"), [](Crossfade& fade) {
        std::swap(fade.from, fade.to);
        if (fade.way)
            fade.way = route::ledBack(*fade.way);
    });
}

// --- edits

void CrossfadeModel::edit(const QString& name, const std::function<void(Crossfade&)>& change,
                          int gesture) {
    const auto& now = document_.show().crossfade;
    Crossfade next = now ? *now : Crossfade{};
    change(next);
    document_.edit(name,
                   show::withCrossfade(document_.state().show,
                                       std::make_shared<const Crossfade>(std::move(next))),
                   gesture ? fmt::format("crossfade-{}-{}", fromQt(name), gesture) : std::string());
}

void CrossfadeModel::editWay(const QString& name,
                             const std::function<void(route::StopWay&)>& change, int gesture) {
    edit(
        name,
        [&](Crossfade& fade) {
            if (!fade.way)
                fade.way = way_;
            change(*fade.way);
        },
        gesture);
}

void CrossfadeModel::takeWay(const std::optional<route::StopWay>& way) {
    edit(tr("Way of a crossfade"), [&](Crossfade& fade) { fade.way = way; });
}

void CrossfadeModel::setWhite(double cct_k, int gesture) {
    document_.edit(tr("White of the routes"), show::withWhite(document_.state().show, cct_k),
                   gesture ? fmt::format("route-white-{}", gesture) : std::string());
}

void CrossfadeModel::setDarkFirst(bool on) {
    document_.edit(on ? tr("Colours in the dark first") : tr("Colours not in the dark first"),
                   show::withDarkFirst(document_.state().show, on));
}

void CrossfadeModel::apply(route::Cure cure) {
    switch (cure) {
    case route::Cure::ColourInDark:
        return setDarkFirst(true);
    case route::Cure::ColourInZeroTime:
        return editWay(tr("The colour jumps in the dark"), [&](route::StopWay& way) {
            way.kind = Kind::Jump;
            way.jump_at = picture_ && picture_->focus().fading.from.dark() ? 0 : 1;
        });
    case route::Cure::HomeAtZero: {
        document_.edit(
            tr("Lamps rest with their emitters at zero"),
            show::restAtZero(document_.state().show, document_.lineup(),
                             [&](const std::string& id) { return document_.library().type(id); }));
        return;
        return;
    }
    case route::Cure::OtherRoute:
        return editWay(tr("Go round the white"), [](route::StopWay& way) {
            way.kind = Kind::Around;
            way.floor = std::max(way.floor, 0.8);
        });
    }
}

route::StopWay CrossfadeModel::loosened() const {
    return route::loosened(way_, endUv(false).value_or(Uv{}), endUv(true).value_or(Uv{}));
}

void CrossfadeModel::keepRoute(const QString& name) {
    document_.edit(tr("Keep route %1").arg(name),
                   show::keepRoute(document_.state().show, fromQt(name), loosened()));
}

void CrossfadeModel::takeRoute(show::RouteId id) {
    const show::Route* route = document_.show().routes.find(id);
    if (!route)
        return;
    const auto way =
        route::fitted(route->way, endUv(false).value_or(Uv{}), endUv(true).value_or(Uv{}));
    edit(tr("Route %1").arg(toQt(route->name)), [&](Crossfade& fade) { fade.way = way; });
}

bool CrossfadeModel::betweenPalettes() const {
    return fade_->from.colour && fade_->to.colour && fade_->from.colour->palette() &&
           fade_->to.colour->palette() &&
           fade_->from.colour->palette() != fade_->to.colour->palette();
}

void CrossfadeModel::useBetween(show::RouteId id) {
    if (!betweenPalettes())
        return;
    document_.edit(
        tr("A route for every change between %1 and %2").arg(endName(false), endName(true)),
        show::routeBetween(document_.state().show, fade_->from.colour->palette(),
                           fade_->to.colour->palette(), id));
}

// --- the moment

void CrossfadeModel::setMoment(double share) {
    moment_ = std::clamp(share, 0.0, 1.0);
    if (picture_)
        show();
    emit momentChanged();
}

void CrossfadeModel::setShows(Shows shows) {
    shows_ = shows;
    if (looking())
        show();
    emit modelChanged();
}

void CrossfadeModel::setOnLamps(bool on) {
    on_lamps_ = on;
    if (looking())
        show();
    emit modelChanged();
}

void CrossfadeModel::show() {
    looking_ = true;
    fades_ = false;
    document_.lookAt(host::Session::Look{handAt(moment_), on_lamps_, 0, {}}, lookWords());
}

QString CrossfadeModel::lookWords() const {
    return tr("at %1 s of the crossfade").arg(numberText(moment_ * fade_->time_s, 1));
}

void CrossfadeModel::letGo() {
    if (!looking_)
        return;
    looking_ = fades_ = false;
    document_.lookAt(host::Session::Look{});
    emit modelChanged();
}

show::HandPtr CrossfadeModel::handAt(double share) const {
    if (!picture_)
        return document_.state().hand;
    std::vector<show::Values::Change> values;
    std::vector<
        std::pair<std::pair<const play::FadingCase*, bool>, std::shared_ptr<const show::Value>>>
        known; // most lamps are of a few cases
    const std::size_t half = picture_->lamps.size() / 2;
    for (std::size_t i = 0; i < picture_->lamps.size(); ++i) {
        const play::FadingCase* one = picture_->caseOf(i);
        if (!one)
            continue;
        const bool would = shows_ == Shows::Would || (shows_ == Shows::Halves && i < half);
        const std::pair key{one, would};
        auto it =
            std::find_if(known.begin(), known.end(), [&](const auto& k) { return k.first == key; });
        if (it == known.end()) {
            const play::SeenWay& way = would ? one->would : one->planned;
            show::Value value;
            const Uv uv = way.uvAt(share);
            value.intensity = way.levelAt(share);
            value.colour = show::ColourWish{light::AskedUv{uv.u, uv.v}, uv};
            value.parts = show::partLevels(one->fading.mixer->type(), way.drivesAt(share));
            known.emplace_back(key, std::make_shared<const show::Value>(std::move(value)));
            it = known.end() - 1;
        }
        values.emplace_back(picture_->lamps[i], it->second);
    }
    return std::make_shared<const show::Values>(document_.state().hand->changed(std::move(values)));
}

void CrossfadeModel::fadeOnLamps(double time_s) {
    fades_ = true;
    document_.lookAt(host::Session::Look{handAt(1), true, time_s, ways()}, lookWords());
}

void CrossfadeModel::follow(double share) {
    if (!on_lamps_)
        return setMoment(share);
    moment_ = share;
    emit momentChanged();
}

std::shared_ptr<const play::LampWays> CrossfadeModel::ways() const {
    auto all = std::make_shared<play::LampWays>();
    if (!picture_)
        return all;
    route::StopWay levels;
    levels.kind = Kind::Levels;
    const std::size_t half = picture_->lamps.size() / 2;
    for (std::size_t i = 0; i < picture_->lamps.size(); ++i) {
        const bool would = shows_ == Shows::Would || (shows_ == Shows::Halves && i < half);
        const play::FadingCase* one = picture_->caseOf(i);
        (*all)[picture_->lamps[i]] = {would ? std::optional(levels) : fade_->way,
                                      one ? one->fading.mixing : mix::MixWish{}};
    }
    return all;
}

} // namespace zelo::desk
