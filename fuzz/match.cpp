// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type of whatever file makes colours, or says that it does not.
#include "files/gdtf_reader.h"
#include "mix/mix.h"
#include "mix/rounding.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto type = zelo::files::parseGdtf(zelo::fuzz::text(data, size), "{\"emitters\": {}}");
    zelo::fuzz::expectSaid(type);
    if (!type)
        return 0;
    const auto shared = std::make_shared<const zelo::light::FixtureType>(*type);
    constexpr std::size_t kMostModes = 4; // of one input
    for (std::size_t m = 0; m < std::min(kMostModes, shared->modes.size()); ++m) {
        const zelo::mix::Mixer mixer(shared, shared->modes[m]);
        for (const auto& uv : {zelo::colour::Uv{0.21, 0.48}, zelo::colour::Uv{0.45, 0.52},
                               zelo::colour::Uv{0.02, 0.58}}) {
            const auto mix = mixer.solve(zelo::light::wantedUv(uv), {});
            for (const double d : mix.drives)
                if (!(d >= 0 && d <= 1))
                    std::abort();
            const auto sent = zelo::mix::rounded(mixer, mix.drives, 0.7);
            if (!(sent.xyz.Y >= 0))
                std::abort();
        }
    }
    return 0;
}
