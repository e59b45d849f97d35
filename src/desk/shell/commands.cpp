// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/commands.h"

#include "desk/kit/overlay.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QVBoxLayout>

namespace zelo::desk {

QString nameOf(CommandGroup group) {
    const QStringList names{
        QObject::tr("Show"),   QObject::tr("Edit"),   QObject::tr("View"),
        QObject::tr("Lineup"), QObject::tr("Colour"), QObject::tr("Cues"),
        QObject::tr("Ripple"), QObject::tr("Rig"),    QObject::tr("On a number or a list"),
        QObject::tr("Help")};
    return names[static_cast<int>(group)];
}

QString keysShown(const Command& command) {
    return QString(command.key).replace("; ", ", ");
}

Shortcuts::Shortcuts(const std::vector<Command>& commands, QWidget* window) {
    for (const Command& c : commands) {
        const Keys keys = QKeySequence::listFromString(c.key);
        if (c.only_in)
            taken_.emplace_back(*c.only_in, keys);
        if (!c.run || c.key.isEmpty())
            continue;
        auto* action = new QAction(c.text, window);
        action->setShortcuts(keys);
        action->setShortcutContext(Qt::WindowShortcut);
        if (c.only_in) {
            of_views_.emplace_back(*c.only_in, action);
            // What lies over the view hides what its keys would change.
            QObject::connect(action, &QAction::triggered, window, [window, run = c.run] {
                if (!Overlay::topmost(*window))
                    run();
            });
        } else {
            QObject::connect(action, &QAction::triggered, window, c.run);
            of_all_.emplace_back(keys, action);
        }
        window->addAction(action);
    }
}

void Shortcuts::setView(int view) {
    for (const auto& [of, action] : of_views_)
        action->setEnabled(of == view);
    for (const auto& [keys, action] : of_all_) {
        Keys left = keys;
        for (const auto& [of, taken] : taken_)
            if (of == view)
                for (const QKeySequence& key : taken)
                    left.removeAll(key);
        if (left != action->shortcuts())
            action->setShortcuts(left);
    }
}

namespace {

class Finder : public QWidget {
    Q_OBJECT
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
            if (!c.run || !c.text.contains(query, Qt::CaseInsensitive))
                continue;
            auto* item = new QListWidgetItem(
                c.key.isEmpty() ? c.text : QStringLiteral("%1    %2").arg(c.text, keysShown(c)),
                list_);
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

} // namespace zelo::desk

#include "commands.moc"
