// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/settings_page.h"

#include "base/file.h"
#include "desk/cues/cue_model.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/language.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "desk/shell/frame.h"
#include "desk/shell/settings.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QPainter>

namespace zelo::desk {

namespace {
constexpr int kWidth = 680;
constexpr int kTop = 70;
constexpr int kRow = 48;
constexpr int kLabel = 300; // of a row, before its control
constexpr int kFoot = 64;
constexpr int kNumber = 64; // of a number and its unit
constexpr double kFirstEye_k = 3200;

QStringList languageNames() {
    QStringList names;
    for (const QString& tag : languages())
        names << nameOfLanguage(tag);
    return names;
}
} // namespace

SettingsPage::SettingsPage(Document& document, CueModel& cues, QWidget* window)
    : Overlay(window), document_(document), cues_(cues),
      theme_(new Stations(tr("Theme"), tr("Dark for the dark room, light for an office"),
                          {tr("dark"), tr("light")}, {}, false, this)),
      size_(new Stations(tr("Size of everything"), tr("From the next start on"),
                         {tr("100 %"), tr("120 %"), tr("140 %")}, {}, false, this)),
      language_(new Stations(tr("Language"), tr("From the next start on"), languageNames(), {},
                             false, this)),
      eye_by_(new Stations(tr("The eye takes for white"),
                           tr("The lamp behind the swatch book's gels, or a lamp of its own"),
                           {tr("the book's lamp"), tr("kelvin")}, {}, false, this)),
      eye_(new NumberField(tr("White of the eye, always"), tr("A lamp of this temperature"),
                           {1800, 12000, 100, 0}, tr("K"), this)),
      time_(new NumberField(tr("Time in hand at the start"),
                            tr("In which changes by hand fade; T sets it for now"), {0, 60, 0.5, 1},
                            tr("s"), this)),
      guard_(new NumberField(tr("Guard of Next"), tr("Two presses closer than this count as one"),
                             {0, 5, 0.1, 1}, tr("s"), this)),
      intensity_(new Stations(tr("Intensity fades"),
                              tr("In level as a plain desk, or evenly as the eye sees it; of this "
                                 "show"),
                              {tr("in level"), tr("evenly to the eye")}, {}, false, this)),
      start_(new Stations(tr("Start with"), tr("What is open after the start"),
                          {tr("the last show"), tr("the demo"), tr("an empty show")}, {}, false,
                          this)),
      export_(new Button(tr("Into a file…"), {}, tr("All settings, for another computer"),
                         Button::Kind::Plain, this)),
      import_(new Button(tr("From a file…"), {}, tr("Settings that were put into a file"),
                         Button::Kind::Plain, this)),
      reset_(new Button(tr("Reset all"), {}, tr("As they are in a new installation"),
                        Button::Kind::Plain, this)) {
    setAccessibleName(tr("Settings"));
    setToolTip(tr("What holds for all shows; Esc closes"));
    rows_ = {{tr("Theme"), tr("Ctrl+T"), theme_},
             {tr("Size of everything"), tr("from the next start on"), size_},
             {tr("Language"), tr("from the next start on"), language_},
             {tr("The eye takes for white"), tr("how colours are drawn"), eye_by_},
             {tr("Time in hand at the start"), tr("T sets it for now"), time_},
             {tr("Guard of Next"), tr("two presses closer than this count as one"), guard_},
             {tr("Intensity fades"), tr("of this show, with undo"), intensity_},
             {tr("Start with"), tr("unless a show is named"), start_}};
    connect(theme_, &Stations::stationChosen, this, [](int desk) {
        kDeskTheme.set(desk == 1);
        useTheme(desk == 1 ? deskTheme() : boothTheme());
    });
    connect(size_, &Stations::stationChosen, this,
            [](int i) { Frame::setSizePercent(Frame::kSizes[static_cast<std::size_t>(i)]); });
    connect(language_, &Stations::stationChosen, this,
            [](int i) { chooseLanguage(languages().value(i)); });
    const auto eye = [this](double k) {
        kEye_k.set(k);
        document_.setEye(k > 0 ? std::optional(k) : std::nullopt);
        refresh();
    };
    connect(eye_by_, &Stations::stationChosen, this,
            [eye](int own) { eye(own == 1 ? kFirstEye_k : 0); });
    connect(eye_, &NumberField::valueEdited, this, eye);
    connect(time_, &NumberField::valueEdited, this, [this](double s) {
        kTimeInHand_s.set(s);
        document_.setTimeInHand(s);
        refresh();
    });
    connect(guard_, &NumberField::valueEdited, this, [this](double s) {
        cues_.setGuard(s);
        refresh();
    });
    connect(intensity_, &Stations::stationChosen, this, [this](int even) {
        show::Show next = document_.show();
        next.even_to_the_eye = even == 1;
        document_.edit(tr("How intensity fades"), Result<show::ShowPtr>(show::nextShow(next)));
    });
    connect(start_, &Stations::stationChosen, this, [](int with) { kStartWith.set(with); });
    connect(export_, &Button::clicked, this, [this] {
        const QString path = QFileDialog::getSaveFileName(
            this, tr("Settings into a file"), "zelochrome-settings.json", tr("Settings (*.json)"));
        if (!path.isEmpty())
            write(path);
    });
    connect(import_, &Button::clicked, this, [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("Settings from a file"), {},
                                                          tr("Settings (*.json);;All files (*)"));
        if (!path.isEmpty())
            read(path);
    });
    connect(reset_, &Button::clicked, this, &SettingsPage::reset);
    watch(document_, this, Change::Seen | Change::Cues | Change::Values, [this] { refresh(); });
    hide();
}

void SettingsPage::apply(Document& document) {
    const double k = kEye_k.get();
    document.setEye(k >= 1800 && k <= 12000 ? std::optional(k) : std::nullopt);
    document.setTimeInHand(kTimeInHand_s.get());
}

void SettingsPage::open() {
    refresh();
    Overlay::open();
    theme_->setFocus();
}

void SettingsPage::refresh() {
    theme_->setChosen(theme().booth ? 0 : 1);
    const auto* size =
        std::find(std::begin(Frame::kSizes), std::end(Frame::kSizes), Frame::sizePercent());
    size_->setChosen(static_cast<int>(size - std::begin(Frame::kSizes)));
    language_->setChosen(static_cast<int>(languages().indexOf(chosenLanguage())));
    eye_by_->setChosen(kEye_k.get() > 0 ? 1 : 0);
    eye_->setVisible(kEye_k.get() > 0);
    eye_->setValue(kEye_k.get());
    time_->setValue(kTimeInHand_s.get());
    guard_->setValue(cues_.guard_s());
    intensity_->setChosen(document_.show().even_to_the_eye ? 1 : 0);
    start_->setChosen(static_cast<int>(startWith()));
    update();
}

void SettingsPage::reset() {
    resetSettings();
    taken();
    document_.tell(tr("All settings are as in a new installation."));
}

// Others are kept now.
void SettingsPage::taken() {
    useTheme(kDeskTheme.get() ? deskTheme() : boothTheme());
    apply(document_);
    cues_.readGuard();
    emit othersKept();
    refresh();
}

void SettingsPage::write(const QString& path) {
    document_.inBackground(
        tr("Writing %1").arg(QFileInfo(path).fileName()), this,
        [path, text = settingsText()](const std::stop_token& stop) {
            return stop.stop_requested() ? Done{} : writeFile(fromQt(path), text);
        },
        [this, path](const Done& done) {
            document_.tell(done ? tr("Written: %1").arg(path) : said(done.error()));
        });
}

void SettingsPage::read(const QString& path) {
    document_.inBackground(
        tr("Reading %1").arg(QFileInfo(path).fileName()), this,
        [path](const std::stop_token&) { return readFile(fromQt(path)); },
        [this, name = QFileInfo(path).fileName()](const Result<std::string>& text) {
            QStringList left_out;
            const Done done = text ? takeSettings(*text, &left_out) : Done(passOn(text.error()));
            if (!done)
                return document_.tell(tr("%1: %2").arg(name, said(done.error())));
            taken();
            document_.tell(left_out.isEmpty()
                               ? tr("Settings taken from %1.").arg(name)
                               : tr("Settings taken from %1; not known here: %2.")
                                     .arg(name, left_out.join(QStringLiteral(", "))));
        });
}

QRect SettingsPage::sheet() const {
    const int high = kTop + static_cast<int>(rows_.size()) * kRow + kFoot;
    const int wide = std::min(kWidth, width());
    return {(width() - wide) / 2, std::max(0, (height() - high) / 2), wide, high};
}

QRect SettingsPage::rowRect(std::size_t row) const {
    const QRect s = sheet();
    return {s.left() + 24, s.top() + kTop + static_cast<int>(row) * kRow, s.width() - 48, kRow};
}

void SettingsPage::resizeEvent(QResizeEvent*) {
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const QRect r = rowRect(i);
        const int high = rows_[i].control->sizeHint().height();
        const bool number = qobject_cast<NumberField*>(rows_[i].control);
        const int wide =
            number ? kNumber : std::min(rows_[i].control->sizeHint().width(), r.width() - kLabel);
        rows_[i].control->setGeometry(r.left() + kLabel, r.top() + (number ? 3 : 6), wide, high);
    }
    const QRect by = eye_by_->geometry();
    eye_->setGeometry(by.right() + 16, by.top() - 3, 80, 24);
    int x = sheet().left() + 24;
    for (Button* b : {export_, import_, reset_}) {
        b->setGeometry(x, sheet().bottom() - 46, b->sizeHint().width(), 28);
        x = b->geometry().right() + 12;
    }
}

std::vector<PaintedPart> SettingsPage::parts() {
    std::vector<PaintedPart> all;
    for (std::size_t i = 0; i < rows_.size(); ++i)
        all.push_back({rows_[i].name, rows_[i].about, rowRect(i)});
    return all;
}

void SettingsPage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const QRect s = sheet();
    drawEnds(p, s.left() + 24, s.right() - 24, s.top() + 40,
             {tr("Settings"), typeface(Type::Title), theme().bright, tr("Esc closes"),
              typeface(Type::Small), theme().dim});
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const QRect r = rowRect(i);
        drawElided(p, r.left(), r.top() + 19, kLabel - 16, rows_[i].name, typeface(Type::Work),
                   theme().text);
        drawElided(p, r.left(), r.top() + 35, kLabel - 16, rows_[i].about, typeface(Type::Small),
                   theme().dim);
        p.fillRect(r.left(), r.bottom(), r.width(), 1, theme().hair);
    }
}

} // namespace zelo::desk
