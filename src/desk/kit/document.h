// SPDX-License-Identifier: GPL-3.0-or-later
// The session as Qt objects see it: signals on the interface thread, work in the background.
// All panels share one Document; it outlives them.
#pragma once

#include "desk/kit/light_colours.h"
#include "host/session.h"

#include <QObject>
#include <QPointer>
#include <memory>

namespace zelo::desk {

class Document : public QObject {
    Q_OBJECT
public:
    explicit Document(std::unique_ptr<host::Session> session);
    ~Document() override;

    host::Session& session() { return *session_; }
    const show::Show& show() const { return *session_->show(); }
    const show::Lineup& lineup() const { return session_->lineup(); }
    // What every fixture shows, as last computed; never null.
    const play::Stage& stage() const { return *stage_; }
    std::shared_ptr<const play::Stage> stagePtr() const { return stage_; }
    const LightColours& colours() const { return colours_; }

    // Colours as a camera balanced to this shows them; nothing: as the eye does, adapted to the
    // show's white.
    void setCamera(std::optional<double> balance_k);
    const std::optional<double>& camera() const { return camera_k_; }

    void setLineup(show::Lineup lineup);
    // The fixture type of the lineup that Mix and Readings are about: its fixtures' type and mode.
    struct TypeKey {
        std::string type;
        std::string mode;
        friend bool operator==(const TypeKey&, const TypeKey&) = default;
    };
    TypeKey focusType() const; // chosen, else the lineup's type with most emitters
    void setFocusType(const TypeKey& key);
    TypeKey typeOf(show::FixtureId id) const;

    // Runs `compute` on a worker and hands its result to `take` on this thread, unless `owner` is
    // gone by then or a newer job with this key was asked for.
    template <class Compute, class Take>
    void later(const char* key, QObject* owner, Compute compute, Take take) {
        const auto wish = ++wishes_[key];
        session_->workers().post(key, [this, key = std::string(key), wish,
                                       owner = QPointer<QObject>(owner),
                                       compute = std::move(compute), take = std::move(take)] {
            auto result = compute();
            QMetaObject::invokeMethod(
                this,
                [this, key, wish, owner, take, result = std::move(result)] {
                    if (owner && wishes_[key] == wish)
                        take(result);
                },
                Qt::QueuedConnection);
        });
    }

    // What was asked for under this key is not wanted any more.
    void forget(const char* key) { ++wishes_[key]; }

    void tell(const QString& message); // one line for people, shown for a while

signals:
    void showChanged();   // the document, the hand or the controls
    void stageComputed(); // stage() is new
    void lineupChanged();
    void focusTypeChanged();
    void told(const QString& message);
    void seenByChanged(); // eye or camera: colours() are others
    void foundChanged();  // the finder has something new

private:
    std::unique_ptr<host::Session> session_;
    std::shared_ptr<const play::Stage> stage_;
    LightColours colours_;
    double white_cct_k_;
    std::optional<double> camera_k_;
    TypeKey chosen_focus_;
    std::map<std::string, std::uint64_t> wishes_;
};

} // namespace zelo::desk
