// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemContent.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

CreditFields creditOf(const Song& song) {
    QStringList books;
    for (const BookNumber& book : song.bookNumbers)
        books << book.book + u' ' + book.number;
    return {song.title, song.authorNames().join(QStringLiteral(", ")), song.copyright, song.licenceNumber,
            books.join(QStringLiteral(", "))};
}

} // namespace

QString ItemContent::labelOf(const QString& key) const {
    const auto at =
        std::find_if(parts.begin(), parts.end(), [&](const ContentPart& part) { return part.key == key; });
    return at == parts.end() ? key : at->label;
}

ItemContent contentOf(const Song& song) {
    ItemContent content;
    QHash<PartId, int> indexOf;
    for (const Part& part : song.parts) {
        indexOf.insert(part.id, int(content.parts.size()));
        content.parts.push_back({part.key(),
                                 part.label(),
                                 part.shortLabel(),
                                 part.bandOnly,
                                 part.comment,
                                 {part.lines.begin(), part.lines.end()}});
    }
    for (const SungPart& sung : song.sungParts()) {
        if (sung.isEmptySlide() && !indexOf.contains(sung.part)) {
            ContentPart blank{QStringLiteral("Empty"), Said::tr("Empty"), QStringLiteral("_"), false, {}, {}};
            blank.isBlank = true;
            indexOf.insert(sung.part, int(content.parts.size()));
            content.parts.push_back(std::move(blank));
        }
        const auto at = indexOf.constFind(sung.part);
        if (at == indexOf.constEnd())
            continue;
        for (int pass = 1; pass <= sung.times; ++pass)
            content.entries.push_back({*at, pass, sung.times, sung.stageNote});
    }
    content.credit = creditOf(song);
    return content;
}

} // namespace mivanta
