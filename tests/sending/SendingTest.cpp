// SPDX-License-Identifier: GPL-3.0-or-later
#include "sending/SongFiles.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

class Sending : public ::testing::Test {
protected:
    [[nodiscard]] QString to() const { return folder.filePath(u"out"_s); }
    [[nodiscard]] QStringList names() const { return QDir(to()).entryList(QDir::Files, QDir::Name); }
    static QByteArray bytesOf(const QString& path) {
        QFile file(path);
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
    }
    /// Pages of a PDF, by its page objects.
    static int pages(const QByteArray& pdf) {
        return int(pdf.count("/Type /Page\n") + pdf.count("/Type/Page\n"));
    }
    static std::vector<Song> songs(const QStringList& titles) {
        std::vector<Song> result;
        for (const QString& title : titles)
            result.push_back(samples::harbourSong(title));
        return result;
    }
    QTemporaryDir folder;
};

TEST_F(Sending, FormatsHaveNames) {
    EXPECT_EQ(songFormat(u"chordpro"_s), SongFormat::ChordPro);
    EXPECT_EQ(songFormat(u"lyrics"_s), SongFormat::Lyrics);
    EXPECT_EQ(songFormat(u"docx"_s), std::nullopt);
}

TEST_F(Sending, FileNamesAreOnesThatEveryDiskTakes) {
    const auto paths = writeSongFiles(
        eachOf(songs({u"A/B: \"C\"?"_s, u"..\\..\\etc"_s, u"\u00c9toile"_s, u"   "_s, QString(300, u'x')})),
        SongFormat::Text, to());
    ASSERT_TRUE(paths) << paths.error().text().toStdString();
    EXPECT_EQ(paths->size(), 5);
    for (const QString& path : *paths) {
        EXPECT_EQ(QFileInfo(path).absolutePath(), QFileInfo(to()).absoluteFilePath());
        EXPECT_LE(QFileInfo(path).fileName().size(), 84);
        EXPECT_TRUE(QFile::exists(path));
    }
    EXPECT_TRUE(names().contains(u"\u00c9toile.txt"_s));
    EXPECT_TRUE(names().contains(u"song.txt"_s)); // one without a title
}

TEST_F(Sending, TheSameTitleTwiceIsTwoFilesWhateverTheCase) {
    ASSERT_TRUE(writeSongFiles(eachOf(songs({u"Tide"_s, u"tide"_s, u"Tide"_s})), SongFormat::ChordPro, to()));
    EXPECT_EQ(names(), (QStringList{u"Tide 3.cho"_s, u"Tide.cho"_s, u"tide 2.cho"_s}));
    ASSERT_TRUE(
        writeSongFiles(eachOf(songs({u"Tide"_s})), SongFormat::ChordPro, to())); // again: written over
    EXPECT_EQ(names().size(), 3);
}

TEST_F(Sending, ATableIsOneFile) {
    const auto paths = writeSongFiles(eachOf(songs({u"A"_s, u"B"_s})), SongFormat::Csv, to());
    ASSERT_TRUE(paths);
    EXPECT_EQ(names(), QStringList{u"songs.csv"_s});
    const QByteArray table = bytesOf(paths->front());
    EXPECT_TRUE(table.startsWith("Title"));
    EXPECT_TRUE(table.contains("\nA") && table.contains("\nB"));
}

TEST_F(Sending, ASongThatCannotBeHadStopsItAndWhatIsWrittenStays) {
    int given = 0;
    const NextSong next = [&]() -> std::optional<Result<Song>> {
        if (++given == 3)
            return failure(u"the disk reported an error"_s);
        return samples::harbourSong(u"Song %1"_s.arg(given));
    };
    const auto paths = writeSongFiles(next, SongFormat::Text, to());
    ASSERT_FALSE(paths);
    EXPECT_TRUE(paths.error().what.contains(u"disk"_s));
    EXPECT_EQ(names().size(), 2);
    EXPECT_EQ(given, 3);
}

TEST_F(Sending, AFileThatCannotBeWrittenIsNamedAndLeftAsItWas) {
    ASSERT_TRUE(QDir().mkpath(to() + u"/Tide.txt"_s)); // a folder where the file should be
    const auto paths = writeSongFiles(eachOf(songs({u"Tide"_s})), SongFormat::Text, to());
    ASSERT_FALSE(paths);
    EXPECT_TRUE(paths.error().text().contains(u"Tide.txt"_s));
    EXPECT_TRUE(QFileInfo(to() + u"/Tide.txt"_s).isDir());
}

TEST_F(Sending, SheetsHaveAPageASongAndLyricsHaveNoChords) {
    std::vector<Song> some = songs({u"A"_s, u"B"_s, u"C"_s});
    for (Song& song : some)
        song.parts[0].lines[0].chords = {{0, u"G"_s}};
    ChartOptions charts;
    ASSERT_TRUE(writeSheets(some, charts, folder.filePath(u"charts.pdf"_s)));
    ChartOptions lyrics;
    lyrics.chords = false;
    ASSERT_TRUE(writeSheets(some, lyrics, folder.filePath(u"lyrics.pdf"_s)));
    const QByteArray chartPdf = bytesOf(folder.filePath(u"charts.pdf"_s));
    EXPECT_EQ(pages(chartPdf), 3);
    EXPECT_EQ(pages(bytesOf(folder.filePath(u"lyrics.pdf"_s))), 3);
    EXPECT_GT(chartPdf.size(), bytesOf(folder.filePath(u"lyrics.pdf"_s)).size()); // the chords' font is in it
    EXPECT_FALSE(writeSheets(some, charts, folder.filePath(u"nowhere/charts.pdf"_s)));
}

TEST_F(Sending, ALongSongNeedsFewerPagesInTwoColumns) {
    Song song = samples::harbourSong(u"Long"_s);
    const Part verse = song.parts[0];
    for (int i = 0; i < 30; ++i) {
        song.parts.push_back(verse);
        song.parts.back().id = PartId::create();
    }
    song.singingOrder.clear();
    const auto pagesIn = [&](int columns) {
        ChartOptions sheets;
        sheets.columns = columns;
        const auto paths = writeSongFiles(eachOf({song}), SongFormat::Charts, to(), sheets);
        return paths ? pages(bytesOf(paths->front())) : 0;
    };
    const int one = pagesIn(1);
    EXPECT_GT(one, 2);
    EXPECT_LT(pagesIn(2), one);
}

} // namespace
} // namespace mivanta
