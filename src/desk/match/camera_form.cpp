// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/camera_form.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/text_field.h"
#include "desk/kit/value_control.h"
#include "desk/match/camera_menu.h"
#include "show/kept.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QKeyEvent>
#include <QPainter>
#include <QPainterPath>

namespace zelo::desk {

namespace {

constexpr int kMargin = 20;
constexpr double kFirst_nm = 380, kLast_nm = 780;
constexpr const char* kLetters[] = {"r", "g", "b"};

} // namespace

CameraForm::CameraForm(Document& document, QWidget* window)
    : QWidget(window, Qt::Tool), document_(document),
      name_(new TextField(tr("Name of the camera"), tr("Under which the show keeps it"),
                          TextField::Esc::Restores, this)),
      balance_(new NumberField(tr("Camera balance"), tr("The white that it is balanced to"),
                               {1000, 25000, 100, 0}, tr("K"), this)),
      file_(new Button(
          tr("Choose a file…"), {},
          tr("A table of wavelength and three sensitivities: CSV with nm, r, g, b, or CGATS"),
          Button::Kind::Plain, this)),
      keep_(new Button(tr("Add to the show"), {},
                       tr("Filmed can mind it, and all light be seen by "
                          "it"),
                       Button::Kind::Next, this)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Camera"));
    setAccessibleName(tr("Camera"));
    setFixedSize(440, 380);
    file_->setGeometry(kMargin, 48, file_->sizeHint().width(), 28);
    name_->setGeometry(kMargin + 52, 292, 210, 26);
    balance_->setGeometry(width() - kMargin - 72, 293, 72, 24);
    keep_->setGeometry(kMargin, 336, 160, 28);
    balance_->setValue(5600);
    connect(file_, &Button::clicked, this, [this] {
        const QString path =
            QFileDialog::getOpenFileName(this, tr("Sensitivities of a camera"), {},
                                         tr("Sensitivities (*.csv *.txt *.cgats);;All files (*)"));
        if (!path.isEmpty())
            read(path);
    });
    connect(keep_, &Button::clicked, this, &CameraForm::keep);
    connect(balance_, &NumberField::valueEdited, this, [this](double k) {
        balance_->setValue(k);
        if (camera_)
            camera_->balance = light::AskedWhite{k, {}};
        update();
    });
    connect(name_, &QLineEdit::textChanged, this, [this] { refresh(); });
    refresh();
}

void CameraForm::choose() {
    show();
    raise();
    file_->setFocus();
}

void CameraForm::open(const show::FilmCamera& camera) {
    known_as_ = camera.name;
    source_ = tr("in this show");
    file_->hide();
    take(camera);
    show();
    raise();
}

void CameraForm::read(const QString& path) {
    source_ = QFileInfo(path).fileName();
    document_.inBackground(
        tr("Reading %1").arg(source_), this,
        [&library = document_.library(), path](const std::stop_token&) {
            return library.camera(fromQt(path));
        },
        [this](const Result<show::FilmCamera>& read) { take(read); });
}

void CameraForm::take(const Result<show::FilmCamera>& read) {
    camera_.reset();
    trouble_.clear();
    if (read) {
        camera_ = *read;
        name_->setText(toQt(camera_->name));
        if (const auto* white = std::get_if<light::AskedWhite>(&camera_->balance);
            white && !white->duv)
            balance_->setValue(white->cct_k);
    } else {
        trouble_ = said(read.error());
    }
    refresh();
}

void CameraForm::keep() {
    if (!camera_)
        return;
    camera_->name = fromQt(name_->text().trimmed());
    auto next = show::keepCamera(document_.state().show, *camera_);
    if (next && !known_as_.empty() && known_as_ != camera_->name)
        next = show::removeCamera(*next, known_as_); // renamed
    if (!next) {
        trouble_ = said(next.error());
        return refresh();
    }
    const QString name = known_as_.empty() ? tr("Add camera %1") : tr("Change camera %1");
    const bool through = !known_as_.empty() && document_.camera() == known_as_;
    const std::string now = camera_->name;
    if (!document_.edit(name.arg(toQt(now)), next))
        return;
    if (through)
        document_.setCamera(now);
    close();
}

void CameraForm::refresh() {
    const bool named = !name_->text().trimmed().isEmpty();
    const bool taken = camera_ && fromQt(name_->text().trimmed()) != known_as_ &&
                       document_.show().cameras.contains(fromQt(name_->text().trimmed()));
    keep_->setText(taken               ? tr("Replace that one")
                   : known_as_.empty() ? tr("Add to the show")
                                       : tr("Change"));
    keep_->setEnabled(camera_ && named);
    const bool white = !camera_ || std::holds_alternative<light::AskedWhite>(camera_->balance);
    name_->setVisible(camera_.has_value());
    balance_->setVisible(camera_.has_value() && white);
    setAccessibleDescription(trouble_);
    keep_->update();
    update();
}

QRect CameraForm::plot() const {
    return {kMargin, 92, width() - 2 * kMargin, 164};
}

// Each as a share of the largest of all three; told apart by their strokes and letters.
void CameraForm::paintCurves(QPainter& p) const {
    const QRect room = plot();
    double most = 0;
    for (const auto& channel : camera_->channels)
        for (std::size_t i = 0; i < colour::kGridSize; ++i)
            most = std::max(most, channel[i]);
    const auto x = [&](double nm) {
        return room.left() + (nm - kFirst_nm) / (kLast_nm - kFirst_nm) * (room.width() - 1);
    };
    const auto y = [&](double share) { return room.bottom() - share * (room.height() - 14); };
    p.setRenderHint(QPainter::Antialiasing);
    const Qt::PenStyle strokes[] = {Qt::SolidLine, Qt::DashLine, Qt::DotLine};
    for (std::size_t c = 0; c < 3; ++c) {
        const auto& channel = camera_->channels[c];
        QPainterPath line;
        std::size_t peak = 0;
        for (std::size_t i = 0; i < colour::kGridSize; ++i) {
            const QPointF at(x(colour::kGridFirstNm + static_cast<double>(i)),
                             y(most > 0 ? channel[i] / most : 0));
            i == 0 ? line.moveTo(at) : line.lineTo(at);
            peak = channel[i] > channel[peak] ? i : peak;
        }
        p.setPen(QPen(theme().bright, 1.6, strokes[c]));
        p.setBrush(Qt::NoBrush);
        p.drawPath(line);
        drawTextCentred(p, static_cast<int>(x(colour::kGridFirstNm + static_cast<double>(peak))),
                        static_cast<int>(y(most > 0 ? channel[peak] / most : 0)) - 4,
                        QString::fromLatin1(kLetters[c]), typeface(Type::Small), theme().bright);
    }
    p.setRenderHint(QPainter::Antialiasing, false);
    for (int nm = 400; nm <= 700; nm += 100) {
        const int at = static_cast<int>(x(nm));
        p.fillRect(at, room.bottom() + 1, 1, 4, theme().faint);
        drawTextCentred(p, at, room.bottom() + 18, QString::number(nm), typeface(Type::Small),
                        theme().dim);
    }
}

void CameraForm::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, kMargin, 32, tr("Camera"), typeface(Type::Title), theme().bright);
    const int from = file_->isHidden() ? kMargin : file_->geometry().right() + 14;
    drawElided(p, from, 67, width() - kMargin - from, source_, typeface(Type::Small), theme().dim);
    const QRect room = plot();
    p.fillRect(room.left(), room.bottom(), room.width(), 1, theme().faint);
    if (camera_) {
        paintCurves(p);
        drawText(p, kMargin, 310, tr("name"), typeface(Type::Small), theme().dim);
        if (balance_->isHidden())
            drawElided(p, 300, 310, width() - kMargin - 300,
                       tr("balanced to %1").arg(balanceText(camera_->balance)),
                       typeface(Type::Small), theme().dim);
    }
    if (!trouble_.isEmpty())
        drawWrapped(p, camera_ ? QRect(kMargin + 174, 330, width() - 2 * kMargin - 174, 44) : room,
                    trouble_, typeface(camera_ ? Type::Small : Type::Work), theme().bright);
    else if (!camera_)
        drawWrapped(p, room,
                    tr("A table with a row for each wavelength: nm, r, g, b, from 400 to 700 nm or "
                       "farther, every 10 nm or finer. Or a CGATS file."),
                    typeface(Type::Work), theme().dim);
}

void CameraForm::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        close();
    else if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)
        keep();
    else
        QWidget::keyPressEvent(event);
}

} // namespace zelo::desk
