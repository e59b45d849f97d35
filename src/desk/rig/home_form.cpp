// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/home_form.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/value_control.h"
#include "light/levels.h"
#include "show/edits.h"

#include <QCheckBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <algorithm>

namespace zelo::desk {

HomeForm* HomeForm::open(Document& document, QWidget* parent) {
    const auto& lineup = document.lineup();
    const auto first = lineup.empty() ? Document::TypeKey{} : document.typeOf(lineup.front());
    const auto type = document.library().type(first.type);
    const light::Mode* mode = type ? type->mode(first.mode) : nullptr;
    if (!mode) {
        document.tell(tr("Choose lamps first: their home values are shown then."));
        return nullptr;
    }
    std::vector<show::FixtureId> lamps;
    for (const auto id : lineup)
        if (document.typeOf(id) == first)
            lamps.push_back(id);
    auto* form = new HomeForm(document, std::move(lamps), *type, *mode, parent);
    form->QDialog::open();
    return form;
}

HomeForm::HomeForm(Document& document, std::vector<show::FixtureId> lamps,
                   const light::FixtureType& type, const light::Mode& mode, QWidget* parent)
    : QDialog(parent), document_(document), lamps_(std::move(lamps)) {
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Home values of %1 (%2)").arg(lampCount(lamps_.size()), toQt(type.name)));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(20, 16, 20, 16);
    auto* said = new QLabel(tr("Where each part rests while no colour is asked for. Not ticked: as "
                               "its type says."),
                            this);
    said->setWordWrap(true);
    grid->addWidget(said, 0, 0, 1, 2);
    const auto& home = document.show().fixture(lamps_.front())->home;
    for (const auto& channel : mode.channels) {
        if (channel.role != light::Role::Part)
            continue;
        const std::string part = type.partName(channel.part);
        const auto own = home.find(part);
        const double of_type = 100 * light::driveOf(channel, channel.home);
        auto* tick = new QCheckBox(toQt(part), this);
        tick->setToolTip(tr("A home value of these lamps' own"));
        tick->setChecked(own != home.end());
        auto* level = new NumberField(tr("Home of %1").arg(toQt(part)),
                                      tr("Where it rests; a double press: as its type says"),
                                      {0, 100, 1, 1}, "%", this);
        level->setMinimumSize(level->sizeHint());
        level->setValue(own != home.end() ? 100 * own->second : of_type);
        const std::size_t at = rows_.size();
        connect(tick, &QCheckBox::toggled, level, [this, at, level, of_type](bool on) {
            rows_[at].touched = true;
            if (!on)
                level->setValue(of_type);
        });
        connect(level, &NumberField::valueEdited, tick, [this, at, tick] {
            rows_[at].touched = true;
            tick->setChecked(true); // a number that is typed is meant
        });
        connect(level, &NumberField::resetWanted, tick, [tick] { tick->setChecked(false); });
        const int row = grid->rowCount();
        grid->addWidget(tick, row, 0);
        grid->addWidget(level, row, 1);
        rows_.push_back({part, tick, level, false});
    }
    auto* buttons = new QDialogButtonBox(this);
    buttons->addButton(tr("Set them"), QDialogButtonBox::AcceptRole);
    buttons->addButton(tr("Not now"), QDialogButtonBox::RejectRole);
    grid->addWidget(buttons, grid->rowCount(), 0, 1, 2);
    connect(buttons, &QDialogButtonBox::accepted, this, &HomeForm::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &HomeForm::reject);
}

void HomeForm::accept() {
    const auto touched = [](const Row& row) { return row.touched; };
    if (std::none_of(rows_.begin(), rows_.end(), touched))
        return QDialog::accept();
    const auto set = [this](show::Fixture& f, std::size_t) {
        for (const Row& row : rows_)
            if (row.touched && row.own->isChecked())
                f.home[row.part] = row.level->value() / 100;
            else if (row.touched)
                f.home.erase(row.part);
    };
    if (document_.edit(tr("Home values of %1").arg(lampCount(lamps_.size())),
                       show::changeEach(document_.state().show, lamps_, set)))
        QDialog::accept();
}

} // namespace zelo::desk
