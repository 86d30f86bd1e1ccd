// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongBounds.h"

namespace mivanta {

QString tooMuch(qint64 count, const QString& what, qint64 most) {
    return QStringLiteral("%1 %2; %3 is the most").arg(QString::number(count), what, QString::number(most));
}

namespace {

QString excessOf(const Part& part, qsizetype& letters) {
    if (part.lines.size() > size_t(kMostLines))
        return tooMuch(qint64(part.lines.size()), QStringLiteral("lines in ") + part.label(), kMostLines);
    for (const Line& line : part.lines) {
        if (line.words.size() > kMostLetters)
            return tooMuch(line.words.size(), QStringLiteral("letters in one line of ") + part.label(),
                           kMostLetters);
        if (line.chords.size() > size_t(kMostLetters))
            return tooMuch(qint64(line.chords.size()), QStringLiteral("chords in one line"), kMostLetters);
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
        return tooMuch(qint64(song.parts.size()), QStringLiteral("parts"), kMostParts);
    qsizetype letters = 0;
    for (const Part& part : song.parts)
        if (const QString excess = excessOf(part, letters); !excess.isEmpty())
            return excess;
    if (letters > kMostSongLetters)
        return tooMuch(letters, QStringLiteral("letters"), kMostSongLetters);
    if (song.otherOrders.size() > size_t(kMostOrders))
        return tooMuch(qint64(song.otherOrders.size()), QStringLiteral("other singing orders"), kMostOrders);
    const auto excessOfOrder = [](const std::vector<SungPart>& order) {
        const qint64 sung = sungCount(order);
        return sung > kMostSung ? tooMuch(sung, QStringLiteral("parts in a singing order"), kMostSung)
                                : QString();
    };
    QString excess = excessOfOrder(song.singingOrder);
    for (const NamedOrder& other : song.otherOrders)
        if (excess.isEmpty())
            excess = excessOfOrder(other.entries);
    return excess;
}

} // namespace mivanta
