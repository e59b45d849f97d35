// SPDX-License-Identifier: GPL-3.0-or-later
// zelo-rig: simulated fixtures on this computer's own network.
#include "desk/kit/display.h"
#include "desk/kit/language.h"
#include "desk/kit/theme.h"
#include "host/paths.h"
#include "manual/manual.h"
#include "rig_loop.h"
#include "rig_window.h"

#include <CLI/App.hpp>
#include <CLI/Config.hpp>
#include <CLI/Formatter.hpp>
#include <QApplication>
#include <QTimer>
#include <csignal>
#include <cstdio>
#include <thread>
#include <unistd.h>

namespace {

int runWindow(const zelo::rig::RigLoop& loop, const std::string& shot, int argc, char** argv) {
    if (!shot.empty() && !zelo::desk::displayThere())
        qputenv("QT_QPA_PLATFORM", "offscreen");
    QCoreApplication::setApplicationName("zelochrome"); // its settings: the language
    QCoreApplication::setOrganizationName("zelochrome");
    QApplication app(argc, argv);
    if (const auto data = zelo::host::dataFolder())
        zelo::desk::loadFonts(*data);
    zelo::desk::useLanguage(zelo::desk::chosenLanguage());
    QApplication::setStyle("Fusion");
    zelo::desk::useTheme(zelo::desk::boothTheme());
    zelo::rig::RigWindow window(loop);
    window.show();
    if (!shot.empty())
        QTimer::singleShot(2000, &window, [&] {
            QApplication::exit(window.grab().save(QString::fromStdString(shot)) ? 0 : 1);
        });
    return QApplication::exec();
}

// Whoever started it holds the other end: when that program ends, however it does, so does this.
void endWithInput() {
    std::thread([] {
        char byte = 0;
        while (::read(STDIN_FILENO, &byte, 1) > 0) {
        }
        ::kill(::getpid(), SIGTERM);
    }).detach();
}

int waitForSignal(const sigset_t& signals_wanted) {
    int which = 0;
    sigwait(&signals_wanted, &which);
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    CLI::App cli{"Practice rig: simulated fixtures that take E1.31 on this computer."};
    cli.set_version_flag("--version", "zelo-rig " ZELO_VERSION);
    zelo::rig::RigWish wish;
    cli.add_option("--show", wish.show, "the show whose patch the lamps have");
    cli.add_flag("--demo", wish.demo, "the demo show's patch (also when no show is named)");
    cli.add_flag("--headless", wish.headless, "no window");
    cli.add_flag("--watch", wish.watch, "print a JSON line for each lamp that changed");
    cli.add_flag("--exact", wish.exact, "lamps shine just as their data says");
    cli.add_option("--shot", wish.shot, "draw the window to a PNG after two seconds, and exit");
    cli.add_option("--seed", wish.seed, "of how the lamps differ from their data");
    cli.add_option("--port", wish.port, "UDP port of E1.31")->check(CLI::Range(0, 65535));
    cli.add_option("--art-port", wish.art_port, "UDP port of Art-Net")->check(CLI::Range(0, 65535));
    cli.add_option("--meter-port", wish.meter_port, "TCP port of the practice meter")
        ->check(CLI::Range(0, 65535));
    cli.add_option("--spare", wish.spare, "so many lamps more than the show has")
        ->check(CLI::Range(0, 20));
    bool with_input = false;
    cli.add_flag("--with-input", with_input, "end when standard input does");
    bool plain = false;
    cli.add_flag("--plain", plain, "every device answers RDM well and at once");
    zelo::manual::Asked manual;
    zelo::manual::addTo(cli, manual);
    try {
        cli.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return cli.exit(e) == 0 ? 0 : 2;
    }
    if (zelo::manual::printed(
            cli,
            {"zelo-rig", ZELO_VERSION, "simulated fixtures for practice",
             "Shines as the lamps of a show would that get its E1.31 or Art-Net on this computer, "
             "answers RDM, and has a meter that measures them."},
            manual))
        return 0;
    wish.awkward = !plain;
    sigset_t ends; // blocked before any thread starts, so that sigwait gets them
    sigemptyset(&ends);
    sigaddset(&ends, SIGINT);
    sigaddset(&ends, SIGTERM);
    if (wish.headless)
        pthread_sigmask(SIG_BLOCK, &ends, nullptr);
    if (with_input)
        endWithInput();
    if (!wish.headless && wish.shot.empty() && !zelo::desk::displayThere()) {
        std::fputs("zelo-rig: no display: use --headless\n", stderr);
        return 1;
    }
    const auto loop = zelo::rig::RigLoop::open(wish);
    if (!loop) {
        std::fprintf(stderr, "zelo-rig: %s\n", loop.error().text().c_str());
        return loop.error().code == zelo::ErrorCode::Io ? 1 : 2;
    }
    if (wish.headless) {
        std::fprintf(stderr, "zelo-rig: listening on 127.0.0.1:%d, Art-Net on %d, meter on %d\n",
                     (*loop)->port(), (*loop)->artPort(), (*loop)->meterPort());
        return waitForSignal(ends);
    }
    return runWindow(**loop, wish.shot, argc, argv);
}
