// SPDX-License-Identifier: GPL-3.0-or-later
// Ring<T, N>: from one thread to another in order; neither ever waits, and nothing is allocated.
// One producer, one consumer.
#pragma once

#include <array>
#include <atomic>
#include <cstddef>

namespace zelo {

template <class T, std::size_t N>
class Ring {
public:
    bool push(const T& value) { // false: full, it was not taken
        const std::size_t at = written_.load(std::memory_order_relaxed);
        if (at - read_.load(std::memory_order_acquire) == N)
            return false;
        slots_[at % N] = value;
        written_.store(at + 1, std::memory_order_release);
        return true;
    }
    bool pop(T& value) { // false: there is none
        const std::size_t at = read_.load(std::memory_order_relaxed);
        if (at == written_.load(std::memory_order_acquire))
            return false;
        value = slots_[at % N];
        read_.store(at + 1, std::memory_order_release);
        return true;
    }

private:
    std::array<T, N> slots_;
    std::atomic<std::size_t> written_{0}, read_{0};
};

} // namespace zelo
