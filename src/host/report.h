// SPDX-License-Identifier: GPL-3.0-or-later
// A report for whoever is asked for help: the log, the version, facts of the system and, if wished,
// the show, packed in one ZIP file.
#pragma once

#include "show/show.h"

#include <filesystem>

namespace zelo::host {

struct ReportWish {
    std::string version;              // of the program
    std::vector<std::string> facts;   // more lines: screens, interface library
    std::filesystem::path log_folder; // empty: no log
    std::optional<show::State> show;  // without it nothing of the work is in the report
};

// Bytes of the ZIP: report.txt, log files, show.zelo.
Result<std::string> reportBytes(const ReportWish& wish);

} // namespace zelo::host
