// SPDX-License-Identifier: GPL-3.0-or-later
// Find fixtures: what answers on the network, against what is patched. Identify flashes one, Add
// takes it into the rig, differences are told and settled one way or the other.
#pragma once

#include "desk/kit/document.h"
#include "host/rig_match.h"

#include <QWidget>

class QScrollArea;

namespace zelo::desk {

class Button;

// One find. Its buttons are what can be done with it.
class FoundBlock : public QWidget {
    Q_OBJECT
public:
    FoundBlock(const wire::FoundDevice& device, const host::RigMatch& match, const QString& place,
               bool flashing, QWidget* parent);
    const wire::Uid& uid() const { return device_.uid; }

signals:
    void identifyWanted(bool on);
    void addWanted();
    void showWanted();
    void takeWanted(); // the patch becomes what the device says
    void setWanted();  // the device becomes what the patch says

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    wire::FoundDevice device_;
    host::RigMatch match_;
    QString place_;
    std::vector<Button*> buttons_;
};

class FindPanel : public QWidget {
    Q_OBJECT
public:
    FindPanel(Document& document, QWidget* parent);
    void search(); // or stops, while it runs
    const host::RigMatches& matches() const { return matches_; }
    const wire::FinderState& found() const { return found_; }
    std::vector<FoundBlock*> blocks() const { return blocks_; }
    void addAll();
    void identify(const wire::Uid& uid, bool on);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void showEvent(QShowEvent* event) override;

private:
    void place();
    void refreshSoon(); // once for what comes together
    void refresh();
    void fill();
    QString contents() const;
    QString note() const;
    void add(const std::vector<host::RigMatch>& which);
    void take(const host::RigMatch& match);
    void set(const host::RigMatch& match);
    // Tells how it went, on the interface's thread, if this panel is still there then.
    wire::Finder::Answer told(const QString& well);

    Document& document_;
    wire::FinderState found_;
    host::RigMatches matches_;
    std::vector<wire::Uid> flashing_;
    std::vector<FoundBlock*> blocks_;
    QScrollArea* list_;
    QWidget* column_;
    Button* search_;
    Button* add_all_;
    bool waits_ = false;  // a refresh is on its way
    QString filled_with_; // what the blocks were made of: they are made anew only when it differs
};

} // namespace zelo::desk
