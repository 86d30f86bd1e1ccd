// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/ReferenceParser.h"
#include "core/base/Said.h"
#include "core/scripture/BookMatch.h"
#include "core/scripture/OutlineWords.h"
#include "core/scripture/ReferenceTokens.h"
#include "core/scripture/SpokenReference.h"
#include <algorithm>

namespace mivanta {

namespace {

using Token = ReferenceToken;
using Kind = ReferenceToken::Kind;

constexpr size_t kMostRanges = 200;

class Parser {
public:
    /// `otherWay`: what may be chapters and may be verses is read as what it is not usually.
    Parser(std::vector<Token> tokens, const Outline& outline, bool otherWay)
        : m_tokens(std::move(tokens)),
          m_outline(outline),
          m_otherWay(otherWay),
          m_commaParts(outline.writesCommas() && !has(Kind::Colon)),
          m_pointParts(!m_commaParts && !has(Kind::Colon)) {}

    Understanding run() {
        if (m_tokens.empty() || m_tokens.front().kind != Kind::Name)
            return {};
        while (m_at < m_tokens.size() && !m_over)
            segment();
        if (!m_over)
            finish();
        return std::move(m_result);
    }
    [[nodiscard]] bool hasOther() const { return m_hasOther; }

private:
    [[nodiscard]] bool has(Kind kind) const {
        return std::any_of(m_tokens.begin(), m_tokens.end(), [&](const Token& t) { return t.kind == kind; });
    }
    [[nodiscard]] const Token* peek(size_t ahead = 0) const {
        return m_at + ahead < m_tokens.size() ? &m_tokens[m_at + ahead] : nullptr;
    }
    [[nodiscard]] bool isNext(Kind kind, size_t ahead = 0) const {
        return peek(ahead) && peek(ahead)->kind == kind;
    }
    [[nodiscard]] bool hasNumbers() const { return has(Kind::Number); }

    void end(ReferenceState state) {
        m_result.state = state;
        m_over = true;
    }
    void refuse(const QString& what, const QString& remedy) {
        m_result.problem = {what, {}, remedy};
        end(ReferenceState::Refused);
    }
    [[nodiscard]] QString bookName() const {
        return m_book->name.isEmpty() ? englishName(m_book->code) : m_book->name;
    }

    /// One range, or what stands between ranges.
    void segment() {
        switch (peek()->kind) {
        case Kind::Name:
            readBook();
            return;
        case Kind::Semicolon:
            ++m_at;
            m_open = true;
            m_byVerse = false;
            readBareNumbers(m_lastVerse > 0);
            return;
        case Kind::Comma:
            ++m_at;
            m_open = true;
            readBareNumbers(m_wholeChapter);
            return;
        case Kind::Point:
            ++m_at;
            m_open = m_at < m_tokens.size() || m_result.reference.isEmpty(); // else the sentence ends here
            return;
        case Kind::Number:
        case Kind::Chapter:
        case Kind::Verse:
            readRange();
            return;
        case Kind::Dash:
        case Kind::Colon:
            if (m_at + 1 == m_tokens.size() || isNext(Kind::Unknown, 1)) {
                ++m_at;
                m_open = true;
                return;
            }
            refuse(Said::tr("there is nothing before the \u201c%1\u201d")
                       .arg(QChar(peek()->kind == Kind::Dash ? u'-' : u':')),
                   Said::tr("Write it as Luke 5:1-11."));
            return;
        case Kind::Unknown:
            refuse(Said::tr("\u201c%1\u201d means nothing in a reference").arg(peek()->text),
                   Said::tr("Write it as Luke 5:1-11, 27-32."));
            return;
        }
    }

    /// Numbers alone behind a semicolon or a comma may be chapters and may be verses of the chapter that was
    /// read last. A range that goes on rising there is verses, a single number a chapter, as far as they are
    /// there.
    void readBareNumbers(bool mayBeVerses) {
        const OutlineChapter* chapter = m_book && mayBeVerses ? m_book->chapter(m_chapter) : nullptr;
        if (!chapter || !isNext(Kind::Number) || m_book->hasOneChapter())
            return;
        const bool isRange = isNext(Kind::Dash, 1) && isNext(Kind::Number, 2);
        const Token* behind = peek(isRange ? 3 : 1);
        const bool isBare = !behind || behind->kind == Kind::Comma || behind->kind == Kind::Semicolon ||
                            behind->kind == Kind::Name ||
                            (behind->kind == Kind::Point && !peek(isRange ? 4 : 2));
        const Token& first = *peek();
        const Token& last = isRange ? *peek(2) : first;
        if (!isBare || first.number <= m_lastVerse || last.number < first.number ||
            last.number > chapter->lastVerse)
            return;
        const bool areChapters = m_book->chapter(first.number) && m_book->chapter(last.number) &&
                                 first.letter == 0 && last.letter == 0 &&
                                 (!isRange || first.number > m_chapter);
        m_hasOther = m_hasOther || areChapters;
        if (areChapters && isRange == m_otherWay)
            return;
        m_byVerse = true;
        if (m_lastVerse == 0) // "Luke 5, 1-11": not all of chapter 5
            m_result.reference.ranges.pop_back();
    }

    void readBook() {
        const QString name = peek()->text;
        const bool isFirst = m_at == 0;
        ++m_at;
        m_result.books = booksMatching(name, m_outline);
        if (m_result.books.size() == 1) {
            m_book = m_outline.book(m_result.books.front());
            m_open = !m_book->hasOneChapter() || m_at < m_tokens.size();
            m_byVerse = false;
            m_chapter = 0;
            m_lastVerse = 0;
            m_wholeChapter = false;
            m_bare = true;
            return;
        }
        if (m_result.books.size() > 1) {
            QStringList names;
            for (const BookCode code : m_result.books)
                names << m_outline.book(code)->name;
            m_result.help = QStringLiteral("%1?").arg(Said::any(names.mid(0, 8)));
            m_result.problem = {Said::tr("\u201c%1\u201d may be %2").arg(name, Said::any(names)),
                                {},
                                Said::tr("Type more of the name.")};
            end(ReferenceState::Ambiguous);
        } else if (const auto missing = missingBook(name, m_outline); missing && hasNumbers()) {
            refuse(Said::tr("%1 is not in %2").arg(englishName(*missing), m_outline.translation),
                   Said::tr("Choose another translation, or bring one in that has it."));
        } else if (isFirst) {
            end(ReferenceState::NotOne);
        } else {
            refuse(Said::tr("no book is called \u201c%1\u201d").arg(name),
                   Said::tr("Type the beginning of a book's name."));
        }
    }

    /// Where a range begins or ends, and what tail it has.
    struct Point {
        VersePoint at;
        bool isVerse = false;
        Token::Tail tail = Token::Tail::None;
    };

    [[nodiscard]] bool partsChapterFromVerse(size_t ahead) const {
        const Token* token = peek(ahead);
        if (!token || !isNext(Kind::Number, ahead + 1))
            return token && token->kind == Kind::Verse;
        return token->kind == Kind::Colon || token->kind == Kind::Verse || token->kind == Kind::Point ||
               (m_commaParts && token->kind == Kind::Comma);
    }

    /// False when nothing sensible stands here.
    bool readPoint(Point& point) {
        bool saysChapter = false;
        bool saysVerse = false;
        while (isNext(Kind::Chapter) || isNext(Kind::Verse)) {
            (isNext(Kind::Chapter) ? saysChapter : saysVerse) = true;
            ++m_at;
            if (isNext(Kind::Point))
                ++m_at; // "v. 3"
        }
        if (!isNext(Kind::Number))
            return false;
        const Token first = *peek();
        ++m_at;
        if (first.number == 0) {
            refuse(Said::tr("chapters and verses are counted from 1"), Said::tr("Write another number."));
            return true;
        }
        const bool oneChapter = m_book->hasOneChapter();
        if (first.letter == 0 && first.tail == Token::Tail::None && !saysVerse) {
            size_t ahead = 0;
            if (isNext(Kind::Comma) && isNext(Kind::Verse, 1))
                ahead = 1; // "chapter five, verses one to eleven"
            const bool mayPart = !m_byVerse || isNext(Kind::Colon) || isNext(Kind::Verse, ahead) ||
                                 (m_pointParts && isNext(Kind::Point));
            const bool isParted = mayPart && partsChapterFromVerse(ahead);
            // "5 1-11"; and "1 31 - 2 3", where 2 cannot be a verse
            const bool isLaterChapter = first.number < m_fromVerse && first.number > m_chapter;
            const bool follows = (!m_byVerse || isLaterChapter) && isNext(Kind::Number);
            if (isParted || follows) {
                m_at += follows ? 0 : ahead + 1;
                if (isNext(Kind::Point))
                    ++m_at;
                if (isNext(Kind::Number)) {
                    const Token second = *peek();
                    ++m_at;
                    if (second.number == 0) {
                        refuse(Said::tr("verses are counted from 1"), Said::tr("Write another number."));
                        return true;
                    }
                    point = {{first.number, second.number, second.letter}, true, second.tail};
                    return true;
                }
                m_at = m_tokens.size(); // "Luke 5 v": more must come
                m_open = true;
                point = {{first.number, 0, 0}, false, Token::Tail::None};
                return true;
            }
        }
        if (saysVerse || (m_byVerse && !saysChapter) || (oneChapter && !saysChapter) || first.letter) {
            point = {{m_chapter > 0 ? m_chapter : 1, first.number, first.letter}, true, first.tail};
            if (!oneChapter && m_chapter == 0) {
                refuse(Said::tr("verse %1 of which chapter?").arg(first.number),
                       Said::tr("Write it as Luke 5:%1.").arg(first.number));
                return true;
            }
        } else {
            point = {{first.number, 0, 0}, false, first.tail};
        }
        return true;
    }

    void readRange() {
        m_open = false;
        m_bare = false;
        Point from;
        if (!readPoint(from)) {
            m_open = true; // only the word "verse": more must come
            if (m_at < m_tokens.size())
                refuse(Said::tr("a number is missing"), Said::tr("Write it as Luke 5:1-11."));
            return;
        }
        if (m_over)
            return;
        m_chapter = from.at.chapter;
        m_byVerse = from.isVerse;
        Point to = from;
        if (from.tail == Token::Tail::Next)
            ++(from.isVerse ? to.at.verse : to.at.chapter);
        const bool goesOn = isNext(Kind::Dash);
        if (goesOn) {
            ++m_at;
            m_fromVerse = from.at.verse;
            if (isNext(Kind::Name) && !sameBook())
                return;
            if (m_at == m_tokens.size())
                m_open = true;
            else if (!readPoint(to)) {
                if (!m_over)
                    refuse(Said::tr("a number is missing after the dash"),
                           Said::tr("Write it as Luke 5:1-11."));
                return;
            }
            if (m_over)
                return;
            if (to.tail == Token::Tail::Next)
                ++to.at.verse;
        }
        m_fromVerse = 0;
        m_chapter = to.at.chapter;
        m_byVerse = to.isVerse;
        m_lastVerse = to.isVerse ? to.at.verse : 0;
        m_wholeChapter = !goesOn && !to.isVerse && to.tail == Token::Tail::None;
        VerseRange range{m_book->code, from.at, to.at};
        const bool toTheRest = goesOn ? to.tail == Token::Tail::Rest : from.tail == Token::Tail::Rest;
        if (toTheRest) {
            if (!to.isVerse)
                range.to.chapter = m_book->chapters.back().number;
            range.to.verse = 0;
        }
        check(range, toTheRest);
    }

    /// A name behind a dash: it must be the book that the range began in.
    bool sameBook() {
        const auto books = booksMatching(peek()->text, m_outline);
        const bool same = std::find(books.begin(), books.end(), m_book->code) != books.end();
        if (!same)
            refuse(Said::tr("a passage cannot go from one book into another"),
                   Said::tr("Write two passages with a semicolon between them."));
        ++m_at;
        m_byVerse = false;
        return same;
    }

    const OutlineChapter* chapterOf(int number) {
        const OutlineChapter* chapter = m_book->chapter(number);
        if (!chapter)
            refuse(Said::tr("%1 has no chapter %2 in %3: it has %4")
                       .arg(bookName(), QString::number(number), m_outline.translation, chaptersOf(*m_book)),
                   Said::tr("Choose one of these."));
        return chapter;
    }

    void check(VerseRange range, bool toTheRest) {
        const OutlineChapter* first = chapterOf(range.from.chapter);
        const OutlineChapter* last = first ? chapterOf(range.to.chapter) : nullptr;
        if (!last)
            return;
        if (toTheRest && range.from.verse > 0)
            range.to.verse = last->lastVerse;
        if (range.from.verse == 0 && range.to.verse > 0) // "2–3:4" is written "2:1–3:4"
            range.from.verse = 1;
        for (const auto& [point, chapter] : {std::pair(range.from, first), std::pair(range.to, last)})
            if (point.verse > chapter->lastVerse) {
                refuse(Said::tr("%1 %2 has no verse %3 in %4: it has %5")
                           .arg(bookName(), QString::number(point.chapter), QString::number(point.verse),
                                m_outline.translation, versesOf(*chapter)),
                       Said::tr("Choose a verse up to %1.").arg(chapter->lastVerse));
                return;
            }
        const std::tuple begin(range.from.chapter, range.from.verse, int(range.from.letter));
        const std::tuple finish(range.to.chapter, range.to.verse > 0 ? range.to.verse : kEnd,
                                range.to.letter ? int(range.to.letter) : kEnd);
        if (finish < begin) {
            refuse(Said::tr("the passage ends (%1) before it begins (%2)")
                       .arg(pointText(range.to), pointText(range.from)),
                   Said::tr("Write the smaller number first."));
            return;
        }
        noteMissing(range);
        if (m_over)
            return;
        if (m_result.reference.ranges.size() >= kMostRanges) {
            refuse(Said::tr("these are more passages than one item can hold"),
                   Said::tr("Part them into several items."));
            return;
        }
        m_result.reference.ranges.push_back(range);
    }

    static QString pointText(const VersePoint& point) {
        return point.verse > 0 ? QStringLiteral("%1:%2").arg(point.chapter).arg(point.verse)
                               : Said::tr("chapter %1").arg(point.chapter);
    }

    void noteMissing(const VerseRange& range) {
        int there = 0;
        QStringList missing;
        for (int number = range.from.chapter; number <= range.to.chapter; ++number) {
            const OutlineChapter* chapter = m_book->chapter(number);
            if (!chapter) {
                missing << QStringLiteral("%1 %2").arg(bookName()).arg(number);
                continue;
            }
            const int from = number == range.from.chapter ? std::max(1, range.from.verse) : 1;
            const int to =
                number == range.to.chapter && range.to.verse > 0 ? range.to.verse : chapter->lastVerse;
            there += to - from + 1;
            for (const int verse : chapter->missing)
                if (verse >= from && verse <= to) {
                    missing << QStringLiteral("%1 %2:%3").arg(bookName()).arg(number).arg(verse);
                    --there;
                }
        }
        if (there <= 0) {
            refuse(notThere(missing), Said::tr("Choose other verses, or another translation."));
            return;
        }
        if (!missing.isEmpty())
            m_result.notes << notThere(missing);
    }

    [[nodiscard]] QString notThere(const QStringList& verses) const {
        return (verses.size() == 1 ? Said::tr("%1 is not in %2") : Said::tr("%1 are not in %2"))
            .arg(Said::all(verses), m_outline.translation);
    }

    void finish() {
        if (m_bare && m_book->hasOneChapter()) { // "Jude": all of it
            m_result.reference.ranges.push_back({m_book->code, {1, 0, 0}, {1, 0, 0}});
            m_open = false;
        }
        const OutlineChapter* chapter = m_chapter > 0 ? m_book->chapter(m_chapter) : nullptr;
        const bool inOneChapter = m_book->hasOneChapter();
        if (m_bare && !inOneChapter)
            m_result.help = Said::tr("%1 has %2").arg(bookName(), chaptersOf(*m_book));
        else if (chapter || inOneChapter)
            m_result.help =
                inOneChapter
                    ? Said::tr("%1 has %2").arg(bookName(), versesOf(m_book->chapters[0]))
                    : Said::tr("%1 %2 has %3").arg(bookName()).arg(m_chapter).arg(versesOf(*chapter));
        if (!m_result.reference.isEmpty())
            m_result.text = referenceText(m_result.reference, m_outline);
        const bool isUnfinished = m_open || m_result.reference.isEmpty();
        if (m_bare)
            m_result.completed = (m_result.text.isEmpty() || inOneChapter
                                      ? bookName()
                                      : m_result.text + QStringLiteral("; ") + bookName()) +
                                 u' ';
        else if (!isUnfinished && !m_byVerse && !m_result.reference.ranges.empty() &&
                 m_result.reference.ranges.back().from.chapter ==
                     m_result.reference.ranges.back().to.chapter &&
                 !inOneChapter)
            m_result.completed = m_result.text + u':';
        end(isUnfinished ? ReferenceState::Unfinished : ReferenceState::Understood);
    }

    static constexpr int kEnd = 1 << 20;
    std::vector<Token> m_tokens;
    const Outline& m_outline;
    bool m_otherWay;
    bool m_commaParts; // a comma behind a chapter begins its verses
    bool m_pointParts; // so does every point between numbers
    size_t m_at = 0;
    const OutlineBook* m_book = nullptr;
    int m_chapter = 0;
    int m_fromVerse = 0;         // where the range began whose end is being read
    bool m_byVerse = false;      // a number alone is a verse
    bool m_open = false;         // more must come
    bool m_bare = false;         // a book without numbers so far
    int m_lastVerse = 0;         // where the last range ended; 0 = with a chapter
    bool m_wholeChapter = false; // the last range was one chapter
    bool m_hasOther = false;     // there was something that may be chapters and may be verses
    bool m_over = false;
    Understanding m_result;
};

Understanding understoodAsWritten(const QString& text, const Outline& outline) {
    const std::vector<Token> tokens = referenceTokens(text);
    Parser parser(tokens, outline, false);
    Understanding understood = parser.run();
    if (understood.state != ReferenceState::Understood || !parser.hasOther())
        return understood;
    const Understanding other = Parser(tokens, outline, true).run();
    if (other.state == ReferenceState::Understood && !(other.reference == understood.reference))
        understood.other = other.text;
    return understood;
}

} // namespace

Understanding understandReference(const QString& text, const Outline& outline) {
    Understanding understood = understoodAsWritten(text, outline);
    if (understood.state == ReferenceState::Understood || understood.state == ReferenceState::Unfinished)
        return understood;
    for (const QString& plainer : plainerReferences(text, outline))
        if (Understanding other = understoodAsWritten(plainer, outline);
            other.state == ReferenceState::Understood)
            return other;
    return understood;
}

} // namespace mivanta
