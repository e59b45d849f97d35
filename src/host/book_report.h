// SPDX-License-Identifier: GPL-3.0-or-later
// A swatch book on fixture types, all at once: for each gel and type how good the match is, how
// bright, how it renders. And the same gels as palettes.
#pragma once

#include "light/wanted.h"
#include "mix/camera_miss.h"
#include "show/show.h"

#include <functional>
#include <stop_token>

namespace zelo::host {

struct BookLine {
    std::string gel, name; // "214", "Apricot"
    std::string type;      // "Gannet 8"
    double miss_uv = 0;    // as sent
    bool in_reach = true;
    double candela = 0;                        // at full
    double of_brightest = 0;                   // 0..1, of the most light this colour can have
    double rf = 0, ssi = 0;                    // NaN where they mean nothing
    std::vector<mix::CameraMiss> cameras = {}; // of the wish, in its order
};

struct BookWish {
    std::vector<std::pair<std::string, std::string>> gels; // number and name
    std::vector<std::shared_ptr<const mix::Mixer>> types;
    double lamp_k = light::kGelLampK;
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
    colour::CamerasPtr cameras = {}; // whose misses are told, and whom Filmed minds; null: none
};

// On a worker. `progress` is told how many gels are done after each; the lines so far come back
// when it is stopped. Gels that `sources` do not know are left out.
std::vector<BookLine> bookReport(const BookWish& wish, const light::ColourSources& sources,
                                 const std::stop_token& stop,
                                 const std::function<void(std::size_t)>& progress);

// gel,name,type,miss_uv,in_reach,candela,of_brightest,rf,ssi, and "miss NAME" of each camera
std::string bookReportCsv(const std::vector<BookLine>& lines);

// How a type holds over all gels of a report.
struct BookType {
    std::string type;
    double median_uv = 0, worst_uv = 0; // of the eye's miss
    struct OfCamera {
        std::string name;
        double median = 0, worst = 0; // of its miss; NaN where it saw nothing
    };
    std::vector<OfCamera> cameras;
    // For who looks on that it is worst for in the median; without cameras the eye's.
    double judged() const;
};
// Best first: by the median of the camera that each type is worst for, without cameras by the
// eye's; gels out of its reach count as they are.
std::vector<BookType> bookTypes(const std::vector<BookLine>& lines);

// A palette "214 Apricot" for each, its colour asked for with the lamp, the intent and give-up of
// the wish; those whose name is taken are passed over. `made` counts the new ones.
Result<show::ShowPtr> bookPalettes(const show::ShowPtr& show, const BookWish& wish,
                                   const light::ColourSources& sources, std::size_t* made);

} // namespace zelo::host
