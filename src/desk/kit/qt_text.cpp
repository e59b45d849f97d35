// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/qt_text.h"

#include <QCoreApplication>
#include <QLocale>
#include <QObject>

#include <cmath>

namespace zelo::desk {

QString saidText(const std::string& marked) {
    return QCoreApplication::translate("core", marked.c_str());
}

QString said(const Sentence& sentence) {
    if (sentence.plain)
        return toQt(sentence.form);
    std::vector<std::string> parts;
    for (const Sentence& part : sentence.parts)
        parts.push_back(fromQt(said(part)));
    return toQt(filled(fromQt(saidText(sentence.form)), parts));
}

QString said(const Error& error) {
    return said(error.sentence());
}

QString numberText(double value, int decimals) {
    QString text = QString::number(std::abs(value), 'f', decimals);
    const auto point = text.indexOf('.');
    const auto whole = point < 0 ? text.size() : point;
    if (whole > 3)
        for (auto at = whole - 3; at > 0; at -= 3)
            text.insert(at, QChar(0x2009));
    const bool zero = text.toDouble() == 0 && !text.contains(QChar(0x2009));
    text.replace('.', QLocale().decimalPoint());
    return value < 0 && !zero ? QChar(0x2212) + text : text;
}

QString numberOrDash(double value, int decimals) {
    return std::isfinite(value) ? numberText(value, decimals) : QString(QChar(0x2013));
}

std::optional<double> numberIn(const QString& text, const QString& unit) {
    QString plain = text.trimmed();
    if (!unit.isEmpty() && plain.endsWith(unit, Qt::CaseInsensitive))
        plain.chop(unit.size());
    QString bare;
    for (const QChar c : plain)
        if (c.category() != QChar::Separator_Space) // the thin one between thousands too
            bare += c == QChar(0x2212) ? QChar('-') : c == QChar(',') ? QChar('.') : c;
    bool number = false;
    const double value = bare.toDouble(&number);
    return number && std::isfinite(value) ? std::optional(value) : std::nullopt;
}

QString uvText(const colour::Uv& uv) {
    return QObject::tr("u′ %1, v′ %2").arg(numberText(uv.u, 4), numberText(uv.v, 4));
}

QString lampCount(std::size_t count) {
    return QObject::tr("%n lamp(s)", nullptr, static_cast<int>(count));
}

} // namespace zelo::desk
