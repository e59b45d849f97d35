// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/csv.h"

namespace zelo {

std::string csvCell(const std::string& text) {
    if (text.find_first_of(",\"\r\n") == std::string::npos)
        return text;
    std::string quoted = "\"";
    for (const char sign : text)
        quoted += sign == '"' ? std::string("\"\"") : std::string(1, sign);
    return quoted + '"';
}

} // namespace zelo
