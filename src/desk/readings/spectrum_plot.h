// SPDX-License-Identifier: GPL-3.0-or-later
// Spectra over wavelength: emitters stacked in their own colours with the wanted light as a line,
// or one light filled with the colours of the spectrum.
#pragma once

#include "desk/kit/light_colours.h"
#include "mix/mix.h"

#include <qcustomplot.h>

namespace zelo::desk {

class SpectrumPlot : public QCustomPlot {
    Q_OBJECT
public:
    // `on_bench`: stands on the bench's grey, else on the side's.
    SpectrumPlot(const QString& name, const QString& tip, bool on_bench, QWidget* parent);

    // Both at the same luminous intensity. `wanted` may be empty.
    void showMix(const mix::Mixer& mixer, const light::Drives& drives,
                 const std::optional<colour::Spectrum>& wanted, const LightColours& colours);
    // One light over the lamp it comes from (dashed).
    void showLight(const colour::Spectrum& light, const std::optional<colour::Spectrum>& lamp,
                   const LightColours& colours);
    void showNothing();

protected:
    void changeEvent(QEvent* event) override; // the theme changed

private:
    void style();
    bool on_bench_;
    QColor ground_;
};

} // namespace zelo::desk
