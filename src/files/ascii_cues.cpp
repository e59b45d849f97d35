// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/ascii_cues.h"

#include "base/text.h"
#include "files/detail/csv.h"
#include "files/detail/plain_text.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace zelo::files {

namespace {

constexpr int kMostChannel = 100'000;
constexpr std::size_t kMostItems = 200'000; // levels in all
constexpr std::size_t kMostCues = 20'000;
constexpr std::size_t kLongestWritten = 78; // of the standard's 80, its end of line in them
constexpr double kMostSeconds = 1e6;

// Words apart by the delimiters of the standard.
std::vector<std::string_view> words(std::string_view line) {
    std::vector<std::string_view> all;
    constexpr std::string_view kApart = " \t,/;<>=@";
    while (true) {
        const auto from = line.find_first_not_of(kApart);
        if (from == std::string_view::npos)
            return all;
        const auto to = line.find_first_of(kApart, from);
        all.push_back(line.substr(from, to - from));
        if (to == std::string_view::npos)
            return all;
        line = line.substr(to);
    }
}

std::optional<double> levelOf(std::string_view word) { // "75", "FL", "HBF"
    if (lowered(word) == "fl")
        return 1;
    if (!word.empty() && (word[0] == 'H' || word[0] == 'h')) {
        if (word.size() < 2 || word.size() > 3)
            return std::nullopt;
        int value = 0;
        for (const char c : word.substr(1)) {
            const char* digits = "0123456789abcdef";
            const char small = static_cast<char>(c | 0x20);
            const char* at = std::find(digits, digits + 16, c >= '0' && c <= '9' ? c : small);
            if (at == digits + 16)
                return std::nullopt;
            value = 16 * value + static_cast<int>(at - digits);
        }
        return value / 255.0;
    }
    const auto percent = toNumber(word);
    return percent && *percent >= 0 && *percent <= 100 ? std::optional(*percent / 100)
                                                       : std::nullopt;
}

// "5", "1:30", "0:01:05"
std::optional<double> secondsOf(std::string_view word) {
    double seconds = 0;
    const auto parts = split(word, ':');
    constexpr std::size_t kMostParts = 3; // hours, minutes, seconds
    for (const auto part : parts) {
        const auto n = toNumber(part);
        if (!n || *n < 0 || parts.size() > kMostParts)
            return std::nullopt;
        seconds = 60 * seconds + *n;
    }
    return seconds <= kMostSeconds ? std::optional(seconds) : std::nullopt;
}

class CueReader {
public:
    Result<AsciiCues> read(std::string_view text) { // plain text
        bool began = false;
        for (const auto line : lines(text)) {
            ++line_;
            const auto plain = trimmed(line);
            if (plain.empty() || plain.front() == '!')
                continue;
            const auto all = words(plain);
            if (all.empty())
                continue;
            const std::string word = lowered(all[0]);
            if (word == "ident") {
                began = true;
                if (all.size() < 2 || !startsWith(all[1], "3"))
                    return fail(ErrorCode::Unsupported,
                                ZELO_TEXT("core", "line {}: '{}': only Ident 3:0 is read"), line_,
                                plain);
                continue;
            }
            if (!began)
                continue;
            if (word == "enddata")
                return std::move(cues_);
            if (auto ok = take(word, all, plain); !ok)
                return passOn(ok.error(), say(ZELO_TEXT("core", "line {}"), line_));
        }
        if (!began)
            return fail(ErrorCode::BadSyntax,
                        ZELO_TEXT("core", "no line 'Ident 3:0': not an ASCII cue file"));
        return std::move(cues_);
    }

private:
    enum class In { Nothing, Cue, Group };

    Done take(const std::string& word, const std::vector<std::string_view>& all,
              std::string_view plain) {
        const auto rest = [&] {
            return std::string(trimmed(plain.substr(std::min(plain.size(), word.size()))));
        };
        if (word == "manufacturer") {
            cues_.manufacturer = rest();
        } else if (word == "console") {
            cues_.console = rest();
        } else if (word == "patch") {
            in_ = In::Nothing;
            return takePatch(all);
        } else if (word == "cue" || word == "group") {
            if (all.size() < 2 || !toNumber(all[1]))
                return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "{} without a number"), word);
            in_ = word == "cue" ? In::Cue : In::Group;
            if (cues_.cues.size() + cues_.groups.size() >= kMostCues)
                return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} cues and groups"),
                            kMostCues);
            if (in_ == In::Cue)
                cues_.cues.push_back({std::string(all[1]), {}, {}, {}, {}, {}, {}});
            else
                cues_.groups.push_back({std::string(all[1]), {}, {}});
        } else if (word == "text" && in_ != In::Nothing) {
            (in_ == In::Cue ? cues_.cues.back().text : cues_.groups.back().text) = rest();
        } else if (word == "chan" && in_ != In::Nothing) {
            return takeLevels(all);
        } else if ((word == "up" || word == "down") && in_ == In::Cue) {
            return takeTimes(all, word == "up" ? cues_.cues.back().up : cues_.cues.back().down);
        } else if (word == "followon" && in_ == In::Cue) {
            const auto s = all.size() > 1 ? secondsOf(all[1]) : std::nullopt;
            if (!s)
                return fail(ErrorCode::BadValue, ZELO_TEXT("core", "Followon: expected seconds"));
            cues_.cues.back().follow_s = *s;
        } else if (word == "clear" || word == "set") {
            in_ = In::Nothing;
        } else {
            unread(word, all, plain);
        }
        return {};
    }

    // A primary keyword of another's own begins something else; what stands in a cue is kept.
    void unread(const std::string& word, const std::vector<std::string_view>& all,
                std::string_view plain) {
        constexpr std::size_t kMostUnread = 4'000; // bytes of a cue
        if (word == "sub" || (word.front() == '$' && word.substr(0, 2) != "$$"))
            in_ = In::Nothing;
        if (in_ == In::Cue && cues_.cues.back().unread.size() + plain.size() < kMostUnread)
            cues_.cues.back().unread += std::string(plain) + "\n";
        if (cues_.notes.size() < 100)
            cues_.notes.push_back(say(ZELO_TEXT("core", "line {}: {} is not read"), line_,
                                      oneReadableLine(std::string(all[0]))));
    }

    // Patch PAGE CHANNEL<DIMMER@LEVEL …
    Done takePatch(const std::vector<std::string_view>& all) {
        if (all.size() < 2 || !toInteger(all[1]))
            return fail(ErrorCode::BadSyntax,
                        ZELO_TEXT("core", "Patch: expected a page, then CHANNEL<DIMMER@LEVEL"));
        for (std::size_t i = 2; i < all.size(); i += 3) {
            const auto channel = channelOf(all[i]);
            const auto dimmer = i + 1 < all.size() ? channelOf(all[i + 1]) : std::nullopt;
            const auto level = i + 2 < all.size() ? levelOf(all[i + 2]) : std::nullopt;
            if (!channel || !dimmer || !level)
                return fail(
                    ErrorCode::BadValue,
                    ZELO_TEXT("core",
                              "Patch: expected CHANNEL<DIMMER@LEVEL, level 0..100 or H00..HFF"));
            cues_.patch.push_back({*channel, *dimmer, *level});
            if (++items_ > kMostItems)
                return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} levels"),
                            kMostItems);
        }
        return {};
    }

    Done takeLevels(const std::vector<std::string_view>& all) {
        auto& levels = in_ == In::Cue ? cues_.cues.back().levels : cues_.groups.back().levels;
        for (std::size_t i = 1; i < all.size(); i += 2) {
            const auto channel = channelOf(all[i]);
            const auto level = i + 1 < all.size() ? levelOf(all[i + 1]) : std::nullopt;
            if (!channel || !level)
                return fail(
                    ErrorCode::BadValue,
                    ZELO_TEXT("core", "Chan: expected CHANNEL@LEVEL, level 0..100 or H00..HFF"));
            levels.push_back({*channel, *level});
            if (++items_ > kMostItems)
                return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} levels"),
                            kMostItems);
        }
        return {};
    }

    static Done takeTimes(const std::vector<std::string_view>& all, std::optional<CueTimes>& into) {
        const auto time = all.size() > 1 ? secondsOf(all[1]) : std::nullopt;
        const auto delay = all.size() > 2 ? secondsOf(all[2]) : std::optional<double>(0);
        if (!time || !delay)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "{}: expected seconds or minutes:seconds"), all[0]);
        into = CueTimes{*time, *delay};
        return {};
    }

    static std::optional<int> channelOf(std::string_view word) {
        const auto n = toInteger(word);
        return n && *n >= 1 && *n <= kMostChannel ? n : std::nullopt;
    }

    AsciiCues cues_;
    In in_ = In::Nothing;
    int line_ = 0;
    std::size_t items_ = 0;
};

std::string hex(double level) {
    return fmt::format("H{:02X}", static_cast<int>(std::lround(std::clamp(level, 0.0, 1.0) * 255)));
}

std::string plainText(const std::string& text) { // one line of ASCII, as the standard has it
    std::string out = oneReadableLine(text);
    std::replace_if(
        out.begin(), out.end(), [](char c) { return static_cast<unsigned char>(c) > 0x7e; }, '?');
    return out;
}

// Words behind a keyword, which begins a new line whenever one would get too long.
class Line {
public:
    Line(std::string keyword, std::string& text) : keyword_(std::move(keyword)), text_(text) {}
    void add(const std::string& word) {
        if (length_ == 0 || length_ + 1 + word.size() > kLongestWritten) {
            text_ += (length_ ? "\n" : "") + keyword_;
            length_ = keyword_.size();
        }
        text_ += " " + word;
        length_ += 1 + word.size();
    }
    void end() { text_ += length_ ? "\n" : ""; }

private:
    std::string keyword_;
    std::string& text_;
    std::size_t length_ = 0;
};

// One line: what does not fit is cut off, since a text cannot go on in the next.
std::string oneLine(const std::string& keyword, const std::string& words) {
    std::string line = keyword + " " + plainText(words);
    if (line.size() > kLongestWritten)
        line.resize(kLongestWritten);
    return line + "\n";
}

// "90", "0.125": never with an exponent, which the standard does not have.
std::string seconds(double s) {
    std::string text = fmt::format("{:.3f}", std::clamp(s, 0.0, kMostSeconds));
    text.erase(text.find_last_not_of('0') + 1);
    if (text.back() == '.')
        text.pop_back();
    return text;
}

void writeLevels(const std::vector<ChannelLevel>& levels, std::string& text) {
    Line line("  Chan", text);
    for (const auto& l : levels)
        line.add(fmt::format("{}@{}", l.channel, hex(l.level)));
    line.end();
}

} // namespace

Result<AsciiCues> parseAsciiCues(std::string_view bytes) {
    const auto text = plainText(bytes);
    if (!text)
        return passOn(text.error());
    return CueReader().read(*text);
}

std::string asciiCuesText(const AsciiCues& cues) {
    std::string text = "Ident 3:0\n";
    text += oneLine("Manufacturer", cues.manufacturer.empty() ? "Zelochrome" : cues.manufacturer);
    text += oneLine("Console", cues.console.empty() ? "zelo" : cues.console) + "\n";
    if (!cues.patch.empty()) {
        Line line("Patch 1", text);
        for (const auto& p : cues.patch)
            line.add(fmt::format("{}<{}@{}", p.channel, p.dimmer, hex(p.level)));
        line.end();
        text += "\n";
    }
    for (const auto& c : cues.cues) {
        text += oneLine("Cue", c.number);
        if (!c.text.empty())
            text += oneLine("  Text", c.text);
        const auto times = [&](const char* word, const std::optional<CueTimes>& t) {
            if (t)
                text += fmt::format("  {} {}{}\n", word, seconds(t->time_s),
                                    t->delay_s > 0 ? " " + seconds(t->delay_s) : "");
        };
        times("Up", c.up);
        times("Down", c.down);
        if (c.follow_s)
            text += fmt::format("  Followon {}\n", seconds(*c.follow_s));
        writeLevels(c.levels, text);
        text += "\n";
    }
    for (const auto& g : cues.groups) {
        text += oneLine("Group", g.number);
        if (!g.text.empty())
            text += oneLine("  Text", g.text);
        writeLevels(g.levels, text);
        text += "\n";
    }
    return text + "ENDDATA\n";
}

std::string cueSheetCsv(const AsciiCues& cues) {
    std::set<int> channels;
    for (const auto& c : cues.cues)
        for (const auto& l : c.levels)
            channels.insert(l.channel);
    std::string text = "cue,text,up_s,up_delay_s,down_s,down_delay_s,follow_s";
    for (const int c : channels)
        text += fmt::format(",{}", c);
    text += "\n";
    for (const auto& c : cues.cues) {
        text += csvQuoted(c.number) + "," + csvQuoted(c.text);
        for (const auto& t : {c.up, c.down})
            text += t ? fmt::format(",{:.6g},{:.6g}", t->time_s, t->delay_s) : ",,";
        text += c.follow_s ? fmt::format(",{:.6g}", *c.follow_s) : ",";
        for (const int channel : channels) {
            const auto level =
                std::find_if(c.levels.begin(), c.levels.end(),
                             [&](const ChannelLevel& l) { return l.channel == channel; });
            text += level == c.levels.end() ? "," : fmt::format(",{:.1f}", 100 * level->level);
        }
        text += "\n";
    }
    return text;
}

} // namespace zelo::files
