// SPDX-License-Identifier: GPL-3.0-or-later
// Shows and their files as people meet them: opening, saving, leaving, and work that was left
// behind. Asks where something could be lost, and stands in nobody's way otherwise.
#pragma once

#include "desk/kit/document.h"

#include <QObject>
#include <functional>

class QMenu;
class QMessageBox;
class QWidget;

namespace zelo::desk {

class ShowFiles : public QObject {
    Q_OBJECT
public:
    // Boxes and menus belong to `window`.
    ShowFiles(Document& document, QWidget* window);

    // Offers work that was left behind of this show. A show that another program has open is told,
    // with a copy on offer.
    Done open(const QString& path);      // waits: while the program starts
    void openLater(const QString& path); // asks first when something is not saved
    void askNew();
    void askOpen();
    void openRecent(const QPoint& global);
    void save();
    void askSaveAs();
    void askSaveCopy();
    void askStartFrom(); // a new show from one that stays as it is
    // `then` is called as soon as nothing can be lost by it: at once, or when it was saved or let
    // go; never when one would rather stay.
    void leave(std::function<void()> then);

    void offer(const host::LeftWork& left);
    void offerNewest();                      // of all that was left behind; nothing when none was
    void openLeftWork(const QPoint& global); // all of it, to decide on

    static QString lastShow(); // the one that was open last, wherever it was opened

private:
    void askLists(const show::Show& from, Document::Chosen chosen);
    void remember(const QString& path); // as the last one, and among the recent ones
    void opened(const QString& path, const Done& done);
    void saved(const Done& done); // what to do about it when it was not
    void tellIfNot(const Done& done);
    QMessageBox* box(const QString& text);
    Document& document_;
    QWidget* window_;
};

} // namespace zelo::desk
