// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/words.h"

#include "mix/miss.h"

#include <QObject>

#include <algorithm>

namespace zelo::desk {

namespace {

QString wayName(mix::MissWay way) {
    switch (way) {
    case mix::MissWay::Paler:
        return QObject::tr("paler");
    case mix::MissWay::Deeper:
        return QObject::tr("deeper");
    case mix::MissWay::Redder:
        return QObject::tr("redder");
    case mix::MissWay::Greener:
        return QObject::tr("greener");
    case mix::MissWay::Bluer:
        return QObject::tr("bluer");
    case mix::MissWay::Yellower:
        return QObject::tr("yellower");
    case mix::MissWay::Pinker:
        return QObject::tr("pinker");
    case mix::MissWay::None:
        break;
    }
    return {};
}

} // namespace

QString missWords(double miss_uv, const colour::Uv& wanted, const colour::Uv& got,
                  const colour::Uv& white) {
    const QString way = wayName(mix::wayOf(wanted, got, white));
    switch (mix::gradeOf(miss_uv)) {
    case mix::MissGrade::Same:
        return QObject::tr("no difference to see");
    case mix::MissGrade::SideBySide:
        return QObject::tr("barely %1, seen only side by side").arg(way);
    case mix::MissGrade::Close:
        return QObject::tr("close, a little %1").arg(way);
    case mix::MissGrade::Visible:
        return QObject::tr("visibly %1").arg(way);
    case mix::MissGrade::Different:
        break;
    }
    return QObject::tr("another colour, %1").arg(way);
}

QString runsOf(std::vector<int> numbers) {
    std::sort(numbers.begin(), numbers.end());
    QStringList runs;
    for (std::size_t i = 0; i < numbers.size();) {
        std::size_t last = i;
        while (last + 1 < numbers.size() && numbers[last + 1] <= numbers[last] + 1)
            ++last;
        runs << (last > i ? QStringLiteral("%1–%2").arg(numbers[i]).arg(numbers[last])
                          : QString::number(numbers[i]));
        i = last + 1;
    }
    return runs.join(QStringLiteral(", "));
}

QString noLampsWords(const show::Show& show) {
    return show.fixtures.empty() ? QObject::tr("No lamps yet: add some in Rig (1).")
                                 : QObject::tr("No lamps in the lineup: choose some first (L).");
}

QStringList intentNames() {
    return {QObject::tr("Brightest"), QObject::tr("Truest"), QObject::tr("Kindest"),
            QObject::tr("Leanest"), QObject::tr("Filmed")};
}

QString wayKindName(route::Kind kind) {
    switch (kind) {
    case route::Kind::Levels:
        return QObject::tr("Levels");
    case route::Kind::Straight:
        return QObject::tr("Straight");
    case route::Kind::Around:
        return QObject::tr("Around");
    case route::Kind::Dark:
        return QObject::tr("Through dark");
    case route::Kind::Jump:
        break;
    }
    return QObject::tr("Jump");
}

QString gainName(mix::Gain gain) {
    switch (gain) {
    case mix::Gain::Ssi:
        return QObject::tr("SSI");
    case mix::Gain::Rf:
        return QObject::tr("R_f");
    case mix::Gain::Agreement:
        return QObject::tr("agreement");
    case mix::Gain::Watts:
        return QObject::tr("watts");
    case mix::Gain::CameraMiss:
        break;
    }
    return QObject::tr("camera miss");
}

QString observerName(colour::Observer observer) {
    switch (observer) {
    case colour::Observer::Cie1931_2:
        return QObject::tr("CIE 1931 2°");
    case colour::Observer::Cie1964_10:
        return QObject::tr("CIE 1964 10°");
    case colour::Observer::Cie2015_2:
        return QObject::tr("CIE 2015 2°");
    case colour::Observer::Cie2015_10:
        break;
    }
    return QObject::tr("CIE 2015 10°");
}

} // namespace zelo::desk
