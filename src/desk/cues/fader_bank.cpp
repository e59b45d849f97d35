// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/fader_bank.h"

#include "colour/cct.h"
#include "colour/observer.h"

#include "desk/cues/look_menu.h"
#include "desk/kit/ask.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"
#include "play/compile.h"
#include "show/cue_edits.h"

#include <QApplication>
#include <QCheckBox>
#include <QContextMenuEvent>
#include <QDialog>
#include <QInputDialog>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <set>

namespace zelo::desk {

namespace {

constexpr int kTop = 10, kWell = 44, kFoot = 66; // above the well, its width, below it
constexpr std::size_t kMostStripes = 5;

play::StageFader stageFader(const Document& document, show::FaderId id) {
    for (const auto& f : document.stage().faders)
        if (f.id == id)
            return f;
    return {id, 0, false};
}
double levelOf(const Document& document, show::FaderId id) {
    return stageFader(document, id).level;
}

// Of all lamps of the show.
std::set<std::string> emitterNames(const Document& document) {
    std::set<std::string> names;
    for (const auto& [id, f] : document.show().fixtures)
        if (const auto type = document.library().type(f->type))
            for (const auto& emitter : type->emitters)
                names.insert(emitter.name);
    return names;
}

} // namespace

FaderStrip::FaderStrip(Document& document, QWidget* parent)
    : ValueControl(tr("Fader"), QString(), {0, 100, 1, 0}, parent), document_(document),
      let_go_(new Button(tr("let go"), {}, tr("Its light goes: what lies below shows again"),
                         Button::Kind::Text, this)) {
    setUnit(QStringLiteral("%"));
    connect(this, &ValueControl::valueEdited, this, [this](double value) {
        if (fader_)
            document_.setFader(fader_->id, value / 100);
    });
    connect(let_go_, &Button::clicked, this, [this] {
        if (fader_)
            document_.setFader(fader_->id, 0);
    });
}

void FaderStrip::setFader(std::shared_ptr<const show::Fader> fader, const QString& key) {
    fader_ = std::move(fader);
    key_ = key;
    setVisible(fader_ != nullptr);
    if (!fader_)
        return;
    setAccessibleName(tr("Fader %1").arg(toQt(fader_->name)));
    const QString name = toQt(fader_->name);
    const bool group = fader_->group.value != 0 && !fader_->ofEmitters();
    setToolTip(
        fader_->list.value != 0
            ? tr("%1: the list plays from its first cue while the fader is up, as bright as the "
                 "fader; %2 at full while it is held. Right click for more.")
                  .arg(name, key)
        : fader_->ripple
            ? tr("%1: the ripple runs while the fader is up, over what lies below as far as it is "
                 "up; %2 at full while it is held. Right click for more.")
                  .arg(name, key)
        : group
            ? tr("%1: the intensity of the group, where nothing is brighter; %2 at full while it "
                 "is held. Right click for more.")
                  .arg(name, key)
        : fader_->adds || fader_->ofEmitters()
            ? tr("%1: adds its light to that of others; %2 at full while it is held. Right click "
                 "for more.")
                  .arg(name, key)
            : tr("%1: the brightest shows, and the latest colour; %2 at full while it is held. "
                 "Right click for more.")
                  .arg(name, key));
    colours_.clear();
    const auto take = [this](const colour::Uv& uv) {
        if (colours_.size() < kMostStripes &&
            std::none_of(colours_.begin(), colours_.end(),
                         [&](const colour::Uv& c) { return colour::distance(c, uv) < 0.02; }))
            colours_.push_back(uv);
    };
    if (fader_->ofEmitters()) {
        const colour::Uv white = colour::planckianUv({document_.show().white_cct_k});
        std::set<std::string> types;
        for (const auto& [id, f] : document_.show().fixtures)
            types.insert(f->type);
        for (const auto& id : types)
            if (const auto type = document_.library().type(id))
                for (const auto& emitter : type->emitters) {
                    const auto xyz = toXyz(emitter.spectrum);
                    if (colour::hasChromaticity(xyz) &&
                        play::bringsEmitter(*fader_, emitter.name, xyz, white))
                        take(colour::toUv(xyz));
                }
    }
    if (const auto* ripple = document_.show().ripples.find(fader_->ripple))
        for (const auto& step : ripple->steps) {
            const auto* palette = document_.show().palette(step.colour.palette());
            const auto* here =
                palette && palette->colour ? &palette->colour->asked : step.colour.here();
            const auto wanted = here ? document_.wanted(*here).value_or(nullptr) : nullptr;
            take(wanted ? wanted->uv() : step.uv);
        }
    if (const auto* look = document_.show().lookOf(fader_->look))
        for (const auto& [id, value] : look->values) {
            const auto shown = show::followed(document_.show(), *value);
            if (!shown.colour)
                continue;
            const auto wanted = document_.wanted(shown.colour->asked);
            take(wanted ? (*wanted)->uv() : shown.colour->uv);
        }
    refresh();
}

void FaderStrip::refresh() {
    if (!fader_)
        return;
    const auto now = stageFader(document_, fader_->id);
    setValue(std::round(1000 * now.level) / 10);
    hidden_ = now.hidden;
    let_go_->setEnabled(value() > 0);
    let_go_->setAccessibleName(tr("Let go of %1").arg(toQt(fader_->name)));
    update();
}

QRect FaderStrip::well() const {
    return {(width() - kWell) / 2, kTop, kWell, std::max(20, height() - kTop - kFoot)};
}

double FaderStrip::valueAt(const QPoint& pos) const {
    const QRect w = well();
    return 100.0 * (w.bottom() - pos.y()) / std::max(1, w.height());
}

QRect FaderStrip::editorRect() const {
    return {4, well().bottom() + 6, width() - 8, 22};
}

void FaderStrip::resizeEvent(QResizeEvent* event) {
    ValueControl::resizeEvent(event);
    const int wide = std::min(let_go_->sizeHint().width(), width() - 4);
    let_go_->setGeometry((width() - wide) / 2, height() - 22, wide, 22);
}

void FaderStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    if (!fader_)
        return;
    const QRect w = well();
    p.fillRect(w, theme().well);
    for (int i = 0; i <= 10; ++i)
        p.fillRect(w.left() - (i % 5 ? 5 : 8), w.bottom() - i * w.height() / 10, i % 5 ? 4 : 7, 1,
                   theme().faint);
    const int high = static_cast<int>(std::lround(value() / 100 * w.height()));
    const int shown = std::max(high, 3); // its colours are told at rest too
    const auto count = static_cast<int>(std::max<std::size_t>(colours_.size(), 1));
    if (colours_.empty()) // intensity alone
        p.fillRect(w.left(), w.bottom() + 1 - shown, w.width(), shown, theme().rule);
    for (int i = 0; i < static_cast<int>(colours_.size()); ++i) {
        const int left = w.left() + i * w.width() / count;
        p.fillRect(left, w.bottom() + 1 - shown, w.left() + (i + 1) * w.width() / count - left,
                   shown,
                   colourOfLight(document_.colours(), colours_[static_cast<std::size_t>(i)]));
    }
    const QColor ink = value() > 0 ? theme().bright : theme().dim;
    p.fillRect(w.left() - 8, w.bottom() - high - (high > 0 ? 1 : 0), w.width() + 16, 2, ink);
    if (!typing())
        drawTextCentred(p, width() / 2, w.bottom() + 21, numberText(value(), 0),
                        typeface(Type::Work), ink);
    if (hidden_) { // it takes hold once it is above what others give
        p.setPen(QPen(theme().text, 1, Qt::DotLine));
        p.drawLine(w.left() - 8, w.top(), w.right() + 8, w.top());
        drawTextCentred(p, width() / 2, w.top() + 14, tr("waits"), typeface(Type::Small),
                        theme().text);
    }
    const bool adds = fader_->ofEmitters() || (fader_->look.value != 0 && fader_->adds);
    const QString name = adds ? QStringLiteral("+ %1").arg(toQt(fader_->name)) : toQt(fader_->name);
    const QFont face = typeface(Type::Small);
    const int wide = std::min(textWidth(name, face), width() - 4);
    drawElided(p, (width() - wide) / 2, w.bottom() + 39, width() - 4, name, face,
               value() > 0 ? theme().text : theme().dim);
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(1, 1, -1, -24));
}

void FaderStrip::contextMenuEvent(QContextMenuEvent* event) {
    if (!fader_)
        return;
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto change = [this, id = fader_->id](const QString& name, auto&& edited) {
        const auto* now = document_.show().faders.find(id);
        if (!now)
            return;
        show::Fader next = *now;
        edited(next);
        document_.edit(name, show::changeFader(document_.state().show, next));
    };
    if (fader_->look.value != 0) {
        auto* adds = menu->addAction(tr("Adds its light to that of others"));
        adds->setCheckable(true);
        adds->setChecked(fader_->adds);
        connect(adds, &QAction::triggered, this, [change](bool on) {
            change(tr("How a fader takes part"), [on](show::Fader& f) { f.adds = on; });
        });
        connect(menu->addAction(tr("Show the look on the stage")), &QAction::triggered, this,
                [this, look = fader_->look] { showLook(document_, look); });
        auto* looks = menu->addMenu(tr("Another look"));
        for (const auto& [id, look] : document_.show().looks)
            connect(looks->addAction(toQt(look->name)), &QAction::triggered, this,
                    [change, id = id] {
                        change(tr("Look of a fader"), [id](show::Fader& f) { f.look = id; });
                    });
    }
    if (fader_->list.value != 0)
        connect(menu->addAction(tr("Rate of the list…")), &QAction::triggered, this,
                [this, list = fader_->list] {
                    const auto* now = document_.stage().list(list);
                    auto* ask = new QInputDialog(this);
                    ask->setAttribute(Qt::WA_DeleteOnClose);
                    ask->setWindowTitle(tr("Rate of the list"));
                    ask->setLabelText(tr("How fast it plays, %"));
                    ask->setInputMode(QInputDialog::IntInput);
                    ask->setIntRange(10, 1000);
                    ask->setIntStep(10);
                    ask->setIntValue(now ? static_cast<int>(std::lround(100 * now->rate)) : 100);
                    connect(ask, &QInputDialog::intValueChanged, this, [this, list](int percent) {
                        document_.press(list, play::Command::What::Rate, percent / 100.0);
                    });
                    ask->open();
                });
    if (!fader_->emitters.empty())
        connect(menu->addAction(tr("Its emitters…")), &QAction::triggered, this,
                [this, id = fader_->id] { emit emittersWanted(id); });
    connect(menu->addAction(tr("Rename…")), &QAction::triggered, this, [this, change] {
        askText(this, tr("Rename the fader"), tr("Its name"), toQt(fader_->name),
                [change](const QString& name) {
                    change(tr("Rename a fader"),
                           [&](show::Fader& f) { f.name = fromQt(name.trimmed()); });
                });
    });
    connect(menu->addAction(tr("Remove the fader")), &QAction::triggered, this,
            [this, id = fader_->id] {
                document_.edit(tr("Remove a fader"), show::removeFader(document_.state().show, id));
            });
    menu->popup(event->globalPos());
}

// --- eight of them

FaderBank::FaderBank(Document& document, QWidget* parent)
    : QWidget(parent), document_(document),
      add_(new Button(tr("add…"), {}, tr("A look, a group or emitters onto a fader"),
                      Button::Kind::Text, this)),
      turn_(new Button(QString(), {}, tr("The next eight faders"), Button::Kind::Text, this)),
      buttons_(new Button(tr("buttons"), {},
                          tr("Looks as buttons instead, each with a time of its own"),
                          Button::Kind::Text, this)) {
    setAccessibleName(tr("Looks on faders"));
    for (int i = 0; i < kInView; ++i) {
        strips_.push_back(new FaderStrip(document_, this));
        connect(strips_.back(), &FaderStrip::emittersWanted, this, &FaderBank::askEmitters);
    }
    connect(add_, &Button::clicked, this, &FaderBank::openAdd);
    connect(turn_, &Button::clicked, this, [this] { turnPage(1); });
    watch(document_, this, Change::Cues | Change::Values | Change::Palettes, [this] { refresh(); });
    watch(document_, this, Change::Light | Change::Seen, [this] {
        for (auto* strip : strips_)
            if (!strip->typing())
                strip->refresh();
    });
    qApp->installEventFilter(this);
    refresh();
}

int FaderBank::pages() const {
    return std::max(1, (static_cast<int>(document_.show().faders.size()) + kInView - 1) / kInView);
}

void FaderBank::turnPage(int by) {
    page_ = (page_ + by % pages() + pages()) % pages();
    refresh();
}

void FaderBank::refresh() {
    page_ = std::clamp(page_, 0, pages() - 1);
    const auto& all = document_.show().faders;
    for (int i = 0; i < kInView; ++i) {
        const auto at = static_cast<std::size_t>(page_ * kInView + i);
        strips_[static_cast<std::size_t>(i)]->setFader(
            at < all.size() ? all.entry(at).second : nullptr, QStringLiteral("F%1").arg(5 + i));
    }
    turn_->setText(tr("page %1 of %2").arg(page_ + 1).arg(pages()));
    turn_->setAccessibleName(turn_->text());
    turn_->setVisible(pages() > 1);
    place();
    update();
}

void FaderBank::place() {
    constexpr int kHead = 40;
    const int wide = (width() - 32) / kInView;
    for (int i = 0; i < kInView; ++i)
        strips_[static_cast<std::size_t>(i)]->setGeometry(16 + i * wide, kHead, wide,
                                                          height() - kHead - 6);
    const int add = add_->sizeHint().width();
    add_->setGeometry(width() - 20 - add, 12, add, 22);
    const int buttons = buttons_->sizeHint().width();
    buttons_->setGeometry(add_->x() - 16 - buttons, 12, buttons, 22);
    const int turn = turn_->sizeHint().width();
    turn_->setGeometry(buttons_->x() - 16 - turn, 12, turn, 22);
}

void FaderBank::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    const int right = (turn_->isHidden() ? buttons_ : turn_)->x() - 16;
    drawElided(p, 24, 29, right - 24, tr("Looks on faders"), typeface(Type::Title), theme().text);
    if (document_.show().faders.empty())
        drawWrapped(p, QRect(24, 52, width() - 48, 60),
                    tr("None yet. Add a look, a group or emitters: a fader mixes them freely over "
                       "what plays."),
                    typeface(Type::Work), theme().dim);
}

void FaderBank::openAdd() {
    auto* menu = new QMenu(tr("What is on the fader?"), this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto offer = [this](QMenu* in, const QString& name, const show::Fader& fader) {
        connect(in->addAction(name), &QAction::triggered, this, [this, name, fader] {
            show::Fader one = fader;
            one.name = fromQt(name);
            const auto& all = document_.show().faders;
            for (int n = 2; std::any_of(all.begin(), all.end(),
                                        [&](const auto& f) { return f.second->name == one.name; });
                 ++n)
                one.name = fromQt(name) + " " + std::to_string(n);
            if (document_.edit(tr("Add fader %1").arg(toQt(one.name)),
                               show::addFader(document_.state().show, one)))
                turnPage(pages() - 1 - page_);
        });
    };
    auto* looks = menu->addMenu(tr("A look"));
    looks->setEnabled(!document_.show().looks.empty());
    for (const auto& [id, look] : document_.show().looks) {
        show::Fader fader;
        fader.look = id;
        offer(looks, toQt(look->name), fader);
    }
    auto* lists = menu->addMenu(tr("A cue list, from its first cue"));
    lists->setEnabled(!document_.show().cue_lists.empty());
    for (const auto& [id, list] : document_.show().cue_lists) {
        show::Fader fader;
        fader.list = id;
        offer(lists, toQt(list->name), fader);
    }
    auto* ripples = menu->addMenu(tr("A ripple"));
    ripples->setEnabled(!document_.show().ripples.empty());
    for (const auto& [id, ripple] : document_.show().ripples) {
        show::Fader fader;
        fader.ripple = id;
        offer(ripples, toQt(ripple->name), fader);
    }
    auto* groups = menu->addMenu(tr("The intensity of a group"));
    groups->setEnabled(!document_.show().groups.empty());
    for (const auto& [id, group] : document_.show().groups) {
        show::Fader fader;
        fader.group = id;
        offer(groups, toQt(group->name), fader);
    }
    auto* families = menu->addMenu(tr("A family of emitters"));
    for (const auto& [family, name] : {std::pair(show::Family::Warm, tr("Warm")),
                                       {show::Family::Green, tr("Green")},
                                       {show::Family::Blue, tr("Blue")}}) {
        show::Fader fader;
        fader.family = family;
        offer(families, name, fader);
    }
    const auto names = emitterNames(document_);
    auto* emitters = menu->addMenu(tr("An emitter"));
    emitters->setEnabled(!names.empty());
    for (const std::string& name : names) {
        show::Fader fader;
        fader.emitters = {name};
        offer(emitters, toQt(name), fader);
    }
    connect(menu->addAction(tr("A family made by hand…")), &QAction::triggered, this,
            [this] { askEmitters(std::nullopt); });
    menu->popup(add_->mapToGlobal(QPoint(0, add_->height())));
}

void FaderBank::askEmitters(std::optional<show::FaderId> of) {
    const auto names = emitterNames(document_);
    const auto* fader = of ? document_.show().faders.find(*of) : nullptr;
    auto* form = new QDialog(this);
    form->setAttribute(Qt::WA_DeleteOnClose);
    form->setWindowTitle(tr("Emitters of the fader"));
    auto* rows = new QVBoxLayout(form);
    auto* name = new QLineEdit(fader ? toQt(fader->name) : QString(), form);
    name->setAccessibleName(tr("Name of the family"));
    name->setToolTip(tr("What the fader is called"));
    name->setPlaceholderText(tr("name"));
    rows->addWidget(name);
    std::vector<QCheckBox*> ticks;
    for (const std::string& emitter : names) {
        auto* tick = new QCheckBox(toQt(emitter), form);
        tick->setToolTip(tr("%1, of every lamp that has it").arg(toQt(emitter)));
        tick->setChecked(fader && std::find(fader->emitters.begin(), fader->emitters.end(),
                                            emitter) != fader->emitters.end());
        rows->addWidget(tick);
        ticks.push_back(tick);
    }
    auto* keep = new QPushButton(tr("Onto the fader"), form);
    keep->setToolTip(tr("The ticked emitters, together"));
    keep->setDefault(true);
    rows->addWidget(keep);
    connect(keep, &QPushButton::clicked, form, [this, form, name, ticks, of] {
        const auto& faders = document_.show().faders;
        show::Fader next = of && faders.find(*of) ? *faders.find(*of) : show::Fader{};
        next.emitters.clear();
        for (const auto* tick : ticks)
            if (tick->isChecked())
                next.emitters.push_back(fromQt(tick->text()));
        next.name = fromQt(name->text().trimmed());
        const auto& show = document_.state().show;
        const QString what = tr("Emitters of fader %1").arg(toQt(next.name));
        if (document_.edit(what, of ? show::changeFader(show, next) : show::addFader(show, next))) {
            if (!of)
                turnPage(pages() - 1 - page_);
            form->close();
        }
    });
    form->open();
}

void FaderBank::flash(int place, bool on) {
    const auto& fader = strips_[static_cast<std::size_t>(place)]->fader();
    if (on && fader && !flashed_.contains(place)) {
        flashed_[place] = {fader->id, levelOf(document_, fader->id)};
        document_.setFader(fader->id, 1);
    }
    const auto was = flashed_.find(place);
    if (!on && was != flashed_.end()) {
        document_.setFader(was->second.first, was->second.second);
        flashed_.erase(was);
    }
}

// While it is held; a window that loses the keyboard will not hear it let go.
bool FaderBank::eventFilter(QObject* watched, QEvent* event) {
    if (watched == window() && event->type() == QEvent::WindowDeactivate)
        for (int i = 0; i < kInView; ++i)
            flash(i, false);
    const bool press = event->type() == QEvent::KeyPress;
    if (!press && event->type() != QEvent::KeyRelease)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const int place = key->key() - Qt::Key_F5;
    const QWidget* focus = QApplication::focusWidget();
    if (place < 0 || place >= kInView || key->modifiers() != Qt::NoModifier)
        return QWidget::eventFilter(watched, event);
    const bool ours = isVisible() && focus && focus->window() == window() && watched == focus;
    if (key->isAutoRepeat())
        return ours;
    if (press && !ours)
        return QWidget::eventFilter(watched, event);
    flash(place, press);
    return ours;
}

} // namespace zelo::desk
