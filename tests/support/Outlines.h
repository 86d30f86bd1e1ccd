// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Reference.h"

namespace mivanta {

/// Sixty-six books with their real numbers of chapters. Chapters have 30 verses but for those named here,
/// and two verses are not there.
inline Outline englishOutline() {
    static constexpr std::pair<const char*, int> kChapters[] = {
        {"GEN", 50}, {"EXO", 40}, {"LEV", 27}, {"NUM", 36}, {"DEU", 34},  {"JOS", 24}, {"JDG", 21},
        {"RUT", 4},  {"1SA", 31}, {"2SA", 24}, {"1KI", 22}, {"2KI", 25},  {"1CH", 29}, {"2CH", 36},
        {"EZR", 10}, {"NEH", 13}, {"EST", 10}, {"JOB", 42}, {"PSA", 150}, {"PRO", 31}, {"ECC", 12},
        {"SNG", 8},  {"ISA", 66}, {"JER", 52}, {"LAM", 5},  {"EZK", 48},  {"DAN", 12}, {"HOS", 14},
        {"JOL", 3},  {"AMO", 9},  {"OBA", 1},  {"JON", 4},  {"MIC", 7},   {"NAM", 3},  {"HAB", 3},
        {"ZEP", 3},  {"HAG", 2},  {"ZEC", 14}, {"MAL", 4},  {"MAT", 28},  {"MRK", 16}, {"LUK", 24},
        {"JHN", 21}, {"ACT", 28}, {"ROM", 16}, {"1CO", 16}, {"2CO", 13},  {"GAL", 6},  {"EPH", 6},
        {"PHP", 4},  {"COL", 4},  {"1TH", 5},  {"2TH", 3},  {"1TI", 6},   {"2TI", 4},  {"TIT", 3},
        {"PHM", 1},  {"HEB", 13}, {"JAS", 5},  {"1PE", 5},  {"2PE", 3},   {"1JN", 5},  {"2JN", 1},
        {"3JN", 1},  {"JUD", 1},  {"REV", 22}};
    Outline outline{QStringLiteral("Sample"), QStringLiteral("en"), {}};
    for (const auto& [code, chapters] : kChapters) {
        OutlineBook book;
        book.code = *BookCode::fromText(QString::fromLatin1(code));
        book.name = englishName(book.code);
        for (int chapter = 1; chapter <= chapters; ++chapter)
            book.chapters.push_back({chapter, 30, {}});
        outline.books.push_back(std::move(book));
    }
    const auto chapter = [&](const char* code, int number) -> OutlineChapter& {
        for (OutlineBook& book : outline.books)
            if (book.code.text() == QLatin1String(code))
                return book.chapters[size_t(number) - 1];
        std::abort();
    };
    chapter("LUK", 5).lastVerse = 39;
    chapter("PSA", 23).lastVerse = 6;
    chapter("PSA", 119).lastVerse = 176;
    chapter("GEN", 1).lastVerse = 31;
    chapter("GEN", 2).lastVerse = 25;
    chapter("1CO", 13).lastVerse = 13;
    chapter("1CO", 14).lastVerse = 40;
    chapter("JHN", 3).lastVerse = 36;
    chapter("JUD", 1).lastVerse = 25;
    chapter("PHM", 1).lastVerse = 25;
    chapter("OBA", 1).lastVerse = 21;
    chapter("3JN", 1).lastVerse = 14;
    chapter("MAT", 17).missing = {21};
    chapter("MRK", 9).missing = {28, 29, 30};
    return outline;
}

/// A translation in German with a few books.
inline Outline germanOutline() {
    Outline outline{QStringLiteral("Muster"), QStringLiteral("de"), {}};
    const auto add = [&](const char* code, const QString& name, const QStringList& others, int chapters) {
        OutlineBook book{*BookCode::fromText(QString::fromLatin1(code)), name, others, {}};
        for (int chapter = 1; chapter <= chapters; ++chapter)
            book.chapters.push_back({chapter, 40, {}});
        outline.books.push_back(std::move(book));
    };
    add("GEN", QStringLiteral("1. Mose"), {QStringLiteral("Genesis")}, 50);
    add("EXO", QStringLiteral("2. Mose"), {}, 40);
    add("RUT", QStringLiteral("Rut"), {}, 4);
    add("PSA", QStringLiteral("Psalm"), {QStringLiteral("Psalmen")}, 150);
    add("LUK", QStringLiteral("Lukas"), {QStringLiteral("Lk")}, 24);
    add("ACT", QStringLiteral("Apostelgeschichte"), {QStringLiteral("Apg")}, 28);
    add("ROM", QStringLiteral("R\u00f6mer"), {}, 16);
    add("1CO", QStringLiteral("1. Korinther"), {QStringLiteral("1 Kor")}, 16);
    return outline;
}

} // namespace mivanta
