// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include "core/base/Result.h"
#include <QDateTime>
#include <QHash>
#include <vector>

namespace mivanta {

class Database;

/// Something that was put on screen.
struct TakeNote {
    ServiceId service;
    QString serviceTitle;
    QDateTime at;
    ItemId item;
    QString subject; ///< what it was, the same in every service: subjectOf(Item)
    QString title;   ///< the name that it has, or its kind's key
    QString part;    ///< its key, such as "Verse 2"; may be empty
    friend bool operator==(const TakeNote&, const TakeNote&) = default;
};

/// How long an item was on screen, until another one was taken.
struct ItemTime {
    QString subject;
    QDateTime began;
    int seconds = 0;
};

/// What was on screen when, in every service that was run with this library. Synchronous; used on the thread
/// that opened the database.
class TakeHistory {
public:
    explicit TakeHistory(Database& database) : m_database(database) {}

    [[nodiscard]] Result<void> note(const TakeNote& take);
    [[nodiscard]] Result<void> note(const ItemTime& time);
    /// From a day on, the first one first.
    [[nodiscard]] Result<std::vector<TakeNote>> since(const QDate& day);
    /// The lengths of each subject in its last services, at most `most` of them, seconds.
    [[nodiscard]] Result<QHash<QString, std::vector<int>>> lengths(int most = 9);

private:
    Database& m_database;
};

/// As a table: service, date, time, title, part, and how long it was on screen (seconds; empty for the last
/// of a service). CSV by RFC 4180.
[[nodiscard]] QByteArray takesToCsv(const std::vector<TakeNote>& takes);

} // namespace mivanta
