// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/meter.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/setting.h"

#include <QMessageBox>
#include <QPushButton>
#include <future>
#include <thread>

namespace zelo::desk {

namespace {
constexpr Setting<bool> kInstrument{"meter/instrument", false};
constexpr auto kLook = std::chrono::milliseconds(30);
} // namespace

struct Meter::Shared {
    std::mutex mutex; // one measures at a time
    host::SpotRead spot;
    std::atomic<int> stops{0}; // so many times

    // On a worker: shown on the interface's thread, and waited for.
    bool ask(Document& document, const QPointer<QWidget>& window, const QString& text,
             const std::function<bool()>& stopped) const {
        const auto answer = std::make_shared<std::promise<bool>>();
        auto answered = answer->get_future();
        const auto box = std::make_shared<QPointer<QMessageBox>>();
        document.post([window, text, answer, box] {
            auto* asks = new QMessageBox(window);
            *box = asks;
            asks->setAttribute(Qt::WA_DeleteOnClose);
            asks->setWindowTitle(Meter::tr("The meter"));
            asks->setText(text);
            auto* go_on = asks->addButton(Meter::tr("Done, go on"), QMessageBox::AcceptRole);
            asks->addButton(Meter::tr("Stop"), QMessageBox::RejectRole);
            QObject::connect(asks, &QMessageBox::finished, asks, [asks, go_on, answer] {
                answer->set_value(asks->clickedButton() == go_on);
            });
            asks->open();
        });
        while (answered.wait_for(kLook) != std::future_status::ready)
            if (stopped()) {
                document.post([box] {
                    if (*box)
                        (*box)->close();
                });
                return false;
            }
        return answered.get();
    }
};

Meter::Meter(Document& document, QWidget* window)
    : QObject(window), document_(document), window_(window), shared_(std::make_shared<Shared>()) {}

Meter::~Meter() {
    stop();
}

bool Meter::instrument() const {
    return kInstrument.get();
}

void Meter::setInstrument(bool on) {
    kInstrument.set(on);
    emit changed();
}

void Meter::setProgram(const std::string& program) {
    const std::scoped_lock lock(shared_->mutex);
    shared_->spot = host::SpotRead(program);
}

void Meter::stop() {
    ++shared_->stops;
}

Meter::Job Meter::job(show::FixtureId id, std::chrono::milliseconds settles,
                      const QString& before) {
    if (!instrument())
        return [port = port_, id, settles](const std::stop_token&) {
            std::this_thread::sleep_for(settles);
            return host::measure(port, id);
        };
    return
        [shared = shared_, &document = document_, window = QPointer(window_), settles, before,
         begun = shared_->stops.load()](const std::stop_token& stop) -> Result<colour::Spectrum> {
            const std::scoped_lock lock(shared->mutex);
            if (!shared->spot.installed())
                return fail(
                    ErrorCode::NotFound,
                    ZELO_TEXT("core", "spotread is not there: it comes with the package argyll"));
            const auto stopped = [&] { return shared->stops != begun || stop.stop_requested(); };
            if (!before.isEmpty() && !shared->ask(document, window, before, stopped))
                return fail(ErrorCode::Io, ZELO_TEXT("core", "stopped"));
            std::this_thread::sleep_for(settles);
            return shared->spot.measure(
                [&](const std::string& text) {
                    return shared->ask(document, window, toQt(text), stopped);
                },
                stopped);
        };
}

} // namespace zelo::desk
