// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Scripture.h"
#include "core/base/Fold.h"
#include "core/base/Said.h"
#include "core/order/ServiceBounds.h"
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
    return u"id, name, short_name, language, copyright, copyright_on, numbering"_s; // for machines
}

Translation translationOf(const Row& row, int at = 0) {
    return {TranslationId::fromText(row.text(at)),
            row.text(at + 1),
            row.text(at + 2),
            row.text(at + 3),
            row.text(at + 4),
            valueOf(row.text(at + 5), CopyrightOn::Last),
            valueOf(row.text(at + 6), Numbering::English)};
}

Verse verseOf(const Row& row) {
    Verse verse{BookCode::fromText(row.text(0)).value_or(BookCode()),
                int(row.number(1)),
                int(row.number(2)),
                int(row.number(3)),
                {}};
    const QString form = row.text(5);
    verse.pieces = piecesFromJson(
        form.isEmpty() ? QJsonArray() : QJsonDocument::fromJson(form.toUtf8()).array(), row.text(4));
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
    return m_database.all(u"SELECT "_s + columns() +
                              u", books, verses, is_usual FROM translation WHERE deleted_at IS NULL"
                              " ORDER BY is_usual DESC, name"_s,
                          {}, [](const Row& row) {
                              return TranslationSummary{translationOf(row), int(row.number(7)),
                                                        int(row.number(8)), row.number(9) != 0};
                          });
}

Result<Translation> Scripture::one(const QString& condition, const QVariantList& values) {
    const auto found = m_database.first(u"SELECT "_s + columns() +
                                            u" FROM translation WHERE deleted_at IS NULL AND "_s + condition,
                                        values, [](const Row& row) { return translationOf(row); });
    if (!found)
        return tl::unexpected(found.error());
    if (!*found)
        return failure(Said::tr("there is no such translation in the library"), {},
                       Said::tr("Bring one in first."));
    return **found;
}

Result<Translation> Scripture::translation(const QString& code) {
    if (code.isEmpty()) {
        auto usual = one(u"1 ORDER BY is_usual DESC, row"_s, {});
        return usual ? usual
                     : failure(Said::tr("there is no scripture in the library yet"), {},
                               Said::tr("Bring a translation in first."));
    }
    auto found = one(u"(short_name = ? COLLATE NOCASE OR name = ? COLLATE NOCASE)"_s, {code, code});
    if (found)
        return found;
    QStringList names;
    if (const auto all = translations())
        for (const TranslationSummary& t : *all)
            names << t.translation.shortName;
    return failure(Said::tr("there is no translation \u201c%1\u201d").arg(code), {},
                   names.isEmpty() ? Said::tr("Bring one in first.")
                                   : Said::tr("There are: %1.").arg(names.join(u", "_s)));
}

/// What has a short name: also what lies in the bin keeps its own.
struct Scripture::Holder {
    qint64 row = 0;
    TranslationId id;
    QString name;
    CopyrightOn copyrightOn = CopyrightOn::Last;
    bool isUsual = false;
    bool isInBin = false;
};

Result<std::optional<Scripture::Holder>> Scripture::holderOf(const QString& shortName) {
    return m_database.first(u"SELECT row, id, name, copyright_on, is_usual, deleted_at IS NOT NULL"
                            " FROM translation WHERE short_name = ? COLLATE NOCASE"_s,
                            {shortName}, [](const Row& row) {
                                return Holder{row.number(0),      TranslationId::fromText(row.text(1)),
                                              row.text(2),        valueOf(row.text(3), CopyrightOn::Last),
                                              row.number(4) != 0, row.number(5) != 0};
                            });
}

Result<QString> Scripture::freeName(const QString& shortName) {
    for (int number = 2;; ++number) {
        const QString name = u"%1 %2"_s.arg(shortName).arg(number);
        const auto holder = holderOf(name);
        if (!holder)
            return tl::unexpected(holder.error());
        if (!*holder)
            return name;
    }
}

Result<void> Scripture::replace(const Holder& old, Translation& by) {
    const auto name = freeName(by.shortName);
    if (!name)
        return tl::unexpected(name.error());
    by.id = old.id;
    by.copyrightOn = old.copyrightOn;
    return m_database.change(
        u"UPDATE translation SET id = ?, short_name = ?, is_usual = 0,"
        " deleted_at = coalesce(deleted_at, ?) WHERE row = ?"_s,
        {TranslationId::create().text(), *name, QDateTime::currentMSecsSinceEpoch(), old.row});
}

/// Whether the translation of a row has just these verses.
Result<bool> Scripture::hasVerses(qint64 row, const ScriptureText& text) {
    std::vector<const Verse*> verses;
    for (const ScriptureBook& book : text.books)
        for (const Verse& verse : book.verses)
            verses.push_back(&verse);
    size_t at = 0;
    bool isSame = true;
    auto done = m_database.read(u"SELECT book, chapter, number, last_number, words, form FROM verse"
                                " WHERE translation = ? ORDER BY row"_s,
                                {row}, [&](const Row& stored) {
                                    isSame = at < verses.size() && verseOf(stored) == *verses[at];
                                    ++at;
                                    return isSame;
                                });
    if (!done)
        return tl::unexpected(done.error());
    return isSame && at == verses.size();
}

Result<Translation> Scripture::store(const ScriptureText& text, SameShortName same,
                                     const std::function<bool(int, int)>& progress) {
    Translation stored = text.details;
    if (stored.shortName.isEmpty())
        stored.shortName = shortened(stored.name);
    stored.id = TranslationId::create();
    const auto work = [&]() -> Result<void> {
        const auto holder = holderOf(stored.shortName);
        if (!holder)
            return tl::unexpected(holder.error());
        bool isUsual = *holder && (*holder)->isUsual;
        if (*holder && (same == SameShortName::Replace ||
                        (*holder)->name.compare(stored.name, Qt::CaseInsensitive) == 0)) {
            const auto isSame = (*holder)->isInBin ? Result<bool>(false) : hasVerses((*holder)->row, text);
            if (!isSame)
                return tl::unexpected(isSame.error());
            if (*isSame) { // no copy of it into the bin
                stored.id = (*holder)->id;
                stored.name = (*holder)->name;
                stored.copyrightOn = (*holder)->copyrightOn;
                return m_database.change(
                    u"UPDATE translation SET language = ?, copyright = ?, changed_at = ? WHERE row = ?"_s,
                    {stored.language, stored.copyright, QDateTime::currentMSecsSinceEpoch(), (*holder)->row});
            }
            if (auto done = replace(**holder, stored); !done)
                return done;
        } else {
            const auto usual = m_database.first(u"SELECT 1 FROM translation WHERE is_usual"_s, {},
                                                [](const Row&) { return true; });
            if (!usual)
                return tl::unexpected(usual.error());
            isUsual = !*usual;
            if (*holder) {
                const auto name = freeName(stored.shortName);
                if (!name)
                    return tl::unexpected(name.error());
                stored.shortName = *name;
            }
        }
        const auto row = m_database.first(u"SELECT coalesce(max(row), 0) + 1 FROM translation"_s, {},
                                          [](const Row& at) { return at.number(0); });
        if (!row)
            return tl::unexpected(row.error());
        if (auto done = m_database.change(
                u"INSERT INTO translation(row, id, name, short_name, language, copyright, copyright_on,"
                " numbering, outline, books, verses, is_usual, changed_at)"
                " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"_s,
                {row->value_or(1), stored.id.text(), stored.name, stored.shortName, stored.language,
                 stored.copyright, nameOf(stored.copyrightOn), nameOf(stored.numbering),
                 QString::fromUtf8(jsonText(outlineToJson(text.outline()))), int(text.books.size()),
                 text.verseCount(), isUsual ? 1 : 0, QDateTime::currentMSecsSinceEpoch()});
            !done)
            return done;
        return storeVerses(row->value_or(1), text, progress);
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
    const auto free = m_database.first(u"SELECT coalesce(max(row), 0) + 1 FROM verse"_s, {},
                                       [](const Row& at) { return at.number(0); });
    if (!free)
        return tl::unexpected(free.error());
    const qint64 first = free->value_or(1);
    qint64 next = first;
    const int total = text.verseCount();
    for (const ScriptureBook& book : text.books)
        for (const Verse& verse : book.verses) {
            const int done = int(next - first);
            if (progress && done % kProgressEvery == 0 && !progress(done, total))
                return failure(Said::tr("bringing in was stopped; nothing was changed"));
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
        return failure(Said::tr("a translation needs a name and a short name"), {},
                       Said::tr("Fill in both."));
    const auto holder = holderOf(t.shortName);
    if (!holder)
        return tl::unexpected(holder.error());
    if (*holder && !((*holder)->id == t.id))
        return failure(
            (*holder)->isInBin
                ? Said::tr("\u201c%1\u201d, which is in the bin, has the short name %2")
                      .arg((*holder)->name, t.shortName)
                : Said::tr("\u201c%1\u201d has the short name %2 already").arg((*holder)->name, t.shortName),
            {}, Said::tr("Choose another short name."));
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
    return m_database.all(u"SELECT "_s + columns() +
                              u" FROM translation WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC"_s,
                          {}, [](const Row& row) { return translationOf(row); });
}

Result<int> Scripture::emptyBin() {
    std::vector<qint64> gone;
    const auto work = [&]() -> Result<void> {
        auto rows = m_database.all(u"SELECT row FROM translation WHERE deleted_at IS NOT NULL"_s, {},
                                   [](const Row& row) { return row.number(0); });
        if (!rows)
            return tl::unexpected(rows.error());
        gone = std::move(*rows);
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
    const auto changedAt = m_database.first(u"SELECT changed_at FROM translation WHERE id = ?"_s, {id.text()},
                                            [](const Row& row) { return row.number(0); });
    if (!changedAt)
        return tl::unexpected(changedAt.error());
    if (!*changedAt)
        return failure(Said::tr("this translation is not in the library any more"), {},
                       Said::tr("Choose another one."));
    if (const auto kept = m_outlines.constFind(id); kept != m_outlines.cend() && kept->first == **changedAt)
        return kept->second;
    const auto outline =
        m_database.first(u"SELECT outline, short_name, language FROM translation WHERE id = ?"_s, {id.text()},
                         [](const Row& row) {
                             Outline read =
                                 outlineFromJson(QJsonDocument::fromJson(row.text(0).toUtf8()).object());
                             read.translation = row.text(1);
                             read.language = row.text(2);
                             return read;
                         });
    if (!outline)
        return tl::unexpected(outline.error());
    m_outlines.insert(id, {**changedAt, outline->value_or(Outline())});
    return outline->value_or(Outline());
}

Result<std::vector<Verse>> Scripture::chapters(const TranslationId& id, BookCode book, int from, int to) {
    return m_database.all(u"SELECT v.book, v.chapter, v.number, v.last_number, v.words, v.form"
                          " FROM translation t JOIN verse v ON v.translation = t.row"
                          " WHERE t.id = ? AND v.book = ? AND v.chapter BETWEEN ? AND ?"
                          " ORDER BY v.chapter, v.number"_s,
                          {id.text(), book.text(), from, to}, [](const Row& row) { return verseOf(row); });
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
        return failure(Said::tr("%1 is not in %2").arg(words.reference, translation->shortName), {},
                       Said::tr("Choose another passage or another translation."));
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
    if (const QString excess = excessOf(passage); !excess.isEmpty())
        return failure(Said::tr("%1 has %2").arg(passage.title(), excess), {},
                       Said::tr("Choose less of it at a time."));
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
    const auto rows =
        m_database.first(in.isNull() ? u"SELECT 0, 0 FROM translation WHERE deleted_at IS NOT NULL"_s
                                     : u"SELECT first_row, last_row FROM translation WHERE id = ?"_s,
                         in.isNull() ? QVariantList() : QVariantList{in.text()},
                         [](const Row& row) { return std::pair(row.number(0), row.number(1)); });
    if (!rows)
        return tl::unexpected(rows.error());
    if (!in.isNull()) {
        if (!*rows)
            return hits;
        range = u" AND rowid BETWEEN ? AND ?"_s;
        values << (*rows)->first << (*rows)->second;
    } else if (!*rows) {
        range.clear(); // nothing lies in the bin
    }
    values << limit;
    const QStringList words = searchWords(query);
    const QString phrase = u' ' + words.join(u' ');
    std::vector<VerseHit> others;
    auto done = m_database.read(
        u"SELECT t.id, t.short_name, v.book, v.chapter, v.number, v.last_number, v.words, f.rowid FROM"
        " (SELECT rowid, rank FROM verse_fts WHERE verse_fts MATCH ?"_s +
            range +
            u" ORDER BY rank LIMIT ?) f JOIN verse v ON v.row = f.rowid JOIN translation t ON t.row = "
            u"v.translation"
            " ORDER BY f.rank"_s,
        values, [&](const Row& row) {
            VerseHit hit{TranslationId::fromText(row.text(0)),
                         row.text(1),
                         BookCode::fromText(row.text(2)).value_or(BookCode()),
                         {},
                         int(row.number(3)),
                         int(row.number(4)),
                         int(row.number(5)),
                         row.text(6),
                         words};
            const bool isPhrase = (u' ' + searchWords(hit.words).join(u' ')).contains(phrase);
            (isPhrase ? hits : others).push_back(std::move(hit));
            return true;
        });
    if (!done)
        return tl::unexpected(done.error());
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
