// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/midi_ports.h"

#include "base/text.h"
#include "remote/midi_message.h"

#include <algorithm>
#include <filesystem>
#include <map>
#include <rtmidi/RtMidi.h>

namespace zelo::remote {

namespace {

constexpr const char* kClient = "Zelochrome";
constexpr const char* kSequencer = "/dev/snd/seq"; // of ALSA

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

struct MidiPorts::Ports {
    struct Device {
        const Heard* heard;
        std::string name;
        std::unique_ptr<RtMidiIn> in;
        std::unique_ptr<RtMidiOut> out; // null: it takes nothing
    };
    Heard heard;
    std::unique_ptr<RtMidiIn> list; // null: no MIDI
    std::unique_ptr<RtMidiOut> outs;
    std::map<std::string, std::unique_ptr<Device>> open;
    std::vector<std::string> names;

    static void take(double, std::vector<unsigned char>* message, void* data) {
        const auto& device = *static_cast<const Device*>(data);
        if (!message)
            return;
        if (const auto moved = readMidi(*message, device.name))
            (*device.heard)(*moved);
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
};

MidiPorts::MidiPorts(Heard heard) : ports_(std::make_unique<Ports>()) {
    ports_->heard = std::move(heard);
    std::error_code error; // without its device the system's library complains on the console
    const bool fine = std::filesystem::exists(kSequencer, error) && tried([this] {
                          ports_->list = std::make_unique<RtMidiIn>(RtMidi::UNSPECIFIED, kClient);
                          ports_->outs = std::make_unique<RtMidiOut>(RtMidi::UNSPECIFIED, kClient);
                          ports_->list->setErrorCallback(quiet);
                          ports_->outs->setErrorCallback(quiet);
                      });
    if (!fine || !ports_->outs) {
        ports_->list.reset();
        ports_->outs.reset();
    }
    look();
}

MidiPorts::~MidiPorts() = default;

bool MidiPorts::available() const {
    return ports_->list != nullptr;
}

const std::vector<std::string>& MidiPorts::devices() const {
    return ports_->names;
}

void MidiPorts::look() {
    if (!available())
        return;
    const auto ins = Ports::there(*ports_->list);
    std::erase_if(ports_->open, [&](const auto& d) { return !ins.contains(d.first); });
    const auto outs = Ports::there(*ports_->outs);
    for (const auto& [name, number] : ins) {
        if (ports_->open.contains(name))
            continue;
        auto device = std::make_unique<Ports::Device>();
        device->heard = &ports_->heard;
        device->name = name;
        const bool fine = tried([&, number = number] {
            device->in = std::make_unique<RtMidiIn>(RtMidi::UNSPECIFIED, kClient);
            device->in->setErrorCallback(quiet);
            device->in->setCallback(&Ports::take, device.get());
            device->in->openPort(number, "in");
        });
        if (!fine || !device->in->isPortOpen())
            continue;
        if (const auto out = outs.find(name);
            out != outs.end() && !tried([&] {
                device->out = std::make_unique<RtMidiOut>(RtMidi::UNSPECIFIED, kClient);
                device->out->setErrorCallback(quiet);
                device->out->openPort(out->second, "out");
            }))
            device->out.reset();
        ports_->open.emplace(name, std::move(device));
    }
    ports_->names.clear();
    for (const auto& [name, device] : ports_->open)
        ports_->names.push_back(name);
}

void MidiPorts::send(const Control& control, double value) {
    const auto it = ports_->open.find(control.name);
    const auto message = midiFor(control, value);
    if (it != ports_->open.end() && it->second->out && !message.empty())
        tried([&] { it->second->out->sendMessage(message.data(), message.size()); });
}

} // namespace zelo::remote
