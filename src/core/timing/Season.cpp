// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Season.h"
#include "core/base/Said.h"
#include <QLocale>
#include <QRegularExpression>
#include <QStringList>

namespace mivanta {

bool Season::isOn(QDate day) const {
    if (!day.isValid())
        return true;
    if ((from.isValid() && day < from) || (to.isValid() && day > to))
        return false;
    return weekdays == 0 || (weekdays & (1 << (day.dayOfWeek() - 1))) != 0;
}

QString seasonText(const Season& season) {
    const auto shortDay = [](QDate day) { return QLocale().toString(day, Said::tr("d MMM", "date format")); };
    QStringList parts;
    if (season.from.isValid() && season.to.isValid())
        parts << (season.from == season.to
                      ? Said::tr("on %1").arg(shortDay(season.from))
                      : Said::tr("%1 to %2").arg(shortDay(season.from), shortDay(season.to)));
    else if (season.from.isValid())
        parts << Said::tr("from %1").arg(shortDay(season.from));
    else if (season.to.isValid())
        parts << Said::tr("until %1").arg(shortDay(season.to));
    if (season.weekdays != 0 && season.weekdays != kAllWeekdays)
        for (int day = 1; day <= 7; ++day)
            if (season.weekdays & (1 << (day - 1)))
                parts << QLocale().dayName(day, QLocale::ShortFormat);
    return parts.join(QStringLiteral(", "));
}

DatedName datedName(const QString& name) {
    static const QRegularExpression dated(QStringLiteral("^(\\d{4})-(\\d{2})-(\\d{2})(?:[ _-]+|$)(.*)$"));
    const auto match = dated.match(name);
    const QDate day = match.hasMatch() ? QDate(match.captured(1).toInt(), match.captured(2).toInt(),
                                               match.captured(3).toInt())
                                       : QDate();
    if (!day.isValid())
        return {{}, name};
    const QString rest = match.captured(4).trimmed();
    return {day, rest.isEmpty() ? name : rest};
}

} // namespace mivanta
