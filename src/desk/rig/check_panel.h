// SPDX-License-Identifier: GPL-3.0-or-later
// The light check of the first lamp of the lineup: why it shows what it shows, or nothing.
#pragma once

#include "desk/kit/document.h"
#include "play/light_check.h"

#include <QWidget>

namespace zelo::desk {

class Button;

class CheckPanel : public QWidget {
    Q_OBJECT
public:
    CheckPanel(Document& document, QWidget* parent);
    const std::vector<play::CheckLink>& links() const { return links_; }
    QString verdict() const;
    void nextDark(); // the next lamp that gives no light, into the lineup

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    Document& document_;
    std::vector<play::CheckLink> links_;
    Button* next_;
};

} // namespace zelo::desk
