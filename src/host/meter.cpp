// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/meter.h"

#include "base/text.h"
#include "colour/resample.h"
#include "files/spectrum_file.h"
#include "wire/net/lines.h"

namespace zelo::host {

Result<colour::Spectrum> measure(std::uint16_t port, show::FixtureId id) {
    const auto answer =
        wire::askLine(port, fmt::format("measure {}", id.value), std::chrono::milliseconds(2000));
    if (!answer)
        return passOn(answer.error(), "no practice meter");
    if (startsWith(*answer, "error: "))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "the meter: {}"),
                    trimmed(answer->substr(7)));
    const auto samples = files::parseSpectrum(*answer);
    if (!samples)
        return passOn(samples.error(), "the meter's answer");
    return colour::lightFromSamples(*samples);
}

std::string meterAnswer(const colour::Spectrum& light, int id) {
    colour::Samples samples;
    for (std::size_t i = 0; i < light.values().size(); ++i) {
        samples.wavelengths_nm.push_back(colour::kGridFirstNm + static_cast<double>(i));
        samples.values.push_back(light.values()[i]);
    }
    std::string text = files::spectrumText(samples, files::TableFormat::Tm27,
                                           fmt::format("practice meter, fixture {}", id));
    for (auto at = text.find("\n\n"); at != std::string::npos; at = text.find("\n\n"))
        text.erase(at, 1); // an empty line would end the answer
    return text;
}

Result<int> meterRequest(const std::string& line) {
    const auto parts = split(trimmed(line), ' ');
    const auto id = parts.size() == 2 && parts[0] == "measure" ? toInteger(parts[1]) : std::nullopt;
    if (!id)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "'{}': expected measure ID"), line);
    return *id;
}

} // namespace zelo::host
