// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_functions.h"

#include "base/text.h"
#include "files/detail/gdtf_emitters.h"

#include <cmath>

namespace zelo::files::gdtf {

using light::EngineKind;

namespace {

constexpr EngineWord kEngineWords[] = {
    {"HSB_Hue", EngineKind::HueSaturation, false, "Hue"},
    {"HSB_Saturation", EngineKind::HueSaturation, true, "Saturation"},
    {"CTC", EngineKind::CctTint, false, "CCT"},
    {"Tint", EngineKind::CctTint, true, "Tint"},
    {"CIE_X", EngineKind::Chromaticity, false, "x"},
    {"CIE_Y", EngineKind::Chromaticity, true, "y"},
};

bool isWheelAttribute(std::string_view a) { // Color1, Color2 …, and …WheelIndex
    return a.substr(0, 5) == "Color" && a.size() > 5 && a[5] >= '1' && a[5] <= '9' &&
           (a.size() == 6 || a.substr(6) == "WheelIndex");
}

bool isDimmer(std::string_view a) {
    return a == "Dimmer" || a == "HSB_Brightness" || a == "CIE_Brightness";
}

} // namespace

std::uint32_t dmxValue(const char* text, std::size_t bytes) {
    const auto parts = split(text, '/');
    auto of_text = parts.size() == 2 ? parts[1] : std::string_view("1");
    const bool shifts = of_text.ends_with('s');
    if (shifts)
        of_text.remove_suffix(1);
    const auto value = toNumber(parts[0]);
    const auto of = toInteger(of_text);
    if (!value || !of || parts.size() > 2 || *of < 1 || *of > 4 || *value < 0)
        return 0;
    const auto said = static_cast<unsigned>(*of);
    const auto most = static_cast<double>((std::uint64_t{1} << (8 * said)) - 1);
    const auto whole = static_cast<std::uint64_t>(std::llround(std::min(*value, most)));
    std::uint64_t brought = 0;
    for (std::size_t byte = 0; byte < bytes; ++byte) {
        const std::size_t from = shifts && byte >= said ? said : byte % said;
        const auto b = from == said ? 0 : whole >> (8 * (said - 1 - from)) & 0xff;
        brought = brought << 8 | b;
    }
    return static_cast<std::uint32_t>(brought);
}

std::span<const EngineWord> engineWords() {
    return kEngineWords;
}

const EngineWord* engineWord(std::string_view attribute) {
    for (const auto& w : kEngineWords)
        if (attribute == w.attribute)
            return &w;
    return nullptr;
}

Use useOf(const pugi::xml_node& f) {
    const std::string_view attribute = f.attribute("Attribute").value();
    if (isDimmer(attribute))
        return Use::Dimmer;
    if (*f.attribute("Emitter").value() || additiveLight(attribute))
        return Use::Emitter;
    if (*f.attribute("Wheel").value() && isWheelAttribute(attribute))
        return Use::Wheel;
    if (*f.attribute("Filter").value() || modelledFlag(std::string(attribute)))
        return Use::Flag;
    return engineWord(attribute) ? Use::Engine : Use::None;
}

bool indexesWheel(const pugi::xml_node& f) {
    return useOf(f) == Use::Wheel && std::string_view(f.attribute("Attribute").value()).size() > 6;
}

pugi::xml_node functionOf(const pugi::xml_node& channel) {
    pugi::xml_node best;
    for (const auto& logical : channel.children("LogicalChannel"))
        for (const auto& f : logical.children("ChannelFunction")) {
            if (useOf(f) == Use::None)
                continue;
            const bool freer = *best.attribute("ModeMaster").value() && useOf(best) == useOf(f) &&
                               !*f.attribute("ModeMaster").value();
            if (!best || freer || (indexesWheel(f) && useOf(best) == Use::Wheel))
                best = f;
        }
    return best ? best : channel.child("LogicalChannel").child("ChannelFunction");
}

} // namespace zelo::files::gdtf
