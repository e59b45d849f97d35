// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/trade_off.h"

#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/ssi.h"
#include "light/levels.h"
#include "mix/camera_miss.h"

namespace zelo::mix {

const char* nameOf(Gain gain) {
    switch (gain) {
    case Gain::Ssi:
        return "ssi";
    case Gain::Rf:
        return "rf";
    case Gain::Agreement:
        return "agreement";
    case Gain::Watts:
        return "watts";
    case Gain::CameraMiss:
        break;
    }
    return "camera miss";
}

std::optional<Gain> gainOf(const MixWish& wish, const light::Wanted& wanted) {
    switch (wish.intent) {
    case Intent::Brightest:
        return std::nullopt;
    case Intent::Leanest:
        return Gain::Watts;
    case Intent::Truest:
        return wanted.spectrum ? std::optional(Gain::Ssi) : std::nullopt;
    case Intent::Filmed:
        return wanted.spectrum && wish.cameraCount() > 0 ? std::optional(Gain::CameraMiss)
                                                         : std::nullopt;
    case Intent::Kindest:
        break;
    }
    if (colour::indicesMeanSomething(colour::cctOf(wanted.uv())))
        return Gain::Rf;
    return wanted.spectrum ? std::optional(Gain::Agreement) : std::nullopt;
}

std::vector<TradePoint> tradeOff(const Mixer& mixer, const light::Wanted& wanted,
                                 const MixWish& wish, const colour::Spectrum& white, int points,
                                 double most) {
    const auto gain = gainOf(wish, wanted);
    std::vector<TradePoint> curve;
    if (!gain)
        return curve;
    const auto cct = colour::cctOf(wanted.uv());
    const auto valueOf = [&](const Mix& m) {
        if (*gain == Gain::Watts)
            return mixer.powerOf(m.drives);
        const auto light = light::spectrumOf(mixer.type(), m.drives);
        if (*gain == Gain::Ssi)
            return colour::spectralSimilarity(light, *wanted.spectrum).value_or(NAN);
        if (*gain == Gain::CameraMiss)
            return largestCameraMiss(*wanted.spectrum, light, *wish.cameras).value_or(NAN);
        if (*gain == Gain::Rf)
            return colour::tm30Of(light, cct->cct).rf;
        return colour::agreementOf(*wanted.spectrum, light, wanted.lamp.value_or(white));
    };
    for (int i = 0; i < points; ++i) {
        MixWish at = wish;
        at.give_up = most * i / (points - 1);
        const Mix m = mixer.solve(wanted, at);
        if (!(m.got.Y > 0))
            continue;
        if (const double value = valueOf(m); std::isfinite(value))
            curve.push_back({at.give_up, m.got.Y, value});
    }
    return curve;
}

} // namespace zelo::mix
