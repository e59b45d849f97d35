// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/readings/readings_panel.h"

#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "desk/kit/button.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "desk/readings/reach_map.h"
#include "desk/readings/spectrum_plot.h"
#include "light/levels.h"

#include <cmath>
#include <utility>

namespace zelo::desk {

namespace {
constexpr int kMargin = 20;
constexpr int kMapTop = 44;
constexpr int kRow = 20;
constexpr std::size_t kMostRows = 7; // and one for each camera
} // namespace

ReadingsPanel::ReadingsPanel(Document& document, FocusModel& focus, Asking& asking, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus),
      map_(new ReachMap(document, focus, asking, this)),
      spectrum_(new SpectrumPlot(
          tr("Spectrum"), tr("The emitters of the mix, stacked; the line is the light wanted"),
          false, this)),
      keep_(new Button(tr("Keep"), "K", tr("Keep what is in hand"), Button::Kind::Next, this)),
      put_down_(new Button(tr("Put down"), "Esc", tr("Let go of everything in hand"),
                           Button::Kind::Plain, this)) {
    setAccessibleName(tr("Readings"));
    connect(keep_, &Button::clicked, this, &ReadingsPanel::keepWanted);
    connect(put_down_, &Button::clicked, this, &ReadingsPanel::putDownWanted);
    watch(focus_, &FocusModel::rowsChanged, this, [this] { refresh(); });
    watch(document_, this, Change::Hand, [this] {
        const bool holding = !document_.state().hand->empty();
        for (Button* b : {keep_, put_down_}) {
            b->setEnabled(holding);
            b->update();
        }
    });
}

void ReadingsPanel::place() {
    // The numbers need theirs; the map gets as much of the rest as it can use, then the plot.
    const int w = width() - 2 * kMargin;
    const TypeRow* row = focus_.focus();
    const int rows = static_cast<int>(kMostRows + (row ? row->cameras.size() : 0));
    const int numbers = 18 + kRow + 1 + rows * (kRow - 1) + 44;
    const int rest = height() - kMapTop - 40 - numbers;
    const int map = std::clamp(rest - std::clamp(rest / 3, 60, 240), 100, w * 14 / 15);
    map_->setGeometry(kMargin, kMapTop, w, map);
    spectrum_->setGeometry(kMargin, kMapTop + map + 40, w, std::clamp(rest - map, 50, 280));
    keep_->setGeometry(kMargin, height() - 36, w / 2 - 4, 28);
    put_down_->setGeometry(kMargin + w / 2 + 4, height() - 36, w / 2 - 4, 28);
}

void ReadingsPanel::refresh() {
    const TypeRow* row = focus_.focus();
    // The indices come later: until then those before stand, so that nothing jumps in a drag.
    std::vector<ReadingRow> indices;
    if (rows_.size() > own_ && row && row->key == indices_of_)
        indices.assign(rows_.begin() + static_cast<std::ptrdiff_t>(own_), rows_.end());
    rows_.clear();
    const light::Wanted* wanted = focus_.wanted();
    if (!row) {
        spectrum_->showNothing();
        return update();
    }
    spectrum_->showMix(*row->lamp.mixer, row->lamp.drives, wanted ? wanted->spectrum : std::nullopt,
                       document_.colours());
    const auto& got = row->lamp.sent.xyz;
    const bool lit = colour::hasChromaticity(got);
    const auto wuv = wanted ? wanted->uv() : colour::Uv{NAN, NAN};
    const auto guv = lit ? colour::toUv(got) : colour::Uv{NAN, NAN};
    const auto wcct = wanted ? colour::cctOf(wuv) : std::nullopt;
    const auto gcct = lit ? colour::cctOf(guv) : std::nullopt;
    const auto k = [](const std::optional<colour::Cct>& c) { return c ? c->cct.value : NAN; };
    const auto d = [](const std::optional<colour::Cct>& c) { return c ? c->duv : NAN; };
    rows_ = {{tr("u′"), wuv.u, guv.u, 4},
             {tr("v′"), wuv.v, guv.v, 4},
             {tr("kelvin"), k(wcct), k(gcct), 0},
             {tr("tint Duv"), d(wcct), d(gcct), 4}};
    for (const auto& camera : row->cameras)
        rows_.push_back(
            {tr("%1, r g").arg(toQt(camera.name)), NAN, camera.miss.value_or(NAN), 4, true});
    if (rows_.size() != std::exchange(own_, rows_.size()))
        place();
    rows_.insert(rows_.end(), indices.begin(), indices.end());
    indices_of_ = row->key;
    askRendering();
    update();
}

// Indices of the light take longer than a repaint: worker, then the rows grow.
void ReadingsPanel::askRendering() {
    const TypeRow* row = focus_.focus();
    struct Indices {
        double wanted_rf = NAN, got_rf = NAN, agreement = NAN, ssi = NAN;
    };
    document_.later(
        "rendering", this,
        [lamp = row->lamp, white = Kelvin{document_.show().white_cct_k}] {
            Indices found;
            const auto mix = light::spectrumOf(lamp.mixer->type(), lamp.sent.drives);
            const auto rf = [](const colour::Spectrum& s) {
                const auto xyz = colour::toXyz(s);
                const auto cct =
                    colour::hasChromaticity(xyz) ? colour::cctOf(colour::toUv(xyz)) : std::nullopt;
                return colour::indicesMeanSomething(cct) ? colour::tm30Of(s, cct->cct).rf : NAN;
            };
            if (!(lamp.sent.xyz.Y > 0))
                return found;
            found.got_rf = rf(mix);
            if (!lamp.colour || !lamp.colour->wanted.spectrum)
                return found;
            const auto& wanted = *lamp.colour->wanted.spectrum;
            found.wanted_rf = rf(wanted);
            found.agreement = colour::agreementOf(
                wanted, mix, lamp.colour->wanted.lamp.value_or(colour::lampOf(white)));
            found.ssi = colour::spectralSimilarity(mix, wanted).value_or(NAN);
            return found;
        },
        [this](const Indices& i) {
            rows_.resize(own_);
            rows_.push_back({tr("R_f"), i.wanted_rf, i.got_rf, 0});
            rows_.push_back({tr("agreement"), NAN, i.agreement, 0, true});
            rows_.push_back({tr("SSI to wanted"), NAN, i.ssi, 0, true});
            update();
        });
}

int ReadingsPanel::firstLine() const {
    return spectrum_->geometry().bottom() + 18 + kRow + 1;
}

std::vector<PaintedPart> ReadingsPanel::parts() {
    std::vector<PaintedPart> all;
    int y = firstLine();
    for (const ReadingRow& r : rows_) {
        const QString got = numberOrDash(r.got, r.decimals);
        all.push_back(
            {r.name,
             r.one ? got : tr("wanted %1, got %2").arg(numberOrDash(r.wanted, r.decimals), got),
             QRect(kMargin, y - kRow + 6, width() - 2 * kMargin, kRow - 1)});
        y += kRow - 1;
    }
    return all;
}

void ReadingsPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().side);
    const int right = width() - kMargin;
    const TypeRow* row = focus_.focus();
    drawEnds(p, kMargin, right, 32,
             {row ? tr("Reach of %1").arg(row->name) : tr("Reach"), typeface(Type::Work),
              theme().bright, tr("u′ v′"), typeface(Type::Small), theme().dim});
    const int plot = spectrum_->geometry().top();
    drawEnds(p, kMargin, right, plot - 12,
             {tr("Spectrum"), typeface(Type::Work), theme().bright, tr("wanted as line"),
              typeface(Type::Small), theme().dim});

    int y = firstLine() - kRow - 1;
    const int wanted_right = width() - 92;
    drawTextRight(p, wanted_right, y, tr("wanted"), typeface(Type::Small), theme().dim);
    drawTextRight(p, right, y, tr("got"), typeface(Type::Small), theme().dim);
    p.fillRect(kMargin, y + 5, width() - 2 * kMargin, 1, theme().hair);
    y += kRow + 1;
    for (const ReadingRow& r : rows_) {
        drawElided(p, kMargin, y, wanted_right - 56 - kMargin + (r.one ? 60 : 0), r.name,
                   typeface(Type::Work), theme().text);
        if (!r.one)
            drawTextRight(p, wanted_right, y, numberOrDash(r.wanted, r.decimals),
                          typeface(Type::Work), theme().text);
        drawTextRight(p, right, y, numberOrDash(r.got, r.decimals), typeface(Type::Work),
                      theme().bright);
        y += kRow - 1;
    }
}

} // namespace zelo::desk
