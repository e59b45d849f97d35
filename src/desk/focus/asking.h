// SPDX-License-Identifier: GPL-3.0-or-later
// Asking for a colour, in every way there is, and the colours that were tried before.
#pragma once

#include "desk/focus/focus_model.h"
#include "route/disc.h"

namespace zelo::desk {

// In which way a colour is asked for.
enum class Ask { Gel, White, Xy, Uv, HueSaturation, Hex, Measured, Lamp };

class Asking : public QObject {
    Q_OBJECT
public:
    Asking(Document& document, FocusModel& focus, QObject* parent);

    QString headline() const;            // "214", "3200", "xy"
    QString headlineName() const;        // "Apricot", "kelvin white"
    QString kindText() const;            // "gel, under a lamp of"
    std::optional<double> lampK() const; // of a gel
    std::optional<double> whiteK() const;
    std::optional<double> whiteDuv() const;
    void pick(const light::Asked& asked, int gesture = 0); // for the whole lineup
    void pick(const std::string& notation); // the same, as it is written; tells what is wrong
    void setLampK(double kelvin, int gesture);
    void setWhite(double kelvin, double duv, int gesture);

    Ask askedAs() const;
    // The same colour, asked for in another way, where that way can say it: white (its kelvin and
    // tint), chromaticity, hue and saturation, hex. Others wait for what is picked or typed.
    void askAs(Ask ask);
    // x and y, u' and v', or hue (degrees about the white, from u', counter-clockwise) and
    // saturation (percent of the reach of the type in focus).
    std::optional<std::pair<double, double>> askedNumbers() const;
    void setAskedNumbers(double a, double b, int gesture);
    QString hex() const;                            // of what is asked for as hex; empty else
    void pickUv(const colour::Uv& uv, int gesture); // on the map; asked for as it is chosen
    void takeLamp(int number);                      // as this lamp shows now
    // What every type of the lineup can show: the nearest colour to the wanted one, for all.
    void askCommonReach();
    // Through the colours that were tried since the program began.
    void stepTried(int by);
    const std::vector<light::Asked>& tried() const { return tried_; }

private:
    void remember(const light::Asked& asked, int gesture);
    std::optional<route::Disc> disc() const; // the focus's reach about the show's white
    const light::AskedGel* askedGel() const; // of the wish; null when it is none
    const light::AskedWhite* askedWhite() const;

    Document& document_;
    FocusModel& focus_;
    mutable std::optional<show::ColourWish> wish_now_; // what askedGel() points into
    bool as_hue_ = false; // a chromaticity is asked for as hue and saturation
    std::vector<light::Asked> tried_;
    std::size_t tried_at_ = 0;
    int tried_gesture_ = 0;
    bool stepping_ = false;
};

} // namespace zelo::desk
