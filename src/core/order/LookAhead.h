// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <QDate>

namespace mivanta {

/// A song of the order that was sung not long before.
struct SungLately {
    QString title;
    int days = 0; ///< before this service
    friend bool operator==(const SungLately&, const SungLately&) = default;
};

/// What is good to know about the songs of an order while it is made. Each song once, in the order in which
/// they come; what is left out today is not among them.
struct LookAhead {
    QStringList withoutLicence; ///< titles of songs without a licence number
    QStringList withoutCredit;  ///< of songs without author and copyright
    std::vector<SungLately> sungLately;

    /// In a few words each, such as "2 songs without licence number"; empty when there is nothing to say.
    [[nodiscard]] QStringList facts() const;
    /// The same with the titles, a line each.
    [[nodiscard]] QString details() const;
};

/// How many days back still is lately.
inline constexpr int kLately = 28;

/// `lastSung`: when each song was sung last, in other services; `on`: the day of this one.
[[nodiscard]] LookAhead lookAheadOf(const Service& service, const QHash<SongId, QDate>& lastSung, QDate on);

} // namespace mivanta
