// SPDX-License-Identifier: GPL-3.0-or-later
// Tables of a show with some of their items made anew; all others stay the very same ones.
#pragma once

#include "show/cues.h"

#include <optional>

namespace zelo::show {

// `change(id, item)` gives what takes the item's place, or nothing: it stays.
template <class Id, class T, class F>
Table<Id, T> changedItems(const Table<Id, T>& all, F change) {
    std::vector<typename Table<Id, T>::Change> changes;
    for (const auto& [id, item] : all)
        if (std::optional<T> next = change(id, *item))
            changes.emplace_back(id, std::make_shared<const T>(std::move(*next)));
    return changes.empty() ? all : all.changed(std::move(changes));
}

// What is left of the values of these lamps; one that says nothing any more goes.
template <class F>
Values lessened(const Values& values, const Lineup& lineup, F lessen) {
    std::vector<Values::Change> changes;
    for (const FixtureId id : lineup)
        if (const Value* value = values.find(id)) {
            Value left = *value;
            lessen(left);
            if (!(left == *value))
                changes.emplace_back(id,
                                     left.empty() ? nullptr : std::make_shared<const Value>(left));
        }
    return changes.empty() ? values : values.changed(std::move(changes));
}

// The same of every cue of every list: `change(list, cue)`.
template <class F>
Table<CueListId, CueList> changedCues(const Table<CueListId, CueList>& lists, F change) {
    return changedItems(lists, [&](CueListId id, const CueList& list) -> std::optional<CueList> {
        auto cues =
            changedItems(list.cues, [&](CueNumber, const Cue& cue) { return change(id, cue); });
        if (cues == list.cues)
            return std::nullopt;
        CueList copy = list;
        copy.cues = std::move(cues);
        return copy;
    });
}

} // namespace zelo::show
