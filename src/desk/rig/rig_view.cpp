// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/rig_view.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/text_field.h"
#include "desk/kit/watch.h"
#include "desk/rig/type_editor.h"
#include "show/edits.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QLineEdit>
#include <QMenu>
#include <QSortFilterProxyModel>
#include <QSpinBox>
#include <QStyledItemDelegate>
#include <QTableView>
#include <algorithm>

namespace zelo::desk {

namespace {

constexpr int kMargin = 24;
constexpr int kRow = 24;

// Rows are told chosen by a lift and a bar at the left; the cell with the keyboard by brackets. A
// mode is chosen from the type's own.
class PatchDelegate : public QStyledItemDelegate {
public:
    PatchDelegate(Document& document, PatchModel& patch, QSortFilterProxyModel& sorted,
                  QObject* parent)
        : QStyledItemDelegate(parent), document_(document), patch_(patch), sorted_(sorted) {}

    void paint(QPainter* p, const QStyleOptionViewItem& option,
               const QModelIndex& at) const override {
        const bool chosen = option.state & QStyle::State_Selected;
        p->fillRect(option.rect, chosen ? theme().lift : theme().bench);
        p->fillRect(option.rect.left(), option.rect.bottom(), option.rect.width(), 1, theme().hair);
        if (chosen && at.column() == 0)
            p->fillRect(option.rect.left(), option.rect.top(), 3, option.rect.height() - 1,
                        theme().sel);
        const QFont font = at.data(Qt::FontRole).value<QFont>();
        const QColor colour = at.data(Qt::ForegroundRole).value<QColor>();
        const auto align = at.data(Qt::TextAlignmentRole).value<Qt::Alignment>();
        QRect room = option.rect.adjusted(8, 0, -8, 0);
        const auto id = patch_.idAt(sorted_.mapToSource(at).row());
        if (at.column() == PatchModel::Note && !patch_.faultText(id).isEmpty()) {
            p->setPen(QPen(theme().bright, 1)); // two squares over each other: a clash
            p->setBrush(Qt::NoBrush);
            const int y = room.center().y() - 5;
            p->drawRect(room.left(), y, 7, 7);
            p->drawRect(room.left() + 4, y + 4, 7, 7);
            room.adjust(20, 0, 0, 0);
        }
        p->setFont(font);
        p->setPen(colour);
        p->drawText(
            room, static_cast<int>(align),
            QFontMetrics(font).elidedText(at.data().toString(), Qt::ElideRight, room.width()));
        if (option.state & QStyle::State_HasFocus)
            drawFocusBrackets(*p, option.rect.adjusted(6, 5, -6, -6));
    }

    QWidget* createEditor(QWidget* parent, const QStyleOptionViewItem& option,
                          const QModelIndex& at) const override {
        if (at.column() != PatchModel::Mode)
            return QStyledItemDelegate::createEditor(parent, option, at);
        auto* box = new QComboBox(parent);
        const auto* f = document_.show().fixture(patch_.idAt(sorted_.mapToSource(at).row()));
        const auto type = f ? document_.library().type(f->type) : nullptr;
        for (const auto& mode : type ? type->modes : std::vector<light::Mode>{})
            box->addItem(toQt(mode.name));
        box->setCurrentText(at.data(Qt::EditRole).toString());
        return box;
    }

    void setModelData(QWidget* editor, QAbstractItemModel* model,
                      const QModelIndex& at) const override {
        if (const auto* box = qobject_cast<QComboBox*>(editor))
            model->setData(at, box->currentText(), Qt::EditRole);
        else if (const auto* line = qobject_cast<QLineEdit*>(editor))
            model->setData(at, line->text(), Qt::EditRole);
        else
            QStyledItemDelegate::setModelData(editor, model, at);
    }

private:
    Document& document_;
    PatchModel& patch_;
    QSortFilterProxyModel& sorted_;
};

} // namespace

RigView::RigView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), patch_(new PatchModel(document, this)),
      sorted_(new QSortFilterProxyModel(this)), plan_(new Plan(document, this)),
      strip_(new UniverseStrip(document, *patch_, this)), table_(new QTableView(this)),
      filter_(new TextField(tr("Filter of the patch"), tr("Only rows that hold these letters"),
                            TextField::Esc::Clears, this)),
      beams_(new Button(tr("hide light"), {}, tr("Show the light of each lamp on the plan, or not"),
                        Button::Kind::Text, this)),
      fit_(new Button(tr("fit"), "F", tr("All lamps in view"), Button::Kind::Text, this)),
      add_(new Button(tr("Add lamps…"), "Ins", tr("New lamps by type, mode, count and address"),
                      Button::Kind::Plain, this)),
      resolve_(new Button(tr("Move what clashes to free slots"), {},
                          tr("Each lamp that overlaps another or runs past slot 512 goes to the "
                             "next free place, in one step"),
                          Button::Kind::Next, this)),
      layers_(new Button(tr("layers"), {},
                         tr("Which groups are drawn on the plan; the others are out of the way"),
                         Button::Kind::Text, this)),
      arrange_(new Button(tr("arrange"), {}, tr("Align, spread, turn or pan the chosen lamps"),
                          Button::Kind::Text, this)),
      type_editor_(new TypeEditor(document, this)) {
    setAccessibleName(tr("Rig"));
    makeTable();
    connect(beams_, &Button::clicked, this, [this] {
        plan_->setBeams(!plan_->beams());
        beams_->setText(plan_->beams() ? tr("hide light") : tr("show light"));
        place();
    });
    connect(fit_, &Button::clicked, plan_, &Plan::fit);
    connect(arrange_, &Button::clicked, this, [this] {
        auto* menu = new QMenu(this);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        const auto add = [&](const QString& text, Plan::Arrange how) {
            connect(menu->addAction(text), &QAction::triggered, plan_,
                    [this, how] { plan_->arrange(how); });
        };
        add(tr("Align in a row\tR"), Plan::Arrange::Row);
        add(tr("Spread evenly\tE"), Plan::Arrange::Even);
        add(tr("Turn left\t["), Plan::Arrange::TurnLeft);
        add(tr("Turn right\t]"), Plan::Arrange::TurnRight);
        add(tr("Pan beams left\t,"), Plan::Arrange::PanLeft);
        add(tr("Pan beams right\t."), Plan::Arrange::PanRight);
        menu->popup(arrange_->mapToGlobal(QPoint(0, arrange_->height() + 4)));
    });
    connect(layers_, &Button::clicked, this, &RigView::openLayers);
    connect(add_, &Button::clicked, this, &RigView::askAdd);
    connect(resolve_, &Button::clicked, patch_, &PatchModel::resolveFaults);
    connect(strip_, &UniverseStrip::fixturePressed, this,
            [this](show::FixtureId id, Qt::KeyboardModifiers keys) {
                plan_->choose({id}, keys & Qt::ControlModifier ? Plan::How::Toggle
                                    : keys & Qt::ShiftModifier ? Plan::How::Add
                                                               : Plan::How::Only);
            });
    watch(document_, this, Change::Rig | Change::Types, [this] { patch_->refresh(); });
    watch(document_, this, Change::Lineup, [this] { lineupToTable(); });
    connect(sorted_, &QAbstractItemModel::modelReset, this, &RigView::lineupToTable);
    watch(document_, this, Change::Rig | Change::Types, [this] {
        place();
        update();
    });
}

void RigView::makeTable() {
    sorted_->setSourceModel(patch_);
    sorted_->setFilterKeyColumn(-1);
    sorted_->setFilterCaseSensitivity(Qt::CaseInsensitive);
    sorted_->setSortRole(Qt::EditRole);
    table_->setModel(sorted_);
    table_->setItemDelegate(new PatchDelegate(document_, *patch_, *sorted_, table_));
    table_->setAccessibleName(tr("Patch"));
    table_->setToolTip(tr("The patch: Enter or a double press edits a cell, for all chosen rows"));
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setShowGrid(false);
    table_->setFrameShape(QFrame::NoFrame);
    table_->setSortingEnabled(true);
    table_->sortByColumn(PatchModel::Number, Qt::AscendingOrder);
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(kRow);
    table_->verticalHeader()->setMinimumSectionSize(kRow);
    table_->setHorizontalScrollMode(QAbstractItemView::ScrollPerPixel);
    table_->setTabKeyNavigation(false);
    auto* head = table_->horizontalHeader();
    head->setStretchLastSection(true);
    head->setHighlightSections(false);
    head->setFont(typeface(Type::Small));
    const int widths[] = {52, 70, 84, 120, 50, 66, 72, 60};
    for (int c = 0; c < PatchModel::Note; ++c)
        head->resizeSection(c, widths[c]);
    style();
    filter_->setPlaceholderText(tr("filter"));
    filter_->setClearButtonEnabled(true);
    connect(filter_, &QLineEdit::textChanged, this, [this](const QString& text) {
        following_ = true; // rows that go out of sight stay in the lineup
        sorted_->setFilterFixedString(text);
        following_ = false;
        lineupToTable();
    });
    patch_->chosen = [this] { return chosenInTable(); };
    connect(table_->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &RigView::tableToLineup);
    // A press on the one row that is chosen already changes no selection, but may end a longer one.
    connect(table_, &QTableView::clicked, this, &RigView::tableToLineup);
    table_->setEditTriggers(QAbstractItemView::DoubleClicked | QAbstractItemView::AnyKeyPressed);
}

void RigView::style() {
    table_->horizontalHeader()->setFont(typeface(Type::Small));
    setStyleSheet(
        QStringLiteral("QTableView{background:%1;border:0}"
                       "QHeaderView{background:%1;border:0}"
                       "QHeaderView::section{background:%1;color:%2;border:0;padding:0 8px}"
                       "QHeaderView::up-arrow,QHeaderView::down-arrow{image:none;width:0}"
                       "QLineEdit{background:%3;color:%4;border:0;padding:0 6px}")
            .arg(theme().bench.name(), theme().dim.name(), theme().well.name(),
                 theme().bright.name()) +
        scrollBarStyle());
}

bool RigView::event(QEvent* event) {
    if (event->type() == QEvent::ThemeChange)
        style();
    return QWidget::event(event);
}

std::vector<show::FixtureId> RigView::chosenInTable() const {
    std::vector<show::FixtureId> ids;
    for (int row = 0; row < sorted_->rowCount(); ++row) // in the order that is seen
        if (table_->selectionModel()->isRowSelected(row, {}))
            ids.push_back(patch_->idAt(sorted_->mapToSource(sorted_->index(row, 0)).row()));
    return ids;
}

void RigView::tableToLineup() {
    if (following_)
        return;
    // What was chosen before keeps its order; new rows follow in the order that is seen.
    const auto chosen = chosenInTable();
    show::Lineup lineup;
    const bool more = QApplication::keyboardModifiers() & (Qt::ControlModifier | Qt::ShiftModifier);
    const auto outOfSight = [&](show::FixtureId id) {
        return !sorted_->mapFromSource(patch_->index(patch_->rowOf(id), 0)).isValid();
    };
    for (const auto id : document_.lineup())
        if (std::find(chosen.begin(), chosen.end(), id) != chosen.end() || (more && outOfSight(id)))
            lineup.push_back(id);
    for (const auto id : chosen)
        if (std::find(lineup.begin(), lineup.end(), id) == lineup.end())
            lineup.push_back(id);
    following_ = true;
    document_.setLineup(std::move(lineup));
    following_ = false;
}

void RigView::lineupToTable() {
    if (!document_.lineup().empty())
        if (const auto* f = document_.show().fixture(document_.lineup().front()))
            strip_->setUniverse(f->universe);
    if (following_)
        return;
    following_ = true;
    QModelIndex first;
    std::vector<int> rows;
    for (const auto id : document_.lineup())
        if (const int row = patch_->rowOf(id); row >= 0) {
            const auto at = sorted_->mapFromSource(patch_->index(row, 0));
            if (at.isValid())
                rows.push_back(at.row());
            if (!first.isValid())
                first = at;
        }
    // Runs of rows, not single ones: the table asks every range for every cell.
    std::sort(rows.begin(), rows.end());
    QItemSelection chosen;
    for (std::size_t i = 0; i < rows.size();) {
        std::size_t end = i;
        while (end + 1 < rows.size() && rows[end + 1] == rows[end] + 1)
            ++end;
        chosen.append(QItemSelectionRange(sorted_->index(rows[i], 0),
                                          sorted_->index(rows[end], PatchModel::kColumns - 1)));
        i = end + 1;
    }
    table_->selectionModel()->select(chosen, QItemSelectionModel::ClearAndSelect |
                                                 QItemSelectionModel::Rows);
    if (first.isValid())
        table_->scrollTo(first, QAbstractItemView::PositionAtTop);
    following_ = false;
}

void RigView::openLayers() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& [id, group] : document_.show().groups) {
        QAction* action = menu->addAction(toQt(group->name));
        action->setCheckable(true);
        action->setChecked(!plan_->hidden(id));
        connect(action, &QAction::triggered, this, [this, id = id](bool on) {
            plan_->setHidden(id, !on);
            update();
        });
    }
    if (menu->isEmpty())
        menu->addAction(tr("No groups yet: Shift+G makes one from the lineup"))->setEnabled(false);
    menu->popup(layers_->mapToGlobal(QPoint(0, layers_->height() + 4)));
}

void RigView::copyPatch() {
    if (!isVisible())
        patch_->refresh(); // it was not looked at since
    auto ids = chosenInTable();
    for (int row = 0; ids.empty() && row < patch_->rowCount(); ++row)
        ids.push_back(patch_->idAt(row));
    QApplication::clipboard()->setText(toQt(show::patchText(document_.show(), ids)));
    document_.tell(tr("%1 copied, for a spreadsheet").arg(lampCount(ids.size())));
}

void RigView::pastePatch() {
    const auto text = fromQt(QApplication::clipboard()->text());
    show::Lineup added;
    const auto next = show::addFromText(document_.state().show, text, &added);
    const auto name = tr("Paste %1").arg(lampCount(added.size()));
    if (!document_.edit(name, next))
        return;
    document_.setLineup(std::move(added));
}

void RigView::removeChosen() {
    const auto ids = document_.lineup();
    if (ids.empty())
        return;
    const auto name = tr("Remove %1").arg(lampCount(ids.size()));
    const auto next = show::removeFixtures(document_.state(), ids);
    if (!document_.edit(name, next))
        return;
    document_.tell(tr("%1. Ctrl+Z brings them back.").arg(name));
}

void RigView::add(const show::AddWish& wish, const std::string& group) {
    show::Lineup added;
    auto next = show::addMany(document_.state().show, wish, &added);
    if (next && !group.empty())
        next = show::addGroup(*next, group, added);
    const auto name = tr("Add %1").arg(lampCount(wish.count));
    if (!document_.edit(name, next))
        return;
    document_.setLineup(std::move(added));
}

void RigView::askAdd() {
    auto* form = new QDialog(this);
    form->setAttribute(Qt::WA_DeleteOnClose);
    form->setWindowTitle(tr("Add lamps"));
    auto* rows = new QFormLayout(form);
    auto* type = new QComboBox(form);
    auto* mode = new QComboBox(form);
    const auto spin = [form](int least, int most, int value) {
        auto* s = new QSpinBox(form);
        s->setRange(least, most);
        s->setValue(value);
        return s;
    };
    int number = 0;
    for (const auto& [id, f] : document_.show().fixtures)
        number = std::max(number, f->number);
    auto* count = spin(1, 2000, 1);
    auto* first = spin(1, 1'000'000, number + 1);
    auto* universe = spin(1, light::kLastUniverse, strip_->universe());
    auto* address = spin(1, show::kSlotsInUniverse, 1);
    auto* group = new QLineEdit(form);
    group->setPlaceholderText(tr("none"));
    group->setToolTip(tr("A name makes a group of them, in the same step"));
    auto* spacing = spin(0, show::kSlotsInUniverse, 0);
    spacing->setSpecialValueText(tr("no gap"));
    const auto types = document_.library().types();
    for (const auto& t : types)
        type->addItem(toQt(t->name), toQt(t->id));
    const auto chosen = [=]() -> std::pair<std::shared_ptr<const light::FixtureType>, int> {
        if (type->currentIndex() < 0)
            return {};
        const auto t = types[static_cast<std::size_t>(type->currentIndex())];
        const auto* m = t->mode(fromQt(mode->currentText()));
        return {t, m ? m->footprint : 1};
    };
    const auto offerAddress = [=, this] {
        const auto free = show::nextFree(document_.show(), patch_->slotsOf(),
                                         std::min(512, chosen().second * count->value()),
                                         {static_cast<std::uint16_t>(universe->value()), 1});
        if (free && free->universe == universe->value())
            address->setValue(free->slot);
    };
    const auto offerModes = [=] {
        mode->clear();
        if (const auto t = chosen().first)
            for (const auto& m : t->modes)
                mode->addItem(toQt(m.name));
    };
    connect(type, &QComboBox::currentIndexChanged, form, [=] {
        offerModes();
        offerAddress();
    });
    connect(mode, &QComboBox::currentIndexChanged, form, offerAddress);
    connect(count, &QSpinBox::valueChanged, form, offerAddress);
    connect(universe, &QSpinBox::valueChanged, form, offerAddress);
    offerModes();
    offerAddress();
    rows->addRow(tr("Type"), type);
    rows->addRow(tr("Mode"), mode);
    rows->addRow(tr("How many"), count);
    rows->addRow(tr("Numbers from"), first);
    rows->addRow(tr("Universe"), universe);
    rows->addRow(tr("First address"), address);
    rows->addRow(tr("Slots from lamp to lamp"), spacing);
    rows->addRow(tr("Group"), group);
    auto* buttons = new QDialogButtonBox(form);
    buttons->addButton(tr("Add"), QDialogButtonBox::AcceptRole);
    buttons->addButton(tr("Not now"), QDialogButtonBox::RejectRole);
    rows->addRow(buttons);
    connect(buttons, &QDialogButtonBox::rejected, form, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, form, [=, this] {
        const auto [t, footprint] = chosen();
        if (t) {
            show::AddWish wish;
            wish.like.type = t->id;
            wish.like.mode = fromQt(mode->currentText());
            wish.like.number = first->value();
            wish.like.universe = static_cast<std::uint16_t>(universe->value());
            wish.like.address = address->value();
            wish.count = count->value();
            wish.footprint = footprint;
            wish.spacing = spacing->value();
            wish.like.place.x_m = -0.5 * (wish.count - 1);
            add(wish, fromQt(group->text().trimmed()));
        }
        form->accept();
    });
    form->open();
}

void RigView::place() {
    const int w = width() - 2 * kMargin;
    const bool faulty = !patch_->faults().clashes.empty() || !patch_->faults().past_end.empty();
    fit_->setGeometry(kMargin + w - fit_->sizeHint().width(), 20, fit_->sizeHint().width(), 24);
    beams_->setGeometry(fit_->x() - 16 - beams_->sizeHint().width(), 20, beams_->sizeHint().width(),
                        24);
    arrange_->setGeometry(beams_->x() - 16 - arrange_->sizeHint().width(), 20,
                          arrange_->sizeHint().width(), 24);
    layers_->setGeometry(arrange_->x() - 16 - layers_->sizeHint().width(), 20,
                         layers_->sizeHint().width(), 24);
    const int plan_height = std::max(160, (height() - 52) * 52 / 100);
    plan_->setGeometry(0, 52, width(), plan_height);
    int y = 52 + plan_height + 12;
    strip_->setGeometry(kMargin, y, w, strip_->height());
    y += strip_->height() + 8;
    const int buttons = height() - 40;
    table_->setGeometry(0, y, width(), std::max(60, buttons - 8 - y));
    add_->setGeometry(kMargin, buttons, add_->sizeHint().width(), 28);
    filter_->setGeometry(width() - kMargin - 160, buttons + 2, 160, 24);
    resolve_->setVisible(faulty);
    resolve_->setGeometry(add_->geometry().right() + 16, buttons, resolve_->sizeHint().width(), 28);
}

void RigView::showEvent(QShowEvent*) { // rows scroll to what is chosen once there is room
    QMetaObject::invokeMethod(this, &RigView::lineupToTable, Qt::QueuedConnection);
}

void RigView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const int w = drawText(p, kMargin, 36, tr("Plan"), typeface(Type::Title), theme().bright);
    const auto chosen = static_cast<int>(document_.lineup().size());
    QString sum = lampCount(document_.show().fixtures.size());
    if (chosen)
        sum += tr(", %1 chosen in order").arg(chosen);
    if (const auto gone = plan_->outOfSight())
        sum += tr(", %1 out of sight").arg(gone);
    drawElided(p, kMargin + w + 14, 36, layers_->x() - kMargin - w - 24, sum, typeface(Type::Small),
               theme().dim);
}

} // namespace zelo::desk
