// SPDX-License-Identifier: GPL-3.0-or-later
// The meter that is chosen: the practice rig's, or a real spectrometer through spotread. What a
// person has to do for it is asked for in a window of its own; measuring waits meanwhile.
#pragma once

#include "desk/kit/document.h"
#include "host/meter.h"
#include "host/spot_read.h"

#include <atomic>
#include <stop_token>

namespace zelo::desk {

class Meter : public QObject {
    Q_OBJECT
public:
    Meter(Document& document, QWidget* window);
    ~Meter() override; // nobody waits any more

    bool instrument() const; // a real one; kept with the settings
    void setInstrument(bool on);
    void setPort(std::uint16_t port) { port_ = port; } // of the practice meter
    void setProgram(const std::string& program);       // instead of spotread

    // For a worker: the light of this lamp, after `settles`. With an instrument a person is asked
    // for `before` first, where it says something.
    using Job = std::function<Result<colour::Spectrum>(const std::stop_token& stop)>;
    Job job(show::FixtureId id, std::chrono::milliseconds settles, const QString& before = {});
    void stop(); // what waits

signals:
    void changed(); // another one was chosen

private:
    struct Shared;
    Document& document_;
    QWidget* window_;
    std::uint16_t port_ = host::kMeterPort;
    std::shared_ptr<Shared> shared_; // with the jobs
};

} // namespace zelo::desk
