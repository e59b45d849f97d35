// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/wanted.h"
#include "target.h"

namespace {

class Nothing : public zelo::light::ColourSources {
public:
    zelo::Result<zelo::light::Gel> gel(const std::string& id) const override {
        if (id.size() == 1)
            return zelo::light::Gel{id, "One", zelo::colour::Spectrum::flat(0.5)};
        return zelo::fail(zelo::ErrorCode::NotFound, "no gel");
    }
    zelo::Result<zelo::colour::Spectrum> spectrum(const std::string&) const override {
        return zelo::fail(zelo::ErrorCode::NotFound, "no file");
    }
    zelo::Result<zelo::light::Wanted> palette(const std::string&) const override {
        return zelo::fail(zelo::ErrorCode::NotFound, "no palette");
    }
};

} // namespace

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string text(zelo::fuzz::text(data, size));
    const auto wanted = zelo::light::parseColour(text, Nothing());
    if (wanted && !(wanted->xyz.Y > 0.999 && wanted->xyz.Y < 1.001))
        std::abort(); // every colour comes with Y = 1
    if (const auto asked = zelo::light::parseAsked(text))
        if (const auto again = zelo::light::parseAsked(zelo::light::toText(*asked));
            !again || *again != *asked)
            std::abort();
    return 0;
}
