// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QDateTime>
#include <optional>
#include <vector>

namespace mivanta {

class Database;

/// A copy of a library, in the folder backups/ beside it.
struct Backup {
    enum class Kind {
        Daily,
        BeforeMigration, ///< by a newer version of the program
        SetAside,        ///< what was the library until another one was brought back
    };
    QString path;
    QDateTime at; ///< when it was made
    Kind kind = Kind::Daily;
    qint64 bytes = 0;
    friend bool operator==(const Backup&, const Backup&) = default;
};

/// What a library folder has, the newest first.
[[nodiscard]] std::vector<Backup> backupsOf(const QString& libraryFolder);

/// Which of them to remove: of the daily ones the newest stay for each of the last 7 days, each of the last 5
/// weeks and each of the last 12 months; of those before a migration the newest 3 stay; of those set aside
/// the newest 3 and every one of the last 30 days. The newest of a kind always stays.
[[nodiscard]] std::vector<Backup> outOfDate(const std::vector<Backup>& backups, const QDate& today);

/// Copies the whole library as it is into a new backup. Safe while others read and write.
[[nodiscard]] Result<Backup> backUp(Database& database, const QString& libraryFolder, Backup::Kind kind);

/// The first time a day: a backup, when the library is whole, and away with what is out of date. Nothing when
/// there is one of today.
[[nodiscard]] Result<std::optional<Backup>> backUpToday(Database& database, const QString& libraryFolder);

/// Puts a backup in the library's place, once it has been looked through; what was there is set aside and
/// listed with the backups. Fails, changing nothing, when the backup is damaged or anybody has the library
/// open.
[[nodiscard]] Result<void> bringBack(const Backup& backup, const QString& libraryFolder);

/// Brings to its end what a crash has interrupted; nothing when there is nothing. To be called before a
/// library is opened.
[[nodiscard]] Result<void> finishBringingBack(const QString& libraryFolder);

/// Looks through a database; fails with what is wrong. Takes a while on a large one.
[[nodiscard]] Result<void> checkIntegrity(Database& database);

} // namespace mivanta
