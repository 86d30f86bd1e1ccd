// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/Chords.h"
#include <QRegularExpression>
#include <array>

namespace mivanta {

namespace {

constexpr std::array kSharps{"C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"};
constexpr std::array kFlats{"C", "Db", "D", "Eb", "E", "F", "Gb", "G", "Ab", "A", "Bb", "B"};

/// 0 (C) to 11 (B), or -1 when it is no note name.
int pitch(const QString& note) {
    static constexpr std::array kNaturals{9, 11, 0, 2, 4, 5, 7}; // A to G
    if (note.isEmpty() || note[0] < u'A' || note[0] > u'G')
        return -1;
    int value = kNaturals[size_t(note[0].unicode() - u'A')];
    for (const QChar c : note.mid(1))
        value += c == u'#' || c == u'\u266f' ? 1 : -1;
    return (value + 12) % 12;
}

QString spelled(int pitchClass, bool withFlats) {
    return QLatin1String(withFlats ? kFlats[size_t(pitchClass)] : kSharps[size_t(pitchClass)]);
}

const QRegularExpression& chordShape() {
    static const QRegularExpression shape(QStringLiteral(
        "^([A-G][#b\u266f\u266d]?)((?:m|min|maj|M|dim|aug|sus|add|no|alt|[0-9+\\-\u00b0\u00f8()#b])*)"
        "(?:/([A-G][#b\u266f\u266d]?))?$"));
    return shape;
}

} // namespace

QString transposedChord(const QString& chord, int semitones, bool withFlats) {
    const auto match = chordShape().match(chord);
    if (!match.hasMatch())
        return chord;
    const int by = (semitones % 12 + 12) % 12;
    QString result = spelled((pitch(match.captured(1)) + by) % 12, withFlats) + match.captured(2);
    if (!match.captured(3).isEmpty())
        result += u'/' + spelled((pitch(match.captured(3)) + by) % 12, withFlats);
    return result;
}

bool keyUsesFlats(const QString& key) {
    static const QStringList flats{QStringLiteral("F"),  QStringLiteral("Bb"),  QStringLiteral("Eb"),
                                   QStringLiteral("Ab"), QStringLiteral("Db"),  QStringLiteral("Gb"),
                                   QStringLiteral("Dm"), QStringLiteral("Gm"),  QStringLiteral("Cm"),
                                   QStringLiteral("Fm"), QStringLiteral("Bbm"), QStringLiteral("Ebm")};
    return flats.contains(key);
}

Song transposed(const Song& song, int semitones) {
    if (semitones % 12 == 0)
        return song;
    Song result = song;
    // The usual keys on the circle of fifths: of two spellings, the one with fewer accidentals.
    static const QStringList unusual{QStringLiteral("C#"), QStringLiteral("D#"),  QStringLiteral("G#"),
                                     QStringLiteral("A#"), QStringLiteral("D#m"), QStringLiteral("A#m")};
    result.key = transposedChord(song.key, semitones, false);
    if (unusual.contains(result.key))
        result.key = transposedChord(song.key, semitones, true);
    const bool withFlats = keyUsesFlats(result.key);
    for (Part& part : result.parts)
        for (Line& line : part.lines)
            for (ChordMark& chord : line.chords)
                chord.name = transposedChord(chord.name, semitones, withFlats);
    return result;
}

} // namespace mivanta
