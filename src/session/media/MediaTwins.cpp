// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/MediaTwins.h"
#include "session/media/FolderWatch.h"
#include "session/media/MediaBook.h"

namespace mivanta {

MediaTwins::MediaTwins(MediaBook& book, FolderWatch& folders, QObject* parent)
    : QObject(parent),
      m_book(book),
      m_folders(folders) {
    connect(&m_book, &MediaBook::changed, this, &MediaTwins::look);
    connect(&m_folders, &FolderWatch::changed, this, &MediaTwins::look);
}

void MediaTwins::look() {
    m_isLookWanted = m_isLooking;
    if (m_isLooking)
        return;
    QHash<qint64, QStringList> byLength;
    for (const FolderWatch::Entry& entry : m_folders.all())
        for (const FolderFile& file : entry.files)
            byLength[file.bytes] << entry.folder.path + u'/' + file.path;
    if (byLength.isEmpty() && m_digests.isEmpty())
        return;
    for (const Medium& medium : m_book.all()) {
        const auto at = byLength.find(medium.bytes);
        if (at != byLength.end())
            *at << m_book.pathOf(medium.name);
    }
    QStringList toRead;
    QHash<QString, QByteArray> known;
    for (const QStringList& alike : byLength)
        for (const QString& path : alike) {
            const QByteArray digest = m_digests.value(path);
            if (!digest.isEmpty())
                known[path] = digest;
            else if (alike.size() > 1)
                toRead << path;
        }
    m_isLooking = true;
    m_disk.run(
        this,
        [toRead, known]() mutable {
            for (const QString& path : toRead)
                known[path] = quickDigest(path);
            return known;
        },
        [this](const QHash<QString, QByteArray>& digests) {
            m_isLooking = false;
            if (m_digests != digests) {
                m_digests = digests;
                Q_EMIT changed();
            }
            if (m_isLookWanted)
                look();
        });
}

} // namespace mivanta

#include "moc_MediaTwins.cpp"
