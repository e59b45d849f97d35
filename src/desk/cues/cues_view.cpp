// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cues_view.h"

#include "base/file.h"

#include "desk/cues/cue_form.h"
#include "desk/cues/cue_table.h"
#include "desk/cues/fader_bank.h"
#include "desk/cues/look_buttons.h"
#include "desk/cues/sheets.h"
#include "desk/cues/stage_view.h"
#include "desk/kit/ask.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/text_field.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "host/hand_over.h"
#include "host/handed_check.h"
#include "host/sheets.h"
#include "host/take_cues.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QMenu>
#include <QPainter>

#include <algorithm>

namespace zelo::desk {

using show::CueNumber;

namespace {
constexpr int kMargin = 16, kTitle = 52, kStrip = 36, kPress = 56;
constexpr std::size_t kMostFindings = 40;
} // namespace

CuesView::CuesView(CueModel& model, QWidget* parent)
    : QWidget(parent), model_(model),
      title_(new Button(tr("Cues"), {},
                        tr("Lists, what happens at the end of one, its times; a new list"),
                        Button::Kind::Title, this)),
      find_(new TextField(tr("Find a cue"),
                          tr("A number, or a part of a name or a note; Enter finds the next one"),
                          TextField::Esc::Clears, this)),
      table_(new CueTable(model_, this)),
      note_(new TextField(tr("Note"), tr("The note of the cue with the keyboard"),
                          TextField::Esc::Restores, this)),
      rate_(new NumberField(tr("Rate"), tr("How fast the list plays: 10 to 1000 %"),
                            {10, 1000, 5, 0}, QStringLiteral("%"), this)),
      faults_(new Button(QString(), {}, tr("What the fade check found, and its cures"),
                         Button::Kind::Text, this)),
      back_(new Button(tr("Back"), tr("Shift+Space"), tr("To the cue before, in its own time"),
                       Button::Kind::Plain, this)),
      hold_(new Button(tr("Hold"), {}, tr("Stops what runs, and lets it go on (Ctrl+Space)"),
                       Button::Kind::Plain, this)),
      next_(
          new Button(tr("Next"), tr("Space"), tr("Starts the next cue"), Button::Kind::Next, this)),
      stage_(new StageView(model_.document(), this)),
      faders_(new FaderBank(model_.document(), this)),
      looks_(new LookButtons(model_.document(), this)) {
    looks_->hide();
    connect(&faders_->buttons(), &Button::clicked, this, [this] { showLooks(true); });
    connect(&looks_->faders(), &Button::clicked, this, [this] { showLooks(false); });
    title_->setOpensMenu(true);
    find_->setPlaceholderText(tr("find a cue"));
    note_->setPlaceholderText(tr("note"));
    hold_->setCheckable(true);
    style();
    connect(title_, &Button::clicked, this, &CuesView::openMenu);
    connect(find_, &QLineEdit::textEdited, this,
            [this](const QString& text) { table_->find(text, false); });
    connect(find_, &QLineEdit::returnPressed, this, [this] {
        if (!table_->find(find_->text(), true))
            model_.document().tell(tr("No cue has “%1”.").arg(find_->text()));
    });
    connect(note_, &QLineEdit::editingFinished, this, [this] {
        const auto at = table_->cursor();
        const auto* cue = at ? model_.cue(*at) : nullptr;
        if (cue && fromQt(note_->text()) != cue->note)
            model_.change({*at}, tr("note"),
                          [note = fromQt(note_->text())](show::Cue& c) { c.note = note; });
    });
    connect(rate_, &ValueControl::valueEdited, this,
            [this](double percent) { model_.setRate(percent / 100); });
    connect(rate_, &ValueControl::resetWanted, this, [this] { model_.setRate(1); });
    connect(faults_, &Button::clicked, this, &CuesView::openFindings);
    connect(back_, &Button::clicked, &model_, &CueModel::back);
    connect(hold_, &Button::clicked, &model_, &CueModel::hold);
    connect(next_, &Button::clicked, &model_, &CueModel::goOn);
    connect(stage_, &StageView::windowWanted, this, &CuesView::openStageWindow);
    connect(table_->selectionModel(), &QItemSelectionModel::currentRowChanged, this,
            [this] { refresh(); });
    connect(&model_, &CueModel::cuesChanged, this, &CuesView::refresh);
    connect(&model_, &CueModel::standingChanged, this, &CuesView::stand);
    refresh();
    stand();
}

void CuesView::style() {
    for (QWidget* field : {static_cast<QWidget*>(find_), static_cast<QWidget*>(note_)})
        field->setStyleSheet(
            QStringLiteral("QLineEdit{background:%1;color:%2;border:0;"
                           "border-bottom:1px solid %3;padding:0 2px}"
                           "QLineEdit:focus{border-bottom:1px solid %2}")
                .arg(theme().bench.name(), theme().bright.name(), theme().faint.name()));
}

bool CuesView::event(QEvent* event) {
    if (event->type() == QEvent::ThemeChange)
        style();
    return QWidget::event(event);
}

void CuesView::refresh() {
    const auto* list = model_.list();
    const bool several = model_.document().show().cue_lists.size() > 1;
    title_->setText(list && several ? toQt(list->name) : tr("Cues"));
    const auto at = table_->cursor();
    const auto* cue = at ? model_.cue(*at) : nullptr;
    note_->setEnabled(cue != nullptr);
    if (!note_->hasFocus())
        note_->setText(cue ? toQt(cue->note) : QString());
    const auto faults = model_.faults().size();
    faults_->setText(tr("%n fades to look at", nullptr, static_cast<int>(faults)));
    faults_->setAccessibleName(faults_->text());
    faults_->setVisible(faults > 0);
    const bool any = list && !list->cues.empty();
    for (QWidget* w : {static_cast<QWidget*>(table_), static_cast<QWidget*>(find_),
                       static_cast<QWidget*>(note_), static_cast<QWidget*>(rate_)})
        w->setVisible(any);
    place();
    update();
}

QString CuesView::nextText() const {
    const auto next = model_.next();
    if (!next)
        return tr("Next: none");
    const auto* cue = model_.cue(*next);
    return cue ? tr("Next: %1 %2").arg(cueNumberText(*next), toQt(cue->name))
               : tr("Next: %1").arg(cueNumberText(*next));
}

void CuesView::stand() {
    const auto* now = model_.now();
    next_->setText(nextText());
    next_->setAccessibleName(next_->text());
    next_->setEnabled(model_.next().has_value());
    back_->setEnabled(model_.current().has_value());
    hold_->setEnabled(now && now->cue && !model_.rehearses());
    hold_->setChecked(now && now->held);
    hold_->setText(hold_->isChecked() ? tr("Go on") : tr("Hold"));
    rate_->setEnabled(!model_.rehearses());
    if (!rate_->typing())
        rate_->setValue(now ? std::round(100 * now->rate) : 100);
    next_->update();
    update();
}

void CuesView::place() {
    list_width_ = std::max(430, width() * 53 / 100);
    const int right = list_width_ - kMargin;
    title_->setGeometry(kMargin, 18, std::min(title_->sizeHint().width(), list_width_ / 2), 26);
    const int find = std::clamp(list_width_ / 4, 90, 160);
    find_->setGeometry(right - find, 18, find, 24);
    const int faults = faults_->isHidden() ? 0 : faults_->sizeHint().width();
    faults_->setGeometry(find_->x() - 16 - faults, 20, faults, 22);
    const int press = height() - kPress;
    const int strip = press - kStrip;
    table_->setGeometry(0, kTitle, list_width_, strip - kTitle);
    const int rate = 64;
    rate_->setGeometry(right - rate, strip + 6, rate, 24);
    const int word = textWidth(tr("rate"), typeface(Type::Small)) + 12;
    note_->setGeometry(kMargin, strip + 6, right - rate - word - 16 - kMargin, 24);
    back_->setGeometry(kMargin, press + 10, std::min(150, list_width_ / 4), 32);
    hold_->setGeometry(back_->geometry().right() + 9, press + 10,
                       std::max(64, hold_->sizeHint().width()), 32);
    const int next = hold_->geometry().right() + 9;
    next_->setGeometry(next, press + 10, right - next, 32);
    const int stage = std::min((width() - list_width_) * 9 / 16, height() - 230);
    stage_->setGeometry(list_width_, 0, width() - list_width_, stage);
    for (QWidget* bank : {static_cast<QWidget*>(faders_), static_cast<QWidget*>(looks_)})
        bank->setGeometry(list_width_, stage, width() - list_width_, height() - stage);
}

void CuesView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const auto* list = model_.list();
    if (!list || list->cues.empty()) {
        drawWrapped(p, QRect(kMargin, kTitle + 10, list_width_ - 2 * kMargin, 100),
                    tr("No cues yet. Set lamps as they are to be and press K: what they show is "
                       "kept as a cue, and Space plays one after the other."),
                    typeface(Type::Work), theme().dim);
        return;
    }
    const int count = static_cast<int>(list->cues.size());
    const int left = title_->geometry().right() + 14;
    const int right = (faults_->isHidden() ? static_cast<QWidget*>(find_) : faults_)->x() - 10;
    const QString rehearsing = tr("%n cues, rehearsed: the stage stays", nullptr, count);
    const bool told =
        model_.rehearses() && textWidth(rehearsing, typeface(Type::Small)) * 0.65 < right - left;
    drawElided(p, left, 36, right - left, told ? rehearsing : tr("%n cues", nullptr, count),
               typeface(Type::Small), theme().dim);
    drawTextRight(p, rate_->x() - 6, rate_->y() + 17, tr("rate"), typeface(Type::Small),
                  theme().dim);
}

void CuesView::showLooks(bool as_buttons) {
    faders_->setVisible(!as_buttons);
    looks_->setVisible(as_buttons);
    if (as_buttons)
        looks_->setFocus();
}

void CuesView::openKeep() {
    auto* form = new CueForm(model_, table_->cursor(), window());
    connect(form, &CueForm::kept, this, [this](CueNumber number) { table_->choose({number}); });
    form->show();
}

void CuesView::goTo() {
    if (const auto at = table_->cursor())
        model_.jump(*at);
}

StageWindow& CuesView::stageWindow() {
    if (!window_)
        window_ = new StageWindow(model_.document(), this);
    return *window_;
}

void CuesView::openStageWindow() {
    stageWindow().toggle();
}

void CuesView::preview() {
    Document& document = model_.document();
    const auto* list = model_.list();
    if (list && !list->cues.empty() && !model_.picture(list->cues.entry(0).first)) {
        // Its lamps are computed once the view is seen: then.
        connect(&model_, &CueModel::cuesChanged, this, &CuesView::preview,
                static_cast<Qt::ConnectionType>(Qt::QueuedConnection | Qt::SingleShotConnection));
        return;
    }
    previewSheets(toQt(document.show().name),
                  {cuesOnPaper(model_), coloursOnPaper(document), patchOnPaper(document)},
                  window());
}

void CuesView::openFindings() {
    auto* menu = new QMenu(tr("Fades to look at"), this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& finding : model_.faults()) {
        if (static_cast<std::size_t>(menu->actions().size()) >= kMostFindings)
            break;
        auto* one =
            menu->addMenu(tr("Cue %1: %2").arg(cueNumberText(*finding.cue), model_.words(finding)));
        connect(one->addAction(tr("Show the cue")), &QAction::triggered, this,
                [this, number = *finding.cue] { table_->choose({number}); });
        for (const route::Cure cure : finding.cures)
            connect(one->addAction(model_.cureName(cure)), &QAction::triggered, this,
                    [this, finding, cure] { model_.cure(finding, cure); });
    }
    menu->addSeparator();
    connect(menu->addAction(tr("As another desk plays them, handed over…")), &QAction::triggered,
            this, &CuesView::checkHandedOver);
    menu->popup(faults_->mapToGlobal(QPoint(0, faults_->height())));
}

void CuesView::checkHandedOver() {
    Document& document = model_.document();
    if (!model_.list())
        return;
    document.inBackground(
        tr("Fades as another desk plays them"), this,
        [show = document.state().show, sources = document.sources(), list = model_.listId(),
         &mixes = document.mixes()](const std::stop_token& stop) {
            return host::checkHandedOver(show, *sources, mixes, {list},
                                         [&] { return stop.stop_requested(); });
        },
        [this](const Result<std::vector<play::Finding>>& found) {
            Document& to = model_.document();
            if (!found)
                return to.tell(said(found.error()));
            if (found->empty())
                return to.tell(tr("Another desk shows no colour that nobody asked for."));
            auto* menu = new QMenu(tr("As another desk plays them"), this);
            menu->setObjectName("handed over");
            menu->setAttribute(Qt::WA_DeleteOnClose);
            for (const auto& finding : *found)
                if (finding.cue && static_cast<std::size_t>(menu->actions().size()) < kMostFindings)
                    connect(menu->addAction(
                                tr("Cue %1: %2")
                                    .arg(cueNumberText(*finding.cue), model_.words(finding))),
                            &QAction::triggered, this,
                            [this, number = *finding.cue] { table_->choose({number}); });
            menu->popup(title_->mapToGlobal(QPoint(0, title_->height())));
        });
}

namespace {
QString withEnding(const QString& path, const char* ending) {
    return path.endsWith(QLatin1String(ending), Qt::CaseInsensitive) ? path
                                                                     : path + QLatin1String(ending);
}
} // namespace

void CuesView::writeCues(const QString& path) {
    if (!model_.list())
        return;
    Document& document = model_.document();
    const QString file = withEnding(path, ".asc");
    struct Made {
        Done done;
        int cues = 0, steps = 0;
        std::vector<Sentence> notes;
    };
    document.inBackground(
        tr("Writing %1").arg(file), this,
        [file, show = document.state().show, sources = document.sources(), list = model_.listId(),
         &mixes = document.mixes()](const std::stop_token& stop) {
            const auto handed = host::handOver(show, *sources, mixes, {list},
                                               [&] { return stop.stop_requested(); });
            if (!handed)
                return Made{passOn(handed.error()), 0, 0, {}};
            if (stop.stop_requested())
                return Made{{}, 0, 0, {}};
            return Made{writeFile(fromQt(file), files::asciiCuesText(handed->cues)),
                        static_cast<int>(handed->cues.cues.size()), handed->steps, handed->notes};
        },
        [this, file](const Made& made) {
            Document& to = model_.document();
            if (!made.done)
                return to.tell(said(made.done.error()));
            const QString written =
                tr("%1: %n cues, %2 of them steps of a fade.", nullptr, made.cues)
                    .arg(file)
                    .arg(made.steps);
            to.tell(made.notes.empty() ? written : written + ' ' + said(made.notes.front()));
        });
}

void CuesView::readCues(const QString& path) {
    Document& document = model_.document();
    constexpr std::size_t kLargest = 64u << 20;
    document.inBackground(
        tr("Reading %1").arg(path), this,
        [path, show = document.state().show, sources = document.sources(),
         &mixes = document.mixes()](const std::stop_token&) -> Result<host::TakenCues> {
            const auto text = readFile(fromQt(path), kLargest);
            if (!text)
                return passOn(text.error());
            const auto cues = files::parseAsciiCues(*text);
            if (!cues)
                return passOn(cues.error());
            auto taken = host::takeCues(*show, *sources, mixes, *cues,
                                        fromQt(QFileInfo(path).completeBaseName()));
            if (taken)
                taken->notes.insert(taken->notes.begin(), cues->notes.begin(), cues->notes.end());
            return taken;
        },
        [this, path](const Result<host::TakenCues>& taken) {
            Document& to = model_.document();
            if (!taken)
                return to.tell(tr("%1: %2").arg(path, said(taken.error())));
            show::CueList list = taken->list;
            const std::string name = list.name;
            const auto& lists = to.show().cue_lists;
            for (int n = 2; std::any_of(lists.begin(), lists.end(),
                                        [&](const auto& l) { return l.second->name == list.name; });
                 ++n)
                list.name = name + " " + std::to_string(n);
            const auto count = static_cast<int>(list.cues.size());
            if (!to.edit(tr("Read cues of another desk"),
                         show::addCueList(to.state().show, std::move(list))))
                return;
            model_.setList({to.show().last_cue_list_id});
            const QString read = tr("%1: %n cues read.", nullptr, count).arg(path);
            to.tell(taken->notes.empty() ? read : read + ' ' + said(taken->notes.front()));
        });
}

void CuesView::writeSheet(const QString& path, Sheet sheet) {
    if (sheet == Sheet::Cues && !model_.list())
        return;
    Document& document = model_.document();
    const QString file = withEnding(path, ".csv");
    document.inBackground(
        tr("Writing %1").arg(file), this,
        [file, sheet, list = model_.listId(), show = document.state().show,
         sources = document.sources(), &mixes = document.mixes()](const std::stop_token& stop) {
            const std::string text =
                sheet == Sheet::Colours ? host::colourSheet(*show, *sources, mixes)
                : sheet == Sheet::Patch ? host::patchSheet(*show, *sources)
                                        : host::cueSheet(*show, *show->cue_lists.find(list));
            return stop.stop_requested() ? Done() : writeFile(fromQt(file), text);
        },
        [this, file](const Done& done) {
            model_.document().tell(done ? tr("Written: %1").arg(file) : said(done.error()));
        });
}

void CuesView::writePaper(const QString& path) {
    Document& document = model_.document();
    const QString file = withEnding(path, ".pdf");
    document.inBackground(
        tr("Writing %1").arg(file), this,
        [file, heading = toQt(document.show().name),
         sheets = std::vector{cuesOnPaper(model_), coloursOnPaper(document),
                              patchOnPaper(document)}](const std::stop_token& stop) {
            return stop.stop_requested() || writeSheets(file, heading, sheets);
        },
        [this, file](bool written) {
            model_.document().tell(written ? tr("Written: %1").arg(file)
                                           : tr("%1 cannot be written").arg(file));
        });
}

void CuesView::openMenu() {
    Document& document = model_.document();
    auto* menu = new QMenu(tr("Cue lists"), this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& [id, list] : document.show().cue_lists) {
        auto* action = menu->addAction(toQt(list->name));
        action->setCheckable(true);
        action->setChecked(id == model_.listId());
        connect(action, &QAction::triggered, this, [this, id = id] { model_.setList(id); });
    }
    const auto ask = [this](const QString& title, const QString& text,
                            const std::function<void(const QString&)>& take) {
        askText(this, title, title, text, take);
    };
    connect(menu->addAction(tr("A new list…")), &QAction::triggered, this, [this, ask, &document] {
        ask(tr("Name of the new list"), {}, [this, &document](const QString& name) {
            show::CueList list;
            list.name = fromQt(name.trimmed());
            if (document.edit(tr("New list %1").arg(name),
                              show::addCueList(document.state().show, list)))
                model_.setList({document.show().last_cue_list_id});
        });
    });
    connect(menu->addAction(tr("Read cues of another desk (.asc)…")), &QAction::triggered, this,
            [this] {
                const auto path = QFileDialog::getOpenFileName(this, tr("Cues of another desk"), {},
                                                               tr("Cues (*.asc)"));
                if (!path.isEmpty())
                    readCues(path);
            });
    if (const auto* now = model_.list()) {
        const auto change = [this, &document](const QString& name, auto&& edited) {
            const auto* list = model_.list();
            if (!list)
                return;
            show::CueList next = *list;
            edited(next);
            document.edit(name, show::changeCueList(document.state().show, next));
        };
        menu->addSection(tr("At the end of the list"));
        const std::pair<show::AtEnd, QString> ends[] = {
            {show::AtEnd::Stop, tr("Next does nothing")},
            {show::AtEnd::Again, tr("it begins again")},
            {show::AtEnd::ToAndFro, tr("it goes to and fro")}};
        for (const auto& [end, name] : ends) {
            auto* action = menu->addAction(name);
            action->setCheckable(true);
            action->setChecked(now->at_end == end);
            connect(action, &QAction::triggered, this, [change, end = end] {
                change(tr("End of the list"), [end](show::CueList& l) { l.at_end = end; });
            });
        }
        menu->addSeparator();
        const auto time = [&](const QString& name, double show::CueList::*member) {
            connect(menu->addAction(tr("%1: %2 s…").arg(name, timeText(now->*member))),
                    &QAction::triggered, this, [this, name, member, ask, change] {
                        ask(name, timeText(model_.list()->*member),
                            [this, name, member, change](const QString& text) {
                                if (const auto t = timeIn(text))
                                    change(name, [&](show::CueList& l) { l.*member = *t; });
                                else
                                    model_.document().tell(
                                        tr("“%1”: expected a time: 2.5, or 1:30").arg(text));
                            });
                    });
        };
        time(tr("Time of Back"), &show::CueList::back_s);
        time(tr("Time of letting go"), &show::CueList::release_s);
        connect(menu->addAction(tr("Two presses of Next: %1 s apart at least…")
                                    .arg(numberText(model_.guard_s(), 1))),
                &QAction::triggered, this, [this, ask] {
                    ask(tr("Two presses of Next: so many seconds apart at least"),
                        numberText(model_.guard_s(), 1), [this](const QString& text) {
                            if (const auto t = timeIn(text))
                                model_.setGuard(*t);
                        });
                });
        menu->addSection(tr("Hand over"));
        connect(menu->addAction(tr("Cues for another desk (.asc)…")), &QAction::triggered, this,
                [this] {
                    const auto path = QFileDialog::getSaveFileName(
                        this, tr("Cues for another desk"), toQt(model_.list()->name) + ".asc",
                        tr("Cues (*.asc)"));
                    if (!path.isEmpty())
                        writeCues(path);
                });
        connect(menu->addAction(tr("Its fades, as another desk plays them…")), &QAction::triggered,
                this, &CuesView::checkHandedOver);
        connect(menu->addAction(tr("Cue sheet (.csv)…")), &QAction::triggered, this, [this] {
            const auto path = QFileDialog::getSaveFileName(
                this, tr("Cue sheet"), toQt(model_.list()->name) + ".csv", tr("Tables (*.csv)"));
            if (!path.isEmpty())
                writeSheet(path);
        });
        const std::pair<Sheet, QString> sheets[] = {{Sheet::Colours, tr("Colour sheet (.csv)…")},
                                                    {Sheet::Patch, tr("Patch sheet (.csv)…")}};
        for (const auto& [sheet, name] : sheets)
            connect(menu->addAction(name), &QAction::triggered, this, [this, sheet = sheet] {
                const auto path = QFileDialog::getSaveFileName(
                    this, sheet == Sheet::Patch ? tr("Patch sheet") : tr("Colour sheet"),
                    toQt(model_.document().show().name) + ".csv", tr("Tables (*.csv)"));
                if (!path.isEmpty())
                    writeSheet(path, sheet);
            });
        connect(menu->addAction(tr("Print cues, palettes and patch…")), &QAction::triggered, this,
                &CuesView::preview);
        connect(menu->addAction(tr("Cues, palettes and patch on paper (.pdf)…")),
                &QAction::triggered, this, [this] {
                    const auto path = QFileDialog::getSaveFileName(
                        this, tr("Sheets to print"), toQt(model_.document().show().name) + ".pdf",
                        tr("Documents (*.pdf)"));
                    if (!path.isEmpty())
                        writePaper(path);
                });
        menu->addSeparator();
        connect(menu->addAction(tr("Let go of the list")), &QAction::triggered, &model_,
                &CueModel::release);
        connect(menu->addAction(tr("Rename the list…")), &QAction::triggered, this,
                [this, ask, change] {
                    ask(tr("Name of the list"), toQt(model_.list()->name),
                        [change](const QString& name) {
                            change(tr("Rename the list"),
                                   [&](show::CueList& l) { l.name = fromQt(name.trimmed()); });
                        });
                });
        connect(menu->addAction(tr("Remove the list")), &QAction::triggered, this,
                [this, &document] {
                    document.edit(tr("Remove a list"),
                                  show::removeCueList(document.state().show, model_.listId()));
                });
    }
    menu->popup(title_->mapToGlobal(QPoint(0, title_->height())));
}

} // namespace zelo::desk
