// SPDX-License-Identifier: GPL-3.0-or-later
// ZELO_CLONES before a function: the compiler makes versions for processors with AVX2 and with
// AVX-512 and the right one is taken when the program starts; all give the same to the bit. Only
// worth it for a hot loop over doubles.
#pragma once

// Sanitizers are not up yet when the choice is made.
#if defined(__x86_64__) && defined(__GNUC__) && !defined(__clang__) &&                             \
    !defined(__SANITIZE_THREAD__) && !defined(__SANITIZE_ADDRESS__)
#define ZELO_CLONES __attribute__((target_clones("avx512f", "avx2", "default")))
#else
#define ZELO_CLONES
#endif
