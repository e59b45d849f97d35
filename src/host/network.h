// SPDX-License-Identifier: GPL-3.0-or-later
// The program's place on the network: where frames go, which network card may be used, and what
// answers there. All calls come from the interface's thread.
#pragma once

#include "host/outputs.h"
#include "wire/net/finder.h"

#include <functional>

namespace zelo::host {

class Network {
public:
    Network(wire::Cid cid, OutputPorts ports);
    ~Network();

    std::unique_ptr<light::FrameSink> takeSink(); // for the player; once
    const Outputs& outputs() const { return *outputs_; }

    // Takes the show's output lines; nothing happens when they are what they were.
    void follow(const std::vector<show::OutputLine>& lines);
    void choose(const NetworkChoice& choice);
    const NetworkChoice& choice() const { return choice_; }
    // What does not go out, and why; and why nothing can be found.
    std::vector<Sentence> troubles() const;

    wire::Finder* finder() { return finder_.get(); } // null when its port could not be opened
    int receivers() const { return finder_ ? finder_->nodes() : 0; }
    // Called on another thread whenever the finder has something new.
    void onFound(std::function<void()> told);

private:
    void openFinder();
    wire::Cid cid_;
    OutputPorts ports_;
    std::unique_ptr<Outputs> sink_;
    Outputs* outputs_; // the player owns it once it was taken: it lives as long as the session
    NetworkChoice choice_;
    std::vector<show::OutputLine> lines_;
    std::vector<Sentence> output_troubles_;
    std::string finder_trouble_;
    std::mutex told_mutex_;
    std::function<void()> told_;
    std::unique_ptr<wire::Finder> finder_; // last: its thread calls told_
};

} // namespace zelo::host
