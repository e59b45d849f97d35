// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_model.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/setting.h"
#include "desk/kit/words.h"

#include <algorithm>
#include <atomic>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;
using show::CueNumbers;
using What = play::Command::What;

namespace {
constexpr Setting<double> kGuard_s{"cues/guard_s", 0.3};
constexpr std::size_t kMostInBlock = 8, kMostBlocks = 8, kMostAlone = 24;
} // namespace

CueModel::CueModel(Document& document, QObject* parent)
    : QObject(parent), document_(document), guard_s_(0) {
    readGuard();
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Cues | Change::Crossfade | Change::Values | Change::Palettes |
                     Change::Rig | Change::Types | Change::White | Change::Seen))
            followShow();
        if (what.has(Change::Light) && !document_.looking())
            shown_.reset(); // something was done since, and is to be seen
        if (what.has(Change::Controls) && !rehearses() && shown_)
            show({});
        if (what.has(Change::Light | Change::Controls | Change::Hand))
            emit standingChanged();
    });
    followShow();
}

CueModel::~CueModel() {
    stopCheck();
}

void CueModel::stopCheck() {
    if (stop_check_)
        *stop_check_ = true;
}

void CueModel::setSeen(bool seen, bool checked) {
    seen_ = seen || checked;
    if (seen_ && late_)
        compute();
    if (!seen && shown_)
        show({});
}

const Cue* CueModel::cue(CueNumber number) const {
    const auto* in = list();
    return in ? in->cues.find(number) : nullptr;
}

void CueModel::setList(show::CueListId list) {
    list_ = list;
    shown_.reset();
    followShow();
    emit standingChanged();
}

QString CueModel::routeName(show::RouteId route) const {
    const auto* kept = document_.show().routes.find(route);
    return kept ? toQt(kept->name) : QString();
}

QString CueModel::rippleWords(const show::Cue& cue) const {
    QStringList all;
    for (const auto& act : cue.ripples)
        if (const auto* ripple = document_.show().ripples.find(act.ripple)) {
            const QString name = toQt(ripple->name);
            all << (act.does == show::RippleDoes::Start   ? tr("starts %1").arg(name)
                    : act.does == show::RippleDoes::LetGo ? tr("lets go of %1").arg(name)
                                                          : tr("freezes %1").arg(name));
        }
    return all.join(QStringLiteral(", "));
}

void CueModel::followShow() {
    const auto& lists = document_.show().cue_lists;
    if (!lists.find(list_))
        list_ = lists.empty() ? show::CueListId{} : lists.entry(0).first;
    if (shown_ && !document_.looking()) // an edit: what is shown is shown as it is now
        show(cue(*shown_) ? shown_ : std::nullopt);
    late_ = true;
    if (seen_)
        compute();
    emit cuesChanged();
}

// --- in the background

void CueModel::compute() {
    late_ = false;
    stopCheck(); // it was of the show before
    if (!list()) {
        pictures_.clear();
        blocks_.clear();
        findings_.clear();
        document_.forget("cue pictures");
        document_.forget("cue check");
        return;
    }
    struct Pictures {
        std::shared_ptr<const play::Compiled> compiled;
        show::Lineup lamps;
        std::vector<Block> blocks;
        std::vector<std::vector<play::CueLamp>> all;
        std::shared_ptr<const show::CueList> of;
    };
    auto compute = [show = document_.state().show, sources = document_.sources(),
                    before = compiled_, list = list_, by = document_.colours(),
                    &mixes = document_.mixes()] {
        Pictures pictures;
        pictures.compiled = std::make_shared<const play::Compiled>(
            play::compiled({show, show::emptyHand()}, *sources, mixes, before.get()));
        const auto add = [&](const QString& name, const std::vector<show::FixtureId>& lamps,
                             std::size_t most) {
            const std::size_t count = std::min(lamps.size(), most);
            pictures.blocks.push_back({name, pictures.lamps.size(), count});
            for (std::size_t i = 0; i < count; ++i) // spread over all of them
                pictures.lamps.push_back(lamps[i * lamps.size() / count]);
        };
        for (const auto& [id, group] : show->groups)
            if (pictures.blocks.size() < kMostBlocks && !group->fixtures.empty())
                add(toQt(group->name), group->fixtures, kMostInBlock);
        if (pictures.blocks.empty()) {
            std::vector<show::FixtureId> every;
            for (const auto& [id, fixture] : show->fixtures)
                every.push_back(id);
            add({}, every, kMostAlone);
        }
        pictures.all = play::cuePictures(*pictures.compiled, list, pictures.lamps, by.camera());
        pictures.of = show->cue_lists.item(list);
        return pictures;
    };
    document_.later("cue pictures", this, std::move(compute), [this](const Pictures& pictures) {
        compiled_ = pictures.compiled;
        blocks_ = pictures.blocks;
        pictures_ = pictures.all;
        pictures_of_ = pictures.of;
        emit cuesChanged();
        check();
    });
}

// Some hundred microseconds for each unlike change: what is not wanted any more is left.
void CueModel::check() {
    stop_check_ = std::make_shared<std::atomic<bool>>(false);
    auto compute = [compiled = compiled_, sources = document_.sources(), stop = stop_check_,
                    &mixes = document_.mixes()] {
        return play::checkShow(*compiled, *sources, mixes, [stop] { return stop->load(); });
    };
    document_.later("cue check", this, std::move(compute),
                    [this](const std::vector<play::Finding>& findings) {
                        findings_ = findings;
                        emit cuesChanged();
                    });
}

const std::vector<play::CueLamp>* CueModel::picture(CueNumber number) const {
    if (!pictures_of_ || pictures_of_->id != list_)
        return nullptr;
    const auto& cues = pictures_of_->cues;
    for (std::size_t low = 0, high = cues.size(); low < high;) {
        const std::size_t middle = (low + high) / 2;
        const CueNumber at = cues.entry(middle).first;
        if (at == number)
            return middle < pictures_.size() ? &pictures_[middle] : nullptr;
        (at < number ? low : high) = at < number ? middle + 1 : middle;
    }
    return nullptr;
}

std::vector<const play::Finding*> CueModel::findings(CueNumber number) const {
    std::vector<const play::Finding*> all;
    for (const auto& f : findings_)
        if (f.list == list_ && f.cue == number && f.kind == play::Finding::Kind::Fade)
            all.push_back(&f);
    return all;
}

std::vector<play::Finding> CueModel::faults() const {
    std::vector<play::Finding> all;
    for (const auto& f : findings_) {
        if (f.list != list_ || !f.cue || f.kind != play::Finding::Kind::Fade)
            continue;
        if (all.empty() || all.back().cue != f.cue) {
            all.push_back(f);
            continue;
        }
        play::Finding& one = all.back();
        auto lamps = one.lamps;
        lamps.insert(lamps.end(), f.lamps.begin(), f.lamps.end());
        auto cures = one.cures;
        std::erase_if(cures, [&](route::Cure c) {
            return std::find(f.cures.begin(), f.cures.end(), c) == f.cures.end();
        });
        if (f.to_s - f.from_s > one.to_s - one.from_s)
            one = f;
        std::sort(lamps.begin(), lamps.end());
        lamps.erase(std::unique(lamps.begin(), lamps.end()), lamps.end());
        one.lamps = std::move(lamps);
        one.cures = std::move(cures);
    }
    return all;
}

QString CueModel::words(const play::Finding& finding) const {
    std::vector<int> numbers;
    for (const show::FixtureId id : finding.lamps)
        if (const auto* f = document_.show().fixture(id))
            numbers.push_back(f->number);
    const QString lamps =
        tr("lamps %1", nullptr, static_cast<int>(numbers.size())).arg(runsOf(numbers));
    return QStringLiteral("%1: %2").arg(lamps, said(finding.what));
}

QString CueModel::cureName(route::Cure cure) const {
    switch (cure) {
    case route::Cure::ColourInDark:
        return tr("Colour in the dark first");
    case route::Cure::ColourInZeroTime:
        return tr("Colour at once");
    case route::Cure::HomeAtZero:
        return tr("Emitters rest at zero");
    case route::Cure::OtherRoute:
        break;
    }
    return tr("Go round the white");
}

// --- play

std::optional<CueNumber> CueModel::current() const {
    if (rehearses())
        return shown_;
    return now() ? now()->cue : std::nullopt;
}

std::optional<CueNumber> CueModel::next() const {
    if (!rehearses())
        return now() ? now()->next : std::nullopt;
    if (const auto* in = list())
        for (const auto& [number, cue] : in->cues)
            if (!shown_ || *shown_ < number)
                return number;
    return std::nullopt;
}

// In rehearsal the screen alone shows it, at rest; what is played goes on.
void CueModel::show(std::optional<CueNumber> number) {
    shown_ = number;
    if (number)
        document_.lookAt(
            {std::make_shared<const show::Values>(show::standsFor(*list(), *number)), false},
            tr("cue %1, at rest").arg(cueNumberText(*number)));
    else
        document_.lookAt(show::HandPtr());
    emit standingChanged();
}

bool CueModel::goOn() {
    if (pressed_.isValid() && static_cast<double>(pressed_.elapsed()) < 1000 * guard_s_)
        return false;
    pressed_.start();
    if (rehearses()) {
        if (const auto to = next())
            show(to);
        return true;
    }
    document_.press(list_, What::Next);
    return true;
}

bool CueModel::back() {
    if (!rehearses()) {
        document_.press(list_, What::Back);
        return true;
    }
    std::optional<CueNumber> before;
    if (const auto* in = list())
        for (const auto& [number, cue] : in->cues)
            if (shown_ && number < *shown_)
                before = number;
    if (before)
        show(before);
    return before.has_value();
}

void CueModel::hold() {
    if (!rehearses())
        document_.press(list_, What::Hold);
}

void CueModel::jump(CueNumber number) {
    if (rehearses())
        return show(number);
    document_.press(list_, What::Jump, number.value());
}

void CueModel::setRate(double rate) {
    if (!rehearses())
        document_.press(list_, What::Rate, rate);
}

void CueModel::release() {
    if (rehearses())
        return show({});
    document_.press(list_, What::Release);
}

void CueModel::setGuard(double seconds) {
    guard_s_ = std::clamp(seconds, 0.0, 5.0);
    kGuard_s.set(guard_s_);
}

void CueModel::readGuard() {
    guard_s_ = std::clamp(kGuard_s.get(), 0.0, 5.0);
}

// --- edits

bool CueModel::edit(const QString& name, const Result<show::ShowPtr>& next) {
    return document_.edit(name, next);
}

namespace {
QString cuesText(const CueNumbers& numbers) {
    return numbers.size() == 1 ? CueModel::tr("cue %1").arg(cueNumberText(numbers.front()))
                               : CueModel::tr("%n cues", nullptr, static_cast<int>(numbers.size()));
}
} // namespace

bool CueModel::change(const CueNumbers& numbers, const QString& name,
                      const std::function<void(Cue&)>& change) {
    return edit(tr("%1 of %2").arg(name, cuesText(numbers)),
                show::changeCues(document_.state().show, list_, numbers, change));
}

void CueModel::remove(const CueNumbers& numbers) {
    if (!numbers.empty())
        edit(tr("Remove %1").arg(cuesText(numbers)),
             show::removeCues(document_.state().show, list_, numbers));
}

bool CueModel::renumber(const CueNumbers& numbers, CueNumber first) {
    return edit(tr("Renumber %1").arg(cuesText(numbers)),
                show::renumberCues(document_.state().show, list_, numbers, first, CueNumber{1000}));
}

std::optional<CueNumber> CueModel::move(CueNumber number, int by) {
    const auto* in = list();
    std::optional<CueNumber> other, before;
    if (in)
        for (const auto& [at, cue] : in->cues) {
            if (at == number && by < 0)
                other = before;
            if (before == number && by > 0)
                other = at;
            before = at;
        }
    if (!other || !edit(tr("Move cue %1").arg(cueNumberText(number)),
                        show::swapCues(document_.state().show, list_, number, *other)))
        return std::nullopt;
    return other;
}

CueNumbers CueModel::insert(std::optional<CueNumber> after, std::vector<Cue> cues) {
    const int count = static_cast<int>(cues.size());
    const auto copied = show::insertCues(document_.state().show, list_, after, std::move(cues));
    if (!copied) {
        document_.tell(said(copied.error()));
        return {};
    }
    if (!edit(tr("Insert %n cues", nullptr, count), Result<show::ShowPtr>(copied->show)))
        return {};
    return copied->numbers;
}

CueNumbers CueModel::pasteRows(const QString& text, std::optional<CueNumber> after) {
    const auto pasted = cuesIn(text);
    if (pasted.cues.empty()) {
        document_.tell(tr("No cues in what was copied: rows of number, name, up, down, delay, "
                          "colour, follow and note are expected."));
        return {};
    }
    show::ShowPtr next = document_.state().show;
    CueNumbers numbers;
    for (const auto& row : pasted.cues) {
        const auto& lists = next->cue_lists;
        const auto* now = lists.find(list_);
        const auto number = row.number ? row.number
                            : now      ? show::numberAfter(*now, after)
                                       : std::nullopt;
        if (!now || !number)
            return document_.tell(tr("No number is free there: renumber first.")), CueNumbers{};
        Cue cue = now->cues.find(*number) ? *now->cues.find(*number) : Cue{};
        cue.number = *number;
        for (const auto& change : row.changes)
            change(cue);
        const auto kept = show::keepCue(next, list_, std::move(cue));
        if (!kept)
            return document_.tell(said(kept.error())), CueNumbers{};
        next = *kept;
        numbers.push_back(*number);
        after = number;
    }
    if (!edit(tr("Paste %n cues", nullptr, static_cast<int>(numbers.size())),
              Result<show::ShowPtr>(next)))
        return {};
    if (pasted.left_out > 0)
        document_.tell(tr("%n rows were left out: they are no cues", nullptr, pasted.left_out));
    return numbers;
}

void CueModel::cure(const play::Finding& finding, route::Cure cure) {
    if (!finding.cue)
        return;
    const CueNumbers one{*finding.cue};
    switch (cure) {
    case route::Cure::ColourInDark:
        change(one, cureName(cure), [](Cue& cue) { cue.dark_first = true; });
        return;
    case route::Cure::ColourInZeroTime:
        change(one, cureName(cure), [](Cue& cue) {
            cue.colour_s = 0;
            cue.colour_delay_s.reset();
        });
        return;
    case route::Cure::HomeAtZero:
        edit(tr("Lamps rest with their emitters at zero"),
             show::restAtZero(document_.state().show, finding.lamps,
                              [&](const std::string& id) { return document_.library().type(id); }));
        return;
    case route::Cure::OtherRoute:
        change(one, cureName(cure), [](Cue& cue) {
            cue.route = {};
            cue.way = route::StopWay{};
            cue.way->kind = route::Kind::Around;
            cue.way->floor = 0.8;
        });
    }
}

void CueModel::setRipple(const show::CueNumbers& numbers, show::RippleId ripple,
                         std::optional<show::RippleDoes> does) {
    const auto* kept = document_.show().ripples.find(ripple);
    if (!kept)
        return;
    change(numbers, tr("Ripple %1 in a cue").arg(toQt(kept->name)), [&](show::Cue& cue) {
        std::erase_if(cue.ripples, [&](const auto& act) { return act.ripple == ripple; });
        if (does)
            cue.ripples.push_back({ripple, *does});
    });
}

void CueModel::playVersion(CueNumber number, const QString& name) {
    edit(tr("Version %1 of cue %2").arg(name, cueNumberText(number)),
         show::playVersion(document_.state().show, list_, number, fromQt(name)));
}

void CueModel::dropVersion(CueNumber number, const QString& name) {
    edit(tr("Remove version %1 of cue %2").arg(name, cueNumberText(number)),
         show::dropVersion(document_.state().show, list_, number, fromQt(name)));
}

void CueModel::letGoHere(CueNumber number, show::Which what) {
    edit(tr("Let go in cue %1").arg(cueNumberText(number)),
         show::letGoInCue(document_.state().show, list_, number, document_.lineup(), what));
}

void CueModel::asIn(CueNumber number, CueNumber other) {
    edit(tr("Cue %1 as in cue %2").arg(cueNumberText(number), cueNumberText(other)),
         show::asInCue(document_.state().show, list_, number, other, document_.lineup()));
}

} // namespace zelo::desk
