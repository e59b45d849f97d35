// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/document.h"

#include "desk/kit/accessible.h"
#include "desk/kit/qt_text.h"
#include "host/log.h"
#include "play/laid.h"

#include <QTimer>

namespace zelo::desk {

namespace {
bool toldIfNot(Document& document, const Done& done) {
    if (!done)
        document.tell(said(done.error()));
    return done.has_value();
}
} // namespace

Document::Document(std::unique_ptr<host::Session> session)
    : session_(std::move(session)), stage_(std::make_shared<play::Stage>(play::Stage{
                                        session_->state(), session_->controls(), {}, {}})),
      colours_(Kelvin{light::kGelLampK}) {
    installAccessibility(); // before the first control is there
    session_->on_stage = [this](std::shared_ptr<const play::Stage> stage) {
        post([this, stage = std::move(stage)] {
            if (stage_->compiled != stage->compiled) // a program is large: a worker frees it
                session_->workers().post(fmt::format("free {}", ++freed_),
                                         [old = std::move(stage_)] {});
            stage_ = stage;
            emit changed(Change::Light);
            lookAgain();
        });
    };
    session_->guard().on_trouble = [this] {
        post([this] {
            const auto why = trouble();
            emit troubled(why.empty() ? QString()
                                      : tr("Unsaved work cannot be written: %1").arg(said(why)));
        });
    };
    if (auto* network = session_->network())
        network->onFound([this] { post([this] { emit changed(Change::Found); }); });
    session_->on_change = [this](Changes what) {
        if (camera_ && what.has(Change::Palettes)) { // it, or the palette that it is balanced to
            followCamera();
            what = what | Change::Seen;
        }
        emit changed(what);
    };
}

// While something moves by itself: 30 times a second, and less when there is no time.
void Document::lookAgain() {
    constexpr int kEvery_ms = 33;
    if (!stage_->runs || looks_again_)
        return;
    looks_again_ = true;
    QTimer::singleShot(kEvery_ms, this, [this] {
        looks_again_ = false;
        session_->look();
    });
}

Document::~Document() {
    session_.reset(); // ends the workers while the signals they post to are still there
}

show::Shown Document::shown(const show::Values& hand, show::FixtureId id) const {
    const auto from = sources();
    constexpr std::size_t kMostKnown = 16; // a drag lays one over its lamps at each move
    if (!gradients_ || gradients_->of != state().show || gradients_->from != from ||
        gradients_->all.all().size() > kMostKnown)
        gradients_ = std::make_unique<Moment>(
            Moment{state().show, from, play::Gradients(state().show, *from, mixes())});
    return gradients_->all.shown(show::valueOf(show(), hand, id), id);
}

show::Resolve Document::resolve() const {
    const auto from = sources();
    const auto all = std::make_shared<play::Gradients>(state().show, *from, mixes());
    return
        [all, from](show::FixtureId id, const show::Value& value) { return all->shown(value, id); };
}

bool Document::edit(const QString& name, const Result<show::ShowPtr>& next,
                    const std::string& merge) {
    return toldIfNot(*this, session_->edit(fromQt(name), next, merge));
}

bool Document::edit(const QString& name, const Result<show::State>& next,
                    const std::string& merge) {
    return toldIfNot(*this, session_->edit(fromQt(name), next, merge));
}

void Document::showLook(const QString& name, show::LookId look) {
    if (const Done done = session_->showLook(fromQt(name), look); !done)
        tell(said(done.error()));
}

void Document::setHand(const QString& name, show::HandPtr hand, const std::string& merge) {
    session_->setHand(fromQt(name), std::move(hand), merge);
}

Done Document::addBook(const std::filesystem::path& path) {
    auto added = session_->library().addBook(path);
    if (added)
        session_->recompute();
    return added;
}

Done Document::opened(Done done) {
    if (done)
        for (const auto& note : session_->notes())
            tell(tr("Left out: %1").arg(said(note)));
    return done;
}

// The show that was asked for last is opened; work on the one before goes on until it comes.
template <class Read, class Take>
void Document::openWhenRead(const QString& what, Read read, Take take, Then then) {
    inBackground(
        what, this, [read](const std::stop_token&) { return read(); },
        [this, opening = Opening{++opening_, state()}, take, then](const auto& result) {
            opened(
                opening, [&] { return take(result); }, then);
        });
}

void Document::opened(const Opening& opening, const std::function<Done()>& take, const Then& then) {
    if (opening.wish != opening_)
        return;
    const bool worked_on = !(state() == opening.before) && !nothingToLose();
    const QString name = toQt(show().name);
    const auto done = opened(take());
    if (done && worked_on)
        tellLeft(name);
    then(done);
}

void Document::tellLeft(const QString& show) {
    tell(tr("What you changed in “%1” meanwhile is among the unsaved work left behind.").arg(show));
}

void Document::openLater(const std::filesystem::path& path, Then then) {
    openWhenRead(
        tr("Opening the show"), session_->guard().opening(path),
        [this](const auto& read) { return session_->take(read); }, std::move(then));
}

void Document::openCopyLater(const std::filesystem::path& path, Then then) {
    openWhenRead(
        tr("Opening a copy"), [&guard = session_->guard(), path] { return guard.readCopy(path); },
        [this](const auto& read) { return session_->takeCopy(read); }, std::move(then));
}

void Document::startFromLater(const std::filesystem::path& path, const QString& name,
                              ChooseLists choose, Then then) {
    inBackground(
        tr("Reading the template"), this,
        [&guard = session_->guard(), path](const std::stop_token&) { return guard.readCopy(path); },
        [this, opening = Opening{++opening_, state()}, name, choose, then](const auto& read) {
            const auto start = [=, this](const host::Session::Lists& lists) {
                opened(
                    opening, [&] { return session_->takeAsStart(read, fromQt(name), lists); },
                    then);
            };
            if (!choose || !read || read->state.show->cue_lists.empty())
                return start(std::nullopt);
            choose(*read->state.show, start);
        });
}

void Document::recoverLater(const host::LeftWork& left, Then then) {
    openWhenRead(
        tr("Taking the work back"), session_->guard().recovering(left),
        [this](const auto& read) { return session_->take(read); }, std::move(then));
}

void Document::saveLater(bool over, Then then) {
    saves_.push_back(
        {[this, over] { return session_->guard().saving(state(), over); }, std::move(then)});
    if (saves_.size() == 1)
        nextSave();
}

void Document::saveAsLater(const std::filesystem::path& path, Then then) {
    saves_.push_back(
        {[this, path] { return session_->guard().savingAs(state(), path); }, std::move(then)});
    if (saves_.size() == 1)
        nextSave();
}

void Document::nextSave() {
    inBackground(
        tr("Saving"), this,
        [work = saves_.front().begin()](const std::stop_token& stop) { return work(stop); },
        [this](const auto& written) {
            const auto done = session_->take(written);
            const Then then = std::move(saves_.front().then);
            saves_.pop_front();
            if (!saves_.empty())
                nextSave();
            then(done);
            if (saves_.empty())
                for (const auto& after : std::exchange(after_saving_, {}))
                    after();
        },
        Stopped::Taken);
}

void Document::afterSaving(std::function<void()> then) {
    if (!saving())
        return then();
    after_saving_.push_back(std::move(then));
}

void Document::saveCopyLater(const std::filesystem::path& path, Then then) {
    inBackground(
        tr("Saving a copy"), this,
        [&guard = session_->guard(), now = state(), path](const std::stop_token& stop) {
            return guard.saveCopy(now, path, stop);
        },
        std::move(then));
}

void Document::leftWorkLater(std::function<void(const std::vector<host::LeftWork>&)> take) {
    later(
        "left work", this,
        [&guard = session_->guard(), file = path()] { return guard.leftWork(file); },
        std::move(take));
}

bool Document::setCamera(const std::optional<std::string>& name) {
    camera_ = name;
    followCamera();
    emit changed(Change::Seen);
    return camera_ == name;
}

void Document::followCamera() {
    through_.reset();
    if (camera_) {
        Result<colour::Camera> made =
            fail(ErrorCode::NotFound, ZELO_TEXT("core", "no camera '{}' in the show"), *camera_);
        if (const show::FilmCamera* of = show().cameras.find(*camera_))
            made = play::cameraFrom(*of, *sources());
        if (made)
            through_ = std::make_shared<const colour::Camera>(*made);
        else
            tell(tr("As the eye sees it: %1").arg(said(made.error())));
    }
    if (!through_)
        camera_.reset();
    colours_ = asSeen();
}

LightColours Document::asSeen() const {
    return through_ ? LightColours(through_, monitor_) : LightColours(Kelvin{eye_k()}, monitor_);
}

void Document::setEye(std::optional<double> white_k) {
    eye_k_ = white_k;
    lookAnew();
}

void Document::setMonitor(std::shared_ptr<const colour::Monitor> monitor) {
    monitor_ = std::move(monitor);
    lookAnew();
}

void Document::setBookLamp(double lamp_k) {
    book_lamp_k_ = lamp_k;
    lookAnew();
}

void Document::lookAnew() {
    colours_ = asSeen();
    emit changed(Change::Seen);
}

void Document::finishWork() {
    if (!works_.empty())
        session_->waitUntilIdle();
}

void Document::stopWork(int id) {
    const auto it = works_.find(id);
    if (it == works_.end())
        return;
    it->second.request_stop();
    works_.erase(it);
    emit workEnded(id);
}

Document::TypeKey Document::typeOf(show::FixtureId id) const {
    const show::Fixture* f = show().fixture(id);
    return f ? TypeKey{f->type, f->mode} : TypeKey{};
}

Document::TypeKey Document::focusType() const {
    TypeKey most;
    TypeKey last; // neighbours are mostly of one type: it is looked up once
    std::size_t parts = 0;
    for (const show::FixtureId id : lineup()) {
        const show::Fixture* f = show().fixture(id);
        if (!f || (f->type == last.type && f->mode == last.mode))
            continue;
        const TypeKey key{f->type, f->mode};
        if (key == chosen_focus_)
            return key;
        last = key;
        const auto type = library().type(key.type);
        const light::Mode* mode = type ? type->mode(key.mode) : nullptr;
        std::size_t set = 0; // parts that the mode sets
        for (std::size_t i = 0; mode && i < type->partCount(); ++i)
            set += mode->channelOf(i).has_value();
        if (set > parts || most.type.empty()) {
            parts = set;
            most = key;
        }
    }
    return most;
}

void Document::setFocusType(const TypeKey& key) {
    chosen_focus_ = key;
    emit changed(Change::Focus);
}

void Document::tell(const QString& message) {
    host::log(host::LogLevel::Info, fromQt(message));
    emit told(message);
}

} // namespace zelo::desk
