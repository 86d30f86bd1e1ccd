// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringList>
#include <vector>

namespace mivanta {

/// A row of a table (RFC 4180).
struct CsvRow {
    QStringList cells;
    int line = 0; ///< in the file, from 1
};

/// The rows of a table; empty ones are left out.
[[nodiscard]] std::vector<CsvRow> csvRows(const QString& text, QChar separator);
/// The separator that the first line uses most: a comma, a semicolon or a tab.
[[nodiscard]] QChar csvSeparator(const QString& text);
/// A row as it is written, with quotes where they are needed and the end of its line.
[[nodiscard]] QString csvRow(const QStringList& cells);

} // namespace mivanta
