// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/keep_form.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "show/kept.h"

#include <QApplication>
#include <QInputDialog>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>

namespace zelo::desk {

KeepForm::KeepForm(Document& document, As as, QWidget* window)
    : QWidget(window, Qt::Popup), document_(document), name_(new QLineEdit(this)),
      choice_(new Stations(tr("Keep as"), tr("What is kept (← →)"),
                           {tr("on stage"), tr("colour"), tr("intensity"), tr("both"), tr("look"),
                            tr("group"), tr("gradient")},
                           {}, true, this)),
      keep_(new Button(tr("Keep"), tr("Enter"), tr("Keeps it"), Button::Kind::Next, this)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setAccessibleName(tr("Keep as"));
    name_->setAccessibleName(tr("Name"));
    name_->setToolTip(tr("The name under which it is kept"));
    name_->setPlaceholderText(tr("name"));
    resize(500, 168);
    choice_->setGeometry(20, 40, 460, 34);
    name_->setGeometry(20, 88, 350, 28);
    keep_->setGeometry(380, 88, 100, 28);
    connect(choice_, &Stations::stationChosen, this, &KeepForm::chosen);
    connect(name_, &QLineEdit::returnPressed, this, &KeepForm::keep);
    connect(keep_, &Button::clicked, this, &KeepForm::keep);
    name_->installEventFilter(this);
    move(window->mapToGlobal(QPoint((window->width() - width()) / 2, 60)));
    choice_->setChosen(as);
    chosen();
    name_->setFocus();
}

void KeepForm::chosen() {
    const bool named = choice_->chosen() != Stage;
    name_->setEnabled(named);
    (named ? static_cast<QWidget*>(name_) : choice_)->setFocus();
    trouble_.clear();
    update();
}

QString KeepForm::explanation() const {
    const auto lamps = lampCount(document_.lineup().size());
    switch (choice_->chosen()) {
    case Stage:
        return tr("Keep on stage: what is in hand becomes what the stage shows.");
    case Colour:
        return tr("A palette of the first lamp's colour, for any fixture.");
    case Intensity:
        return tr("A palette of the first lamp's intensity.");
    case Both:
        return tr("A palette of the first lamp's colour and intensity.");
    case Look:
        return tr("A look of what the lineup shows: %1.").arg(lamps);
    case Gradient:
        return tr("The gradient that the lineup shows, for any lineup.");
    default:
        return tr("A group of the lineup in this order: %1.").arg(lamps);
    }
}

Result<show::State> KeepForm::kept(const std::string& name) const {
    const auto& lineup = document_.lineup();
    const show::State& now = document_.state();
    const auto show = [&](const Result<show::ShowPtr>& next) -> Result<show::State> {
        if (!next)
            return passOn(next.error());
        return show::State{*next, now.hand};
    };
    // From now on the lineup follows the palette it was kept as: one step with the keeping.
    const auto palette = [&](show::KeepWhat what) -> Result<show::State> {
        const auto next =
            show::keepPalette(now.show, *now.hand, lineup, what, name, document_.resolve());
        if (!next)
            return passOn(next.error());
        return show::State{*next, show::withPalette(now.hand, lineup,
                                                    *(*next)->palette({(*next)->last_palette_id}))};
    };
    switch (choice_->chosen()) {
    case Colour:
        return palette(show::KeepWhat::Colour);
    case Intensity:
        return palette(show::KeepWhat::Intensity);
    case Both:
        return palette(show::KeepWhat::Both);
    case Look:
        return show(show::keepLook(now.show, *now.hand, lineup, name));
    case Gradient:
        if (const auto laying = show::layingOf(now, lineup))
            return show::keepGradient(now, laying, name);
        return fail(ErrorCode::NotFound,
                    ZELO_TEXT("core", "the lineup shows no gradient: begin one in its view"));
    default:
        return show(show::addGroup(now.show, name, lineup));
    }
}

void KeepForm::keep() {
    const auto fails = [this](const Error& error) {
        trouble_ = said(error);
        setAccessibleDescription(trouble_);
        update();
    };
    if (choice_->chosen() == Stage) {
        if (const auto done = document_.keepHand(); !done)
            return fails(done.error());
    } else {
        const QString name = name_->text().trimmed();
        const QStringList kinds{{},         tr("palette"), tr("palette"), tr("palette"),
                                tr("look"), tr("group"),   tr("gradient")};
        const auto next = kept(fromQt(name));
        if (!next)
            return fails(next.error());
        if (!document_.edit(tr("Keep %1 %2").arg(kinds[choice_->chosen()], name), next))
            return;
    }
    close();
}

bool KeepForm::eventFilter(QObject* watched, QEvent* event) {
    if (watched == name_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Escape)
            return close();
        if (key == Qt::Key_Up || key == Qt::Key_Down) { // the choice, without leaving the name
            const int next = choice_->chosen() + (key == Qt::Key_Down ? 1 : -1);
            choice_->setChosen(std::clamp(next, 0, static_cast<int>(Gradient)));
            chosen();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void KeepForm::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        close();
    else if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)
        keep();
    else
        QWidget::keyPressEvent(event);
}

void KeepForm::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    p.setPen(theme().rule);
    p.drawRect(rect().adjusted(0, 0, -1, -1));
    drawText(p, 20, 30, tr("Keep as"), typeface(Type::Title), theme().bright);
    drawText(p, 20, 144, trouble_.isEmpty() ? explanation() : trouble_, typeface(Type::Small),
             trouble_.isEmpty() ? theme().dim : theme().bright);
}

void openGroups(Document& document, QWidget* window) {
    auto* menu = new QMenu(window);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(QObject::tr("Groups"));
    int n = 0;
    for (const auto& [group_id, group] : document.show().groups) {
        ++n;
        const QString figure = n <= 9 ? QStringLiteral("&%1  ").arg(n) : QStringLiteral("    ");
        auto* action =
            menu->addAction(figure + toQt(group->name) + '\t' + lampCount(group->fixtures.size()));
        QObject::connect(action, &QAction::triggered, window, [&document, id = group->id] {
            const auto* g = document.show().group(id);
            if (!g)
                return;
            show::Lineup lineup;
            if (QApplication::keyboardModifiers() & Qt::ShiftModifier)
                lineup = document.lineup();
            for (const auto f : g->fixtures)
                if (std::find(lineup.begin(), lineup.end(), f) == lineup.end())
                    lineup.push_back(f);
            document.setLineup(std::move(lineup));
        });
    }
    menu->addSeparator();
    const auto edit = [&document](const QString& name, const Result<show::ShowPtr>& next) {
        document.edit(name, next);
    };
    auto* change = menu->addMenu(QObject::tr("Change a group"));
    change->setEnabled(!document.show().groups.empty());
    for (const auto& [group_id, group] : document.show().groups) {
        auto* one = change->addMenu(toQt(group->name));
        const auto name = toQt(group->name);
        QObject::connect(one->addAction(QObject::tr("Becomes the lineup, in its order")),
                         &QAction::triggered, window, [=, &document, id = group->id] {
                             edit(QObject::tr("Group %1").arg(name),
                                  show::refillGroup(document.state().show, id, document.lineup()));
                         });
        QObject::connect(one->addAction(QObject::tr("Rename…")), &QAction::triggered, window,
                         [=, &document, id = group->id] {
                             const auto next = QInputDialog::getText(window, QObject::tr("Rename"),
                                                                     QObject::tr("Name"),
                                                                     QLineEdit::Normal, name);
                             if (!next.isEmpty())
                                 edit(QObject::tr("Rename group to %1").arg(next),
                                      show::renameGroup(document.state().show, id, fromQt(next)));
                         });
        QObject::connect(one->addAction(QObject::tr("Delete")), &QAction::triggered, window,
                         [=, &document, id = group->id] {
                             edit(QObject::tr("Delete group %1").arg(name),
                                  show::removeGroup(document.state().show, id));
                         });
    }
    QObject::connect(
        menu->addAction(QObject::tr("Group from the lineup…\tShift+G")), &QAction::triggered,
        window, [&document, window] { (new KeepForm(document, KeepForm::Group, window))->show(); });
    menu->popup(window->mapToGlobal(QPoint(20, window->height() - 132 - 20 - 24 * (n + 4))));
}

} // namespace zelo::desk
