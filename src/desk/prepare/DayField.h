// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDate>
#include <QLocale>
#include <QString>
#include <optional>

namespace mivanta {

/// "4.10.", "4 Oct", "4/10", "2026-10-04": of the year that is next to today where none is said.
[[nodiscard]] inline std::optional<QDate> dayFrom(const QString& text, QDate today) {
    const QString typed = text.trimmed();
    if (const QDate day = QDate::fromString(typed, Qt::ISODate); day.isValid())
        return day;
    for (const char* const name : {"d.M.yyyy", "d MMM yyyy", "d/M/yyyy"}) { // for machines
        const QString format = QLatin1String(name);
        if (const QDate day = QLocale().toDate(typed, format); day.isValid())
            return day;
        const QChar sign = format[1];
        const QString whole = (typed.endsWith(sign) ? typed : typed + sign) + QString::number(today.year());
        if (const QDate day = QLocale().toDate(whole, format); day.isValid())
            return day < today.addMonths(-6) ? day.addYears(1) : day;
    }
    return std::nullopt;
}

} // namespace mivanta
