// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SongSearch.h"
#include "core/base/Fold.h"
#include "core/base/Spelling.h"
#include "store/Database.h"
#include <QSet>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kLongestQuery = 2000; ///< letters; the rest is not looked at

constexpr qsizetype kMostSpellings = 8; ///< for one misspelt word

/// True when each term begins a word of the text.
template <typename Terms, typename Begins>
bool holdsAll(const Terms& terms, const QString& text, Begins begins) {
    const QString spaced = u' ' + QString(text).replace(u'\n', u' ');
    return std::all_of(terms.begin(), terms.end(), [&](const auto& term) { return begins(term, spaced); });
}

/// "Shore Hymnal 203" is also found as "SH 203" and "sh203".
QString numberText(const BookNumber& book) {
    QString initials;
    for (const QString& word : book.book.split(u' ', Qt::SkipEmptyParts))
        initials += word[0];
    return u"%1 %2\n%3 %2 %3%2"_s.arg(book.book, book.number, initials);
}

QString folded(const QStringList& lines) {
    return foldedForSearch(lines.join(u'\n'));
}

} // namespace

QStringList SongSearch::searchText(const Song& song) {
    QStringList numbers;
    for (const BookNumber& book : song.bookNumbers)
        numbers << numberText(book);
    if (!song.licenceNumber.isEmpty()) {
        numbers << song.licenceNumber;
        numbers << QString(song.licenceNumber).remove(u' ');
    }
    QStringList lines;
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            if (!line.words.isEmpty())
                lines << line.words;
    return {foldedForSearch(song.title), folded(song.otherTitles),
            folded(song.authorNames()),  folded(numbers),
            folded(song.topics),         folded(lines)};
}

Result<std::vector<SongHit>> SongSearch::find(const QString& query, int limit, const SongFilter& filter) {
    std::vector<Term> terms;
    constexpr size_t kMostWords = 24; // of a whole stanza that was pasted, the first ones find it
    const QStringList typed = searchWords(query.left(kLongestQuery));
    for (const QString& word : typed)
        if (terms.size() < kMostWords)
            terms.push_back({word, {}});
    if (terms.empty())
        return std::vector<SongHit>();
    auto hits = findTerms(terms, limit, filter);
    for (const bool all : {false, true}) { // first the words that nobody wrote, then every long one
        if (!hits || !hits->empty())
            return hits;
        const auto forgiven = forgive(terms, all);
        if (!forgiven)
            return tl::unexpected(forgiven.error());
        if (*forgiven)
            hits = findTerms(terms, limit, filter);
    }
    return hits;
}

Result<std::vector<SongHit>> SongSearch::findTerms(const std::vector<Term>& terms, int limit,
                                                   const SongFilter& filter) {
    QStringList expression;
    QStringList words;
    QStringList marked;
    for (const Term& term : terms) {
        words << term.word;
        QStringList either;
        if (term.spelled.isEmpty()) {
            either << u'"' + term.word + u"\"*"_s;
            marked << term.word;
        }
        for (const QString& spelled : term.spelled)
            either << u'"' + spelled + u'"';
        marked << term.spelled;
        expression << (either.size() == 1 ? either.front() : u'(' + either.join(u" OR "_s) + u')');
    }
    const QString key = words.join(u' ');
    const auto begins = [](const Term& term, const QString& spaced) {
        if (term.spelled.isEmpty())
            return spaced.contains(u' ' + term.word);
        return std::any_of(term.spelled.begin(), term.spelled.end(),
                           [&](const QString& word) { return spaced.contains(u' ' + word); });
    };
    const auto tierOf = [&](const QString& titleKey, const Row& row) {
        if (titleKey == key)
            return 0;
        for (int column = 0; column < 4; ++column) // title, other titles, numbers, authors and topics
            if (holdsAll(terms, row.text(5 + column), begins))
                return 1 + column;
        const QString words = row.text(9);
        if (holdsAll(terms, words.section(u'\n', 0, 0), begins))
            return 5;
        return QString(words).replace(u'\n', u' ').contains(key) ? 6 : 7;
    };

    QSet<SongId> seen;
    std::vector<std::pair<int, SongHit>> found;
    const auto add = [&](const Row& row) {
        const SongId id = SongId::fromText(row.text(0));
        if (seen.contains(id))
            return true;
        seen.insert(id);
        SongHit hit{{id, row.text(1), row.text(2), row.text(3)}, {}, marked};
        // The line that holds the most of the words, unless the title says it all.
        const QStringList lines = row.text(4).split(u'\n');
        const QStringList foldedLines = row.text(9).split(u'\n');
        qsizetype most = 0;
        for (qsizetype i = 0; i < std::min(lines.size(), foldedLines.size()); ++i) {
            const QString spaced = u' ' + foldedLines[i];
            const auto held = std::count_if(terms.begin(), terms.end(),
                                            [&](const Term& term) { return begins(term, spaced); });
            if (held > most) {
                most = held;
                hit.matchingLine = lines[i];
            }
        }
        found.emplace_back(tierOf(row.text(10), row), std::move(hit));
        return true;
    };
    const QString columns =
        u"SELECT s.id, s.title, s.first_line, s.number, s.lines, t.title, t.other, t.numbers,"
        " t.authors || ' ' || t.topics, t.words, s.title_key"_s;
    const auto [condition, passing] = filter.condition();
    const auto also = [&condition = condition](const QString& rowColumn) {
        return condition.isEmpty() ? QString() : u" AND "_s + rowColumn + condition.mid(3);
    };
    if (auto done = m_database.read(columns +
                                        u" FROM song s JOIN song_text t ON t.row = s.row"
                                        " WHERE s.title_key >= ? AND s.title_key < ?"_s +
                                        also(u"s.row"_s) + u" ORDER BY s.title_key LIMIT 10"_s,
                                    QVariantList{key, key + QChar(0xffff)} + passing, add);
        !done)
        return tl::unexpected(done.error());
    auto ranked = m_database.read(
        columns + u" FROM (SELECT rowid, rank FROM song_fts WHERE song_fts MATCH ?"_s + also(u"rowid"_s) +
            u" ORDER BY rank LIMIT ?) f"
            " JOIN song s ON s.row = f.rowid JOIN song_text t ON t.row = s.row ORDER BY f.rank"_s,
        QVariantList{expression.join(u" AND "_s)} + passing + QVariantList{limit}, add);
    if (!ranked)
        return tl::unexpected(ranked.error());
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<SongHit> hits;
    for (auto& [tier, hit] : found)
        if (int(hits.size()) < limit)
            hits.push_back(std::move(hit));
    return hits;
}

Result<void> SongSearch::loadVocabulary() {
    const auto state = m_database.first(u"SELECT coalesce(max(changed_at), 0) + count(*) + "
                                        "coalesce(sum(deleted_at IS NOT NULL), 0) FROM song"_s,
                                        {}, [](const Row& row) { return row.number(0); });
    if (!state)
        return tl::unexpected(state.error());
    if (*state == m_vocabularyOf)
        return {};
    m_vocabularyOf.reset();
    m_vocabulary.clear();
    m_counts.clear();
    if (auto done = m_database.read(u"SELECT term, doc FROM song_vocabulary ORDER BY term"_s, {},
                                    [&](const Row& row) {
                                        m_vocabulary.push_back(row.text(0));
                                        m_counts.push_back(int(row.number(1)));
                                        return true;
                                    });
        !done)
        return done;
    m_vocabularyOf = *state;
    return {};
}

bool SongSearch::isKnown(const QString& word) const {
    const auto at = std::lower_bound(m_vocabulary.begin(), m_vocabulary.end(), word);
    return at != m_vocabulary.end() && at->startsWith(word);
}

/// Looks for what the words may be misspelt for. False when there is nothing new to look for.
Result<bool> SongSearch::forgive(std::vector<Term>& terms, bool all) {
    if (auto loaded = loadVocabulary(); !loaded)
        return tl::unexpected(loaded.error());
    bool isNew = false;
    for (Term& term : terms) {
        const int most = forgivenLetters(term.word.size());
        if (most == 0 || !term.spelled.isEmpty() || (!all && isKnown(term.word)))
            continue;
        std::vector<std::tuple<int, int, QString>> near; // letters wrong, songs (negative), word
        for (size_t i = 0; i < m_vocabulary.size(); ++i)
            if (const int wrong = spellingDistance(term.word, m_vocabulary[i], most); wrong <= most)
                near.emplace_back(wrong, -m_counts[i], m_vocabulary[i]);
        std::sort(near.begin(), near.end());
        for (const auto& [wrong, songs, word] : near)
            if (term.spelled.size() < kMostSpellings)
                term.spelled << word;
        isNew = isNew || !term.spelled.isEmpty();
    }
    return isNew;
}

} // namespace mivanta
