// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/cue_sheet.h"

#include <fmt/format.h>

#include <algorithm>
#include <vector>

namespace zelo::host {

namespace {

std::string quoted(const std::string& text) {
    if (text.find_first_of(",\"\r\n") == std::string::npos)
        return text;
    std::string all = "\"";
    for (const char sign : text)
        all += sign == '"' ? std::string("\"\"") : std::string(1, sign);
    return all + '"';
}

std::string seconds(const std::optional<double>& time) {
    return time ? fmt::format("{}", *time) : std::string();
}

} // namespace

std::string cueSheet(const show::Show& show, const show::CueList& list) {
    std::string text =
        "cue,name,up_s,down_s,up_delay_s,down_delay_s,colour_s,colour_delay_s,follow,way,note\r\n";
    for (const auto& [number, cue] : list.cues) {
        const auto* kept = show.routes.find(cue->route);
        const std::string follow = cue->follow == show::FollowWhen::AfterStart
                                       ? seconds(cue->follow_s)
                                   : cue->follow == show::FollowWhen::WhenDone ? "when done"
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
        for (std::size_t i = 0; i < cells.size(); ++i)
            text += (i > 0 ? "," : "") + quoted(cells[i]);
        text += "\r\n";
    }
    return text;
}

} // namespace zelo::host
