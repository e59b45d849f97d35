// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/mvr.h"

#include "base/text.h"
#include "files/archive.h"
#include "files/detail/plain_text.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/frame.h"
#include "show/limits.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <pugixml.hpp>
#include <set>
#include <sstream>

namespace zelo::files {

namespace {

constexpr const char* kScene = "GeneralSceneDescription.xml";
constexpr int kDeepest = 64; // groups in groups
constexpr std::size_t kMostNotes = 50;
constexpr double kDegree = std::numbers::pi / 180;
constexpr double kMillimetre = 0.001;

// Rows u, v, w, o: a point p of the child is p.x u + p.y v + p.z w + o.
using Matrix = std::array<std::array<double, 3>, 4>;
constexpr Matrix kUnmoved{{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}, {0, 0, 0}}};

// "{1,0,0}{0,1,0}{0,0,1}{0,0,0}", the last in millimetres; unmoved when it is not that.
Matrix matrixOf(const pugi::xml_node& node) {
    std::string text = node.child("Matrix").text().get();
    std::replace_if(
        text.begin(), text.end(), [](char c) { return c == '{' || c == '}'; }, ',');
    Matrix m{};
    std::size_t at = 0;
    for (const auto part : split(text, ',')) {
        if (trimmed(part).empty())
            continue;
        const auto n = toNumber(trimmed(part));
        if (!n || at == 12 || std::abs(*n) > 1e9)
            return kUnmoved;
        m[at / 3][at % 3] = *n;
        ++at;
    }
    return at == 12 ? m : kUnmoved;
}

Matrix inside(const Matrix& outer, const Matrix& inner) {
    Matrix m{};
    for (std::size_t row = 0; row < 4; ++row)
        for (std::size_t c = 0; c < 3; ++c) {
            m[row][c] = row == 3 ? outer[3][c] : 0;
            for (std::size_t k = 0; k < 3; ++k)
                m[row][c] += inner[row][k] * outer[k][c];
        }
    return m;
}

std::string idOf(const std::string& spec) { // "Tern 6.gdtf" → "tern 6"
    const std::string small = lowered(spec);
    return endsWith(small, ".gdtf") ? small.substr(0, small.size() - 5) : small;
}

class SceneReader {
public:
    Done read(const pugi::xml_node& children, const Matrix& outer, int depth) {
        if (depth > kDeepest)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} groups in each other"),
                        kDeepest);
        for (const auto& node : children.children()) {
            const Matrix here = inside(outer, matrixOf(node));
            if (std::string_view(node.name()) == "Fixture")
                if (auto ok = readFixture(node, here); !ok)
                    return ok;
            if (auto ok = read(node.child("ChildList"), here, depth + 1); !ok)
                return ok;
        }
        return {};
    }

    // A rig may stand far from the middle of its drawing: then all of it moves there. What is still
    // beyond the plan stands at its edge.
    void bringNear() {
        const auto far = [](const show::Place& p) {
            return std::max({std::abs(p.x_m), std::abs(p.y_m), std::abs(p.z_m)}) >
                   show::kFarthest_m;
        };
        if (std::none_of(rig.fixtures.begin(), rig.fixtures.end(),
                         [&](const auto& f) { return far(f.place); }))
            return;
        double x = 0;
        double y = 0;
        for (const auto& f : rig.fixtures) {
            x += f.place.x_m / static_cast<double>(rig.fixtures.size());
            y += f.place.y_m / static_cast<double>(rig.fixtures.size());
        }
        rig.notes.push_back(say(
            ZELO_TEXT("core", "the rig is {:.0f} m across and {:.0f} m up from the middle of its "
                              "drawing: moved to the middle of the plan"),
            x, y));
        constexpr double most = show::kFarthest_m;
        for (auto& f : rig.fixtures) {
            f.place.x_m -= x;
            f.place.y_m -= y;
            if (far(f.place))
                note(say(ZELO_TEXT("core", "fixture {}: beyond {} m from the middle: put there"),
                         f.number, most));
            for (double* c : {&f.place.x_m, &f.place.y_m, &f.place.z_m})
                *c = std::clamp(*c, -most, most);
        }
    }

    Rig rig;

private:
    void note(Sentence text) {
        if (rig.notes.size() < kMostNotes)
            rig.notes.push_back(std::move(text));
        else if (rig.notes.size() == kMostNotes)
            rig.notes.push_back(say(ZELO_TEXT("core", "and more of the kind")));
    }

    Done readFixture(const pugi::xml_node& node, const Matrix& m) {
        show::Fixture f;
        f.label = node.attribute("name").value();
        const Sentence where =
            say(ZELO_TEXT("core", "Fixture {} '{}'"), rig.fixtures.size() + 1, f.label);
        f.type = idOf(node.child("GDTFSpec").text().get());
        f.mode = node.child("GDTFMode").text().get();
        if (f.type.empty()) {
            f.type = "unknown";
            note(say(ZELO_TEXT("core", "{}: no GDTFSpec: its type is to be chosen"), where));
        }
        std::string id = node.child("FixtureID").text().get();
        if (const char* numeric = node.child("FixtureIDNumeric").text().get();
            !toInteger(id) && toInteger(numeric).value_or(0) > 0)
            id = numeric; // "SR 12" for people, 12 for desks
        const auto number = toInteger(id);
        const bool sound = number && *number > 0 && *number <= show::kLastNumber;
        f.number = sound ? *number : static_cast<int>(rig.fixtures.size()) + 1;
        if (!sound && !id.empty())
            note(say(ZELO_TEXT("core", "{}: FixtureID '{}' is no number up to {}: it gets {}"),
                     where, id, show::kLastNumber, f.number));
        f.place = {m[3][0] * kMillimetre, m[3][1] * kMillimetre, m[3][2] * kMillimetre,
                   std::atan2(m[1][0], m[1][1]) / kDegree};
        if (f.place.aim_deg < 0)
            f.place.aim_deg += 360;
        readAddress(node.child("Addresses"), where, f);
        rig.fixtures.push_back(std::move(f));
        if (rig.fixtures.size() > show::kMostFixtures)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} fixtures"),
                        show::kMostFixtures);
        return {};
    }

    // Of several the one of break 0, whichever stands first.
    void readAddress(const pugi::xml_node& addresses, const Sentence& where, show::Fixture& f) {
        pugi::xml_node first;
        int breaks = 0;
        for (const auto& a : addresses.children("Address")) {
            ++breaks;
            const auto number = [](const pugi::xml_node& x) {
                return x.attribute("break").as_int();
            };
            if (!first || number(a) < number(first))
                first = a;
        }
        if (breaks > 1)
            note(say(ZELO_TEXT("core", "{}: only its first address is read"), where));
        if (breaks == 0)
            return note(say(ZELO_TEXT("core", "{}: no address, set to 1.1"), where));
        if (auto ok = setAddress(first.text().get(), where, f); !ok)
            note(say(ZELO_TEXT("core", "{}: set to 1.1"), ok.error().sentence()));
    }

    // "513" counts through all universes; "2.1" names one.
    static Done setAddress(std::string_view text, const Sentence& where, show::Fixture& f) {
        const auto parts = split(trimmed(text), '.');
        const auto first = toInteger(parts[0]);
        const auto second = parts.size() == 2 ? toInteger(parts[1]) : std::optional<int>();
        const bool dotted = parts.size() == 2;
        const int universe = !first ? 0 : dotted ? *first : (*first - 1) / light::kSlots + 1;
        const int address = !first       ? 0
                            : dotted     ? second.value_or(0)
                            : *first < 1 ? 0
                                         : (*first - 1) % light::kSlots + 1;
        if (parts.size() > 2 || universe < 1 || universe > light::kLastUniverse || address < 1 ||
            address > light::kSlots)
            return passOn(Error{ErrorCode::BadValue,
                                say(ZELO_TEXT("core", "Address '{}': expected a number from 1, or "
                                                      "UNIVERSE.ADDRESS"),
                                    text),
                                {}},
                          where);
        f.universe = static_cast<std::uint16_t>(universe);
        f.address = address;
        return {};
    }
};

std::string uuid(std::uint64_t seed) { // stable, so that a rig written twice is the same
    std::uint64_t h = 14695981039346656037u ^ seed;
    h *= 1099511628211u;
    h ^= h >> 29;
    const std::uint64_t g = (h + seed) * 0x9E3779B97F4A7C15u;
    return fmt::format("{:08X}-{:04X}-4{:03X}-8{:03X}-{:012X}", h >> 32, h >> 16 & 0xffff,
                       h & 0xfff, g >> 52, g & 0xffffffffffff);
}

void add(pugi::xml_node node, const char* name, const std::string& text) {
    node.append_child(name).text().set(text.c_str());
}

} // namespace

Result<Rig> parseMvr(std::string_view bytes) {
    std::size_t left = kMostUnpacked;
    const Sentence what = say(ZELO_TEXT("core", "an MVR archive"));
    const auto described =
        unzipped(bytes, what, &left, [](std::string_view name) { return name == kScene; });
    if (!described)
        return passOn(described.error());
    const auto scene = described->find(kScene);
    if (scene == described->end())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no {} in it"), kScene);
    const auto doc = boundedXml(scene->second, kScene);
    if (!doc)
        return passOn(doc.error());
    const auto root = (*doc)->child("GeneralSceneDescription");
    if (!root)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "{}: no GeneralSceneDescription in it"),
                    kScene);
    SceneReader reader;
    for (const auto& layer : root.child("Scene").child("Layers").children("Layer"))
        if (auto ok = reader.read(layer.child("ChildList"), matrixOf(layer), 0); !ok)
            return passOn(ok.error(), kScene);
    reader.bringNear();
    std::set<std::string> used;
    for (const auto& f : reader.rig.fixtures)
        used.insert(f.type);
    // The models and pictures of a rig may be far larger than all that is read here.
    const auto types = unzipped(bytes, what, &left, [&](std::string_view name) {
        return endsWith(lowered(name), ".gdtf") && used.contains(idOf(std::string(name)));
    });
    if (!types)
        return passOn(types.error());
    for (const auto& [name, text] : *types) {
        auto inner = unzipped(text, say(ZELO_TEXT("core", "a GDTF archive")), &left);
        auto type = inner ? typeOfFiles(std::move(*inner))
                          : Result<light::FixtureType>(passOn(inner.error()));
        if (!type) {
            reader.rig.notes.push_back(passOn(type.error(), name).value().sentence());
            continue;
        }
        type->id = idOf(name);
        reader.rig.types.push_back(std::make_shared<const light::FixtureType>(std::move(*type)));
    }
    return std::move(reader.rig);
}

Result<std::string> mvrBytes(const show::Show& show, const TypeOf& typeOf) {
    pugi::xml_document doc;
    auto root = doc.append_child("GeneralSceneDescription");
    root.append_attribute("verMajor") = 1;
    root.append_attribute("verMinor") = 6;
    root.append_attribute("provider") = "Zelochrome";
    root.append_attribute("providerVersion") = ZELO_VERSION;
    root.append_child("UserData");
    auto scene = root.append_child("Scene");
    scene.append_child("AUXData");
    auto layer = scene.append_child("Layers").append_child("Layer");
    layer.append_attribute("name") = "Rig";
    layer.append_attribute("uuid") = uuid(0).c_str();
    auto list = layer.append_child("ChildList");
    Files files;
    for (const auto& [id, f] : show.fixtures) {
        const auto type = typeOf(f->type);
        const std::string spec = f->type + ".gdtf";
        auto node = list.append_child("Fixture");
        const std::string name = !f->label.empty() ? f->label : type ? type->name : f->type;
        node.append_attribute("name") = name.c_str();
        node.append_attribute("uuid") = uuid(static_cast<std::uint64_t>(id.value)).c_str();
        const double c = std::cos(f->place.aim_deg * kDegree);
        const double s = std::sin(f->place.aim_deg * kDegree);
        add(node, "Matrix",
            fmt::format("{{{:.9g},{:.9g},0}}{{{:.9g},{:.9g},0}}{{0,0,1}}{{{:.9g},{:.9g},{:.9g}}}",
                        c, -s, s, c, f->place.x_m / kMillimetre, f->place.y_m / kMillimetre,
                        f->place.z_m / kMillimetre));
        add(node, "GDTFSpec", spec);
        add(node, "GDTFMode",
            f->mode.empty() && type && !type->modes.empty() ? type->modes[0].name : f->mode);
        auto address = node.append_child("Addresses").append_child("Address");
        address.append_attribute("break") = 0;
        address.text().set((f->universe - 1) * light::kSlots + f->address);
        add(node, "FixtureID", std::to_string(f->number));
        add(node, "FixtureIDNumeric", std::to_string(f->number));
        add(node, "UnitNumber", "0");
        if (!type || files.contains(spec))
            continue;
        const auto bytes = zipped(gdtfFiles(*type));
        if (!bytes)
            return passOn(bytes.error(), spec);
        files[spec] = *bytes;
    }
    std::ostringstream text;
    doc.save(text, " ", pugi::format_default, pugi::encoding_utf8);
    files[kScene] = text.str();
    return zipped(files);
}

} // namespace zelo::files
