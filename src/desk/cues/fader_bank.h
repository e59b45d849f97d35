// SPDX-License-Identifier: GPL-3.0-or-later
// Looks on faders: eight in view, pages of them.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/value_control.h"

namespace zelo::desk {

class Button;

// One of them: its level in the colours of its look, and a way to let go of it.
class FaderStrip : public ValueControl {
    Q_OBJECT
public:
    FaderStrip(Document& document, QWidget* parent);
    void setFader(std::shared_ptr<const show::Fader> fader, const QString& key); // null: none
    const std::shared_ptr<const show::Fader>& fader() const { return fader_; }
    void refresh(); // its level
    Button& letGo() { return *let_go_; }

signals:
    void emittersWanted(show::FaderId fader); // another choice of them

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    double valueAt(const QPoint& pos) const override;
    QRect editorRect() const override;

private:
    QRect well() const;
    Document& document_;
    std::shared_ptr<const show::Fader> fader_;
    QString key_;
    std::vector<colour::Uv> colours_; // of its look, each once
    bool hidden_ = false;             // it is up, and nothing comes of it
    Button* let_go_;
};

class FaderBank : public QWidget {
    Q_OBJECT
public:
    static constexpr int kInView = 8;
    FaderBank(Document& document, QWidget* parent);
    FaderStrip& strip(int place) { return *strips_[static_cast<std::size_t>(place)]; }
    void turnPage(int by);
    int page() const { return page_; }
    void openAdd(); // which look
    Button& add() { return *add_; }
    Button& buttons() { return *buttons_; }            // looks as buttons instead
    void askEmitters(std::optional<show::FaderId> of); // a family made by hand; none: a new fader

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    bool eventFilter(QObject* watched, QEvent* event) override; // F5 to F12 flash them

private:
    void place();
    void refresh();
    int pages() const;
    void flash(int place, bool on);
    Document& document_;
    std::vector<FaderStrip*> strips_;
    Button* add_;
    Button* turn_;
    Button* buttons_;
    int page_ = 0;
    std::map<int, std::pair<show::FaderId, double>> flashed_; // by place: what it had before
};

} // namespace zelo::desk
