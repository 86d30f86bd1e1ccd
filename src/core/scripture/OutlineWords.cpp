// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/OutlineWords.h"

namespace mivanta {

QString joined(QStringList words, const QString& last) {
    if (words.size() < 2)
        return words.join(QString());
    const QString end = words.takeLast();
    return words.join(QStringLiteral(", ")) + last + end;
}

/// "24 chapters", or "the chapters 2, 5–7" when there are gaps.
QString chaptersOf(const OutlineBook& book) {
    const auto& chapters = book.chapters;
    const bool whole =
        !chapters.empty() && chapters.front().number == 1 && chapters.back().number == int(chapters.size());
    if (whole)
        return chapters.size() == 1 ? QStringLiteral("one chapter")
                                    : QStringLiteral("%1 chapters").arg(chapters.size());
    QStringList runs;
    for (size_t i = 0; i < chapters.size();) {
        size_t end = i;
        while (end + 1 < chapters.size() && chapters[end + 1].number == chapters[end].number + 1)
            ++end;
        runs << (end == i ? QString::number(chapters[i].number)
                          : QStringLiteral("%1\u2013%2").arg(chapters[i].number).arg(chapters[end].number));
        i = end + 1;
    }
    return (chapters.size() == 1 ? QStringLiteral("only chapter ") : QStringLiteral("only the chapters ")) +
           joined(runs, QStringLiteral(" and "));
}

QString versesOf(const OutlineChapter& chapter) {
    return chapter.lastVerse == 1 ? QStringLiteral("one verse")
                                  : QStringLiteral("%1 verses").arg(chapter.lastVerse);
}

} // namespace mivanta
