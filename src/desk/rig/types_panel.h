// SPDX-License-Identifier: GPL-3.0-or-later
// The fixture types at hand: emitters and hull of the chosen one; make, copy, edit, read and write.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>

class QListWidget;

namespace zelo::desk {

class Button;
class HullPlot;
class SlotStrip;
class SpectrumPlot;

class TypesPanel : public QWidget {
    Q_OBJECT
public:
    TypesPanel(Document& document, QWidget* parent);
    QListWidget& list() { return *list_; }
    std::shared_ptr<const light::FixtureType> chosen() const; // null when none
    const std::vector<SlotStrip*>& strips() const { return strips_; }
    void choose(const std::string& id);

    void makeNew(const QString& name);  // empty, and opened for editing
    void makeCopy(const QString& name); // of the chosen one, and opened
    void remove();                      // of the show's own
    void read(const QString& path);     // GDTF
    void write(const QString& path);

signals:
    void editWanted(const std::string& id);
    void typeChosen(const std::string& id);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    void showEvent(QShowEvent* event) override;

private:
    void place();
    void refresh();
    void showWheels();
    void keep(const QString& name, const Result<light::FixtureType>& type, bool open);

    Document& document_;
    QListWidget* list_;
    SpectrumPlot* spectra_;
    HullPlot* hull_;
    std::vector<SlotStrip*> strips_; // of the wheels of the chosen one
    std::vector<Button*> buttons_;
    std::vector<std::shared_ptr<const light::FixtureType>> types_;
    bool filling_ = false;
};

} // namespace zelo::desk
