// SPDX-License-Identifier: GPL-3.0-or-later
// One universe as a strip of 512 slots: who takes which, what is chosen, where two clash.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/keys.h"
#include "desk/rig/patch_model.h"

#include <QWidget>

namespace zelo::desk {

class UniverseStrip : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    UniverseStrip(Document& document, PatchModel& patch, QWidget* parent);
    int universe() const { return universe_; }
    void setUniverse(int universe);
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override; // its lamps

signals:
    void universeShown(int universe);
    void fixturePressed(show::FixtureId id, Qt::KeyboardModifiers keys);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

private:
    double xOf(int slot) const; // left edge, 1..513
    const show::Fixture* at(const QPoint& pos) const;
    int used() const;
    QString said(const show::Fixture& f) const; // "slots 1 to 8", and what is wrong
    Document& document_;
    PatchModel& patch_;
    int universe_ = 1;
};

} // namespace zelo::desk
