// SPDX-License-Identifier: GPL-3.0-or-later
// The tokens of the look: neutral greys, four type sizes, one font. Colour on the screen is light.
#pragma once

#include <QColor>
#include <QFont>
#include <filesystem>

namespace zelo::desk {

struct Theme {
    bool booth = true;
    QColor head, side, bench, floor, well, glass, lift, hair, row, faint, rule, dim, text, bright,
        sel;
};

const Theme& boothTheme();         // dark, for the dark room
const Theme& deskTheme();          // light, for an office
const Theme& theme();              // the one in use
void useTheme(const Theme& theme); // repaints every window; each widget gets a ThemeChange

enum class Type { Small = 11, Work = 13, Title = 17, Asked = 28 };
QFont typeface(Type size, bool bold = false);
// Loads B612 from DATA/fonts; false when it is not there (another sans serif is used).
bool loadFonts(const std::filesystem::path& data);

} // namespace zelo::desk
