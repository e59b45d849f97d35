// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/output_panel.h"

#include "base/text.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHeaderView>
#include <QMessageBox>
#include <QPushButton>
#include <QSignalBlocker>
#include <QTableWidget>
#include <QTimer>

namespace zelo::desk {

namespace {

constexpr int kMargin = 20;
enum Column { Universes, Way, Address, There, On, kColumns };
constexpr int kOwn = 96; // the room of what a line has of its own, above the buttons

// "1" or "1–4", also with a plain hyphen.
std::optional<std::pair<int, int>> rangeOf(QString text) {
    const auto parts = text.replace(QChar(0x2013), '-').split('-');
    bool a_ok = false;
    bool b_ok = true;
    const int a = parts.value(0).trimmed().toInt(&a_ok);
    const int b = parts.size() > 1 ? parts[1].trimmed().toInt(&b_ok) : a;
    if (!a_ok || !b_ok || parts.size() > 2 || b < a)
        return std::nullopt;
    return std::pair(a, b - a + 1);
}

QString rangeText(int first, int count) {
    return count == 1 ? QString::number(first)
                      : QStringLiteral("%1–%2").arg(first).arg(first + count - 1);
}

} // namespace

OutputPanel::OutputPanel(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), cards_(new QComboBox(this)),
      lines_(new QTableWidget(0, kColumns, this)),
      add_(new Button(tr("Add a line"), {}, tr("Universes that go somewhere of their own"),
                      Button::Kind::Plain, this)),
      remove_(new Button(tr("Remove it"), {}, tr("The line with the keyboard goes"),
                         Button::Kind::Plain, this)),
      priority_(new NumberField(tr("Priority of the line"),
                                tr("E1.31: receivers follow the highest of 0 to 200. A double "
                                   "press: 100"),
                                {0, 200, 1, 0}, {}, this)),
      sync_(new QCheckBox(tr("universes at one moment"), this)) {
    setAccessibleName(tr("Output map"));
    sync_->setToolTip(tr("E1.31 synchronisation: receivers that know it show all universes of the "
                         "line together"));
    cards_->setAccessibleName(tr("Network"));
    cards_->setToolTip(tr("Which network card may be used. This computer only: nothing leaves it"));
    lines_->setAccessibleName(tr("Lines of the output map"));
    lines_->setToolTip(tr("Universes, protocol (E1.31 or Art-Net), IPv4 address or multicast, the "
                          "first universe there, on or off; Enter edits"));
    lines_->setHorizontalHeaderLabels(
        {tr("univ."), tr("protocol"), tr("address"), tr("as"), tr("on")});
    styleTable(*lines_);
    const int widths[] = {42, 62, 86, 26, 24};
    for (int c = 0; c < kColumns; ++c)
        lines_->horizontalHeader()->resizeSection(c, widths[c]);
    connect(cards_, &QComboBox::activated, this, &OutputPanel::chooseCard);
    connect(lines_, &QTableWidget::cellChanged, this, &OutputPanel::editCell);
    connect(lines_, &QTableWidget::currentCellChanged, this, &OutputPanel::showLine);
    const auto prioritise = [this](double value) {
        changeLine([&](show::OutputLine& line) { line.priority = static_cast<int>(value); });
    };
    connect(priority_, &NumberField::valueEdited, this, prioritise);
    connect(priority_, &NumberField::resetWanted, this, [prioritise] { prioritise(100); });
    connect(sync_, &QCheckBox::toggled, this,
            [this](bool on) { changeLine([&](show::OutputLine& line) { line.sync = on; }); });
    connect(add_, &Button::clicked, this, &OutputPanel::addLine);
    connect(remove_, &Button::clicked, this, &OutputPanel::removeLine);
    watch(document_, this, Change::Outputs | Change::Rig | Change::Controls, [this] { refresh(); });
    watch(document_, this, Change::Found, [this] { update(); });
    auto* timer = new QTimer(this); // packets are counted as they go
    connect(timer, &QTimer::timeout, this, [this] {
        if (isVisible())
            update();
    });
    timer->start(500);
}

void OutputPanel::showEvent(QShowEvent*) {
    refresh();
}

void OutputPanel::refresh() {
    filling_ = true;
    auto* network = document_.network();
    cards_->clear();
    cards_->addItem(tr("this computer only"), QStringLiteral("127.0.0.1"));
    for (const auto& card : host::networkCards())
        if (!startsWith(card.address, "127."))
            cards_->addItem(QStringLiteral("%1  %2").arg(toQt(card.name), toQt(card.address)),
                            toQt(card.address));
    if (network)
        cards_->setCurrentIndex(std::max(0, cards_->findData(toQt(network->choice().card))));
    const auto& outputs = document_.show().outputs;
    lines_->setRowCount(static_cast<int>(outputs.size()));
    for (int row = 0; row < lines_->rowCount(); ++row) {
        const auto& line = outputs[static_cast<std::size_t>(row)];
        const auto put = [&](int column, const QString& text) {
            lines_->setItem(row, column, new QTableWidgetItem(text));
        };
        put(Universes, rangeText(line.first, line.count));
        put(Way, line.protocol == show::Protocol::ArtNet ? tr("Art-Net") : tr("E1.31"));
        put(Address, toQt(line.address));
        put(There, QString::number(line.to));
        auto* on = new QTableWidgetItem;
        on->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable | Qt::ItemIsUserCheckable);
        on->setCheckState(line.on ? Qt::Checked : Qt::Unchecked);
        lines_->setItem(row, On, on);
    }
    remove_->setEnabled(!outputs.empty());
    filling_ = false;
    layOut();
    showLine();
}

// What the line with the keyboard has of its own.
void OutputPanel::showLine() {
    const auto& outputs = document_.show().outputs;
    const auto row = static_cast<std::size_t>(std::max(0, lines_->currentRow()));
    const bool e131 = row < outputs.size() && outputs[row].protocol == show::Protocol::E131;
    priority_->setEnabled(e131);
    sync_->setEnabled(e131);
    const QSignalBlocker quiet(sync_);
    priority_->setValue(e131 ? outputs[row].priority : 100);
    sync_->setChecked(e131 && outputs[row].sync);
    update();
}

void OutputPanel::changeLine(const std::function<void(show::OutputLine&)>& how) {
    auto lines = document_.show().outputs;
    if (lines.empty())
        return;
    const int row = std::clamp(lines_->currentRow(), 0, static_cast<int>(lines.size()) - 1);
    how(lines[static_cast<std::size_t>(row)]);
    change(tr("Output line %1").arg(row + 1), std::move(lines));
    lines_->setCurrentCell(row, std::max(0, lines_->currentColumn()));
}

void OutputPanel::change(const QString& name, std::vector<show::OutputLine> lines) {
    const auto next = show::changeOutputs(document_.state().show, std::move(lines));
    document_.edit(name, next);
    refresh();
}

void OutputPanel::editCell(int row, int column) {
    if (filling_)
        return;
    auto lines = document_.show().outputs;
    auto& line = lines[static_cast<std::size_t>(row)];
    const QString text = lines_->item(row, column)->text().trimmed();
    if (column == Universes) {
        const auto range = rangeOf(text);
        if (!range || range->first < 1 || range->first > light::kLastUniverse) {
            document_.tell(tr("“%1”: expected universes such as 1 or 1–4.").arg(text));
            return refresh();
        }
        line.first = static_cast<std::uint16_t>(range->first);
        line.count = range->second;
    } else if (column == Way) {
        const bool art_net = text.startsWith('a', Qt::CaseInsensitive);
        if (!art_net && !text.startsWith('e', Qt::CaseInsensitive) && !text.startsWith('s')) {
            document_.tell(tr("“%1”: expected E1.31 or Art-Net.").arg(text));
            return refresh();
        }
        line.protocol = art_net ? show::Protocol::ArtNet : show::Protocol::E131;
        if (art_net && line.address == "multicast")
            line.address = "127.0.0.1";
    } else if (column == Address) {
        line.address = fromQt(text.toLower());
    } else if (column == There) {
        bool number = false;
        line.to = text.toInt(&number);
        if (!number) {
            document_.tell(tr("“%1”: expected a number.").arg(text));
            return refresh();
        }
    } else {
        line.on = lines_->item(row, On)->checkState() == Qt::Checked;
    }
    change(tr("Output line %1").arg(row + 1), std::move(lines));
}

void OutputPanel::addLine() {
    auto lines = document_.show().outputs;
    show::OutputLine line;
    int last = 0; // goes on behind the others
    for (const auto& l : lines)
        last = std::max(last, l.first + l.count - 1);
    line.first = static_cast<std::uint16_t>(std::min(last + 1, light::kLastUniverse));
    line.to = line.first;
    if (lines.empty()) { // what went out until now goes on: all universes of the rig
        int most = 1;
        for (const auto& [id, f] : document_.show().fixtures)
            most = std::max<int>(most, f->universe);
        line.count = most;
    }
    lines.push_back(line);
    change(tr("Add an output line"), std::move(lines));
}

void OutputPanel::removeLine() {
    auto lines = document_.show().outputs;
    if (lines.empty())
        return;
    const int row = std::clamp(lines_->currentRow(), 0, static_cast<int>(lines.size()) - 1);
    lines.erase(lines.begin() + row);
    change(tr("Remove an output line"), std::move(lines));
}

// Going out to a network is asked once more: others may be listening there.
void OutputPanel::chooseCard() {
    auto* network = document_.network();
    if (!network)
        return;
    const QString card = cards_->currentData().toString();
    if (card == "127.0.0.1") {
        network->choose({});
        return refresh();
    }
    auto* box = new QMessageBox(this);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setText(tr("Levels will go out to the network at %1, to every fixture that listens "
                    "there.")
                     .arg(card));
    auto* out = box->addButton(tr("Go out"), QMessageBox::AcceptRole);
    box->addButton(tr("Stay on this computer"), QMessageBox::RejectRole);
    connect(box, &QMessageBox::buttonClicked, this, [=, this](QAbstractButton* chosen) {
        if (chosen == out)
            network->choose({fromQt(card)});
        refresh();
    });
    box->open();
}

void OutputPanel::resizeEvent(QResizeEvent*) {
    layOut();
}

void OutputPanel::layOut() {
    const int w = width() - 2 * kMargin;
    const bool any = !document_.show().outputs.empty(); // else their room is the text's
    priority_->setVisible(any);
    sync_->setVisible(any);
    const int room = any ? kOwn : 0;
    cards_->setGeometry(kMargin, 72, w, 26);
    lines_->setGeometry(kMargin, 150, w, std::max(60, height() - 150 - 200 - room));
    const int own = lines_->geometry().bottom() + 10;
    priority_->setGeometry(kMargin + w - 70, own, 70, 24);
    sync_->setGeometry(kMargin, own + 32, w, 24);
    const int y = any ? own + kOwn - 26 : own;
    add_->setGeometry(kMargin, y, w / 2 - 4, 28);
    remove_->setGeometry(kMargin + w / 2 + 4, y, w / 2 - 4, 28);
}

void OutputPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, kMargin, 31, tr("Output"), typeface(Type::Title), theme().bright);
    drawText(p, kMargin, 62, tr("network"), typeface(Type::Small), theme().dim);
    drawText(p, kMargin, 128, tr("universes and where they go"), typeface(Type::Small),
             theme().dim);
    auto* network = document_.network();
    const int room = width() - 2 * kMargin;
    p.setFont(typeface(Type::Small));
    if (document_.show().outputs.empty()) {
        drawWrapped(p, QRect(kMargin, 178, room, lines_->geometry().bottom() - 182),
                    tr("No line: every universe goes as E1.31 to this computer, where the practice "
                       "rig listens."),
                    typeface(Type::Small), theme().text);
    }
    if (!document_.show().outputs.empty())
        drawText(p, kMargin, priority_->y() + 16, tr("priority of the line"), typeface(Type::Small),
                 priority_->isEnabled() ? theme().text : theme().dim);
    int y = add_->geometry().bottom() + 26;
    if (!network) {
        drawWrapped(p, QRect(kMargin, y - 12, room, 60),
                    tr("No output: its port could not be opened."), typeface(Type::Small),
                    theme().text);
        return;
    }
    const auto packets = network->outputs().packets();
    drawEnds(p, kMargin, width() - kMargin, y,
             {tr("%n receiver(s) connected", nullptr, network->receivers()), typeface(Type::Work),
              theme().text,
              tr("%1 packet(s)", nullptr, static_cast<int>(packets))
                  .arg(numberText(static_cast<double>(packets), 0)),
              typeface(Type::Small), theme().dim});
    p.setPen(theme().text);
    p.setFont(typeface(Type::Small));
    y += 10;
    auto troubles = network->troubles();
    for (auto& lost : network->outputs().lost())
        troubles.push_back(std::move(lost));
    for (const auto& trouble : troubles) {
        y += drawWrapped(p, QRect(kMargin, y, room, 80), said(trouble), typeface(Type::Small),
                         theme().text) +
             6;
    }
}

} // namespace zelo::desk
