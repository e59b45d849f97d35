// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/sheets.h"

#include "base/csv.h"
#include "colour/cct.h"

#include <fmt/format.h>

#include <algorithm>
#include <vector>

namespace zelo::host {

namespace {

std::string seconds(const std::optional<double>& time) {
    return time ? fmt::format("{}", *time) : std::string();
}

std::string clock(double seconds) { // "at 19:30:00"
    const int all = static_cast<int>(seconds);
    return fmt::format("at {}:{:02}:{:02}", all / 3600, all / 60 % 60, all % 60);
}

std::string row(const std::vector<std::string>& cells) {
    std::string text;
    for (std::size_t i = 0; i < cells.size(); ++i)
        text += (i > 0 ? "," : "") + csvCell(cells[i]);
    return text + "\r\n";
}

} // namespace

std::string cueSheet(const show::Show& show, const show::CueList& list) {
    std::string text =
        "cue,name,up_s,down_s,up_delay_s,down_delay_s,colour_s,colour_delay_s,follow,way,note\r\n";
    for (const auto& [number, cue] : list.cues) {
        const auto* kept = show.routes.find(cue->route);
        const std::string follow =
            cue->follow == show::FollowWhen::AfterStart  ? seconds(cue->follow_s)
            : cue->follow == show::FollowWhen::WhenDone  ? "when done"
            : cue->follow == show::FollowWhen::TimeOfDay ? clock(cue->follow_s)
                                                         : std::string();
        const std::vector<std::string> cells{show::toText(number),
                                             cue->name,
                                             seconds(cue->up_s),
                                             seconds(cue->down_s),
                                             seconds(cue->up_delay_s),
                                             seconds(cue->down_delay_s),
                                             seconds(cue->colour_s),
                                             seconds(cue->colour_delay_s),
                                             follow,
                                             kept       ? kept->name
                                             : cue->way ? route::nameOf(cue->way->kind)
                                                        : std::string(),
                                             cue->note};
        text += row(cells);
    }
    return text;
}

std::string colourSheet(const show::Show& show, const play::Sources& from, play::Mixes& mixes) {
    std::string text = "palette,kind,asked,u,v,cct_k,duv,intensity\r\n";
    for (const auto& [id, palette] : show.palettes) {
        const char* kind = palette->gradient                       ? "gradient"
                           : palette->colour && palette->intensity ? "colour and intensity"
                           : palette->colour                       ? "colour"
                                                                   : "intensity";
        std::vector<std::string> cells{palette->name, kind, {}, {}, {}, {}, {}, {}};
        if (palette->colour) {
            const auto wanted = mixes.wanted(from, palette->colour->asked);
            const colour::Uv uv = wanted ? (*wanted)->uv() : palette->colour->uv;
            cells[2] = light::toText(palette->colour->asked);
            cells[3] = fmt::format("{:.4f}", uv.u);
            cells[4] = fmt::format("{:.4f}", uv.v);
            if (const auto white = colour::cctOf(uv)) {
                cells[5] = fmt::format("{:.0f}", white->cct.value);
                cells[6] = fmt::format("{:.4f}", white->duv);
            }
        }
        if (palette->intensity)
            cells[7] = fmt::format("{:g}", *palette->intensity);
        text += row(cells);
    }
    return text;
}

std::string patchSheet(const show::Show& show, const play::Sources& from) {
    std::string text = "number,label,type,mode,universe,address,slots,groups,x_m,y_m,z_m,note\r\n";
    std::vector<std::shared_ptr<const show::Fixture>> lamps;
    for (const auto& [id, fixture] : show.fixtures)
        lamps.push_back(fixture);
    std::stable_sort(lamps.begin(), lamps.end(),
                     [](const auto& a, const auto& b) { return a->number < b->number; });
    for (const auto& f : lamps) {
        const auto own = show.types.item(f->type);
        const auto type = own ? own : from.type(f->type);
        const light::Mode* mode = type ? type->mode(f->mode) : nullptr;
        std::string groups;
        for (const auto& [id, group] : show.groups)
            if (std::find(group->fixtures.begin(), group->fixtures.end(), f->id) !=
                group->fixtures.end())
                groups += (groups.empty() ? "" : "; ") + group->name;
        text += row({std::to_string(f->number), f->label, type ? type->name : f->type,
                     mode ? mode->name : f->mode, std::to_string(f->universe),
                     std::to_string(f->address), mode ? std::to_string(mode->footprint) : "",
                     groups, fmt::format("{:g}", f->place.x_m), fmt::format("{:g}", f->place.y_m),
                     fmt::format("{:g}", f->place.z_m), f->note});
    }
    return text;
}

} // namespace zelo::host
