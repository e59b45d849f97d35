// SPDX-License-Identifier: GPL-3.0-or-later
// Undo and redo without bound: a list of snapshots with names, and a pointer into it.
#pragma once

#include "show/show.h"

#include <string>
#include <vector>

namespace zelo::show {

struct Moment {
    std::string name; // of the edit that led here: "Colour of 6 fixtures"
    State state;
};

class History {
public:
    explicit History(State first);

    const Moment& now() const { return moments_[at_]; }
    // A new moment after this one; what was undone is forgotten. With the same non-empty `merge` as
    // the last push and nothing undone or saved since, it replaces it: a drag is one step.
    // True: it went on with that step.
    bool push(Moment moment, const std::string& merge = {});
    bool canUndo() const { return at_ > 0; }
    bool canRedo() const { return at_ + 1 < moments_.size(); }
    void undo();
    void redo();
    void
    goTo(std::size_t position); // as many undos or redos as it takes. Requires one of moments()
    const std::string& undoName() const; // of what undo would take back; empty when nothing
    const std::string& redoName() const;
    const std::vector<Moment>& moments() const { return moments_; }
    std::size_t position() const { return at_; }

    void endMerge() { last_merge_.clear(); } // the next push is a step of its own

private:
    std::vector<Moment> moments_;
    std::size_t at_ = 0;
    std::string last_merge_;
};

} // namespace zelo::show
