// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/convert_form.h"

#include "base/file.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/swatches/swatch_model.h"

#include <QCheckBox>
#include <QFileDialog>
#include <QKeyEvent>
#include <QPdfWriter>
#include <QTextDocument>
#include <QTimer>
#include <cmath>
#include <set>

namespace zelo::desk {

ConvertForm::ConvertForm(Document& document, SwatchModel& model, QWidget* window)
    : QWidget(window, Qt::Tool), document_(document), model_(model),
      listed_(new QCheckBox(tr("only the gels that are listed now"), this)),
      palettes_(new Button(tr("Make palettes"), {}, tr("One palette for each gel, in one step"),
                           Button::Kind::Plain, this)),
      report_(new Button(tr("Report"), {}, tr("How well the types of the lineup make each gel"),
                         Button::Kind::Next, this)),
      csv_(new Button(tr("Save CSV…"), {}, tr("The report as a table"), Button::Kind::Plain, this)),
      pdf_(new Button(tr("Save PDF…"), {}, tr("The report on paper"), Button::Kind::Plain, this)),
      done_(std::make_shared<std::atomic<std::size_t>>(0)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Convert the book"));
    setAccessibleName(tr("Convert the book"));
    listed_->setToolTip(tr("Else the whole book"));
    listed_->setAccessibleName(listed_->text());
    setFixedSize(420, 200);
    listed_->setGeometry(20, 58, 380, 24);
    palettes_->setGeometry(20, 96, 120, 28);
    report_->setGeometry(150, 96, 120, 28);
    csv_->setGeometry(20, 152, 120, 28);
    pdf_->setGeometry(150, 152, 120, 28);
    connect(palettes_, &Button::clicked, this, &ConvertForm::makePalettes);
    connect(report_, &Button::clicked, this, [this] { working_ ? stop() : compute(); });
    connect(csv_, &Button::clicked, this, [this] { save(false); });
    connect(pdf_, &Button::clicked, this, [this] { save(true); });
    connect(listed_, &QCheckBox::toggled, this, [this] { update(); });
    auto* timer = new QTimer(this);
    connect(timer, &QTimer::timeout, this, [this] {
        if (working_)
            update();
    });
    timer->start(50);
    refresh();
}

ConvertForm::~ConvertForm() {
    stop_.request_stop();
}

host::BookWish ConvertForm::wish() const {
    host::BookWish wish;
    wish.lamp_k = model_.lampK();
    if (listed_->isChecked()) {
        for (int row = 0; row < model_.rowCount(); ++row)
            if (const Swatch& s = model_.swatch(row); s.kind == Swatch::Kind::Gel)
                wish.gels.emplace_back(fromQt(s.number), fromQt(s.name));
    } else {
        std::set<std::string> ids; // of two books with one number the first counts
        for (const auto& book : document_.library().books())
            for (const auto& gel : book->gels)
                if (ids.insert(gel.id).second)
                    wish.gels.emplace_back(gel.id, gel.name);
    }
    std::set<std::pair<std::string, std::string>> seen;
    for (const auto id : document_.lineup()) {
        const auto key = document_.typeOf(id);
        if (!seen.insert({key.type, key.mode}).second)
            continue;
        if (auto mixer = document_.mixes().mixer(*document_.sources(), key.type, key.mode))
            wish.types.push_back(std::move(mixer));
    }
    return wish;
}

void ConvertForm::makePalettes() {
    std::size_t made = 0;
    const auto next =
        host::bookPalettes(document_.state().show, wish(), document_.library(), &made);
    const auto name = tr("%1 palettes from the book").arg(made);
    if (!document_.edit(name, next))
        return;
    document_.tell(tr("%1. Ctrl+Z takes them back.").arg(name));
}

void ConvertForm::compute() {
    const auto what = wish();
    if (what.types.empty())
        return document_.tell(tr("No lamps in the lineup: the report is about their types."));
    stop_ = std::stop_source();
    lines_.clear();
    *done_ = 0;
    of_ = what.gels.size();
    working_ = true;
    document_.later(
        "book report", this,
        [what, &library = document_.library(), stop = stop_.get_token(), done = done_] {
            return host::bookReport(what, library, stop, [&](std::size_t n) { *done = n; });
        },
        [this](const std::vector<host::BookLine>& lines) {
            lines_ = lines;
            working_ = false;
            refresh();
            emit computed();
        });
    refresh();
}

void ConvertForm::stop() {
    stop_.request_stop();
}

void ConvertForm::refresh() {
    report_->setText(working_ ? tr("Stop") : tr("Report"));
    csv_->setEnabled(!lines_.empty());
    pdf_->setEnabled(!lines_.empty());
    for (Button* b : {report_, csv_, pdf_})
        b->update();
    update();
}

QString ConvertForm::htmlReport() const {
    QString rows;
    for (const auto& l : lines_)
        rows += QStringLiteral("<tr><td>%1</td><td>%2</td><td>%3</td><td align=right>%4</td>"
                               "<td align=right>%5</td><td align=right>%6</td>"
                               "<td align=right>%7</td><td align=right>%8</td></tr>")
                    .arg(toQt(l.gel).toHtmlEscaped(), toQt(l.name).toHtmlEscaped(),
                         toQt(l.type).toHtmlEscaped(),
                         numberOrDash(l.miss_uv, 4) + (l.in_reach ? QString() : tr(" out")),
                         numberText(l.candela, 0), numberText(100 * l.of_brightest, 0),
                         numberOrDash(l.rf, 0), numberOrDash(l.ssi, 0));
    return QStringLiteral("<h2>%1</h2><p>%2</p><table cellspacing=0 cellpadding=2><tr><th>%3</th>"
                          "<th>%4</th><th>%5</th><th>Δu′v′</th><th>cd</th><th>%6</th>"
                          "<th>R<sub>f</sub></th><th>SSI</th></tr>%7</table>")
        .arg(tr("The swatch book on the lineup's types"),
             tr("Show: %1. Lamp behind the gels: %2 K.")
                 .arg(toQt(document_.show().name).toHtmlEscaped(), numberText(model_.lampK(), 0)),
             tr("gel"), tr("name"), tr("type"), tr("share of the brightest mix, %"), rows);
}

namespace {
Done writePdf(const QString& path, const QString& title, const QString& html, const QFont& font) {
    QPdfWriter writer(path);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setTitle(title);
    QTextDocument text;
    text.setDefaultFont(font);
    text.setHtml(html);
    text.print(&writer);
    if (QFileInfo(path).size() > 0)
        return {};
    return fail(ErrorCode::Io, "{}: cannot be written", fromQt(path));
}
} // namespace

void ConvertForm::write(const QString& path) {
    const bool pdf = path.endsWith(".pdf");
    document_.inBackground(
        tr("Writing %1").arg(QFileInfo(path).fileName()), &document_,
        [path, pdf, lines = lines_, html = pdf ? htmlReport() : QString(),
         title = tr("The swatch book on the lineup's types"),
         font = QFont(typeface(Type::Work).family(), 8)] {
            return pdf ? writePdf(path, title, html, font)
                       : writeFile(fromQt(path), host::bookReportCsv(lines));
        },
        [document = &document_, path](const Done& done) {
            document->tell(done ? tr("Written: %1").arg(path) : toQt(done.error().text()));
        });
}

void ConvertForm::save(bool pdf) {
    QString path =
        QFileDialog::getSaveFileName(this, tr("Save the report"), pdf ? "book.pdf" : "book.csv",
                                     pdf ? tr("PDF (*.pdf)") : tr("Tables (*.csv)"));
    if (path.isEmpty())
        return;
    const QString ending = pdf ? ".pdf" : ".csv";
    write(path.endsWith(ending) ? path : path + ending);
}

void ConvertForm::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        close();
    else
        QWidget::keyPressEvent(event);
}

void ConvertForm::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, 20, 32, tr("Convert the book"), typeface(Type::Title), theme().bright);
    const auto what = wish();
    QString types;
    for (const auto& t : what.types)
        types += (types.isEmpty() ? QString() : QStringLiteral(", ")) + toQt(t->type().name);
    drawText(
        p, 20, 52,
        tr("%1 gels, on %2").arg(what.gels.size()).arg(types.isEmpty() ? tr("no type yet") : types),
        typeface(Type::Small), theme().dim);
    p.fillRect(20, 138, 380, 2, theme().hair);
    if (of_ > 0 && (working_ || !lines_.empty()))
        p.fillRect(20, 138, static_cast<int>(380 * std::min(of_, done_->load()) / of_), 2,
                   theme().bright);
}

} // namespace zelo::desk
