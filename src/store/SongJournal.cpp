// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongJournal.h"
#include "formats/SongJson.h"
#include "store/ServiceStore.h"
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

SongJournal::SongJournal(const QString& libraryFolder) : m_path(libraryFolder + u"/unsaved-song.json"_s) {}

Result<void> SongJournal::write(const Song& song) const {
    return writeSafely(m_path, QJsonDocument(songToJson(song)).toJson(QJsonDocument::Compact));
}

Result<std::optional<Song>> SongJournal::read() const {
    QFile file(m_path);
    if (!file.exists())
        return std::optional<Song>();
    if (!file.open(QIODevice::ReadOnly))
        return failure(u"the unsaved song cannot be read: "_s + file.errorString(), m_path);
    auto song = songFromJson(QJsonDocument::fromJson(file.readAll()).object(), m_path);
    if (!song)
        return tl::unexpected(song.error());
    return std::optional<Song>(std::move(*song));
}

void SongJournal::clear() const {
    QFile::remove(m_path);
}

} // namespace mivanta
