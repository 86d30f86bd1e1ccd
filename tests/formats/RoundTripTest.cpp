// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/SongCsv.h"
#include "formats/SongReader.h"
#include "formats/SongWriter.h"
#include "support/AnySong.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QBuffer>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Result<std::vector<ReadSong>> readBack(const QString& text, const QString& name) {
    QByteArray bytes = text.toUtf8();
    QBuffer buffer(&bytes);
    static_cast<void>(buffer.open(QIODevice::ReadOnly));
    return readSongs(buffer, name);
}

void comesBack(const Song& song, const QString& text, const QString& name) {
    const auto read = readBack(text, name);
    if (!read)
        RC_LOG() << text.toStdString() << read.error().text().toStdString();
    RC_ASSERT(read.has_value());
    RC_ASSERT(read->size() == 1u);
    const bool same = sameContent(read->front().song, song);
    if (!same)
        RC_LOG() << text.toStdString() << "\n--- came back as\n"
                 << (name.endsWith(u"cho"_s) ? chordProText(read->front().song)
                                             : plainSongText(read->front().song))
                        .toStdString();
    RC_ASSERT(same);
}

RC_GTEST_PROP(RoundTrip, ChordProComesBackEqual, ()) {
    const Song song = *samples::anySong();
    comesBack(song, chordProText(song), u"song.cho"_s);
}

RC_GTEST_PROP(RoundTrip, PlainTextComesBackEqual, ()) {
    const Song song = *samples::anySong();
    comesBack(song, plainSongText(song), u"song.txt"_s);
}

RC_GTEST_PROP(RoundTrip, ATableComesBackEqual, ()) {
    const auto songs = *rc::gen::resize(3, rc::gen::container<std::vector<Song>>(samples::anySong()));
    const auto read = songsFromCsv(songsToCsv(songs), u"songs.csv"_s);
    RC_ASSERT(read.has_value() == !songs.empty()); // a table without songs is refused
    RC_ASSERT((songs.empty() || read->size() == songs.size()));
    for (size_t i = 0; i < songs.size(); ++i)
        RC_ASSERT(sameContent((*read)[i].song, songs[i]));
}

TEST(SongCsv, ReadsTablesOfOthers) {
    const auto read = readBack(u"title;Words by;Mood;Books\nTide;\"Ada; Bo\";calm;Shore Hymnal 12\n"
                               "\"Two\nlines\";;;\n"_s,
                               u"list.csv"_s);
    ASSERT_TRUE(read);
    ASSERT_EQ(read->size(), 2u);
    EXPECT_EQ(read->front().song.authorNames(), (QStringList{u"Ada"_s, u"Bo"_s}));
    EXPECT_EQ(read->front().song.bookNumbers.front().number, u"12"_s);
    EXPECT_TRUE(read->front().warnings.front().text.contains(u"Mood"_s));
    EXPECT_FALSE(readBack(u"name,words\nA,B\n"_s, u"list.csv"_s));
}

} // namespace
} // namespace mivanta
