// SPDX-License-Identifier: GPL-3.0-or-later
// Counts what a piece of work allocates. It takes the place of the program's allocator: one file of
// a test program includes it.
#pragma once

#include <cstdlib>
#include <new>

namespace zelo::test {
inline thread_local bool watching = false;
inline thread_local int allocations = 0;

[[maybe_unused]] inline void* counted(std::size_t size) {
    allocations += watching;
    if (void* p = std::malloc(size ? size : 1))
        return p;
    throw std::bad_alloc();
}
} // namespace zelo::test

// Sanitizers bring an allocator of their own.
#if !defined(__SANITIZE_ADDRESS__) && !defined(__SANITIZE_THREAD__)
#define ZELO_COUNTS
void* operator new(std::size_t size) {
    return zelo::test::counted(size);
}
void* operator new[](std::size_t size) {
    return zelo::test::counted(size);
}
void operator delete(void* p) noexcept {
    std::free(p);
}
void operator delete[](void* p) noexcept {
    std::free(p);
}
void operator delete(void* p, std::size_t) noexcept {
    std::free(p);
}
void operator delete[](void* p, std::size_t) noexcept {
    std::free(p);
}
#endif

namespace zelo::test {

template <class F>
int allocationsOf(F&& work) {
    work(); // once before: statics and the like
    allocations = 0;
    watching = true;
    work();
    watching = false;
    return allocations;
}

} // namespace zelo::test
