// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongDifference.h"
#include "core/base/Said.h"
#include "core/song/SingingOrder.h"

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// One line a part and a line of the song, made of what `piece` takes from it.
template <typename Piece>
QStringList piecesOf(const Song& song, Piece piece) {
    QStringList pieces;
    for (const Part& part : song.parts) {
        pieces << part.key();
        for (const Line& line : part.lines)
            pieces << piece(line);
    }
    return pieces;
}

QStringList words(const Song& song) {
    return piecesOf(song, [](const Line& line) { return line.words; });
}

QStringList chords(const Song& song) {
    return piecesOf(song, [](const Line& line) {
        QString text;
        for (const ChordMark& chord : line.chords)
            text += u"%1%2 "_s.arg(chord.position).arg(chord.name);
        return text;
    });
}

QStringList breaks(const Song& song) {
    return piecesOf(song, [](const Line& line) { return line.breakBefore ? u"-"_s : QString(); });
}

QString orders(const Song& song) {
    QString text = song.orderName + u'|' + singingOrderText(song);
    for (const NamedOrder& other : song.otherOrders)
        text += u'|' + other.name + u'|' + singingOrderText(other.entries, song.parts);
    return text;
}

} // namespace

QStringList differencesOf(const Song& a, const Song& b) {
    QStringList differences;
    if (sameContent(a, b))
        return differences;
    const auto note = [&](bool differs, const QString& what) {
        if (differs)
            differences << what;
    };
    note(a.title != b.title, Said::tr("title"));
    const bool sameWords = words(a) == words(b);
    note(!sameWords, Said::tr("words"));
    note(sameWords && chords(a) != chords(b), Said::tr("chords"));
    note(sameWords && breaks(a) != breaks(b), Said::tr("slide breaks"));
    note(orders(a) != orders(b), Said::tr("singing order"));
    note(a.key != b.key, Said::tr("key"));
    note(a.capo != b.capo, Said::tr("capo"));
    note(a.usualTheme != b.usualTheme, Said::tr("theme"));
    if (differences.isEmpty())
        differences << Said::tr("details");
    return differences;
}

} // namespace mivanta
