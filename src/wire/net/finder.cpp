// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/finder.h"

#include "base/text.h"
#include "wire/bytes.h"

#include <algorithm>

namespace zelo::wire {

namespace {

constexpr int kSideBySide = 8;
constexpr int kTries = 2;
constexpr int kTimersTaken = 4; // how often a device may say "later"
constexpr auto kNodeGone = std::chrono::seconds(10);
constexpr std::size_t kMostDevices = 4096; // a hostile node may list as many as it likes

// In this order; the personality's words need its number from the device info.
constexpr std::uint16_t kQuestions[] = {pid::kDeviceInfo, pid::kMaker, pid::kModel, pid::kLabel,
                                        pid::kPersonalityDescription};

std::string textOf(const std::vector<std::uint8_t>& data, std::size_t from = 0) {
    return data.size() > from ? toUtf8(getText(std::span(data).subspan(from))) : std::string();
}

} // namespace

int FinderState::devicesDone() const {
    return static_cast<int>(
        std::count_if(devices.begin(), devices.end(), [](const auto& d) { return d.done; }));
}

Finder::Finder(FinderSettings settings, Told on_change)
    : settings_(std::move(settings)), on_change_(std::move(on_change)) {}

Result<std::unique_ptr<Finder>> Finder::open(FinderSettings settings, Told on_change) {
    std::unique_ptr<Finder> finder(new Finder(std::move(settings), std::move(on_change)));
    const auto to = ipv4Of(finder->settings_.to);
    if (!to)
        return passOn(to.error());
    finder->to_ = {*to, finder->settings_.port};
    // Nodes answer to the standard's port; on this computer alone they answer to the asker's, so
    // that a practice rig can have the standard's.
    const bool here = startsWith(finder->settings_.from, "127.");
    auto port = UdpPort::open(
        finder->settings_.from, here ? std::uint16_t{0} : finder->settings_.port,
        {[raw = finder.get()](auto bytes, const Endpoint& from) { raw->take(bytes, from); },
         [raw = finder.get()] { raw->tick(); }});
    if (!port)
        return passOn(port.error());
    finder->port_ = std::move(*port);
    if (!here && finder->settings_.to != finder->settings_.from) {
        const auto hand_over = [raw = finder.get()](std::span<const std::uint8_t> bytes,
                                                    const Endpoint& from) {
            raw->port_->post(
                [raw, from, copy = std::vector<std::uint8_t>(bytes.begin(), bytes.end())] {
                    raw->take(copy, from);
                });
        };
        if (auto hears = UdpPort::open(finder->settings_.to, finder->settings_.port, {hand_over}))
            finder->broadcasts_ = std::move(*hears);
    }
    finder->port_->start();
    if (finder->broadcasts_)
        finder->broadcasts_->start();
    return finder;
}

Finder::~Finder() {
    broadcasts_.reset(); // first: it hands over to the other
}

FinderState Finder::state() const {
    const std::lock_guard lock(mutex_);
    FinderState state = state_;
    state.nodes = nodes_;
    return state;
}

void Finder::changed() {
    if (on_change_)
        on_change_();
}

void Finder::search() {
    port_->post([this] {
        ports_.clear();
        waiting_.clear();
        std::erase_if(open_, [](const Question& q) { return !q.answer; });
        step_.clear();
        answered_.clear();
        active_ = 0;
        {
            const std::lock_guard lock(mutex_);
            state_ = {};
            state_.searching = true;
        }
        nodes_until_ = Clock::now() + settings_.nodes_within;
        poll();
        changed();
    });
}

void Finder::stop() {
    port_->post([this] {
        {
            const std::lock_guard lock(mutex_);
            state_.searching = false;
        }
        ports_.clear();
        waiting_.clear();
        std::erase_if(open_, [](const Question& q) { return !q.answer; });
        changed();
    });
}

void Finder::poll() {
    next_poll_ = Clock::now() + settings_.poll_every;
    port_->send(encoded(ArtPoll{}), to_);
}

void Finder::take(std::span<const std::uint8_t> bytes, const Endpoint& from) {
    const auto packet = decodeArtNet(bytes);
    if (!packet) {
        if (packet.error().code != ErrorCode::Unsupported) {
            const std::lock_guard lock(mutex_);
            ++state_.malformed;
        }
        return;
    }
    if (std::get_if<ArtPoll>(&*packet))
        takePoll(from);
    else if (const auto* reply = std::get_if<ArtPollReply>(&*packet))
        takeReply(*reply, from);
    else if (const auto* tod = std::get_if<ArtTodData>(&*packet))
        takeTod(*tod, from);
    else if (const auto* rdm = std::get_if<ArtRdm>(&*packet))
        takeRdm(*rdm);
}

// A controller tells others that it is there, to the standard's port.
void Finder::takePoll(const Endpoint& from) {
    const auto own = ipv4Of(settings_.from);
    const bool here = startsWith(settings_.from, "127.");
    if (!own || (from.ip == *own && (!here || from.port == port_->port())))
        return; // its own broadcast
    ArtPollReply reply;
    reply.ip = *own;
    reply.name = "Zelochrome";
    reply.long_name = "Zelochrome, a controller";
    reply.rdm = false;
    reply.controller = true;
    port_->send(encoded(reply), {from.ip, here ? from.port : settings_.port});
}

void Finder::takeReply(const ArtPollReply& reply, const Endpoint& from) {
    constexpr std::size_t kMostNodes = 1024;
    if (reply.outputs.empty())
        return; // it plays nothing: another controller
    if (seen_.size() < kMostNodes || seen_.contains(from))
        seen_[from] = Clock::now();
    const int before = nodes_.exchange(static_cast<int>(seen_.size()));
    bool searching = false;
    {
        const std::lock_guard lock(mutex_);
        searching = state_.searching;
    }
    if (searching && reply.rdm)
        for (const std::uint16_t address : reply.outputs) {
            const bool known = std::any_of(ports_.begin(), ports_.end(), [&](const Port& p) {
                return p.node == from && p.port_address == address;
            });
            if (known || ports_.size() >= kMostNodes)
                continue;
            ports_.push_back({from, address, {}, 0, {}, 0, false});
            {
                const std::lock_guard lock(mutex_);
                ++state_.ports;
            }
            askPort(ports_.back());
        }
    if (before != nodes_ || searching)
        changed();
}

void Finder::askPort(Port& port) {
    ++port.tries;
    port.deadline = Clock::now() + settings_.answer_within;
    port_->send(encoded(ArtTodRequest{port.port_address}), port.node);
}

void Finder::takeTod(const ArtTodData& tod, const Endpoint& from) {
    for (Port& port : ports_) {
        if (port.node != from || port.port_address != tod.port_address || port.done)
            continue;
        if (tod.refused) {
            portDone(port);
            return;
        }
        if (port.blocks.size() <= tod.block)
            port.blocks.resize(tod.block + 1u);
        port.blocks[tod.block] = tod.uids;
        port.known = 0;
        for (const auto& block : port.blocks)
            port.known += block.size();
        port.deadline = Clock::now() + settings_.answer_within; // more blocks may come
        if (port.known >= std::min<std::size_t>(tod.total, kMostDevices))
            portDone(port);
        return;
    }
}

void Finder::portDone(Port& port) {
    port.done = true;
    const std::lock_guard lock(mutex_);
    ++state_.ports_asked;
    for (const auto& block : port.blocks)
        for (const Uid& uid : block) {
            const auto same = std::find_if(state_.devices.begin(), state_.devices.end(),
                                           [&](const FoundDevice& d) { return d.uid == uid; });
            if (same != state_.devices.end()) {
                const Sentence line =
                    say(ZELO_TEXT("core", "listed twice: two share one identity"));
                if (same->troubles.empty() || same->troubles.back() != line)
                    same->troubles.push_back(line);
                continue;
            }
            if (state_.devices.size() >= kMostDevices) {
                state_.troubles = {say(
                    ZELO_TEXT("core", "more than {} devices: the rest is left out"), kMostDevices)};
                return;
            }
            FoundDevice device;
            device.uid = uid;
            device.node = port.node;
            device.port_address = port.port_address;
            state_.devices.push_back(std::move(device));
            step_.push_back(0);
            waiting_.push_back(state_.devices.size() - 1);
        }
}

// The next question to a device, or it is done.
void Finder::next(std::size_t device) {
    std::size_t& step = step_[device];
    std::unique_lock lock(mutex_);
    FoundDevice& d = state_.devices[device];
    const bool all = step >= std::size(kQuestions) || (step > 0 && !d.answered);
    if (all) {
        d.done = true;
        --active_;
        lock.unlock();
        return changed();
    }
    Question q;
    q.uid = d.uid;
    q.parameter = kQuestions[step++];
    q.device = device;
    if (q.parameter == pid::kPersonalityDescription)
        q.data = {d.info.personality};
    lock.unlock();
    open_.push_back(std::move(q));
    askWhatWaits();
}

Finder::Cable Finder::cableOf(const Uid& uid) const {
    const std::lock_guard lock(mutex_);
    for (const auto& d : state_.devices)
        if (d.uid == uid)
            return {d.node, d.port_address};
    return {to_, 0};
}

void Finder::askWhatWaits() {
    const auto now = Clock::now();
    std::vector<Cable> busy;
    for (const Question& q : open_)
        if (q.in_flight)
            busy.push_back(cableOf(q.uid));
    for (Question& q : open_) {
        if (q.in_flight || now < q.deadline)
            continue;
        const Cable cable = cableOf(q.uid);
        if (std::find(busy.begin(), busy.end(), cable) != busy.end())
            continue;
        busy.push_back(cable);
        ask(q);
    }
}

void Finder::ask(Question& q) {
    ++q.tries;
    q.in_flight = true;
    q.transaction = ++transaction_;
    q.deadline = Clock::now() + settings_.answer_within;
    RdmMessage m;
    m.to = q.uid;
    m.from = settings_.own;
    m.transaction = q.transaction;
    m.command = q.command;
    m.parameter = q.parameter;
    m.data = q.data;
    if (q.for_queued) {
        constexpr std::uint8_t kErrors = 4; // status messages that it may send instead
        m.command = RdmClass::Get;
        m.parameter = pid::kQueued;
        m.data = {kErrors};
    }
    const Cable cable = cableOf(q.uid);
    port_->send(encoded(ArtRdm{cable.port_address, encoded(m)}), cable.node);
}

void Finder::trouble(std::size_t device, const Sentence& line) {
    const std::lock_guard lock(mutex_);
    auto& lines = state_.devices[device].troubles;
    if (std::none_of(lines.begin(), lines.end(), // one line of each kind is enough
                     [&](const Sentence& l) { return l.form == line.form; }))
        lines.push_back(line);
}

void Finder::takeRdm(const ArtRdm& rdm) {
    const auto message = decodeRdm(rdm.message);
    if (!message) {
        const auto from = senderOf(rdm.message);
        {
            const std::lock_guard lock(mutex_);
            ++state_.malformed;
        }
        for (std::size_t i = 0; from && i < step_.size(); ++i)
            if (state_.devices[i].uid == *from) // written on this thread alone
                trouble(i, say(ZELO_TEXT("core", "answers badly: {}"), message.error().text()));
        return;
    }
    if (message->to != settings_.own || message->sub_device != 0 ||
        (message->command != RdmClass::GetResponse && message->command != RdmClass::SetResponse))
        return; // a question is none of ours to answer
    const auto key = std::pair(message->from, message->transaction);
    const auto q = std::find_if(open_.begin(), open_.end(), [&](const Question& o) {
        return o.uid == message->from && o.transaction == message->transaction;
    });
    if (q == open_.end()) {
        const auto earlier = answered_.find(key);
        if (earlier != answered_.end())
            for (std::size_t i = 0; i < step_.size(); ++i)
                if (state_.devices[i].uid == message->from)
                    trouble(i, say(ZELO_TEXT("core", "answers twice: two share one identity")));
        return;
    }
    takeAnswer(*q, *message);
}

void Finder::takeAnswer(Question& question, const RdmMessage& m) {
    const auto now = Clock::now();
    const bool refused = m.answer == static_cast<std::uint8_t>(RdmAnswer::Nack);
    // No message waits, or it does not know of any: the question itself again.
    if (question.for_queued &&
        (m.parameter == pid::kStatus || (refused && m.parameter == pid::kQueued))) {
        question.for_queued = false;
        question.in_flight = false;
        question.deadline = now;
        return askWhatWaits();
    }
    const auto wanted =
        question.command == RdmClass::Get ? RdmClass::GetResponse : RdmClass::SetResponse;
    if (m.parameter != question.parameter || m.command != wanted)
        return; // an answer to something else: the deadline will tell
    if (m.answer == static_cast<std::uint8_t>(RdmAnswer::AckTimer)) {
        const auto later =
            std::chrono::milliseconds(m.data.size() == 2 ? 100 * get16(m.data, 0) : 200);
        question.deadline = now + std::min(later, std::chrono::milliseconds(2000));
        question.in_flight = false;
        question.for_queued = true;
        if (++question.later <= kTimersTaken) {
            question.tries = 0;
        } else { // it will never say: the next tick gives it up
            question.in_flight = true;
            question.deadline = now;
        }
        return askWhatWaits();
    }
    constexpr std::size_t kMostPieces = 4096; // bytes
    if (m.answer == static_cast<std::uint8_t>(RdmAnswer::AckOverflow) &&
        question.pieces.size() < kMostPieces && !m.data.empty()) {
        question.pieces.insert(question.pieces.end(), m.data.begin(), m.data.end());
        question.tries = 0;
        question.in_flight = false;
        question.for_queued = false;
        question.deadline = now;
        return askWhatWaits();
    }
    Question q = std::move(question);
    std::erase_if(open_, [&](const Question& o) { return &o == &question; });
    answered_[{m.from, m.transaction}] = now;
    std::vector<std::uint8_t> data = std::move(q.pieces);
    data.insert(data.end(), m.data.begin(), m.data.end());
    if (q.answer) {
        if (refused)
            q.answer(
                fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: {}"), toText(q.uid),
                     nackWords(m.data.size() == 2 ? get16(m.data, 0) : std::uint16_t{0xffff})));
        else
            q.answer({});
        return askWhatWaits();
    }
    {
        const std::lock_guard lock(mutex_);
        FoundDevice& d = state_.devices[q.device];
        if (refused && q.parameter == pid::kDeviceInfo)
            d.troubles.push_back(say(ZELO_TEXT("core", "refuses to say what it is")));
        if (!refused)
            switch (q.parameter) {
            case pid::kDeviceInfo:
                if (const auto info = decodeDeviceInfo(data)) {
                    d.info = *info;
                    d.answered = true;
                } else {
                    d.troubles.push_back(
                        say(ZELO_TEXT("core", "answers badly: {}"), info.error().text()));
                }
                break;
            case pid::kMaker:
                d.maker = textOf(data);
                break;
            case pid::kModel:
                d.model = textOf(data);
                break;
            case pid::kLabel:
                d.label = textOf(data);
                break;
            default:
                d.personality = textOf(data, 3);
            }
    }
    next(q.device);
}

void Finder::giveUp(Question q, const Sentence& why) {
    if (q.answer)
        return q.answer(fail(ErrorCode::Io, ZELO_TEXT("core", "{}: {}"), toText(q.uid), why));
    if (q.parameter == pid::kDeviceInfo)
        trouble(q.device, why);
    next(q.device);
}

void Finder::tick() {
    const auto now = Clock::now();
    if (now >= next_poll_) {
        std::erase_if(seen_, [&](const auto& s) { return now - s.second > kNodeGone; });
        if (nodes_.exchange(static_cast<int>(seen_.size())) != static_cast<int>(seen_.size()))
            changed();
        poll();
    }
    std::erase_if(answered_, [&](const auto& a) { return now - a.second > kNodeGone; });
    for (Port& port : ports_)
        if (!port.done && now >= port.deadline) {
            if (port.known > 0 || port.tries >= kTries) {
                {
                    const std::lock_guard lock(mutex_);
                    state_.troubles.push_back(say(
                        ZELO_TEXT("core", "{} port {}: {}"), toText(port.node), port.port_address,
                        port.known ? "its table is not complete" : "gives no table of devices"));
                }
                portDone(port);
                changed();
            } else {
                askPort(port);
            }
        }
    std::vector<Question> late;
    for (auto q = open_.begin(); q != open_.end();) {
        const bool over = q->in_flight && now >= q->deadline;
        if (over && (q->tries >= kTries || q->later > kTimersTaken)) {
            late.push_back(std::move(*q));
            q = open_.erase(q);
            continue;
        }
        if (over) // once more, when its cable is free
            q->in_flight = false;
        ++q;
    }
    askWhatWaits();
    for (Question& q : late)
        giveUp(std::move(q), "does not answer");
    while (active_ < kSideBySide && !waiting_.empty()) {
        const std::size_t device = waiting_.front();
        waiting_.pop_front();
        ++active_;
        next(device);
    }
    bool ended = false;
    {
        const std::lock_guard lock(mutex_);
        const bool ports =
            std::all_of(ports_.begin(), ports_.end(), [](const Port& p) { return p.done; });
        if (state_.searching && now >= nodes_until_ && ports && waiting_.empty() && active_ == 0) {
            state_.searching = false;
            if (seen_.empty())
                state_.troubles.push_back(say(ZELO_TEXT("core", "nothing answers Art-Net here")));
            ended = true;
        }
    }
    if (ended)
        changed();
}

void Finder::set(const Uid& uid, std::uint16_t parameter, std::vector<std::uint8_t> data,
                 Answer answer) {
    port_->post([this, uid, parameter, data = std::move(data), answer = std::move(answer)] {
        Question q;
        q.uid = uid;
        q.command = RdmClass::Set;
        q.parameter = parameter;
        q.data = data;
        q.answer = answer;
        open_.push_front(std::move(q)); // who waits for it comes first
        askWhatWaits();
    });
}

void Finder::identify(const Uid& uid, bool on, Answer answer) {
    set(uid, pid::kIdentify, {static_cast<std::uint8_t>(on)}, std::move(answer));
}

void Finder::setAddress(const Uid& uid, int address, Answer answer) {
    std::vector<std::uint8_t> data(2);
    put16(data, 0, static_cast<unsigned>(address));
    set(uid, pid::kStartAddress, data,
        [this, uid, address, answer = std::move(answer)](const Done& done) {
            if (done) {
                const std::lock_guard lock(mutex_);
                for (auto& d : state_.devices)
                    if (d.uid == uid)
                        d.info.address = static_cast<std::uint16_t>(address);
            }
            answer(done);
            changed();
        });
}

void Finder::setPersonality(const Uid& uid, int personality, Answer answer) {
    set(uid, pid::kPersonality, {static_cast<std::uint8_t>(personality)},
        [this, uid, answer = std::move(answer)](const Done& done) {
            for (std::size_t i = 0; done && i < step_.size(); ++i)
                if (state_.devices[i].uid == uid && state_.devices[i].done) {
                    step_[i] = 0; // its footprint and words are others now
                    {
                        const std::lock_guard lock(mutex_);
                        state_.devices[i].done = false;
                    }
                    ++active_;
                    next(i);
                }
            answer(done);
        });
}

} // namespace zelo::wire
