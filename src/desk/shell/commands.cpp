// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/commands.h"

#include "desk/kit/theme.h"

#include <QHeaderView>
#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QTableWidget>
#include <QVBoxLayout>

namespace zelo::desk {

void bindCommands(const std::vector<Command>& commands, QWidget* window) {
    for (const Command& c : commands) {
        auto* action = new QAction(c.text, window);
        if (!c.key.isEmpty())
            action->setShortcut(QKeySequence(c.key));
        action->setShortcutContext(Qt::WindowShortcut);
        QObject::connect(action, &QAction::triggered, window, c.run);
        window->addAction(action);
    }
}

namespace {

class Finder : public QWidget {
public:
    Finder(const std::vector<Command>& commands, QWidget* window)
        : QWidget(window, Qt::Popup), commands_(commands), field_(new QLineEdit(this)),
          list_(new QListWidget(this)) {
        setAttribute(Qt::WA_DeleteOnClose);
        field_->setPlaceholderText(tr("a command"));
        field_->setAccessibleName(tr("Find a command"));
        field_->setToolTip(tr("Type a part of its name; Enter does it"));
        list_->setAccessibleName(tr("Commands"));
        list_->setToolTip(tr("Enter or a click does it"));
        auto* rows = new QVBoxLayout(this);
        rows->setContentsMargins(12, 12, 12, 12);
        rows->addWidget(field_);
        rows->addWidget(list_);
        resize(420, 320);
        move(window->mapToGlobal(QPoint((window->width() - width()) / 2, 60)));
        connect(field_, &QLineEdit::textChanged, this, &Finder::fill);
        connect(field_, &QLineEdit::returnPressed, this, &Finder::take);
        connect(list_, &QListWidget::itemClicked, this, &Finder::take);
        field_->installEventFilter(this);
        fill({});
        field_->setFocus();
    }

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (watched == field_ && event->type() == QEvent::KeyPress) {
            const int key = static_cast<QKeyEvent*>(event)->key();
            const int step = key == Qt::Key_Down ? 1 : key == Qt::Key_Up ? -1 : 0;
            if (step) {
                list_->setCurrentRow(qBound(0, list_->currentRow() + step, list_->count() - 1));
                return true;
            }
        }
        return QWidget::eventFilter(watched, event);
    }

private:
    void fill(const QString& query) {
        list_->clear();
        for (std::size_t i = 0; i < commands_.size(); ++i) {
            const Command& c = commands_[i];
            if (!c.text.contains(query, Qt::CaseInsensitive))
                continue;
            auto* item = new QListWidgetItem(
                c.key.isEmpty() ? c.text : QStringLiteral("%1    %2").arg(c.text, c.key), list_);
            item->setData(Qt::UserRole, static_cast<int>(i));
        }
        list_->setCurrentRow(0);
    }
    void take() {
        const auto* item = list_->currentItem();
        if (!item)
            return;
        const auto run = commands_[static_cast<std::size_t>(item->data(Qt::UserRole).toInt())].run;
        close();
        run();
    }

    std::vector<Command> commands_;
    QLineEdit* field_;
    QListWidget* list_;
};

} // namespace

void openFinder(const std::vector<Command>& commands, QWidget* window) {
    (new Finder(commands, window))->show();
}

void openKeys(const std::vector<Command>& commands, QWidget* window) {
    auto* keys = new QWidget(window, Qt::Tool);
    keys->setAttribute(Qt::WA_DeleteOnClose);
    keys->setWindowTitle(QObject::tr("Keys"));
    std::vector<std::pair<QString, QString>> rows;
    for (const Command& c : commands)
        if (!c.key.isEmpty())
            rows.emplace_back(c.key, c.text);
    const auto add = [&](const QString& key, const QString& text) { rows.emplace_back(key, text); };
    add(QObject::tr("on a number: figures"), QObject::tr("type its value, Enter takes it"));
    add(QObject::tr("arrows, wheel, drag"), QObject::tr("change it; Shift fine, Ctrl coarse"));
    add(QObject::tr("Home, End"), QObject::tr("least, most"));
    add(QObject::tr("Backspace, double-click"), QObject::tr("as it was meant to be"));
    add(QObject::tr("on an emitter: P, X"), QObject::tr("pin it, keep it out"));
    add(QObject::tr("on the lineup: ← → ↑ ↓"), QObject::tr("lamp in focus, intensity of all"));
    auto* table = new QTableWidget(static_cast<int>(rows.size()), 2, keys);
    table->setAccessibleName(QObject::tr("Keys"));
    table->setToolTip(QObject::tr("All keys"));
    table->horizontalHeader()->hide();
    table->verticalHeader()->hide();
    table->setShowGrid(false);
    table->setFrameShape(QFrame::NoFrame);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionMode(QAbstractItemView::NoSelection);
    for (std::size_t i = 0; i < rows.size(); ++i) {
        table->setItem(static_cast<int>(i), 0, new QTableWidgetItem(rows[i].first));
        table->setItem(static_cast<int>(i), 1, new QTableWidgetItem(rows[i].second));
    }
    table->resizeColumnsToContents();
    table->horizontalHeader()->setStretchLastSection(true);
    auto* layout = new QVBoxLayout(keys);
    layout->addWidget(table);
    keys->resize(520, 560);
    keys->show();
}

} // namespace zelo::desk
