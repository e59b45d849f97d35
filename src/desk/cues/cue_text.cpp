// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_text.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/words.h"
#include "show/limits.h"

#include <QCoreApplication>
#include <QRegularExpression>

#include <cmath>

namespace zelo::desk {

using show::Cue;
using show::FollowWhen;

namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(CueText)
};
QString done() {
    return Words::tr("done");
}

constexpr std::size_t kMostPasted = 20'000;

} // namespace

QString cueNumberText(show::CueNumber number) {
    return toQt(show::toText(number));
}

QString cueNumberText(const Cue& cue) {
    const QString number = cueNumberText(cue.number);
    return cue.versions.empty() ? number : number + toQt(cue.versionName());
}

QString dayTimeText(double seconds) {
    const int all = static_cast<int>(std::lround(seconds)) % 86'400;
    const QString time =
        QStringLiteral("%1:%2").arg(all / 3600).arg(all / 60 % 60, 2, 10, QLatin1Char('0'));
    return Words::tr("at %1").arg(
        all % 60 ? QStringLiteral("%1:%2").arg(time).arg(all % 60, 2, 10, QLatin1Char('0')) : time);
}

std::optional<double> dayTimeIn(const QString& text) {
    // As it is written here, or with the plain word.
    const QString word = Words::tr("at %1").arg(QString()).trimmed();
    static const QRegularExpression plain(QStringLiteral("^at(?=\\W|\\d)"),
                                          QRegularExpression::CaseInsensitiveOption);
    QString typed = text.trimmed();
    if (typed.startsWith(word, Qt::CaseInsensitive))
        typed = typed.mid(word.size());
    else if (typed.contains(plain))
        typed.remove(plain);
    else
        return std::nullopt;
    static const QRegularExpression clock(
        QStringLiteral("^\\s*(\\d{1,2}):(\\d{2})(?::(\\d{2}))?\\s*$"));
    const auto match = clock.match(typed);
    const int hours = match.captured(1).toInt(), minutes = match.captured(2).toInt();
    const int seconds = match.captured(3).toInt();
    if (!match.hasMatch() || hours > 23 || minutes > 59 || seconds > 59)
        return std::nullopt;
    return 3600.0 * hours + 60.0 * minutes + seconds;
}

QString timeText(double seconds) {
    if (seconds >= 60) {
        const auto whole = static_cast<long long>(std::floor(seconds / 60));
        const double rest = seconds - 60.0 * static_cast<double>(whole);
        const bool fine = std::abs(rest - std::round(rest)) > 0.005;
        return QStringLiteral("%1:%2%3")
            .arg(whole)
            .arg(rest < 9.995 ? QStringLiteral("0") : QString())
            .arg(numberText(rest, fine ? 2 : 0));
    }
    const bool tenths = std::abs(10 * seconds - std::round(10 * seconds)) < 0.05;
    const bool whole = seconds >= 9.995 && std::abs(seconds - std::round(seconds)) < 0.005;
    return seconds == 0 ? QStringLiteral("0") : numberText(seconds, whole ? 0 : tenths ? 1 : 2);
}

std::optional<double> timeIn(const QString& text) {
    const QStringList parts = text.trimmed().split(QLatin1Char(':'));
    if (parts.size() > 2)
        return std::nullopt;
    const auto seconds = numberIn(parts.back(), QStringLiteral("s"));
    double all = seconds.value_or(-1);
    if (parts.size() == 2) {
        bool fine = false;
        const int minutes = parts.front().trimmed().toInt(&fine);
        if (!fine || minutes < 0 || !seconds || *seconds >= 60)
            return std::nullopt;
        all += 60.0 * minutes;
    }
    if (!(all >= 0 && all <= show::kLongest_s))
        return std::nullopt;
    return all;
}

QString wayName(const std::optional<route::StopWay>& way) {
    return way ? wayKindName(way->kind) : QString();
}

QString cellText(const Cue& cue, CueCell cell,
                 const std::function<QString(show::RouteId)>& routes) {
    switch (cell) {
    case CueCell::Number:
        return cueNumberText(cue.number);
    case CueCell::Name:
        return toQt(cue.name);
    case CueCell::Up:
        return timeText(cue.up_s);
    case CueCell::Down:
        return timeText(cue.down_s);
    case CueCell::Delay:
        if (cue.up_delay_s == cue.down_delay_s)
            return cue.up_delay_s > 0 ? timeText(cue.up_delay_s) : QString();
        return QStringLiteral("%1/%2").arg(timeText(cue.up_delay_s), timeText(cue.down_delay_s));
    case CueCell::Colour: {
        if (!cue.colour_s && !cue.colour_delay_s)
            return {};
        const QString time = cue.colour_s ? timeText(*cue.colour_s) : QString();
        return cue.colour_delay_s ? QStringLiteral("%1+%2").arg(time, timeText(*cue.colour_delay_s))
                                  : time;
    }
    case CueCell::Follow:
        return cue.follow == FollowWhen::AfterStart  ? timeText(cue.follow_s)
               : cue.follow == FollowWhen::WhenDone  ? done()
               : cue.follow == FollowWhen::TimeOfDay ? dayTimeText(cue.follow_s)
                                                     : QString();
    case CueCell::Route:
        return cue.route ? routes(cue.route) : wayName(cue.way);
    default:
        return {};
    }
}

std::optional<CueChange> changeFrom(CueCell cell, const QString& text) {
    const QString typed = text.trimmed();
    const auto time = timeIn(typed);
    const auto two = [&](QLatin1Char between) -> std::optional<std::pair<double, double>> {
        const auto parts = typed.split(between);
        const auto a = parts.size() == 2 ? timeIn(parts[0]) : std::nullopt;
        const auto b = parts.size() == 2 ? timeIn(parts[1]) : std::nullopt;
        return a && b ? std::optional(std::pair(*a, *b)) : std::nullopt;
    };
    switch (cell) {
    case CueCell::Name:
        return [name = fromQt(typed)](Cue& cue) { cue.name = name; };
    case CueCell::Up:
        if (time)
            return [t = *time](Cue& cue) { cue.up_s = t; };
        return std::nullopt;
    case CueCell::Down:
        if (time)
            return [t = *time](Cue& cue) { cue.down_s = t; };
        return std::nullopt;
    case CueCell::Delay:
        if (const auto both = typed.isEmpty() ? std::pair(0.0, 0.0)
                              : time          ? std::pair(*time, *time)
                                              : two(QLatin1Char('/')))
            return [both = *both](Cue& cue) {
                cue.up_delay_s = both.first;
                cue.down_delay_s = both.second;
            };
        return std::nullopt;
    case CueCell::Colour: {
        std::optional<double> colour = time, delay;
        if (const auto both = two(QLatin1Char('+'))) {
            colour = both->first;
            delay = both->second;
        } else if (typed.startsWith(QLatin1Char('+')) && timeIn(typed.mid(1))) {
            colour.reset();
            delay = timeIn(typed.mid(1));
        } else if (!typed.isEmpty() && !time) {
            return std::nullopt;
        }
        return [colour, delay](Cue& cue) {
            cue.colour_s = colour;
            cue.colour_delay_s = delay;
        };
    }
    case CueCell::Follow:
        if (typed.isEmpty())
            return [](Cue& cue) {
                cue.follow = FollowWhen::No;
                cue.follow_s = 0;
            };
        if (const auto day = dayTimeIn(typed))
            return [t = *day](Cue& cue) {
                cue.follow = FollowWhen::TimeOfDay;
                cue.follow_s = t;
            };
        if (done().startsWith(typed, Qt::CaseInsensitive))
            return [](Cue& cue) {
                cue.follow = FollowWhen::WhenDone;
                cue.follow_s = 0;
            };
        if (time)
            return [t = *time](Cue& cue) {
                cue.follow = FollowWhen::AfterStart;
                cue.follow_s = t;
            };
        return std::nullopt;
    default:
        return std::nullopt;
    }
}

QString expectedIn(CueCell cell) {
    switch (cell) {
    case CueCell::Number:
        return Words::tr("a number such as 7 or 7.5");
    case CueCell::Delay:
        return Words::tr("a time, or two for up and down: 0.5/1");
    case CueCell::Colour:
        return Words::tr("a time, with a delay: 6+1, or nothing");
    case CueCell::Follow:
        return Words::tr("a time after its start, “%1”, a time of day such as “at 19:30”, or "
                         "nothing")
            .arg(done());
    default:
        return Words::tr("a time: 2.5, or 1:30");
    }
}

namespace {

constexpr CueCell kRow[] = {CueCell::Number, CueCell::Name,   CueCell::Up,    CueCell::Down,
                            CueCell::Delay,  CueCell::Colour, CueCell::Follow};

QString oneLine(QString text) {
    return text.replace(QLatin1Char('\t'), QLatin1Char(' '))
        .replace(QLatin1Char('\n'), QLatin1Char(' '));
}

} // namespace

QString rowText(const Cue& cue) {
    QStringList cells;
    for (const CueCell cell : kRow)
        cells << oneLine(cellText(cue, cell, [](show::RouteId) { return QString(); }));
    cells << oneLine(toQt(cue.note));
    return cells.join(QLatin1Char('\t'));
}

QString headerText() {
    return QStringList{Words::tr("cue"),    Words::tr("name"),  Words::tr("up"),
                       Words::tr("down"),   Words::tr("delay"), Words::tr("colour"),
                       Words::tr("follow"), Words::tr("note")}
        .join(QLatin1Char('\t'));
}

PastedCues cuesIn(const QString& text) {
    PastedCues all;
    bool first = true;
    for (const QString& line : text.split(QLatin1Char('\n'))) {
        const QString row = line.endsWith(QLatin1Char('\r')) ? line.chopped(1) : line;
        if (row.trimmed().isEmpty())
            continue;
        const QStringList cells = row.split(QLatin1Char('\t'));
        const bool heads = first && !cells[0].contains(QRegularExpression("[0-9]"));
        first = false;
        if (heads && !cells[0].trimmed().isEmpty())
            continue;
        PastedCue cue;
        bool fine = all.cues.size() < kMostPasted;
        if (const QString number = cells[0].trimmed(); !number.isEmpty()) {
            const auto read = show::parseCueNumber(
                fromQt(QString(number).replace(QLatin1Char(','), QLatin1Char('.'))));
            if (read)
                cue.number = *read;
            fine = fine && read.has_value();
        }
        for (int i = 1; fine && i < cells.size() && i < static_cast<int>(std::size(kRow)); ++i) {
            const bool may_be_empty = kRow[i] != CueCell::Up && kRow[i] != CueCell::Down;
            if (cells[i].trimmed().isEmpty() && !may_be_empty)
                continue; // as it was
            if (auto change = changeFrom(kRow[i], cells[i]))
                cue.changes.push_back(std::move(*change));
            else
                fine = false;
        }
        if (cells.size() > static_cast<int>(std::size(kRow)))
            cue.changes.push_back(
                [note = fromQt(cells[static_cast<int>(std::size(kRow))].trimmed())](Cue& c) {
                    c.note = note;
                });
        if (fine)
            all.cues.push_back(std::move(cue));
        else
            ++all.left_out;
    }
    return all;
}

} // namespace zelo::desk
