// SPDX-License-Identifier: GPL-3.0-or-later
#include "ending.h"

#include "host/log.h"

#include <QCoreApplication>
#include <QGuiApplication>
#include <QSessionManager>
#include <QSocketNotifier>
#include <csignal>
#include <sys/socket.h>
#include <unistd.h>

namespace zelo::desk {

namespace {

int signal_pipe[2] = {-1, -1}; // a handler may do no more than write

void onSignal(int) {
    const char byte = 1;
    if (::write(signal_pipe[0], &byte, 1) < 0) {
    }
}

} // namespace

Ending::Ending(Document& document) : document_(document) {
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC | SOCK_NONBLOCK, 0, signal_pipe) != 0)
        return;
    notifier_ = new QSocketNotifier(signal_pipe[1], QSocketNotifier::Read, this);
    connect(notifier_, &QSocketNotifier::activated, this, [this] { end(); });
    struct sigaction action {};
    action.sa_handler = onSignal;
    action.sa_flags = SA_RESTART;
    for (const int which : {SIGTERM, SIGINT, SIGHUP})
        ::sigaction(which, &action, nullptr);
    connect(qGuiApp, &QGuiApplication::commitDataRequest, this, [this](QSessionManager& manager) {
        document_.flush();
        manager.setRestartHint(QSessionManager::RestartNever);
    });
}

Ending::~Ending() {
    for (const int which : {SIGTERM, SIGINT, SIGHUP})
        std::signal(which, SIG_DFL);
}

void Ending::end() {
    notifier_->setEnabled(false);
    host::log(host::LogLevel::Info, "told to end");
    document_.flush(); // and no question: what is not saved is offered at the next start
    QCoreApplication::exit(0);
}

} // namespace zelo::desk
