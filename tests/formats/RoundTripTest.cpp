// SPDX-License-Identifier: GPL-3.0-or-later
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

} // namespace
} // namespace mivanta
