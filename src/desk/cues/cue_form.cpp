// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_form.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "play/shown_values.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QPainter>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;

namespace {
enum Kept { Changed, InHand, All };
enum Says { Both, Intensity, Colour };
} // namespace

CueForm::CueForm(CueModel& model, std::optional<CueNumber> after, QWidget* window)
    : QWidget(window, Qt::Popup), model_(model), number_(new QLineEdit(this)),
      name_(new QLineEdit(this)),
      what_(new Stations(tr("What is kept"), tr("Which values go into the cue (← →)"),
                         {tr("what changed"), tr("what is in hand"), tr("all of the lineup")}, {},
                         true, this)),
      says_(new Stations(tr("Intensity or colour"), tr("Which of the two the cue says (← →)"),
                         {tr("both"), tr("intensity"), tr("colour")}, {}, true, this)),
      keep_(new Button(tr("Keep"), tr("Enter"), tr("Keeps it"), Button::Kind::Next, this)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setAccessibleName(tr("Keep as a cue"));
    number_->setAccessibleName(tr("Number"));
    number_->setToolTip(
        tr("Of the cue: 7, or 7.5 between 7 and 8. One that is there is kept over."));
    name_->setAccessibleName(tr("Name"));
    name_->setToolTip(tr("What the cue is called"));
    name_->setPlaceholderText(tr("name"));
    resize(500, 212);
    number_->setGeometry(20, 44, 70, 28);
    name_->setGeometry(100, 44, 380, 28);
    what_->setGeometry(20, 80, 460, 34);
    says_->setGeometry(20, 122, 300, 34);
    keep_->setGeometry(380, 124, 100, 28);
    if (const auto* list = model_.list()) {
        if (!after && !list->cues.empty())
            after = list->cues.entry(list->cues.size() - 1).first;
        if (const auto free = show::numberAfter(*list, after))
            number_->setText(cueNumberText(*free));
    } else {
        number_->setText(QStringLiteral("1"));
        what_->setChosen(All);
    }
    for (auto* field : {number_, name_}) {
        connect(field, &QLineEdit::returnPressed, this, &CueForm::keep);
        connect(field, &QLineEdit::textEdited, this, [this] {
            asked_.reset();
            trouble_.clear();
            update();
        });
    }
    connect(keep_, &Button::clicked, this, &CueForm::keep);
    for (auto* choice : {what_, says_})
        connect(choice, &Stations::stationChosen, this, [this] { update(); });
    move(window->mapToGlobal(QPoint((window->width() - width()) / 2, 60)));
    name_->setFocus();
}

// What is in hand may be of lamps that are not in the lineup.
show::Lineup CueForm::lamps() const {
    show::Lineup all;
    if (what_->chosen() != InHand && !model_.document().lineup().empty())
        return model_.document().lineup();
    if (what_->chosen() == InHand) {
        for (const auto& [id, value] : *model_.document().state().hand)
            all.push_back(id);
        return all;
    }
    for (const auto& [id, fixture] : model_.document().show().fixtures)
        all.push_back(id);
    return all;
}

QString CueForm::explanation() const {
    const QString lamps_text = lampCount(lamps().size());
    switch (what_->chosen()) {
    case Changed:
        return tr("What is otherwise than the cues before left it: %1 looked at.").arg(lamps_text);
    case InHand:
        return tr("What is in hand, of %1.").arg(lamps_text);
    default:
        return tr("All that is shown, of %1.").arg(lamps_text);
    }
}

void CueForm::keep() {
    const auto trouble = [this](const QString& why) {
        trouble_ = why;
        update();
    };
    const auto typed = show::parseCueNumber(fromQt(number_->text().trimmed()));
    if (!typed)
        return trouble(said(typed.error()));
    Document& document = model_.document();
    Cue cue;
    const Cue* old = model_.cue(*typed);
    if (old && asked_ != *typed) {
        asked_ = *typed;
        return trouble(
            tr("Cue %1 %2 is there: what it says of %3 is lost. Enter again keeps over "
               "it.")
                .arg(cueNumberText(*typed), toQt(old->name), lampCount(old->values.size())));
    }
    if (old)
        cue = *old; // its times and way stay
    cue.number = *typed;
    if (!name_->text().trimmed().isEmpty() || !old)
        cue.name = fromQt(name_->text().trimmed());
    const auto lineup = lamps();
    show::Values shown = play::shownValues(document.stage(), lineup);
    if (what_->chosen() == InHand)
        shown = *document.state().hand;
    if (says_->chosen() != Both) {
        std::vector<show::Values::Change> less;
        for (const auto& [id, value] : shown) {
            show::Value one = *value;
            if (says_->chosen() == Intensity) {
                one.colour.reset();
                one.parts.clear();
            } else {
                one.intensity.reset();
            }
            less.emplace_back(id, one.empty() ? nullptr : std::make_shared<const show::Value>(one));
        }
        shown = shown.changed(std::move(less));
    }
    show::ShowPtr base = document.state().show;
    auto list = model_.listId();
    if (!model_.list()) { // the first one
        show::CueList first;
        first.name = fromQt(tr("Cues"));
        const auto with = show::addCueList(base, first);
        if (!with)
            return trouble(said(with.error()));
        base = *with;
        list = {base->last_cue_list_id};
    }
    const auto next = show::keepAsCue(base, shown, lineup, list, cue, what_->chosen() == Changed);
    if (!next)
        return trouble(said(next.error()));
    // What is in hand stays there until it is put down: the stage does not change by keeping.
    if (!document.edit(tr("Keep cue %1").arg(cueNumberText(*typed)), next))
        return;
    const CueNumber number = *typed;
    close();
    emit kept(number);
}

void CueForm::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        close();
    else if (isEnter(*event) && !qobject_cast<QLineEdit*>(focusWidget()))
        keep(); // from a field it came already
    else
        QWidget::keyPressEvent(event);
}

void CueForm::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, 20, 28, tr("Keep as a cue"), typeface(Type::Work, true), theme().bright);
    drawWrapped(p, QRect(20, 164, width() - 40, 42), trouble_.isEmpty() ? explanation() : trouble_,
                typeface(Type::Small), trouble_.isEmpty() ? theme().dim : theme().bright);
}

} // namespace zelo::desk
