// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongImport.h"
#include "core/base/LeavableWork.h"
#include "core/base/Said.h"
#include "core/song/SongLikeness.h"
#include "formats/SongReader.h"
#include "store/Database.h"
#include "store/TwinFinder.h"
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
            if (old.key() == part.key()) {
                renamed.insert(part.id, old.id);
                part.id = old.id;
                break;
            }
    renameParts(song, renamed);
}

} // namespace

/// What a song is to the library, and what shall become of it.
struct SongImport::Judgement {
    ImportFinding finding = ImportFinding::New;
    SongId other;
    int otherRevision = 0;
    ImportDecision decision = ImportDecision::Add;
};

/// A song as it will be stored.
struct SongImport::Piece {
    StoredSong song;
    QString source;
    std::vector<ReadWarning> warnings;
    std::optional<Judgement> chosen; ///< by a person; else it is judged when its turn comes
};

struct SongImport::File {
    QString path;
    std::optional<ImportEntry> refusal; ///< instead of pieces
    std::vector<Piece> pieces;
};

namespace {

Result<std::vector<ReadSong>> readSongFile(const QString& path) {
    const QFileInfo info(path);
    if (!info.exists())
        return failure(Said::tr("there is no such file"), {}, Said::tr("Check the name"));
    if (info.isDir())
        return failure(
            Said::tr("no song files were found in this folder"), {},
            Said::tr(
                "Song files end in .cho, .chordpro, .crd, .txt, .csv, .rtf, .odt, .docx, .odp or .pptx"));
    if (!info.isFile())
        return failure(Said::tr("this is not an ordinary file"), {}, Said::tr("Choose a song file"));
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the file cannot be read: %1").arg(file.errorString()), {},
                       Said::tr("Check its permissions"));
    return readSongs(file, info.fileName());
}

} // namespace

SongImport::File SongImport::read(const QString& path) {
    File file;
    file.path = path;
    auto songs = readSongFile(path);
    if (!songs) {
        file.refusal = refused(path, songs.error());
        return file;
    }
    const QString source = QFileInfo(path).canonicalFilePath();
    for (size_t i = 0; i < songs->size(); ++i) {
        ReadSong& song = (*songs)[i];
        song.song.revision = 1; // what a new song gets
        file.pieces.push_back({storedForm(std::move(song.song)),
                               source + (i > 0 ? u"#%1"_s.arg(i + 1) : QString()), std::move(song.warnings),
                               std::nullopt});
    }
    return file;
}

void SongImport::inGroups(qsizetype files, const MakeFiles& make, const Library::Progress& progress,
                          const std::function<bool(qsizetype, std::vector<File>&)>& use) {
    using Work = LeavableWork<std::vector<File>>;
    const auto ahead = [&](qsizetype from) -> std::optional<Work> {
        const qsizetype count = std::min(files - from, kFilesPerCommit);
        return count > 0 ? std::optional<Work>([make, from, count] { return make(from, count); })
                         : std::nullopt;
    };
    auto next = ahead(0);
    for (qsizetype from = 0; next; from += kFilesPerCommit) {
        auto group = next->wait([&] { return !progress || progress(int(from), int(files)); });
        if (!group)
            return;
        next = ahead(from + kFilesPerCommit);
        if (!use(from, *group))
            return;
    }
}

namespace {

template <typename Read>
auto reading(const QStringList& files, Read read) {
    return [files, read](qsizetype from, qsizetype count) {
        std::vector<decltype(read(QString()))> group;
        for (const QString& path : files.mid(from, count))
            group.push_back(read(path));
        return group;
    };
}

} // namespace

std::vector<ImportEntry> SongImport::run(const QStringList& paths, const Library::Progress& progress) {
    const QStringList files = filesOf(paths);
    return storeAll(files.size(), reading(files, &SongImport::read), progress);
}

std::vector<ImportEntry> SongImport::bringIn(std::vector<ImportCandidate> given,
                                             const Library::Progress& progress) {
    std::vector<std::pair<size_t, size_t>> files; // stretches of candidates
    for (size_t i = 0; i < given.size(); ++i)
        if (i > 0 && given[i].file == given[i - 1].file)
            files.back().second = i + 1;
        else
            files.emplace_back(i, i + 1);
    const auto shared = std::make_shared<std::vector<ImportCandidate>>(std::move(given));
    const auto make = [shared, files](qsizetype from, qsizetype count) {
        std::vector<ImportCandidate>& candidates = *shared;
        std::vector<File> group;
        for (qsizetype f = from; f < from + count; ++f) {
            File file;
            file.path = candidates[files[size_t(f)].first].file;
            for (size_t i = files[size_t(f)].first; i < files[size_t(f)].second; ++i) {
                ImportCandidate& candidate = candidates[i];
                if (candidate.finding == ImportFinding::Unreadable) {
                    file.refusal = refused(candidate.file, {candidate.problem, {}, {}});
                    continue;
                }
                Judgement judgement{candidate.finding, {}, 0, candidate.decision};
                if (candidate.other) {
                    judgement.other = candidate.other->id;
                    judgement.otherRevision = candidate.other->revision;
                }
                file.pieces.push_back({storedForm(std::move(candidate.song)), candidate.source,
                                       std::move(candidate.warnings), judgement});
            }
            group.push_back(std::move(file));
        }
        return group;
    };
    return storeAll(qsizetype(files.size()), make, progress);
}

std::vector<ImportCandidate> SongImport::look(const QStringList& paths, const Library::Progress& progress) {
    const QStringList files = filesOf(paths);
    std::vector<ImportCandidate> candidates;
    TwinFinder twins(m_library);
    const auto candidateOf = [&](const Piece& piece, const QString& path) {
        ImportCandidate candidate;
        candidate.file = path;
        candidate.source = piece.source;
        candidate.song = piece.song.song;
        candidate.warnings = piece.warnings;
        const auto judgement = judge(piece.song, piece.source);
        if (judgement) {
            candidate.finding = judgement->finding;
            if (!judgement->other.isNull())
                if (auto other = m_library.song(judgement->other))
                    candidate.other = std::move(*other);
        }
        if (candidate.finding == ImportFinding::New)
            if (auto twin = twins.twinOf(candidate.song); twin && *twin) {
                const bool same = contentHash((*twin)->song) == piece.song.hash;
                candidate.finding = same ? ImportFinding::Same : (*twin)->finding;
                candidate.other = std::move((*twin)->song);
                candidate.otherIsStored = (*twin)->isStored;
            }
        twins.remember(candidate.song);
        candidate.decision = usualDecision(candidate.finding);
        return candidate;
    };
    const auto lookAt = [&](qsizetype from, std::vector<File>& group) {
        for (const File& file : group) {
            const auto goesOn = [&] {
                return !progress || progress(int(from + (&file - group.data())), int(files.size()));
            };
            if (!goesOn())
                return false;
            if (file.refusal) {
                ImportCandidate& unreadable = candidates.emplace_back();
                unreadable.file = file.path;
                unreadable.finding = ImportFinding::Unreadable;
                unreadable.problem = file.refusal->reason;
                unreadable.decision = ImportDecision::LeaveOut;
            }
            for (const Piece& piece : file.pieces) {
                if (!goesOn()) // a hymnal is one file
                    return false;
                candidates.push_back(candidateOf(piece, file.path));
            }
        }
        return true;
    };
    inGroups(files.size(), reading(files, &SongImport::read), progress, lookAt);
    return candidates;
}

std::vector<ImportEntry> SongImport::storeAll(qsizetype files, const MakeFiles& make,
                                              const Library::Progress& progress) {
    std::vector<ImportEntry> entries;
    inGroups(files, make, progress, [&](qsizetype from, std::vector<File>& group) {
        return storeGroup(group, entries,
                          [&](int stored) { return !progress || progress(int(from) + stored, int(files)); });
    });
    return entries;
}

/// Files share a commit, which costs more than most songs; each is still whole or not there at all. False
/// when the person wants no more.
bool SongImport::storeGroup(const std::vector<File>& group, std::vector<ImportEntry>& entries,
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

std::vector<ImportEntry> SongImport::store(const File& file) {
    if (file.refusal)
        return {*file.refusal};
    std::vector<ImportEntry> entries;
    auto done = m_library.m_database->transaction([&]() -> Result<void> {
        for (const Piece& piece : file.pieces) {
            auto entry = storePiece(piece);
            if (!entry)
                return tl::unexpected(entry.error());
            entry->file = file.path;
            for (const ReadWarning& warning : piece.warnings) {
                if (entry->line == 0)
                    entry->line = warning.line;
                entry->reason += (entry->reason.isEmpty() ? QString() : u" "_s) +
                                 Said::tr("Line %1: %2").arg(QString::number(warning.line), warning.text);
            }
            entries.push_back(std::move(*entry));
        }
        return {};
    });
    if (!done)
        return {refused(file.path, done.error())};
    return entries;
}

/// What the library knows of a song without comparing words.
Result<SongImport::Judgement> SongImport::judge(const StoredSong& read, const QString& source) {
    Database& database = *m_library.m_database;
    const auto judged = [](ImportFinding finding, const QString& other) {
        return Judgement{finding, SongId::fromText(other), 0, usualDecision(finding)};
    };
    auto twin = database.first(
        u"SELECT id, deleted_at FROM song WHERE content_hash = ?"
        " ORDER BY deleted_at IS NOT NULL, row LIMIT 1"_s,
        {read.hash}, [&](const Row& row) {
            return judged(row.text(1).isEmpty() ? ImportFinding::Same : ImportFinding::InBin, row.text(0));
        });
    if (!twin)
        return tl::unexpected(twin.error());
    if (*twin)
        return **twin;
    auto same = database.first(
        u"SELECT id, revision, source_revision FROM song WHERE source = ?"_s, {source}, [&](const Row& row) {
            Judgement judgement =
                judged(row.number(1) == row.number(2) ? ImportFinding::NewerFile : ImportFinding::BothChanged,
                       row.text(0));
            judgement.otherRevision = int(row.number(1));
            return judgement;
        });
    if (!same)
        return tl::unexpected(same.error());
    return same->value_or(judged(ImportFinding::New, {}));
}

Result<ImportEntry> SongImport::storePiece(const Piece& piece) {
    ImportEntry entry{{}, ImportOutcome::Unchanged, piece.song.song.id, piece.song.song.title, 0, {}};
    Judgement judgement;
    if (piece.chosen) {
        judgement = *piece.chosen;
    } else {
        const auto judged = judge(piece.song, piece.source);
        if (!judged)
            return tl::unexpected(judged.error());
        judgement = *judged;
    }
    Result<void> done;
    switch (judgement.decision) {
    case ImportDecision::LeaveOut:
        entry.song = judgement.other;
        if (judgement.finding == ImportFinding::Same)
            break;
        entry.outcome = ImportOutcome::LeftOut;
        if (judgement.finding == ImportFinding::BothChanged && !piece.chosen) {
            entry.outcome = ImportOutcome::Refused;
            entry.reason =
                Said::tr("the file has changed, but so has the song in the library since it was brought in; "
                         "the library's was kept.");
        }
        break;
    case ImportDecision::Add:
        done = add(piece, judgement, entry);
        break;
    case ImportDecision::Replace:
    case ImportDecision::MergeDetails:
        done = changeOther(piece, judgement, entry);
        break;
    }
    if (!done)
        return tl::unexpected(done.error());
    return entry;
}

Result<void> SongImport::add(const Piece& piece, const Judgement& judgement, ImportEntry& entry) {
    entry.outcome = ImportOutcome::Added;
    if (judgement.finding == ImportFinding::InBin) {
        entry.song = judgement.other;
        entry.reason = Said::tr("taken back from the bin.");
        return m_library.takeFromBin({entry.song});
    }
    if (judgement.finding != ImportFinding::New) // the file is this song's from now on
        if (auto done = m_library.m_database->change(u"UPDATE song SET source = NULL WHERE source = ?"_s,
                                                     {piece.source});
            !done)
            return done;
    return m_library.write(piece.song, RecordWrite::New, piece.source);
}

Result<void> SongImport::changeOther(const Piece& piece, const Judgement& judgement, ImportEntry& entry) {
    const auto stored = m_library.song(judgement.other);
    if (!stored) // it was to come in with these, and did not
        return add(piece, {}, entry);
    entry.song = stored->id;
    if (stored->revision != judgement.otherRevision && stored->revision != m_made.value(stored->id)) {
        entry.outcome = ImportOutcome::Refused;
        entry.reason =
            Said::tr("\"%1\" was changed in the library meanwhile; look at it again.").arg(stored->title);
        return {};
    }
    const bool merges = judgement.decision == ImportDecision::MergeDetails;
    Song song = merges ? withDetailsOf(*stored, piece.song.song) : piece.song.song;
    if (!merges) {
        song.id = stored->id;
        keepPartIds(song, *stored);
        for (QString Song::*kept : {&Song::usualTheme, &Song::backingTrack}) // no song file can say them
            if ((song.*kept).isEmpty())
                song.*kept = (*stored).*kept;
    } else if (sameContent(song, *stored)) {
        return {};
    }
    song.revision = stored->revision + 1;
    m_made.insert(song.id, song.revision);
    entry.outcome = ImportOutcome::Changed;
    return m_library.write(storedForm(std::move(song)), RecordWrite::Over, merges ? QString() : piece.source);
}

} // namespace mivanta
