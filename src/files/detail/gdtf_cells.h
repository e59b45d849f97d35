// SPDX-License-Identifier: GPL-3.0-or-later
// Where the channels of a GDTF mode stand in it: the cells that GeometryReferences make of one
// geometry, and its breaks.
#pragma once

#include <map>
#include <pugixml.hpp>
#include <string>
#include <vector>

namespace zelo::files::gdtf {

// One place of a channel: its break, and what is added to its offsets there.
struct Cell {
    int dmx_break = 1;
    int shift = 0;
    friend bool operator==(const Cell&, const Cell&) = default;
};

class Cells {
public:
    explicit Cells(const pugi::xml_node& geometries);

    // The mode's: from the geometry that it names.
    void startAt(const std::string& root);
    // At least one: a geometry that nothing refers to stands once. A channel whose break is
    // "Overwrite" takes the last Break of each reference. At most kMostCells.
    std::vector<Cell> of(const pugi::xml_node& channel) const;
    static constexpr std::size_t kMostCells = 512;

private:
    struct Break {
        int dmx_break, offset;
    };
    using Instance = std::vector<Break>; // of one reference, in its order
    void visit(const std::string& top, const Instance& above, int depth);

    std::map<std::string, std::string> top_of_;                     // of every geometry
    std::map<std::string, std::vector<pugi::xml_node>> references_; // in each top geometry
    std::map<std::string, std::vector<Instance>> instances_;        // of each that is used
    std::size_t count_ = 0;
};

} // namespace zelo::files::gdtf
