// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/settings_form.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "light/levels.h"
#include "show/edits.h"

#include <QComboBox>
#include <QGridLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <algorithm>

namespace zelo::desk {

namespace {

// Calls `see` for each setting of each lamp of the lineup.
template <class See>
void eachSetting(const Document& document, See see) {
    for (const auto id : document.lineup()) {
        const auto* lamp = document.stage().lamp(id);
        if (!lamp || !lamp->mixer)
            continue;
        const auto& mode = lamp->mixer->mode();
        for (const std::size_t i : mode.settings())
            see(*lamp, i, mode.channels[i]);
    }
}

} // namespace

SettingsForm* SettingsForm::open(Document& document, QWidget* parent) {
    bool any = false;
    eachSetting(document, [&](const auto&, std::size_t, const auto&) { any = true; });
    if (!any) {
        document.tell(document.lineup().empty()
                          ? tr("Choose lamps first: their other channels are shown then.")
                          : tr("The lamps of the lineup have intensity and colour alone."));
        return nullptr;
    }
    auto* form = new SettingsForm(document, parent);
    form->QDialog::open();
    return form;
}

SettingsForm::SettingsForm(Document& document, QWidget* parent)
    : QDialog(parent), document_(document) {
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Other channels of %1").arg(lampCount(document.lineup().size())));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(20, 16, 20, 16);
    grid->setHorizontalSpacing(12);
    auto* said =
        new QLabel(tr("What the lamps have beside intensity and colour. Set by hand; a cue "
                      "or a look keeps what was set."),
                   this);
    said->setWordWrap(true);
    grid->addWidget(said, 0, 0, 1, 4);
    eachSetting(document, [&](const auto&, std::size_t, const light::Channel& channel) {
        if (std::none_of(rows_.begin(), rows_.end(),
                         [&](const Row& row) { return row.name == channel.name; }))
            addRow(channel);
    });
    watch(document_, this, Change::Light | Change::Hand, [this] { refresh(); });
    refresh();
    if (!rows_.empty())
        rows_.front().share->setFocus();
}

void SettingsForm::addRow(const light::Channel& channel) {
    auto* grid = static_cast<QGridLayout*>(layout());
    const QString name = toQt(channel.name);
    const int at = grid->rowCount();
    auto* label = new QLabel(name, this);
    auto* share = new NumberField(name, tr("%1: a share of all its values").arg(name),
                                  {0, 100, 1, 1}, QStringLiteral("%"), this);
    share->setMinimumSize(share->sizeHint());
    QComboBox* ranges = nullptr;
    if (!channel.named.empty()) {
        ranges = new QComboBox(this);
        ranges->setAccessibleName(tr("What %1 does").arg(name));
        ranges->setToolTip(tr("What %1 does there; the middle of its values is taken").arg(name));
        for (const auto& range : channel.named)
            ranges->addItem(toQt(range.name));
        grid->addWidget(ranges, at, 2);
    }
    auto* back = new QPushButton(tr("let go"), this);
    back->setToolTip(tr("Out of the hand: as cues and looks say, or at rest"));
    back->setAccessibleName(tr("Let go of %1").arg(name));
    back->setAutoDefault(false);
    grid->addWidget(label, at, 0);
    grid->addWidget(share, at, 1);
    grid->addWidget(back, at, 3);
    const std::size_t row = rows_.size();
    rows_.push_back({channel.name, channel, share, ranges, back});
    connect(share, &ValueControl::valueEdited, this,
            [this, row](double percent, int gesture) { set(rows_[row], percent / 100, gesture); });
    connect(share, &ValueControl::resetWanted, this, [this, row] { letGo(rows_[row]); });
    connect(back, &QPushButton::clicked, this, [this, row] { letGo(rows_[row]); });
    if (ranges)
        connect(ranges, &QComboBox::activated, this, [this, row](int chosen) {
            const Row& r = rows_[row];
            const auto& range = r.channel.named[static_cast<std::size_t>(chosen)];
            set(r, r.channel.shareOf(range.from + (range.to - range.from) / 2), -1);
        });
}

// Lamps that have no such channel keep nothing of it.
void SettingsForm::set(const Row& row, double share, int gesture) {
    show::Lineup lamps;
    eachSetting(document_, [&](const play::StageLamp& lamp, std::size_t, const auto& channel) {
        if (channel.name == row.name)
            lamps.push_back(lamp.id);
    });
    document_.setHand(
        toQt(row.name), show::withSetting(document_.state().hand, lamps, row.name, share),
        gesture < 0 ? std::string() : fmt::format("setting {} {}", row.name, gesture));
}

void SettingsForm::letGo(const Row& row) {
    const auto left = show::putDownSetting(document_.state().hand, document_.lineup(), row.name);
    if (left != document_.state().hand)
        document_.setHand(tr("Let go of %1").arg(toQt(row.name)), left);
}

std::uint32_t SettingsForm::valueOf(const Row& row) const {
    std::optional<std::uint32_t> value;
    eachSetting(document_, [&](const play::StageLamp& lamp, std::size_t i, const auto& channel) {
        if (!value && channel.name == row.name && i < lamp.sent.values.size())
            value = lamp.sent.values[i];
    });
    return value.value_or(row.channel.home);
}

void SettingsForm::refresh() {
    for (const Row& row : rows_) {
        const std::uint32_t value = valueOf(row);
        if (!row.share->typing())
            row.share->setValue(std::round(1000 * row.channel.shareOf(value)) / 10);
        if (row.ranges) {
            const auto& named = row.channel.named;
            const auto it = std::find_if(named.begin(), named.end(), [&](const auto& range) {
                return value >= range.from && value <= range.to;
            });
            row.ranges->setCurrentIndex(it == named.end() ? -1
                                                          : static_cast<int>(it - named.begin()));
        }
        const auto& hand = *document_.state().hand;
        row.back->setEnabled(std::any_of(document_.lineup().begin(), document_.lineup().end(),
                                         [&](show::FixtureId id) {
                                             const show::Value* held = hand.find(id);
                                             return held && held->settings.contains(row.name);
                                         }));
    }
}

void SettingsForm::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        return close(), void();
    QDialog::keyPressEvent(event);
}

} // namespace zelo::desk
