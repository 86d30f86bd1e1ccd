// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/RecordTable.h"
#include "core/base/Said.h"
#include "store/Database.h"
#include <QJsonDocument>

namespace mivanta {

RecordTable::RecordTable(Database& database, const Names& names) : m_database(database), m_names(names) {}

QString RecordTable::sql(const char* text) const {
    return QString::fromLatin1(text)
        .replace(QLatin1String("%1"), m_names.table)
        .replace(QLatin1String("%2"), m_names.versions)
        .replace(QLatin1String("%3"), m_names.owner);
}

Result<std::optional<QJsonObject>> RecordTable::oneContent(const QString& sql, const QVariantList& values) {
    return m_database.first(
        sql, values, [](const Row& row) { return QJsonDocument::fromJson(row.text(0).toUtf8()).object(); });
}

Result<std::optional<QJsonObject>> RecordTable::content(const QString& id) {
    return oneContent(sql("SELECT content FROM %1 WHERE id = ?"), {id});
}

Result<std::optional<QJsonObject>> RecordTable::version(const QString& id, int revision) {
    return oneContent(sql("SELECT content FROM %2 WHERE %3 = ? AND revision = ?"), {id, revision});
}

Result<int> RecordTable::revision(const QString& id) {
    const auto stored = m_database.first(sql("SELECT revision FROM %1 WHERE id = ?"), {id},
                                         [](const Row& row) { return int(row.number(0)); });
    if (!stored)
        return tl::unexpected(stored.error());
    return stored->value_or(0);
}

Result<std::vector<RecordVersion>> RecordTable::versions(const QString& id) {
    return m_database.all(
        sql("SELECT revision, changed_at FROM %2 WHERE %3 = ? ORDER BY revision DESC"), {id},
        [](const Row& row) {
            return RecordVersion{int(row.number(0)), QDateTime::fromMSecsSinceEpoch(row.number(1), Qt::UTC)};
        });
}

Result<void> RecordTable::keepVersion(const QString& id) {
    return m_database.change(sql("INSERT OR REPLACE INTO %2(%3, revision, changed_at, content)"
                                 " SELECT id, revision, changed_at, content FROM %1 WHERE id = ?"),
                             {id});
}

Result<RecordWrite> RecordTable::mayWrite(const QString& id, int revision, const QString& title) {
    const auto stored = this->revision(id);
    if (!stored)
        return tl::unexpected(stored.error());
    if (*stored != revision)
        return failure(Said::tr("\u201c%1\u201d was changed in the library meanwhile").arg(title),
                       m_database.path(), Said::tr("Open it again and compare; nothing was overwritten."));
    return *stored == 0 ? RecordWrite::New : RecordWrite::Over;
}

Result<void> RecordTable::putInBin(const QString& id) {
    return m_database.change(sql("UPDATE %1 SET deleted_at = ? WHERE id = ?"),
                             {QDateTime::currentMSecsSinceEpoch(), id});
}

Result<void> RecordTable::takeFromBin(const QString& id) {
    return m_database.change(sql("UPDATE %1 SET deleted_at = NULL WHERE id = ?"), {id});
}

Result<int> RecordTable::emptyBin() {
    int gone = 0;
    auto done = m_database.transaction([&]() -> Result<void> {
        const auto count = m_database.first(sql("SELECT count(*) FROM %1 WHERE deleted_at IS NOT NULL"), {},
                                            [](const Row& row) { return int(row.number(0)); });
        if (!count)
            return tl::unexpected(count.error());
        gone = count->value_or(0);
        return m_database.change(sql("DELETE FROM %1 WHERE deleted_at IS NOT NULL"));
    });
    if (!done)
        return tl::unexpected(done.error());
    return gone;
}

} // namespace mivanta
