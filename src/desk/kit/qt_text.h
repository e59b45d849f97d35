// SPDX-License-Identifier: GPL-3.0-or-later
// Text between the core (UTF-8) and Qt, and numbers as people read them.
#pragma once

#include "colour/xyz.h"

#include <QString>
#include <optional>
#include <string>

namespace zelo::desk {

inline QString toQt(const std::string& text) {
    return QString::fromStdString(text);
}
inline std::string fromQt(const QString& text) {
    return text.toStdString();
}

// Real minus, a thin space between thousands: "−0.0024", "9 620".
QString numberText(double value, int decimals);
// One of them, or so many: counted(n, tr("1 gel"), tr("%1 gels")).
QString counted(std::size_t count, const QString& one, const QString& many);
QString uvText(const colour::Uv& uv); // "u′ 0.2480, v′ 0.5210"
QString lampCount(std::size_t count); // "1 lamp", "6 lamps"
// A number as people type it: with a point or a comma, a real minus, spaces between thousands; a
// unit may stand behind it. Nothing for what is none.
std::optional<double> numberIn(const QString& text, const QString& unit = {});
// As numberText, an en dash where there is no number.
QString numberOrDash(double value, int decimals);

} // namespace zelo::desk
