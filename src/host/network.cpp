// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/network.h"

#include "wire/bytes.h"

namespace zelo::host {

Network::Network(wire::Cid cid, OutputPorts ports)
    : cid_(cid), ports_(ports), sink_(std::make_unique<Outputs>(cid, ports)),
      outputs_(sink_.get()) {
    output_troubles_ = outputs_->set(lines_, choice_);
    openFinder();
}

Network::~Network() = default;

std::unique_ptr<light::FrameSink> Network::takeSink() {
    return std::move(sink_);
}

void Network::follow(const std::vector<show::OutputLine>& lines) {
    if (lines == lines_)
        return;
    lines_ = lines;
    output_troubles_ = outputs_->set(lines_, choice_);
}

void Network::choose(const NetworkChoice& choice) {
    if (choice == choice_)
        return;
    choice_ = choice;
    output_troubles_ = outputs_->set(lines_, choice_);
    openFinder();
}

std::vector<Sentence> Network::troubles() const {
    auto all = output_troubles_;
    if (!finder_trouble_.empty())
        all.push_back(finder_trouble_);
    return all;
}

void Network::onFound(std::function<void()> told) {
    const std::lock_guard lock(told_mutex_);
    told_ = std::move(told);
}

void Network::openFinder() {
    finder_.reset(); // its port is free before the next one asks for it
    finder_trouble_.clear();
    wire::FinderSettings settings;
    settings.port = ports_.art_net;
    // Two of these programs on one network are two controllers.
    settings.own.serial = wire::get32(cid_, cid_.size() - 4);
    if (choice_.leavesComputer()) {
        settings.from = choice_.card;
        settings.to = choice_.card;
        for (const auto& card : networkCards())
            if (card.address == choice_.card)
                settings.to = card.broadcast;
    }
    auto opened = wire::Finder::open(settings, [this] {
        const std::lock_guard lock(told_mutex_);
        if (told_)
            told_();
    });
    if (opened)
        finder_ = std::move(*opened);
    else
        finder_trouble_ = opened.error().text();
}

} // namespace zelo::host
