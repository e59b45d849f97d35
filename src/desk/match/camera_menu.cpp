// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/camera_menu.h"

#include "desk/kit/document.h"
#include "desk/kit/qt_text.h"
#include "show/kept.h"

#include <QFileDialog>
#include <QInputDialog>
#include <QMenu>

namespace zelo::desk {

namespace {

constexpr double kBalances_k[] = {2700, 3200, 4300, 5600, 6500};

void keep(Document& document, const QString& name, const show::FilmCamera& camera) {
    document.edit(name, show::keepCamera(document.state().show, camera));
}

QString balanceText(const light::Asked& balance) {
    const auto* white = std::get_if<light::AskedWhite>(&balance);
    return white && !white->duv ? QObject::tr("%1 K").arg(white->cct_k, 0, 'f', 0)
                                : toQt(light::toText(balance));
}

void fillBalances(QMenu& menu, QWidget* owner, Document& document, FocusModel& focus,
                  const show::FilmCamera& camera) {
    const auto add = [&](const QString& text, const light::Asked& balance) {
        QAction* action = menu.addAction(text);
        action->setCheckable(true);
        action->setChecked(camera.balance == balance);
        QObject::connect(action, &QAction::triggered, &document, [&document, camera, balance] {
            auto next = camera;
            next.balance = balance;
            keep(document, QObject::tr("Balance of %1").arg(toQt(camera.name)), next);
        });
    };
    for (const double k : kBalances_k)
        add(QObject::tr("%1 K").arg(k, 0, 'f', 0), light::AskedWhite{k, {}});
    if (const auto wish = focus.wish()) {
        if (const auto* gel = std::get_if<light::AskedGel>(&wish->asked))
            add(QObject::tr("as the lamp behind this gel"),
                light::AskedWhite{gel->lamp_k.value_or(light::kGelLampK), {}});
        add(QObject::tr("as this colour"), wish->asked);
    }
    QAction* typed = menu.addAction(QObject::tr("Typed…"));
    QObject::connect(typed, &QAction::triggered, &document, [&document, camera, owner] {
        const auto* white = std::get_if<light::AskedWhite>(&camera.balance);
        bool taken = false;
        const double k = QInputDialog::getDouble(
            owner, QObject::tr("Balance of %1").arg(toQt(camera.name)), QObject::tr("Kelvin"),
            white ? white->cct_k : 5600, 1000, 25000, 0, &taken, {}, 100);
        if (!taken)
            return;
        auto next = camera;
        next.balance = light::AskedWhite{k, {}};
        keep(document, QObject::tr("Balance of %1").arg(toQt(camera.name)), next);
    });
}

} // namespace

void fillCameraMenu(QMenu& menu, Document& document, FocusModel& focus) {
    QWidget* owner = menu.parentWidget(); // of what is asked: the menu is gone by then
    for (const auto& [name, camera] : document.show().cameras) {
        QMenu* own = menu.addMenu(QObject::tr("%1, at %2%3")
                                      .arg(toQt(name), balanceText(camera->balance),
                                           camera->used ? QString() : QObject::tr(", not used")));
        QAction* used = own->addAction(QObject::tr("Filmed minds it"));
        used->setCheckable(true);
        used->setChecked(camera->used);
        QObject::connect(used, &QAction::triggered, &document, [&document, of = *camera](bool on) {
            auto next = of;
            next.used = on;
            keep(document,
                 on ? QObject::tr("Mind %1").arg(toQt(of.name))
                    : QObject::tr("Leave %1 out").arg(toQt(of.name)),
                 next);
        });
        fillBalances(*own->addMenu(QObject::tr("Balanced to")), owner, document, focus, *camera);
        QObject::connect(own->addAction(QObject::tr("Remove from the show")), &QAction::triggered,
                         &document, [&document, of = name] {
                             document.edit(QObject::tr("Remove camera %1").arg(toQt(of)),
                                           show::removeCamera(document.state().show, of));
                         });
    }
    if (!document.show().cameras.empty())
        menu.addSeparator();
    for (const show::FilmCamera& camera : document.library().shippedCameras()) {
        if (document.show().cameras.contains(camera.name))
            continue;
        QObject::connect(menu.addAction(QObject::tr("Add %1").arg(toQt(camera.name))),
                         &QAction::triggered, &document, [&document, camera] {
                             keep(document, QObject::tr("Add camera %1").arg(toQt(camera.name)),
                                  camera);
                         });
    }
    QObject::connect(
        menu.addAction(QObject::tr("From a file…")), &QAction::triggered, &document, [&document] {
            const QString path = QFileDialog::getOpenFileName(
                nullptr, QObject::tr("Sensitivities of a camera"), {},
                QObject::tr("Sensitivities (*.csv *.txt *.cgats);;All files (*)"));
            if (path.isEmpty())
                return;
            const auto camera = document.library().camera(fromQt(path));
            if (!camera)
                return document.tell(said(camera.error()));
            keep(document, QObject::tr("Add camera %1").arg(toQt(camera->name)), *camera);
        });
}

QString camerasInUse(const show::Show& show) {
    QStringList names;
    for (const auto& [name, camera] : show.cameras)
        if (camera->used)
            names << toQt(name);
    return names.join(QStringLiteral(", "));
}

Result<show::ShowPtr> withSomeCamera(const Document& document) {
    const show::ShowPtr& show = document.state().show;
    if (!camerasInUse(*show).isEmpty())
        return show;
    if (!show->cameras.empty()) {
        auto first = *(*show->cameras.begin()).second;
        first.used = true;
        return show::keepCamera(show, std::move(first));
    }
    const auto& shipped = document.library().shippedCameras();
    if (shipped.empty())
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no camera: read one from a file"));
    return show::keepCamera(show, shipped.front());
}

} // namespace zelo::desk
