// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/take_cues.h"

#include "base/text.h"
#include "host/slot_light.h"
#include "light/levels.h"
#include "show/limits.h"
#include "show/show.h"

#include <algorithm>
#include <map>
#include <set>

namespace zelo::host {

namespace {

using light::ChannelValues;

constexpr int kSlotsOfAll = 512 * 64'000; // dimmers are counted through all universes

struct Lamp {
    show::FixtureId id;
    std::shared_ptr<const mix::Mixer> mixer;
    std::map<int, int> slots; // of a desk's channel: which slot of the lamp, from 0
    ChannelValues before;     // as the cue before it left them
};

show::Value valueOf(const mix::Mixer& mixer, const ChannelValues& values) {
    const SlotLight light = slotLight(mixer, values);
    show::Value value;
    value.intensity = light.intensity;
    value.parts = show::partLevels(mixer.type(), light.drives);
    const auto& mode = mixer.mode();
    for (const std::size_t i : mode.settings())
        if (values[i] != mode.channels[i].home)
            value.settings[mode.channels[i].name] = mode.channels[i].shareOf(values[i]);
    return value;
}

class Taking {
public:
    Taking(const show::Show& show, const play::Sources& from, play::Mixes& mixes,
           const files::AsciiCues& cues)
        : cues_(cues) {
        std::map<int, std::vector<int>> channels; // of a dimmer
        for (const auto& line : cues.patch)
            channels[line.dimmer].push_back(line.channel);
        for (const auto& [id, fixture] : show.fixtures) {
            Lamp lamp{id, mixes.mixerOf(from, *fixture), {}, {}};
            if (!lamp.mixer)
                continue;
            const int first = 512 * (fixture->universe - 1) + fixture->address;
            for (int s = 0; s < lamp.mixer->mode().footprint && first + s < kSlotsOfAll; ++s) {
                if (cues.patch.empty())
                    lamp.slots.emplace(first + s, s);
                else if (const auto it = channels.find(first + s); it != channels.end())
                    for (const int channel : it->second)
                        lamp.slots.emplace(channel, s);
            }
            for (const auto& [channel, slot] : lamp.slots)
                known_.insert(channel);
            if (!lamp.slots.empty())
                lamps_.push_back(std::move(lamp));
        }
    }

    Result<TakenCues> run(std::string name) {
        TakenCues taken;
        taken.list.name = toUtf8(std::move(name));
        std::vector<Table<show::CueNumber, show::Cue>::Change> all;
        std::set<show::CueNumber> numbers;
        for (const files::AsciiCue& one : cues_.cues) {
            const auto number = show::parseCueNumber(one.number);
            if (!number || !numbers.insert(*number).second) {
                taken.notes.push_back(
                    number ? say(ZELO_TEXT("core", "cue {} is there twice: left out"), one.number)
                           : say(ZELO_TEXT("core", "cue {}: no number for a cue: left out"),
                                 one.number));
                continue;
            }
            all.emplace_back(*number, std::make_shared<const show::Cue>(cueOf(one, *number)));
        }
        if (lamps_.empty() || all.empty())
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "no cue of it reaches a lamp of the rig"));
        taken.list.cues = Table<show::CueNumber, show::Cue>::of(std::move(all));
        if (!strange_.empty())
            taken.notes.push_back(
                say(ZELO_TEXT("core", "left out, of no lamp of the rig: {} channels"),
                    strange_.size()));
        return taken;
    }

private:
    show::Cue cueOf(const files::AsciiCue& one, show::CueNumber number) {
        const auto time = [](double s) { return std::clamp(s, 0.0, show::kLongest_s); };
        show::Cue cue;
        cue.number = number;
        cue.name = toUtf8(one.text.substr(0, show::kLongestName));
        cue.note = toUtf8(one.unread.substr(0, show::kLongestNote));
        if (one.up) {
            cue.up_s = cue.down_s = time(one.up->time_s);
            cue.up_delay_s = cue.down_delay_s = time(one.up->delay_s);
        }
        if (one.down) {
            cue.down_s = time(one.down->time_s);
            cue.down_delay_s = time(one.down->delay_s);
        }
        if (one.follow_s) {
            cue.follow = show::FollowWhen::AfterStart;
            cue.follow_s = time(*one.follow_s);
        }
        std::map<int, double> levels;
        for (const auto& level : one.levels) {
            levels[level.channel] = level.level;
            if (!known_.contains(level.channel))
                strange_.insert(level.channel);
        }
        std::vector<show::Values::Change> values;
        for (Lamp& lamp : lamps_) {
            std::vector<std::uint8_t> slots(static_cast<std::size_t>(lamp.mixer->mode().footprint));
            light::writeSlots(lamp.mixer->mode(), light::homeValues(lamp.mixer->mode()), slots);
            for (const auto& [channel, slot] : lamp.slots) {
                const auto it = levels.find(channel);
                slots[static_cast<std::size_t>(slot)] = static_cast<std::uint8_t>(
                    it == levels.end() ? 0 : std::lround(255 * it->second));
            }
            ChannelValues now = light::readSlots(lamp.mixer->mode(), slots);
            if (now == lamp.before)
                continue;
            show::Value value = valueOf(*lamp.mixer, now);
            if (!lamp.before.empty()) {
                const show::Value was = valueOf(*lamp.mixer, lamp.before);
                if (value.intensity == was.intensity)
                    value.intensity.reset();
                if (value.parts == was.parts)
                    value.parts.clear();
                for (const auto& [setting, share] : was.settings) // back at rest
                    value.settings.try_emplace(setting, homeOf(*lamp.mixer, setting));
                if (value.settings == was.settings)
                    value.settings.clear();
            }
            lamp.before = std::move(now);
            if (!value.empty())
                values.emplace_back(lamp.id, std::make_shared<const show::Value>(std::move(value)));
        }
        cue.values = show::Values{}.changed(std::move(values));
        return cue;
    }

    static double homeOf(const mix::Mixer& mixer, const std::string& setting) {
        for (const std::size_t i : mixer.mode().settings())
            if (const light::Channel& c = mixer.mode().channels[i]; c.name == setting)
                return c.shareOf(c.home);
        return 0;
    }

    const files::AsciiCues& cues_;
    std::vector<Lamp> lamps_;
    std::set<int> known_, strange_; // channels
};

} // namespace

Result<TakenCues> takeCues(const show::Show& show, const play::Sources& from, play::Mixes& mixes,
                           const files::AsciiCues& cues, std::string name) {
    return Taking(show, from, mixes, cues).run(std::move(name));
}

} // namespace zelo::host
