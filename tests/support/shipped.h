// SPDX-License-Identifier: GPL-3.0-or-later
// The fixture types and the swatch book that ship, read once.
#pragma once

#include "colour/lamp.h"
#include "files/gdtf_reader.h"
#include "files/swatch_book_file.h"
#include "light/asked.h"
#include "mix/mix.h"
#include "support/places.h"
#include "support/test_types.h"

#include <gtest/gtest.h>
#include <map>

namespace zelo::test {

inline std::shared_ptr<const light::FixtureType> shippedType(const std::string& id) {
    static std::map<std::string, std::shared_ptr<const light::FixtureType>> all;
    auto& known = all[id];
    if (!known) {
        auto read = files::readGdtf(std::string(places::data) + "/fixtures/" + id);
        EXPECT_TRUE(read) << id;
        known = std::make_shared<light::FixtureType>(std::move(*read));
    }
    return known;
}

inline mix::Mixer shippedMixer(const std::string& id, const std::string& mode = {}) {
    const auto type = shippedType(id);
    return mix::Mixer(type, *type->mode(mode));
}

// Of a type that was changed, in its first mode.
inline mix::Mixer mixerOf(light::FixtureType type) {
    const auto shared = std::make_shared<const light::FixtureType>(std::move(type));
    return mix::Mixer(shared, shared->modes[0]);
}

inline const light::SwatchBook& shippedBook() {
    static const auto book =
        files::readSwatchBook(std::string(places::data) + "/gels/salt-road.txt").value();
    return book.book;
}

// Gels of that book, and nothing else.
class Gels : public light::ColourSources {
public:
    Result<light::Gel> gel(const std::string& id) const override {
        const auto* gel = shippedBook().find(id);
        return gel ? Result<light::Gel>(*gel) : fail(ErrorCode::NotFound, "no gel {}", id);
    }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        return fail(ErrorCode::NotFound, "{}", path);
    }
    Result<light::Wanted> palette(const std::string& name) const override {
        return fail(ErrorCode::NotFound, "{}", name);
    }
};

// A gel behind a lamp of 3200 K.
inline light::Wanted gelWanted(const light::Gel& gel) {
    const auto lamp = colour::lampOf({light::kGelLampK});
    auto w = wantedSpectrum(gel.transmittance * lamp);
    w.asked = light::AskedGel{gel.id, {}, {}, {}};
    w.lamp = lamp;
    return w;
}
inline light::Wanted gelWanted(const std::string& id) {
    return gelWanted(*shippedBook().find(id));
}

inline std::vector<light::Wanted> gelsWanted(std::size_t every) {
    std::vector<light::Wanted> all;
    for (std::size_t i = 0; i < shippedBook().gels.size(); i += every)
        all.push_back(gelWanted(shippedBook().gels[i]));
    return all;
}

inline mix::MixWish wishOf(mix::Intent intent, double give_up = 0.3) {
    mix::MixWish wish;
    wish.intent = intent;
    wish.give_up = give_up;
    return wish;
}

} // namespace zelo::test
