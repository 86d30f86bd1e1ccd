// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/TwinFinder.h"
#include "core/base/Fold.h"
#include "store/Database.h"
#include "store/Library.h"
#include <QSet>
#include <set>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr size_t kSketch = 8;  ///< hashes a song; two songs that are 60% the same share one as good as always
constexpr size_t kPhrases = 6; ///< looked for in the library
constexpr int kPhraseWords = 4;   ///< in each
constexpr int kMostCompared = 12; ///< songs of the library
constexpr std::ptrdiff_t kMostSeen = 32;

QString titleKey(const Song& song) {
    return foldedForSearch(song.title).trimmed();
}

/// A few phrases from lines all over the song.
QStringList phrasesOf(const Song& song) {
    QStringList phrases;
    for (const Part& part : song.parts)
        for (const Line& line : part.lines) {
            const QStringList words = searchWords(line.words);
            if (words.size() >= kPhraseWords)
                phrases << words.mid((words.size() - kPhraseWords) / 2, kPhraseWords).join(u' ');
        }
    phrases.removeDuplicates();
    QStringList chosen;
    const size_t count = std::min(kPhrases, size_t(phrases.size()));
    for (size_t i = 0; i < count; ++i)
        chosen << phrases[qsizetype(i * size_t(phrases.size()) / count)];
    return chosen;
}

} // namespace

Result<std::vector<SongId>> TwinFinder::candidates(const Song& song) {
    std::vector<SongId> ids;
    const auto add = [&](const QString& sql, const QVariantList& values) {
        return m_library.database().read(sql, values, [&](const Row& row) {
            ids.push_back(SongId::fromText(row.text(0)));
            return true;
        });
    };
    QStringList phrases;
    for (const QString& phrase : phrasesOf(song))
        phrases << u"words : \""_s + phrase + u'"';
    if (!phrases.isEmpty())
        if (auto done = add(u"SELECT s.id FROM (SELECT rowid, rank FROM song_fts"
                            " WHERE song_fts MATCH ? ORDER BY rank LIMIT ?) f"
                            " JOIN song s ON s.row = f.rowid"_s,
                            {phrases.join(u" OR "_s), kMostCompared});
            !done)
            return tl::unexpected(done.error());
    if (auto done = add(u"SELECT id FROM song WHERE title_key = ? AND deleted_at IS NULL LIMIT ?"_s,
                        {titleKey(song), kMostCompared});
        !done)
        return tl::unexpected(done.error());
    return ids;
}

Result<std::optional<TwinFinder::Twin>> TwinFinder::twinOf(const Song& song) {
    const QString key = titleKey(song);
    const WordPairs pairs = wordPairs(song);
    std::optional<Twin> best;
    double most = 0;
    const auto compare = [&](const Song& other, const WordPairs& otherPairs, bool isStored) {
        const double shared = sharedWords(pairs, otherPairs);
        if (shared >= kSameWords && shared > most) {
            most = shared;
            best = Twin{ImportFinding::SameWords, other, isStored};
        } else if (!best && titleKey(other) == key) {
            best = Twin{ImportFinding::SameTitle, other, isStored};
        }
    };
    const auto ids = candidates(song);
    if (!ids)
        return tl::unexpected(ids.error());
    QSet<SongId> compared;
    for (const SongId& id : *ids) {
        if (compared.contains(id) || id == song.id)
            continue;
        compared.insert(id);
        if (const auto other = m_library.song(id)) // one that cannot be read is nobody's twin
            compare(*other, wordPairs(*other), true);
    }
    std::set<size_t> seen;
    const auto look =
        [&](const std::vector<size_t>& from) { // a phrase of every song finds only the last ones
            seen.insert(from.end() - std::min(kMostSeen, std::ptrdiff_t(from.size())), from.end());
        };
    for (size_t i = 0; i < std::min(kSketch, pairs.size()); ++i)
        if (const auto at = m_seenBySketch.constFind(pairs[i]); at != m_seenBySketch.constEnd())
            look(*at);
    if (const auto at = m_seenByTitle.constFind(key); at != m_seenByTitle.constEnd())
        look(*at);
    for (const size_t at : seen)
        compare(m_seen[at].song, m_seen[at].pairs, false);
    return best;
}

void TwinFinder::remember(const Song& song) {
    WordPairs pairs = wordPairs(song);
    for (size_t i = 0; i < std::min(kSketch, pairs.size()); ++i)
        m_seenBySketch[pairs[i]].push_back(m_seen.size());
    m_seenByTitle[titleKey(song)].push_back(m_seen.size());
    m_seen.push_back({song, std::move(pairs)});
}

} // namespace mivanta
