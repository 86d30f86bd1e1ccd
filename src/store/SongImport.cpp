// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongImport.h"
#include "formats/SongReader.h"
#include "store/Database.h"
#include <QDirIterator>
#include <QFile>
#include <QFileInfo>

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

/// A file that was read, with its songs as they will be stored.
struct SongImport::ReadFile {
    QString path;
    std::optional<ImportEntry> refusal; ///< instead of songs
    QString source;
    std::vector<StoredSong> songs;
    std::vector<std::vector<ReadWarning>> warnings; ///< of each song
};

namespace {

Result<std::vector<ReadSong>> readSongFile(const QString& path) {
    const QFileInfo info(path);
    if (!info.exists())
        return failure(u"there is no such file"_s, {}, u"Check the name"_s);
    if (info.isDir())
        return failure(
            u"no song files were found in this folder"_s, {},
            u"Song files end in .cho, .chordpro, .crd, .txt, .csv, .rtf, .odt, .docx, .odp or .pptx"_s);
    if (!info.isFile())
        return failure(u"this is not an ordinary file"_s, {}, u"Choose a song file"_s);
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(u"the file cannot be read: "_s + file.errorString(), {}, u"Check its permissions"_s);
    return readSongs(file, info.fileName());
}

} // namespace

SongImport::ReadFile SongImport::read(const QString& path) {
    ReadFile file;
    file.path = path;
    auto songs = readSongFile(path);
    if (!songs) {
        file.refusal = refused(path, songs.error());
        return file;
    }
    file.source = QFileInfo(path).canonicalFilePath();
    for (ReadSong& song : *songs) {
        song.song.revision = 1; // what a new song gets
        file.songs.push_back(storedForm(std::move(song.song)));
        file.warnings.push_back(std::move(song.warnings));
    }
    return file;
}

std::future<std::vector<SongImport::ReadFile>> SongImport::readAhead(const QStringList& paths) {
    return std::async(std::launch::async, [paths] {
        std::vector<ReadFile> files;
        for (const QString& path : paths)
            files.push_back(read(path));
        return files;
    });
}

std::vector<ImportEntry> SongImport::run(const QStringList& paths, const Library::Progress& progress) {
    std::vector<ImportEntry> entries;
    const QStringList files = filesOf(paths);
    auto next = readAhead(files.mid(0, kFilesPerCommit));
    for (qsizetype from = 0; from < files.size(); from += kFilesPerCommit) {
        const std::vector<ReadFile> group = next.get();
        next = readAhead(files.mid(from + kFilesPerCommit, kFilesPerCommit)); // while these are stored
        const int done = int(from);
        const bool goOn = storeGroup(group, entries, [&](int stored) {
            return !progress || progress(done + stored, int(files.size()));
        });
        if (!goOn)
            break;
    }
    return entries;
}

/// Files share a commit, which costs more than most songs; each is still whole or not there at all. False
/// when the person wants no more.
bool SongImport::storeGroup(const std::vector<ReadFile>& group, std::vector<ImportEntry>& entries,
                            const std::function<bool(int)>& progress) {
    bool goOn = true;
    const size_t before = entries.size();
    const auto done = m_library.m_database->transaction([&]() -> Result<void> {
        for (size_t i = 0; i < group.size(); ++i) {
            goOn = progress(int(i));
            if (!goOn)
                break;
            auto ofFile = store(group[i]);
            if (m_library.m_database->hasLostTransaction()) { // with the files before it
                const QString reason = ofFile.empty() ? QString() : ofFile.front().reason;
                for (; i < group.size(); ++i)
                    entries.push_back(refused(group[i].path, {reason, {}, {}}));
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
    return goOn;
}

std::vector<ImportEntry> SongImport::store(const ReadFile& file) {
    if (file.refusal)
        return {*file.refusal};
    std::vector<ImportEntry> entries;
    auto done = m_library.m_database->transaction([&]() -> Result<void> {
        for (size_t i = 0; i < file.songs.size(); ++i) {
            auto entry = importSong(file.songs[i], file.source + (i > 0 ? u"#%1"_s.arg(i + 1) : QString()));
            if (!entry)
                return tl::unexpected(entry.error());
            entry->file = file.path;
            for (const ReadWarning& warning : file.warnings[i]) {
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
        return {refused(file.path, done.error())};
    return entries;
}

Result<ImportEntry> SongImport::importSong(const StoredSong& read, const QString& source) {
    Database& database = *m_library.m_database;
    ImportEntry entry{{}, ImportOutcome::Unchanged, {}, read.song.title, 0, {}};
    auto twin = database.select(u"SELECT id, deleted_at FROM song WHERE content_hash = ?"
                                " ORDER BY deleted_at IS NOT NULL, row LIMIT 1"_s,
                                {read.hash});
    if (!twin)
        return tl::unexpected(twin.error());
    if (twin->next()) {
        entry.song = SongId::fromText(twin->text(0));
        if (twin->text(1).isEmpty())
            return entry;
        if (auto done = m_library.takeFromBin({entry.song}); !done)
            return tl::unexpected(done.error());
        entry.outcome = ImportOutcome::Added;
        entry.reason = u"taken back from the bin."_s;
        return entry;
    }
    auto same =
        database.select(u"SELECT id, revision, source_revision FROM song WHERE source = ?"_s, {source});
    if (!same)
        return tl::unexpected(same.error());
    if (!same->next()) {
        if (auto done = m_library.write(read, source, false); !done)
            return tl::unexpected(done.error());
        entry.outcome = ImportOutcome::Added;
        entry.song = read.song.id;
        return entry;
    }
    entry.song = SongId::fromText(same->text(0));
    if (same->number(1) != same->number(2)) {
        entry.outcome = ImportOutcome::Refused;
        entry.reason = u"the file has changed, but so has the song in the library since it was brought in; "
                       "the library's was kept."_s;
        return entry;
    }
    const auto stored = m_library.song(entry.song);
    if (!stored)
        return tl::unexpected(stored.error());
    Song song = read.song;
    song.id = entry.song;
    song.revision = int(same->number(1)) + 1;
    keepPartIds(song, *stored);
    if (auto done = m_library.write(storedForm(std::move(song)), source, true); !done)
        return tl::unexpected(done.error());
    entry.outcome = ImportOutcome::Changed;
    return entry;
}

} // namespace mivanta
