// SPDX-License-Identifier: GPL-3.0-or-later
// One emitter of the mix: a well with light in the emitter's own colour up to its level.
// Drag, wheel, type, Home and End as every number; P pins it, X keeps it out.
#pragma once

#include "desk/kit/value_control.h"

namespace zelo::desk {

class LevelColumn : public ValueControl {
    Q_OBJECT
public:
    LevelColumn(const QString& emitter, QWidget* parent);
    void setLight(const QColor& colour, bool kept_out, bool pinned);
    void setShortName(const QString& name);
    const QString& shortName() const { return short_name_; } // painted by Mix, under the column
    static constexpr int kBelow = 26;                        // the value under the well

signals:
    void pinWanted();
    void keepOutWanted();

protected:
    void paintEvent(QPaintEvent* event) override;
    QRect editorRect() const override;
    double valueAt(const QPoint& pos) const override;
    bool claims(const QKeyEvent& key) const override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

private:
    QRect well() const;
    QString name_;
    QString short_name_;
    QColor colour_;
    bool kept_out_ = false;
    bool pinned_ = false;
};

} // namespace zelo::desk
