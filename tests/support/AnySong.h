// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Emphasis.h"
#include "core/song/PartEdits.h"
#include "core/song/SingingOrder.h"
#include <rapidcheck.h>

namespace mivanta::samples {

/// Words that try every sign that a text format gives a meaning to.
inline rc::Gen<QString> anyWords(int most = 7) {
    const auto word =
        rc::gen::map(rc::gen::element("sea", "the", "Harbour", "G", "*star*", "[box]", "a\\b", "<b>", "R&D",
                                      "#1", "{x}", "caf\xc3\xa9", "\xd7\x90\xd7\x95\xd7\xa8", "it's", "---",
                                      ">", "Verse", "\"so\"", "x2", "_", "(oh)", "**", "&amp;", "Chorus:"),
                     [](const char* text) { return QString::fromUtf8(text); });
    return rc::gen::map(rc::gen::resize(most, rc::gen::container<std::vector<QString>>(word)),
                        [](const std::vector<QString>& words) {
                            QStringList list;
                            for (const QString& w : words)
                                list << w;
                            return list.join(u' ');
                        });
}

inline rc::Gen<Line> anyLine() {
    const auto chord = rc::gen::pair(rc::gen::inRange(0, 40),
                                     rc::gen::map(rc::gen::element("G", "Em7", "D/F#", "Bb", "riff"),
                                                  [](const char* c) { return QString::fromLatin1(c); }));
    const auto stretch =
        rc::gen::tuple(rc::gen::inRange(0, 40), rc::gen::inRange(1, 12), rc::gen::inRange(1, 4));
    return rc::gen::apply(
        [](const QString& words, const std::vector<std::pair<int, QString>>& chords,
           const std::vector<std::tuple<int, int, int>>& stretches, bool breakBefore, bool comment) {
            Line line;
            line.words = words.isEmpty() ? QStringLiteral("oh") : words;
            const int size = int(line.words.size());
            for (const auto& [at, name] : chords)
                line.chords.push_back({at % (size + 1), name});
            std::stable_sort(line.chords.begin(), line.chords.end(),
                             [](const ChordMark& a, const ChordMark& b) { return a.position < b.position; });
            std::vector<unsigned char> weights(size_t(size), 0);
            for (const auto& [from, length, weight] : stretches)
                for (int i = from % size; i < std::min(size, from % size + length); ++i)
                    weights[size_t(i)] = static_cast<unsigned char>(weight);
            setWeights(line, weights);
            line.breakBefore = breakBefore;
            if (comment)
                line.comment = QStringLiteral("softly");
            return line;
        },
        anyWords(), rc::gen::resize(3, rc::gen::container<std::vector<std::pair<int, QString>>>(chord)),
        rc::gen::resize(2, rc::gen::container<std::vector<std::tuple<int, int, int>>>(stretch)),
        rc::gen::arbitrary<bool>(), rc::gen::map(rc::gen::inRange(0, 8), [](int n) { return n == 0; }));
}

inline rc::Gen<std::vector<Part>> anyParts() {
    const auto part =
        rc::gen::pair(rc::gen::inRange(0, 9),
                      rc::gen::map(rc::gen::resize(5, rc::gen::container<std::vector<Line>>(anyLine())),
                                   [](std::vector<Line> lines) {
                                       if (lines.empty())
                                           lines.push_back({QStringLiteral("la"), {}, false, {}, {}});
                                       lines.front().breakBefore = false;
                                       lines.front().comment.clear();
                                       return lines;
                                   }));
    return rc::gen::map(
        rc::gen::resize(6, rc::gen::container<std::vector<std::pair<int, std::vector<Line>>>>(part)),
        [](std::vector<std::pair<int, std::vector<Line>>> made) {
            Song song;
            if (made.empty())
                made.push_back({0, {Line{QStringLiteral("la"), {}, false, {}, {}}}});
            for (auto& [kind, lines] : made) {
                addPart(song, int(song.parts.size()), PartKind(kind), QStringLiteral("Prayer"));
                // The same words twice are one part sung twice to a reader.
                lines.front().words += QString::number(song.parts.size());
                song.parts.back().lines = lines;
                song.parts.back().bandOnly = isBandOnlyByDefault(song.parts.back());
            }
            return song.parts;
        });
}

/// A song as the library holds it, with orders and details.
inline rc::Gen<Song> anySong() {
    const auto entry =
        rc::gen::tuple(rc::gen::inRange(0, 7), rc::gen::inRange(1, 4), rc::gen::arbitrary<bool>());
    return rc::gen::apply(
        [](std::vector<Part> parts, const std::vector<std::tuple<int, int, bool>>& order, int details,
           const QString& words) {
            Song song;
            song.id = SongId::create();
            song.title = QStringLiteral("Tide ") + words;
            song.parts = std::move(parts);
            for (const auto& [part, times, note] : order) {
                SungPart sung{{}, 1, note ? QStringLiteral("half time") : QString()};
                if (part < int(song.parts.size())) {
                    sung.part = song.parts[size_t(part)].id;
                    sung.times = times;
                }
                song.singingOrder.push_back(sung);
            }
            if (details & 1) {
                song.otherTitles = {QStringLiteral("Other: one"), QStringLiteral("Two")};
                song.authors = {{AuthorRole::Words, QStringLiteral("Tarnwell, I.")},
                                {AuthorRole::Music, QStringLiteral("P. Osk")},
                                {AuthorRole::Translation, QStringLiteral("Ada and Bo")},
                                {AuthorRole::Arrangement, QStringLiteral("R&D")}};
                song.topics = {QStringLiteral("harbour, evening"), QStringLiteral("tide")};
            }
            if (details & 2) {
                song.copyright = QStringLiteral("\u00a9 2019 Quillhaven Songs");
                song.licenceNumber = QStringLiteral("550 1203");
                song.bookNumbers = {{QStringLiteral("Shore Hymnal"), QStringLiteral("203")},
                                    {{}, QStringLiteral("12 a")}};
                song.key = QStringLiteral("Bb");
                song.tempo = 72;
                song.timeSignature = QStringLiteral("6/8");
                song.capo = 2;
            }
            if (details & 4) {
                song.language = QStringLiteral("en");
                song.notes = QStringLiteral("first\n\nthird line");
                song.usualTheme = QStringLiteral("dusk-water");
                song.backingTrack = QStringLiteral("tide.ogg");
                song.orderName = QStringLiteral("Full");
                song.otherOrders = {{QStringLiteral("Short"), {{song.parts.front().id, 2, {}}}},
                                    {QStringLiteral("As written"), {}}};
            }
            return tidied(song);
        },
        anyParts(), rc::gen::resize(6, rc::gen::container<std::vector<std::tuple<int, int, bool>>>(entry)),
        rc::gen::inRange(0, 8), anyWords(3));
}

} // namespace mivanta::samples
