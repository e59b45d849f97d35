// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/spot_read.h"

#include "base/text.h"

#include <algorithm>
#include <chrono>

namespace zelo::host {

namespace {

using Event = SpotReadOutput::Event;
using Kind = Event::Kind;

constexpr std::size_t kLongestLine = 64 * 1024;
constexpr std::size_t kMostLines = 40;
constexpr std::size_t kMostSteps = 4000;
constexpr auto kAnswers = std::chrono::seconds(60);
constexpr auto kLook = std::chrono::milliseconds(50);

bool has(std::string_view text, std::string_view part) {
    return text.find(part) != std::string_view::npos;
}

// "Spectrum from 380.000000 to 730.000000 nm in 36 steps"
bool heading(std::string_view text, double& first, double& last, std::size_t& steps) {
    std::vector<std::string_view> words;
    for (const auto word : split(text, ' '))
        if (!word.empty())
            words.push_back(word);
    if (words.size() < 9 || words[0] != "Spectrum" || words[1] != "from" || words[3] != "to" ||
        words[5] != "nm" || words[6] != "in")
        return false;
    const auto from = toNumber(words[2]), to = toNumber(words[4]);
    const auto count = toInteger(words[7]);
    if (!from || !to || !count || *count < 2 || *count > static_cast<int>(kMostSteps) ||
        !(*to > *from))
        return false;
    first = *from;
    last = *to;
    steps = static_cast<std::size_t>(*count);
    return true;
}

} // namespace

void SpotReadOutput::line(std::string_view text, std::vector<Event>& all) {
    text = trimmed(text);
    if (text.empty())
        return;
    if (steps_ > 0) {
        Event reading{Kind::Reading};
        for (const auto piece : split(text, ','))
            if (const auto value = toNumber(trimmed(piece)))
                reading.samples.values.push_back(*value);
        const std::size_t steps = std::exchange(steps_, 0);
        if (reading.samples.values.size() != steps) {
            all.push_back({Kind::Failed, "a spectrum with other values than it says"});
            return;
        }
        for (std::size_t i = 0; i < steps; ++i)
            reading.samples.wavelengths_nm.push_back(
                first_nm_ +
                (last_nm_ - first_nm_) * static_cast<double>(i) / static_cast<double>(steps - 1));
        all.push_back(std::move(reading));
        before_.clear();
        return;
    }
    if (heading(text, first_nm_, last_nm_, steps_))
        return;
    last_ = text;
    const std::string low = lowered(text);
    if (has(low, "take a reading")) {
        before_.clear();
        all.push_back({Kind::Ready});
    } else if (has(low, "abort:") || has(low, "q to abort")) {
        std::string asked; // what stood before, without the keys
        for (const std::string& l : before_)
            if (!has(lowered(l), "hit any key") && !has(lowered(l), "needs a calibration"))
                asked += (asked.empty() ? "" : " ") + l;
        before_.clear();
        all.push_back({Kind::Needs, asked});
    } else if (has(low, "failed") || startsWith(low, "error") || has(low, "diagnostic:") ||
               has(low, "no instrument")) {
        before_.clear();
        all.push_back({Kind::Failed, std::string(text)});
    } else {
        before_.emplace_back(text);
        if (before_.size() > kMostLines)
            before_.erase(before_.begin());
    }
}

std::vector<Event> SpotReadOutput::take(std::string_view text) {
    std::vector<Event> all;
    for (const char c : text) {
        if (c == '\n' || c == '\r') {
            line(std::exchange(rest_, {}), all);
        } else {
            rest_ += c;
            if (rest_.size() > kLongestLine)
                rest_.clear();
        }
    }
    // A prompt may stand without an end of its line.
    const std::string low = lowered(rest_);
    if (endsWith(trimmed(low), "reading:") || endsWith(trimmed(low), "abort:"))
        line(std::exchange(rest_, {}), all);
    return all;
}

// Until it is ready or has a reading; what a person has to do is asked for on the way.
Result<Event> SpotRead::await(const Ask& ask, const std::function<bool()>& stop) {
    auto until = std::chrono::steady_clock::now() + kAnswers;
    while (std::chrono::steady_clock::now() < until) {
        if (stop())
            return fail(ErrorCode::Io, ZELO_TEXT("core", "stopped"));
        if (came_.empty()) {
            const auto text = child_->read(kLook);
            if (!text)
                return fail(ErrorCode::Io, ZELO_TEXT("core", "{} has ended: {}"), program_,
                            toUtf8(output_.lastLine()));
            for (Event& event : output_.take(toUtf8(*text)))
                came_.push_back(std::move(event));
            continue;
        }
        Event event = std::move(came_.front());
        came_.pop_front();
        if (event.kind == Kind::Failed)
            return fail(ErrorCode::Io, ZELO_TEXT("core", "{}: {}"), program_, event.text);
        if (event.kind != Kind::Needs)
            return event;
        const bool go_on = ask(event.text);
        child_->write(go_on ? " \n" : "q\n");
        if (!go_on)
            return fail(ErrorCode::Io, ZELO_TEXT("core", "stopped"));
        until = std::chrono::steady_clock::now() + kAnswers;
    }
    return fail(ErrorCode::Io, ZELO_TEXT("core", "{} does not answer"), program_);
}

Result<colour::Spectrum> SpotRead::measure(const Ask& ask, const std::function<bool()>& stop) {
    const auto failed = [this](const Error& error) {
        child_.reset(); // the next reading begins anew
        return passOn(error);
    };
    if (!child_) {
        output_ = {};
        came_.clear();
        auto started = Child::start(program_, {"-e", "-s"}, {"ARGYLL_NOT_INTERACTIVE=1"});
        if (!started)
            return passOn(started.error());
        child_ = std::move(*started);
        if (const auto ready = await(ask, stop); !ready)
            return failed(ready.error());
    }
    child_->write(" \n");
    for (;;) { // it may say that it is ready once more before
        auto event = await(ask, stop);
        if (!event)
            return failed(event.error());
        if (event->kind != Kind::Reading)
            continue;
        for (double& value : event->samples.values)
            value = value < 0 ? 0 : value; // noise about no light; what is no number stays
        auto light = colour::lightFromSamples(event->samples);
        return light ? std::move(light) : Result<colour::Spectrum>(failed(light.error()));
    }
}

} // namespace zelo::host
