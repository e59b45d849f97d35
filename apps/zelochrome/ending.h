// SPDX-License-Identifier: GPL-3.0-or-later
// The program is told to end from outside: SIGTERM, SIGINT, SIGHUP, or the desktop logs out.
// Streams are ended and unsaved work is kept, without a question.
#pragma once

#include "desk/kit/document.h"

#include <QObject>

class QSocketNotifier;

namespace zelo::desk {

class Ending : public QObject {
public:
    explicit Ending(Document& document);
    ~Ending() override;

private:
    void end();
    Document& document_;
    QSocketNotifier* notifier_ = nullptr;
};

} // namespace zelo::desk
