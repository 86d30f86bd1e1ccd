// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/Export.h"
#include "formats/SongCsv.h"
#include "formats/SongWriter.h"
#include "render/Chart.h"
#include <QBuffer>
#include <QDir>
#include <QSaveFile>
#include <QSet>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString endingOf(const QString& format) {
    return format == u"chordpro" ? u".cho"_s : format == u"text" ? u".txt"_s : u'.' + format;
}

/// A file name that every file system takes.
QString fileNameOf(const QString& title) {
    QString name;
    for (const QChar c : title.simplified())
        name += c.isLetterOrNumber() || c.isMark() || c == u' ' || c == u'-' || c == u'\'' ? c : QChar(u'_');
    name = name.left(80).trimmed();
    return name.isEmpty() ? u"song"_s : name;
}

Result<QByteArray> bytesOf(const Song& song, const QString& format) {
    if (format == u"chordpro")
        return chordProText(song).toUtf8();
    if (format == u"text")
        return plainSongText(song).toUtf8();
    QBuffer buffer;
    if (!buffer.open(QIODevice::WriteOnly))
        return failure(u"the PDF could not be made"_s);
    if (auto done = writeChartPdf(buffer, {song}, {}); !done)
        return tl::unexpected(done.error());
    return buffer.data();
}

Result<void> write(const QString& path, const QByteArray& bytes) {
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return failure(u"the file could not be written: "_s + file.errorString(), path,
                       u"Check the free space and that you may write there."_s);
    return {};
}

} // namespace

bool isExportFormat(const QString& format) {
    return QStringList{u"chordpro"_s, u"text"_s, u"csv"_s, u"pdf"_s}.contains(format);
}

Result<QStringList> exportSongs(const std::vector<Song>& songs, const QString& format,
                                const QString& folder) {
    if (!QDir().mkpath(folder))
        return failure(u"the folder could not be made"_s, folder, u"Choose another place."_s);
    QStringList paths;
    if (format == u"csv") {
        paths << folder + u"/songs.csv"_s;
        if (auto done = write(paths.front(), songsToCsv(songs).toUtf8()); !done)
            return tl::unexpected(done.error());
        return paths;
    }
    QSet<QString> taken;
    for (const Song& song : songs) {
        const QString base = fileNameOf(song.title);
        QString name = base;
        for (int n = 2; taken.contains(name.toLower()); ++n)
            name = u"%1 %2"_s.arg(base).arg(n);
        taken.insert(name.toLower());
        const auto bytes = bytesOf(song, format);
        if (!bytes)
            return tl::unexpected(bytes.error());
        paths << folder + u'/' + name + endingOf(format);
        if (auto done = write(paths.back(), *bytes); !done)
            return tl::unexpected(done.error());
    }
    return paths;
}

} // namespace mivanta
