// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/gradient_model.h"

#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/taken_colour.h"
#include "route/disc.h"
#include "route/gradient.h"

#include <algorithm>
#include <cmath>

namespace zelo::desk {

using colour::Uv;
using show::Gradient;

namespace {

constexpr double kLeastGap = 0.001; // between stops that stand by hand

} // namespace

GradientModel::GradientModel(Document& document, FocusModel& focus, QObject* parent)
    : QObject(parent), document_(document), focus_(focus),
      laid_(std::make_shared<const play::LaidOut>()) {
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Light | Change::Lineup | Change::Focus))
            rebuild();
        else if (what.has(Change::Seen)) {
            plain_.clear(); // as who looks on sees it
            emit modelChanged();
        }
    });
}

// All from one moment of the light, so that its parts fit together.
void GradientModel::rebuild() {
    const play::Stage& stage = document_.stage();
    laying_ = show::layingOf(stage.state, document_.lineup());
    const auto laid = laying_ ? stage.laid.find(laying_) : stage.laid.end();
    if (laid == stage.laid.end() || !laid->second->gradient) {
        laying_.reset();
        gradient_.reset();
        laid_ = std::make_shared<const play::LaidOut>();
    } else if (laid->second != laid_) {
        laid_ = laid->second;
        gradient_ = laid_->gradient;
        judged_ = play::judged(*laid_, stage.show());
        plain_.clear();
        first_end_.reset();
    }
    emit modelChanged();
}

const std::vector<colour::Xyz>& GradientModel::plain() const {
    if (plain_.empty()) {
        const auto levels = play::plainLevels(*laid_);
        for (std::size_t i = 0; i < levels.size(); ++i)
            plain_.push_back(levels[i].empty()
                                 ? colour::Xyz{}
                                 : mix::shownBy(document_.colours().camera(),
                                                *laid_->lamps[i].colour->mixer, levels[i]));
    }
    return plain_;
}

QString GradientModel::name() const {
    const show::Palette* p = laying_ ? document_.show().palette(laying_->palette) : nullptr;
    return p ? toQt(p->name) : QString();
}

bool GradientModel::changed() const {
    return laying_ && laying_->own && document_.show().palette(laying_->palette);
}

bool GradientModel::covers() const {
    return laying_ && laying_->lamps == document_.lineup();
}

double GradientModel::stepBetween(show::FixtureId a, show::FixtureId b) const {
    const auto first = laid_->placeOf(a);
    const auto second = laid_->placeOf(b);
    if (!laying_ || !first || !second || *second != *first + 1)
        return NAN;
    return judged_.steps[*first];
}

double GradientModel::missOf(show::FixtureId id) const {
    const auto place = laid_->placeOf(id);
    return laying_ && place ? judged_.miss_uv[*place] : NAN;
}

QString GradientModel::typeName(std::size_t type) const {
    const auto& of = laid_->types[type];
    const auto known = document_.library().type(of.type);
    return known ? toQt(known->name) : toQt(of.type);
}

QString GradientModel::stopName(std::size_t stop) const {
    return nameOf(document_, gradient_->stops[stop].colour, laid_->asked[stop]);
}

std::vector<Uv> GradientModel::ribbon(int places) const {
    return play::ribbonOf(*laid_, document_.show(), places);
}

colour::Polygon GradientModel::reach() const {
    if (!laid_->reach.empty())
        return laid_->reach;
    return focus_.focus() ? focus_.focus()->lamp.mixer->hull() : colour::Polygon();
}

namespace {

std::optional<route::AroundWay> around(const colour::Polygon& reach, const Uv& white,
                                       const Uv& from, const Uv& to, const route::StopWay& way,
                                       std::optional<route::Side> side = {}) {
    const auto disc = route::Disc::of(reach, white);
    if (!disc)
        return std::nullopt;
    std::vector<Uv> through{from};
    through.insert(through.end(), way.via.begin(), way.via.end());
    through.push_back(to);
    return route::aroundWay(*disc, through, way.floor, side.value_or(way.side),
                            side ? std::nullopt : way.keep_out);
}

} // namespace

std::vector<Uv> GradientModel::wayOf(std::size_t way) const {
    const route::StopWay& w = gradient_->ways[way];
    const Uv from = laid_->stops[way];
    const Uv to = laid_->stops[way + 1];
    std::vector<Uv> line{from};
    if (w.kind == route::Kind::Around) {
        if (const auto found =
                around(reach(), colour::planckianUv({document_.show().white_cct_k}), from, to, w))
            for (int i = 1; i < 48; ++i)
                line.push_back(found->curve(i / 48.0));
    } else if (w.kind == route::Kind::Straight) {
        line.insert(line.end(), w.via.begin(), w.via.end());
    }
    line.push_back(to);
    return line;
}

std::pair<QString, QString> GradientModel::sideNames(std::size_t way) const {
    const auto disc = route::Disc::of(reach(), colour::planckianUv({document_.show().white_cct_k}));
    const auto words = disc ? route::sideWords(*disc, laid_->stops[way], laid_->stops[way + 1],
                                               gradient_->ways[way].floor)
                            : route::SideWords{};
    return words.ccw ? std::pair(saidText(words.ccw), saidText(words.cw))
                     : std::pair(tr("left"), tr("right"));
}

bool GradientModel::goesCcw(std::size_t way) const {
    const auto found = around(reach(), colour::planckianUv({document_.show().white_cct_k}),
                              laid_->stops[way], laid_->stops[way + 1], gradient_->ways[way]);
    return found && found->ccw;
}

std::size_t GradientModel::stop() const {
    return gradient_ ? std::min(stop_, gradient_->stops.size() - 1) : stop_;
}

std::size_t GradientModel::way() const {
    return std::min(stop(), gradient_->ways.size() - 1);
}

const std::optional<std::size_t>& GradientModel::intensityStop() const {
    static const std::optional<std::size_t> none;
    return gradient_ && gradient_->bright == show::Bright::Spread && intensity_stop_ &&
                   *intensity_stop_ < gradient_->intensities.size()
               ? intensity_stop_
               : none;
}

void GradientModel::choose(std::size_t stop) {
    stop_ = stop;
    intensity_stop_.reset();
    emit modelChanged();
}

void GradientModel::chooseIntensity(std::size_t stop) {
    intensity_stop_ = stop;
    emit modelChanged();
}

// --- beginning one

show::GradientStop GradientModel::stopOf(const light::Asked& asked, show::PaletteId palette) const {
    auto taken = takenColour(document_, asked, palette);
    return {std::move(taken.colour), taken.uv, {}, {}};
}

void GradientModel::begin(show::GradientStop first, show::GradientStop last) {
    Gradient g;
    g.stops = {std::move(first), std::move(last)};
    g.ways.resize(1);
    const auto hand = show::withGradient(document_.state().hand, document_.lineup(), std::move(g));
    if (!hand)
        return document_.tell(said(hand.error()));
    first_end_.reset();
    stop_ = 1;
    document_.setHand(tr("Begin a gradient"), *hand);
}

void GradientModel::beginFromLineup() {
    const auto& lineup = document_.lineup();
    if (lineup.size() < 2)
        return document_.tell(tr("A gradient begins from two lamps or more: choose some first."));
    const auto first = takenColour(document_, lineup.front());
    const auto last = takenColour(document_, lineup.back());
    if (!first || !last)
        return document_.tell(tr("The first or the last lamp has no colour: give them one first."));
    begin({first->colour, first->uv, {}, {}}, {last->colour, last->uv, {}, {}});
}

bool GradientModel::takeColour(const light::Asked& asked, show::PaletteId palette) {
    const show::Palette* kept = document_.show().palette(palette);
    if (document_.lineup().empty() || (kept && !kept->colour))
        return false;
    if (gradient_) {
        setStopColour(stop(), asked, palette);
        return true;
    }
    if (!first_end_) {
        first_end_ = stopOf(asked, palette);
        emit modelChanged();
    } else {
        begin(*first_end_, stopOf(asked, palette));
    }
    return true;
}

// --- edits

void GradientModel::edit(const QString& name, const How& change, int gesture) {
    const show::State& state = document_.state();
    const auto laying = show::layingOf(state, document_.lineup());
    const Gradient* now = laying ? show::gradientOf(*state.show, *laying) : nullptr;
    if (!now)
        return;
    Gradient next = *now;
    change(next);
    const auto hand = show::withGradient(state.hand, document_.lineup(), next, laying->palette);
    if (!hand)
        return document_.tell(said(hand.error()));
    document_.setHand(name, *hand,
                      gesture ? fmt::format("gradient-{}-{}", fromQt(name), gesture)
                              : std::string());
}

void GradientModel::editWay(const QString& name, const std::function<void(route::StopWay&)>& change,
                            int gesture) {
    if (!gradient_)
        return;
    edit(
        name, [&, at = way()](Gradient& g) { change(g.ways[std::min(at, g.ways.size() - 1)]); },
        gesture);
}

void GradientModel::addStop(double at, std::optional<light::Asked> asked, show::PaletteId palette) {
    if (!gradient_)
        return;
    const auto positions = laid_->at;
    at = std::clamp(at, 0.0, 1.0);
    if (!asked && !palette) { // its colour there, as it is now
        const auto all = ribbon(1001);
        const Uv uv = all[static_cast<std::size_t>(std::lround(at * 1000))];
        asked = light::AskedUv{uv.u, uv.v};
    }
    auto stop = stopOf(asked.value_or(light::AskedUv{}), palette);
    for (const double other : positions) // beside one that stands there
        if (std::abs(other - at) < kLeastGap)
            at = std::clamp(other + (other < 0.5 ? 1 : -1) * 0.02, 0.0, 1.0);
    stop.at = at;
    std::size_t place = 0;
    edit(tr("Add a stop"), [&](Gradient& g) {
        // Its neighbours stay where they are.
        for (std::size_t i = 1; i + 1 < g.stops.size() && i < positions.size(); ++i)
            if (!g.stops[i].at)
                g.stops[i].at = positions[i];
        place = show::addStop(g, std::move(stop), positions);
    });
    choose(place);
}

void GradientModel::setStopColour(std::size_t stop, const light::Asked& asked,
                                  show::PaletteId palette, int gesture) {
    auto next = stopOf(asked, palette);
    edit(
        tr("Colour of a stop"),
        [&](Gradient& g) {
            if (stop >= g.stops.size())
                return;
            g.stops[stop].colour = next.colour;
            g.stops[stop].uv = next.uv;
        },
        gesture);
}

void GradientModel::moveStop(std::size_t stop, double at, int gesture) {
    if (!gradient_ || stop >= laid_->at.size())
        return;
    const auto& positions = laid_->at;
    edit(
        tr("Move a stop"),
        [&](Gradient& g) {
            if (stop >= g.stops.size() || positions.size() != g.stops.size())
                return;
            const double least = stop > 0 ? positions[stop - 1] + kLeastGap : 0;
            const double most = stop + 1 < positions.size() ? positions[stop + 1] - kLeastGap : 1;
            g.stops[stop].at = std::clamp(at, least, std::max(least, most));
        },
        gesture);
}

void GradientModel::freeStop(std::size_t stop) {
    edit(tr("Stop evenly between its neighbours"), [&](Gradient& g) {
        if (stop < g.stops.size())
            g.stops[stop].at.reset();
    });
}

void GradientModel::removeStop(std::size_t stop) {
    if (!gradient_)
        return;
    if (gradient_->stops.size() < 3)
        return document_.tell(tr("A gradient keeps two stops at least."));
    edit(tr("Remove a stop"), [&](Gradient& g) {
        if (stop < g.stops.size() && g.stops.size() > 2)
            show::removeStop(g, stop);
    });
    choose(stop > 0 ? stop - 1 : 0);
}

void GradientModel::moveIntensity(std::size_t stop, double at, int gesture) {
    const auto positions = laid_->intensities_at;
    if (stop >= positions.size())
        return;
    edit(
        tr("Move a stop of intensity"),
        [&](Gradient& g) {
            if (stop >= g.intensities.size() || positions.size() != g.intensities.size())
                return;
            const double least = stop > 0 ? positions[stop - 1] + kLeastGap : 0;
            const double most = stop + 1 < positions.size() ? positions[stop + 1] - kLeastGap : 1;
            g.intensities[stop].at = std::clamp(at, least, std::max(least, most));
        },
        gesture);
}

void GradientModel::setIntensity(std::size_t stop, double intensity, int gesture) {
    edit(
        tr("Intensity of a stop"),
        [&](Gradient& g) {
            if (stop < g.intensities.size())
                g.intensities[stop].intensity = std::clamp(intensity, 0.0, 1.0);
        },
        gesture);
}

void GradientModel::addIntensity(double at) {
    const auto positions = laid_->intensities_at;
    if (!gradient_ || positions.size() < 2)
        return;
    const auto behind = static_cast<std::size_t>(
        std::upper_bound(positions.begin(), positions.end(), at) - positions.begin());
    edit(tr("Add a stop of intensity"), [&](Gradient& g) {
        if (positions.size() != g.intensities.size())
            return;
        for (std::size_t i = 1; i + 1 < positions.size(); ++i)
            g.intensities[i].at = positions[i];
        const auto& a = g.intensities[behind > 0 ? behind - 1 : 0];
        const auto& b = g.intensities[std::min(behind, g.intensities.size() - 1)];
        const show::IntensityStop stop{
            (a.intensity + b.intensity) / 2, std::clamp(at, 0.0, 1.0), {}};
        g.intensities.insert(g.intensities.begin() + static_cast<std::ptrdiff_t>(behind), stop);
    });
    chooseIntensity(behind);
}

void GradientModel::removeIntensity(std::size_t stop) {
    if (gradient_ && gradient_->intensities.size() < 3)
        return document_.tell(tr("A gradient keeps two stops at least."));
    edit(tr("Remove a stop of intensity"), [&](Gradient& g) {
        if (stop < g.intensities.size() && g.intensities.size() > 2)
            g.intensities.erase(g.intensities.begin() + static_cast<std::ptrdiff_t>(stop));
    });
    chooseIntensity(stop > 0 ? stop - 1 : 0);
}

bool GradientModel::stopsOutside() const {
    if (!gradient_ || laid_->reach.empty())
        return false;
    for (std::size_t i = 0; i < laid_->stops.size(); ++i)
        if (colour::distance(laid_->stops[i], laid_->asked[i]) > 1e-4)
            return true;
    return false;
}

void GradientModel::pullIntoReach() {
    if (!stopsOutside())
        return;
    const auto stops = laid_->stops;
    const auto asked = laid_->asked;
    edit(tr("Pull the stops into reach of all"), [&](Gradient& g) {
        for (std::size_t i = 0; i < g.stops.size() && i < stops.size(); ++i)
            if (colour::distance(stops[i], asked[i]) > 1e-4) {
                g.stops[i].colour = light::Asked(light::AskedUv{stops[i].u, stops[i].v});
                g.stops[i].uv = stops[i];
            }
    });
}

void GradientModel::followOrder() {
    const auto laying = show::layingOf(document_.state(), document_.lineup());
    if (!laying || laying->lamps == document_.lineup())
        return;
    auto was = laying->lamps;
    auto now = document_.lineup();
    std::sort(was.begin(), was.end());
    std::sort(now.begin(), now.end());
    if (was == now)
        layOverLineup("gradient-order");
}

void GradientModel::layOverLineup(const std::string& merge) {
    const show::State& state = document_.state();
    const auto laying = show::layingOf(state, document_.lineup());
    if (!laying || laying->lamps == document_.lineup())
        return;
    show::Laying next = *laying;
    next.lamps = document_.lineup();
    const show::Gradient* g = show::gradientOf(*state.show, next);
    if (g)
        document_.setHand(tr("Lay the gradient over the lineup"),
                          show::withLaying(state.hand, std::make_shared<const show::Laying>(next),
                                           g->givesIntensity()),
                          merge);
}

void GradientModel::takeItsLamps() {
    if (!laying_)
        return;
    show::Lineup lamps;
    for (const play::LaidLamp& lamp : laid_->lamps)
        lamps.push_back(lamp.id);
    document_.setLineup(std::move(lamps));
}

void GradientModel::keepChanged() {
    if (!changed())
        return;
    document_.edit(
        tr("Keep gradient %1").arg(name()),
        show::changeGradient(document_.state(), laying_->palette, *gradient_, document_.resolve()));
}

void GradientModel::keepFixed() {
    document_.setHand(tr("Fixed colours instead of a gradient"),
                      show::withFixed(document_.state(), document_.lineup(), document_.resolve()));
}

void GradientModel::showPlain(bool on) {
    if (!on || !gradient_)
        return document_.lookAt(nullptr);
    auto hand = document_.state().hand;
    const auto levels = play::plainLevels(*laid_);
    for (std::size_t i = 0; i < levels.size(); ++i)
        if (!levels[i].empty())
            hand =
                show::withParts(hand, {laid_->lamps[i].id},
                                show::partLevels(laid_->lamps[i].colour->mixer->type(), levels[i]));
    document_.lookAt(hand);
}

} // namespace zelo::desk
