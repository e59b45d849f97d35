// SPDX-License-Identifier: GPL-3.0-or-later
// Gradients in a show file: kept ones in palettes, and the layings that values name by their place.
#pragma once

#include "files/detail/json_object.h"
#include "show/show.h"

#include <map>
#include <unordered_map>

namespace zelo::files {

struct Reading; // show_parts.h

// "gradient"; null when it is not there. Links of stops are looked at when all palettes are read.
std::shared_ptr<const show::Gradient> readGradientMember(JsonObject& o,
                                                         std::vector<Sentence>& notes);
// "way": of a fade, or that leads on from a stop; nothing when it is not there.
// `farthest`: its points.
std::optional<route::StopWay> readWayMember(JsonObject& o, double farthest = 1);
Json wayJson(const route::StopWay& way);
// "laid" and "along": how it lies over lamps.
void readLaid(JsonObject& o, route::Arrangement& arrangement, std::optional<show::AlongPlan>& onto);
void writeLaid(Json& j, const route::Arrangement& arrangement,
               const std::optional<show::AlongPlan>& along);
// All of them into `to.layings`. Palettes must be read.
void readLayings(JsonObject& top, Reading& to);

Json gradientJson(const show::Gradient& gradient);

// Layings that values use, each once, as text.
class LayingTable {
public:
    std::size_t placeOf(const show::LayingPtr& laying);
    const std::vector<std::string>& all() const { return all_; }

private:
    std::vector<std::string> all_;
    std::unordered_map<const show::Laying*, std::size_t> by_pointer_;
    std::unordered_map<std::string, std::size_t> by_text_;
};

} // namespace zelo::files
