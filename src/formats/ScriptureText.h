// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/scripture/Passage.h"
#include <QHash>

namespace mivanta {

/// A book as a file has it.
struct ScriptureBook {
    BookCode code;
    QString name;              ///< as the translation calls it; empty = as in English
    QStringList otherNames;    ///< its long and short names there
    std::vector<Verse> verses; ///< by chapter and number, no two with the same number
};

/// Something that was read another way than it is written; the words are all there.
struct ScriptureWarning {
    QString file;
    int line = 0; ///< 0 = the whole file
    QString text;
};

/// A place that could not be read: what stands there was left out.
struct ScriptureDamage {
    QString file;
    int line = 0; ///< 0 = the whole file
    QString text; ///< what is wrong with it
};

/// Verses under a name that no book is known by.
struct UnnamedBook {
    QString name;
    int line = 0; ///< of the first of them
    std::vector<Verse> verses;
};

/// A translation as files have it.
struct ScriptureText {
    Translation details; ///< what the files say of it; the id is null
    std::vector<ScriptureBook> books;
    std::vector<ScriptureWarning> warnings;
    std::vector<ScriptureDamage> damages;
    std::vector<UnnamedBook> unnamed;

    /// Something was left out, or is not known: somebody has to see it before anything is stored.
    [[nodiscard]] bool needsAPerson() const { return !damages.empty() || !unnamed.empty(); }
    /// The book of that name is this one; false when there is none of that name, or this book is there
    /// already.
    bool nameBook(const QString& name, BookCode code);
    /// What is not there between what is: "Luke 3", "Luke 5:7". `most`: how many are named.
    [[nodiscard]] QStringList missing(int most) const;

    [[nodiscard]] int verseCount() const;
    [[nodiscard]] Outline outline() const;
};

/// Puts verses together as a reader comes upon them.
class ScriptureBuilder {
public:
    explicit ScriptureBuilder(QString file) : m_file(std::move(file)) {}

    void startBook(BookCode code);
    [[nodiscard]] bool hasBook() const { return !m_books.empty(); }
    [[nodiscard]] ScriptureBook& book() { return m_books.back(); } ///< needs one
    void startChapter(int number);
    [[nodiscard]] int chapter() const { return m_chapter; } ///< 0 = none yet
    /// What follows belongs to this verse. `part`: "3b" goes on with verse 3 without a warning.
    void startVerse(int number, int lastNumber, int line, bool part = false);
    void endVerse();
    [[nodiscard]] bool inVerse() const { return m_verse >= 0; }
    /// Of the next words.
    void startPiece(VerseStart start) { m_start = start; }
    /// White space of any length counts as one space.
    void addWords(QStringView words, bool bold = false, bool italic = false);
    void warn(int line, const QString& text);

    /// Every book with its verses in order. Words outside verses are not kept.
    [[nodiscard]] ScriptureText finish();

private:
    QString m_file;
    std::vector<ScriptureBook> m_books;
    std::vector<ScriptureWarning> m_warnings;
    QHash<std::pair<int, int>, int> m_index; // chapter and number -> index of the verse in the book
    int m_chapter = 0;
    int m_last = 0;   // highest verse of the chapter so far
    int m_verse = -1; // index
    VerseStart m_start = VerseStart::Continues;
    bool m_space = false; // before the next words
};

} // namespace mivanta
