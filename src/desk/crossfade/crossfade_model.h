// SPDX-License-Identifier: GPL-3.0-or-later
// The crossfade that is worked on, and everything that is done with it. What it looks like is
// computed in the background from the show and the lineup; every edit goes into the show.
#pragma once

#include "desk/focus/focus_model.h"
#include "play/crossfade.h"

namespace zelo::desk {

class CrossfadeModel : public QObject {
    Q_OBJECT
public:
    CrossfadeModel(Document& document, FocusModel& focus, QObject* parent);
    void setSeen(bool seen); // computes only while it is; leaving it lets go of the lamps

    // --- what there is
    const show::Crossfade& fade() const { return *fade_; } // a fresh one when the show has none
    const route::StopWay& way() const { return way_; }     // as needed: the one that it takes
    bool asNeeded() const { return !fade_->way; }
    // Null until there are two ends and lamps to fade: trouble() says why.
    const play::CrossfadePicture* picture() const { return picture_.get(); }
    QString trouble() const;
    const std::vector<play::ComparedWay>& compared() const { return compared_; }
    QString typeName() const; // in focus
    // What an end is called, and what it is in a smaller line: "104 Signal red", "gel".
    QString endName(bool to) const;
    QString endAbout(bool to) const;
    std::optional<colour::Uv> endUv(bool to) const;
    QString kindName(const std::optional<route::StopWay>& way, const char* by) const;
    QString hueName(const colour::Uv& uv) const; // about the white; "white" near it
    bool goesCcw() const;                        // the side that Around takes
    // What the two sides are called; left and right where hues do not tell them apart.
    std::pair<QString, QString> sideNames() const;

    // --- which end is chosen: colours of the swatch book go there
    bool chosenTo() const { return chosen_to_; }
    void choose(bool to);
    bool takeColour(const light::Asked& asked, show::PaletteId palette);
    void setEnd(bool to, const light::Asked& asked, show::PaletteId palette);
    void setEnd(bool to, const QString& name, show::FadeEnd end);
    void takeLamps(bool to); // as they are
    void turnRound();

    // --- edits; each tells what cannot be done
    void edit(const QString& name, const std::function<void(show::Crossfade&)>& change,
              int gesture = 0);
    // Of the way: what was as needed becomes the way that it takes.
    void editWay(const QString& name, const std::function<void(route::StopWay&)>& change,
                 int gesture = 0);
    void takeWay(const std::optional<route::StopWay>& way);
    void setWhite(double cct_k, int gesture);
    void setDarkFirst(bool on);
    void apply(route::Cure cure);
    void keepRoute(const QString& name);
    void takeRoute(show::RouteId id);
    bool betweenPalettes() const; // both ends are palettes
    void useBetween(show::RouteId id);
    // A moment's way for the show's other routes: points relative to the ends.
    route::StopWay loosened() const;

    // --- the moment that is looked at, share of the time
    double moment() const { return moment_; }
    void setMoment(double share); // the lineup shows it
    enum class Shows { Planned, Would, Halves };
    Shows shows() const { return shows_; }
    void setShows(Shows shows);
    bool onLamps() const { return on_lamps_; } // else the screen alone shows it
    void setOnLamps(bool on);
    // The lamps show the crossfade, not what they do; until something is done by hand.
    bool looking() const { return looking_ && document_.looking(); }
    void letGo();                             // they show what they do again
    show::HandPtr handAt(double share) const; // of the lineup, over what is in hand
    // From the start to the end on the lamps, played by the engine.
    void fadeOnLamps(double time_s);
    void follow(double share); // the line goes along; the screen alone shows the moment

    Document& document() const { return document_; }

signals:
    void modelChanged();  // the picture, an edit, the choice
    void momentChanged(); // the moment alone

private:
    void rebuild();
    void compare();
    void show();
    QString lookWords() const;
    std::shared_ptr<const play::LampWays> ways() const; // on which each lamp fades
    Document& document_;
    FocusModel& focus_;
    std::shared_ptr<const show::Crossfade> fade_;
    route::StopWay way_;
    std::shared_ptr<const play::CrossfadePicture> picture_;
    QString trouble_;
    std::vector<play::ComparedWay> compared_;
    bool seen_ = false;
    bool late_ = true; // something changed while it was not seen
    bool chosen_to_ = false;
    double moment_ = 0;
    bool looking_ = false;
    bool fades_ = false; // on the lamps, by the engine
    bool on_lamps_ = false;
    Shows shows_ = Shows::Planned;
};

} // namespace zelo::desk
