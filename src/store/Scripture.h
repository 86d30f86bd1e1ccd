// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "formats/ScriptureText.h"
#include <functional>

namespace mivanta {

class Database;
class Row;

/// A translation as a list shows it.
struct TranslationSummary {
    Translation translation;
    int books = 0;
    int verses = 0;
    bool isUsual = false;
};

/// A verse that was found.
struct VerseHit {
    TranslationId translation;
    QString shortName; ///< of the translation
    BookCode book;
    QString bookName; ///< as the translation calls it
    int chapter = 0;
    int number = 0;
    int lastNumber = 0;
    QString words;
    QStringList marked; ///< folded words, or beginnings of words, to mark as found

    [[nodiscard]] QString place() const; ///< "Luke 5:4"
};

enum class WordSearch {
    AllWords, ///< in any order; the last may be a beginning. Those with the very phrase come first
    Phrase,
    Near, ///< within ten words of one another
};

/// What happens to a translation whose short name another one has already.
enum class SameShortName {
    Number,  ///< it gets a number: "QST 2"
    Replace, ///< a person has said that this is the one to be replaced
};

/// The scripture in a library: translations side by side, their verses, and the words in them. Synchronous;
/// used on the thread that opened the database.
class Scripture {
public:
    explicit Scripture(Database& database) : m_database(database) {}

    /// The usual one first, then by name.
    [[nodiscard]] Result<std::vector<TranslationSummary>> translations();
    /// By short name or name, in any case; the usual one for an empty code.
    [[nodiscard]] Result<Translation> translation(const QString& code);

    /// Stores a translation whole or not at all. One of the same short name and name is replaced: it goes
    /// into the bin under a name of its own, and the new one takes its id and when its copyright line is
    /// shown. One of the same short name and another name stays, or is replaced, as `same` says. The first
    /// one is usual. `progress` is called now and then with verses done and in all; false stops and changes
    /// nothing.
    [[nodiscard]] Result<Translation> store(const ScriptureText& text,
                                            SameShortName same = SameShortName::Number,
                                            const std::function<bool(int, int)>& progress = {});
    [[nodiscard]] Result<void> setDetails(const Translation& translation);
    [[nodiscard]] Result<void> setUsual(const TranslationId& id);
    /// Out of every list and search; its verses stay until `emptyBin`.
    [[nodiscard]] Result<void> putInBin(const TranslationId& id);
    [[nodiscard]] Result<void> takeFromBin(const TranslationId& id);
    [[nodiscard]] Result<std::vector<Translation>> bin();
    [[nodiscard]] Result<int> emptyBin();

    /// Kept once read, until the translation is changed from anywhere.
    [[nodiscard]] Result<Outline> outline(const TranslationId& id);
    /// The verses of a book from one chapter to another, inclusive.
    [[nodiscard]] Result<std::vector<Verse>> chapters(const TranslationId& id, BookCode book, int from,
                                                      int to);
    /// The words of a reference in the translation's own numbering. Fails when it has none of the verses.
    [[nodiscard]] Result<PassageWords> words(const TranslationId& id, const Reference& reference);
    /// A passage in one translation or two; the reference is in the numbering of the first.
    [[nodiscard]] Result<Passage> passage(const std::vector<TranslationId>& ids, const Reference& reference,
                                          const PassageLayout& layout);

    /// Verses by their words, the best first; in one translation or (a null id) in all.
    [[nodiscard]] Result<std::vector<VerseHit>> find(const QString& query, WordSearch how,
                                                     const TranslationId& in = {}, int limit = 50);

private:
    [[nodiscard]] Result<Translation> one(const QString& condition, const QVariantList& values);
    struct Holder;
    [[nodiscard]] Result<std::optional<Holder>> holderOf(const QString& shortName);
    /// "QST 2", or the next number that nobody has.
    [[nodiscard]] Result<QString> freeName(const QString& shortName);
    [[nodiscard]] Result<void> replace(const Holder& old, Translation& by);
    [[nodiscard]] Result<bool> hasVerses(qint64 row, const ScriptureText& text);
    [[nodiscard]] Result<void> removeVerses(qint64 row);
    [[nodiscard]] Result<void> storeVerses(qint64 row, const ScriptureText& text,
                                           const std::function<bool(int, int)>& progress);

    Database& m_database;
    QHash<TranslationId, std::pair<qint64, Outline>> m_outlines; ///< with when the translation was changed
};

/// The FTS5 expression of a query; empty when it holds no word.
[[nodiscard]] QString verseExpression(const QString& query, WordSearch how);

} // namespace mivanta
