// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ScriptureText.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

int ScriptureText::verseCount() const {
    int count = 0;
    for (const ScriptureBook& book : books)
        count += int(book.verses.size());
    return count;
}

bool ScriptureText::nameBook(const QString& name, BookCode code) {
    const auto at =
        std::find_if(unnamed.begin(), unnamed.end(), [&](const UnnamedBook& b) { return b.name == name; });
    const bool isThere =
        std::any_of(books.begin(), books.end(), [&](const ScriptureBook& book) { return book.code == code; });
    if (at == unnamed.end() || isThere)
        return false;
    ScriptureBook book{code, name, {}, std::move(at->verses)};
    for (Verse& verse : book.verses)
        verse.book = code;
    unnamed.erase(at);
    books.push_back(std::move(book));
    std::stable_sort(books.begin(), books.end(),
                     [](const ScriptureBook& a, const ScriptureBook& b) { return a.code < b.code; });
    return true;
}

QStringList ScriptureText::missing(int most) const {
    QStringList places;
    const Outline all = outline();
    for (const OutlineBook& book : all.books) {
        int before = 0;
        for (const OutlineChapter& chapter : book.chapters) {
            for (int number = before + 1; number < chapter.number && places.size() < most; ++number)
                places << QStringLiteral("%1 %2").arg(book.name).arg(number);
            for (const int verse : chapter.missing)
                if (places.size() < most)
                    places << QStringLiteral("%1 %2:%3").arg(book.name).arg(chapter.number).arg(verse);
            before = chapter.number;
        }
    }
    return places;
}

Outline ScriptureText::outline() const {
    Outline outline{details.shortName.isEmpty() ? details.name : details.shortName, details.language, {}};
    for (const ScriptureBook& book : books) {
        OutlineBook entry{
            book.code, book.name.isEmpty() ? englishName(book.code) : book.name, book.otherNames, {}};
        for (const Verse& verse : book.verses) {
            if (entry.chapters.empty() || entry.chapters.back().number != verse.chapter)
                entry.chapters.push_back({verse.chapter, 0, {}});
            OutlineChapter& chapter = entry.chapters.back();
            for (int number = chapter.lastVerse + 1; number < verse.number; ++number)
                chapter.missing.push_back(number);
            chapter.lastVerse = std::max(chapter.lastVerse, verse.lastNumber);
        }
        outline.books.push_back(std::move(entry));
    }
    return outline;
}

void ScriptureBuilder::startBook(BookCode code) {
    endVerse();
    m_books.push_back({code, {}, {}, {}});
    m_index.clear();
    m_chapter = 0;
    m_start = VerseStart::Paragraph;
}

void ScriptureBuilder::startChapter(int number) {
    endVerse();
    m_chapter = number;
    m_last = 0;
}

void ScriptureBuilder::startVerse(int number, int lastNumber, int line, bool part) {
    endVerse();
    auto& verses = m_books.back().verses;
    const std::pair key(m_chapter, number);
    if (const auto at = m_index.constFind(key); at != m_index.constEnd()) {
        m_verse = *at;
        if (!part)
            warn(line, Said::tr("%1 %2:%3 is there twice; both are kept as one verse")
                           .arg(englishName(m_books.back().code))
                           .arg(m_chapter)
                           .arg(number));
    } else {
        if (number < m_last)
            warn(line, Said::tr("%1 %2:%3 stands behind verse %4; it is put into its place")
                           .arg(englishName(m_books.back().code))
                           .arg(m_chapter)
                           .arg(number)
                           .arg(m_last));
        m_verse = int(verses.size());
        m_index.insert(key, m_verse);
        verses.push_back({m_books.back().code, m_chapter, number, lastNumber, {}});
    }
    m_last = std::max(m_last, lastNumber);
    Verse& verse = verses[size_t(m_verse)];
    verse.lastNumber = std::max(verse.lastNumber, lastNumber);
    m_space = !verse.pieces.empty();
}

void ScriptureBuilder::endVerse() {
    m_verse = -1;
    m_space = false;
}

void ScriptureBuilder::addWords(QStringView words, bool bold, bool italic) {
    if (m_verse < 0)
        return;
    auto& pieces = m_books.back().verses[size_t(m_verse)].pieces;
    for (const QChar c : words) {
        if (c.isSpace()) {
            m_space = true;
            continue;
        }
        if (pieces.empty() || m_start != VerseStart::Continues) {
            pieces.push_back({m_start, {}, {}});
            m_start = VerseStart::Continues;
        }
        VersePiece& piece = pieces.back();
        if (m_space && !piece.words.isEmpty())
            piece.words += u' ';
        m_space = false;
        const int at = int(piece.words.size());
        piece.words += c;
        if (!bold && !italic)
            continue;
        if (!piece.emphasis.empty() && piece.emphasis.back().bold == bold &&
            piece.emphasis.back().italic == italic && piece.emphasis.back().to >= at - 1)
            piece.emphasis.back().to = at + 1;
        else
            piece.emphasis.push_back({at, at + 1, bold, italic});
    }
}

void ScriptureBuilder::warn(int line, const QString& text) {
    m_warnings.push_back({m_file, line, text});
}

ScriptureText ScriptureBuilder::finish() {
    endVerse();
    ScriptureText text;
    text.warnings = std::move(m_warnings);
    for (ScriptureBook& book : m_books) {
        std::erase_if(book.verses, [](const Verse& v) { return v.pieces.empty(); });
        std::stable_sort(book.verses.begin(), book.verses.end(), [](const Verse& a, const Verse& b) {
            return std::pair(a.chapter, a.number) < std::pair(b.chapter, b.number);
        });
        if (!book.verses.empty())
            text.books.push_back(std::move(book));
    }
    return text;
}

} // namespace mivanta
