// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/ripple_model.h"

#include "base/file.h"
#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "host/hand_over.h"
#include "play/rainbow_ripple.h"
#include "play/shown_values.h"
#include "route/way.h"
#include "show/cue_edits.h"
#include "show/kept.h"
#include "show/limits.h"
#include "show/ripple_edits.h"

#include <algorithm>
#include <cmath>

namespace zelo::desk {

using play::Command;
using show::Pattern;
using show::Ripple;

namespace {

constexpr int kEvery_ms = 33;
constexpr std::size_t kColumns = 346; // two pixels each, on the usual bench
constexpr std::size_t kRows = 96;
constexpr std::size_t kSmallColumns = 107, kSmallRows = 32;
constexpr std::size_t kRibbon = 256;
constexpr double kFrame_s = 1.0 / 44;
constexpr double kRainbow = 0.8;    // saturation
constexpr double kLongestTap_s = 3; // a longer pause begins anew
constexpr std::size_t kMostTaps = 8;

// One lamp alone, at the pace of its steps, all of them as long where their times do not count.
Ripple ribbonOf(const Ripple& ripple) {
    Ripple one = ripple;
    if (one.pattern != Pattern::Cycle)
        for (auto& step : one.steps) {
            step.time_s = 1;
            if (one.pattern == Pattern::Pulse)
                step.change = 0.3;
        }
    one.pattern = Pattern::Cycle;
    one.end = show::RippleEnd::Again;
    one.turns.reset();
    one.after_s = 0;
    one.chance = show::Chance::None;
    one.lamps.resize(1);
    return one;
}

double latestOf(const play::RippleDelays& delays) {
    return delays.delay_s.empty()
               ? 0
               : std::max(0.0, *std::max_element(delays.delay_s.begin(), delays.delay_s.end()));
}

double spanOf(const play::RippleTimes& times, double latest_s) {
    if (const double end = play::endOf(times, latest_s); end < HUGE_VAL)
        return std::max(end, 0.1);
    const double span = times.pattern == Pattern::Cycle ? 2 * times.turn_s
                        : times.pattern == Pattern::March
                            ? latest_s + times.turn_s
                            : latest_s + std::max(times.turn_s, 2 * times.every_s);
    return std::max(span, 0.1);
}

std::shared_ptr<const RippleModel::Pictures>
picturesOf(const std::shared_ptr<const play::Compiled>& compiled,
           const std::shared_ptr<const Ripple>& ripple, const std::vector<double>& below,
           const colour::Camera* by) {
    auto all = std::make_shared<RippleModel::Pictures>();
    all->ripple = ripple;
    const show::Show& show = *compiled->state.show;
    const auto delays = play::delaysOf(show, *ripple);
    if (!delays)
        return all;
    all->times = delays->times;
    all->latest_s = latestOf(*delays);
    all->span_s = spanOf(all->times, all->latest_s);
    const auto lower = below.size() == compiled->program->home.size()
                           ? std::span<const double>(below)
                           : std::span<const double>();
    all->raster = play::rasterOf(*compiled, *ripple, {0, all->span_s, kColumns, kRows, by}, lower);
    for (const Pattern pattern : {Pattern::Cycle, Pattern::March, Pattern::Pulse}) {
        Ripple as = *ripple;
        as.pattern = pattern;
        as.end = show::RippleEnd::Again;
        const auto its = play::delaysOf(show, as);
        const double from =
            pattern == Pattern::Cycle ? 0 : latestOf(*its) + its->times.after_s; // all in it
        const double lasts = pattern == Pattern::Pulse
                                 ? std::max(its->times.turn_s, 2 * its->times.every_s)
                                 : 2 * its->times.turn_s;
        all->patterns[static_cast<std::size_t>(pattern)] = play::rasterOf(
            *compiled, as, {from, from + lasts, kSmallColumns, kSmallRows, by}, lower);
    }
    const Ripple one = ribbonOf(*ripple);
    const double turn = play::delaysOf(show, one)->times.turn_s;
    all->ribbon =
        play::rasterOf(*compiled, one, {0, turn * (1 - 1.0 / kRibbon), kRibbon, 1, by}, lower);
    all->out = play::outOfReach(*compiled, ripple->id);
    return all;
}

} // namespace

RippleModel::RippleModel(Document& document, QObject* parent)
    : QObject(parent), document_(document) {
    timer_.setInterval(kEvery_ms);
    timer_.setTimerType(Qt::PreciseTimer);
    connect(&timer_, &QTimer::timeout, this, &RippleModel::tick);
    connect(&document_, &Document::changed, this, &RippleModel::look);
}

void RippleModel::setSeen(bool seen) {
    seen_ = seen;
    if (!seen)
        return letGo();
    look(Changes::all());
}

// What is edited is seen in the show at once, in the pictures when it is compiled.
void RippleModel::look(Changes what) {
    if (!ripple() && !begins_ && !document_.show().ripples.empty() && !first_) {
        setRipple(document_.show().ripples.entry(0).first); // what was on the bench went
        chosen_ = false;
    }
    if (what.has(Change::Seen))
        asked_of_.reset(); // as another sees it
    if (!seen_)
        return;
    if (what.has(Change::Lineup) && !chosen_ && !covers()) // the one of these lamps
        for (const auto& [id, kept] : document_.show().ripples)
            if (kept->lamps == document_.lineup()) {
                setRipple(id);
                chosen_ = false;
                break;
            }
    if (what.has(Change::Seen))
        compute();
    if (what.has(Change::Light)) {
        const auto* running = document_.stage().ripple(id_);
        if (document_.stage().compiled && !looks_ && !(running && running->runs)) {
            below_.clear();
            for (const auto& lamp : document_.stage().lamps)
                below_.insert(below_.end(), lamp.drives.begin(), lamp.drives.end());
        }
        compute();
        if (running && running->runs && !looks_) {
            moment_s_ = running->time_s;
            emit momentChanged();
        }
    }
    if (!what.has(Change::Light) || what.has(Change::Palettes | Change::Cues))
        emit modelChanged();
    if (looks_ && !document_.looking()) // something was done: it is to be seen, and then goes on
        showMoment();
}

void RippleModel::compute() {
    const auto& compiled = document_.stage().compiled;
    if (!compiled || !ripple())
        return;
    const auto& item = compiled->state.show->ripples.item(id_);
    if (!item || (asked_of_.lock() == compiled && asked_ripple_ == item))
        return;
    asked_of_ = compiled;
    asked_ripple_ = item;
    document_.later(
        "ripple", this,
        [compiled, item, below = below_, by = document_.colours()] {
            return picturesOf(compiled, item, below, by.camera());
        },
        [this](const std::shared_ptr<const Pictures>& pictures) {
            if (pictures->ripple->id != id_)
                return;
            pictures_ = pictures;
            emit modelChanged();
        });
}

void RippleModel::setRipple(show::RippleId id) {
    if (playing() && !on_lamps_)
        letGo();
    chosen_ = true;
    id_ = id;
    begins_ = !id;
    first_.reset();
    step_at_ = 0;
    moment_s_ = 0;
    pictures_.reset();
    asked_of_.reset();
    compute();
    emit modelChanged();
    emit momentChanged();
}

bool RippleModel::covers() const {
    return ripple() && ripple()->lamps == document_.lineup();
}

QString RippleModel::stepName(std::size_t step) const {
    const auto& s = ripple()->steps[step];
    const light::Asked* asked = s.colour.here();
    if (asked && std::holds_alternative<light::AskedUv>(*asked)) // in a word
        return saidText(route::hueWord(s.uv, colour::planckianUv({document_.show().white_cct_k})));
    return nameOf(document_, s.colour, s.uv);
}

colour::Uv RippleModel::stepColour(std::size_t step) const {
    const auto& s = ripple()->steps[step];
    const show::Palette* palette = document_.show().palette(s.colour.palette());
    return palette && palette->colour ? palette->colour->uv : s.uv;
}

std::vector<double> RippleModel::starts() const {
    std::vector<double> all;
    const Ripple one = ribbonOf(*ripple());
    double whole = 0;
    for (const auto& step : one.steps)
        whole += step.time_s;
    double at = 0;
    for (const auto& step : one.steps) {
        all.push_back(whole > 0 ? at / whole
                                : static_cast<double>(all.size()) /
                                      static_cast<double>(one.steps.size()));
        at += step.time_s;
    }
    return all;
}

std::size_t RippleModel::step() const {
    return std::min(step_at_, ripple()->steps.size() - 1);
}

void RippleModel::choose(std::size_t step) {
    step_at_ = step;
    emit modelChanged();
}

QString RippleModel::outOfReach() const {
    if (!pictures_ || !ripple())
        return {};
    QStringList all;
    for (const auto& one : pictures_->out) {
        if (one.step >= ripple()->steps.size())
            continue;
        std::vector<int> numbers;
        for (const auto id : one.lamps)
            if (const auto* f = document_.show().fixture(id))
                numbers.push_back(f->number);
        all << tr("%1 cannot reach %2").arg(runsOf(numbers), stepName(one.step));
    }
    return all.join(QStringLiteral("; "));
}

QString RippleModel::tooFast() const {
    const Ripple* r = ripple();
    if (!r)
        return {};
    const double least = beat_s();
    return least < kFrame_s ? tr("Faster than frames go out: some colours are passed over.")
                            : QString();
}

// --- edits

void RippleModel::edit(const QString& name, const How& change, int gesture) {
    if (!ripple())
        return;
    chosen_ = true;
    Ripple next = *ripple();
    change(next);
    if (!document_.edit(name, show::changeRipple(document_.state().show, std::move(next)),
                        gesture ? fmt::format("ripple-{}-{}-{}", id_.value, fromQt(name), gesture)
                                : std::string()))
        emit modelChanged(); // what was typed is not so
}

void RippleModel::addStep(const light::Asked& asked, show::PaletteId palette) {
    const auto taken = takenColour(document_, asked, palette);
    std::size_t at = 0;
    edit(tr("Add a step"), [&](Ripple& r) {
        r = show::withStep(std::move(r), light::AskedUv{}, taken.uv);
        r.steps.back().colour = taken.colour;
        at = r.steps.size() - 1;
    });
    if (ripple() && at < ripple()->steps.size())
        choose(at);
}

void RippleModel::addStep() {
    if (!ripple())
        return;
    const std::size_t at = step();
    const auto& steps = ripple()->steps;
    const auto a = stepColour(at);
    const auto b = stepColour((at + 1) % steps.size());
    const colour::Uv uv{(a.u + b.u) / 2, (a.v + b.v) / 2};
    edit(tr("Add a step"), [&](Ripple& r) {
        r = show::withStep(std::move(r), light::AskedUv{uv.u, uv.v}, uv);
        r.steps.back().time_s = r.steps[at].time_s;
        r.steps.back().change = r.steps[at].change;
        r.steps.back().intensity = r.steps[at].intensity;
        r = show::withStepAt(std::move(r), r.steps.size() - 1, at + 1);
    });
    choose(at + 1);
}

void RippleModel::removeStep(std::size_t step) {
    edit(tr("Remove a step"), [&](Ripple& r) {
        if (step < r.steps.size())
            r.steps.erase(r.steps.begin() + static_cast<std::ptrdiff_t>(step));
    });
}

void RippleModel::moveStep(std::size_t step, int by) {
    if (!ripple())
        return;
    const auto count = static_cast<int>(ripple()->steps.size());
    const int to = static_cast<int>(step) + by;
    if (to < 0 || to >= count)
        return;
    edit(tr("Move a step"), [&](Ripple& r) {
        r = show::withStepAt(std::move(r), step, static_cast<std::size_t>(to));
    });
    choose(static_cast<std::size_t>(to));
}

void RippleModel::setColour(std::size_t step, const light::Asked& asked, show::PaletteId palette) {
    const auto taken = takenColour(document_, asked, palette);
    edit(tr("Colour of a step"), [&](Ripple& r) {
        if (step >= r.steps.size())
            return;
        r.steps[step].colour = taken.colour;
        r.steps[step].uv = taken.uv;
    });
}

void RippleModel::setTime(std::size_t step, double time_s, int gesture) {
    edit(
        tr("Time of a step"),
        [&](Ripple& r) {
            if (step < r.steps.size())
                r.steps[step].time_s = std::clamp(time_s, 0.0, show::kLongest_s);
        },
        gesture);
}

double RippleModel::beat_s() const {
    const Ripple* r = ripple();
    if (!r || r->steps.empty())
        return 1;
    if (r->pattern == Pattern::Pulse)
        return r->every_s;
    if (r->pattern == Pattern::March)
        return r->band > 0 ? r->band * r->after_s
                           : static_cast<double>(r->lamps.size()) * r->after_s + r->pause_s;
    double all = 0;
    for (const auto& step : r->steps)
        all += step.time_s;
    return all / static_cast<double>(r->steps.size());
}

void RippleModel::setBeat(double beat_s, int gesture) {
    edit(
        tr("Pace of a ripple"), [&](Ripple& r) { r = show::atBeat(std::move(r), beat_s); },
        gesture);
}

void RippleModel::setTurn(double turn_s, int gesture) {
    const Ripple* r = ripple();
    if (!r || !pictures_ || !(pictures_->times.turn_s > 0) || !(beat_s() > 0))
        return;
    setBeat(turn_s * beat_s() / play::delaysOf(document_.show(), *r)->times.turn_s, gesture);
}

void RippleModel::faster(double factor) {
    edit(factor > 1 ? tr("Faster") : tr("Slower"),
         [&](Ripple& r) { r = show::faster(std::move(r), factor); });
}

void RippleModel::tap() {
    if (!ripple())
        return;
    const double passed = tapped_.isValid() ? static_cast<double>(tapped_.restart()) / 1000 : 0;
    if (!tapped_.isValid())
        tapped_.start();
    if (passed <= 0 || passed > kLongestTap_s) {
        taps_s_.clear();
        return document_.tell(tr("First beat: press again with the next one."));
    }
    taps_s_.push_back(passed);
    if (taps_s_.size() > kMostTaps)
        taps_s_.erase(taps_s_.begin());
    auto sorted = taps_s_;
    const auto middle = sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2);
    std::nth_element(sorted.begin(), middle, sorted.end());
    const double beat = std::round(*middle * 1000) / 1000;
    edit(tr("Pace by beats"), [&](Ripple& r) { r = show::atBeat(std::move(r), beat); });
}

void RippleModel::setIntensities(bool own) {
    edit(own ? tr("Ripple with intensities") : tr("Ripple of colour alone"), [&](Ripple& r) {
        for (auto& step : r.steps)
            step.intensity = own ? std::optional(step.intensity.value_or(1)) : std::nullopt;
    });
}

void RippleModel::layOverLineup() {
    if (document_.lineup().empty())
        return document_.tell(noLampsWords(document_.show()));
    edit(tr("Lay a ripple over the lineup"), [&](Ripple& r) { r.lamps = document_.lineup(); });
}

void RippleModel::takeItsLamps() {
    if (ripple())
        document_.setLineup(ripple()->lamps);
}

// --- other ripples

std::string RippleModel::freeName(const QString& base) const {
    const auto& all = document_.show().ripples;
    for (int i = 1;; ++i) {
        const std::string name = fromQt(i == 1 ? base : QStringLiteral("%1 %2").arg(base).arg(i));
        if (std::none_of(all.begin(), all.end(),
                         [&](const auto& e) { return e.second->name == name; }))
            return name;
    }
}

bool RippleModel::add(const QString& name, Ripple ripple) {
    if (!document_.edit(name, show::addRipple(document_.state().show, std::move(ripple))))
        return false;
    setRipple({document_.show().last_ripple_id});
    return true;
}

bool RippleModel::takeColour(const light::Asked& asked, show::PaletteId palette) {
    const show::Palette* kept = document_.show().palette(palette);
    if (kept && !kept->colour) {
        document_.tell(tr("%1 has no colour of its own: a step needs one.").arg(toQt(kept->name)));
        return true;
    }
    if (ripple()) {
        setColour(step(), asked, palette);
        return true;
    }
    if (document_.lineup().empty())
        return false;
    const auto taken = takenColour(document_, asked, palette);
    if (!first_) {
        first_ = taken;
        emit modelChanged();
        return true;
    }
    if (beginOf(*first_, taken))
        choose(1);
    return true;
}

bool RippleModel::beginOf(const TakenColour& first, const TakenColour& second) {
    Ripple next;
    next.name = freeName(tr("Ripple"));
    next.lamps = document_.lineup();
    for (const TakenColour& one : {first, second}) {
        next = show::withStep(std::move(next), light::AskedUv{}, one.uv);
        next.steps.back().colour = one.colour;
    }
    return add(tr("Begin a ripple"), std::move(next));
}

void RippleModel::begin() {
    setRipple({});
}

void RippleModel::beginFromLineup() {
    const auto& lineup = document_.lineup();
    if (lineup.empty())
        return document_.tell(noLampsWords(document_.show()));
    const auto first = takenColour(document_, lineup.front());
    const auto last = takenColour(document_, lineup.back());
    if (!first || !last)
        return document_.tell(tr("The first or the last lamp has no colour: give them one first."));
    beginOf(*first, *last);
}

void RippleModel::beginRainbow() {
    if (document_.lineup().empty())
        return document_.tell(noLampsWords(document_.show()));
    document_.later(
        "rainbow", this,
        [show = document_.state().show, lamps = document_.lineup(), from = document_.sources(),
         &mixes = document_.mixes()] {
            return play::rainbowRipple(*show, lamps, kRainbow, *from, mixes);
        },
        [this](const Result<Ripple>& rainbow) {
            if (!rainbow)
                return document_.tell(said(rainbow.error()));
            Ripple next = *rainbow;
            next.name = freeName(tr("Rainbow"));
            add(tr("Rainbow"), std::move(next));
        });
}

void RippleModel::fromGradient(show::PaletteId gradient) {
    const show::Palette* palette = document_.show().palette(gradient);
    if (!palette || !palette->gradient)
        return;
    if (document_.lineup().empty() && !ripple())
        return document_.tell(noLampsWords(document_.show()));
    Ripple next = ripple() ? *ripple() : Ripple();
    show::RippleStep step{light::Asked(light::AskedUv{}), {}}; // the others are as the first one
    if (!next.steps.empty())
        step = next.steps.front();
    next.steps.clear();
    for (const auto& stop : palette->gradient->stops) {
        step.colour = stop.colour;
        step.uv = stop.uv;
        next.steps.push_back(step);
    }
    if (ripple())
        return edit(tr("Steps from gradient %1").arg(toQt(palette->name)),
                    [&](Ripple& r) { r.steps = next.steps; });
    next.name = freeName(toQt(palette->name));
    next.lamps = document_.lineup();
    add(tr("Begin a ripple"), std::move(next));
}

void RippleModel::copy() {
    if (!ripple())
        return;
    Ripple next = *ripple();
    next.name = freeName(toQt(next.name));
    next.locked = false;
    add(tr("Copy ripple %1").arg(toQt(ripple()->name)), std::move(next));
}

void RippleModel::rename(const QString& name) {
    edit(tr("Rename ripple"), [&](Ripple& r) { r.name = fromQt(name); });
}

void RippleModel::remove() {
    if (!ripple())
        return;
    const auto id = id_;
    const QStringList lost = uses();
    if (document_.edit(tr("Remove ripple %1").arg(toQt(ripple()->name)),
                       show::removeRipple(document_.state().show, id))) {
        const auto& all = document_.show().ripples;
        setRipple(all.empty() ? show::RippleId{} : all.entry(0).first);
        if (!lost.isEmpty())
            document_.tell(tr("It is gone from %1 too; undo brings it back.")
                               .arg(lost.join(QStringLiteral(", "))));
    }
}

void RippleModel::setLocked(bool locked) {
    edit(locked ? tr("Lock ripple") : tr("Unlock ripple"), [&](Ripple& r) { r.locked = locked; });
}

QStringList RippleModel::uses() const {
    QStringList all;
    const auto uses = show::usesOf(document_.show(), id_);
    for (const auto& [list, number] : uses.cues)
        all << tr("cue %1 of %2")
                   .arg(toQt(show::toText(number)),
                        toQt(document_.show().cue_lists.find(list)->name));
    for (const auto fader : uses.faders)
        all << tr("fader %1").arg(toQt(document_.show().faders.find(fader)->name));
    return all;
}

void RippleModel::ontoFader() {
    if (!ripple())
        return;
    show::Fader fader;
    fader.name = ripple()->name;
    fader.ripple = id_;
    if (document_.edit(tr("Ripple %1 onto a fader").arg(toQt(ripple()->name)),
                       show::addFader(document_.state().show, std::move(fader))))
        document_.tell(tr("A fader of %1 stands in Cues.").arg(toQt(ripple()->name)));
}

void RippleModel::keepAsGradient(const QString& name) {
    const auto& compiled = document_.stage().compiled;
    if (!compiled || !ripple())
        return;
    const auto row =
        play::rasterOf(*compiled, *ripple(), {moment_s_, moment_s_, 1, show::kMostStops}, below_);
    show::Gradient gradient;
    for (const auto& cell : row.cells)
        if (colour::hasChromaticity(cell.light)) {
            const auto uv = colour::toUv(cell.light);
            gradient.stops.push_back({light::Asked(light::AskedUv{uv.u, uv.v}), uv, {}, {}});
        }
    if (gradient.stops.size() < 2)
        return document_.tell(tr("A gradient needs two lamps that make colours."));
    gradient.ways.resize(gradient.stops.size() - 1);
    show::Palette palette;
    palette.name = fromQt(name);
    palette.gradient = std::make_shared<const show::Gradient>(std::move(gradient));
    document_.edit(tr("Keep gradient %1").arg(name),
                   show::addPalette(document_.state().show, std::move(palette)));
}

void RippleModel::keepAsLook(const QString& name) {
    if (!ripple())
        return;
    show::Look look;
    look.name = fromQt(name);
    look.values = play::shownValues(document_.stage(), ripple()->lamps);
    if (look.values.empty())
        return document_.tell(tr("Nothing to keep: its lamps show nothing."));
    document_.edit(tr("Keep look %1").arg(name),
                   show::addLook(document_.state().show, std::move(look)));
}

void RippleModel::saveTurn(const QString& path) {
    if (!ripple())
        return;
    document_.inBackground(
        tr("Saving a turn"), this,
        [show = document_.state().show, from = document_.sources(), &mixes = document_.mixes(),
         id = id_, path](const std::stop_token& stop) -> Result<int> {
            const auto turn = host::handOverTurn(show, *from, mixes, id);
            if (!turn)
                return passOn(turn.error());
            if (stop.stop_requested())
                return 0;
            const auto done = writeFile(fromQt(path), path.endsWith(".csv", Qt::CaseInsensitive)
                                                          ? files::cueSheetCsv(turn->cues)
                                                          : files::asciiCuesText(turn->cues));
            if (!done)
                return passOn(done.error());
            return turn->steps;
        },
        [this, path](const Result<int>& steps) {
            document_.tell(
                steps ? tr("%n cue(s) for one turn are in %1.", nullptr, *steps + 1).arg(path)
                      : said(steps.error()));
        });
}

// --- play

void RippleModel::setOnLamps(bool on) {
    if (on == on_lamps_)
        return;
    if (!on_lamps_)
        letGo();
    on_lamps_ = on;
    emit modelChanged();
}

bool RippleModel::playing() const {
    if (!on_lamps_)
        return turning_;
    const auto* running = document_.stage().ripple(id_);
    return running && running->runs;
}

bool RippleModel::frozen() const {
    if (!on_lamps_)
        return looks_ && !timer_.isActive();
    const auto* running = document_.stage().ripple(id_);
    return running && running->runs && running->frozen;
}

void RippleModel::play() {
    if (!ripple())
        return document_.tell(tr("Nothing to play yet: choose two colours."));
    if (on_lamps_) {
        document_.press(id_, playing() ? Command::What::RippleLetGo : Command::What::RippleStart);
        return;
    }
    if (turning_)
        return letGo();
    moment_s_ = 0;
    turning_ = true;
    looks_ = true;
    clock_.start();
    timer_.start();
    showMoment();
    emit modelChanged();
}

void RippleModel::freeze() {
    if (on_lamps_) {
        if (playing())
            document_.press(id_, Command::What::RippleFreeze);
        return;
    }
    if (!turning_)
        return;
    if (timer_.isActive()) {
        timer_.stop();
    } else {
        clock_.restart();
        timer_.start();
    }
    emit modelChanged();
}

void RippleModel::tick() {
    moment_s_ += static_cast<double>(clock_.restart()) / 1000;
    if (pictures_ && play::endOf(pictures_->times, pictures_->latest_s) < moment_s_ &&
        pictures_->times.lets_go)
        return letGo();
    showMoment();
}

void RippleModel::lookAt(double t_s) {
    if (!ripple())
        return;
    timer_.stop();
    turning_ = turning_ && !on_lamps_;
    moment_s_ = std::max(0.0, t_s);
    looks_ = true;
    showMoment();
    emit modelChanged();
}

void RippleModel::showMoment() {
    document_.lookAt(
        {.hand = document_.state().hand, .on_lamps = false, .ripple = id_, .ripple_s = moment_s_},
        tr("at %1 s of the ripple").arg(numberText(moment_s_, 1)));
    emit momentChanged();
}

void RippleModel::letGo() {
    if (!looks_)
        return;
    timer_.stop();
    looks_ = turning_ = false;
    document_.lookAt(show::HandPtr());
    emit modelChanged();
    emit momentChanged();
}

double RippleModel::lineAt() const {
    if (!pictures_ || moment_s_ <= pictures_->span_s)
        return moment_s_;
    if (pictures_->times.end == show::RippleEnd::Stop)
        return pictures_->span_s;
    const double turn = pictures_->times.turn_s;
    return moment_s_ - turn * std::ceil((moment_s_ - pictures_->span_s) / turn);
}

} // namespace zelo::desk
