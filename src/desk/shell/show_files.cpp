// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/show_files.h"

#include "desk/kit/qt_text.h"

#include <QDateTime>
#include <QFileDialog>
#include <QFileInfo>
#include <QLocale>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>

namespace zelo::desk {

namespace {

QString showFilter() {
    return QObject::tr("Shows (*.zelo)");
}

QString withEnding(const QString& path) {
    return path.isEmpty() || path.endsWith(".zelo") ? path : path + ".zelo";
}

QString when(const host::LeftWork& left) {
    return QLocale().toString(QDateTime::fromSecsSinceEpoch(left.at_s), "d MMM yyyy, HH:mm:ss");
}

QString nameOf(const host::LeftWork& left) {
    return left.of ? toQt(left.of->filename().string())
                   : QObject::tr("%1 (no file)").arg(toQt(left.name));
}

} // namespace

ShowFiles::ShowFiles(Document& document, QWidget* window)
    : QObject(window), document_(document), window_(window) {}

QMessageBox* ShowFiles::box(const QString& text) {
    auto* box = new QMessageBox(window_);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setText(text);
    return box;
}

QString ShowFiles::lastShow() {
    return QSettings().value("show/last").toString();
}

void ShowFiles::remember(const QString& path) {
    constexpr int kRecent = 8;
    QSettings settings;
    QStringList recent = settings.value("show/recent").toStringList();
    const QString whole = QFileInfo(path).absoluteFilePath();
    recent.removeAll(whole);
    recent.prepend(whole);
    settings.setValue("show/recent", recent.mid(0, kRecent));
    settings.setValue("show/last", whole);
}

Done ShowFiles::open(const QString& path) {
    auto opened = document_.open(fromQt(path));
    if (!opened && opened.error().code == ErrorCode::Busy) {
        auto* asks = box(tr("%1. You may open a copy: it gets a file of its own when you save it.")
                             .arg(toQt(opened.error().text())));
        auto* copy = asks->addButton(tr("Open a copy"), QMessageBox::AcceptRole);
        asks->addButton(tr("Leave it"), QMessageBox::RejectRole);
        connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
            if (chosen != copy || !mayLeave())
                return;
            if (auto done = document_.openCopy(fromQt(path)); !done)
                document_.tell(toQt(done.error().text()));
        });
        asks->open();
    }
    if (!opened)
        return opened;
    remember(path);
    const auto file = *document_.path();
    for (const auto& left : document_.leftWork())
        if (left.of && *left.of == file) {
            offer(left);
            break;
        }
    return opened;
}

void ShowFiles::askNew() {
    if (!mayLeave())
        return;
    show::Show show;
    show.name = fromQt(tr("Untitled"));
    document_.start(std::make_shared<const show::Show>(std::move(show)), show::emptyHand());
}

void ShowFiles::askOpen() {
    // First which one: who changes their mind there has let nothing go.
    const QString path = QFileDialog::getOpenFileName(window_, tr("Open a show"), {}, showFilter());
    if (path.isEmpty() || !mayLeave())
        return;
    if (auto opened = open(path); !opened && opened.error().code != ErrorCode::Busy)
        document_.tell(toQt(opened.error().text()));
}

void ShowFiles::openRecent(const QPoint& global) {
    auto* menu = new QMenu(tr("Recent shows"), window_);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const QString& path : QSettings().value("show/recent").toStringList()) {
        QAction* action =
            menu->addAction(QFileInfo(path).fileName() + '\t' + QFileInfo(path).absolutePath());
        connect(action, &QAction::triggered, this, [this, path] {
            if (!mayLeave())
                return;
            if (auto opened = open(path); !opened && opened.error().code != ErrorCode::Busy)
                document_.tell(toQt(opened.error().text()));
        });
    }
    if (menu->isEmpty())
        menu->addAction(tr("No show was opened or saved yet"))->setEnabled(false);
    menu->popup(global);
}

// --- saving --------------------------------------------------------------------------------------

void ShowFiles::saved(const Done& done) {
    if (done)
        return remember(toQt(document_.path()->string()));
    if (done.error().code != ErrorCode::Changed)
        return document_.tell(toQt(done.error().text()));
    auto* asks = box(tr("%1. Save yours as this show, and leave the other beside it under a dated "
                        "name? Both are there then.")
                         .arg(toQt(done.error().text())));
    auto* both = asks->addButton(tr("Save, both stay"), QMessageBox::AcceptRole);
    auto* other = asks->addButton(tr("Save under another name…"), QMessageBox::ActionRole);
    asks->addButton(tr("Not now"), QMessageBox::RejectRole);
    connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen == both)
            saved(document_.save(true));
        else if (chosen == other)
            askSaveAs();
    });
    asks->open();
}

void ShowFiles::save() {
    if (!document_.path())
        return askSaveAs();
    saved(document_.save());
}

void ShowFiles::askSaveAs() {
    const QString path = withEnding(QFileDialog::getSaveFileName(
        window_, tr("Save the show as"), toQt(document_.show().name) + ".zelo", showFilter()));
    if (!path.isEmpty())
        saved(document_.saveAs(fromQt(path)));
}

void ShowFiles::askSaveCopy() {
    const QString path = withEnding(QFileDialog::getSaveFileName(
        window_, tr("Save a copy as"), tr("%1 copy.zelo").arg(toQt(document_.show().name)),
        showFilter()));
    if (path.isEmpty())
        return;
    if (auto done = document_.saveCopy(fromQt(path)); !done)
        return document_.tell(toQt(done.error().text()));
    document_.tell(tr("A copy is at %1; you go on in the same show.").arg(path));
}

void ShowFiles::askStartFrom() {
    const QString path =
        QFileDialog::getOpenFileName(window_, tr("Start from this show"), {}, showFilter());
    if (path.isEmpty() || !mayLeave())
        return;
    const auto name = tr("New, from %1").arg(QFileInfo(path).completeBaseName());
    if (auto begun = document_.startFrom(fromQt(path), fromQt(name)); !begun)
        document_.tell(toQt(begun.error().text()));
}

bool ShowFiles::mayLeave() {
    if (document_.nothingToLose())
        return true;
    QMessageBox asks(window_);
    asks.setText(tr("“%1” has changes that are not on disk yet.").arg(toQt(document_.show().name)));
    auto* keep = asks.addButton(tr("Save them"), QMessageBox::AcceptRole);
    auto* lose = asks.addButton(tr("Lose them"), QMessageBox::DestructiveRole);
    asks.addButton(tr("Stay here"), QMessageBox::RejectRole);
    asks.exec();
    if (asks.clickedButton() == keep)
        save();
    if (asks.clickedButton() == lose)
        document_.letGo();
    return asks.clickedButton() == lose || document_.nothingToLose();
}

// --- work that was left behind -------------------------------------------------------------------

void ShowFiles::offer(const host::LeftWork& left) {
    auto* asks =
        box(tr("Work on %1 was not saved when its program ended. Its last state is of %2%3.")
                .arg(nameOf(left), when(left),
                     !left.of     ? QString()
                     : left.older ? tr(", and its file was saved later")
                                  : tr(", and is newer than its file")));
    auto* take = asks->addButton(tr("Take it back"), QMessageBox::AcceptRole);
    auto* drop = asks->addButton(tr("Throw it away"), QMessageBox::DestructiveRole);
    asks->addButton(tr("Decide later"), QMessageBox::RejectRole);
    connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen == drop)
            document_.throwAway(left);
        if (chosen != take || !mayLeave())
            return;
        if (auto taken = document_.recover(left); !taken)
            document_.tell(toQt(taken.error().text()));
    });
    asks->open();
}

void ShowFiles::offerNewest() {
    if (const auto all = document_.leftWork(); !all.empty())
        offer(all.front());
}

void ShowFiles::openLeftWork(const QPoint& global) {
    auto* menu = new QMenu(tr("Work left behind"), window_);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& left : document_.leftWork())
        connect(menu->addAction(nameOf(left) + '\t' + when(left)), &QAction::triggered, this,
                [this, left] { offer(left); });
    if (menu->isEmpty())
        menu->addAction(tr("Nothing was left behind: all is saved"))->setEnabled(false);
    menu->popup(global);
}

} // namespace zelo::desk
