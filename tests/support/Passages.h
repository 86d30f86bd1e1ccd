// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemContent.h"

namespace mivanta::samples {

inline Verse verse(int chapter, int number, const QString& words, VerseStart start = VerseStart::Continues) {
    return {*BookCode::fromText(u"LUK"), chapter, number, number, {{start, words, {}}}};
}

/// Luke 5 from verse 1, in a translation "QST" with a copyright line.
inline Passage passage(const QStringList& verses) {
    Passage passage;
    const BookCode luke = *BookCode::fromText(u"LUK");
    passage.reference.ranges = {{luke, {5, 1, 0}, {5, int(verses.size()), 0}}};
    PassageWords words;
    words.translation = {TranslationId::create(), QStringLiteral("Quayside"),    QStringLiteral("QST"),
                         QStringLiteral("en"),    QStringLiteral("\u00a9 Quay"), CopyrightOn::Last,
                         Numbering::English};
    words.reference = QStringLiteral("Luke 5:1\u2013%1").arg(verses.size());
    for (int i = 0; i < int(verses.size()); ++i)
        words.verses.push_back(verse(5, i + 1, verses[i]));
    passage.words.push_back(std::move(words));
    return passage;
}

/// The same with a second translation beside it.
inline Passage parallel(const QStringList& left, const QStringList& right) {
    Passage both = passage(left);
    Passage other = passage(right);
    other.words[0].translation.shortName = QStringLiteral("HMT");
    other.words[0].translation.language = QStringLiteral("de");
    both.words.push_back(other.words[0]);
    return both;
}

} // namespace mivanta::samples
