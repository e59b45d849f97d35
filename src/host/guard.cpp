// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/guard.h"

#include "base/assert.h"
#include "base/file.h"
#include "base/hash.h"
#include "base/process_mark.h"
#include "base/text.h"
#include "files/recovery_file.h"
#include "host/log.h"
#include "show/edits.h"
#include "show/limits.h"

#include <algorithm>
#include <ctime>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {

constexpr std::string_view kUnsaved = ".unsaved";
constexpr std::string_view kOldUntitled = "untitled-"; // as version 2 called it
constexpr std::size_t kMostHead = 256 << 10;
constexpr std::size_t kMostRecovery = show::kMostShowBytes + kMostHead;
// A slow disk holds up one; meanwhile the other keeps what is newer.
constexpr int kThreads = 2;
constexpr auto kLongestFlush = std::chrono::seconds(5);

std::int64_t nowSeconds() {
    return static_cast<std::int64_t>(std::time(nullptr));
}

std::string dated(std::int64_t at_s) { // "2026-11-27 04.22.31"
    const auto at = static_cast<std::time_t>(at_s);
    std::tm local{};
    ::localtime_r(&at, &local);
    char text[64];
    return {text, std::strftime(text, sizeof text, "%Y-%m-%d %H.%M.%S", &local)};
}

std::string asFileName(std::string name) {
    if (name.size() > 100)
        name.resize(100);
    for (char& c : name)
        if (c == '/' || static_cast<unsigned char>(c) < 0x20)
            c = '-';
    return toUtf8(std::move(name));
}

fs::path whole(const fs::path& path) { // absolute, links followed
    std::error_code error;
    auto found = fs::weakly_canonical(path, error);
    return error ? fs::absolute(path, error) : found;
}

bool sameFile(const std::optional<fs::path>& a, const fs::path& b) {
    return a && whole(linkTarget(*a)) == whole(linkTarget(b));
}

// A name in the folder that nothing has yet.
fs::path freeName(const fs::path& folder, const std::string& stem, std::string_view ending) {
    std::error_code error;
    for (int i = 1;; ++i) {
        auto path = folder / (i == 1 ? fmt::format("{}{}", stem, ending)
                                     : fmt::format("{} ({}){}", stem, i, ending));
        if (!fs::exists(path, error))
            return path;
    }
}

// The name of its own that left work has until somebody decides on it.
fs::path ownName(const LeftWork& work) {
    return freeName(folderOf(work.path), dated(work.at_s) + " " + asFileName(work.name), kUnsaved);
}

MarkState markOf(const fs::path& recovery_file) {
    std::string name = recovery_file.filename().string();
    if (name[0] == '.')
        name.erase(0, 1);
    return stateOf(std::string_view(name).substr(0, name.find('.')));
}

} // namespace

Guard::Guard(Settings settings, std::shared_ptr<Disk> disk)
    : settings_(std::move(settings)), disk_(std::move(disk)), saved_(show::emptyState()) {
    if (settings_.state_folder.empty())
        return;
    std::error_code error;
    fs::create_directories(folder(), error);
    fs::create_directories(settings_.state_folder / "locks", error);
    removeStrayParts(folder());
    for (int i = 0; i < kThreads; ++i)
        threads_.emplace_back([this](const std::stop_token& stop) { run(stop); });
}

Guard::~Guard() {
    flush();
    for (auto& thread : threads_)
        thread.request_stop();
    threads_.clear();
}

// --- opening -------------------------------------------------------------------------------------

Result<std::unique_ptr<Disk::Held>> Guard::lock(const fs::path& file) const {
    if (settings_.state_folder.empty())
        return nullptr;
    const fs::path target = whole(linkTarget(file));
    auto held = disk_->hold(folderOf(target) / ("." + target.filename().string() + ".lock"));
    if (!held && held.error().code != ErrorCode::Busy) // a folder one may not write to
        held = disk_->hold(settings_.state_folder / "locks" /
                           fmt::format("{:016x}.lock", fnv1a(target.string())));
    if (!held && held.error().code == ErrorCode::Busy)
        return passOn(held.error(), file.string());
    return held ? std::move(*held) : nullptr;
}

// Its own, the document's that was open then and still is, or a new one.
Result<std::unique_ptr<Disk::Held>> Guard::lockOf(FromDisk& from) {
    if (!from.ours)
        return std::move(from.held);
    if (from.document == documentNow())
        return std::move(held_);
    return lock(from.file);
}

Guard::Opening Guard::opening(const fs::path& path) const {
    return [this, path, document = documentNow(), file = file_]() -> Result<std::shared_ptr<Read>> {
        auto read = std::make_shared<Read>();
        read->ours = sameFile(file, path);
        read->document = document;
        std::error_code error;
        if (!fs::exists(path, error))
            return passOn(Error{ErrorCode::NotFound, say(ZELO_TEXT("core", "no such file")), {}},
                          path.string());
        if (!read->ours) {
            auto held = lock(path);
            if (!held)
                return passOn(held.error());
            read->held = std::move(*held);
        }
        read->seen = look(path);
        auto opened = readCopy(path);
        if (!opened)
            return passOn(opened.error());
        read->opened = std::move(*opened);
        read->file = whole(folderOf(path)) / path.filename();
        removeStrayParts(folderOf(whole(linkTarget(path))));
        return read;
    };
}

Result<Opened> Guard::take(Read& read) {
    auto held = lockOf(read);
    if (!held)
        return passOn(held.error());
    standsAs(read.opened.state, read.file, std::move(*held), read.seen);
    return std::move(read.opened);
}

Result<Opened> Guard::open(const fs::path& path) {
    const auto read = opening(path)();
    if (!read)
        return passOn(read.error());
    return take(**read);
}

Result<Opened> Guard::readCopy(const fs::path& path) const {
    const auto bytes = disk_->read(path, show::kMostShowBytes);
    if (!bytes)
        return passOn(bytes.error());
    auto read = files::parseShow(*bytes);
    if (!read)
        return passOn(read.error(), path.string());
    return Opened{{read->show, read->hand}, {}, std::move(read->notes)};
}

void Guard::start(const show::State& state) {
    standsAs(state, std::nullopt, nullptr, {});
}

// Another document begins. What was not saved of the one before, and not let go, is left work.
void Guard::standsAs(const show::State& saved, std::optional<fs::path> file,
                     std::unique_ptr<Disk::Held> held, Seen seen) {
    flush();
    std::vector<fs::path> left;
    {
        const std::lock_guard order(order_);
        const std::lock_guard lock(mutex_);
        written_ = ++count_;
        wish_.reset();
        left.swap(kept_in_);
        after_.clear();
        ++document_;
    }
    for (const auto& path : left)
        if (const auto work = described(path))
            (void)disk_->rename(path, ownName(*work));
    saved_ = saved;
    recovered_ = false;
    held_ = std::move(held);
    file_ = std::move(file);
    seen_ = seen;
}

std::uint64_t Guard::documentNow() const {
    const std::lock_guard lock(mutex_);
    return document_;
}

Guard::Seen Guard::look(const fs::path& file) const {
    Seen seen{disk_->stamp(file), 0};
    if (seen.stamp)
        if (const auto bytes = disk_->read(file, show::kMostShowBytes))
            seen.contents = fnv1a(*bytes);
    return seen;
}

// --- saving --------------------------------------------------------------------------------------

bool Guard::changedSince(const Seen& seen, const fs::path& file) const {
    const auto now = disk_->stamp(file);
    if (!now || now == seen.stamp) // one that was taken away is only written again
        return false;
    const auto bytes = disk_->read(file, show::kMostShowBytes);
    return !seen.stamp || !bytes || fnv1a(*bytes) != seen.contents; // touched only: none to lose
}

Done Guard::write(const show::State& now, const fs::path& path, const std::stop_token& stop,
                  const std::optional<fs::path>& aside) const {
    const auto text = files::showText(*now.show, *now.hand);
    if (!text)
        return passOn(text.error(), path.string());
    if (auto ok = files::checkShowText(*text); !ok)
        return passOn(ok.error(), path.string());
    const fs::path target = linkTarget(path);
    std::error_code error;
    const auto mode = fs::status(target, error).permissions();
    constexpr auto kWrite =
        fs::perms::owner_write | fs::perms::group_write | fs::perms::others_write;
    if (!error && fs::exists(target, error) && (mode & kWrite) == fs::perms::none)
        return passOn(Error{ErrorCode::Io,
                            say(ZELO_TEXT("core", "is read-only: save it under another name")),
                            {}},
                      path.string());
    const auto part = disk_->writePart(target, *text);
    if (!part)
        return passOn(part.error());
    const auto back = disk_->read(*part, text->size());
    if (!back || *back != *text) {
        disk_->remove(*part);
        return passOn(Error{ErrorCode::Io,
                            say(ZELO_TEXT("core", "the disk does not give back what was written")),
                            {}},
                      path.string());
    }
    if (stop.stop_requested()) {
        disk_->remove(*part);
        return passOn(Error{ErrorCode::Io, say(ZELO_TEXT("core", "not saved: it was stopped")), {}},
                      path.string());
    }
    if (aside)
        if (auto ok = disk_->rename(target, *aside); !ok) {
            disk_->remove(*part);
            return ok;
        }
    auto replaced = disk_->replaceBy(*part, target);
    if (!replaced && aside)
        (void)disk_->rename(*aside, target);
    return replaced;
}

Guard::Saving Guard::saving(const show::State& now, bool over) const {
    return [this, now, over, file = file_, seen = seen_, document = documentNow()](
               const std::stop_token& stop) -> Result<std::shared_ptr<Written>> {
        if (!file)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "the show has no file yet"));
        std::optional<fs::path> aside;
        if (changedSince(seen, *file)) {
            if (!over)
                return passOn(
                    Error{ErrorCode::Changed,
                          say(ZELO_TEXT("core", "was changed by another program meanwhile")),
                          {}},
                    file->string());
            const fs::path target = linkTarget(*file);
            aside = freeName(folderOf(target),
                             fmt::format("{}, as found {}", asFileName(target.stem().string()),
                                         dated(nowSeconds())),
                             target.extension().string());
        }
        if (auto ok = write(now, *file, stop, aside); !ok)
            return passOn(ok.error());
        return std::make_shared<Written>(
            Written{{*file, look(*file), nullptr, true, document}, now});
    };
}

Guard::Saving Guard::savingAs(const show::State& now, const fs::path& path) const {
    return [this, now, path, file = file_, over = saving(now, true), document = documentNow()](
               const std::stop_token& stop) -> Result<std::shared_ptr<Written>> {
        if (sameFile(file, path))
            return over(stop);
        auto held = lock(path);
        if (!held)
            return passOn(held.error());
        if (auto ok = write(now, path, stop); !ok)
            return passOn(ok.error());
        return std::make_shared<Written>(Written{{whole(folderOf(path)) / path.filename(),
                                                  look(path), std::move(*held), false, document},
                                                 now});
    };
}

void Guard::take(Written& written, const show::State& now) {
    if (written.document != documentNow())
        return;
    if (!written.ours)
        held_ = std::move(written.held);
    file_ = written.file;
    saved_ = written.state;
    recovered_ = false;
    seen_ = written.seen;
    if (now == saved_)
        forget();
}

Done Guard::save(const show::State& now, bool over) {
    const auto written = saving(now, over)({});
    if (!written)
        return passOn(written.error());
    take(**written, now);
    return {};
}

Done Guard::saveAs(const show::State& now, const fs::path& path) {
    const auto written = savingAs(now, path)({});
    if (!written)
        return passOn(written.error());
    take(**written, now);
    return {};
}

Done Guard::saveCopy(const show::State& now, const fs::path& path,
                     const std::stop_token& stop) const {
    return write(now, path, stop);
}

void Guard::letGo() {
    recovered_ = false;
    forget();
}

// --- keeping what is not saved -------------------------------------------------------------------

fs::path Guard::liveFile(const Wish& wish) const {
    return folder() / fmt::format("{}.{}{}", ownMark(), wish.document, kUnsaved);
}

fs::path Guard::liveBeside(const Wish& wish) const {
    return folderOf(linkTarget(*wish.of)) /
           fmt::format(".{}.{}{}", ownMark(), wish.document, kUnsaved);
}

void Guard::changed(const show::State& now, const show::Lineup& lineup) {
    if (now == saved_) {
        if (!recovered_)
            forget();
        return;
    }
    if (threads_.empty())
        return;
    const std::lock_guard lock(mutex_);
    const auto due = std::chrono::steady_clock::now() + settings_.pause;
    if (!wish_ && (!not_before_ || *not_before_ < due))
        not_before_ = due;
    wish_ = Wish{++count_, document_, now, lineup, file_};
    wake_.notify_all();
}

void Guard::run(const std::stop_token& stop) {
    std::unique_lock lock(mutex_);
    while (wake_.wait(lock, stop, [&] { return wish_.has_value(); }) && !stop.stop_requested()) {
        // A drag makes many changes: wait a moment, then write the newest.
        if (not_before_ && std::chrono::steady_clock::now() < *not_before_) {
            const auto until = *not_before_;
            wake_.wait_until(lock, stop, until,
                             [&] { return !wish_ || !not_before_ || *not_before_ < until; });
            continue;
        }
        const Wish wish = std::move(*wish_);
        wish_.reset();
        not_before_.reset();
        ++writing_;
        lock.unlock();
        keep(wish);
        lock.lock();
        --writing_;
        failures_ += !trouble_.empty();
        if (!trouble_.empty() && !wish_) {
            wish_ = wish; // until it is right
            not_before_ = std::chrono::steady_clock::now() + settings_.again;
        }
        idle_.notify_all();
    }
}

void Guard::keep(const Wish& wish) {
    files::RecoveryHead head;
    head.of = wish.of ? wish.of->string() : std::string();
    head.name = wish.state.show->name;
    head.at_s = nowSeconds();
    head.lineup = wish.lineup;
    const auto text = files::recoveryText(head, wish.state);
    if (!text)
        return setTrouble(text.error().sentence());
    auto kept = keepIn(liveFile(wish), wish.number, *text);
    if (!kept && wish.of)
        if (keepIn(liveBeside(wish), wish.number, *text))
            kept = Done();
    setTrouble(kept ? Sentence() : kept.error().sentence());
}

Done Guard::keepIn(const fs::path& path, std::uint64_t number, const std::string& text) {
    const auto part = disk_->writePart(path, text);
    if (!part)
        return passOn(part.error());
    const std::lock_guard order(order_);
    std::vector<fs::path> gone;
    {
        const std::lock_guard lock(mutex_);
        if (number <= written_) { // a newer one is there, or nothing is wanted any more
            disk_->remove(*part);
            return {};
        }
    }
    if (auto ok = disk_->replaceBy(*part, path); !ok)
        return ok;
    {
        const std::lock_guard lock(mutex_);
        written_ = number;
        gone.swap(after_);
        for (const auto& other : kept_in_)
            if (other != path)
                gone.push_back(other);
        kept_in_ = {path};
    }
    for (const auto& old : gone)
        disk_->remove(old);
    return {};
}

void Guard::forget() {
    {
        const std::lock_guard lock(mutex_);
        if (!wish_ && writing_ == 0 && kept_in_.empty() && after_.empty() && trouble_.empty())
            return; // the usual: nobody waits for a disk
    }
    const std::lock_guard order(order_);
    std::vector<fs::path> gone;
    {
        const std::lock_guard lock(mutex_);
        wish_.reset();
        not_before_.reset();
        written_ = ++count_; // what is being written comes too late
        gone.swap(kept_in_);
        gone.insert(gone.end(), after_.begin(), after_.end());
        after_.clear();
    }
    for (const auto& path : gone)
        disk_->remove(path);
    setTrouble({});
}

void Guard::flush() {
    std::unique_lock lock(mutex_);
    if (threads_.empty())
        return;
    not_before_.reset();
    wake_.notify_all();
    // A write that fails puts its wish back: it has been tried then.
    const auto before = failures_;
    idle_.wait_for(lock, kLongestFlush,
                   [&] { return writing_ == 0 && (!wish_ || failures_ > before); });
}

Sentence Guard::trouble() const {
    const std::lock_guard lock(mutex_);
    return trouble_;
}

void Guard::setTrouble(Sentence trouble) {
    {
        const std::lock_guard lock(mutex_);
        if (trouble == trouble_)
            return;
        trouble_ = trouble;
    }
    log(trouble.empty() ? LogLevel::Info : LogLevel::Error,
        trouble.empty() ? "unsaved work is kept again"
                        : "unsaved work is not kept: " + trouble.english());
    if (on_trouble)
        on_trouble();
}

// --- left work -----------------------------------------------------------------------------------

std::optional<LeftWork> Guard::described(const fs::path& path) const {
    const auto start = disk_->readStart(path, kMostHead);
    const auto stamp = disk_->stamp(path);
    if (!start || !stamp)
        return std::nullopt;
    LeftWork work;
    work.path = path;
    if (const auto head = files::parseRecoveryHead(*start)) {
        work.name = head->name;
        work.at_s = head->at_s;
        if (!head->of.empty())
            work.of = head->of;
    } else { // as version 2 kept it: a show and nothing more
        work.name = path.stem().stem().string();
        work.at_s = stamp->changed_ns / 1'000'000'000;
        if (work.name.rfind(kOldUntitled, 0) != 0)
            work.of = folderOf(path) / path.stem();
    }
    if (const auto file = work.of ? disk_->stamp(*work.of) : std::nullopt)
        work.older = file->changed_ns / 1'000'000'000 > work.at_s;
    return work;
}

std::vector<LeftWork> Guard::leftWork(const std::optional<fs::path>& file) const {
    std::vector<fs::path> found;
    const auto look_in = [&](const fs::path& where) {
        for (const auto& path : disk_->list(where)) {
            if (!path.filename().string().ends_with(kUnsaved))
                continue;
            const auto mark = markOf(path);
            if (mark != MarkState::Own && mark != MarkState::Runs)
                found.push_back(path);
        }
    };
    if (!settings_.state_folder.empty()) {
        look_in(folder());
        look_in(settings_.state_folder); // version 2
    }
    if (file)
        look_in(folderOf(linkTarget(*file)));
    std::vector<LeftWork> all;
    for (const auto& path : found) {
        auto work = described(path);
        if (!work)
            continue;
        // Its own name until it is decided on: nobody who has the old process number takes it.
        if (markOf(path) == MarkState::Ended) {
            const auto own = ownName(*work);
            if (disk_->rename(path, own))
                work->path = own;
        }
        all.push_back(std::move(*work));
    }
    std::stable_sort(all.begin(), all.end(),
                     [](const LeftWork& a, const LeftWork& b) { return a.at_s > b.at_s; });
    return all;
}

Guard::Recovering Guard::recovering(const LeftWork& left) const {
    return [this, left, document = documentNow(), file = file_]() -> Result<std::shared_ptr<Left>> {
        const auto bytes = disk_->read(left.path, kMostRecovery);
        if (!bytes)
            return passOn(bytes.error());
        auto work = files::parseRecovery(*bytes);
        if (!work)
            return passOn(work.error(), left.path.string());
        auto read = std::make_shared<Left>();
        read->document = document;
        read->work = left;
        read->recovered = {show::emptyState(),
                           {{work->second.show, work->second.hand},
                            std::move(work->first.lineup),
                            std::move(work->second.notes)}};
        if (!left.of)
            return read;
        read->file = *left.of;
        read->ours = sameFile(file, *left.of);
        if (!read->ours) {
            auto held = lock(*left.of);
            if (!held)
                return passOn(held.error());
            read->held = std::move(*held);
        }
        read->seen = look(*left.of);
        if (const auto now = readCopy(*left.of))
            read->recovered.first = now->state;
        return read;
    };
}

Guard::Recovered Guard::take(Left& left) {
    auto held = lockOf(left); // somebody else's by now: the work is taken all the same
    standsAs(left.recovered.first, left.work.of, held ? std::move(*held) : nullptr, left.seen);
    recovered_ = true;
    const std::lock_guard guarded(mutex_);
    after_ = {left.work.path};
    return std::move(left.recovered);
}

Result<Guard::Recovered> Guard::recover(const LeftWork& left) {
    const auto read = recovering(left)();
    if (!read)
        return passOn(read.error());
    return take(**read);
}

void Guard::throwAway(const LeftWork& left) {
    disk_->remove(left.path);
}

} // namespace zelo::host
