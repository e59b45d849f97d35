// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/midi_ports.h"

#include "base/text.h"
#include "remote/midi_message.h"

#include <algorithm>
#include <condition_variable>
#include <filesystem>
#include <map>
#include <mutex>
#include <rtmidi/RtMidi.h>
#include <string_view>
#include <utility>

namespace zelo::remote {

namespace {

constexpr const char* kClient = "Zelochrome";
constexpr const char* kSequencer = "/dev/snd/seq"; // of ALSA

// Asked of the file system: without it its library complains on the console.
RtMidi::Api apiNow(MidiPorts::System system) {
    if (system == MidiPorts::System::Jack)
        return RtMidi::UNIX_JACK;
    std::error_code error;
    return std::filesystem::exists(kSequencer, error) ? RtMidi::LINUX_ALSA : RtMidi::UNSPECIFIED;
}

// Without the numbers that the system hangs on, which are others after the next start.
std::string nameOf(std::string port) {
    port = toUtf8(std::move(port));
    const auto space = port.rfind(' ');
    if (space != std::string::npos && space + 1 < port.size() &&
        port.find_first_not_of("0123456789:", space + 1) == std::string::npos)
        port.resize(space);
    port.resize(std::min(port.size(), kLongestName));
    return toUtf8(port);
}

// What a device takes has the name of what it plays; JACK says which of the two it is.
std::string takenAs(std::string name) {
    for (const auto& [plays, takes] : {std::pair{"capture", "playback"}, {"out", "in"}})
        if (const auto at = name.rfind(plays); at != std::string::npos)
            return name.replace(at, std::string_view(plays).size(), takes);
    return name;
}

// RtMidi throws; here what it throws is that a device is not to be had.
template <class F>
bool tried(F&& f) {
    try {
        f();
        return true;
    } catch (const RtMidiError&) {
        return false;
    }
}

void quiet(RtMidiError::Type, const std::string&, void*) {}

} // namespace

// Shared with the thread, which outlives its owner where the system hangs.
struct MidiPorts::Ports {
    Ports(Heard heard, Changed changed, std::chrono::milliseconds between, System system)
        : heard_(std::move(heard)), changed_(std::move(changed)), between_(between),
          system_(system) {}

    void run() {
        std::unique_lock lock(mutex_);
        auto look_at = Clock::now();
        while (!stop_) {
            if (Clock::now() >= look_at) {
                lock.unlock();
                look();
                lock.lock();
                look_at = Clock::now() + between_;
            }
            const auto told = std::exchange(to_tell_, {});
            lock.unlock();
            for (const auto& [control, value] : told)
                tell(control, value);
            lock.lock();
            wake_.wait_until(lock, look_at, [this] { return stop_ || !to_tell_.empty(); });
        }
        lock.unlock();
        closeAll();
        lock.lock();
        ended_ = true;
        wake_.notify_all();
    }
    // From the owner; false: the thread hangs.
    bool end() {
        {
            const std::lock_guard lock(calls_mutex_);
            closed_ = true;
        }
        std::unique_lock lock(mutex_);
        stop_ = true;
        wake_.notify_all();
        return wake_.wait_for(lock, kPatience, [this] { return ended_; });
    }
    void send(const Control& control, double value) {
        const std::lock_guard lock(mutex_);
        to_tell_[control] = value; // what was not told yet is old
        wake_.notify_all();
    }
    bool available() const {
        const std::lock_guard lock(mutex_);
        return available_;
    }
    std::vector<std::string> devices() const {
        const std::lock_guard lock(mutex_);
        return names_;
    }

private:
    using Clock = std::chrono::steady_clock;
    struct Device {
        Ports* ports;
        std::string name;
        std::unique_ptr<RtMidiIn> in;
        std::unique_ptr<RtMidiOut> out; // null: it takes nothing
    };

    static void take(double, std::vector<unsigned char>* message, void* data) {
        const auto& device = *static_cast<const Device*>(data);
        if (!message)
            return;
        const auto moved = readMidi(*message, device.name);
        const std::lock_guard lock(device.ports->calls_mutex_);
        if (moved && !device.ports->closed_)
            device.ports->heard_(*moved);
    }
    void closeAll() {
        open_.clear();
        list_.reset();
        outs_.reset();
    }
    // A system's MIDI may come, with its first device, and go.
    void follow(RtMidi::Api now) {
        if (now == api_)
            return;
        closeAll();
        api_ = now;
        if (now == RtMidi::UNSPECIFIED)
            return;
        if (!tried([this] {
                list_ = std::make_unique<RtMidiIn>(api_, kClient);
                outs_ = std::make_unique<RtMidiOut>(api_, kClient);
                list_->setErrorCallback(quiet);
                outs_->setErrorCallback(quiet);
            })) {
            list_.reset();
            outs_.reset();
        }
    }
    template <class Port>
    static std::map<std::string, unsigned> there(Port& port) {
        std::map<std::string, unsigned> all;
        tried([&] {
            for (unsigned i = 0; i < port.getPortCount(); ++i)
                if (const std::string name = nameOf(port.getPortName(i));
                    name.find(kClient) == std::string::npos)
                    all.emplace(name, i);
        });
        return all;
    }
    std::unique_ptr<Device> opened(const std::string& name, unsigned number) {
        auto device = std::make_unique<Device>();
        device->ports = this;
        device->name = name;
        const bool fine = tried([&] {
            device->in = std::make_unique<RtMidiIn>(api_, kClient);
            device->in->setErrorCallback(quiet);
            device->in->setCallback(&Ports::take, device.get());
            device->in->openPort(number, "in");
        });
        if (!fine || !device->in->isPortOpen())
            return nullptr;
        return device;
    }
    // What it takes may be there later than what it plays.
    bool openOut(Device& device, const std::map<std::string, unsigned>& outs) {
        auto out = outs.find(device.name);
        if (out == outs.end())
            out = outs.find(takenAs(device.name));
        if (device.out || out == outs.end())
            return false;
        if (!tried([&] {
                device.out = std::make_unique<RtMidiOut>(api_, kClient);
                device.out->setErrorCallback(quiet);
                device.out->openPort(out->second, "out");
            }))
            device.out.reset();
        return device.out != nullptr;
    }
    void look() {
        follow(apiNow(system_));
        bool other = false;
        std::vector<std::string> names;
        if (list_) {
            const auto ins = there(*list_);
            std::erase_if(open_, [&](const auto& d) { return !ins.contains(d.first); });
            const auto outs = there(*outs_);
            for (const auto& [name, number] : ins)
                if (!open_.contains(name))
                    if (auto device = opened(name, number))
                        open_.emplace(name, std::move(device));
            for (const auto& [name, device] : open_) {
                other |= openOut(*device, outs); // that it knows nothing yet is to be told
                names.push_back(name);
            }
        }
        {
            const std::lock_guard lock(mutex_);
            other |= available_ != (list_ != nullptr) || names_ != names;
            available_ = list_ != nullptr;
            names_ = std::move(names);
        }
        const std::lock_guard lock(calls_mutex_);
        if (other && !closed_)
            changed_();
    }
    void tell(const Control& control, double value) {
        const auto it = open_.find(control.name);
        const auto message = midiFor(control, value);
        if (it != open_.end() && it->second->out && !message.empty())
            tried([&] { it->second->out->sendMessage(message.data(), message.size()); });
    }

    static constexpr auto kPatience = std::chrono::milliseconds(500);
    std::mutex calls_mutex_; // while somebody is called
    bool closed_ = false;
    Heard heard_;
    Changed changed_;

    mutable std::mutex mutex_;
    std::condition_variable wake_;
    bool stop_ = false, ended_ = false, available_ = false;
    std::vector<std::string> names_;
    std::map<Control, double> to_tell_;

    // Of the thread alone.
    std::chrono::milliseconds between_;
    System system_;
    RtMidi::Api api_ = RtMidi::UNSPECIFIED;
    std::unique_ptr<RtMidiIn> list_; // null: no MIDI
    std::unique_ptr<RtMidiOut> outs_;
    std::map<std::string, std::unique_ptr<Device>> open_;
};

MidiPorts::MidiPorts(Heard heard, Changed changed, std::chrono::milliseconds between, System system)
    : ports_(std::make_shared<Ports>(std::move(heard), std::move(changed), between, system)),
      thread_([ports = ports_] { ports->run(); }) {}

MidiPorts::~MidiPorts() {
    if (ports_->end())
        thread_.join();
    else
        thread_.detach();
}

bool MidiPorts::available() const {
    return ports_->available();
}

std::vector<std::string> MidiPorts::devices() const {
    return ports_->devices();
}

void MidiPorts::send(const Control& control, double value) {
    ports_->send(control, value);
}

} // namespace zelo::remote
