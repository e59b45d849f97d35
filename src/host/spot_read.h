// SPDX-License-Identifier: GPL-3.0-or-later
// A real spectrometer, through the program `spotread` of the package argyll: started as a process,
// its prompts answered, its spectral readings taken.
#pragma once

#include "base/result.h"
#include "colour/resample.h"
#include "colour/spectrum.h"
#include "host/child.h"

#include <deque>
#include <functional>
#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::host {

// What it writes, piece by piece. Pure, and bounded: of a text without an end the beginning goes.
class SpotReadOutput {
public:
    struct Event {
        enum class Kind {
            Ready,   // it waits for the key that takes a reading
            Needs,   // it waits for a person: text says for what
            Reading, // a spectrum
            Failed   // a reading or a calibration: text says why
        };
        Kind kind;
        std::string text = {};
        colour::Samples samples = {};
    };
    std::vector<Event> take(std::string_view text);
    std::string lastLine() const { return last_; } // that says something

private:
    void line(std::string_view text, std::vector<Event>& all);
    std::string rest_;                // of a line that has not ended
    std::vector<std::string> before_; // lines since it last waited
    std::string last_;
    double first_nm_ = 0, last_nm_ = 0;
    std::size_t steps_ = 0; // of the spectrum whose values come next; 0: none does
};

class SpotRead {
public:
    // Asked in the program's own words, which may be to calibrate the instrument; true: it is done,
    // go on. Called on the measuring thread; it may take as long as a person does.
    using Ask = std::function<bool(const std::string&)>;
    explicit SpotRead(std::string program = "spotread") : program_(std::move(program)) {}
    bool installed() const { return host::installed(program_); }
    // On a worker: some seconds, and what a person takes. Io when it is not there, has no
    // instrument, or does not answer within a minute; BadValue for what cannot be a light. `stop`
    // ends the waiting.
    Result<colour::Spectrum> measure(const Ask& ask, const std::function<bool()>& stop);

private:
    Result<SpotReadOutput::Event> await(const Ask& ask, const std::function<bool()>& stop);
    std::string program_;
    std::unique_ptr<Child> child_; // open between readings: an instrument takes long to begin
    SpotReadOutput output_;
    std::deque<SpotReadOutput::Event> came_; // and was not looked at yet
};

} // namespace zelo::host
