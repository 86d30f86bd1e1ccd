// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/WholePaste.h"
#include "core/base/Said.h"
#include "core/song/PasteCleanup.h"
#include "core/song/SingingOrder.h"
#include "formats/PlainText.h"
#include <algorithm>

namespace mivanta {

namespace {

template <typename Value>
void takeWhereEmpty(Value& mine, const Value& theirs) {
    if (mine == Value())
        mine = theirs;
}

QString understoodOf(const ReadSong& read, const QString& titleBefore) {
    const Song& song = read.song;
    QStringList facts;
    if (song.title != titleBefore)
        facts << Said::tr("the title \u201c%1\u201d").arg(song.title);
    if (const QStringList names = song.authorNames(); !names.isEmpty())
        facts << Said::tr("names: %1").arg(names.join(QStringLiteral(", ")));
    if (!song.copyright.isEmpty())
        facts << Said::tr("the copyright");
    if (!song.key.isEmpty())
        facts << Said::tr("key %1").arg(song.key);
    if (!song.bookNumbers.empty() || !song.licenceNumber.isEmpty())
        facts << Said::tr("its numbers");
    QStringList labels;
    for (const Part& part : song.parts)
        labels << part.label();
    facts << labels.join(QStringLiteral(", "));
    int withChords = 0;
    for (const Part& part : song.parts)
        withChords += int(std::count_if(part.lines.begin(), part.lines.end(),
                                        [](const Line& line) { return !line.chords.empty(); }));
    if (withChords > 0)
        facts << Said::tr("chords over %n lines", nullptr, withChords);
    if (!song.singingOrder.empty())
        facts << Said::tr("sung %1").arg(singingOrderText(song));
    if (!read.warnings.empty()) {
        QStringList said;
        for (const ReadWarning& warning : read.warnings)
            said << warning.text;
        facts << said.join(u' ');
    }
    return Said::tr("Understood: %1.").arg(facts.join(QStringLiteral("; ")));
}

} // namespace

QString newSongTitle() {
    return Said::tr("New song");
}

bool isFresh(const Song& song) {
    return song.revision == 0 && std::none_of(song.parts.begin(), song.parts.end(),
                                              [](const Part& part) { return part.hasWords(); });
}

std::optional<QString> takeWhole(Song& song, const QString& pasted) {
    const QString title = song.title.trimmed().isEmpty() ? newSongTitle() : song.title;
    const auto songs = parsePlainText(plainText(pasted), title);
    if (songs.empty())
        return std::nullopt;
    const Song& read = songs.front().song;
    if (title == newSongTitle())
        song.title = read.title;
    song.parts = read.parts;
    song.singingOrder = read.singingOrder;
    takeWhereEmpty(song.otherTitles, read.otherTitles);
    takeWhereEmpty(song.authors, read.authors);
    takeWhereEmpty(song.copyright, read.copyright);
    takeWhereEmpty(song.licenceNumber, read.licenceNumber);
    takeWhereEmpty(song.bookNumbers, read.bookNumbers);
    takeWhereEmpty(song.key, read.key);
    takeWhereEmpty(song.tempo, read.tempo);
    takeWhereEmpty(song.timeSignature, read.timeSignature);
    takeWhereEmpty(song.capo, read.capo);
    takeWhereEmpty(song.topics, read.topics);
    takeWhereEmpty(song.notes, read.notes);
    return understoodOf(songs.front(), title);
}

} // namespace mivanta
