// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/session.h"

#include "host/log.h"
#include "host/naming.h"
#include "play/ripple_raster.h"
#include "show/holders.h"

#include <algorithm>
#include <chrono>
#include <utility>

namespace zelo::host {

namespace {

double machineSeconds() {
    return std::chrono::duration<double>(std::chrono::steady_clock::now().time_since_epoch())
        .count();
}

std::unique_ptr<Player> playerFor(std::unique_ptr<light::FrameSink> sink, Player::Clock clock) {
    if (sink)
        return std::make_unique<Player>(std::move(sink));
    return std::make_unique<Player>(clock ? std::move(clock) : machineSeconds);
}

} // namespace

Session::Session(Library& library, std::unique_ptr<light::FrameSink> sink,
                 std::unique_ptr<Guard> guard, Player::Clock clock)
    : library_(library),
      guard_(guard ? std::move(guard) : std::make_unique<Guard>(Guard::Settings{})),
      history_(show::emptyState()), told_(state()),
      player_(playerFor(std::move(sink), std::move(clock))),
      workers_(std::max(2u, std::thread::hardware_concurrency() - 1)), stage_(1), light_(1) {
    guard_->start(state());
    library_.setShow(show()); // the light comes with the first document: nobody listens yet
}

Session::Session(std::unique_ptr<Network> network, Library& library, std::unique_ptr<Guard> guard)
    : Session(library, network->takeSink(), std::move(guard)) {
    network_ = std::move(network);
}

Session::~Session() = default;

// --- the document --------------------------------------------------------------------------------

void Session::begin(show::State first) {
    history_ = show::History(std::move(first));
    lineup_.clear();
    controls_.solo.clear(); // they were lamps of the other one
    pressControls();
    changed(Changes::all());
}

namespace {
Done logged(const char* what, Done done) {
    log(done ? LogLevel::Info : LogLevel::Error,
        done ? std::string(what) : fmt::format("{}: {}", what, done.error().text()));
    return done;
}
} // namespace

// What was open stays, and is kept again if it was let go for what should have come.
Done Session::stays(const char* what, const Error& error) {
    guard_->changed(state(), lineup_);
    return logged(what, passOn(error));
}

Done Session::open(const std::filesystem::path& path) {
    return take(guard_->opening(path)());
}

Done Session::take(const Result<std::shared_ptr<Guard::Read>>& read) {
    if (!read)
        return stays("open a show", read.error());
    auto opened = guard_->take(**read);
    if (!opened)
        return stays("open a show", opened.error());
    log(LogLevel::Info, "opened " + path()->string());
    notes_ = std::move(opened->notes);
    library_.setShow(opened->state.show);
    const auto named = namedParts(opened->state, *sources());
    guard_->countAsSaved(named); // the same, in other words
    begin(named);
    return {};
}

Done Session::openCopy(const std::filesystem::path& path) {
    return takeCopy(guard_->readCopy(path));
}

Done Session::takeCopy(Result<Opened> opened) {
    if (!opened)
        return stays("open a copy", opened.error());
    auto named = show::renameShow(opened->state.show, opened->state.show->name + ", copy");
    if (!named)
        return stays("open a copy", named.error());
    notes_ = std::move(opened->notes);
    start(*named, opened->state.hand);
    return {};
}

void Session::start(show::ShowPtr show, show::HandPtr hand) {
    show::State first{std::move(show), std::move(hand)};
    library_.setShow(first.show);
    first = namedParts(first, *sources());
    guard_->start(first);
    begin(std::move(first));
}

Done Session::startFrom(const std::filesystem::path& path, std::string name, const Lists& lists) {
    return takeAsStart(guard_->readCopy(path), std::move(name), lists);
}

Done Session::takeAsStart(Result<Opened> opened, std::string name, const Lists& lists) {
    if (!opened)
        return stays("start from a show", opened.error());
    auto named = show::renameShow(opened->state.show, std::move(name));
    if (!named)
        return stays("start from a show", named.error());
    show::Show next = **named;
    next.locked = {};
    if (lists)
        next.cue_lists = next.cue_lists.withoutIf([&](show::CueListId id, const show::CueList&) {
            return std::find(lists->begin(), lists->end(), id) == lists->end();
        });
    start(show::pruned({show::nextShow(std::move(next)), show::emptyHand()}).show,
          show::emptyHand());
    return {};
}

Done Session::recover(const LeftWork& left) {
    return take(guard_->recovering(left)());
}

Done Session::take(const Result<std::shared_ptr<Guard::Left>>& left) {
    if (!left)
        return stays("recover", left.error());
    auto recovered = guard_->take(**left);
    log(LogLevel::Info, "recovered " + (*left)->work.path.string());
    notes_ = std::move(recovered.work.notes);
    library_.setShow(recovered.work.state.show);
    recovered.work.state = namedParts(recovered.work.state, *sources());
    begin(std::move(recovered.first));
    lineup_ = recovered.work.lineup;
    push(ZELO_TEXT("core", "Recover unsaved work"), std::move(recovered.work.state), {});
    return {};
}

Done Session::save(bool over) {
    return take(guard_->saving(state(), over)({}));
}

Done Session::saveAs(const std::filesystem::path& path) {
    return take(guard_->savingAs(state(), path)({}));
}

Done Session::take(const Result<std::shared_ptr<Guard::Written>>& written) {
    if (written)
        guard_->take(**written, state());
    history_.endMerge();
    changed(Change::Saved); // and with it what came after it is kept
    return logged("save", written ? Done{} : passOn(written.error()));
}

void Session::letGo() {
    guard_->letGo();
}

// --- edits ---------------------------------------------------------------------------------------

void Session::push(const std::string& name, show::State next, const std::string& merge) {
    push(name, std::move(next), merge, time_in_hand_s_);
}

void Session::push(const std::string& name, show::State next, const std::string& merge,
                   double fade_s) {
    const show::Show& now = *next.show;
    const show::Show& was = *show();
    // Only where something went can anything refer to nothing.
    if (!(now.fixtures == was.fixtures && now.palettes == was.palettes) ||
        now.ripples.size() < was.ripples.size() || now.looks.size() < was.looks.size() ||
        now.cue_lists.size() < was.cue_lists.size() || now.groups.size() < was.groups.size() ||
        now.routes.size() < was.routes.size())
        next = show::pruned(next);
    const bool goes_on = history_.push({name, std::move(next)}, merge);
    changed({}, goes_on ? std::nullopt : std::optional(fade_s));
}

Done Session::edit(const std::string& name, const Result<show::State>& next,
                   const std::string& merge) {
    if (!next)
        return passOn(next.error());
    push(name, *next, merge);
    return {};
}

Done Session::edit(const std::string& name, const Result<show::ShowPtr>& next,
                   const std::string& merge) {
    if (!next)
        return passOn(next.error());
    push(name, {*next, hand()}, merge);
    return {};
}

void Session::setHand(const std::string& name, show::HandPtr hand, const std::string& merge) {
    push(name, {show(), std::move(hand)}, merge);
}

Done Session::keepHand() {
    auto next = show::keepHand(show(), *hand());
    if (!next)
        return passOn(next.error());
    push(ZELO_TEXT("core", "Keep in the look"), {*next, show::emptyHand()}, {});
    return {};
}

void Session::putDown() {
    if (!hand()->empty())
        setHand(ZELO_TEXT("core", "Put down"), show::emptyHand());
}

void Session::undo() {
    history_.undo();
    changed({}, time_in_hand_s_);
}

void Session::redo() {
    history_.redo();
    changed({}, time_in_hand_s_);
}

void Session::goTo(std::size_t position) {
    history_.goTo(position);
    changed({}, time_in_hand_s_);
}

void Session::setLineup(show::Lineup lineup) {
    lineup_ = std::move(lineup);
    changed(Change::Lineup);
}

void Session::setControls(const play::Controls& controls) {
    controls_ = controls;
    pressControls();
    changed(Change::Controls);
}

void Session::pressControls() {
    using What = play::Command::What;
    std::vector<int> solo;
    for (const show::FixtureId id : controls_.solo)
        solo.push_back(id.value);
    player_->solo(std::move(solo));
    pressNow({What::Master, 0, controls_.master, {}});
    pressNow({What::Dark, 0, controls_.dark ? 1.0 : 0.0, {}});
    const std::lock_guard lock(light_mutex_);
    controls_now_ = controls_;
}

void Session::pressNow(const play::Command& command) {
    if (!player_->press(command))
        log(LogLevel::Warning, "more presses at once than can be played");
}

namespace {
double secondOfDay(std::time_t time) { // as clocks on walls have it
    std::tm local{};
    localtime_r(&time, &local);
    return local.tm_hour * 3600.0 + local.tm_min * 60.0 + local.tm_sec;
}
} // namespace

Done Session::showLook(const std::string& name, show::LookId id) {
    auto next = show::showLook(state(), id);
    if (!next)
        return passOn(next.error());
    const show::Look& look = *show()->lookOf(id);
    push(name, std::move(*next), {}, look.time_s);
    return {};
}

void Session::press(show::CueListId list, play::Command::What what, double value) {
    if (look_.hand)
        lookAt(Look{});
    const auto now = std::chrono::floor<std::chrono::seconds>(std::chrono::system_clock::now());
    pressNow({play::Command::What::TimeOfDay,
              0,
              secondOfDay(std::chrono::system_clock::to_time_t(now)),
              {}});
    pressNow({what, static_cast<std::uint32_t>(list.value), value, {}, true});
    look();
}

void Session::press(show::RippleId ripple, play::Command::What what, double value) {
    if (look_.hand)
        lookAt(Look{});
    pressNow({what, static_cast<std::uint32_t>(ripple.value), value, {}, true});
    look();
}

void Session::setFader(show::FaderId fader, double level) {
    if (look_.hand)
        lookAt(Look{});
    pressNow(
        {play::Command::What::Fader, static_cast<std::uint32_t>(fader.value), level, {}, true});
    look();
}

void Session::setTimeInHand(double seconds) {
    time_in_hand_s_ = std::clamp(seconds, 0.0, kLongestInHand_s);
    changed(Change::Controls);
}

void Session::setOnStage(bool on) {
    on_stage_now_ = on;
    player_->hold(!on);
    changed(Change::Controls);
}

void Session::recompute() {
    look_ = {}; // what was looked at may be other light now
    computeLight(0);
}

// After every move of history and every other change, the one step that makes all else follow.
void Session::changed(Changes what, std::optional<double> fade_s) {
    const show::State now = state();
    if (!(now == told_))
        what = what | changesBetween(told_, now) | Change::Saved;
    told_ = now;
    if (std::erase_if(lineup_, [&](show::FixtureId id) { return !now.show->fixture(id); }) > 0)
        what = what | Change::Lineup;
    if (std::erase_if(controls_.solo, [&](show::FixtureId id) { return !now.show->fixture(id); }) >
        0) {
        pressControls();
        what = what | Change::Controls;
    }
    library_.setShow(now.show);
    if (network_ && what.has(Change::Outputs))
        network_->follow(now.show->outputs);
    guard_->changed(now, lineup_);
    constexpr Changes kLight =
        Change::Rig | Change::Types | Change::Values | Change::Palettes | Change::Hand;
    if (what.has(kLight) || (look_.hand && what.has(Change::Controls))) {
        look_ = {}; // what is done now is to be seen
        computeLight(fade_s);
    } else if (what.has(Change::Controls)) {
        look();
    }
    if (on_change)
        on_change(what);
}

void Session::lookAt(Look look) {
    const bool lamps = (look_.hand && look_.on_lamps) || (look.hand && look.on_lamps);
    look_ = std::move(look);
    if (lamps)
        return computeLight(look_.fade_s);
    {
        const std::lock_guard lock(light_mutex_);
        on_screen_ = look_.hand
                         ? std::optional(OnScreen{
                               {show(), look_.hand}, sources(), look_.ripple, look_.ripple_s})
                         : std::nullopt;
    }
    this->look();
}

// A job that is replaced by a newer one leaves it its time. What is dragged follows at once.
void Session::computeLight(std::optional<double> fade_s) {
    show::State shown = state();
    if (look_.hand && look_.on_lamps)
        shown.hand = look_.hand;
    {
        const std::lock_guard lock(light_mutex_);
        on_screen_.reset();
        ways_of_look_ = look_.ways;
        fade_s_ = fade_s ? std::max(fade_s_, *fade_s) : 0;
        drags_ = !fade_s;
    }
    light_.post("light", [this, state = std::move(shown), from = sources()] {
        double fade = 0;
        bool drags = false;
        std::shared_ptr<const play::LampWays> own;
        {
            const std::lock_guard lock(light_mutex_);
            own = ways_of_look_;
            fade = std::exchange(fade_s_, 0);
            drags = std::exchange(drags_, false);
        }
        auto next = std::make_shared<const play::Compiled>(
            play::compiled(state, *from, mixes_, compiled_.get()));
        if (fade > 0) { // what can be planned in a moment is there before it begins
            constexpr double kShare = 0.04, kLongest_s = 0.15;
            const auto until = std::chrono::steady_clock::now() +
                               std::chrono::duration<double>(std::min(kShare * fade, kLongest_s));
            next = play::withWaysOfChanges(
                next, compiled_.get(), ways_,
                [&] { return std::chrono::steady_clock::now() > until; }, own.get());
            changed_from_ = compiled_;
            changed_by_ = own;
        }
        player_->put(std::make_shared<play::Playing>(next), fade, drags);
        look();
        compiled_ = std::move(next);
        light_.post("ways", [this] { planWays(); });
    });
}

// Some at a time: what is asked for next comes between.
void Session::planWays() {
    constexpr auto kAtOnce = std::chrono::milliseconds(40);
    const auto until = std::chrono::steady_clock::now() + kAtOnce;
    bool more = false;
    const auto enough = [&] { return more = more || std::chrono::steady_clock::now() > until; };
    auto next =
        play::withWaysOfChanges(compiled_, changed_from_.get(), ways_, enough, changed_by_.get());
    next = play::withWaysOfCues(next, ways_, enough);
    if (next != compiled_) {
        player_->put(std::make_shared<play::Playing>(next), 0);
        compiled_ = std::move(next);
        planned_ = true;
    }
    if (more)
        return light_.post("ways", [this] { planWays(); });
    changed_from_.reset();
    if (std::exchange(planned_, false))
        look(); // pictures of what goes these ways
}

void Session::look() {
    stage_.post("stage", [this] { showStage(); });
}

void Session::showStage() {
    constexpr auto kAtOnce = std::chrono::milliseconds(25);
    const bool newest = player_->waitForFrame();
    const auto [playing, number] = player_->now();
    if (!playing)
        return newest ? void() : look();
    play::Controls controls;
    std::optional<OnScreen> on_screen;
    {
        const std::lock_guard lock(light_mutex_);
        controls = controls_now_;
        on_screen = on_screen_;
    }
    if (on_screen && on_screen->ripple) { // over what is played
        std::vector<play::Rest> rests;    // none of it is sent
        auto stage = std::make_shared<play::Stage>(
            play::stageOf(*playing->compiled(),
                          play::withRippleAt(playing->compiled(), playing->newest(),
                                             on_screen->ripple, on_screen->ripple_s),
                          controls, rounding_, rests, std::chrono::steady_clock::now() + kAtOnce));
        stage->compiled = playing->compiled();
        if (on_stage)
            on_stage(std::move(stage));
        return;
    }
    if (on_screen) {
        auto stage = std::make_shared<play::Stage>(
            play::computeStage(on_screen->state, controls, *on_screen->from, mixes_));
        stage->lists.clear(); // what is played goes on meanwhile
        stage->faders.clear();
        play::tellPlay(*playing->compiled(), playing->newest(), *stage);
        if (on_stage)
            on_stage(std::move(stage));
        return;
    }
    std::vector<play::Rest> rests;
    auto stage = std::make_shared<play::Stage>(
        play::stageOf(*playing->compiled(), playing->newest(), controls, rounding_, rests,
                      std::chrono::steady_clock::now() + kAtOnce));
    stage->compiled = playing->compiled();
    if (!rests.empty())
        player_->rest(number, std::move(rests));
    if (!stage->whole || !newest)
        look();
    if (on_stage)
        on_stage(std::move(stage));
}

void Session::waitUntilIdle() {
    light_.waitUntilIdle();
    stage_.waitUntilIdle();
    workers_.waitUntilIdle();
    light_.waitUntilIdle();
    stage_.waitUntilIdle();
}

} // namespace zelo::host
