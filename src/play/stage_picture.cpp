// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/stage_picture.h"

#include "colour/observer.h"
#include "light/levels.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::play {

using colour::Xyz;

namespace {

constexpr double kPi = std::numbers::pi;

struct Vec {
    double x = 0, y = 0, z = 0;
    friend Vec operator+(Vec a, Vec b) { return {a.x + b.x, a.y + b.y, a.z + b.z}; }
    friend Vec operator-(Vec a, Vec b) { return {a.x - b.x, a.y - b.y, a.z - b.z}; }
    friend Vec operator*(double f, Vec a) { return {f * a.x, f * a.y, f * a.z}; }
};
double dot(Vec a, Vec b) {
    return a.x * b.x + a.y * b.y + a.z * b.z;
}
Vec unit(Vec a) {
    return (1 / std::sqrt(dot(a, a))) * a;
}

// --- the room

StageRoom roomOf(const show::Show& show) {
    StageRoom room;
    double left = HUGE_VAL, right = -HUGE_VAL, front = HUGE_VAL, back = -HUGE_VAL;
    const auto take = [&](double x, double y) {
        left = std::min(left, x);
        right = std::max(right, x);
        front = std::min(front, y);
        back = std::max(back, y);
    };
    if (show.stage)
        for (const auto& p : show.stage->outline)
            take(p.x_m, p.y_m);
    if (left < right && front < back)
        room = {left, right, front, back, 7};
    for (const auto& [id, f] : show.fixtures) {
        room.back = std::max(room.back, std::min(f->place.y_m, 100.0) + 1);
        room.high = std::clamp(f->place.z_m + 1, room.high, 20.0);
    }
    room.back = std::max(room.back, room.front + 3);
    return room;
}

// --- a lamp's beam

struct Beam {
    Vec from, along;
    double edge; // cosine of the angle at which there is nothing left

    // Share of the light along its axis that goes to a point at unit direction `d`.
    double toward(Vec d) const {
        const double c = dot(d, along);
        if (c <= edge)
            return 0;
        const double s = (c - edge) / (1 - edge);
        return s * s * (3 - 2 * s);
    }
};

// The show knows where a lamp hangs and its way on the plan. High ones are tilted onto people's
// faces, those on the floor up the wall, those between straight on.
Beam beamOf(const show::Place& place) {
    const double aim = place.aim_deg * kPi / 180;
    double rise = 0; // on 1 m of its way
    double edge_deg = 42;
    if (place.z_m > 3.2)
        rise = -std::clamp((place.z_m - 1.2) / 5.5, 0.5, 1.4);
    else if (place.z_m < 1) {
        rise = 1.1;
        edge_deg = 62;
    } else {
        rise = (1.2 - place.z_m) / 5;
    }
    return {{place.x_m, place.y_m, place.z_m},
            unit({std::sin(aim), std::cos(aim), rise}),
            std::cos(edge_deg * kPi / 180)};
}

// --- figures: a head and a robe, round

constexpr double kTall = 1.74, kNeck = 1.5, kBroad = 0.36;

double halfWidthAt(double z) {
    if (z < 0 || z > kTall)
        return 0;
    if (z > kNeck) { // the head
        const double r = (kTall - kNeck) / 2;
        const double off = (z - kNeck - r) / r;
        return 0.8 * r * std::sqrt(std::max(0.0, 1 - off * off)) + (z < kNeck + 0.02 ? 0.04 : 0);
    }
    if (z > 1.3) // shoulders
        return 0.07 + 0.15 * std::sqrt((kNeck - z) / 0.2);
    return 0.22 + 0.1 * std::pow((1.3 - z) / 1.3, 1.5) - 0.05 * std::sin(kPi * z / 1.3);
}

bool inShadow(Vec at, Vec lamp, const std::vector<show::Point>& figures, int own) {
    for (std::size_t i = 0; i < figures.size(); ++i) {
        if (static_cast<int>(i) == own)
            continue;
        // Where the way to the lamp passes the figure's axis nearest, seen from above.
        const double dx = lamp.x - at.x, dy = lamp.y - at.y;
        const double size = dx * dx + dy * dy;
        if (size < 1e-9)
            continue;
        const double t = std::clamp(
            ((figures[i].x_m - at.x) * dx + (figures[i].y_m - at.y) * dy) / size, 0.0, 1.0);
        const double off =
            std::hypot(at.x + t * dx - figures[i].x_m, at.y + t * dy - figures[i].y_m);
        if (off < halfWidthAt(at.z + t * (lamp.z - at.z)))
            return true;
    }
    return false;
}

// --- the eye, in the house

constexpr int kAcross = 16, kDown = 9;
constexpr std::size_t kMostShares = 12'000'000; // of all lamps
constexpr double kHaze = 0.012;                 // share of light that the air sends back on 1 m
constexpr int kHazeSteps = 8;

struct Eye {
    Vec at, ahead, right, up;
    double across; // half of the picture, at 1 m

    explicit Eye(const StageRoom& room) {
        const double centre = (room.left + room.right) / 2;
        const double wide = std::max(room.right - room.left, 6.0);
        at = {centre, room.front - 0.78 * wide, 2.6};
        ahead = unit(Vec{centre, (room.front + room.back) / 2, 2.25} - at);
        right = {1, 0, 0};
        up = {0, -ahead.z, ahead.y};
        across = 0.53 * wide / (room.back - at.y); // the cyc fills it
    }
    Vec toward(double x, double y) const { // of the picture, 0..1
        const double down = across * kDown / kAcross;
        return unit(ahead + (2 * x - 1) * across * right + (1 - 2 * y) * down * up);
    }
};

struct Hit {
    Material material = Material::None;
    Vec at, normal;
    double far = 30;
    int figure = -1;
};

Hit hitOf(const Eye& eye, Vec d, const StageRoom& room, const std::vector<show::Point>& figures) {
    Hit hit;
    const double edge = 0.06 * (room.right - room.left); // masks at the sides
    if (d.z < 0) {
        const double t = -eye.at.z / d.z;
        const Vec at = eye.at + t * d;
        if (at.y >= room.front && at.y <= room.back)
            hit = {Material::White, at, {0, 0, 1}, t, -1};
    }
    if (hit.material == Material::None && d.y > 0) {
        const double t = (room.back - eye.at.y) / d.y;
        const Vec at = eye.at + t * d;
        if (at.z >= 0 && at.z <= room.high && at.x > room.left - edge && at.x < room.right + edge)
            hit = {Material::White, at, {0, -1, 0}, t, -1};
    }
    for (std::size_t i = 0; i < figures.size(); ++i) {
        const double t = (figures[i].y_m - eye.at.y) / d.y;
        if (!(t > 0) || t >= hit.far)
            continue;
        const Vec at = eye.at + t * d;
        const double half = halfWidthAt(at.z);
        const double off = at.x - figures[i].x_m;
        if (half <= 0 || std::abs(off) >= half)
            continue;
        const double side = off / half;
        const double round = std::sqrt(1 - side * side);
        const bool head = at.z > kNeck;
        const double rise = head ? (at.z - kNeck - 0.12) / 0.2 : 0.12;
        hit = {head ? Material::Skin : Material::Cloth, at - Vec{0, 0.6 * half * round, 0},
               unit({side, -round, rise}), t, static_cast<int>(i)};
    }
    return hit;
}

// Of the light along the beam's axis that comes to a point and is sent to the eye, times π.
double shareAt(const Beam& beam, const Hit& hit, const std::vector<show::Point>& figures) {
    const Vec to = hit.at - beam.from;
    const double size = std::max(dot(to, to), 0.04);
    const Vec d = (1 / std::sqrt(size)) * to;
    const double facing = -dot(d, hit.normal);
    if (facing <= 0)
        return 0;
    const double toward = beam.toward(d);
    if (toward <= 0 || inShadow(hit.at, beam.from, figures, hit.figure))
        return 0;
    return toward * facing / size;
}

double hazeAlong(const Beam& beam, const Eye& eye, Vec d, double first, double last) {
    double sum = 0;
    const double step = (last - first) / kHazeSteps;
    for (int i = 0; i < kHazeSteps; ++i) {
        const Vec to = eye.at + (first + (i + 0.5) * step) * d - beam.from;
        const double size = std::max(dot(to, to), 0.25);
        sum += beam.toward((1 / std::sqrt(dot(to, to) + 1e-9)) * to) / size;
    }
    return kHaze * sum * step;
}

} // namespace

std::vector<show::Point> figuresOf(const show::Show& show) {
    if (show.stage && !show.stage->figures.empty())
        return show.stage->figures;
    const StageRoom room = roomOf(show);
    const double wide = room.right - room.left;
    return {{room.left + 0.36 * wide, room.front + 1.6},
            {room.left + 0.68 * wide, room.front + 3.2}};
}

PictureLamp pictureLamp(const StageLamp& lamp, const colour::Spectrum& skin,
                        const colour::Spectrum& cloth, const colour::Camera* camera) {
    if (!lamp.mixer || !(lamp.sent.xyz.Y > 0))
        return {};
    const auto light = light::spectrumOf(lamp.mixer->type(), lamp.sent.drives);
    const double size = toXyz(light).Y;
    if (!(size > 0))
        return {lamp.sent.xyz, 0.4 * lamp.sent.xyz, 0.4 * lamp.sent.xyz};
    const double scale = lamp.sent.xyz.Y / size; // as it was measured, or dimmed
    const auto seen = [&](const colour::Spectrum& shone) {
        return scale * (camera ? camera->shown(shone) : toXyz(shone));
    };
    return {camera ? seen(light) : lamp.sent.xyz, seen(light * skin), seen(light * cloth)};
}

double mostOf(const StageLamp& lamp) {
    if (!lamp.mixer)
        return 0;
    light::Drives all = lamp.mixer->type().ready(lamp.mixer->mode());
    for (std::size_t e = 0; e < lamp.mixer->type().emitters.size(); ++e)
        all[e] = 1;
    return lamp.mixer->xyzOf(all).Y;
}

StagePicture::StagePicture(const show::Show& show, int most_pixels)
    : room_(roomOf(show)), figures_(figuresOf(show)) {
    const auto lamps = std::max<std::size_t>(show.fixtures.size(), 1);
    const auto most = std::min<std::size_t>(static_cast<std::size_t>(std::max(most_pixels, 144)),
                                            std::max<std::size_t>(kMostShares / lamps, 144));
    const auto scale = static_cast<int>(std::sqrt(static_cast<double>(most) / (kAcross * kDown)));
    width_ = kAcross * std::max(scale, 1);
    height_ = kDown * std::max(scale, 1);
    const StageRoom& room = room_;
    const Eye eye(room);
    std::vector<Beam> beams;
    for (const auto& [id, f] : show.fixtures) {
        beams.push_back(beamOf(f->place));
        places_.push_back(f->place);
    }
    const auto pixels = static_cast<std::size_t>(width_ * height_);
    materials_.assign(pixels, Material::None);
    figure_of_.assign(pixels, -1);
    share_.assign(beams.size(), std::vector<float>(pixels, 0));
    for (int y = 0; y < height_; ++y)
        for (int x = 0; x < width_; ++x) {
            const auto pixel = static_cast<std::size_t>(y * width_ + x);
            const Vec d = eye.toward((x + 0.5) / width_, (y + 0.5) / height_);
            const Hit hit = hitOf(eye, d, room, figures_);
            materials_[pixel] = hit.material;
            figure_of_[pixel] = static_cast<signed char>(hit.figure);
            const double first = d.y > 0 ? (room.front - eye.at.y) / d.y : 0;
            const double last = std::min(hit.far, d.y > 0 ? (room.back - eye.at.y) / d.y : 0.0);
            const bool air = hit.material != Material::Skin && hit.material != Material::Cloth;
            for (std::size_t lamp = 0; lamp < beams.size(); ++lamp) {
                double share =
                    hit.material == Material::None ? 0 : shareAt(beams[lamp], hit, figures_);
                if (air && last > first)
                    share += hazeAlong(beams[lamp], eye, d, first, last);
                share_[lamp][pixel] = static_cast<float>(share);
            }
        }
    findEdges();
}

// Where a figure or a wall ends, the light is that of the pixels about it: no stairs.
void StagePicture::soften(std::vector<Xyz>& light) const {
    std::vector<Xyz> soft(edges_.size());
    for (std::size_t i = 0; i < edges_.size(); ++i) {
        const std::size_t here = edges_[i];
        const auto across = static_cast<std::size_t>(width_);
        soft[i] = 0.4 * light[here];
        for (const std::size_t next : {here - 1, here + 1, here - across, here + across})
            soft[i] += 0.15 * light[next];
    }
    for (std::size_t i = 0; i < edges_.size(); ++i)
        light[edges_[i]] = soft[i];
}

void StagePicture::light(std::span<const PictureLamp> lamps, std::vector<Xyz>& to) const {
    to.assign(materials_.size(), {});
    const auto count = std::min(lamps.size(), share_.size());
    for (std::size_t lamp = 0; lamp < count; ++lamp) {
        if (!lamps[lamp].lit())
            continue;
        const float* share = share_[lamp].data();
        const Xyz by_material[] = {lamps[lamp].white, lamps[lamp].white, lamps[lamp].skin,
                                   lamps[lamp].cloth};
        for (std::size_t pixel = 0; pixel < to.size(); ++pixel)
            if (const double s = share[pixel]; s > 0)
                to[pixel] += s * by_material[static_cast<std::size_t>(materials_[pixel])];
    }
    soften(to);
}

void StagePicture::findEdges() {
    const auto across = static_cast<std::size_t>(width_);
    for (int y = 1; y + 1 < height_; ++y)
        for (int x = 1; x + 1 < width_; ++x) {
            const auto here = static_cast<std::size_t>(y * width_ + x);
            for (const std::size_t next : {here - 1, here + 1, here - across, here + across})
                if (materials_[next] != materials_[here]) {
                    edges_.push_back(static_cast<std::uint32_t>(here));
                    break;
                }
        }
}

bool StagePicture::shows(const show::Show& show) const {
    if (!(roomOf(show) == room_) || !(figuresOf(show) == figures_) ||
        show.fixtures.size() != places_.size())
        return false;
    std::size_t i = 0;
    for (const auto& [id, f] : show.fixtures)
        if (!(f->place == places_[i++]))
            return false;
    return true;
}

double StagePicture::brightWith(std::span<const double> most_cd) const {
    std::vector<double> all;
    for (std::size_t pixel = 0; pixel < materials_.size(); pixel += 7) { // a sample
        double sum = 0;
        for (std::size_t lamp = 0; lamp < std::min(most_cd.size(), share_.size()); ++lamp)
            sum += most_cd[lamp] * static_cast<double>(share_[lamp][pixel]);
        if (materials_[pixel] != Material::None)
            all.push_back(sum);
    }
    if (all.empty())
        return 0;
    const auto tenth = all.begin() + static_cast<std::ptrdiff_t>(all.size() * 9 / 10);
    std::nth_element(all.begin(), tenth, all.end());
    return *tenth;
}

std::optional<show::Point> StagePicture::floorAt(double x, double y) const {
    const Eye eye(room_);
    const Vec d = eye.toward(x, y);
    if (!(d.z < -1e-6))
        return std::nullopt;
    const Vec at = eye.at + (-eye.at.z / d.z) * d;
    return show::Point{std::clamp(at.x, room_.left, room_.right),
                       std::clamp(at.y, room_.front, room_.back - 0.5)};
}

std::optional<std::size_t> StagePicture::figureAt(double x, double y) const {
    const int column = static_cast<int>(std::floor(x * width_));
    const int row = static_cast<int>(std::floor(y * height_));
    if (column < 0 || row < 0 || column >= width_ || row >= height_)
        return std::nullopt;
    const int figure = figure_of_[static_cast<std::size_t>(row * width_ + column)];
    return figure < 0 ? std::nullopt : std::optional(static_cast<std::size_t>(figure));
}

} // namespace zelo::play
