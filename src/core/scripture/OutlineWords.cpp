// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/OutlineWords.h"
#include "core/base/Said.h"

namespace mivanta {

/// "24 chapters", or "the chapters 2, 5–7" when there are gaps.
QString chaptersOf(const OutlineBook& book) {
    const auto& chapters = book.chapters;
    const bool whole =
        !chapters.empty() && chapters.front().number == 1 && chapters.back().number == int(chapters.size());
    if (whole)
        return chapters.size() == 1 ? Said::tr("one chapter")
                                    : Said::tr("%n chapters", nullptr, Said::n(chapters.size()));
    QStringList runs;
    for (size_t i = 0; i < chapters.size();) {
        size_t end = i;
        while (end + 1 < chapters.size() && chapters[end + 1].number == chapters[end].number + 1)
            ++end;
        runs << (end == i ? QString::number(chapters[i].number)
                          : QStringLiteral("%1\u2013%2").arg(chapters[i].number).arg(chapters[end].number));
        i = end + 1;
    }
    return (chapters.size() == 1 ? Said::tr("only chapter %1") : Said::tr("only the chapters %1"))
        .arg(Said::all(runs));
}

QString versesOf(const OutlineChapter& chapter) {
    return chapter.lastVerse == 1 ? Said::tr("one verse") : Said::tr("%n verses", nullptr, chapter.lastVerse);
}

} // namespace mivanta
