// SPDX-License-Identifier: GPL-3.0-or-later
#include "sending/SongFiles.h"
#include "core/base/Said.h"
#include "formats/SongCsv.h"
#include "formats/SongWriter.h"
#include <QBuffer>
#include <QDir>
#include <QSaveFile>
#include <QSet>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString endingOf(SongFormat format) {
    switch (format) {
    case SongFormat::ChordPro:
        return u".cho"_s;
    case SongFormat::Text:
        return u".txt"_s;
    case SongFormat::Csv:
        return u".csv"_s;
    case SongFormat::Charts:
    case SongFormat::Lyrics:
        break;
    }
    return u".pdf"_s;
}

/// A file name that every file system takes.
QString fileNameOf(const QString& title) {
    QString name;
    for (const QChar c : title.simplified())
        name += c.isLetterOrNumber() || c.isMark() || c == u' ' || c == u'-' || c == u'\'' ? c : QChar(u'_');
    name = name.left(80).trimmed();
    return name.isEmpty() ? u"song"_s : name;
}

Result<QByteArray> pdfOf(const std::vector<Song>& songs, const ChartOptions& options) {
    QBuffer buffer;
    if (!buffer.open(QIODevice::WriteOnly))
        return failure(Said::tr("the PDF could not be made"));
    if (auto done = writeChartPdf(buffer, songs, options); !done)
        return tl::unexpected(done.error());
    return buffer.data();
}

Result<QByteArray> bytesOf(const Song& song, SongFormat format, const ChartOptions& sheets) {
    if (format == SongFormat::ChordPro)
        return chordProText(song).toUtf8();
    if (format == SongFormat::Text)
        return plainSongText(song).toUtf8();
    return pdfOf({song}, sheets);
}

Result<void> write(const QString& path, const QByteArray& bytes) {
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return failure(Said::tr("the file could not be written: %1").arg(file.errorString()), path,
                       Said::tr("Check the free space and that you may write there."));
    return {};
}

} // namespace

std::optional<SongFormat> songFormat(const QString& name) {
    static const QStringList names{u"chordpro"_s, u"text"_s, u"csv"_s, u"pdf"_s, u"lyrics"_s};
    const auto at = names.indexOf(name);
    return at < 0 ? std::nullopt : std::optional(SongFormat(at));
}

NextSong eachOf(const std::vector<Song>& songs) {
    return [songs, at = size_t(0)]() mutable -> std::optional<Result<Song>> {
        return at < songs.size() ? std::optional<Result<Song>>(songs[at++]) : std::nullopt;
    };
}

Result<std::vector<Song>> allOf(const NextSong& next) {
    std::vector<Song> songs;
    while (auto song = next()) {
        if (!*song)
            return tl::unexpected(song->error());
        songs.push_back(std::move(**song));
    }
    return songs;
}

Result<QStringList> writeSongFiles(const NextSong& next, SongFormat format, const QString& folder,
                                   ChartOptions sheets) {
    sheets.chords = format == SongFormat::Charts;
    if (!QDir().mkpath(folder))
        return failure(Said::tr("the folder could not be made"), folder, Said::tr("Choose another place."));
    QStringList paths;
    if (format == SongFormat::Csv) {
        const auto songs = allOf(next);
        if (!songs)
            return tl::unexpected(songs.error());
        paths << folder + u"/songs.csv"_s;
        if (auto done = write(paths.front(), songsToCsv(*songs).toUtf8()); !done)
            return tl::unexpected(done.error());
        return paths;
    }
    QSet<QString> taken;
    while (const auto song = next()) {
        if (!*song)
            return tl::unexpected(song->error());
        const QString base = fileNameOf((*song)->title);
        QString name = base;
        for (int n = 2; taken.contains(name.toLower()); ++n)
            name = u"%1 %2"_s.arg(base).arg(n);
        taken.insert(name.toLower());
        const auto bytes = bytesOf(**song, format, sheets);
        if (!bytes)
            return tl::unexpected(bytes.error());
        paths << folder + u'/' + name + endingOf(format);
        if (auto done = write(paths.back(), *bytes); !done)
            return tl::unexpected(done.error());
    }
    return paths;
}

Result<void> writeSheets(const std::vector<Song>& songs, const ChartOptions& options, const QString& path) {
    const auto bytes = pdfOf(songs, options);
    return bytes ? write(path, *bytes) : Result<void>(tl::unexpected(bytes.error()));
}

} // namespace mivanta
