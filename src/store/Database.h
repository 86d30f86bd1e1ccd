// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QHash>
#include <QVariantList>
#include <QtSql/QSqlDatabase>
#include <QtSql/QSqlQuery>
#include <functional>
#include <memory>

namespace mivanta {

/// The rows of one select. The statement is at work, and keeps its transaction open, while this lives.
class Rows {
public:
    explicit Rows(std::shared_ptr<QSqlQuery> query) : m_query(std::move(query)) {}
    Rows(Rows&&) = default;
    Rows& operator=(Rows&&) = delete;
    ~Rows() {
        if (m_query)
            m_query->finish();
    }
    [[nodiscard]] bool next() { return m_query->next(); }
    [[nodiscard]] QString text(int column) const { return m_query->value(column).toString(); }
    [[nodiscard]] qint64 number(int column) const { return m_query->value(column).toLongLong(); }
    [[nodiscard]] QByteArray bytes(int column) const { return m_query->value(column).toByteArray(); }

private:
    std::shared_ptr<QSqlQuery> m_query;
};

/// One connection to an SQLite file: prepared and bound statements, errors with their statement logged.
/// Used on the thread that opened it.
class Database {
public:
    /// Opens or creates the file: WAL, foreign keys on, synchronous NORMAL. Fails when it is no database.
    [[nodiscard]] static Result<std::unique_ptr<Database>> open(const QString& path);
    ~Database();
    Database(const Database&) = delete;
    Database& operator=(const Database&) = delete;

    [[nodiscard]] Result<Rows> select(const QString& sql, const QVariantList& values = {});
    [[nodiscard]] Result<void> change(const QString& sql, const QVariantList& values = {});
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
    int m_depth = 0; ///< transactions inside one another
    bool m_lost = false;
    mutable int m_lastCode = 0; ///< SQLite's, of the last failure
};

} // namespace mivanta
