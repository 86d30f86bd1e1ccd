// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ServiceBounds.h"
#include "core/base/Cases.h"
#include "core/song/SongBounds.h"

namespace mivanta {

namespace {

QString beyond(qint64 count, qint64 most, const QString& what) {
    return count > most ? tooMuch(count, what, most) : QString();
}

/// About how many slides an item may need, before anything is fitted.
qint64 slidesAtMost(const ItemWords& words) {
    return std::visit(Cases{[](const SongItem& item) {
                                const qint64 sung = sungCount(item.song->singingOrder);
                                return sung > 0 ? sung : qint64(item.song->parts.size());
                            },
                            [](const PassageItem& item) {
                                return item.passage->words.empty()
                                           ? 0
                                           : qint64(item.passage->words.front().verses.size());
                            },
                            [](const TextItem& item) { return qint64(item.text->lines.size()); },
                            [](const PictureItem& item) { return qint64(item.pictures.size()); },
                            [](const auto&) { return qint64(1); }},
                      words);
}

QString excessOf(const ItemWords& words) {
    return std::visit(Cases{[](const SongItem& item) { return excessOf(*item.song); },
                            [](const PassageItem& item) { return excessOf(*item.passage); },
                            [](const TextItem& item) { return excessOf(*item.text); },
                            [](const PictureItem& item) {
                                return beyond(qint64(item.pictures.size()), kMostPictures,
                                              QStringLiteral("pictures"));
                            },
                            [](const auto&) { return QString(); }},
                      words);
}

} // namespace

QString excessOf(const SpokenText& text) {
    QString excess = beyond(qint64(text.lines.size()), kMostTextLines, QStringLiteral("lines"));
    for (const SpokenLine& line : text.lines)
        if (excess.isEmpty())
            excess = beyond(line.words.size(), kMostSpokenLetters, QStringLiteral("letters in one line"));
    return excess;
}

QString excessOf(const Passage& passage) {
    constexpr qint64 kMostTranslations = 2;
    QString excess = beyond(qint64(passage.words.size()), kMostTranslations,
                            QStringLiteral("translations beside one another"));
    for (const PassageWords& words : passage.words) {
        if (excess.isEmpty())
            excess = beyond(qint64(words.verses.size()), kMostVerses, QStringLiteral("verses"));
        for (const Verse& verse : words.verses)
            if (excess.isEmpty())
                excess =
                    beyond(verse.words().size(), kMostSpokenLetters, QStringLiteral("letters in one verse"));
    }
    return excess;
}

QString excessOf(const Service& service) {
    QString excess = beyond(qint64(service.items.size()), kMostItems, QStringLiteral("items"));
    if (excess.isEmpty())
        excess = beyond(qint64(service.themes.size()), kMostThemes, QStringLiteral("themes"));
    qint64 slides = 0;
    for (const Item& item : service.items) {
        slides += slidesAtMost(item.content);
        if (!excess.isEmpty())
            break;
        if (const QString own = excessOf(item.content); !own.isEmpty())
            excess = QStringLiteral("%1 (\u201c%2\u201d)").arg(own, item.title().left(60));
    }
    return excess.isEmpty() ? beyond(slides, kMostSlides, QStringLiteral("slides")) : excess;
}

} // namespace mivanta
