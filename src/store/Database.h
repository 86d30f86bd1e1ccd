// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QHash>
#include <QSet>
#include <QVariantList>
#include <QtSql/QSqlDatabase>
#include <QtSql/QSqlQuery>
#include <functional>
#include <memory>
#include <optional>
#include <vector>

namespace mivanta {

/// A row of a select, while it is being read.
class Row {
public:
    explicit Row(const QSqlQuery& query) : m_query(query) {}
    [[nodiscard]] QString text(int column) const { return m_query.value(column).toString(); }
    [[nodiscard]] qint64 number(int column) const { return m_query.value(column).toLongLong(); }
    [[nodiscard]] double real(int column) const { return m_query.value(column).toDouble(); }
    [[nodiscard]] bool isNull(int column) const { return m_query.isNull(column); }
    [[nodiscard]] QByteArray bytes(int column) const { return m_query.value(column).toByteArray(); }

private:
    const QSqlQuery& m_query;
};

/// One connection to an SQLite file: prepared and bound statements, errors with their statement logged.
/// Used on the thread that opened it.
class Database {
public:
    /// Opens or creates the file: WAL, foreign keys on, synchronous FULL: what
    /// was changed is on the disk. Fails when it is no database.
    [[nodiscard]] static Result<std::unique_ptr<Database>> open(const QString& path);
    ~Database();
    Database(const Database&) = delete;
    Database& operator=(const Database&) = delete;

    /// Gives every row to `use`, until it says false. A row that cannot be read is an error, never the end.
    /// `use` may select, and must not change what is being read.
    [[nodiscard]] Result<void> read(const QString& sql, const QVariantList& values,
                                    const std::function<bool(const Row&)>& use);
    /// What `make` makes of every row.
    template <typename Make>
    [[nodiscard]] auto all(const QString& sql, const QVariantList& values, Make make)
        -> Result<std::vector<std::invoke_result_t<Make, const Row&>>>;
    /// What `make` makes of the first row; nothing when there is none.
    template <typename Make>
    [[nodiscard]] auto first(const QString& sql, const QVariantList& values, Make make)
        -> Result<std::optional<std::invoke_result_t<Make, const Row&>>>;
    [[nodiscard]] Result<void> change(const QString& sql, const QVariantList& values = {});
    /// The tables that were changed here since this was asked last; also those whose change was rolled back.
    [[nodiscard]] QSet<QString> takeChangedTables();
    /// Runs the work in one transaction; any failure rolls all of it back. Inside another one, only its own
    /// work is rolled back.
    [[nodiscard]] Result<void> transaction(const std::function<Result<void>()>& work);
    /// Inside a transaction: SQLite has rolled all of it back by itself (a full disk does that).
    [[nodiscard]] bool hasLostTransaction() const { return m_lost; }
    /// The last statement that failed did so because somebody else has the file open.
    [[nodiscard]] bool lastWasBusy() const;
    [[nodiscard]] const QString& path() const { return m_path; }

private:
    Database(QString path, QString connection);
    [[nodiscard]] Result<std::shared_ptr<QSqlQuery>> prepared(const QString& sql, const QVariantList& values);
    [[nodiscard]] Error errorOf(const QSqlError& error, const QString& sql) const;

    QString m_path;
    QString m_connection;
    QSqlDatabase m_db;
    QHash<QString, std::shared_ptr<QSqlQuery>> m_prepared;
    QSet<QString> m_changedTables;
    int m_depth = 0; ///< transactions inside one another
    bool m_lost = false;
    mutable int m_lastCode = 0; ///< SQLite's, of the last failure
};

template <typename Make>
auto Database::all(const QString& sql, const QVariantList& values, Make make)
    -> Result<std::vector<std::invoke_result_t<Make, const Row&>>> {
    std::vector<std::invoke_result_t<Make, const Row&>> made;
    return read(sql, values,
                [&](const Row& row) {
                    made.push_back(make(row));
                    return true;
                })
        .map([&] { return std::move(made); });
}

template <typename Make>
auto Database::first(const QString& sql, const QVariantList& values, Make make)
    -> Result<std::optional<std::invoke_result_t<Make, const Row&>>> {
    std::optional<std::invoke_result_t<Make, const Row&>> made;
    return read(sql, values,
                [&](const Row& row) {
                    made.emplace(make(row));
                    return false;
                })
        .map([&] { return std::move(made); });
}

} // namespace mivanta
