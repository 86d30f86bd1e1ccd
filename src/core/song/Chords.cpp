// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/Chords.h"
#include <QRegularExpression>
#include <algorithm>
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

bool isMinor(const QString& quality) {
    return (quality.startsWith(u'm') && !quality.startsWith(QLatin1String("maj"))) ||
           quality.startsWith(u'-');
}

struct Key {
    int tonic = 0; ///< 0 (C) to 11
    bool minor = false;
};

std::optional<Key> readKey(const QString& text) {
    const auto match = chordShape().match(text.trimmed());
    if (!match.hasMatch())
        return std::nullopt;
    return Key{pitch(match.captured(1)), isMinor(match.captured(2))};
}

template <typename Change>
Song withChords(const Song& song, Change change) {
    Song result = song;
    for (Part& part : result.parts)
        for (Line& line : part.lines)
            for (ChordMark& chord : line.chords)
                chord.name = change(chord.name);
    return result;
}

QString usualKeyName(int tonic, bool minor) {
    static constexpr std::array kMajor{"C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"};
    static constexpr std::array kMinor{"Cm",  "C#m", "Dm",  "Ebm", "Em",  "Fm",
                                       "F#m", "Gm",  "G#m", "Am",  "Bbm", "Bm"};
    return QLatin1String(minor ? kMinor[size_t(tonic)] : kMajor[size_t(tonic)]);
}

/// How well a chord sits in a major key, by its step: 1 4 5 most, then 2m 3m 6m, then borrowed ones.
double fitness(int step, bool minor) {
    static constexpr std::array kMajorSteps{3.0, 0.0, 0.4, 0.2, 0.3, 2.5, 0.0, 2.5, 0.2, 0.3, 0.8, 0.0};
    static constexpr std::array kMinorSteps{0.2, 0.0, 2.0, 0.0, 1.5, 0.4, 0.0, 0.3, 0.0, 2.0, 0.0, 0.2};
    return minor ? kMinorSteps[size_t(step)] : kMajorSteps[size_t(step)];
}

} // namespace

bool isChord(const QString& text) {
    return chordShape().match(text).hasMatch() || text == QLatin1String("N.C.") ||
           text == QLatin1String("NC");
}

bool isChordLine(const QString& line) {
    const QStringList words = line.split(u' ', Qt::SkipEmptyParts);
    static const QStringList signs{QStringLiteral("|"),    QStringLiteral("||"), QStringLiteral("/"),
                                   QStringLiteral("-"),    QStringLiteral("%"),  QStringLiteral("x2"),
                                   QStringLiteral("(x2)"), QStringLiteral("|:"), QStringLiteral(":|")};
    int chords = 0;
    for (const QString& word : words) {
        if (isChord(word))
            ++chords;
        else if (!signs.contains(word))
            return false;
    }
    return chords > 0;
}

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
    // The usual keys on the circle of fifths: of two spellings, the one with fewer accidentals.
    static const QStringList unusual{QStringLiteral("C#"), QStringLiteral("D#"),  QStringLiteral("G#"),
                                     QStringLiteral("A#"), QStringLiteral("D#m"), QStringLiteral("A#m")};
    QString key = transposedChord(keyOf(song), semitones, false);
    if (unusual.contains(key))
        key = transposedChord(keyOf(song), semitones, true);
    const bool withFlats = keyUsesFlats(key);
    Song result =
        withChords(song, [&](const QString& chord) { return transposedChord(chord, semitones, withFlats); });
    if (!song.key.isEmpty())
        result.key = key;
    return result;
}

std::optional<int> semitonesBetween(const QString& from, const QString& to) {
    const auto a = readKey(from);
    const auto b = readKey(to);
    if (!a || !b)
        return std::nullopt;
    return (b->tonic - a->tonic + 12) % 12;
}

QString chordNumber(const QString& chord, const QString& key) {
    static constexpr std::array kSteps{"1", "b2", "2", "b3", "3", "4", "b5", "5", "b6", "6", "b7", "7"};
    const auto match = chordShape().match(chord);
    const auto in = readKey(key);
    if (!match.hasMatch() || !in)
        return chord;
    const int one = in->minor ? (in->tonic + 3) % 12 : in->tonic;
    const auto step = [&](const QString& note) {
        return QLatin1String(kSteps[size_t((pitch(note) - one + 12) % 12)]);
    };
    QString result = step(match.captured(1)) + match.captured(2);
    if (!match.captured(3).isEmpty())
        result += u'/' + step(match.captured(3));
    return result;
}

Song withChordNumbers(const Song& song) {
    const QString key = keyOf(song);
    return withChords(song, [&](const QString& chord) { return chordNumber(chord, key); });
}

Song withCapo(const Song& song, int fret) {
    return transposed(song, -fret);
}

std::optional<QString> guessedKey(const Song& song) {
    struct Heard {
        int pitch;
        bool minor;
        double weight;
    };
    std::vector<Heard> heard;
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            for (const ChordMark& chord : line.chords)
                if (const auto match = chordShape().match(chord.name); match.hasMatch())
                    heard.push_back({pitch(match.captured(1)), isMinor(match.captured(2)), 1});
    if (heard.empty())
        return std::nullopt;
    const double extra = 1 + double(heard.size()) / 8;
    heard.front().weight += extra;
    heard.back().weight += 2 * extra;
    double best = -1;
    Key key;
    for (int tonic = 0; tonic < 12; ++tonic)
        for (const bool minor : {false, true}) {
            const int one = minor ? (tonic + 3) % 12 : tonic;
            double score = 0;
            for (const Heard& h : heard) {
                score += fitness((h.pitch - one + 12) % 12, h.minor) * h.weight;
                if (h.pitch == tonic && h.minor == minor)
                    score += 1.2 * h.weight; // the chord of the key itself tells it from its relative
            }
            if (score > best) {
                best = score;
                key = {tonic, minor};
            }
        }
    return usualKeyName(key.tonic, key.minor);
}

QString keyOf(const Song& song) {
    return song.key.isEmpty() ? guessedKey(song).value_or(QString()) : song.key;
}

QStringList doubtfulChords(const Song& song) {
    QStringList names;
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            for (const ChordMark& chord : line.chords)
                if (!isChord(chord.name) && !names.contains(chord.name))
                    names << chord.name;
    return names;
}

} // namespace mivanta
