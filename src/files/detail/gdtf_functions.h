// SPDX-License-Identifier: GPL-3.0-or-later
// What a channel function of a GDTF mode is to us, and the values it names.
#pragma once

#include "files/detail/gdtf_parts.h"

#include <span>

namespace zelo::files::gdtf {

// "65535/2": a value and the bytes it is meant for, brought to `bytes` (1..4). More bytes repeat
// the value ("255/1" is 65535 of two), or with an s behind it are 0 ("255/1s": 65280); fewer drop
// the last. 0 where it cannot be read.
std::uint32_t dmxValue(const char* text, std::size_t bytes);

struct EngineWord {
    const char* attribute;
    light::EngineKind kind;
    bool second;
    const char* name;
};
std::span<const EngineWord> engineWords();
const EngineWord* engineWord(std::string_view attribute); // null: none of an engine

enum class Use { None, Dimmer, Emitter, Flag, Wheel, Engine };
Use useOf(const pugi::xml_node& function);

bool indexesWheel(const pugi::xml_node& function); // it reaches the places between slots too

// The function of a channel that we use: the first that says something to us; of a wheel the one
// that indexes it. One that is there always goes before one that another channel switches on.
pugi::xml_node functionOf(const pugi::xml_node& channel);

} // namespace zelo::files::gdtf
