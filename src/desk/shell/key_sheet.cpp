// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/key_sheet.h"

#include "desk/kit/draw.h"
#include "desk/kit/forms.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QScrollArea>
#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kMargin = 24;
constexpr int kTop = 64;
constexpr int kColumn = 380; // px, at least
} // namespace

KeySheet::KeySheet(const std::vector<Command>& commands, QWidget* window)
    : Overlay(window), search_(new QLineEdit(this)), scroll_(new QScrollArea(this)) {
    setAccessibleName(tr("Keys and commands"));
    setToolTip(tr("Type to search; Esc closes"));
    for (int g = 0; g <= static_cast<int>(CommandGroup::Help); ++g) {
        Section section{nameOf(static_cast<CommandGroup>(g)), {}};
        for (const Command& c : commands)
            if (static_cast<int>(c.group) == g)
                section.rows.push_back({keysShown(c), c.text});
        if (!section.rows.empty())
            sections_.push_back(std::move(section));
    }
    search_->setAccessibleName(tr("Search keys and commands"));
    search_->setToolTip(tr("A part of a command or its key"));
    search_->setPlaceholderText(tr("search"));
    search_->setFrame(false);
    search_->installEventFilter(this);
    connect(search_, &QLineEdit::textChanged, this, &KeySheet::arrange);
    scroll_->setAccessibleName(tr("Keys"));
    scroll_->setToolTip(tr("All keys, by what they belong to"));
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setWidgetResizable(true);
    scroll_->setStyleSheet("QScrollArea{background:transparent}" + scrollBarStyle());
    scroll_->viewport()->setAutoFillBackground(false);
}

void KeySheet::open() {
    search_->clear();
    Overlay::open();
    arrange();
    search_->setFocus();
}

std::vector<KeySheet::Section> KeySheet::matching() const {
    const QString wanted = search_->text().trimmed();
    std::vector<Section> found;
    for (const Section& s : sections_) {
        Section part{s.name, {}};
        std::copy_if(
            s.rows.begin(), s.rows.end(), std::back_inserter(part.rows), [&](const Row& row) {
                return wanted.isEmpty() || row.text.contains(wanted, Qt::CaseInsensitive) ||
                       row.key.compare(wanted, Qt::CaseInsensitive) == 0;
            });
        if (!part.rows.empty())
            found.push_back(std::move(part));
    }
    return found;
}

QStringList KeySheet::shown() const {
    QStringList texts;
    for (const Section& s : matching())
        for (const Row& row : s.rows)
            texts << row.text;
    return texts;
}

void KeySheet::arrange() {
    if (!isVisible())
        return;
    const auto found = matching();
    auto* page = new QWidget;
    page->setAutoFillBackground(false);
    auto* columns = new QGridLayout(page);
    columns->setContentsMargins(0, 0, 12, 0);
    columns->setHorizontalSpacing(36);
    const int count = std::clamp((width() - 2 * kMargin) / kColumn, 1, 4);
    std::vector<std::size_t> filled(static_cast<std::size_t>(count), 0);
    std::vector<QGridLayout*> grids;
    for (int c = 0; c < count; ++c) {
        auto* grid = new QGridLayout;
        grid->setVerticalSpacing(3);
        grid->setHorizontalSpacing(14);
        grid->setColumnStretch(1, 1);
        grid->setColumnMinimumWidth(0, 96);
        columns->addLayout(grid, 0, c, Qt::AlignTop);
        columns->setColumnStretch(c, 1);
        grids.push_back(grid);
    }
    const auto label = [&](const QString& text, const QFont& font, const QColor& ink) {
        auto* l = new QLabel(text, page);
        l->setFont(font);
        l->setWordWrap(true);
        QPalette p = l->palette();
        p.setColor(QPalette::WindowText, ink);
        l->setPalette(p);
        return l;
    };
    for (const Section& s : found) { // each where the least stands so far
        const auto at = static_cast<std::size_t>(std::min_element(filled.begin(), filled.end()) -
                                                 filled.begin());
        QGridLayout* grid = grids[at];
        int row = grid->rowCount();
        auto* name = label(s.name, typeface(Type::Work, true), theme().bright);
        name->setContentsMargins(0, filled[at] ? 16 : 0, 0, 3);
        grid->addWidget(name, row, 0, 1, 2);
        for (const Row& r : s.rows) {
            ++row;
            grid->addWidget(label(r.key, typeface(Type::Work), theme().dim), row, 0,
                            Qt::AlignTop | Qt::AlignLeft);
            grid->addWidget(label(r.text, typeface(Type::Work), theme().text), row, 1,
                            Qt::AlignTop);
        }
        filled[at] += s.rows.size() + 2;
    }
    if (found.empty())
        grids.front()->addWidget(
            label(tr("Nothing has that in its name."), typeface(Type::Work), theme().dim), 0, 0, 1,
            2);
    scroll_->setWidget(page);
    page->setAutoFillBackground(false);
}

bool KeySheet::event(QEvent* event) {
    if (event->type() == QEvent::ThemeChange)
        arrange();
    return Overlay::event(event);
}

bool KeySheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched == search_ && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) { // the text, then the sheet
        if (search_->text().isEmpty())
            hide();
        else
            search_->clear();
        return true;
    }
    return Overlay::eventFilter(watched, event);
}

void KeySheet::resizeEvent(QResizeEvent*) {
    search_->setGeometry(width() - kMargin - 220, 22, 220, 26);
    scroll_->setGeometry(kMargin, kTop, width() - 2 * kMargin, height() - kTop - 12);
    arrange();
}

void KeySheet::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const int w =
        drawText(p, kMargin, 40, tr("Keys and commands"), typeface(Type::Title), theme().bright);
    drawText(p, kMargin + w + 14, 40, tr("Esc closes; Ctrl+K finds a command and does it"),
             typeface(Type::Small), theme().dim);
    p.fillRect(search_->x(), search_->geometry().bottom() + 1, search_->width(), 1, theme().rule);
}

} // namespace zelo::desk
