// SPDX-License-Identifier: GPL-3.0-or-later
// The manual over the window: its pages by name or by a word in them, and the page that is read.
#pragma once

#include "desk/kit/overlay.h"

#include <QTextBrowser>
#include <filesystem>
#include <vector>

class QListWidget;
class QLineEdit;

namespace zelo::desk {

class ManualView : public Overlay {
    Q_OBJECT
public:
    // `folder`: of the pages; where it is not there the view says so.
    ManualView(const std::filesystem::path& folder, QWidget* window);
    void open() override;
    void openPage(const QString& file); // "match.md"; also when it is not open yet
    QString page() const { return page_; }
    QString titleOf(const QString& file) const; // empty: there is no such page
    QStringList listed() const;                 // titles that the search has left
    QString text() const;                       // of the page, as it is read

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool event(QEvent* event) override; // another theme
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Page {
        QString file, title, markdown;
    };
    // Pictures as wide as there is room for.
    class Reader : public QTextBrowser {
    public:
        using QTextBrowser::QTextBrowser;
        QVariant loadResource(int type, const QUrl& name) override;
    };
    void list();
    void show(const Page& page);
    std::vector<Page> pages_; // in the order of the index
    QString page_;
    QLineEdit* search_;
    QListWidget* list_;
    Reader* reader_;
};

} // namespace zelo::desk
