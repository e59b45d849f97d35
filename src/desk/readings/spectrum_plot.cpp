// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/readings/spectrum_plot.h"

#include "desk/kit/draw.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/theme.h"
#include "light/levels.h"

namespace zelo::desk {

namespace {

constexpr double kFirstNm = 390;
constexpr double kLastNm = 720;

QVector<double> wavelengths() {
    QVector<double> nm;
    for (int i = 0; i < static_cast<int>(colour::kGridSize); ++i)
        nm.push_back(colour::kGridFirstNm + i);
    return nm;
}

QVector<double> values(const colour::Spectrum& s, double factor) {
    QVector<double> v;
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        v.push_back(s[i] * factor);
    return v;
}

double largest(const QVector<double>& v) {
    return v.isEmpty() ? 0 : *std::max_element(v.begin(), v.end());
}

} // namespace

SpectrumPlot::SpectrumPlot(const QString& name, const QString& tip, bool on_bench, QWidget* parent)
    : QCustomPlot(parent), on_bench_(on_bench) {
    setAccessibleName(name);
    setToolTip(tip);
    yAxis->setVisible(false);
    xAxis->grid()->setVisible(false);
    yAxis->grid()->setVisible(false);
    xAxis->setRange(kFirstNm, kLastNm);
    QSharedPointer<QCPAxisTickerFixed> ticker(new QCPAxisTickerFixed);
    ticker->setTickStep(100);
    xAxis->setTicker(ticker);
    xAxis->setSubTicks(true);
    axisRect()->setAutoMargins(QCP::msNone);
    axisRect()->setMargins(QMargins(10, 2, 10, 22));
    style();
}

void SpectrumPlot::style() {
    ground_ = on_bench_ ? theme().bench : theme().side;
    setBackground(QBrush(ground_));
    xAxis->setBasePen(QPen(theme().faint));
    xAxis->setTickPen(QPen(theme().faint));
    xAxis->setSubTickPen(QPen(theme().faint));
    xAxis->setTickLength(0, 4);
    xAxis->setSubTickLength(0, 2);
    xAxis->setTickLabelFont(typeface(Type::Small));
    xAxis->setTickLabelColor(theme().dim);
}

void SpectrumPlot::changeEvent(QEvent* event) {
    QCustomPlot::changeEvent(event);
    if (event->type() == QEvent::PaletteChange) {
        style();
        replot(QCustomPlot::rpQueuedReplot);
    }
}

void SpectrumPlot::showNothing() {
    clearGraphs();
    if (width() > 20 && height() > 20)
        replot(QCustomPlot::rpQueuedReplot);
}

void SpectrumPlot::showMix(const mix::Mixer& mixer, const light::Drives& drives,
                           const std::optional<colour::Spectrum>& wanted,
                           const LightColours& colours) {
    clearGraphs();
    const auto nm = wavelengths();
    QVector<double> sum(nm.size(), 0.0);
    QCPGraph* below = addGraph();
    below->setData(nm, sum, true);
    below->setPen(Qt::NoPen);
    for (std::size_t e = 0; e < drives.size(); ++e) {
        if (!mixer.type().lamp(e) || !(drives[e] > 0))
            continue;
        light::Drives alone = drives; // this lamp, through what stands before it
        for (std::size_t i = 0; i < alone.size(); ++i)
            if (i != e && mixer.type().lamp(i))
                alone[i] = 0;
        const auto spectrum = light::spectrumOf(mixer.type(), alone);
        for (int i = 0; i < sum.size(); ++i)
            sum[i] += spectrum[static_cast<std::size_t>(i)];
        QCPGraph* graph = addGraph();
        graph->setData(nm, sum, true);
        graph->setPen(QPen(ground_, 0.7));
        graph->setBrush(colourOfLight(colours, mixer, alone, mixer.xyzOf(alone)));
        graph->setChannelFillGraph(below);
        below = graph;
    }
    double top = largest(sum);
    const double y = mixer.xyzOf(drives).Y;
    if (wanted && y > 0) {
        const auto line = values(*wanted, y / colour::toXyz(*wanted).Y);
        QCPGraph* graph = addGraph();
        graph->setData(nm, line, true);
        graph->setPen(QPen(theme().bright, 1.5));
        // A wanted spectrum that climbs out of view in the deep red must not flatten the rest.
        double seen = 0;
        for (int i = 0; i < 320; ++i)
            seen = std::max(seen, line[i]);
        top = std::max(top, std::min(seen, 1.6 * top));
    }
    yAxis->setRange(0, top > 0 ? top * 1.04 : 1);
    if (width() > 20 && height() > 20)
        replot(QCustomPlot::rpQueuedReplot);
}

void SpectrumPlot::showLight(const colour::Spectrum& light,
                             const std::optional<colour::Spectrum>& lamp,
                             const LightColours& colours) {
    clearGraphs();
    const auto nm = wavelengths();
    const auto fill = values(light, 1);
    double top = largest(fill);
    QCPGraph* graph = addGraph();
    graph->setData(nm, fill, true);
    graph->setPen(Qt::NoPen);
    graph->setBrush(colours.spectral(10, width() - 10, kFirstNm, kLastNm));
    if (lamp) {
        const auto line = values(*lamp, 1);
        QCPGraph* dashed = addGraph();
        dashed->setData(nm, line, true);
        dashed->setPen(QPen(theme().dim, 1, Qt::DashLine));
        top = std::max(top, largest(line));
    }
    yAxis->setRange(0, top * 1.02);
    if (width() > 20 && height() > 20)
        replot(QCustomPlot::rpQueuedReplot);
}

} // namespace zelo::desk
