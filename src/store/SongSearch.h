// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"

namespace mivanta {

/// Finds songs by any scrap of them. Every word of the query must be there, each as the beginning of a word
/// in the title, other titles, authors, book numbers, licence number, topics or words. When that finds
/// nothing, words that no song holds may be misspelt (core/base/Spelling.h).
///
/// Order: the exact title, the title's words, other titles, numbers, authors and topics, the first line, the
/// words in just that order, the rest; within each by weight (bm25).
class SongSearch {
public:
    explicit SongSearch(Database& database) : m_database(database) {}
    [[nodiscard]] Result<std::vector<SongHit>> find(const QString& query, int limit,
                                                    const SongFilter& filter = {});

    /// What is searched of a song, folded, by column.
    [[nodiscard]] static QStringList searchText(const Song& song);

private:
    /// One word of the query and everything that it is taken to mean.
    struct Term {
        QString word;
        QStringList spelled; ///< words of the library that it may be misspelt for; empty = taken as it is
    };
    [[nodiscard]] Result<std::vector<SongHit>> findTerms(const std::vector<Term>& terms, int limit,
                                                         const SongFilter& filter);
    [[nodiscard]] Result<bool> forgive(std::vector<Term>& terms, bool all);
    [[nodiscard]] Result<void> loadVocabulary();
    [[nodiscard]] bool isKnown(const QString& word) const;

    Database& m_database;
    std::vector<QString> m_vocabulary;    ///< every word of every song, sorted
    std::vector<int> m_counts;            ///< songs that hold it
    std::optional<qint64> m_vocabularyOf; ///< the library's state that it was read from
};

} // namespace mivanta
