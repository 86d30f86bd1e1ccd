// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "desk/kit/Shortened.h"
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

/// As a field of a form shows a day, and dayFrom() reads it; empty for none.
[[nodiscard]] inline QString dayText(QDate day) {
    return day.isValid() ? QLocale().toString(day, Said::tr("d MMM yyyy", "date format")) : QString();
}

/// What is said of words in such a field that are no day.
[[nodiscard]] inline QString noDayText(const QString& typed) {
    return Said::tr("\u201c%1\u201d is no day; write it like 4 Oct or 2026-10-04.").arg(shortened(typed));
}

} // namespace mivanta
