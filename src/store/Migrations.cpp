// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Migrations.h"
#include "core/base/Said.h"
#include "store/Backups.h"

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

const Migration& songs() {
    static const Migration statements{
        u"CREATE TABLE song ("
        "  row INTEGER PRIMARY KEY,"
        "  id TEXT NOT NULL UNIQUE,"
        "  revision INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL," // ms since 1970, UTC
        "  title TEXT NOT NULL,"
        "  title_key TEXT NOT NULL," // folded, for exact and leading matches
        "  first_line TEXT NOT NULL,"
        "  number TEXT NOT NULL,"  // the first hymn-book number, for lists
        "  lines TEXT NOT NULL,"   // every line of words, for showing the one that matched
        "  content TEXT NOT NULL," // the song as JSON
        "  content_hash BLOB NOT NULL,"
        "  source TEXT,"                // the file it was brought in from
        "  source_revision INTEGER)"_s, // its revision then
        u"CREATE INDEX song_title_key ON song(title_key)"_s,
        u"CREATE INDEX song_source ON song(source)"_s,
        u"CREATE INDEX song_content_hash ON song(content_hash)"_s,
        u"CREATE TABLE song_text ("
        "  row INTEGER PRIMARY KEY REFERENCES song(row) ON DELETE CASCADE,"
        "  title TEXT, other TEXT, authors TEXT, numbers TEXT, words TEXT)"_s,
        u"CREATE VIRTUAL TABLE song_fts USING fts5("
        "  title, other, authors, numbers, words, content='song_text', content_rowid='row',"
        "  tokenize='unicode61 remove_diacritics 2', prefix='1 2 3')"_s,
        u"INSERT INTO song_fts(song_fts, rank) VALUES('rank', 'bm25(10.0, 6.0, 4.0, 6.0, 1.0)')"_s,
        u"CREATE TRIGGER song_text_added AFTER INSERT ON song_text BEGIN"
        "  INSERT INTO song_fts(rowid, title, other, authors, numbers, words)"
        "    VALUES (new.row, new.title, new.other, new.authors, new.numbers, new.words);"
        " END"_s,
        u"CREATE TRIGGER song_text_removed AFTER DELETE ON song_text BEGIN"
        "  INSERT INTO song_fts(song_fts, rowid, title, other, authors, numbers, words)"
        "    VALUES ('delete', old.row, old.title, old.other, old.authors, old.numbers, old.words);"
        " END"_s,
        u"CREATE TRIGGER song_text_changed AFTER UPDATE ON song_text BEGIN"
        "  INSERT INTO song_fts(song_fts, rowid, title, other, authors, numbers, words)"
        "    VALUES ('delete', old.row, old.title, old.other, old.authors, old.numbers, old.words);"
        "  INSERT INTO song_fts(rowid, title, other, authors, numbers, words)"
        "    VALUES (new.row, new.title, new.other, new.authors, new.numbers, new.words);"
        " END"_s,
    };
    return statements;
}

/// Earlier versions of songs, and a bin for those that were deleted.
const Migration& historyAndBin() {
    static const Migration statements{
        u"ALTER TABLE song ADD COLUMN deleted_at INTEGER"_s, // ms since 1970, UTC; null = not in the bin
        u"CREATE INDEX song_deleted ON song(deleted_at) WHERE deleted_at IS NOT NULL"_s,
        u"CREATE TABLE song_version ("
        "  song TEXT NOT NULL REFERENCES song(id) ON DELETE CASCADE,"
        "  revision INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL,"
        "  content TEXT NOT NULL,"
        "  PRIMARY KEY (song, revision)) WITHOUT ROWID"_s,
    };
    return statements;
}

/// Topics and licence numbers are searched, too, and every word is at hand for forgiving misspelt ones. The
/// search text is filled again by Library::open.
const Migration& widerSearch() {
    static const Migration statements{
        u"CREATE TABLE pending_work (name TEXT PRIMARY KEY) WITHOUT ROWID"_s, // what Library::open has to do
        u"INSERT INTO pending_work VALUES ('search text')"_s,
        u"DROP TRIGGER song_text_added"_s,
        u"DROP TRIGGER song_text_removed"_s,
        u"DROP TRIGGER song_text_changed"_s,
        u"DROP TABLE song_fts"_s,
        u"DROP TABLE song_text"_s,
        u"CREATE TABLE song_text ("
        "  row INTEGER PRIMARY KEY REFERENCES song(row) ON DELETE CASCADE,"
        "  title TEXT, other TEXT, authors TEXT, numbers TEXT, topics TEXT, words TEXT)"_s,
        u"CREATE VIRTUAL TABLE song_fts USING fts5("
        "  title, other, authors, numbers, topics, words, content='song_text', content_rowid='row',"
        "  tokenize='unicode61 remove_diacritics 2', prefix='1 2 3')"_s,
        u"INSERT INTO song_fts(song_fts, rank) VALUES('rank', 'bm25(100.0, 40.0, 10.0, 20.0, 5.0, 1.0)')"_s,
        u"CREATE VIRTUAL TABLE song_vocabulary USING fts5vocab(song_fts, 'row')"_s,
        u"CREATE TRIGGER song_text_added AFTER INSERT ON song_text BEGIN"
        "  INSERT INTO song_fts(rowid, title, other, authors, numbers, topics, words)"
        "    VALUES (new.row, new.title, new.other, new.authors, new.numbers, new.topics, new.words);"
        " END"_s,
        u"CREATE TRIGGER song_text_removed AFTER DELETE ON song_text BEGIN"
        "  INSERT INTO song_fts(song_fts, rowid, title, other, authors, numbers, topics, words) VALUES"
        "    ('delete', old.row, old.title, old.other, old.authors, old.numbers, old.topics, old.words);"
        " END"_s,
        u"CREATE TRIGGER song_text_changed AFTER UPDATE ON song_text BEGIN"
        "  INSERT INTO song_fts(song_fts, rowid, title, other, authors, numbers, topics, words) VALUES"
        "    ('delete', old.row, old.title, old.other, old.authors, old.numbers, old.topics, old.words);"
        "  INSERT INTO song_fts(rowid, title, other, authors, numbers, topics, words)"
        "    VALUES (new.row, new.title, new.other, new.authors, new.numbers, new.topics, new.words);"
        " END"_s,
    };
    return statements;
}

/// What songs are filtered by, and when they were sung. The facts are filled by Library::open.
const Migration& factsAndUses() {
    static const Migration statements{
        u"CREATE TABLE song_facts (" // of songs outside the bin
        "  row INTEGER PRIMARY KEY REFERENCES song(row) ON DELETE CASCADE,"
        "  language TEXT, key TEXT, topics TEXT, topic_keys TEXT, books TEXT, book_keys TEXT)"_s,
        u"CREATE TABLE song_use ("                                        // stays when the song is gone
        "  song TEXT NOT NULL, service TEXT NOT NULL, day TEXT NOT NULL," // yyyy-mm-dd where it was sung
        "  title TEXT NOT NULL, service_title TEXT NOT NULL, sung_at INTEGER NOT NULL,"
        "  PRIMARY KEY (song, service, day)) WITHOUT ROWID"_s,
        u"INSERT OR REPLACE INTO pending_work VALUES ('search text')"_s,
    };
    return statements;
}

/// Translations with their verses, and spoken texts.
const Migration& scriptureAndTexts() {
    static const Migration statements{
        u"CREATE TABLE translation ("
        "  row INTEGER PRIMARY KEY,"
        "  id TEXT NOT NULL UNIQUE,"
        "  name TEXT NOT NULL,"
        "  short_name TEXT NOT NULL UNIQUE COLLATE NOCASE,"
        "  language TEXT, copyright TEXT, copyright_on TEXT NOT NULL, numbering TEXT NOT NULL,"
        "  outline TEXT NOT NULL," // its books, chapters and verses as JSON
        "  books INTEGER NOT NULL, verses INTEGER NOT NULL,"
        "  first_row INTEGER, last_row INTEGER," // of its verses
        "  is_usual INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL," // ms since 1970, UTC
        "  deleted_at INTEGER)"_s,       // ms since 1970, UTC; null = not in the bin
        u"CREATE TABLE verse ("
        "  row INTEGER PRIMARY KEY,"
        "  translation INTEGER NOT NULL REFERENCES translation(row),"
        "  book TEXT NOT NULL, rank INTEGER NOT NULL," // code, and its place among the books
        "  chapter INTEGER NOT NULL, number INTEGER NOT NULL, last_number INTEGER NOT NULL,"
        "  words TEXT NOT NULL,"
        "  form TEXT)"_s, // its pieces as JSON; null = one plain piece
        u"CREATE INDEX verse_place ON verse(translation, book, chapter, number)"_s,
        u"CREATE VIRTUAL TABLE verse_fts USING fts5(words, content='verse', content_rowid='row',"
        "  tokenize='unicode61 remove_diacritics 2', prefix='2 3')"_s,
        u"CREATE TABLE spoken_text ("
        "  row INTEGER PRIMARY KEY,"
        "  id TEXT NOT NULL UNIQUE,"
        "  revision INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL," // ms since 1970, UTC
        "  title TEXT NOT NULL, title_key TEXT NOT NULL, kind TEXT NOT NULL,"
        "  labels TEXT NOT NULL," // topics and seasons, for searching
        "  words TEXT NOT NULL,"
        "  content TEXT NOT NULL," // the text as JSON
        "  content_hash BLOB NOT NULL,"
        "  source TEXT, source_revision INTEGER,"
        "  deleted_at INTEGER)"_s,
        u"CREATE VIRTUAL TABLE spoken_text_fts USING fts5(title, labels, words, content='spoken_text',"
        "  content_rowid='row', tokenize='unicode61 remove_diacritics 2', prefix='1 2 3')"_s,
        u"INSERT INTO spoken_text_fts(spoken_text_fts, rank) VALUES('rank', 'bm25(20.0, 5.0, 1.0)')"_s,
        u"CREATE TRIGGER spoken_text_added AFTER INSERT ON spoken_text BEGIN"
        "  INSERT INTO spoken_text_fts(rowid, title, labels, words)"
        "    VALUES (new.row, new.title, new.labels, new.words);"
        " END"_s,
        u"CREATE TRIGGER spoken_text_removed AFTER DELETE ON spoken_text BEGIN"
        "  INSERT INTO spoken_text_fts(spoken_text_fts, rowid, title, labels, words)"
        "    VALUES ('delete', old.row, old.title, old.labels, old.words);"
        " END"_s,
        u"CREATE TRIGGER spoken_text_changed AFTER UPDATE OF title, labels, words ON spoken_text BEGIN"
        "  INSERT INTO spoken_text_fts(spoken_text_fts, rowid, title, labels, words)"
        "    VALUES ('delete', old.row, old.title, old.labels, old.words);"
        "  INSERT INTO spoken_text_fts(rowid, title, labels, words)"
        "    VALUES (new.row, new.title, new.labels, new.words);"
        " END"_s,
        u"CREATE TABLE spoken_text_version ("
        "  text TEXT NOT NULL REFERENCES spoken_text(id) ON DELETE CASCADE,"
        "  revision INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL,"
        "  content TEXT NOT NULL,"
        "  PRIMARY KEY (text, revision)) WITHOUT ROWID"_s,
    };
    return statements;
}

const Migration& themesAndPictures() {
    static const Migration statements{
        u"CREATE TABLE theme ("
        "  id TEXT PRIMARY KEY,"
        "  changed_at INTEGER NOT NULL," // ms since 1970, UTC
        "  name TEXT NOT NULL, name_key TEXT NOT NULL,"
        "  content TEXT NOT NULL," // the theme as JSON
        "  shipped_content TEXT,"  // as the program brought it; null for a church's own
        "  is_usual INTEGER NOT NULL DEFAULT 0,"
        "  deleted_at INTEGER) WITHOUT ROWID"_s,
        u"CREATE TABLE picture ("
        "  name TEXT PRIMARY KEY," // of its file in media/
        "  title TEXT NOT NULL,"
        "  added_at INTEGER NOT NULL) WITHOUT ROWID"_s,
    };
    return statements;
}

const Migration& soundsBesidePictures() {
    static const Migration statements{u"ALTER TABLE picture RENAME TO medium"_s};
    return statements;
}

const Migration& whatWasOnScreen() {
    static const Migration statements{
        u"CREATE TABLE take ("
        "  service TEXT NOT NULL, service_title TEXT NOT NULL,"
        "  at INTEGER NOT NULL," // ms since 1970, UTC
        "  item TEXT NOT NULL, subject TEXT NOT NULL, title TEXT NOT NULL, part TEXT NOT NULL)"_s,
        u"CREATE INDEX take_at ON take(at)"_s,
        u"CREATE TABLE item_time ("
        "  subject TEXT NOT NULL, began_at INTEGER NOT NULL, seconds INTEGER NOT NULL)"_s,
        u"CREATE INDEX item_time_subject ON item_time(subject, began_at)"_s,
    };
    return statements;
}

/// Kinds and names stood in subjects as they are shown; now a kind's key and the name that was given stand
/// there, in whatever language the program speaks.
const Migration& subjectsByKey() {
    static const Migration statements = [] {
        Migration all;
        for (const QString& table : {u"take"_s, u"item_time"_s})
            for (
                const QString& change :
                {u"'passage:' || substr(subject, 11) WHERE subject LIKE 'scripture:%'"_s,
                 u"'pictures:' || substr(subject, instr(subject, ':') + 1) WHERE subject LIKE 'picture:%'"
                 " OR subject GLOB '[0-9]* pictures:*'"_s,
                 u"'countdown:' || substr(subject, 13) WHERE subject LIKE 'counts down:%'"_s,
                 u"'countdown:' || substr(subject, 13) WHERE subject GLOB 'until [0-9][0-9]:[0-9][0-9]:*'"_s,
                 u"'pause:' WHERE subject = 'pause:pause'"_s,
                 u"'countdown:' WHERE subject = 'countdown:countdown'"_s,
                 u"'pictures:' WHERE subject = 'pictures:picture' OR subject GLOB 'pictures:[0-9]* pictures'"_s})
                all << u"UPDATE %1 SET subject = %2"_s.arg(table, change);
        return all;
    }();
    return statements;
}

/// Themes have revisions, earlier versions and a bin that can be emptied, as songs and texts do.
const Migration& historyOfThemes() {
    static const Migration statements{
        u"ALTER TABLE theme ADD COLUMN revision INTEGER NOT NULL DEFAULT 1"_s,
        u"CREATE TABLE theme_version ("
        "  theme TEXT NOT NULL REFERENCES theme(id) ON DELETE CASCADE,"
        "  revision INTEGER NOT NULL,"
        "  changed_at INTEGER NOT NULL,"
        "  content TEXT NOT NULL,"
        "  PRIMARY KEY (theme, revision)) WITHOUT ROWID"_s,
        u"CREATE TABLE theme_gone (id TEXT PRIMARY KEY) WITHOUT ROWID"_s, // shipped, not wanted again
    };
    return statements;
}

/// What is known of media, and which services use them.
const Migration& knownMedia() {
    static const Migration statements{
        u"ALTER TABLE medium ADD COLUMN caption TEXT NOT NULL DEFAULT ''"_s,
        u"ALTER TABLE medium ADD COLUMN bytes INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN looked_at INTEGER"_s, // null = nobody has looked at the file yet
        u"ALTER TABLE medium ADD COLUMN width INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN height INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN ms INTEGER NOT NULL DEFAULT 0"_s, // how long it is
        u"ALTER TABLE medium ADD COLUMN has_sound INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN problem TEXT NOT NULL DEFAULT ''"_s,
        u"ALTER TABLE medium ADD COLUMN from_ms INTEGER NOT NULL DEFAULT 0"_s, // the part that is played
        u"ALTER TABLE medium ADD COLUMN to_ms INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN measured_at INTEGER"_s, // null = its loudness is not known
        u"ALTER TABLE medium ADD COLUMN lufs REAL"_s,           // null = it could not be measured
        u"ALTER TABLE medium ADD COLUMN peak REAL"_s,           // dBFS
        u"ALTER TABLE medium ADD COLUMN correction REAL NOT NULL DEFAULT 0"_s, // dB
        u"ALTER TABLE medium ADD COLUMN is_starred INTEGER NOT NULL DEFAULT 0"_s,
        u"ALTER TABLE medium ADD COLUMN deleted_at INTEGER"_s,
        u"CREATE TABLE medium_use ("
        "  name TEXT NOT NULL," // of a medium; it may be gone
        "  service TEXT NOT NULL, service_title TEXT NOT NULL,"
        "  at INTEGER NOT NULL," // ms since 1970, UTC: when it was saved last
        "  PRIMARY KEY (name, service)) WITHOUT ROWID"_s,
    };
    return statements;
}

Result<int> versionOf(Database& database) {
    const auto version =
        database.first(u"PRAGMA user_version"_s, {}, [](const Row& row) { return int(row.number(0)); });
    if (!version)
        return tl::unexpected(version.error());
    return version->value_or(0);
}

} // namespace

const std::vector<Migration>& libraryMigrations() {
    static const std::vector<Migration> migrations{songs(),
                                                   historyAndBin(),
                                                   widerSearch(),
                                                   factsAndUses(),
                                                   scriptureAndTexts(),
                                                   themesAndPictures(),
                                                   soundsBesidePictures(),
                                                   whatWasOnScreen(),
                                                   subjectsByKey(),
                                                   historyOfThemes(),
                                                   knownMedia()};
    return migrations;
}

std::optional<LibraryPart> partOfTable(const QString& table) {
    static const QHash<QString, LibraryPart> parts{
        {u"song"_s, LibraryPart::Songs},        {u"song_text"_s, LibraryPart::Songs},
        {u"song_facts"_s, LibraryPart::Songs},  {u"song_version"_s, LibraryPart::Songs},
        {u"spoken_text"_s, LibraryPart::Texts}, {u"spoken_text_version"_s, LibraryPart::Texts},
        {u"theme"_s, LibraryPart::Themes},      {u"theme_version"_s, LibraryPart::Themes},
        {u"theme_gone"_s, LibraryPart::Themes}, {u"translation"_s, LibraryPart::Scripture},
        {u"verse"_s, LibraryPart::Scripture},   {u"verse_fts"_s, LibraryPart::Scripture},
        {u"medium"_s, LibraryPart::Media},      {u"medium_use"_s, LibraryPart::Media},
        {u"song_use"_s, LibraryPart::History},  {u"take"_s, LibraryPart::History},
        {u"item_time"_s, LibraryPart::History},
    };
    const auto part = parts.constFind(table);
    return part == parts.constEnd() ? std::nullopt : std::optional(*part);
}

Result<void> migrate(Database& database, const std::vector<Migration>& migrations,
                     const QString& libraryFolder) {
    const auto version = versionOf(database);
    if (!version)
        return tl::unexpected(version.error());
    const int latest = int(migrations.size());
    if (*version > latest)
        return failure(
            Said::tr("the library was written by a newer Mivanta (version %1; this one knows up to %2)")
                .arg(QString::number(*version), QString::number(latest)),
            database.path(), Said::tr("Install the newer version on this computer. Nothing was changed."));
    if (*version == latest)
        return {};
    if (*version > 0)
        if (auto done = backUp(database, libraryFolder, Backup::Kind::BeforeMigration); !done)
            return tl::unexpected(done.error());
    // All of them or none: nobody ever sees a library between two versions.
    return database.transaction([&]() -> Result<void> {
        const auto now = versionOf(database); // another program may have been quicker
        if (!now)
            return tl::unexpected(now.error());
        for (int next = *now + 1; next <= latest; ++next) {
            for (const QString& sql : migrations[size_t(next - 1)])
                if (auto ran = database.change(sql); !ran)
                    return ran;
            if (auto counted = database.change(u"PRAGMA user_version=%1"_s.arg(next)); !counted)
                return counted;
        }
        return {};
    });
}

} // namespace mivanta
