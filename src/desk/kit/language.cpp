// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/language.h"

#include <QCoreApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QSettings>
#include <QTranslator>

static void initTranslations() {
    Q_INIT_RESOURCE(translations); // of a static library
}

namespace zelo::desk {

namespace {
constexpr const char* kSetting = "look/language";
}

QStringList languages() {
    return {"en", "de"};
}

QString nameOfLanguage(const QString& tag) {
    return tag == "de" ? QStringLiteral("Deutsch") : QStringLiteral("English");
}

QString chosenLanguage() {
    const QString desktop = QLocale::system().name().section('_', 0, 0);
    const QString tag = QSettings().value(kSetting, desktop).toString();
    return languages().contains(tag) ? tag : languages().front();
}

void chooseLanguage(const QString& tag) {
    QSettings().setValue(kSetting, tag);
}

void useLanguage(const QString& tag) {
    initTranslations();
    static QTranslator ours;
    static QTranslator qts; // of its dialogs
    for (QTranslator* one : {&qts, &ours})
        QCoreApplication::removeTranslator(one);
    const QString known = languages().contains(tag) ? tag : languages().front();
    // Where the desktop has a country for the language, its numbers and dates are that country's.
    const QLocale desktop = QLocale::system();
    QLocale::setDefault(desktop.name().startsWith(known) ? desktop : QLocale(known));
    if (qts.load("qtbase_" + known, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(&qts);
    if (ours.load(":/translations/zelochrome_" + known + ".qm"))
        QCoreApplication::installTranslator(&ours);
}

} // namespace zelo::desk
