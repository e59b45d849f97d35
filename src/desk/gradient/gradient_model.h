// SPDX-License-Identifier: GPL-3.0-or-later
// The gradient that the lineup shows, and everything that is done with it. There is one place for
// it: what the lamps are told to show, in hand or kept. Every edit lays it over the lineup anew.
#pragma once

#include "colour/polygon.h"
#include "desk/focus/focus_model.h"
#include "play/laid.h"

namespace zelo::desk {

class GradientModel : public QObject {
    Q_OBJECT
public:
    GradientModel(Document& document, FocusModel& focus, QObject* parent);

    // --- what there is; null, or empty, when the lineup shows none
    const show::LayingPtr& laying() const { return laying_; }
    const show::Gradient* gradient() const { return gradient_.get(); }
    const play::LaidOut& laid() const { return *laid_; } // over the lamps of the laying
    const play::Judged& judged() const { return judged_; }
    QString name() const; // of the kept one that it is, or was; empty: never kept
    bool changed() const; // since it was kept
    bool covers() const;  // the lineup is what it is laid over, in this order
    const play::LaidLamp* lamp(show::FixtureId id) const { return laid_->lamp(id); }
    // Between these two of the laying's lamps; NaN where there is none.
    double stepBetween(show::FixtureId a, show::FixtureId b) const;
    double missOf(show::FixtureId id) const;
    QString typeName(std::size_t type) const; // of laid().types
    QString stopName(std::size_t stop) const; // "Brine rose", "kelvin white of 3200"
    colour::Uv stopColour(std::size_t stop) const { return laid_->stops[stop]; }
    double stopAt(std::size_t stop) const { return laid_->at[stop]; }
    // Of the ideal gradient, evenly from 0 to 1.
    std::vector<colour::Uv> ribbon(int places) const;
    // As a desk that knows levels only would make it: the light of each lamp of the laying.
    // Worked out when it is first asked for.
    const std::vector<colour::Xyz>& plain() const;
    colour::Polygon reach() const; // that its ways go in, of the type in focus else
    std::vector<colour::Uv> wayOf(std::size_t way) const; // as a line on the map
    // What the two ways round are called: by the hue half way, counter-clockwise first.
    std::pair<QString, QString> sideNames(std::size_t way) const;
    bool goesCcw(std::size_t way) const; // the side it takes

    // --- which stop and which way is looked at
    std::size_t stop() const;
    std::size_t way() const; // from the chosen stop on; of the last one, to it
    void choose(std::size_t stop);
    // A stop of intensity instead; nothing when stops of colour are looked at.
    const std::optional<std::size_t>& intensityStop() const;
    void chooseIntensity(std::size_t stop);

    // --- beginning one
    void beginFromLineup(); // first and last lamp as they are now
    // A colour for the chosen stop. Without a gradient it is kept as the first end, and the next
    // one begins one. `palette`: it follows that. False when there is nothing for it here.
    bool takeColour(const light::Asked& asked, show::PaletteId palette);
    const std::optional<show::GradientStop>& firstEnd() const { return first_end_; }

    // --- edits; each tells what cannot be done
    using How = std::function<void(show::Gradient&)>;
    void edit(const QString& name, const How& change, int gesture = 0);
    void editWay(const QString& name, const std::function<void(route::StopWay&)>& change,
                 int gesture = 0);
    void addStop(double at, std::optional<light::Asked> asked = {}, show::PaletteId palette = {});
    void setStopColour(std::size_t stop, const light::Asked& asked, show::PaletteId palette,
                       int gesture = 0);
    void moveStop(std::size_t stop, double at, int gesture); // between its neighbours
    void freeStop(std::size_t stop);                         // evenly between them again
    void removeStop(std::size_t stop);
    void moveIntensity(std::size_t stop, double at, int gesture);
    void setIntensity(std::size_t stop, double intensity, int gesture);
    void addIntensity(double at);
    void removeIntensity(std::size_t stop);
    void pullIntoReach(); // all stops to where every lamp reaches them
    bool stopsOutside() const;
    void followOrder(); // the same lamps in another order are laid over anew
    void layOverLineup(const std::string& merge = {}); // in its order as it is now
    void takeItsLamps();                               // they become the lineup
    void keepChanged();                                // the kept one becomes what it is now
    void keepFixed();        // lamps keep their colours, and follow no gradient
    void showPlain(bool on); // on the lamps, while a key is held

signals:
    void modelChanged();

private:
    void rebuild();
    void follow(const show::Gradient& gradient); // the choice stays within it
    show::GradientStop stopOf(const light::Asked& asked, show::PaletteId palette) const;
    void begin(show::GradientStop first, show::GradientStop last);
    Document& document_;
    FocusModel& focus_;
    show::LayingPtr laying_;
    std::shared_ptr<const show::Gradient> gradient_;
    std::shared_ptr<const play::LaidOut> laid_;
    play::Judged judged_;
    mutable std::vector<colour::Xyz> plain_;
    std::size_t stop_ = 0;
    std::optional<std::size_t> intensity_stop_;
    std::optional<show::GradientStop> first_end_;
};

} // namespace zelo::desk
