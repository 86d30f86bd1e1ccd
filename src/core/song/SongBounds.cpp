// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongBounds.h"
#include "core/base/Said.h"

namespace mivanta {

QString tooMuch(const QString& counted, qint64 most) {
    return Said::tr("%1; %2 is the most").arg(counted, QString::number(most));
}

namespace {

QString excessOf(const Part& part, qsizetype& letters) {
    if (part.lines.size() > size_t(kMostLines))
        return tooMuch(Said::tr("%n lines in %1", nullptr, Said::n(part.lines.size())).arg(part.label()),
                       kMostLines);
    for (const Line& line : part.lines) {
        if (line.words.size() > kMostLetters)
            return tooMuch(Said::tr("%n letters in one line of %1", nullptr, Said::n(line.words.size()))
                               .arg(part.label()),
                           kMostLetters);
        if (line.chords.size() > size_t(kMostLetters))
            return tooMuch(Said::tr("%n chords in one line", nullptr, Said::n(line.chords.size())),
                           kMostLetters);
        letters += line.words.size();
    }
    return {};
}

} // namespace

qint64 sungCount(const std::vector<SungPart>& order) {
    qint64 count = 0;
    for (const SungPart& sung : order)
        count += sung.times;
    return count;
}

QString excessOf(const Song& song) {
    if (song.parts.size() > size_t(kMostParts))
        return tooMuch(Said::tr("%n parts", nullptr, Said::n(song.parts.size())), kMostParts);
    qsizetype letters = 0;
    for (const Part& part : song.parts)
        if (QString excess = excessOf(part, letters); !excess.isEmpty())
            return excess;
    if (letters > kMostSongLetters)
        return tooMuch(Said::tr("%n letters", nullptr, Said::n(letters)), kMostSongLetters);
    if (song.otherOrders.size() > size_t(kMostOrders))
        return tooMuch(Said::tr("%n other singing orders", nullptr, Said::n(song.otherOrders.size())),
                       kMostOrders);
    const auto excessOfOrder = [](const std::vector<SungPart>& order) {
        const qint64 sung = sungCount(order);
        return sung > kMostSung
                   ? tooMuch(Said::tr("%n parts in a singing order", nullptr, Said::n(sung)), kMostSung)
                   : QString();
    };
    QString excess = excessOfOrder(song.singingOrder);
    for (const NamedOrder& other : song.otherOrders)
        if (excess.isEmpty())
            excess = excessOfOrder(other.entries);
    return excess;
}

} // namespace mivanta
