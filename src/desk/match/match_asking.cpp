// SPDX-License-Identifier: GPL-3.0-or-later
// The part of MatchModel that is about the ways of asking for a colour, and about several types.
#include "base/text.h"
#include "colour/cct.h"
#include "colour/srgb.h"
#include "desk/kit/qt_text.h"
#include "desk/match/match_model.h"
#include "mix/hull.h"
#include "mix/together.h"

#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr double kDegree = 3.14159265358979323846 / 180;
constexpr std::size_t kMostTried = 200;

colour::Srgb nearestHex(const colour::Uv& uv) {
    const auto rgb = colour::toLinearRgb(colour::toXyz(uv));
    const double most = std::max({rgb.r, rgb.g, rgb.b, 1e-9});
    const auto code = [&](double linear) {
        return colour::srgbEncoded(std::max(0.0, linear) / most);
    };
    return {code(rgb.r), code(rgb.g), code(rgb.b)};
}

} // namespace

Ask MatchModel::askedAs() const {
    const auto w = wish();
    if (!w)
        return Ask::Gel;
    const auto& asked = w->asked;
    if (startsWith(asked, "cct:"))
        return Ask::White;
    if (startsWith(asked, "xy:"))
        return Ask::Xy;
    if (startsWith(asked, "uv:"))
        return as_hue_ ? Ask::HueSaturation : Ask::Uv;
    if (startsWith(asked, "srgb:"))
        return Ask::Hex;
    return startsWith(asked, "spd:") ? Ask::Measured : Ask::Gel;
}

std::optional<route::Disc> MatchModel::disc() const {
    const TypeRow* row = focus();
    if (!row)
        return std::nullopt;
    auto made = route::Disc::of(row->lamp.mixer->hull(),
                                colour::planckianUv({document_.show().white_cct_k}));
    return made ? std::optional(*made) : std::nullopt;
}

void MatchModel::askAs(Ask ask) {
    const light::Wanted* light = wanted();
    if (!light)
        return document_.tell(tr("Pick a colour first: it is asked for in another way then."));
    const auto uv = light->uv();
    as_hue_ = ask == Ask::HueSaturation;
    switch (ask) {
    case Ask::White: {
        const auto cct = colour::cctOf(uv);
        if (!cct || std::abs(cct->duv) > 0.05)
            return document_.tell(tr("This colour is too far from white to be kelvin and tint."));
        return pick(fmt::format("cct:{:.0f}/{:.4f}", cct->cct.value, cct->duv));
    }
    case Ask::Xy: {
        const auto xyz = light->xyz;
        const double sum = xyz.X + xyz.Y + xyz.Z;
        return pick(fmt::format("xy:{:.4f},{:.4f}", xyz.X / sum, xyz.Y / sum));
    }
    case Ask::Uv:
    case Ask::HueSaturation:
        return pick(fmt::format("uv:{:.4f},{:.4f}", uv.u, uv.v));
    case Ask::Hex: {
        const auto c = nearestHex(uv);
        return pick(fmt::format("srgb:#{:02x}{:02x}{:02x}", c.r, c.g, c.b));
    }
    default:
        break; // picked from the book, a file or a lamp
    }
}

std::optional<std::pair<double, double>> MatchModel::askedNumbers() const {
    const auto w = wish();
    const light::Wanted* light = wanted();
    if (!w || !light)
        return std::nullopt;
    const Ask ask = askedAs();
    if (ask == Ask::Xy || ask == Ask::Uv) {
        const auto parts = split(std::string_view(w->asked).substr(3), ',');
        const auto a = toNumber(parts[0]);
        const auto b = parts.size() > 1 ? toNumber(parts[1]) : std::nullopt;
        return a && b ? std::optional(std::pair(*a, *b)) : std::nullopt;
    }
    if (ask != Ask::HueSaturation)
        return std::nullopt;
    const auto d = disc();
    if (!d)
        return std::nullopt;
    const auto polar = d->toDisc(light->uv());
    double hue = polar.angle / kDegree;
    if (hue < 0)
        hue += 360;
    return std::pair(hue, 100 * polar.rho);
}

void MatchModel::setAskedNumbers(double a, double b, int gesture) {
    switch (askedAs()) {
    case Ask::Xy:
        return pick(fmt::format("xy:{:.4f},{:.4f}", a, b), gesture);
    case Ask::Uv:
        return pick(fmt::format("uv:{:.4f},{:.4f}", a, b), gesture);
    case Ask::HueSaturation:
        if (const auto d = disc()) {
            const auto uv = d->fromDisc({b / 100, a * kDegree});
            pick(fmt::format("uv:{:.5f},{:.5f}", uv.u, uv.v), gesture);
        }
        return;
    default:
        return;
    }
}

QString MatchModel::hex() const {
    const auto w = wish();
    return w && startsWith(w->asked, "srgb:") ? toQt(w->asked.substr(5)) : QString();
}

void MatchModel::pickUv(const colour::Uv& uv, int gesture) {
    if (askedAs() == Ask::Xy) {
        const auto xyz = colour::toXyz(uv);
        const double sum = xyz.X + xyz.Y + xyz.Z;
        return pick(fmt::format("xy:{:.4f},{:.4f}", xyz.X / sum, xyz.Y / sum), gesture);
    }
    pick(fmt::format("uv:{:.4f},{:.4f}", uv.u, uv.v), gesture);
}

void MatchModel::takeLamp(int number) {
    for (const auto& [id, f] : document_.show().fixtures) {
        if (f->number != number)
            continue;
        const auto* lamp = document_.stage().lamp(id);
        if (!lamp || !colour::hasChromaticity(lamp->sent.xyz))
            return document_.tell(tr("Lamp %1 shows no light now.").arg(number));
        const auto uv = colour::toUv(lamp->sent.xyz);
        as_hue_ = false;
        return pick(fmt::format("uv:{:.5f},{:.5f}", uv.u, uv.v));
    }
    document_.tell(tr("There is no lamp %1.").arg(number));
}

// A drag is one colour tried: its last.
void MatchModel::remember(const std::string& asked, int gesture) {
    if (stepping_)
        return;
    const bool goes_on = gesture != 0 && gesture == tried_gesture_ && !tried_.empty();
    tried_gesture_ = gesture;
    if (goes_on) {
        tried_.back() = asked;
        return;
    }
    if (!tried_.empty() && tried_[tried_at_] == asked)
        return;
    tried_.push_back(asked);
    if (tried_.size() > kMostTried)
        tried_.erase(tried_.begin());
    tried_at_ = tried_.size() - 1;
}

void MatchModel::stepTried(int by) {
    const auto next = static_cast<long>(tried_at_) + by;
    if (tried_.empty() || next < 0 || next >= static_cast<long>(tried_.size()))
        return document_.tell(by < 0 ? tr("No colour was tried before this one.")
                                     : tr("This is the last colour that was tried."));
    tried_at_ = static_cast<std::size_t>(next);
    stepping_ = true;
    pick(tried_[tried_at_]);
    stepping_ = false;
}

void MatchModel::levelBrightness() {
    if (rows_.size() < 2)
        return document_.tell(tr("Levelling needs two types in the lineup."));
    double weakest = rows_.front().candela;
    for (const TypeRow& row : rows_)
        weakest = std::min(weakest, row.candela);
    if (!(weakest > 0))
        return document_.tell(tr("One of the types gives no light: nothing to level to."));
    auto& session = document_.session();
    auto hand = session.hand();
    for (const TypeRow& row : rows_)
        hand = show::withIntensity(hand, row.fixtures, weakest / row.candela);
    session.setHand(fromQt(tr("Level to %1 cd").arg(numberText(weakest, 0))), hand);
}

void MatchModel::askCommonReach() {
    const light::Wanted* light = wanted();
    if (!light || rows_.empty())
        return document_.tell(tr("Pick a colour first."));
    std::vector<const mix::Mixer*> mixers;
    for (const TypeRow& row : rows_)
        mixers.push_back(row.lamp.mixer.get());
    const auto common = mix::commonReach(mixers);
    if (common.size() < 3)
        return document_.tell(tr("These types have no colours in common."));
    const auto nearest = mix::nearestOnHull(common, light->uv());
    if (nearest.distance <= 0)
        return document_.tell(tr("All of these types reach this colour."));
    as_hue_ = false;
    pick(fmt::format("uv:{:.5f},{:.5f}", nearest.at.u, nearest.at.v));
}

void MatchModel::startByHand() {
    if (by_hand_)
        return;
    const auto& lamp = focus()->lamp;
    by_hand_ = lamp.drives;
    if (!lamp.colour && !lamp.by_hand)
        for (std::size_t e = 0; e < lamp.mixer->type().emitters.size(); ++e)
            if (!lamp.mixer->type().emitters[e].source)
                (*by_hand_)[e] = 0;
}

show::HandPtr MatchModel::shining(show::HandPtr hand) const {
    show::Lineup dark;
    for (const auto id : focus()->fixtures)
        if (!show::shownValue(document_.show(), *hand, id).intensity)
            dark.push_back(id);
    return dark.empty() ? hand : show::withIntensity(hand, dark, 1);
}

std::vector<MatchModel::Family> MatchModel::families() const {
    const TypeRow* row = focus();
    if (!row)
        return {};
    std::vector<Family> all{
        {tr("warm"), {}}, {tr("green"), {}}, {tr("blue"), {}}, {tr("white"), {}}, {tr("all"), {}}};
    const auto& mixer = *row->lamp.mixer;
    for (std::size_t e = 0; e < mixer.type().emitters.size(); ++e) {
        const auto xyz = mixer.partLight(e);
        if (!mixer.usable(e) || !mixer.mode().channelOf(e) || !colour::hasChromaticity(xyz))
            continue;
        // Near the white a white; else by the hue about it, in u'v'.
        const auto off = colour::toUv(xyz) - colour::planckianUv({document_.show().white_cct_k});
        const double hue = std::atan2(off.v, off.u) / kDegree;
        const std::size_t family = std::hypot(off.u, off.v) < 0.05 ? 3
                                   : hue > -60 && hue < 75         ? 0
                                   : hue >= 75 && hue < 190        ? 1
                                                                   : 2;
        // A cyan leans to the blue side, below the white.
        all[family == 1 && off.v < 0 ? 2 : family].parts.push_back(e);
        all[4].parts.push_back(e);
    }
    std::erase_if(all, [](const Family& f) { return f.parts.empty(); });
    return all;
}

double MatchModel::familyDrive(const Family& family) const {
    double most = 0;
    for (const std::size_t e : family.parts)
        most = std::max(most, drive(e));
    return most;
}

// In the proportion they have; from next to nothing all alike.
void MatchModel::setFamilyDrive(const Family& family, double target, int gesture) {
    if (!focus())
        return;
    const double before = familyDrive(family);
    startByHand();
    for (const std::size_t e : family.parts)
        (*by_hand_)[e] =
            std::clamp(before > 0.05 ? (*by_hand_)[e] * target / before : target, 0.0, 1.0);
    auto& session = document_.session();
    const auto name = fromQt(tr("%1 by hand").arg(family.name));
    session.setHand(name,
                    shining(show::withDrives(session.hand(), focus()->fixtures, *by_hand_, wish())),
                    fmt::format("{}-{}", name, gesture));
}

} // namespace zelo::desk
