// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/main_window.h"

#include "base/file.h"
#include "colour/lamp.h"
#include "desk/crossfade/crossfade_side.h"
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_faults.h"
#include "desk/crossfade/fade_player.h"
#include "desk/cues/cue_table.h"
#include "desk/cues/cue_window.h"
#include "desk/cues/cues_view.h"
#include "desk/gradient/gradient_side.h"
#include "desk/gradient/gradient_view.h"
#include "desk/gradient/step_bars.h"
#include "desk/gradient/stop_track.h"
#include "desk/kit/ask.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/keys.h"
#include "desk/kit/overlay.h"
#include "desk/kit/own_window.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/asked_as.h"
#include "desk/match/calibration_view.h"
#include "desk/match/match_view.h"
#include "desk/match/meter.h"
#include "desk/match/split_field.h"
#include "desk/readings/full_readings.h"
#include "desk/readings/readings_panel.h"
#include "desk/remote/remote_model.h"
#include "desk/remote/remote_page.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/rig/type_editor.h"
#include "desk/rig/types_panel.h"
#include "desk/ripple/ripple_model.h"
#include "desk/ripple/ripple_side.h"
#include "desk/ripple/ripple_view.h"
#include "desk/shell/explain.h"
#include "desk/shell/header.h"
#include "desk/shell/keep_form.h"
#include "desk/shell/key_sheet.h"
#include "desk/shell/manual_view.h"
#include "desk/shell/message_line.h"
#include "desk/shell/monitor_profile.h"
#include "desk/shell/settings_page.h"
#include "desk/shell/show_files.h"
#include "desk/shell/tour.h"
#include "desk/swatches/swatch_panel.h"
#include "files/mvr.h"
#include "host/log.h"
#include "host/paths.h"
#include "host/report.h"
#include "light/levels.h"
#include "mix/nearest_gels.h"

#include <QApplication>
#include <QCloseEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QToolTip>
#include <QWindow>

namespace zelo::desk {

namespace {
constexpr int kHeader = 48;
constexpr int kSwatches = 260;
constexpr int kFolded = 124; // the swatch book in a narrow window, until one goes there
constexpr int kNarrow = 1180;
constexpr int kReadings = 280;
constexpr int kMostReadings = 460;

// Not when it was stopped until then.
Done written(const Result<std::string>& bytes, const QString& path, const std::stop_token& stop) {
    if (!bytes)
        return passOn(bytes.error());
    return stop.stop_requested() ? Done{} : writeFile(fromQt(path), *bytes);
}
constexpr int kLineup = LineupPanel::kHeight;
} // namespace

MainWindow::MainWindow(Document& document)
    : document_(document), focus_(new FocusModel(document, this)),
      asking_(new Asking(document, *focus_, this)), header_(new Header(document, this)),
      swatches_(new SwatchPanel(document, *focus_, *asking_, this)),
      views_(new QStackedWidget(this)), rig_view_(new RigView(document, views_)),
      match_view_(new MatchView(document, *focus_, *asking_, views_)),
      gradient_(new GradientModel(document, *focus_, this)),
      gradient_view_(new GradientView(document, *gradient_, views_)),
      cues_(new CueModel(document, this)), crossfade_(new CrossfadeModel(document, *focus_, this)),
      crossfade_view_(new CrossfadeView(*crossfade_, *cues_, views_)),
      fade_player_(new FadePlayer(*crossfade_, this)), cues_view_(new CuesView(*cues_, views_)),
      ripple_(new RippleModel(document, this)), ripple_view_(new RippleView(*ripple_, views_)),
      side_(new QStackedWidget(this)),
      readings_(new ReadingsPanel(document, *focus_, *asking_, side_)),
      rig_side_(new RigSide(document, side_)), lineup_(new LineupPanel(document, this)),
      gradient_side_(new GradientSide(document, *gradient_, *lineup_, side_)),
      crossfade_side_(
          new CrossfadeSide(*crossfade_, *fade_player_, crossfade_view_->plot(), side_)),
      ripple_side_(new RippleSide(*ripple_, side_)),
      step_bars_(new StepBars(document, *gradient_, *lineup_, lineup_)),
      stop_track_(new StopTrack(document, *gradient_, *lineup_, lineup_)),
      message_(new MessageLine(this)), files_(new ShowFiles(document, this)),
      split_(new SplitField(document, *focus_, this)),
      split_window_(new SplitWindow(document, *focus_, this)),
      cue_window_(new CueWindow(*cues_, this)) {
    setWindowTitle(tr("Zelochrome"));
    setMinimumSize(1024, 700);
    resize(1280, 800);
    views_->addWidget(rig_view_);
    views_->addWidget(match_view_);
    views_->addWidget(gradient_view_);
    views_->addWidget(crossfade_view_);
    for (QWidget* w : {static_cast<QWidget*>(step_bars_), static_cast<QWidget*>(stop_track_)})
        w->hide();
    side_->addWidget(readings_);
    side_->addWidget(gradient_side_);
    side_->addWidget(crossfade_side_);
    connect(crossfade_side_, &CrossfadeSide::keepWanted, this, &MainWindow::askRoute);
    lineup_->lower(); // grown it reaches under what stands beside the bench
    connect(&crossfade_view_->faults(), &FadeFaults::cueWanted, this,
            [this](show::CueListId list, show::CueNumber number) {
                showView(Cues);
                cues_->setList(list);
                cues_view_->table().choose({number});
            });
    connect(gradient_view_, &GradientView::heightChanged, this, [this] { place(); });
    connect(gradient_side_, &GradientSide::keepWanted, this,
            [this] { openKeep(KeepForm::Gradient); });
    connect(gradient_, &GradientModel::modelChanged, this, [this] {
        if (view() == Gradient)
            growLineup();
    });
    swatches_->setTaker([this](const light::Asked& asked, show::PaletteId palette) {
        return (view() == Gradient && gradient_->takeColour(asked, palette)) ||
               (view() == Crossfade && crossfade_->takeColour(asked, palette)) ||
               (view() == Ripple && ripple_->takeColour(asked, palette));
    });
    side_->addWidget(rig_side_);
    connect(&rig_side_->types(), &TypesPanel::editWanted, this,
            [this](const std::string& id) { rig_view_->typeEditor().openType(id); });
    connect(&rig_side_->types(), &TypesPanel::typeChosen, this, [this](const std::string& id) {
        if (rig_view_->typeEditor().isVisible())
            rig_view_->typeEditor().openType(id);
    });
    views_->addWidget(cues_view_);
    views_->addWidget(ripple_view_);
    side_->addWidget(ripple_side_);
    connect(ripple_side_, &RippleSide::keepWanted, this, &MainWindow::openKeepOfRipple);
    connect(ripple_view_, &RippleView::saveWanted, this, &MainWindow::askSaveTurn);
    connect(header_, &Header::viewChosen, this, &MainWindow::showView);
    connect(header_, &Header::menuWanted, this, &MainWindow::openMenu);
    connect(&document_, &Document::told, this, &MainWindow::tell);
    connect(&document_, &Document::troubled, message_, &MessageLine::stand);
    connect(&document_, &Document::workBegan, message_, &MessageLine::begin);
    connect(&document_, &Document::workEnded, message_, &MessageLine::end);
    connect(message_, &MessageLine::stopWanted, &document_, &Document::stopWork);
    connect(message_, &MessageLine::roomWanted, this, &MainWindow::placeMessages);
    connect(qApp, &QApplication::focusChanged, this, &MainWindow::placeMessages);
    connect(readings_, &ReadingsPanel::keepWanted, this, [this] { openKeep(KeepForm::Stage); });
    connect(readings_, &ReadingsPanel::putDownWanted, this, [this] { document_.putDown(); });
    connect(&match_view_->askedAs(), &AskedAs::bookWanted, this,
            [this] { swatches_->focusSearch(); });
    connect(&match_view_->askedAs(), &AskedAs::measuredWanted, this, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("A measured light"), {},
                                                       tr("Spectra (*.csv *.sp *.txt *.spdx)"));
        if (path.isEmpty())
            return;
        if (const auto asked = swatches_->loadMeasured(path))
            asking_->pick(*asked);
        else
            tell(said(asked.error()));
    });
    watch(document_, this, Change::Seen, [this] {
        for (QWidget* w : findChildren<QWidget*>()) // whatever shows light shows it otherwise now
            w->update();
    });
    makeCommands();
    shortcuts_ = std::make_unique<Shortcuts>(commands_, this);
    key_sheet_ = new KeySheet(commands_, this);
    settings_ = new SettingsPage(document_, *cues_, this);
    tour_ = new Tour(document_, *this);
    remote_ = new RemoteModel(document_, *cues_, *focus_, match_view_->mixing(), this);
    remote_page_ = new RemotePage(*remote_, this);
    connect(settings_, &SettingsPage::othersKept, remote_, &RemoteModel::readKept);
    connect(new Keys(this), &Keys::altTapped, this, [this] {
        if (isActiveWindow() && !QApplication::activePopupWidget())
            openMenu();
    });
    showView(Match);
    setFocusPolicy(Qt::ClickFocus);
    setFocus(); // nothing is picked by a first key press that was meant for the window
}

void MainWindow::whichGel() {
    const TypeRow* row = focus_->focus();
    if (!row || !colour::hasChromaticity(row->lamp.sent.xyz))
        return tell(tr("No light in the lineup: nothing to look for."));
    light::Wanted light;
    light.xyz = row->lamp.sent.xyz;
    light.spectrum = light::spectrumOf(row->lamp.mixer->type(), row->lamp.sent.drives);
    nearestGels(light);
}

void MainWindow::measureLight(std::function<void(const colour::Spectrum&)> take) {
    Meter& meter = match_view_->calibration().meter();
    if (!meter.instrument() && document_.lineup().empty())
        return tell(tr("No lamps in the lineup: the practice meter measures the first of them."));
    const show::FixtureId id =
        document_.lineup().empty() ? show::FixtureId{} : document_.lineup().front();
    document_.inBackground(tr("Measuring"), this,
                           meter.job(id, {}, tr("Hold the meter into the light.")),
                           [this, take = std::move(take)](const Result<colour::Spectrum>& light) {
                               light ? take(*light) : tell(said(light.error()));
                           });
}

void MainWindow::askForMeasured() {
    measureLight([this](const colour::Spectrum& light) {
        int number = 1;
        QString name;
        do
            name = tr("measured %1").arg(number++);
        while (document_.show().measured.find(fromQt(name)));
        if (const auto done = swatches_->keepMeasured(name, light); done)
            asking_->pick(*done);
        else
            tell(said(done.error()));
    });
}

void MainWindow::whatIsThisLight() {
    measureLight([this](const colour::Spectrum& spectrum) {
        light::Wanted light;
        light.xyz = colour::toXyz(spectrum);
        light.spectrum = spectrum;
        if (!colour::hasChromaticity(light.xyz))
            return tell(tr("The meter sees no light."));
        const auto uv = light.uv();
        const auto white = colour::cctOf(uv);
        tell(white ? tr("It is %1 K, tint %2, u′ %3, v′ %4.")
                         .arg(numberText(white->cct.value, 0), numberText(white->duv, 4),
                              numberText(uv.u, 4), numberText(uv.v, 4))
                   : tr("It is no white: u′ %1, v′ %2.")
                         .arg(numberText(uv.u, 4), numberText(uv.v, 4)));
        nearestGels(light);
    });
}

void MainWindow::nearestGels(const light::Wanted& light) {
    document_.later(
        "which gel", this,
        [light, books = document_.library().books(), k = swatches_->model().lampK()] {
            std::vector<const light::Gel*> gels;
            for (const auto& book : books)
                for (const auto& gel : book->gels)
                    gels.push_back(&gel);
            const auto lamp = colour::lampOf(Kelvin{k});
            std::vector<std::pair<QString, light::Asked>> lines;
            for (const auto by : {mix::Near::Colour, mix::Near::Spectrum})
                for (const auto& near : mix::nearestGels(gels, light, lamp, by, 6))
                    lines.emplace_back(by == mix::Near::Colour
                                           ? tr("%1 %2\tΔu′v′ %3")
                                                 .arg(toQt(near.gel->id), toQt(near.gel->name),
                                                      numberText(near.miss_uv, 4))
                                           : tr("%1 %2\tspectrum %3 % off")
                                                 .arg(toQt(near.gel->id), toQt(near.gel->name),
                                                      numberText(100 * near.spectral_miss, 0)),
                                       light::AskedGel{near.gel->id, {}, {}, {}});
            return lines;
        },
        [this](const std::vector<std::pair<QString, light::Asked>>& lines) {
            auto* menu = new QMenu(this);
            menu->setAttribute(Qt::WA_DeleteOnClose);
            menu->setTitle(tr("Which gel is this?"));
            menu->addSection(tr("Nearest in colour"));
            for (std::size_t i = 0; i < lines.size(); ++i) {
                if (i == lines.size() / 2)
                    menu->addSection(tr("Nearest in spectrum"));
                connect(menu->addAction(lines[i].first), &QAction::triggered, this,
                        [this, asked = lines[i].second] { asking_->pick(asked); });
            }
            menu->popup(mapToGlobal(QPoint(kSwatches + 40, kHeader + 60)));
        });
}

void MainWindow::openKeep(int as) {
    (new KeepForm(document_, static_cast<KeepForm::As>(as), this))->show();
}

void MainWindow::openKeepOfRipple() {
    if (!ripple_->ripple())
        return tell(tr("Nothing to keep yet: begin a ripple."));
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(tr("Keep as"));
    connect(menu->addAction(tr("A gradient of these colours…")), &QAction::triggered, this, [this] {
        askText(this, tr("Keep as a gradient"), tr("The name of the gradient"), {},
                [this](const QString& name) { ripple_->keepAsGradient(name.trimmed()); });
    });
    connect(menu->addAction(tr("A look of what the lamps show…")), &QAction::triggered, this,
            [this] {
                askText(this, tr("Keep as a look"), tr("The name of the look"), {},
                        [this](const QString& name) { ripple_->keepAsLook(name.trimmed()); });
            });
    menu->popup(ripple_side_->keep().mapToGlobal(QPoint(0, -60)));
}

void MainWindow::askSaveTurn() {
    const show::Ripple* ripple = ripple_->ripple();
    if (!ripple)
        return;
    QString name = toQt(ripple->name) + ".asc";
    name.replace('/', '-');
    const auto path =
        QFileDialog::getSaveFileName(this, tr("One turn for another desk"), name,
                                     tr("Cues for another desk (*.asc);;Tables (*.csv)"));
    if (!path.isEmpty())
        ripple_->saveTurn(path);
}

void MainWindow::askRoute() {
    if (!crossfade_->picture())
        return tell(tr("No way to keep yet: choose two colours."));
    askText(this, tr("Keep the way"), tr("The name under which the way is kept"), {},
            [this](const QString& name) { crossfade_->keepRoute(name.trimmed()); });
}

int MainWindow::viewNamed(const QString& name) {
    static const QStringList names{"rig", "match", "gradient", "crossfade", "cues", "ripple"};
    return static_cast<int>(names.indexOf(name.toLower()));
}

void MainWindow::showView(int view) {
    views_->setCurrentIndex(view);
    side_->setCurrentWidget(view == Rig         ? static_cast<QWidget*>(rig_side_)
                            : view == Gradient  ? gradient_side_
                            : view == Crossfade ? crossfade_side_
                            : view == Ripple    ? ripple_side_
                                                : static_cast<QWidget*>(readings_));
    fade_player_->stop();
    crossfade_->setSeen(view == Crossfade);
    ripple_->setSeen(view == Ripple);
    cues_->setSeen(view == Cues, view == Crossfade);
    side_->setVisible(view != Cues); // its list and its picture take the whole width
    growLineup();
    header_->setView(view);
    shortcuts_->setView(view);
}

// The newest edits at the top; what was undone stays in the list until another edit is made.
void MainWindow::openHistory() {
    constexpr std::size_t kMostShown = 40;
    const auto& history = document_.history();
    const auto& moments = history.moments();
    auto* menu = new QMenu(tr("History of edits"), this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const std::size_t last = std::min(moments.size() - 1, history.position() + kMostShown / 2);
    const std::size_t first = last > kMostShown ? last - kMostShown : 0;
    for (std::size_t i = last + 1; i-- > first;) {
        QString name = saidText(moments[i].name);
        if (name.isEmpty())
            name = tr("As opened");
        QAction* action = menu->addAction(i == history.position() ? tr("%1\tnow").arg(name) : name);
        connect(action, &QAction::triggered, this, [this, i] { document_.goTo(i); });
    }
    menu->popup(belowName());
}

void MainWindow::askReport() {
    auto* box = new QMessageBox(this);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setText(tr("A report holds the log, the version and facts of this computer. May the show "
                    "go into it too?"));
    auto* with = box->addButton(tr("With the show"), QMessageBox::AcceptRole);
    auto* without = box->addButton(tr("Without it"), QMessageBox::AcceptRole);
    box->addButton(tr("No report"), QMessageBox::RejectRole);
    connect(box, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen != with && chosen != without)
            return;
        const auto path = QFileDialog::getSaveFileName(
            this, tr("Save a report"), "zelochrome-report.zip", tr("Reports (*.zip)"));
        if (!path.isEmpty())
            writeReport(path, chosen == with);
    });
    box->open();
}

void MainWindow::writeReport(const QString& path, bool with_show) {
    host::ReportWish wish;
    wish.version = fromQt(QCoreApplication::applicationVersion());
    wish.facts.push_back(
        fmt::format("interface   Qt {}, {}", qVersion(), fromQt(QGuiApplication::platformName())));
    for (const QScreen* screen : QGuiApplication::screens())
        wish.facts.push_back(fmt::format("screen      {} x {}, {} %", screen->size().width(),
                                         screen->size().height(),
                                         std::lround(100 * screen->devicePixelRatio())));
    wish.facts.push_back("colours     " + fromQt(document_.colours().screenText()));
    wish.log_folder = host::logFolder();
    if (with_show)
        wish.show = document_.state();
    document_.inBackground(
        tr("Writing the report"), this,
        [wish, path](const std::stop_token& stop) {
            return written(host::reportBytes(wish), path, stop);
        },
        [this, path](const Done& done) {
            tell(done ? tr("The report is at %1.").arg(path) : said(done.error()));
        });
}

void MainWindow::readRig(const QString& path) {
    using Read = decltype(files::parseMvr({}));
    document_.inBackground(
        tr("Reading %1").arg(QFileInfo(path).fileName()), this,
        [path](const std::stop_token&) {
            const auto bytes = readFile(fromQt(path));
            return bytes ? files::parseMvr(*bytes) : Read(passOn(bytes.error()));
        },
        [this, path](const Read& rig) {
            if (rig)
                addRig(*rig, QFileInfo(path).fileName());
            else
                tell(said(rig.error()));
        });
}

void MainWindow::addRig(const files::Rig& rig, const QString& from) {
    auto next = document_.state().show;
    for (const auto& type : rig.types)
        if (!document_.library().type(type->id))
            if (auto with = show::keepType(next, type))
                next = *with;
    show::Lineup added;
    const auto with = show::addFixtures(next, rig.fixtures, &added);
    const auto name = tr("Read %1 from %2").arg(lampCount(added.size()), from);
    if (!document_.edit(name, with))
        return;
    document_.setLineup(std::move(added));
    tell(rig.notes.empty() ? name : tr("%1. %2").arg(name, said(rig.notes.front())));
}

void MainWindow::writeRig(const QString& path) {
    const QString file = path.endsWith(".mvr") ? path : path + ".mvr";
    std::map<std::string, std::shared_ptr<const light::FixtureType>> types;
    for (const auto& [id, f] : document_.show().fixtures)
        types.emplace(f->type, document_.library().type(f->type));
    document_.inBackground(
        tr("Writing %1").arg(QFileInfo(file).fileName()), this,
        [file, types, show = document_.state().show](const std::stop_token& stop) {
            const auto typeOf = [&](const std::string& id) {
                const auto it = types.find(id);
                return it == types.end() ? nullptr : it->second;
            };
            return written(files::mvrBytes(*show, typeOf), file, stop);
        },
        [this, file](const Done& done) {
            tell(done ? tr("Written: %1").arg(file) : said(done.error()));
        });
}

void MainWindow::showEvent(QShowEvent*) {
    connect(window()->windowHandle(), &QWindow::screenChanged, this, &MainWindow::lookAtScreen,
            Qt::UniqueConnection);
    lookAtScreen();
}

void MainWindow::lookAtScreen() {
    const QByteArray icc = iccOf(*screen());
    if (icc == icc_)
        return;
    icc_ = icc;
    if (icc.isEmpty())
        return document_.setMonitor(nullptr);
    if (const auto monitor = colour::Monitor::fromIcc(icc.toStdString()))
        return document_.setMonitor(*monitor);
    else
        document_.tell(tr("%1; colours are shown as sRGB").arg(said(monitor.error())));
    document_.setMonitor(nullptr);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    may_close_ = may_close_ || (document_.nothingToLose() && !document_.saving());
    event->setAccepted(may_close_);
    if (may_close_)
        return document_.finishWork(); // a file that is being written is written
    files_->leave([this] {
        may_close_ = true;
        window()->close();
    });
}

MainWindow::~MainWindow() {
    qApp->disconnect(this); // its panels go one by one, and the focus moves while they do
}

QPoint MainWindow::belowName() const {
    return mapToGlobal(QPoint(20, kHeader - 4));
}

void MainWindow::explain() {
    auto found = explained(QApplication::widgetAt(QCursor::pos()), view());
    if (!found.of) // the pointer lies elsewhere: what has the keyboard
        if (auto* focus = QApplication::focusWidget(); focus && focus != this)
            found = explained(focus, view());
    constexpr int kAgain_ms = 4000;
    if (explained_since_.isValid() && explained_since_.elapsed() < kAgain_ms &&
        explained_ == found.of) {
        explained_since_.invalidate();
        return manual().openPage(found.page);
    }
    explained_ = found.of;
    explained_since_.start();
    const QString more =
        tr("More: %1 (F1 again, or a press here).").arg(manual().titleOf(found.page));
    const QString text =
        found.of ? found.text : tr("Nothing to explain under the pointer: move it over a control.");
    message_->tell(text + ' ' + more, [this, page = found.page] { manual().openPage(page); });
}

void MainWindow::windowsComeBack() {
    if (OwnWindow::wasOpen("stage"))
        cues_view_->stageWindow();
    for (auto* own : findChildren<OwnWindow*>())
        own->comeBack();
}

ManualView& MainWindow::manual() {
    if (!manual_) {
        const auto there = host::dataFolder();
        const std::filesystem::path folder = there ? *there : std::filesystem::path();
        std::error_code error;
        const auto installed = folder / "manual"; // in the source it stands beside the data
        manual_ = new ManualView(std::filesystem::is_directory(installed, error)
                                     ? installed
                                     : folder.parent_path() / "docs/manual",
                                 this);
    }
    return *manual_;
}

// At the page of the view that is shown.
void MainWindow::openManual() {
    manual().openPage(pageOfView(view()));
}

void MainWindow::tell(const QString& message) {
    message_->tell(message);
}

// In the Gradient view the lamps stand high, on the gradient that they show.
void MainWindow::growLineup() {
    const bool grown = view() == Gradient && gradient_->gradient();
    if (grown != grown_) {
        grown_ = grown;
        lineup_->setGrown(grown ? step_bars_ : nullptr, grown ? stop_track_ : nullptr);
    }
    place();
}

void MainWindow::place() {
    const int middle = height() - kHeader - kLineup;
    header_->setGeometry(0, 0, width(), kHeader);
    const int right = std::clamp(kReadings + (width() - 1280) / 8, kReadings, kMostReadings);
    side_->setGeometry(width() - right, kHeader, right, middle);
    const int bench =
        grown_ ? kHeader + gradient_view_->heightAt(benchWidth()) : height() - kLineup;
    lineup_->setGeometry(0, bench, width(), height() - bench);
    placeMessages(); // and with them what gives them room
}

bool MainWindow::bookOpen() const {
    const QWidget* focus = QApplication::focusWidget();
    return focus && swatches_->isAncestorOf(focus);
}

int MainWindow::bookWidth() const {
    return view() == Cues ? SwatchPanel::kStrip : folded() ? kFolded : kSwatches;
}

bool MainWindow::folded() const {
    return width() < kNarrow || view() == Cues;
}

int MainWindow::benchWidth() const {
    return (side_->isHidden() ? width() : side_->x()) - bookWidth();
}

// Messages cover nothing: they stand under the swatch book, which gives them the room; in a narrow
// window under the bench as well, since a folded book has none to give.
void MainWindow::placeMessages() {
    const bool narrow = folded();
    const int middle = height() - kHeader - kLineup;
    const int left = bookWidth();
    const int wide = narrow ? left + benchWidth() : kSwatches;
    message_->resize(wide, message_->height());
    const int told = message_->isHidden() ? 0 : std::min(message_->sizeHint().height(), middle / 2);
    message_->setGeometry(0, kHeader + middle - told, wide, told);
    const int bench = grown_ ? lineup_->y() - kHeader : middle - (narrow ? told : 0);
    views_->setGeometry(left, kHeader, benchWidth(), bench);
    swatches_->setGeometry(0, kHeader, narrow && !bookOpen() ? left : kSwatches, middle - told);
    if (!narrow)
        return;
    swatches_->raise(); // opened it lies over the bench
    if (auto* over = Overlay::topmost(*this); over && over->parentWidget() == this)
        over->raise();
}

void MainWindow::paintEvent(QPaintEvent*) {
    QPainter(this).fillRect(rect(), theme().bench);
}

} // namespace zelo::desk
