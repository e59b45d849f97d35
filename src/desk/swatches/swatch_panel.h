// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book on the left: search field, kinds, and leaves that hang out of the window's edge.
#pragma once

#include "desk/swatches/swatch_model.h"

#include <QElapsedTimer>
#include <QWidget>

class QLineEdit;
class QListView;
class QMenu;

namespace zelo::desk {

class Button;
class Asking;
class FocusModel;
class Stations;

class SwatchPanel : public QWidget {
    Q_OBJECT
public:
    SwatchPanel(Document& document, FocusModel& focus, Asking& asking, QWidget* parent);
    void focusSearch(); // key "/"
    SwatchModel& model() { return *model_; }
    QListView& list() { return *list_; }

    void pickRow(int row);
    void toggleFavourite(int row);
    // Books are remembered for the next start.
    Done loadBook(const QString& path);
    Result<light::Asked> loadMeasured(const QString& path); // kept with the show
    Result<light::Asked> keepMeasured(const QString& name, const colour::Spectrum& light);
    void openMenu(); // order, lamp, second layer, favourites, loading
    // What can be done with a palette or a measured light.
    void openRowMenu(int row, const QPoint& global);
    QMenu* rowMenu(int row);
    void removePalette(show::PaletteId id); // asks with what would be lost

    // What is picked goes there instead of onto the lineup, where it says that it takes it.
    using Taker = std::function<bool(const light::Asked&, show::PaletteId)>;
    void setTaker(Taker taker) { taker_ = std::move(taker); }

    static constexpr int kStrip = 28; // as narrow as this: leaves alone, and what opens it

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place(); }
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void place();
    Taker taker_;
    static QStringList kindNames(); // by SwatchModel::Filter
    void markChosen();
    void renamePalette(const show::Palette& palette);

    Document& document_;
    FocusModel& focus_;
    Asking& asking_;
    SwatchModel* model_;
    QLineEdit* search_;
    Stations* kinds_;
    Button* menu_;
    QListView* list_;
    int picked_row_ = -1;
    QElapsedTimer picked_at_;
    std::optional<light::Asked> current_; // the row of the keyboard, while rows are made anew
    int scrolled_ = 0;
};

} // namespace zelo::desk
