// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/types_panel.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/slot_chips.h"
#include "desk/kit/watch.h"
#include "desk/readings/spectrum_plot.h"
#include "desk/rig/hull_plot.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/type_edit.h"

#include <QFileDialog>
#include <QInputDialog>
#include <QListWidget>
#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kMargin = 20;
}

TypesPanel::TypesPanel(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), list_(new QListWidget(this)),
      spectra_(
          new SpectrumPlot(tr("Spectra of the type"), tr("Each emitter at full"), false, this)),
      hull_(new HullPlot(this)) {
    setAccessibleName(tr("Fixture types"));
    list_->setAccessibleName(tr("Types"));
    list_->setToolTip(tr("All fixture types at hand; Enter edits one"));
    styleList(*list_);
    const auto button = [this](const QString& word, const QString& tip, auto pressed) {
        auto* b = new Button(word, {}, tip, Button::Kind::Plain, this);
        connect(b, &Button::clicked, this, pressed);
        buttons_.push_back(b);
    };
    const auto askName = [this](const QString& title, const QString& first) {
        return QInputDialog::getText(this, title, tr("Name"), QLineEdit::Normal, first);
    };
    button(tr("Edit"), tr("Emitters, channels, response and home of this type"), [this] {
        if (const auto type = chosen())
            emit editWanted(type->id);
    });
    button(tr("Copy…"), tr("A new type that begins as this one"), [this, askName] {
        if (const auto type = chosen())
            if (const auto name = askName(tr("Copy"), tr("%1 copy").arg(toQt(type->name)));
                !name.isEmpty())
                makeCopy(name);
    });
    button(tr("New…"), tr("A type from nothing: emitters from files or by peak and width"),
           [this, askName] {
               if (const auto name = askName(tr("New fixture type"), {}); !name.isEmpty())
                   makeNew(name);
           });
    button(tr("Read…"), tr("A type from a GDTF file; it is saved in this show"), [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("Read a fixture type"), {},
                                                       tr("GDTF (*.gdtf description.xml)"));
        if (!path.isEmpty())
            read(path);
    });
    button(tr("Write…"), tr("This type as a GDTF file"), [this] {
        const auto type = chosen();
        const auto path =
            type ? QFileDialog::getSaveFileName(this, tr("Write the fixture type"),
                                                toQt(type->id) + ".gdtf", tr("GDTF (*.gdtf)"))
                 : QString();
        if (!path.isEmpty())
            write(path);
    });
    button(tr("Remove"), tr("Takes a type of this show's own away; a shipped one comes back"),
           [this] { remove(); });
    connect(list_, &QListWidget::currentRowChanged, this, [this] {
        if (filling_)
            return;
        if (const auto type = chosen())
            emit typeChosen(type->id);
        refresh();
    });
    connect(list_, &QListWidget::itemActivated, this, [this] {
        if (const auto type = chosen())
            emit editWanted(type->id);
    });
    watch(document_, this, Change::Types | Change::Rig, [this] { refresh(); });
}

std::shared_ptr<const light::FixtureType> TypesPanel::chosen() const {
    const int row = list_->currentRow();
    return row >= 0 && row < static_cast<int>(types_.size()) ? types_[static_cast<std::size_t>(row)]
                                                             : nullptr;
}

void TypesPanel::choose(const std::string& id) {
    refresh();
    for (std::size_t i = 0; i < types_.size(); ++i)
        if (types_[i]->id == id)
            list_->setCurrentRow(static_cast<int>(i));
}

void TypesPanel::refresh() {
    const auto before = chosen();
    const std::string id = before ? before->id : std::string();
    types_ = document_.library().types();
    std::map<std::string, int> uses;
    for (const auto& [fixture, f] : document_.show().fixtures)
        ++uses[f->type];
    filling_ = true;
    list_->clear();
    int row = 0;
    for (const auto& type : types_) {
        QString line = toQt(type->name);
        if (document_.show().types.contains(type->id))
            line += tr("  (this show's)");
        if (uses[type->id] > 0)
            line +=
                QStringLiteral("   %1").arg(lampCount(static_cast<std::size_t>(uses[type->id])));
        list_->addItem(line);
        if (type->id == id)
            row = list_->count() - 1;
    }
    list_->setCurrentRow(row);
    filling_ = false;
    const auto type = chosen();
    hull_->show(type, document_.colours());
    const auto mixer = type ? document_.mixes().mixer(*document_.sources(), type->id, {}) : nullptr;
    if (mixer) {
        light::Drives full = type->rest();
        for (std::size_t i = 0; i < type->emitters.size(); ++i)
            full[i] = 1;
        spectra_->showMix(*mixer, full, std::nullopt, document_.colours());
    } else {
        spectra_->showNothing();
    }
    showWheels();
    buttons_.back()->setEnabled(type && document_.show().types.contains(type->id));
    buttons_.back()->update();
    update();
}

// Each wheel as its slots before the open light; a press says a slot's name.
void TypesPanel::showWheels() {
    for (SlotStrip* strip : strips_)
        strip->deleteLater();
    strips_.clear();
    const auto type = chosen();
    const light::Mode* mode = type ? type->mode({}) : nullptr;
    for (std::size_t part = 0; mode && part < type->partCount(); ++part) {
        if (type->part(part).kind != light::PartKind::Wheel)
            continue;
        auto* strip = new SlotStrip(toQt(type->partName(part)), this);
        auto open = type->ready(*mode);
        for (std::size_t e = 0; e < type->emitters.size(); ++e)
            open[e] = 1;
        strip->setChips(slotChips(*type, part, open, std::nullopt, document_.colours()));
        strip->setChosen(open[part], false);
        connect(strip, &SlotStrip::slotChosen, strip,
                [strip](double setting) { strip->setChosen(setting, false); });
        strip->show();
        strips_.push_back(strip);
    }
    place();
}

void TypesPanel::keep(const QString& name, const Result<light::FixtureType>& type, bool open) {
    if (!type)
        return document_.tell(said(type.error()));
    const auto next =
        show::keepType(document_.state().show, std::make_shared<light::FixtureType>(*type));
    if (!document_.edit(name, next))
        return;
    choose(type->id);
    if (open)
        emit editWanted(type->id);
}

void TypesPanel::makeNew(const QString& name) {
    const auto id = light::idOf(fromQt(name));
    if (document_.library().type(id))
        return document_.tell(tr("There is a fixture type “%1” already.").arg(name));
    keep(tr("New fixture type %1").arg(name), light::blankType(fromQt(name)), true);
}

void TypesPanel::makeCopy(const QString& name) {
    const auto type = chosen();
    if (!type)
        return;
    if (document_.library().type(light::idOf(fromQt(name))))
        return document_.tell(tr("There is a fixture type “%1” already.").arg(name));
    keep(tr("Copy of %1").arg(toQt(type->name)), light::copyOf(*type, fromQt(name)), true);
}

void TypesPanel::remove() {
    const auto type = chosen();
    if (!type)
        return;
    // A shipped type of this id is there again afterwards: then it may be in use.
    auto next =
        show::removeType(document_.state().show, type->id, document_.library().ships(type->id));
    document_.edit(tr("Remove type %1").arg(toQt(type->name)), next);
}

void TypesPanel::read(const QString& path) {
    std::filesystem::path file = fromQt(path);
    if (file.filename() == "description.xml")
        file = file.parent_path();
    const auto name = toQt(file.filename().string());
    document_.inBackground(
        tr("Reading %1").arg(name), this,
        [file](const std::stop_token&) {
            auto type = files::readGdtf(file);
            if (type && type->id.empty())
                type->id = light::idOf(type->name);
            return type;
        },
        [this, name](const Result<light::FixtureType>& type) {
            keep(tr("Read %1").arg(name), type, false);
            if (type && !type->notes.empty())
                document_.tell(tr("Read, with notes: %1").arg(said(type->notes.front())));
        });
}

void TypesPanel::write(const QString& path) {
    const auto type = chosen();
    if (!type)
        return;
    std::filesystem::path file = fromQt(path);
    if (file.extension() != ".gdtf")
        file += ".gdtf";
    document_.inBackground(
        tr("Writing %1").arg(toQt(file.filename().string())), this,
        [type, file](const std::stop_token& stop) {
            return stop.stop_requested() ? Done{} : files::writeGdtf(*type, file);
        },
        [this, file](const Done& done) {
            document_.tell(done ? tr("Written: %1").arg(toQt(file.string())) : said(done.error()));
        });
}

void TypesPanel::showEvent(QShowEvent*) {
    refresh();
}

void TypesPanel::place() {
    const int w = std::max(100, width() - 2 * kMargin); // the plot needs room
    const int b = height() - 2 * 32 - 6;
    for (std::size_t i = 0; i < buttons_.size(); ++i) {
        const int column = static_cast<int>(i % 3);
        const int row = static_cast<int>(i / 3);
        buttons_[i]->setGeometry(kMargin + column * (w + 8) / 3, b + row * 34, (w - 16) / 3, 28);
    }
    const int hull = 150;
    hull_->setGeometry(kMargin, b - hull - 10, w, hull);
    spectra_->setGeometry(kMargin, b - hull - 10 - 98, w, 90);
    int top = spectra_->geometry().top();
    for (SlotStrip* strip : strips_) {
        top -= strip->heightAt(w);
        strip->setGeometry(kMargin, top, w, strip->heightAt(w));
    }
    list_->setGeometry(kMargin - 4, 66, w + 8, top - 66 - 10);
}

void TypesPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    drawText(p, kMargin, 31, tr("Fixture types"), typeface(Type::Title), theme().bright);
    const auto type = chosen();
    const QString said =
        type ? tr("%1, %2, %3")
                   .arg(type->maker.empty() ? tr("no maker") : toQt(type->maker),
                        tr("%n emitter(s)", nullptr, static_cast<int>(type->emitters.size())),
                        tr("%n mode(s)", nullptr, static_cast<int>(type->modes.size())))
             : tr("none chosen");
    drawText(p, kMargin, 55, said, typeface(Type::Small), theme().dim);
}

} // namespace zelo::desk
