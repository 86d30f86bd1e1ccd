// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongReader.h"
#include "core/base/Said.h"
#include "core/song/SongBounds.h"
#include "formats/BoundedRead.h"
#include "formats/ChordPro.h"
#include "formats/OfficeText.h"
#include "formats/PlainText.h"
#include "formats/SongCsv.h"
#include "formats/TextDecoding.h"
#include <QFileInfo>
#include <QRegularExpression>

namespace mivanta {

namespace {

const QStringList& chordProEndings() {
    static const QStringList endings{QStringLiteral("cho"), QStringLiteral("crd"), QStringLiteral("chopro"),
                                     QStringLiteral("chordpro"), QStringLiteral("chord")};
    return endings;
}

bool looksLikeChordPro(const QString& text, const QString& fileName) {
    static const QRegularExpression directive(
        QStringLiteral("^\\s*\\{\\s*(title|t|start_of_[a-z]+|so[cvbtg]|comment|c|key|meta|artist)\\b"),
        QRegularExpression::MultilineOption);
    return chordProEndings().contains(QFileInfo(fileName).suffix().toLower()) ||
           directive.match(text).hasMatch();
}

} // namespace

namespace {

Result<std::vector<ReadSong>> orNothingFound(std::vector<ReadSong> songs, const QString& fileName) {
    if (songs.empty())
        return failure(Said::tr("no words of a song were found"), fileName,
                       Said::tr("Check that the file holds a song."));
    for (const ReadSong& read : songs)
        if (const QString excess = excessOf(read.song); !excess.isEmpty())
            return failure(Said::tr("\u201c%1\u201d has %2").arg(read.song.title.left(60), excess), fileName,
                           Said::tr("Part it into several songs."));
    return songs;
}

} // namespace

bool isSongFileName(const QString& fileName) {
    const QString ending = QFileInfo(fileName).suffix().toLower();
    return chordProEndings().contains(ending) || ending == QLatin1String("txt") ||
           ending == QLatin1String("text") || ending == QLatin1String("csv") || isOfficeFileName(fileName);
}

Result<std::vector<ReadSong>> readSongs(QIODevice& device, const QString& fileName) {
    const QString name = QFileInfo(fileName).completeBaseName();
    if (isOfficeFileName(fileName)) {
        if (!device.isSequential() && device.size() > kLargestOfficeFile)
            return failure(Said::tr("the file is too large for a song"), fileName,
                           Said::tr("Copy the words out of it."));
        const auto text = officeText(readUpTo(device, kLargestOfficeFile), fileName);
        return text ? orNothingFound(parsePlainText(*text, name), fileName) : tl::unexpected(text.error());
    }
    const auto decoded = readText(device, fileName, kLargestSongFile);
    if (!decoded)
        return tl::unexpected(decoded.error());
    if (QFileInfo(fileName).suffix().toLower() == QLatin1String("csv")) {
        auto rows = songsFromCsv(decoded->text, fileName);
        return rows ? orNothingFound(std::move(*rows), fileName) : rows;
    }
    auto songs = looksLikeChordPro(decoded->text, fileName) ? parseChordPro(decoded->text, name)
                                                            : parsePlainText(decoded->text, name);
    if (!songs.empty() && decoded->cutOff)
        songs.back().warnings.push_back({int(decoded->text.count(u'\n')) + 1,
                                         Said::tr("the file ends in the middle of a letter; its end may be "
                                                  "missing. Compare it with the original.")});
    if (!songs.empty() && !decoded->damagedLines.empty())
        songs.front().warnings.push_back({decoded->damagedLines.front(), damagedLettersText(*decoded)});
    return orNothingFound(std::move(songs), fileName);
}

} // namespace mivanta
