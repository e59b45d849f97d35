// SPDX-License-Identifier: GPL-3.0-or-later
// The fixture type editor: over the bench while it is open. Emitters from measured files or
// modelled from peak and width; modes with their bits, response and home. Each change is an edit of
// the show, which keeps a type of its own from then on.
#pragma once

#include "desk/kit/document.h"
#include "desk/kit/overlay.h"

class QComboBox;
class QLineEdit;
class QTableWidget;

namespace zelo::desk {

class Button;
class HullPlot;
class SpectrumPlot;

class TypeEditor : public Overlay {
    Q_OBJECT
public:
    TypeEditor(Document& document, QWidget* parent);
    void openType(const std::string& id);
    const std::string& typeId() const { return id_; }
    QTableWidget& emitters() { return *emitters_; }
    QTableWidget& channels() { return *channels_; }
    QComboBox& bits() { return *bits_; }
    QComboBox& response() { return *response_; }

    void addEmitter();
    void removeEmitter();
    void measured(const QString& path); // the chosen emitter's spectrum, its candela kept

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    std::shared_ptr<const light::FixtureType> type() const;
    void refresh();
    void change(const QString& name, const Result<light::FixtureType>& next);
    void editEmitter(int row, int column);
    void editHome(int row, int column);
    std::size_t mode() const;

    Document& document_;
    std::string id_;
    QLineEdit* maker_;
    QTableWidget* emitters_;
    QTableWidget* channels_;
    QComboBox* modes_;
    QComboBox* bits_;
    QComboBox* response_;
    SpectrumPlot* spectra_;
    HullPlot* hull_;
    Button* add_;
    Button* remove_;
    Button* measured_;
    Button* done_;
    bool filling_ = false;
};

} // namespace zelo::desk
