// SPDX-License-Identifier: GPL-3.0-or-later
// Buttons: outlined, the one next step lifted, or text alone. The key stands dim behind the word.
#pragma once

#include <QAbstractButton>

namespace zelo::desk {

class Button : public QAbstractButton {
    Q_OBJECT
public:
    enum class Kind { Plain, Next, Text, Title };
    Button(const QString& word, const QString& key, const QString& tip, Kind kind, QWidget* parent);
    void setOpensMenu(bool on); // a small pointer behind the word says so
    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    bool bare() const; // text alone
    QFont face() const;
    QString key_;
    Kind kind_;
    bool opens_menu_ = false;
};

} // namespace zelo::desk
