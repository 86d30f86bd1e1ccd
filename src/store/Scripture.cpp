// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Scripture.h"
#include "core/base/Fold.h"
#include "formats/JsonNames.h"
#include "formats/PassageJson.h"
#include "store/Database.h"
#include <QDateTime>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kProgressEvery = 500; // verses

QString columns() {
    return u"id, name, short_name, language, copyright, copyright_on, numbering"_s;
}

Translation translationOf(const Rows& rows, int at = 0) {
    return {TranslationId::fromText(rows.text(at)),
            rows.text(at + 1),
            rows.text(at + 2),
            rows.text(at + 3),
            rows.text(at + 4),
            valueOf(rows.text(at + 5), CopyrightOn::Last),
            valueOf(rows.text(at + 6), Numbering::English)};
}

Verse verseOf(const Rows& rows) {
    Verse verse{BookCode::fromText(rows.text(0)).value_or(BookCode()),
                int(rows.number(1)),
                int(rows.number(2)),
                int(rows.number(3)),
                {}};
    const QString form = rows.text(5);
    verse.pieces = piecesFromJson(
        form.isEmpty() ? QJsonArray() : QJsonDocument::fromJson(form.toUtf8()).array(), rows.text(4));
    return verse;
}

QByteArray jsonText(const QJsonObject& object) {
    return QJsonDocument(object).toJson(QJsonDocument::Compact);
}

/// "QST" of "Quayside Sample Text", or the name's first letters.
QString shortened(const QString& name) {
    QString initials;
    for (const QString& word : name.split(u' ', Qt::SkipEmptyParts))
        if (word[0].isLetterOrNumber())
            initials += word[0].toUpper();
    return initials.size() > 1 ? initials : name.left(6);
}

} // namespace

QString VerseHit::place() const {
    const QString verses =
        lastNumber > number ? u"%1\u2013%2"_s.arg(number).arg(lastNumber) : QString::number(number);
    const QString name = bookName == u"Psalms" ? u"Psalm"_s : bookName;
    return u"%1 %2:%3"_s.arg(name, QString::number(chapter), verses);
}

Result<std::vector<TranslationSummary>> Scripture::translations() {
    auto rows = m_database.select(u"SELECT "_s + columns() +
                                  u", books, verses, is_usual FROM translation WHERE deleted_at IS NULL"
                                  " ORDER BY is_usual DESC, name"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<TranslationSummary> result;
    while (rows->next())
        result.push_back(
            {translationOf(*rows), int(rows->number(7)), int(rows->number(8)), rows->number(9) != 0});
    return result;
}

Result<Translation> Scripture::one(const QString& condition, const QVariantList& values) {
    auto rows =
        m_database.select(u"SELECT "_s + columns() + u" FROM translation WHERE deleted_at IS NULL AND "_s +
                              condition + u" LIMIT 1"_s,
                          values);
    if (!rows)
        return tl::unexpected(rows.error());
    if (!rows->next())
        return failure(u"there is no such translation in the library"_s, {}, u"Bring one in first."_s);
    return translationOf(*rows);
}

Result<Translation> Scripture::translation(const QString& code) {
    if (code.isEmpty()) {
        auto usual = one(u"1 ORDER BY is_usual DESC, row"_s, {});
        return usual ? usual
                     : failure(u"there is no scripture in the library yet"_s, {},
                               u"Bring a translation in first."_s);
    }
    auto found = one(u"(short_name = ? COLLATE NOCASE OR name = ? COLLATE NOCASE)"_s, {code, code});
    if (found)
        return found;
    QStringList names;
    if (const auto all = translations())
        for (const TranslationSummary& t : *all)
            names << t.translation.shortName;
    return failure(u"there is no translation \u201c%1\u201d"_s.arg(code), {},
                   names.isEmpty() ? u"Bring one in first."_s : u"There are: %1."_s.arg(names.join(u", "_s)));
}

Result<Translation> Scripture::store(const ScriptureText& text,
                                     const std::function<bool(int, int)>& progress) {
    Translation stored = text.details;
    if (stored.shortName.isEmpty())
        stored.shortName = shortened(stored.name);
    stored.id = TranslationId::create();
    bool isUsual = true;
    const auto work = [&]() -> Result<void> {
        std::optional<qint64> row;
        {
            auto same = m_database.select(u"SELECT row, id, copyright_on, is_usual FROM translation"
                                          " WHERE short_name = ? COLLATE NOCASE"_s,
                                          {stored.shortName});
            if (!same)
                return tl::unexpected(same.error());
            if (same->next()) {
                row = same->number(0);
                stored.id = TranslationId::fromText(same->text(1));
                stored.copyrightOn = valueOf(same->text(2), stored.copyrightOn);
                isUsual = same->number(3) != 0;
            }
        }
        if (!row) {
            auto rows = m_database.select(
                u"SELECT coalesce(max(row), 0) + 1, coalesce(max(is_usual), 0) FROM translation"_s);
            if (!rows)
                return tl::unexpected(rows.error());
            static_cast<void>(rows->next());
            row = rows->number(0);
            isUsual = rows->number(1) == 0;
        } else if (auto removed = removeVerses(*row); !removed) {
            return removed;
        }
        if (auto done = m_database.change(
                u"INSERT OR REPLACE INTO translation(row, id, name, short_name, language, copyright, "
                u"copyright_on,"
                " numbering, outline, books, verses, is_usual, changed_at)"
                " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"_s,
                {*row, stored.id.text(), stored.name, stored.shortName, stored.language, stored.copyright,
                 nameOf(stored.copyrightOn), nameOf(stored.numbering),
                 QString::fromUtf8(jsonText(outlineToJson(text.outline()))), int(text.books.size()),
                 text.verseCount(), isUsual ? 1 : 0, QDateTime::currentMSecsSinceEpoch()});
            !done)
            return done;
        return storeVerses(*row, text, progress);
    };
    if (auto done = m_database.transaction(work); !done)
        return tl::unexpected(done.error());
    return stored;
}

Result<void> Scripture::removeVerses(qint64 row) {
    if (auto done = m_database.change(u"INSERT INTO verse_fts(verse_fts, rowid, words)"
                                      " SELECT 'delete', row, words FROM verse WHERE translation = ?"_s,
                                      {row});
        !done)
        return done;
    return m_database.change(u"DELETE FROM verse WHERE translation = ?"_s, {row});
}

/// Rows of a translation follow one another, so that a search in it is a range of them.
Result<void> Scripture::storeVerses(qint64 row, const ScriptureText& text,
                                    const std::function<bool(int, int)>& progress) {
    qint64 first = 0;
    {
        auto rows = m_database.select(u"SELECT coalesce(max(row), 0) + 1 FROM verse"_s);
        if (!rows)
            return tl::unexpected(rows.error());
        first = rows->next() ? rows->number(0) : 1;
    }
    qint64 next = first;
    const int total = text.verseCount();
    for (const ScriptureBook& book : text.books)
        for (const Verse& verse : book.verses) {
            const int done = int(next - first);
            if (progress && done % kProgressEvery == 0 && !progress(done, total))
                return failure(u"bringing in was stopped; nothing was changed"_s);
            const QJsonArray pieces = piecesToJson(verse);
            if (auto added = m_database.change(
                    u"INSERT INTO verse(row, translation, book, rank, chapter, number, last_number, words, "
                    u"form)"
                    " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)"_s,
                    {next, row, verse.book.text(), verse.book.rank(), verse.chapter, verse.number,
                     verse.lastNumber, verse.words(),
                     pieces.isEmpty()
                         ? QVariant()
                         : QString::fromUtf8(QJsonDocument(pieces).toJson(QJsonDocument::Compact))});
                !added)
                return added;
            ++next;
        }
    if (auto done = m_database.change(u"UPDATE translation SET first_row = ?, last_row = ? WHERE row = ?"_s,
                                      {first, next - 1, row});
        !done)
        return done;
    return m_database.change(
        u"INSERT INTO verse_fts(rowid, words) SELECT row, words FROM verse WHERE row >= ? AND row < ?"_s,
        {first, next});
}

Result<void> Scripture::setDetails(const Translation& t) {
    if (t.name.trimmed().isEmpty() || t.shortName.trimmed().isEmpty())
        return failure(u"a translation needs a name and a short name"_s, {}, u"Fill in both."_s);
    {
        auto rows = m_database.select(
            u"SELECT name FROM translation WHERE short_name = ? COLLATE NOCASE AND id <> ?"_s,
            {t.shortName, t.id.text()});
        if (!rows)
            return tl::unexpected(rows.error());
        if (rows->next())
            return failure(u"\u201c%1\u201d has the short name %2 already"_s.arg(rows->text(0), t.shortName),
                           {}, u"Choose another short name."_s);
    }
    return m_database.change(u"UPDATE translation SET name = ?, short_name = ?, language = ?, copyright = ?,"
                             " copyright_on = ?, numbering = ?, changed_at = ? WHERE id = ?"_s,
                             {t.name, t.shortName, t.language, t.copyright, nameOf(t.copyrightOn),
                              nameOf(t.numbering), QDateTime::currentMSecsSinceEpoch(), t.id.text()});
}

Result<void> Scripture::setUsual(const TranslationId& id) {
    return m_database.change(u"UPDATE translation SET is_usual = (id = ?)"_s, {id.text()});
}

Result<void> Scripture::putInBin(const TranslationId& id) {
    return m_database.change(u"UPDATE translation SET deleted_at = ? WHERE id = ?"_s,
                             {QDateTime::currentMSecsSinceEpoch(), id.text()});
}

Result<void> Scripture::takeFromBin(const TranslationId& id) {
    return m_database.change(u"UPDATE translation SET deleted_at = NULL WHERE id = ?"_s, {id.text()});
}

Result<std::vector<Translation>> Scripture::bin() {
    auto rows =
        m_database.select(u"SELECT "_s + columns() +
                          u" FROM translation WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<Translation> result;
    while (rows->next())
        result.push_back(translationOf(*rows));
    return result;
}

Result<int> Scripture::emptyBin() {
    std::vector<qint64> gone;
    const auto work = [&]() -> Result<void> {
        {
            auto rows = m_database.select(u"SELECT row FROM translation WHERE deleted_at IS NOT NULL"_s);
            if (!rows)
                return tl::unexpected(rows.error());
            while (rows->next())
                gone.push_back(rows->number(0));
        }
        for (const qint64 row : gone) {
            if (auto done = removeVerses(row); !done)
                return done;
            if (auto done = m_database.change(u"DELETE FROM translation WHERE row = ?"_s, {row}); !done)
                return done;
        }
        return {};
    };
    if (auto done = m_database.transaction(work); !done)
        return tl::unexpected(done.error());
    return int(gone.size());
}

Result<Outline> Scripture::outline(const TranslationId& id) {
    qint64 changedAt = 0;
    {
        auto rows = m_database.select(u"SELECT changed_at FROM translation WHERE id = ?"_s, {id.text()});
        if (!rows)
            return tl::unexpected(rows.error());
        if (!rows->next())
            return failure(u"this translation is not in the library any more"_s, {},
                           u"Choose another one."_s);
        changedAt = rows->number(0);
    }
    auto& kept = m_outlines[id];
    if (kept.first == changedAt)
        return kept.second;
    auto rows = m_database.select(u"SELECT outline, short_name, language FROM translation WHERE id = ?"_s,
                                  {id.text()});
    if (!rows)
        return tl::unexpected(rows.error());
    static_cast<void>(rows->next());
    Outline outline = outlineFromJson(QJsonDocument::fromJson(rows->text(0).toUtf8()).object());
    outline.translation = rows->text(1);
    outline.language = rows->text(2);
    kept = {changedAt, outline};
    return outline;
}

Result<std::vector<Verse>> Scripture::chapters(const TranslationId& id, BookCode book, int from, int to) {
    auto rows = m_database.select(u"SELECT v.book, v.chapter, v.number, v.last_number, v.words, v.form"
                                  " FROM translation t JOIN verse v ON v.translation = t.row"
                                  " WHERE t.id = ? AND v.book = ? AND v.chapter BETWEEN ? AND ?"
                                  " ORDER BY v.chapter, v.number"_s,
                                  {id.text(), book.text(), from, to});
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<Verse> verses;
    while (rows->next())
        verses.push_back(verseOf(*rows));
    return verses;
}

Result<PassageWords> Scripture::words(const TranslationId& id, const Reference& reference) {
    auto translation = one(u"id = ?"_s, {id.text()});
    if (!translation)
        return tl::unexpected(translation.error());
    const auto outline = this->outline(id);
    if (!outline)
        return tl::unexpected(outline.error());
    PassageWords words{*translation, referenceText(reference, *outline), {}, {}};
    for (const VerseRange& range : reference.ranges) {
        const auto verses = chapters(id, range.book, range.from.chapter, range.to.chapter);
        if (!verses)
            return tl::unexpected(verses.error());
        const auto wanted = versesIn(range, *verses);
        if (!wanted.empty())
            words.rangeStarts.push_back(int(words.verses.size()));
        words.verses.insert(words.verses.end(), wanted.begin(), wanted.end());
    }
    if (words.verses.empty())
        return failure(u"%1 is not in %2"_s.arg(words.reference, translation->shortName), {},
                       u"Choose another passage or another translation."_s);
    return words;
}

Result<Passage> Scripture::passage(const std::vector<TranslationId>& ids, const Reference& reference,
                                   const PassageLayout& layout) {
    Passage passage{reference, {}, layout};
    for (const TranslationId& id : ids) {
        Reference own = reference;
        if (!passage.words.empty()) {
            const Translation& first = passage.words.front().translation;
            const auto other = one(u"id = ?"_s, {id.text()});
            const auto outline = this->outline(first.id);
            if (other && outline)
                own = inNumbering(reference, first.numbering, other->numbering, *outline);
        }
        auto words = this->words(id, own);
        if (!words)
            return tl::unexpected(words.error());
        passage.words.push_back(std::move(*words));
    }
    return passage;
}

QString verseExpression(const QString& query, WordSearch how) {
    const QStringList words = searchWords(query);
    if (words.isEmpty())
        return {};
    if (how == WordSearch::Phrase)
        return u'"' + words.join(u' ') + u"\"*"_s;
    QStringList quoted;
    for (const QString& word : words)
        quoted << u'"' + word + u'"';
    if (how == WordSearch::Near && words.size() > 1)
        return u"NEAR("_s + quoted.join(u' ') + u", 10)"_s;
    quoted.last() += u'*';
    return quoted.join(u" AND "_s);
}

Result<std::vector<VerseHit>> Scripture::find(const QString& query, WordSearch how, const TranslationId& in,
                                              int limit) {
    const QString expression = verseExpression(query, how);
    std::vector<VerseHit> hits;
    if (expression.isEmpty())
        return hits;
    QVariantList values{expression};
    QString range =
        u" AND rowid NOT IN (SELECT v.row FROM verse v JOIN translation t ON t.row = v.translation"
        " WHERE t.deleted_at IS NOT NULL)"_s;
    auto rows =
        m_database.select(in.isNull() ? u"SELECT 1 FROM translation WHERE deleted_at IS NOT NULL LIMIT 1"_s
                                      : u"SELECT first_row, last_row FROM translation WHERE id = ?"_s,
                          in.isNull() ? QVariantList() : QVariantList{in.text()});
    if (!rows)
        return tl::unexpected(rows.error());
    const bool found = rows->next();
    if (!in.isNull()) {
        if (!found)
            return hits;
        range = u" AND rowid BETWEEN ? AND ?"_s;
        values << rows->number(0) << rows->number(1);
    } else if (!found) {
        range.clear();
    }
    values << limit;
    auto verses = m_database.select(
        u"SELECT t.id, t.short_name, v.book, v.chapter, v.number, v.last_number, v.words, f.rowid FROM"
        " (SELECT rowid, rank FROM verse_fts WHERE verse_fts MATCH ?"_s +
            range +
            u" ORDER BY rank LIMIT ?) f JOIN verse v ON v.row = f.rowid JOIN translation t ON t.row = "
            u"v.translation"
            " ORDER BY f.rank"_s,
        values);
    if (!verses)
        return tl::unexpected(verses.error());
    const QStringList words = searchWords(query);
    const QString phrase = u' ' + words.join(u' ');
    std::vector<VerseHit> others;
    while (verses->next()) {
        VerseHit hit{TranslationId::fromText(verses->text(0)),
                     verses->text(1),
                     BookCode::fromText(verses->text(2)).value_or(BookCode()),
                     {},
                     int(verses->number(3)),
                     int(verses->number(4)),
                     int(verses->number(5)),
                     verses->text(6),
                     words};
        const bool isPhrase = (u' ' + searchWords(hit.words).join(u' ')).contains(phrase);
        (isPhrase ? hits : others).push_back(std::move(hit));
    }
    hits.insert(hits.end(), std::make_move_iterator(others.begin()), std::make_move_iterator(others.end()));
    QHash<TranslationId, Outline> outlines;
    for (VerseHit& hit : hits) {
        auto& outline = outlines[hit.translation];
        if (outline.books.empty())
            if (auto loaded = this->outline(hit.translation))
                outline = std::move(*loaded);
        const OutlineBook* book = outline.book(hit.book);
        hit.bookName = book ? book->name : englishName(hit.book);
    }
    return hits;
}

} // namespace mivanta
