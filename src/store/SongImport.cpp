// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongImport.h"
#include "formats/SongJson.h"
#include "formats/SongReader.h"
#include "store/Database.h"
#include <QCryptographicHash>
#include <QDirIterator>
#include <QFile>
#include <QFileInfo>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kFilesPerCommit = 64;

/// The files to read, in a settled order. Paths that are not there, and folders without songs, stay in the
/// list, to be refused by name.
QStringList filesOf(const QStringList& paths) {
    QStringList files;
    for (const QString& path : paths) {
        if (!QFileInfo(path).isDir()) {
            files << path;
            continue;
        }
        QStringList found;
        QDirIterator at(path, QDir::Files | QDir::NoDotAndDotDot, QDirIterator::Subdirectories);
        while (at.hasNext())
            if (const QString file = at.next(); isSongFileName(file))
                found << file;
        found.sort();
        files << (found.isEmpty() ? QStringList{path} : found);
    }
    return files;
}

ImportEntry refused(const QString& file, const Error& error) {
    ImportEntry entry{file, ImportOutcome::Refused, {}, {}, 0, error.what};
    if (!error.remedy.isEmpty())
        entry.reason += u". "_s + error.remedy;
    return entry;
}

/// Orders follow parts that got other ids.
void renameParts(Song& song, const QHash<PartId, PartId>& renamed) {
    const auto rename = [&](std::vector<SungPart>& order) {
        for (SungPart& sung : order)
            sung.part = renamed.value(sung.part, sung.part);
    };
    rename(song.singingOrder);
    for (NamedOrder& order : song.otherOrders)
        rename(order.entries);
}

/// Gives parts that kept their label the ids that they had, so that services know them again.
void keepPartIds(Song& song, const Song& stored) {
    QHash<PartId, PartId> renamed;
    for (Part& part : song.parts)
        for (const Part& old : stored.parts)
            if (old.label() == part.label()) {
                renamed.insert(part.id, old.id);
                part.id = old.id;
                break;
            }
    renameParts(song, renamed);
}

} // namespace

QByteArray contentHash(const Song& song) {
    Song bare = song;
    bare.id = {};
    bare.revision = 0;
    QHash<PartId, PartId> renamed;
    for (size_t i = 0; i < bare.parts.size(); ++i) {
        const PartId plain = PartId::fromNumber(quint32(i));
        renamed.insert(bare.parts[i].id, plain);
        bare.parts[i].id = plain;
    }
    renameParts(bare, renamed);
    return QCryptographicHash::hash(QJsonDocument(songToJson(bare)).toJson(QJsonDocument::Compact),
                                    QCryptographicHash::Sha1);
}

std::vector<ImportEntry> SongImport::run(const QStringList& paths, const Library::Progress& progress) {
    std::vector<ImportEntry> entries;
    const QStringList files = filesOf(paths);
    // Files share a commit, which costs more than most songs; each is still whole or not there at all.
    for (qsizetype i = 0; i < files.size();) {
        bool goOn = true;
        const size_t before = entries.size();
        const auto done = m_library.m_database->transaction([&]() -> Result<void> {
            const qsizetype end = std::min(i + kFilesPerCommit, files.size());
            for (; i < end && goOn; ++i) {
                goOn = !progress || progress(int(i), int(files.size()));
                if (!goOn)
                    break;
                auto ofFile = importFile(files[i]);
                if (m_library.m_database->hasLostTransaction()) { // with the files before it
                    const QString reason = ofFile.empty() ? QString() : ofFile.front().reason;
                    for (; i < end; ++i)
                        entries.push_back(refused(files[i], {reason, {}, {}}));
                    return failure(reason);
                }
                entries.insert(entries.end(), std::make_move_iterator(ofFile.begin()),
                               std::make_move_iterator(ofFile.end()));
            }
            return {};
        });
        if (!done) // nothing of this group is stored
            for (size_t e = before; e < entries.size(); ++e)
                if (entries[e].outcome != ImportOutcome::Refused)
                    entries[e] = refused(entries[e].file, done.error());
        if (!goOn)
            break;
    }
    return entries;
}

std::vector<ImportEntry> SongImport::importFile(const QString& path) {
    const QFileInfo info(path);
    if (!info.exists())
        return {refused(path, {u"there is no such file"_s, {}, u"Check the name"_s})};
    if (info.isDir())
        return {refused(path, {u"no song files were found in this folder"_s,
                               {},
                               u"Song files end in .cho, .chordpro, .crd or .txt"_s})};
    if (!info.isFile())
        return {refused(path, {u"this is not an ordinary file"_s, {}, u"Choose a song file"_s})};
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return {refused(
            path, {u"the file cannot be read: "_s + file.errorString(), {}, u"Check its permissions"_s})};
    auto songs = readSongs(file, info.fileName());
    if (!songs)
        return {refused(path, songs.error())};

    std::vector<ImportEntry> entries;
    auto done = m_library.m_database->transaction([&]() -> Result<void> {
        for (size_t i = 0; i < songs->size(); ++i) {
            const ReadSong& read = (*songs)[i];
            const QString source = info.canonicalFilePath() + (i > 0 ? u"#%1"_s.arg(i + 1) : QString());
            auto entry = importSong(read.song, source);
            if (!entry)
                return tl::unexpected(entry.error());
            entry->file = path;
            for (const ReadWarning& warning : read.warnings) {
                if (entry->line == 0)
                    entry->line = warning.line;
                entry->reason += (entry->reason.isEmpty() ? QString() : u" "_s) +
                                 u"Line %1: %2"_s.arg(QString::number(warning.line), warning.text);
            }
            entries.push_back(std::move(*entry));
        }
        return {};
    });
    if (!done)
        return {refused(path, done.error())};
    return entries;
}

Result<ImportEntry> SongImport::importSong(Song song, const QString& source) {
    Database& database = *m_library.m_database;
    ImportEntry entry{{}, ImportOutcome::Unchanged, {}, song.title, 0, {}};
    auto twin = database.select(u"SELECT id, source FROM song WHERE content_hash = ? ORDER BY row LIMIT 1"_s,
                                {contentHash(song)});
    if (!twin)
        return tl::unexpected(twin.error());
    if (twin->next()) {
        entry.song = SongId::fromText(twin->text(0));
        return entry;
    }
    auto same =
        database.select(u"SELECT id, revision, source_revision FROM song WHERE source = ?"_s, {source});
    if (!same)
        return tl::unexpected(same.error());
    const bool exists = same->next();
    if (exists) {
        const bool edited = same->number(1) != same->number(2);
        entry.song = song.id = SongId::fromText(same->text(0));
        song.revision = int(same->number(1));
        if (edited) {
            entry.outcome = ImportOutcome::Refused;
            entry.reason =
                u"the file has changed, but so has the song in the library since it was brought in; "
                "the library's was kept."_s;
            return entry;
        }
        const auto stored = m_library.song(song.id);
        if (!stored)
            return tl::unexpected(stored.error());
        keepPartIds(song, *stored);
    }
    ++song.revision;
    if (auto done = m_library.write(song, source, exists); !done)
        return tl::unexpected(done.error());
    entry.outcome = exists ? ImportOutcome::Changed : ImportOutcome::Added;
    entry.song = song.id;
    return entry;
}

} // namespace mivanta
