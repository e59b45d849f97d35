// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/camera_menu.h"

#include "desk/kit/document.h"
#include "desk/kit/qt_text.h"
#include "desk/match/camera_form.h"
#include "show/kept.h"

#include <QInputDialog>
#include <QMenu>

namespace zelo::desk {

namespace {

constexpr double kBalances_k[] = {2700, 3200, 4300, 5600, 6500};

void keep(Document& document, const QString& name, const show::FilmCamera& camera) {
    document.edit(name, show::keepCamera(document.state().show, camera));
}

// A line of the menu that is either so or not.
QAction* tick(QMenu& menu, const QString& text, bool on) {
    QAction* action = menu.addAction(text);
    action->setCheckable(true);
    action->setChecked(on);
    return action;
}

void fillBalances(QMenu& menu, QWidget* owner, Document& document, FocusModel& focus,
                  const show::FilmCamera& camera) {
    const auto add = [&](const QString& text, const light::Asked& balance) {
        QObject::connect(tick(menu, text, camera.balance == balance), &QAction::triggered,
                         &document, [&document, name = camera.name, balance] {
                             setCameraBalance(document, name, balance);
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
        if (taken)
            setCameraBalance(document, camera.name, light::AskedWhite{k, {}});
    });
}

// Who sees the colour exactly: the eye, or the first camera that is minded.
void fillExactFor(QMenu& menu, Document& document, FocusModel& focus) {
    const auto minded = document.sources()->cameras();
    const auto wish = focus.wish();
    if (!minded || !wish)
        return;
    menu.addSeparator();
    const QString first = toQt(minded->front().name());
    const auto exact = [&focus](const QString& name, bool camera) {
        focus.editWishes(name, true, 0,
                         [camera](show::ColourWish& w) { w.exact_for_camera = camera; });
    };
    const QString eye = QObject::tr("Exact for the eye, nearest for cameras");
    const QString camera = QObject::tr("Exact for %1, nearest for the eye").arg(first);
    QObject::connect(tick(menu, eye, !wish->exact_for_camera), &QAction::triggered, &focus,
                     [=] { exact(eye, false); });
    QObject::connect(tick(menu, camera, wish->exact_for_camera), &QAction::triggered, &focus,
                     [=] { exact(camera, true); });
}

} // namespace

void fillCameraMenu(QMenu& menu, Document& document, FocusModel& focus) {
    QWidget* owner = menu.parentWidget(); // of what is asked: the menu is gone by then
    for (const auto& [name, camera] : document.show().cameras) {
        QMenu* own = menu.addMenu(QObject::tr("%1, at %2%3")
                                      .arg(toQt(name), balanceText(camera->balance),
                                           camera->used ? QString() : QObject::tr(", not used")));
        QObject::connect(
            tick(*own, QObject::tr("All light as it shows it"), document.camera() == name),
            &QAction::triggered, &document, [&document, of = name](bool on) {
                document.setCamera(on ? std::optional(of) : std::nullopt);
            });
        QAction* used = tick(*own, QObject::tr("Filmed minds it"), camera->used);
        QObject::connect(used, &QAction::triggered, &document, [&document, of = *camera](bool on) {
            auto next = of;
            next.used = on;
            keep(document,
                 on ? QObject::tr("Mind %1").arg(toQt(of.name))
                    : QObject::tr("Leave %1 out").arg(toQt(of.name)),
                 next);
        });
        fillBalances(*own->addMenu(QObject::tr("Balanced to")), owner, document, focus, *camera);
        QObject::connect(own->addAction(QObject::tr("Its sensitivities…")), &QAction::triggered,
                         owner, [&document, owner, of = *camera] {
                             (new CameraForm(document, owner->window()))->open(of);
                         });
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
    QObject::connect(menu.addAction(QObject::tr("From a file…")), &QAction::triggered, owner,
                     [&document, owner] { (new CameraForm(document, owner->window()))->choose(); });
    fillExactFor(menu, document, focus);
}

void popUpCameraMenu(QWidget& button, Document& document, FocusModel& focus) {
    auto* menu = new QMenu(&button);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    fillCameraMenu(*menu, document, focus);
    menu->popup(button.mapToGlobal(QPoint(0, button.height())));
}

QString balanceText(const light::Asked& balance) {
    const auto* white = std::get_if<light::AskedWhite>(&balance);
    return white && !white->duv ? QObject::tr("%1 K").arg(white->cct_k, 0, 'f', 0)
                                : toQt(light::toText(balance));
}

void setCameraBalance(Document& document, const std::string& camera, const light::Asked& balance,
                      int gesture) {
    const show::FilmCamera* of = document.show().cameras.find(camera);
    if (!of)
        return;
    auto next = *of;
    next.balance = balance;
    document.edit(QObject::tr("Balance of %1").arg(toQt(camera)),
                  show::keepCamera(document.state().show, next),
                  gesture ? fmt::format("balance of {}-{}", camera, gesture) : std::string());
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
