// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDate>
#include <QString>
#include <optional>

namespace mivanta {

/// On which days something is shown. Without any of it: every day.
struct Season {
    QDate from;       ///< the first day; invalid = there is none
    QDate to;         ///< the last day; invalid = there is none
    int weekdays = 0; ///< a bit each, 1 = Monday, 2 = Tuesday, …, 64 = Sunday; 0 = all of them

    friend bool operator==(const Season&, const Season&) = default;
    [[nodiscard]] bool isAlways() const { return *this == Season(); }
    [[nodiscard]] bool isOn(QDate day) const;
};

inline constexpr int kAllWeekdays = 127;

/// "from 1 Oct", "until 4 Oct", "1 Oct to 4 Oct, Sat, Sun"; empty for every day.
[[nodiscard]] QString seasonText(const Season& season);

/// The day that a file's name begins with, as "2026-10-04 Harvest.png"; it is shown until then. The rest of
/// the name is what it is called.
struct DatedName {
    QDate day; ///< invalid = the name has none
    QString name;
};
[[nodiscard]] DatedName datedName(const QString& name);

} // namespace mivanta
