// SPDX-License-Identifier: GPL-3.0-or-later
// Calibration of one fixture, over the bench while it is open: its emitters measured one by one
// with the meter that is chosen, each with its plot, and kept as that fixture's own data; or by
// hand, a measured u'v' typed in.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/overlay.h"
#include "desk/match/meter.h"

namespace zelo::desk {

class Button;
class NumberField;
class Stations;

class CalibrationView : public Overlay {
    Q_OBJECT
public:
    CalibrationView(Document& document, QWidget* parent);
    Meter& meter() { return *meter_; }
    void open() override; // for the first lamp of the lineup
    void start();
    void stop(); // what was measured stays, and can be kept
    void keep();
    void forget(); // the fixture is as its type's data says again
    // What the light it shows now was measured as: colours are asked for that far the other way.
    void correct(const colour::Uv& measured);

    bool measuring() const { return measuring_; }
    std::size_t done() const { return measured_.size(); }
    const std::map<std::string, colour::Spectrum>& measured() const { return measured_; }

signals:
    void ended(); // all are measured, or it was stopped

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void hideEvent(QHideEvent* event) override; // nothing is measured where nobody looks

private:
    void next();
    void read(); // once the light has gone out
    void end(const QString& why);
    void refresh();
    double shareKept() const; // of what was measured
    const show::Fixture* fixture() const { return document_.show().fixture(id_); }
    std::shared_ptr<const light::FixtureType> type() const;
    void paintEmitter(QPainter& p, const QRect& room, const light::Emitter& emitter) const;

    Document& document_;
    Meter* meter_;
    show::FixtureId id_;
    std::map<std::string, colour::Spectrum> measured_;
    std::size_t step_ = 0;
    bool measuring_ = false;
    bool awaiting_ = false;      // the stage with this emitter alone
    bool by_instrument_ = false; // what is measured: from where it stood, not in candela
    QString said_;
    show::HandPtr before_; // what was in hand
    show::HandPtr own_;    // what measuring put there
    Stations* which_;
    Button* start_;
    Button* keep_;
    Button* forget_;
    Button* done_;
    Button* correct_;
    NumberField* u_;
    NumberField* v_;
};

} // namespace zelo::desk
