// SPDX-License-Identifier: GPL-3.0-or-later
// A swatch book on fixture types, all at once: for each gel and type how good the match is, how
// bright, how it renders. And the same gels as palettes.
#pragma once

#include "light/wanted.h"
#include "mix/mix.h"
#include "show/show.h"

#include <functional>
#include <stop_token>

namespace zelo::host {

struct BookLine {
    std::string gel, name; // "214", "Apricot"
    std::string type;      // "Gannet 8"
    double miss_uv = 0;    // as sent
    bool in_reach = true;
    double candela = 0;      // at full
    double of_brightest = 0; // 0..1, of the most light this colour can have
    double rf = 0, ssi = 0;  // NaN where they mean nothing
};

struct BookWish {
    std::vector<std::pair<std::string, std::string>> gels; // number and name
    std::vector<std::shared_ptr<const mix::Mixer>> types;
    double lamp_k = light::kGelLampK;
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
};

// On a worker. `progress` is told how many gels are done after each; the lines so far come back
// when it is stopped. Gels that `sources` do not know are left out.
std::vector<BookLine> bookReport(const BookWish& wish, const light::ColourSources& sources,
                                 const std::stop_token& stop,
                                 const std::function<void(std::size_t)>& progress);

// gel,name,type,miss_uv,in_reach,candela,of_brightest,rf,ssi
std::string bookReportCsv(const std::vector<BookLine>& lines);

// A palette "214 Apricot" for each, its colour asked for with the lamp, the intent and give-up of
// the wish; those whose name is taken are passed over. `made` counts the new ones.
Result<show::ShowPtr> bookPalettes(const show::ShowPtr& show, const BookWish& wish,
                                   const light::ColourSources& sources, std::size_t* made);

} // namespace zelo::host
