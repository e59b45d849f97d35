// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/show_files.h"

#include "desk/kit/qt_text.h"

#include <QCheckBox>
#include <QDateTime>
#include <QDialog>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QLocale>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>
#include <QVBoxLayout>

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

void ShowFiles::tellIfNot(const Done& done) {
    if (!done)
        document_.tell(said(done.error()));
}

Done ShowFiles::open(const QString& path) {
    auto done = document_.open(fromQt(path));
    opened(path, done);
    return done;
}

void ShowFiles::openLater(const QString& path) {
    leave([this, path] {
        document_.openLater(fromQt(path), [this, path](const Done& done) {
            opened(path, done);
            if (!done && done.error().code != ErrorCode::Busy)
                tellIfNot(done);
        });
    });
}

void ShowFiles::opened(const QString& path, const Done& done) {
    if (!done && done.error().code == ErrorCode::Busy) {
        auto* asks = box(tr("%1. You may open a copy: it gets a file of its own when you save it.")
                             .arg(said(done.error())));
        auto* copy = asks->addButton(tr("Open a copy"), QMessageBox::AcceptRole);
        asks->addButton(tr("Leave it"), QMessageBox::RejectRole);
        connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
            if (chosen == copy)
                leave([=, this] {
                    document_.openCopyLater(fromQt(path),
                                            [this](const Done& copied) { tellIfNot(copied); });
                });
        });
        asks->open();
    }
    if (!done)
        return;
    remember(path);
    document_.leftWorkLater([this, file = *document_.path()](const auto& all) {
        for (const auto& left : all)
            if (left.of && *left.of == file)
                return offer(left);
    });
}

void ShowFiles::askNew() {
    leave([this] {
        show::Show show;
        show.name = fromQt(tr("Untitled"));
        document_.start(std::make_shared<const show::Show>(std::move(show)), show::emptyHand());
    });
}

void ShowFiles::askOpen() {
    // First which one: who changes their mind there has let nothing go.
    const QString path = QFileDialog::getOpenFileName(window_, tr("Open a show"), {}, showFilter());
    if (!path.isEmpty())
        openLater(path);
}

void ShowFiles::openRecent(const QPoint& global) {
    auto* menu = new QMenu(tr("Recent shows"), window_);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const QString& path : QSettings().value("show/recent").toStringList()) {
        QAction* action =
            menu->addAction(QFileInfo(path).fileName() + '\t' + QFileInfo(path).absolutePath());
        connect(action, &QAction::triggered, this, [this, path] { openLater(path); });
    }
    if (menu->isEmpty())
        menu->addAction(tr("No show was opened or saved yet"))->setEnabled(false);
    menu->popup(global);
}

// --- saving --------------------------------------------------------------------------------------

void ShowFiles::saved(const Done& done) {
    if (done && document_.path())
        return remember(toQt(document_.path()->string()));
    if (done)
        return; // another show is open by now
    if (done.error().code != ErrorCode::Changed)
        return document_.tell(said(done.error()));
    auto* asks = box(tr("%1. Save yours as this show, and leave the other beside it under a dated "
                        "name? Both are there then.")
                         .arg(said(done.error())));
    auto* both = asks->addButton(tr("Save, both stay"), QMessageBox::AcceptRole);
    auto* other = asks->addButton(tr("Save under another name…"), QMessageBox::ActionRole);
    asks->addButton(tr("Not now"), QMessageBox::RejectRole);
    connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen == both)
            document_.saveLater(true, [this](const Done& again) { saved(again); });
        else if (chosen == other)
            askSaveAs();
    });
    asks->open();
}

void ShowFiles::save() {
    if (!document_.path())
        return askSaveAs();
    document_.saveLater(false, [this](const Done& done) { saved(done); });
}

void ShowFiles::askSaveAs() {
    const QString path = withEnding(QFileDialog::getSaveFileName(
        window_, tr("Save the show as"), toQt(document_.show().name) + ".zelo", showFilter()));
    if (!path.isEmpty())
        document_.saveAsLater(fromQt(path), [this](const Done& done) { saved(done); });
}

void ShowFiles::askSaveCopy() {
    const QString path = withEnding(QFileDialog::getSaveFileName(
        window_, tr("Save a copy as"), tr("%1 copy.zelo").arg(toQt(document_.show().name)),
        showFilter()));
    if (path.isEmpty())
        return;
    document_.saveCopyLater(fromQt(path), [this, path](const Done& done) {
        document_.tell(done ? tr("A copy is at %1; you go on in the same show.").arg(path)
                            : said(done.error()));
    });
}

void ShowFiles::askStartFrom() {
    const QString path =
        QFileDialog::getOpenFileName(window_, tr("Start from this show"), {}, showFilter());
    if (path.isEmpty())
        return;
    leave([this, path] {
        document_.startFromLater(
            fromQt(path), tr("New, from %1").arg(QFileInfo(path).completeBaseName()),
            [this](const show::Show& from, Document::Chosen chosen) {
                askLists(from, std::move(chosen));
            },
            [this](const Done& done) { tellIfNot(done); });
    });
}

void ShowFiles::askLists(const show::Show& from, Document::Chosen chosen) {
    auto* form = new QDialog(window_);
    form->setAttribute(Qt::WA_DeleteOnClose);
    form->setWindowTitle(tr("Start from “%1”").arg(toQt(from.name)));
    auto* rows = new QVBoxLayout(form);
    rows->addWidget(new QLabel(tr("Its rig, groups, palettes and looks come along, and these cue "
                                  "lists:"),
                               form));
    std::vector<std::pair<show::CueListId, QCheckBox*>> ticks;
    for (const auto& [id, list] : from.cue_lists) {
        auto* tick = new QCheckBox(
            tr("%1, %n cues", nullptr, static_cast<int>(list->cues.size())).arg(toQt(list->name)),
            form);
        tick->setToolTip(tr("Takes this list along"));
        tick->setChecked(true);
        rows->addWidget(tick);
        ticks.emplace_back(id, tick);
    }
    auto* start = new QPushButton(tr("Start"), form);
    start->setToolTip(tr("A new show; the one it comes from stays as it is"));
    start->setDefault(true);
    rows->addWidget(start);
    connect(start, &QPushButton::clicked, form, [form, ticks, chosen] {
        std::vector<show::CueListId> lists;
        for (const auto& [id, tick] : ticks)
            if (tick->isChecked())
                lists.push_back(id);
        form->close();
        chosen(lists);
    });
    form->open();
}

void ShowFiles::leave(std::function<void()> then) {
    if (document_.saving()) // it may be all that is needed
        return document_.afterSaving([this, then] { leave(then); });
    if (document_.nothingToLose())
        return then();
    auto* asks =
        box(tr("“%1” has changes that are not on disk yet.").arg(toQt(document_.show().name)));
    auto* keep = asks->addButton(tr("Save them"), QMessageBox::AcceptRole);
    auto* lose = asks->addButton(tr("Lose them"), QMessageBox::DestructiveRole);
    asks->addButton(tr("Stay here"), QMessageBox::RejectRole);
    connect(asks, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen == keep) {
            save();
            document_.afterSaving([this, then] {
                if (document_.nothingToLose())
                    then();
            });
        } else if (chosen == lose) {
            document_.letGo();
            then();
        }
    });
    asks->open();
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
        if (chosen == take)
            leave([=, this] {
                document_.recoverLater(left, [this](const Done& done) { tellIfNot(done); });
            });
    });
    asks->open();
}

void ShowFiles::offerNewest() {
    document_.leftWorkLater([this](const auto& all) {
        if (!all.empty())
            offer(all.front());
    });
}

void ShowFiles::openLeftWork(const QPoint& global) {
    document_.leftWorkLater([this, global](const auto& all) {
        auto* menu = new QMenu(tr("Work left behind"), window_);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        for (const auto& left : all)
            connect(menu->addAction(nameOf(left) + '\t' + when(left)), &QAction::triggered, this,
                    [this, left] { offer(left); });
        if (menu->isEmpty())
            menu->addAction(tr("Nothing was left behind: all is saved"))->setEnabled(false);
        menu->popup(global);
    });
}

} // namespace zelo::desk
