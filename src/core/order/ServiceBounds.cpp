// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ServiceBounds.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "core/song/SongBounds.h"

namespace mivanta {

namespace {

/// `counted` is a text for translation, such as "%n lines".
QString beyond(qint64 count, qint64 most, const char* counted) {
    return count > most ? tooMuch(Said::tr(counted, nullptr, Said::n(count)), most) : QString();
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
                                              QT_TRANSLATE_N_NOOP("Said", "%n pictures"));
                            },
                            [](const MusicItem& item) {
                                return beyond(qint64(item.pieces.size()), kMostPieces,
                                              QT_TRANSLATE_N_NOOP("Said", "%n pieces of music"));
                            },
                            [](const auto&) { return QString(); }},
                      words);
}

} // namespace

QString excessOf(const SpokenText& text) {
    QString excess =
        beyond(qint64(text.lines.size()), kMostTextLines, QT_TRANSLATE_N_NOOP("Said", "%n lines"));
    for (const SpokenLine& line : text.lines)
        if (excess.isEmpty())
            excess = beyond(line.words.size(), kMostSpokenLetters,
                            QT_TRANSLATE_N_NOOP("Said", "%n letters in one line"));
    return excess;
}

QString excessOf(const Passage& passage) {
    constexpr qint64 kMostTranslations = 2;
    QString excess = beyond(qint64(passage.words.size()), kMostTranslations,
                            QT_TRANSLATE_N_NOOP("Said", "%n translations beside one another"));
    for (const PassageWords& words : passage.words) {
        if (excess.isEmpty())
            excess =
                beyond(qint64(words.verses.size()), kMostVerses, QT_TRANSLATE_N_NOOP("Said", "%n verses"));
        for (const Verse& verse : words.verses)
            if (excess.isEmpty())
                excess = beyond(verse.words().size(), kMostSpokenLetters,
                                QT_TRANSLATE_N_NOOP("Said", "%n letters in one verse"));
    }
    return excess;
}

QString excessOf(const Service& service) {
    QString excess =
        beyond(qint64(service.items.size()), kMostItems, QT_TRANSLATE_N_NOOP("Said", "%n items"));
    if (excess.isEmpty())
        excess = beyond(qint64(service.themes.size()), kMostThemes, QT_TRANSLATE_N_NOOP("Said", "%n themes"));
    qint64 slides = 0;
    for (const Item& item : service.items) {
        slides += slidesAtMost(item.words);
        if (!excess.isEmpty())
            break;
        if (const QString own = excessOf(item.words); !own.isEmpty())
            excess = Said::tr("%1 (\u201c%2\u201d)").arg(own, item.title().left(60));
    }
    return excess.isEmpty() ? beyond(slides, kMostSlides, QT_TRANSLATE_N_NOOP("Said", "%n slides")) : excess;
}

} // namespace mivanta
