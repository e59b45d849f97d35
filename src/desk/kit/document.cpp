// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/document.h"

namespace zelo::desk {

Document::Document(std::unique_ptr<host::Session> session)
    : session_(std::move(session)),
      stage_(std::make_shared<play::Stage>(
          play::Stage{session_->show(), session_->hand(), session_->controls(), {}})),
      colours_(Kelvin{session_->show()->white_cct_k}), white_cct_k_(session_->show()->white_cct_k) {
    session_->on_stage = [this](std::shared_ptr<const play::Stage> stage) {
        QMetaObject::invokeMethod(
            this,
            [this, stage = std::move(stage)] {
                stage_ = stage;
                emit stageComputed();
            },
            Qt::QueuedConnection);
    };
    if (auto* network = session_->network())
        network->onFound([this] {
            QMetaObject::invokeMethod(
                this, [this] { emit foundChanged(); }, Qt::QueuedConnection);
        });
    session_->on_change = [this] {
        if (show().white_cct_k != white_cct_k_) {
            white_cct_k_ = show().white_cct_k;
            if (!camera_k_)
                colours_ = LightColours(Kelvin{white_cct_k_});
        }
        emit showChanged();
    };
}

Document::~Document() {
    session_.reset(); // ends the workers while the signals they post to are still there
}

void Document::setCamera(std::optional<double> balance_k) {
    camera_k_ = balance_k;
    colours_ = LightColours(Kelvin{camera_k_.value_or(white_cct_k_)});
    emit seenByChanged();
}

void Document::setLineup(show::Lineup lineup) {
    session_->setLineup(std::move(lineup));
    emit lineupChanged();
}

Document::TypeKey Document::typeOf(show::FixtureId id) const {
    const show::Fixture* f = show().fixture(id);
    return f ? TypeKey{f->type, f->mode} : TypeKey{};
}

Document::TypeKey Document::focusType() const {
    TypeKey most;
    TypeKey last; // neighbours are mostly of one type: it is looked up once
    std::size_t parts = 0;
    for (const show::FixtureId id : lineup()) {
        const show::Fixture* f = show().fixture(id);
        if (f && f->type == last.type && f->mode == last.mode)
            continue;
        const TypeKey key = typeOf(id);
        if (key == chosen_focus_)
            return key;
        last = key;
        const auto mixer = session_->mixes().mixer(key.type, key.mode);
        std::size_t set = 0; // parts that the mode sets
        for (std::size_t i = 0; mixer && i < mixer->type().partCount(); ++i)
            set += mixer->mode().channelOf(i).has_value();
        if (set > parts || most.type.empty()) {
            parts = set;
            most = key;
        }
    }
    return most;
}

void Document::setFocusType(const TypeKey& key) {
    chosen_focus_ = key;
    emit focusTypeChanged();
}

void Document::tell(const QString& message) {
    emit told(message);
}

} // namespace zelo::desk
