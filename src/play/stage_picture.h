// SPDX-License-Identifier: GPL-3.0-or-later
// The stage as it looks from the house: the light of all lamps added up, in XYZ, on floor, cyc and
// figures, and a little of it in the air.
#pragma once

#include "colour/camera.h"
#include "play/stage.h"

#include <array>
#include <optional>
#include <span>
#include <vector>

namespace zelo::play {

enum class Material : unsigned char { None, White, Skin, Cloth }; // None: nothing is hit

// The light of a lamp now, cd, as each material sends it back: by its own reflectance, so that
// colours that look the same on white may differ on skin.
struct PictureLamp {
    colour::Xyz white, skin, cloth;
    // Of what a camera shows, Y alone can be below nothing where there is light.
    bool lit() const { return white.X > 0 || white.Y > 0 || white.Z > 0; }
};

// `camera`: as it shows them; null: as the eye sees them.
PictureLamp pictureLamp(const StageLamp& lamp, const colour::Spectrum& skin,
                        const colour::Spectrum& cloth, const colour::Camera* camera = nullptr);
// The most that it could give, cd: for the exposure of a picture.
double mostOf(const StageLamp& lamp);

struct StageRoom {
    double left = -7, right = 7, front = -1.5, back = 8; // of the floor, m; the cyc is at its back
    double high = 7;                                     // of the cyc
    friend bool operator==(const StageRoom&, const StageRoom&) = default;
};

// A view of a rig, worked out once: how much of each lamp comes to each point of the picture.
// Immutable; safe for several threads.
class StagePicture {
public:
    // Of at most so many pixels, fewer for very many lamps; 16 wide by 9 high. Cost: some 100 ns
    // for each pixel and lamp.
    StagePicture(const show::Show& show, int most_pixels);

    bool shows(const show::Show& show) const; // it would be the same anew
    int width() const { return width_; }
    int height() const { return height_; }
    // Luminance, cd/m², times π: of lamps in the order of the show's fixtures. `to` takes
    // width × height of them, line by line. Cost: 3 multiplications for each pixel and lit lamp.
    void light(std::span<const PictureLamp> lamps, std::vector<colour::Xyz>& to) const;
    // The luminance that one point in ten of the room exceeds with each lamp at its most.
    double brightWith(std::span<const double> most_cd) const;

    Material materialAt(int x, int y) const {
        return materials_[static_cast<std::size_t>(y * width_ + x)];
    }
    // Of a point of the picture, 0..1 from its left and top: of the floor that is seen there, and
    // of the figure that stands there.
    std::optional<show::Point> floorAt(double x, double y) const;
    std::optional<std::size_t> figureAt(double x, double y) const;
    const std::vector<show::Point>& figures() const { return figures_; }

private:
    void findEdges();
    void soften(std::vector<colour::Xyz>& light) const;
    StageRoom room_;
    int width_, height_;
    std::vector<Material> materials_;
    std::vector<std::uint32_t> edges_;      // pixels where something else begins: softened
    std::vector<signed char> figure_of_;    // by pixel; below 0: none
    std::vector<std::vector<float>> share_; // by lamp, then by pixel
    std::vector<show::Point> figures_;
    std::vector<show::Place> places_; // of the lamps
};

// Where figures stand when the show says nothing: two of them.
std::vector<show::Point> figuresOf(const show::Show& show);

} // namespace zelo::play
