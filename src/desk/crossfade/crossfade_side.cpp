// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/crossfade_side.h"

#include "base/file.h"
#include "colour/cct.h"
#include "desk/crossfade/crossfade_map.h"
#include "desk/crossfade/fade_player.h"
#include "desk/crossfade/fade_plot.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "files/fade_cues.h"
#include "light/frame.h"
#include "show/limits.h"

#include <QFileDialog>
#include <QHelpEvent>
#include <QPainter>
#include <QToolTip>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kMargin = 20;
constexpr int kMapTop = 44;
constexpr int kLeastMap = 96;
constexpr int kRow = 19;
constexpr int kMostSteps = 12;
constexpr int kColumn = 84; // of figures
} // namespace

CrossfadeSide::CrossfadeSide(CrossfadeModel& model, FadePlayer& player, FadePlot& plot,
                             QWidget* parent)
    : QWidget(parent), model_(model), player_(player), plot_(plot),
      map_(new CrossfadeMap(model, this)),
      white_(new NumberField(tr("White of the routes"),
                             tr("What ways go round, and what saturation is measured from"),
                             {show::kLeastWhite_k, show::kMostWhite_k, 50, 0}, tr("K"), this)),
      tolerance_(new NumberField(tr("Tolerance of the steps"),
                                 tr("How far a console's straight fades between the steps may "
                                    "leave the way: Δu′v′"),
                                 {0.001, 0.1, 0.001, 3}, {}, this)),
      console_(new Button(tr("As a console would"), {},
                          tr("A third ribbon: what a console makes of these steps"),
                          Button::Kind::Text, this)),
      save_(new Button(tr("Save…"), {},
                       tr("The steps as cues for another desk (ASCII) or as a table (CSV)"),
                       Button::Kind::Text, this)),
      shows_(new Stations(tr("The lineup shows"),
                          tr("The planned fade, the plain one, or both: the first half of the "
                             "lineup as it would fade, the other half as planned"),
                          {tr("planned"), tr("plain"), tr("halves")}, {}, false, this)),
      where_(new Stations(tr("Shown where"), tr("On the screen alone, or on the lamps too"),
                          {tr("screen"), tr("lamps")}, {}, false, this)),
      slower_(new Stations(tr("Speed"), tr("In its time, or two or four times slower"),
                           {tr("1×"), tr("½×"), tr("¼×")}, {}, false, this)),
      loop_(new Button(tr("Over and over"), {}, tr("Plays it again and again"), Button::Kind::Text,
                       this)),
      play_(new Button(tr("Play"), "P", tr("Plays the crossfade in its time; again: stops it"),
                       Button::Kind::Next, this)),
      keep_(new Button(
          tr("Keep the way…"), "K",
          tr("Keeps the way under a name, for other crossfades, and for changes from one "
             "palette to another"),
          Button::Kind::Plain, this)) {
    setAccessibleName(tr("Crossfade, readings"));
    console_->setCheckable(true);
    loop_->setCheckable(true);
    for (Stations* s : {shows_, where_, slower_}) {
        s->setSmall(true);
        s->setGap(12);
    }
    connect(white_, &ValueControl::valueEdited, this,
            [this](double value, int gesture) { model_.setWhite(value, gesture); });
    connect(white_, &ValueControl::resetWanted, this,
            [this] { model_.setWhite(show::Show{}.white_cct_k, 0); });
    const auto setTolerance = [this](double value, int gesture) {
        model_.edit(
            tr("Tolerance of the steps"), [&](show::Crossfade& fade) { fade.tolerance_uv = value; },
            gesture);
    };
    connect(tolerance_, &ValueControl::valueEdited, this, setTolerance);
    connect(tolerance_, &ValueControl::resetWanted, this,
            [setTolerance] { setTolerance(show::Crossfade{}.tolerance_uv, 0); });
    connect(console_, &Button::toggled, this, [this](bool on) { plot_.setConsole(on); });
    connect(save_, &Button::clicked, this, [this] {
        QString name = tr("%1 to %2.asc").arg(model_.endName(false), model_.endName(true));
        name.replace('/', '-'); // people call palettes what they like
        const auto path = QFileDialog::getSaveFileName(
            this, tr("Save the steps"), name, tr("Cues for another desk (*.asc);;Tables (*.csv)"));
        if (!path.isEmpty())
            saveSteps(path);
    });
    connect(shows_, &Stations::stationChosen, this,
            [this](int which) { model_.setShows(static_cast<CrossfadeModel::Shows>(which)); });
    connect(where_, &Stations::stationChosen, this,
            [this](int which) { model_.setOnLamps(which == 1); });
    connect(slower_, &Stations::stationChosen, this,
            [this](int which) { player_.setSlower(1 << which); });
    connect(loop_, &Button::toggled, this, [this](bool on) { player_.setLoops(on); });
    connect(play_, &Button::clicked, &player_, &FadePlayer::toggle);
    connect(keep_, &Button::clicked, this, &CrossfadeSide::keepWanted);
    connect(&player_, &FadePlayer::playingChanged, this,
            [this] { play_->setText(player_.playing() ? tr("Stop") : tr("Play")); });
    watch(model_, &CrossfadeModel::modelChanged, this, [this] { refresh(); });
    watch(model_, &CrossfadeModel::momentChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen | Change::White, [this] { refresh(); });
    refresh();
}

void CrossfadeSide::saveSteps(const QString& path) {
    const auto* picture = model_.picture();
    if (!picture)
        return;
    const play::FadingCase& focus = picture->focus();
    files::FadeCues wish{
        fromQt(model_.endName(false)), fromQt(model_.endName(true)), model_.fade().time_s, {}, {}};
    for (std::size_t i = 0; i < picture->lamps.size(); ++i)
        if (const auto* f = model_.document().show().fixture(picture->lamps[i]);
            f && picture->caseOf(i) == &focus)
            wish.addresses.push_back((f->universe - 1) * light::kSlots + f->address);
    for (const auto& step : picture->steps.steps)
        wish.levels.push_back(focus.planned.levelAt(step.t));
    const auto cues = files::fadeCues(*focus.fading.mixer, picture->steps, wish);
    const QString lamps = lampCount(wish.addresses.size());
    model_.document().inBackground(
        tr("Saving the steps"), this,
        [cues, path](const std::stop_token& stop) -> Done {
            if (stop.stop_requested())
                return {};
            return writeFile(fromQt(path), path.endsWith(".csv", Qt::CaseInsensitive)
                                               ? files::cueSheetCsv(cues)
                                               : files::asciiCuesText(cues));
        },
        [this, path, lamps](const Done& done) {
            model_.document().tell(done ? tr("The steps for %1 are in %2.").arg(lamps, path)
                                        : said(done.error()));
        });
}

// --- what there is

std::vector<CrossfadeSide::Row> CrossfadeSide::rows() const {
    std::vector<Row> all;
    const auto* picture = model_.picture();
    if (!picture)
        return all;
    const auto& would = picture->focus().would;
    const auto& planned = picture->focus().planned;
    const auto percent = [](double share) { return tr("%1 %").arg(numberText(100 * share, 0)); };
    all.push_back({{}, tr("would fade"), tr("planned"), true});
    // At the line.
    const auto i = static_cast<std::size_t>(
        std::lround(model_.moment() * (static_cast<double>(planned.level.size()) - 1)));
    const auto hue = [&](const play::SeenWay& way) {
        return model_.hueName(way.fade.points[i].uv);
    };
    all.push_back({tr("now"), hue(would), hue(planned)});
    all.push_back({tr("saturation now"), percent(would.fade.points[i].saturation),
                   percent(planned.fade.points[i].saturation)});
    all.push_back({tr("light now"), numberText(would.brightness_cd[i], 0),
                   tr("%1 cd").arg(numberText(planned.brightness_cd[i], 0))});
    all.push_back({tr("white dip"), percent(would.white_dip), percent(planned.white_dip)});
    const double whole = model_.fade().time_s;
    const auto pace = [&](double length) {
        return numberOrDash(whole > 0 ? length / whole : NAN, 0);
    };
    all.push_back({tr("pace, ΔE a second"), pace(would.length), pace(planned.length)});
    return all;
}

std::vector<CrossfadeSide::Step> CrossfadeSide::steps() const {
    std::vector<Step> all;
    const auto* picture = model_.picture();
    if (!picture)
        return all;
    const auto& nodes = picture->steps.steps;
    const auto& mode = picture->focus().fading.mixer->mode();
    for (std::size_t i = 1; i < nodes.size(); ++i) {
        const auto& xyz = nodes[i].sent.xyz;
        const double time = model_.fade().time_s * (nodes[i].t - nodes[i - 1].t);
        all.push_back(
            {colourOfLight(model_.document().colours(), *picture->focus().fading.mixer,
                           nodes[i].sent.drives, xyz),
             QString::number(i),
             tr("%1 s").arg(numberText(time, 1)),
             colour::hasChromaticity(xyz) ? model_.hueName(colour::toUv(xyz)) : tr("dark"),
             {}});
        QStringList values;
        for (std::size_t c = 0; c < mode.channels.size(); ++c)
            if (mode.channels[c].role != light::Role::Other)
                values << QStringLiteral("%1 %2")
                              .arg(toQt(mode.channels[c].name))
                              .arg(nodes[i].sent.values[c]);
        all.back().values = values.join(QStringLiteral(", "));
    }
    return all;
}

QString CrossfadeSide::fault() const {
    const auto* picture = model_.picture();
    if (!picture || picture->faults.empty())
        return {};
    const route::FadeFault& f = picture->faults.front();
    const QString lasts = numberText(f.lasts_s, 1);
    switch (f.kind) {
    case route::Fault::FromDark:
        return tr("Starts in another colour for %1 s: that is how it rests in the dark.")
            .arg(lasts);
    case route::Fault::ToDark:
        return tr("Ends in another colour for %1 s: that is how it rests in the dark.").arg(lasts);
    case route::Fault::WhiteDip:
        return tr("Loses %1 % of its colour on the way.").arg(numberText(100 * f.worst, 0));
    case route::Fault::OffTheWay:
        break;
    }
    return tr("Strays from the straight way for %1 s.").arg(lasts);
}

void CrossfadeSide::refresh() {
    const auto* picture = model_.picture();
    white_->setValue(model_.document().show().white_cct_k);
    tolerance_->setValue(model_.fade().tolerance_uv);
    shows_->setChosen(static_cast<int>(model_.shows()));
    where_->setChosen(model_.onLamps() ? 1 : 0);
    for (QWidget* w : std::initializer_list<QWidget*>{map_, white_, tolerance_, console_, save_,
                                                      shows_, where_, slower_, loop_, play_, keep_})
        w->setVisible(picture != nullptr);
    for (Button* cure : cures_) { // one of them may have been pressed just now
        cure->hide();
        cure->deleteLater();
    }
    cures_.clear();
    const bool dark =
        picture && (picture->focus().fading.from.dark() || picture->focus().fading.to.dark());
    // Between lit ends it is the way that was chosen: the list of ways shows what else there is.
    if (picture && dark)
        for (const route::Cure cure : picture->cures) {
            if (cures_.size() == 3)
                break;
            const auto [word, tip] = [&]() -> std::pair<QString, QString> {
                switch (cure) {
                case route::Cure::ColourInDark:
                    return {tr("Set the colour in the dark"),
                            tr("Dark lamps take their next colour before their light comes, in "
                               "the whole show")};
                case route::Cure::ColourInZeroTime:
                    return {tr("Let the colour jump"), tr("The colour does not fade: it is there "
                                                          "at once where it is dark")};
                case route::Cure::HomeAtZero:
                    return {tr("Rest emitters at zero"),
                            tr("The lamps of the lineup rest with all emitters at zero")};
                case route::Cure::OtherRoute:
                    break;
                }
                return {tr("Go round the white"), tr("The way goes round the white")};
            }();
            auto* button = new Button(word, {}, tip, Button::Kind::Plain, this);
            connect(button, &Button::clicked, this, [this, cure] { model_.apply(cure); });
            button->show();
            cures_.push_back(button);
        }
    place();
    update();
}

// From the foot up: buttons, steps, figures; the map has what is left.
void CrossfadeSide::place() {
    const int w = width() - 2 * kMargin;
    int y = height() - 36;
    const int keep = std::clamp(keep_->sizeHint().width(), w / 2 - 4, w * 2 / 3);
    play_->setGeometry(kMargin, y, w - keep - 8, 28);
    keep_->setGeometry(kMargin + w - keep, y, keep, 28);
    y -= 32;
    slower_->setGeometry(kMargin, y, slower_->sizeHint().width(), 28);
    const int loop = loop_->sizeHint().width();
    loop_->setGeometry(kMargin + w - loop, y + 4, loop, 20);
    y -= 30;
    const int shows = shows_->sizeHint().width();
    const int where = where_->sizeHint().width();
    shows_->setGeometry(kMargin, y, shows, 28);
    if (shows + 12 + where <= w) {
        where_->setGeometry(kMargin + w - where, y, where, 28);
    } else {
        y -= 30;
        where_->setGeometry(kMargin, y, where, 28);
    }
    y -= 26;
    const int console = console_->sizeHint().width();
    console_->setGeometry(kMargin, y, console, 20);
    const int save = save_->sizeHint().width();
    save_->setGeometry(kMargin + w - save, y, save, 20);
    y -= 6;
    const auto all_rows = rows();
    const int cures = cures_.empty() ? 0 : 36 + 32 * static_cast<int>(cures_.size());
    // Steps and map share the rest, however many steps there are: a map that is dragged on stays
    // as it is.
    const int least = kMapTop + kLeastMap + 34; // of the map, with its legend
    const int all = static_cast<int>(all_rows.size());
    const int room = y - least - cures - 30;
    const int step_rows = std::clamp((room - (all + 1) * kRow - 12) * 2 / 3 / kRow, 0, kMostSteps);
    shown_steps_ = std::min(steps().size(), static_cast<std::size_t>(step_rows));
    steps_ = y - step_rows * kRow - 8; // baseline of its heading
    tolerance_->setGeometry(kMargin + w - 56, steps_ - 17, 56, 24);
    y = steps_ - 24;
    for (auto it = cures_.rbegin(); it != cures_.rend(); ++it) {
        y -= 32;
        (*it)->setGeometry(kMargin, y, w, 28);
    }
    if (!cures_.empty())
        y -= 36;
    fault_ = y + 2;
    // In a low window the last figures give way, never the white.
    const int shown = std::clamp((y - least) / kRow - 1, 0, all);
    shown_rows_ = static_cast<std::size_t>(shown);
    rows_ = y - (shown + 1) * kRow + 4;
    const int map = std::max(kLeastMap, rows_ - 36 - kMapTop);
    map_->setGeometry(kMargin, kMapTop, w, std::min(map, w * 14 / 15));
    white_->setGeometry(kMargin + w - 62, rows_ + (shown - 1) * kRow + 2, 62, 24);
}

void CrossfadeSide::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    const int right = width() - kMargin;
    drawEnds(p, kMargin, right, 32,
             {tr("Way through colour"), typeface(Type::Work), theme().bright, model_.typeName(),
              typeface(Type::Small), theme().dim});
    if (!model_.picture()) {
        drawWrapped(p, QRect(kMargin, 44, width() - 2 * kMargin, 60),
                    tr("Choose where it comes from and where it goes, and both ways stand here."),
                    typeface(Type::Small), theme().dim);
        return;
    }
    const int legend = map_->y() + map_->height() + 16;
    const auto key = [&](int x, const QString& word, Qt::PenStyle style, const QColor& c) {
        p.setPen(QPen(c, 2, style));
        p.drawLine(x, legend - 4, x + 26, legend - 4);
        return x + 34 + drawText(p, x + 34, legend, word, typeface(Type::Small), theme().text);
    };
    const int next = key(kMargin, tr("as planned"), Qt::SolidLine, theme().bright);
    key(std::max(next + 16, kMargin + (width() - 2 * kMargin) / 2), tr("as it would"), Qt::DashLine,
        theme().dim);
    int y = rows_;
    const auto figures = rows();
    for (std::size_t i = 0; i < shown_rows_; ++i) {
        const Row& r = figures[i];
        const QFont font = typeface(r.head ? Type::Small : Type::Work);
        const int would = right - kColumn - textWidth(r.would, font);
        drawElided(p, kMargin, y, would - 8 - kMargin, r.name, typeface(Type::Small), theme().dim);
        drawTextRight(p, right - kColumn, y, r.would, font, r.head ? theme().dim : theme().text);
        drawTextRight(p, right, y, r.planned, font, r.head ? theme().dim : theme().bright);
        if (r.head)
            p.fillRect(kMargin, y + 5, width() - 2 * kMargin, 1, theme().hair);
        y += kRow;
    }
    drawText(p, kMargin, y, tr("white it goes round"), typeface(Type::Small), theme().dim);
    if (!cures_.empty())
        drawWrapped(p, QRect(kMargin, fault_, width() - 2 * kMargin, 32), fault(),
                    typeface(Type::Small), theme().text);
    const auto& picture = *model_.picture();
    const auto all = steps();
    drawElided(p, kMargin, steps_, width() - 2 * kMargin - 70,
               tr("%n step(s), worst %1", nullptr, static_cast<int>(all.size()))
                   .arg(numberText(picture.steps.worst_uv, 3)),
               typeface(Type::Work), theme().bright);
    p.fillRect(kMargin, steps_ + 6, width() - 2 * kMargin, 1, theme().hair);
    y = steps_ + kRow + 4;
    for (std::size_t i = 0; i < shown_steps_; ++i) {
        p.fillRect(kMargin, y - 12, 40, 15, all[i].light);
        const bool more = i + 1 == shown_steps_ && all.size() > shown_steps_;
        drawText(p, kMargin + 52, y, all[i].number, typeface(Type::Small), theme().text);
        drawTextRight(p, right - kColumn, y, all[i].time, typeface(Type::Work), theme().bright);
        drawTextRight(p, right, y,
                      more ? QStringLiteral("+%1").arg(all.size() - shown_steps_) : all[i].hue,
                      typeface(Type::Small), theme().dim);
        y += kRow;
    }
}

// The channel values of the step under the pointer.
bool CrossfadeSide::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    const int row = (help->pos().y() - steps_ - 8) / kRow;
    const auto list = steps();
    if (help->pos().y() > steps_ + 8 && row < static_cast<int>(shown_steps_))
        QToolTip::showText(help->globalPos(), list[static_cast<std::size_t>(row)].values, this);
    else
        QToolTip::hideText();
    return true;
}

std::vector<PaintedPart> CrossfadeSide::parts() {
    std::vector<PaintedPart> all;
    int y = rows_;
    const auto figures = rows();
    for (std::size_t i = 0; i < shown_rows_; ++i) {
        const Row& r = figures[i];
        if (!r.head)
            all.push_back({r.name, tr("%1 planned, %2 as it would").arg(r.planned, r.would),
                           QRect(kMargin, y - 14, width() - 2 * kMargin, kRow)});
        y += kRow;
    }
    const auto list = steps();
    for (std::size_t i = 0; i < shown_steps_; ++i)
        all.push_back(
            {tr("step %1").arg(list[i].number),
             tr("%1, %2: %3").arg(list[i].time, list[i].hue, list[i].values),
             QRect(kMargin, steps_ + 8 + static_cast<int>(i) * kRow, width() - 2 * kMargin, kRow)});
    return all;
}

} // namespace zelo::desk
