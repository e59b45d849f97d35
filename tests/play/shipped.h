// SPDX-License-Identifier: GPL-3.0-or-later
// The fixture types and gels that ship, as play takes them.
#pragma once

#include "play/mixes.h"
#include "support/shipped.h"

namespace zelo::play {

class Shipped : public Sources {
public:
    std::uint64_t version() const override { return 1; }
    std::shared_ptr<const light::FixtureType> type(const std::string& id) const override {
        return id == "ghost" ? nullptr : test::shippedType(id);
    }
    Result<light::Gel> gel(const std::string& id) const override { return gels_.gel(id); }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        return gels_.spectrum(path);
    }
    Result<light::Wanted> palette(const std::string& name) const override {
        return gels_.palette(name);
    }

private:
    test::Gels gels_;
};

} // namespace zelo::play
