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
    if (std::holds_alternative<light::AskedWhite>(asked))
        return Ask::White;
    if (std::holds_alternative<light::AskedXy>(asked))
        return Ask::Xy;
    if (std::holds_alternative<light::AskedUv>(asked))
        return as_hue_ ? Ask::HueSaturation : Ask::Uv;
    if (std::holds_alternative<light::AskedSrgb>(asked))
        return Ask::Hex;
    return std::holds_alternative<light::AskedMeasured>(asked) ? Ask::Measured : Ask::Gel;
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
        return pick(light::AskedWhite{cct->cct.value, cct->duv});
    }
    case Ask::Xy: {
        const auto xy = colour::toXy(light->xyz);
        return pick(light::AskedXy{xy.x, xy.y});
    }
    case Ask::Uv:
    case Ask::HueSaturation:
        return pick(light::AskedUv{uv.u, uv.v});
    case Ask::Hex: {
        const auto c = nearestHex(uv);
        return pick(light::AskedSrgb{c.r, c.g, c.b});
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
    if (const auto* c = std::get_if<light::AskedXy>(&w->asked))
        return std::pair(c->x, c->y);
    if (const auto* c = std::get_if<light::AskedUv>(&w->asked); c && ask == Ask::Uv)
        return std::pair(c->u, c->v);
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
        return pick(light::AskedXy{a, b}, gesture);
    case Ask::Uv:
        return pick(light::AskedUv{a, b}, gesture);
    case Ask::HueSaturation:
        if (const auto d = disc()) {
            const auto uv = d->fromDisc({b / 100, a * kDegree});
            pick(light::AskedUv{uv.u, uv.v}, gesture);
        }
        return;
    default:
        return;
    }
}

QString MatchModel::hex() const {
    const auto w = wish();
    const auto* c = w ? std::get_if<light::AskedSrgb>(&w->asked) : nullptr;
    return c ? toQt(light::toText(*c)).section(':', 1) : QString();
}

void MatchModel::pickUv(const colour::Uv& uv, int gesture) {
    if (askedAs() == Ask::Xy) {
        const auto xy = colour::toXy(colour::toXyz(uv));
        return pick(light::AskedXy{xy.x, xy.y}, gesture);
    }
    pick(light::AskedUv{uv.u, uv.v}, gesture);
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
        return pick(light::AskedUv{uv.u, uv.v});
    }
    document_.tell(tr("There is no lamp %1.").arg(number));
}

// A drag is one colour tried: its last.
void MatchModel::remember(const light::Asked& asked, int gesture) {
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
    auto hand = document_.state().hand;
    for (const TypeRow& row : rows_)
        hand = show::withIntensity(hand, row.fixtures, weakest / row.candela);
    document_.setHand(tr("Level to %1 cd").arg(numberText(weakest, 0)), hand);
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
        return document_.tell(tr("There is no colour that all these types can show."));
    const auto nearest = mix::nearestOnHull(common, light->uv());
    if (nearest.distance <= 0)
        return document_.tell(tr("All of these types reach this colour."));
    as_hue_ = false;
    pick(light::AskedUv{nearest.at.u, nearest.at.v});
}

void MatchModel::setByHand(const QString& name, const std::map<std::size_t, double>& parts,
                           int gesture) {
    const auto& lamp = focus()->lamp;
    const auto& type = lamp.mixer->type();
    startByHand();
    show::PartLevels levels;
    if (!lamp.colour && !lamp.by_hand)
        levels = show::partLevels(type, *by_hand_); // from nothing, not from home
    for (const auto& [part, level] : parts) {
        (*by_hand_)[part] = level;
        levels[type.partName(part)] = level;
    }
    setting_ = true;
    document_.setHand(name,
                      shining(show::withParts(document_.state().hand, focus()->fixtures, levels)),
                      fmt::format("{}-{}", fromQt(name), gesture));
    setting_ = false;
}

void MatchModel::startByHand() {
    const auto& lamp = focus()->lamp;
    if (by_hand_ && by_hand_of_ == lamp.mixer)
        return;
    by_hand_ = lamp.drives;
    by_hand_of_ = lamp.mixer;
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
    std::map<std::size_t, double> parts;
    for (const std::size_t e : family.parts)
        parts[e] = std::clamp(before > 0.05 ? drive(e) * target / before : target, 0.0, 1.0);
    setByHand(tr("%1 by hand").arg(family.name), parts, gesture);
}

} // namespace zelo::desk
