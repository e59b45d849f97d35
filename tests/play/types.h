// SPDX-License-Identifier: GPL-3.0-or-later
// Two fixture types, and no gels at all.
#pragma once

#include "play/mixes.h"
#include "support/test_types.h"

namespace zelo::play {

class Types : public Sources {
public:
    std::uint64_t version() const override { return 1; }
    std::shared_ptr<const light::FixtureType> type(const std::string& id) const override {
        if (id == "eight")
            return eight;
        return id == "bar" ? bar : nullptr;
    }
    Result<light::Gel> gel(const std::string& id) const override {
        return fail(ErrorCode::NotFound, "no gel {}", id);
    }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        return fail(ErrorCode::NotFound, "{}", path);
    }
    Result<light::Wanted> palette(const std::string& name) const override {
        return fail(ErrorCode::NotFound, "{}", name);
    }
    std::shared_ptr<const light::FixtureType> eight = test::typeOf(test::kEight, 2, true);
    std::shared_ptr<const light::FixtureType> bar = test::typeOf(test::kThree, 1, false);
};

} // namespace zelo::play
