// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/find_panel.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QPointer>
#include <QScrollArea>
#include <QTimer>
#include <algorithm>

namespace zelo::desk {

using host::RigMatch;
using Kind = host::RigMatch::Kind;

namespace {
constexpr int kMargin = 20;
constexpr int kTop = 78;                 // of the list
constexpr std::size_t kMostBlocks = 400; // more are counted, not shown
} // namespace

// --- FoundBlock ------------------------------------------------------------------------------

FoundBlock::FoundBlock(const wire::FoundDevice& device, const RigMatch& match, const QString& place,
                       bool flashing, QWidget* parent)
    : QWidget(parent), device_(device), match_(match), place_(place) {
    setAccessibleName(tr("%1 at %2").arg(toQt(device.model), place));
    setToolTip(tr("%1, identity %2, label “%3”")
                   .arg(toQt(device.maker), toQt(wire::toText(device.uid)), toQt(device.label)));
    const auto button = [this](const QString& word, const QString& tip, auto pressed) {
        auto* b = new Button(word, {}, tip, Button::Kind::Plain, this);
        connect(b, &Button::clicked, this, pressed);
        buttons_.push_back(b);
        return b;
    };
    if (!device.answered)
        return;
    auto* flash = button(flashing ? tr("Flashing") : tr("Identify"),
                         tr("This lamp flashes until pressed again"),
                         [this, flashing] { emit identifyWanted(!flashing); });
    flash->setCheckable(true);
    flash->setChecked(flashing);
    if (match.kind == Kind::New && match.type)
        button(tr("Add"), tr("Into the rig, at the address it has"), [this] { emit addWanted(); });
    if (match.kind == Kind::Same)
        button(tr("Show it"), tr("Into the lineup"), [this] { emit showWanted(); });
    if (match.kind == Kind::Differs) {
        button(tr("Change patch"), tr("The patch becomes what this device says"),
               [this] { emit takeWanted(); });
        button(tr("Change device"), tr("The device takes the address and mode of the patch"),
               [this] { emit setWanted(); });
    }
}

void FoundBlock::resizeEvent(QResizeEvent*) {
    int x = kMargin;
    const int n = static_cast<int>(buttons_.size());
    const int room = width() - 2 * kMargin;
    for (int i = 0; i < n; ++i) {
        const int w = (room - 8 * (n - 1)) / n;
        buttons_[static_cast<std::size_t>(i)]->setGeometry(x, height() - 34, w, 24);
        x += w + 8;
    }
}

void FoundBlock::paintEvent(QPaintEvent*) {
    QPainter p(this);
    if (!buttons_.empty() && buttons_[0]->isChecked())
        p.fillRect(rect(), theme().lift);
    const int right = width() - kMargin;
    const QString name =
        device_.model.empty() ? toQt(wire::toText(device_.uid)) : toQt(device_.model);
    drawText(p, kMargin, 20, name, typeface(Type::Work), theme().bright);
    drawTextRight(p, right, 20, place_, typeface(Type::Work), theme().bright);
    const int words =
        drawTextRight(p, right, 37, said(match_.words), typeface(Type::Small), theme().text);
    const QFont small = typeface(Type::Small);
    drawText(p, kMargin, 37,
             QFontMetrics(small).elidedText(toQt(device_.personality), Qt::ElideRight,
                                            right - kMargin - words - 8),
             small, theme().dim);
    int y = 53;
    for (const auto& trouble : device_.troubles) {
        drawText(p, kMargin, y,
                 QFontMetrics(small).elidedText(said(trouble), Qt::ElideRight, right - kMargin),
                 small, theme().text);
        y += 16;
    }
    p.fillRect(kMargin, height() - 1, width() - 2 * kMargin, 1, theme().hair);
}

// --- FindPanel -------------------------------------------------------------------------------

FindPanel::FindPanel(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), list_(new QScrollArea(this)),
      column_(new QWidget(list_)),
      search_(new Button(tr("search"), {}, tr("Ask the network what is there, or stop asking"),
                         Button::Kind::Text, this)),
      add_all_(new Button({}, {}, tr("All finds that are new go into the rig, in this order"),
                          Button::Kind::Next, this)) {
    setAccessibleName(tr("Find fixtures"));
    list_->setWidget(column_);
    list_->setWidgetResizable(false);
    list_->setFrameShape(QFrame::NoFrame);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setAccessibleName(tr("Found"));
    list_->setToolTip(tr("What answered, in the order of the tables"));
    list_->setStyleSheet(QStringLiteral("QScrollArea,QScrollArea>QWidget>QWidget{background:"
                                        "transparent}") +
                         scrollBarStyle());
    add_all_->hide();
    connect(search_, &Button::clicked, this, &FindPanel::search);
    connect(add_all_, &Button::clicked, this, &FindPanel::addAll);
    watch(document_, this, Change::Found | Change::Rig | Change::Types | Change::Outputs,
          [this] { refreshSoon(); });
}

void FindPanel::refreshSoon() {
    if (waits_)
        return;
    waits_ = true;
    QTimer::singleShot(60, this, [this] {
        waits_ = false;
        refresh();
    });
}

void FindPanel::search() {
    auto* network = document_.network();
    if (!network || !network->finder())
        return document_.tell(tr("No network: its port could not be opened."));
    if (found_.searching)
        network->finder()->stop();
    else
        network->finder()->search();
}

void FindPanel::refresh() {
    if (auto* network = document_.network(); network && network->finder())
        found_ = network->finder()->state();
    fill();
}

void FindPanel::fill() {
    matches_ = host::matchRig(document_.show(), document_.library(), found_);
    const QString now = contents();
    if (now == filled_with_)
        return update();
    filled_with_ = now;
    for (FoundBlock* b : blocks_)
        b->deleteLater();
    blocks_.clear();
    int y = 0;
    std::size_t fresh = 0;
    // Finds that ask for something first; those that are as patched after them.
    std::vector<const RigMatch*> order;
    for (const bool same : {false, true})
        for (const RigMatch& m : matches_.devices) {
            const auto& d = found_.devices[m.device];
            if ((m.kind == Kind::Same && d.troubles.empty()) == same)
                order.push_back(&m);
        }
    for (const RigMatch* m : order) {
        const auto& d = found_.devices[m->device];
        fresh += m->kind == Kind::New && m->type;
        if (blocks_.size() >= kMostBlocks)
            continue;
        const QString place = d.answered
                                  ? QStringLiteral("%1.%2")
                                        .arg(host::universeOf(document_.show(), d.port_address))
                                        .arg(d.info.address)
                                  : QString();
        const bool flashing = std::count(flashing_.begin(), flashing_.end(), d.uid) > 0;
        auto* block = new FoundBlock(d, *m, place, flashing, column_);
        const int h = 46 + 16 * static_cast<int>(d.troubles.size()) + (d.answered ? 34 : 0);
        block->setGeometry(0, y, width() - 8, h);
        block->show();
        y += h;
        connect(block, &FoundBlock::identifyWanted, this,
                [this, uid = d.uid](bool on) { identify(uid, on); });
        connect(block, &FoundBlock::addWanted, this, [this, m = *m] { add({m}); });
        connect(block, &FoundBlock::showWanted, this,
                [this, id = m->fixture] { document_.setLineup({*id}); });
        connect(block, &FoundBlock::takeWanted, this, [this, m = *m] { take(m); });
        connect(block, &FoundBlock::setWanted, this, [this, m = *m] { set(m); });
        blocks_.push_back(block);
    }
    column_->resize(width(), y);
    add_all_->setText(tr("Add the %n new one(s) in this order", nullptr, static_cast<int>(fresh)));
    add_all_->setAccessibleName(add_all_->text());
    add_all_->setVisible(fresh > 0 && !found_.searching);
    search_->setText(found_.searching ? tr("stop") : tr("search"));
    place();
    update();
}

QString FindPanel::contents() const {
    QStringList all{found_.searching ? "searching" : "still"};
    for (const RigMatch& m : matches_.devices) {
        const auto& d = found_.devices[m.device];
        all << toQt(wire::toText(d.uid)) << toQt(d.maker) << toQt(d.model) << toQt(d.personality)
            << said(m.words) << QString::number(static_cast<int>(m.kind))
            << QString::number(d.info.address) << QString::number(d.troubles.size())
            << QString::number(std::count(flashing_.begin(), flashing_.end(), d.uid))
            << (m.fixture ? QString::number(m.fixture->value) : QString())
            << (m.type ? toQt(m.type->id + m.mode) : QString());
    }
    return all.join('\n');
}

QString FindPanel::note() const {
    if (found_.searching)
        return found_.ports == 0 ? tr("asking who is there")
                                 : tr("port %1 of %2, %3 found so far")
                                       .arg(found_.ports_asked)
                                       .arg(found_.ports)
                                       .arg(found_.devices.size());
    if (!found_.troubles.empty())
        return said(found_.troubles.front());
    if (found_.devices.empty())
        return tr("not searched yet");
    const auto missing = matches_.not_answering.size();
    return missing == 0
               ? tr("%1 found, every patched fixture answers").arg(found_.devices.size())
               : tr("%1 found; patched, not answering: %2").arg(found_.devices.size()).arg(missing);
}

void FindPanel::identify(const wire::Uid& uid, bool on) {
    auto* finder = document_.network() ? document_.network()->finder() : nullptr;
    if (!finder) // the card may have gone since
        return document_.tell(tr("No network: its port could not be opened."));
    std::erase(flashing_, uid);
    if (on)
        flashing_.push_back(uid);
    fill();
    finder->identify(uid, on, told({}));
}

void FindPanel::add(const std::vector<RigMatch>& which) {
    show::Lineup added;
    const auto next = host::addFound(document_.state().show, found_, which, &added);
    const auto name = tr("Add %1, found").arg(lampCount(added.size()));
    if (!document_.edit(name, next))
        return;
    document_.setLineup(std::move(added));
}

void FindPanel::addAll() {
    add(matches_.devices);
}

void FindPanel::take(const RigMatch& match) {
    const auto next = host::takeOver(document_.state().show, found_, match);
    document_.edit(tr("Patch as found"), next);
}

// The device takes the patch's mode first: its slots decide whether the address fits.
void FindPanel::set(const RigMatch& match) {
    auto* finder = document_.network() ? document_.network()->finder() : nullptr;
    if (!finder)
        return document_.tell(tr("No network: its port could not be opened."));
    const auto* f = document_.show().fixture(*match.fixture);
    const auto uid = found_.devices[match.device].uid;
    if (match.other_mode && match.type)
        for (std::size_t i = 0; i < match.type->modes.size(); ++i)
            if (match.type->modes[i].name == f->mode || (f->mode.empty() && i == 0))
                finder->setPersonality(uid, static_cast<int>(i + 1),
                                       told(tr("%1 has mode %2 now")
                                                .arg(f->number)
                                                .arg(toQt(match.type->modes[i].name))));
    if (match.other_address)
        finder->setAddress(uid, f->address,
                           told(tr("%1 has address %2 now").arg(f->number).arg(f->address)));
}

// The answer comes on the finder's thread, perhaps when this panel is gone: it goes through the
// document, which outlives both.
wire::Finder::Answer FindPanel::told(const QString& well) {
    return [document = &document_, panel = QPointer<FindPanel>(this), well](const Done& done) {
        const QString line = done ? well : said(done.error());
        document->post([document, panel, line] {
            if (!line.isEmpty())
                document->tell(line);
            if (panel)
                panel->refresh();
        });
    };
}

void FindPanel::showEvent(QShowEvent*) {
    refresh();
}

void FindPanel::place() {
    const int w = search_->sizeHint().width();
    search_->setGeometry(width() - kMargin - w, 14, w, 22);
    const int foot = add_all_->isHidden() ? 8 : 44;
    list_->setGeometry(0, kTop, width(), height() - kTop - foot);
    add_all_->setGeometry(kMargin, height() - 36, width() - 2 * kMargin, 28);
}

void FindPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, kMargin, 31, tr("Find fixtures"), typeface(Type::Title), theme().bright);
    drawText(p, kMargin, 57, note(), typeface(Type::Small), theme().dim);
    const int room = width() - 2 * kMargin;
    p.fillRect(kMargin, 68, room, 2, theme().hair);
    const auto all = std::max<std::size_t>(1, found_.devices.size());
    if (found_.searching)
        p.fillRect(kMargin, 68,
                   static_cast<int>(room * found_.devicesDone() / static_cast<int>(all)), 2,
                   theme().bright);
    if (found_.devices.empty() && !found_.searching) {
        drawWrapped(p, QRect(kMargin, 90, room, 80),
                    tr("Search asks every port of the network which fixtures hang on it."),
                    typeface(Type::Work), theme().text);
    }
}

} // namespace zelo::desk
