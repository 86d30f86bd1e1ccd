// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/Versification.h"
#include <algorithm>
#include <map>

namespace mivanta {

namespace {

/// English verses first to last of a chapter are others in Hebrew, in the same row.
struct Shift {
    const char* book;
    int chapter;
    int first;
    int last;
    int toChapter;
    int toFirst;
};

constexpr Shift kShifts[] = {
    {"GEN", 31, 55, 55, 32, 1},  {"GEN", 32, 1, 32, 32, 2},  {"EXO", 8, 1, 4, 7, 26},
    {"EXO", 8, 5, 32, 8, 1},     {"EXO", 22, 1, 1, 21, 37},  {"EXO", 22, 2, 31, 22, 1},
    {"LEV", 6, 1, 7, 5, 20},     {"LEV", 6, 8, 30, 6, 1},    {"NUM", 16, 36, 50, 17, 1},
    {"NUM", 17, 1, 13, 17, 16},  {"NUM", 29, 40, 40, 30, 1}, {"NUM", 30, 1, 16, 30, 2},
    {"DEU", 12, 32, 32, 13, 1},  {"DEU", 13, 1, 18, 13, 2},  {"DEU", 22, 30, 30, 23, 1},
    {"DEU", 23, 1, 25, 23, 2},   {"DEU", 29, 1, 1, 28, 69},  {"DEU", 29, 2, 29, 29, 1},
    {"1SA", 23, 29, 29, 24, 1},  {"1SA", 24, 1, 22, 24, 2},  {"1SA", 21, 1, 15, 21, 2},
    {"1KI", 22, 44, 53, 22, 45}, {"1CH", 12, 5, 40, 12, 6},  {"2SA", 18, 33, 33, 19, 1},
    {"2SA", 19, 1, 43, 19, 2},   {"1KI", 4, 21, 34, 5, 1},   {"1KI", 5, 1, 18, 5, 15},
    {"2KI", 11, 21, 21, 12, 1},  {"2KI", 12, 1, 21, 12, 2},  {"1CH", 6, 1, 15, 5, 27},
    {"1CH", 6, 16, 81, 6, 1},    {"2CH", 2, 1, 1, 1, 18},    {"2CH", 2, 2, 18, 2, 1},
    {"2CH", 14, 1, 1, 13, 23},   {"2CH", 14, 2, 15, 14, 1},  {"NEH", 4, 1, 6, 3, 33},
    {"NEH", 4, 7, 23, 4, 1},     {"NEH", 9, 38, 38, 10, 1},  {"NEH", 10, 1, 39, 10, 2},
    {"JOB", 41, 1, 8, 40, 25},   {"JOB", 41, 9, 34, 41, 1},  {"ECC", 5, 1, 1, 4, 17},
    {"ECC", 5, 2, 20, 5, 1},     {"SNG", 6, 13, 13, 7, 1},   {"SNG", 7, 1, 13, 7, 2},
    {"ISA", 9, 1, 1, 8, 23},     {"ISA", 9, 2, 21, 9, 1},    {"ISA", 64, 2, 12, 64, 1},
    {"JER", 9, 1, 1, 8, 23},     {"JER", 9, 2, 26, 9, 1},    {"EZK", 20, 45, 49, 21, 1},
    {"EZK", 21, 1, 32, 21, 6},   {"DAN", 4, 1, 3, 3, 31},    {"DAN", 4, 4, 37, 4, 1},
    {"DAN", 5, 31, 31, 6, 1},    {"DAN", 6, 1, 28, 6, 2},    {"HOS", 1, 10, 11, 2, 1},
    {"HOS", 2, 1, 23, 2, 3},     {"HOS", 11, 12, 12, 12, 1}, {"HOS", 12, 1, 14, 12, 2},
    {"HOS", 13, 16, 16, 14, 1},  {"HOS", 14, 1, 9, 14, 2},   {"JOL", 2, 28, 32, 3, 1},
    {"JOL", 3, 1, 21, 4, 1},     {"JON", 1, 17, 17, 2, 1},   {"JON", 2, 1, 10, 2, 2},
    {"MIC", 5, 1, 1, 4, 14},     {"MIC", 5, 2, 15, 5, 1},    {"NAM", 1, 15, 15, 2, 1},
    {"NAM", 2, 1, 13, 2, 2},     {"ZEC", 1, 18, 21, 2, 1},   {"ZEC", 2, 1, 13, 2, 5},
    {"MAL", 4, 1, 6, 3, 19},     {"PSA", 13, 1, 4, 13, 2},   {"PSA", 13, 5, 6, 13, 6},
};

/// Psalms whose title is one verse in Hebrew, or two.
constexpr int kTitleOne[] = {3,  4,  5,  6,  7,  8,  9,  12, 18, 19,  20,  21,  22, 30, 31,
                             34, 36, 38, 39, 40, 41, 42, 44, 45, 46,  47,  48,  49, 53, 55,
                             56, 57, 58, 59, 61, 62, 63, 64, 65, 67,  68,  69,  70, 75, 76,
                             77, 80, 81, 83, 84, 85, 88, 89, 92, 102, 108, 140, 142};
constexpr int kTitleTwo[] = {51, 52, 54, 60};

int titleVerses(int psalm) {
    if (std::find(std::begin(kTitleOne), std::end(kTitleOne), psalm) != std::end(kTitleOne))
        return 1;
    return std::find(std::begin(kTitleTwo), std::end(kTitleTwo), psalm) != std::end(kTitleTwo) ? 2 : 0;
}

const BookCode& psalms() {
    static const BookCode code = *BookCode::fromText(u"PSA");
    return code;
}

VersePlace toHebrew(const VersePlace& place) {
    for (const Shift& shift : kShifts)
        if (place.chapter == shift.chapter && place.verse >= shift.first && place.verse <= shift.last &&
            place.book.text() == QLatin1String(shift.book))
            return {place.book, shift.toChapter,
                    shift.book == std::string_view("PSA") && shift.first == 5
                        ? shift.toFirst // Psalm 13: English 5 and 6 are both Hebrew 6
                        : shift.toFirst + place.verse - shift.first};
    if (place.book == psalms())
        return {place.book, place.chapter, place.verse + titleVerses(place.chapter)};
    return place;
}

VersePlace fromHebrew(const VersePlace& place) {
    for (const Shift& shift : kShifts) {
        const int first = shift.toFirst;
        const int last = shift.toFirst + shift.last - shift.first;
        if (place.chapter == shift.toChapter && place.verse >= first && place.verse <= last &&
            place.book.text() == QLatin1String(shift.book))
            return {place.book, shift.chapter, shift.first + place.verse - first};
    }
    if (place.book == psalms())
        return {place.book, place.chapter,
                std::max(1, place.verse - (place.chapter == 13 ? 1 : titleVerses(place.chapter)))};
    return place;
}

// Psalms 9 and 10, 114 and 115 are one in Greek; 116 and 147 are two.
constexpr int kVersesOf9 = 21; // in Hebrew
constexpr int kVersesOf114 = 8;

VersePlace psalmToGreek(const VersePlace& place) {
    const auto [book, psalm, verse] = place;
    if (psalm <= 9)
        return place;
    if (psalm == 10)
        return {book, 9, verse + kVersesOf9};
    if (psalm <= 113)
        return {book, psalm - 1, verse};
    if (psalm == 114)
        return {book, 113, verse};
    if (psalm == 115)
        return {book, 113, verse + kVersesOf114};
    if (psalm == 116)
        return verse <= 9 ? VersePlace{book, 114, verse} : VersePlace{book, 115, verse - 9};
    if (psalm <= 146)
        return {book, psalm - 1, verse};
    if (psalm == 147)
        return verse <= 11 ? VersePlace{book, 146, verse} : VersePlace{book, 147, verse - 11};
    return place;
}

VersePlace psalmFromGreek(const VersePlace& place) {
    const auto [book, psalm, verse] = place;
    if (psalm <= 8)
        return place;
    if (psalm == 9)
        return verse <= kVersesOf9 ? place : VersePlace{book, 10, verse - kVersesOf9};
    if (psalm <= 112)
        return {book, psalm + 1, verse};
    if (psalm == 113)
        return verse <= kVersesOf114 ? VersePlace{book, 114, verse}
                                     : VersePlace{book, 115, verse - kVersesOf114};
    if (psalm == 114)
        return {book, 116, verse};
    if (psalm == 115)
        return {book, 116, verse + 9};
    if (psalm <= 145)
        return {book, psalm + 1, verse};
    if (psalm == 146)
        return {book, 147, verse};
    if (psalm == 147)
        return {book, 147, verse + 11};
    return place;
}

} // namespace

VersePlace inNumbering(const VersePlace& place, Numbering from, Numbering to) {
    if (from == to)
        return place;
    const bool isPsalm = place.book == psalms();
    const bool onlyPsalms = from == Numbering::Greek || to == Numbering::Greek;
    VersePlace hebrew = place;
    if (from == Numbering::English && (isPsalm || !onlyPsalms))
        hebrew = toHebrew(place);
    else if (from == Numbering::Greek)
        hebrew = isPsalm ? psalmFromGreek(place) : to == Numbering::Hebrew ? toHebrew(place) : place;
    if (to == Numbering::Hebrew)
        return hebrew;
    if (to == Numbering::Greek)
        return isPsalm ? psalmToGreek(hebrew) : from == Numbering::Hebrew ? fromHebrew(hebrew) : hebrew;
    return isPsalm || from == Numbering::Hebrew ? fromHebrew(hebrew) : hebrew;
}

Reference inNumbering(const Reference& reference, Numbering from, Numbering to, const Outline& outline) {
    Reference result;
    for (const VerseRange& range : reference.ranges) {
        const OutlineBook* book = outline.book(range.book);
        const OutlineChapter* last = book ? book->chapter(range.to.chapter) : nullptr;
        const int lastVerse = range.to.verse > 0 ? range.to.verse : last ? last->lastVerse : 1;
        const VersePlace begin{range.book, range.from.chapter, std::max(1, range.from.verse)};
        const VersePlace end{range.book, range.to.chapter, lastVerse};
        const VersePlace newBegin = inNumbering(begin, from, to);
        const VersePlace newEnd = inNumbering(end, from, to);
        if (newBegin == begin && newEnd == end) {
            result.ranges.push_back(range);
            continue;
        }
        const bool isWhole = range.from.verse == 0 && range.to.verse == 0;
        const bool keepsWhole = isWhole && range.book == psalms() && newBegin.chapter == newEnd.chapter &&
                                !(to == Numbering::Greek && newBegin.chapter == 113) && newBegin.verse <= 3;
        if (keepsWhole)
            result.ranges.push_back({range.book, {newBegin.chapter, 0, 0}, {newEnd.chapter, 0, 0}});
        else
            result.ranges.push_back({range.book,
                                     {newBegin.chapter, newBegin.verse, range.from.letter},
                                     {newEnd.chapter, newEnd.verse, range.to.letter}});
    }
    return result;
}

Numbering numberingOf(const Outline& outline) {
    const auto verses = [&](const char* code, int chapter) {
        const OutlineBook* book = outline.book(*BookCode::fromText(QString::fromLatin1(code)));
        const OutlineChapter* found = book ? book->chapter(chapter) : nullptr;
        return found ? found->lastVerse : 0;
    };
    int hebrew = 0;
    int greek = 0;
    const auto tells = [&](int there, int english, int inHebrew, int inGreek) {
        hebrew += there == inHebrew ? 1 : there == english ? -1 : 0;
        greek += inGreek > 0 && there == inGreek ? 1 : there == english ? -1 : 0;
    };
    // The last verse of psalms and chapters that differ: English, Hebrew, Greek (0 = tells nothing).
    tells(verses("PSA", 9), 20, 21, 39);
    tells(verses("PSA", 18), 50, 51, 15);
    tells(verses("PSA", 51), 19, 21, 11);
    tells(verses("PSA", 50), 23, 23, 21);
    tells(verses("PSA", 22), 31, 32, 6);
    tells(verses("PSA", 3), 8, 9, 9);
    tells(verses("PSA", 113), 9, 9, 26);
    tells(verses("JOL", 3), 21, 5, 0);
    tells(verses("MAL", 3), 18, 24, 0);
    tells(verses("GEN", 32), 32, 33, 0);
    tells(verses("ISA", 8), 22, 23, 0);
    if (hebrew <= 0 && greek <= 0)
        return Numbering::English;
    return greek > hebrew ? Numbering::Greek : Numbering::Hebrew;
}

QStringList numberingTable() {
    QStringList lines;
    for (const Shift& s : kShifts) {
        const bool one = s.first == s.last;
        const int toLast =
            s.toFirst + (s.book == std::string_view("PSA") && s.first == 5 ? 0 : s.last - s.first);
        const auto range = [](int chapter, int first, int last) {
            return first == last ? QStringLiteral("%1:%2").arg(chapter).arg(first)
                                 : QStringLiteral("%1:%2\u2013%3").arg(chapter).arg(first).arg(last);
        };
        lines << QStringLiteral("%1 %2 = %3")
                     .arg(QLatin1String(s.book), range(s.chapter, s.first, one ? s.first : s.last),
                          range(s.toChapter, s.toFirst, toLast));
    }
    return lines;
}

} // namespace mivanta
