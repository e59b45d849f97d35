// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/session.h"

#include "files/show_file.h"

#include <algorithm>

namespace zelo::host {

namespace {
show::ShowPtr emptyShow() {
    show::Show show;
    show.name = "Untitled";
    return std::make_shared<const show::Show>(std::move(show));
}
} // namespace

Session::Session(Library& library, std::unique_ptr<light::FrameSink> sink,
                 std::unique_ptr<Autosave> autosave)
    : library_(library), mixes_(library, library), history_(emptyShow(), show::emptyHand()),
      player_(sink ? std::make_unique<Player>(std::move(sink)) : nullptr),
      autosave_(std::move(autosave)),
      workers_(std::max(2u, std::thread::hardware_concurrency() - 1)) {}

Session::Session(std::unique_ptr<Network> network, Library& library,
                 std::unique_ptr<Autosave> autosave)
    : Session(library, network->takeSink(), std::move(autosave)) {
    network_ = std::move(network);
}

Session::~Session() = default;

Done Session::open(const std::filesystem::path& path) {
    auto opened = files::readShow(path);
    if (!opened)
        return passOn(opened.error()); // what was open stays
    start(opened->show, opened->hand);
    path_ = path;
    changed();
    return {};
}

void Session::start(show::ShowPtr show, show::HandPtr hand) {
    history_ = show::History(std::move(show), std::move(hand));
    path_.reset();
    lineup_.clear();
    changed();
}

Done Session::recover(const std::filesystem::path& unsaved,
                      const std::optional<std::filesystem::path>& path) {
    auto opened = files::readShow(unsaved);
    if (!opened)
        return passOn(opened.error());
    start(emptyShow(), show::emptyHand());
    path_ = path;
    if (autosave_)
        autosave_->adopt(unsaved);
    history_.push({"Recover unsaved work", opened->show, opened->hand});
    changed();
    return {};
}

void Session::letGo() {
    if (autosave_)
        autosave_->clear();
}

Done Session::save() {
    if (!path_)
        return fail(ErrorCode::NotFound, "the show has no file yet");
    return saveAs(*path_);
}

Done Session::saveAs(const std::filesystem::path& path) {
    if (auto written = files::writeShow(path, *show(), *hand()); !written)
        return written;
    path_ = path;
    history_.markKept();
    changed();
    return {};
}

Done Session::saveCopy(const std::filesystem::path& path) const {
    return files::writeShow(path, *show(), *hand());
}

Done Session::startFrom(const std::filesystem::path& path, std::string name) {
    auto opened = files::readShow(path);
    if (!opened)
        return passOn(opened.error());
    auto named = show::renameShow(opened->show, std::move(name));
    if (!named)
        return passOn(named.error());
    start(*named, show::emptyHand());
    return {};
}

void Session::edit(const std::string& name, const show::Both& next) {
    history_.push({name, next.show, next.hand}, {});
    changed();
}

Done Session::edit(const std::string& name, const Result<show::ShowPtr>& next,
                   const std::string& merge) {
    if (!next)
        return passOn(next.error());
    history_.push({name, *next, hand()}, merge);
    std::erase_if(lineup_, [&](show::FixtureId id) { return !show()->fixture(id); });
    changed();
    return {};
}

void Session::setHand(const std::string& name, show::HandPtr hand, const std::string& merge) {
    history_.push({name, show(), std::move(hand)}, merge);
    changed();
}

Done Session::keepHand() {
    auto next = show::keepHand(show(), *hand());
    if (!next)
        return passOn(next.error());
    history_.push({"Keep in the look", *next, show::emptyHand()});
    changed();
    return {};
}

void Session::putDown() {
    if (!hand()->empty())
        setHand("Put down", show::emptyHand());
}

void Session::undo() {
    history_.undo();
    changed();
}

void Session::redo() {
    history_.redo();
    changed();
}

void Session::goTo(std::size_t position) {
    history_.goTo(position);
    changed();
}

void Session::setLineup(show::Lineup lineup) {
    lineup_ = std::move(lineup);
    if (on_change)
        on_change();
}

void Session::setControls(const play::Controls& controls) {
    controls_ = controls;
    changed();
}

void Session::setOnStage(bool on) {
    on_stage_now_ = on;
    changed();
}

void Session::changed() {
    const auto& now = *show();
    if (!colours_of_ || now.palettes != colours_of_->palettes ||
        now.measured != colours_of_->measured) {
        library_.setShow(show());
        mixes_.forgetColours();
    } else if (now.types != colours_of_->types) {
        library_.setShow(show());
    }
    colours_of_ = show();
    if (network_)
        network_->follow(now.outputs);
    if (autosave_ && (kept() || !history_.canUndo()))
        autosave_->clear(); // nothing that is not on disk
    else if (autosave_)
        autosave_->put(show(), hand(), path_);
    workers_.post("stage", [this, show = show(), hand = hand(), controls = controls_,
                            out = on_stage_now_, wish = ++wish_] {
        auto stage =
            std::make_shared<const play::Stage>(play::computeStage(show, hand, controls, mixes_));
        const std::lock_guard lock(publish_);
        if (wish < published_)
            return;
        published_ = wish;
        if (player_ && out)
            player_->put(std::make_shared<const light::Frame>(play::frameOf(*stage)));
        if (on_stage)
            on_stage(std::move(stage));
    });
    if (on_change)
        on_change();
}

} // namespace zelo::host
