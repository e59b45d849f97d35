// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/library.h"

#include "base/text.h"
#include "files/camera_file.h"
#include "files/gdtf_reader.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"

#include <algorithm>

namespace zelo::host {

namespace fs = std::filesystem;

namespace {
std::vector<fs::path> sortedEntries(const fs::path& folder) {
    std::vector<fs::path> entries;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(folder, error))
        if (entry.path().filename().string().front() != '.')
            entries.push_back(entry.path());
    std::sort(entries.begin(), entries.end());
    return entries;
}
} // namespace

// Never changes: the library makes the next one from it.
class Library::Moment : public play::Sources {
public:
    std::map<std::string, std::shared_ptr<const light::FixtureType>>
        types; // that ship, or were read
    std::vector<std::shared_ptr<const light::SwatchBook>> books;
    show::ShowPtr show; // may be null
    std::uint64_t colours = 0;
    colour::CamerasPtr filming; // of the show, in use

    colour::CamerasPtr cameras() const override { return filming; }

    std::uint64_t version() const override { return colours; }

    std::shared_ptr<const light::FixtureType> type(const std::string& id) const override {
        if (show)
            if (const auto& own = show->types.item(id))
                return own;
        const auto it = types.find(id);
        return it == types.end() ? nullptr : it->second;
    }

    Result<light::Gel> gel(const std::string& id) const override {
        for (const auto& book : books)
            if (const light::Gel* gel = book->find(id))
                return *gel;
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no gel {} in the swatch book"), id);
    }

    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        if (show)
            if (const auto* measured = show->measured.find(path))
                return measured->spectrum;
        return files::readLight(path);
    }

    Result<light::Wanted> palette(const std::string& name) const override {
        if (!show)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette '{}': no show is open"),
                        name);
        const show::Palette* p = show->paletteNamed(name);
        if (!p)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette '{}' in the show '{}'"),
                        name, show->name);
        if (!p->colour)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "palette '{}' has an intensity and no colour"), name);
        const auto& asked = p->colour->asked;
        if (std::holds_alternative<light::AskedPalette>(asked)) // could go round for ever
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "palette '{}' is itself '{}'"), name,
                        light::toText(asked));
        return light::wantedOf(asked, *this);
    }
};

namespace {

// In use, and balanced to a light that is to be had.
colour::CamerasPtr camerasOf(const play::Sources& from, const show::Show* show) {
    colour::Cameras all;
    if (show)
        for (const auto& [name, camera] : show->cameras)
            if (camera->used)
                if (auto made = play::cameraFrom(*camera, from))
                    all.push_back(std::move(*made));
    return all.empty() ? nullptr : std::make_shared<const colour::Cameras>(std::move(all));
}

} // namespace

Library::Library() : now_(std::make_shared<const Moment>()) {}

std::shared_ptr<const Library::Moment> Library::now() const {
    const std::lock_guard lock(mutex_);
    return now_;
}

std::shared_ptr<const play::Sources> Library::sources() const {
    return now();
}

void Library::change(const std::function<void(Moment&)>& how, bool other_colours) {
    const std::lock_guard lock(mutex_);
    auto next = std::make_shared<Moment>(*now_);
    how(*next);
    if (other_colours)
        ++next->colours;
    now_ = std::move(next);
}

Library::Library(const fs::path& data) : Library() {
    std::map<std::string, std::shared_ptr<const light::FixtureType>> read_types;
    for (const auto& path : sortedEntries(data / "fixtures")) {
        if (!fs::is_directory(path) && path.extension() != ".gdtf")
            continue;
        auto type = files::readGdtf(path);
        if (!type) {
            troubles_.push_back(type.error().sentence());
            continue;
        }
        auto shared = std::make_shared<const light::FixtureType>(std::move(*type));
        read_types[shared->id] = shared;
    }
    change([&](Moment& m) { m.types = std::move(read_types); }, false);
    for (const auto& path : sortedEntries(data / "gels"))
        if (auto added = addBook(path); !added)
            troubles_.push_back(added.error().sentence());
    for (const auto& path : sortedEntries(data / "cameras")) {
        if (auto read = files::readCamera(path))
            cameras_.push_back({std::move(read->name), std::move(read->channels)});
        else
            troubles_.push_back(read.error().sentence());
    }
    for (const auto& path : sortedEntries(data / "surfaces")) {
        auto read = files::readSwatchBook(path);
        if (!read)
            troubles_.push_back(read.error().sentence());
        else
            for (auto& gel : read->book.gels)
                surfaces_.gels.push_back(std::move(gel));
    }
}

Result<std::shared_ptr<const light::FixtureType>> Library::find(const std::string& id_or_path) {
    if (auto known = type(lowered(id_or_path)))
        return known;
    std::error_code error;
    if (!fs::exists(id_or_path, error)) {
        std::string ids;
        for (const auto& t : types())
            ids += (ids.empty() ? "" : ", ") + t->id;
        return fail(
            ErrorCode::NotFound,
            ZELO_TEXT("core",
                      "'{}': neither a fixture type of the library ({}) nor a GDTF file or folder"),
            id_or_path, ids);
    }
    auto read = files::readGdtf(id_or_path);
    if (!read)
        return passOn(read.error());
    auto shared = std::make_shared<const light::FixtureType>(std::move(*read));
    change([&](Moment& m) { m.types[id_or_path] = shared; }, false);
    return shared;
}

Done Library::addBook(const fs::path& path) {
    auto read = files::readSwatchBook(path);
    if (!read)
        return passOn(read.error());
    auto book = std::make_shared<const light::SwatchBook>(std::move(read->book));
    change([&](Moment& m) { m.books.insert(m.books.begin(), std::move(book)); }, true);
    return {};
}

void Library::setShow(show::ShowPtr show) {
    const auto before = now()->show;
    const bool same = before && show && before->palettes == show->palettes &&
                      before->measured == show->measured && before->cameras == show->cameras;
    change(
        [&](Moment& m) {
            m.show = std::move(show);
            if (!same)
                m.filming = camerasOf(m, m.show.get());
        },
        !same);
}

std::vector<std::shared_ptr<const light::FixtureType>> Library::types() const {
    const auto moment = now();
    auto merged = moment->types;
    if (moment->show)
        for (const auto& [id, type] : moment->show->types)
            merged[id] = type;
    std::vector<std::shared_ptr<const light::FixtureType>> all;
    all.reserve(merged.size());
    for (const auto& [id, t] : merged)
        all.push_back(t);
    return all;
}

Result<show::FilmCamera> Library::camera(const std::string& name_or_path) const {
    const std::string wanted = lowered(name_or_path);
    std::string names;
    if (const auto show = now()->show)
        for (const auto& [name, camera] : show->cameras) {
            if (lowered(name) == wanted)
                return *camera;
            names += name + ", ";
        }
    for (const show::FilmCamera& camera : cameras_) {
        if (lowered(camera.name) == wanted)
            return camera;
        names += camera.name + ", ";
    }
    std::error_code error;
    if (!fs::exists(name_or_path, error))
        return fail(ErrorCode::NotFound,
                    ZELO_TEXT("core", "no camera '{}': expected {}or a file of sensitivities"),
                    name_or_path, names);
    auto read = files::readCamera(name_or_path);
    if (!read)
        return passOn(read.error());
    return show::FilmCamera{std::move(read->name), std::move(read->channels)};
}

bool Library::ships(const std::string& id) const {
    return now()->types.contains(id);
}

std::vector<std::shared_ptr<const light::SwatchBook>> Library::books() const {
    return now()->books;
}

} // namespace zelo::host
