// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/osc_message.h"

#include "base/text.h"

#include <algorithm>
#include <cmath>
#include <cstring>
#include <lo/lo_lowlevel.h>
#include <memory>
#include <string_view>

namespace zelo::remote {

namespace {

constexpr std::string_view kBundle("#bundle\0", 8);
constexpr int kDeepest = 4; // bundles within bundles

std::size_t bigEndian32(std::span<const std::uint8_t> at) {
    return std::size_t{at[0]} << 24 | std::size_t{at[1]} << 16 | std::size_t{at[2]} << 8 | at[3];
}

// A text ends with a zero and fills whole fours; empty where it does not end.
std::string_view textAt(std::span<const std::uint8_t> bytes) {
    const auto end = std::find(bytes.begin(), bytes.end(), 0);
    if (end == bytes.end())
        return {};
    return {reinterpret_cast<const char*>(bytes.data()),
            static_cast<std::size_t>(end - bytes.begin())};
}

void readOne(std::span<const std::uint8_t> bytes, std::vector<Moved>& all) {
    const std::string_view path = textAt(bytes);
    if (path.empty() || path[0] != '/' || path.size() > kLongestName || !isUtf8(path))
        return;
    std::vector<std::uint8_t> own(bytes.begin(), bytes.end()); // it is turned round in place
    int error = 0;
    const std::unique_ptr<void, void (*)(lo_message)> message(
        lo_message_deserialise(own.data(), own.size(), &error), lo_message_free);
    if (!message)
        return;
    Moved moved;
    moved.control = {Control::Kind::Path, 0, 0, std::string(path)};
    moved.value = 1; // without a number it is a press
    const int count = lo_message_get_argc(message.get());
    const char* types = lo_message_get_types(message.get());
    lo_arg** arguments = lo_message_get_argv(message.get());
    for (int i = 0; i < count; ++i) {
        double value = NAN;
        switch (types[i]) {
        case LO_INT32:
            value = arguments[i]->i;
            break;
        case LO_INT64:
            value = static_cast<double>(arguments[i]->h);
            break;
        case LO_FLOAT:
            value = static_cast<double>(arguments[i]->f);
            break;
        case LO_DOUBLE:
            value = arguments[i]->d;
            break;
        case LO_TRUE:
            value = 1;
            break;
        case LO_FALSE:
            value = 0;
            break;
        default:
            continue;
        }
        if (!std::isfinite(value))
            return;
        moved.value = value;
        break;
    }
    moved.released = moved.value == 0;
    all.push_back(std::move(moved));
}

void read(std::span<const std::uint8_t> bytes, int depth, std::vector<Moved>& all) {
    const bool bundle =
        bytes.size() >= 16 && std::memcmp(bytes.data(), kBundle.data(), kBundle.size()) == 0;
    if (!bundle)
        return readOne(bytes, all);
    if (depth == kDeepest)
        return;
    bytes = bytes.subspan(16); // its mark and its time
    while (bytes.size() >= 4 && all.size() < kMostOscMessages) {
        const std::size_t size = bigEndian32(bytes);
        bytes = bytes.subspan(4);
        if (size == 0 || size > bytes.size() || size % 4 != 0)
            return;
        read(bytes.first(size), depth + 1, all);
        bytes = bytes.subspan(size);
    }
}

} // namespace

std::vector<Moved> readOsc(std::span<const std::uint8_t> packet) {
    std::vector<Moved> all;
    if (packet.size() >= 8 && packet.size() % 4 == 0)
        read(packet, 0, all);
    return all;
}

std::vector<std::uint8_t> oscFor(const std::string& path, float value) {
    const std::unique_ptr<void, void (*)(lo_message)> message(lo_message_new(), lo_message_free);
    lo_message_add_float(message.get(), value);
    std::vector<std::uint8_t> bytes(lo_message_length(message.get(), path.c_str()));
    std::size_t size = bytes.size();
    lo_message_serialise(message.get(), path.c_str(), bytes.data(), &size);
    return bytes;
}

} // namespace zelo::remote
