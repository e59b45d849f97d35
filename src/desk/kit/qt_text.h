// SPDX-License-Identifier: GPL-3.0-or-later
// Text between the core (UTF-8) and Qt, and numbers as people read them.
#pragma once

#include "base/result.h"
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

// In the language of the interface: what the core says, and its marked texts (base/sentence.h).
QString said(const Sentence& sentence);
QString said(const Error& error);
QString saidText(const std::string& marked); // as it is, when it is none of those

// Real minus, a thin space between thousands, the point of the language: "−0.0024", "9 620".
QString numberText(double value, int decimals);
QString uvText(const colour::Uv& uv); // "u′ 0.2480, v′ 0.5210"
QString lampCount(std::size_t count); // "1 lamp", "6 lamps"
// A number as people type it: with a point or a comma, a real minus, spaces between thousands; a
// unit may stand behind it. Nothing for what is none.
std::optional<double> numberIn(const QString& text, const QString& unit = {});
// As numberText, an en dash where there is no number.
QString numberOrDash(double value, int decimals);

} // namespace zelo::desk
