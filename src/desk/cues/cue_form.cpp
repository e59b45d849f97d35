// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_form.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/stations.h"
#include "play/shown_values.h"
#include "show/edits.h"
#include "show/kept.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QPainter>

#include <set>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;

namespace {
enum Kept { Changed, InHand, All };
enum Says { Both, Intensity, Colour, Emitters };
enum As { AsCue, AsVersion, AsLook };
} // namespace

CueForm::CueForm(CueModel& model, std::optional<CueNumber> after, QWidget* window)
    : QWidget(window, Qt::Popup), model_(model), number_(new QLineEdit(this)),
      name_(new QLineEdit(this)),
      what_(new Stations(tr("What is kept"), tr("Which values go into the cue (← →)"),
                         {tr("what changed"), tr("what is in hand"), tr("all of the lineup")}, {},
                         true, this)),
      says_(new Stations(tr("Intensity or colour"), tr("Which of these is kept (← →)"),
                         {tr("both"), tr("intensity"), tr("colour"), tr("emitters")}, {}, true,
                         this)),
      as_(new Stations(tr("Kept as"), tr("A cue, another version beside it, or a look (← →)"),
                       {tr("a cue"), tr("a version beside it"), tr("a look")}, {}, true, this)),
      emitters_(new QLineEdit(this)),
      keep_(new Button(tr("Keep"), tr("Enter"), tr("Keeps it"), Button::Kind::Next, this)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setAccessibleName(tr("Keep as a cue"));
    number_->setAccessibleName(tr("Number"));
    number_->setToolTip(
        tr("Of the cue: 7, or 7.5 between 7 and 8. One that is there is kept over."));
    name_->setAccessibleName(tr("Name"));
    name_->setToolTip(tr("What the cue is called"));
    name_->setPlaceholderText(tr("name"));
    emitters_->setAccessibleName(tr("Emitters"));
    emitters_->setToolTip(tr("These alone are kept: their names, with commas between"));
    emitters_->setPlaceholderText(tr("Red, Amber"));
    resize(540, 296);
    number_->setGeometry(20, 44, 70, 28);
    name_->setGeometry(100, 44, 420, 28);
    as_->setGeometry(20, 80, 500, 34);
    what_->setGeometry(20, 120, 500, 34);
    says_->setGeometry(20, 160, 500, 34);
    emitters_->setGeometry(20, 204, 380, 28);
    keep_->setGeometry(420, 204, 100, 28);
    at_ = after;
    if (const auto* list = model_.list()) {
        if (!after && !list->cues.empty())
            after = list->cues.entry(list->cues.size() - 1).first;
        if (const auto free = show::numberAfter(*list, after))
            number_->setText(cueNumberText(*free));
    } else {
        number_->setText(QStringLiteral("1"));
        what_->setChosen(All);
    }
    for (auto* field : {number_, name_, emitters_}) {
        connect(field, &QLineEdit::returnPressed, this, &CueForm::keep);
        connect(field, &QLineEdit::textEdited, this, [this] {
            asked_.reset();
            trouble_.clear();
            update();
        });
    }
    connect(keep_, &Button::clicked, this, &CueForm::keep);
    for (auto* choice : {what_, says_, as_})
        connect(choice, &Stations::stationChosen, this, &CueForm::chosen);
    setTabOrder(name_, as_);
    setTabOrder(as_, what_);
    chosen();
    move(window->mapToGlobal(QPoint((window->width() - width()) / 2, 60)));
    name_->setFocus();
}

void CueForm::chosen() {
    number_->setEnabled(as_->chosen() != AsLook);
    emitters_->setVisible(says_->chosen() == Emitters);
    if (as_->chosen() == AsVersion && at_) // of the cue that it stands in
        number_->setText(cueNumberText(*at_));
    asked_.reset();
    trouble_.clear();
    update();
}

// What is in hand may be of lamps that are not in the lineup.
show::Lineup CueForm::lamps() const {
    const Document& document = model_.document();
    show::Lineup all;
    if (what_->chosen() == InHand)
        for (const auto& [id, value] : *document.state().hand)
            all.push_back(id);
    else if (!document.lineup().empty())
        all = document.lineup();
    else
        for (const auto& [id, fixture] : document.show().fixtures)
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

QStringList CueForm::emitterNames() const {
    QStringList names;
    for (const QString& name : emitters_->text().split(QLatin1Char(',')))
        if (!name.trimmed().isEmpty())
            names << name.trimmed();
    return names;
}

// Of the emitters typed, the first that none of these lamps has; empty: all are there.
QString CueForm::strangeEmitter() const {
    std::set<QString> known;
    for (const auto id : lamps())
        if (const auto* lamp = model_.document().stage().lamp(id); lamp && lamp->mixer)
            for (const auto& emitter : lamp->mixer->type().emitters)
                known.insert(toQt(emitter.name).toLower());
    for (const QString& name : emitterNames())
        if (!known.contains(name.toLower()))
            return name;
    return {};
}

// Of these lamps, as far as it is to be kept.
show::Values CueForm::shown(const show::Lineup& lineup) const {
    const Document& document = model_.document();
    show::Values all = what_->chosen() == InHand ? *document.state().hand
                                                 : play::shownValues(document.stage(), lineup);
    if (says_->chosen() == Both)
        return all;
    const QStringList names = emitterNames();
    std::vector<show::Values::Change> less;
    for (const auto& [id, value] : all) {
        show::Value one = *value;
        if (says_->chosen() == Emitters) {
            one = {};
            const auto* lamp = document.stage().lamp(id);
            if (lamp && lamp->mixer)
                for (const auto& [part, level] :
                     show::partLevels(lamp->mixer->type(), lamp->drives))
                    if (names.contains(toQt(part), Qt::CaseInsensitive))
                        one.parts[part] = level;
        } else {
            show::letGo(one, says_->chosen() == Intensity ? show::Which::Colour
                                                          : show::Which::Intensity);
            one.settings.clear();
        }
        less.emplace_back(id, one.empty() ? nullptr : std::make_shared<const show::Value>(one));
    }
    return all.changed(std::move(less));
}

bool CueForm::did(const QString& name, const Result<show::ShowPtr>& next) {
    if (!next) {
        trouble_ = said(next.error());
        setAccessibleDescription(trouble_);
        update();
        return false;
    }
    // What is in hand stays there until it is put down: the stage does not change by keeping.
    return model_.document().edit(name, next);
}

void CueForm::keepLook() {
    show::Look look;
    look.name = fromQt(name_->text().trimmed());
    look.values = shown(lamps());
    if (look.values.empty()) {
        trouble_ = tr("Nothing to keep: these lamps show nothing of it.");
        return update();
    }
    if (did(tr("Keep look %1").arg(toQt(look.name)),
            show::addLook(model_.document().state().show, look)))
        close();
}

void CueForm::keep() {
    const auto trouble = [this](const QString& why) {
        trouble_ = why;
        setAccessibleDescription(why);
        update();
    };
    if (says_->chosen() == Emitters) {
        if (emitterNames().isEmpty())
            return trouble(tr("Which emitters? Their names, with commas between."));
        if (const QString name = strangeEmitter(); !name.isEmpty())
            return trouble(tr("None of these lamps has an emitter “%1”.").arg(name));
    }
    if (as_->chosen() == AsLook)
        return keepLook();
    const auto typed = show::parseCueNumber(fromQt(number_->text().trimmed()));
    if (!typed)
        return trouble(said(typed.error()));
    Document& document = model_.document();
    Cue cue;
    const Cue* old = model_.cue(*typed);
    if (as_->chosen() == AsVersion) {
        if (!old)
            return trouble(tr("There is no cue %1 that this could be a version of.")
                               .arg(cueNumberText(*typed)));
        std::string name;
        const auto next = show::keepVersion(document.state().show, model_.listId(), *typed,
                                            shown(lamps()), &name);
        if (did(tr("Keep version %1 of cue %2").arg(toQt(name), cueNumberText(*typed)), next)) {
            const CueNumber number = *typed;
            close();
            emit kept(number);
        }
        return;
    }
    if (old && asked_ != *typed) {
        asked_ = *typed;
        return trouble(
            tr("Cue %1 %2 is there: what it says of %3 is lost. Enter again keeps over "
               "it.")
                .arg(cueNumberText(*typed), toQt(old->name), lampCount(old->values.size())));
    }
    if (old)
        cue = *old; // its times, its way and its other versions stay
    cue.number = *typed;
    if (!name_->text().trimmed().isEmpty() || !old)
        cue.name = fromQt(name_->text().trimmed());
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
    const auto lineup = lamps();
    if (!did(tr("Keep cue %1").arg(cueNumberText(*typed)),
             show::keepAsCue(base, shown(lineup), lineup, list, cue, what_->chosen() == Changed)))
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
    drawWrapped(p, QRect(20, 244, width() - 40, 42), trouble_.isEmpty() ? explanation() : trouble_,
                typeface(Type::Small), trouble_.isEmpty() ? theme().dim : theme().bright);
}

} // namespace zelo::desk
