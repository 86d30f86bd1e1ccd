// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Database.h"
#include "store/LibraryPart.h"
#include <QStringList>
#include <vector>

namespace mivanta {

/// The statements that bring a library from version n-1 to n, where n is its place in the list, from 1.
using Migration = QStringList;

/// Every migration of the library, oldest first. Released ones are never changed.
[[nodiscard]] const std::vector<Migration>& libraryMigrations();

/// Brings the database to the last version, each step in a transaction of its own. Before the first step on
/// a library that holds something, a copy is put beside its backups. Fails, changing nothing, when the
/// database is newer than the list.
[[nodiscard]] Result<void> migrate(Database& database, const std::vector<Migration>& migrations,
                                   const QString& libraryFolder);

/// What of the library a table holds; nothing for one that only the library itself reads.
[[nodiscard]] std::optional<LibraryPart> partOfTable(const QString& table);

} // namespace mivanta
