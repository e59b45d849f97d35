// SPDX-License-Identifier: GPL-3.0-or-later
// The library: fixture types and swatch books at hand. Thread-safe once loaded; books may be added
// at any time.
#pragma once

#include "light/wanted.h"
#include "play/mixes.h"
#include "show/show.h"

#include <filesystem>
#include <mutex>

namespace zelo::host {

class Library : public light::ColourSources {
public:
    // Reads DATA/fixtures/*, DATA/gels/*, DATA/surfaces/* and DATA/cameras/*. What cannot be read
    // is left out and told in troubles().
    explicit Library(const std::filesystem::path& data);
    Library();

    // A type by id, or from a GDTF folder or archive by its path; a path is then known by that
    // path.
    Result<std::shared_ptr<const light::FixtureType>> find(const std::string& id_or_path);
    Done addBook(const std::filesystem::path& path); // its gels come before those already there

    // The show whose own types, palettes and measured lights come before all others.
    void setShow(show::ShowPtr show);
    // All of it as it is now; a pointer's cost.
    std::shared_ptr<const play::Sources> sources() const;

    std::vector<std::shared_ptr<const light::FixtureType>> types() const; // by id, the show's too
    // Skin and cloth: reflectances to judge a light on. Fixed once loaded.
    const light::SwatchBook& surfaces() const { return surfaces_; }
    // The cameras that ship, by name, balanced to 5 600 K. Fixed once loaded.
    const std::vector<show::FilmCamera>& shippedCameras() const { return cameras_; }
    // One of the show, one that ships, or one read from a file by its path.
    Result<show::FilmCamera> camera(const std::string& name_or_path) const;
    bool ships(const std::string& id) const; // without the show's own types
    std::vector<std::shared_ptr<const light::SwatchBook>> books() const;
    const std::vector<Sentence>& troubles() const { return troubles_; }

    std::shared_ptr<const light::FixtureType> type(const std::string& id) const {
        return sources()->type(id);
    }
    Result<light::Gel> gel(const std::string& id) const override { return sources()->gel(id); }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        return sources()->spectrum(path);
    }
    Result<light::Wanted> palette(const std::string& name) const override {
        return sources()->palette(name);
    }

private:
    class Moment;
    void change(const std::function<void(Moment&)>& how, bool other_colours);
    std::shared_ptr<const Moment> now() const;
    mutable std::mutex mutex_;
    std::shared_ptr<const Moment> now_;
    light::SwatchBook surfaces_;
    std::vector<show::FilmCamera> cameras_;
    std::vector<Sentence> troubles_;
};

} // namespace zelo::host
