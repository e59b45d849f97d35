// SPDX-License-Identifier: GPL-3.0-or-later
// Looks as buttons, for those who jump between a few of them: a press shows one in its own time.
#pragma once

#include "desk/kit/accessible.h"
#include "desk/kit/document.h"
#include "desk/kit/keys.h"
#include "play/cue_pictures.h"

#include <QPixmap>
#include <QWidget>

namespace zelo::desk {

class Button;

class LookButtons : public QWidget, public OwnKeys, public HasParts {
    Q_OBJECT
public:
    LookButtons(Document& document, QWidget* parent);
    void showNext();                          // the one after that which is shown
    std::optional<std::size_t> shown() const; // the last one whose lamps show just it
    QRect tile(std::size_t at) const;
    Button& faders() { return *faders_; }
    bool claims(const QKeyEvent& key) const override;
    std::vector<PaintedPart> parts() override;

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    bool event(QEvent* event) override; // tooltips

private:
    void compute(); // small lamps, in the background
    void press(std::size_t at);
    void scroll(int by);                      // rows
    bool under(const show::Look& look) const; // something that plays lies over it
    int rows() const;                         // in view
    int rowHeight() const;
    std::optional<std::size_t> at(const QPoint& pos) const;
    void paintTile(QPainter& p, const QRect& r, const show::Look& look, bool is_shown);
    std::size_t count() const { return document_.show().looks.size(); }
    int columns() const;
    Document& document_;
    Button* faders_;
    std::map<show::LookId, std::vector<play::CueLamp>> lamps_;
    std::map<const std::string*, QPixmap> photos_; // of those in the show
    std::size_t cursor_ = 0;
    int first_row_ = 0;
};

} // namespace zelo::desk
