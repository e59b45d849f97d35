// SPDX-License-Identifier: GPL-3.0-or-later
// TripleBuffer<T>: the newest state from one thread to another; neither ever waits, and nothing is
// allocated. One writer, one reader. What lies between two looks is passed over.
#pragma once

#include <array>
#include <atomic>

namespace zelo {

template <class T>
class TripleBuffer {
public:
    explicit TripleBuffer(const T& first) : slots_{first, first, first} {}

    T& next() { return slots_[writes_]; } // to be filled in whole by the writer
    void publish() { writes_ = between_.exchange(writes_ | kFresh) & kPlace; }
    const T& newest() { // the reader's until it asks again
        if (between_.load() & kFresh)
            reads_ = between_.exchange(reads_) & kPlace;
        return slots_[reads_];
    }

private:
    static constexpr unsigned kPlace = 3, kFresh = 4;
    std::array<T, 3> slots_;
    unsigned writes_ = 0, reads_ = 2;
    std::atomic<unsigned> between_{1};
};

} // namespace zelo
