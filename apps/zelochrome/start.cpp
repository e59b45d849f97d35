// SPDX-License-Identifier: GPL-3.0-or-later
#include "start.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/theme.h"
#include "desk/match/match_model.h"
#include "desk/shell/main_window.h"
#include "files/show_file.h"
#include "host/paths.h"
#include "wire/net/e131_sender.h"

#include <QApplication>
#include <QIcon>
#include <QProcess>
#include <QSettings>
#include <QTimer>
#include <QUuid>
#include <cstdio>

namespace zelo::desk {

namespace {

int complain(const Error& error) {
    std::fprintf(stderr, "zelochrome: %s\n", error.text().c_str());
    return 2;
}

// One identity for each installation, as E1.31 asks for.
wire::Cid componentId() {
    QSettings settings;
    QUuid id(settings.value("wire/cid").toString());
    if (id.isNull()) {
        id = QUuid::createUuid();
        settings.setValue("wire/cid", id.toString());
    }
    wire::Cid cid;
    const QByteArray bytes = id.toRfc4122();
    std::copy(bytes.begin(), bytes.end(), cid.begin());
    return cid;
}

show::Lineup lineupOf(const show::Show& show, const std::vector<std::string>& groups) {
    show::Lineup lineup;
    for (const auto& name : groups)
        for (const auto& group : show.groups)
            if (group->name == name)
                lineup.insert(lineup.end(), group->fixtures.begin(), group->fixtures.end());
    return lineup;
}

void takeShot(MainWindow& window, Document& document, const QString& file) {
    // Two rounds: what the first stage asked for in the background comes with the second.
    for (int i = 0; i < 4; ++i) {
        document.session().workers().waitUntilIdle();
        QApplication::processEvents();
    }
    const bool written = window.grab().save(file);
    if (!written)
        std::fprintf(stderr, "zelochrome: cannot write %s\n", qPrintable(file));
    QApplication::exit(written ? 0 : 1);
}

Done openWanted(MainWindow& window, Document& document, const StartWish& wish,
                const std::filesystem::path& data) {
    QSettings settings;
    QString path = toQt(wish.show);
    if (path.isEmpty() && !wish.demo)
        path = settings.value("show/last").toString();
    if (!path.isEmpty()) {
        auto opened = window.open(path);
        if (opened)
            settings.setValue("show/last", path);
        else if (!wish.show.empty())
            return opened;
        if (opened)
            return opened;
        document.tell(toQt(opened.error().text())); // the last show has moved: the demo instead
    }
    auto demo = files::readShow(data / "shows" / "salt-lanterns.zelo");
    if (!demo)
        return passOn(demo.error());
    document.session().start(demo->show, demo->hand);
    window.setDisposable(true);
    return {};
}

} // namespace

int start(const StartWish& wish) {
    QApplication::setApplicationName("zelochrome");
    QApplication::setOrganizationName("zelochrome");
    const auto data = host::dataFolder();
    if (!data)
        return complain(data.error());
    loadFonts(*data);
    QApplication::setStyle("Fusion");
    QApplication::setWindowIcon(QIcon(toQt((*data / "icons/zelochrome.svg").string())));
    useTheme(wish.theme == "desk" ? deskTheme() : boothTheme());

    host::Library library(*data);
    wire::E131Settings settings;
    settings.cid = componentId();
    settings.port = static_cast<std::uint16_t>(wish.port);
    auto sender = wire::E131Sender::open(settings);
    Document document(std::make_unique<host::Session>(
        library, sender ? std::move(*sender) : std::unique_ptr<light::FrameSink>(),
        std::make_unique<host::Autosave>(host::stateFolder())));
    if (wish.rehearsal)
        document.session().setOnStage(false);
    MainWindow window(document);
    window.resize(wish.width, wish.height);
    if (auto opened = openWanted(window, document, wish, *data); !opened)
        return complain(opened.error());
    const int view = MainWindow::viewNamed(toQt(wish.view));
    if (view < 0)
        return complain({ErrorCode::BadValue,
                         "--view " + wish.view +
                             ": expected rig, match, gradient, crossfade, "
                             "cues or ripple",
                         {}});
    window.showView(view);
    auto groups = wish.lineup;
    if (groups.empty())
        for (const auto& g : document.show().groups)
            if (groups.size() < 3)
                groups.push_back(g->name);
    document.setLineup(lineupOf(document.show(), groups));
    if (!wish.pick.empty())
        window.matchModel().pick(wish.pick);
    if (!sender)
        document.tell(toQt(sender.error().text()));
    for (const auto& trouble : library.troubles())
        document.tell(QObject::tr("Left out: %1").arg(toQt(trouble)));

    QProcess rig;
    if (wish.rig) {
        rig.setProcessChannelMode(QProcess::ForwardedChannels);
        QStringList arguments{"--port", QString::number(wish.port)};
        arguments << (wish.show.empty() ? QStringList{"--demo"}
                                        : QStringList{"--show", toQt(wish.show)});
        rig.start(QApplication::applicationDirPath() + "/zelo-rig", arguments);
    }
    window.show();
    if (wish.show.empty() && wish.shot.empty())
        if (const auto left = host::Autosave::leftBehind(host::stateFolder()); !left.empty())
            window.offerUnsaved(left.front(), std::nullopt);
    if (!wish.shot.empty()) // a second first, so that the heartbeat has been measured
        QTimer::singleShot(1300, &window, [&] { takeShot(window, document, toQt(wish.shot)); });
    const int code = QApplication::exec();
    if (rig.state() != QProcess::NotRunning) {
        rig.terminate();
        rig.waitForFinished(2000);
    }
    return code;
}

} // namespace zelo::desk
