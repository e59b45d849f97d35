// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/gdtf_reader.h"

#include "base/file.h"
#include "base/text.h"
#include "files/archive.h"
#include "files/detail/gdtf_modes.h"
#include "files/detail/json_bounds.h"
#include "files/detail/plain_text.h"

#include <algorithm>
#include <charconv>
#include <nlohmann/json.hpp>
#include <set>

namespace zelo::files {

using light::Emitter;
using light::FixtureType;

namespace {

bool hasChannel(const FixtureType& type, std::size_t part) {
    return std::any_of(type.modes.begin(), type.modes.end(),
                       [&](const light::Mode& m) { return m.channelOf(part).has_value(); });
}

class TypeReader {
public:
    Result<FixtureType> read(const pugi::xml_node& root) {
        const auto node = root.child("FixtureType");
        if (!node)
            return gdtf::bad("description.xml", "no FixtureType in it");
        type_.name = node.attribute("LongName").value();
        if (const std::string brief = node.attribute("Name").value(); type_.name.empty())
            type_.name = brief;
        type_.maker = node.attribute("Manufacturer").value();
        type_.description = node.attribute("Description").value();
        readRdm(node.child("Protocols").child("FTRDM"));
        named_.physical = node.child("PhysicalDescriptions");
        named_.geometries = node.child("Geometries");
        named_.beam = named_.geometries.find_node(
            [](const pugi::xml_node& n) { return std::string_view(n.name()) == "Beam"; });
        if (auto ok = readEmitters(node); !ok)
            return passOn(ok.error());
        if (auto ok = readFilters(node); !ok)
            return passOn(ok.error());
        auto modes = gdtf::readModes(node.child("DMXModes"), named_, type_);
        if (!modes)
            return passOn(modes.error());
        type_.modes = std::move(*modes);
        for (const auto& source : sources_)
            if (const auto e = named_.emitters.find(source); e != named_.emitters.end())
                type_.emitters[e->second].source = !hasChannel(type_, e->second);
        return std::move(type_);
    }

private:
    // Numbers in hexadecimal, with or without 0x. What is none is left out and told.
    void readRdm(const pugi::xml_node& node) {
        if (!node)
            return;
        const auto number = [](const pugi::xml_attribute& a) -> std::optional<std::uint16_t> {
            std::string_view text = a.value();
            if (text.starts_with("0x") || text.starts_with("0X"))
                text.remove_prefix(2);
            std::uint16_t n = 0;
            const auto end = text.data() + text.size();
            const auto read = std::from_chars(text.data(), end, n, 16);
            return read.ec == std::errc{} && read.ptr == end ? std::optional(n) : std::nullopt;
        };
        const auto maker = number(node.attribute("ManufacturerID"));
        const auto model = number(node.attribute("DeviceModelID"));
        if (!maker || !model || *maker == 0)
            return type_.notes.push_back(say(ZELO_TEXT("core", "its RDM numbers cannot be read")));
        light::RdmModel rdm{*maker, *model, {}};
        constexpr std::size_t kMost = 255; // personalities of E1.20
        for (const auto& version : node.children("SoftwareVersionID"))
            for (const auto& p : version.children("DMXPersonality"))
                if (const auto n = number(p.attribute("Value"));
                    n && *n >= 1 && rdm.personalities.size() < kMost)
                    rdm.personalities[*n] = p.attribute("DMXMode").value();
        type_.rdm = std::move(rdm);
    }

    // What cannot be read spoils itself alone, and is told.
    Done readEmitters(const pugi::xml_node& node) {
        for (const auto& e : named_.physical.child("Emitters").children("Emitter")) {
            auto read = gdtf::readEmitter(e, type_.notes);
            if (!read) {
                leaveOut(read.error());
                continue;
            }
            if (!named_.emitters.emplace(read->emitter.name, type_.emitters.size()).second) {
                type_.notes.push_back(
                    say(ZELO_TEXT("core", "Emitter '{}': there is another of this name, left out"),
                        read->emitter.name));
                continue;
            }
            type_.emitters.push_back(std::move(read->emitter));
            named_.told.push_back(read->told);
            if (type_.emitters.size() > light::kMostParts)
                return gdtf::bad(
                    "Emitters", say(ZELO_TEXT("core", "more than {} emitters"), light::kMostParts));
        }
        if (const std::string source = named_.beam.attribute("EmitterSpectrum").value();
            !source.empty())
            sources_.push_back(source);
        if (!type_.emitters.empty() || gdtf::anyAdditive(node.child("DMXModes")))
            return {};
        if (auto lamp = gdtf::lampOfBeam(named_.beam)) {
            type_.notes.push_back(
                say(ZELO_TEXT("core", "no emitters: the lamp is modelled from the Beam")));
            named_.emitters.emplace(lamp->name, 0);
            named_.told.push_back({true, 0});
            sources_.push_back(lamp->name);
            type_.emitters.push_back(std::move(*lamp));
            return {};
        }
        return gdtf::bad("Emitters",
                         say(ZELO_TEXT("core", "no emitters, and no Beam with ColorTemperature and "
                                               "LuminousFlux to model a lamp from")));
    }

    Done readFilters(const pugi::xml_node& node) {
        for (const auto& f : named_.physical.child("Filters").children("Filter")) {
            auto filter = gdtf::readFilter(f, type_.notes);
            if (!filter) {
                leaveOut(filter.error());
                continue;
            }
            std::string name = filter->name;
            named_.filters.insert_or_assign(std::move(name), std::move(*filter));
            if (named_.filters.size() > kMostFiles)
                return gdtf::bad("Filters",
                                 say(ZELO_TEXT("core", "more than {} filters"), kMostFiles));
        }
        for (const auto& w : node.child("Wheels").children("Wheel")) {
            // Wheels of gobos and the like have slots without colours: read all the same, unused.
            auto wheel = gdtf::readWheel(w, named_.filters, type_.notes);
            if (!wheel) {
                leaveOut(wheel.error());
                continue;
            }
            std::string name = wheel->name;
            named_.wheels.insert_or_assign(std::move(name), std::move(*wheel));
        }
        for (const auto& p : named_.physical.child("DMXProfiles").children("DMXProfile")) {
            auto response = gdtf::readProfile(p);
            if (response)
                named_.profiles[p.attribute("Name").value()] = *response;
            else
                leaveOut(response.error());
        }
        return {};
    }

    void leaveOut(const Error& why) {
        constexpr std::size_t kMostNotes = 200;
        if (type_.notes.size() < kMostNotes)
            type_.notes.push_back(say(ZELO_TEXT("core", "left out: {}"), why.sentence()));
    }

    FixtureType type_;
    gdtf::Named named_;
    std::vector<std::string> sources_; // emitters that a Beam names
};

// Names that GDTF does not allow, by what stands there instead. Each only where no other has it.
void takeNames(const Json& names, FixtureType& type) {
    constexpr std::size_t kLongest = 200; // bytes
    std::map<std::string, std::string> by_plain;
    std::set<std::string> used;
    for (const auto& [plain, own] : names.items())
        if (own.is_string())
            if (auto text = own.get<std::string>();
                !text.empty() && text.size() <= kLongest && used.insert(text).second)
                by_plain[plain] = std::move(text);
    for (const Emitter& e : type.emitters) // a name of the file itself is nobody else's
        std::erase_if(by_plain, [&](const auto& n) { return n.second == e.name; });
    const auto take = [&](std::string& name) {
        if (const auto own = by_plain.find(name); own != by_plain.end())
            name = own->second;
    };
    for (auto& e : type.emitters)
        take(e.name);
    for (auto& f : type.flags)
        take(f.name);
    for (auto& w : type.wheels) {
        take(w.name);
        for (auto& slot : w.places)
            take(slot.name);
    }
    for (auto& m : type.modes) {
        take(m.name);
        for (auto& c : m.channels) {
            take(c.name);
            for (auto& range : c.named)
                take(range.name);
        }
    }
}

// What GDTF has no place for: electrical power, names in other letters.
void readOwnWords(std::string_view text, FixtureType& type) {
    const auto read = boundedJson(text);
    const auto emitters =
        read && read->is_object() ? read->value("emitters", Json::object()) : Json();
    if (!emitters.is_object()) {
        type.notes.push_back(say(
            ZELO_TEXT("core", "zelochrome.json is not read: expected {{\"emitters\": {{…}}}}")));
        return;
    }
    if (const auto names = read->find("names"); names != read->end() && names->is_object())
        takeNames(*names, type);
    for (Emitter& e : type.emitters)
        if (const auto it = emitters.find(e.name); it != emitters.end() && it->is_object())
            if (const auto w = it->find("power_w"); w != it->end() && w->is_number() &&
                                                    w->get<double>() >= 0 &&
                                                    w->get<double>() <= 1e6)
                e.power_w = w->get<double>();
}

Result<Files> folderFiles(const std::filesystem::path& folder) {
    Files files;
    std::size_t bytes = 0;
    std::error_code error;
    const auto root = std::filesystem::weakly_canonical(folder, error);
    const auto within = [&](const std::filesystem::path& file) { // no link leads out of the folder
        const auto real = std::filesystem::weakly_canonical(file, error);
        const auto [end_of_root, rest] =
            std::mismatch(root.begin(), root.end(), real.begin(), real.end());
        return !error && end_of_root == root.end();
    };
    for (std::filesystem::recursive_directory_iterator at(folder, error), end; !error && at != end;
         at.increment(error)) {
        if (!at->is_regular_file(error) || (at->is_symlink(error) && !within(at->path())))
            continue;
        auto text = readFile(at->path(), kMostFileBytes);
        if (!text)
            return passOn(text.error());
        bytes += text->size();
        files[at->path().lexically_relative(folder).generic_string()] = std::move(*text);
        if (bytes > kMostArchiveBytes || files.size() > kMostFiles)
            return fail(ErrorCode::TooLarge,
                        ZELO_TEXT("core", "more than {} bytes or {} files in the folder"),
                        kMostArchiveBytes, kMostFiles);
    }
    return files;
}

Result<Files> readFiles(const std::filesystem::path& path) {
    if (std::filesystem::is_directory(path))
        return folderFiles(path);
    auto bytes = readFile(path);
    if (!bytes)
        return passOn(bytes.error());
    auto files = unzipped(*bytes, say(ZELO_TEXT("core", "a GDTF archive")));
    if (!files)
        return passOn(files.error(), path.string());
    return files;
}

} // namespace

Result<FixtureType> parseGdtf(std::string_view description, std::string_view power) {
    const auto doc = boundedXml(description, "description.xml");
    if (!doc)
        return passOn(doc.error());
    const auto root = (*doc)->child("GDTF");
    if (!root)
        return gdtf::bad("description.xml", say(ZELO_TEXT("core", "root <{}>: expected <GDTF>"),
                                                (*doc)->document_element().name()));
    auto type = TypeReader().read(root);
    if (type && !power.empty())
        readOwnWords(power, *type);
    return type;
}

Result<FixtureType> typeOfFiles(std::map<std::string, std::string> files) {
    const auto description = files.find("description.xml");
    if (description == files.end())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no description.xml in it"));
    const auto own = files.find("zelochrome.json");
    auto type = parseGdtf(description->second, own == files.end() ? "" : own->second);
    if (type)
        type->kept = std::make_shared<const Files>(std::move(files));
    return type;
}

Result<FixtureType> readGdtf(const std::filesystem::path& path) {
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return passOn(Error{ErrorCode::NotFound,
                            say(ZELO_TEXT("core", "no such fixture file or folder")),
                            {}},
                      path.string());
    auto read = readFiles(path);
    if (!read)
        return passOn(read.error());
    auto type = typeOfFiles(std::move(*read));
    if (!type)
        return passOn(type.error(), path.string());
    const auto plain = path.has_filename() ? path : path.parent_path();
    type->id =
        lowered(plain.extension() == ".gdtf" ? plain.stem().string() : plain.filename().string());
    return type;
}

} // namespace zelo::files
