// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Journal.h"
#include "formats/ServiceFile.h"
#include "store/SafeFiles.h"
#include <QFile>

namespace mivanta {

using namespace Qt::StringLiterals;

Journal::Journal(const QString& folder, const QString& window, const QString& olderFolder)
    : m_file(folder, u"service"_s + (window.isEmpty() ? window : u'-' + window), olderFolder) {}

Result<void> Journal::write(const JournalEntry& entry) const {
    QJsonObject json{{u"path"_s, entry.path},
                     {u"unsaved"_s, entry.unsaved},
                     {u"packed"_s, entry.isPacked},
                     {u"service"_s, serviceToJson(entry.service)}};
    if (entry.stamp) {
        json.insert(u"size"_s, entry.stamp->size);
        json.insert(u"hash"_s, QString::fromLatin1(entry.stamp->hash.toHex()));
    }
    return m_file.write(json);
}

Result<std::optional<JournalEntry>> Journal::read() const {
    const auto read = m_file.read();
    if (!read)
        return tl::unexpected(read.error());
    if (!*read)
        return std::optional<JournalEntry>();
    const QJsonObject& json = **read;
    auto service = serviceFromJson(json[u"service"_s].toObject(), m_file.path());
    if (!service)
        return tl::unexpected(m_file.putAside(service.error().what));
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
    return m_file.beside(u".frozen"_s);
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
    return m_file.exists() && replaceFile(m_file.path(), heldBack().m_file.path()).has_value();
}

Journal Journal::heldBack() const {
    return Journal(m_file.another(u"-held-back"_s));
}

void Journal::clear() const {
    m_file.clear();
}

} // namespace mivanta
