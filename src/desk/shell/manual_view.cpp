// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/manual_view.h"

#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"

#include <QFile>
#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QRegularExpression>
#include <QScrollBar>
#include <QTextBlock>
#include <QTextList>

namespace zelo::desk {

namespace {

constexpr int kMargin = 24;
constexpr int kTop = 64;
constexpr int kList = 260;
constexpr int kWidest = 860; // of a page: lines that are read well

QString contentsOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? QString::fromUtf8(file.readAll()) : QString();
}

// Without what is there for those who follow it by program.
QString readable(QString markdown) {
    static const QRegularExpression comment("\\s*<!--.*?-->",
                                            QRegularExpression::DotMatchesEverythingOption);
    return markdown.remove(comment);
}

// Headings no larger than the window's, room between paragraphs, keys told by weight.
void layOut(QTextDocument& page) {
    for (QTextBlock block = page.begin(); block.isValid(); block = block.next()) {
        QTextCursor cursor(block);
        QTextBlockFormat format = block.blockFormat();
        const bool heading = format.headingLevel() > 0;
        format.setTopMargin(heading ? 4 : block.textList() ? 5 : 10);
        format.setBottomMargin(heading ? 8 : 3);
        if (!block.text().contains(QChar::ObjectReplacementCharacter)) // a picture has its own
            format.setLineHeight(125, QTextBlockFormat::ProportionalHeight);
        cursor.setBlockFormat(format);
        struct Part {
            int at, length;
            bool key;
        };
        std::vector<Part> parts; // changed once they are all known
        for (auto it = block.begin(); !it.atEnd(); ++it)
            parts.push_back({it.fragment().position(), it.fragment().length(),
                             it.fragment().charFormat().fontFixedPitch()});
        for (const Part& part : parts) {
            if (!heading && !part.key)
                continue;
            cursor.setPosition(part.at);
            cursor.setPosition(part.at + part.length, QTextCursor::KeepAnchor);
            QTextCharFormat ink;
            ink.setFont(heading ? typeface(Type::Title) : typeface(Type::Work, true));
            ink.setForeground(theme().bright);
            cursor.setCharFormat(ink);
        }
    }
}

} // namespace

QVariant ManualView::Reader::loadResource(int type, const QUrl& name) {
    const QVariant found = QTextBrowser::loadResource(type, name);
    if (type != QTextDocument::ImageResource)
        return found;
    QImage image = found.value<QImage>();
    if (image.isNull() && found.canConvert<QByteArray>())
        image.loadFromData(found.toByteArray());
    const int room = viewport()->width() - 24;
    return image.width() > room && room > 40 ? image.scaledToWidth(room, Qt::SmoothTransformation)
                                             : image;
}

ManualView::ManualView(const std::filesystem::path& folder, QWidget* window)
    : Overlay(window), search_(new QLineEdit(this)), list_(new QListWidget(this)),
      reader_(new Reader(this)) {
    setAccessibleName(tr("Manual"));
    setToolTip(tr("Type to search its pages; Esc closes"));
    search_->setAccessibleName(tr("Search the manual"));
    search_->setToolTip(tr("A word of a page"));
    search_->setPlaceholderText(tr("search"));
    search_->setFrame(false);
    search_->installEventFilter(this);
    list_->setAccessibleName(tr("Pages"));
    list_->setToolTip(tr("Arrows in the search choose one too"));
    styleList(*list_);
    list_->setFocusPolicy(Qt::NoFocus);
    reader_->setAccessibleName(tr("Page of the manual"));
    reader_->setToolTip(tr("Links lead to other pages"));
    reader_->setFrameShape(QFrame::NoFrame);
    reader_->setOpenLinks(false);
    reader_->setSearchPaths({toQt(folder.string())});
    // The index names the pages in their order.
    static const QRegularExpression link("\\(([a-z-]+\\.md)\\)");
    const QString index = contentsOf(toQt((folder / "index.md").string()));
    QStringList files{"index.md"};
    for (auto it = link.globalMatch(index); it.hasNext();)
        files << it.next().captured(1);
    files.removeDuplicates();
    for (const QString& file : files) {
        const QString text = readable(contentsOf(toQt((folder / fromQt(file)).string())));
        if (!text.isEmpty())
            pages_.push_back({file, text.section('\n', 0, 0).remove(0, 2), text});
    }
    connect(search_, &QLineEdit::textChanged, this, [this] {
        list();
        if (list_->count() > 0)
            list_->setCurrentRow(0);
    });
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row < 0)
            return;
        const QString file = list_->item(row)->data(Qt::UserRole).toString();
        for (const Page& page : pages_)
            if (page.file == file && (page_ != file || !search_->text().isEmpty()))
                show(page);
    });
    connect(reader_, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& url) { openPage(url.fileName()); });
    list();
    hide();
}

void ManualView::open() {
    Overlay::open();
    search_->clear();
    search_->setFocus();
    if (page_.isEmpty() && !pages_.empty())
        show(pages_.front());
}

QString ManualView::titleOf(const QString& file) const {
    for (const Page& page : pages_)
        if (page.file == file)
            return page.title;
    return {};
}

void ManualView::openPage(const QString& file) {
    if (!isVisible())
        Overlay::open();
    search_->clear();
    search_->setFocus();
    for (const Page& page : pages_)
        if (page.file == file)
            show(page);
}

QString ManualView::text() const {
    return reader_->toPlainText();
}

QStringList ManualView::listed() const {
    QStringList titles;
    for (int i = 0; i < list_->count(); ++i)
        titles << list_->item(i)->text();
    return titles;
}

void ManualView::list() {
    const QSignalBlocker quiet(list_);
    const QString wanted = search_->text().trimmed();
    list_->clear();
    for (const Page& page : pages_)
        if (wanted.isEmpty() || page.markdown.contains(wanted, Qt::CaseInsensitive)) {
            auto* item = new QListWidgetItem(page.title, list_);
            item->setData(Qt::UserRole, page.file);
            if (page.file == page_)
                list_->setCurrentItem(item);
        }
}

void ManualView::show(const Page& page) {
    page_ = page.file;
    reader_->document()->setDefaultFont(typeface(Type::Work));
    reader_->setMarkdown(page.markdown);
    layOut(*reader_->document());
    if (const QString wanted = search_->text().trimmed(); !wanted.isEmpty())
        reader_->find(wanted);
    else
        reader_->verticalScrollBar()->setValue(0);
    const QSignalBlocker quiet(list_);
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->data(Qt::UserRole).toString() == page_)
            list_->setCurrentRow(i);
}

void ManualView::resizeEvent(QResizeEvent*) {
    search_->setGeometry(kMargin + 120, 18, kList - 120, 28);
    list_->setGeometry(kMargin, kTop, kList, height() - kTop - kMargin);
    const int left = kMargin + kList + kMargin;
    reader_->setGeometry(left, kTop, std::min(width() - left - kMargin, kWidest),
                         height() - kTop - kMargin);
    for (const Page& page : pages_) // pictures at their new size
        if (page.file == page_)
            show(page);
}

bool ManualView::event(QEvent* event) {
    if (event->type() == QEvent::PaletteChange || event->type() == QEvent::Show) {
        const auto css = [](const QColor& c) { return c.name(); };
        search_->setStyleSheet(QStringLiteral("background:%1;color:%2;padding:2px 6px")
                                   .arg(css(theme().well), css(theme().bright)));
        reader_->setStyleSheet(QStringLiteral("QTextBrowser{background:%1;color:%2}")
                                   .arg(css(theme().bench), css(theme().text)) +
                               scrollBarStyle());
        QPalette inks = reader_->palette();
        inks.setColor(QPalette::Link, theme().bright);
        inks.setColor(QPalette::Text, theme().text);
        reader_->setPalette(inks);
    }
    return Overlay::event(event);
}

// The search has the keyboard: arrows choose a page, Page keys read on.
bool ManualView::eventFilter(QObject* watched, QEvent* event) {
    if (watched == search_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Up || key == Qt::Key_Down) {
            const int row = list_->currentRow() + (key == Qt::Key_Down ? 1 : -1);
            if (row >= 0 && row < list_->count())
                list_->setCurrentRow(row);
            return true;
        }
        if (key == Qt::Key_Escape) { // what was searched, then the manual
            search_->text().isEmpty() ? hide() : search_->clear();
            return true;
        }
        if (key == Qt::Key_PageUp || key == Qt::Key_PageDown) {
            auto* bar = reader_->verticalScrollBar();
            bar->setValue(bar->value() +
                          (key == Qt::Key_PageDown ? 1 : -1) * (bar->pageStep() - 30));
            return true;
        }
    }
    return Overlay::eventFilter(watched, event);
}

void ManualView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    drawText(p, kMargin, 40, tr("Manual"), typeface(Type::Title), theme().bright);
    drawTextRight(p, width() - kMargin, 40, tr("Esc closes"), typeface(Type::Small), theme().dim);
    if (pages_.empty())
        drawWrapped(p, reader_->geometry(),
                    tr("The manual's pages are not there: they stand beside the program's data."),
                    typeface(Type::Work), theme().text);
}

} // namespace zelo::desk
