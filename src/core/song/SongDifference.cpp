// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongDifference.h"
#include "core/song/SingingOrder.h"

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// One line a part and a line of the song, made of what `piece` takes from it.
template <typename Piece>
QStringList piecesOf(const Song& song, Piece piece) {
    QStringList pieces;
    for (const Part& part : song.parts) {
        pieces << part.label();
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
    note(a.title != b.title, u"title"_s);
    const bool sameWords = words(a) == words(b);
    note(!sameWords, u"words"_s);
    note(sameWords && chords(a) != chords(b), u"chords"_s);
    note(sameWords && breaks(a) != breaks(b), u"slide breaks"_s);
    note(orders(a) != orders(b), u"singing order"_s);
    note(a.key != b.key, u"key"_s);
    note(a.capo != b.capo, u"capo"_s);
    note(a.usualTheme != b.usualTheme, u"theme"_s);
    if (differences.isEmpty())
        differences << u"details"_s;
    return differences;
}

} // namespace mivanta
