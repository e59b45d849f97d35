// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/recovery_file.h"

#include "files/detail/colour_parts.h"
#include "files/detail/json_object.h"
#include "files/detail/show_parts.h"
#include "show/limits.h"

namespace zelo::files {

namespace {
constexpr const char* kMark = "zelochrome-unsaved";
}

Result<std::string> recoveryText(const RecoveryHead& head, const show::State& state) {
    auto text = showText(*state.show, *state.hand);
    if (!text)
        return text;
    Json j;
    j["format"] = kMark;
    j["of"] = head.of;
    j["name"] = head.name;
    j["at_s"] = head.at_s;
    j["lineup"] = Json::array();
    for (const show::FixtureId id : head.lineup)
        j["lineup"].push_back(id.value);
    return jsonText(j) + "\n" + *text;
}

Result<RecoveryHead> parseRecoveryHead(std::string_view text) {
    const auto json = boundedJson(text.substr(0, text.find('\n')));
    if (!json)
        return passOn(json.error());
    JsonObject o(*json, {});
    if (o.text("format") != kMark)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "not unsaved work of Zelochrome"));
    RecoveryHead head;
    head.of = o.text("of");
    head.name = o.text("name");
    head.at_s = static_cast<std::int64_t>(o.number("at_s", 0, 0, 1e12));
    o.each("lineup", show::kMostFixtures, [&](const Json& j, const JsonPath&) {
        if (j.is_number_integer() && j > 0 && j <= show::kLastId)
            head.lineup.push_back({j.get<int>()});
    });
    if (o.error())
        return passOn(*o.error());
    return head;
}

Result<std::pair<RecoveryHead, OpenedShow>> parseRecovery(std::string_view text) {
    auto head = parseRecoveryHead(text);
    auto opened = parseShow(head ? text.substr(text.find('\n') + 1) : text);
    if (!opened)
        return passOn(opened.error());
    if (!head) {
        head = RecoveryHead{};
        head->name = opened->show->name;
    }
    std::erase_if(head->lineup, [&](show::FixtureId id) { return !opened->show->fixture(id); });
    return std::pair(std::move(*head), std::move(*opened));
}

} // namespace zelo::files
