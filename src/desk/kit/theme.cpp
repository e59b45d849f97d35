// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/theme.h"

#include <QApplication>
#include <QFontDatabase>
#include <QPalette>
#include <QPointer>
#include <QWidget>
#include <map>

namespace zelo::desk {

namespace {

QColor grey(int value) {
    return {value, value, value};
}

const Theme* g_theme = nullptr;
QString g_family;

} // namespace

const Theme& boothTheme() {
    static const Theme t{true,       grey(0x14), grey(0x1a), grey(0x26), grey(0x0f), grey(0x0a),
                         grey(0x23), grey(0x32), grey(0x38), grey(0x30), grey(0x55), grey(0x6a),
                         grey(0x92), grey(0xc6), grey(0xf2), grey(0xe2)};
    return t;
}

const Theme& deskTheme() {
    static const Theme t{false,      grey(0xd6), grey(0xcc), grey(0xb9), grey(0xc2), grey(0x8f),
                         grey(0xa8), grey(0xc8), grey(0xa0), grey(0xa8), grey(0x85), grey(0x6a),
                         grey(0x48), grey(0x20), grey(0x00), grey(0x10)};
    return t;
}

const Theme& theme() {
    return g_theme ? *g_theme : boothTheme();
}

void useTheme(const Theme& next) {
    g_theme = &next;
    QPalette p;
    p.setColor(QPalette::Window, next.side);
    p.setColor(QPalette::Base, next.well);
    p.setColor(QPalette::AlternateBase, next.side);
    p.setColor(QPalette::Button, next.side);
    p.setColor(QPalette::WindowText, next.text);
    p.setColor(QPalette::Text, next.bright);
    p.setColor(QPalette::ButtonText, next.text);
    p.setColor(QPalette::BrightText, next.bright);
    p.setColor(QPalette::Highlight, next.lift);
    p.setColor(QPalette::HighlightedText, next.bright);
    p.setColor(QPalette::ToolTipBase, next.lift);
    p.setColor(QPalette::ToolTipText, next.bright);
    p.setColor(QPalette::PlaceholderText, next.dim);
    p.setColor(QPalette::Mid, next.hair);
    p.setColor(QPalette::Midlight, next.faint);
    p.setColor(QPalette::Light, next.lift);
    p.setColor(QPalette::Dark, next.well);
    p.setColor(QPalette::Shadow, next.floor);
    p.setColor(QPalette::Link, next.bright);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        p.setColor(QPalette::Disabled, role, next.faint);
    QApplication::setPalette(p);
    QApplication::setFont(typeface(Type::Work));
    QList<QPointer<QWidget>> all;
    for (QWidget* w : QApplication::allWidgets())
        all << w;
    for (const auto& w : all) {
        if (!w) // another made its parts anew
            continue;
        QEvent changed(QEvent::ThemeChange); // for those with a style sheet of their own
        QApplication::sendEvent(w, &changed);
        w->update();
    }
}

namespace {
QFont madeTypeface(Type size, bool bold) {
    QFont f(g_family.isEmpty() ? QStringLiteral("sans-serif") : g_family);
    f.setPixelSize(static_cast<int>(size));
    f.setBold(bold);
    f.setStyleStrategy(QFont::StyleStrategy(QFont::PreferAntialias | QFont::NoSubpixelAntialias));
    f.setHintingPreference(QFont::PreferVerticalHinting);
    return f;
}
} // namespace

// Made once each: matching a font to the system's costs more than drawing a number with it.
QFont typeface(Type size, bool bold) {
    static std::map<std::pair<Type, bool>, QFont> made;
    static QString made_of;
    if (made_of != g_family) {
        made.clear();
        made_of = g_family;
    }
    auto it = made.find({size, bold});
    if (it == made.end())
        it = made.emplace(std::pair(size, bold), madeTypeface(size, bold)).first;
    return it->second;
}

bool loadFonts(const std::filesystem::path& data) {
    // Where the system has the family, ours beside it would confuse the matching of styles.
    if (QFontDatabase::families().contains("B612")) {
        g_family = "B612";
        return true;
    }
    bool all = true;
    for (const char* name : {"B612-Regular.otf", "B612-Bold.otf"}) {
        const int id = QFontDatabase::addApplicationFont(
            QString::fromStdString((data / "fonts" / name).string()));
        if (id < 0)
            all = false;
        else
            g_family = QFontDatabase::applicationFontFamilies(id).value(0);
    }
    return all;
}

} // namespace zelo::desk
