// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/display.h"
#include "desk/shell/frame.h"
#include "manual/manual.h"
#include "start.h"

#include <CLI/App.hpp>
#include <CLI/Config.hpp>
#include <CLI/Formatter.hpp>
#include <QApplication>
#include <cstdio>

int main(int argc, char** argv) {
    CLI::App cli{"Zelochrome: colour for multi-emitter LED fixtures."};
    cli.set_version_flag("--version", "zelochrome " ZELO_VERSION);
    zelo::desk::StartWish wish;
    cli.add_option("SHOW", wish.show,
                   "a show to open; a rig (.mvr) or a fixture type (.gdtf) begins a new one");
    cli.add_flag("--demo", wish.demo, "open a copy of the demo show");
    cli.add_flag("--rehearsal", wish.rehearsal, "start in Rehearsal: nothing goes out");
    cli.add_flag("--rig", wish.rig, "start a practice rig beside it");
    cli.add_option("--view", wish.view, "rig, match, gradient, crossfade, cues or ripple");
    cli.add_option("--side", wish.side,
                   "on the right of Rig: find (and searches), types, editor, output or check; over "
                   "Match: calibration (and measures), readings or split")
        ->check(CLI::IsMember(
            {"find", "types", "editor", "output", "check", "calibration", "readings", "split"}));
    cli.add_option("--lineup", wish.lineup, "groups to take into the lineup")->delimiter(',');
    cli.add_option("--pick", wish.pick, "a colour for the lineup: gel:214@3200");
    cli.add_option("--moment", wish.moment,
                   "of the crossfade or the ripple that is shown, share of its time")
        ->check(CLI::Range(0.0, 1.0));
    cli.add_option("--run", wish.commands, "runs the command whose text begins so; repeatable");
    cli.add_option("--cue", wish.cue, "goes to this cue, and holds halfway");
    cli.add_option("--theme", wish.theme, "booth (dark) or desk (light)");
    cli.add_option("--language", wish.language, "of the interface")
        ->check(CLI::IsMember({"en", "de"}));
    cli.add_option("--log-level", wish.log_level, "debug, info, warning or error");
    cli.add_option("--shot", wish.shot, "draw the window to a PNG and exit");
    cli.add_option("--width", wish.width, "of the window")->check(CLI::Range(320, 8000));
    cli.add_option("--height", wish.height, "of the window")->check(CLI::Range(240, 8000));
    cli.add_option("--size", wish.size, "of everything, in percent")->check(CLI::Range(50, 400));
    cli.add_option("--port", wish.port, "UDP port of E1.31")->check(CLI::Range(1, 65535));
    cli.add_option("--art-port", wish.art_port, "UDP port of Art-Net")->check(CLI::Range(1, 65535));
    cli.add_option("--meter-port", wish.meter_port, "TCP port of the practice meter")
        ->check(CLI::Range(1, 65535));
    zelo::manual::Asked manual;
    zelo::manual::addTo(cli, manual);
    try {
        cli.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        return cli.exit(e) == 0 ? 0 : 2;
    }
    if (zelo::manual::printed(
            cli,
            {"zelochrome", ZELO_VERSION, "colour for multi-emitter LED fixtures",
             "Matches gel colours and colour temperatures on multi-emitter LED fixtures, spreads "
             "colours over lamps, plans crossfades that do not pass through white, and plays them "
             "over the network. Without a show it opens the one that was open last."},
            manual))
        return 0;
    if (!wish.shot.empty() && !zelo::desk::displayThere())
        qputenv("QT_QPA_PLATFORM", "offscreen");
    if (!zelo::desk::displayThere()) {
        std::fputs("zelochrome: no display: neither DISPLAY nor WAYLAND_DISPLAY is set "
                   "(--shot FILE works without one)\n",
                   stderr);
        return 1;
    }
    QCoreApplication::setApplicationName("zelochrome");
    QCoreApplication::setOrganizationName("zelochrome");
    QCoreApplication::setApplicationVersion(ZELO_VERSION);
    // Everything larger, on top of what the desktop asks for; it has to be known before the first
    // window is. A picture is as it is asked for.
    const int size = wish.size != 0      ? wish.size
                     : wish.shot.empty() ? zelo::desk::Frame::sizePercent()
                                         : 100;
    if (size != 100)
        qputenv("QT_SCALE_FACTOR",
                QByteArray::number(
                    size / 100.0 *
                    std::max(0.1, qEnvironmentVariable("QT_SCALE_FACTOR", "1").toDouble())));
    int qt_argc = 1;
    QApplication app(qt_argc, argv);
    return zelo::desk::start(wish);
}
