// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Journal.h"
#include "formats/ServiceFile.h"
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

Journal::Journal(const QString& libraryFolder) : m_path(libraryFolder + u"/unsaved-service.json"_s) {}

Result<void> Journal::write(const JournalEntry& entry) const {
    QJsonObject json{
        {u"path"_s, entry.path}, {u"unsaved"_s, entry.unsaved}, {u"service"_s, serviceToJson(entry.service)}};
    if (entry.stamp) {
        json.insert(u"size"_s, entry.stamp->size);
        json.insert(u"hash"_s, QString::fromLatin1(entry.stamp->hash.toHex()));
    }
    return writeSafely(m_path, QJsonDocument(json).toJson(QJsonDocument::Compact));
}

Result<std::optional<JournalEntry>> Journal::read() const {
    QFile file(m_path);
    if (!file.exists())
        return std::optional<JournalEntry>();
    if (!file.open(QIODevice::ReadOnly))
        return failure(u"the unsaved service cannot be read: "_s + file.errorString(), m_path);
    const QJsonObject json = QJsonDocument::fromJson(file.readAll()).object();
    auto service = serviceFromJson(json[u"service"_s].toObject(), m_path);
    if (!service)
        return tl::unexpected(service.error());
    JournalEntry entry{std::move(*service), json[u"path"_s].toString(), {}, json[u"unsaved"_s].toBool()};
    if (json.contains(u"hash"_s))
        entry.stamp = FileStamp{json[u"size"_s].toInteger(),
                                QByteArray::fromHex(json[u"hash"_s].toString().toLatin1())};
    return entry;
}

void Journal::clear() const {
    QFile::remove(m_path);
}

} // namespace mivanta
