// SPDX-License-Identifier: GPL-3.0-or-later
// Convert the book: what the swatch book lists, or all of it, to palettes in one step, and a report
// of how well the types of the lineup make each gel. Progress, stop; not modal.
#pragma once

#include "desk/kit/document.h"
#include "host/book_report.h"

#include <QWidget>
#include <atomic>
#include <memory>
#include <set>

class QCheckBox;

namespace zelo::desk {

class Button;
class SwatchModel;

class ConvertForm : public QWidget {
    Q_OBJECT
public:
    ConvertForm(Document& document, SwatchModel& model, QWidget* window);
    ~ConvertForm() override;
    host::BookWish wish() const;
    void makePalettes();
    void compute(); // the report's lines, in the background
    void stop();
    void openTypes();
    const std::vector<host::BookLine>& lines() const { return lines_; }
    bool working() const { return working_; }
    QCheckBox& listedOnly() { return *listed_; }
    QCheckBox& filmed() { return *filmed_; }      // mixed for the cameras of the show
    QString summary() const;                      // which type holds best, in a few lines
    std::vector<Document::TypeKey> types() const; // that the report is about
    void setType(const std::string& id, bool on); // of the library; of none the lineup's are taken
    void write(const QString& path);              // as its ending says, in the background

signals:
    void computed();

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void save(bool pdf);
    void refresh();
    QString htmlReport() const;
    Document& document_;
    SwatchModel& model_;
    QCheckBox* listed_;
    QCheckBox* filmed_;
    Button* which_;
    std::set<std::string> types_; // ids that were chosen; none: those of the lineup
    Button* palettes_;
    Button* report_;
    Button* csv_;
    Button* pdf_;
    std::vector<host::BookLine> lines_;
    std::shared_ptr<std::atomic<std::size_t>> done_; // gels; shared with the worker
    std::stop_source stop_;
    std::size_t of_ = 0;
    bool working_ = false;
};

} // namespace zelo::desk
