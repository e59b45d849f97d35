// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gdtf_cells.h"

#include "base/text.h"

#include <algorithm>

namespace zelo::files::gdtf {

namespace {

constexpr int kDeepest = 8; // references in what is referred to
constexpr int kMostOffset = 512;
constexpr int kMostBreak = 64;

int within(const pugi::xml_node& node, const char* attribute, int most) {
    return std::clamp(toInteger(node.attribute(attribute).value()).value_or(1), 1, most);
}

} // namespace

Cells::Cells(const pugi::xml_node& geometries) {
    for (const auto& top : geometries.children()) {
        const std::string name = top.attribute("Name").value();
        struct Walker : pugi::xml_tree_walker {
            Cells* cells = nullptr;
            const std::string* top_name = nullptr;
            bool for_each(pugi::xml_node& node) override {
                cells->top_of_.emplace(node.attribute("Name").value(), *top_name);
                if (std::string_view(node.name()) == "GeometryReference")
                    cells->references_[*top_name].push_back(node);
                return true;
            }
        } walker;
        walker.cells = this;
        walker.top_name = &name;
        top_of_.insert_or_assign(name, name);
        pugi::xml_node(top).traverse(walker);
    }
}

void Cells::startAt(const std::string& root) {
    instances_.clear();
    count_ = 0;
    visit(root, {}, 0);
}

void Cells::visit(const std::string& top, const Instance& above, int depth) {
    const auto in = references_.find(top);
    if (in == references_.end() || depth == kDeepest)
        return;
    for (const auto& reference : in->second) {
        if (++count_ > kMostCells)
            return;
        Instance instance;
        for (const auto& b : reference.children("Break"))
            if (instance.size() < kMostBreak)
                instance.push_back(
                    {within(b, "DMXBreak", kMostBreak), within(b, "DMXOffset", kMostOffset)});
        for (Break& b : instance) // a cell of a cell
            for (const Break& outer : above)
                if (outer.dmx_break == b.dmx_break)
                    b.offset += outer.offset - 1;
        const std::string to = reference.attribute("Geometry").value();
        instances_[to].push_back(instance);
        visit(to, instance, depth + 1);
    }
}

std::vector<Cell> Cells::of(const pugi::xml_node& channel) const {
    const std::string_view said = channel.attribute("DMXBreak").value();
    const bool overwrite = said == "Overwrite";
    const int own = overwrite ? 1 : within(channel, "DMXBreak", kMostBreak);
    const auto top = top_of_.find(channel.attribute("Geometry").value());
    const auto known = top == top_of_.end() ? instances_.end() : instances_.find(top->second);
    if (known == instances_.end())
        return {{own, 0}};
    std::vector<Cell> cells;
    for (const Instance& instance : known->second) {
        if (overwrite && !instance.empty()) {
            cells.push_back({instance.back().dmx_break, instance.back().offset - 1});
            continue;
        }
        const auto b = std::find_if(instance.begin(), instance.end(),
                                    [&](const Break& x) { return x.dmx_break == own; });
        cells.push_back({own, b == instance.end() ? 0 : b->offset - 1});
    }
    return cells;
}

} // namespace zelo::files::gdtf
