// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QDateTime>
#include <QJsonObject>
#include <optional>
#include <vector>

namespace mivanta {

class Database;

/// An earlier version of a record.
struct RecordVersion {
    int revision = 0;
    QDateTime changedAt; ///< when it became what it is there; UTC
};

enum class RecordWrite { New, Over /**< an older one, which stays among the versions */ };

/// What songs, texts and themes have in common in the library: a row each with its content as JSON, a
/// revision that every save raises, the versions before, and a bin. Synchronous; used on the thread that
/// opened the database.
class RecordTable {
public:
    struct Names {
        QString table;    ///< with id, revision, changed_at, content, deleted_at
        QString versions; ///< with revision, changed_at, content
        QString owner;    ///< its column for the record's id
    };
    RecordTable(Database& database, const Names& names);

    /// Of one in the bin, too; nothing when it is gone for good, or never was.
    [[nodiscard]] Result<std::optional<QJsonObject>> content(const QString& id);
    [[nodiscard]] Result<int> revision(const QString& id); ///< 0 = not there
    /// The newest first.
    [[nodiscard]] Result<std::vector<RecordVersion>> versions(const QString& id);
    [[nodiscard]] Result<std::optional<QJsonObject>> version(const QString& id, int revision);

    /// What comes first when a record is saved, in the same transaction. Fails when the stored one is not of
    /// this revision any more (0 = it is new here).
    [[nodiscard]] Result<RecordWrite> mayWrite(const QString& id, int revision, const QString& title);
    /// Keeps the record as it is now among its versions: before it is written over.
    [[nodiscard]] Result<void> keepVersion(const QString& id);

    [[nodiscard]] Result<void> putInBin(const QString& id);
    [[nodiscard]] Result<void> takeFromBin(const QString& id);
    /// How many are gone for good, with their versions.
    [[nodiscard]] Result<int> emptyBin();

private:
    [[nodiscard]] Result<std::optional<QJsonObject>> oneContent(const QString& sql,
                                                                const QVariantList& values);
    /// With the names of the tables in it: %1 the table, %2 the versions, %3 the owner.
    [[nodiscard]] QString sql(const char* text) const;

    Database& m_database;
    Names m_names;
};

} // namespace mivanta
