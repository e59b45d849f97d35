// SPDX-License-Identifier: GPL-3.0-or-later
#include "start.h"

#include "desk/crossfade/crossfade_model.h"
#include "desk/cues/cue_model.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/language.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/theme.h"
#include "desk/match/calibration_view.h"
#include "desk/match/match_view.h"
#include "desk/match/split_field.h"
#include "desk/readings/full_readings.h"
#include "desk/remote/remote_model.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/rig/type_editor.h"
#include "desk/rig/types_panel.h"
#include "desk/ripple/ripple_model.h"
#include "desk/shell/frame.h"
#include "desk/shell/main_window.h"
#include "desk/shell/settings.h"
#include "desk/shell/settings_page.h"
#include "desk/shell/show_files.h"
#include "desk/shell/tour.h"
#include "desk/swatches/swatch_panel.h"
#include "ending.h"
#include "files/show_file.h"
#include "host/identity.h"
#include "host/log.h"
#include "host/paths.h"
#include "show/edits.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QFileInfo>
#include <QIcon>
#include <QProcess>
#include <QSettings>
#include <QThread>
#include <QTimer>
#include <QUuid>
#include <cstdio>
#include <ctime>
#include <fstream>
#include <sstream>
#include <unistd.h>

namespace zelo::desk {

namespace {

int complain(const Error& error) {
    std::fprintf(stderr, "zelochrome: %s\n", error.text().c_str());
    return 2;
}

// One identity for each installation, as E1.31 asks for.
wire::Cid installedId() {
    QSettings settings;
    QUuid id(settings.value("wire/cid").toString());
    wire::Cid cid;
    if (id.isNull()) {
        cid = host::randomCid();
        id = QUuid::fromRfc4122(QByteArray(reinterpret_cast<const char*>(cid.data()), cid.size()));
        settings.setValue("wire/cid", id.toString());
    }
    const QByteArray bytes = id.toRfc4122();
    std::copy(bytes.begin(), bytes.end(), cid.begin());
    return cid;
}

void toLog(QtMsgType type, const QMessageLogContext&, const QString& text) {
    const auto level = type == QtDebugMsg  ? host::LogLevel::Debug
                       : type == QtInfoMsg ? host::LogLevel::Info
                                           : host::LogLevel::Warning;
    host::log(level, fromQt(text));
    if (type != QtDebugMsg && type != QtInfoMsg)
        std::fprintf(stderr, "zelochrome: %s\n", qPrintable(text));
}

show::Lineup lineupOf(const show::Show& show, const std::vector<std::string>& groups) {
    show::Lineup lineup;
    for (const auto& name : groups)
        for (const auto& [group_id, group] : show.groups)
            if (group->name == name)
                lineup.insert(lineup.end(), group->fixtures.begin(), group->fixtures.end());
    return lineup;
}

// Before a picture: the search that was asked for has ended.
void openSide(MainWindow& window, const std::string& side) {
    auto& match = window.matchView();
    if (side == "split")
        return window.splitField().toggle();
    if (side == "readings")
        return match.fullReadings().toggle();
    if (side == "calibration") {
        match.calibration().open(); // the light is there when the frame has gone out
        QTimer::singleShot(200, &match, [&match] { match.calibration().start(); });
        return;
    }
    auto& rig = window.rigSide();
    if (side == "editor") {
        rig.showPage(RigSide::Types);
        rig.types().choose("gannet-8");
        return window.rigView().typeEditor().openType("gannet-8");
    }
    rig.showPage(side == "types"    ? RigSide::Types
                 : side == "output" ? RigSide::Output
                 : side == "check"  ? RigSide::Check
                                    : RigSide::Find);
    if (side == "find")
        rig.find().search();
}

bool searching(MainWindow& window, Document& document) {
    auto* network = document.network();
    return window.matchView().calibration().measuring() ||
           (network->finder() && network->finder()->state().searching);
}

void settle(Document& document) {
    for (int i = 0; i < 20; ++i) {
        document.waitUntilIdle();
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    }
}

// Jumps to the cue before it at once, starts it ten times as fast, and holds it halfway.
void goToCue(MainWindow& window, Document& document, const std::string& text) {
    using What = play::Command::What;
    CueModel& cues = window.cueModel();
    const auto number = show::parseCueNumber(text);
    const auto* list = cues.list();
    if (!number || !list || !list->cues.find(*number))
        return document.tell(toQt("no cue " + text));
    std::optional<show::CueNumber> before;
    for (const auto& [at, cue] : list->cues)
        if (at < *number)
            before = at;
    const auto wait = [&](auto&& until) {
        QElapsedTimer waited;
        for (waited.start(); waited.elapsed() < 20'000;) {
            document.waitUntilIdle();
            QApplication::processEvents(QEventLoop::AllEvents, 20);
            if (const auto* now = cues.now(); now && until(*now))
                return;
        }
    };
    document.press(list->id, What::Rate, 10);
    if (before)
        document.press(list->id, What::Jump, before->value());
    wait([&](const play::StageList& now) { return now.cue == before && !now.fades(); });
    document.press(list->id, What::Jump, number->value());
    wait([&](const play::StageList& now) {
        return now.cue == *number && now.since_s >= 0.5 * now.lasts_s;
    });
    document.press(list->id, What::Hold);
    document.press(list->id, What::Rate, 1);
    wait([&](const play::StageList& now) { return now.held && now.rate == 1; });
    settle(document); // the picture comes after the light
}

// A fade that goes on by itself is let come to its end.
void waitForRest(Document& document) {
    const auto fades = [&] {
        const play::Stage& stage = document.stage();
        return std::none_of(stage.lists.begin(), stage.lists.end(),
                            [](const play::StageList& list) { return list.held; }) &&
               std::none_of(stage.ripples.begin(), stage.ripples.end(),
                            [](const play::StageRipple& ripple) { return ripple.runs; }) &&
               std::any_of(stage.lamps.begin(), stage.lamps.end(),
                           [](const play::StageLamp& lamp) { return lamp.moving; });
    };
    QElapsedTimer waited;
    waited.start();
    do
        settle(document);
    while (fades() && waited.elapsed() < 15'000);
    settle(document);
}

void takeShot(MainWindow& window, Document& document, const StartWish& wish) {
    QElapsedTimer waited;
    waited.start();
    while (searching(window, document) && waited.elapsed() < 15000)
        QApplication::processEvents(QEventLoop::AllEvents, 50);
    QApplication::processEvents(QEventLoop::AllEvents, 50);
    for (int i = 0; i < 8; ++i) { // lists gather what comes for a moment
        QThread::msleep(10);
        QApplication::processEvents(QEventLoop::AllEvents, 50);
    }
    // Two rounds: what the first stage asked for in the background comes with the second.
    for (int i = 0; i < 4; ++i) {
        document.waitUntilIdle();
        QApplication::processEvents();
    }
    if (window.view() == MainWindow::Crossfade && wish.moment > 0) {
        window.crossfadeModel().setMoment(wish.moment);
        document.waitUntilIdle();
        QApplication::processEvents();
    }
    if (const auto* ripple = window.rippleModel().pictures();
        ripple && window.view() == MainWindow::Ripple && wish.moment > 0) {
        window.rippleModel().lookAt(wish.moment * ripple->span_s);
        settle(document);
    }
    if (!wish.cue.empty())
        goToCue(window, document, wish.cue);
    for (const std::string& text : wish.commands) {
        const auto& all = window.commands();
        const auto it = std::find_if(all.begin(), all.end(), [&](const Command& c) {
            return c.run && c.text.startsWith(toQt(text));
        });
        if (it == all.end())
            std::fprintf(stderr, "zelochrome: --run %s: no such command\n", text.c_str());
        else
            it->run();
        waitForRest(document);
    }
    const bool written = window.grab().save(toQt(wish.shot));
    if (!written)
        std::fprintf(stderr, "zelochrome: cannot write %s\n", wish.shot.c_str());
    QApplication::exit(written ? 0 : 1);
}

bool holds(const std::string& file, const char* ending) {
    return QFileInfo(toQt(file)).suffix().compare(QLatin1String(ending), Qt::CaseInsensitive) == 0;
}

// A rig or a fixture type, as a press on its file hands it over: a new show begins with it.
bool beginsShow(const StartWish& wish) {
    return holds(wish.show, "mvr") || holds(wish.show, "gdtf");
}

Done beginWith(MainWindow& window, Document& document, const std::string& file) {
    if (!QFileInfo(toQt(file)).isReadable())
        return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: cannot be read"), file);
    const auto empty = show::emptyState();
    document.start(empty.show, empty.hand);
    if (holds(file, "mvr"))
        window.readRig(toQt(file));
    else
        window.rigSide().types().read(toQt(file));
    return {};
}

// A picture is as it is asked for, whatever people have set.
bool lightTheme(const StartWish& wish) {
    return wish.theme.empty() ? wish.shot.empty() && kDeskTheme.get() : wish.theme == "desk";
}

// The show that was asked for, else what people start with: the one that was open last, an empty
// one, or the demo: a copy, whose work is asked for on closing like that of any other.
Done openWanted(MainWindow& window, Document& document, const StartWish& wish,
                const std::filesystem::path& data) {
    if (beginsShow(wish))
        return beginWith(window, document, wish.show);
    const QString path = !wish.show.empty()                            ? toQt(wish.show)
                         : wish.demo || startWith() != StartWith::Last ? QString()
                                                                       : ShowFiles::lastShow();
    if (!path.isEmpty()) {
        auto opened = window.files().open(path);
        if (opened || (!wish.show.empty() && opened.error().code != ErrorCode::Busy))
            return opened;
        if (opened.error().code != ErrorCode::Busy) // the last show has moved: the demo instead
            document.tell(said(opened.error()));
    }
    if (!wish.demo && startWith() == StartWith::Empty) {
        const auto empty = show::emptyState();
        document.start(empty.show, empty.hand);
        return {};
    }
    auto demo = files::readShow(data / "shows" / "salt-lanterns.zelo");
    if (!demo)
        return passOn(demo.error());
    document.start(demo->show, demo->hand);
    return {};
}

// Ends with this program however that ends: its standard input is a pipe from here, and closes.
void startRig(QProcess& rig, const StartWish& wish) {
    rig.setProcessChannelMode(QProcess::ForwardedChannels);
    QStringList arguments{"--port",       QString::number(wish.port),
                          "--art-port",   QString::number(wish.art_port),
                          "--meter-port", QString::number(wish.meter_port),
                          "--spare",      "4",
                          "--with-input"};
    arguments << (wish.show.empty() || beginsShow(wish) ? QStringList{"--demo"}
                                                        : QStringList{"--show", toQt(wish.show)});
    rig.start(QApplication::applicationDirPath() + "/zelo-rig", arguments);
}

// Since the system began this process, ms; in steps of 10.
double sinceBegun_ms() {
    std::ifstream in("/proc/self/stat");
    std::string text((std::istreambuf_iterator<char>(in)), {});
    std::istringstream after(text.substr(std::min(text.rfind(')') + 2, text.size())));
    std::string word;
    for (int field = 3; field <= 22; ++field)
        after >> word;
    timespec now{};
    clock_gettime(CLOCK_BOOTTIME, &now);
    return 1000 * (static_cast<double>(now.tv_sec) + 1e-9 * static_cast<double>(now.tv_nsec) -
                   std::strtod(word.c_str(), nullptr) / static_cast<double>(sysconf(_SC_CLK_TCK)));
}

// Into the log, once the window has drawn the light of all lamps: tools/measure_start reads it.
void tellFirstPicture(Document& document, MainWindow& window) {
    auto* waits = new QTimer(&window);
    QObject::connect(waits, &QTimer::timeout, &window, [&document, &window, waits] {
        if (document.stage().lamps.size() != document.show().fixtures.size())
            return;
        waits->deleteLater();
        window.repaint();
        host::log(host::LogLevel::Info,
                  fmt::format("first picture after {:.0f} ms of {} lamps, {}", sinceBegun_ms(),
                              document.stage().lamps.size(), theme().booth ? "dark" : "light"));
    });
    waits->start(5);
}

} // namespace

int start(const StartWish& wish) {
    const auto data = host::dataFolder();
    if (!data)
        return complain(data.error());
    if (const auto level = host::logLevelNamed(wish.log_level); !level)
        return complain(level.error());
    else if (wish.shot.empty())
        if (const auto logging = host::startLog(host::stateFolder() / "log", *level); !logging)
            std::fprintf(stderr, "zelochrome: %s\n", logging.error().text().c_str());
    host::log(host::LogLevel::Info, fmt::format("zelochrome {} starts", ZELO_VERSION));
    qInstallMessageHandler(toLog);
    loadFonts(*data);
    useLanguage(wish.language.empty() ? chosenLanguage() : toQt(wish.language));
    QApplication::setStyle("Fusion");
    QApplication::setWindowIcon(QIcon(toQt((*data / "icons/zelochrome.svg").string())));
    useTheme(lightTheme(wish) ? deskTheme() : boothTheme());

    host::Library library(*data);
    const auto state = host::stateFolder();
    const host::Identity identity(installedId(), state);
    auto network = std::make_unique<host::Network>(
        identity.cid(), host::OutputPorts{static_cast<std::uint16_t>(wish.port),
                                          static_cast<std::uint16_t>(wish.art_port)});
    // A picture leaves no trace.
    host::Guard::Settings keeping;
    if (wish.shot.empty())
        keeping.state_folder = state;
    Document document(std::make_unique<host::Session>(std::move(network), library,
                                                      std::make_unique<host::Guard>(keeping)));
    const Ending ending(document);
    if (wish.rehearsal)
        document.setOnStage(false);
    MainWindow window(document);
    if (wish.shot.empty())
        SettingsPage::apply(document);
    window.matchView().calibration().meter().setPort(static_cast<std::uint16_t>(wish.meter_port));
    Frame frame(window);
    const QSize size(wish.width > 0 ? wish.width : Frame::kFirstSize.width(),
                     wish.height > 0 ? wish.height : Frame::kFirstSize.height());
    if (!wish.shot.empty())
        frame.resize(size);
    else
        frame.comeBack(wish.width > 0 || wish.height > 0 ? size : QSize());
    if (auto opened = openWanted(window, document, wish, *data); !opened)
        return complain(opened.error());
    const int view = !wish.view.empty() ? MainWindow::viewNamed(toQt(wish.view))
                     : beginsShow(wish) ? MainWindow::Rig
                                        : MainWindow::Match;
    if (view < 0)
        return complain({ErrorCode::BadValue,
                         "--view " + wish.view +
                             ": expected rig, match, gradient, crossfade, "
                             "cues or ripple",
                         {}});
    window.showView(view);
    auto groups = wish.lineup;
    if (groups.empty())
        for (const auto& [g_id, g] : document.show().groups)
            if (groups.size() < 3)
                groups.push_back(g->name);
    document.setLineup(lineupOf(document.show(), groups));
    if (!wish.side.empty())
        openSide(window, wish.side);
    const auto picked = light::parseAsked(wish.pick);
    if (picked && std::holds_alternative<light::AskedPalette>(*picked))
        giveColour(document, document.lineup(), *picked); // it follows that, also a gradient
    else if (!wish.pick.empty())
        window.asking().pick(wish.pick);
    for (const auto& trouble : document.network()->troubles())
        document.tell(said(trouble));
    for (const auto& book : QSettings().value("swatches/books").toStringList())
        if (auto added = library.addBook(fromQt(book)); !added)
            document.tell(QObject::tr("Left out: %1").arg(said(added.error())));
    window.swatches().model().reload();
    for (const auto& trouble : library.troubles())
        document.tell(QObject::tr("Left out: %1").arg(said(trouble)));

    QProcess rig;
    if (wish.rig)
        startRig(rig, wish);
    frame.show();
    if (wish.show.empty() && wish.shot.empty())
        window.files().offerNewest();
    tellFirstPicture(document, window);
    if (wish.shot.empty()) {
        window.remote().start();
        window.windowsComeBack();
        // The first start is with the demo: there the tour begins.
        const bool demo =
            !document.path() && !beginsShow(wish) && (wish.demo || startWith() != StartWith::Empty);
        if (demo && !QSettings().contains(kTourStep.key()))
            window.tour().toggle();
    }
    if (!wish.shot.empty()) // a second first, so that the heartbeat has been measured
        QTimer::singleShot(1300, &window, [&] { takeShot(window, document, wish); });
    const int code = QApplication::exec();
    host::log(host::LogLevel::Info, "ends");
    if (rig.state() != QProcess::NotRunning) {
        rig.terminate();
        rig.waitForFinished(2000);
    }
    return code;
}

} // namespace zelo::desk
