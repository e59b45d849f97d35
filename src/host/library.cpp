// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/library.h"

#include "base/text.h"
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

Library::Library(const fs::path& data) {
    for (const auto& path : sortedEntries(data / "fixtures")) {
        if (!fs::is_directory(path) && path.extension() != ".gdtf")
            continue;
        auto type = files::readGdtf(path);
        if (!type) {
            troubles_.push_back(type.error().text());
            continue;
        }
        auto shared = std::make_shared<const light::FixtureType>(std::move(*type));
        types_[shared->id] = shared;
    }
    for (const auto& path : sortedEntries(data / "gels"))
        if (auto added = addBook(path); !added)
            troubles_.push_back(added.error().text());
    for (const auto& path : sortedEntries(data / "surfaces")) {
        auto read = files::readSwatchBook(path);
        if (!read)
            troubles_.push_back(read.error().text());
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
        return fail(ErrorCode::NotFound,
                    "'{}': neither a fixture type of the library ({}) nor a GDTF file or folder",
                    id_or_path, ids);
    }
    auto read = files::readGdtf(id_or_path);
    if (!read)
        return passOn(read.error());
    auto shared = std::make_shared<const light::FixtureType>(std::move(*read));
    const std::lock_guard lock(mutex_);
    types_[id_or_path] = shared;
    return shared;
}

Done Library::addBook(const fs::path& path) {
    auto read = files::readSwatchBook(path);
    if (!read)
        return passOn(read.error());
    const std::lock_guard lock(mutex_);
    books_.insert(books_.begin(), std::make_shared<const light::SwatchBook>(std::move(read->book)));
    return {};
}

void Library::setShow(show::ShowPtr show) {
    const std::lock_guard lock(mutex_);
    show_ = std::move(show);
}

std::vector<std::shared_ptr<const light::FixtureType>> Library::types() const {
    const std::lock_guard lock(mutex_);
    auto merged = show_ ? show_->types : decltype(types_){};
    merged.insert(types_.begin(), types_.end()); // the show's own stay
    std::vector<std::shared_ptr<const light::FixtureType>> all;
    for (const auto& [id, t] : merged)
        all.push_back(t);
    return all;
}

bool Library::ships(const std::string& id) const {
    const std::lock_guard lock(mutex_);
    return types_.contains(id);
}

std::vector<std::shared_ptr<const light::SwatchBook>> Library::books() const {
    const std::lock_guard lock(mutex_);
    return books_;
}

std::shared_ptr<const light::FixtureType> Library::type(const std::string& id) const {
    const std::lock_guard lock(mutex_);
    if (show_)
        if (const auto own = show_->types.find(id); own != show_->types.end())
            return own->second;
    const auto it = types_.find(id);
    return it == types_.end() ? nullptr : it->second;
}

Result<light::Gel> Library::gel(const std::string& id) const {
    for (const auto& book : books())
        if (const light::Gel* gel = book->find(id))
            return *gel;
    return fail(ErrorCode::NotFound, "no gel {} in the swatch book", id);
}

Result<colour::Spectrum> Library::spectrum(const std::string& path) const {
    {
        const std::lock_guard lock(mutex_);
        if (show_)
            for (const auto& m : show_->measured)
                if (m->name == path)
                    return m->spectrum;
    }
    return files::readLight(path);
}

Result<light::Wanted> Library::palette(const std::string& name) const {
    std::string asked;
    {
        const std::lock_guard lock(mutex_);
        if (!show_)
            return fail(ErrorCode::NotFound, "no palette '{}': no show is open", name);
        const show::Palette* p = show_->paletteNamed(name);
        if (!p)
            return fail(ErrorCode::NotFound, "no palette '{}' in the show '{}'", name, show_->name);
        if (!p->colour)
            return fail(ErrorCode::BadValue, "palette '{}' has an intensity and no colour", name);
        asked = p->colour->asked;
    }
    if (startsWith(asked, "palette:")) // a palette of a palette could go round for ever
        return fail(ErrorCode::BadValue, "palette '{}' is itself '{}'", name, asked);
    return light::parseColour(asked, *this);
}

} // namespace zelo::host
