// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/arrange.h"

#include "show/edits.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::show {

namespace {

constexpr double kDegree = std::numbers::pi / 180;
constexpr double kThrow_m = 2.2; // of a lamp 4 m up
constexpr double kNear_m = 0.6;

struct Extent {
    double least_x = 1e9, most_x = -1e9, least_y = 1e9, most_y = -1e9, x = 0, y = 0;
};

Result<Extent> extentOf(const Show& show, std::span<const FixtureId> ids, std::size_t least) {
    if (ids.size() < least)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "choose {} lamps or more first"), least);
    Extent e;
    for (const FixtureId id : ids) {
        const Fixture* f = show.fixture(id);
        if (!f)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
        e.least_x = std::min(e.least_x, f->place.x_m);
        e.most_x = std::max(e.most_x, f->place.x_m);
        e.least_y = std::min(e.least_y, f->place.y_m);
        e.most_y = std::max(e.most_y, f->place.y_m);
        e.x += f->place.x_m / static_cast<double>(ids.size());
        e.y += f->place.y_m / static_cast<double>(ids.size());
    }
    return e;
}

double toCentimetres(double m) { // so that sums of steps stay readable numbers
    return std::round(m * 100) / 100;
}

double panOf(double degrees) { // -180..180
    return std::remainder(degrees, 360.0);
}

bool inside(const std::vector<Point>& outline, const Point& p) {
    bool in = false;
    for (std::size_t i = 0, j = outline.size() - 1; i < outline.size(); j = i++) {
        const Point& a = outline[i];
        const Point& b = outline[j];
        if ((a.y_m > p.y_m) != (b.y_m > p.y_m) &&
            p.x_m < (b.x_m - a.x_m) * (p.y_m - a.y_m) / (b.y_m - a.y_m) + a.x_m)
            in = !in;
    }
    return in;
}

double distanceTo(const std::vector<Point>& outline, const Point& p) {
    double least = 1e9;
    for (std::size_t i = 0; i < outline.size(); ++i) {
        const Point& a = outline[i];
        const Point& b = outline[(i + 1) % outline.size()];
        const double dx = b.x_m - a.x_m;
        const double dy = b.y_m - a.y_m;
        const double length = dx * dx + dy * dy;
        const double t =
            length > 0
                ? std::clamp(((p.x_m - a.x_m) * dx + (p.y_m - a.y_m) * dy) / length, 0.0, 1.0)
                : 0;
        least = std::min(least, std::hypot(a.x_m + t * dx - p.x_m, a.y_m + t * dy - p.y_m));
    }
    return least;
}

double sizeOf(const Area& area) {
    double twice = 0;
    for (std::size_t i = 0; i < area.outline.size(); ++i) {
        const Point& a = area.outline[i];
        const Point& b = area.outline[(i + 1) % area.outline.size()];
        twice += a.x_m * b.y_m - b.x_m * a.y_m;
    }
    return std::abs(twice) / 2;
}

} // namespace

Result<ShowPtr> alignInRow(const ShowPtr& show, std::span<const FixtureId> ids) {
    const auto e = extentOf(*show, ids, 2);
    if (!e)
        return passOn(e.error());
    const bool across = e->most_x - e->least_x >= e->most_y - e->least_y;
    return changeEach(show, ids, [&](Fixture& f, std::size_t) {
        (across ? f.place.y_m : f.place.x_m) = toCentimetres(across ? e->y : e->x);
    });
}

Result<ShowPtr> spreadEvenly(const ShowPtr& show, std::span<const FixtureId> ids) {
    if (const auto e = extentOf(*show, ids, 3); !e)
        return passOn(e.error());
    const Place first = show->fixture(ids.front())->place;
    const Place last = show->fixture(ids.back())->place;
    const auto n = static_cast<double>(ids.size() - 1);
    return changeEach(show, ids, [&](Fixture& f, std::size_t i) {
        const double t = static_cast<double>(i) / n;
        f.place.x_m = toCentimetres(first.x_m + t * (last.x_m - first.x_m));
        f.place.y_m = toCentimetres(first.y_m + t * (last.y_m - first.y_m));
    });
}

Result<ShowPtr> turnAbout(const ShowPtr& show, std::span<const FixtureId> ids, double degrees) {
    const auto e = extentOf(*show, ids, 1);
    if (!e)
        return passOn(e.error());
    const double x = (e->least_x + e->most_x) / 2;
    const double y = (e->least_y + e->most_y) / 2;
    const double c = std::cos(degrees * kDegree);
    const double s = std::sin(degrees * kDegree);
    return changeEach(show, ids, [&](Fixture& f, std::size_t) {
        const double dx = f.place.x_m - x;
        const double dy = f.place.y_m - y;
        f.place.x_m = toCentimetres(x + c * dx + s * dy);
        f.place.y_m = toCentimetres(y - s * dx + c * dy);
        f.place.aim_deg = panOf(f.place.aim_deg + degrees);
    });
}

Result<ShowPtr> panBeams(const ShowPtr& show, std::span<const FixtureId> ids, double degrees) {
    if (const auto e = extentOf(*show, ids, 1); !e)
        return passOn(e.error());
    return changeEach(show, ids, [&](Fixture& f, std::size_t) {
        f.place.aim_deg = panOf(f.place.aim_deg + degrees);
    });
}

Point litPoint(const Place& place) {
    const double reach = kThrow_m * std::clamp(place.z_m / 4, 0.15, 1.3);
    return {place.x_m + reach * std::sin(place.aim_deg * kDegree),
            place.y_m + reach * std::cos(place.aim_deg * kDegree)};
}

const Area* areaAt(const StagePlan& stage, const Point& at) {
    const Area* smallest = nullptr;
    for (const Area& area : stage.areas)
        if (inside(area.outline, at) && (!smallest || sizeOf(area) < sizeOf(*smallest)))
            smallest = &area;
    return smallest;
}

std::vector<FixtureId> fixturesLighting(const Show& show, const Area& area) {
    std::vector<std::pair<double, FixtureId>> found;
    for (const auto& [id, f] : show.fixtures) {
        const Point lit = litPoint(f->place);
        if (inside(area.outline, lit) || distanceTo(area.outline, lit) < kNear_m)
            found.emplace_back(f->place.x_m, id);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<FixtureId> ids;
    for (const auto& [x, id] : found)
        ids.push_back(id);
    return ids;
}

} // namespace zelo::show
