// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/remote/remote_model.h"

#include "base/file.h"
#include "desk/cues/cue_model.h"
#include "desk/kit/qt_text.h"
#include "desk/lineup/trims.h"
#include "desk/match/mix_model.h"

#include <QFileInfo>
#include <QSettings>
#include <algorithm>

namespace zelo::desk {

using remote::Action;
using remote::Does;
using remote::Way;

namespace {
constexpr const char* kTable = "remote/controls"; // in the settings
constexpr double kLevelStep = 0.01;               // of intensity, by a step of a wheel
constexpr double kNudgeShare = 0.25;              // of a press of a key
constexpr double kMostSteps = 64;                 // of one message
constexpr int kMostWaiting = 2000;                // messages for the interface's thread
constexpr double kTold = 1e-3;                    // less is not told again

// Whether such a control may be learned for what is moved so.
bool fits(remote::Control::Kind kind, Way way) {
    using Kind = remote::Control::Kind;
    return way == Way::Key ? kind != Kind::Bend : kind != Kind::Key;
}
} // namespace

RemoteModel::RemoteModel(Document& document, CueModel& cues, FocusModel& focus, MixModel& mixing,
                         QObject* parent)
    : QObject(parent), document_(document), cues_(cues), focus_(focus), mixing_(mixing) {
    readKept();
    connect(&document_, &Document::changed, this, [this](Changes what) {
        if (what.has(Change::Light | Change::Controls | Change::Focus))
            tellBack();
        if (what.has(Change::Values | Change::Focus))
            emit changed();
    });
}

// The ports first: their threads call.
RemoteModel::~RemoteModel() {
    midi_.reset();
    osc_.reset();
}

// From the ports' threads. Of a flood what is beyond kMostWaiting is lost, not the program.
std::function<void(const remote::Moved&)> RemoteModel::posts() {
    return [this, waiting = waiting_](const remote::Moved& moved) {
        if (*waiting >= kMostWaiting)
            return;
        ++*waiting;
        document_.post([self = QPointer(this), waiting, moved] {
            --*waiting;
            if (self)
                self->heard(moved);
        });
    };
}

void RemoteModel::start() {
    midi_ = std::make_unique<remote::MidiPorts>(posts(), [this] {
        document_.post([self = QPointer(this)] {
            if (!self)
                return;
            self->told_.clear(); // a new device knows nothing yet
            emit self->changed();
            self->tellBack();
        });
    });
    listen();
}

void RemoteModel::listen() {
    osc_.reset();
    osc_senders_ = 0; // it counts anew
    osc_trouble_.clear();
    told_.clear();
    if (bindings_.osc == remote::Listens::Nowhere)
        return;
    auto opened = remote::OscPort::open(bindings_.osc, bindings_.osc_port, posts());
    if (opened)
        osc_ = std::move(*opened);
    else
        osc_trouble_ = said(opened.error());
}

void RemoteModel::readKept() {
    auto kept = remote::parseBindings(fromQt(QSettings().value(kTable).toString()));
    take(kept ? std::move(*kept) : remote::Bindings{});
}

void RemoteModel::setBindings(remote::Bindings bindings) {
    QSettings().setValue(kTable, toQt(remote::toText(bindings)));
    take(std::move(bindings));
}

void RemoteModel::take(remote::Bindings bindings) {
    const bool other = bindings.osc != bindings_.osc || bindings.osc_port != bindings_.osc_port;
    bindings_ = std::move(bindings);
    if (other && midi_) // it has been started
        listen();
    told_.clear();
    tellBack();
    emit changed();
}

void RemoteModel::setOsc(remote::Listens where, int port) {
    auto next = bindings_;
    next.osc = where;
    next.osc_port = static_cast<std::uint16_t>(std::clamp(port, 1, 65535));
    setBindings(std::move(next));
}

void RemoteModel::learn(const std::optional<Action>& action) {
    learning_ = action;
    emit changed();
}

void RemoteModel::forget(const Action& action) {
    auto next = bindings_;
    next.forget(action);
    setBindings(std::move(next));
}

void RemoteModel::write(const QString& path) {
    document_.inBackground(
        tr("Writing %1").arg(QFileInfo(path).fileName()), this,
        [path, text = remote::toText(bindings_)](const std::stop_token& stop) {
            return stop.stop_requested() ? Done{} : writeFile(fromQt(path), text);
        },
        [this, path](const Done& done) {
            document_.tell(done ? tr("Written: %1").arg(path) : said(done.error()));
        });
}

void RemoteModel::read(const QString& path) {
    const QString name = QFileInfo(path).fileName();
    document_.inBackground(
        tr("Reading %1").arg(name), this,
        [path](const std::stop_token&) -> Result<remote::Bindings> {
            const auto text = readFile(fromQt(path));
            return text ? remote::parseBindings(*text)
                        : Result<remote::Bindings>(passOn(text.error()));
        },
        [this, name](const Result<remote::Bindings>& read) {
            if (!read)
                return document_.tell(tr("%1: %2").arg(name, said(read.error())));
            setBindings(*read);
            document_.tell(tr("Controls taken from %1.").arg(name));
        });
}

// --- what there is to move

const show::Fader* RemoteModel::faderAt(int number, show::FaderId* id) const {
    const auto& faders = document_.show().faders;
    if (number < 1 || static_cast<std::size_t>(number) > faders.size())
        return nullptr;
    const auto& [at, fader] = faders.entry(static_cast<std::size_t>(number) - 1);
    if (id)
        *id = at;
    return fader.get();
}

std::optional<std::size_t> RemoteModel::emitterNamed(const std::string& name) const {
    const TypeRow* row = focus_.focus();
    for (std::size_t e = 0; row && row->lamp.mixer && e < row->lamp.mixer->type().emitters.size();
         ++e)
        if (row->lamp.mixer->type().emitters[e].name == name)
            return e;
    return std::nullopt;
}

std::vector<Action> RemoteModel::actions() const {
    auto all = remote::standing();
    for (int n = 1;
         n <= static_cast<int>(document_.show().faders.size()) && n <= remote::kMostFaders; ++n)
        all.push_back({Does::Fader, n, {}});
    if (const TypeRow* row = focus_.focus(); row && row->lamp.mixer)
        for (const auto& emitter : row->lamp.mixer->type().emitters)
            if (emitter.name.size() <= remote::kLongestName)
                all.push_back({Does::Emitter, 0, emitter.name});
    for (const auto& b : bindings_.all)
        if (std::find(all.begin(), all.end(), b.action) == all.end())
            all.push_back(b.action);
    return all;
}

QString RemoteModel::nameOf(const Action& action) const {
    switch (action.does) {
    case Does::Master:
        return tr("Master");
    case Does::Fader: {
        const auto* fader = faderAt(action.number);
        return fader ? tr("Fader %1, %2").arg(action.number).arg(toQt(fader->name))
                     : tr("Fader %1").arg(action.number);
    }
    case Does::Emitter:
        return tr("Emitter %1").arg(toQt(action.name));
    case Does::Next:
        return tr("Next cue");
    case Does::Back:
        return tr("Back by a cue");
    case Does::Hold:
        return tr("Hold");
    case Does::Dark:
        return tr("Dark");
    case Does::Level:
        return tr("Intensity of the lineup");
    case Does::Warmth:
        return tr("Warmer, cooler");
    case Does::Tint:
        return tr("Greener, pinker");
    case Does::Depth:
        return tr("Deeper, paler");
    }
    return {};
}

QString RemoteModel::boundTo(const Action& action) const {
    QStringList all;
    for (const auto& b : bindings_.all) {
        if (b.action != action)
            continue;
        const remote::Control& c = b.control;
        const QString device = toQt(c.name);
        all << (c.kind == remote::Control::Kind::Path ? device
                : c.kind == remote::Control::Kind::Bend
                    ? tr("%1: bend, channel %2").arg(device).arg(c.channel + 1)
                : c.kind == remote::Control::Kind::Key
                    ? tr("%1: note %2, channel %3").arg(device).arg(c.number).arg(c.channel + 1)
                    : tr("%1: controller %2, channel %3")
                          .arg(device)
                          .arg(c.number)
                          .arg(c.channel + 1));
    }
    return all.join(QStringLiteral("; "));
}

std::optional<double> RemoteModel::standing(const Action& action) const {
    switch (action.does) {
    case Does::Master:
        return document_.controls().master;
    case Does::Dark:
        return document_.controls().dark ? 1 : 0;
    case Does::Hold:
        return cues_.now() && cues_.now()->held ? 1 : 0;
    case Does::Fader: {
        show::FaderId id;
        if (!faderAt(action.number, &id))
            return std::nullopt;
        for (const auto& f : document_.stage().faders)
            if (f.id == id)
                return f.level;
        return 0;
    }
    case Does::Emitter:
        if (const auto e = emitterNamed(action.name))
            return mixing_.drive(*e);
        return std::nullopt;
    default:
        return std::nullopt;
    }
}

bool RemoteModel::waits(const Action& action) const {
    return std::any_of(bindings_.all.begin(), bindings_.all.end(), [&](const auto& b) {
        const auto it = holds_.find(b.control);
        return b.action == action && it != holds_.end() && it->second.waits();
    });
}

QStringList RemoteModel::devices() const {
    QStringList all;
    if (midi_)
        for (const std::string& name : midi_->devices())
            all << toQt(name);
    return all;
}

QString RemoteModel::oscWords() const {
    if (!osc_trouble_.isEmpty())
        return osc_trouble_;
    return !osc_ ? tr("not listening")
           : bindings_.osc == remote::Listens::Network
               ? tr("listening on the network, port %1").arg(osc_->port())
               : tr("listening on this computer, port %1").arg(osc_->port());
}

// --- what comes

void RemoteModel::heard(const remote::Moved& moved) {
    const bool path = moved.control.kind == remote::Control::Kind::Path;
    if (path && osc_ && osc_->senders() != osc_senders_) {
        osc_senders_ = osc_->senders();
        told_.clear(); // it knows nothing yet
        tellBack();
    }
    if (learning_) {
        if (moved.released || !fits(moved.control.kind, remote::wayOf(learning_->does)))
            return; // the key that was let go; a motor fader says first that it is touched
        remote::Binding binding{moved.control, *learning_};
        if (!path && moved.control.kind == remote::Control::Kind::Level)
            binding.turn = remote::turnOf(moved.value);
        const Action action = *learning_;
        learning_.reset();
        auto next = bindings_;
        if (next.bind(binding))
            setBindings(std::move(next));
        emit changed();
        return document_.tell(tr("%1: %2.").arg(nameOf(action), boundTo(action)));
    }
    if (const auto* binding = bindings_.find(moved.control)) {
        const remote::Binding found = *binding; // what it does may change the table
        return act(found, moved);
    }
    if (path) // those of our own need no table
        if (const auto action = remote::actionOfPath(moved.control.name))
            act({moved.control, *action}, moved);
}

void RemoteModel::act(const remote::Binding& binding, const remote::Moved& moved) {
    const Action& action = binding.action;
    const bool path = moved.control.kind == remote::Control::Kind::Path;
    switch (remote::wayOf(action.does)) {
    case Way::Key:
        // A key says both; a fader or a wheel as a key counts from its upper half on.
        if (!moved.released &&
            (moved.control.kind == remote::Control::Kind::Key || path || moved.value > 0.5))
            press(action.does);
        return;
    case Way::Wheel: {
        const double steps = path ? moved.value : remote::stepsOf(binding.turn, moved.value);
        if (steps != 0)
            turn(action.does, std::clamp(steps, -kMostSteps, kMostSteps));
        return;
    }
    case Way::Fader:
        break;
    }
    const auto now = standing(action);
    if (!now)
        return;
    const double value = std::clamp(moved.value, 0.0, 1.0);
    if (path || moved.control.kind == remote::Control::Kind::Key)
        return set(action, value, gesture_.step()); // it stands where it is told to
    auto& hold = holds_[moved.control];
    const bool waited = hold.waits();
    told_[action] = value; // it stands there itself
    if (const auto taken = hold.moved(value, *now))
        set(action, *taken, gesture_.step());
    else if (!waited)
        document_.tell(tr("%1 stands at %2 %: move its fader past that.")
                           .arg(nameOf(action), QString::number(std::lround(100 * *now))));
    if (waited != hold.waits())
        emit changed();
}

void RemoteModel::set(const Action& action, double value, int gesture) {
    if (action.does == Does::Master) {
        auto controls = document_.controls();
        controls.master = value;
        return document_.setControls(controls);
    }
    if (show::FaderId id; action.does == Does::Fader && faderAt(action.number, &id))
        return document_.setFader(id, value);
    if (const auto e = emitterNamed(action.name); action.does == Does::Emitter && e)
        mixing_.setDrive(*e, value, gesture);
}

void RemoteModel::press(Does does) {
    if (does == Does::Next)
        cues_.goOn();
    else if (does == Does::Back)
        cues_.back();
    else if (does == Does::Hold)
        cues_.hold();
    else if (does == Does::Dark) {
        auto controls = document_.controls();
        controls.dark = !controls.dark;
        document_.setControls(controls);
    }
}

void RemoteModel::turn(Does does, double steps) {
    const int gesture = gesture_.step();
    if (does == Does::Level)
        return shiftIntensity(document_, kLevelStep * steps, nullptr, std::nullopt, gesture);
    const double length = kNudgeShare * nudgeStep() * std::abs(steps);
    const bool up = steps > 0;
    nudgeLineup(document_,
                does == Does::Warmth ? (up ? colour::Nudge::Warmer : colour::Nudge::Cooler)
                : does == Does::Tint ? (up ? colour::Nudge::Greener : colour::Nudge::Pinker)
                                     : (up ? colour::Nudge::Deeper : colour::Nudge::Paler),
                length, gesture);
}

// --- what goes back

void RemoteModel::tellBack() {
    if ((!midi_ || midi_->devices().empty()) && !osc_)
        return;
    const auto fresh = [&](const Action& action) -> std::optional<double> {
        const auto now = standing(action);
        if (!now)
            return std::nullopt;
        const auto [it, first] = told_.try_emplace(action, *now);
        if (!first && std::abs(it->second - *now) < kTold)
            return std::nullopt;
        it->second = *now;
        return now;
    };
    for (const Action& action : actions()) {
        const auto now = fresh(action);
        if (!now)
            continue;
        if (osc_)
            osc_->send(remote::pathOf(action), static_cast<float>(*now));
        for (const auto& b : bindings_.all) {
            if (b.action != action)
                continue;
            if (b.control.kind == remote::Control::Kind::Path) {
                if (osc_)
                    osc_->send(b.control.name, static_cast<float>(*now));
            } else if (midi_) {
                midi_->send(b.control, *now);
            }
        }
    }
}

} // namespace zelo::desk
