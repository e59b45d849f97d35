// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/type_editor.h"

#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/forms.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/text_field.h"
#include "desk/kit/watch.h"
#include "desk/readings/spectrum_plot.h"
#include "desk/rig/hull_plot.h"
#include "files/spectrum_file.h"
#include "light/levels.h"
#include "light/type_edit.h"
#include "show/kept.h"

#include <QComboBox>
#include <QFileDialog>
#include <QHeaderView>
#include <QLineEdit>
#include <QTableWidget>
#include <algorithm>

namespace zelo::desk {

namespace {

constexpr int kMargin = 24;
enum EmitterColumn { Name, Peak, Width, Candela, Watts, From, kEmitterColumns };
enum ChannelColumn { Slot, Sets, Attribute, Home, kChannelColumns };

struct Shape { // of a spectrum
    double peak_nm = 0;
    double width_nm = 0; // at half its height, about the peak
};

Shape shapeOf(const colour::Spectrum& s) {
    const auto& v = s.values();
    const auto top = std::max_element(v.begin(), v.end()) - v.begin();
    const double half = v[static_cast<std::size_t>(top)] / 2;
    auto low = top;
    auto high = top;
    while (low > 0 && v[static_cast<std::size_t>(low)] > half)
        --low;
    while (high + 1 < static_cast<long>(v.size()) && v[static_cast<std::size_t>(high)] > half)
        ++high;
    return {colour::kGridFirstNm + static_cast<double>(top), static_cast<double>(high - low)};
}

const light::Response kStraight;

} // namespace

TypeEditor::TypeEditor(Document& document, QWidget* parent)
    : Overlay(parent), document_(document),
      maker_(new TextField(tr("Maker"), tr("Who makes it"), TextField::Esc::Restores, this)),
      emitters_(new QTableWidget(0, kEmitterColumns, this)),
      channels_(new QTableWidget(0, kChannelColumns, this)), modes_(new QComboBox(this)),
      bits_(new QComboBox(this)), response_(new QComboBox(this)),
      spectra_(new SpectrumPlot(tr("Spectra"), tr("Each emitter at full"), true, this)),
      hull_(new HullPlot(this)),
      add_(new Button(tr("Add emitter"), {}, tr("One more, modelled from peak and width"),
                      Button::Kind::Plain, this)),
      remove_(new Button(tr("Remove it"), {},
                         tr("The emitter with the keyboard goes, and its "
                            "channels"),
                         Button::Kind::Plain, this)),
      measured_(new Button(tr("Measured…"), {},
                           tr("Its spectrum from a file: CSV, CGATS.17 or TM-27"),
                           Button::Kind::Plain, this)),
      done_(new Button(tr("Done"), "Esc", tr("Back to the plan"), Button::Kind::Next, this)) {
    setAccessibleName(tr("Fixture type editor"));
    maker_->setPlaceholderText(tr("maker"));
    emitters_->setAccessibleName(tr("Emitters"));
    emitters_->setToolTip(tr("Type into a cell: a new peak, width or candela models the spectrum "
                             "anew"));
    emitters_->setHorizontalHeaderLabels(
        {tr("emitter"), tr("peak nm"), tr("width nm"), tr("candela"), tr("watt"), tr("spectrum")});
    channels_->setAccessibleName(tr("Channels"));
    channels_->setToolTip(tr("Slots of the mode; home is the resting level in %"));
    channels_->setHorizontalHeaderLabels({tr("slots"), tr("sets"), tr("attribute"), tr("home %")});
    for (auto* t : {emitters_, channels_}) {
        styleTable(*t);
        t->horizontalHeader()->setStretchLastSection(true);
    }
    const int widths[] = {124, 62, 62, 66, 54};
    for (int c = 0; c < From; ++c)
        emitters_->horizontalHeader()->resizeSection(c, widths[c]);
    const int channel_widths[] = {56, 150, 120};
    for (int c = 0; c < Home; ++c)
        channels_->horizontalHeader()->resizeSection(c, channel_widths[c]);
    modes_->setAccessibleName(tr("Mode"));
    modes_->setToolTip(tr("The mode whose channels are shown"));
    bits_->setAccessibleName(tr("Bits"));
    bits_->setToolTip(tr("How fine every channel of the mode is"));
    bits_->addItems({tr("8 bit"), tr("16 bit"), tr("24 bit")});
    response_->setAccessibleName(tr("Response"));
    response_->setToolTip(tr("How a level becomes light, in all emitters of the mode"));
    response_->addItems({tr("straight"), tr("square"), tr("as its data says")});
    connect(emitters_, &QTableWidget::cellChanged, this, &TypeEditor::editEmitter);
    connect(channels_, &QTableWidget::cellChanged, this, &TypeEditor::editHome);
    connect(add_, &Button::clicked, this, &TypeEditor::addEmitter);
    connect(remove_, &Button::clicked, this, &TypeEditor::removeEmitter);
    connect(measured_, &Button::clicked, this, [this] {
        const auto path = QFileDialog::getOpenFileName(this, tr("A measured spectrum"), {},
                                                       tr("Spectra (*.csv *.sp *.txt *.spdx)"));
        if (!path.isEmpty())
            measured(path);
    });
    connect(done_, &Button::clicked, this, &QWidget::hide);
    connect(modes_, &QComboBox::activated, this, [this] { refresh(); });
    connect(bits_, &QComboBox::activated, this, [this](int i) {
        change(tr("%1 bit").arg(8 * (i + 1)), light::setBits(*type(), mode(), 8 * (i + 1)));
    });
    connect(response_, &QComboBox::activated, this, [this](int i) {
        if (i == 2) // what a response by hand has replaced is in the history
            refresh();
        else
            change(tr("Response"),
                   light::setResponse(*type(), mode(),
                                      i == 0 ? kStraight : light::Response::square()));
    });
    connect(maker_, &QLineEdit::editingFinished, this, [this] {
        auto next = *type();
        if (next.maker == fromQt(maker_->text()))
            return;
        next.maker = fromQt(maker_->text());
        change(tr("Maker"), next);
    });
    watch(document_, this, Change::Types | Change::Rig, [this] { refresh(); });
}

void TypeEditor::openType(const std::string& id) {
    id_ = id;
    modes_->clear();
    refresh();
    open();
    if (emitters_->rowCount() > 0 && !emitters_->currentIndex().isValid())
        emitters_->setCurrentCell(0, Name);
    emitters_->setFocus();
}

std::shared_ptr<const light::FixtureType> TypeEditor::type() const {
    return document_.library().type(id_);
}

std::size_t TypeEditor::mode() const {
    return static_cast<std::size_t>(std::max(0, modes_->currentIndex()));
}

void TypeEditor::change(const QString& name, const Result<light::FixtureType>& next) {
    if (!next)
        document_.tell(said(next.error()));
    else
        document_.edit(
            tr("%1 of %2").arg(name, toQt(next->name)),
            show::keepType(document_.state().show, std::make_shared<light::FixtureType>(*next)));
    refresh();
}

void TypeEditor::refresh() {
    const auto t = type();
    if (!t) { // undone: it is not there any more
        hide();
        return;
    }
    filling_ = true;
    maker_->setText(toQt(t->maker));
    const int chosen_mode = std::max(0, modes_->currentIndex());
    modes_->clear();
    for (const auto& m : t->modes)
        modes_->addItem(toQt(m.name));
    modes_->setCurrentIndex(std::min(chosen_mode, modes_->count() - 1));
    emitters_->setRowCount(static_cast<int>(t->emitters.size()));
    for (int row = 0; row < emitters_->rowCount(); ++row) {
        const auto& e = t->emitters[static_cast<std::size_t>(row)];
        const auto shape = shapeOf(e.spectrum);
        const auto put = [&](int column, const QString& text, bool editable = true) {
            auto* item = new QTableWidgetItem(text);
            if (!editable)
                item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
            emitters_->setItem(row, column, item);
            return item;
        };
        QPixmap light(14, 14);
        light.fill(colourOfLight(document_.colours(), e.spectrum));
        put(Name, toQt(e.name))->setIcon(QIcon(light));
        put(Peak, numberText(shape.peak_nm, 0));
        put(Width, numberText(shape.width_nm, 0));
        put(Candela, numberText(e.xyz().Y, 1));
        put(Watts, e.power_w > 0 ? numberText(e.power_w, 1) : QString());
        put(From,
            !e.droop.empty() ? tr("measured, with droop")
            : e.modelled     ? tr("modelled")
                             : tr("from its data"),
            false);
    }
    const auto& m = t->modes[mode()];
    channels_->setRowCount(static_cast<int>(m.channels.size()));
    const light::Response* response = nullptr;
    bool one_response = true;
    for (int row = 0; row < channels_->rowCount(); ++row) {
        const auto& c = m.channels[static_cast<std::size_t>(row)];
        const auto put = [&](int column, const QString& text, bool editable) {
            auto* item = new QTableWidgetItem(text);
            if (!editable)
                item->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
            channels_->setItem(row, column, item);
        };
        QStringList slots_taken;
        for (const int offset : c.everywhere())
            slots_taken << QString::number(offset);
        put(Slot, slots_taken.join(' '), false);
        put(Sets,
            c.role == light::Role::Part     ? toQt(t->partName(c.part))
            : c.role == light::Role::Dimmer ? tr("dimmer")
                                            : toQt(c.name),
            false);
        put(Attribute, toQt(c.attribute), false);
        put(Home, numberText(100.0 * c.home / c.most(), 1), c.role == light::Role::Part);
        if (c.role == light::Role::Part && c.part < t->emitters.size()) {
            one_response = one_response && (!response || *response == c.response);
            response = &c.response;
        }
    }
    const int bits = m.channels.empty() ? 8 : m.channels[0].bits();
    bits_->setCurrentIndex(bits / 8 - 1);
    response_->setCurrentIndex(!response || !one_response               ? 2
                               : *response == kStraight                 ? 0
                               : *response == light::Response::square() ? 1
                                                                        : 2);
    filling_ = false;
    hull_->show(t, document_.colours());
    if (const auto mixer = document_.mixes().mixer(*document_.sources(), id_, {})) {
        light::Drives full = t->rest();
        for (std::size_t i = 0; i < t->emitters.size(); ++i)
            full[i] = 1;
        spectra_->showMix(*mixer, full, std::nullopt, document_.colours());
    }
    update();
}

void TypeEditor::editEmitter(int row, int column) {
    if (filling_)
        return;
    const auto t = type();
    const auto at = static_cast<std::size_t>(row);
    light::Emitter e = t->emitters[at];
    const QString text = emitters_->item(row, column)->text().trimmed();
    const auto shape = shapeOf(e.spectrum);
    const auto number = numberIn(text);
    const double value = number.value_or(0);
    if (column != Name && !number) {
        document_.tell(tr("“%1”: expected a number.").arg(text));
        return refresh();
    }
    const QString what = tr("Emitter %1").arg(toQt(e.name));
    if (column == Name) {
        e.name = fromQt(text);
    } else if (column == Watts) {
        e.power_w = std::max(0.0, value);
    } else if (column == Candela && value > 0 && e.xyz().Y > 0) { // the same light, brighter
        const double factor = value / e.xyz().Y;
        e.spectrum = e.spectrum.scaled(factor);
        for (auto& part : e.droop)
            part.spectrum = part.spectrum.scaled(factor);
    } else {
        const auto line = light::modelledLine(column == Peak ? value : shape.peak_nm,
                                              column == Width ? value : shape.width_nm,
                                              column == Candela ? value : e.xyz().Y);
        if (!line) {
            document_.tell(said(line.error()));
            return refresh();
        }
        e.spectrum = *line;
        e.modelled = true;
        e.droop.clear();
    }
    change(what, light::changeEmitter(*t, at, std::move(e)));
}

void TypeEditor::editHome(int row, int column) {
    if (filling_ || column != Home)
        return;
    const auto value = numberIn(channels_->item(row, column)->text(), "%");
    const auto t = type();
    const auto& c = t->modes[mode()].channels[static_cast<std::size_t>(row)];
    if (!value || *value < 0 || *value > 100) {
        document_.tell(tr("Home must be within 0 and 100 %."));
        return refresh();
    }
    change(tr("Home of %1").arg(toQt(t->partName(c.part))),
           light::setHome(*t, mode(), c.part, *value / 100));
}

void TypeEditor::addEmitter() {
    const auto t = type();
    light::Emitter e;
    for (int n = static_cast<int>(t->emitters.size()) + 1; e.name.empty(); ++n)
        if (const auto name = fmt::format("Emitter {}", n); !t->partNamed(name))
            e.name = name;
    e.spectrum = *light::modelledLine(560, 25, 100);
    e.modelled = true;
    change(tr("Emitter added"), light::addEmitter(*t, std::move(e)));
    emitters_->setCurrentCell(emitters_->rowCount() - 1, Name);
}

void TypeEditor::removeEmitter() {
    if (emitters_->currentRow() < 0)
        return document_.tell(tr("Choose an emitter first."));
    change(tr("Emitter removed"),
           light::removeEmitter(*type(), static_cast<std::size_t>(emitters_->currentRow())));
}

void TypeEditor::measured(const QString& path) {
    const int row = emitters_->currentRow();
    if (row < 0)
        return document_.tell(tr("Choose an emitter first."));
    std::vector<Sentence> notes;
    const auto light = files::readLight(fromQt(path), &notes);
    if (!light)
        return document_.tell(said(light.error()));
    const auto t = type();
    light::Emitter e = t->emitters[static_cast<std::size_t>(row)];
    const double before = e.xyz().Y;
    const double read = colour::toXyz(*light).Y;
    e.spectrum = before > 0 && read > 0 ? light->scaled(before / read) : *light;
    e.modelled = false;
    e.droop.clear();
    change(tr("Measured spectrum of %1").arg(toQt(e.name)),
           light::changeEmitter(*t, static_cast<std::size_t>(row), std::move(e)));
    for (const auto& note : notes)
        document_.tell(said(note));
}

void TypeEditor::resizeEvent(QResizeEvent*) {
    const int w = std::max(300, width() - 2 * kMargin); // plots need room, also before it is shown
    done_->setGeometry(width() - kMargin - 90, 16, 90, 28);
    maker_->setGeometry(width() - kMargin - 90 - 180, 18, 160, 24);
    const int plots = 160;
    spectra_->setGeometry(kMargin, 64, w - 250, plots - 14);
    hull_->setGeometry(width() - kMargin - 220, 60, 220, plots - 6);
    const int table = (height() - 64 - plots - 130) * 53 / 100;
    emitters_->setGeometry(kMargin, 64 + plots, w, table);
    const int buttons = emitters_->geometry().bottom() + 8;
    int x = kMargin;
    for (Button* b : {add_, remove_, measured_}) {
        b->setGeometry(x, buttons, b->sizeHint().width(), 28);
        x += b->width() + 8;
    }
    modes_->setGeometry(kMargin, buttons + 42, 190, 26);
    bits_->setGeometry(kMargin + 200, buttons + 42, 90, 26);
    response_->setGeometry(kMargin + 300, buttons + 42, 150, 26);
    channels_->setGeometry(kMargin, buttons + 76, w, height() - buttons - 84);
}

void TypeEditor::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const auto t = type();
    drawText(p, kMargin, 36, t ? toQt(t->name) : QString(), typeface(Type::Title), theme().bright);
    const auto& m = t ? t->modes[mode()] : light::Mode{};
    drawText(p, kMargin + 466, modes_->geometry().center().y() + 5, tr("%1 slots").arg(m.footprint),
             typeface(Type::Small), theme().dim);
}

} // namespace zelo::desk
