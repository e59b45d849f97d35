// SPDX-License-Identifier: GPL-3.0-or-later
// Text between the core (UTF-8) and Qt, and numbers as people read them.
#pragma once

#include <QString>
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
QString lampCount(std::size_t count); // "1 lamp", "6 lamps"
// As numberText, an en dash where there is no number.
QString numberOrDash(double value, int decimals);

} // namespace zelo::desk
