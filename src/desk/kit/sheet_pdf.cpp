// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/sheet_pdf.h"

#include "desk/kit/theme.h"

#include <QPainter>
#include <QPdfWriter>
#include <QPrintPreviewDialog>
#include <QPrinter>
#include <QSaveFile>

#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr int kDpi = 300;
constexpr double kRow_mm = 6.2, kMargin_mm = 14, kHead_mm = 22;

class Paper {
public:
    Paper(QPagedPaintDevice& paper, const QString& heading)
        : paper_(paper), dpi_(paper.logicalDpiX()), painter_(&paper), heading_(heading) {}

    void print(const Sheet& sheet) {
        sheet_ = &sheet;
        place();
        page();
        for (const SheetRow& row : sheet.rows) {
            if (y_mm_ + kRow_mm > high_mm() - kMargin_mm)
                page();
            print(row);
            y_mm_ += kRow_mm;
        }
    }
    bool fine() const { return painter_.isActive(); }

private:
    int px(double mm) const { return static_cast<int>(std::lround(mm * dpi_ / 25.4)); }
    double wide_mm() const { return paper_.width() * 25.4 / dpi_; }
    double high_mm() const { return paper_.height() * 25.4 / dpi_; }
    QFont face(double points, bool bold = false) const {
        QFont font = typeface(Type::Work, bold);
        font.setPointSizeF(points);
        return font;
    }
    void place() {
        double rest = wide_mm() - 2 * kMargin_mm;
        for (const SheetColumn& column : sheet_->columns)
            rest -= column.wide_mm;
        left_mm_.clear();
        wide_.clear();
        double x = kMargin_mm;
        for (const SheetColumn& column : sheet_->columns) {
            left_mm_.push_back(x);
            wide_.push_back(column.wide_mm > 0 ? column.wide_mm : std::max(rest, 15.0));
            x += wide_.back();
        }
    }
    // In its column, narrower letters where it is longer.
    void text(std::size_t column, double y_mm, const QString& text, QFont font) {
        const QRect room(px(left_mm_[column]), px(y_mm), px(wide_[column] - 2), px(kRow_mm));
        const int wide = QFontMetrics(font, &paper_).horizontalAdvance(text);
        if (wide > room.width() && wide > 0)
            font.setStretch(std::max(60, 100 * room.width() / wide));
        painter_.setFont(font);
        const QString shown =
            QFontMetrics(font, &paper_).elidedText(text, Qt::ElideRight, room.width());
        painter_.drawText(room,
                          (sheet_->columns[column].number ? Qt::AlignRight : Qt::AlignLeft) |
                              Qt::AlignVCenter | Qt::TextSingleLine,
                          shown);
    }
    void page() {
        if (pages_++ > 0)
            paper_.newPage();
        painter_.setPen(Qt::black);
        painter_.setFont(face(14, true));
        painter_.drawText(px(kMargin_mm), px(kMargin_mm), sheet_->title);
        painter_.setFont(face(8));
        painter_.drawText(QRect(0, px(kMargin_mm - 4), paper_.width() - px(kMargin_mm), px(5)),
                          Qt::AlignRight | Qt::AlignVCenter,
                          QStringLiteral("%1   %2").arg(heading_).arg(pages_));
        y_mm_ = kHead_mm;
        for (std::size_t c = 0; c < sheet_->columns.size(); ++c)
            text(c, y_mm_ - kRow_mm, sheet_->columns[c].head, face(8));
        painter_.fillRect(px(kMargin_mm), px(y_mm_), px(wide_mm() - 2 * kMargin_mm), 2, Qt::black);
        y_mm_ += 0.6;
    }
    void print(const SheetRow& row) {
        for (std::size_t c = 0; c < sheet_->columns.size(); ++c)
            if (static_cast<int>(c) < row.cells.size() && !row.cells[static_cast<int>(c)].isEmpty())
                text(c, y_mm_, row.cells[static_cast<int>(c)], face(9));
        if (row.swatch.isValid())
            painter_.fillRect(px(kMargin_mm), px(y_mm_ + 0.8), px(8), px(kRow_mm - 1.6),
                              row.swatch);
        if (sheet_->bars_column >= 0)
            bars(row.bars);
        painter_.fillRect(px(kMargin_mm), px(y_mm_ + kRow_mm), px(wide_mm() - 2 * kMargin_mm),
                          px(0.2), QColor(0xc0, 0xc0, 0xc0));
    }
    void bars(const std::vector<SheetBar>& all) {
        const auto column = static_cast<std::size_t>(sheet_->bars_column);
        double x = left_mm_[column];
        for (std::size_t i = 0; i < all.size(); ++i) {
            const SheetBar& bar = all[i];
            x += bar.gap ? 0.8 : 0;
            std::size_t end = i + 1; // of its block: it stands there whole or not at all
            while (end < all.size() && !all[end].gap)
                ++end;
            if (bar.gap &&
                x + 1.1 * static_cast<double>(end - i) > left_mm_[column] + wide_[column] - 2)
                return;
            const double top = y_mm_ + 0.9, high = kRow_mm - 1.8;
            painter_.fillRect(px(x), px(top), px(0.9), px(high), QColor(0xe4, 0xe4, 0xe4));
            const double level = std::clamp(bar.level, 0.0, 1.0) * high;
            if (bar.light.isValid() && level > 0)
                painter_.fillRect(px(x), px(top + high - level), px(0.9), std::max(px(level), 2),
                                  bar.light);
            x += 1.1;
        }
    }

    QPagedPaintDevice& paper_;
    double dpi_;
    QPainter painter_;
    QString heading_;
    const Sheet* sheet_ = nullptr;
    std::vector<double> left_mm_, wide_;
    double y_mm_ = 0;
    int pages_ = 0;
};

// A4 across; the margins are those of the sheets.
void layOut(QPagedPaintDevice& paper) {
    paper.setPageSize(QPageSize(QPageSize::A4));
    paper.setPageOrientation(QPageLayout::Landscape);
    paper.setPageMargins({});
}

bool print(QPagedPaintDevice& on, const QString& heading, const std::vector<Sheet>& sheets) {
    Paper paper(on, heading);
    for (const Sheet& sheet : sheets)
        if (paper.fine())
            paper.print(sheet);
    return paper.fine();
}

} // namespace

bool writeSheets(const QString& path, const QString& heading, const std::vector<Sheet>& sheets) {
    QSaveFile file(path); // what was there stays until all is written
    if (!file.open(QIODevice::WriteOnly))
        return false;
    bool fine = false;
    {
        QPdfWriter pdf(&file);
        pdf.setResolution(kDpi);
        layOut(pdf);
        pdf.setTitle(heading);
        fine = print(pdf, heading, sheets);
    }
    return fine && file.commit();
}

void previewSheets(const QString& heading, std::vector<Sheet> sheets, QWidget* over) {
    auto* preview = new QPrintPreviewDialog(over);
    preview->setAttribute(Qt::WA_DeleteOnClose);
    preview->resize(1000, 720);
    QPrinter* printer = preview->printer();
    printer->setFullPage(true);
    layOut(*printer);
    printer->setDocName(heading);
    QObject::connect(
        preview, &QPrintPreviewDialog::paintRequested, preview,
        [heading, sheets = std::move(sheets)](QPrinter* on) { print(*on, heading, sheets); });
    preview->open();
}

} // namespace zelo::desk
