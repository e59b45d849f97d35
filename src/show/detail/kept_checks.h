// SPDX-License-Identifier: GPL-3.0-or-later
// What edits of all that is kept under a name refuse alike.
#pragma once

#include "base/text.h"
#include "show/edits.h"
#include "show/limits.h"

namespace zelo::show {

// Names are each once; `own` is the id that may have it.
template <class Id, class T>
Done checkName(const Table<Id, T>& all, const Sentence& what, const std::string& name, Id own) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a {} needs a name"), what);
    for (const auto& [id, one] : all)
        if (one->name == name && id != own)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there is a {} '{}' already"), what,
                        name);
    if (all.size() >= kMostKept && !all.contains(own))
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a show has {} of each kind at most"),
                    kMostKept);
    return checkText(what, name, kLongestName);
}

inline Done locked(const Sentence& what, const std::string& name) {
    return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} '{}' is locked: unlock it first"), what,
                name);
}

// Of one that takes the place of the one of its id: locked it may only be unlocked.
template <class Id, class T>
Done checkChanged(const Table<Id, T>& all, const Sentence& what, const T& old, const T& changed) {
    T same = old;
    same.locked = changed.locked;
    if (old.locked && !(same == changed))
        return locked(what, old.name);
    return checkName(all, what, changed.name, changed.id);
}

} // namespace zelo::show
