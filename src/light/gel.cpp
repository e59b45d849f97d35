// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/gel.h"

#include "base/text.h"

namespace zelo::light {

const Gel* SwatchBook::find(std::string_view id) const {
    const auto wanted = lowered(id);
    for (const Gel& gel : gels)
        if (lowered(gel.id) == wanted)
            return &gel;
    return nullptr;
}

} // namespace zelo::light
