// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/compile.h"

#include "play/laid.h"

#include <algorithm>

namespace zelo::play {

namespace {

class Compiler {
public:
    Compiler(const show::ShowPtr& show_ptr, const Sources& from, Mixes& mixes)
        : show_(*show_ptr), from_(from), mixes_(mixes), gradients_(show_ptr, from, mixes) {}

    Compiled run() {
        for (const auto& [id, fixture] : show_.fixtures)
            addLamp(*fixture);
        program_.first.push_back(static_cast<std::uint32_t>(program_.home.size()));
        program_.lamps = all_.fixtures.size();
        program_.dark_first = show_.dark_first;
        program_.standing = saidOf(show_.standing);
        for (const auto& [id, list] : show_.cue_lists) {
            PlayedList played;
            played.back_s = list->back_s;
            played.release_s = list->release_s;
            for (const auto& [number, cue] : list->cues)
                played.cues.push_back(playedCue(*cue));
            program_.lists.push_back(std::move(played));
            all_.lists.push_back(id);
        }
        for (const auto& [id, fader] : show_.faders) {
            const show::Look* look = show_.lookOf(fader->look);
            program_.faders.push_back(
                {fader->adds ? PlayedFader::Mode::Adds : PlayedFader::Mode::Latest,
                 look ? saidOf(look->values) : std::vector<Said>{}});
            all_.faders.push_back(id);
        }
        complete(program_);
        all_.program = std::make_shared<const Program>(std::move(program_));
        return std::move(all_);
    }

private:
    void addLamp(const show::Fixture& fixture) {
        lamp_of_.emplace(fixture.id, static_cast<std::uint32_t>(all_.fixtures.size()));
        all_.fixtures.push_back(fixture.id);
        all_.mixers.push_back(mixes_.mixerOf(from_, fixture));
        program_.first.push_back(static_cast<std::uint32_t>(program_.home.size()));
        program_.exempt.push_back(fixture.exempt);
        if (!all_.mixers.back())
            return;
        const auto home = homeDrives(*all_.mixers.back(), fixture);
        program_.home.insert(program_.home.end(), home.begin(), home.end());
    }

    PlayedCue playedCue(const show::Cue& cue) {
        PlayedCue played;
        played.number = cue.number.value();
        played.up_s = cue.up_s;
        played.down_s = cue.down_s;
        played.up_delay_s = cue.up_delay_s;
        played.down_delay_s = cue.down_delay_s;
        played.colour_s = cue.colour_s;
        played.colour_delay_s = cue.colour_delay_s;
        played.follow = cue.follow == show::FollowWhen::AfterStart ? PlayedCue::Follow::AfterStart
                        : cue.follow == show::FollowWhen::WhenDone ? PlayedCue::Follow::WhenDone
                                                                   : PlayedCue::Follow::None;
        played.follow_s = cue.follow_s;
        played.says = saidOf(cue.values);
        return played;
    }

    std::vector<Said> saidOf(const show::Values& values) {
        std::vector<Said> all;
        for (const auto& [id, value] : values) {
            const auto lamp = lamp_of_.find(id);
            if (lamp == lamp_of_.end() || !all_.mixers[lamp->second])
                continue;
            Said said;
            said.lamp = lamp->second;
            const show::Shown shown = gradients_.shown(*value, id);
            said.intensity = shown.intensity;
            if (const auto drives = drivesOf(*value, shown, id, all_.mixers[lamp->second]))
                said.colour = placeOf(*drives);
            if (said.intensity || said.colour)
                all.push_back(said);
        }
        return all;
    }

    // The mix of its colour, parts set by hand over it; parts alone stand over home.
    std::optional<light::Drives> drivesOf(const show::Value& value, const show::Shown& shown,
                                          show::FixtureId id,
                                          const std::shared_ptr<const mix::Mixer>& mixer) {
        const show::Fixture& fixture = *show_.fixture(id);
        std::optional<light::Drives> drives;
        if (const LaidLamp* lamp = gradients_.lamp(value.colour, id); lamp && lamp->colour)
            drives = lamp->colour->mix.drives;
        else if (shown.colour)
            drives = mixes_
                         .mixed(from_, mixer, *shown.colour,
                                fixture.calibration ? fixture.calibration->off : colour::Uv{0, 0})
                         ->mix.drives;
        for (const auto& [name, level] : shown.parts)
            if (const auto part = mixer->type().partNamed(name)) {
                if (!drives)
                    drives = homeDrives(*mixer, fixture);
                (*drives)[*part] = level;
            }
        return drives;
    }

    // Equal rows stand once.
    std::uint32_t placeOf(const light::Drives& drives) {
        std::vector<double> row(drives.begin(), drives.end());
        const auto [known, fresh] =
            rows_.try_emplace(row, static_cast<std::uint32_t>(program_.drives.size()));
        if (fresh)
            program_.drives.insert(program_.drives.end(), row.begin(), row.end());
        return known->second;
    }

    const show::Show& show_;
    const Sources& from_;
    Mixes& mixes_;
    Gradients gradients_;
    Program program_;
    Compiled all_;
    std::map<show::FixtureId, std::uint32_t> lamp_of_;
    std::map<std::vector<double>, std::uint32_t> rows_;
};

} // namespace

std::optional<std::uint32_t> Compiled::lampOf(show::FixtureId id) const {
    const auto it = std::lower_bound(fixtures.begin(), fixtures.end(), id);
    return it != fixtures.end() && *it == id
               ? std::optional(static_cast<std::uint32_t>(it - fixtures.begin()))
               : std::nullopt;
}

Compiled compiled(const show::ShowPtr& show, const Sources& from, Mixes& mixes) {
    return Compiler(show, from, mixes).run();
}

} // namespace zelo::play
