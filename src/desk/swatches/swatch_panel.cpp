// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/swatch_panel.h"

#include "desk/focus/asking.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/split_chip.h"
#include "desk/kit/stations.h"
#include "desk/kit/text_field.h"
#include "desk/kit/words.h"
#include "desk/swatches/convert_form.h"
#include "files/spectrum_file.h"
#include "show/kept.h"

#include <QApplication>
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QKeyEvent>
#include <QListView>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QScrollBar>
#include <QSettings>
#include <QShortcut>
#include <QStyledItemDelegate>

namespace zelo::desk {

namespace {

constexpr int kRow = 32;
constexpr int kLeaf = 48;
constexpr int kPulledOut = 64;
constexpr int kNumberX = 76;
constexpr int kNameX = 116;
constexpr int kOpens = 116; // the foot of the strip
constexpr int kNamed = 180; // narrower: the number alone says which it is
constexpr int kCount = 62;  // of "214 found"

class LeafDelegate : public QStyledItemDelegate {
public:
    LeafDelegate(const SwatchModel& model, const Document& document, QObject* parent)
        : QStyledItemDelegate(parent), model_(model), document_(document) {}

    std::optional<light::Asked> chosen; // what is asked for now

    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override {
        return {200, kRow};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        QPainter& p = *painter;
        const QRect r = option.rect;
        const Swatch& s = model_.swatch(index.row());
        const bool on = s.asked == chosen;
        const bool current = option.state & QStyle::State_HasFocus;
        if (option.state & QStyle::State_MouseOver || current)
            p.fillRect(r, theme().lift);
        const bool named = r.width() >= kNamed;
        const int number_x = named ? kNumberX : kPulledOut + 6;
        const int leaf = on ? kPulledOut : kLeaf;
        if (const auto ribbon = model_.ribbon(index.row()); !ribbon.empty()) {
            for (int x = 0; x < leaf; ++x)
                p.fillRect(
                    r.left() + x, r.top(), 1, kRow - 1,
                    document_.colours().of(ribbon[static_cast<std::size_t>(x) * ribbon.size() /
                                                  static_cast<std::size_t>(leaf)]));
        } else if (const Chip* chip = model_.chip(index.row())) {
            paintSplitChip(p, {r.left(), r.top(), leaf, kRow - 1},
                           document_.colours().of(chip->wanted), document_.colours().of(chip->got),
                           chip->out_of_reach);
            if (r.width() > SwatchPanel::kStrip)
                drawMissMark(p, {r.right() - (named ? 26.0 : 12.0), r.center().y() + 0.5},
                             chip->off);
        } else {
            p.fillRect(r.left(), r.top(), leaf, kRow - 1, theme().glass);
        }
        const int base = r.top() + 20;
        if (model_.favourite(index.row())) // a small pin before the number
            p.fillRect(r.left() + number_x - 7, base - 7, 3, 7, theme().bright);
        if (const auto* palette = document_.show().palette(s.palette)) {
            if (!palette->givesColour() && palette->intensity) { // light standing in a glass
                p.fillRect(r.left(), r.top(), leaf, kRow - 1, theme().glass);
                const int h = static_cast<int>((kRow - 1) * *palette->intensity);
                p.fillRect(r.left(), r.top() + kRow - 1 - h, leaf, h, theme().rule);
            }
            if (palette->locked)
                p.fillRect(r.left() + number_x, base + 6, 14, 3, theme().text);
        }
        if (s.kind == Swatch::Kind::Palette) // its intensity stands before the miss mark
            drawTextRight(p, r.right() - 40, base, s.number, typeface(Type::Small), theme().dim);
        else
            paintNumber(p, r.left() + number_x, base, s.number, on);
        const QFont f = typeface(Type::Work, on);
        const bool palette_row = s.kind == Swatch::Kind::Palette;
        const int x = palette_row || s.number.isEmpty() ? kNumberX : kNameX;
        const QString name = QFontMetrics(f).elidedText(
            s.name, Qt::ElideRight,
            r.width() - x - 40 - (palette_row && !s.number.isEmpty() ? 40 : 0));
        if (named)
            drawText(p, r.left() + x, base, name, f, on ? theme().bright : theme().text);
        if (current)
            drawFocusBrackets(p, r.adjusted(kPulledOut + 6, 3, -8, -4));
    }

private:
    // The digits that were typed are bold.
    void paintNumber(QPainter& p, int x, int base, const QString& number, bool on) const {
        const QString& query = model_.query();
        const auto at = query.isEmpty() ? -1 : number.indexOf(query, 0, Qt::CaseInsensitive);
        const auto end = at < 0 ? 0 : at + query.size();
        for (int i = 0; i < number.size(); ++i) {
            const bool bold = at >= 0 && i >= at && i < end;
            x += drawText(p, x, base, number.mid(i, 1), typeface(Type::Work, bold),
                          bold || on ? theme().bright
                          : at >= 0  ? theme().dim
                                     : theme().text);
        }
    }

    const SwatchModel& model_;
    const Document& document_;
};

} // namespace

QStringList SwatchPanel::kindNames() {
    return {tr("All"), tr("Gels"), tr("Whites"), tr("Palettes"), tr("Measured")};
}

SwatchPanel::SwatchPanel(Document& document, FocusModel& focus, Asking& asking, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus), asking_(asking),
      model_(new SwatchModel(document, this)),
      search_(new TextField(tr("Search the swatch book"),
                            tr("Type a gel's number or name, a kelvin, words such as pale blue, or "
                               "a colour such as xy:0.44,0.40; Enter takes the first (/)"),
                            TextField::Esc::Clears, this)),
      kinds_(new Stations(tr("Kind of colour"), tr("Which kinds the list shows"), kindNames(),
                          QStringList(), true, this)),
      menu_(new Button(tr("more…"), QString(),
                       tr("Order, lamp, second layer, favourites; load a book"), Button::Kind::Text,
                       this)),
      list_(new QListView(this)) {
    kinds_->setSmall(true);
    connect(menu_, &Button::clicked, this, &SwatchPanel::openMenu);
    list_->setContextMenuPolicy(Qt::CustomContextMenu);
    connect(list_, &QListView::customContextMenuRequested, this, [this](const QPoint& at) {
        const auto index = list_->indexAt(at);
        openRowMenu(index.isValid() ? index.row() : list_->currentIndex().row(),
                    list_->viewport()->mapToGlobal(at));
    });
    auto* favourite = new QShortcut(Qt::Key_B, list_);
    favourite->setContext(Qt::WidgetShortcut);
    connect(favourite, &QShortcut::activated, this,
            [this] { toggleFavourite(list_->currentIndex().row()); });
    setAccessibleName(tr("Swatch book"));
    search_->installEventFilter(this);
    list_->setModel(model_);
    list_->setItemDelegate(new LeafDelegate(*model_, document_, list_));
    list_->setFrameShape(QFrame::NoFrame);
    list_->setUniformItemSizes(true);
    list_->setDragEnabled(true);
    list_->setDragDropMode(QAbstractItemView::DragOnly);
    list_->setMouseTracking(true);
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    list_->setAccessibleName(tr("Colours"));
    list_->setToolTip(tr("A click or Enter gives the colour to the lineup; B marks a "
                         "favourite; the menu key opens what else can be done"));
    list_->viewport()->setAutoFillBackground(false);
    list_->setAutoFillBackground(false);
    list_->setStyleSheet(QStringLiteral("QListView { background: transparent; }"));
    list_->verticalScrollBar()->setStyleSheet(scrollBarStyle());

    connect(search_, &QLineEdit::textChanged, this, [this](const QString& text) {
        model_->setQuery(text);
        list_->setCurrentIndex({}); // another question: from the top again
        list_->scrollToTop();
        place(); // the count takes its room
        update();
    });
    // Enter takes the colour and stays, so that the next one can be typed over this.
    connect(search_, &QLineEdit::returnPressed, this, [this] {
        pickRow(0);
        list_->setCurrentIndex(model_->index(0));
        search_->selectAll();
    });
    connect(kinds_, &Stations::stationChosen, this,
            [this](int i) { model_->setFilter(static_cast<SwatchModel::Filter>(i)); });
    // A double click is two clicks and an activation: one pick.
    const auto pick = [this](const QModelIndex& i) {
        if (i.row() == picked_row_ && picked_at_.isValid() &&
            picked_at_.elapsed() < QApplication::doubleClickInterval())
            return;
        picked_row_ = i.row();
        picked_at_.start();
        pickRow(i.row());
    };
    connect(list_, &QListView::clicked, this, pick);
    connect(list_, &QListView::activated, this, pick);
    connect(model_, &SwatchModel::chipsComputed, this, [this] {
        list_->viewport()->update();
        update();
    });
    // Marks and late chips order the rows anew: the keyboard stays on its colour.
    connect(model_, &QAbstractItemModel::modelAboutToBeReset, this, [this] {
        const int row = list_->currentIndex().row();
        current_ = row >= 0 && row < model_->rowCount() ? std::optional(model_->swatch(row).asked)
                                                        : std::nullopt;
        scrolled_ = list_->verticalScrollBar()->value();
    });
    connect(model_, &QAbstractItemModel::modelReset, this, [this] {
        for (int row = 0; current_ && row < model_->rowCount(); ++row)
            if (model_->swatch(row).asked == *current_) {
                list_->selectionModel()->setCurrentIndex(model_->index(row),
                                                         QItemSelectionModel::NoUpdate);
                break;
            }
        list_->doItemsLayout();
        list_->verticalScrollBar()->setValue(scrolled_);
    });
    connect(&focus_, &FocusModel::rowsChanged, this, &SwatchPanel::markChosen);
}

void SwatchPanel::focusSearch() {
    search_->setFocus();
    search_->selectAll();
}

void SwatchPanel::pickRow(int row) {
    if (row < 0 || row >= model_->rowCount())
        return;
    const Swatch& s = model_->swatch(row);
    const show::Palette* palette = document_.show().palette(s.palette);
    if (taker_ && !(palette && palette->gradient) && taker_(model_->askedOf(s.asked), s.palette))
        return;
    if (!palette)
        return asking_.pick(model_->askedOf(s.asked));
    if (document_.lineup().empty())
        return document_.tell(noLampsWords(document_.show()));
    document_.setHand(palette->gradient ? tr("Gradient %1").arg(s.name)
                                        : tr("Palette %1").arg(s.name),
                      show::withPalette(document_.state().hand, document_.lineup(), *palette));
}

void SwatchPanel::toggleFavourite(int row) {
    if (row < 0 || row >= model_->rowCount())
        return;
    const auto asked = model_->swatch(row).asked;
    document_.edit(model_->favourite(row) ? tr("No favourite: %1").arg(said(light::inWords(asked)))
                                          : tr("Favourite: %1").arg(said(light::inWords(asked))),
                   show::toggleFavourite(document_.state().show, asked));
}

Done SwatchPanel::loadBook(const QString& path) {
    if (auto added = document_.addBook(fromQt(path)); !added)
        return added;
    model_->reload();
    QSettings settings;
    auto books = settings.value("swatches/books").toStringList();
    books.removeAll(path);
    settings.setValue("swatches/books", QStringList(path) + books);
    const auto book = document_.library().books().front();
    document_.tell(tr("%1 of %2 loaded, before those already there.")
                       .arg(tr("%n gel(s)", nullptr, static_cast<int>(book->gels.size())))
                       .arg(book->name.empty() ? QFileInfo(path).fileName() : toQt(book->name)));
    return {};
}

Result<light::Asked> SwatchPanel::loadMeasured(const QString& path) {
    std::vector<Sentence> notes;
    const auto light = files::readLight(fromQt(path), &notes);
    if (!light)
        return passOn(light.error());
    QString name = QFileInfo(path).completeBaseName();
    name.replace('+', ' ').replace('@', ' ');
    auto kept = keepMeasured(name, *light);
    if (kept)
        for (const auto& note : notes)
            document_.tell(tr("%1: %2").arg(name, said(note)));
    return kept;
}

Result<light::Asked> SwatchPanel::keepMeasured(const QString& name, const colour::Spectrum& light) {
    const auto next = show::keepMeasured(document_.state().show, fromQt(name), light);
    if (!next)
        return passOn(next.error());
    document_.edit(tr("Measured light %1").arg(name), next);
    return light::AskedMeasured{fromQt(name)};
}

void SwatchPanel::openMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto tick = [](QAction* action, bool on) {
        action->setCheckable(true);
        action->setChecked(on);
        return action;
    };
    const QStringList orders{tr("By number"), tr("By hue"), tr("By transmission"), tr("By miss")};
    for (int i = 0; i < orders.size(); ++i)
        connect(tick(menu->addAction(orders[i]), i == static_cast<int>(model_->sort())),
                &QAction::triggered, this,
                [this, i] { model_->setSort(static_cast<SwatchModel::Sort>(i)); });
    menu->addSeparator();
    auto* lamps = menu->addMenu(tr("Lamp behind the gels"));
    for (const int k : {2700, 2900, 3000, 3200, 4000, 5600, 6500})
        connect(tick(lamps->addAction(tr("%1 K").arg(k)), std::lround(model_->lampK()) == k),
                &QAction::triggered, this, [this, k] {
                    model_->setLampK(k);
                    if (asking_.lampK())
                        asking_.setLampK(k, 0);
                    update();
                });
    auto* layers = menu->addMenu(tr("Second layer"));
    connect(tick(layers->addAction(tr("none")), model_->layer().empty()), &QAction::triggered, this,
            [this] { model_->setLayer({}); });
    const auto wish = focus_.wish();
    if (const auto* gel = wish ? std::get_if<light::AskedGel>(&wish->asked) : nullptr)
        connect(tick(layers->addAction(tr("gel %1, over each").arg(toQt(gel->id))),
                     model_->layer() == gel->id),
                &QAction::triggered, this, [this, id = gel->id] { model_->setLayer(id); });
    else
        layers->addAction(tr("pick a gel first: it can lie over all others"))->setEnabled(false);
    connect(tick(menu->addAction(tr("Favourites only")), model_->favouritesOnly()),
            &QAction::triggered, this, [this](bool on) { model_->setFavouritesOnly(on); });
    menu->addSeparator();
    connect(menu->addAction(tr("Load a swatch book…")), &QAction::triggered, this, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Load a swatch book"), {},
                                                       tr("Swatch books (*.txt *.csv)"));
        if (path.isEmpty())
            return;
        if (const auto done = loadBook(path); !done)
            document_.tell(said(done.error()));
    });
    connect(menu->addAction(tr("Convert the book…")), &QAction::triggered, this, [this] {
        auto* form = window()->findChild<ConvertForm*>(); // one is enough, and goes on
        if (!form)
            form = new ConvertForm(document_, *model_, window());
        form->show();
        form->raise();
        form->activateWindow();
    });
    connect(menu->addAction(tr("Load a measured light…")), &QAction::triggered, this, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Load a measured light"), {},
                                                       tr("Spectra (*.csv *.sp *.txt *.spdx)"));
        if (path.isEmpty())
            return;
        if (const auto done = loadMeasured(path); !done)
            document_.tell(said(done.error()));
    });
    menu->popup(menu_->mapToGlobal(QPoint(0, menu_->height() + 4)));
}

void SwatchPanel::openRowMenu(int row, const QPoint& global) {
    if (QMenu* menu = rowMenu(row))
        menu->popup(global);
}

QMenu* SwatchPanel::rowMenu(int row) {
    if (row < 0 || row >= model_->rowCount())
        return nullptr;
    const Swatch& s = model_->swatch(row);
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& text, auto run) {
        QAction* action = menu->addAction(text);
        connect(action, &QAction::triggered, this, run);
        return action;
    };
    add(model_->favourite(row) ? tr("No favourite any more\tB") : tr("Favourite\tB"),
        [this, row] { toggleFavourite(row); });
    if (const auto* measured = std::get_if<light::AskedMeasured>(&s.asked);
        measured && s.kind == Swatch::Kind::Measured)
        add(tr("Take it out of the show"), [this, name = measured->name] {
            document_.edit(tr("Remove a measured light"),
                           show::removeMeasured(document_.state().show, name));
        });
    const show::Palette* p = document_.show().palette(s.palette);
    if (!p)
        return menu;
    menu->addSeparator();
    const bool free = !p->locked;
    add(tr("Rename…"), [this, copy = *p] { renamePalette(copy); })->setEnabled(free);
    const bool gradient = p->gradient != nullptr;
    add(tr("Becomes what the first of the lineup shows"), [this, copy = *p] {
        if (document_.lineup().empty())
            return document_.tell(noLampsWords(document_.show()));
        const auto value = document_.shown(document_.lineup().front());
        auto next = copy;
        if (next.colour && value.colour)
            next.colour = value.colour;
        if (next.intensity && value.intensity)
            next.intensity = value.intensity;
        document_.edit(tr("Change palette %1").arg(toQt(copy.name)),
                       show::changePalette(document_.state().show, next));
    })->setEnabled(free && !gradient);
    add(p->locked ? tr("Unlock") : tr("Lock"), [this, copy = *p] {
        auto next = copy;
        next.locked = !next.locked;
        document_.edit(next.locked ? tr("Lock %1").arg(toQt(copy.name))
                                   : tr("Unlock %1").arg(toQt(copy.name)),
                       show::changePalette(document_.state().show, next));
    });
    auto* merge = menu->addMenu(tr("Merge into"));
    merge->setEnabled(free);
    for (const auto& [other_id, other] : document_.show().palettes)
        if (other->id != p->id)
            connect(merge->addAction(toQt(other->name)), &QAction::triggered, this,
                    [this, from = p->id, into = other->id, name = toQt(other->name)] {
                        document_.edit(tr("Merge into %1").arg(name),
                                       show::mergePalettes(document_.state(), from, into));
                    });
    auto* where = menu->addMenu(tr("Where it is used"));
    const auto uses = show::usesOf(document_.state(), p->id);
    const auto lampsOf = [&](const QString& text, const std::vector<show::FixtureId>& ids) {
        if (!ids.empty())
            connect(where->addAction(tr("%1: %2").arg(text, lampCount(ids.size()))),
                    &QAction::triggered, this, [this, ids] { document_.setLineup(ids); });
    };
    lampsOf(tr("on stage"), uses.standing);
    lampsOf(tr("in hand"), uses.hand);
    for (const auto& [look, count] : uses.looks)
        where
            ->addAction(
                tr("look %1: %2").arg(toQt(document_.show().lookOf(look)->name), lampCount(count)))
            ->setEnabled(false);
    for (const auto& [list, number] : uses.cues)
        where
            ->addAction(tr("cue %1 of %2")
                            .arg(toQt(show::toText(number)),
                                 toQt(document_.show().cue_lists.find(list)->name)))
            ->setEnabled(false);
    for (const show::PaletteId follower : uses.gradients)
        where->addAction(tr("gradient %1").arg(toQt(document_.show().palette(follower)->name)))
            ->setEnabled(false);
    if (uses.none())
        where->addAction(tr("nowhere"))->setEnabled(false);
    add(tr("Delete…"), [this, id = p->id] { removePalette(id); })->setEnabled(free);
    return menu;
}

void SwatchPanel::renamePalette(const show::Palette& palette) {
    const QString name = QInputDialog::getText(this, tr("Rename"), tr("Name"), QLineEdit::Normal,
                                               toQt(palette.name));
    if (name.isEmpty())
        return;
    auto next = palette;
    next.name = fromQt(name);
    document_.edit(tr("Rename palette to %1").arg(name),
                   show::changePalette(document_.state().show, next));
}

void SwatchPanel::removePalette(show::PaletteId id) {
    const show::Palette* p = document_.show().palette(id);
    if (!p)
        return;
    const auto uses = show::usesOf(document_.state(), id);
    const auto run = [this, id, name = toQt(p->name)] {
        if (document_.edit(tr("Delete palette %1").arg(name),
                           show::removePalette(document_.state(), id, document_.resolve())))
            document_.tell(tr("Palette %1 deleted. Ctrl+Z brings it back.").arg(name));
    };
    if (uses.none())
        return run();
    QStringList lost;
    if (!uses.standing.empty())
        lost << tr("%1 on stage").arg(lampCount(uses.standing.size()));
    if (!uses.hand.empty())
        lost << tr("%1 in hand").arg(lampCount(uses.hand.size()));
    if (!uses.looks.empty())
        lost << tr("%n look(s)", nullptr, static_cast<int>(uses.looks.size()));
    if (!uses.cues.empty())
        lost << tr("%n cue(s)", nullptr, static_cast<int>(uses.cues.size()));
    if (!uses.gradients.empty())
        lost << tr("%n gradient(s)", nullptr, static_cast<int>(uses.gradients.size()));
    auto* box = new QMessageBox(this);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setText(tr("The palette “%2” is used by %1. Its values stay there and follow it no more.")
                     .arg(lost.join(", "), toQt(p->name)));
    auto* gone = box->addButton(tr("Delete it"), QMessageBox::DestructiveRole);
    box->addButton(tr("Keep it"), QMessageBox::RejectRole);
    connect(box, &QMessageBox::buttonClicked, this, [gone, run](QAbstractButton* chosen) {
        if (chosen == gone)
            run();
    });
    box->open();
}

void SwatchPanel::markChosen() {
    model_->setLampK(asking_.lampK().value_or(model_->lampK()));
    const auto wish = focus_.wish();
    std::optional<light::Asked> asked;
    if (wish)
        asked = wish->asked;
    // What follows a palette is that palette's row.
    if (!document_.lineup().empty()) {
        const auto value = document_.shown(document_.lineup().front());
        if (const auto* p = document_.show().palette(value.colour_from))
            asked = light::AskedPalette{p->name};
    }
    if (auto* gel = asked ? std::get_if<light::AskedGel>(&*asked) : nullptr) {
        gel->lamp.clear(); // the book's rows name neither lamp nor layer
        gel->lamp_k.reset();
        if (gel->layer == model_->layer())
            gel->layer.clear();
    }
    auto& chosen = static_cast<LeafDelegate*>(list_->itemDelegate())->chosen;
    if (chosen != asked) {
        chosen = asked;
        for (int row = 0; row < model_->rowCount() && !list_->hasFocus(); ++row)
            if (model_->swatch(row).asked == asked)
                list_->scrollTo(model_->index(row), QAbstractItemView::EnsureVisible);
    }
    list_->viewport()->update();
}

bool SwatchPanel::eventFilter(QObject* watched, QEvent* event) {
    // Down goes on through the list: from the row that Enter took, or from the top.
    if (watched == search_ && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Down && model_->rowCount() > 0) {
        const int next = std::min(list_->currentIndex().row() + 1, model_->rowCount() - 1);
        list_->setFocus();
        list_->setCurrentIndex(model_->index(next));
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

void SwatchPanel::place() {
    const bool named = width() >= kNamed; // folded: what is left is the search and the leaves
    search_->setPlaceholderText(named ? tr("number, name or kelvin") : tr("search"));
    kinds_->setVisible(named);
    menu_->setVisible(named);
    list_->setVerticalScrollBarPolicy(width() > kStrip ? Qt::ScrollBarAsNeeded
                                                       : Qt::ScrollBarAlwaysOff);
    if (width() <= kStrip) { // the search is there for its key
        search_->setGeometry(-400, 0, 200, 24);
        list_->setGeometry(0, 24, 14, height() - 24 - kOpens);
        return;
    }
    if (!named) {
        search_->setGeometry(36, 20, width() - 46, 24);
        list_->setGeometry(0, 56, width(), height() - 60);
        return;
    }
    const int w = menu_->sizeHint().width();
    menu_->setGeometry(width() - 20 - w, 21, w, 22);
    const int room = menu_->x() - 36 - 10;
    search_->setGeometry(36, 20, search_->text().isEmpty() ? room : room - kCount, 24);
    kinds_->setGeometry(20, 50, 220, 34);
    list_->setGeometry(0, 100, width(), height() - 104);
}

void SwatchPanel::mousePressEvent(QMouseEvent* event) {
    if (width() <= kStrip && event->button() == Qt::LeftButton)
        return focusSearch();
    QWidget::mousePressEvent(event);
}

void SwatchPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().side);
    QPalette pal = search_->palette();
    if (pal.color(QPalette::Base) != theme().side) {
        pal.setColor(QPalette::Base, theme().side);
        pal.setColor(QPalette::Text, theme().bright);
        search_->setPalette(pal);
    }
    if (width() <= kStrip) {
        drawPointer(p, {19.5, height() - 14.0}, Points::Right, 10, 7, theme().text);
        p.translate(width() - 8, height() - 28);
        p.rotate(-90);
        drawText(p, 0, 0, tr("Swatch book"), typeface(Type::Small), theme().text);
        return;
    }
    drawText(p, 20, 37, QStringLiteral("/"), typeface(Type::Work), theme().dim);
    p.fillRect(20, 46, width() - 40, 1, search_->hasFocus() ? theme().bright : theme().rule);
    if (width() < kNamed)
        return;
    if (!model_->query().isEmpty())
        drawTextRight(p, menu_->x() - 10, 37, tr("%n found", nullptr, model_->rowCount()),
                      typeface(Type::Small), theme().dim);
    const QString note =
        model_->chipType().isEmpty()
            ? tr("choose lamps to see what they make of it")
            : tr("left wanted, right %1; lamp %2 K")
                      .arg(model_->chipType(), numberText(model_->lampK(), 0)) +
                  (model_->layer().empty() ? QString()
                                           : tr(", under %1").arg(toQt(model_->layer())));
    drawElided(p, 20, 95, width() - 32,
               textWidth(note, typeface(Type::Small)) <= width() - 32
                   ? note
                   : tr("%1; lamp %2 K").arg(model_->chipType(), numberText(model_->lampK(), 0)),
               typeface(Type::Small), theme().dim);
    if (model_->rowCount() == 0 && !model_->trouble().empty())
        drawWrapped(p, QRect(20, 118, width() - 40, 80), said(model_->trouble()),
                    typeface(Type::Small), theme().text);
    else if (model_->rowCount() == 0)
        drawText(p, 20, 130,
                 model_->favouritesOnly() ? tr("No favourites: B on a row marks one.")
                 : model_->filter() == SwatchModel::Filter::Palettes
                     ? tr("No palettes yet: K keeps what is in hand.")
                 : model_->filter() == SwatchModel::Filter::Measured
                     ? tr("None yet: “more…” loads a measured light.")
                     : tr("Nothing found: try a number or a part of a name."),
                 typeface(Type::Small), theme().text);
}

} // namespace zelo::desk
