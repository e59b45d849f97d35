// SPDX-License-Identifier: GPL-3.0-or-later
// The cue list that is worked on: where it stands, what is done with it, and what is computed of it
// in the background. Every edit goes into the show, every press to the player.
#pragma once

#include "desk/kit/document.h"
#include "play/cue_pictures.h"
#include "play/show_check.h"
#include "show/cue_edits.h"

#include <QElapsedTimer>
#include <atomic>

namespace zelo::desk {

class CueModel : public QObject {
    Q_OBJECT
public:
    CueModel(Document& document, QObject* parent);
    ~CueModel() override;                  // nobody waits for the fade check
    void setSeen(bool seen, bool checked); // computes only while it, or its fade check, is seen

    // --- what there is
    Document& document() const { return document_; }
    show::CueListId listId() const { return list_; } // none: there is no list
    const show::CueList* list() const { return document_.show().cue_lists.find(list_); }
    const show::Cue* cue(show::CueNumber number) const;
    void setList(show::CueListId list);
    QString routeName(show::RouteId route) const;
    QString rippleWords(const show::Cue& cue) const; // "starts Procession"; empty: nothing
    // Where it stands, and what Next starts: in rehearsal of what the screen shows.
    std::optional<show::CueNumber> current() const;
    std::optional<show::CueNumber> next() const;
    bool rehearses() const { return !document_.onStage(); }
    const play::StageList* now() const { return document_.stage().list(list_); } // null: none
    // Of each cue, in their order; empty until it is computed. Lamps by their groups.
    struct Block {
        QString group;
        std::size_t first = 0, count = 0; // lamps of the pictures
    };
    const std::vector<Block>& blocks() const { return blocks_; }
    const std::vector<play::CueLamp>* picture(show::CueNumber number) const;
    // What the fade check has against the cue; null: nothing, or it was not looked at yet.
    std::vector<const play::Finding*> findings(show::CueNumber number) const;
    const std::vector<play::Finding>& allFindings() const { return findings_; }
    // Fades of this list, one for each cue: of its longest fault, with the lamps of all, and the
    // cures that help all of them.
    std::vector<play::Finding> faults() const;
    QString words(const play::Finding& finding) const; // in a sentence, with its lamps
    QString cureName(route::Cure cure) const;

    // --- play. False: refused, too soon after the one before.
    bool goOn();
    bool back();
    void hold(); // as setRate: of the stage, not in rehearsal
    void jump(show::CueNumber number);
    void setRate(double rate);
    void release();
    double guard_s() const { return guard_s_; } // between two presses of Next
    void readGuard();                           // as it is kept now
    void setGuard(double seconds);

    // --- edits; each tells what cannot be done, and is one step
    bool edit(const QString& name, const Result<show::ShowPtr>& next);
    bool change(const show::CueNumbers& numbers, const QString& name,
                const std::function<void(show::Cue&)>& change);
    void remove(const show::CueNumbers& numbers);
    // The first of them gets this number, the others follow in whole steps.
    bool renumber(const show::CueNumbers& numbers, show::CueNumber first);
    // Changes places with the cue before or after it; the number that it has then.
    std::optional<show::CueNumber> move(show::CueNumber number, int by);
    show::CueNumbers insert(std::optional<show::CueNumber> after, std::vector<show::Cue> cues);
    show::CueNumbers pasteRows(const QString& text, std::optional<show::CueNumber> after);
    void cure(const play::Finding& finding, route::Cure cure);
    // What a cue does with a ripple; nothing: it leaves it alone.
    void setRipple(const show::CueNumbers& numbers, show::RippleId ripple,
                   std::optional<show::RippleDoes> does);
    void playVersion(show::CueNumber number, const QString& name);
    void dropVersion(show::CueNumber number, const QString& name);
    void letGoHere(show::CueNumber number, show::Which what); // of the lineup
    void asIn(show::CueNumber number, show::CueNumber other); // likewise

signals:
    void cuesChanged();     // the list, what is computed of it
    void standingChanged(); // where it stands, what runs

private:
    void followShow();
    void compute();
    void check();
    void stopCheck();
    void show(std::optional<show::CueNumber> number); // in rehearsal
    Document& document_;
    show::CueListId list_;
    bool seen_ = false; // it, or what the fade check found
    bool late_ = true;
    std::optional<show::CueNumber> shown_; // in rehearsal
    std::shared_ptr<const play::Compiled> compiled_;
    std::vector<Block> blocks_;
    std::vector<std::vector<play::CueLamp>> pictures_;
    std::shared_ptr<const show::CueList> pictures_of_;
    std::vector<play::Finding> findings_;
    std::shared_ptr<std::atomic<bool>> stop_check_;
    QElapsedTimer pressed_;
    double guard_s_;
};

} // namespace zelo::desk
