// SPDX-License-Identifier: GPL-3.0-or-later
// Starting the program: what the command line asks for.
#pragma once

#include <string>
#include <vector>

namespace zelo::desk {

struct StartWish {
    std::string show;       // one to open; a rig (MVR) or a fixture type (GDTF) begins a new one
    bool demo = false;      // a copy of the demo show
    bool rehearsal = false; // fixtures hold until On stage is chosen
    bool rig = false;       // start a practice rig beside it
    std::string view;       // empty: Match, and Rig after a rig or a type
    std::vector<std::string> lineup;   // names of groups
    std::string pick;                  // a colour for the lineup
    double moment = 0;                 // of the crossfade or ripple, share of its time
    std::string cue;                   // the first list goes to it, halfway, and holds there
    std::string theme;                 // "booth", "desk"; empty: as people set it
    std::string log_level = "info";    // debug, info, warning or error
    std::vector<std::string> commands; // run before the picture, by the beginnings of their texts
    std::string shot;                  // draw the window to this PNG once all is computed, and exit
    std::string language; // "en", "de"; empty: as people chose, or as the desktop speaks
    int width = 0;        // of the window; 0: as it was last
    int height = 0;
    int size = 0; // of everything, in percent; 0: as people set it
    int port = 5568;
    int art_port = 6454;
    int meter_port = 6460;
    std::string side; // what stands on the right of Rig: find (and searches), types, output, check
};

// Runs the program to its end; its exit code.
int start(const StartWish& wish);

} // namespace zelo::desk
