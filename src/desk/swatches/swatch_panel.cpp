// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/swatches/swatch_panel.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "desk/match/match_model.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QListView>
#include <QScrollBar>
#include <QStyledItemDelegate>

namespace zelo::desk {

namespace {

constexpr int kRow = 32;
constexpr int kLeaf = 48;
constexpr int kPulledOut = 64;
constexpr int kNumberX = 76;
constexpr int kNameX = 116;

class LeafDelegate : public QStyledItemDelegate {
public:
    LeafDelegate(const SwatchModel& model, const Document& document, QObject* parent)
        : QStyledItemDelegate(parent), model_(model), document_(document) {}

    std::string chosen; // what is asked for now

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
        const int leaf = on ? kPulledOut : kLeaf;
        if (const Chip* chip = model_.chip(index.row())) {
            p.fillRect(r.left(), r.top(), leaf / 2, kRow - 1, document_.colours().of(chip->wanted));
            const QRect got(r.left() + leaf / 2, r.top(), leaf - leaf / 2, kRow - 1);
            p.fillRect(got, document_.colours().of(chip->got));
            if (chip->out_of_reach)
                drawHatch(p, got);
            drawMissMark(p, {r.right() - 26.0, r.center().y() + 0.5}, chip->off);
        } else {
            p.fillRect(r.left(), r.top(), leaf, kRow - 1, theme().glass);
        }
        const int base = r.top() + 20;
        paintNumber(p, r.left() + kNumberX, base, s.number, on);
        const QFont f = typeface(Type::Work, on);
        const QString name =
            QFontMetrics(f).elidedText(s.name, Qt::ElideRight, r.width() - kNameX - 40);
        drawText(p, r.left() + kNameX, base, name, f, on ? theme().bright : theme().text);
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

SwatchPanel::SwatchPanel(Document& document, MatchModel& match, QWidget* parent)
    : QWidget(parent), document_(document), match_(match), model_(new SwatchModel(document, this)),
      search_(new QLineEdit(this)),
      kinds_(new Stations(tr("Kind of colour"), tr("Which kinds the list shows"),
                          {tr("All"), tr("Gels"), tr("Whites")}, {}, false, this)),
      list_(new QListView(this)) {
    setFixedWidth(260);
    setAccessibleName(tr("Swatch book"));
    search_->setFrame(false);
    search_->setPlaceholderText(tr("number, name or kelvin"));
    search_->setAccessibleName(tr("Search the swatch book"));
    search_->setToolTip(tr("Type a gel's number or name, a kelvin, or a colour such as "
                           "xy:0.44,0.40; Enter takes the first (/)"));
    search_->installEventFilter(this);
    list_->setModel(model_);
    list_->setItemDelegate(new LeafDelegate(*model_, document_, list_));
    list_->setFrameShape(QFrame::NoFrame);
    list_->setUniformItemSizes(true);
    list_->setMouseTracking(true);
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    list_->setAccessibleName(tr("Colours"));
    list_->setToolTip(tr("A click or Enter gives the colour to the lineup"));
    list_->viewport()->setAutoFillBackground(false);
    list_->setAutoFillBackground(false);
    list_->setStyleSheet(QStringLiteral("QListView { background: transparent; }"));
    list_->verticalScrollBar()->setStyleSheet(
        QStringLiteral("QScrollBar:vertical { background: transparent; width: 8px; margin: 0; }"
                       "QScrollBar::handle:vertical { background: #555555; min-height: 24px; }"
                       "QScrollBar::add-line, QScrollBar::sub-line { height: 0; }"
                       "QScrollBar::add-page, QScrollBar::sub-page { background: none; }"));

    connect(search_, &QLineEdit::textChanged, this, [this](const QString& text) {
        model_->setQuery(text);
        list_->scrollToTop();
        resizeEvent(nullptr); // the count takes its room
        update();
    });
    connect(search_, &QLineEdit::returnPressed, this, [this] { pickRow(0); });
    connect(kinds_, &Stations::stationChosen, this,
            [this](int i) { model_->setFilter(static_cast<SwatchModel::Filter>(i)); });
    connect(list_, &QListView::clicked, this, [this](const QModelIndex& i) { pickRow(i.row()); });
    connect(list_, &QListView::activated, this, [this](const QModelIndex& i) { pickRow(i.row()); });
    connect(model_, &SwatchModel::chipsComputed, this, [this] {
        list_->viewport()->update();
        update();
    });
    connect(&match_, &MatchModel::rowsChanged, this, &SwatchPanel::markChosen);
}

void SwatchPanel::focusSearch() {
    search_->setFocus();
    search_->selectAll();
}

void SwatchPanel::pickRow(int row) {
    if (row < 0 || row >= model_->rowCount())
        return;
    match_.pick(model_->swatch(row).asked);
}

void SwatchPanel::markChosen() {
    model_->setLampK(match_.lampK().value_or(model_->lampK()));
    const auto wish = match_.wish();
    std::string asked = wish ? wish->asked : std::string();
    if (auto gel = light::parseGelText(asked)) {
        gel->lamp.clear(); // the book's rows do not name a lamp
        asked = light::toText(*gel);
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
    if (watched == search_ && event->type() == QEvent::ShortcutOverride &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        event->accept(); // Esc is for the field first, then for what is in hand
        return true;
    }
    if (watched == search_ && event->type() == QEvent::KeyPress) {
        auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_Down && model_->rowCount() > 0) {
            list_->setFocus();
            list_->setCurrentIndex(model_->index(0));
            return true;
        }
        if (key->key() == Qt::Key_Escape) { // first the text, then the field
            if (!search_->text().isEmpty())
                search_->clear();
            else
                search_->clearFocus();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void SwatchPanel::resizeEvent(QResizeEvent*) {
    search_->setGeometry(36, 20, search_->text().isEmpty() ? 204 : 120, 24);
    kinds_->setGeometry(20, 50, 220, 34);
    list_->setGeometry(0, 100, width(), height() - 104);
}

void SwatchPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    QPalette pal = search_->palette();
    if (pal.color(QPalette::Base) != theme().side) {
        pal.setColor(QPalette::Base, theme().side);
        pal.setColor(QPalette::Text, theme().bright);
        search_->setPalette(pal);
    }
    drawText(p, 20, 37, QStringLiteral("/"), typeface(Type::Work), theme().dim);
    p.fillRect(20, 46, width() - 40, 1, search_->hasFocus() ? theme().bright : theme().rule);
    if (!model_->query().isEmpty())
        drawTextRight(p, width() - 20, 37, tr("%n found", nullptr, model_->rowCount()),
                      typeface(Type::Small), theme().dim);
    const QString note = model_->chipType().isEmpty()
                             ? tr("choose lamps to see what they make of it")
                             : tr("at %1 K: wanted, got by %2")
                                   .arg(numberText(model_->lampK(), 0), model_->chipType());
    drawText(p, 20, 95, note, typeface(Type::Small), theme().dim);
    if (model_->rowCount() == 0)
        drawText(p, 20, 130, tr("Nothing found: try a number or a part of a name."),
                 typeface(Type::Small), theme().text);
}

} // namespace zelo::desk
