// SPDX-License-Identifier: GPL-3.0-or-later
// The cells of a ripple's raster as they are seen, made once for each moment of the ripple.
#pragma once

#include "desk/ripple/ripple_model.h"

#include <QImage>

namespace zelo::desk {

class RasterImage {
public:
    // A pixel a cell, by the document's colours. `owner` keeps `raster`; what was made is given
    // again until there is another owner, or forget() was called.
    const QImage& of(const play::RippleRaster& raster,
                     std::shared_ptr<const RippleModel::Pictures> owner,
                     const LightColours& colours);
    void forget() { owner_.reset(); }

private:
    QImage image_;
    QRgb dark_ = 0;
    std::shared_ptr<const RippleModel::Pictures> owner_;
};

} // namespace zelo::desk
