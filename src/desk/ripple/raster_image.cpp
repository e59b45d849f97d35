// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/raster_image.h"

#include "desk/kit/theme.h"

namespace zelo::desk {

const QImage& RasterImage::of(const play::RippleRaster& raster,
                              std::shared_ptr<const RippleModel::Pictures> owner,
                              const LightColours& colours) {
    const QRgb dark = theme().glass.rgb();
    if (owner_ == owner && dark_ == dark)
        return image_;
    owner_ = std::move(owner);
    dark_ = dark;
    image_ = QImage(static_cast<int>(raster.columns), static_cast<int>(raster.lamps.size()),
                    QImage::Format_RGB32);
    for (std::size_t row = 0; row < raster.lamps.size(); ++row) {
        auto* line = reinterpret_cast<QRgb*>(image_.scanLine(static_cast<int>(row)));
        for (std::size_t column = 0; column < raster.columns; ++column) {
            const auto& cell = raster.at(row, column);
            line[column] = colour::hasChromaticity(cell.light)
                               ? colours.of(cell.shown, std::max(0.06, cell.level)).rgb()
                               : dark;
        }
    }
    return image_;
}

} // namespace zelo::desk
