// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/cue_pictures.h"

#include "mix/camera_miss.h"
#include "show/edits.h"

#include <algorithm>
#include <map>

namespace zelo::play {

namespace {

class Painter {
public:
    Painter(const Compiled& compiled, const PlayedList& list, const colour::Camera* by)
        : compiled_(compiled), list_(list), by_(by) {}

    void add(show::FixtureId id, std::vector<std::vector<CueLamp>>& pictures) {
        const auto lamp = compiled_.lampOf(id);
        const bool known = lamp && compiled_.mixers[*lamp];
        const auto it = known ? std::lower_bound(list_.lamps.begin(), list_.lamps.end(), *lamp)
                              : list_.lamps.end();
        if (it == list_.lamps.end() || *it != *lamp) { // the list knows nothing of it
            for (auto& picture : pictures)
                picture.push_back({});
            return;
        }
        const auto place = static_cast<std::size_t>(it - list_.lamps.begin());
        std::map<const double*, colour::Xyz> lights; // by the drives that are said
        for (std::size_t cue = 0; cue < pictures.size(); ++cue) {
            CueLamp seen;
            if (const Stands* stands = list_.standsFor(place, static_cast<int>(cue))) {
                seen.intensity = stands->intensity.value_or(0);
                const auto [light, fresh] = lights.try_emplace(stands->colour);
                if (fresh)
                    light->second = lightOf(*lamp, *stands);
                seen.at_full = light->second;
            }
            seen.told = list_.cues[cue].changes->of(*lamp) != nullptr;
            pictures[cue].push_back(seen);
        }
    }

private:
    colour::Xyz lightOf(std::uint32_t lamp, const Said& said) const {
        const Program& program = *compiled_.program;
        light::Drives drives(program.parts(lamp));
        std::copy_n(program.home.begin() + program.first[lamp], drives.size(), drives.begin());
        for (std::size_t part = 0; said.colour && part < drives.size(); ++part)
            if (said.parts >> part & 1)
                drives[part] = said.colour[part];
        return mix::shownBy(by_, *compiled_.mixers[lamp], drives);
    }

    const Compiled& compiled_;
    const PlayedList& list_;
    const colour::Camera* by_;
};

} // namespace

std::vector<std::vector<CueLamp>> cuePictures(const Compiled& compiled, show::CueListId list,
                                              const show::Lineup& lamps, const colour::Camera* by) {
    const auto it = std::find(compiled.lists.begin(), compiled.lists.end(), list);
    if (it == compiled.lists.end())
        return {};
    const PlayedList& played =
        compiled.program->lists[static_cast<std::size_t>(it - compiled.lists.begin())];
    std::vector<std::vector<CueLamp>> pictures(played.cues.size());
    Painter painter(compiled, played, by);
    for (const show::FixtureId id : lamps)
        painter.add(id, pictures);
    return pictures;
}

std::map<show::LookId, std::vector<CueLamp>> lookPictures(const show::ShowPtr& show,
                                                          const Sources& from, Mixes& mixes,
                                                          std::size_t most,
                                                          const colour::Camera* by) {
    show::Show alone = *show; // each look as a list of one cue
    alone.cue_lists = {};
    alone.faders = {};
    for (const auto& [id, look] : show->looks) {
        show::CueList list;
        list.id = {id.value};
        show::Cue cue;
        cue.values = look->values;
        list.cues = list.cues.with(cue.number, cue);
        alone.cue_lists = alone.cue_lists.with(list.id, std::move(list));
    }
    const Compiled made =
        compiled({show::nextShow(std::move(alone)), show::emptyHand()}, from, mixes);
    std::map<show::LookId, std::vector<CueLamp>> all;
    for (const auto& [id, look] : show->looks) {
        const std::size_t count = std::min(look->values.size(), most);
        show::Lineup lamps;
        for (std::size_t i = 0; i < count; ++i)
            lamps.push_back(look->values.entry(i * look->values.size() / count).first);
        auto pictures = cuePictures(made, {id.value}, lamps, by);
        if (!pictures.empty())
            all.emplace(id, std::move(pictures.front()));
    }
    return all;
}

} // namespace zelo::play
