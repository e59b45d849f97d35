// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/sheet_pdf.h"

#include "desk/kit/theme.h"

#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>

#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr int kDpi = 300;
constexpr double kRow_mm = 6.2, kMargin_mm = 14, kHead_mm = 22;

class Paper {
public:
    Paper(QPdfWriter& pdf, const QString& heading) : pdf_(pdf), painter_(&pdf), heading_(heading) {}

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
    static int px(double mm) { return static_cast<int>(std::lround(mm * kDpi / 25.4)); }
    double wide_mm() const { return pdf_.width() * 25.4 / kDpi; }
    double high_mm() const { return pdf_.height() * 25.4 / kDpi; }
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
        const int wide = QFontMetrics(font, &pdf_).horizontalAdvance(text);
        if (wide > room.width() && wide > 0)
            font.setStretch(std::max(60, 100 * room.width() / wide));
        painter_.setFont(font);
        const QString shown =
            QFontMetrics(font, &pdf_).elidedText(text, Qt::ElideRight, room.width());
        painter_.drawText(room,
                          (sheet_->columns[column].number ? Qt::AlignRight : Qt::AlignLeft) |
                              Qt::AlignVCenter | Qt::TextSingleLine,
                          shown);
    }
    void page() {
        if (pages_++ > 0)
            pdf_.newPage();
        painter_.setPen(Qt::black);
        painter_.setFont(face(14, true));
        painter_.drawText(px(kMargin_mm), px(kMargin_mm), sheet_->title);
        painter_.setFont(face(8));
        painter_.drawText(QRect(0, px(kMargin_mm - 4), pdf_.width() - px(kMargin_mm), px(5)),
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
        painter_.fillRect(px(kMargin_mm), px(y_mm_ + kRow_mm), px(wide_mm() - 2 * kMargin_mm), 1,
                          QColor(0xc0, 0xc0, 0xc0));
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

    QPdfWriter& pdf_;
    QPainter painter_;
    QString heading_;
    const Sheet* sheet_ = nullptr;
    std::vector<double> left_mm_, wide_;
    double y_mm_ = 0;
    int pages_ = 0;
};

} // namespace

bool writeSheets(const QString& path, const QString& heading, const std::vector<Sheet>& sheets) {
    QSaveFile file(path); // what was there stays until all is written
    if (!file.open(QIODevice::WriteOnly))
        return false;
    bool fine = false;
    {
        QPdfWriter pdf(&file);
        pdf.setResolution(kDpi);
        pdf.setPageSize(QPageSize(QPageSize::A4));
        pdf.setPageOrientation(QPageLayout::Landscape);
        pdf.setPageMargins({});
        pdf.setTitle(heading);
        Paper paper(pdf, heading);
        fine = paper.fine();
        for (const Sheet& sheet : sheets)
            if (fine)
                paper.print(sheet);
    }
    return fine && file.commit();
}

} // namespace zelo::desk
