// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/focus/asking.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/polygon.h"
#include "colour/srgb.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "mix/together.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::desk {

namespace {

constexpr double kDegree = std::numbers::pi / 180;
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

Asking::Asking(Document& document, FocusModel& focus, QObject* parent)
    : QObject(parent), document_(document), focus_(focus) {}

const light::AskedGel* Asking::askedGel() const {
    wish_now_ = focus_.wish();
    return wish_now_ ? std::get_if<light::AskedGel>(&wish_now_->asked) : nullptr;
}

const light::AskedWhite* Asking::askedWhite() const {
    wish_now_ = focus_.wish();
    return wish_now_ ? std::get_if<light::AskedWhite>(&wish_now_->asked) : nullptr;
}

QString Asking::headline() const {
    const auto w = focus_.wish();
    if (!w)
        return {};
    if (const auto* gel = askedGel())
        return toQt(gel->id);
    if (const auto* white = askedWhite())
        return numberText(white->cct_k, 0);
    const QStringList names{{},           {}, tr("x y"), tr("u′ v′"), tr("hex"), tr("measured"),
                            tr("palette")};
    return names[static_cast<int>(w->asked.index())];
}

QString Asking::headlineName() const {
    const auto w = focus_.wish();
    if (!w)
        return {};
    if (const auto* gel = askedGel()) {
        const auto found = document_.library().gel(gel->id);
        return found ? toQt(found->name) : tr("not in the book");
    }
    if (askedWhite())
        return tr("kelvin white");
    if (const auto* c = std::get_if<light::AskedXy>(&w->asked))
        return tr("%1, %2").arg(numberText(c->x, 4), numberText(c->y, 4));
    if (const auto* c = std::get_if<light::AskedUv>(&w->asked))
        return tr("%1, %2").arg(numberText(c->u, 4), numberText(c->v, 4));
    return toQt(light::toText(w->asked)).section(':', 1);
}

QString Asking::kindText() const {
    const auto w = focus_.wish();
    if (!w)
        return tr("pick a colour from the swatch book");
    if (askedGel())
        return tr("gel, under a lamp of");
    if (askedWhite())
        return tr("white, with a tint of");
    if (std::holds_alternative<light::AskedPalette>(w->asked))
        return tr("palette, as it is now");
    if (std::holds_alternative<light::AskedMeasured>(w->asked))
        return tr("measured light");
    return tr("typed colour");
}

std::optional<double> Asking::lampK() const {
    const auto* gel = askedGel();
    if (!gel || !gel->lamp.empty())
        return std::nullopt;
    return gel->lamp_k.value_or(light::kGelLampK);
}

std::optional<double> Asking::whiteK() const {
    const auto* white = askedWhite();
    return white ? std::optional(white->cct_k) : std::nullopt;
}

std::optional<double> Asking::whiteDuv() const {
    const auto* white = askedWhite();
    return white ? std::optional(white->duv.value_or(0)) : std::nullopt;
}

void Asking::pick(const std::string& notation) {
    const auto asked = light::parseAsked(notation);
    if (!asked)
        return document_.tell(said(asked.error()));
    if (const auto any = light::checkAnyLight(*asked); !any)
        return document_.tell(said(any.error()));
    pick(*asked);
}

void Asking::pick(const light::Asked& wanted, int gesture) {
    light::Asked asked = wanted;
    // A gel picked without a lamp keeps the lamp that is in use.
    if (auto* gel = std::get_if<light::AskedGel>(&asked); gel && !gel->lamp_k && gel->lamp.empty())
        gel->lamp_k = lampK();
    if (const auto read = document_.wanted(asked); !read)
        return document_.tell(said(read.error()));
    // A drag has one name, so that it is one step.
    focus_.editWishes(
        gesture ? tr("Colour") : tr("Colour %1").arg(said(light::inWords(asked))), true, gesture,
        [&](show::ColourWish& w) { w.asked = asked; }, true);
    remember(asked, gesture);
}

void Asking::setLampK(double kelvin, int gesture) {
    focus_.editWishes(tr("Lamp behind the gel"), true, gesture, [&](show::ColourWish& w) {
        if (auto* gel = std::get_if<light::AskedGel>(&w.asked)) {
            gel->lamp_k = kelvin;
            gel->lamp.clear();
        }
    });
}

void Asking::setWhite(double kelvin, double duv, int gesture) {
    const light::AskedWhite white{kelvin, duv == 0 ? std::nullopt : std::optional(duv)};
    focus_.editWishes(
        tr("White"), true, gesture, [&](show::ColourWish& w) { w.asked = white; }, true);
}

Ask Asking::askedAs() const {
    const auto w = focus_.wish();
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

std::optional<route::Disc> Asking::disc() const {
    const TypeRow* row = focus_.focus();
    if (!row)
        return std::nullopt;
    auto made = route::Disc::of(row->lamp.mixer->hull(),
                                colour::planckianUv({document_.show().white_cct_k}));
    return made ? std::optional(*made) : std::nullopt;
}

void Asking::askAs(Ask ask) {
    const light::Wanted* light = focus_.wanted();
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

std::optional<std::pair<double, double>> Asking::askedNumbers() const {
    const auto w = focus_.wish();
    const light::Wanted* light = focus_.wanted();
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

void Asking::setAskedNumbers(double a, double b, int gesture) {
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

QString Asking::hex() const {
    const auto w = focus_.wish();
    const auto* c = w ? std::get_if<light::AskedSrgb>(&w->asked) : nullptr;
    return c ? toQt(light::toText(*c)).section(':', 1) : QString();
}

void Asking::pickUv(const colour::Uv& uv, int gesture) {
    if (askedAs() == Ask::Xy) {
        const auto xy = colour::toXy(colour::toXyz(uv));
        return pick(light::AskedXy{xy.x, xy.y}, gesture);
    }
    pick(light::AskedUv{uv.u, uv.v}, gesture);
}

void Asking::takeLamp(int number) {
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
void Asking::remember(const light::Asked& asked, int gesture) {
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

void Asking::stepTried(int by) {
    const auto next = static_cast<long>(tried_at_) + by;
    if (tried_.empty() || next < 0 || next >= static_cast<long>(tried_.size()))
        return document_.tell(by < 0 ? tr("No colour was tried before this one.")
                                     : tr("This is the last colour that was tried."));
    tried_at_ = static_cast<std::size_t>(next);
    stepping_ = true;
    pick(tried_[tried_at_]);
    stepping_ = false;
}

void Asking::askCommonReach() {
    const light::Wanted* light = focus_.wanted();
    if (!light || focus_.rows().empty())
        return document_.tell(tr("Pick a colour first."));
    std::vector<const mix::Mixer*> mixers;
    for (const TypeRow& row : focus_.rows())
        mixers.push_back(row.lamp.mixer.get());
    const auto common = mix::commonReach(mixers);
    if (common.empty())
        return document_.tell(tr("There is no colour that all these types can show."));
    const auto nearest = common.nearest(light->uv());
    if (nearest.distance <= 1e-6)
        return document_.tell(tr("All of these types reach this colour."));
    as_hue_ = false;
    pick(light::AskedUv{nearest.at.u, nearest.at.v});
}

} // namespace zelo::desk
