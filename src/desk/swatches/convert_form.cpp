// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/convert_form.h"

#include "base/file.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "desk/swatches/swatch_model.h"

#include <QBuffer>
#include <QCheckBox>
#include <QFileDialog>
#include <QKeyEvent>
#include <QMenu>
#include <QPdfWriter>
#include <QTextDocument>
#include <QTimer>
#include <cmath>
#include <set>

namespace zelo::desk {

namespace {
constexpr int kProgress = 160; // y of its line
constexpr int kSummary = 214;
} // namespace

ConvertForm::ConvertForm(Document& document, SwatchModel& model, QWidget* window)
    : QWidget(window, Qt::Tool), document_(document), model_(model),
      listed_(new QCheckBox(tr("only the gels that are listed now"), this)),
      filmed_(new QCheckBox(tr("mixed for the cameras"), this)),
      which_(new Button(tr("which types…"), {},
                        tr("The types that are asked; none ticked: those of the lineup"),
                        Button::Kind::Text, this)),
      palettes_(new Button(tr("Make palettes"), {}, tr("One palette for each gel, in one step"),
                           Button::Kind::Plain, this)),
      report_(new Button(tr("Report"), {}, tr("How well these types make each gel"),
                         Button::Kind::Next, this)),
      csv_(new Button(tr("Save CSV…"), {}, tr("The report as a table"), Button::Kind::Plain, this)),
      pdf_(new Button(tr("Save PDF…"), {}, tr("The report on paper"), Button::Kind::Plain, this)),
      done_(std::make_shared<std::atomic<std::size_t>>(0)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Convert the book"));
    setAccessibleName(tr("Convert the book"));
    listed_->setToolTip(tr("Else the whole book"));
    listed_->setAccessibleName(listed_->text());
    filmed_->setToolTip(tr("As Filmed, for those of the show's cameras that it minds; else as "
                           "Truest. Their misses stand in the report beside the eye's"));
    filmed_->setAccessibleName(filmed_->text());
    setFixedSize(420, 300);
    listed_->setGeometry(20, 58, 270, 24);
    filmed_->setGeometry(20, 82, 270, 24);
    palettes_->setGeometry(20, 118, 120, 28);
    report_->setGeometry(150, 118, 120, 28);
    csv_->setGeometry(20, kProgress + 14, 120, 28);
    pdf_->setGeometry(150, kProgress + 14, 120, 28);
    which_->setGeometry(400 - which_->sizeHint().width(), 59, which_->sizeHint().width(), 22);
    connect(which_, &Button::clicked, this, &ConvertForm::openTypes);
    connect(palettes_, &Button::clicked, this, &ConvertForm::makePalettes);
    connect(report_, &Button::clicked, this, [this] { working_ ? stop() : compute(); });
    connect(csv_, &Button::clicked, this, [this] { save(false); });
    connect(pdf_, &Button::clicked, this, [this] { save(true); });
    connect(listed_, &QCheckBox::toggled, this, [this] { update(); });
    watch(document_, this, Change::Palettes, [this] { refresh(); });
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
    wish.cameras = document_.sources()->cameras();
    if (wish.cameras && filmed_->isChecked())
        wish.intent = mix::Intent::Filmed;
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
    return wish;
}

std::vector<Document::TypeKey> ConvertForm::types() const {
    std::vector<Document::TypeKey> keys;
    for (const auto& id : types_)
        keys.push_back({id, {}});
    for (const auto id : types_.empty() ? document_.lineup() : show::Lineup{})
        if (const auto key = document_.typeOf(id);
            std::find(keys.begin(), keys.end(), key) == keys.end())
            keys.push_back(key);
    return keys;
}

void ConvertForm::setType(const std::string& id, bool on) {
    if (on)
        types_.insert(id);
    else
        types_.erase(id);
    refresh();
}

void ConvertForm::openTypes() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& type : document_.library().types()) {
        QAction* action = menu->addAction(toQt(type->name));
        action->setCheckable(true);
        action->setChecked(types_.contains(type->id));
        connect(action, &QAction::triggered, this,
                [this, id = type->id](bool on) { setType(id, on); });
    }
    menu->popup(which_->mapToGlobal(QPoint(0, which_->height() + 4)));
}

void ConvertForm::makePalettes() {
    std::size_t made = 0;
    const auto next =
        host::bookPalettes(document_.state().show, wish(), document_.library(), &made);
    const auto name = tr("%n palette(s) from the book", nullptr, static_cast<int>(made));
    if (!document_.edit(name, next))
        return;
    document_.tell(tr("%1. Ctrl+Z takes that back.").arg(name));
}

void ConvertForm::compute() {
    const auto what = wish();
    const auto keys = types();
    if (keys.empty())
        return document_.tell(tr("No types: choose lamps into the lineup, or “which types…”."));
    stop_ = std::stop_source();
    lines_.clear();
    *done_ = 0;
    of_ = what.gels.size();
    working_ = true;
    document_.later(
        "book report", this,
        [what, keys, &library = document_.library(), from = document_.sources(),
         &mixes = document_.mixes(), stop = stop_.get_token(), done = done_] {
            auto whole = what;
            for (const auto& key : keys) // making a mixer takes its time
                if (auto mixer = mixes.mixer(*from, key.type, key.mode))
                    whole.types.push_back(std::move(mixer));
            return host::bookReport(whole, library, stop, [&](std::size_t n) { *done = n; });
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
    filmed_->setEnabled(document_.sources()->cameras() != nullptr);
    for (Button* b : {report_, csv_, pdf_})
        b->update();
    setAccessibleDescription(summary());
    update();
}

QString ConvertForm::summary() const {
    if (working_ || lines_.empty())
        return {};
    QStringList told;
    const auto all = host::bookTypes(lines_);
    for (const auto& of : all) {
        QStringList misses{
            tr("eye %1 (%2)").arg(numberOrDash(of.median_uv, 4), numberOrDash(of.worst_uv, 4))};
        for (const auto& camera : of.cameras)
            misses << tr("%1 %2 (%3)")
                          .arg(toQt(camera.name), numberOrDash(camera.median, 4),
                               numberOrDash(camera.worst, 4));
        told << tr("%1: %2").arg(toQt(of.type), misses.join(QStringLiteral(", ")));
        if (told.size() == 3 && all.size() > 4) {
            told << tr("%n more in the report", nullptr, static_cast<int>(all.size()) - 3);
            break;
        }
    }
    return tr("Best first, misses in the median (at worst):") + '\n' + told.join('\n');
}

QString ConvertForm::htmlReport() const {
    QString rows, heads;
    const auto types = host::bookTypes(lines_);
    const std::size_t cameras = types.empty() ? 0 : types.front().cameras.size();
    for (std::size_t i = 0; i < cameras; ++i)
        heads +=
            QStringLiteral("<th>%1</th>").arg(toQt(types.front().cameras[i].name).toHtmlEscaped());
    for (const auto& l : lines_) {
        QString misses;
        for (std::size_t i = 0; i < cameras; ++i)
            misses +=
                QStringLiteral("<td align=right>%1</td>")
                    .arg(i < l.cameras.size() ? numberOrDash(l.cameras[i].miss.value_or(NAN), 4)
                                              : QString());
        rows += QStringLiteral("<tr><td>%1</td><td>%2</td><td>%3</td><td align=right>%4</td>"
                               "<td align=right>%5</td><td align=right>%6</td>"
                               "<td align=right>%7</td><td align=right>%8</td>%9</tr>")
                    .arg(toQt(l.gel).toHtmlEscaped(), toQt(l.name).toHtmlEscaped(),
                         toQt(l.type).toHtmlEscaped(),
                         numberOrDash(l.miss_uv, 4) + (l.in_reach ? QString() : tr(" out")),
                         numberText(l.candela, 0), numberText(100 * l.of_brightest, 0),
                         numberOrDash(l.rf, 0), numberOrDash(l.ssi, 0), misses);
    }
    return QStringLiteral("<h2>%1</h2><p>%2</p><p>%8</p><table cellspacing=0 cellpadding=2><tr>"
                          "<th>%3</th><th>%4</th><th>%5</th><th>Δu′v′</th><th>cd</th><th>%6</th>"
                          "<th>R<sub>f</sub></th><th>SSI</th>%9</tr>%7</table>")
        .arg(tr("The swatch book on these types"),
             tr("Show: %1. Lamp behind the gels: %2 K.")
                 .arg(toQt(document_.show().name).toHtmlEscaped(), numberText(model_.lampK(), 0)),
             tr("gel"), tr("name"), tr("type"), tr("share of the brightest mix, %"), rows,
             summary().toHtmlEscaped().replace('\n', "<br>"), heads);
}

namespace {
std::string pdfBytes(const QString& title, const QString& html, const QFont& font) {
    QBuffer bytes;
    bytes.open(QIODevice::WriteOnly);
    QPdfWriter writer(&bytes);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setTitle(title);
    QTextDocument text;
    text.setDefaultFont(font);
    text.setHtml(html);
    text.print(&writer);
    return bytes.data().toStdString();
}
} // namespace

void ConvertForm::write(const QString& path) {
    const bool pdf = path.endsWith(".pdf");
    document_.inBackground(
        tr("Writing %1").arg(QFileInfo(path).fileName()), &document_,
        [path, pdf, lines = lines_, html = pdf ? htmlReport() : QString(),
         title = tr("The swatch book on these types"),
         font = QFont(typeface(Type::Work).family(), 8)](const std::stop_token& stop) {
            const auto bytes = pdf ? pdfBytes(title, html, font) : host::bookReportCsv(lines);
            return stop.stop_requested() ? Done{} : writeFile(fromQt(path), bytes);
        },
        [document = &document_, path](const Done& done) {
            document->tell(done ? tr("Written: %1").arg(path) : said(done.error()));
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
    QStringList names;
    for (const auto& key : types())
        if (const auto type = document_.library().type(key.type))
            names << toQt(type->name);
    drawElided(p, 20, 52, width() - 40,
               tr("%1, on %2")
                   .arg(tr("%n gel(s)", nullptr, static_cast<int>(what.gels.size())))
                   .arg(names.isEmpty() ? tr("no type yet") : names.join(", ")),
               typeface(Type::Small), theme().dim);
    drawWrapped(p, {20, kSummary, width() - 40, height() - kSummary - 8}, summary(),
                typeface(Type::Small), theme().text);
    p.fillRect(20, kProgress, 380, 2, theme().hair);
    if (of_ > 0 && (working_ || !lines_.empty()))
        p.fillRect(20, kProgress, static_cast<int>(380 * std::min(of_, done_->load()) / of_), 2,
                   theme().bright);
}

} // namespace zelo::desk
