// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/history.h"

#include "base/assert.h"

namespace zelo::show {

namespace {
const std::string kNothing;
}

History::History(State first) {
    ZELO_ASSERT(first.show && first.hand);
    moments_.push_back({std::string(), std::move(first)});
}

bool History::push(Moment moment, const std::string& merge) {
    ZELO_ASSERT(moment.state.show && moment.state.hand);
    moments_.resize(at_ + 1);
    if (!merge.empty() && merge == last_merge_) {
        moments_[at_] = std::move(moment);
        return true;
    }
    moments_.push_back(std::move(moment));
    ++at_;
    last_merge_ = merge;
    return false;
}

void History::undo() {
    if (canUndo())
        --at_;
    last_merge_.clear();
}

void History::redo() {
    if (canRedo())
        ++at_;
    last_merge_.clear();
}

void History::goTo(std::size_t position) {
    ZELO_ASSERT(position < moments_.size());
    at_ = position;
    last_merge_.clear();
}

const std::string& History::undoName() const {
    return canUndo() ? moments_[at_].name : kNothing;
}

const std::string& History::redoName() const {
    return canRedo() ? moments_[at_ + 1].name : kNothing;
}

} // namespace zelo::show
