// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/remote/remote_page.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/keys.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "desk/remote/remote_model.h"

#include <QFileDialog>
#include <QHeaderView>
#include <QKeyEvent>
#include <QTableWidget>

namespace zelo::desk {

namespace {
constexpr int kWidth = 820, kMargin = 24;
constexpr int kTop = 136; // of the table
constexpr int kFoot = 64;
constexpr int kWhat = 250, kStands = 90;

// Enter learns and Del forgets here, whatever they do in the view below.
class Lines : public QTableWidget, public OwnKeys {
public:
    using QTableWidget::QTableWidget;
    bool claims(const QKeyEvent& key) const override {
        const int k = key.key();
        return isEnter(key) || isArrow(key) || k == Qt::Key_Delete || k == Qt::Key_Backspace ||
               k == Qt::Key_Home || k == Qt::Key_End;
    }
};
} // namespace

RemotePage::RemotePage(RemoteModel& model, QWidget* window)
    : Overlay(window), model_(model),
      osc_(new Stations(tr("OSC listens"),
                        tr("Whether this program hears OSC, and from where. On the network anybody "
                           "there can move what is on this page."),
                        {tr("nowhere"), tr("this computer"), tr("network")}, {}, false, this)),
      port_(new NumberField(tr("Port of OSC"), tr("To which OSC is sent"), {1, 65535, 1, 0}, {},
                            this)),
      table_(new Lines(0, kColumns, this)),
      learn_(new Button(tr("Learn"), tr("Enter"),
                        tr("The fader, wheel or key that is moved next does the chosen thing; "
                           "pressed once more it does not"),
                        Button::Kind::Next, this)),
      forget_(new Button(tr("Forget"), tr("Del"), tr("Nothing moves the chosen thing any more"),
                         Button::Kind::Plain, this)),
      export_(new Button(tr("Into a file…"), {}, tr("The table, for another computer"),
                         Button::Kind::Plain, this)),
      import_(new Button(tr("From a file…"), {}, tr("A table that was put into a file"),
                         Button::Kind::Plain, this)) {
    setAccessibleName(tr("MIDI and OSC"));
    setToolTip(tr("Faders, wheels and keys outside the program; Esc closes"));
    table_->setAccessibleName(tr("What can be moved from outside"));
    table_->setToolTip(tr("Choose a line, press Enter and move a fader, wheel or key: from then on "
                          "it does that. Del forgets it."));
    table_->setHorizontalHeaderLabels({tr("what"), tr("moved by"), tr("stands at")});
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->horizontalHeader()->setSectionResizeMode(By, QHeaderView::Stretch);
    table_->horizontalHeader()->resizeSection(What, kWhat);
    table_->horizontalHeader()->resizeSection(Stands, kStands);
    table_->installEventFilter(this);
    styleTable(*table_);
    connect(table_, &QTableWidget::itemSelectionChanged, this, [this] { refresh(); });
    connect(table_, &QTableWidget::cellDoubleClicked, this, [this] { learn(); });
    connect(osc_, &Stations::stationChosen, this, [this](int where) {
        model_.setOsc(static_cast<remote::Listens>(where), static_cast<int>(port_->value()));
    });
    connect(port_, &NumberField::valueEdited, this, [this](double port) {
        model_.setOsc(model_.bindings().osc, static_cast<int>(std::lround(port)));
    });
    connect(learn_, &Button::clicked, this, &RemotePage::learn);
    connect(forget_, &Button::clicked, this, &RemotePage::forget);
    connect(export_, &Button::clicked, this, [this] {
        const QString path = QFileDialog::getSaveFileName(this, tr("Controls into a file"),
                                                          "controls.json", tr("Controls (*.json)"));
        if (!path.isEmpty())
            model_.write(path);
    });
    connect(import_, &Button::clicked, this, [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("Controls from a file"), {},
                                                          tr("Controls (*.json);;All files (*)"));
        if (!path.isEmpty())
            model_.read(path);
    });
    watch(model_, &RemoteModel::changed, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Light | Change::Controls, [this] { refresh(); });
    hide();
}

void RemotePage::open() {
    Overlay::open();
    refresh();
    if (!table_->selectedItems().isEmpty() || table_->rowCount() == 0)
        return table_->setFocus();
    table_->selectRow(0);
    table_->setFocus();
}

void RemotePage::hideEvent(QHideEvent* event) {
    if (model_.learning())
        model_.learn({});
    Overlay::hideEvent(event);
}

const remote::Action* RemotePage::chosen() const {
    const int row = table_->currentRow();
    return row >= 0 && static_cast<std::size_t>(row) < shown_.size()
               ? &shown_[static_cast<std::size_t>(row)]
               : nullptr;
}

void RemotePage::learn() {
    const auto* action = chosen();
    if (!action)
        return;
    model_.learn(model_.learning() == *action ? std::nullopt : std::optional(*action));
}

void RemotePage::forget() {
    if (const auto* action = chosen())
        model_.forget(remote::Action(*action));
}

void RemotePage::refresh() {
    shown_ = model_.actions();
    table_->setRowCount(static_cast<int>(shown_.size()));
    const auto put = [&](int row, int column, const QString& text) {
        if (!table_->item(row, column))
            table_->setItem(row, column, new QTableWidgetItem);
        if (table_->item(row, column)->text() != text)
            table_->item(row, column)->setText(text);
    };
    for (int row = 0; row < table_->rowCount(); ++row) {
        const auto& action = shown_[static_cast<std::size_t>(row)];
        const QString by = model_.boundTo(action);
        const auto now = model_.standing(action);
        put(row, What, model_.nameOf(action));
        put(row, By, model_.learning() == action ? tr("move it now…") : by);
        put(row, Stands,
            !now                   ? QString()
            : model_.waits(action) ? tr("%1 %, waits").arg(std::lround(100 * *now))
            : remote::wayOf(action.does) == remote::Way::Key
                ? (*now > 0 ? tr("on") : QString())
                : tr("%1 %").arg(std::lround(100 * *now)));
    }
    const auto* action = chosen();
    learn_->setText(model_.learning() ? tr("Do not learn") : tr("Learn"));
    learn_->setEnabled(action);
    forget_->setEnabled(action && !model_.boundTo(*action).isEmpty());
    osc_->setChosen(static_cast<int>(model_.bindings().osc));
    port_->setValue(model_.bindings().osc_port);
    update();
}

bool RemotePage::eventFilter(QObject* watched, QEvent* event) {
    if (watched == table_ && event->type() == QEvent::KeyPress) {
        const auto key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Return || key == Qt::Key_Enter) {
            learn();
            return true;
        }
        if (key == Qt::Key_Delete || key == Qt::Key_Backspace) {
            forget();
            return true;
        }
    }
    return Overlay::eventFilter(watched, event);
}

QRect RemotePage::sheet() const {
    const int wide = std::min(kWidth, width());
    return {(width() - wide) / 2, 12, wide, height() - 24};
}

void RemotePage::resizeEvent(QResizeEvent*) {
    const QRect s = sheet();
    const int left = s.left() + kMargin;
    osc_->setGeometry(left + 60, s.top() + 84, osc_->sizeHint().width(), osc_->sizeHint().height());
    port_->setGeometry(osc_->geometry().right() + 60, s.top() + 82, 64, 24);
    table_->setGeometry(left, s.top() + kTop, s.width() - 2 * kMargin, s.height() - kTop - kFoot);
    int x = left;
    for (Button* b : {learn_, forget_, export_, import_}) {
        const int wide = b == learn_ ? std::max(160, b->sizeHint().width()) : b->sizeHint().width();
        b->setGeometry(x, s.bottom() - 46, wide, 28);
        x = b->geometry().right() + 12;
    }
}

void RemotePage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const QRect s = sheet();
    const int left = s.left() + kMargin;
    drawEnds(p, left, s.right() - kMargin, s.top() + 32,
             {tr("MIDI and OSC"), typeface(Type::Title), theme().bright, tr("Esc closes"),
              typeface(Type::Small), theme().dim});
    const QStringList devices = model_.devices();
    drawText(p, left, s.top() + 64, tr("MIDI"), typeface(Type::Work), theme().text);
    drawElided(p, left + 60, s.top() + 64, s.width() - 2 * kMargin - 60,
               !model_.midi() ? tr("this computer has none")
               : devices.isEmpty()
                   ? tr("no device is plugged in: they are heard as soon as they are")
                   : devices.join(QStringLiteral(", ")),
               typeface(Type::Work), devices.isEmpty() ? theme().dim : theme().bright);
    drawText(p, left, s.top() + 100, tr("OSC"), typeface(Type::Work), theme().text);
    drawTextRight(p, port_->x() - 8, s.top() + 100, tr("port"), typeface(Type::Small), theme().dim);
    drawElided(p, port_->geometry().right() + 16, s.top() + 100,
               s.right() - kMargin - port_->geometry().right() - 16, model_.oscWords(),
               typeface(Type::Small), theme().dim);
}

} // namespace zelo::desk
