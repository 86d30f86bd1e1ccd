// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/Reference.h"
#include <algorithm>
#include <tuple>

namespace mivanta {

namespace {

const QChar kDash(0x2013);

QString nameIn(const Outline& outline, BookCode code) {
    const OutlineBook* book = outline.book(code);
    const QString name = book && !book->name.isEmpty() ? book->name : englishName(code);
    return name == QLatin1String("Psalms") ? QStringLiteral("Psalm") : name; // one of them
}

QString verseText(const VersePoint& point) {
    QString text = QString::number(point.verse);
    if (point.letter)
        text += QLatin1Char(point.letter);
    return text;
}

/// Writes ranges one after the other, each as short as what stands before it allows.
class Writer {
public:
    explicit Writer(const Outline& outline) : m_outline(outline) {}

    void add(const VerseRange& range) {
        const bool newBook = !(range.book == m_book);
        if (newBook) {
            m_text += (m_text.isEmpty() ? QString() : QStringLiteral("; ")) + nameIn(m_outline, range.book);
            m_chapter = 0;
            m_byVerse = m_oneWholeChapter = false;
        }
        m_book = range.book;
        const OutlineBook* book = m_outline.book(range.book);
        const bool oneChapter = book && book->hasOneChapter();
        if (range.from.verse == 0 && range.to.verse == 0)
            addChapters(range, newBook, oneChapter);
        else
            addVerses(range, newBook, oneChapter);
    }
    [[nodiscard]] const QString& text() const { return m_text; }

private:
    void addChapters(const VerseRange& range, bool newBook, bool oneChapter) {
        if (oneChapter) { // the book's name says it
            if (!newBook)
                m_text += QStringLiteral("; ") + nameIn(m_outline, range.book);
            m_byVerse = false;
            return;
        }
        const bool isRange = range.to.chapter != range.from.chapter;
        // A bare range behind verses, or behind a chapter, would be read as verses.
        const bool saysChapters = isRange && !newBook && (m_byVerse || m_oneWholeChapter);
        m_text += newBook                                 ? QStringLiteral(" ")
                  : saysChapters                          ? QStringLiteral("; chapters ")
                  : m_byVerse || m_outline.writesCommas() ? QStringLiteral("; ")
                                                          : QStringLiteral(", ");
        m_text += QString::number(range.from.chapter);
        if (isRange)
            m_text += kDash + QString::number(range.to.chapter);
        m_chapter = 0;
        m_byVerse = false;
        m_oneWholeChapter = !isRange;
    }
    void addVerses(const VerseRange& range, bool newBook, bool oneChapter) {
        const bool sameChapter = m_byVerse && m_chapter == range.from.chapter;
        // Where commas part chapters from verses, "Jude 1, 8" would be verse 8 of chapter 1.
        const bool byComma = sameChapter && !(oneChapter && m_outline.writesCommas());
        m_text += newBook ? QStringLiteral(" ") : byComma ? QStringLiteral(", ") : QStringLiteral("; ");
        const VersePoint from{range.from.chapter, std::max(1, range.from.verse), range.from.letter};
        if (!sameChapter && !oneChapter)
            m_text += QString::number(from.chapter) + u':';
        m_text += verseText(from);
        if (!(range.to == from)) {
            m_text += kDash;
            if (range.to.chapter != from.chapter)
                m_text += QString::number(range.to.chapter) + u':';
            m_text += verseText(range.to);
        }
        m_chapter = range.to.chapter;
        m_byVerse = true;
        m_oneWholeChapter = false;
    }

    const Outline& m_outline;
    QString m_text;
    BookCode m_book;
    int m_chapter = 0;
    bool m_byVerse = false;
    bool m_oneWholeChapter = false; ///< stands before
};

/// A range that begins or ends with whole chapters while its other end is a verse, with both ends as verses.
VerseRange evened(VerseRange range, const Outline& outline) {
    if (range.to.verse == 0 && range.from.verse > 0) {
        const OutlineBook* book = outline.book(range.book);
        const OutlineChapter* chapter = book ? book->chapter(range.to.chapter) : nullptr;
        range.to.verse = chapter ? chapter->lastVerse : range.from.verse;
    }
    return range;
}

} // namespace

const OutlineChapter* OutlineBook::chapter(int number) const {
    const auto at = std::find_if(chapters.begin(), chapters.end(),
                                 [&](const OutlineChapter& c) { return c.number == number; });
    return at == chapters.end() ? nullptr : &*at;
}

const OutlineBook* Outline::book(BookCode code) const {
    const auto at =
        std::find_if(books.begin(), books.end(), [&](const OutlineBook& b) { return b.code == code; });
    return at == books.end() ? nullptr : &*at;
}

bool Outline::writesCommas() const {
    static const QStringList languages{QStringLiteral("de"), QStringLiteral("fr"), QStringLiteral("es"),
                                       QStringLiteral("it"), QStringLiteral("pt"), QStringLiteral("pl"),
                                       QStringLiteral("cs"), QStringLiteral("sk"), QStringLiteral("hu"),
                                       QStringLiteral("hr"), QStringLiteral("sl"), QStringLiteral("nb"),
                                       QStringLiteral("da"), QStringLiteral("fi"), QStringLiteral("sv")};
    return languages.contains(language.section(u'-', 0, 0).toLower());
}

Reference joined(std::vector<VerseRange> ranges, const Outline& outline) {
    std::stable_sort(ranges.begin(), ranges.end(), [](const VerseRange& a, const VerseRange& b) {
        return std::tuple(a.book.rank(), a.from.chapter, a.from.verse) <
               std::tuple(b.book.rank(), b.from.chapter, b.from.verse);
    });
    Reference result;
    for (const VerseRange& raw : ranges) {
        const VerseRange range = evened(raw, outline);
        VerseRange* last = result.ranges.empty() ? nullptr : &result.ranges.back();
        if (!last || !(last->book == range.book) || last->to.letter || range.from.letter ||
            last->to.verse == 0 || range.from.verse == 0) {
            result.ranges.push_back(range);
            continue;
        }
        const OutlineBook* book = outline.book(range.book);
        const OutlineChapter* chapter = book ? book->chapter(last->to.chapter) : nullptr;
        const bool endsChapter = chapter && last->to.verse >= chapter->lastVerse;
        const bool touches =
            range.from.chapter < last->to.chapter ||
            (range.from.chapter == last->to.chapter && range.from.verse <= last->to.verse + 1) ||
            (endsChapter && range.from.chapter == last->to.chapter + 1 && range.from.verse == 1);
        if (!touches)
            result.ranges.push_back(range);
        else if (std::pair(range.to.chapter, range.to.verse) > std::pair(last->to.chapter, last->to.verse))
            last->to = range.to;
    }
    return result;
}

QString referenceText(const Reference& reference, const Outline& outline) {
    Writer writer(outline);
    for (const VerseRange& range : reference.ranges)
        writer.add(evened(range, outline));
    return writer.text();
}

} // namespace mivanta
