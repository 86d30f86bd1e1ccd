// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Database.h"
#include "core/base/Said.h"
#include <QElapsedTimer>
#include <QLoggingCategory>
#include <QRegularExpression>
#include <QScopeGuard>
#include <QThread>
#include <QUuid>
#include <QtSql/QSqlError>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kBusy = 5;
constexpr int kLocked = 6;
constexpr int kTryAgainMs = 50;
constexpr int kPatienceMs = 3000;

Q_LOGGING_CATEGORY(lcStore, "mivanta.store")

struct Advice {
    QString what;
    QString remedy;
};

/// What the person at the desk can do about an SQLite result code (https://www.sqlite.org/rescode.html).
Advice adviceFor(int code, const QString& text) {
    switch (code & 0xff) {
    case kBusy:
    case kLocked:
        return {Said::tr("the library is in use by another program"),
                Said::tr("Close the other Mivanta and try again.")};
    case 8:
        return {Said::tr("the library folder cannot be written to"),
                Said::tr("Give yourself write permission, or choose another library folder.")};
    case 10:
        return {Said::tr("the disk reported an error: %1").arg(text),
                Said::tr("Check the disk and its free space.")};
    case 11:
    case 26:
        return {Said::tr("the library file is damaged, or is no Mivanta library"),
                Said::tr("It was left as it is. Bring a backup back on the Setup desk.")};
    case 13:
        return {Said::tr("the disk is full"),
                Said::tr("Make room on the disk and try again; nothing was changed.")};
    case 14:
        return {Said::tr("the library could not be opened: %1").arg(text),
                Said::tr("Check that the folder exists and that you may write there.")};
    default:
        return {Said::tr("the library reported an error: %1").arg(text),
                Said::tr("Try again; if it stays, restore a backup.")};
    }
}

} // namespace

Database::Database(QString path, QString connection)
    : m_path(std::move(path)),
      m_connection(std::move(connection)),
      m_db(QSqlDatabase::addDatabase(u"QSQLITE"_s, m_connection)) {
    m_db.setDatabaseName(m_path);
}

Database::~Database() {
    m_prepared.clear();
    m_db.close();
    m_db = QSqlDatabase();
    QSqlDatabase::removeDatabase(m_connection);
}

Result<std::unique_ptr<Database>> Database::open(const QString& path) {
    std::unique_ptr<Database> database(
        new Database(path, u"mivanta-"_s + QUuid::createUuid().toString(QUuid::WithoutBraces)));
    if (!database->m_db.open())
        return tl::unexpected(database->errorOf(database->m_db.lastError(), u"open"_s));
    QElapsedTimer since;
    since.start();
    for (const QString& sql : {u"PRAGMA busy_timeout=3000"_s, u"PRAGMA journal_mode=WAL"_s,
                               u"PRAGMA synchronous=FULL"_s, u"PRAGMA foreign_keys=ON"_s}) {
        auto done = database->change(sql);
        // SQLite does not wait by itself where two make the same file a log-keeping one.
        while (!done && database->lastWasBusy() && since.elapsed() < kPatienceMs) {
            QThread::msleep(kTryAgainMs);
            done = database->change(sql);
        }
        if (!done)
            return tl::unexpected(done.error());
    }
    return database;
}

Error Database::errorOf(const QSqlError& error, const QString& sql) const {
    const QString text = error.databaseText().isEmpty() ? error.driverText() : error.databaseText();
    qCWarning(lcStore).noquote() << m_path << "|" << sql << "|" << error.nativeErrorCode() << text;
    m_lastCode = error.nativeErrorCode().toInt() & 0xff;
    const Advice advice = adviceFor(error.nativeErrorCode().toInt(), text);
    return {advice.what, m_path, advice.remedy};
}

/// The statement with its values bound, executed. Statements are kept; one that is still being read from is
/// left alone and another is prepared.
Result<std::shared_ptr<QSqlQuery>> Database::prepared(const QString& sql, const QVariantList& values) {
    std::shared_ptr<QSqlQuery> query = m_prepared.value(sql);
    if (!query || query->isActive()) {
        const bool keep = !query;
        query = std::make_shared<QSqlQuery>(m_db);
        query->setForwardOnly(true);
        if (!query->prepare(sql))
            return tl::unexpected(errorOf(query->lastError(), sql));
        if (keep)
            m_prepared.insert(sql, query);
    }
    for (int i = 0; i < values.size(); ++i) {
        // Qt binds a QString that was never set as NULL; here it means the empty text.
        const bool isEmptyText = values[i].typeId() == QMetaType::QString && values[i].toString().isNull();
        query->bindValue(i, isEmptyText ? QVariant(u""_s) : values[i]);
    }
    if (!query->exec()) {
        auto error = tl::unexpected(errorOf(query->lastError(), sql));
        query->finish();
        return error;
    }
    return query;
}

bool Database::lastWasBusy() const {
    return m_lastCode == kBusy || m_lastCode == kLocked;
}

Result<void> Database::read(const QString& sql, const QVariantList& values,
                            const std::function<bool(const Row&)>& use) {
    auto query = prepared(sql, values);
    if (!query)
        return tl::unexpected(query.error());
    const auto finish = qScopeGuard([&] { (*query)->finish(); });
    while ((*query)->next())
        if (!use(Row(**query)))
            return {};
    if ((*query)->lastError().isValid()) // next() says no more of it than that there is no row
        return tl::unexpected(errorOf((*query)->lastError(), sql));
    return {};
}

Result<void> Database::change(const QString& sql, const QVariantList& values) {
    auto query = prepared(sql, values);
    if (!query)
        return tl::unexpected(query.error());
    (*query)->finish();
    static const QRegularExpression table(u"\\b(?:INTO|UPDATE|DELETE FROM) ([a-z_]+)"_s); // for machines
    if (const auto match = table.match(sql); match.hasMatch())
        m_changedTables.insert(match.captured(1));
    return {};
}

QSet<QString> Database::takeChangedTables() {
    return std::exchange(m_changedTables, {});
}

Result<void> Database::transaction(const std::function<Result<void>()>& work) {
    const bool inner = m_depth > 0;
    if (auto begun = change(inner ? u"SAVEPOINT part"_s : u"BEGIN IMMEDIATE"_s); !begun)
        return begun;
    if (!inner)
        m_lost = false;
    ++m_depth;
    auto done = work();
    --m_depth;
    if (done)
        done = change(inner ? u"RELEASE part"_s : u"COMMIT"_s);
    if (done)
        return done;
    if (auto undone = change(inner ? u"ROLLBACK TO part"_s : u"ROLLBACK"_s); !undone) {
        qCInfo(lcStore) << "already rolled back"; // for machines
        m_lost = true;
    } else if (inner) {
        static_cast<void>(change(u"RELEASE part"_s));
    }
    return done;
}

} // namespace mivanta
