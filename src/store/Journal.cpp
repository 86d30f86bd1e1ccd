// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Journal.h"
#include "core/base/Said.h"
#include "formats/ServiceFile.h"
#include "store/SafeFiles.h"
#include <QDateTime>
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

Journal::Journal(const QString& libraryFolder, const QString& window)
    : m_path(libraryFolder + u"/unsaved-service"_s + (window.isEmpty() ? window : u'-' + window) +
             u".json"_s) {}

Result<void> Journal::write(const JournalEntry& entry) const {
    QJsonObject json{{u"path"_s, entry.path},
                     {u"unsaved"_s, entry.unsaved},
                     {u"packed"_s, entry.isPacked},
                     {u"service"_s, serviceToJson(entry.service)}};
    if (entry.stamp) {
        json.insert(u"size"_s, entry.stamp->size);
        json.insert(u"hash"_s, QString::fromLatin1(entry.stamp->hash.toHex()));
    }
    return writeSafely(m_path, QJsonDocument(json).toJson(QJsonDocument::Compact));
}

Error Journal::putAside(const QString& why) const {
    const QString stamp = QDateTime::currentDateTimeUtc().toString(u"yyyyMMdd-HHmmss"_s);
    QString aside;
    for (int n = 1; aside.isEmpty() || QFile::exists(aside); ++n)
        aside = u"%1-%2-%3.json"_s.arg(m_path.chopped(5), stamp, QString::number(n));
    const bool isAside = QFile::rename(m_path, aside);
    return {Said::tr("the work that was not saved last time cannot be read: %1").arg(why),
            isAside ? aside : m_path,
            isAside
                ? Said::tr("It was put aside there, as it is. Open the service's file instead.")
                : Said::tr("Put this file somewhere else before you go on, so that it is not written over.")};
}

Result<std::optional<JournalEntry>> Journal::read() const {
    QFile file(m_path);
    if (!file.exists())
        return std::optional<JournalEntry>();
    if (!file.open(QIODevice::ReadOnly))
        return tl::unexpected(putAside(file.errorString()));
    const QJsonObject json = QJsonDocument::fromJson(file.readAll()).object();
    file.close();
    auto service = serviceFromJson(json[u"service"_s].toObject(), m_path);
    if (!service)
        return tl::unexpected(putAside(service.error().what));
    JournalEntry entry{std::move(*service),
                       json[u"path"_s].toString(),
                       {},
                       json[u"unsaved"_s].toBool(),
                       json[u"packed"_s].toBool()};
    if (json.contains(u"hash"_s))
        entry.stamp = FileStamp{json[u"size"_s].toInteger(),
                                QByteArray::fromHex(json[u"hash"_s].toString().toLatin1())};
    return entry;
}

QString Journal::frozenPath() const {
    return m_path.chopped(5) + u".frozen"_s;
}

void Journal::noteFrozen(bool isFrozen) const {
    if (isFrozen)
        static_cast<void>(writeSafely(frozenPath(), "the program did not answer\n"));
    else
        QFile::remove(frozenPath());
}

bool Journal::wasFrozen() const {
    return QFile::exists(frozenPath());
}

bool Journal::holdBack() const {
    noteFrozen(false);
    return QFile::exists(m_path) && replaceFile(m_path, heldBack().m_path).has_value();
}

Journal Journal::heldBack() const {
    Journal held = *this;
    held.m_path = m_path.chopped(5) + u"-held-back.json"_s;
    return held;
}

void Journal::clear() const {
    QFile::remove(m_path);
}

} // namespace mivanta
