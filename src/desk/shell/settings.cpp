// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/settings.h"

#include "desk/kit/language.h"
#include "desk/kit/qt_text.h"
#include "desk/shell/frame.h"
#include "remote/bindings.h"

#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <functional>
#include <vector>

namespace zelo::desk {

namespace {

constexpr const char* kFormat = "zelochrome-settings";
constexpr double kLongestInHand_s = 3600;

struct Known {
    const char* key;
    const char* may; // be, in words
    std::function<bool(const QJsonValue&)> fits;
};

bool within(const QJsonValue& v, double least, double most) {
    return v.isDouble() && v.toDouble() >= least && v.toDouble() <= most;
}

const std::vector<Known>& known() {
    static const std::vector<Known> all{
        {kDeskTheme.key(), "true or false", [](const QJsonValue& v) { return v.isBool(); }},
        {"look/size_percent", "100, 120 or 140",
         [](const QJsonValue& v) {
             return std::find(std::begin(Frame::kSizes), std::end(Frame::kSizes), v.toInt()) !=
                    std::end(Frame::kSizes);
         }},
        {"look/language", "en or de",
         [](const QJsonValue& v) { return languages().contains(v.toString()); }},
        {kEye_k.key(), "0 or 1800 to 12000 kelvin",
         [](const QJsonValue& v) { return within(v, 0, 0) || within(v, 1800, 12000); }},
        {kTimeInHand_s.key(), "0 to 3600 seconds",
         [](const QJsonValue& v) { return within(v, 0, kLongestInHand_s); }},
        {"cues/guard_s", "0 to 5 seconds", [](const QJsonValue& v) { return within(v, 0, 5); }},
        {"nudge/step_uv", "0.0001 to 0.1",
         [](const QJsonValue& v) { return within(v, 1e-4, 0.1); }},
        {"meter/instrument", "true or false", [](const QJsonValue& v) { return v.isBool(); }},
        {"remote/controls", "a table of controls",
         [](const QJsonValue& v) {
             return v.isString() && remote::parseBindings(fromQt(v.toString())).has_value();
         }},
        {kStartWith.key(), "0 (the last show), 1 (the demo) or 2 (an empty one)",
         [](const QJsonValue& v) { return within(v, 0, 2) && v.toInt() == v.toDouble(); }},
    };
    return all;
}

} // namespace

StartWith startWith() {
    return static_cast<StartWith>(std::clamp(kStartWith.get(), 0, 2));
}

std::string settingsText() {
    QJsonObject all{{"format", kFormat}, {"version", 1}};
    const QSettings kept;
    for (const Known& one : known())
        if (kept.contains(one.key)) {
            QJsonValue value = QJsonValue::fromVariant(kept.value(one.key));
            if (!one.fits(value)) // from a file of texts
                value = QJsonDocument::fromJson('[' + kept.value(one.key).toByteArray() + ']')
                            .array()
                            .at(0);
            if (one.fits(value))
                all[one.key] = value;
        }
    return QJsonDocument(all).toJson().toStdString();
}

Done takeSettings(const std::string& text, QStringList* left_out) {
    QJsonParseError error;
    const auto json = QJsonDocument::fromJson(QByteArray::fromStdString(text), &error);
    if (!json.isObject() || json["format"].toString() != kFormat)
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "expected settings that Zelochrome wrote: a JSON object with "
                                      "\"format\": \"{}\""),
                    kFormat);
    const QJsonObject all = json.object();
    for (const Known& one : known())
        if (all.contains(one.key) && !one.fits(all[one.key]))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: expected {}"), one.key,
                        one.may);
    QSettings kept;
    for (auto it = all.begin(); it != all.end(); ++it) {
        const auto is = [&](const Known& one) { return it.key() == one.key; };
        if (std::any_of(known().begin(), known().end(), is))
            kept.setValue(it.key(), it.value().toVariant());
        else if (left_out && it.key() != "format" && it.key() != "version")
            *left_out << it.key();
    }
    return {};
}

void resetSettings() {
    QSettings kept;
    for (const Known& one : known())
        kept.remove(one.key);
}

} // namespace zelo::desk
